package ration.solver.network;

import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
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
        /** The flow asked for would take pressures no line bears; the element is named. */
        IMPLAUSIBLE,
        /** Newton steps ran out; the worst element is named. */
        ITERATION_LIMIT
    }

    /** What a link did. */
    public enum LinkState {
        OPEN,
        /** Passes one way only and is held shut by the pressures. */
        HELD_SHUT,
        /** Shut by its setting. */
        SHUT,
        /** A regulator between shut and open to the stop: its setting is held. */
        REGULATING
    }

    /** Evidence: Newton steps, worst mass imbalance in m3/s, worst pressure error in Pa, and where. */
    public record Evidence(int iterations, double massResidual, double pressureResidual, String worst) {}

    private final Status status;
    private final String reason;
    private final Evidence evidence;
    private final Network network;
    private final Figures figures;

    /**
     * The figures by index; empty arrays if there is no answer.
     *
     * @param flows m3/s by link
     * @param states by link
     * @param gauge Pa by node
     * @param piezometric Pa by node
     * @param cutOff by node: nothing sets its pressure
     */
    record Figures(double[] flows, LinkState[] states, double[] gauge, double[] piezometric, boolean[] cutOff) {
        static final Figures NONE =
                new Figures(new double[0], new LinkState[0], new double[0], new double[0], new boolean[0]);
    }

    NetworkSolution(Status status, String reason, Evidence evidence, Network network, Figures figures) {
        this.status = status;
        this.reason = reason;
        this.evidence = evidence;
        this.network = network;
        this.figures = figures;
    }

    /** Whether it answers a network of this structure, in whatever pose. */
    boolean of(Structure structure) {
        return network.structure == structure;
    }

    double flow(int link) {
        return figures.flows[link];
    }

    LinkState state(int link) {
        return figures.states[link];
    }

    double gauge(int node) {
        return figures.gauge[node];
    }

    boolean cutOff(int node) {
        return figures.cutOff[node];
    }

    double piezometric(int node) {
        return figures.piezometric[node];
    }

    /** The same answer, with what each regulator does and all steps counted. */
    NetworkSolution withRegulators(LinkState[] states, int steps) {
        Evidence all = new Evidence(steps, evidence.massResidual, evidence.pressureResidual, evidence.worst);
        return new NetworkSolution(
                status,
                reason,
                all,
                network,
                new Figures(figures.flows, states, figures.gauge, figures.piezometric, figures.cutOff));
    }

    /** The same network, asked for what it cannot give. */
    NetworkSolution refused(String why) {
        return new NetworkSolution(Status.NO_SUPPLY, why, evidence, network, Figures.NONE);
    }

    /** The same network, not answered. */
    NetworkSolution failed(String why) {
        return new NetworkSolution(Status.ITERATION_LIMIT, why, evidence, network, Figures.NONE);
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
        return figures.flows[index(network.linkIndex(), link)];
    }

    /**
     * How the flow through a link answers to small changes of everything else; empty without an answer, or with a jet.
     */
    public Optional<Sensitivity> sensitivity(String link) {
        return Sensitivity.of(network, this, index(network.linkIndex(), link));
    }

    /** Flow of the link at this place in the problem, m3/s. */
    public double flowAt(int link) {
        return figures.flows[link];
    }

    /** Whether anything sets the pressure of the node at this place in the problem. */
    public boolean knownAt(int node) {
        return !figures.cutOff[node];
    }

    /** Gauge pressure of the node at this place in the problem, Pa; only where it is known. */
    public double pressureAt(int node) {
        return figures.gauge[node];
    }

    /** Piezometric pressure of the node at this place in the problem, Pa; only where it is known. */
    public double piezometricAt(int node) {
        return figures.piezometric[node];
    }

    public LinkState state(String link) {
        return figures.states[index(network.linkIndex(), link)];
    }

    /** Gauge pressure, Pa; empty where closed valves cut the node off from everything that would set it. */
    public OptionalDouble pressure(String node) {
        return unlessCutOff(node, figures.gauge);
    }

    /** Pressure plus density x gravity x height, Pa; empty like {@link #pressure}. */
    public OptionalDouble piezometric(String node) {
        return unlessCutOff(node, figures.piezometric);
    }

    private OptionalDouble unlessCutOff(String node, double[] values) {
        int i = index(network.nodeIndex(), node);
        return figures.cutOff[i] ? OptionalDouble.empty() : OptionalDouble.of(values[i]);
    }

    private int index(Map<String, Integer> names, String id) {
        if (!converged()) {
            throw new IllegalStateException("No answer: " + reason);
        }
        Integer i = names.get(id);
        if (i == null) {
            throw new NoSuchElementException("The network has no " + id);
        }
        return i;
    }
}
