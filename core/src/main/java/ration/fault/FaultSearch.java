package ration.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;
import java.util.function.DoubleConsumer;
import ration.assess.Assessment;
import ration.assess.CaseAnswer;
import ration.assess.FaultCases;
import ration.assess.PumpSet;
import ration.assess.VaporAnswer;
import ration.check.Verdict;
import ration.condition.Condition;
import ration.condition.Fault;
import ration.condition.Fault.Kind;
import ration.condition.Power;
import ration.drawdown.Lasting;
import ration.fault.FaultAnswer.Seen;
import ration.fault.FaultAnswer.WayOut;
import ration.heat.HeatFigure;
import ration.flow.PathStep;
import ration.model.FlowSender;
import ration.model.FuelSystem;
import ration.model.GaugePort;
import ration.model.Header;
import ration.model.Item;
import ration.model.PortRef;
import ration.project.Project;
import ration.project.Unsaid;
import ration.quantity.Dimension;
import ration.quantity.UnitSystem;
import ration.topology.Topology;

/** Asks what each fault does. May run beside the window; reports its progress and stops when asked to. */
public final class FaultSearch {

    /** Time a pilot wants between seeing it and the flow being short, minutes; a practice choice. */
    private static final double TIME_TO_ACT = 1;
    /** How far ahead a case is followed that stays as it is, minutes. */
    private static final double AHEAD = 240;
    /** Suction a tank's shell is taken to bear unasked, Pa: half a psi; common practice, no source. */
    private static final double BEARS = 3447;
    /** A flow reading is seen to move from this share on. */
    private static final double SEEN = 0.1;
    /** And a pressure needle by this, Pa: 0.15 psi. */
    private static final double NEEDLE = 1034;

    private final Assessment assessment;
    private final UnitSystem units;
    private final FuelSystem system;
    private final Topology topology;
    private final List<CaseAnswer> cases;

    private FaultSearch(Assessment assessment, UnitSystem units) {
        this.assessment = assessment;
        this.units = units;
        this.system = assessment.project().system();
        this.topology = Topology.of(system);
        this.cases = FaultCases.of(assessment);
    }

    /** All faults of a project, the worst first; what cannot be computed is among them and says why. */
    public static List<FaultAnswer> of(Assessment a) {
        return of(a, UnitSystem.US, done -> { }, () -> false);
    }

    /**
     * The same, telling how far it is.
     *
     * @param units    the figures in its words are in
     * @param progress told the share that is done
     * @param stop     asked before each fault; then what was found so far is given back, the rest as not shown
     */
    public static List<FaultAnswer> of(Assessment a, UnitSystem units, DoubleConsumer progress, BooleanSupplier stop) {
        FaultSearch search = new FaultSearch(a, units);
        List<Fault> all = Catalogue.of(search.system);
        java.util.concurrent.atomic.AtomicInteger done = new java.util.concurrent.atomic.AtomicInteger();
        return all.parallelStream().map(f -> {
            FaultAnswer answer = stop.getAsBoolean() ? search.unknown(f, "Not asked: the search was stopped.") : search.guarded(f);
            progress.accept(done.incrementAndGet() / (double) all.size());
            return answer;
        }).sorted(WORST_FIRST).toList();
    }

    /** Of one fault. */
    public static FaultAnswer of(Assessment a, Fault fault) {
        return new FaultSearch(a, UnitSystem.US).guarded(fault);
    }

    private static final Comparator<FaultAnswer> WORST_FIRST = Comparator.comparing(FaultAnswer::group).thenComparingDouble(f -> Double.isNaN(
            f.minutes()) ? Double.MAX_VALUE : f.minutes()).thenComparingDouble(f -> Double.isNaN(f.share()) ? 2 : f.share());

    /** Of one fault in several cases: what is not shown in one never gives way to what holds in another. */
    private static final Comparator<FaultAnswer> WORSE = Comparator.comparing(FaultAnswer::verdict).reversed().thenComparing(WORST_FIRST);

    /** An exception never turns into a fault left out. */
    private FaultAnswer guarded(Fault f) {
        try {
            return said(answer(f));
        } catch (RuntimeException e) {
            return unknown(f, "It could not be worked out: " + e.getMessage());
        }
    }

