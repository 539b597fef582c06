package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Regime;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.PathStep;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;

/**
 * Gauge pressure on the way, under a drawing with pumps, in the same columns: what pumps add lies far over any height
 * drawn true. Two straight bands, each with its zero: all of it, and, enlarged, suction and what stands low.
 */
final class PressureStrip extends SchematicPart {

    /** Drawn under pictures at least so high, px, and as high itself. */
    private static final double LEAST_PICTURE = 540;

    private static final double HEIGHT = 134;
    /** What lies under this share of the highest pressure goes into the enlarged band. */
    private static final double LOW = 0.10;
    /** Less than so many times enlarged, one band does. */
    private static final double LEAST_ENLARGED = 3;

    private static final double GAP = 16;
    private static final double HEAD = 20;
    private static final double FOOT = 7;

    private final double top;
    private final double foot;
    private final Occupancy taken = new Occupancy();
    private final List<Mark> marks = new ArrayList<>();
    private Scale high;
    private Optional<Scale> low = Optional.empty();

    /** One end of a part on the way. */
    private record Stop(String item, double x, double pascal) {}

    /** A sheet whose own picture ends where the strip begins. */
    PressureStrip(SchematicPart sheet) {
        super(sheet);
        top = view.height();
        foot = top + HEIGHT;
    }

    /** What a picture leaves for the drawing over the strip; all of it where there is no pump, or too little room. */
    static double over(SchematicSubject subject, SchematicView view) {
        return subject.system().hasPump() && view.layers().headLine() && view.height() >= LEAST_PICTURE
                ? view.height() - HEIGHT
                : view.height();
    }

    void strip() {
        marks.add(new Box(0, top, view.width(), HEIGHT, 0, Ink.PANEL, NO_PEN));
        marks.add(new Box(RULER, top, right() - RULER, HEIGHT, 0, Ink.GROUND, NO_PEN));
        marks.add(line(0, top, view.width(), top, Pen.of(Ink.EDGE, 1)));
        marks.add(line(RULER, top, RULER, foot, Pen.of(Ink.HAIRLINE, 1)));
        marks.add(line(right(), top, right(), foot, Pen.of(Ink.HAIRLINE, 1)));
        List<Stop> way = way();
        if (way.size() < 2) {
            text(RULER + 10, top + 14, "Pressure along the path", 12, true, Ink.INK, Anchor.START);
            String why = answer.map(subject.regime()::of)
                    .filter(f -> !f.usable())
                    .map(FlowAnswer::reason)
                    .filter(r -> !r.isBlank())
                    .orElse("No flow to the engine in this case.");
            text(RULER + 10, top + 32, shortened(why), 11, false, Ink.SOFT, Anchor.START);
            piece("", Kind.RULER, "Pressure along the path: " + why, marks);
            return;
        }
        List<List<Stop>> beside = beside(way);
        scales(way, beside);
        columns(way);
        rulers();
        for (List<Stop> side : beside) {
            draw(side, 1.4);
        }
        through(beside);
        limits();
        draw(way, 2.2);
        caption();
        figures(way);
        piece("", Kind.RULER, spoken(way), marks);
    }

    /** What it is, over the lines that would run through the words. */
    private void caption() {
        String title = "Pressure along the path";
        String said = words();
        marks.add(new Box(RULER + 8, top + 3, measure.width(title, 12, true) + 6, 14, 0, Ink.GROUND, NO_PEN));
        marks.add(new Box(RULER + 8, top + 19, measure.width(said, 11, false) + 6, 13, 0, Ink.GROUND, NO_PEN));
        text(RULER + 10, top + 14, title, 12, true, Ink.INK, Anchor.START);
        text(RULER + 10, top + 29, said, 11, false, Ink.SOFT, Anchor.START);
    }

    /** As much of a sentence as one line holds. */
    private String shortened(String words) {
        String cut = words;
        while (measure.width(cut, 11, false) > right() - RULER - 24 && cut.lastIndexOf(' ') > 0) {
            cut = cut.substring(0, cut.lastIndexOf(' '));
        }
        return cut.equals(words) ? words : cut + " \u2026";
    }

    private String words() {
        double passes = subject.regime() == Regime.AS_IT_RUNS
                ? answer.get().need()
                : flow.get().inletFlow();
        String said = (subject.regime() == Regime.AS_IT_RUNS ? "at demand, " : "max flow, ")
                + units.text(passes, Dimension.FLOW);
        return low.isEmpty()
                ? said
                : said + "; lower scale \u00d7"
                        + UnitSystem.figure(Math.max(1, perPixel(high) / perPixel(low.get())), 0) + "\u00d7";
    }

