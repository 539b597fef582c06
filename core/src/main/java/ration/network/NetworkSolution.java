package ration.network;

import java.util.Map;
import java.util.NoSuchElementException;
import java.util.OptionalDouble;

/**
 * One steady answer with its evidence. Flows and pressures are there only if the status is CONVERGED; no figure in it
 * is ever NaN.
 */
public final class NetworkSolution {

    /** How the solve ended. */
    public enum Status {
        /** Within the tolerances; figures can be used. */
        CONVERGED,
        /** Something asks for fuel that no open path can bring. */
        NO_SUPPLY,
        /** Newton steps ran out; the worst element is named. */
        ITERATION_LIMIT
    }

    /** What a link did. */
    public enum LinkState {
        OPEN,
        /** Passes one way only and is held shut by the pressures. */
        HELD_SHUT,
        /** Shut by its setting. */
        SHUT
    }

    /** Evidence: Newton steps, worst mass imbalance in m3/s, worst pressure error in Pa, and where. */
    public record Evidence(int iterations, double massResidual, double pressureResidual, String worst) {
    }

    private final Status status;
    private final String reason;
    private final Evidence evidence;
    private final Map<String, LinkAnswer> links;
    private final Map<String, NodeAnswer> nodes;

    record LinkAnswer(double flow, LinkState state) {
    }

    record NodeAnswer(double gauge, double piezometric, boolean determined) {
    }

    NetworkSolution(Status status, String reason, Evidence evidence,
            Map<String, LinkAnswer> links, Map<String, NodeAnswer> nodes) {
        this.status = status;
        this.reason = reason;
        this.evidence = evidence;
        this.links = links;
        this.nodes = nodes;
    }

    public Status status() {
        return status;
    }

    public boolean converged() {
        return status == Status.CONVERGED;
    }

    /** A sentence; empty when converged. */
    public String reason() {
        return reason;
    }

    public Evidence evidence() {
        return evidence;
    }

    /** Flow from start to end, m3/s. */
    public double flow(String link) {
        return link(link).flow();
    }

    public LinkState state(String link) {
        return link(link).state();
    }

    /** Gauge pressure, Pa; empty where closed valves cut the node off from everything that would set it. */
    public OptionalDouble pressure(String node) {
        NodeAnswer answer = node(node);
        return answer.determined() ? OptionalDouble.of(answer.gauge()) : OptionalDouble.empty();
    }

    /** Pressure plus density x gravity x height, Pa; empty like {@link #pressure}. */
    public OptionalDouble piezometric(String node) {
        NodeAnswer answer = node(node);
        return answer.determined() ? OptionalDouble.of(answer.piezometric()) : OptionalDouble.empty();
    }

    private LinkAnswer link(String id) {
        return found(links.get(id), id);
    }

    private NodeAnswer node(String id) {
        return found(nodes.get(id), id);
    }

    private <T> T found(T answer, String id) {
        if (!converged()) {
            throw new IllegalStateException("No answer: " + reason);
        }
        if (answer == null) {
            throw new NoSuchElementException("The network has no " + id);
        }
        return answer;
    }
}
