package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.EngineInlet;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Notch;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;

/** The result at the engine, with the sum of heads; on an empty sheet, what to do first. */
final class EngineBlock extends SchematicPart {

    EngineBlock(SchematicPart sheet) {
        super(sheet);
    }

    void engine() {
        if (system.inlet().isEmpty()) {
            return;
        }
        EngineInlet inlet = system.inlet().get();
        Spot c = place.centre(inlet);
        List<Mark> marks = new ArrayList<>();
        marks.add(new Label(right() - 6, place.y(0) - 6, "engine inlet", 11, false, Ink.SOFT, Anchor.END));
        double left = place.firewallX() + 28;
        double r = right() - 16;
        double top = place.engineTop();
        String word = answer.map(a -> a.verdict().word()).orElse("Not shown");
        named(marks, inlet.name(), left, top + 12, r - left - measure.width(word, 13, true) - 10);
        if (answer.isEmpty()) {
            marks.add(new Label(r, top + 12, "Not shown", 12, true, Ink.SOFT, Anchor.END));
            marks.add(new Notch(left, top + 52, r - left, 13, 0, ration.verdict.check.Verdict.NOT_SHOWN));
            piece(inlet.id(), Kind.TEXT, inlet.name() + ", Not shown", marks);
            return;
        }
        CaseAnswer a = answer.get();
        Ink verdictInk =
                switch (a.verdict()) {
                    case FAILS -> Ink.RUST_TEXT;
                    case NOT_SHOWN -> Ink.SOFT;
                    default -> Ink.DEEP;
                };
        marks.add(new Label(r, top + 12, a.verdict().word(), 13, true, verdictInk, Anchor.END));
        Unit gph = units.unit(Dimension.FLOW);
        boolean runs = subject.regime() == Regime.AS_IT_RUNS;
        String figure =
                UnitSystem.figure(gph.fromSi(runs ? a.need() : a.capacity().inletFlow()), 1);
        marks.add(new Label(left, top + 44, figure, 22, true, Ink.INK, Anchor.START));
        double unitAt = left + measure.width(figure, 22, true) + 6;
        String most = runs
                ? "max " + UnitSystem.figure(gph.fromSi(a.capacity().inletFlow()), 1)
                : "needs " + UnitSystem.figure(gph.fromSi(a.need() * a.factor()), 1);
        String taken = gph.symbol() + " demand";
        boolean fits = unitAt + measure.width(taken, 12, false) + 8 < r - measure.width(most, 12, false);
        marks.add(new Label(unitAt, top + 44, runs && fits ? taken : gph.symbol(), 12, false, Ink.SOFT, Anchor.START));
        marks.add(new Label(r, top + 44, most, 12, false, Ink.SOFT, Anchor.END));
        marks.add(new Notch(left, top + 54, r - left, 13, a.ratio(), a.verdict()));
        headSum(marks, a, left, top + 88);
        piece(
                inlet.id(),
                Kind.TEXT,
                inlet.name() + ", " + figure + " " + gph.symbol() + (runs ? " taken" : "") + ", "
                        + a.verdict().word(),
                marks);
        if (runs) {
            return;
        }
        piece(
                inlet.id(),
                Kind.TEXT,
                "",
                new TextBlock()
                        .line(
                                TextBlock.body("open-line "),
                                TextBlock.bold(units.text(a.openLine().inletFlow(), Dimension.FLOW)))
                        .at(Math.min(c.x() - 20, r - 108), c.y() + 44, Anchor.START, measure));
    }

    /** A name beside its verdict: in two lines, and smaller, where it has no room in one. */
    private void named(List<Mark> marks, String name, double left, double foot, double room) {
        if (measure.width(name, 13, true) <= room) {
            marks.add(new Label(left, foot, name, 13, true, Ink.INK, Anchor.START));
            return;
        }
        for (double size : new double[] {11, 9.5, 8}) {
            for (int cut = name.lastIndexOf(' '); cut > 0; cut = name.lastIndexOf(' ', cut - 1)) {
                String first = name.substring(0, cut);
                String second = name.substring(cut + 1);
                if (measure.width(first, size, true) <= room && measure.width(second, size, true) <= room) {
                    marks.add(new Label(left, foot - size - 1, first, size, true, Ink.INK, Anchor.START));
                    marks.add(new Label(left, foot, second, size, true, Ink.INK, Anchor.START));
                    return;
                }
            }
        }
        double size = Math.max(5, 13 * room / measure.width(name, 13, true));
        marks.add(new Label(left, foot, name, size, true, Ink.INK, Anchor.START));
    }