    /** That enough arrives is not shown while it is not said what is enough. */
    private FaultAnswer said(FaultAnswer found) {
        Unsaid unsaid = Unsaid.of(assessment.project());
        Verdict verdict = found.verdict().shownIf(unsaid.flowSaid());
        return verdict == found.verdict() ? found : new FaultAnswer(found.fault(), found.part(), found.condition(), found.share(), found.minutes(),
                found.seen(), found.wayOut(), verdict, found.why() + " " + Unsaid.words(unsaid.flow()));
    }

    private FaultAnswer unknown(Fault f, String why) {
        Condition condition = cases.isEmpty() ? Assessment.start(assessment.project()) : cases.get(0).condition();
        return new FaultAnswer(f, part(f), condition.with(f), Double.NaN, Double.NaN, List.of(), Optional.empty(), Verdict.NOT_SHOWN, why);
    }

    private String part(Fault f) {
        String name = system.item(f.item()).map(Item::name).orElse(f.item());
        boolean several = system.item(f.item()).map(i -> i.as(new ration.model.SomeKinds<Boolean>() {
            @Override
            public Boolean otherwise(Item item) {
                return true;
            }

            @Override
            public Boolean tank(ration.model.Tank tank) {
                return tank.outlets().size() > 1;
            }
        })).orElse(false);
        return !Catalogue.whole(f).isEmpty() ? Catalogue.whole(f) : name + (f.port().isEmpty() || !several ? "" : ", " + f.port());
    }

    private FaultAnswer answer(Fault f) {
        if (cases.isEmpty()) {
            return unknown(f, "No case with all pumps on brings the engine its demand, so nothing is known of what a fault takes away.");
        }
        if (f.kind() == Kind.FUEL_VOLATILE) {
            return volatility(f);
        }
        String beyond = BEYOND.get(f.kind());
        if (beyond != null) {
            return unknown(f, beyond);
        }
        FaultAnswer worst = null;
        for (CaseAnswer c : cases) {
            FaultAnswer here = in(f, c);
            worst = worst == null || WORSE.compare(here, worst) < 0 ? here : worst;
        }
        return worst;
    }

    /** Fuel that boils more easily than was said: what is left before it does, on the hot day. */
    private FaultAnswer volatility(Fault f) {
        Project project = assessment.project();
        Optional<VaporAnswer> hot = VaporAnswer.of(project.with(project.heat().risen(f.severity())), assessment.cases(), HeatFigure.TANK_FUEL,
                HeatFigure.NEEDED);
        if (hot.isEmpty()) {
            return unknown(f, "No case feeds the engine, so nothing is known of where it would boil.");
        }
        VaporAnswer least = hot.get();
        Condition failed = least.look().condition().with(f);
        String where = least.label(project);
        if (least.degrees() >= 0) {
            return new FaultAnswer(f, part(f), failed, least.look().margin(), Double.POSITIVE_INFINITY, List.of(), Optional.empty(), Verdict.HOLDS,
                    VaporAnswer.signed(least.degrees()) + " are left before it boils: " + where + ".");
        }
        return least.fuelSaid() ? new FaultAnswer(f, part(f), failed, 0, 0, List.of(), Optional.empty(), Verdict.SHORT, "It boils on the hot day: "
                + where + ". Nothing fitted here shows it before; what arrives then is taken as nothing.") : unknown(f,
                        "Which fuel is bought is not said, so it is not known what boils more easily.");
    }

    /** Faults whose harm is not a lack of flow: what the network says of them is not the answer. */
    private static final Map<Kind, String> BEYOND = Map.of(Kind.WATER, "Water goes to the engine once it stands higher than the outlet of the bowl. How much gets there, and"
            + " how the engine runs on it, is not computed: drain before flight.", Kind.INDICATION_FROZEN, "The fuel does not feel it. Whether it is noticed depends"
            + " on clock and dipstick, which are not computed.", Kind.NEEDLE_STUCK_OPEN, "Enough arrives, and too much: it floods. How the"
            + " engine runs then is not computed.", Kind.REFERENCE_OFF, "The mixture goes rich or lean with the throttle: how the engine"
            + " runs then is not computed.", Kind.SELECTOR_LEAKS, "Fuel creeps into a tank that is shut off, or out of it: when that one"
            + " runs over or dry is not computed.");