    private static double perPixel(Scale s) {
        return (s.high() - s.low()) / Math.abs(s.toPx() - s.fromPx());
    }

    private String spoken(List<Stop> way) {
        StringBuilder said = new StringBuilder("Pressure along the path");
        String last = "";
        for (Stop s : way) {
            if (!s.item().equals(last)
                    && system.item(s.item()).flatMap(i -> i.only(Run.class)).isEmpty()) {
                said.append(", ")
                        .append(system.item(s.item()).map(Item::name).orElse(s.item()))
                        .append(' ')
                        .append(units.text(s.pascal(), Dimension.PRESSURE));
                last = s.item();
            }
        }
        return said.toString();
    }

    // what is on the way

    private List<Stop> way() {
        List<Stop> stops = new ArrayList<>();
        if (flow.isEmpty()) {
            return stops;
        }
        for (PathStep step : flow.get().path()) {
            Optional<Item> item = system.item(step.item());
            item.flatMap(i -> i.only(Run.class)).ifPresent(run -> {
                boolean forward = flow.get().flow(run.id()) > 0;
                stop(stops, run.id(), forward ? run.from() : run.to());
                stop(stops, run.id(), forward ? run.to() : run.from());
            });
            item.flatMap(i -> i.only(Tank.class))
                    .ifPresent(tank ->
                            stops.add(new Stop(tank.id(), place.centre(tank).x(), 0)));
        }
        return stops;
    }

    private void stop(List<Stop> stops, String item, PortRef port) {
        OptionalDouble p = flow.get().pressure(port);
        place.port(port).filter(s -> p.isPresent()).ifPresent(s -> stops.add(new Stop(item, s.x(), p.getAsDouble())));
    }

    /** Runs in which fuel flows beside the way: returns, parallel branches. */
    private List<List<Stop>> beside(List<Stop> way) {
        List<List<Stop>> all = new ArrayList<>();
        for (Run run : system.runs()) {
            if (way.stream().noneMatch(s -> s.item().equals(run.id()))
                    && Math.abs(flow.get().flow(run.id())) > FlowAnswer.NO_FLOW) {
                List<Stop> ends = new ArrayList<>();
                stop(ends, run.id(), run.from());
                stop(ends, run.id(), run.to());
                if (ends.size() == 2) {
                    all.add(ends);
                }
            }
        }
        return all;
    }

    /** What two runs beside the way meet at, drawn from one to the other. */
    private void through(List<List<Stop>> beside) {
        for (int i = 0; i < beside.size(); i++) {
            for (List<Stop> other : beside.subList(i + 1, beside.size())) {
                List<Stop> one = beside.get(i);
                joined(one.get(0).item(), other.get(0).item())
                        .ifPresent(item -> draw(List.of(at(one, item), at(other, item)), 1.4));
            }
        }
    }

    private Stop at(List<Stop> run, Fitted item) {
        Run r = system.item(run.get(0).item()).flatMap(i -> i.only(Run.class)).orElseThrow();
        return r.from().item().equals(item.id()) ? run.get(0) : run.get(1);
    }

    // bands

    private void scales(List<Stop> way, List<List<Stop>> beside) {
        List<Double> all = new ArrayList<>();
        way.forEach(s -> all.add(s.pascal()));
        beside.forEach(b -> b.forEach(s -> all.add(s.pascal())));
        double most = all.stream().mapToDouble(p -> p).max().orElse(1);
        double topOf =
                Math.max(most, system.inlet().map(i -> i.minimumPressure().si()).orElse(0.0));
        List<Double> under = all.stream().filter(p -> p < LOW * most).toList();
        double lowest = under.stream().mapToDouble(p -> p).min().orElse(0);
        double highest = under.stream().mapToDouble(p -> p).max().orElse(0);
        double span = Math.max(highest, 0) - Math.min(lowest, 0);
        if (under.isEmpty() || under.size() == all.size() || !(span > 0) || topOf < LEAST_ENLARGED * span) {
            high = new Scale(Math.min(0, 1.2 * lowest), Math.max(1, 1.1 * topOf), foot - FOOT, top + HEAD);
            return;
        }
        double middle = top + HEAD + (foot - FOOT - top - HEAD - GAP) * 0.5;
        high = new Scale(0, 1.1 * topOf, middle, top + HEAD);
        low = Optional.of(new Scale(
                Math.min(lowest, 0) - 0.12 * span, Math.max(highest, 0) + 0.12 * span, foot - FOOT, middle + GAP));
    }

