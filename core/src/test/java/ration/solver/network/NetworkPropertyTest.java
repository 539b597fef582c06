package ration.solver.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import ration.solver.network.NetworkProblem.Boundary;
import ration.solver.network.NetworkProblem.Link;
import ration.solver.network.NetworkProblem.Node;
import ration.solver.network.NetworkSolution.LinkState;
import ration.solver.network.NetworkSolution.Status;

/** What must be true of every answer, checked from the outside on thousands of random networks. */
class NetworkPropertyTest {

    @Property(tries = 2000)
    void everyValidNetworkIsAnsweredOrRefusedWithAReason(@ForAll long seed) {
        NetworkProblem problem = new RandomNetworks(seed).next();
        NetworkSolution solution = Network.of(problem).solve();
        assertThat(solution.status())
                .as(solution.reason() + " " + solution.evidence())
                .isNotEqualTo(Status.ITERATION_LIMIT);
        if (solution.status() == Status.NO_SUPPLY) {
            assertThat(solution.reason()).contains("No open path to n");
        }
        if (!solution.converged()) {
            assertThat(solution.reason()).isNotBlank();
            return;
        }
        massBalances(problem, solution);
        pressuresFitTheElements(problem, solution);
    }

    /** Regulators and jets depend on pressures elsewhere: an answer that fits them too, or a reason with a name. */
    @Property(tries = 1300)
    void regulatedNetworksAreAnsweredOrSayWhyNot(@ForAll long seed) {
        NetworkProblem problem = new RandomNetworks(seed, true).next();
        NetworkSolution solution = Network.of(problem).solve();
        if (!solution.converged()) {
            assertThat(solution.reason()).isNotBlank();
            return;
        }
        massBalances(problem, solution);
        pressuresFitTheElements(problem, solution);
        for (Link link : problem.links()) {
            if (link.element() instanceof Element.Regulator r) {
                regulatorDoesWhatItSays(link, r, solution);
            }
        }
    }

    private static void regulatorDoesWhatItSays(Link link, Element.Regulator r, NetworkSolution solution) {
        boolean upstream = r.holds() == Element.Regulator.Holds.UPSTREAM;
        var held = solution.pressure(upstream ? link.from() : link.to());
        if (held.isEmpty()) {
            return;
        }
        double over = held.getAsDouble() - r.gauge();
        switch (solution.state(link.id())) {
            case REGULATING -> assertThat(over).as(link.id() + " holds " + r).isBetween(-1.0, 1.0);
            case OPEN ->
                assertThat(upstream ? over : -over)
                        .as(link.id() + " is open to the stop")
                        .isGreaterThan(-1.0);
            default -> {
                assertThat(solution.flow(link.id())).isBetween(-1e-12, 1e-12);
                var a = solution.piezometric(link.from());
                var b = solution.piezometric(link.to());
                if (a.isPresent() && b.isPresent() && a.getAsDouble() - b.getAsDouble() > 1) {
                    assertThat(upstream ? over : -over)
                            .as(link.id() + " stays shut")
                            .isLessThan(1.0);
                }
            }
        }
    }

    private static void massBalances(NetworkProblem problem, NetworkSolution solution) {
        Map<String, Double> net = new HashMap<>();
        for (Link link : problem.links()) {
            net.merge(link.from(), solution.flow(link.id()), Double::sum);
            net.merge(link.to(), -solution.flow(link.id()), Double::sum);
        }
        for (Node node : problem.nodes()) {
            if (node.boundary() instanceof Boundary.Demand demand) {
                assertThat(net.getOrDefault(node.id(), 0.0) + demand.flow())
                        .as("balance at " + node.id())
                        .isBetween(-1e-9, 1e-9);
            }
        }
    }

