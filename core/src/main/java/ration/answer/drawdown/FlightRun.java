package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Day;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.flight.Switching;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.answer.assess.PumpSet;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.physics.flow.ClosedAirspace;
import ration.physics.flow.FlowBasis;
import ration.physics.tank.Feed;
import ration.physics.tank.FuelCentroid;
import ration.record.project.Brief;
import ration.record.project.Unsaid;

/** Flies a plan. */
public final class FlightRun {

    /** What it goes on for after the plan's end, minutes: until the last fuel. */
    private static final double LONGEST = 48 * 60;
    /** Switch times are rounded to what is remembered, minutes. */
    private static final double[] ROUND = {30, 15, 10, 5};

    /** More than can happen at one moment. */
    private static final int MOST_AT_ONCE = 40;

    private final Assessment assessment;
    private final FlightPlan plan;
    private final Faults faults;
    private final double fails;
    private final Task task;
    private final FlowBasis basis;
    private final Timetable times;
    private final Sides sides;
    private final double demand;
    private final List<Choice> choices;
    private final Map<String, FuelCentroid> centroids;
    private final List<Flight.Sample> samples = new ArrayList<>();
    private final List<FlightEvent> events = new ArrayList<>();
    private final Set<String> told = new HashSet<>();
    private Pilot pilot;
    private Transfers transfers;
    private Drawdown drawdown;
    /** Whether the plan is given up once something is seen to be wrong. */
    private boolean replans;

    private boolean overLimit;
    private boolean leastTold;
    /** Where the flight is: minutes, what there is then, the phase, and why it ends before its time. */
    private double t;

    private Holding holding;
    private int phase = -1;
    private String trouble = "";
    private Holding landed;
    private double worst;
    private double worstAt;

    private FlightRun(Assessment assessment, FlightPlan plan, Faults faults, double fails, Task task, FlightRun same) {
        this.fails = fails;
        this.task = task;
        this.assessment = assessment;
        this.plan = plan;
        this.faults = faults;
        basis = assessment.basis().orElseThrow();
        times = new Timetable(plan);
        demand = assessment.project().brief().demand();
        sides = same != null ? same.sides : new Sides(basis);
        centroids = same != null ? same.centroids : new HashMap<>();
        choices = same != null ? same.choices : Choice.of(basis.system());
    }

    /** Flies the plan of an assessment that is not blocked. */
    public static Flight of(Assessment assessment, FlightPlan plan) {
        return of(assessment, plan, Faults.NONE, 0, Task.QUIET);
    }

    /**
     * The same with something that fails on the way.
     *
     * @param fails when, minutes after the start
     * @param task told the share of the way that is flown; once it is stopped, what was flown so far is given back and
     *     says so
     * @throws IllegalArgumentException where the plan has no phase, or asks for BOTH and no position feeds two tanks
     */
    public static Flight of(Assessment assessment, FlightPlan plan, Faults faults, double fails, Task task) {
        refusal(assessment.project().system(), plan).ifPresent(why -> {
            throw new IllegalArgumentException(why);
        });
        FlightRun first = new FlightRun(assessment, plan, faults, fails, task, null);
        boolean planned = plan.switching().mode() == Switching.Mode.BALANCE;
        return planned && !faults.none() ? first.surprised() : planned ? first.planned() : first.fly(0);
    }

    /**
     * A plan that does not know what will fail: it is made for a sound aircraft and stands until the pilot sees that
     * something is wrong; from there the handles go by what is in the tanks and still comes.
     */
    private Flight surprised() {
        Flight meant = new FlightRun(assessment, plan, Faults.NONE, 0, task, this).planned();
        List<Switching.Step> steps = meant.switches().stream()
                .map(e -> new Switching.Step(
                        new Measured(Quantity.of(e.minutes(), Unit.MINUTE), ""),
                        meant.at(e.minutes()).positions()))
                .toList();
        FlightRun flies = new FlightRun(
                assessment,
                plan.with(plan.switching().withSteps(steps).with(Switching.Mode.HAND)),
                faults,
                fails,
                task,
                this);
        flies.replans = true;
        return flies.fly(0).as(plan);
    }

    /** Why a plan cannot be flown in this system, with what to do; empty where it can. */
    public static Optional<String> refusal(FuelSystem system, FlightPlan plan) {
        return plan.phases().isEmpty()
                ? Optional.of("Add one or more phases.")
                : plan.switching().mode() == Switching.Mode.BOTH && !feedsBoth(system)
                        ? Optional.of("This selector has no BOTH position. Choose another switching rule.")
                        : Optional.empty();
    }