    /** In one case. */
    private FaultAnswer in(Fault f, CaseAnswer sound) {
        Condition failed = sound.condition().with(f);
        CaseAnswer now = FaultCases.like(assessment, sound, failed);
        if (!now.answered()) {
            return new FaultAnswer(f, part(f), failed, Double.NaN, Double.NaN, List.of(), Optional.empty(), Verdict.NOT_SHOWN,
                    "No answer: " + now.capacity().reason());
        }
        double share = now.capacity().usable() ? now.margin() : 0;
        Optional<Lasting> headers = share >= 1 ? Optional.empty() : fromHeaders(failed, sound.need());
        double minutes = share >= 1 ? Double.POSITIVE_INFINITY : headers.map(Lasting::minutes).orElse(0.0);
        String obstacle = now.obstacle(system);
        String why = share >= 1 ? "The demand is met with nothing done." : !obstacle.isEmpty() ? obstacle : "Only "
                + units.figure(now.capacity().inletFlow(), Dimension.FLOW) + " of " + units.text(sound.need(), Dimension.FLOW)
                + " arrive at the least pressure the inlet takes.";
        if (f.kind() == Kind.VENT_SHUT) {
            return vent(f, sound, failed, share);
        }
        Optional<FaultAnswer> over = overPressure(f, failed, now, share);
        if (over.isPresent()) {
            return over.get();
        }
        boolean harms = share < 1 || f.kind() == Kind.FUEL_LEAK;
        Optional<WayOut> out = harms ? wayOut(failed, sound) : Optional.empty();
        List<Seen> seen = share < 1 || f.kind() == Kind.SENDER_CLOGGED ? seen(sound, now, minutes, headers.map(Lasting::lights).orElse(Map.of())) : List.of();
        if (f.kind() == Kind.FUEL_LEAK && share >= 1) {
            return new FaultAnswer(f, part(f), failed, share, minutes, List.of(), Optional.empty(), Verdict.NOT_SHOWN, "Enough arrives, but"
                    + " fuel runs out where the pressure stands over ambient: fire, and time, are not computed. Shut it off and land.");
        }
        return judged(f, failed, share, minutes, seen, out, why);
    }

    /** What shuts a way back drives the pressure up: over the most the inlet takes, or nobody said what that is. */
    private Optional<FaultAnswer> overPressure(Fault f, Condition failed, CaseAnswer now, double share) {
        OptionalDouble pressure = now.inletPressureAtDemand(system);
        if (pressure.isEmpty() || system.inlet().isEmpty()) {
            return Optional.empty();
        }
        Optional<Double> most = system.inlet().get().maximumPressure().map(m -> m.si());
        boolean shutsBack = f.kind() == Kind.REGULATOR_STUCK_SHUT || f.kind() == Kind.RETURN_BLOCKED;
        if (most.isPresent() && pressure.getAsDouble() > most.get()) {
            return Optional.of(new FaultAnswer(f, part(f), failed, share, 0, List.of(new Seen("the engine runs rich or floods", 0)),
                    Optional.empty(), Verdict.SHORT, "The inlet stands at " + units.text(pressure.getAsDouble(), Dimension.PRESSURE)
                    + ", over the " + units.text(most.get(), Dimension.PRESSURE) + " it takes."));
        }
        return shutsBack && most.isEmpty() && share >= 1 ? Optional.of(new FaultAnswer(f, part(f), failed, share, Double.NaN, List.of(),
                Optional.empty(), Verdict.NOT_SHOWN, "The inlet stands at " + units.text(pressure.getAsDouble(), Dimension.PRESSURE)
                + ", and the most it takes is not said.")) : Optional.empty();
    }

    private FaultAnswer judged(Fault f, Condition failed, double share, double minutes, List<Seen> seen, Optional<WayOut> out, String why) {
        double lead = seen.isEmpty() ? 0 : minutes - seen.get(0).minutes();
        Verdict verdict = Double.isInfinite(minutes) ? Verdict.HOLDS : out.isPresent() && lead >= TIME_TO_ACT ? Verdict.THIN : Verdict.SHORT;
        return new FaultAnswer(f, part(f), failed, share, minutes, seen, out, verdict, why);
    }

