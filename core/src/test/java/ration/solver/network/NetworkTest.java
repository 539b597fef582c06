package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.base.fluid.Fluid;
import ration.solver.network.Element.Minor;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.NetworkSolution.LinkState;
import ration.solver.network.NetworkSolution.Status;

class NetworkTest {

    private static final Fluid FUEL = new Fluid(720, 0.6e-6);

    private static NetworkProblem problem(List<Node> nodes, Link... links) {
        return new NetworkProblem(FUEL, 9.80665, FrictionLaw.CONSERVATIVE, nodes, List.of(links));
    }

    private static Node held(String id, double height, double pa) {
        return new Node(id, height, new Boundary.Pressure(pa));
    }

    private static Node free(String id) {
        return new Node(id, 0, Boundary.NONE);
    }

    private static Link line(String id, String a, String b) {
        return new Link(id, a, b, new Element.Pipe(0.008, 1, 1.5e-6, Minor.k(1), false));
    }

    @Test
    void aStandingLineTakesThePressureOfItsColumn() {
        NetworkSolution s = Network.of(problem(
                        List.of(held("tank", 1, 0), free("valve"), held("out", 0, 0)),
                        line("r", "tank", "valve"),
                        new Link("v", "valve", "out", new Element.Shut())))
                .solve();
        assertThat(s.flow("r")).isZero();
        assertThat(s.pressure("valve").getAsDouble()).isCloseTo(720 * 9.80665, Offset.offset(0.01));
        assertThat(s.state("v")).isEqualTo(LinkState.SHUT);
    }

    @Test
    void demandBehindAShutValveIsRefusedByName() {
        NetworkSolution s = Network.of(problem(
                        List.of(held("tank", 1, 0), new Node("engine", 0, new Boundary.Demand(1e-5))),
                        new Link("v", "tank", "engine", new Element.Shut())))
                .solve();
        assertThat(s.status()).isEqualTo(Status.NO_SUPPLY);
        assertThat(s.reason()).contains("engine");
        assertThatThrownBy(() -> s.flow("v"))
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining("engine");
    }

    @Test
    void demandAgainstACheckValveIsRefusedByName() {
        NetworkSolution s = Network.of(problem(
                        List.of(held("tank", 1, 0), new Node("engine", 0, new Boundary.Demand(1e-5))),
                        new Link("v", "engine", "tank", new Element.Check(0, new Element.Resistance(0, 1e10)))))
                .solve();
        assertThat(s.status()).isEqualTo(Status.NO_SUPPLY);
        assertThat(s.reason()).contains("engine");
    }

    /** A cracking pressure of 0.5 psi eats 19.2 in of head: a gravity line with less does not flow at all. */
    @Test
    void aStiffCheckValveStopsGravity() {
        Element check = new Element.Check(3447.4, new Element.Resistance(0, 1e10));
        assertThat(Network.of(problem(
                                List.of(held("tank", 0.48, 0), held("out", 0, 0)), new Link("v", "tank", "out", check)))
                        .solve()
                        .flow("v"))
                .isZero();
        assertThat(Network.of(problem(
                                List.of(held("tank", 0.50, 0), held("out", 0, 0)), new Link("v", "tank", "out", check)))
                        .solve()
                        .flow("v"))
                .isPositive();
    }

    @Test
    void twoPumpsWithCheckValvesDoNotPushBackThroughEachOther() {
        PumpCurve strong = new PumpCurve.Power(50_000, 1e13, 2);
        PumpCurve weak = new PumpCurve.Power(20_000, 1e13, 2);
        NetworkSolution s = Network.of(problem(
                        List.of(held("tank", 0, 0), free("a"), free("b"), free("m"), held("rail", 0, 40_000)),
                        new Link("pa", "tank", "a", new Element.Pump(strong)),
                        new Link("pb", "tank", "b", new Element.Pump(weak)),
                        new Link("ca", "a", "m", new Element.Check(500, new Element.Resistance(0, 1e11))),
                        new Link("cb", "b", "m", new Element.Check(500, new Element.Resistance(0, 1e11))),
                        line("d", "m", "rail")))
                .solve();
        assertThat(s.flow("pb")).isZero();
        assertThat(s.state("cb")).isEqualTo(LinkState.HELD_SHUT);
        assertThat(s.flow("pa")).isPositive();
        assertThat(s.flow("pa")).isCloseTo(s.flow("d"), Offset.offset(1e-12));
    }