    /** Whether some position feeds from two tanks at once; the system has an inlet. */
    public static boolean feedsBoth(FuelSystem system) {
        return Choice.of(system).stream().anyMatch(c -> c.feeds().size() > 1);
    }

    /** The better of the ways to begin, with its times rounded where that stands. */
    private Flight planned() {
        Flight best = null;
        long singles = choices.stream().filter(Choice::single).count();
        for (int first = 0; first < Math.max(1, Math.min(singles, 4)); first++) {
            Flight f = new FlightRun(assessment, plan, faults, fails, task, this).fly(first);
            best = best == null || better(f, best) ? f : best;
        }
        if (!best.trouble().isEmpty()) {
            return best;
        }
        for (double to : ROUND) {
            Flight rounded = rounded(best, to);
            if (rounded != null
                    && rounded.verdict().compareTo(best.verdict()) <= 0
                    && rounded.balance().verdict().compareTo(best.balance().verdict()) <= 0) {
                return rounded;
            }
        }
        return best;
    }

    private static boolean better(Flight a, Flight b) {
        int verdict = a.verdict().compareTo(b.verdict());
        long fewer = flown(a) - flown(b);
        return verdict < 0
                || verdict == 0
                        && (fewer < 0
                                || fewer == 0
                                        && a.balance().most() < b.balance().most() - 1e-9);
    }

    private static long flown(Flight f) {
        return f.switches().stream()
                .filter(e -> e.minutes() < f.landing().minutes())
                .count();
    }

    private Flight rounded(Flight f, double to) {
        List<Switching.Step> steps = new ArrayList<>();
        for (FlightEvent e : f.switches()) {
            double at = Math.round(e.minutes() / to) * to;
            if (e.minutes() >= f.landing().minutes() && e.minutes() > 0) {
                break;
            }
            if (at > 0 && times.allowed(at) > at + 1e-9 || at >= f.landing().minutes()) {
                return null;
            }
            steps.add(new Switching.Step(
                    new Measured(Quantity.of(at, Unit.MINUTE), ""),
                    f.at(e.minutes()).positions()));
        }
        if (steps.stream().mapToDouble(Switching.Step::minutes).distinct().count() < steps.size()) {
            return null;
        }
        FlightPlan byHand = plan.with(plan.switching().withSteps(steps).with(Switching.Mode.HAND));
        return new FlightRun(assessment, byHand, faults, fails, task, this)
                .fly(0)
                .as(plan);
    }

    private Map<String, Double> start() {
        Map<String, Double> filled = new HashMap<>(assessment.fill(Contents.FULL));
        plan.start()
                .forEach((id, m) -> filled.computeIfPresent(
                        id,
                        (k, v) -> Math.max(0, Math.min(basis.bodies().get(id).capacity(), m.si()))));
        return filled;
    }

    private Map<String, Double> keeps() {
        Map<String, Double> all = new HashMap<>();
        basis.system()
                .tanks()
                .forEach(t -> all.put(
                        t.id(),
                        t.unusable().si()
                                + assessment.project().brief().lowFuel().si()));
        return all;
    }

    private double placards() {
        return basis.system().tanks().stream()
                .mapToDouble(t -> t.unusable().si())
                .sum();
    }

    private double needs() {
        return plan.reserve() * 60 * plan.reserveShare() * demand;
    }

    private List<Map<String, Double>> floors() {
        return plan.phases().stream()
                .map(p -> {
                    Point3 up = p.attitude().gravity().up();
                    Map<String, Double> by = new HashMap<>();
                    basis.bodies()
                            .forEach((id, b) -> by.put(
                                    id,
                                    b.tank().outlets().isEmpty()
                                            ? b.capacity()
                                            : b.stranded(up, Feed.GRAVITY).volume()));
                    return by;
                })
                .toList();
    }

    private Flight fly(int first) {
        holding = Holding.of(basis.system(), start());
        double total = holding.inTanks();
        pilot = new Pilot(plan, times, choices, sides, keeps(), demand, first);
        pilot.put(pilot.start(), 0, holding);
        transfers = new Transfers(basis, plan);
        drawdown = new Drawdown(basis, holding, condition(0), ClosedAirspace.ADIABATIC);
        if (choices.size() > 1) {
            event(0, FlightEvent.Kind.SWITCH, "", pilot.now().words());
        }
        sample(new Look(drawdown, stretch(0), 0, holding, Map.of()));
        int stood = 0;
        double before = -1;
        try {
            do {
                stood = t - before < 1e-6 ? stood + 1 : 0;
                before = t;
            } while (goesOn(stood) && step() && t < LONGEST);
        } catch (org.hipparchus.exception.MathRuntimeException | IllegalArgumentException | IllegalStateException e) {
            trouble = "Not computed after " + FlightTable.clock(t) + ": " + e.getMessage();
        }
        return flown(total);
    }

