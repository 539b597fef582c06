package ration.aircraft.model;

import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import ration.base.quantity.Measured;

/**
 * The copper that brings a pump its current, and takes it back.
 *
 * @param gauge American wire gauge, an even number from 12 to 22
 * @param length there and back, wire and ground together
 */
public record Wire(Measured gauge, Measured length) {

    /** Ohms a meter by gauge: copper wire tables, ohms per 1,000 ft, from memory. */
    private static final Map<Integer, Double> OHMS = new TreeMap<>(Map.of(
            22,
            16.14 / 304.8,
            20,
            10.15 / 304.8,
            18,
            6.385 / 304.8,
            16,
            4.016 / 304.8,
            14,
            2.525 / 304.8,
            12,
            1.588 / 304.8));

    /** The largest breaker that protects it, A (handbook of the trade, from memory); none is known for others. */
    private static final Map<Integer, Double> BREAKER =
            new TreeMap<>(Map.of(22, 5.0, 20, 7.5, 18, 10.0, 16, 15.0, 14, 20.0));

    /** Resistance there and back, ohm; empty for a gauge that is not in the table. */
    public OptionalDouble ohms() {
        Double each = OHMS.get((int) Math.rint(gauge.si()));
        return each == null ? OptionalDouble.empty() : OptionalDouble.of(each * length.si());
    }

    /** The largest breaker it bears, A; empty for a gauge that is not in the table. */
    public OptionalDouble breaker() {
        Double most = BREAKER.get((int) Math.rint(gauge.si()));
        return most == null ? OptionalDouble.empty() : OptionalDouble.of(most);
    }

    public Wire withGauge(Measured other) {
        return new Wire(other, length);
    }

    public Wire withLength(Measured other) {
        return new Wire(gauge, other);
    }
}
