package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.base.fluid.Fluid;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;

/** Slopes of an answer against differences of two answers. */
class SensitivityTest {

    private static final Fluid FUEL = new Fluid(720, 5.5e-7);

    private static Element pipe(double bore, double length) {
        return new Element.Pipe(bore, length, 1.5e-6, Element.Minor.k(1.5), false);
    }

    private static NetworkProblem problem(List<Node> nodes, List<Link> links) {
        return new NetworkProblem(FUEL, 9.80665, FrictionLaw.CONSERVATIVE, nodes, links);
    }

    /** The same network in which a link loses a little more. */
    private static NetworkProblem costlier(NetworkProblem p, String link, double pascal, double q) {
        List<Link> links = new ArrayList<>();
        List<Node> nodes = new ArrayList<>(p.nodes());
        for (Link l : p.links()) {
            if (l.id().equals(link)) {
                double height = p.nodes().stream()
                        .filter(n -> n.id().equals(l.to()))
                        .findFirst()
                        .orElseThrow()
                        .height();
                nodes.add(new Node("beside", height, Boundary.NONE));
                links.add(new Link(l.id(), l.from(), "beside", l.element()));
                links.add(new Link(
                        "more", "beside", l.to(), new Element.Resistance(pascal / q - Characteristic.LEAST_SLOPE, 0)));
            } else {
                links.add(l);
            }
        }
        return new NetworkProblem(p.fluid(), p.gravity(), p.law(), nodes, links);
    }

    /** Two tanks, three loops, a demand: the network has everything but valves. */
    private static NetworkProblem loops() {
        return problem(
                List.of(
                        new Node("T1", 1.4, new Boundary.Pressure(0)),
                        new Node("T2", 1.25, new Boundary.Pressure(0)),
                        new Node("A", 0.3, Boundary.NONE),
                        new Node("B", 0.2, new Boundary.Demand(8e-6)),
                        new Node("C", 0.2, Boundary.NONE),
                        new Node("D", 0, new Boundary.Pressure(0))),
                List.of(
                        new Link("t1", "T1", "A", pipe(0.01, 1.2)),
                        new Link("t2", "T2", "C", pipe(0.01, 1.6)),
                        new Link("ab", "A", "B", pipe(0.008, 0.9)),
                        new Link("bc", "B", "C", pipe(0.006, 1.1)),
                        new Link("ad", "A", "D", pipe(0.006, 0.8)),
                        new Link("cd", "C", "D", pipe(0.006, 0.9))));
    }

    @Test
    void slopesToLossesDemandsAndPressuresAreThoseOfDifferences() {
        NetworkProblem p = loops();
        NetworkSolution answer = Network.of(p).solve();
        Sensitivity of = answer.sensitivity("cd").orElseThrow();
        for (Link l : p.links()) {
            double q = Math.abs(answer.flow(l.id()));
            double step = 0.05;
            double up = Network.of(costlier(p, l.id(), step, q)).solve().flow("cd");
            double twice = Network.of(costlier(p, l.id(), 2 * step, q)).solve().flow("cd");
            double slope = (4 * up - twice - 3 * answer.flow("cd")) / (2 * step);
            double sense = Math.signum(answer.flow(l.id()));
            assertThat(of.toLoss(l.id()) * sense)
                    .as(l.id())
                    .isCloseTo(slope, Offset.offset(1e-4 * Math.abs(slope) + 1e-16));
        }
        assertThat(of.toDemand("B"))
                .isCloseTo(
                        (with(p, "B", new Boundary.Demand(8e-6 + 1e-10))
                                        - with(p, "B", new Boundary.Demand(8e-6 - 1e-10)))
                                / 2e-10,
                        Offset.offset(1e-4));
        for (String tank : List.of("T1", "T2", "D")) {
            double slope = (with(p, tank, new Boundary.Pressure(0.5)) - with(p, tank, new Boundary.Pressure(-0.5)));
            assertThat(of.toPressure(tank)).as(tank).isCloseTo(slope, Offset.offset(1e-4 * Math.abs(slope)));
        }
    }

    private static double with(NetworkProblem p, String node, Boundary boundary) {
        return Network.of(new NetworkProblem(
                        p.fluid(),
                        p.gravity(),
                        p.law(),
                        p.nodes().stream()
                                .map(n -> n.id().equals(node) ? new Node(n.id(), n.height(), boundary) : n)
                                .toList(),
                        p.links()))
                .solve()
                .flow("cd");
    }