    /** Whether there is no reason to end here; else that is the trouble. */
    private boolean goesOn(int stood) {
        task.progress().accept(Math.min(1, t / Math.max(1, times.ends())));
        trouble = stood > MOST_AT_ONCE
                ? FlightTable.clock(t) + ": events repeat without end; calculation stopped."
                : task.cancelled().getAsBoolean() ? "Stopped at " + FlightTable.clock(t) + "." : "";
        return trouble.isEmpty();
    }

    /** To the next thing that happens; whether the flight goes on after it. */
    private boolean step() {
        begins();
        move(t, holding);
        double before = overLeast(holding);
        transfers.at(t, holding, drawdown, (pump, words) -> event(t, FlightEvent.Kind.TRANSFER, pump, words));
        if (!leastTold && needs() > 0 && before > 0 && overLeast(holding) <= 0) {
            least(t);
        }
        Stretch stretch = stretch(t);
        if (t >= plan.landing() - 1e-9 && landed == null) {
            landed = holding;
            event(t, FlightEvent.Kind.LANDS, "", "lands");
        }
        Look look = drawdown.begin(stretch, holding);
        if (!look.delivered()) {
            return starved(look);
        }
        sample(look);
        notes(look);
        if (stretch.demand() <= 0 && t >= times.ends() - 1e-9) {
            return false; // nothing is burnt any more
        }
        Drawdown.Outcome outcome = drawdown.run(stretch, holding, watches(stretch), this::sample);
        holding = outcome.at().holding();
        t = outcome.at().minutes();
        outcome.by().ifPresent(w -> tell(w, outcome.at()));
        sample(outcome.at());
        return true;
    }

    /** Tanks that give fuel under their placard, full ones that run over, pumps that run dry; each is told once. */
    private void notes(Look look) {
        Topology topology = Topology.of(basis.system());
        basis.system()
                .all(Pump.class)
                .filter(p -> p.drive() == Pump.Drive.ELECTRIC && t < plan.landing() - 1e-9)
                .filter(p -> !look.condition().stopped().contains(p.id()))
                .filter(p -> !look.condition().faults().has(Fault.Kind.PUMP_DEAD, p.id())
                        && !look.condition().faults().supplyDead(p.bus()))
                .filter(p -> {
                    Set<String> ports = Transfers.drawsFrom(basis.system(), topology, p.id());
                    return !ports.isEmpty() && ports.stream().allMatch(drawdown::isBare);
                })
                .filter(p -> told.add("dry " + p.id()))
                .forEach(p -> event(
                        t,
                        FlightEvent.Kind.DRY,
                        p.id(),
                        p.name() + " runs dry, " + Math.round(plan.landing() - t) + " min to landing"));
        look.givingUnderPlacard(drawdown.tolerance()).stream()
                .filter(tank -> t < plan.landing() - 1e-9 && told.add("placard " + tank.id()))
                .forEach(tank ->
                        event(t, FlightEvent.Kind.BELOW_PLACARD, tank.id(), tank.name() + " below its placard"));
        look.runningOver(drawdown.tolerance()).stream()
                .filter(tank -> told.add("over " + tank.id()))
                .forEach(tank -> event(t, FlightEvent.Kind.OVERFLOWS, tank.id(), tank.name() + " overflows"));
    }

    /** A phase that begins now, and what fails now. */
    private void begins() {
        int now = times.phase(t);
        if (now != phase && t < times.ends()) {
            event(t, FlightEvent.Kind.PHASE, "", times.phases().get(now).kind().label());
        }
        phase = now;
        if (!faults.none() && fails > 0 && t >= fails - 1e-9 && told.add("fails")) {
            drawdown = new Drawdown(
                    basis,
                    holding,
                    condition(t)
                            .with(new Day(
                                    stretch(t).climbs()[0],
                                    condition(t).air().day().offStandard())),
                    ClosedAirspace.ADIABATIC);
            event(
                    t,
                    FlightEvent.Kind.FAILS,
                    faults.all().iterator().next().item(),
                    String.join(
                            ", ",
                            faults.all().stream()
                                    .map(f -> basis.system()
                                                    .item(f.item())
                                                    .map(Item::name)
                                                    .orElse(f.item()) + " "
                                            + f.kind().words())
                                    .toList()));
        }
    }

