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
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.base.task.Steps;
import ration.physics.flow.FlowBasis;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Verdict;

/**
 * Asks what each fault does, in every case it can be met in ({@link FaultCases}): the worst counts and names its case.
 * May run beside the window; reports its progress and stops when asked to.
 */
public final class FaultSearch {

    /** How far ahead a case is followed that stays as it is, minutes. */
    static final double AHEAD = 240;

    private final Assessment assessment;
    private final UnitSystem units;
    private final FuelSystem system;
    private final List<Asked> all;
    private final List<Asked> cases;
    private final Indications indications;
    private final Together together;
    private final Felt felt;
    private final FaultTold told;
    private final EnoughFlow enough;

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
        felt = new Felt(system);
        told = new FaultTold(system, units);
        enough = new EnoughFlow(system, units, told);
    }

    private FaultSearch(FaultSearch same, Together together) {
        assessment = same.assessment;
        units = same.units;
        system = same.system;
        all = same.all;
        cases = same.cases;
        indications = same.indications;
        this.together = together;
        felt = same.felt;
        told = same.told;
        enough = same.enough;
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
    public static List<FaultAnswer> of(
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

    /** Every failure of a layout. */
    public static List<Fault> ways(Assessment a) {
        return Catalogue.of(a.project().system());
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
    static final Comparator<FaultAnswer> WORSE =
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
                told.part(f),
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

    private FaultAnswer answer(Fault f) {
        // a taxi that holds does not make up for a take-off that does not
        if (cases.stream().allMatch(Asked::flown)) {
            return unknown(f, "Demand is not met even with all pumps on: failures cannot be judged.");
        }
        if (f.kind() == Kind.FUEL_VOLATILE) {
            return volatility(f);
        }
        String beyond = EnoughFlow.BEYOND.get(f.kind());
        if (beyond != null) {
            return unknown(f, beyond);
        }
        FlowBasis apart = assessment.basis().orElseThrow().aside();
        List<FaultRow> rows = cases.stream()
                .filter(c -> Felt.feels(f, c.sound()))
                .map(c -> row(apart, f, c))
                .toList();
        List<FaultRow> concerned =
                rows.stream().filter(r -> felt.concerns(f, r)).toList();
        // what no case uses is told as it is in all of them
        List<FaultRow> own = !concerned.isEmpty()
                ? concerned
                : cases.stream().map(c -> row(apart, f, c)).toList();
        boolean shutIn = f.kind() == Kind.VENT_SHUT
                && system.item(f.item()).flatMap(i -> i.only(Header.class)).isEmpty();
        WaysOut ways = new WaysOut(
                assessment,
                apart,
                cases,
                f,
                shutIn ? c -> felt.spares(f, c) : c -> true,
                shutIn ? Together.alone() : together);
        List<FaultAnswer> found = new ArrayList<>();
        own.stream()
                .filter(FaultRow::unanswered)
                .findFirst()
                .ifPresent(r -> found.add(told.in(
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
                .ifPresent(r -> found.add(enough.overPressure(f, r)));
        List<FaultRow> lacking =
                own.stream().filter(r -> !r.unanswered() && r.arrives() < 1).toList();
        if (!lacking.isEmpty()) {
            found.add(lack(f, lacking, ways));
        } else if (shutIn) {
            found.add(new ShutInAir(assessment, units, told, felt, indications, this::course).vent(f, own, ways));
        } else {
            found.add(enough.enough(f, own));
        }
        double least = own.stream()
                .filter(r -> !r.unanswered())
                .mapToDouble(FaultRow::arrives)
                .min()
                .orElse(Double.NaN);
        FaultAnswer worst = found.stream().min(WORSE).orElseThrow();
        return Double.isNaN(worst.share()) ? worst : worst.withShare(least);
    }

    private FaultRow row(FlowBasis apart, Fault f, Asked c) {
        CaseAnswer now = together.answer(
                c.sound().condition().with(f),
                c.sound().filling(),
                () -> FaultCases.failed(assessment, apart, c.sound(), f));
        double share = FaultCases.arrives(now);
        return new FaultRow(
                c,
                now,
                share,
                share >= 1 ? FaultCases.degrees(assessment, now, c.airs()).orElse(Double.POSITIVE_INFINITY) : 0);
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
                    told.part(f),
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
                        told.part(f),
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

    /** Less arrives than is taken: the case with the least, and the least minutes that headers give. */
    private FaultAnswer lack(Fault f, List<FaultRow> lacking, WaysOut ways) {
        boolean headers = system.all(Header.class).findAny().isPresent();
        List<FaultRow> least = lacking.stream()
                .sorted(Comparator.comparingDouble(FaultRow::arrives).thenComparingDouble(FaultRow::degrees))
                .toList();
        FaultAnswer worst = null;
        for (FaultRow r : least) {
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
                    : Optional.of(course(r.now().condition(), r.sound().need()));
            double minutes = lasts.map(Lasting::minutes).orElse(0.0);
            List<Seen> seen = r.boils()
                    ? List.of()
                    : indications.of(
                            r.sound(),
                            r.now(),
                            minutes,
                            lasts.map(Lasting::lights).orElse(Map.of()));
            FaultAnswer here = told.judged(
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

    private Lasting course(Condition c, double need) {
        return together.course(c, need, () -> Lasting.of(assessment.basis().orElseThrow(), c, need, AHEAD));
    }

    private String lackWords(FaultRow r) {
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
}
