package ration.answer.assess;

import java.util.Comparator;
import java.util.function.ToDoubleFunction;

/**
 * Figures that agree to seven digits count as equal when the worst of several is sought. Left and right of a symmetric
 * aircraft differ by rounding alone: the first stays the first, whichever way that falls.
 */
final class Ties {

    private Ties() {}

    static double rounded(double figure) {
        return (float) figure;
    }

    /** Least first; equal ones stay in their order. */
    static <T> Comparator<T> least(ToDoubleFunction<T> figure) {
        return Comparator.comparingDouble(t -> rounded(figure.applyAsDouble(t)));
    }
}
