package ration.solver.reference;

import java.util.Map;
import ration.solver.network.Element;
import ration.solver.network.FrictionLaw;
import ration.solver.network.Network;
import ration.solver.network.NetworkProblem;
import ration.solver.network.NetworkSolution;

/**
 * One reference case solved under the reference's friction law and under Ration's own.
 *
 * @param reference the case
 * @param same largest relative flow difference under the reference's law
 * @param own largest relative flow difference under Ration's law
 * @param slowest smallest Reynolds number of a flowing pipe under Ration's law, 0 if none flows
 * @param fastest largest Reynolds number of a pipe
 * @param failure why there is no answer, or empty
 */
public record Proof(ReferenceCase reference, double same, double own, double slowest, double fastest, String failure) {

    /** Largest relative difference under the reference's law that still proves the solver. */
    public static final double TOLERANCE = 1e-4;

    /**
     * Flows below this share of the largest in their network are compared with that share instead of with themselves,
     * so that a line that should stand still is not judged by its rounding error.
     */
    public static final double SMALL_SHARE = 1e-3;

    public static Proof of(ReferenceCase reference) {
        NetworkSolution same = Network.of(reference.problem()).solve();
        NetworkProblem ownProblem = reference.under(FrictionLaw.CONSERVATIVE);
        NetworkSolution own = Network.of(ownProblem).solve();
        if (!same.converged() || !own.converged()) {
            return new Proof(
                    reference,
                    Double.MAX_VALUE,
                    Double.MAX_VALUE,
                    0,
                    0,
                    same.converged() ? own.reason() : same.reason());
        }
        double slowest = Double.MAX_VALUE;
        double fastest = 0;
        for (NetworkProblem.Link link : ownProblem.links()) {
            if (link.element() instanceof Element.Pipe pipe) {
                double re = pipe.reynolds(own.flow(link.id()), ownProblem.fluid());
                slowest = re > 1 ? Math.min(slowest, re) : slowest;
                fastest = Math.max(fastest, re);
            }
        }
        return new Proof(
                reference,
                difference(reference.flows(), same),
                difference(reference.flows(), own),
                slowest == Double.MAX_VALUE ? 0 : slowest,
                fastest,
                "");
    }

    public boolean passes() {
        return failure.isEmpty() && same <= TOLERANCE;
    }

    /** Largest relative difference of a solution from expected flows. */
    public static double difference(Map<String, Double> expected, NetworkSolution solution) {
        double largest = expected.values().stream().mapToDouble(Math::abs).max().orElse(0);
        if (largest == 0) {
            return expected.keySet().stream()
                            .mapToDouble(id -> Math.abs(solution.flow(id)))
                            .max()
                            .orElse(0)
                    / 1e-6;
        }
        double worst = 0;
        for (Map.Entry<String, Double> e : expected.entrySet()) {
            double scale = Math.max(Math.abs(e.getValue()), SMALL_SHARE * largest);
            worst = Math.max(worst, Math.abs(solution.flow(e.getKey()) - e.getValue()) / scale);
        }
        return worst;
    }

    /** Why the flows under Ration's law differ, in words. */
    public String explanation() {
        if (fastest < FrictionLaw.LAMINAR_END) {
            return "laminar throughout: the laws are one";
        }
        if (slowest >= FrictionLaw.TURBULENT) {
            return "turbulent: Colebrook against Swamee-Jain";
        }
        return "Re " + Math.round(slowest) + " to " + Math.round(fastest)
                + ": Ration takes the turbulent branch where EPANET blends";
    }
}