    /** Pump, rail held by a bypass regulator, return: what goes back gives way, the rail does not. */
    @Test
    void aRegulatorThatHoldsTakesUpWhatChangesBeforeIt() {
        NetworkProblem p = problem(
                List.of(
                        new Node("tank", 0, new Boundary.Pressure(0)),
                        new Node("pump", 0, Boundary.NONE),
                        new Node("rail", 0, new Boundary.Demand(1e-5)),
                        new Node("back", 0, Boundary.NONE)),
                List.of(
                        new Link("suction", "tank", "pump", pipe(0.008, 1)),
                        new Link(
                                "feed",
                                "pump",
                                "rail",
                                new Element.Pump(Element.curve(
                                        List.of(new PumpCurve.Point(0, 5e5), new PumpCurve.Point(6e-5, 2e5))))),
                        new Link(
                                "regulator",
                                "rail",
                                "back",
                                new Element.Regulator(
                                        Element.Regulator.Holds.UPSTREAM, 3e5, new Element.Resistance(1e8, 0))),
                        new Link("return", "back", "tank", pipe(0.006, 1))));
        NetworkSolution answer = Network.of(p).solve();
        assertThat(answer.state("regulator")).isEqualTo(NetworkSolution.LinkState.REGULATING);
        Sensitivity spill = answer.sensitivity("regulator").orElseThrow();
        Sensitivity feed = answer.sensitivity("feed").orElseThrow();
        assertThat(spill.toDemand("rail"))
                .as("what the engine takes more goes back less")
                .isCloseTo(-1, Offset.offset(1e-9));
        assertThat(feed.toDemand("rail"))
                .as("the pump works against a pressure that is held")
                .isCloseTo(0, Offset.offset(1e-9));
        assertThat(feed.toLoss("return"))
                .as("the return lies behind the regulator")
                .isCloseTo(0, Offset.offset(1e-18));
        // the pump's curve falls 3e5 Pa over 6e-5 m3/s; the suction line adds its own slope
        double q = answer.flow("suction");
        double slope = (pipe(0.008, 1).loss(q + 1e-8, FUEL, FrictionLaw.CONSERVATIVE)
                        - pipe(0.008, 1).loss(q - 1e-8, FUEL, FrictionLaw.CONSERVATIVE))
                / 2e-8;
        assertThat(feed.toLoss("suction")).isCloseTo(-1 / (5e9 + slope), Offset.offset(1e-14));
    }

    /** On random networks: a held pressure raised a little does to every flow what its slope says. */
    @Property(tries = 600, maxDiscardRatio = 100)
    void slopesToHeldPressuresHoldOnAnyNetwork(@ForAll long seed) {
        NetworkProblem p = new RandomNetworks(seed).next();
        NetworkSolution answer = Network.of(p).solve();
        Assume.that(answer.converged());
        Random random = new Random(seed);
        List<Node> held = p.nodes().stream()
                .filter(n -> n.boundary() instanceof Boundary.Pressure)
                .toList();
        Node node = held.get(random.nextInt(held.size()));
        Link link = p.links().get(random.nextInt(p.links().size()));
        double q = answer.flow(link.id());
        Assume.that(Math.abs(q) > 1e-8);
        Optional<Sensitivity> of = answer.sensitivity(link.id());
        Assume.that(of.isPresent());
        double[] shifted = new double[2];
        double step = 0.2;
        for (int side = 0; side < 2; side++) {
            double by = side == 0 ? -step : step;
            NetworkSolution near = Network.of(new NetworkProblem(
                            p.fluid(),
                            p.gravity(),
                            p.law(),
                            p.nodes().stream()
                                    .map(n -> n == node
                                            ? new Node(
                                                    n.id(),
                                                    n.height(),
                                                    new Boundary.Pressure(
                                                            ((Boundary.Pressure) n.boundary()).gauge() + by))
                                            : n)
                                    .toList(),
                            p.links()))
                    .solve();
            Assume.that(near.converged()
                    && p.links().stream()
                            .allMatch(l -> near.state(l.id()) == answer.state(l.id())
                                    && (Math.abs(answer.flow(l.id())) > 1e-8
                                            || near.state(l.id()) != NetworkSolution.LinkState.OPEN)));
            shifted[side] = near.flow(link.id());
        }
        double forward = (shifted[1] - q) / step;
        double backward = (q - shifted[0]) / step;
        Assume.that(Math.abs(forward - backward) <= 0.01 * Math.abs(forward + backward) + 1e-14);
        double slope = (shifted[1] - shifted[0]) / (2 * step);
        assertThat(of.get().toPressure(node.id())).isCloseTo(slope, Offset.offset(5e-3 * Math.abs(slope) + 1e-13));
    }
}
