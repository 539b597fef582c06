package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.base.fluid.Fluid;
import ration.solver.network.Element.Regulator.Holds;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.NetworkSolution.LinkState;

/** Regulators, pumps side by side and jets against sums done by hand. */
class RegulatorsTest {

    private static final Fluid FUEL = new Fluid(720, 0.6e-6);
    private static final double G = 9.80665;
    /** 60 psi dead-headed falling straight to nothing at 60 gph. */
    private static final double DEAD = 413_685;

    private static final double FREE = 6.309e-5;
    private static final Offset<Double> FLOW = Offset.offset(1e-10);

    private static NetworkProblem problem(List<Node> nodes, Link... links) {
        return new NetworkProblem(FUEL, G, FrictionLaw.CONSERVATIVE, nodes, List.of(links));
    }

    private static Node tank(String id, double height) {
        return new Node(id, height, new Boundary.Pressure(0));
    }

    private static Node free(String id) {
        return new Node(id, 0, Boundary.NONE);
    }

    private static Node engine(double flow) {
        return new Node("rail", 0, new Boundary.Demand(flow));
    }

    private static Link pump(String id, String from, String to) {
        return new Link(
                id,
                from,
                to,
                new Element.Pump(Element.curve(List.of(
                        new PumpCurve.Point(0, DEAD),
                        new PumpCurve.Point(FREE / 2, DEAD / 2),
                        new PumpCurve.Point(FREE, 0)))));
    }

    private static Element.Resistance square(double pa, double at) {
        return new Element.Resistance(0, pa / (at * at));
    }

    /** The rail stands at its setting; the pump gives what its curve says there, and the rest goes back. */
    @ParameterizedTest
    @ValueSource(doubles = {1e-6, 1e-5, 1.5e-5})
    void aBypassRegulatorHoldsTheRailAtThreeDemands(double demand) {
        double set = 300_000;
        NetworkSolution s = Network.of(problem(
                        List.of(tank("tank", 0), engine(demand), free("return"), tank("back", 0)),
                        pump("pump", "tank", "rail"),
                        new Link(
                                "regulator",
                                "rail",
                                "return",
                                new Element.Regulator(Holds.UPSTREAM, set, square(1000, 1e-5))),
                        new Link("line", "return", "back", square(5000, 1e-5))))
                .solve();
        double pumped = FREE * (1 - set / DEAD);
        assertThat(s.state("regulator")).isEqualTo(LinkState.REGULATING);
        assertThat(s.pressure("rail").getAsDouble()).isCloseTo(set, Offset.offset(0.1));
        assertThat(s.flow("pump")).isCloseTo(pumped, FLOW);
        assertThat(s.flow("regulator")).isCloseTo(pumped - demand, FLOW);
        assertThat(s.pressure("return").getAsDouble())
                .isCloseTo(5000 * Math.pow((pumped - demand) / 1e-5, 2), Offset.offset(1.0));
    }

    /** Where demand is more than the pump gives at the setting, the regulator is shut and the pressure falls. */
    @Test
    void aStarvedRailFallsUnderItsSetting() {
        double demand = 4e-5;
        NetworkSolution s = Network.of(problem(
                        List.of(tank("tank", 0), engine(demand), tank("back", 0)),
                        pump("pump", "tank", "rail"),
                        new Link(
                                "regulator",
                                "rail",
                                "back",
                                new Element.Regulator(Holds.UPSTREAM, 300_000, square(1000, 1e-5)))))
                .solve();
        assertThat(s.state("regulator")).isEqualTo(LinkState.HELD_SHUT);
        assertThat(s.pressure("rail").getAsDouble()).isCloseTo(DEAD * (1 - demand / FREE), Offset.offset(1.0));
    }

    /** A return too small for the spill: the regulator stands open and the rail rises over its setting. */
    @Test
    void anUndersizedReturnRaisesTheRail() {
        double b = 2e15;
        NetworkSolution s = Network.of(problem(
                        List.of(tank("tank", 0), engine(0), free("return"), tank("back", 0)),
                        pump("pump", "tank", "rail"),
                        new Link(
                                "regulator",
                                "rail",
                                "return",
                                new Element.Regulator(Holds.UPSTREAM, 100_000, new Element.Resistance(0, 0))),
                        new Link("line", "return", "back", new Element.Resistance(0, b))))
                .solve();
        double q = s.flow("pump");
        assertThat(s.state("regulator")).isEqualTo(LinkState.OPEN);
        assertThat(s.pressure("rail").getAsDouble()).isGreaterThan(200_000).isCloseTo(b * q * q, Offset.offset(2.0));
        assertThat(q).isCloseTo(FREE * (1 - s.pressure("rail").getAsDouble() / DEAD), FLOW);
    }

