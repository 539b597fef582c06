package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.assess.CaseAnswer;
import ration.drawing.Mark.Anchor;
import ration.drawing.Mark.Box;
import ration.drawing.Mark.Label;
import ration.drawing.Mark.Path;
import ration.drawing.Mark.Pen;
import ration.drawing.Mark.Spot;
import ration.drawing.Picture.Kind;
import ration.drawing.Picture.Piece;
import ration.flow.FlowAnswer;
import ration.flow.PathStep;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.EngineInlet;
import ration.model.Fitted;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Run;
import ration.model.Tank;
import ration.quantity.Dimension;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;

/** One sheet that the parts of the schematic draw on together, and what several of them need. */
class SchematicPart {

    static final double RULER = Arrangement.RULER;
    private static final double RESULT_HEIGHT = 150;
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

    /** A new sheet. */
    SchematicPart(SchematicSubject subject, SchematicView view, TextMeasure measure) {
        this.subject = subject;
        this.view = view;
        this.measure = measure;
        this.system = subject.system();
        this.units = subject.units();
        this.place = new Arrangement(subject, view);
        this.answer = subject.answer();
        this.flow = answer.map(CaseAnswer::capacity).filter(FlowAnswer::usable);
        this.pieces = new ArrayList<>();
        this.ground = new Occupancy();
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
        return view.width() - RULER;
    }

    static double width(Run run) {
        double inches = Unit.INCH.fromSi(run.size().bore());
        return inches < 0.21 ? 3 : inches < 0.28 ? 4.5 : inches < 0.36 ? 6.5 : 9;
    }

    List<Spot> outline(Tank tank) {
        List<Spot> spots = new ArrayList<>();
        double y = Arrangement.sectionButtLine(tank);
        for (Point2 p : tank.shape().section()) {
            spots.add(place.inTank(tank, new Point3(p.x(), y, p.z())));
        }
        return spots;
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
            if (item.isEmpty()) {
                continue;
            }
            if (item.get() instanceof Run run) {
                boolean forward = flow.get().flow(run.id()) > 0;
                place.port(forward ? run.from() : run.to()).ifPresent(s -> add(spots, s.x(), step.headIn()));
                place.port(forward ? run.to() : run.from()).ifPresent(s -> add(spots, s.x(), step.headOut()));
            } else if (item.get() instanceof Tank tank) {
                Spot c = place.centre(tank);
                add(spots, c.x(), step.headIn());
                add(spots, c.x() + 0.01, step.headOut());
            }
        }
        return spots;
    }

    void add(List<Spot> spots, double x, double head) {
        spots.add(new Spot(x, headY(head)));
    }

    String position(Item selector) {
        return subject.condition().positions().getOrDefault(selector.id(), "");
    }

    /** Puts a block at the first free of several places, given as left-middle-right x, top y. */
    void put(String item, TextBlock block, List<Candidate> candidates) {
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

    record Candidate(double x, double top, Anchor anchor) {
        double left(double width) {
            return anchor == Anchor.START ? x : anchor == Anchor.MIDDLE ? x - width / 2 : x - width;
        }
    }

    void pill(String item, double pressurePa, List<Spot> candidates) {
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

    static double span(List<Spot> way, int i) {
        return Math.hypot(way.get(i).x() - way.get(i - 1).x(), way.get(i).y() - way.get(i - 1).y());
    }

    /** Top of the result at the engine: over the inlet where there is room, else under everything forward of the wall. */
    double engineTop() {
        boolean back = system.inlet().filter(EngineInlet::returns).isPresent();
        double over = place.y(0) - (back ? 266 : 232);
        if (over >= 34) {
            return over;
        }
        double lowest = system.all(Fitted.class).filter(i -> place.centre(i).x() > place.firewallX())
                .mapToDouble(i -> place.centre(i).y()).max().orElse(place.y(0));
        double under = Math.max(lowest, place.y(0)) + 96;
        return under + RESULT_HEIGHT < view.height() ? under : Math.max(34, Math.min(over, view.height() - RESULT_HEIGHT));
    }

    Optional<Item> picked() {
        return system.item(subject.picked());
    }

    OptionalDouble pickedY() {
        return picked().filter(i -> !(i instanceof Run)).map(i -> OptionalDouble.of(place.centre(i).y()))
                .orElse(OptionalDouble.empty());
    }
}