    private boolean isLow(double pascal) {
        return low.isPresent() && pascal < LOW * high.high() / 1.1;
    }

    private double y(double pascal) {
        return isLow(pascal) ? low.get().at(pascal) : high.at(pascal);
    }

    private void rulers() {
        Unit unit = units.unit(Dimension.PRESSURE);
        text(RULER / 2, top + 14, unit.symbol(), 11, false, Ink.SOFT, Anchor.MIDDLE);
        ticks(high, unit, false);
        low.ifPresent(l -> {
            ticks(l, unit, true);
            double y = (high.fromPx() + l.toPx()) / 2;
            marks.add(new Path(
                    List.of(
                            new Spot(RULER - 9, y + 3),
                            new Spot(RULER - 3, y - 1),
                            new Spot(RULER - 7, y - 3),
                            new Spot(RULER - 1, y - 7)),
                    false,
                    Ink.NONE,
                    Pen.of(Ink.SOFT, 1),
                    0));
        });
    }

    private void ticks(Scale scale, Unit unit, boolean whole) {
        Scale shown = new Scale(unit.fromSi(scale.low()), unit.fromSi(scale.high()), scale.fromPx(), scale.toPx());
        List<Double> ticks = shown.ticks(whole ? 14 : 15);
        for (double t : ticks) {
            double y = shown.at(t);
            boolean zero = Math.abs(t) < 1e-12;
            marks.add(line(RULER, y, right(), y, Pen.of(zero ? Ink.EDGE : Ink.GRID, 1)));
            marks.add(line(RULER - 6, y, RULER, y, Pen.of(Ink.SOFT, 1)));
            text(RULER - 10, y + 4, UnitSystem.figure(t, Scale.decimals(ticks)), 10, zero, Ink.INK, Anchor.END);
        }
    }

    // marks

    /** A pale column under each part that is named over it. */
    private void columns(List<Stop> way) {
        double free = RULER
                + 10
                + Math.max(measure.width("Pressure along the path", 12, true), measure.width(words(), 11, false))
                + 8;
        List<Mark> names = new ArrayList<>();
        for (int i = 1; i < way.size(); i++) {
            Stop a = way.get(i - 1);
            Stop b = way.get(i);
            Optional<Fitted> between = a.item().equals(b.item()) ? Optional.empty() : joined(a.item(), b.item());
            if (between.isEmpty()) {
                continue;
            }
            Fitted item = between.get();
            double half = Symbols.halfWidth(item);
            double x = place.centre(item).x();
            marks.add(new Box(x - half, top + HEAD - 2, 2 * half, HEIGHT - HEAD - 2, 0, Ink.FUEL_STANDING, NO_PEN));
            double w = measure.width(item.name(), 10, false);
            if (x - w / 2 > free && x + w / 2 < right() - 4) {
                names.add(new Label(x, top + 14, item.name(), 10, false, Ink.SOFT, Anchor.MIDDLE));
                free = x + w / 2 + 10;
            }
        }
        marks.addAll(names);
        system.inlet()
                .ifPresent(i -> marks.add(new Box(
                        place.centre(i).x() - Symbols.halfWidth(i),
                        top + HEAD - 2,
                        2 * Symbols.halfWidth(i),
                        HEIGHT - HEAD - 2,
                        0,
                        Ink.FUEL_STANDING,
                        NO_PEN)));
    }

    /** The part that two runs meet at. */
    private Optional<Fitted> joined(String a, String b) {
        Optional<Run> one = system.item(a).flatMap(i -> i.only(Run.class));
        Optional<Run> other = system.item(b).flatMap(i -> i.only(Run.class));
        if (one.isEmpty() || other.isEmpty()) {
            return Optional.empty();
        }
        List<String> ends = List.of(other.get().from().item(), other.get().to().item());
        return List.of(one.get().from().item(), one.get().to().item()).stream()
                .filter(ends::contains)
                .findFirst()
                .flatMap(system::item)
                .flatMap(i -> i.only(Fitted.class));
    }

