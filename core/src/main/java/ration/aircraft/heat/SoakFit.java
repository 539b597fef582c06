package ration.aircraft.heat;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Zone coefficients from a logged soak, by least squares (Levenberg and Marquardt): how high the soak rises, how fast
 * it fades, how much each part lags.
 *
 * @param soakOver K
 * @param fade s
 * @param lags of the channels in their order, s
 * @param error root mean square difference, K
 * @param steps the optimizer took
 */
public record SoakFit(double soakOver, double fade, List<Double> lags, double error, int steps) {

    private static final int MOST = 200;
    /** The search starts from no less, K or s: a soak said to be nothing has no logarithm. */
    private static final double LEAST = 1;

    public SoakFit {
        lags = List.copyOf(lags);
    }

    /**
     * A logged part.
     *
     * @param model its soak as predicted now: the fit starts from it
     * @param seconds after shutdown, rising
     * @param kelvin read then
     */
    public record Channel(Soak model, double[] seconds, double[] kelvin) {}

    /**
     * Fits all channels together.
     *
     * @throws IllegalArgumentException with a sentence where there is too little to fit
     */
    public static SoakFit of(List<Channel> channels) {
        int readings = channels.stream().mapToInt(c -> c.seconds().length).sum();
        int unknowns = 2 + channels.size();
        if (channels.isEmpty() || readings < unknowns + 2) {
            throw new IllegalArgumentException(
                    "There are too few readings to fit: " + readings + " for " + unknowns + " unknowns.");
        }
        double[] start = new double[unknowns];
        start[0] = Math.log(Math.max(LEAST, channels.get(0).model().soakOver()));
        start[1] = Math.log(Math.max(LEAST, channels.get(0).model().fade()));
        for (int i = 0; i < channels.size(); i++) {
            start[2 + i] = Math.log(Math.max(LEAST, channels.get(i).model().lag()));
        }
        double[] target = channels.stream()
                .flatMapToDouble(c -> java.util.Arrays.stream(c.kelvin()))
                .toArray();
        LeastSquaresOptimizer.Optimum best;
        try {
            best = new LevenbergMarquardtOptimizer()
                    .optimize(new LeastSquaresBuilder()
                            .start(start)
                            .target(target)
                            .weight(new DiagonalMatrix(java.util.stream.DoubleStream.generate(() -> 1)
                                    .limit(target.length)
                                    .toArray()))
                            .model(p -> model(channels, p))
                            .lazyEvaluation(false)
                            .maxEvaluations(MOST)
                            .maxIterations(MOST)
                            .build());
        } catch (org.hipparchus.exception.MathRuntimeException e) {
            throw new IllegalArgumentException(
                    "The fit did not settle: the log does not look like a soak after shutdown. Check"
                            + " the columns, the units and when the engine was stopped.",
                    e);
        }
        RealVector p = best.getPoint();
        List<Double> lags = new java.util.ArrayList<>();
        for (int i = 0; i < channels.size(); i++) {
            lags.add(Math.exp(p.getEntry(2 + i)));
        }
        return new SoakFit(Math.exp(p.getEntry(0)), Math.exp(p.getEntry(1)), lags, best.getRMS(), best.getIterations());
    }

    private static Pair<RealVector, org.hipparchus.linear.RealMatrix> model(List<Channel> channels, RealVector p) {
        double[] now = values(channels, p.toArray());
        double[][] slope = new double[now.length][p.getDimension()];
        for (int k = 0; k < p.getDimension(); k++) {
            double[] moved = p.toArray();
            moved[k] += 1e-5;
            double[] then = values(channels, moved);
            for (int i = 0; i < now.length; i++) {
                slope[i][k] = (then[i] - now[i]) / 1e-5;
            }
        }
        return new Pair<>(new ArrayRealVector(now, false), new Array2DRowRealMatrix(slope, false));
    }

    private static double[] values(List<Channel> channels, double[] p) {
        double[] all =
                new double[channels.stream().mapToInt(c -> c.seconds().length).sum()];
        int at = 0;
        for (int i = 0; i < channels.size(); i++) {
            Channel c = channels.get(i);
            Soak soak = new Soak(
                    c.model().outside(),
                    c.model().startOver(),
                    Math.exp(p[0]),
                    Math.exp(p[1]),
                    Math.exp(p[2 + i]),
                    c.model().start());
            for (double s : c.seconds()) {
                all[at++] = soak.at(s);
            }
        }
        return all;
    }
}
