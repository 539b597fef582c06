package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.PathStep;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** One sheet that the parts of the schematic draw on together, and what several of them need. */
class SchematicPart {

    static final double RULER = Arrangement.RULER;
    static final Pen NO_PEN = Pen.of(Ink.NONE, 0);
    /** Pressure under ambient that counts as suction, Pa: 0.1 in of fuel. */
    static final double SUCTION = -18;

    final SchematicSubject subject;
    final SchematicView view;
    final TextMeasure measure;
    final FuelSystem system;
    final UnitSystem units;
    final Arrangement place;
    final Optional<CaseAnswer> answer;
    final Optional<FlowAnswer> flow;
    final List<Piece> pieces;
    final Occupancy ground;
    private final Nearness nearness;

    /** A new sheet. */
    SchematicPart(SchematicSubject subject, SchematicView view, TextMeasure measure) {
        this.subject = subject;
        this.view = view;
        this.measure = measure;
        this.system = subject.system();
        this.units = subject.units();
        this.place = new Arrangement(subject, view);
        this.answer = subject.answer();
        this.flow = answer.map(subject.regime()::of).filter(FlowAnswer::usable);
        this.pieces = new ArrayList<>();
        this.ground = new Occupancy();
        this.nearness = new Nearness(place, system);
    }

    /** A part drawn on the same sheet. */
    SchematicPart(SchematicPart sheet) {
        this.subject = sheet.subject;
        this.view = sheet.view;
        this.measure = sheet.measure;
        this.system = sheet.system;
        this.units = sheet.units;
        this.place = sheet.place;
        this.answer = sheet.answer;
        this.flow = sheet.flow;
        this.pieces = sheet.pieces;
        this.ground = sheet.ground;
        this.nearness = sheet.nearness;
    }

    void piece(String item, Kind kind, String words, List<Mark> marks) {
        pieces.add(new Piece(item, kind, words, marks));
    }

    void piece(String item, Kind kind, Mark... marks) {
        piece(item, kind, "", List.of(marks));
    }

    static Path line(double x1, double y1, double x2, double y2, Pen pen) {
        return new Path(List.of(new Spot(x1, y1), new Spot(x2, y2)), false, Ink.NONE, pen, 0);
    }

    double right() {
        return place.right();
    }

    static double width(Run run) {
        double inches = Unit.INCH.fromSi(run.size().bore());
        return inches < 0.21 ? 3 : inches < 0.28 ? 4.5 : inches < 0.36 ? 6.5 : 9;
    }

    List<Spot> outline(Tank tank) {
        return place.outline(tank);
    }

    /** Where an outlet is drawn. */
    Spot foot(Tank tank, Outlet outlet) {
        return place.port(new PortRef(tank.id(), outlet.name()))
                .orElseGet(() -> place.inTank(tank, outlet.place().point()));
    }

    String contents(Tank tank) {
        double capacity = tank.solid().volume();
        double volume = subject.condition().contents().getOrDefault(tank.id(), 0.0);
        Unit unit = units.unit(Dimension.VOLUME);
        if (volume >= capacity * 0.9995) {
            return units.text(capacity, Dimension.VOLUME) + ", full";
        }
        return UnitSystem.figure(unit.fromSi(volume), 1) + " of " + units.text(capacity, Dimension.VOLUME);
    }

    double headY(double head) {
        return place.y(head - place.referenceHeight());
    }

    /** Spots of the head line with the port each stands over; empty if nothing flows. */
    List<Spot> headSpots() {
        if (flow.isEmpty() || flow.get().path().isEmpty()) {
            return List.of();
        }
        List<Spot> spots = new ArrayList<>();
        for (PathStep step : flow.get().path()) {
            Optional<Item> item = system.item(step.item());
            item.flatMap(i -> i.only(Run.class)).ifPresent(run -> {
                boolean forward = flow.get().flow(run.id()) > 0;
                place.port(forward ? run.from() : run.to()).ifPresent(s -> add(spots, s.x(), step.headIn()));
                place.port(forward ? run.to() : run.from()).ifPresent(s -> add(spots, s.x(), step.headOut()));
            });
            item.flatMap(i -> i.only(Tank.class)).map(place::centre).ifPresent(c -> {
                add(spots, c.x(), step.headIn());
                add(spots, c.x() + 0.01, step.headOut());
            });
        }
        return spots;
    }