    @ParameterizedTest
    @ValueSource(doubles = {1e-6, 8e-6, 2e-5})
    void anInLineRegulatorHoldsWhatLiesBehindIt(double demand) {
        NetworkSolution s = Network.of(problem(
                        List.of(tank("tank", 0), free("before"), engine(demand)),
                        pump("pump", "tank", "before"),
                        new Link(
                                "regulator",
                                "before",
                                "rail",
                                new Element.Regulator(Holds.DOWNSTREAM, 25_000, square(1000, 1e-5)))))
                .solve();
        assertThat(s.pressure("rail").getAsDouble()).isCloseTo(25_000, Offset.offset(0.1));
        assertThat(s.pressure("before").getAsDouble()).isCloseTo(DEAD * (1 - demand / FREE), Offset.offset(1.0));
    }

    /** Two equal pumps through check valves share alike; one that stands is neither fed nor run backwards. */
    @Test
    void twoPumpsThroughCheckValvesShareAlike() {
        double demand = 2e-5;
        Element check = new Element.Check(300, square(500, 1e-5));
        NetworkSolution both = Network.of(problem(
                        List.of(tank("tank", 0), free("a"), free("b"), engine(demand)),
                        pump("one", "tank", "a"),
                        pump("two", "tank", "b"),
                        new Link("ca", "a", "rail", check),
                        new Link("cb", "b", "rail", check)))
                .solve();
        double each = demand / 2;
        assertThat(both.flow("one")).isCloseTo(each, FLOW);
        assertThat(both.flow("two")).isCloseTo(each, FLOW);
        assertThat(both.pressure("rail").getAsDouble())
                .isCloseTo(DEAD * (1 - each / FREE) - 300 - 500, Offset.offset(1.0));
        NetworkSolution alone = Network.of(problem(
                        List.of(tank("tank", 0), free("a"), free("b"), engine(demand)),
                        pump("one", "tank", "a"),
                        new Link("two", "tank", "b", square(2000, 1e-5)),
                        new Link("ca", "a", "rail", check),
                        new Link("cb", "b", "rail", check)))
                .solve();
        assertThat(alone.state("cb")).isEqualTo(LinkState.HELD_SHUT);
        assertThat(alone.flow("two")).isCloseTo(0, FLOW);
        assertThat(alone.pressure("rail").getAsDouble())
                .isCloseTo(DEAD * (1 - demand / FREE) - 300 - 2000, Offset.offset(1.0));
    }

    /** Down a line, up over a hump and down again: only the ends count while the line stays full. */
    @Test
    void aSiphonPullsOverAHumpOnTheHeightOfItsEnds() {
        double b = 1e14;
        NetworkSolution s = Network.of(problem(
                        List.of(tank("high", 0.5), new Node("hump", 0.9, Boundary.NONE), tank("low", -0.7)),
                        new Link("up", "high", "hump", new Element.Resistance(0, b)),
                        new Link("down", "hump", "low", new Element.Resistance(0, b))))
                .solve();
        assertThat(s.flow("up")).isCloseTo(Math.sqrt(720 * G * 1.2 / (2 * b)), Offset.offset(1e-9));
        assertThat(s.pressure("hump").getAsDouble())
                .isCloseTo(720 * G * (0.5 - 0.9) - 720 * G * 1.2 / 2, Offset.offset(1.0));
    }

