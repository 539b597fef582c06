package ration.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.geometry.Point3;
import ration.geometry.Solid;

/**
 * What is built into a tank beside its shell, and what its maker says of it.
 *
 * @param wells     sump wells under its floor
 * @param ribs      walls that divide it into bays, in order
 * @param filler    lip of the filler opening; the tank is full at most to it
 * @param gauge     foot of the sight tube or dipstick; readings are heights above it
 * @param published unusable fuel the maker states
 * @param vent      its vent line, where that is known
 */
public record Fitout(List<Well> wells, List<Rib> ribs, Optional<Place> filler, Optional<Place> gauge,
        Optional<Measured> published, Optional<VentLine> vent) {

    /** A bare shell. */
    public static final Fitout NONE = new Fitout(List.of(), List.of(), Optional.empty(), Optional.empty(), Optional.empty(),
            Optional.empty());

    public Fitout {
        wells = List.copyOf(wells);
        ribs = List.copyOf(ribs);
    }

    public Fitout withWells(List<Well> other) {
        return new Fitout(other, ribs, filler, gauge, published, vent);
    }

    public Fitout withRibs(List<Rib> other) {
        return new Fitout(wells, other, filler, gauge, published, vent);
    }

    public Fitout withFiller(Optional<Place> other) {
        return new Fitout(wells, ribs, other, gauge, published, vent);
    }

    public Fitout withGauge(Optional<Place> other) {
        return new Fitout(wells, ribs, filler, other, published, vent);
    }

    public Fitout withPublished(Optional<Measured> other) {
        return new Fitout(wells, ribs, filler, gauge, other, vent);
    }

    public Fitout withVent(Optional<VentLine> other) {
        return new Fitout(wells, ribs, filler, gauge, published, other);
    }

    Fitout raised(double metres) {
        return new Fitout(wells.stream().map(w -> new Well(w.floor.raised(metres), w.length, w.width)).toList(),
                ribs.stream().map(r -> new Rib(r.at, r.openings.stream().map(o -> new Opening(o.along,
                        o.waterLine.plus(metres), o.passes)).toList())).toList(),
                filler.map(f -> f.raised(metres)), gauge.map(g -> g.raised(metres)), published, vent.map(v -> v.withPoints(
                v.points().stream().map(p -> p.raised(metres)).toList())));
    }

    /** The shell and its wells as one solid. */
    Solid with(Solid shell) {
        if (wells.isEmpty()) {
            return shell;
        }
        List<Solid> parts = new ArrayList<>(List.of(shell));
        wells.forEach(w -> parts.add(w.solid(shell)));
        return Solid.joined(parts);
    }

    /**
     * A sump well: a small box hung under the floor, open to the tank.
     *
     * @param floor  middle of its floor
     * @param length nose to tail
     */
    public record Well(Place floor, Measured length, Measured width) {

        /** Whether a place lies over its floor. */
        public boolean covers(Point3 p) {
            return Math.abs(p.x() - floor.point().x()) <= length.si() / 2 && Math.abs(p.y() - floor.point().y()) <= width.si() / 2;
        }

        /** Whether two wells would lie in one another. */
        public boolean meets(Well other) {
            return Math.abs(other.floor.point().x() - floor.point().x()) < (length.si() + other.length.si()) / 2 - 1e-9
                    && Math.abs(other.floor.point().y() - floor.point().y()) < (width.si() + other.width.si()) / 2 - 1e-9;
        }

        /** From its floor to where its four uprights meet the tank's floor. */
        Solid solid(Solid shell) {
            Point3 f = floor.point();
            double a = length.si() / 2;
            double b = width.si() / 2;
            List<Point3> foot = List.of(f.plus(new Point3(-a, -b, 0)), f.plus(new Point3(a, -b, 0)), f.plus(new Point3(a, b, 0)),
                    f.plus(new Point3(-a, b, 0)));
            List<Point3> top = new ArrayList<>();
            for (Point3 p : foot) {
                OptionalDouble skin = shell.floorAt(p.x(), p.y());
                if (skin.isEmpty() || !(skin.getAsDouble() > p.z() + 1e-6)) {
                    throw new IllegalArgumentException("The sump well does not hang under the tank: its corner at station "
                            + Place.estimated(p).station().quantity().shown() + ", butt line "
                            + Place.estimated(p).buttLine().quantity().shown() + " meets no floor above it.");
                }
                top.add(new Point3(p.x(), p.y(), skin.getAsDouble()));
            }
            return Solid.loft(List.of(foot, top));
        }
    }

    /**
     * A rib across the span, at a butt line.
     *
     * @param openings limber holes and flapper doors; none makes a tight wall
     */
    public record Rib(Measured at, List<Opening> openings) {
        public Rib {
            openings = List.copyOf(openings);
        }
    }

    /**
     * A hole in a rib.
     *
     * @param along     its station
     * @param waterLine of its lowest edge
     */
    public record Opening(Measured along, Measured waterLine, Passes passes) {
    }

    /** Which way fuel can go through an opening. */
    public enum Passes {
        BOTH_WAYS("Limber hole"), TO_THE_LEFT("Flapper, opens to the left"), TO_THE_RIGHT("Flapper, opens to the right");

        private final String label;

        Passes(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
