package ration.solver.network;

import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import ration.base.fluid.Fluid;

/**
 * A question for the solver.
 *
 * @param fluid the liquid
 * @param gravity size of apparent gravity, m/s2
 * @param law friction law
 * @param nodes ids unique
 * @param links ids unique, ends among the nodes
 */
public record NetworkProblem(Fluid fluid, double gravity, FrictionLaw law, List<Node> nodes, List<Link> links) {

    public NetworkProblem {
        Objects.requireNonNull(fluid);
        Objects.requireNonNull(law);
        nodes = List.copyOf(nodes);
        links = List.copyOf(links);
        if (!(gravity >= 0 && gravity < 1e3)) {
            throw new IllegalArgumentException("Gravity must be zero or more");
        }
        Set<String> seen = new HashSet<>(2 * nodes.size());
        for (Node node : nodes) {
            if (!seen.add(node.id())) {
                throw new IllegalArgumentException("Two nodes are called " + node.id());
            }
        }
        Set<String> names = new HashSet<>(2 * links.size());
        for (Link link : links) {
            if (!names.add(link.id())) {
                throw new IllegalArgumentException("Two links are called " + link.id());
            }
            if (!seen.contains(link.from())
                    || !seen.contains(link.to())
                    || link.from().equals(link.to())) {
                throw new IllegalArgumentException("Link " + link.id() + " must join two nodes of the network");
            }
        }
    }

    /**
     * A node.
     *
     * @param id unique
     * @param height along apparent up, m
     * @param boundary what is known about it
     */
    public record Node(String id, double height, Boundary boundary) {
        public Node {
            if (!Double.isFinite(height)) {
                throw new IllegalArgumentException("Node " + id + " needs a height");
            }
        }
    }

    /** What is known at a node. */
    public sealed interface Boundary {

        /** Nothing leaves or enters here. */
        Boundary NONE = new Demand(0);

        /** This much leaves the network here, m3/s; negative enters. */
        record Demand(double flow) implements Boundary {
            public Demand {
                if (!Double.isFinite(flow)) {
                    throw new IllegalArgumentException("A demand must be a finite flow");
                }
            }
        }

        /** Gauge pressure held here, Pa; whatever flow that takes. */
        record Pressure(double gauge) implements Boundary {
            public Pressure {
                if (!Double.isFinite(gauge)) {
                    throw new IllegalArgumentException("A held pressure must be finite");
                }
            }
        }
    }

    /** An element from one node to another. */
    public record Link(String id, String from, String to, Element element) {
        public Link {
            Objects.requireNonNull(element, "element");
        }
    }
}
