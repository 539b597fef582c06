package ration.network;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import ration.network.NetworkProblem.Boundary;
import ration.network.NetworkProblem.Link;
import ration.network.NetworkProblem.Node;
import ration.network.NetworkSolution.LinkState;
import ration.network.NetworkSolution.Status;

/** What must be true of every answer, checked from the outside on thousands of random networks. */
class NetworkPropertyTest {

    @Property(tries = 6000)
    void everyValidNetworkIsAnsweredOrRefusedWithAReason(@ForAll long seed) {
        NetworkProblem problem = new RandomNetworks(seed).next();
        NetworkSolution solution = Network.of(problem).solve();
        assertThat(solution.status()).as(solution.reason() + " " + solution.evidence())
                .isNotEqualTo(Status.ITERATION_LIMIT);
        if (solution.status() == Status.NO_SUPPLY) {
            assertThat(solution.reason()).contains("brings fuel to n");
            return;
        }
        massBalances(problem, solution);
        pressuresFitTheElements(problem, solution);
    }

    private static void massBalances(NetworkProblem problem, NetworkSolution solution) {
        Map<String, Double> net = new HashMap<>();
        for (Link link : problem.links()) {
            net.merge(link.from(), solution.flow(link.id()), Double::sum);
            net.merge(link.to(), -solution.flow(link.id()), Double::sum);
        }
        for (Node node : problem.nodes()) {
            if (node.boundary() instanceof Boundary.Demand demand) {
                assertThat(net.getOrDefault(node.id(), 0.0) + demand.flow()).as("balance at " + node.id())
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
            double difference = a.getAsDouble() - b.getAsDouble();
            double loss = element.loss(q, problem.fluid(), problem.law());
            if (solution.state(link.id()) == LinkState.OPEN) {
                assertThat(difference - loss).as(link.id() + " " + element).isBetween(-1.0, 1.0);
            } else if (solution.state(link.id()) == LinkState.HELD_SHUT) {
                assertThat(difference).as(link.id() + " is held shut").isLessThanOrEqualTo(loss + 1);
            }
        }
    }

    @Property(tries = 300)
    void denseAndSparseAgree(@ForAll long seed) {
        NetworkProblem problem = new RandomNetworks(seed).next();
        NetworkSolution dense = Network.of(problem).solve(SolverSettings.USUAL.withSparseFrom(100_000));
        NetworkSolution sparse = Network.of(problem).solve(SolverSettings.USUAL.withSparseFrom(0));
        assertThat(sparse.status()).isEqualTo(dense.status());
        if (dense.converged()) {
            for (Link link : problem.links()) {
                assertThat(sparse.flow(link.id())).isCloseTo(dense.flow(link.id()),
                        org.assertj.core.data.Offset.offset(1e-9));
            }
        }
    }

    @Property(tries = 300)
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
