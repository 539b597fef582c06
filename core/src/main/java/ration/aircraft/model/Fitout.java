package ration.aircraft.model;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Measured;

/**
 * What is built into a tank beside its shell, and what its maker says of it.
 *
 * @param wells sump wells under its floor
 * @param ribs walls that divide it into bays, in order
 * @param filler lip of the filler opening; the tank is full at most to it
 * @param gauge foot of the sight tube or dipstick; readings are heights above it
 * @param published unusable fuel the maker states
 * @param vent its vent line, where that is known
 * @param pieces what else is said to be fitted
 */
public record Fitout(
        List<Well> wells,
        List<Rib> ribs,
        Optional<Place> filler,
        Optional<Place> gauge,
        Optional<Measured> published,
        Optional<VentLine> vent,
        Set<Piece> pieces) {

    /** What a tank has or has not. */
    public enum Piece {
        /** A second way in for air that is not closed with the first: a vented cap, another tip. */
        SECOND_AIR,
        LEVEL_SENDER,
        /** A seal under the filler's cap that keeps rain out and fuel in. */
        CAP_SEAL,
        /** A plate over an opening that hands or tools pass: a joint that can leak, and is opened for repairs. */
        ACCESS_PLATE
    }

    /** A bare shell. */
    public static final Fitout NONE =
            new Fitout(List.of(), List.of(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    public Fitout {
        wells = List.copyOf(wells);
        ribs = List.copyOf(ribs);
        pieces = Collections.unmodifiableSet(pieces.isEmpty() ? EnumSet.noneOf(Piece.class) : EnumSet.copyOf(pieces));
    }

    /** With one way in for air at most. */
    public Fitout(
            List<Well> wells,
            List<Rib> ribs,
            Optional<Place> filler,
            Optional<Place> gauge,
            Optional<Measured> published,
            Optional<VentLine> vent) {
        this(wells, ribs, filler, gauge, published, vent, Set.of());
    }

    public boolean has(Piece piece) {
        return pieces.contains(piece);
    }

    /** With a piece, or without it. */
    public Fitout with(Piece piece, boolean fitted) {
        Set<Piece> other = EnumSet.noneOf(Piece.class);
        other.addAll(pieces);
        if (fitted) {
            other.add(piece);
        } else {
            other.remove(piece);
        }
        return new Fitout(wells, ribs, filler, gauge, published, vent, other);
    }

    /** Whether air has a second way in. */
    public boolean secondAir() {
        return has(Piece.SECOND_AIR);
    }

    public Fitout withWells(List<Well> other) {
        return new Fitout(other, ribs, filler, gauge, published, vent, pieces);
    }

    public Fitout withRibs(List<Rib> other) {
        return new Fitout(wells, other, filler, gauge, published, vent, pieces);
    }

    public Fitout withFiller(Optional<Place> other) {
        return new Fitout(wells, ribs, other, gauge, published, vent, pieces);
    }

    public Fitout withGauge(Optional<Place> other) {
        return new Fitout(wells, ribs, filler, other, published, vent, pieces);
    }

    public Fitout withPublished(Optional<Measured> other) {
        return new Fitout(wells, ribs, filler, gauge, other, vent, pieces);
    }

    public Fitout withVent(Optional<VentLine> other) {
        return new Fitout(wells, ribs, filler, gauge, published, other, pieces);
    }

    Fitout raised(double metres) {
        return new Fitout(
                wells.stream()
                        .map(w -> new Well(w.floor.raised(metres), w.length, w.width))
                        .toList(),
                ribs.stream()
                        .map(r -> new Rib(
                                r.at,
                                r.openings.stream()
                                        .map(o -> new Opening(o.along, o.waterLine.plus(metres), o.passes))
                                        .toList()))
                        .toList(),
                filler.map(f -> f.raised(metres)),
                gauge.map(g -> g.raised(metres)),
                published,
                vent.map(v -> v.withPoints(
                        v.points().stream().map(p -> p.raised(metres)).toList())),
                pieces);
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

    /** The corners of shell and wells, in an order that stays. */
    public List<List<Point3>> corners(Solid shell) {
        List<List<Point3>> faces = new ArrayList<>(shell.faces());
        wells.forEach(w -> faces.addAll(w.corners(shell).faces()));
        return faces;
    }

    /**
     * A sump well: a small box hung under the floor, open to the tank.
     *
     * @param floor middle of its floor
     * @param length nose to tail
     */
    public record Well(Place floor, Measured length, Measured width) {

        /** Between bends of the lid under a round floor, m, and how many at most either way. */
        private static final double STEP = 0.00635;

        private static final int MOST_STEPS = 24;
        private static final int MOST_LINES = 40;

        /** Whether a place lies over its floor. */
        public boolean covers(Point3 p) {
            return Math.abs(p.x() - floor.point().x()) <= length.si() / 2
                    && Math.abs(p.y() - floor.point().y()) <= width.si() / 2;
        }

        /** Whether two wells would lie in one another. */
        public boolean meets(Well other) {
            return Math.abs(other.floor.point().x() - floor.point().x()) < (length.si() + other.length.si()) / 2 - 1e-9
                    && Math.abs(other.floor.point().y() - floor.point().y())
                            < (width.si() + other.width.si()) / 2 - 1e-9;
        }

        /**
         * From its floor to the tank's floor, which it follows: its lid bends where the floor has an edge or a curve,
         * so that nothing is counted twice. A quarter of an inch apart at most where the floor is round.
         */
        Solid solid(Solid shell) {
            double[] xs = lines(shell, true);
            double[] ys = lines(shell, false);
            double[][] lid = shell.floorsAt(xs, ys);
            double low = floor.point().z();
            for (int i = 0; i < xs.length; i++) {
                for (int k = 0; k < ys.length; k++) {
                    hangs(lid[i][k], xs[i], ys[k], low);
                }
            }
            List<List<Point3>> faces = new ArrayList<>();
            List<Point3> bottom = new ArrayList<>();
            List<Point3> front = new ArrayList<>();
            List<Point3> back = new ArrayList<>();
            List<Point3> left = new ArrayList<>();
            List<Point3> right = new ArrayList<>();
            int n = xs.length - 1;
            int m = ys.length - 1;
            bottom.addAll(List.of(
                    new Point3(xs[0], ys[0], low),
                    new Point3(xs[0], ys[m], low),
                    new Point3(xs[n], ys[m], low),
                    new Point3(xs[n], ys[0], low)));
            front.addAll(List.of(new Point3(xs[0], ys[m], low), new Point3(xs[0], ys[0], low)));
            back.addAll(List.of(new Point3(xs[n], ys[0], low), new Point3(xs[n], ys[m], low)));
            left.addAll(List.of(new Point3(xs[0], ys[0], low), new Point3(xs[n], ys[0], low)));
            right.addAll(List.of(new Point3(xs[n], ys[m], low), new Point3(xs[0], ys[m], low)));
            for (int k = 0; k <= m; k++) {
                front.add(new Point3(xs[0], ys[k], lid[0][k]));
                back.add(new Point3(xs[n], ys[m - k], lid[n][m - k]));
            }
            for (int i = 0; i <= n; i++) {
                left.add(new Point3(xs[n - i], ys[0], lid[n - i][0]));
                right.add(new Point3(xs[i], ys[m], lid[i][m]));
            }
            faces.addAll(List.of(bottom, front, back, left, right));
            for (int i = 0; i < n; i++) {
                for (int k = 0; k < m; k++) {
                    Point3 a = new Point3(xs[i], ys[k], lid[i][k]);
                    Point3 b = new Point3(xs[i + 1], ys[k], lid[i + 1][k]);
                    Point3 c = new Point3(xs[i + 1], ys[k + 1], lid[i + 1][k + 1]);
                    Point3 d = new Point3(xs[i], ys[k + 1], lid[i][k + 1]);
                    faces.add(List.of(a, b, c));
                    faces.add(List.of(a, c, d));
                }
            }
            return Solid.faceted(faces);
        }

        /** Its corners and the floor over them: what a record of a test knows it by. */
        Solid corners(Solid shell) {
            Point3 f = floor.point();
            double a = length.si() / 2;
            double b = width.si() / 2;
            List<Point3> foot = List.of(
                    f.plus(new Point3(-a, -b, 0)),
                    f.plus(new Point3(a, -b, 0)),
                    f.plus(new Point3(a, b, 0)),
                    f.plus(new Point3(-a, b, 0)));
            return Solid.loft(List.of(
                    foot,
                    foot.stream()
                            .map(p -> new Point3(p.x(), p.y(), floorOver(shell, p.x(), p.y(), f.z())))
                            .toList()));
        }

        private static double floorOver(Solid shell, double x, double y, double low) {
            double skin = shell.floorAt(x, y).orElse(Double.POSITIVE_INFINITY);
            hangs(skin, x, y, low);
            return skin;
        }

        /** Throws where no floor lies over its own. */
        private static void hangs(double skin, double x, double y, double low) {
            if (!(skin > low + 1e-6) || Double.isInfinite(skin)) {
                Place at = Place.estimated(new Point3(x, y, low));
                throw new IllegalArgumentException("The sump well does not hang under the tank: its corner at station "
                        + at.station().quantity().shown() + ", butt line "
                        + at.buttLine().quantity().shown()
                        + " meets no floor above it.");
            }
        }

        /**
         * Where its lid may bend: its walls, the corners of the shell between them, and close steps under a round
         * shell.
         */
        private double[] lines(Solid shell, boolean stations) {
            double middle = stations ? floor.point().x() : floor.point().y();
            double half = (stations ? length.si() : width.si()) / 2;
            java.util.TreeSet<Double> all = new java.util.TreeSet<>(List.of(middle - half, middle + half));
            double step = 2 * half / (shell.round() ? Math.min(MOST_STEPS, Math.ceil(2 * half / STEP)) : 1);
            for (double at = middle - half + step; at < middle + half - 1e-9; at += step) {
                all.add(at);
            }
            for (List<Point3> face : shell.round() ? List.<List<Point3>>of() : shell.faces()) {
                for (int i = 0; i < face.size(); i++) {
                    double at = stations ? face.get(i).x() : face.get(i).y();
                    if (Math.abs(at - middle) < half - 1e-6 && all.size() < MOST_LINES) {
                        all.add(at);
                    }
                }
            }
            List<Double> apart = new ArrayList<>();
            for (double at : all) {
                if (apart.isEmpty() || at - apart.get(apart.size() - 1) > 1e-6) {
                    apart.add(at);
                }
            }
            return apart.stream().mapToDouble(Double::doubleValue).toArray();
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
     * @param along its station
     * @param waterLine of its lowest edge
     */
    public record Opening(Measured along, Measured waterLine, Passes passes) {}

    /** Which way fuel can go through an opening. */
    public enum Passes {
        BOTH_WAYS("Limber hole"),
        TO_THE_LEFT("Flapper, opens to the left"),
        TO_THE_RIGHT("Flapper, opens to the right");

        private final String label;

        Passes(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }
}
