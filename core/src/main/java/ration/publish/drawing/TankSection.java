package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;
import org.locationtech.jts.operation.union.UnaryUnionOp;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.answer.assess.TankAnswer;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.physics.tank.Stranded;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/**
 * A tank cut through its outlet and seen level, true in height and across: what is full, what can be used, what lies
 * stranded. From the side the nose is to the right; from behind the right wing is.
 */
public final class TankSection {

    /** From where it is seen. */
    public enum From {
        SIDE,
        BEHIND
    }

    private static final double MARGIN_X = 14;
    private static final double ROOM_TOP = 26;
    private static final double ROOM_FOOT = 40;
    private static final double HATCH = 7;

    private final TankAnswer answer;
    private final Point3 up;
    private final From from;
    private final double volume;
    private final double width;
    private final Point3 across;
    private final double scale;
    private final double left;
    private final double zeroY;
    private final List<Piece> pieces = new ArrayList<>();

    private TankSection(TankAnswer answer, Attitude attitude, From from, double volume, double width, double height) {
        this.answer = answer;
        this.up = attitude.gravity().up();
        this.from = from;
        this.volume = volume;
        this.width = width;
        Point3 plane = from == From.SIDE ? new Point3(-1, 0, 0) : new Point3(0, 1, 0);
        Point3 e = plane.minus(up.times(up.dot(plane)));
        this.across = e.times(1 / e.length());
        Solid solid = answer.body().solid();
        double wide = solid.highest(across) - solid.lowest(across);
        double high = solid.highest(up) - solid.lowest(up);
        this.scale = Math.min(
                (width - 2 * MARGIN_X) / Math.max(wide, 1e-3), (height - ROOM_TOP - ROOM_FOOT) / Math.max(high, 1e-3));
        this.left = width / 2 - scale * (solid.lowest(across) + solid.highest(across)) / 2;
        this.zeroY = ROOM_TOP + (height - ROOM_TOP - ROOM_FOOT + scale * high) / 2 + scale * solid.lowest(up);
    }

    /**
     * The picture.
     *
     * @param attitude it is held in
     * @param volume of fuel in it, m3
     */
    public static Picture draw(
            TankAnswer answer, Attitude attitude, From from, double volume, double width, double height) {
        TankSection section = new TankSection(answer, attitude, from, volume, width, height);
        section.draw();
        return new Picture(width, height, section.pieces);
    }

    private Spot at(Point3 p) {
        return new Spot(left + scale * across.dot(p), zeroY - scale * up.dot(p));
    }

    private double y(double level) {
        return zeroY - scale * level;
    }

    private void draw() {
        Solid solid = answer.body().solid();
        Tank tank = answer.tank();
        Point3 through = tank.outlets().isEmpty()
                ? new Point3(0, 0, 0)
                : tank.outlets().get(0).place().point();
        Point3 normal = from == From.SIDE ? new Point3(0, 1, 0) : new Point3(1, 0, 0);
        double middle = (solid.highest(normal) + solid.lowest(normal)) / 2;
        double offset = tank.outlets().isEmpty()
                ? middle
                : Math.max(solid.lowest(normal) + 1e-4, Math.min(solid.highest(normal) - 1e-4, normal.dot(through)));
        List<List<Spot>> outlines = outlines(solid.cut(normal, offset));
        Stranded stranded = answer.body().stranded(up, answer.feed());
        double surface = answer.body().level(up, Math.min(volume, answer.body().capacity()));
        List<Mark> wet = new ArrayList<>();
        for (List<Spot> outline : outlines) {
            wet.add(new Path(outline, true, Ink.PANEL, Pen.of(Ink.NONE, 0), 0));
            List<Spot> fuel = Half.below(outline, y(surface));
            if (fuel.size() > 2) {
                wet.add(new Path(fuel, true, Ink.FUEL_TINT, Pen.of(Ink.NONE, 0), 0));
            }
            for (int bay = 0; bay < stranded.bays().size(); bay++) {
                double level = Math.min(surface, stranded.bays().get(bay).level());
                List<Spot> left =
                        Half.below(within(outline, bay, stranded.bays().size()), y(level));
                if (left.size() > 2) {
                    wet.add(new Path(left, true, Ink.FUEL_PALE, Pen.of(Ink.NONE, 0), 0));
                    hatch(left, wet);
                }
            }
        }
        pieces.add(new Piece("", Kind.TANK, "", wet));
        surface(outlines, surface, stranded);
        List<Mark> lines = new ArrayList<>();
        for (List<Spot> outline : outlines) {
            lines.add(new Path(outline, true, Ink.NONE, Pen.of(Ink.INK, 2), 0));
        }
        if (from == From.BEHIND) {
            ribs(outlines, lines);
        }
        pieces.add(new Piece("", Kind.TANK, "", lines));
        fittings();
    }

