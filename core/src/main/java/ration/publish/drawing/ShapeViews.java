package ration.publish.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** Side, front and top views of a tank, all to one scale, as its points were typed. */
public final class ShapeViews {

    private static final double GAP = 26;
    /** Cosine of the turn under which two faces look like one. */
    private static final double FLAT = Math.cos(Math.toRadians(4));

    private ShapeViews() {}

    /** A view: which way goes right, which way up. */
    private record View(String title, Point3 right, Point3 up) {}

    /** Nose to the left in side and top view: stations grow to the right, as they are read off a drawing. */
    private static final List<View> VIEWS = List.of(
            new View("Side, nose left", new Point3(1, 0, 0), new Point3(0, 0, 1)),
            new View("Front", new Point3(0, -1, 0), new Point3(0, 0, 1)),
            new View("Top, nose left", new Point3(1, 0, 0), new Point3(0, 1, 0)));

    /**
     * The picture; whatever has no closed shape yet gives an empty one.
     *
     * @param marked a point to mark, as the one being typed; null for none
     */
    public static Picture draw(Tank tank, Point3 marked, UnitSystem units, double width, double height) {
        List<Piece> pieces = new ArrayList<>();
        Solid solid;
        try {
            solid = tank.solid();
        } catch (IllegalArgumentException e) {
            pieces.add(new Piece(
                    "",
                    Kind.TEXT,
                    "Outline not closed",
                    List.of(new Label(16, 24, "Outline not closed yet.", 12, false, Ink.RUST_TEXT, Anchor.START))));
            return new Picture(width, height, pieces);
        }
        double[] size = {
            span(solid, VIEWS.get(0).right()),
            span(solid, VIEWS.get(1).right()),
            span(solid, VIEWS.get(0).up())
        };
        double scale = Math.min((width - 3 * GAP) / (size[0] + size[1]), (height - 4 * GAP) / (size[2] + size[1]));
        double x2 = GAP + size[0] * scale + GAP;
        double y2 = GAP + 14 + size[2] * scale + GAP + 14;
        view(pieces, solid, tank, VIEWS.get(0), GAP, GAP + 14, scale, marked, units);
        view(pieces, solid, tank, VIEWS.get(1), x2, GAP + 14, scale, marked, units);
        view(pieces, solid, tank, VIEWS.get(2), GAP, y2, scale, marked, units);
        return new Picture(width, height, pieces);
    }

    private static double span(Solid solid, Point3 axis) {
        return Math.max(1e-3, solid.highest(axis) - solid.lowest(axis));
    }

    private static void view(
            List<Piece> pieces,
            Solid solid,
            Tank tank,
            View v,
            double left,
            double top,
            double scale,
            Point3 marked,
            UnitSystem units) {
        double x0 = left - scale * solid.lowest(v.right());
        double y0 = top + scale * solid.highest(v.up());
        java.util.function.Function<Point3, Spot> at =
                p -> new Spot(x0 + scale * v.right().dot(p), y0 - scale * v.up().dot(p));
        List<Mark> marks = new ArrayList<>();
        marks.add(new Label(left, top - 8, v.title(), 12, true, Ink.INK, Anchor.START));
        for (List<Point3> face : solid.faces()) {
            marks.add(new Path(face.stream().map(at).toList(), true, Ink.FUEL_STANDING, Pen.of(Ink.NONE, 0), 0));
        }
        for (Point3[] edge : edges(solid)) {
            marks.add(
                    new Path(List.of(at.apply(edge[0]), at.apply(edge[1])), false, Ink.NONE, Pen.of(Ink.AIR, 0.9), 0));
        }
        for (Fitout.Rib rib : tank.fitout().ribs()) {
            for (List<Point3> loop : solid.cut(new Point3(0, 1, 0), rib.at().si())) {
                marks.add(new Path(loop.stream().map(at).toList(), true, Ink.NONE, Pen.of(Ink.INK, 1.4), 0));
            }
            for (Fitout.Opening o : rib.openings()) {
                marks.add(new Disc(
                        at.apply(new Point3(
                                o.along().si(), rib.at().si(), o.waterLine().si())),
                        2.5,
                        Ink.PANEL,
                        Pen.of(Ink.INK, 1.2)));
            }
        }
        tank.outlets()
                .forEach(o -> marks.add(new Disc(at.apply(o.place().point()), 4, Ink.FUEL, Pen.of(Ink.PANEL, 1.2))));
        tank.drain()
                .map(Place::point)
                .ifPresent(p -> marks.add(new Disc(at.apply(p), 3, Ink.TEAL, Pen.of(Ink.PANEL, 1))));
        tank.fitout().filler().map(Place::point).ifPresent(p -> {
            Spot s = at.apply(p);
            marks.add(new Box(s.x() - 4, s.y() - 3, 8, 6, 0, Ink.INK, Pen.of(Ink.NONE, 0)));
        });
        if (marked != null) {
            marks.add(new Disc(at.apply(marked), 6, Ink.NONE, Pen.of(Ink.OLIVE, 2.5)));
        }
        double bottom = top + scale * span(solid, v.up());
        double right = left + scale * span(solid, v.right());
        marks.add(new Label(
                left,
                bottom + 14,
                units.figure(solid.lowest(v.right()) * sign(v.right()), Dimension.LENGTH),
                11,
                false,
                Ink.SOFT,
                Anchor.START));
        marks.add(new Label(
                right,
                bottom + 14,
                units.figure(solid.highest(v.right()) * sign(v.right()), Dimension.LENGTH),
                11,
                false,
                Ink.SOFT,
                Anchor.END));
        pieces.add(new Piece("", Kind.TANK, v.title(), marks));
    }

    /** Edges where the skin turns by more than a few degrees: what a hand would feel. */
    private static List<Point3[]> edges(Solid solid) {
        Map<Set<Point3>, List<Point3>> normals = new LinkedHashMap<>();
        for (List<Point3> face : solid.faces()) {
            Point3 normal = new Point3(0, 0, 0);
            for (int i = 1; i + 1 < face.size(); i++) {
                normal = normal.plus(
                        face.get(i).minus(face.get(0)).cross(face.get(i + 1).minus(face.get(0))));
            }
            Point3 unit = normal.times(1 / Math.max(1e-300, normal.length()));
            for (int i = 0; i < face.size(); i++) {
                Point3 next = face.get((i + 1) % face.size());
                if (!next.equals(face.get(i))) {
                    normals.computeIfAbsent(Set.of(face.get(i), next), k -> new ArrayList<>())
                            .add(unit);
                }
            }
        }
        List<Point3[]> edges = new ArrayList<>();
        normals.forEach((ends, sides) -> {
            if (sides.size() != 2 || sides.get(0).dot(sides.get(1)) < FLAT) {
                edges.add(ends.toArray(Point3[]::new));
            }
        });
        return edges;
    }

    private static double sign(Point3 axis) {
        return axis.x() + axis.y() + axis.z();
    }
}
