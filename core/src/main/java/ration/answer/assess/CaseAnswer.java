package ration.answer.assess;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Day;
import ration.aircraft.condition.Fault;
import ration.aircraft.heat.Heat;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Selector;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.TankLevel;
import ration.physics.vapor.HeatPath;
import ration.record.project.Brief;
import ration.record.project.Unsaid;
import ration.solver.network.NetworkSolution;
import ration.verdict.check.Verdict;

/**
 * One condition answered: the flow with the inlet at its least pressure, the pressures when the engine takes its
 * demand, and, worked out when first asked for, what an open line would pour. Immutable to its users.
 */
public final class CaseAnswer {

    private final FlowBasis basis;
    private final Setting setting;
    private final Condition condition;
    private final Filling filling;
    private final PumpSet pumps;
    private final FlowAnswer capacity;
    private final FlowAnswer demand;
    private final double need;
    private final double factor;
    private final boolean judged;
    private final double usualKelvin;
    private final Unsaid unsaid;
    private volatile FlowAnswer openLine;
    private volatile FlowAnswer atNeeded;
    private volatile HeatPath heatPath;

    /** Answers one condition of a system without blocking problems. */
    CaseAnswer(FlowBasis basis, Brief brief, Condition condition, Filling filling) {
        this(
                basis,
                brief,
                new Setting(
                        condition, filling, PumpSet.of(basis.system(), condition.stopped()), basis.levels(condition)));
    }

    /**
     * A condition with what is known of it beforehand.
     *
     * @param asked whether it must hold; otherwise it is only reported
     * @param share of take-off demand that the engine takes, above 0
     */
    public record Setting(
            Condition condition,
            Filling filling,
            PumpSet pumps,
            Map<String, TankLevel> levels,
            boolean asked,
            double share) {
        public Setting {
            levels = java.util.Collections.unmodifiableMap(levels);
        }

        /** The engine takes what its power takes. */
        public Setting(
                Condition condition, Filling filling, PumpSet pumps, Map<String, TankLevel> levels, boolean asked) {
            this(
                    condition,
                    filling,
                    pumps,
                    levels,
                    asked,
                    condition.engine().power().demandShare());
        }

        /** One that must hold. */
        public Setting(Condition condition, Filling filling, PumpSet pumps, Map<String, TankLevel> levels) {
            this(condition, filling, pumps, levels, true);
        }

        /** The same of another condition of the same attitude and contents. */
        Setting with(Condition other) {
            return new Setting(other, filling, pumps, levels, asked, share);
        }
    }

    /** The path of the fuel at demand, ready to be warmed. */
    HeatPath heatPath(Heat heat) {
        HeatPath known = heatPath;
        if (known == null || known.heat() != heat) {
            known = HeatPath.of(basis.system(), demand, heat, condition.engine().power());
            heatPath = known;
        }
        return known;
    }

    /** Flow wanted over demand in a condition. */
    static double factor(Brief brief, Condition condition) {
        return condition.engine().fouled() ? brief.practice().fouled().si() : brief.factor();
    }

    /** Whether anything is asked of a case: a pump-fed engine is not expected to run with no pump. */
    static boolean judged(Brief brief, Setting setting) {
        return setting.asked()
                && (brief.delivery() != Brief.Delivery.PUMP || setting.pumps().running() > 0);
    }

    /** Answers one condition whose levels and pump set are known. */
    CaseAnswer(FlowBasis basis, Brief brief, Setting setting) {
        Condition condition = setting.condition();
        Map<String, TankLevel> levels = setting.levels();
        this.setting = setting;
        this.basis = basis;
        this.condition = condition;
        this.filling = setting.filling();
        this.need = brief.demand() * setting.share();
        this.pumps = setting.pumps();
        this.capacity = basis.ask(condition, levels, new FlowQuestion.Capacity());
        this.demand = basis.ask(condition, levels, new FlowQuestion.Demand(need));
        this.factor = factor(brief, condition);
        this.judged = judged(brief, setting);
        this.usualKelvin = brief.fuelKelvin();
        this.unsaid = Unsaid.of(brief, basis.system());
    }

