package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.assess.CaseAnswer;
import ration.drawing.Mark.Anchor;
import ration.drawing.Mark.Box;
import ration.drawing.Mark.Disc;
import ration.drawing.Mark.Label;
import ration.drawing.Mark.Notch;
import ration.drawing.Mark.Path;
import ration.drawing.Mark.Pen;
import ration.drawing.Mark.Spot;
import ration.drawing.Picture.Kind;
import ration.drawing.Picture.Piece;
import ration.flow.FlowAnswer;
import ration.flow.PathStep;
import ration.flow.TankLevel;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Place;
import ration.model.PortRef;
import ration.quantity.Dimension;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;

/** Draws the height-true schematic. */
public final class Schematic {

    private static final double RULER = Arrangement.RULER;
    private static final Pen NO_PEN = Pen.of(Ink.NONE, 0);
    /** Pressure under ambient that counts as suction, Pa: 0.1 in of fuel. */
    private static final double SUCTION = -18;

    private final SchematicSubject subject;
    private final SchematicView view;
    private final TextMeasure measure;
    private final FuelSystem system;
    private final UnitSystem units;
    private final Arrangement place;
    private final Optional<CaseAnswer> answer;
    private final Optional<FlowAnswer> flow;
    private final List<Piece> pieces = new ArrayList<>();
    private final Occupancy ground = new Occupancy();

    private Schematic(SchematicSubject subject, SchematicView view, TextMeasure measure) {
        this.subject = subject;
        this.view = view;
        this.measure = measure;
        this.system = subject.system();
        this.units = subject.units();
        this.place = new Arrangement(subject, view);
        this.answer = subject.answer();
        this.flow = answer.map(CaseAnswer::capacity).filter(FlowAnswer::usable);
    }

    /** The picture of a system in a condition. */
    public static Picture draw(SchematicSubject subject, SchematicView view, TextMeasure measure) {
        return new Schematic(subject, view, measure).draw();
    }

    /** The symbol of an item alone, as drawn in the schematic, for cards and lists. */
    public static Picture icon(Item item) {
        List<Mark> marks = item instanceof Item.Fitted fitted ? Symbols.alone(fitted, new Spot(24, 22))
                : item instanceof Item.Run run ? List.of(line(4, 22, 44, 22, Pen.of(Ink.FUEL, width(run))))
                : List.of(new Path(List.of(new Spot(6, 10), new Spot(42, 10), new Spot(42, 34), new Spot(6, 30)), true,
                        Ink.FUEL_TINT, Pen.of(Ink.INK, 2), 0));
        return new Picture(48, 48, List.of(new Piece(item.id(), Kind.SYMBOL, item.kind(), marks)));
    }

    private Picture draw() {
        ground();
        pickedGuide();
        takeGround();
        system.runs().forEach(this::run);
        system.tanks().forEach(this::tank);
        if (view.layers().vents()) {
            system.tanks().forEach(this::vent);
        }
        if (view.layers().drains()) {
            system.tanks().forEach(this::drain);
        }
        if (view.layers().headLine()) {
            headLine();
        }
        system.all(Item.Fitted.class).forEach(this::symbol);
        outletScreens();
        labels();
        engine();
        teach();
        rulers();
        pickedMarks();
        return new Picture(view.width(), view.height(), pieces);
    }

    private void piece(String item, Kind kind, String words, List<Mark> marks) {
        pieces.add(new Piece(item, kind, words, marks));
    }

    private void piece(String item, Kind kind, Mark... marks) {
        piece(item, kind, "", List.of(marks));
    }

    private static Path line(double x1, double y1, double x2, double y2, Pen pen) {
        return new Path(List.of(new Spot(x1, y1), new Spot(x2, y2)), false, Ink.NONE, pen, 0);
    }

    // ground and rulers

    private double right() {
        return view.width() - RULER;
    }

