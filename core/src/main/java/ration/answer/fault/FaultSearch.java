package ration.answer.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.FaultCases;
import ration.answer.assess.FaultCases.Asked;
import ration.answer.assess.PumpSet;
import ration.answer.assess.StartingCase;
import ration.answer.assess.VaporAnswer;
import ration.answer.drawdown.Lasting;
import ration.answer.drawdown.UsualFlight;
import ration.answer.fault.FaultAnswer.Harm;
import ration.answer.fault.FaultAnswer.Seen;
import ration.answer.fault.FaultAnswer.WayOut;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.base.task.Steps;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Verdict;

/**
 * Asks what each fault does, in every case it can be met in ({@link FaultCases}): the worst counts and names its case.
 * May run beside the window; reports its progress and stops when asked to.
 */
public final class FaultSearch {

    /** Time a pilot wants between seeing it and the flow being short, minutes; a practice choice. */
    private static final double TIME_TO_ACT = 1;
    /** How far ahead a case is followed that stays as it is, minutes. */
    private static final double AHEAD = 240;
    /** Suction a tank's shell is taken to bear unasked, Pa: half a psi; common practice, no source. */
    private static final double BEARS = 3447;
    /** Flows that differ by less, as a share, are the same. */
    private static final double SAME = 1e-7;

    private final Assessment assessment;
    private final UnitSystem units;
    private final FuelSystem system;
    private final List<Asked> all;
    private final List<Asked> cases;
    private final Indications indications;
    private final Together together;

    private FaultSearch(Assessment assessment, UnitSystem units) {
        this(
                assessment,
                units,
                assessment.blocked()
                        ? List.of()
                        : FaultCases.all(
                                assessment,
                                UsualFlight.meant(assessment.project()).phases()));
    }

    /** In the cases given alone; those that do not bring the engine its demand are not asked. */
    private FaultSearch(Assessment assessment, UnitSystem units, List<Asked> some) {
        this.assessment = assessment;
        this.units = units;
        this.system = assessment.project().system();
        all = some;
        cases = some.parallelStream()
                .filter(c -> FaultCases.holds(assessment, c))
                .toList();
        indications = new Indications(system, units);
        together = Together.alone();
    }

    private FaultSearch(FaultSearch same, Together together) {
        assessment = same.assessment;
        units = same.units;
        system = same.system;
        all = same.all;
        cases = same.cases;
        indications = same.indications;
        this.together = together;
    }

    /** The same, one pair of failures at a time: what another search of the pair has solved is not solved again. */
    FaultSearch sharing(Together pair) {
        return new FaultSearch(this, pair);
    }

    /**
     * Whether failures of two documents are the same questions: upkeep, sign-off, build, readings and variants ask
     * nothing of them.
     */
    public static boolean sameQuestions(Project one, Project other) {
        return one.system() == other.system()
                && one.brief().equals(other.brief())
                && one.heat().equals(other.heat())
                && one.tests().equals(other.tests())
                && one.use().flight().equals(other.use().flight());
    }

    /** Asks faults in some cases, where another failure may wait already. */
    static FaultSearch in(Assessment assessment, UnitSystem units, List<Asked> some) {
        return new FaultSearch(assessment, units, some);
    }

    /** Of one fault in these cases; not shown where none of them brings the demand. */
    FaultAnswer ask(Fault f) {
        return guarded(f);
    }

    /** Whether some instrument moves, in some of these cases, when it fails. */
    boolean shows(Fault f) {
        FlowBasis apart = assessment.basis().orElseThrow().aside();
        return cases.stream().anyMatch(c -> !indications
                .of(c.sound(), FaultCases.failed(assessment, apart, c.sound(), f), Double.POSITIVE_INFINITY, Map.of())
                .isEmpty());
    }

    /** The same with the pumps run one at a time, as before a flight. */
    boolean showsOnOnePump(FlowBasis apart, Fault f) {
        return cases.stream()
                .anyMatch(c -> FaultCases.handles(assessment, c.sound().condition()).stream()
                        .filter(h -> h.positions().equals(c.sound().condition().positions()))
                        .filter(h -> PumpSet.of(system, h.stopped()).running() == 1)
                        .map(h -> FaultCases.set(assessment, apart, c.sound(), h))
                        .anyMatch(sound -> sound.answered()
                                && indications.moves(sound, FaultCases.failed(assessment, apart, sound, f))));
    }