    /** Air shut in: at once nothing changes, then it thins. */
    private FaultAnswer vent(Fault f, CaseAnswer sound, Condition failed, double share) {
        boolean second = system.item(f.item()).flatMap(i -> i.only(ration.model.Tank.class)).filter(t -> t.fitout().secondAir()).isPresent();
        if (second) {
            return new FaultAnswer(f, part(f), failed, share, Double.POSITIVE_INFINITY, List.of(), Optional.empty(), Verdict.HOLDS,
                    "Air also comes in by a second way: so it is said of this tank.");
        }
        if (system.tanks().stream().noneMatch(t -> starved(f, t) && sound.capacity().outflow(t) > 1e-9)) {
            return new FaultAnswer(f, part(f), failed, share, Double.POSITIVE_INFINITY, List.of(), Optional.empty(), Verdict.HOLDS,
                    "It gives nothing with the handles so.");
        }
        Lasting with = Lasting.of(assessment.basis().orElseThrow(), failed, sound.need(), AHEAD);
        Lasting without = Lasting.of(assessment.basis().orElseThrow(), sound.condition(), sound.need(), AHEAD);
        String shell = with.suction() < BEARS ? "" : " The air over the fuel falls " + units.text(with.suction(), Dimension.PRESSURE)
                + " under ambient: what the tank's shell bears is not said.";
        if (with.minutes() >= without.minutes() - 0.01 && !shell.isEmpty()) {
            return new FaultAnswer(f, part(f), failed, share, Double.NaN, List.of(), elsewhere(f, sound), Verdict.NOT_SHOWN, "The pumps go on"
                    + " drawing." + shell);
        }
        if (with.minutes() >= without.minutes() - 0.01) {
            return new FaultAnswer(f, part(f), failed, share, Double.POSITIVE_INFINITY, List.of(), Optional.empty(), Verdict.HOLDS,
                    "The fuel ends before the trapped air holds it back" + (Double.isInfinite(with.minutes()) ? "; looked "
                            + UnitSystem.figure(AHEAD, 0) + " min ahead." : "."));
        }
        Optional<WayOut> out = elsewhere(f, sound);
        List<Seen> seen = falls(sound, with);
        return judged(f, failed, share, with.minutes(), seen, out, "The air over the fuel thins as fuel leaves, without time to take up"
                + " heat: " + units.fineVolume(with.fed()) + " feed before the inlet has just its least pressure." + (seen.isEmpty()
                        ? " Nothing fitted here shows it before." : "") + shell);
    }

    /** Positions that take nothing from what the shut vent starves. */
    private Optional<WayOut> elsewhere(Fault f, CaseAnswer sound) {
        return FaultCases.handles(assessment, sound.condition()).stream().filter(h -> !h.positions().equals(sound.condition().positions()))
                .map(h -> FaultCases.like(assessment, sound, h)).filter(c -> c.capacity().usable() && c.margin() >= 1 && system.tanks().stream()
                        .filter(t -> starved(f, t)).allMatch(t -> Math.abs(c.capacity().outflow(t)) < 1e-9)).map(c -> new WayOut(does(
                                sound.condition(), c.condition()), c.margin())).max(Comparator.comparingDouble(WayOut::share));
    }

    private boolean starved(Fault f, ration.model.Tank tank) {
        return ration.breathing.VentPath.of(system, tank).through(f.item());
    }

    /** How long the full headers behind what failed last while less comes in than is taken; empty where there is none. */
    private Optional<Lasting> fromHeaders(Condition failed, double need) {
        return system.all(Header.class).findAny().isEmpty() ? Optional.empty() : Optional.of(Lasting.of(assessment.basis().orElseThrow(), failed, need,
                AHEAD));
    }

    /** Of what is fitted in this document: flow and pressure senders, low lights of headers. */
    private List<Seen> seen(CaseAnswer sound, CaseAnswer now, double minutes, Map<String, Double> lights) {
        List<Seen> all = new ArrayList<>();
        lights.forEach((header, at) -> all.add(new Seen("low light of " + system.item(header).map(Item::name).orElse(header), at)));
        for (FlowSender s : system.all(FlowSender.class).toList()) {
            OptionalDouble before = through(sound, s);
            OptionalDouble after = now.demand().usable() ? through(now, s) : OptionalDouble.of(0);
            double a = before.orElse(0);
            double b = Math.min(after.orElse(0), Math.max(0, now.capacity().usable() ? now.capacity().inletFlow() : 0));
            if (a > 0 && Math.abs(a - b) > SEEN * a) {
                all.add(new Seen(s.name() + " to " + units.text(b, Dimension.FLOW), behindHeader(sound, s.id()) ? minutes : 0));
            }
        }
        for (GaugePort g : needles()) {
            double a = pressure(sound, g);
            double b = now.demand().usable() ? pressure(now, g) : 0;
            if (Math.abs(a - b) > moves(a)) {
                all.add(new Seen(g.name() + " to " + units.text(b, Dimension.PRESSURE), behindHeader(sound, g.id()) ? minutes : 0));
            }
        }
        boolean indicated = !all.isEmpty() || !needles().isEmpty() || system.all(FlowSender.class).findAny().isPresent();
        if (indicated && now.condition().faults().supplyDead(ration.model.Pump.Build.MAIN_BUS)) {
            // the indication goes with the supply, and that is seen
            all.clear();
            all.add(new Seen("the needles go dark", 0));
        }
        all.sort(Comparator.comparingDouble(Seen::minutes));
        if (all.isEmpty() && !Double.isInfinite(minutes) && !Double.isNaN(minutes)) {
            all.add(new Seen("the engine falters", minutes));
        }
        return all;
    }

