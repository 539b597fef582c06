package ration.model;

import java.util.List;
import java.util.Optional;

/**
 * The line from the top of a tank to its vent tip.
 *
 * @param bore   inside
 * @param length along it
 * @param tip    pressure coefficient of the tip: 1 into the wind, 0 neutral, below it sucks
 * @param ball   whether a check ball or rollover valve sits in it
 * @param to     id of the tank it leads to instead of the open air
 * @param points measured points from the tank to the tip, the first where it leaves the tank; may be empty
 */
public record VentLine(Measured bore, Measured length, Measured tip, boolean ball, Optional<String> to,
        List<Place> points) {
    public VentLine {
        points = List.copyOf(points);
    }

    public VentLine withBore(Measured other) {
        return new VentLine(other, length, tip, ball, to, points);
    }

    public VentLine withLength(Measured other) {
        return new VentLine(bore, other, tip, ball, to, points);
    }

    public VentLine withTip(Measured other) {
        return new VentLine(bore, length, other, ball, to, points);
    }

    public VentLine withBall(boolean other) {
        return new VentLine(bore, length, tip, other, to, points);
    }

    public VentLine withPoints(List<Place> other) {
        return new VentLine(bore, length, tip, ball, to, other);
    }

    public VentLine leadingTo(Optional<String> tank) {
        return new VentLine(bore, length, tip, ball, tank, points);
    }

    /** A line into the open air. */
    public VentLine(Measured bore, Measured length, Measured tip, boolean ball, List<Place> points) {
        this(bore, length, tip, ball, Optional.empty(), points);
    }
}