    /** All faults of a project, the worst first; what cannot be computed is among them and says why. */
    public static List<FaultAnswer> of(Assessment a) {
        return of(a, UnitSystem.US, done -> {}, () -> false);
    }

    /**
     * The same, telling how far it is.
     *
     * @param units the figures in its words are in
     * @param progress told the share that is done
     * @param stop asked before each fault; then what was found so far is given back, the rest as not shown
     */
    public static List<FaultAnswer> of(Assessment a, UnitSystem units, DoubleConsumer progress, BooleanSupplier stop) {
        return of(a, Catalogue.of(a.project().system()), units, progress, stop);
    }

    /** Of some of them. */
    static List<FaultAnswer> of(
            Assessment a, List<Fault> some, UnitSystem units, DoubleConsumer progress, BooleanSupplier stop) {
        FaultSearch search = new FaultSearch(a, units);
        Steps steps = new Steps(progress, some.size());
        return some.parallelStream()
                .map(f -> {
                    FaultAnswer answer =
                            stop.getAsBoolean() ? search.unknown(f, "Not run: stopped.") : search.guarded(f);
                    steps.done();
                    return answer;
                })
                .sorted(WORST_FIRST)
                .toList();
    }

    /** Of one fault. */
    public static FaultAnswer of(Assessment a, Fault fault) {
        return new FaultSearch(a, UnitSystem.US).guarded(fault);
    }

    /**
     * What the layout fails of these cases with nothing failed: no fault is asked there. Empty where it holds in all of
     * them.
     */
    public static Optional<String> already(Assessment a, UnitSystem units) {
        FaultSearch search = new FaultSearch(a, units);
        return search.cases.size() == search.all.size() ? Optional.empty() : Optional.of(search.failing());
    }

    private String failing() {
        Asked first = all.stream()
                .filter(c -> !cases.contains(c))
                .min(Comparator.comparingDouble(c -> FaultCases.arrives(c.sound())))
                .orElseThrow();
        CaseAnswer c = first.sound();
        String why = !c.answered()
                ? "it did not solve"
                : FaultCases.arrives(c) < 1
                        ? UnitSystem.figure(FaultCases.arrives(c), 2) + "\u00d7 demand available"
                        : FaultCases.over(assessment, c)
                                ? "inlet pressure is above its maximum"
                                : "it boils on the hot day";
        return (all.size() - cases.size()) + " of " + all.size() + " cases already fail with nothing failed, such as "
                + c.label(system, units) + ": " + why
                + ". No failure is run there: each is judged by what it adds in the others.";
    }

    private static final Comparator<FaultAnswer> WORST_FIRST = Comparator.comparing(FaultAnswer::group)
            .thenComparingDouble(f -> Double.isNaN(f.minutes()) ? Double.MAX_VALUE : f.minutes())
            .thenComparingDouble(f -> Double.isNaN(f.share()) ? 2 : f.share());

    /** Of one fault in several cases: what is not shown in one never gives way to what holds in another. */
    private static final Comparator<FaultAnswer> WORSE =
            Comparator.comparing(FaultAnswer::verdict).reversed().thenComparing(WORST_FIRST);

    /** An exception never turns into a fault left out. */
    private FaultAnswer guarded(Fault f) {
        try {
            return said(answer(f));
        } catch (RuntimeException e) {
            return unknown(f, "Not computed: " + e.getMessage());
        }
    }

    /** That enough arrives is not shown while it is not said what is enough. */
    private FaultAnswer said(FaultAnswer found) {
        Unsaid unsaid = Unsaid.of(assessment.project());
        Verdict verdict = found.verdict().shownIf(unsaid.flowSaid());
        return verdict == found.verdict()
                ? found
                : found.with(verdict, found.why() + " " + Unsaid.words(unsaid.flow()));
    }

    private FaultAnswer unknown(Fault f, String why) {
        Optional<CaseAnswer> first = cases.stream().findFirst().map(Asked::sound);
        Condition condition = first.map(CaseAnswer::condition).orElseGet(() -> StartingCase.of(assessment.project()));
        return new FaultAnswer(
                f,
                part(f),
                condition.with(f),
                first.map(c -> c.label(system, units)).orElse(""),
                Harm.BEYOND,
                Double.NaN,
                Double.NaN,
                List.of(),
                Optional.empty(),
                Verdict.NOT_SHOWN,
                why);
    }

