package ration.publish.drawing;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.heat.Heat;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.Air;
import ration.physics.vapor.Gap;
import ration.physics.vapor.PathHeat;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Project;

/** Pressure in the fuel along the path against the pressure at which it boils there; suction in plum. */
public final class VaporPath {

    private static final double LEFT = 58;
    private static final double RIGHT = 44;
    private static final double TOP = 34;
    private static final double FOOT = 28;

    private final Project project;
    private final List<Gap> gaps;
    private final List<Gap> before;
    private final Air air;
    private final Heat heat;
    private final UnitSystem units;
    private final TextMeasure measure;
    private final Scale x;
    private final Scale y;
    private final Unit pressure;
    private final List<Piece> pieces = new ArrayList<>();

    /**
     * What is shown.
     *
     * @param path now
     * @param before the same path before a change, faint; empty for none
     */
    public record Subject(Project project, PathHeat path, Optional<PathHeat> before, Air air, UnitSystem units) {}

    private VaporPath(Subject s, double width, double height, TextMeasure measure) {
        this.project = s.project();
        this.gaps = s.path().gaps();
        this.before = s.before().map(PathHeat::gaps).orElse(List.of());
        this.air = s.air();
        this.heat = project.heat();
        this.units = s.units();
        this.measure = measure;
        this.pressure = units.unit(Dimension.PRESSURE);
        double end = gaps.isEmpty() ? 1 : gaps.get(gaps.size() - 1).along();
        double ambient = Heat.ambient(air.altitudeM());
        double high =
                Math.max(ambient, gaps.stream().mapToDouble(Gap::pressure).max().orElse(ambient));
        double low = Math.min(
                ambient,
                gaps.stream()
                        .mapToDouble(g -> Math.min(g.boils(), g.pressure()))
                        .min()
                        .orElse(0));
        // a pump of many atmospheres is cut off at the top: what matters lies near boiling
        double top = Math.min(high, Math.max(ambient * 1.9, 2 * ambient - low));
        this.x = new Scale(0, end, LEFT, width - RIGHT);
        this.y = new Scale(
                pressure.fromSi(low - 0.15 * (top - low)),
                pressure.fromSi(top + 0.05 * (top - low)),
                height - FOOT,
                TOP);
    }

    /** In place of a path that is not there: why. */
    public static Picture without(String why, double width, double height) {
        return new Picture(
                width,
                height,
                List.of(new Piece(
                        "",
                        Kind.TEXT,
                        why,
                        List.of(new Label(LEFT, TOP + 20, why, 12, false, Ink.SOFT, Anchor.START)))));
    }

    public static Picture draw(Subject subject, double width, double height, TextMeasure measure) {
        if (subject.path().gaps().isEmpty()) {
            return without("Nothing flows in this case: there is no path to follow.", width, height);
        }
        VaporPath p = new VaporPath(subject, width, height, measure);
        p.axes(width, height);
        p.fills(height);
        p.items();
        p.lines();
        p.governing(width);
        return new Picture(width, height, p.pieces);
    }

    private double px(double along) {
        return x.at(along);
    }

    private double py(double pascal) {
        return Math.max(TOP - 4, y.at(pressure.fromSi(pascal)));
    }

