package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import ration.breathing.LowPoints;
import ration.drawing.Mark.Anchor;
import ration.drawing.Mark.Disc;
import ration.drawing.Mark.Label;
import ration.drawing.Mark.Path;
import ration.drawing.Mark.Pen;
import ration.drawing.Mark.Spot;
import ration.drawing.Picture.Kind;
import ration.drawing.Picture.Piece;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.Fitout;
import ration.model.Fitted;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.Run;
import ration.model.Strainer;
import ration.model.Tank;
import ration.model.VentLine;
import ration.quantity.Dimension;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;

/**
 * The air side from the side, true in height and along: vents in front, wet lines pale behind, every drain, low point, trap
 * and high point marked; nose to the right.
 */
public final class AirPicture {

    private static final double EDGE = 46;
    private static final double FOOT = 56;
    private static final double TOP = 30;

    private final FuelSystem system;
    private final Point3 up;
    private final Point3 along;
    private final Set<String> blocked;
    private final TextMeasure measure;
    private final double scale;
    private final double x0;
    private final double y0;
    private final List<Piece> pieces = new ArrayList<>();
    private final Occupancy ground = new Occupancy();

    private AirPicture(FuelSystem system, Point3 up, Set<String> blocked, double width, double height, TextMeasure measure) {
        this.system = system;
        this.up = up;
        this.blocked = blocked;
        this.measure = measure;
        Point3 forward = new Point3(-1, 0, 0);
        Point3 e = forward.minus(up.times(up.dot(forward)));
        this.along = e.times(1 / e.length());
        List<Point3> all = everything();
        double left = all.stream().mapToDouble(along::dot).min().orElse(0);
        double right = all.stream().mapToDouble(along::dot).max().orElse(1);
        double low = all.stream().mapToDouble(up::dot).min().orElse(0);
        double high = all.stream().mapToDouble(up::dot).max().orElse(1);
        this.scale = Math.min((width - 2 * EDGE) / Math.max(0.1, right - left), (height - TOP - FOOT) / Math.max(0.1, high - low));
        this.x0 = width / 2 - scale * (left + right) / 2;
        this.y0 = TOP + (height - TOP - FOOT + scale * (high - low)) / 2 + scale * low;
    }

    /**
     * The picture.
     *
     * @param blocked ids of tanks and plenums whose vent is shut
     */
    public static Picture draw(FuelSystem system, Point3 up, Set<String> blocked, UnitSystem units, double width, double height,
            TextMeasure measure) {
        AirPicture p = new AirPicture(system, up, blocked, width, height, measure);
        p.heights(units, width, height);
        p.runs();
        p.tanks();
        p.items();
        p.vents();
        p.marks();
        p.key(height);
        return new Picture(width, height, p.pieces);
    }

    private List<Point3> everything() {
        List<Point3> all = new ArrayList<>();
        for (Item item : system.items()) {
            if (item instanceof Tank t) {
                for (Point2 c : t.shape().section()) {
                    all.add(new Point3(c.x(), 0, c.z()));
                }
                t.vent().ifPresent(v -> all.add(v.point()));
                all.addAll(LowPoints.ventWay(system, t));
                t.drain().ifPresent(d -> all.add(d.point()));
            } else if (item instanceof Fitted f) {
                all.add(f.place().point());
                all.addAll(LowPoints.ventWay(system, f));
            } else if (item instanceof Run r) {
                r.points().forEach(p -> all.add(p.point()));
                system.point(r.from()).ifPresent(all::add);
                system.point(r.to()).ifPresent(all::add);
            }
        }
        return all;
    }

    private Spot at(Point3 p) {
        return new Spot(x0 + scale * along.dot(p), y0 - scale * up.dot(p));
    }

    private void heights(UnitSystem units, double width, double height) {
        Unit length = units.unit(Dimension.LENGTH);
        double low = (y0 - height + FOOT) / scale;
        double high = (y0 - TOP) / scale;
        Scale y = new Scale(length.fromSi(low), length.fromSi(high), height - FOOT, TOP);
        List<Mark> marks = new ArrayList<>();
        for (double t : y.ticks(44)) {
            marks.add(SchematicPart.line(EDGE - 8, y.at(t), width - 8, y.at(t), Pen.of(Ink.GRID, 1)));
            marks.add(new Label(EDGE - 12, y.at(t) + 4, UnitSystem.figure(t, 0), 11, false, Ink.SOFT, Anchor.END));
        }
        marks.add(new Label(EDGE - 12, TOP - 12, length.symbol(), 11, false, Ink.SOFT, Anchor.END));
        marks.add(new Label(width - 12, TOP - 12, "parked, true to scale, nose to the right", 11, false, Ink.SOFT, Anchor.END));
        pieces.add(new Piece("", Kind.RULER, "", marks));
    }