    private String part(Fault f) {
        String name = system.item(f.item()).map(Item::name).orElse(f.item());
        boolean several = system.item(f.item())
                .map(i -> i.as(new ration.aircraft.model.SomeKinds<Boolean>() {
                    @Override
                    public Boolean otherwise(Item item) {
                        return true;
                    }

                    @Override
                    public Boolean tank(Tank tank) {
                        return tank.outlets().size() > 1;
                    }
                }))
                .orElse(false);
        return !Catalogue.whole(f).isEmpty()
                ? Catalogue.whole(f)
                : name + (f.port().isEmpty() || !several ? "" : ", " + f.port());
    }

    /** A case with the fault in it. */
    private record Row(Asked asked, CaseAnswer now, double share, double degrees) {

        CaseAnswer sound() {
            return asked.sound();
        }

        boolean boils() {
            return share >= 1 && degrees < 0;
        }

        /** What arrives; what boils on the way is taken as nothing. */
        double arrives() {
            return boils() ? 0 : share;
        }

        boolean unanswered() {
            return !now.answered() || Double.isNaN(degrees);
        }
    }

    private FaultAnswer answer(Fault f) {
        // a taxi that holds does not make up for a take-off that does not
        if (cases.stream().allMatch(Asked::flown)) {
            return unknown(f, "Demand is not met even with all pumps on: failures cannot be judged.");
        }
        if (f.kind() == Kind.FUEL_VOLATILE) {
            return volatility(f);
        }
        String beyond = BEYOND.get(f.kind());
        if (beyond != null) {
            return unknown(f, beyond);
        }
        FlowBasis apart = assessment.basis().orElseThrow().aside();
        List<Row> rows = cases.stream()
                .filter(c -> feels(f, c.sound()))
                .map(c -> row(apart, f, c))
                .toList();
        List<Row> concerned = rows.stream().filter(r -> concerns(f, r)).toList();
        // what no case uses is told as it is in all of them
        List<Row> own = !concerned.isEmpty()
                ? concerned
                : cases.stream().map(c -> row(apart, f, c)).toList();
        boolean shutIn = f.kind() == Kind.VENT_SHUT
                && system.item(f.item()).flatMap(i -> i.only(Header.class)).isEmpty();
        WaysOut ways = new WaysOut(
                assessment,
                apart,
                cases,
                f,
                shutIn ? c -> spares(f, c) : c -> true,
                shutIn ? Together.alone() : together);
        List<FaultAnswer> found = new ArrayList<>();
        own.stream()
                .filter(Row::unanswered)
                .findFirst()
                .ifPresent(r -> found.add(in(
                        f,
                        r,
                        Harm.BEYOND,
                        Double.NaN,
                        Double.NaN,
                        List.of(),
                        Optional.empty(),
                        Verdict.NOT_SHOWN,
                        "No answer: " + r.now().capacity().reason())));
        own.stream()
                .filter(r -> r.share() >= 1 && !r.boils() && FaultCases.over(assessment, r.now()))
                .findFirst()
                .ifPresent(r -> found.add(overPressure(f, r)));
        List<Row> lacking =
                own.stream().filter(r -> !r.unanswered() && r.arrives() < 1).toList();
        if (!lacking.isEmpty()) {
            found.add(lack(f, lacking, ways));
        } else if (shutIn) {
            found.add(vent(f, own, ways));
        } else {
            found.add(enough(f, own));
        }
        double least = own.stream()
                .filter(r -> !r.unanswered())
                .mapToDouble(Row::arrives)
                .min()
                .orElse(Double.NaN);
        FaultAnswer worst = found.stream().min(WORSE).orElseThrow();
        return Double.isNaN(worst.share()) ? worst : worst.withShare(least);
    }

    private Row row(FlowBasis apart, Fault f, Asked c) {
        CaseAnswer now = together.answer(
                c.sound().condition().with(f),
                c.sound().filling(),
                () -> FaultCases.failed(assessment, apart, c.sound(), f));
        double share = FaultCases.arrives(now);
        return new Row(
                c,
                now,
                share,
                share >= 1 ? FaultCases.degrees(assessment, now, c.airs()).orElse(Double.POSITIVE_INFINITY) : 0);
    }