    /** Nothing arrives: another tank, or the end. */
    private boolean starved(Look look) {
        Optional<Choice> other = elsewhere(t, holding);
        boolean ends = other.isEmpty() && t >= plan.landing() - 1e-9;
        event(
                t,
                ends ? FlightEvent.Kind.ENDS : FlightEvent.Kind.STARVES,
                "",
                (ends
                                ? "fuel exhaustion: engine stops"
                                : "fuel starvation"
                                        + (pilot.now().positions().isEmpty()
                                                ? ""
                                                : " on " + pilot.now().words()))
                        + bareWords(look));
        sample(look);
        other.ifPresent(c -> {
            pilot.spent();
            sees();
            set(c, t, holding);
        });
        return other.isPresent();
    }

    /** @param total in the tanks at the start, m3 */
    private Flight flown(double total) {
        if (landed == null) {
            landed = holding;
        }
        double waiting = faults.none() ? transfers.waiting(landed, choices) : 0;
        double usable = new StillFed(basis, choices, stretch(Math.max(t, fails)), faults).usable(landed) - waiting;
        double rate = 60 * plan.reserveShare() * demand;
        events.sort(java.util.Comparator.comparingDouble(FlightEvent::minutes));
        return new Flight(
                plan,
                samples,
                events,
                new Flight.Landing(
                        plan.landing(),
                        usable,
                        needs(),
                        rate > 0 ? Math.max(0, usable) / rate : Double.POSITIVE_INFINITY,
                        waiting),
                new Flight.Balance(sides.two(), worst, worstAt, plan.limit().si()),
                new Flight.Reached(holding.burnt(), total - placards(), holding.spilt(), t),
                floors(),
                Unsaid.of(assessment.project()).demandSaid(),
                trouble);
    }

    /** What has failed shows itself: a plan made without it is given up. */
    private void sees() {
        if (replans && !faults.none() && t >= fails - 1e-9) {
            pilot.replans();
        }
    }

    /** Nothing more where an outlet stands clear; else why nothing arrives. */
    private static String bareWords(Look look) {
        boolean dry = !look.answer().usable()
                && look.levels().values().stream().anyMatch(l -> !l.uncovered().isEmpty());
        return dry ? "" : ": " + look.why();
    }

    /** Puts the handles where the rule wants them. */
    private void move(double t, Holding holding) {
        Choice want = pilot.at(t, holding);
        if (!want.equals(pilot.now()) && t > 0) {
            set(want, t, holding);
        }
    }

    private void set(Choice choice, double t, Holding holding) {
        pilot.put(choice, t, holding);
        event(t, FlightEvent.Kind.SWITCH, "", choice.words());
    }

    private Optional<Choice> elsewhere(double t, Holding holding) {
        Choice now = pilot.now();
        Stretch here = stretch(t);
        return pilot.others(holding).stream()
                .filter(c -> !c.equals(now))
                .filter(c -> {
                    Stretch there = new Stretch(
                            here.condition().withPositions(c.positions()),
                            here.demand(),
                            here.from(),
                            here.to(),
                            here.climbs());
                    return drawdown.begin(there, holding).delivered();
                })
                .findFirst();
    }

    private Condition condition(double t) {
        Phase p = times.phases().get(times.phase(t));
        Brief brief = assessment.project().brief();
        double off = p.outside()
                .map(k -> k.si() - new Day(p.altitude().si(), 0).kelvin())
                .orElse(assessment.project().heat().si(HeatFigure.HOT_DAY) - Day.STANDARD.kelvin());
        return new Condition(p.attitude(), Map.of(), pilot.now().positions(), Set.of(), stopped(p), brief.fuelKelvin())
                .with(p.power())
                .with(new Day(0, Math.max(-60, Math.min(60, off))))
                .with(t >= fails - 1e-9 ? faults : Faults.NONE);
    }

    private Set<String> stopped(Phase p) {
        Set<String> all = new HashSet<>(PumpSet.stopped(basis.system(), p));
        all.addAll(transfers.standing());
        return all;
    }

