package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.PathLine;
import ration.physics.flow.PathLine.At;
import ration.physics.flow.PathLine.Stretch;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.verdict.check.Verdict;

/**
 * Along the path: by gravity the line's height and the head over it, so that what lies between them is pressure; with
 * pumps the pressure itself, since pumps lift the head line far off any height.
 */
public final class PathProfile {

    private static final double LEFT = 64;
    private static final double RIGHT = 62;
    private static final double TOP = 44;
    private static final double BOTTOM = 40;

    private final FuelSystem system;
    private final CaseAnswer answer;
    private final UnitSystem units;
    private final TextMeasure measure;
    private final boolean pressures;
    private final List<Stretch> now;
    private final List<Stretch> needed;
    private final double weight;
    private final List<Piece> pieces = new ArrayList<>();
    private Scale across;
    private Scale up;

    private PathProfile(FuelSystem system, CaseAnswer answer, UnitSystem units, TextMeasure measure) {
        this.system = system;
        this.answer = answer;
        this.units = units;
        this.measure = measure;
        this.pressures = answer.capacity().pumped() > 0;
        this.weight = answer.capacity().weight();
        this.now = PathLine.of(system, answer.capacity());
        FlowAnswer wanted = answer.atNeeded();
        List<Stretch> line = wanted.usable() ? PathLine.of(system, wanted) : List.of();
        this.needed = same(line, now) ? line : List.of();
    }

    private static boolean same(List<Stretch> a, List<Stretch> b) {
        return a.stream()
                .map(s -> s.item().id())
                .toList()
                .equals(b.stream().map(s -> s.item().id()).toList());
    }

    /** What the vertical axis shows, in words for a heading. */
    public static String title(CaseAnswer answer, UnitSystem units) {
        return answer.capacity().pumped() > 0
                ? "gauge pressure, " + units.unit(Dimension.PRESSURE).symbol()
                : "head above inlet, " + (units == UnitSystem.US ? "in" : "mm");
    }

    /** The picture; a sentence where nothing flows. */
    public static Picture draw(
            FuelSystem system, CaseAnswer answer, UnitSystem units, double width, double height, TextMeasure measure) {
        PathProfile p = new PathProfile(system, answer, units, measure);
        if (p.now.isEmpty()) {
            String why = answer.obstacle(system);
            p.piece(
                    "",
                    Kind.TEXT,
                    why,
                    new TextBlock().line(TextBlock.body(why)).at(24, 30, Anchor.START, measure));
        } else {
            p.scales(width, height);
            p.ground(width, height);
            p.lines(width);
            p.names(width, height);
        }
        return new Picture(width, height, p.pieces);
    }

    private void piece(String item, Kind kind, String words, List<Mark> marks) {
        pieces.add(new Piece(item, kind, words, marks));
    }

    /** Value drawn upright for a height and a head: the head, or the pressure between the two. */
    private double value(double height, double head) {
        return pressures ? (head - height) * weight : head;
    }

    private void scales(double width, double height) {
        double length = now.get(now.size() - 1).end();
        across = new Scale(0, Math.max(length, 0.1), LEFT, width - RIGHT);
        double low = 0;
        double high = pressures ? 1000 : 0.05;
        for (List<Stretch> line : List.of(now, needed)) {
            for (Stretch s : line) {
                double hIn = s.way().get(0).height();
                double hOut = s.way().get(s.way().size() - 1).height();
                for (double v : new double[] {value(hIn, s.headIn()), value(hOut, s.headOut())}) {
                    low = Math.min(low, v);
                    high = Math.max(high, v);
                }
                if (!pressures) {
                    for (At at : s.way()) {
                        low = Math.min(low, at.height());
                        high = Math.max(high, at.height());
                    }
                }
            }
        }
        double room = 0.08 * (high - low);
        up = new Scale(low - room, high + room, height - BOTTOM, TOP);
    }

