package ration.model;

import java.util.List;
import ration.geometry.Point2;
import ration.geometry.Solid;

/** The inside of a tank, in aircraft axes. */
public sealed interface TankShape {

    /** The closed solid; throws IllegalArgumentException with the reason where the measures do not close one. */
    Solid solid();

    /** The side section, station and water line, metres. */
    List<Point2> section();

    /** Butt line of the left and right wall, metres. */
    double left();

    double right();

    /**
     * A rectangular box.
     *
     * @param corner its lower, forward, left corner
     */
    record Box(Place corner, Measured length, Measured width, Measured height) implements TankShape {
        @Override
        public Solid solid() {
            return Solid.prism(section(), left(), right());
        }

        @Override
        public List<Point2> section() {
            double x = corner.station().si();
            double z = corner.waterLine().si();
            return List.of(new Point2(x, z), new Point2(x + length.si(), z),
                    new Point2(x + length.si(), z + height.si()), new Point2(x, z + height.si()));
        }

        @Override
        public double left() {
            return corner.buttLine().si();
        }

        @Override
        public double right() {
            return left() + width.si();
        }
    }

    /** A side section drawn straight across from one butt line to another. */
    record Prism(List<Corner> corners, Measured leftWall, Measured rightWall) implements TankShape {
        public Prism {
            corners = List.copyOf(corners);
        }

        @Override
        public Solid solid() {
            return Solid.prism(section(), left(), right());
        }

        @Override
        public List<Point2> section() {
            return corners.stream().map(c -> new Point2(c.station().si(), c.waterLine().si())).toList();
        }

        @Override
        public double left() {
            return leftWall.si();
        }

        @Override
        public double right() {
            return rightWall.si();
        }
    }

    /** The same shape higher by so much, m. */
    default TankShape raised(double metres) {
        if (this instanceof Box box) {
            return new Box(box.corner.raised(metres), box.length, box.width, box.height);
        }
        Prism prism = (Prism) this;
        return new Prism(prism.corners.stream().map(c -> new Corner(c.station, c.waterLine.plus(metres))).toList(),
                prism.leftWall, prism.rightWall);
    }

    /** A corner of a section as measured. */
    record Corner(Measured station, Measured waterLine) {
    }
}