    private void ground() {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(RULER, 0, right() - RULER, view.height(), 0, Ink.GROUND, NO_PEN));
        double wall = Math.max(RULER, Math.min(right(), place.firewallX()));
        if (system.firewall().isPresent()) {
            marks.add(new Box(wall, 0, right() - wall, view.height(), 0, Ink.BAY, NO_PEN));
        }
        for (double y : majorTicks()) {
            marks.add(line(RULER, y, right(), y, Pen.of(Ink.GRID, 1)));
        }
        marks.add(line(RULER, place.y(0), right(), place.y(0), Pen.of(Ink.EDGE, 1)));
        marks.add(new Label(right() - 14, 18, "heights in " + subject.condition().attitude().label()
                + ", nose to the right", 11, false, Ink.SOFT, Anchor.END));
        ground.take(right() - 230, 4, right(), 24);
        piece("", Kind.GROUND, "", marks);
    }

    private double rulerStep() {
        double unit = units.unit(Dimension.LENGTH).toSi(1);
        for (double step : new double[] {1, 2, 5, 10, 20, 50, 100, 200, 500, 1000}) {
            if (step * unit * place.scale() >= 56) {
                return step;
            }
        }
        return 2000;
    }

    private List<Double> majorTicks() {
        double step = rulerStep() * units.unit(Dimension.LENGTH).toSi(1);
        List<Double> ys = new ArrayList<>();
        for (double k = Math.ceil(place.heightAt(view.height()) / step); k * step <= place.heightAt(0); k++) {
            ys.add(place.y(k * step));
        }
        return ys;
    }

    private void rulers() {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(0, 0, RULER, view.height(), 0, Ink.PANEL, NO_PEN));
        marks.add(new Box(right(), 0, RULER, view.height(), 0, Ink.PANEL, NO_PEN));
        marks.add(line(RULER, 0, RULER, view.height(), Pen.of(Ink.HAIRLINE, 1)));
        marks.add(line(right(), 0, right(), view.height(), Pen.of(Ink.HAIRLINE, 1)));
        Unit length = units.unit(Dimension.LENGTH);
        marks.add(new Label(RULER / 2, 16, length.symbol(), 11, false, Ink.SOFT, Anchor.MIDDLE));
        double step = rulerStep();
        double part = step / 10;
        double hide = pickedY().orElse(Double.NaN);
        for (long k = (long) Math.ceil(length.fromSi(place.heightAt(view.height())) / part);
                place.y(length.toSi(k * part)) >= 26; k++) {
            double y = place.y(length.toSi(k * part));
            boolean major = k % 10 == 0;
            double tick = major ? 9 : k % 5 == 0 ? 6 : 3;
            marks.add(line(RULER - tick, y, RULER, y, Pen.of(Ink.SOFT, 1)));
            if (major && !(Math.abs(y - hide) < 15)) {
                marks.add(new Label(RULER - 14, y + 4, UnitSystem.figure(k * part, step < 1 ? 1 : 0), 11, k == 0,
                        Ink.INK, Anchor.END));
            }
        }
        pressureRuler(marks);
        piece("", Kind.RULER, "", marks);
    }

    /** The same heights as pressure of a standing column. */
    private void pressureRuler(List<Mark> marks) {
        double weight = flow.map(FlowAnswer::weight).orElse(0.0);
        Unit pressure = units.unit(Dimension.PRESSURE);
        marks.add(new Label(right() + RULER / 2, 16, pressure.symbol(), 11, false, Ink.SOFT, Anchor.MIDDLE));
        if (weight <= 0) {
            return;
        }
        double perUnit = pressure.toSi(1) / weight * place.scale();
        double step = 0.05;
        for (double s : new double[] {0.05, 0.1, 0.2, 0.5, 1, 2, 5}) {
            step = s;
            if (s * perUnit >= 44) {
                break;
            }
        }
        int parts = 4;
        double part = step / parts;
        for (long k = (long) Math.ceil(pressure.fromSi(place.heightAt(view.height()) * weight) / part);
                place.y(pressure.toSi(k * part) / weight) >= 26; k++) {
            double y = place.y(pressure.toSi(k * part) / weight);
            marks.add(line(right(), y, right() + (k % parts == 0 ? 8 : 4), y, Pen.of(Ink.SOFT, 1)));
            if (k % parts == 0) {
                marks.add(new Label(right() + 12, y + 4, k == 0 ? "0" : UnitSystem.figure(k * part, step < 0.1 ? 2 : 1),
                        11, k == 0, Ink.INK, Anchor.START));
            }
        }
    }

    // what stands where

    private void takeGround() {
        ground.take(0, 0, RULER, view.height());
        ground.take(right(), 0, view.width(), view.height());
        for (Item.Fitted item : system.all(Item.Fitted.class).toList()) {
            Spot c = place.centre(item);
            ground.take(c.x() - Symbols.halfWidth(item) - 2, c.y() - Symbols.halfHeight(item) - 2,
                    c.x() + Symbols.halfWidth(item) + 2, c.y() + Symbols.depth(item) + 2);
            if (item instanceof Item.EngineInlet) {
                ground.take(c.x() + 2, c.y() - 40, c.x() + 26, c.y());
            }
        }
        for (Item.Run run : system.runs()) {
            ground.takeWay(place.way(run), width(run));
        }
        for (Item.Tank tank : system.tanks()) {
            double left = Double.MAX_VALUE;
            double r = -Double.MAX_VALUE;
            double top = Double.MAX_VALUE;
            double bottom = -Double.MAX_VALUE;
            for (Spot s : outline(tank)) {
                left = Math.min(left, s.x());
                r = Math.max(r, s.x());
                top = Math.min(top, s.y());
                bottom = Math.max(bottom, s.y());
            }
            double margin = tank.id().equals(subject.picked()) ? 10 : 0;
            ground.take(left - margin, top - margin, r + margin, bottom + margin);
        }
        takePicked();
        if (system.firewall().isPresent()) {
            ground.take(place.firewallX() - 6, 0, place.firewallX() + 6, view.height());
        }
        double engineTop = engineTop();
        ground.take(place.firewallX() + 20, engineTop, right(), engineTop + 134);
        if (view.layers().headLine()) {
            takeHeadLine();
        }
    }

    /** The ground of the dimension from the picked item up to the head line. */
    private void takePicked() {
        picked().filter(i -> !(i instanceof Item.Tank) && i.ports().contains(Item.OUT)).ifPresent(i -> {
            PortRef out = new PortRef(i.id(), Item.OUT);
            OptionalDouble head = flow.map(f -> f.head(out)).orElse(OptionalDouble.empty());
            place.port(out).filter(p -> head.isPresent() && view.layers().headLine()).ifPresent(p ->
                    ground.take(p.x() - 2, headY(head.getAsDouble()), p.x() + 8, p.y()));
        });
    }

    private void takeHeadLine() {
        List<Spot> spots = headSpots();
        for (int i = 0; i < spots.size(); i++) {
            Spot b = spots.get(i);
            ground.take(b.x() - 4, b.y() - 4, b.x() + 4, b.y() + 4);
            Spot a = spots.get(Math.max(0, i - 1));
            int parts = (int) (Math.hypot(b.x() - a.x(), b.y() - a.y()) / 8) + 1;
            for (int k = 1; k < parts; k++) {
                double x = a.x() + (b.x() - a.x()) * k / parts;
                double y = a.y() + (b.y() - a.y()) * k / parts;
                ground.take(x - 3, y - 3, x + 3, y + 3);
            }
        }
    }

    private Optional<Spot> place(Place p, Item.Tank tank) {
        return Optional.of(place.inTank(tank, p.point()));
    }

    // runs

    private static double width(Item.Run run) {
        double inches = Unit.INCH.fromSi(run.size().bore());
        return inches < 0.21 ? 3 : inches < 0.28 ? 4.5 : inches < 0.36 ? 6.5 : 9;
    }

    private void run(Item.Run run) {
        List<Spot> way = place.way(run);
        if (way.size() < 2) {
            return;
        }
        double width = width(run);
        double through = flow.map(f -> f.flow(run.id())).orElse(0.0);
        boolean flowing = Math.abs(through) > FlowAnswer.NO_FLOW;
        boolean suction = lowestPressure(run).orElse(0) < SUCTION;
        List<Mark> marks = new ArrayList<>();
        Ink ink = suction ? Ink.PLUM : Ink.FUEL;
        marks.add(new Path(way, false, Ink.NONE, Pen.of(ink, width), 10));
        if (!flowing) {
            marks.add(new Path(way, false, Ink.NONE, Pen.of(suction ? Ink.PANEL : Ink.FUEL_STANDING,
                    Math.max(1, width - 3)), 10));
        } else if (suction) {
            marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.PANEL, 1.4, 5.0, 6.0), 10));
        }
        if (flowing) {
            for (int i = 1; i < way.size(); i++) {
                arrow(marks, way.get(i - 1), way.get(i), through > 0, width, ink);
            }
        }
        String state = flowing ? units.text(Math.abs(through), Dimension.FLOW) : "no flow";
        piece(run.id(), Kind.RUN, run.name() + ", " + run.kind() + " " + run.size().shortName() + ", " + state
                + (suction ? ", below ambient pressure" : ""), marks);
    }

    private void arrow(List<Mark> marks, Spot a, Spot b, boolean forward, double width, Ink ink) {
        double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
        if (length < 34) {
            return;
        }
        double ux = (b.x() - a.x()) / length * (forward ? 1 : -1);
        double uy = (b.y() - a.y()) / length * (forward ? 1 : -1);
        double mx = (a.x() + b.x()) / 2;
        double my = (a.y() + b.y()) / 2;
        double half = Math.max(6, width * 0.95);
        Spot tip = new Spot(mx + ux * 7, my + uy * 7);
        Spot left = new Spot(mx - ux * 6 - uy * half, my - uy * 6 + ux * half);
        Spot rightSpot = new Spot(mx - ux * 6 + uy * half, my - uy * 6 - ux * half);
        marks.add(new Path(List.of(tip, left, rightSpot), true, ink, Pen.of(Ink.PANEL, 1.4), 0));
    }

    /** Lowest gauge pressure at the ends and measured points of a run, Pa. */
    private OptionalDouble lowestPressure(Item.Run run) {
        Optional<Point3> start = system.point(run.from());
        Optional<Point3> end = system.point(run.to());
        if (flow.isEmpty() || start.isEmpty() || end.isEmpty()) {
            return OptionalDouble.empty();
        }
        OptionalDouble a = flow.get().head(run.from());
        OptionalDouble b = flow.get().head(run.to());
        if (a.isEmpty() || b.isEmpty()) {
            return OptionalDouble.empty();
        }
        double lowest = Math.min(a.getAsDouble() - flow.get().height(start.get()),
                b.getAsDouble() - flow.get().height(end.get()));
        int n = run.points().size() + 1;
        for (int i = 1; i < n; i++) {
            double head = a.getAsDouble() + (b.getAsDouble() - a.getAsDouble()) * i / n;
            lowest = Math.min(lowest, head - flow.get().height(run.points().get(i - 1).point()));
        }
        return OptionalDouble.of(lowest * flow.get().weight());
    }

    // tanks

    private List<Spot> outline(Item.Tank tank) {
        List<Spot> spots = new ArrayList<>();
        double y = Arrangement.sectionButtLine(tank);
        for (Point2 p : tank.shape().section()) {
            spots.add(place.inTank(tank, new Point3(p.x(), y, p.z())));
        }
        return spots;
    }

    private Optional<TankLevel> level(Item.Tank tank) {
        return answer.map(a -> a.capacity().levels().get(tank.id()));
    }

    private void tank(Item.Tank tank) {
        List<Spot> outline = outline(tank);
        List<Mark> marks = new ArrayList<>();
        marks.add(new Path(outline, true, Ink.PANEL, NO_PEN, 0));
        Optional<TankLevel> level = level(tank);
        level.ifPresent(l -> {
            double surface = place.y(l.surface() - place.referenceHeight());
            List<Spot> wet = below(outline, surface);
            if (wet.size() > 2 && l.volume() > 0) {
                marks.add(new Path(wet, true, Ink.FUEL_TINT, NO_PEN, 0));
                double a = wet.stream().filter(s -> Math.abs(s.y() - surface) < 0.5).mapToDouble(Spot::x).min()
                        .orElse(0);
                double b = wet.stream().filter(s -> Math.abs(s.y() - surface) < 0.5).mapToDouble(Spot::x).max()
                        .orElse(0);
                marks.add(line(a, surface, b, surface, Pen.of(Ink.FUEL, 1.8)));
                if (b - a > 30) {
                    double m = a + Math.min(20, (b - a) / 4);
                    marks.add(new Path(List.of(new Spot(m - 5, surface - 9), new Spot(m + 5, surface - 9),
                            new Spot(m, surface - 1)), true, Ink.PANEL, Pen.of(Ink.FUEL, 1.2), 0));
                }
                if (b - a > 112) {
                    String head = units.text(l.surface() - place.referenceHeight(), Dimension.LENGTH);
                    marks.add(new Label(b - 12, surface - 6, head, 12, false, Ink.INK, Anchor.END));
                }
            }
        });
        marks.add(new Path(outline, true, Ink.NONE, Pen.of(Ink.INK, 2), 2));
        piece(tank.id(), Kind.TANK, tank.name() + ", " + contents(tank), marks);
    }

    private String contents(Item.Tank tank) {
        double capacity = tank.shape().solid().volume();
        double volume = subject.condition().contents().getOrDefault(tank.id(), 0.0);
        Unit unit = units.unit(Dimension.VOLUME);
        if (volume >= capacity * 0.9995) {
            return units.text(capacity, Dimension.VOLUME) + ", full";
        }
        return UnitSystem.figure(unit.fromSi(volume), 1) + " of " + units.text(capacity, Dimension.VOLUME);
    }

    /** The part of an outline at and under y. */
    private static List<Spot> below(List<Spot> outline, double y) {
        List<Spot> wet = new ArrayList<>();
        for (int i = 0; i < outline.size(); i++) {
            Spot a = outline.get(i);
            Spot b = outline.get((i + 1) % outline.size());
            if (a.y() >= y) {
                wet.add(a);
            }
            if (a.y() >= y != b.y() >= y) {
                double t = (y - a.y()) / (b.y() - a.y());
                wet.add(new Spot(a.x() + t * (b.x() - a.x()), y));
            }
        }
        return wet;
    }

    private void vent(Item.Tank tank) {
        tank.vent().flatMap(v -> place(v, tank)).ifPresent(tip -> {
            double top = outline(tank).stream().mapToDouble(Spot::y).min().orElse(tip.y());
            double x = tip.x();
            double start = outlineTopAt(tank, x).orElse(top);
            double y = Math.min(tip.y(), start - 6);
            Pen dashed = Pen.of(Ink.AIR, 1.8, 4.0, 3.0);
            Pen lip = Pen.of(Ink.AIR, 1.8);
            List<Mark> marks = new ArrayList<>();
            marks.add(new Path(List.of(new Spot(x, start), new Spot(x, y), new Spot(x + 20, y)), false, Ink.NONE,
                    dashed, 6));
            marks.add(line(x + 22, y - 4, x + 28, y - 4, lip));
            marks.add(line(x + 22, y + 4, x + 28, y + 4, lip));
            marks.add(new Label(x + 34, y + 4, "vent", 11, false, Ink.SOFT, Anchor.START));
            ground.take(x - 2, y - 8, x + 62, start);
            piece(tank.id(), Kind.VENT, "", marks);
        });
    }

    /** Height on the picture of a tank's upper wall at x. */
    private OptionalDouble outlineTopAt(Item.Tank tank, double x) {
        List<Spot> outline = outline(tank);
        double top = Double.MAX_VALUE;
        for (int i = 0; i < outline.size(); i++) {
            Spot a = outline.get(i);
            Spot b = outline.get((i + 1) % outline.size());
            if (a.x() <= x != b.x() <= x) {
                top = Math.min(top, a.y() + (x - a.x()) / (b.x() - a.x()) * (b.y() - a.y()));
            }
        }
        return top == Double.MAX_VALUE ? OptionalDouble.empty() : OptionalDouble.of(top);
    }

    private void drain(Item.Tank tank) {
        tank.drain().flatMap(d -> place(d, tank)).ifPresent(at -> {
            ground.take(at.x() - 7, at.y(), at.x() + 7, at.y() + 24);
            piece(tank.id(), Kind.DRAIN, "", Symbols.drain(at));
        });
    }

    private void outletScreens() {
        for (Item.Tank tank : system.tanks()) {
            for (Item.Outlet outlet : tank.outlets()) {
                if (outlet.screen().isPresent()) {
                    Spot at = place.inTank(tank, outlet.place().point());
                    List<Mark> marks = new ArrayList<>();
                    marks.add(new Box(at.x() - 4.5, at.y() - 15, 9, 15, 4, Ink.PANEL, Pen.of(Ink.INK, 1.4)));
                    for (int i = 1; i <= 3; i++) {
                        marks.add(line(at.x() - 4, at.y() - 2 - 3 * i, at.x() + 4, at.y() - 2 - 3 * i,
                                Pen.of(Ink.INK, 1)));
                    }
                    piece(tank.id(), Kind.SYMBOL, "", marks);
                }
            }
        }
    }

    // head line

    private double headY(double head) {
        return place.y(head - place.referenceHeight());
    }

    /** Spots of the head line with the port each stands over; empty if nothing flows. */
    private List<Spot> headSpots() {
        if (flow.isEmpty() || flow.get().path().isEmpty()) {
            return List.of();
        }
        List<Spot> spots = new ArrayList<>();
        for (PathStep step : flow.get().path()) {
            Optional<Item> item = system.item(step.item());
            if (item.isEmpty()) {
                continue;
            }
            if (item.get() instanceof Item.Run run) {
                boolean forward = flow.get().flow(run.id()) > 0;
                place.port(forward ? run.from() : run.to()).ifPresent(s -> add(spots, s.x(), step.headIn()));
                place.port(forward ? run.to() : run.from()).ifPresent(s -> add(spots, s.x(), step.headOut()));
            } else if (item.get() instanceof Item.Tank tank) {
                Spot c = place.centre(tank);
                add(spots, c.x(), step.headIn());
                add(spots, c.x() + 0.01, step.headOut());
            }
        }
        return spots;
    }

    private void add(List<Spot> spots, double x, double head) {
        spots.add(new Spot(x, headY(head)));
    }

    private void headLine() {
        List<Spot> spots = headSpots();
        if (spots.size() < 2) {
            return;
        }
        List<Mark> marks = new ArrayList<>();
        for (int i = 1; i < spots.size(); i++) {
            if (Math.abs(spots.get(i).x() - spots.get(i - 1).x()) > 2) {
                marks.add(new Path(List.of(spots.get(i - 1), spots.get(i)), false, Ink.NONE, Pen.of(Ink.GROUND, 5), 0));
            }
        }
        marks.add(new Path(spots, false, Ink.NONE, Pen.of(Ink.INK, 1.6, 6.0, 4.0), 0));
        for (int i = 1; i < spots.size(); i++) {
            marks.add(new Disc(spots.get(i), 2.6, Ink.GROUND, Pen.of(Ink.INK, 1.4)));
        }
        piece("", Kind.HEAD_LINE, "Head left along the path", marks);
    }

    // symbols

    private void symbol(Item.Fitted item) {
        Spot c = place.centre(item);
        List<Mark> marks = new ArrayList<>(Symbols.of(item, c, subject.condition(), place));
        String words = item.name() + ", " + item.kind();
        if (item instanceof Item.Selector) {
            words += ", on " + position(item);
        }
        Optional<OptionalDouble> p = flow.map(f -> f.pressure(new PortRef(item.id(),
                item.ports().contains(Item.OUT) ? Item.OUT : Item.IN)));
        if (p.isPresent() && p.get().isPresent()) {
            words += ", " + units.text(p.get().getAsDouble(), Dimension.PRESSURE);
        }
        piece(item.id(), Kind.SYMBOL, words, marks);
    }

    private String position(Item selector) {
        return subject.condition().positions().getOrDefault(selector.id(), "");
    }

    // labels

    private void labels() {
        firewall();
        system.tanks().forEach(this::tankLabel);
        for (Item.Fitted item : system.all(Item.Fitted.class).toList()) {
            if (!(item instanceof Item.EngineInlet)) {
                itemLabel(item);
            }
        }
        headFigures();
        system.runs().forEach(this::runLabel);
    }

    private void firewall() {
        system.firewall().ifPresent(w -> {
            double top = place.y(place.height(new Point3(w.station().si(), 0, w.top().si())));
            double foot = place.y(place.height(new Point3(w.station().si(), 0, w.foot().si())));
            double x = place.firewallX();
            List<Mark> marks = new ArrayList<>();
            marks.add(new Box(x - 4, top, 8, foot - top, 0, Ink.PANEL, Pen.of(Ink.SOFT, 1)));
            for (double y = top + 1; y + 7 <= foot; y += 6) {
                marks.add(line(x - 4, y + 7, x + 4, y, Pen.of(Ink.SOFT, 1)));
            }
            marks.add(new Label(x - 11, top + 10, "Firewall", 11, false, Ink.SOFT, Anchor.END));
            ground.take(x - 64, top - 2, x + 4, top + 16);
            piece("", Kind.GROUND, "", marks);
        });
    }

    /** Puts a block at the first free of several places, given as left-middle-right x, top y. */
    private void put(String item, TextBlock block, List<Candidate> candidates) {
        Candidate best = null;
        double least = Double.MAX_VALUE;
        TextBlock chosen = block;
        for (TextBlock b : block.size() > 1 ? List.of(block, block.first()) : List.of(block)) {
            double w = b.width(measure);
            for (Candidate c : candidates) {
                double left = c.left(w);
                double over = ground.overlap(left, c.top(), left + w, c.top() + b.height());
                if (over < least - 1) {
                    least = over;
                    best = c;
                    chosen = b;
                }
            }
            if (least < 1) {
                break;
            }
        }
        if (best == null) {
            return;
        }
        double w = chosen.width(measure);
        double left = best.left(w);
        ground.take(left, best.top(), left + w, best.top() + chosen.height());
        piece(item, Kind.TEXT, "", chosen.at(best.x(), best.top(), best.anchor(), measure));
    }

    private record Candidate(double x, double top, Anchor anchor) {
        double left(double width) {
            return anchor == Anchor.START ? x : anchor == Anchor.MIDDLE ? x - width / 2 : x - width;
        }
    }

    private void tankLabel(Item.Tank tank) {
        List<Spot> outline = outline(tank);
        double left = outline.stream().mapToDouble(Spot::x).min().orElse(0);
        double r = outline.stream().mapToDouble(Spot::x).max().orElse(0);
        double top = outline.stream().mapToDouble(Spot::y).min().orElse(0);
        double bottom = outline.stream().mapToDouble(Spot::y).max().orElse(0);
        double leftY = outline.stream().min((a, b) -> Double.compare(a.x(), b.x())).orElseThrow().y();
        TextBlock block = new TextBlock().line(TextBlock.name(tank.name())).line(TextBlock.body(contents(tank)));
        put(tank.id(), block, List.of(
                new Candidate(left - 12, leftY - 16, Anchor.END),
                new Candidate(left - 12, top, Anchor.END),
                new Candidate(left, top - 42, Anchor.START),
                new Candidate(left, top - 66, Anchor.START),
                new Candidate(r + 14, top, Anchor.START),
                new Candidate(r + 14, (top + bottom) / 2, Anchor.START),
                new Candidate(left - 12, bottom - 30, Anchor.END),
                new Candidate(left - 12, leftY + 24, Anchor.END),
                new Candidate(left + 20, bottom - 10, Anchor.END),
                new Candidate(left, top - 86, Anchor.START),
                new Candidate(left - 40, top - 64, Anchor.START),
                new Candidate(left - 70, top - 44, Anchor.START),
                new Candidate(r + 14, top - 40, Anchor.START),
                new Candidate(r + 14, bottom - 20, Anchor.START),
                new Candidate(left, bottom + 28, Anchor.START)));
        for (Item.Outlet outlet : tank.outlets()) {
            flow.map(f -> f.pressure(new PortRef(tank.id(), outlet.name()))).filter(OptionalDouble::isPresent)
                    .filter(p -> system.runAt(new PortRef(tank.id(), outlet.name()))
                            .filter(run -> Math.abs(flow.get().flow(run.id())) > FlowAnswer.NO_FLOW).isPresent())
                    .ifPresent(p -> {
                        Spot at = place.inTank(tank, outlet.place().point());
                        pill(tank.id(), p.getAsDouble(), List.of(new Spot(at.x() + 46, at.y() + 14),
                                new Spot(at.x() + 46, at.y() + 40), new Spot(at.x() - 46, at.y() + 14)));
                    });
        }
    }

    private void pill(String item, double pressurePa, List<Spot> candidates) {
        String text = units.text(pressurePa, Dimension.PRESSURE);
        double w = measure.width(text, 12, false) + 20;
        Spot best = candidates.get(0);
        double least = Double.MAX_VALUE;
        for (Spot s : candidates) {
            double over = ground.overlap(s.x() - w / 2, s.y() - 9, s.x() + w / 2, s.y() + 9);
            if (over < least - 1) {
                least = over;
                best = s;
            }
        }
        ground.take(best.x() - w / 2, best.y() - 9, best.x() + w / 2, best.y() + 9);
        piece(item, Kind.PILL, new Box(best.x() - w / 2, best.y() - 9, w, 18, 9, Ink.PANEL,
                Pen.of(pressurePa < SUCTION ? Ink.PLUM : Ink.FUEL, 1.4)),
                new Label(best.x(), best.y() + 4, text, 12, false, Ink.INK, Anchor.MIDDLE));
    }

    private void itemLabel(Item.Fitted item) {
        Spot c = place.centre(item);
        double half = Symbols.halfWidth(item);
        TextBlock block = new TextBlock().line(TextBlock.name(item.name()));
        String state = state(item);
        if (!state.isEmpty()) {
            block.line(TextBlock.soft(state));
        }
        double below = c.y() + Symbols.depth(item) + 5;
        List<Candidate> candidates = new ArrayList<>();
        if (item instanceof Item.Strainer) {
            candidates.add(new Candidate(c.x() - half - 17, c.y() + 12, Anchor.END));
            candidates.add(new Candidate(c.x() + half + 17, c.y() + 12, Anchor.START));
        }
        candidates.add(new Candidate(c.x(), below, Anchor.MIDDLE));
        candidates.add(new Candidate(c.x() + 8, below, Anchor.START));
        candidates.add(new Candidate(c.x() - 8, below, Anchor.END));
        candidates.add(new Candidate(c.x(), c.y() - Symbols.halfHeight(item) - 8 - block.height(), Anchor.MIDDLE));
        candidates.add(new Candidate(c.x() + half + 8, c.y() + 10, Anchor.START));
        candidates.add(new Candidate(c.x() - half - 8, c.y() + 10, Anchor.END));
        put(item.id(), block, candidates);
        if (!item.id().equals(subject.picked()) && item.ports().contains(Item.OUT)
                && !(item instanceof Item.Strainer) && !(item instanceof Item.Tee)) {
            flow.map(f -> f.pressure(new PortRef(item.id(), Item.OUT))).filter(OptionalDouble::isPresent)
                    .ifPresent(p -> pill(item.id(), p.getAsDouble(), List.of(
                            new Spot(c.x(), below + block.height() + 10),
                            new Spot(c.x() + half + 34, c.y() + 22), new Spot(c.x() - half - 34, c.y() + 22))));
        }
    }

    private String state(Item.Fitted item) {
        if (item instanceof Item.Selector) {
            return "on " + position(item);
        }
        if (item instanceof Item.ShutOff) {
            return subject.condition().shutValves().contains(item.id()) ? "shut" : "open";
        }
        if (item instanceof Item.Pump) {
            return subject.condition().stopped().contains(item.id()) ? "off" : "on";
        }
        return "";
    }

    /** Heights of the head line after items, the steps a builder can change. */
    private void headFigures() {
        if (!view.layers().headLine() || flow.isEmpty()) {
            return;
        }
        for (PathStep step : flow.get().path()) {
            Optional<Item> item = system.item(step.item());
            if (item.isPresent() && item.get() instanceof Item.Fitted fitted && !(fitted instanceof Item.Tee)
                    && fitted.ports().contains(Item.OUT)) {
                place.port(new PortRef(fitted.id(), Item.OUT)).ifPresent(port -> {
                    double y = headY(step.headOut());
                    put("", new TextBlock().line(TextBlock.body(units.text(step.headOut() - place.referenceHeight(),
                            Dimension.LENGTH))), List.of(new Candidate(port.x() + 6, y - 20, Anchor.START),
                            new Candidate(port.x() + 8, y - 26, Anchor.START),
                            new Candidate(port.x() - 8, y + 4, Anchor.END),
                            new Candidate(port.x() - 8, y + 14, Anchor.END),
                            new Candidate(port.x() + 8, y + 12, Anchor.START)));
                });
            }
        }
        List<Spot> spots = headSpots();
        int longest = 1;
        for (int i = 1; i < spots.size(); i++) {
            if (spots.get(i).x() - spots.get(i - 1).x() > spots.get(longest).x() - spots.get(longest - 1).x()) {
                longest = i;
            }
        }
        if (spots.size() > 2) {
            Spot a = spots.get(longest - 1);
            Spot b = spots.get(longest);
            double x = (a.x() + b.x()) / 2;
            double y = (a.y() + b.y()) / 2;
            put("", new TextBlock().line(TextBlock.soft("head left")), List.of(
                    new Candidate(x - 10, y + 12, Anchor.END), new Candidate(x - 34, y + 14, Anchor.END),
                    new Candidate(x + 12, y - 26, Anchor.START), new Candidate(x + 20, y - 34, Anchor.START)));
        }
    }

    private void runLabel(Item.Run run) {
        List<Spot> way = place.way(run);
        if (way.size() < 2) {
            return;
        }
        double length = run.length().map(l -> l.si()).orElseGet(() -> run.lengthM(
                system.point(run.from()).orElseThrow(), system.point(run.to()).orElseThrow()));
        TextBlock block = new TextBlock().line(TextBlock.bold(run.name() + "  "),
                TextBlock.body(run.size().shortName() + " \u00b7 " + units.text(length, Dimension.LENGTH)
                        .replace(".0 ", " ")));
        double through = flow.map(f -> f.flow(run.id())).orElse(0.0);
        boolean end = system.item(run.from().item()).filter(Item.Tank.class::isInstance).isPresent()
                || system.item(run.to().item()).filter(Item.EngineInlet.class::isInstance).isPresent();
        if (Math.abs(through) <= FlowAnswer.NO_FLOW) {
            block.line(TextBlock.soft("no flow"));
        } else if (end) {
            block.line(TextBlock.flow(units.text(Math.abs(through), Dimension.FLOW)));
        }
        int longest = 1;
        for (int i = 1; i < way.size(); i++) {
            if (span(way, i) > span(way, longest)) {
                longest = i;
            }
        }
        List<Candidate> candidates = new ArrayList<>();
        besideStraight(candidates, way, longest, block);
        for (int i = 1; i < way.size(); i++) {
            if (i != longest) {
                besideStraight(candidates, way, i, block);
            }
        }
        put(run.id(), block, candidates);
    }

    private static double span(List<Spot> way, int i) {
        return Math.hypot(way.get(i).x() - way.get(i - 1).x(), way.get(i).y() - way.get(i - 1).y());
    }

    /** Above a level straight, left of a falling one, right of a rising one; the mirrored sides after. */
    private static void besideStraight(List<Candidate> out, List<Spot> way, int i, TextBlock block) {
        Spot a = way.get(i - 1);
        Spot b = way.get(i);
        double mx = (a.x() + b.x()) / 2;
        double my = (a.y() + b.y()) / 2;
        if (Math.abs(a.x() - b.x()) > Math.abs(a.y() - b.y())) {
            out.add(new Candidate(mx, my - 10 - block.height(), Anchor.MIDDLE));
            out.add(new Candidate(mx, my + 9, Anchor.MIDDLE));
            out.add(new Candidate(Math.min(a.x(), b.x()) + 4, my - 10 - block.height(), Anchor.START));
            out.add(new Candidate(Math.max(a.x(), b.x()) - 4, my - 10 - block.height(), Anchor.END));
            out.add(new Candidate(Math.min(a.x(), b.x()) + 4, my + 9, Anchor.START));
            out.add(new Candidate(Math.max(a.x(), b.x()), my + 9, Anchor.START));
        } else {
            boolean falls = b.y() > a.y();
            for (double t : new double[] {0, -50, 50}) {
                out.add(new Candidate(mx - 14, my - block.height() / 2 + t, Anchor.END));
                out.add(new Candidate(mx + 14, my - block.height() / 2 + t, Anchor.START));
            }
            if (!falls) {
                out.add(0, out.remove(1));
            }
        }
    }

    // engine

    private double engineTop() {
        return Math.max(34, place.y(0) - 232);
    }

    private void engine() {
        if (system.inlet().isEmpty()) {
            return;
        }
        Item.EngineInlet inlet = system.inlet().get();
        Spot c = place.centre(inlet);
        List<Mark> marks = new ArrayList<>();
        marks.add(new Label(right() - 6, place.y(0) - 6, "engine inlet", 11, false, Ink.SOFT, Anchor.END));
        double left = place.firewallX() + 28;
        double r = right() - 16;
        double top = engineTop();
        marks.add(new Label(left, top + 12, inlet.name(), 13, true, Ink.INK, Anchor.START));
        if (answer.isEmpty()) {
            marks.add(new Label(r, top + 12, "Not shown", 12, true, Ink.SOFT, Anchor.END));
            marks.add(new Notch(left, top + 52, r - left, 13, 0, ration.check.Verdict.NOT_SHOWN));
            piece(inlet.id(), Kind.TEXT, inlet.name() + ", Not shown", marks);
            return;
        }
        CaseAnswer a = answer.get();
        Ink verdictInk = switch (a.verdict()) {
            case SHORT -> Ink.RUST_TEXT;
            case NOT_SHOWN -> Ink.SOFT;
            default -> Ink.DEEP;
        };
        marks.add(new Label(r, top + 12, a.verdict().word(), 13, true, verdictInk, Anchor.END));
        Unit gph = units.unit(Dimension.FLOW);
        String figure = UnitSystem.figure(gph.fromSi(a.capacity().inletFlow()), 1);
        marks.add(new Label(left, top + 44, figure, 22, true, Ink.INK, Anchor.START));
        marks.add(new Label(left + measure.width(figure, 22, true) + 6, top + 44, gph.symbol(), 12, false, Ink.SOFT,
                Anchor.START));
        marks.add(new Label(r, top + 44, "needs " + UnitSystem.figure(gph.fromSi(a.need() * a.factor()), 1), 12, false,
                Ink.SOFT, Anchor.END));
        marks.add(new Notch(left, top + 54, r - left, 13, a.ratio(), a.verdict()));
        headSum(marks, a, left, top + 88);
        piece(inlet.id(), Kind.TEXT, inlet.name() + ", " + figure + " " + gph.symbol() + ", " + a.verdict().word(),
                marks);
        piece(inlet.id(), Kind.TEXT, "", new TextBlock().line(TextBlock.body("open line "),
                TextBlock.bold(units.text(a.openLine().inletFlow(), Dimension.FLOW))).at(
                        Math.min(c.x() - 20, r - 108), c.y() + 44, Anchor.START, measure));
    }

    private void headSum(List<Mark> marks, CaseAnswer a, double left, double y) {
        OptionalDouble available = a.capacity().headAvailable();
        OptionalDouble leftAtInlet = a.capacity().headLeft();
        Unit unit = units.unit(Dimension.LENGTH);
        int decimals = units == UnitSystem.US ? 1 : 0;
        double column = left + 30;
        if (available.isEmpty() || leftAtInlet.isEmpty()) {
            String obstacle = a.obstacle(system);
            int cut = obstacle.lastIndexOf(' ', 32);
            marks.add(new Label(left, y, obstacle.length() > 32 && cut > 0 ? obstacle.substring(0, cut) : obstacle, 11,
                    false, Ink.RUST_TEXT, Anchor.START));
            if (obstacle.length() > 32 && cut > 0) {
                String rest = obstacle.substring(cut + 1);
                int again = rest.length() > 32 ? rest.lastIndexOf(' ', 32) : -1;
                marks.add(new Label(left, y + 16, again > 0 ? rest.substring(0, again) : rest, 11, false, Ink.RUST_TEXT,
                        Anchor.START));
                if (again > 0) {
                    marks.add(new Label(left, y + 32, rest.substring(again + 1), 11, false, Ink.RUST_TEXT,
                            Anchor.START));
                }
            }
            return;
        }
        double[] values = {available.getAsDouble(), available.getAsDouble() - leftAtInlet.getAsDouble(),
            leftAtInlet.getAsDouble()};
        String[] words = {unit.symbol() + " of head at the tank", "lost on the way", "left at the inlet"};
        for (int i = 0; i < 3; i++) {
            boolean sum = i == 2;
            double line = y + 17 * i + (sum ? 4 : 0);
            marks.add(new Label(column, line, UnitSystem.figure(unit.fromSi(values[i]), decimals), 12, sum, Ink.INK,
                    Anchor.END));
            marks.add(new Label(column + 8, line, words[i], sum ? 12 : 11, sum, sum ? Ink.INK : Ink.SOFT,
                    Anchor.START));
        }
        marks.add(line(left, y + 22, column, y + 22, Pen.of(Ink.INK, 1)));
    }

    /** An empty sheet says what to do first. */
    private void teach() {
        if (!system.tanks().isEmpty()) {
            return;
        }
        double x = (RULER + place.firewallX()) / 2;
        double y = view.height() / 2 - 40;
        List<Mark> marks = new ArrayList<>(new TextBlock()
                .line(new TextBlock.Span("Lay out what feeds the engine", 15, true, Ink.INK)).at(x, y, Anchor.MIDDLE,
                        measure));
        marks.addAll(new TextBlock()
                .line(TextBlock.body("Press A, choose a tank, and give its measures on the card at the right."))
                .line(TextBlock.body("Then pick the line, press I, and put in the selector and the strainer."))
                .line(TextBlock.soft("Heights are drawn true: every figure you measure moves something here."))
                .at(x, y + 24, Anchor.MIDDLE, measure));
        piece("", Kind.TEXT, "Lay out what feeds the engine: press A and choose a tank", marks);
    }

    // the picked item

    private Optional<Item> picked() {
        return system.item(subject.picked());
    }

    private OptionalDouble pickedY() {
        return picked().filter(i -> !(i instanceof Item.Run)).map(i -> OptionalDouble.of(place.centre(i).y()))
                .orElse(OptionalDouble.empty());
    }

    private void pickedGuide() {
        picked().filter(i -> !(i instanceof Item.Run)).ifPresent(i -> {
            Spot c = place.centre(i);
            piece("", Kind.GROUND, line(RULER, c.y(), c.x(), c.y(), Pen.of(Ink.OLIVE, 1.2, 1.0, 4.0)));
        });
    }

    private void pickedMarks() {
        if (picked().isEmpty()) {
            return;
        }
        Item item = picked().get();
        Pen ring = Pen.of(Ink.OLIVE, 2.5);
        if (item instanceof Item.Run run) {
            List<Spot> way = place.way(run);
            if (way.size() > 1) {
                double w = width(run) / 2 + 6;
                List<Mark> marks = new ArrayList<>();
                for (Spot s : List.of(way.get(0), way.get(way.size() - 1))) {
                    marks.add(new Disc(s, 5, Ink.PANEL, ring));
                }
                int longest = 1;
                for (int i = 1; i < way.size(); i++) {
                    longest = span(way, i) > span(way, longest) ? i : longest;
                }
                Spot a = way.get(longest - 1);
                Spot b = way.get(longest);
                marks.add(new Box(Math.min(a.x(), b.x()) - w, Math.min(a.y(), b.y()) - w,
                        Math.abs(a.x() - b.x()) + 2 * w, Math.abs(a.y() - b.y()) + 2 * w, 4, Ink.NONE, ring));
                piece(item.id(), Kind.SYMBOL, "", marks);
            }
            return;
        }
        Spot c = place.centre(item);
        List<Mark> marks = new ArrayList<>();
        if (item instanceof Item.Tank tank) {
            List<Spot> outline = outline(tank);
            double l = outline.stream().mapToDouble(Spot::x).min().orElse(0) - 8;
            double t = outline.stream().mapToDouble(Spot::y).min().orElse(0) - 8;
            double r = outline.stream().mapToDouble(Spot::x).max().orElse(0) + 8;
            double b = outline.stream().mapToDouble(Spot::y).max().orElse(0) + 8;
            marks.add(new Box(l, t, r - l, b - t, 4, Ink.NONE, ring));
        } else {
            double w = Symbols.halfWidth(item) + 9;
            double up = Symbols.halfHeight(item) + 9;
            double down = Symbols.depth(item) + (item instanceof Item.Strainer ? 4 : 8);
            marks.add(new Box(c.x() - w, c.y() - up, 2 * w, up + down, 4, Ink.NONE, ring));
            headDimension(item, c, marks);
        }
        String tag = UnitSystem.figure(units.unit(Dimension.LENGTH).fromSi(place.heightAt(c.y())),
                units == UnitSystem.US ? 1 : 0);
        piece(item.id(), Kind.SYMBOL, "", marks);
        double y = c.y();
        pieces.add(new Piece("", Kind.RULER, "", List.of(
                new Path(List.of(new Spot(2, y - 9), new Spot(RULER - 7, y - 9), new Spot(RULER - 1, y),
                        new Spot(RULER - 7, y + 9), new Spot(2, y + 9)), true, Ink.OLIVE_UNDER_TEXT, NO_PEN, 0),
                new Label(RULER - 10, y + 4, tag, 11, true, Ink.PANEL, Anchor.END))));
    }

    /** The gap from the item up to the head line is its pressure. */
    private void headDimension(Item item, Spot c, List<Mark> marks) {
        if (!item.ports().contains(Item.OUT) || flow.isEmpty() || !view.layers().headLine()) {
            return;
        }
        PortRef out = new PortRef(item.id(), Item.OUT);
        OptionalDouble head = flow.get().head(out);
        OptionalDouble pressure = flow.get().pressure(out);
        Optional<Spot> port = place.port(out);
        if (head.isEmpty() || pressure.isEmpty() || port.isEmpty()) {
            return;
        }
        double x = port.get().x() + 3;
        double top = headY(head.getAsDouble());
        double bottom = c.y() - 6;
        if (Math.abs(bottom - top) < 18) {
            return;
        }
        double up = Math.signum(bottom - top);
        Pen pen = Pen.of(Ink.FUEL, 1.4);
        marks.add(line(x, top, x, bottom, pen));
        marks.add(new Path(List.of(new Spot(x, top + up), new Spot(x - 4, top + 8 * up), new Spot(x + 4, top + 8 * up)),
                true, Ink.FUEL, NO_PEN, 0));
        marks.add(new Path(List.of(new Spot(x, bottom - up), new Spot(x - 4, bottom - 8 * up),
                new Spot(x + 4, bottom - 8 * up)), true, Ink.FUEL, NO_PEN, 0));
        put(item.id(), new TextBlock().line(TextBlock.flow(units.text(pressure.getAsDouble(), Dimension.PRESSURE)))
                .line(new TextBlock.Span(units.text(pressure.getAsDouble() / flow.get().weight(), Dimension.LENGTH), 12,
                        false, Ink.FUEL_TEXT)), List.of(
                new Candidate(x - 8, (top + bottom) / 2 - 16, Anchor.END),
                new Candidate(x + 8, (top + bottom) / 2 - 16, Anchor.START),
                new Candidate(x - 8, (top + bottom) / 2 + 10, Anchor.END),
                new Candidate(x + 8, (top + bottom) / 2 - 50, Anchor.START)));
    }
}