    private void headSum(List<Mark> marks, CaseAnswer a, double left, double y) {
        FlowAnswer now = subject.regime().of(a);
        OptionalDouble available = now.headAvailable();
        OptionalDouble leftAtInlet = now.headLeft();
        Unit unit = units.unit(Dimension.LENGTH);
        int decimals = units == UnitSystem.US ? 1 : 0;
        double column = left + 30;
        if (available.isEmpty() || leftAtInlet.isEmpty()) {
            String obstacle = now.usable() || now.reason().isEmpty() ? a.obstacle(system) : now.reason();
            int cut = obstacle.lastIndexOf(' ', 32);
            marks.add(new Label(
                    left,
                    y,
                    obstacle.length() > 32 && cut > 0 ? obstacle.substring(0, cut) : obstacle,
                    11,
                    false,
                    Ink.RUST_TEXT,
                    Anchor.START));
            if (obstacle.length() > 32 && cut > 0) {
                String rest = obstacle.substring(cut + 1);
                int again = rest.length() > 32 ? rest.lastIndexOf(' ', 32) : -1;
                marks.add(new Label(
                        left,
                        y + 16,
                        again > 0 ? rest.substring(0, again) : rest,
                        11,
                        false,
                        Ink.RUST_TEXT,
                        Anchor.START));
                if (again > 0) {
                    marks.add(
                            new Label(left, y + 32, rest.substring(again + 1), 11, false, Ink.RUST_TEXT, Anchor.START));
                }
            }
            return;
        }
        if (now.pumped() > 0) {
            pumpSum(marks, now, available.getAsDouble(), leftAtInlet.getAsDouble(), left, y);
            return;
        }
        double[] values = {
            available.getAsDouble(), available.getAsDouble() - leftAtInlet.getAsDouble(), leftAtInlet.getAsDouble()
        };
        String[] words = {unit.symbol() + " of head at the tank", "line losses", "left at the inlet"};
        for (int i = 0; i < 3; i++) {
            boolean sum = i == 2;
            double line = y + 17 * i + (sum ? 4 : 0);
            marks.add(new Label(
                    column, line, UnitSystem.figure(unit.fromSi(values[i]), decimals), 12, sum, Ink.INK, Anchor.END));
            marks.add(
                    new Label(column + 8, line, words[i], sum ? 12 : 11, sum, sum ? Ink.INK : Ink.SOFT, Anchor.START));
        }
        marks.add(line(left, y + 22, column, y + 22, Pen.of(Ink.INK, 1)));
    }

    /** With pumps on the way: in pressures, four lines. */
    private void pumpSum(
            List<Mark> marks, FlowAnswer now, double available, double leftAtInlet, double left, double y) {
        double weight = now.weight();
        double pumped = now.pumped();
        double[] values = {available * weight, pumped, (available - leftAtInlet) * weight + pumped, leftAtInlet * weight
        };
        String unit = units.unit(Dimension.PRESSURE).symbol();
        String[] words = {unit + " from height", "from pumps", "line losses", "left at the inlet"};
        double column = left + 38;
        for (int i = 0; i < 4; i++) {
            boolean sum = i == 3;
            double line = y - 2 + 15 * i + (sum ? 3 : 0);
            marks.add(
                    new Label(column, line, units.figure(values[i], Dimension.PRESSURE), 12, sum, Ink.INK, Anchor.END));
            marks.add(
                    new Label(column + 8, line, words[i], sum ? 12 : 11, sum, sum ? Ink.INK : Ink.SOFT, Anchor.START));
        }
        marks.add(line(left, y + 33, column, y + 33, Pen.of(Ink.INK, 1)));
    }

    /** An empty sheet says what to do first. */
    void teach() {
        if (!system.tanks().isEmpty()) {
            return;
        }
        double x = (RULER + place.firewallX()) / 2;
        double y = place.y(0) - 120;
        List<Mark> marks = new ArrayList<>(new TextBlock()
                .line(new TextBlock.Span("Add what feeds the engine", 15, true, Ink.INK))
                .at(x, y, Anchor.MIDDLE, measure));
        marks.addAll(new TextBlock()
                .line(TextBlock.body("Press P for a starting layout, or A to add a tank."))
                .line(TextBlock.body("Then select the line, press I, and insert the selector and the gascolator."))
                .line(TextBlock.soft("Heights are to scale: each measurement moves the drawing."))
                .at(x, y + 24, Anchor.MIDDLE, measure));
        piece("", Kind.TEXT, "Add what feeds the engine: press P for a starting layout or A for a tank", marks);
    }
}