    void add(List<Spot> spots, double x, double head) {
        spots.add(new Spot(x, headY(head)));
    }

    String position(Item selector) {
        return subject.condition().positions().getOrDefault(selector.id(), "");
    }

    /** How far from the place it belongs to a text may stand, and the steps in which room is sought, px. */
    private static final int FAR_ACROSS = 96;

    private static final int FAR_DOWN = 84;
    private static final int ACROSS = 8;
    private static final int DOWN = 6;

    /** What parts two texts in a line, px: less reads as one word. */
    private static final double APART = 4;

    /**
     * Puts a block at the first free of several places that is plainly its own, else at the nearest such; names of
     * items at any free one.
     */
    void put(String item, TextBlock block, List<Candidate> candidates) {
        boolean named = system.item(item).flatMap(i -> i.only(Run.class)).isEmpty();
        for (boolean own : named ? new boolean[] {true, false} : new boolean[] {true}) {
            for (TextBlock b : block.more() ? List.of(block, block.nameAlone()) : List.of(block)) {
                double w = b.width(measure);
                Optional<Candidate> free = candidates.stream()
                        .filter(c -> free(c.left(w), c.top(), w, b.height())
                                && (!own || belongs(item, c.left(w), c.top(), w, b.height())))
                        .findFirst()
                        .or(() -> candidates.isEmpty()
                                ? Optional.empty()
                                : nearest(item, candidates.get(0), w, b.height(), own, 1));
                if (free.isPresent()) {
                    put(item, b, free.get());
                    return;
                }
            }
        }
        if (!candidates.isEmpty()) {
            middle(item).ifPresent(at -> far(item, block.nameAlone(), candidates.get(0), at));
        }
    }

    /** Where a line from a name that stands off ends: at a symbol, or half way along the longest stretch of a run. */
    private Optional<Spot> middle(String item) {
        return system.item(item)
                .flatMap(i -> i.only(Run.class))
                .map(run -> {
                    List<Spot> way = place.way(run);
                    int longest = 1;
                    for (int i = 2; i < way.size(); i++) {
                        longest = span(way, i) > span(way, longest) ? i : longest;
                    }
                    return way.size() < 2
                            ? null
                            : new Spot(
                                    (way.get(longest - 1).x() + way.get(longest).x()) / 2,
                                    (way.get(longest - 1).y() + way.get(longest).y()) / 2);
                })
                .or(() -> system.item(item).filter(i -> place.placed(item)).map(place::centre));
    }

    private void put(String item, TextBlock block, Candidate c) {
        double w = block.width(measure);
        ground.take(c.left(w) - APART, c.top(), c.left(w) + w + APART, c.top() + block.height());
        piece(item, Kind.TEXT, "", block.at(c.x(), c.top(), c.anchor(), measure));
    }

    /** A name that finds no room near its item stands further off, with a thin line to it. */
    private void far(String item, TextBlock name, Candidate wanted, Spot end) {
        double w = name.width(measure);
        nearest(item, wanted, w, name.height(), false, 2).ifPresent(c -> {
            Spot at = system.item(item)
                    .flatMap(i -> i.only(Tank.class))
                    .map(t -> within(place.box(t), c.left(w) + w / 2, c.top()))
                    .orElse(end);
            double x = Math.max(c.left(w), Math.min(c.left(w) + w, at.x()));
            double y = at.y() > c.top() ? c.top() + name.height() : c.top();
            piece(
                    item,
                    Kind.TEXT,
                    line(x, y, at.x(), at.y(), Pen.of(Ink.SOFT, 0.8)),
                    new Mark.Disc(at, 2, Ink.SOFT, NO_PEN));
            put(item, name, c);
        });
    }