    private Unit upUnit() {
        return units.unit(pressures ? Dimension.PRESSURE : Dimension.LENGTH);
    }

    private void ground(double width, double height) {
        List<Mark> marks = new ArrayList<>();
        for (Stretch s : now) {
            if (s.run().isEmpty() && !s.tank()) {
                marks.add(new Box(
                        across.at(s.start()),
                        TOP - 6,
                        across.at(s.end()) - across.at(s.start()),
                        height - BOTTOM - TOP + 6,
                        0,
                        Ink.GRID,
                        SchematicPart.NO_PEN));
            }
        }
        Scale shown = new Scale(upUnit().fromSi(up.low()), upUnit().fromSi(up.high()), up.fromPx(), up.toPx());
        List<Double> ticks = shown.ticks(44);
        for (double t : ticks) {
            double y = shown.at(t);
            marks.add(SchematicPart.line(
                    LEFT - 4, y, width - RIGHT, y, Pen.of(Math.abs(t) < 1e-9 ? Ink.EDGE : Ink.GRID, 1)));
            marks.add(new Label(
                    LEFT - 10,
                    y + 4,
                    UnitSystem.figure(t, Scale.decimals(ticks)),
                    11,
                    Math.abs(t) < 1e-9,
                    Ink.INK,
                    Anchor.END));
        }
        Unit length = units.unit(Dimension.LENGTH);
        Scale run = new Scale(0, length.fromSi(across.high()), across.fromPx(), across.toPx());
        marks.add(
                SchematicPart.line(LEFT - 4, height - BOTTOM, width - RIGHT, height - BOTTOM, Pen.of(Ink.HAIRLINE, 1)));
        for (double t : run.ticks(66)) {
            marks.add(SchematicPart.line(
                    run.at(t), height - BOTTOM, run.at(t), height - BOTTOM + 4, Pen.of(Ink.SOFT, 1)));
            marks.add(new Label(
                    run.at(t), height - BOTTOM + 16, UnitSystem.figure(t, 0), 11, false, Ink.INK, Anchor.MIDDLE));
        }
        marks.add(new Label(width - 30, height - BOTTOM + 16, length.symbol(), 11, false, Ink.SOFT, Anchor.END));
        piece("", Kind.GROUND, "", marks);
    }

    private List<Spot> heads(List<Stretch> line) {
        List<Spot> spots = new ArrayList<>();
        for (Stretch s : line) {
            boolean run = s.run().isPresent();
            double head = s.headIn();
            double length = Math.max(1e-9, s.end() - s.start());
            for (int i = 0; i < s.way().size(); i++) {
                At at = s.way().get(i);
                double here = head + (s.headOut() - s.headIn()) * (at.along() - s.start()) / length;
                if (run && pressures || i == 0 || i == s.way().size() - 1) {
                    spots.add(new Spot(across.at(at.along()), up.at(value(at.height(), here))));
                }
            }
        }
        return spots;
    }

    private void lines(double width) {
        List<Spot> head = heads(now);
        List<Spot> foot = new ArrayList<>();
        if (pressures) {
            foot.add(new Spot(across.at(0), up.at(0)));
            foot.add(new Spot(across.at(now.get(now.size() - 1).end()), up.at(0)));
        } else {
            now.forEach(s -> s.way().forEach(a -> foot.add(new Spot(across.at(a.along()), up.at(a.height())))));
        }
        List<Spot> area = new ArrayList<>(head);
        for (int i = foot.size() - 1; i >= 0; i--) {
            area.add(foot.get(i));
        }
        List<Mark> marks = new ArrayList<>();
        marks.add(new Path(area, true, Ink.FUEL_STANDING, SchematicPart.NO_PEN, 0));
        tank(marks);
        if (!pressures) {
            marks.add(new Path(foot, false, Ink.NONE, Pen.of(Ink.FUEL, 5), 0));
        }
        List<Spot> dotted = heads(needed);
        if (!dotted.isEmpty()) {
            marks.add(new Path(dotted, false, Ink.NONE, Pen.of(Ink.RUST, 1.4, 1.5, 3.0), 0));
        }
        marks.add(new Path(head, false, Ink.NONE, Pen.of(Ink.GROUND, 5), 0));
        marks.add(new Path(head, false, Ink.NONE, Pen.of(Ink.INK, 1.6, 6.0, 4.0), 0));
        for (Spot s : head) {
            marks.add(new Disc(s, 2.6, Ink.PANEL, Pen.of(Ink.INK, 1.2)));
        }
        piece("", Kind.HEAD_LINE, pressures ? "Pressure along the path" : "Head along the path", marks);
        figures(width);
        bracket();
        largestGap();
    }

