package ration.aircraft.model;

import java.util.List;
import java.util.Optional;
import ration.base.quantity.Measured;

/**
 * The line from the top of a tank to its vent tip.
 *
 * @param bore inside
 * @param length along it
 * @param tip pressure coefficient of the tip: 1 into the wind, 0 neutral, below it sucks
 * @param ball whether a check ball or rollover valve sits in it
 * @param to id of the tank or plenum it leads to instead of the open air
 * @param points measured points from the tank or plenum to the tip, the first where it leaves it; may be empty
 * @param pieces what its air passes beside the line, from the tank to the tip
 */
public record VentLine(
        Measured bore,
        Measured length,
        Measured tip,
        boolean ball,
        Optional<String> to,
        List<Place> points,
        List<VentPiece> pieces) {
    public VentLine {
        points = List.copyOf(points);
        pieces = List.copyOf(pieces);
    }

    public VentLine withBore(Measured other) {
        return new VentLine(other, length, tip, ball, to, points, pieces);
    }

    public VentLine withLength(Measured other) {
        return new VentLine(bore, other, tip, ball, to, points, pieces);
    }

    public VentLine withTip(Measured other) {
        return new VentLine(bore, length, other, ball, to, points, pieces);
    }

    public VentLine withBall(boolean other) {
        return new VentLine(bore, length, tip, other, to, points, pieces);
    }

    public VentLine withPoints(List<Place> other) {
        return new VentLine(bore, length, tip, ball, to, other, pieces);
    }

    public VentLine leadingTo(Optional<String> other) {
        return new VentLine(bore, length, tip, ball, other, points, pieces);
    }

    public VentLine withPieces(List<VentPiece> other) {
        return new VentLine(bore, length, tip, ball, to, points, other);
    }

    /** The vent line of an item as said; empty for what has none. */
    public static Optional<VentLine> of(Item item) {
        return item.as(new SomeKinds<Optional<VentLine>>() {
            @Override
            public Optional<VentLine> otherwise(Item other) {
                return Optional.empty();
            }

            @Override
            public Optional<VentLine> tank(Tank tank) {
                return tank.fitout().vent();
            }

            @Override
            public Optional<VentLine> ventPlenum(VentPlenum plenum) {
                return Optional.of(plenum.line());
            }
        });
    }

    /** A line into the open air. */
    public VentLine(Measured bore, Measured length, Measured tip, boolean ball, List<Place> points) {
        this(bore, length, tip, ball, Optional.empty(), points, List.of());
    }

    /** A line with nothing in it. */
    public VentLine(
            Measured bore, Measured length, Measured tip, boolean ball, Optional<String> to, List<Place> points) {
        this(bore, length, tip, ball, to, points, List.of());
    }
}