    private void axes(double width, double height) {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Label(LEFT - 10, TOP - 22, pressure.symbol() + " abs", 11, false, Ink.SOFT, Anchor.END));
        List<Double> ticks = y.ticks(34);
        for (double t : ticks) {
            marks.add(SchematicPart.line(LEFT - 6, y.at(t), width - RIGHT, y.at(t), Pen.of(Ink.GRID, 1)));
            marks.add(new Label(
                    LEFT - 10,
                    y.at(t) + 4,
                    UnitSystem.figure(t, Scale.decimals(ticks)),
                    11,
                    false,
                    Ink.INK,
                    Anchor.END));
        }
        Unit length = units.unit(Dimension.LENGTH);
        Scale along = new Scale(0, length.fromSi(x.high()), x.fromPx(), x.toPx());
        for (double t : along.ticks(70)) {
            marks.add(new Label(along.at(t), height - 8, UnitSystem.figure(t, 0), 11, false, Ink.INK, Anchor.MIDDLE));
        }
        marks.add(new Label(width - 12, height - 8, length.symbol(), 11, false, Ink.SOFT, Anchor.END));
        pieces.add(new Piece("", Kind.RULER, "", marks));
    }

    private void fills(double height) {
        double foot = height - FOOT;
        List<Spot> under = new ArrayList<>();
        List<Spot> boil = new ArrayList<>();
        gaps.forEach(g -> under.add(new Spot(px(g.along()), py(g.pressure()))));
        gaps.forEach(g -> boil.add(new Spot(px(g.along()), py(g.boils()))));
        List<Spot> between = new ArrayList<>(under);
        for (int i = boil.size() - 1; i >= 0; i--) {
            between.add(boil.get(i));
        }
        List<Spot> hot = new ArrayList<>(boil);
        hot.add(new Spot(boil.get(boil.size() - 1).x(), foot));
        hot.add(new Spot(boil.get(0).x(), foot));
        List<Mark> marks = new ArrayList<>(List.of(
                new Path(between, true, Ink.FUEL_STANDING, Pen.of(Ink.NONE, 0), 0),
                new Path(hot, true, Ink.RUST_TINT, Pen.of(Ink.NONE, 0), 0)));
        double ambient = py(Heat.ambient(air.altitudeM()));
        List<Spot> suction = Half.below(closed(under, ambient), ambient);
        if (suction.size() > 2) {
            marks.add(new Path(suction, true, Ink.PLUM_TINT, Pen.of(Ink.NONE, 0), 0));
        }
        pieces.add(new Piece("", Kind.GROUND, "", marks));
    }

    private static List<Spot> closed(List<Spot> line, double y) {
        List<Spot> ring = new ArrayList<>(line);
        ring.add(new Spot(line.get(line.size() - 1).x(), y));
        ring.add(new Spot(line.get(0).x(), y));
        return ring;
    }

    /** Bands of the items that are no runs, named on top where there is room. */
    private void items() {
        Map<String, double[]> spans = new LinkedHashMap<>();
        for (Gap g : gaps) {
            if (project.system().item(g.item()).flatMap(i -> i.only(Run.class)).isEmpty()) {
                spans.merge(g.item(), new double[] {px(g.along()), px(g.along())}, (a, b) -> new double[] {a[0], b[1]});
            }
        }
        Occupancy taken = new Occupancy();
        List<Mark> marks = new ArrayList<>();
        spans.forEach((id, span) -> {
            String name = project.system()
                    .item(id)
                    .map(i -> i.only(Tank.class).map(t -> "Outlet").orElse(i.name()))
                    .orElse(id);
            double half = measure.width(name, 11, true) / 2;
            double middle = Math.max(LEFT + half - 6, Math.min(x.toPx() + RIGHT - half - 4, (span[0] + span[1]) / 2));
            marks.add(new Box(
                    span[0],
                    TOP - 4,
                    Math.max(3, span[1] - span[0]),
                    y.fromPx() - TOP + 4,
                    0,
                    Ink.GRID,
                    Pen.of(Ink.NONE, 0)));
            for (double base : new double[] {TOP - 10, TOP - 22}) {
                if (taken.overlap(middle - half - 4, base - 10, middle + half + 4, base + 2) < 1) {
                    taken.take(middle - half - 4, base - 10, middle + half + 4, base + 2);
                    marks.add(new Label(middle, base, name, 11, true, Ink.INK, Anchor.MIDDLE));
                    break;
                }
            }
        });
        pieces.add(0, new Piece("", Kind.GROUND, "", marks));
    }

    private void lines() {
        List<Mark> marks = new ArrayList<>();
        double ambient = py(Heat.ambient(air.altitudeM()));
        marks.add(SchematicPart.line(LEFT, ambient, x.toPx(), ambient, Pen.of(Ink.SOFT, 1.2, 4.0, 3.0)));
        marks.add(new Label(
                clearest(ambient),
                ambient - 6,
                "outside air, " + UnitSystem.figure(Unit.FOOT.fromSi(air.altitudeM()), 0) + " ft: "
                        + units.text(Heat.ambient(air.altitudeM()), Dimension.PRESSURE),
                11,
                false,
                Ink.SOFT,
                Anchor.START));
        if (!before.isEmpty()) {
            marks.add(new Path(
                    before.stream()
                            .map(g -> new Spot(px(Math.min(x.high(), g.along())), py(g.pressure())))
                            .toList(),
                    false,
                    Ink.NONE,
                    Pen.of(Ink.FUEL_MID, 1.4, 2.0, 3.0),
                    0));
            marks.add(new Path(
                    before.stream()
                            .map(g -> new Spot(px(Math.min(x.high(), g.along())), py(g.boils())))
                            .toList(),
                    false,
                    Ink.NONE,
                    Pen.of(Ink.RUST, 1.2, 2.0, 3.0),
                    0));
        }
        for (int i = 1; i < gaps.size(); i++) {
            Gap a = gaps.get(i - 1);
            Gap b = gaps.get(i);
            boolean suction = (a.gauge() + b.gauge()) / 2 < SchematicPart.SUCTION;
            marks.add(SchematicPart.line(
                    px(a.along()),
                    py(a.pressure()),
                    px(b.along()),
                    py(b.pressure()),
                    Pen.of(suction ? Ink.PLUM : Ink.FUEL, suction ? 4 : 2.8)));
        }
        marks.add(new Path(
                gaps.stream().map(g -> new Spot(px(g.along()), py(g.boils()))).toList(),
                false,
                Ink.NONE,
                Pen.of(Ink.RUST, 2.4),
                0));
        Gap first = gaps.get(0);
        Gap last = gaps.get(gaps.size() - 1);
        double warm = gaps.stream().mapToDouble(Gap::kelvin).max().orElse(0);
        marks.add(new Label(
                x.toPx() - 8,
                Math.min(y.fromPx() - 8, py(last.boils()) + 22),
                "boiling pressure of "
                        + heat.volatility().label() + " at " + units.temperature(first.kelvin(), 1) + " to "
                        + units.temperature(warm, 1),
                11,
                false,
                Ink.RUST_TEXT,
                Anchor.END));
        pieces.add(new Piece("", Kind.HEAD_LINE, "", marks));
    }

    /** Where the pressure runs furthest from the line of the outside air, so that its name is not run over. */
    private double clearest(double ambient) {
        double best = LEFT + 12;
        double most = -1;
        for (double left = LEFT + 12; left + 180 < x.toPx(); left += 40) {
            double from = left;
            double away = 40;
            for (double at = from - 20; at <= from + 190; at += 6) {
                away = Math.min(away, Math.abs(pressureY(at) - ambient + 8));
            }
            if (away > most + 1) {
                most = away;
                best = left;
            }
        }
        return best;
    }

    private double pressureY(double at) {
        for (int i = 1; i < gaps.size(); i++) {
            double a = px(gaps.get(i - 1).along());
            double b = px(gaps.get(i).along());
            if (at <= b && b > a) {
                double t = Math.max(0, (at - a) / (b - a));
                return py(gaps.get(i - 1).pressure())
                        + t * (py(gaps.get(i).pressure()) - py(gaps.get(i - 1).pressure()));
            }
        }
        return py(gaps.get(gaps.size() - 1).pressure());
    }

    private void governing(double width) {
        Optional<Gap> least = new PathHeat(gaps).least(heat.vapor());
        least.ifPresent(g -> {
            Spot s = new Spot(px(g.along()), py(g.pressure()));
            double boils = py(g.boils());
            String what = units.difference(g.degrees(heat.vapor())) + " at " + name(g);
            String under = units.text(g.pascal(), Dimension.PRESSURE) + " to boiling, needs "
                    + units.difference(heat.si(ration.aircraft.heat.HeatFigure.NEEDED));
            double w = Math.max(measure.width(what, 12, true), measure.width(under, 11, false)) + 20;
            double left = s.x() + 16 + w < width - 8 ? s.x() + 16 : s.x() - 16 - w;
            double top = Math.max(TOP, Math.min(y.fromPx() - 52, (s.y() + boils) / 2 - 22));
            List<Mark> marks = new ArrayList<>();
            marks.add(SchematicPart.line(s.x(), s.y(), s.x(), boils, Pen.of(Ink.INK, 1.4)));
            for (double[] tip : new double[][] {{s.y() + 6, 1}, {boils, -1}}) {
                marks.add(new Path(
                        List.of(
                                new Spot(s.x(), tip[0]),
                                new Spot(s.x() - 3.5, tip[0] + 6 * tip[1]),
                                new Spot(s.x() + 3.5, tip[0] + 6 * tip[1])),
                        true,
                        Ink.INK,
                        Pen.of(Ink.NONE, 0),
                        0));
            }
            marks.add(new Box(left, top, w, 42, 4, Ink.PANEL, Pen.of(Ink.INK, 1)));
            marks.add(new Label(left + 10, top + 17, what, 12, true, Ink.INK, Anchor.START));
            marks.add(new Label(left + 10, top + 33, under, 11, false, Ink.INK, Anchor.START));
            marks.add(new Disc(s, 5, Ink.PANEL, Pen.of(g.gauge() < SchematicPart.SUCTION ? Ink.PLUM : Ink.FUEL, 2)));
            pieces.add(new Piece(g.item(), Kind.SYMBOL, "Least gap: " + what + ", " + under, marks));
        });
    }

    private String name(Gap g) {
        String name = project.system().item(g.item()).map(Item::name).orElse(g.item());
        boolean word = name.length() > 1 && Character.isLowerCase(name.charAt(1));
        return (word ? name.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + name.substring(1) : name) + " "
                + g.what();
    }
}
