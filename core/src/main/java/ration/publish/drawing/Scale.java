package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;

/**
 * A straight scale from values to pixels with round ticks.
 *
 * @param low value at the first pixel
 * @param high value at the last
 * @param fromPx first pixel
 * @param toPx last pixel; less than the first on an upright axis
 */
record Scale(double low, double high, double fromPx, double toPx) {

    double at(double value) {
        return fromPx + (value - low) / (high - low) * (toPx - fromPx);
    }

    /** Round values at least so many pixels apart. */
    List<Double> ticks(double leastPx) {
        double perPx = (high - low) / Math.abs(toPx - fromPx);
        double wanted = Math.max(perPx * leastPx, 1e-12);
        double ten = Math.pow(10, Math.floor(Math.log10(wanted)));
        double step = 10 * ten;
        for (double k : new double[] {1, 2, 5}) {
            if (k * ten >= wanted) {
                step = k * ten;
                break;
            }
        }
        List<Double> ticks = new ArrayList<>();
        for (double k = Math.ceil(low / step - 1e-9); k * step <= high + 1e-9 * step; k++) {
            ticks.add(k * step);
        }
        return ticks;
    }

    /** Decimals that tell the ticks apart. */
    static int decimals(List<Double> ticks) {
        double step = ticks.size() > 1 ? Math.abs(ticks.get(1) - ticks.get(0)) : 1;
        return step >= 0.999 ? 0 : step >= 0.0999 ? 1 : 2;
    }
}
