package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.base.fluid.Fluid;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.NetworkSolution.LinkState;

/**
 * Ends of a network that one-way valves cut off, started from an answer in another pose. Sums by hand: what lies
 * between valves that only let out passes nothing, whatever the pressures; what lies between one that lets in and one
 * that lets out passes as soon as the pressure before the first is over that behind the second.
 */
class DeadEndTest {

    private static final Fluid FUEL = new Fluid(720, 0.6e-6);
    private static final double PER_FLOW = 1e8;
    private static final double CRACKING = 500;

    private static Link line(String id, String from, String to) {
        return new Link(id, from, to, new Element.Resistance(PER_FLOW, 0));
    }

    private static Link check(String id, String from, String to) {
        return new Link(id, from, to, new Element.Check(CRACKING, new Element.Resistance(PER_FLOW, 0)));
    }

    private static Node held(String id, double pa) {
        return new Node(id, 0, new Boundary.Pressure(pa));
    }

    private static Node free(String id) {
        return new Node(id, 0, Boundary.NONE);
    }

    private static NetworkProblem problem(List<Node> nodes, List<Link> links) {
        return new NetworkProblem(FUEL, 0, FrictionLaw.CONSERVATIVE, nodes, links);
    }

    /** A return line, both of whose ends only let out, beside a line that flows. */
    private static NetworkProblem onlyOut(double tank, double left, double right) {
        return problem(
                List.of(
                        held("tank", tank),
                        free("engine"),
                        held("bowl", 0),
                        free("a"),
                        free("b"),
                        held("left", left),
                        held("right", right)),
                List.of(
                        line("feed", "tank", "engine"),
                        line("inlet", "engine", "bowl"),
                        check("to-left", "a", "left"),
                        line("return", "a", "b"),
                        check("to-right", "b", "right")));
    }

    @Property(tries = 200)
    void an_end_that_can_only_give_passes_nothing_in_any_pose(
            @ForAll @DoubleRange(min = 0, max = 1e5) double tank,
            @ForAll @DoubleRange(min = -1e5, max = 1e5) double left,
            @ForAll @DoubleRange(min = -1e5, max = 1e5) double right) {
        Network first = Network.of(onlyOut(2e4, 0, 0));
        NetworkSolution s =
                first.posed(0, onlyOut(tank, left, right).nodes()).solve(SolverSettings.USUAL, first.solve());
        assertThat(s.converged()).isTrue();
        assertThat(s.flow("feed"))
                .isCloseTo(
                        tank / (2 * (PER_FLOW + Characteristic.LEAST_SLOPE)),
                        Offset.offset(1e-14 + 1e-9 * tank / PER_FLOW));
        for (String dead : List.of("to-left", "return", "to-right")) {
            assertThat(s.flow(dead)).as(dead).isZero();
        }
        assertThat(s.pressure("a")).as("nothing sets it").isEmpty();
        assertThat(s.state("to-left")).isEqualTo(LinkState.HELD_SHUT);
    }

    /** A line between a valve that lets in and one that lets out. */
    private static NetworkProblem through(double before, double behind) {
        return problem(
                List.of(held("before", before), free("a"), free("b"), held("behind", behind)),
                List.of(check("in", "before", "a"), line("line", "a", "b"), check("out", "b", "behind")));
    }

    @Property(tries = 200)
    void an_end_that_takes_and_gives_opens_when_the_pressures_say_so_though_it_was_shut_before(
            @ForAll @DoubleRange(min = -1e5, max = 1e5) double before,
            @ForAll @DoubleRange(min = -1e5, max = 1e5) double behind) {
        Network shut = Network.of(through(0, 5000));
        NetworkSolution none = shut.solve();
        assertThat(none.flow("line")).isZero();
        NetworkSolution s = shut.posed(0, through(before, behind).nodes()).solve(SolverSettings.USUAL, none);
        assertThat(s.converged()).isTrue();
        double wanted = Math.max(0, before - behind - 2 * CRACKING) / (3 * (PER_FLOW + Characteristic.LEAST_SLOPE));
        assertThat(s.flow("line")).isCloseTo(wanted, Offset.offset(1e-12 + 1e-9 * wanted));
    }

    /** A demand behind a valve that was shut: the group asks for fuel, so its valve is not taken to be right. */
    @Test
    void an_end_that_asks_for_fuel_is_fed() {
        NetworkProblem asks = problem(
                List.of(held("tank", 3000), new Node("engine", 0, new Boundary.Demand(0)), held("drain", 9000)),
                List.of(check("in", "tank", "engine"), check("back", "drain", "engine")));
        Network network = Network.of(asks);
        NetworkSolution idle = network.solve();
        NetworkSolution s = network.posed(0, new double[3], new double[] {3000, 1e-5, -9000})
                .solve(SolverSettings.USUAL, idle);
        assertThat(s.flow("in")).isCloseTo(1e-5, Offset.offset(1e-12));
        assertThat(s.flow("back")).isZero();
        assertThat(s.pressure("engine").getAsDouble())
                .isCloseTo(3000 - CRACKING - 1e-5 * (PER_FLOW + Characteristic.LEAST_SLOPE), Offset.offset(0.01));
    }

    @Test
    void a_pose_with_a_figure_that_is_none_is_refused_by_name() {
        Network network = Network.of(through(1, 2));
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> network.posed(0, new double[] {0, Double.NaN, 0, 0}, new double[4]))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Node a");
    }
}