    /**
     * Whether a case can feel a fault at all. What only stands in the way of a flow changes nothing where none goes:
     * with that link passing less or nothing the same flows still satisfy every equation, and there is but one such
     * answer.
     */
    private static boolean feels(Fault f, CaseAnswer sound) {
        return switch (f.kind()) {
            case LINE_PINCHED,
                    FILTER_FOULED,
                    SENDER_CLOGGED,
                    ORIFICE_CLOGGED,
                    VALVE_SHUT,
                    COUPLING_APART,
                    RETURN_BLOCKED ->
                sound.demand().carries(f.item()) || sound.capacity().carries(f.item());
            default -> true;
        };
    }

    /** Whether a case uses what failed: fuel goes through it, or something changed. */
    private boolean concerns(Fault f, Row r) {
        if (!r.now().answered() || Math.abs(r.share() - FaultCases.arrives(r.sound())) > SAME) {
            return true;
        }
        FlowAnswer sound = r.sound().demand();
        return switch (f.kind()) {
            case VENT_SHUT, VENT_HOLDS_LIQUID, CAP_LOST ->
                system.item(f.item()).flatMap(i -> i.only(Header.class)).isPresent()
                        ? sound.carries(f.item())
                        : system.tanks().stream()
                                .anyMatch(t -> starved(f, t) && Math.abs(sound.outflow(t)) > FlowAnswer.NO_FLOW);
            case OUTLET_CLOGGED ->
                system.tanks().stream()
                        .filter(t -> t.id().equals(f.item()))
                        .flatMap(t -> t.outlets().stream()
                                .filter(o -> o.name().equals(f.port()))
                                .map(o -> sound.outflow(t, o)))
                        .anyMatch(q -> Math.abs(q) > FlowAnswer.NO_FLOW);
            case SUPPLY_DEAD ->
                system.all(Pump.class)
                        .filter(p -> p.drive() == Pump.Drive.ELECTRIC
                                && (f.port().isEmpty() || p.bus().equals(f.port())))
                        .anyMatch(p -> sound.carries(p.id()));
            default -> sound.carries(f.item());
        };
    }

    /** Whether nothing is taken from what a shut vent starves. */
    private boolean spares(Fault f, CaseAnswer c) {
        return system.tanks().stream()
                .filter(t -> starved(f, t))
                .allMatch(t -> Math.abs(c.capacity().outflow(t)) < FlowAnswer.NO_FLOW);
    }

    private FaultAnswer in(
            Fault f,
            Row r,
            Harm harm,
            double share,
            double minutes,
            List<Seen> seen,
            Optional<WayOut> out,
            Verdict verdict,
            String why) {
        return new FaultAnswer(
                f,
                part(f),
                r.now().condition(),
                r.sound().label(system, units),
                harm,
                share,
                minutes,
                seen,
                out,
                verdict,
                why);
    }

    /** Fuel that boils more easily than was said: what is left before it does, on the hot day. */
    private FaultAnswer volatility(Fault f) {
        Project project = assessment.project();
        Project risen = project.with(project.heat().risen(f.severity()));
        Optional<VaporAnswer> hot = VaporAnswer.of(risen, assessment.cases(), HeatFigure.TANK_FUEL, HeatFigure.NEEDED);
        if (hot.isEmpty()) {
            return unknown(f, "No case feeds the engine: vapor margin not computed.");
        }
        VaporAnswer least = hot.get();
        Condition failed = least.look().condition().with(f);
        String at = least.look().label(system, units);
        String where = least.label(project, units);
        if (least.degrees() >= 0) {
            return new FaultAnswer(
                    f,
                    part(f),
                    failed,
                    at,
                    Harm.NONE,
                    least.look().margin(),
                    Double.POSITIVE_INFINITY,
                    List.of(),
                    Optional.empty(),
                    Verdict.HOLDS,
                    units.difference(least.degrees()) + " vapor margin: " + where + ".");
        }
        return least.fuelSaid()
                ? new FaultAnswer(
                        f,
                        part(f),
                        failed,
                        at,
                        Harm.BOILS,
                        0,
                        0,
                        List.of(),
                        Optional.empty(),
                        Verdict.FAILS,
                        "Boils on the hot day: " + where + ". No indication beforehand; flow taken as zero.")
                : unknown(f, "Fuel class not set: a more volatile one cannot be judged.");
    }

