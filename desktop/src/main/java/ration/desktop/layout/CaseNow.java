package ration.desktop.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Item;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.PathStep;

/**
 * What the card says of the case looked at while nothing is picked, before any of it is a node.
 *
 * @param regime whether the engine takes its demand or all it can get
 */
record CaseNow(Assessment a, CaseAnswer look, Regime regime, UnitSystem units) {

    /** A figure of the case. */
    record Row(String label, String figure) {}

    /**
     * A loss along the path.
     *
     * @param share of the whole, as long as its bar is
     */
    record Loss(PathStep step, String name, double share, String figure) {}

    /**
     * Where the head goes, or the pressure where pumps add to it.
     *
     * @param all from the surface to the inlet
     * @param left at the inlet
     */
    record Budget(String title, String unit, String all, List<Loss> losses, String left, String words) {}

    private FlowAnswer flow() {
        return regime.of(look);
    }

    String label() {
        return look.label(a.project().system(), units);
    }

    List<Row> rows() {
        List<Row> rows = new ArrayList<>();
        if (regime == Regime.AS_IT_RUNS) {
            OptionalDouble left = flow().headLeft();
            rows.add(new Row("Engine demand", units.text(look.need(), Dimension.FLOW)));
            rows.add(new Row(
                    "Pressure at the inlet",
                    left.isPresent() ? units.text(left.getAsDouble() * flow().weight(), Dimension.PRESSURE) : "none"));
        }
        rows.add(new Row("Available flow", units.text(look.capacity().inletFlow(), Dimension.FLOW)));
        rows.add(new Row("Open-line flow", units.text(look.openLine().inletFlow(), Dimension.FLOW)));
        rows.add(new Row("Needed", units.text(look.need() * look.factor(), Dimension.FLOW)));
        rows.add(new Row("Margin", UnitSystem.figure(look.margin(), 2) + "\u00d7"));
        return rows;
    }

    /** The margin as the quotient it is. */
    String quotient() {
        Unit flow = units.unit(Dimension.FLOW);
        return UnitSystem.figure(look.margin(), 2) + " = "
                + UnitSystem.figure(flow.fromSi(look.capacity().inletFlow()), 2) + " \u00f7 "
                + UnitSystem.figure(flow.fromSi(look.need()), 2) + " " + flow.symbol()
                + ": flow available at minimum inlet pressure (or through the fully open needle seat) \u00f7 demand.";
    }

    /** What stands in the way of an answer; empty where nothing does. */
    String obstacle() {
        return look.obstacle(a.project().system());
    }

    /** Empty where nothing flows. */
    Optional<Budget> budget() {
        FlowAnswer flow = flow();
        List<PathStep> path = flow.path();
        OptionalDouble available = flow.headAvailable();
        OptionalDouble left = flow.headLeft();
        if (path.isEmpty() || available.isEmpty() || left.isEmpty()) {
            return Optional.empty();
        }
        boolean pumped = flow.pumped() > 0;
        double weight = pumped ? flow.weight() : 1;
        Dimension as = pumped ? Dimension.PRESSURE : Dimension.LENGTH;
        double most = path.stream()
                .mapToDouble(s -> Math.abs(s.headIn() - s.headOut()))
                .max()
                .orElse(1);
        List<Loss> losses = path.stream()
                .map(step -> {
                    double loss = step.headIn() - step.headOut();
                    return new Loss(
                            step,
                            a.project()
                                    .system()
                                    .item(step.item())
                                    .map(Item::name)
                                    .orElse(step.item()),
                            Math.abs(loss) / (pumped ? most : available.getAsDouble()),
                            units.figure(loss * weight, as));
                })
                .toList();
        return Optional.of(new Budget(
                "Where the " + (pumped ? "pressure" : "head") + " goes",
                units.unit(as).symbol(),
                units.figure(available.getAsDouble() * weight, as),
                losses,
                units.figure(left.getAsDouble() * weight, as),
                "Losses and remaining head add up to the head from the fuel surface to the inlet"
                        + (pumped ? "; negative values are added by pumps" : "")
                        + ". Friction: Darcy-Weisbach, Colebrook, "
                        + a.project().brief().choices().friction().label().toLowerCase(Locale.ROOT)
                        + "."));
    }
}