    /** Rings on the picture, pieces that touch made one. */
    private List<List<Spot>> outlines(List<List<Point3>> loops) {
        GeometryFactory factory = new GeometryFactory();
        List<Geometry> parts = new ArrayList<>();
        for (List<Point3> loop : loops) {
            Coordinate[] ring = new Coordinate[loop.size() + 1];
            for (int i = 0; i < ring.length; i++) {
                Spot s = at(loop.get(i % loop.size()));
                ring[i] = new Coordinate(s.x(), s.y());
            }
            parts.add(BufferOp.bufferOp(
                    factory.createPolygon(ring),
                    0.05,
                    new BufferParameters(1, BufferParameters.CAP_FLAT, BufferParameters.JOIN_MITRE, 5)));
        }
        Geometry all = UnaryUnionOp.union(parts, factory);
        List<List<Spot>> rings = new ArrayList<>();
        for (int i = 0; all != null && i < all.getNumGeometries(); i++) {
            if (all.getGeometryN(i) instanceof Polygon polygon && !polygon.isEmpty()) {
                List<Spot> ring = new ArrayList<>();
                Coordinate[] c = polygon.getExteriorRing().getCoordinates();
                for (int k = 0; k + 1 < c.length; k++) {
                    ring.add(new Spot(c[k].x, c[k].y));
                }
                rings.add(ring);
            }
        }
        return rings;
    }

    /** The part of an outline in a bay; from the side all of it lies in the bay of the outlet. */
    private List<Spot> within(List<Spot> outline, int bay, int bays) {
        if (bays == 1) {
            return outline;
        }
        List<Fitout.Rib> ribs = answer.tank().fitout().ribs();
        if (from == From.SIDE) {
            double y = answer.tank().outlets().get(0).place().point().y();
            boolean here = (bay == 0 || y > ribs.get(bay - 1).at().si())
                    && (bay == bays - 1 || y <= ribs.get(bay).at().si());
            return here ? outline : List.of();
        }
        List<Spot> part = outline;
        if (bay > 0) {
            part = Half.rightOf(part, ribX(ribs.get(bay - 1)));
        }
        return bay < bays - 1 ? Half.leftOf(part, ribX(ribs.get(bay))) : part;
    }

    /** A rib leans with the aircraft; on the picture its foot and head lie close, so its middle is taken. */
    private double ribX(Fitout.Rib rib) {
        Solid solid = answer.body().solid();
        Point3 axis = new Point3(0, 0, 1);
        double z = (solid.lowest(axis) + solid.highest(axis)) / 2;
        double x = answer.tank().outlets().isEmpty()
                ? 0
                : answer.tank().outlets().get(0).place().point().x();
        return at(new Point3(x, rib.at().si(), z)).x();
    }

    private void ribs(List<List<Spot>> outlines, List<Mark> lines) {
        for (Fitout.Rib rib : answer.tank().fitout().ribs()) {
            double x = ribX(rib);
            for (List<Spot> outline : outlines) {
                double[] span = Half.spanAt(outline, x);
                if (span != null) {
                    lines.add(SchematicPart.line(x, span[0], x, span[1], Pen.of(Ink.INK, 1.4)));
                }
            }
            for (Fitout.Opening o : rib.openings()) {
                Spot s = at(
                        new Point3(o.along().si(), rib.at().si(), o.waterLine().si()));
                lines.add(new Box(x - 2.5, s.y() - 7, 5, 7, 2, Ink.PANEL, Pen.of(Ink.INK, 1.2)));
            }
        }
    }

    private void hatch(List<Spot> area, List<Mark> marks) {
        double top = area.stream().mapToDouble(Spot::y).min().orElse(0);
        double foot = area.stream().mapToDouble(Spot::y).max().orElse(0);
        double first =
                area.stream().mapToDouble(s -> s.x() - (foot - s.y())).min().orElse(0);
        double last =
                area.stream().mapToDouble(s -> s.x() + (s.y() - top)).max().orElse(0);
        for (double c = Math.floor(first / HATCH) * HATCH; c <= last + (foot - top); c += HATCH) {
            for (Spot[] piece : Half.diagonals(area, c, foot)) {
                marks.add(SchematicPart.line(
                        piece[0].x(), piece[0].y(), piece[1].x(), piece[1].y(), Pen.of(Ink.SOFT, 0.8)));
            }
        }
    }