    @Test
    void aNeedleSeatNeedsItsLeastPressureFirst() {
        Element seat = new Element.NeedleSeat(1000, new Element.Orifice(0.006, 0.62));
        assertThat(seat.loss(1e-7, FUEL, FrictionLaw.CONSERVATIVE)).isCloseTo(1000, Offset.offset(1e-3));
        double high = 6e-5;
        double orifice = new Element.Orifice(0.006, 0.62).loss(high, FUEL, FrictionLaw.CONSERVATIVE);
        assertThat(orifice).isGreaterThan(1000);
        assertThat(seat.loss(high, FUEL, FrictionLaw.CONSERVATIVE)).isEqualTo(orifice);
    }

    @ParameterizedTest
    @ValueSource(ints = {5, 23, 31})
    void gridsOfThousandsOfPipesAreSolvedSparse(int side) {
        NetworkProblem grid = grid(side);
        NetworkSolution s = Network.of(grid).solve();
        assertThat(s.converged()).isTrue();
        assertThat(s.evidence().massResidual()).isLessThan(SolverSettings.MASS_TOLERANCE);
        assertThat(s.evidence().pressureResidual()).isLessThan(SolverSettings.PRESSURE_TOLERANCE);
        assertThat(s.evidence().iterations()).isLessThan(30);
    }

    private static NetworkProblem grid(int side) {
        List<Node> nodes = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        for (int i = 0; i < side; i++) {
            for (int k = 0; k < side; k++) {
                nodes.add(
                        i == 0 && k == 0
                                ? held("n0-0", 2, 0)
                                : new Node("n" + i + "-" + k, 0, new Boundary.Demand(1e-7)));
                if (i > 0) {
                    links.add(line("v" + i + "-" + k, "n" + (i - 1) + "-" + k, "n" + i + "-" + k));
                }
                if (k > 0) {
                    links.add(line("h" + i + "-" + k, "n" + i + "-" + (k - 1), "n" + i + "-" + k));
                }
            }
        }
        return problem(nodes, links.toArray(Link[]::new));
    }

    @Test
    void aNetworkWithContradictoryNamesCannotBeMade() {
        assertThatThrownBy(() -> problem(List.of(free("a"), free("a")))).hasMessageContaining("Two nodes");
        assertThatThrownBy(() -> problem(List.of(free("a"), free("b")), line("l", "a", "c")))
                .hasMessageContaining("must join two nodes");
        assertThatThrownBy(() -> problem(List.of(free("a"), free("b")), line("l", "a", "b"), line("l", "b", "a")))
                .hasMessageContaining("Two links");
    }

    @Test
    void elementsRefuseSizesThatCannotBe() {
        assertThatThrownBy(() -> new Element.Pipe(0, 1, 0, Minor.NONE, false)).hasMessageContaining("bore");
        assertThatThrownBy(() -> new Element.Pipe(0.01, 1, 0.02, Minor.NONE, false))
                .hasMessageContaining("oughness");
        assertThatThrownBy(() -> new Element.Orifice(0.003, 1.2)).hasMessageContaining("discharge");
        assertThatThrownBy(() -> Element.curve(List.of(new PumpCurve.Point(0, 1), new PumpCurve.Point(1e-5, 2))))
                .hasMessageContaining("do not rise");
    }

    @Test
    void aPumpCurveIsExtendedPastItsLastPoint() {
        PumpCurve curve = Element.curve(List.of(new PumpCurve.Point(0, 60), new PumpCurve.Point(2, 40)));
        Drop out = new Drop();
        curve.at(3, out);
        assertThat(out.loss).isCloseTo(30, Offset.offset(1e-12));
        assertThat(curve.deadHead()).isEqualTo(60);
    }
}
