package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.StrandedMap;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** Stranded fuel over pitch and tilt with the attitudes flown, the placard's line and the point that governs. */
public final class StrandedPicture {

    private static final double LEFT = 44;
    private static final double TOP = 8;
    private static final double RIGHT = 14;
    private static final double FOOT = 64;
    private static final Ink[] BANDS = {
        Ink.PANEL, Ink.FUEL_STANDING, Ink.FUEL_TINT, Ink.FUEL_PALE, Ink.FUEL_MID, Ink.FUEL
    };
    private static final double[] STEPS = {0.1, 0.25, 0.5, 1, 1.5, 2, 3, 4, 6, 8, 12, 16, 24, 32, 48, 64, 100};

    private final StrandedMap map;
    private final TankAnswer answer;
    private final List<Attitude> corners;
    private final Attitude current;
    private final Unit unit;
    private final TextMeasure measure;
    private final Scale x;
    private final Scale y;
    private final List<Piece> pieces = new ArrayList<>();
    private final Occupancy ground = new Occupancy();

    /**
     * What is shown.
     *
     * @param map of the tank
     * @param answer of the tank
     * @param corners of the region flown
     * @param current attitude looked at
     */
    public record Subject(
            StrandedMap map, TankAnswer answer, List<Attitude> corners, Attitude current, UnitSystem units) {}

    private StrandedPicture(Subject s, double width, double height, TextMeasure measure) {
        this.map = s.map();
        this.answer = s.answer();
        this.corners = s.corners();
        this.current = s.current();
        this.unit = s.units().unit(Dimension.VOLUME);
        this.measure = measure;
        this.x = across(width);
        this.y = upward(height);
    }

    private static Scale across(double width) {
        return new Scale(StrandedMap.USUAL_TILT.from(), StrandedMap.USUAL_TILT.to(), LEFT, width - RIGHT);
    }

    private static Scale upward(double height) {
        return new Scale(StrandedMap.USUAL_PITCH.from(), StrandedMap.USUAL_PITCH.to(), height - FOOT, TOP);
    }

    public static Picture draw(Subject subject, double width, double height, TextMeasure measure) {
        StrandedPicture p = new StrandedPicture(subject, width, height, measure);
        p.bands();
        p.axes(width, height);
        p.envelope();
        p.labels();
        p.points(width);
        return new Picture(width, height, p.pieces);
    }

    /** Pitch and tilt, degrees, under a spot of a picture of this size, kept within the map; pitch first. */
    public static double[] under(double px, double py, double width, double height) {
        Scale across = across(width);
        Scale upward = upward(height);
        double tilt = across.low()
                + (px - across.fromPx()) / (across.toPx() - across.fromPx()) * (across.high() - across.low());
        double pitch = upward.low()
                + (py - upward.fromPx()) / (upward.toPx() - upward.fromPx()) * (upward.high() - upward.low());
        return new double[] {
            Math.max(upward.low(), Math.min(upward.high(), pitch)),
            Math.max(across.low(), Math.min(across.high(), tilt))
        };
    }

    private Spot spot(Spot grid) {
        double tilt = map.tilt().from()
                + (map.tilt().to() - map.tilt().from()) * grid.x() / (map.tilt().count() - 1);
        double pitch = map.pitch().from()
                + (map.pitch().to() - map.pitch().from())
                        * grid.y()
                        / (map.pitch().count() - 1);
        return new Spot(x.at(tilt), y.at(pitch));
    }

    private Spot spot(Attitude a) {
        return new Spot(x.at(a.tiltDegrees()), y.at(a.pitchDegrees()));
    }

