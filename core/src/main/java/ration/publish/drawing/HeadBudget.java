package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.PathStep;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** Where the head goes: what there is at the surface, what each item takes or adds, what is left at the inlet. */
public final class HeadBudget {

    private static final double NAMES = 102;
    private static final double BARS = 214;
    private static final double FIGURES = 74;

    private HeadBudget() {}

    /**
     * One bar; head over the inlet in m.
     *
     * @param item id, empty for the sums
     * @param name of the row
     * @param detail what it is, in two or three words
     * @param from running head before it
     * @param to running head after it
     */
    public record Row(String item, String name, String detail, double from, double to) {
        public double change() {
            return to - from;
        }
    }

    /** The rows of a case, first what is there and last what is left; empty if nothing flows. */
    public static List<Row> rows(FuelSystem system, CaseAnswer answer) {
        OptionalDouble available = answer.capacity().headAvailable();
        OptionalDouble left = answer.capacity().headLeft();
        List<PathStep> path = answer.capacity().path();
        if (available.isEmpty() || left.isEmpty()) {
            return List.of();
        }
        List<Row> rows = new ArrayList<>();
        rows.add(new Row(
                "",
                answer.capacity().pumped() > 0 ? "Elevation head" : "Head available",
                "surface to inlet",
                0,
                available.getAsDouble()));
        double running = available.getAsDouble();
        for (PathStep step : path) {
            double next = running - (step.headIn() - step.headOut());
            Optional<Item> item = system.item(step.item());
            rows.add(new Row(
                    step.item(),
                    item.map(i -> i.as(NAME)).orElse(step.item()),
                    item.map(i -> i.as(new Detail(system, answer))).orElse(""),
                    running,
                    next));
            running = next;
        }
        rows.add(new Row(
                "",
                "Left at inlet",
                system.inlet().filter(i -> i.style() == EngineInlet.Style.FLOAT).isPresent()
                        ? "for the float needle"
                        : "minimum inlet pressure",
                0,
                left.getAsDouble()));
        return rows;
    }

    /** What a row is called. */
    private static final SomeKinds<String> NAME = new SomeKinds<>() {
        @Override
        public String otherwise(Item item) {
            return item.name();
        }

        @Override
        public String tank(Tank tank) {
            return tank.outlets().stream().anyMatch(o -> o.screen().isPresent()) ? "Outlet screen" : "Outlet";
        }

        @Override
        public String run(Run run) {
            return "Line " + run.name();
        }
    };

    /** What stands beside it. */
    private record Detail(FuelSystem system, CaseAnswer answer) implements SomeKinds<String> {
        @Override
        public String otherwise(Item item) {
            return item.kind().equals(item.name()) ? "" : item.kind().toLowerCase(java.util.Locale.ROOT);
        }

        @Override
        public String tank(Tank tank) {
            return tank.name();
        }

        @Override
        public String selector(Selector s) {
            return "on " + answer.condition().positions().getOrDefault(s.id(), "");
        }

        @Override
        public String run(Run run) {
            double length = run.lengthM(
                    system.point(run.from()).orElseThrow(),
                    system.point(run.to()).orElseThrow());
            return run.size().shortName() + " \u00b7 " + UnitSystem.figure(Unit.INCH.fromSi(length), 0) + " in";
        }
    }

    /** The waterfall; an empty picture if nothing flows. */
    public static Picture draw(FuelSystem system, CaseAnswer answer, UnitSystem units, double width, double height) {
        List<Row> rows = rows(system, answer);
        List<Piece> pieces = new ArrayList<>();
        if (rows.isEmpty()) {
            return new Picture(width, height, pieces);
        }
        boolean pumped = answer.capacity().pumped() > 0;
        double weight = pumped ? answer.capacity().weight() : 1;
        Dimension as = pumped ? Dimension.PRESSURE : Dimension.LENGTH;
        double step = Math.min(29, (height - 6) / rows.size());
        double bar = Math.min(19, step - 3);
        double low = Math.min(
                0,
                rows.stream().mapToDouble(r -> Math.min(r.from(), r.to())).min().orElse(0));
        double high =
                rows.stream().mapToDouble(r -> Math.max(r.from(), r.to())).max().orElse(1);
        Scale across = new Scale(low, Math.max(high, low + 1e-6), BARS, width - FIGURES);
        double largest = rows.subList(1, rows.size() - 1).stream()
                .mapToDouble(r -> -r.change())
                .max()
                .orElse(0);
        pieces.add(new Piece(
                "",
                Kind.GROUND,
                "",
                List.of(SchematicPart.line(across.at(0), 0, across.at(0), step * rows.size(), Pen.of(Ink.EDGE, 1)))));
        for (int i = 0; i < rows.size(); i++) {
            Row r = rows.get(i);
            boolean sum = r.item().isEmpty();
            double top = i * step + (step - bar) / 2;
            double base = i * step + step / 2 + 4;
            double x1 = across.at(Math.min(r.from(), r.to()));
            double x2 = across.at(Math.max(r.from(), r.to()));
            boolean most = !sum && -r.change() >= largest - 1e-12 && largest > 0;
            boolean adds = !sum && r.change() > 0;
            List<Mark> marks = new ArrayList<>();
            marks.add(new Box(0, i * step, width, step, 0, Ink.NONE, SchematicPart.NO_PEN));
            if (i == rows.size() - 1) {
                marks.add(SchematicPart.line(0, i * step, width, i * step, Pen.of(Ink.HAIRLINE, 1)));
            }
            marks.add(new Label(0, base, r.name(), 12, sum, Ink.INK, Anchor.START));
            if (step >= 15) {
                marks.add(new Label(NAMES, base, r.detail(), 11, false, Ink.SOFT, Anchor.START));
            }
            Ink fill = sum ? Ink.FUEL : adds ? Ink.OLIVE : most ? Ink.FUEL_MID : Ink.FUEL_PALE;
            marks.add(new Box(x1, top, Math.max(1, x2 - x1), bar, 0, fill, SchematicPart.NO_PEN));
            if (i + 1 < rows.size() - 1) {
                marks.add(SchematicPart.line(
                        across.at(r.to()), top + bar, across.at(r.to()), top + step, Pen.of(Ink.SOFT, 1)));
            }
            double figure = sum ? r.to() : adds ? r.change() : -r.change();
            marks.add(new Label(
                    width - 22,
                    base,
                    (adds ? "+" : "") + units.figure(figure * weight, as),
                    12,
                    sum || most,
                    Ink.INK,
                    Anchor.END));
            marks.add(new Label(width, base, units.unit(as).symbol(), 11, false, Ink.SOFT, Anchor.END));
            pieces.add(new Piece(
                    r.item(),
                    Kind.SYMBOL,
                    r.name() + " " + r.detail() + ", " + (adds ? "adds " : "") + units.text(figure * weight, as),
                    marks));
        }
        return new Picture(width, height, pieces);
    }
}
