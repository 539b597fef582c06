package ration.assess;

import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import ration.check.Verdict;
import ration.condition.Condition;
import ration.condition.Contents;
import ration.flow.FlowAnswer;
import ration.flow.FlowModel;
import ration.flow.FlowQuestion;
import ration.flow.TankLevel;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.PortRef;
import ration.network.NetworkSolution;
import ration.project.Brief;
import ration.quantity.Dimension;
import ration.quantity.UnitSystem;

/**
 * One condition answered: the flow with the inlet at its least pressure, the pressures when the engine takes its
 * demand, and, worked out when first asked for, what an open line would pour. Immutable to its users.
 */
public final class CaseAnswer {

    private final FlowModel.Basis basis;
    private final Setting setting;
    private final Condition condition;
    private final String contents;
    private final PumpSet pumps;
    private final FlowAnswer capacity;
    private final FlowAnswer demand;
    private final double need;
    private final double factor;
    private final boolean judged;
    private volatile FlowAnswer openLine;

    /** Answers one condition of a system without blocking problems. */
    CaseAnswer(FlowModel.Basis basis, Brief brief, Condition condition, String contents) {
        this(basis, brief, new Setting(condition, contents, PumpSet.of(basis.system(), condition.stopped()),
                basis.levels(condition)));
    }

    /** A condition with what is known of it beforehand. */
    public record Setting(Condition condition, String contents, PumpSet pumps, Map<String, TankLevel> levels) {
        public Setting {
            levels = Map.copyOf(levels);
        }
    }

    /** Flow wanted over demand in a condition. */
    static double factor(Brief brief, Condition condition) {
        return condition.engine().fouled() ? FOULED_FACTOR : brief.delivery().factor();
    }

    /** Whether anything is asked of a case: a pump-fed engine is not expected to run with no pump. */
    static boolean judged(Brief brief, PumpSet pumps) {
        return brief.delivery() != Brief.Delivery.PUMP || pumps.running() > 0;
    }

    /** Answers one condition whose levels and pump set are known. */
    CaseAnswer(FlowModel.Basis basis, Brief brief, Setting setting) {
        Condition condition = setting.condition();
        Map<String, TankLevel> levels = setting.levels();
        this.setting = setting;
        this.basis = basis;
        this.condition = condition;
        this.contents = setting.contents();
        this.need = brief.demand() * condition.engine().power().demandShare();
        this.pumps = setting.pumps();
        this.capacity = basis.ask(condition, levels, new FlowQuestion.Capacity());
        this.demand = basis.ask(condition, levels, new FlowQuestion.Demand(need));
        this.factor = factor(brief, condition);
        this.judged = judged(brief, pumps);
    }

    /** Flow wanted over demand with every filter fouled: the engine still runs. Common practice, no source. */
    private static final double FOULED_FACTOR = 1.0;

    public Condition condition() {
        return condition;
    }

    /** The condition with all that was known of it beforehand. */
    public Setting setting() {
        return setting;
    }

    /** How the tanks were filled in words: Full, Half, Low or Set. */
    public String contents() {
        return contents;
    }

    /** Which pumps ran. */
    public PumpSet pumps() {
        return pumps;
    }

    /** With the inlet held at its least pressure. */
    public FlowAnswer capacity() {
        return capacity;
    }

    /** With the line off, as the ground test measures it. */
    public FlowAnswer openLine() {
        if (openLine == null) {
            openLine = basis.ask(condition, new FlowQuestion.OpenLine());
        }
        return openLine;
    }

    /** With the engine taking its demand at this power. */
    public FlowAnswer demand() {
        return demand;
    }

    /** With the engine taking this flow, m3/s. */
    public FlowAnswer at(double flow) {
        return basis.ask(condition, new FlowQuestion.Demand(flow));
    }

    /** Demand at this power, m3/s. */
    public double need() {
        return need;
    }

    /** Flow wanted over demand: the basis's with clean filters, 1 with fouled ones. */
    public double factor() {
        return factor;
    }

    /** Whether anything is asked of this case: a pump-fed engine is not expected to run with no pump. */
    public boolean judged() {
        return judged;
    }

    /** Capacity over take-off demand; 0 where nothing arrives. */
    public double margin() {
        return capacity.inletFlow() / need;
    }

    public Verdict verdict() {
        return !judged || !answered() ? Verdict.NOT_SHOWN
                : capacity.usable() ? Verdict.atLeast(margin(), factor) : Verdict.SHORT;
    }

    /** Whether the solver came to an end: an answer, or the certainty that nothing arrives. */
    public boolean answered() {
        return capacity.usable() || capacity.solution().status() == NetworkSolution.Status.NO_SUPPLY;
    }

    /** Margin over what is needed, for the notch bar. */
    public double ratio() {
        return margin() / factor;
    }

    /** Pressure left at the inlet when the engine takes its take-off demand, Pa gauge. */
    public OptionalDouble inletPressureAtDemand(FuelSystem system) {
        return system.inlet().map(i -> demand.pressure(new PortRef(i.id(), Item.IN))).orElse(OptionalDouble.empty());
    }

    /** Gauge pressure the open inlet wants to pass a flow, Pa; empty if there is no inlet. */
    public OptionalDouble pressureWanted(double flow) {
        return basis.system().inlet().map(i -> OptionalDouble.of(FlowModel.wideOpen(i)
                .loss(flow, capacity.problem().fluid(), capacity.problem().law()))).orElse(OptionalDouble.empty());
    }

    /** Why nothing arrives, or empty when something does. */
    public String obstacle(FuelSystem system) {
        if (!capacity.usable()) {
            return capacity.reason();
        }
        java.util.List<String> air = capacity.airDrawn().isEmpty() ? demand.airDrawn() : capacity.airDrawn();
        if (!air.isEmpty()) {
            return "Air is drawn through " + air.stream().map(o -> outletName(system, o))
                    .collect(Collectors.joining(" and ")) + ", which stands clear of the fuel.";
        }
        if (!demand.dryHeaders().isEmpty()) {
            return demand.dryHeaders().stream().map(h -> system.item(h).map(Item::name).orElse(h))
                    .collect(Collectors.joining(" and ")) + " runs dry: less comes in than the engine takes.";
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
        if (!pumps.label().isEmpty() && basis.system().feedPumps().size() > 1 || pumps.running() == 0
                && !pumps.label().isEmpty()) {
            words.append(", ").append(pumps.label().toLowerCase(java.util.Locale.ROOT));
        }
        if (condition.engine().fouled()) {
            words.append(", filters fouled");
        }
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