    /** Faults whose harm is not a lack of flow: what the network says of them is not the answer. */
    private static final Map<Kind, String> BEYOND = Map.of(
            Kind.WATER,
            "Water reaches the engine once it rises above the bowl outlet. Amount and effect not computed:"
                    + " drain before flight.",
            Kind.INDICATION_FROZEN,
            "No effect on flow. Noticing it depends on clock and dipstick: not computed.",
            Kind.INDICATION_WRONG,
            "No effect on flow. A wrong gauge can run a tank dry or cause a needless return: clock and dipstick"
                    + " are not computed.",
            Kind.NEEDLE_STUCK_OPEN,
            "Flow is excessive: carburetor floods. Engine effect not computed.",
            Kind.REFERENCE_OFF,
            "Mixture goes rich or lean with throttle. Engine effect not computed.",
            Kind.SELECTOR_LEAKS,
            "Fuel transfers to or from a tank that is off. Time to overflow or empty not computed.",
            Kind.SELECTOR_STUCK,
            "Fuel in the other tanks cannot be reached, and OFF cannot be selected. Remaining time depends on"
                    + " when it happens: set it to fail on Flight.",
            Kind.FLAPPER_STUCK,
            "Held open, fuel runs away from the outlet in a slip; held shut, its bay does"
                    + " not drain. Not computed: one fuel level assumed.");

    /** What enough flow does not answer. */
    private FaultAnswer enough(Fault f, List<Row> own) {
        Row r = own.stream()
                .filter(x -> !x.unanswered())
                .min(Comparator.comparingDouble(Row::share))
                .orElse(own.get(0));
        double at = own.stream()
                .mapToDouble(x -> x.now().inletPressureAtDemand(system).orElse(Double.NEGATIVE_INFINITY))
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
        boolean shutsBack = f.kind() == Kind.REGULATOR_STUCK_SHUT || f.kind() == Kind.RETURN_BLOCKED;
        String stands =
                shutsBack && at > 0 ? " Inlet pressure " + units.text(at, Dimension.PRESSURE) + " maximum." : "";
        boolean limit = system.inlet().flatMap(i -> i.maximumPressure()).isPresent();
        String open = f.kind() == Kind.FUEL_LEAK
                ? "Flow meets demand, but fuel is leaking: fire risk, not computed. Isolate that line if"
                        + " another feed is available. Land as soon as possible."
                : f.kind() == Kind.CAP_LOST
                        ? "Flow meets demand, but rain enters and suction over the wing draws fuel out. Amount"
                                + " and endurance not computed."
                        : header(f)
                                .map(h -> "Flow meets demand, but no air enters " + h.name()
                                        + ": its endurance is lost, and its pressure is "
                                        + units.text(stands(h, own), Dimension.PRESSURE)
                                        + ". Pressure limit not entered.")
                                .orElse(shutsBack && !limit ? "Maximum inlet pressure not entered." + stands : "");
        if (!open.isEmpty()) {
            return in(f, r, Harm.BEYOND, r.share(), Double.NaN, List.of(), Optional.empty(), Verdict.NOT_SHOWN, open);
        }
        return in(
                f,
                r,
                Harm.NONE,
                r.share(),
                Double.POSITIVE_INFINITY,
                List.of(),
                Optional.empty(),
                Verdict.HOLDS,
                "Demand is met with no pilot action." + stands);
    }

    /** The header whose air a fault shuts off: its vent, or the line from it. */
    private Optional<Header> header(Fault f) {
        return system.all(Header.class)
                .filter(h -> f.kind() == Kind.VENT_SHUT && h.id().equals(f.item())
                        || f.kind() == Kind.RETURN_BLOCKED
                                && h.vents().stream().anyMatch(v -> system.runAt(new PortRef(h.id(), v))
                                        .filter(x -> x.id().equals(f.item()))
                                        .isPresent()))
                .findFirst();
    }

    /** The highest pressure in a header, Pa. */
    private static double stands(Header h, List<Row> rows) {
        return rows.stream()
                .flatMap(r -> h.ports().stream().map(p -> r.now()
                        .demand()
                        .pressure(new PortRef(h.id(), p))
                        .orElse(Double.NEGATIVE_INFINITY)))
                .mapToDouble(p -> p)
                .max()
                .orElse(0);
    }