    private Stretch stretch(double t) {
        int n = times.phase(t);
        Phase p = times.phases().get(n);
        double end = t < times.ends() - 1e-9 ? times.begins(n + 1) : LONGEST;
        end = t < plan.landing() - 1e-9 ? Math.min(end, plan.landing()) : end;
        double[] climbs = t < times.ends() - 1e-9
                ? times.altitudes(n)
                : new double[] {p.altitude().si(), p.altitude().si()};
        Stretch whole = new Stretch(
                condition(t),
                p.share().si() * demand,
                times.begins(n),
                t < times.ends() - 1e-9 ? times.begins(n + 1) : LONGEST,
                climbs);
        double from = whole.day(t).altitudeM();
        end = Math.min(end, Math.min(pilot.next(t), transfers.next(t)));
        end = t < fails - 1e-9 && !faults.none() ? Math.min(end, fails) : end;
        return new Stretch(whole.condition(), whole.demand(), t, end, new double[] {
            from, whole.day(end).altitudeM()
        });
    }

    private List<Watch> watches(Stretch stretch) {
        List<Watch> all = new ArrayList<>(Watch.ofVessels(basis, stretch.from() < plan.landing() - 1e-9));
        if (stretch.demand() > 0) {
            all.add(new Watch(FlightEvent.Kind.STARVES, "", Look::spare));
        }
        all.add(new Watch(FlightEvent.Kind.DUE, "", pilot.margin()));
        all.addAll(transfers.watches());
        if (sides.two() && !overLimit) {
            all.add(new Watch(
                    FlightEvent.Kind.IMBALANCE, "", l -> plan.limit().si() - Math.abs(sides.difference(l.holding()))));
        }
        if (!leastTold && needs() > 0) {
            all.add(new Watch(FlightEvent.Kind.LEAST, "", l -> overLeast(l.holding())));
        }
        return all;
    }

    /** Over what the reserve needs, m3. */
    private double overLeast(Holding now) {
        return now.inTanks() - placards() - needs() - transfers.waiting(now, choices);
    }

    private void tell(Watch w, Look at) {
        switch (w.kind()) {
            case UNCOVERS -> {
                // a level that stands at an overflow covers and uncovers it again and again: that is told once
                if (drawdown.isBare(w.about()) && told.add(w.about())) {
                    event(at.minutes(), w.kind(), w.about(), drawdown.outlet(w.about()) + " uncovers");
                }
            }
            case IMBALANCE -> {
                overLimit = true;
                event(at.minutes(), w.kind(), "", "lateral imbalance at limit");
            }
            case LEAST -> least(at.minutes());
            case HEADER_FALLS -> event(at.minutes(), w.kind(), w.about(), drawdown.named(w.about()) + " level falling");
            case HEADER_EMPTY -> event(at.minutes(), w.kind(), w.about(), drawdown.named(w.about()) + " empty");
            case HEADER_LOW -> {
                event(at.minutes(), w.kind(), w.about(), drawdown.named(w.about()) + " low-level light on");
                sees();
            }
            default -> {
                // the loop sees for itself
            }
        }
    }

    private void least(double minutes) {
        leastTold = true;
        event(minutes, FlightEvent.Kind.LEAST, "", "down to reserve fuel");
    }

    private void event(double minutes, FlightEvent.Kind kind, String about, String words) {
        events.add(new FlightEvent(minutes, kind, about, words));
    }

    private void sample(Look look) {
        if (!samples.isEmpty() && Math.abs(samples.get(samples.size() - 1).minutes() - look.minutes()) < 1e-9) {
            samples.remove(samples.size() - 1);
        }
        samples.add(new Flight.Sample(
                look.minutes(),
                times.phase(look.minutes()),
                look.condition(),
                look.holding().burnt(),
                look.holding().inHeaders(),
                moments(look)));
        double difference = Math.abs(sides.difference(look.holding()));
        if (sides.two() && look.minutes() <= plan.landing() + 1e-9 && difference > worst) {
            worst = difference;
            worstAt = look.minutes();
        }
    }

    private Flight.Moments moments(Look look) {
        Point3 up = look.condition().attitude().gravity().up();
        double density = basis.fuel().density(look.condition().fuelKelvin());
        double mass = 0;
        double station = 0;
        double lateral = 0;
        for (Tank tank : basis.system().tanks()) {
            FuelCentroid centroid = centroids.computeIfAbsent(
                    tank.id() + up, k -> FuelCentroid.of(basis.bodies().get(tank.id()), up));
            double m = look.holding().tank(tank.id()) * density;
            Point3 at = centroid.at(look.holding().tank(tank.id()));
            mass += m;
            station += m * at.x();
            lateral += m * at.y();
        }
        return new Flight.Moments(
                mass, mass > 0 ? station / mass : Double.NaN, lateral, sides.difference(look.holding()));
    }
}