    /** The spot of a box, a little inside, that is nearest to another. */
    private static Spot within(double[] box, double x, double y) {
        return new Spot(Math.max(Math.min(box[1] - 6, x), box[0] + 6), Math.max(Math.min(box[3] - 6, y), box[2] + 6));
    }

    private boolean belongs(String id, double left, double top, double w, double h) {
        return nearness.belongs(id, left, top, left + w, top + h);
    }

    /** Whether a box is free of all that stands, and on the picture. */
    boolean free(double left, double top, double w, double h) {
        return left >= RULER + 2
                && left + w <= right() - 2
                && top >= 2
                && top + h <= view.height() - 2
                && ground.overlap(left, top, left + w, top + h) < 0.5;
    }

    /** The free place nearest to one. */
    private Optional<Candidate> nearest(String item, Candidate wanted, double w, double h, boolean own, int times) {
        Candidate best = null;
        double least = Double.MAX_VALUE;
        double left = wanted.left(w);
        for (int dy = -times * FAR_DOWN; dy <= times * FAR_DOWN; dy += DOWN) {
            for (int dx = -times * FAR_ACROSS; dx <= times * FAR_ACROSS; dx += ACROSS) {
                double far = Math.hypot(dx, 1.3 * dy);
                if (far < least
                        && free(left + dx, wanted.top() + dy, w, h)
                        && (!own || belongs(item, left + dx, wanted.top() + dy, w, h))) {
                    least = far;
                    best = new Candidate(left + dx, wanted.top() + dy, Anchor.START);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    record Candidate(double x, double top, Anchor anchor) {
        double left(double width) {
            return anchor == Anchor.START ? x : anchor == Anchor.MIDDLE ? x - width / 2 : x - width;
        }
    }

    /** A figure in a capsule at the first free of several places, else the nearest; none where there is no room. */
    void pill(String item, double pressurePa, List<Spot> candidates) {
        String text = units.text(pressurePa, Dimension.PRESSURE);
        double w = measure.width(text, 12, false) + 20;
        Optional<Spot> free = candidates.stream()
                .filter(s -> free(s.x() - w / 2, s.y() - 9, w, 18) && belongs(item, s.x() - w / 2, s.y() - 9, w, 18))
                .findFirst()
                .or(() -> nearest(
                                item,
                                new Candidate(
                                        candidates.get(0).x() - w / 2,
                                        candidates.get(0).y() - 9,
                                        Anchor.START),
                                w,
                                18,
                                true,
                                1)
                        .map(c -> new Spot(c.x() + w / 2, c.top() + 9)));
        free.ifPresent(s -> {
            ground.take(s.x() - w / 2 - APART, s.y() - 9, s.x() + w / 2 + APART, s.y() + 9);
            piece(
                    item,
                    Kind.PILL,
                    new Box(
                            s.x() - w / 2,
                            s.y() - 9,
                            w,
                            18,
                            9,
                            Ink.PANEL,
                            Pen.of(pressurePa < SUCTION ? Ink.PLUM : Ink.FUEL, 1.4)),
                    new Label(s.x(), s.y() + 4, text, 12, false, Ink.INK, Anchor.MIDDLE));
        });
    }

    /** In the middle of a long enough straight, the way something moves along it. */
    static void arrow(List<Mark> marks, Spot a, Spot b, boolean forward, double width, Ink ink) {
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

    static double span(List<Spot> way, int i) {
        return Math.hypot(
                way.get(i).x() - way.get(i - 1).x(),
                way.get(i).y() - way.get(i - 1).y());
    }

    Optional<Item> picked() {
        return system.item(subject.picked());
    }

    OptionalDouble pickedY() {
        return picked().filter(i -> i.only(Run.class).isEmpty())
                .map(i -> OptionalDouble.of(place.centre(i).y()))
                .orElse(OptionalDouble.empty());
    }
}
