package ration.desktop.control;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;

/**
 * The heights a box has worked out for the last few widths. A box of wrapping texts is asked for its least and its
 * preferred height by each box around it, and each of those by the next: the work doubles with every box in the nest,
 * unless each remembers what it said.
 */
final class Sizes {

    private static final int KEPT = 4;

    private final double[] widths = new double[KEPT];
    private final double[] heights = new double[KEPT];
    private int next;

    Sizes() {
        forget();
    }

    /** What lies in the box has changed. */
    void forget() {
        Arrays.fill(widths, Double.NaN);
    }

    double of(double width, DoubleUnaryOperator height) {
        for (int i = 0; i < KEPT; i++) {
            if (widths[i] == width) {
                return heights[i];
            }
        }
        double answer = height.applyAsDouble(width);
        widths[next] = width;
        heights[next] = answer;
        next = (next + 1) % KEPT;
        return answer;
    }
}