    private static void pressuresFitTheElements(NetworkProblem problem, NetworkSolution solution) {
        for (Link link : problem.links()) {
            double q = solution.flow(link.id());
            Element element = link.element();
            if (element.oneWay()) {
                assertThat(q).as(link.id() + " passes one way").isGreaterThanOrEqualTo(-1e-11);
            }
            if (solution.state(link.id()) == LinkState.SHUT) {
                assertThat(q).isZero();
            }
            var a = solution.piezometric(link.from());
            var b = solution.piezometric(link.to());
            if (a.isEmpty() || b.isEmpty()) {
                continue;
            }
            if (element instanceof Element.Jet) {
                continue;
            }
            double difference = a.getAsDouble() - b.getAsDouble();
            double loss = element.loss(q, problem.fluid(), problem.law());
            if (solution.state(link.id()) == LinkState.OPEN) {
                assertThat(difference - loss).as(link.id() + " " + element).isBetween(-1.0, 1.0);
            } else if (solution.state(link.id()) == LinkState.HELD_SHUT && !(element instanceof Element.Regulator)) {
                assertThat(difference).as(link.id() + " is held shut").isLessThanOrEqualTo(loss + 1);
            }
        }
    }

    /**
     * The same network in another pose, begun at an answer that lies near, comes to the answer it comes to from
     * nothing.
     */
    @Property(tries = 1600)
    void anAnswerNearbyLeadsToTheSameAnswer(@ForAll long seed) {
        NetworkProblem problem = new RandomNetworks(seed).next();
        Network network = Network.of(problem);
        NetworkSolution near = network.solve();
        Random random = new Random(seed);
        List<Node> moved = problem.nodes().stream()
                .map(n -> new Node(
                        n.id(),
                        n.height() + random.nextDouble() - 0.5,
                        n.boundary() instanceof Boundary.Pressure p
                                ? new Boundary.Pressure(p.gauge() + 2000 * random.nextDouble())
                                : n.boundary()))
                .toList();
        Network posed = network.posed(problem.gravity(), moved);
        NetworkSolution warm = posed.solve(SolverSettings.USUAL, near);
        NetworkSolution cold = Network.of(
                        new NetworkProblem(problem.fluid(), problem.gravity(), problem.law(), moved, problem.links()))
                .solve();
        assertThat(warm.status()).isEqualTo(cold.status());
        if (cold.converged()) {
            for (Link link : problem.links()) {
                // a flow follows from its pressure drop but where next to nothing is lost, or where valves cut off what
                // lies
                // between them: there the drops must agree within the tolerances of the two answers
                OptionalDouble apart = apart(cold, warm, link);
                assertThat(apart.isEmpty()
                                || apart.getAsDouble() < 2 * SolverSettings.PRESSURE_TOLERANCE
                                || Math.abs(warm.flow(link.id()) - cold.flow(link.id()))
                                        < 2 * SolverSettings.MASS_TOLERANCE)
                        .as(link + ": " + cold.flow(link.id()) + " and " + warm.flow(link.id()) + ", drops differ by "
                                + apart)
                        .isTrue();
            }
        }
    }

    /** By how much the pressure over a link differs between two answers, Pa; empty where one does not know it. */
    private static OptionalDouble apart(NetworkSolution a, NetworkSolution b, Link link) {
        double sum = 0;
        for (NetworkSolution s : List.of(a, b)) {
            OptionalDouble from = s.piezometric(link.from());
            OptionalDouble to = s.piezometric(link.to());
            if (from.isEmpty() || to.isEmpty()) {
                return OptionalDouble.empty();
            }
            sum += (s == a ? 1 : -1) * (from.getAsDouble() - to.getAsDouble());
        }
        return OptionalDouble.of(Math.abs(sum));
    }

    @Property(tries = 100)
    void theSameProblemGivesTheSameAnswer(@ForAll long seed) {
        NetworkProblem problem = new RandomNetworks(seed).next();
        Network network = Network.of(problem);
        NetworkSolution once = network.solve();
        NetworkSolution again = network.solve();
        assertThat(again.evidence()).isEqualTo(once.evidence());
        if (once.converged()) {
            for (Link link : problem.links()) {
                assertThat(again.flow(link.id())).isEqualTo(once.flow(link.id()));
            }
        }
    }
}
