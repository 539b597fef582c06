package ration.assess;

import java.util.OptionalDouble;
import java.util.stream.Collectors;
import ration.check.Verdict;
import ration.condition.Condition;
import ration.condition.Contents;
import ration.flow.FlowAnswer;
import ration.flow.FlowModel;
import ration.flow.FlowQuestion;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.PortRef;
import ration.project.Brief;
import ration.quantity.Dimension;
import ration.quantity.UnitSystem;

/**
 * One condition answered.
 *
 * @param condition what was asked
 * @param contents  how the tanks were filled in words: Full, Half, Low or Set
 * @param capacity  the flow with the inlet at its least pressure
 * @param openLine  the flow with the line off, as the ground test measures it
 * @param demand    the pressures when the engine takes its take-off demand
 * @param need      take-off demand, m3/s
 * @param factor    flow wanted over demand
 */
public record CaseAnswer(Condition condition, String contents, FlowAnswer capacity, FlowAnswer openLine,
        FlowAnswer demand, double need, double factor) {

    /** Answers one condition of a system without blocking problems. */
    static CaseAnswer of(FlowModel.Basis basis, Brief brief, Condition condition, String contents) {
        var levels = basis.levels(condition);
        return new CaseAnswer(condition, contents, basis.ask(condition, levels, new FlowQuestion.Capacity()),
                basis.ask(condition, levels, new FlowQuestion.OpenLine()),
                basis.ask(condition, levels, new FlowQuestion.Demand(brief.demand())), brief.demand(),
                brief.delivery().factor());
    }

    /** Capacity over take-off demand; 0 where nothing arrives. */
    public double margin() {
        return capacity.inletFlow() / need;
    }

    public Verdict verdict() {
        return capacity.usable() ? Verdict.atLeast(margin(), factor) : Verdict.SHORT;
    }

    /** Margin over what is needed, for the notch bar. */
    public double ratio() {
        return margin() / factor;
    }

    /** Pressure left at the inlet when the engine takes its take-off demand, Pa gauge. */
    public OptionalDouble inletPressureAtDemand(FuelSystem system) {
        return system.inlet().map(i -> demand.pressure(new PortRef(i.id(), Item.IN))).orElse(OptionalDouble.empty());
    }

    /** Why nothing arrives, or empty when something does. */
    public String obstacle(FuelSystem system) {
        if (!capacity.usable()) {
            return capacity.reason();
        }
        if (!capacity.airDrawn().isEmpty()) {
            return "Air is drawn through " + capacity.airDrawn().stream().map(o -> outletName(system, o))
                    .collect(Collectors.joining(" and ")) + ", which stands clear of the fuel.";
        }
        if (capacity.inletFlow() < FlowAnswer.NO_FLOW) {
            String dry = capacity.levels().values().stream().filter(l -> !l.uncovered().isEmpty())
                    .map(l -> system.item(l.tank()).map(Item::name).orElse(l.tank()))
                    .collect(Collectors.joining(" and "));
            return dry.isEmpty() ? "No fuel reaches the engine: a valve is shut or there is no head."
                    : "No fuel reaches the engine: the outlet of " + dry + " stands clear of the fuel.";
        }
        return "";
    }

    private static String outletName(FuelSystem system, String node) {
        String tank = node.substring(0, node.indexOf('.'));
        return "the outlet of " + system.item(tank).map(Item::name).orElse(tank);
    }

    /** The case in words: Climb 17\u00b0, FUSELAGE, 1.5 gal left. */
    public String label(FuelSystem system, UnitSystem units) {
        StringBuilder words = new StringBuilder(condition.attitude().label());
        for (Item.Selector s : system.selectors()) {
            if (condition.positions().containsKey(s.id())) {
                words.append(", ").append(condition.positions().get(s.id()));
            }
        }
        words.append(", ").append(contentsWords(system, units));
        return words.toString();
    }

    private String contentsWords(FuelSystem system, UnitSystem units) {
        if (contents.equals(Contents.FULL.label()) || contents.equals(Contents.HALF.label())) {
            return contents.toLowerCase(java.util.Locale.ROOT);
        }
        String feeding = capacity.path().isEmpty() ? "" : capacity.path().get(0).item();
        Double left = feeding.isEmpty() && condition.contents().size() == 1
                ? condition.contents().values().iterator().next() : condition.contents().get(feeding);
        return left == null ? "low fuel" : units.text(left, Dimension.VOLUME) + " left";
    }
}
