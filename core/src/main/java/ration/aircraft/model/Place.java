package ration.aircraft.model;

import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * Where something is, from the aircraft's datum.
 *
 * @param station aft positive
 * @param buttLine right positive
 * @param waterLine up positive
 */
public record Place(Measured station, Measured buttLine, Measured waterLine) {

    public static Place inches(double station, double buttLine, double waterLine) {
        return new Place(
                Measured.of(station, Unit.INCH, "tape"),
                Measured.of(buttLine, Unit.INCH, "tape"),
                Measured.of(waterLine, Unit.INCH, "level"));
    }

    /** A place worked out, not measured. */
    public static Place estimated(Point3 p) {
        return new Place(estimate(p.x()), estimate(p.y()), estimate(p.z()));
    }

    private static Measured estimate(double metres) {
        return new Measured(Quantity.of(Math.round(Unit.INCH.fromSi(metres) * 10) / 10.0, Unit.INCH), "estimate");
    }

    /** The same place higher by so much, m. */
    public Place raised(double metres) {
        return new Place(station, buttLine, waterLine.plus(metres));
    }

    /** In aircraft axes, metres. */
    public Point3 point() {
        return new Point3(station.si(), buttLine.si(), waterLine.si());
    }
}