    /** What shuts a way back drives the pressure up: over the most the inlet takes. */
    private FaultAnswer overPressure(Fault f, Row r) {
        double stands = r.now().inletPressureAtDemand(system).orElse(Double.NaN);
        double most = system.inlet()
                .flatMap(i -> i.maximumPressure())
                .map(m -> m.si())
                .orElse(Double.NaN);
        return in(
                f,
                r,
                Harm.PRESSURE,
                r.share(),
                0,
                List.of(new Seen("engine runs rich or floods", 0)),
                Optional.empty(),
                Verdict.FAILS,
                "Inlet pressure " + units.text(stands, Dimension.PRESSURE) + "; maximum "
                        + units.text(most, Dimension.PRESSURE) + "; without the failure "
                        + units.text(r.sound().inletPressureAtDemand(system).orElse(Double.NaN), Dimension.PRESSURE)
                        + ".");
    }

    /** Less arrives than is taken: the case with the least, and the least minutes that headers give. */
    private FaultAnswer lack(Fault f, List<Row> lacking, WaysOut ways) {
        boolean headers = system.all(Header.class).findAny().isPresent();
        List<Row> least = lacking.stream()
                .sorted(Comparator.comparingDouble(Row::arrives).thenComparingDouble(Row::degrees))
                .toList();
        FaultAnswer worst = null;
        for (Row r : least) {
            if (worst != null && worst.verdict() == Verdict.FAILS) {
                // nothing is worse: only whether it comes sooner
                double soonest = worst.minutes();
                double minutes = !headers || r.boils()
                        ? 0
                        : soonest <= 0
                                ? soonest
                                : Lasting.minutes(
                                        assessment.basis().orElseThrow(),
                                        r.now().condition(),
                                        r.sound().need(),
                                        soonest);
                worst = minutes < soonest ? worst.withMinutes(minutes) : worst;
                continue;
            }
            Optional<Lasting> lasts = !headers || r.boils()
                    ? Optional.empty()
                    : Optional.of(lasting(r.now().condition(), r.sound().need()));
            double minutes = lasts.map(Lasting::minutes).orElse(0.0);
            List<Seen> seen = r.boils()
                    ? List.of()
                    : indications.of(
                            r.sound(),
                            r.now(),
                            minutes,
                            lasts.map(Lasting::lights).orElse(Map.of()));
            FaultAnswer here = judged(
                    f,
                    r,
                    r.boils() ? Harm.BOILS : Harm.LACK,
                    r.arrives(),
                    minutes,
                    seen,
                    ways.from(r.sound()),
                    lackWords(r));
            worst = worst == null || WORSE.compare(here, worst) < 0 ? here : worst;
        }
        return worst;
    }

    private String lackWords(Row r) {
        String obstacle = r.now().obstacle(system);
        return r.boils()
                ? "Boils on the hot day: margin " + units.difference(r.degrees()) + ", where "
                        + units.difference(FaultCases.degrees(
                                        assessment, r.sound(), r.asked().airs())
                                .orElse(0)) + " was. Flow taken as zero."
                : !obstacle.isEmpty()
                        ? obstacle
                        : "Available flow " + units.figure(r.now().capacity().inletFlow(), Dimension.FLOW) + " of "
                                + units.text(r.sound().need(), Dimension.FLOW)
                                + " demand, at minimum inlet pressure.";
    }

    private FaultAnswer judged(
            Fault f,
            Row r,
            Harm harm,
            double share,
            double minutes,
            List<Seen> seen,
            Optional<WayOut> out,
            String why) {
        double lead = seen.isEmpty() ? 0 : minutes - seen.get(0).minutes();
        Verdict verdict = Double.isInfinite(minutes)
                ? Verdict.HOLDS
                : out.isPresent() && lead >= TIME_TO_ACT ? Verdict.THIN : Verdict.FAILS;
        return in(f, r, harm, share, minutes, seen, out, verdict, why);
    }

    private Lasting lasting(Condition c, double need) {
        return together.course(c, need, () -> Lasting.of(assessment.basis().orElseThrow(), c, need, AHEAD));
    }