    /** A full header feeds it on: what fails before the header is not seen there until that is empty. */
    private boolean behindHeader(CaseAnswer sound, String item) {
        boolean header = false;
        for (PathStep s : sound.demand().path()) {
            header |= system.item(s.item()).flatMap(i -> i.only(Header.class)).isPresent();
            if (s.item().equals(item)) {
                return header;
            }
        }
        return false;
    }

    /** Pressure needles in front of the pilot. */
    private List<GaugePort> needles() {
        return system.all(GaugePort.class).filter(g -> g.shows() == GaugePort.Shows.PRESSURE).toList();
    }

    /** A pressure that moves by so much is seen, Pa: a tenth of it, or what a needle's width hides. */
    private static double moves(double pressure) {
        return Math.max(SEEN * Math.abs(pressure), NEEDLE);
    }

    private static double pressure(CaseAnswer c, GaugePort g) {
        return c.demand().pressure(new PortRef(g.id(), Item.OUT)).orElse(0);
    }

    /** Air that thins is felt alike all the way to the engine: the first minute at which a needle has moved. */
    private List<Seen> falls(CaseAnswer sound, Lasting lasting) {
        List<Seen> all = new ArrayList<>();
        double from = lasting.course().isEmpty() ? 0 : lasting.course().get(0).spare();
        for (GaugePort g : needles()) {
            if (sound.demand().path().stream().noneMatch(s -> s.item().equals(g.id()))) {
                continue;
            }
            double band = moves(pressure(sound, g));
            Lasting.Point before = null;
            for (Lasting.Point p : lasting.course()) {
                boolean moved = Double.isNaN(p.spare()) || from - p.spare() >= band;
                if (moved) {
                    double share = before == null || Double.isNaN(p.spare()) ? 1 : (band - from + before.spare()) / (before.spare() - p.spare());
                    double at = before == null ? p.minutes() : before.minutes() + Math.max(0, Math.min(1, share)) * (p.minutes() - before.minutes());
                    all.add(new Seen(g.name() + " falls by " + units.text(band, Dimension.PRESSURE), at));
                    break;
                }
                before = p;
            }
        }
        all.sort(Comparator.comparingDouble(Seen::minutes));
        return all;
    }

    private OptionalDouble through(CaseAnswer c, FlowSender s) {
        return system.runs().stream().filter(r -> r.to().item().equals(s.id())).mapToDouble(r -> Math.abs(c.demand().flow(r.id())))
                .findFirst();
    }

    /** The best of what a pilot can do: full power by another position or other pumps first, less power after. */
    private Optional<WayOut> wayOut(Condition failed, CaseAnswer sound) {
        for (Power power : new Power[] {Power.TAKE_OFF, Power.CRUISE}) {
            Optional<WayOut> best = FaultCases.handles(assessment, failed.with(power)).stream().filter(h -> power != Power.TAKE_OFF || !h
                    .handles().equals(failed.handles())).map(h -> FaultCases.like(assessment, sound, h)).filter(c -> c.answered() && c
                            .capacity().usable() && c.margin() >= 1).map(c -> new WayOut(does(failed, c.condition()), c.margin())).max(
                                    Comparator.comparingDouble(WayOut::share));
            if (best.isPresent()) {
                return best;
            }
        }
        return Optional.empty();
    }

    private String does(Condition before, Condition after) {
        List<String> words = new ArrayList<>();
        for (Map.Entry<String, String> e : after.positions().entrySet()) {
            if (!e.getValue().equals(before.positions().get(e.getKey()))) {
                words.add(e.getValue());
            }
        }
        if (!after.stopped().equals(before.stopped())) {
            words.add(PumpSet.of(system, after.stopped()).label());
        }
        if (after.engine().power() != before.engine().power()) {
            words.add("power to " + after.engine().power().label().toLowerCase(java.util.Locale.ROOT));
        }
        return String.join(", ", words);
    }
}