    private void runs() {
        for (Run r : system.runs()) {
            List<Spot> way = new ArrayList<>();
            system.point(r.from()).ifPresent(p -> way.add(at(p)));
            r.points().forEach(p -> way.add(at(p.point())));
            system.point(r.to()).ifPresent(p -> way.add(at(p)));
            if (way.size() > 1) {
                pieces.add(new Piece(r.id(), Kind.RUN, "", List.of(new Path(way, false, Ink.NONE, Pen.of(Ink.FUEL_PALE, 6), 0),
                        new Path(way, false, Ink.NONE, Pen.of(Ink.FUEL_STANDING, 3.4), 0))));
            }
        }
    }

    private void tanks() {
        Occupancy named = new Occupancy();
        List<Mark> names = new ArrayList<>();
        for (Tank t : system.tanks()) {
            List<Spot> outline = t.shape().section().stream().map(c -> at(new Point3(c.x(), 0, c.z()))).toList();
            Spot top = outline.stream().min((a, b) -> Double.compare(a.y(), b.y())).orElse(new Spot(0, 0));
            double left = outline.stream().mapToDouble(Spot::x).min().orElse(0);
            double right = outline.stream().mapToDouble(Spot::x).max().orElse(0);
            double foot = outline.stream().mapToDouble(Spot::y).max().orElse(0);
            ground.take(left, top.y(), right, foot);
            List<Mark> marks = new ArrayList<>(List.of(new Path(outline, true, Ink.FUEL_STANDING, Pen.of(Ink.INK, 1.6), 0)));
            double half = measure.width(t.name(), 12, true) / 2;
            double base = top.y() + (foot - top.y()) / 2 + 4;
            while (named.overlap((left + right) / 2 - half, base - 10, (left + right) / 2 + half, base + 3) > 0) {
                base += 16;
            }
            named.take((left + right) / 2 - half, base - 10, (left + right) / 2 + half, base + 3);
            wells(t, marks);
            names.add(new Label((left + right) / 2, base, t.name(), 12, true, Ink.INK, Anchor.MIDDLE));
            pieces.add(new Piece(t.id(), Kind.TANK, t.name(), marks));
            t.drain().ifPresent(d -> pieces.add(new Piece(t.id(), Kind.DRAIN, "drain of " + t.name(), Symbols.drain(at(d.point())))));
        }
        pieces.add(new Piece("", Kind.TEXT, "", names));
    }

    private void wells(Tank t, List<Mark> marks) {
        for (Fitout.Well w : t.fitout().wells()) {
            Point3 f = w.floor().point();
            double half = w.length().si() / 2;
            double top = t.shape().solid().floorAt(f.x(), f.y()).orElse(f.z());
            marks.add(0, new Path(List.of(at(new Point3(f.x() - half, f.y(), top)), at(new Point3(f.x() - half, f.y(), f.z())),
                    at(new Point3(f.x() + half, f.y(), f.z())), at(new Point3(f.x() + half, f.y(), top))), true, Ink.FUEL_STANDING,
                    Pen.of(Ink.INK, 1.6), 0));
        }
    }

    private static boolean drained(Fitted f) {
        return f.only(Strainer.class).filter(Strainer::drain).isPresent() || f.only(Header.class).filter(Header::drain).isPresent();
    }

    private void items() {
        for (Fitted f : system.all(Fitted.class).toList()) {
            Spot s = at(f.place().point());
            ground.take(s.x() - 5, s.y() - 5, s.x() + 5, s.y() + (drained(f) ? 18 : 5));
        }
        for (LowPoints.Found f : LowPoints.of(system, up).points()) {
            Spot s = at(f.place());
            ground.take(s.x() - 6, s.y() - 6, s.x() + 6, s.y() + 6);
        }
        system.items().forEach(i -> ground.takeWay(LowPoints.ventWay(system, i).stream().map(this::at).toList(), 4));
        for (Fitted f : system.all(Fitted.class).toList()) {
            Spot s = at(f.place().point());
            List<Mark> marks = new ArrayList<>(List.of(new Disc(s, 4, Ink.PANEL, Pen.of(Ink.SOFT, 1.4))));
            name(f.name(), s, marks, Ink.SOFT);
            if (drained(f)) {
                marks.addAll(Symbols.drain(new Spot(s.x(), s.y() + 4)));
            }
            pieces.add(new Piece(f.id(), Kind.SYMBOL, f.name(), marks));
        }
    }

    private void name(String text, Spot s, List<Mark> marks, Ink ink) {
        double w = measure.width(text, 11, false);
        for (double[] c : new double[][] {{s.x() - w / 2, s.y() - 9}, {s.x() + 9, s.y() + 4}, {s.x() - 9 - w, s.y() + 4},
            {s.x() - w / 2, s.y() + 18}, {s.x() + 9, s.y() - 9}, {s.x() - 9 - w, s.y() + 16}}) {
            if (ground.overlap(c[0], c[1] - 10, c[0] + w, c[1] + 3) < 1) {
                ground.take(c[0], c[1] - 10, c[0] + w, c[1] + 3);
                marks.add(new Label(c[0], c[1], text, 11, false, ink, Anchor.START));
                return;
            }
        }
    }