    /** Up to five round levels between the least and the most of the map, in the unit shown. */
    private List<Double> levels() {
        double least = Double.POSITIVE_INFINITY;
        double most = 0;
        for (double[] row : map.volume()) {
            for (double v : row) {
                least = Math.min(least, unit.fromSi(v));
                most = Math.max(most, unit.fromSi(v));
            }
        }
        List<Double> within = new ArrayList<>();
        for (double s : STEPS) {
            if (s > least && s < most) {
                within.add(s);
            }
        }
        List<Double> chosen = new ArrayList<>();
        int n = Math.min(BANDS.length - 1, within.size());
        for (int i = 0; i < n; i++) {
            chosen.add(within.get((int) Math.round(n == 1 ? 0 : i * (within.size() - 1.0) / (n - 1))));
        }
        return chosen;
    }

    private void bands() {
        List<Double> levels = levels();
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(
                x.fromPx(),
                y.toPx(),
                x.toPx() - x.fromPx(),
                y.fromPx() - y.toPx(),
                0,
                BANDS[levels.isEmpty() ? 0 : levels.size()],
                Pen.of(Ink.NONE, 0)));
        for (int i = levels.size() - 1; i >= 0; i--) {
            for (List<Spot> ring : Contours.under(map.volume(), unit.toSi(levels.get(i)))) {
                marks.add(new Path(ring.stream().map(this::spot).toList(), true, BANDS[i], Pen.of(Ink.PANEL, 1), 0));
            }
        }
        pieces.add(new Piece("", Kind.GROUND, "", marks));
        List<Mark> placard = new ArrayList<>();
        for (List<Spot> ring : Contours.under(map.volume(), answer.placard())) {
            rim(ring)
                    .forEach(part -> placard.add(
                            new Path(part.stream().map(this::spot).toList(), false, Ink.NONE, Pen.of(Ink.RUST, 2), 0)));
        }
        pieces.add(new Piece("", Kind.RUN, "", placard));
    }

    /** The parts of a ring that do not run along the edge of the map. */
    private List<List<Spot>> rim(List<Spot> ring) {
        List<List<Spot>> parts = new ArrayList<>();
        List<Spot> part = new ArrayList<>();
        for (int i = 0; i <= ring.size(); i++) {
            Spot a = ring.get(i % ring.size());
            if (!edge(a)) {
                part.add(a);
            } else if (part.size() > 1) {
                parts.add(part);
                part = new ArrayList<>();
            } else {
                part.clear();
            }
        }
        if (part.size() > 1) {
            parts.add(part);
        }
        return parts;
    }

    private boolean edge(Spot g) {
        return g.x() <= 0
                || g.y() <= 0
                || g.x() >= map.tilt().count() - 1
                || g.y() >= map.pitch().count() - 1;
    }

    private void axes(double width, double height) {
        List<Mark> marks = new ArrayList<>();
        for (double p = -15; p <= 20; p += 5) {
            marks.add(SchematicPart.line(LEFT - 5, y.at(p), LEFT, y.at(p), Pen.of(Ink.EDGE, 1)));
            marks.add(new Label(LEFT - 8, y.at(p) + 4, degrees(p), 11, p == 0, Ink.INK, Anchor.END));
        }
        for (double t = -15; t <= 15; t += 5) {
            marks.add(SchematicPart.line(x.at(t), y.fromPx(), x.at(t), y.fromPx() + 5, Pen.of(Ink.EDGE, 1)));
            marks.add(new Label(x.at(t), y.fromPx() + 17, degrees(t), 11, t == 0, Ink.INK, Anchor.MIDDLE));
        }
        marks.add(SchematicPart.line(LEFT, y.at(0), x.toPx(), y.at(0), Pen.of(Ink.AIR, 0.7)));
        marks.add(SchematicPart.line(x.at(0), y.fromPx(), x.at(0), y.toPx(), Pen.of(Ink.AIR, 0.7)));
        marks.add(new Box(LEFT, y.toPx(), x.toPx() - LEFT, y.fromPx() - y.toPx(), 0, Ink.NONE, Pen.of(Ink.EDGE, 1)));
        marks.add(new Label(LEFT + 8, y.toPx() + 16, "nose up", 11, false, Ink.SOFT, Anchor.START));
        pill(marks, LEFT + 8, y.fromPx() - 8, "nose down", Anchor.START);
        double words = y.fromPx() + 33;
        boolean room = measure.width("left wing low fuel tilt right wing low", 11, false) < x.toPx() - LEFT - 30;
        marks.add(new Label(LEFT, words, room ? "left wing low" : "left low", 11, false, Ink.SOFT, Anchor.START));
        marks.add(new Label(x.at(0), words, "fuel tilt", 11, false, Ink.SOFT, Anchor.MIDDLE));
        marks.add(new Label(x.toPx(), words, room ? "right wing low" : "right low", 11, false, Ink.SOFT, Anchor.END));
        double foot = height - 8;
        marks.add(SchematicPart.line(LEFT, foot - 4, LEFT + 22, foot - 4, Pen.of(Ink.INK, 2)));
        String said = "flight envelope (Aircraft)";
        double half = LEFT + (width - LEFT) * 0.55;
        String envelope = measure.width(said, 11, false) < half - LEFT - 34 ? said : "envelope";
        marks.add(new Label(LEFT + 28, foot, envelope, 11, false, Ink.INK, Anchor.START));
        half = envelope.equals(said) ? half : LEFT + 28 + measure.width(envelope, 11, false) + 14;
        marks.add(SchematicPart.line(half, foot - 4, half + 22, foot - 4, Pen.of(Ink.RUST, 2)));
        marks.add(new Label(half + 28, foot, "placard " + volume(answer.placard()), 11, false, Ink.INK, Anchor.START));
        pieces.add(new Piece("", Kind.RULER, "", marks));
    }

    private void pill(List<Mark> marks, double px, double baseline, String text, Anchor anchor) {
        double w = measure.width(text, 11, false) + 8;
        double left = anchor == Anchor.START ? px - 4 : px - w / 2;
        marks.add(new Box(left, baseline - 12, w, 16, 8, Ink.PANEL, Pen.of(Ink.NONE, 0)));
        marks.add(new Label(px, baseline, text, 11, false, Ink.INK, anchor));
        ground.take(left, baseline - 12, left + w, baseline + 4);
    }

    private static String degrees(double d) {
        return (d > 0 ? "+" : "") + UnitSystem.figure(d, 0) + "\u00b0";
    }

    private String volume(double m3) {
        double v = unit.fromSi(m3);
        return UnitSystem.figure(v, unit == Unit.GALLON ? 2 : 1) + " " + unit.symbol();
    }

    private void envelope() {
        List<Spot> ring = corners.stream().map(this::spot).toList();
        List<Mark> marks = new ArrayList<>(List.of(
                new Path(ring, true, Ink.NONE, Pen.of(Ink.PANEL, 5), 0),
                new Path(ring, true, Ink.NONE, Pen.of(Ink.INK, 2), 0)));
        Spot climb =
                new Spot((ring.get(0).x() + ring.get(1).x()) / 2, ring.get(0).y());
        pill(marks, climb.x(), climb.y() - 7, "climb", Anchor.MIDDLE);
        Spot slip = ring.get(2);
        pill(marks, slip.x() + 10, slip.y() + 4, "slip", Anchor.START);
        Spot glide =
                new Spot((ring.get(3).x() + ring.get(4).x()) / 2, ring.get(3).y());
        pill(marks, glide.x(), glide.y() + 18, "glide", Anchor.MIDDLE);
        pieces.add(new Piece("", Kind.HEAD_LINE, "", marks));
    }

    private void labels() {
        List<Mark> marks = new ArrayList<>();
        for (double level : levels()) {
            for (List<Spot> ring : Contours.under(map.volume(), unit.toSi(level))) {
                ring.stream()
                        .filter(g -> !edge(g))
                        .map(this::spot)
                        .filter(s -> ground.overlap(s.x() - 20, s.y() - 12, s.x() + 20, s.y() + 12) < 1
                                && s.x() < x.toPx() - 22
                                && s.x() > LEFT + 22
                                && s.y() < y.fromPx() - 14
                                && s.y() > y.toPx() + 14)
                        .min((a, b) -> Double.compare(away(a), away(b)))
                        .ifPresent(s -> pill(marks, s.x(), s.y() + 4, trimmed(level), Anchor.MIDDLE));
            }
        }
        pieces.add(new Piece("", Kind.TEXT, "", marks));
    }

    /** Labels look best left of the middle, low on the map. */
    private double away(Spot s) {
        return Math.abs(s.x() - x.at(-7)) - 0.15 * s.y();
    }

    private static String trimmed(double level) {
        return level == Math.rint(level)
                ? UnitSystem.figure(level, 0)
                : UnitSystem.figure(level, 2).replaceAll("0$", "");
    }

    private void points(double width) {
        Attitude worst = answer.predicted().attitude();
        Spot w = spot(worst);
        List<Mark> marks = new ArrayList<>();
        boolean low = w.y() > (y.fromPx() + y.toPx()) / 2 + 60;
        String likely = answer.carried()
                .map(c -> "estimated " + volume(c.likely()) + " from a drain test")
                .orElse("");
        double boxWidth =
                16 + Math.max(measure.width(likely, 11, false), Math.max(measure.width(worst.label(), 11, false), 60));
        double boxHeight = likely.isEmpty() ? 40 : 56;
        double left = Math.min(width - RIGHT - boxWidth - 4, Math.max(LEFT + 4, w.x() + 24));
        double top = low ? w.y() + 22 : w.y() - 24 - boxHeight;
        if (top + boxHeight + 2 > y.fromPx()) {
            top = w.y() - 24 - boxHeight;
        }
        marks.add(SchematicPart.line(w.x(), w.y(), left + 10, top + 20, Pen.of(Ink.INK, 1)));
        marks.add(new Box(left, top, boxWidth, boxHeight, 4, Ink.PANEL, Pen.of(Ink.INK, 1)));
        marks.add(new Label(left + 8, top + 17, volume(answer.predicted().volume()), 13, true, Ink.INK, Anchor.START));
        marks.add(new Label(left + 8, top + 33, worst.label(), 11, false, Ink.INK, Anchor.START));
        if (!likely.isEmpty()) {
            marks.add(new Label(left + 8, top + 49, likely, 11, false, Ink.INK, Anchor.START));
        }
        marks.add(new Disc(w, 9, Ink.PANEL, Pen.of(Ink.INK, 2)));
        marks.add(new Disc(w, 4, Ink.RUST, Pen.of(Ink.NONE, 0)));
        pieces.add(new Piece(
                "",
                Kind.SYMBOL,
                "Maximum unusable " + volume(answer.predicted().volume()) + " at " + worst.label()
                        + (likely.isEmpty() ? "" : "; " + likely),
                marks));
        Spot c = spot(current);
        if (c.x() >= x.fromPx() && c.x() <= x.toPx() && c.y() >= y.toPx() && c.y() <= y.fromPx()) {
            double stays = answer.body()
                    .stranded(current.gravity().up(), answer.feed())
                    .volume();
            List<Mark> here = new ArrayList<>();
            here.add(new Disc(c, 6, Ink.NONE, Pen.of(Ink.PANEL, 5)));
            here.add(new Disc(c, 6, Ink.NONE, Pen.of(Ink.OLIVE_UNDER_TEXT, 2.5)));
            if (Math.hypot(c.x() - w.x(), c.y() - w.y()) > 14) {
                String text = volume(stays);
                double half = measure.width(text, 12, true) / 2 + 6;
                boolean over = c.y() > y.toPx() + 34;
                double base = over ? c.y() - 14 : c.y() + 24;
                here.add(new Box(c.x() - half, base - 13, 2 * half, 18, 9, Ink.OLIVE_UNDER_TEXT, Pen.of(Ink.NONE, 0)));
                here.add(new Label(c.x(), base, text, 12, true, Ink.PANEL, Anchor.MIDDLE));
            }
            pieces.add(new Piece(
                    "",
                    Kind.SYMBOL,
                    "Current attitude, " + current.label() + ": " + volume(stays) + " unusable",
                    here));
        }
    }
}