    private void draw(List<Stop> stops, double width) {
        for (int i = 1; i < stops.size(); i++) {
            Stop a = stops.get(i - 1);
            Stop b = stops.get(i);
            boolean jumps = isLow(a.pascal()) != isLow(b.pascal());
            boolean suction = a.pascal() < SUCTION && b.pascal() < SUCTION && !jumps;
            Spot from = new Spot(a.x(), y(a.pascal()));
            Spot to = new Spot(b.x(), y(b.pascal()));
            if (suction && Math.abs(b.x() - a.x()) > 0.5) {
                double zero = low.orElse(high).at(0);
                marks.add(new Path(
                        List.of(from, to, new Spot(to.x(), zero), new Spot(from.x(), zero)),
                        true,
                        Ink.PLUM_TINT,
                        NO_PEN,
                        0));
            }
            Ink ink = suction ? Ink.PLUM : Ink.FUEL;
            marks.add(new Path(
                    List.of(from, to), false, Ink.NONE, jumps ? Pen.of(ink, width, 2.0, 3.0) : Pen.of(ink, width), 0));
        }
    }

    /** What the inlet must have, and may have at most. */
    private void limits() {
        EngineInlet inlet = system.inlet().orElse(null);
        if (inlet == null || isLow(inlet.minimumPressure().si())) {
            return;
        }
        double x = place.centre(inlet).x() + Symbols.halfWidth(inlet) + 8;
        double least = high.at(inlet.minimumPressure().si());
        marks.add(line(x - 5, least, x + 5, least, Pen.of(Ink.INK, 1.4)));
        text(x + 9, least + 4, "min", 10, false, Ink.SOFT, Anchor.START);
        inlet.maximumPressure().filter(m -> m.si() <= high.high()).ifPresent(m -> {
            double most = high.at(m.si());
            marks.add(line(x - 5, most, x + 5, most, Pen.of(Ink.INK, 1.4)));
            marks.add(line(x, least, x, most, Pen.of(Ink.INK, 1.4)));
            if (least - most > 12) {
                text(x + 9, most + 4, "max", 10, false, Ink.SOFT, Anchor.START);
            }
        });
    }

    /** At the ports of pumps, the worst suction and the inlet. */
    private void figures(List<Stop> way) {
        List<Stop> told = new ArrayList<>();
        Stop last = way.get(way.size() - 1);
        told.add(last);
        way.stream()
                .min((a, b) -> Double.compare(a.pascal(), b.pascal()))
                .filter(s -> s.pascal() < SUCTION)
                .ifPresent(told::add);
        for (int i = 1; i < way.size(); i++) {
            if (!way.get(i - 1).item().equals(way.get(i).item())
                    && joined(way.get(i - 1).item(), way.get(i).item())
                            .flatMap(f -> f.only(Pump.class))
                            .isPresent()) {
                told.add(way.get(i));
                told.add(way.get(i - 1));
            }
        }
        for (Stop s : told.stream().distinct().toList()) {
            double y = y(s.pascal());
            marks.add(new Disc(
                    new Spot(s.x(), y), 3, Ink.PANEL, Pen.of(s.pascal() < SUCTION ? Ink.PLUM : Ink.FUEL, 1.6)));
            String figure = units.figure(s.pascal(), Dimension.PRESSURE);
            double w = measure.width(figure, 11, s == last);
            for (Spot at : List.of(
                    new Spot(s.x() + 6, y - 4),
                    new Spot(s.x() - 6 - w, y - 4),
                    new Spot(s.x() + 6, y + 13),
                    new Spot(s.x() - 6 - w, y + 13))) {
                if (at.y() < foot - 2
                        && at.y() > top + HEAD + 6
                        && taken.overlap(at.x() - 2, at.y() - 9, at.x() + w + 2, at.y() + 1) < 0.5) {
                    marks.add(new Label(
                            at.x(),
                            at.y(),
                            figure,
                            11,
                            s == last,
                            s.pascal() < SUCTION ? Ink.PLUM : Ink.INK,
                            Anchor.START));
                    taken.take(at.x() - 2, at.y() - 9, at.x() + w + 2, at.y() + 1);
                    break;
                }
            }
        }
    }

    private void text(double x, double y, String words, double size, boolean bold, Ink ink, Anchor anchor) {
        marks.add(new Label(x, y, words, size, bold, ink, anchor));
        double w = measure.width(words, size, bold);
        double left = anchor == Anchor.START ? x : anchor == Anchor.MIDDLE ? x - w / 2 : x - w;
        taken.take(left - 2, y - size, left + w + 2, y + 2);
    }
}