    /** The fuel the path starts in. */
    private void tank(List<Mark> marks) {
        Stretch first = now.get(0);
        if (!pressures && first.tank()) {
            double x = across.at(first.start());
            double top = up.at(first.headIn());
            double foot = up.at(first.way().get(0).height());
            marks.add(new Box(x - 30, top, 30, Math.max(1, foot - top), 0, Ink.FUEL_TINT, SchematicPart.NO_PEN));
            marks.add(new Path(
                    List.of(new Spot(x - 30, top - 6), new Spot(x - 30, foot), new Spot(x, foot)),
                    false,
                    Ink.NONE,
                    Pen.of(Ink.INK, 1.6),
                    0));
            marks.add(SchematicPart.line(x - 30, top, x, top, Pen.of(Ink.FUEL, 1.8)));
        }
    }

    private String amount(double height, double head) {
        return pressures ? units.figure(value(height, head), Dimension.PRESSURE) : units.figure(head, Dimension.LENGTH);
    }

    /** Figures at the start, after each item that takes or adds most, and at the inlet. */
    private void figures(double width) {
        Occupancy taken = new Occupancy();
        List<Mark> marks = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            Stretch s = now.get(i);
            boolean last = i == now.size() - 1;
            boolean first = i == 0;
            if (s.run().isPresent() && !last) {
                continue;
            }
            At at = first ? s.way().get(0) : s.way().get(s.way().size() - 1);
            double head = first ? s.headIn() : s.headOut();
            String text = amount(at.height(), head);
            double x = across.at(at.along()) + 4;
            double y = up.at(value(at.height(), head));
            double w = measure.width(text, 12, true);
            for (double dy : new double[] {-8, -22, 18, 32}) {
                if (taken.overlap(x, y + dy - 11, x + w, y + dy + 3) < 1) {
                    taken.take(x, y + dy - 11, x + w, y + dy + 3);
                    marks.add(new Label(x, y + dy, text, 12, true, Ink.INK, Anchor.START));
                    break;
                }
            }
        }
        piece("", Kind.TEXT, "", marks);
    }

    /** What the inlet lacks when the flow needed runs: the bracket at the end. */
    private void bracket() {
        OptionalDouble wanted = answer.pressureWanted(answer.need() * answer.factor());
        if (needed.isEmpty() || wanted.isEmpty() || answer.verdict() != Verdict.FAILS) {
            return;
        }
        Stretch last = needed.get(needed.size() - 1);
        At end = last.way().get(last.way().size() - 1);
        double have = value(end.height(), last.headOut());
        double want = pressures ? wanted.getAsDouble() : end.height() + wanted.getAsDouble() / weight;
        double x = across.at(end.along()) + 6;
        List<Mark> marks = new ArrayList<>();
        marks.add(new Path(
                List.of(
                        new Spot(x, up.at(want)),
                        new Spot(x + 6, up.at(want)),
                        new Spot(x + 6, up.at(have)),
                        new Spot(x, up.at(have))),
                false,
                Ink.NONE,
                Pen.of(Ink.RUST, 1.6),
                0));
        String lack =
                pressures ? units.text(want - have, Dimension.PRESSURE) : units.text(want - have, Dimension.LENGTH);
        double y = (up.at(want) + up.at(have)) / 2 + 10;
        marks.add(new Label(x + 10, y, lack, 11, true, Ink.RUST_TEXT, Anchor.START));
        marks.add(new Label(x + 10, y + 13, "short", 11, false, Ink.RUST_TEXT, Anchor.START));
        piece("", Kind.TEXT, lack + " short at the inlet", marks);
    }

    /** Gravity: the widest gap between line and head as a pressure, drawn as a dimension. */
    private void largestGap() {
        if (pressures) {
            return;
        }
        double most = 0;
        At where = null;
        double head = 0;
        for (Stretch s : now) {
            for (At at : s.way()) {
                double h = s.headIn()
                        + (s.headOut() - s.headIn()) * (at.along() - s.start()) / Math.max(1e-9, s.end() - s.start());
                if (s.run().isPresent() && h - at.height() > most) {
                    most = h - at.height();
                    where = at;
                    head = h;
                }
            }
        }
        if (where == null || up.at(where.height()) - up.at(head) < 40) {
            return;
        }
        double x = across.at(where.along());
        List<Mark> marks = new ArrayList<>();
        marks.add(SchematicPart.line(x, up.at(head) + 4, x, up.at(where.height()) - 4, Pen.of(Ink.FUEL, 1)));
        double y = (up.at(head) + up.at(where.height())) / 2;
        marks.add(new Label(
                x + 8, y, units.text(most * weight, Dimension.PRESSURE), 12, true, Ink.FUEL_TEXT, Anchor.START));
        marks.add(new Label(x + 8, y + 15, units.text(most, Dimension.LENGTH), 11, false, Ink.FUEL_TEXT, Anchor.START));
        piece("", Kind.TEXT, "", marks);
    }

    private void names(double width, double height) {
        List<Mark> marks = new ArrayList<>();
        Occupancy taken = new Occupancy();
        for (boolean runs : new boolean[] {false, true}) {
            for (Stretch s : now) {
                boolean run = s.run().isPresent();
                if (run != runs) {
                    continue;
                }
                String text = s.tank() ? "Tank" : s.item().name();
                double w = measure.width(text, 11, !run);
                double x =
                        Math.min(width - 6 - w / 2, Math.max(LEFT - 30 + w / 2, across.at((s.start() + s.end()) / 2)));
                for (double y : new double[] {TOP - 14, TOP - 28}) {
                    if (taken.overlap(x - w / 2 - 4, y - 10, x + w / 2 + 4, y + 3) < 1) {
                        taken.take(x - w / 2 - 4, y - 10, x + w / 2 + 4, y + 3);
                        marks.add(new Label(x, y, text, 11, !run, run ? Ink.SOFT : Ink.INK, Anchor.MIDDLE));
                        break;
                    }
                }
            }
        }
        piece("", Kind.TEXT, "", marks);
        if (!needed.isEmpty()) {
            String gph = units.text(answer.need() * answer.factor(), Dimension.FLOW);
            List<Mark> legend = new ArrayList<>();
            double y = height - 7;
            legend.add(SchematicPart.line(LEFT + 6, y - 4, LEFT + 30, y - 4, Pen.of(Ink.INK, 1.6, 6.0, 4.0)));
            String most = "at " + units.text(answer.capacity().inletFlow(), Dimension.FLOW) + ", the most it passes";
            legend.add(new Label(LEFT + 36, y, most, 11, false, Ink.SOFT, Anchor.START));
            double x = LEFT + 52 + measure.width(most, 11, false);
            legend.add(SchematicPart.line(x, y - 4, x + 24, y - 4, Pen.of(Ink.RUST, 1.4, 1.5, 3.0)));
            legend.add(new Label(x + 30, y, "at " + gph + ", as needed", 11, false, Ink.RUST_TEXT, Anchor.START));
            piece("", Kind.TEXT, "", legend);
        }
    }
}