    private void vents() {
        for (Item t : system.items()) {
            List<Spot> way = LowPoints.ventWay(system, t).stream().map(this::at).toList();
            if (way.size() < 2) {
                continue;
            }
            boolean shut = blocked.contains(t.id());
            Spot tip = way.get(way.size() - 1);
            List<Mark> marks = new ArrayList<>();
            marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.GROUND, 7), 0));
            marks.add(new Path(way, false, Ink.NONE, Pen.of(shut ? Ink.RUST : Ink.INK, 2.6, 5.0, 3.0), 0));
            boolean joins = VentLine.of(t).flatMap(VentLine::to).isPresent();
            if (!joins) {
                lips(tip, marks);
            }
            if (shut) {
                marks.add(new Disc(tip, 9, Ink.NONE, Pen.of(Ink.RUST, 2.4)));
                marks.add(SchematicPart.line(tip.x() - 6, tip.y() - 6, tip.x() + 6, tip.y() + 6, Pen.of(Ink.RUST, 2.4)));
                marks.add(SchematicPart.line(tip.x() - 6, tip.y() + 6, tip.x() + 6, tip.y() - 6, Pen.of(Ink.RUST, 2.4)));
            }
            if (!joins || shut) {
                name(shut ? "vent blocked" : "vent", new Spot(tip.x() + 6, tip.y()), marks, shut ? Ink.RUST_TEXT : Ink.INK);
            }
            pieces.add(new Piece(t.id(), Kind.VENT, "vent of " + t.name() + (shut ? ", blocked" : ""), marks));
        }
    }

    private static void lips(Spot tip, List<Mark> marks) {
        marks.add(SchematicPart.line(tip.x() + 3, tip.y() - 5, tip.x() + 10, tip.y() - 5, Pen.of(Ink.INK, 1.6)));
        marks.add(SchematicPart.line(tip.x() + 3, tip.y() + 5, tip.x() + 10, tip.y() + 5, Pen.of(Ink.INK, 1.6)));
    }

    private void marks() {
        for (LowPoints.Found f : LowPoints.of(system, up).points()) {
            Spot s = at(f.place());
            List<Mark> marks = new ArrayList<>();
            String words = switch (f.kind()) {
                case DRAINED -> "drained low point";
                case UNDRAINED -> "low, no drain";
                case VENT_TRAP -> "vent trap";
                case HIGH -> "high, vapor gathers";
            };
            mark(f.kind(), s, marks);
            if (f.kind() != LowPoints.Kind.DRAINED) {
                name(words, s, marks, f.kind() == LowPoints.Kind.HIGH ? Ink.PLUM : Ink.RUST_TEXT);
            }
            pieces.add(new Piece(f.item(), Kind.PILL, words + " at " + system.item(f.item()).map(Item::name).orElse(f.item()), marks));
        }
    }

    private static void mark(LowPoints.Kind kind, Spot s, List<Mark> marks) {
        switch (kind) {
            case DRAINED -> marks.add(new Disc(s, 7, Ink.NONE, Pen.of(Ink.TEAL, 2)));
            case HIGH -> marks.add(new Path(List.of(new Spot(s.x() - 6, s.y() + 3), new Spot(s.x() + 6, s.y() + 3), new Spot(s.x(),
                    s.y() - 7)), true, Ink.PANEL, Pen.of(Ink.PLUM, 2), 0));
            default -> {
                marks.add(new Disc(s, 7, Ink.PANEL, Pen.of(Ink.RUST, 2.4)));
                marks.add(new Path(List.of(new Spot(s.x() - 4, s.y() - 3), new Spot(s.x() + 4, s.y() - 3), new Spot(s.x(), s.y() + 4)),
                        true, Ink.RUST, Pen.of(Ink.NONE, 0), 0));
            }
        }
    }

    private void key(double height) {
        List<Mark> marks = new ArrayList<>();
        double y = height - 18;
        double x = EDGE;
        marks.add(SchematicPart.line(x, y - 4, x + 24, y - 4, Pen.of(Ink.INK, 2.6, 5.0, 3.0)));
        x = label(marks, x + 30, y, "vent");
        marks.add(SchematicPart.line(x, y - 4, x + 24, y - 4, Pen.of(Ink.FUEL_PALE, 6)));
        x = label(marks, x + 30, y, "wet line");
        for (LowPoints.Kind k : LowPoints.Kind.values()) {
            if (k != LowPoints.Kind.VENT_TRAP) {
                mark(k, new Spot(x + 8, y - 4), marks);
                x = label(marks, x + 22, y, k == LowPoints.Kind.DRAINED ? "drained" : k == LowPoints.Kind.HIGH ? "high point"
                        : "low point or trap");
            }
        }
        pieces.add(new Piece("", Kind.TEXT, "", marks));
    }

    private double label(List<Mark> marks, double x, double y, String text) {
        marks.add(new Label(x, y, text, 11, false, Ink.SOFT, Anchor.START));
        return x + measure.width(text, 11, false) + 22;
    }
}