    /** The linear law of a jet: no lift left at twice the nozzle's flow, a fifth of its drop at none (from memory). */
    @Test
    void aJetLiftsByItsLinearLaw() {
        double nozzleDrop = 40_000;
        Element.Resistance nozzle = square(nozzleDrop, 2e-5);
        NetworkSolution open = Network.of(problem(
                        List.of(
                                new Node("drive", 0, new Boundary.Pressure(nozzleDrop)),
                                tank("out", 0),
                                tank("sump", 0)),
                        new Link("nozzle", "drive", "out", nozzle),
                        new Link("suction", "sump", "out", new Element.Jet("nozzle", 2, 0.2))))
                .solve();
        assertThat(open.flow("nozzle")).isCloseTo(2e-5, Offset.offset(1e-9));
        // the line is rounded off where it ends: within 2 % past twice the nozzle's flow nothing is left of the lift
        assertThat(open.flow("suction")).isBetween(2 * 2e-5, 1.02 * 2 * 2e-5);
        double half = 0.2 * nozzleDrop / 2 / (720 * G);
        NetworkSolution lifting = Network.of(problem(
                        List.of(
                                new Node("drive", 0, new Boundary.Pressure(nozzleDrop)),
                                tank("out", 0),
                                tank("sump", -half)),
                        new Link("nozzle", "drive", "out", nozzle),
                        new Link("suction", "sump", "out", new Element.Jet("nozzle", 2, 0.2))))
                .solve();
        assertThat(lifting.flow("suction")).isCloseTo(2e-5, Offset.offset(1e-8));
    }

    /**
     * A free fall into a body whose level is unknown: what falls in leaves, and the fall starts at ambient pressure.
     */
    @Test
    void whatFallsIntoAHeaderLeavesIt() {
        double b = 1e14;
        NetworkSolution s = Network.of(problem(
                        List.of(
                                tank("tank", 1),
                                new Node("lip", 0.3, Boundary.NONE),
                                new Node("body", 0, Boundary.NONE),
                                tank("engine", -0.6)),
                        new Link("in", "tank", "lip", new Element.Resistance(0, b)),
                        new Link(
                                "fall",
                                "lip",
                                "body",
                                new Element.Regulator(Holds.UPSTREAM, 0, new Element.Resistance(0, 0))),
                        new Link("out", "body", "engine", new Element.Resistance(0, b))))
                .solve();
        double in = Math.sqrt(720 * G * 0.7 / b);
        assertThat(s.state("fall")).isEqualTo(LinkState.REGULATING);
        assertThat(s.flow("in")).isCloseTo(in, Offset.offset(1e-9));
        assertThat(s.flow("out")).isCloseTo(in, Offset.offset(1e-9));
        assertThat(s.pressure("body").getAsDouble()).isCloseTo(b * in * in - 720 * G * 0.6, Offset.offset(1.0));
    }

    /**
     * Without motive flow a jet is its passage, and past its line it is no choke (recomputed: 29.6 gph came of
     * nothing).
     */
    @Test
    void aJetWithoutMotiveFlowDrawsNothing() {
        Element.Resistance passage = square(1000, 2e-5);
        NetworkSolution none = Network.of(problem(
                        List.of(tank("drive", 0), tank("out", 0), tank("sump", 0)),
                        new Link("nozzle", "drive", "out", square(40_000, 2e-5)),
                        new Link("suction", "sump", "out", new Element.Jet("nozzle", 2, 0.2, passage))))
                .solve();
        assertThat(none.flow("suction")).isCloseTo(0, Offset.offset(1e-9));
        double before = -1;
        for (double motive : new double[] {1e-9, 1e-8, 1e-7, 1e-6, 1e-5}) {
            double drop = 40_000 * Math.pow(motive / 2e-5, 2);
            NetworkSolution s = Network.of(problem(
                            List.of(new Node("drive", 0, new Boundary.Pressure(drop)), tank("out", 0), tank("sump", 0)),
                            new Link("nozzle", "drive", "out", square(40_000, 2e-5)),
                            new Link("suction", "sump", "out", new Element.Jet("nozzle", 2, 0.2, passage))))
                    .solve();
            assertThat(s.flow("suction")).isBetween(0.0, 2.05 * motive).isGreaterThanOrEqualTo(before);
            before = s.flow("suction");
        }
        NetworkSolution pushed = Network.of(problem(
                        List.of(new Node("drive", 0, new Boundary.Pressure(40)), tank("out", 0), tank("sump", 1)),
                        new Link("nozzle", "drive", "out", square(40_000, 2e-5)),
                        new Link("suction", "sump", "out", new Element.Jet("nozzle", 2, 0.2, passage))))
                .solve();
        assertThat(pushed.flow("suction"))
                .as("a head of a metre through the passage")
                .isCloseTo(2e-5 * Math.sqrt(720 * G / 1000), Offset.offset(1e-7));
    }
}