    public Condition condition() {
        return condition;
    }

    /** What was laid out. */
    FuelSystem system() {
        return basis.system();
    }

    /** The condition with all that was known of it beforehand. */
    public Setting setting() {
        return setting;
    }

    /** How the tanks were filled. */
    public Filling filling() {
        return filling;
    }

    /** Whether it is steady flight on fuel as usual: neither a load case nor the coldest day. */
    public boolean steady() {
        return condition.attitude().load() == 1 && condition.attitude().forward() == 0 && !cold();
    }

    /** Whether the fuel is that of the coldest day. */
    public boolean cold() {
        return condition.fuelKelvin() < usualKelvin - 0.05;
    }

    /** Whether it had to be answered and was not: no figure may be made of it. */
    public boolean open() {
        return judged && !answered();
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

    /**
     * With the engine taking its demand of fuel this warm, as much of it by weight; pressures under which it boils are
     * told, not refused.
     */
    public FlowAnswer demandAt(double kelvin) {
        return Math.abs(held(kelvin) - condition.fuelKelvin()) < 0.05 ? demand : demandAt(basis, setting, need, kelvin);
    }

    /** The same of a case of which nothing else is asked. */
    static FlowAnswer demandAt(FlowBasis basis, Brief brief, Setting setting, double kelvin) {
        return demandAt(basis, setting, brief.demand() * setting.share(), kelvin);
    }

    private static FlowAnswer demandAt(FlowBasis basis, Setting setting, double need, double kelvin) {
        double held = held(kelvin);
        Condition condition = setting.condition();
        double swelling =
                basis.fuel().density(condition.fuelKelvin()) / basis.fuel().density(held);
        return basis.withoutBoiling()
                .ask(condition.withFuelKelvin(held), setting.levels(), new FlowQuestion.Demand(need * swelling));
    }

    private static double held(double kelvin) {
        return Math.max(COLDEST, Math.min(HOTTEST, kelvin));
    }

    /** Fuel properties are known between these, K. */
    private static final double COLDEST = 220;

    private static final double HOTTEST = 350;

    /** With the engine taking all that is wanted, found when first asked for. */
    public FlowAnswer atNeeded() {
        if (atNeeded == null) {
            atNeeded = at(need * factor);
        }
        return atNeeded;
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
        Verdict found = !judged || !answered()
                ? Verdict.NOT_SHOWN
                : capacity.usable() ? Verdict.atLeast(margin(), factor) : Verdict.FAILS;
        return found.shownIf(unsaid.flowSaid());
    }

    /** What nobody said of the engine it feeds. */
    public Unsaid unsaid() {
        return unsaid;
    }

    /** Whether the flow asked for, or any flow, would boil on its way. */
    public boolean boils() {
        return demand.undelivered() || capacity.undelivered();
    }

    /** Whether the solver came to an end: an answer, or the certainty that nothing arrives. */
    public boolean answered() {
        return capacity.usable()
                || capacity.undelivered()
                || capacity.solution().status() == NetworkSolution.Status.NO_SUPPLY;
    }

    /** Margin over what is needed, for the notch bar. */
    public double ratio() {
        return margin() / factor;
    }

    /** Pressure left at the inlet when the engine takes its take-off demand, Pa gauge. */
    public OptionalDouble inletPressureAtDemand(FuelSystem system) {
        return system.inlet()
                .map(i -> demand.pressure(new PortRef(i.id(), Item.IN)))
                .orElse(OptionalDouble.empty());
    }

    /** Gauge pressure the open inlet wants to pass a flow, Pa; empty if there is no inlet. */
    public OptionalDouble pressureWanted(double flow) {
        return basis.system()
                .inlet()
                .map(i -> OptionalDouble.of(
                        basis.wideOpen(i, condition.engine().power()).loss(flow, capacity.fluid(), basis.law())))
                .orElse(OptionalDouble.empty());
    }

    /** Why nothing arrives, or empty when something does. */
    public String obstacle(FuelSystem system) {
        if (!capacity.usable()) {
            return capacity.reason();
        }
        List<String> air = capacity.airDrawn().isEmpty() ? demand.airDrawn() : capacity.airDrawn();
        if (!air.isEmpty()) {
            return airWords(system, air);
        }
        if (!demand.dryHeaders().isEmpty()) {
            return demand.dryHeaders().stream()
                            .map(h -> system.item(h).map(Item::name).orElse(h))
                            .collect(Collectors.joining(" and "))
                    + " runs dry: inflow is below engine demand.";
        }
        if (capacity.inletFlow() < FlowAnswer.NO_FLOW) {
            String dry = capacity.levels().values().stream()
                    .filter(l -> !l.uncovered().isEmpty())
                    .map(l -> system.item(l.tank()).map(Item::name).orElse(l.tank()))
                    .collect(Collectors.joining(" and "));
            return dry.isEmpty()
                    ? "No fuel reaches the engine: a valve is shut or there is no head."
                    : "No fuel to the engine: " + dry + " uncovered.";
        }
        return "";
    }

    /** An outlet that stands clear lets air in, or a part that leaks does. */
    private String airWords(FuelSystem system, List<String> air) {
        String outlets = capacity.levels().values().stream()
                .flatMap(l -> l.uncovered().stream().map(o -> l.tank() + "." + o))
                .filter(air::contains)
                .map(o -> outletName(system, o))
                .collect(Collectors.joining(" and "));
        return outlets.isEmpty()
                ? "Air leaks in at "
                        + condition.faults().all().stream()
                                .filter(f -> f.kind() == Fault.Kind.AIR_LEAK)
                                .map(f -> system.item(f.item()).map(Item::name).orElse(f.item()))
                                .sorted()
                                .collect(Collectors.joining(" and "))
                        + ": the pressure there is below ambient."
                : "Air is drawn through " + outlets + ", which is uncovered.";
    }

    private static String outletName(FuelSystem system, String node) {
        String tank = node.substring(0, node.indexOf('.'));
        return "the outlet of " + system.item(tank).map(Item::name).orElse(tank);
    }

    /** The case in words: Climb 17\u00b0, FUSELAGE, 1.5 gal in tank. */
    public String label(FuelSystem system, UnitSystem units) {
        StringBuilder words = new StringBuilder(condition.attitude().label());
        for (Selector s : system.selectors()) {
            if (condition.positions().containsKey(s.id())) {
                words.append(", ").append(condition.positions().get(s.id()));
            }
        }
        words.append(", ").append(contentsWords(system, units));
        if (!pumps.label().isEmpty() && basis.topology().feedPumps().size() > 1
                || pumps.running() == 0 && !pumps.label().isEmpty()) {
            words.append(", ").append(pumps.label().toLowerCase(java.util.Locale.ROOT));
        }
        if (condition.engine().fouled()) {
            words.append(", filters dirty");
        }
        if (Math.abs(condition.fuelKelvin() - usualKelvin) > 0.05) {
            words.append(", fuel at ").append(units.warmth(condition.fuelKelvin()));
        }
        Day day = condition.air().day();
        if (!day.equals(Day.STANDARD)) {
            words.append(", at ").append(units.altitude(day.altitudeM()));
        }
        condition.faults().all().stream()
                .map(f -> system.item(f.item()).map(Item::name).orElse(f.item())
                        + (f.port().isEmpty() ? "" : " " + f.port()) + ": "
                        + f.kind().words())
                .sorted()
                .forEach(f -> words.append(", ").append(f));
        return words.toString();
    }

    private String contentsWords(FuelSystem system, UnitSystem units) {
        if (filling.dry().isPresent()) {
            return filling.label(system);
        }
        if (filling.is(Contents.FULL) || filling.is(Contents.HALF)) {
            return filling.label(system).toLowerCase(java.util.Locale.ROOT);
        }
        String feeding = capacity.path().isEmpty() ? "" : capacity.path().get(0).item();
        Double left = feeding.isEmpty() && condition.contents().size() == 1
                ? condition.contents().values().iterator().next()
                : condition.contents().get(feeding);
        return left == null ? "low fuel" : units.text(left, Dimension.VOLUME) + " in tank";
    }
}
