package ration.model;

import java.util.List;

/**
 * The line from the top of a tank to its vent tip.
 *
 * @param bore   inside
 * @param length along it
 * @param tip    pressure coefficient of the tip: 1 into the wind, 0 neutral, below it sucks
 * @param ball   whether a check ball or rollover valve sits in it
 * @param points measured points from the tank to the tip, the first where it leaves the tank; may be empty
 */
public record VentLine(Measured bore, Measured length, Measured tip, boolean ball, List<Place> points) {
    public VentLine {
        points = List.copyOf(points);
    }

    public VentLine withBore(Measured other) {
        return new VentLine(other, length, tip, ball, points);
    }

    public VentLine withLength(Measured other) {
        return new VentLine(bore, other, tip, ball, points);
    }

    public VentLine withTip(Measured other) {
        return new VentLine(bore, length, other, ball, points);
    }

    public VentLine withBall(boolean other) {
        return new VentLine(bore, length, tip, other, points);
    }

    public VentLine withPoints(List<Place> other) {
        return new VentLine(bore, length, tip, ball, other);
    }
}