    /**
     * Air shut in: at once nothing changes, then it thins; soonest where there is least of it, over every filling and
     * attitude.
     */
    private FaultAnswer vent(Fault f, List<Row> own, WaysOut ways) {
        Row any = own.stream().min(Comparator.comparingDouble(Row::share)).orElseThrow();
        boolean second = system.item(f.item())
                .flatMap(i -> i.only(Tank.class))
                .filter(t -> t.fitout().secondAir())
                .isPresent();
        if (second) {
            return in(
                    f,
                    any,
                    Harm.NONE,
                    any.share(),
                    Double.POSITIVE_INFINITY,
                    List.of(),
                    Optional.empty(),
                    Verdict.HOLDS,
                    "Second air source entered for this tank; not verified.");
        }
        List<Row> feeding = own.stream()
                .filter(r -> system.tanks().stream()
                        .anyMatch(t -> starved(f, t) && r.sound().capacity().outflow(t) > FlowAnswer.NO_FLOW))
                .toList();
        FaultAnswer worst = null;
        // least air first: it thins soonest
        for (Row r : feeding.stream()
                .sorted(Comparator.comparingDouble(r -> air(f, r)))
                .toList()) {
            if (worst != null
                    && worst.verdict() == Verdict.FAILS
                    && Double.isInfinite(Lasting.minutes(
                            assessment.basis().orElseThrow(),
                            r.now().condition(),
                            r.sound().need(),
                            worst.minutes()))) {
                continue;
            }
            FaultAnswer here = vent(f, r, ways);
            worst = worst == null || WORSE.compare(here, worst) < 0 ? here : worst;
        }
        return worst != null
                ? worst
                : in(
                        f,
                        any,
                        Harm.NONE,
                        any.share(),
                        Double.POSITIVE_INFINITY,
                        List.of(),
                        Optional.empty(),
                        Verdict.HOLDS,
                        "This tank does not feed in any case.");
    }

    /** Air over the fuel of the tanks that a shut vent starves, m3. */
    private double air(Fault f, Row r) {
        return system.tanks().stream()
                .filter(t -> starved(f, t))
                .mapToDouble(t ->
                        assessment.basis().orElseThrow().bodies().get(t.id()).capacity()
                                - r.sound().condition().contents().getOrDefault(t.id(), 0.0))
                .sum();
    }

    private FaultAnswer vent(Fault f, Row r, WaysOut ways) {
        Lasting with = lasting(r.now().condition(), r.sound().need());
        String shell = with.suction() < BEARS
                ? ""
                : " Tank vacuum reaches " + units.text(with.suction(), Dimension.PRESSURE)
                        + "; collapse limit not entered.";
        // sound, it need not be followed further than that
        boolean outlasts = Double.isInfinite(with.minutes())
                || !Double.isInfinite(Lasting.minutes(
                        assessment.basis().orElseThrow(),
                        r.sound().condition(),
                        r.sound().need(),
                        with.minutes() + 0.01));
        if (outlasts && !shell.isEmpty()) {
            return in(
                    f,
                    r,
                    Harm.BEYOND,
                    r.share(),
                    Double.NaN,
                    List.of(),
                    ways.from(r.sound()),
                    Verdict.NOT_SHOWN,
                    "The pumps keep drawing." + shell);
        }
        if (outlasts) {
            return in(
                    f,
                    r,
                    Harm.NONE,
                    r.share(),
                    Double.POSITIVE_INFINITY,
                    List.of(),
                    Optional.empty(),
                    Verdict.HOLDS,
                    "Tank empties before vacuum stops the flow"
                            + (Double.isInfinite(with.minutes())
                                    ? " (checked " + UnitSystem.figure(AHEAD, 0) + " min ahead)."
                                    : "."));
        }
        List<Seen> seen = indications.falls(r.sound(), with);
        return judged(
                f,
                r,
                Harm.THINS,
                r.share(),
                with.minutes(),
                seen,
                ways.from(r.sound()),
                "Vacuum builds as fuel leaves (adiabatic): " + units.fineVolume(with.fed())
                        + " flows before inlet pressure reaches its minimum."
                        + (seen.isEmpty() ? " No installed gauge shows it first." : "") + shell);
    }

    private boolean starved(Fault f, Tank tank) {
        return ration.physics.breathing.VentPath.of(system, tank).through(f.item());
    }
}