    private void surface(List<List<Spot>> outlines, double surface, Stranded stranded) {
        double sy = y(surface);
        for (List<Spot> outline : outlines) {
            double[] span = Half.spanAcross(outline, sy);
            if (span != null && volume > 1e-9) {
                double m = span[0] + Math.min(20, (span[1] - span[0]) / 3);
                pieces.add(new Piece(
                        "",
                        Kind.HEAD_LINE,
                        "",
                        List.of(
                                SchematicPart.line(span[0], sy, span[1], sy, Pen.of(Ink.FUEL, 1.8)),
                                new Path(
                                        List.of(new Spot(m - 5, sy - 9), new Spot(m + 5, sy - 9), new Spot(m, sy - 1)),
                                        true,
                                        Ink.PANEL,
                                        Pen.of(Ink.FUEL, 1.2),
                                        0))));
            }
            double ly = y(stranded.level());
            double[] dry = Half.spanAcross(outline, ly);
            if (dry != null && stranded.level() < surface) {
                pieces.add(new Piece(
                        "",
                        Kind.HEAD_LINE,
                        "",
                        List.of(SchematicPart.line(dry[0], ly, dry[1], ly, Pen.of(Ink.INK, 1, 3.0, 3.0)))));
            }
        }
    }

    private void fittings() {
        Tank tank = answer.tank();
        for (Outlet outlet : tank.outlets()) {
            Spot s = at(outlet.place().point());
            List<Mark> marks = new ArrayList<>();
            marks.add(new Box(s.x() - 3.5, s.y(), 7, 27, 0, Ink.FUEL, Pen.of(Ink.NONE, 0)));
            if (outlet.screen().isPresent() || outlet.finger().isPresent()) {
                marks.add(new Box(s.x() - 4.5, s.y() - 15, 9, 15, 4, Ink.PANEL, Pen.of(Ink.INK, 1.4)));
                for (int i = 1; i <= 3; i++) {
                    marks.add(SchematicPart.line(
                            s.x() - 4, s.y() - 2 - 3 * i, s.x() + 4, s.y() - 2 - 3 * i, Pen.of(Ink.INK, 1)));
                }
            }
            boolean roomRight = s.x() < width - 60;
            marks.add(new Label(
                    s.x() + (roomRight ? 8 : -8),
                    s.y() + 31,
                    "outlet",
                    11,
                    false,
                    Ink.SOFT,
                    roomRight ? Anchor.START : Anchor.END));
            pieces.add(new Piece("", Kind.SYMBOL, "outlet", marks));
        }
        if (from == From.SIDE) {
            tank.drain().ifPresent(d -> {
                Spot s = at(d.point());
                boolean left = tank.outlets().isEmpty()
                        || s.x() <= at(tank.outlets().get(0).place().point()).x();
                List<Mark> marks = new ArrayList<>(Symbols.drain(s));
                marks.add(new Label(
                        s.x() + (left ? -9 : 9),
                        s.y() + 20,
                        "drain",
                        11,
                        false,
                        Ink.TEAL,
                        left ? Anchor.END : Anchor.START));
                pieces.add(new Piece("", Kind.DRAIN, "drain", marks));
            });
            tank.fitout().filler().ifPresent(f -> {
                Spot s = at(f.point());
                pieces.add(new Piece(
                        "",
                        Kind.SYMBOL,
                        "filler",
                        List.of(new Box(s.x() - 9, s.y() - 6, 18, 6, 0, Ink.INK, Pen.of(Ink.NONE, 0)))));
            });
            gauge(tank.fitout().gauge());
        }
    }

    private void gauge(Optional<ration.aircraft.model.Place> foot) {
        foot.ifPresent(g -> {
            Spot a = at(g.point());
            Point3 top = new Point3(
                    g.point().x(), g.point().y(), answer.body().solid().highest(new Point3(0, 0, 1)));
            Spot b = at(top);
            pieces.add(new Piece(
                    "",
                    Kind.SYMBOL,
                    "gauge",
                    List.of(SchematicPart.line(a.x(), a.y(), b.x(), b.y(), Pen.of(Ink.OLIVE, 1.2, 2.0, 2.0)))));
        });
    }
}
