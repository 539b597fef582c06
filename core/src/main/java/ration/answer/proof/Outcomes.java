package ration.answer.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.DeadHead;
import ration.physics.flow.FlowBasis;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Readout;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.record.project.Unsaid;
import ration.verdict.check.Finding.Wording;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** What each kind of test says, one method a kind. Limits are common practice, no source, where none is named. */
final class Outcomes {

    private static final double GRAVITY = 9.80665;
    private static final Wording NOTHING = u -> "";
    /** The nose goes this far past the steepest climb: AC 90-89, from memory; a level tells to a degree. */
    static final double PAST_CLIMB = Math.toRadians(5);

    private static final double LEVEL = Math.toRadians(1);
    /** More fuel than this over what it must feed on is another test. */
    private static final double MORE_FUEL = 1.1;

    private static final double TIGHT = Unit.PSI.toSi(0.1);
    private static final double PROOF = 1.5;

    private final FuelSystem system;
    private final Brief brief;
    private final Unsaid unsaid;
    private final Optional<FlowBasis> basis;
    private final Map<String, TankFigures> tanks;
    private Map<String, Double> byLine;

    Outcomes(Project project, Optional<FlowBasis> basis, Map<String, TankFigures> tanks) {
        this.system = project.system();
        this.brief = project.brief();
        this.unsaid = Unsaid.of(project);
        this.basis = basis;
        this.tanks = tanks;
    }

    /** Of a test with what was done so far; what is predicted where nothing was. */
    Outcome of(Wanted w, Optional<HangarTest> record) {
        Optional<Work> work = record.map(HangarTest::work);
        Work.Sheet sheet = work.filter(Work.Sheet.class::isInstance)
                .map(Work.Sheet.class::cast)
                .orElseGet(() -> Form.of(w.kind()).isPresent() ? w.begun() : null);
        return switch (w.kind()) {
            case DRAIN -> drain(w);
            case FILL -> fill(work);
            case TOP_OFF -> topOff(w, work);
            case FLOW, PUMP_FLOW -> flow(w, sheet);
            case DEAD_HEAD -> deadHead(w, sheet);
            case BENCH -> looked(sheet, "", 0, Unit.ONE, "tight, and does its work");
            case ASSEMBLY -> looked(sheet, "", 0, Unit.ONE, "every point good");
            case CLEAN -> looked(sheet, "", 0, Unit.ONE, "flushed, dry, drained clean");
            case EMPTYING ->
                Emptying.outcome(
                        system.item(w.subject()).flatMap(i -> i.only(Tank.class)),
                        basis.map(b -> b.bodies().get(w.subject())),
                        basis.map(
                                b -> brief.envelope().parkedAttitude().gravity().up()),
                        sheet);
            case REGULATOR, PRIMING, JET, RETURN, HOLD, TANK_RETURN ->
                basis.map(b -> new PumpsOn(b, brief).outcome(w, sheet))
                        .orElseGet(() -> Outcome.open(
                                NOTHING, NOTHING, u -> "not run", u -> "Cannot predict: fix the layout first."));
            case OVERNIGHT -> looked(sheet, "hours", 10, Unit.ONE, "every fitting dry, 10 h or more");
            case FIRST_RUN -> looked(sheet, "minutes", Unit.MINUTE.toSi(1), Unit.MINUTE, "every fitting dry");
            case VENTS -> looked(sheet, "", 0, Unit.ONE, "air flows through every vent");
            case DRAINS -> drains(sheet);
            case TANK_PRESSURE -> underPressure(sheet, tankPressure("pressure"), tankPressure("bladder"), "");
            case LINE_PRESSURE -> underPressure(sheet, PROOF * working(), PROOF * working(), gentler());
            case SELECTOR_OFF -> drops(sheet, 10);
            case CHECK_HOLDS -> drops(sheet, 1);
            case LEVEL_SENDER -> levelSender(w, sheet);
            case FLOW_SENDER -> flowSender(sheet);
            case GAUGE_CHECK -> gauge(sheet);
            case RUN_LOG ->
                runLog(sheet, record.map(t -> t.by().beside().photos()).orElse(List.of()));
            case HOT_RESTART -> restart(sheet);
        };
    }

    private Outcome drain(Wanted w) {
        TankFigures f = tanks.get(w.subject());
        if (f == null) {
            return Outcome.open(NOTHING, NOTHING, NOTHING, u -> "Tank outline not closed.");
        }
        Wording needs = u -> u.fineVolume(f.placard());
        Wording predicted = u -> u.fineVolume(f.predicted().volume());
        String where = f.predicted().attitude().label();
        if (f.there().isEmpty()) {
            return Outcome.open(
                    needs,
                    predicted,
                    u -> "not run",
                    u -> "Worst predicted attitude: " + where + ". Drain-test there.");
        }
        double most = f.there().get().largest();
        Verdict v = most < 1e-9 ? Verdict.HOLDS : Verdict.atLeast(f.placard(), most);
        return Outcome.measured(
                        v,
                        most < 1e-9 ? 2 : f.placard() / most,
                        Measure.atMost(most, f.placard(), Dimension.VOLUME),
                        needs,
                        predicted,
                        u -> u.fineVolume(most),
                        u -> u.fineVolume(most) + " unusable at " + where + "; placard " + u.fineVolume(f.placard())
                                + ".")
                .forecast(f.predicted().volume());
    }

    private static Outcome fill(Optional<Work> work) {
        long marks = work.map(x -> ((Work.Fill) x)
                        .points().stream().filter(p -> p.reading().isPresent()).count())
                .orElse(0L);
        if (marks < 3) {
            return Outcome.open(
                    u -> "3 marks or more",
                    NOTHING,
                    u -> work.isPresent() ? String.valueOf(marks) : "not run",
                    u -> "Make 3 or more marks at the attitude they are read in.");
        }
        return Outcome.seen(
                Verdict.HOLDS,
                "3 marks or more",
                marks + " marks",
                marks + " marks, valid at the attitude they were made at.");
    }

    private Outcome topOff(Wanted w, Optional<Work> work) {
        TankFigures f = tanks.get(w.subject());
        Optional<Work.TopOff> top =
                work.map(Work.TopOff.class::cast).filter(t -> t.metered().isPresent());
        Wording predicted = u -> f == null ? "" : u.fineVolume(f.full());
        if (top.isEmpty() || f == null) {
            return Outcome.open(NOTHING, predicted, u -> "not run", u -> "Fill through a meter.");
        }
        double all = top.get().before().si() + top.get().metered().get().si();
        double off = Math.abs(all - f.full()) / f.full();
        return Outcome.measured(
                off <= 0.02 ? Verdict.HOLDS : off <= 0.05 ? Verdict.THIN : Verdict.FAILS,
                1.05 - off,
                Measure.atMost(off, 0.05, Dimension.NUMBER),
                u -> "within 5%",
                predicted,
                u -> u.fineVolume(all),
                u -> "Metered fill " + u.fineVolume(all) + ", computed capacity " + u.fineVolume(f.full()) + ".");
    }

    private double tankPressure(String which) {
        return brief.choices().basis().figure(Subject.TANK_PRESSURE, which);
    }

    private Outcome flow(Wanted w, Work.Sheet sheet) {
        double need = brief.demand()
                * brief.factor(w.kind() == TestKind.PUMP_FLOW ? Brief.Delivery.PUMP : Brief.Delivery.GRAVITY);
        Wording atEngine = u -> u.text(need, Dimension.FLOW);
        Optional<OpenLine> line = basis.flatMap(b -> OpenLine.of(b, brief, entered(sheet)));
        if (line.isEmpty()) {
            return Outcome.open(atEngine, NOTHING, u -> "not run", u -> "Cannot predict: fix the layout first.");
        }
        OpenLine l = line.get();
        double reading = l.reading(need);
        Wording predicted = u -> u.text(l.pours(), Dimension.FLOW);
        Wording asks = u -> "Required " + atEngine.in(u) + " at minimum inlet pressure: "
                + (Double.isNaN(reading)
                        ? "none reaches the engine"
                        : u.text(reading, Dimension.FLOW) + " out of the open line")
                + " here. Test at " + degrees(wantedPitch()) + " nose-up or more, with "
                + u.fineVolume(leastFuel(sheet)) + " or less.";
        Wording needs = u -> Double.isNaN(reading) ? atEngine.in(u) : u.text(reading, Dimension.FLOW);
        List<Double> flows = sheet.full().stream()
                .map(r -> Readout.flow(sheet, r))
                .filter(q -> q > 0)
                .toList();
        if (flows.isEmpty() || Double.isNaN(reading)) {
            return Outcome.open(needs, predicted, u -> "not run", asks);
        }
        double least = flows.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double most = flows.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        Outcome found = Outcome.measured(
                        Verdict.atLeast(least, reading),
                        least / reading,
                        Measure.atLeast(least, reading, Dimension.FLOW),
                        needs,
                        predicted,
                        u -> u.text(least, Dimension.FLOW),
                        u -> "Lowest of " + flows.size()
                                + (flows.size() == 1 ? " run" : " runs, spread " + u.text(most - least, Dimension.FLOW))
                                + ", open-line " + u.text(least, Dimension.FLOW) + ", "
                                + u.text(l.atEngine(least), Dimension.FLOW)
                                + " at the engine. " + asks.in(u))
                .forecast(l.pours());
        return said(asAsked(sheet, found), unsaid.flow());
    }

    /** What it was held against must have been said by somebody. */
    private static Outcome said(Outcome found, List<String> assumed) {
        return assumed.isEmpty() ? found : found.notShown(u -> Unsaid.words(assumed));
    }

    /** A flow test is entered, or taken as it is asked. */
    private Work.Sheet entered(Work.Sheet sheet) {
        Work.Sheet s = sheet;
        if (s.figure("pitch").isEmpty()) {
            s = s.with("pitch", Measured.of(Math.toDegrees(wantedPitch()), Unit.DEGREE));
        }
        return s.figure("contents").isPresent()
                ? s
                : s.with("contents", Measured.of(Unit.GALLON.fromSi(leastFuel(s)), Unit.GALLON));
    }

    private double wantedPitch() {
        return brief.envelope().climb().si() + PAST_CLIMB;
    }

    /** The least a tank must feed on: its unusable fuel and what counts as low; of those that feed, the most. */
    private double leastFuel(Work.Sheet sheet) {
        return system.tanks().stream()
                        .filter(t -> feeds(t, sheet))
                        .mapToDouble(t -> t.unusable().si())
                        .max()
                        .orElse(0)
                + brief.lowFuel().si();
    }

    private boolean feeds(Tank tank, Work.Sheet sheet) {
        return Topology.of(system).feeding(sheet.handles().positions()).contains(tank);
    }

    /** One done with the nose lower, or on more fuel than it is asked, is kept for what it is. */
    private Outcome asAsked(Work.Sheet sheet, Outcome found) {
        OptionalDouble pitch = sheet.figure("pitch");
        OptionalDouble contents = sheet.figure("contents");
        double fuel = leastFuel(sheet);
        if (pitch.isEmpty() || pitch.getAsDouble() < wantedPitch() - LEVEL) {
            return found.notShown(u -> "Done at "
                    + pitch.stream().mapToObj(Outcomes::degrees).findFirst().orElse("no angle entered") + ", required "
                    + degrees(wantedPitch()) + ": kept as information, does not count.");
        }
        if (contents.isEmpty() || contents.getAsDouble() > MORE_FUEL * fuel) {
            return found.notShown(u -> "Done on "
                    + contents.stream().mapToObj(u::fineVolume).findFirst().orElse("an unknown amount") + ", required "
                    + u.fineVolume(fuel) + " or less: kept as information, does not count.");
        }
        return found;
    }

    private Outcome deadHead(Wanted w, Work.Sheet sheet) {
        double most = system.item(w.subject())
                .flatMap(i -> i.only(Pump.class))
                .map(Outcomes::deadHead)
                .orElse(Double.NaN);
        Optional<EngineInlet> inlet = system.inlet();
        Wording predicted = u -> Double.isNaN(most) ? "" : u.text(most, Dimension.PRESSURE);
        Wording needs =
                u -> inlet.map(i -> "minimum " + u.text(i.minimumPressure().si(), Dimension.PRESSURE)
                                + i.maximumPressure()
                                        .map(m -> ", maximum " + u.text(m.si(), Dimension.PRESSURE))
                                        .orElse(""))
                        .orElse("");
        OptionalDouble shut = sheet.figure("shut");
        boolean ran = sheet.figure("idle").isPresent() && sheet.figure("full").isPresent();
        if (shut.isEmpty() || !ran || sheet.figure("volts").isEmpty() || inlet.isEmpty()) {
            return Outcome.open(
                    needs,
                    predicted,
                    u -> shut.isEmpty() ? "not run" : u.text(shut.getAsDouble(), Dimension.PRESSURE),
                    u -> "Measure pressure at idle, at full power, and dead-headed.");
        }
        double allowed = Double.isNaN(most) ? Double.POSITIVE_INFINITY : 1.1 * most;
        double low = inlet.get().minimumPressure().si();
        double high = inlet.get().maximumPressure().map(m -> m.si()).orElse(Double.POSITIVE_INFINITY);
        boolean runs = sheet.figure("full").getAsDouble() >= low
                && sheet.figure("idle").getAsDouble() <= high;
        boolean holds = shut.getAsDouble() <= allowed;
        return said(
                Outcome.measured(
                        runs && holds ? Verdict.HOLDS : Verdict.FAILS,
                        runs && holds ? 1.5 : 0.8,
                        Measure.atMost(
                                shut.getAsDouble(),
                                Double.isInfinite(allowed) ? shut.getAsDouble() : allowed,
                                Dimension.PRESSURE),
                        needs,
                        predicted,
                        u -> u.text(shut.getAsDouble(), Dimension.PRESSURE),
                        u -> "Dead-headed "
                                + u.text(shut.getAsDouble(), Dimension.PRESSURE)
                                + (Double.isNaN(most) ? "" : ", " + u.text(most, Dimension.PRESSURE) + " by its curve")
                                + (runs ? "" : "; running pressure outside engine limits")
                                + (holds ? "." : "; more than 10% above its curve: recheck line ratings.")),
                Stream.concat(unsaid.least().stream(), unsaid.most().stream()).toList());
    }

    private static double deadHead(Pump p) {
        double curve =
                p.curve().stream().mapToDouble(c -> c.pressure().si()).max().orElse(Double.NaN);
        return p.build().relief().map(r -> Math.min(r.si(), curve)).orElse(curve);
    }

    /** The most a line sees by the highest fuel over the lowest point, Pa. */
    private double standing() {
        double top = system.tanks().stream()
                .filter(t -> t.fitout().filler().isPresent())
                .mapToDouble(t -> t.fitout().filler().get().waterLine().si())
                .max()
                .orElseGet(() -> system.tanks().stream()
                        .flatMap(t -> t.outlets().stream())
                        .mapToDouble(o -> o.place().waterLine().si())
                        .max()
                        .orElse(0));
        double low = system.inlet().map(i -> i.place().waterLine().si()).orElse(0.0);
        return Math.max(0, top - low) * brief.fuel().density(brief.fuelKelvin()) * GRAVITY;
    }

    /**
     * The most any line sees: what the pumps make against shut ends as the network has it, or the highest fuel over the
     * lowest point.
     */
    private double working() {
        return Math.max(
                standing(), byLine().values().stream().mapToDouble(p -> p).max().orElse(0));
    }

    /** What each line stands against shut ends, or under the highest fuel, Pa by its id. */
    Map<String, Double> stands() {
        Map<String, Double> by = byLine();
        double unknown = by.getOrDefault("", 0.0);
        Map<String, Double> all = new java.util.LinkedHashMap<>();
        system.runs().forEach(r -> all.put(r.id(), Math.max(standing(), by.getOrDefault(r.id(), unknown))));
        return all;
    }

    /**
     * What a line is put under that stands so much, Pa. A suction line lets air in where it would not leak fuel: no
     * line is put under less than a tank is.
     */
    double under(double stands) {
        return Math.max(tankPressure("pressure"), PROOF * stands);
    }

    /** What each line sees with every pump against a shut end, Pa by its id; nothing where it has no answer. */
    private Map<String, Double> byLine() {
        if (byLine == null) {
            byLine = deadHeads();
        }
        return byLine;
    }

    private Map<String, Double> deadHeads() {
        if (basis.isEmpty() || Topology.of(system).feedPumps().isEmpty()) {
            return Map.of();
        }
        Map<String, Double> full = new java.util.HashMap<>();
        basis.get().bodies().forEach((id, b) -> full.put(id, b.capacity()));
        Map<String, Double> all = DeadHead.of(
                basis.get(),
                Topology.positions(system).stream()
                        .map(p -> new Condition(
                                Attitude.ofDegrees("Level", 0, 0), full, p, Set.of(), Set.of(), brief.fuelKelvin()))
                        .toList());
        return all.values().stream().anyMatch(p -> p.isNaN())
                ? Map.of(
                        "",
                        Topology.of(system).feedPumps().stream()
                                .mapToDouble(Outcomes::deadHead)
                                .filter(p -> !Double.isNaN(p))
                                .sum())
                : all;
    }

    /** Which lines stand far under the rest, and so are put under less. */
    private String gentler() {
        Map<String, Double> by = byLine();
        double most = by.values().stream().mapToDouble(p -> p).max().orElse(0);
        List<String> low = system.runs().stream()
                .filter(r -> by.containsKey(r.id()) && by.get(r.id()) < most / 2)
                .map(Run::name)
                .toList();
        double there = system.runs().stream()
                .filter(r -> low.contains(r.name()))
                .mapToDouble(r -> by.get(r.id()))
                .max()
                .orElse(0);
        return low.isEmpty()
                ? ""
                : " Test separately: " + String.join(", ", low) + ", maximum "
                        + UnitSystem.US.text(Math.max(there, standing()), Dimension.PRESSURE)
                        + ", test pressure "
                        + UnitSystem.US.text(PROOF * Math.max(there, standing()), Dimension.PRESSURE) + ".";
    }

    /** Pieces looked at: the worst counts, and one not looked at leaves it open. */
    private Outcome looked(Work.Sheet sheet, String figure, double least, Unit unit, String needs) {
        Map<String, String> pieces = sheet.form().pieces(system);
        List<String> open = pieces.keySet().stream()
                .filter(p -> sheet.row(p).flatMap(Work.Row::grade).isEmpty())
                .map(pieces::get)
                .toList();
        List<Work.Row> bad = sheet.rows().stream()
                .filter(r -> pieces.containsKey(r.of())
                        && r.grade().isPresent()
                        && r.grade().get().verdict() != Verdict.HOLDS)
                .toList();
        Verdict worst = bad.stream()
                .map(r -> r.grade().get() == Grade.SMEAR
                                && !brief.practice().asks().smear()
                        ? Verdict.FAILS
                        : r.grade().get().verdict())
                .reduce(Verdict.HOLDS, Verdict::worse);
        String seen = bad.isEmpty()
                ? pieces.size() - open.size() + " of " + pieces.size() + " "
                        + sheet.form().grades().get(0).word()
                : String.join(
                                ", ",
                                bad.stream()
                                        .limit(3)
                                        .map(r -> pieces.get(r.of()) + " "
                                                + r.grade().get().word())
                                        .toList())
                        + (bad.size() > 3 ? " and " + (bad.size() - 3) + " more" : "");
        if (worst == Verdict.FAILS) {
            return Outcome.seen(Verdict.FAILS, needs, seen, seen + ".");
        }
        OptionalDouble said = figure.isEmpty() ? OptionalDouble.of(least) : sheet.figure(figure);
        if (pieces.isEmpty() || !open.isEmpty() || said.isEmpty() || said.getAsDouble() < least) {
            String left = open.isEmpty()
                    ? ""
                    : open.size() == pieces.size()
                            ? "nothing inspected yet"
                            : open.get(0) + (open.size() > 1 ? " and " + (open.size() - 1) + " more" : "")
                                    + " not inspected";
            String time = said.isEmpty() || said.getAsDouble() >= least
                    ? ""
                    : " " + UnitSystem.figure(unit.fromSi(least), 0) + (unit == Unit.ONE ? " h" : " " + unit.symbol())
                            + " or more required.";
            return Outcome.open(
                    u -> needs,
                    NOTHING,
                    u -> open.size() == pieces.size() ? "not run" : seen,
                    u -> sentence(left) + time);
        }
        if (worst == Verdict.THIN && bad.stream().anyMatch(r -> r.again().isEmpty())) {
            return Outcome.open(u -> needs, NOTHING, u -> seen, u -> seen + ": enter a recheck date.");
        }
        return Outcome.seen(
                worst,
                needs,
                seen,
                seen + (worst == Verdict.THIN ? ", recheck by " + bad.get(0).again() : "") + ".");
    }

    private static String sentence(String words) {
        return words.isEmpty() ? "" : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".";
    }

    private Outcome drains(Work.Sheet sheet) {
        Outcome found = looked(sheet, "", 0, Unit.ONE, "water removed by each drain");
        OptionalDouble pitch = sheet.figure("pitch");
        double parked = brief.envelope().parked().si();
        boolean stood = pitch.isPresent() && Math.abs(pitch.getAsDouble() - parked) <= LEVEL;
        return stood || found.verdict() != Verdict.HOLDS
                ? found
                : found.notShown(u -> "Tested at "
                        + pitch.stream().mapToObj(Outcomes::degrees).findFirst().orElse("an angle not entered")
                        + "; parked attitude is " + degrees(parked) + ".");
    }

    /** Gauge pressure at the end, brought to the temperature of the start, against the start. */
    private Outcome underPressure(Work.Sheet sheet, double need, double least, String how) {
        OptionalDouble start = sheet.figure("pressure");
        OptionalDouble end = sheet.figure("end");
        Wording needs = u -> u.text(need, Dimension.PRESSURE);
        if (start.isEmpty() || end.isEmpty() || sheet.figure("minutes").isEmpty()) {
            return Outcome.open(needs, NOTHING, u -> "not run", u -> needs.in(u) + " held, no bubbles." + how);
        }
        boolean both = sheet.figure("warm").isPresent() && sheet.figure("cool").isPresent();
        double warm = both ? sheet.figure("warm").getAsDouble() : 1;
        double cool = both ? sheet.figure("cool").getAsDouble() : 1;
        double drop = start.getAsDouble() - ((end.getAsDouble() + AMBIENT) * warm / cool - AMBIENT);
        Wording measured = u -> u.text(start.getAsDouble(), Dimension.PRESSURE);
        Wording words = u -> u.text(start.getAsDouble(), Dimension.PRESSURE) + " applied, "
                + u.text(drop, Dimension.PRESSURE) + " lost in "
                + UnitSystem.figure(Unit.MINUTE.fromSi(sheet.figure("minutes").getAsDouble()), 0) + " min"
                + (both ? ", at one temperature" : "") + ".";
        Outcome seen = looked(sheet, "", 0, Unit.ONE, "no bubbles");
        boolean bladder = start.getAsDouble() < need - 1e-6;
        Verdict v = seen.verdict() == Verdict.FAILS || drop > TIGHT
                ? Verdict.FAILS
                : bladder ? Verdict.THIN : Verdict.HOLDS;
        Outcome found = Outcome.measured(
                v,
                v == Verdict.FAILS ? 0.5 : start.getAsDouble() / need,
                Measure.atLeast(start.getAsDouble(), need, Dimension.PRESSURE),
                needs,
                NOTHING,
                measured,
                u -> words.in(u)
                        + (seen.verdict() == Verdict.FAILS ? " " + seen.words().in(u) : "")
                        + (bladder && v == Verdict.THIN ? " Enough for a bladder tank only." : ""));
        if (start.getAsDouble() < least - 1e-6) {
            return found.notShown(u -> u.text(least, Dimension.PRESSURE) + " required.");
        }
        return seen.verdict() == Verdict.NOT_SHOWN
                ? found.notShown(u -> seen.words().in(u))
                : found;
    }

    private static final double AMBIENT = 101_325;

    private static Outcome drops(Work.Sheet sheet, double minutes) {
        OptionalDouble drops = sheet.figure("drops");
        OptionalDouble watched = sheet.figure("minutes");
        String needs = "no drop in " + UnitSystem.figure(minutes, 0) + " min";
        if (drops.isEmpty() || watched.isEmpty()) {
            return Outcome.open(
                    u -> needs,
                    NOTHING,
                    u -> "not run",
                    u -> "No drops in " + (minutes > 1 ? UnitSystem.figure(minutes, 0) + " minutes." : "a minute."));
        }
        String said =
                UnitSystem.figure(drops.getAsDouble(), 0) + (drops.getAsDouble() == 1 ? " drop in " : " drops in ")
                        + UnitSystem.figure(Unit.MINUTE.fromSi(watched.getAsDouble()), 0) + " min";
        if (drops.getAsDouble() > 0) {
            return Outcome.seen(Verdict.FAILS, needs, said, said + ".");
        }
        return watched.getAsDouble() < Unit.MINUTE.toSi(minutes) - 1e-6
                ? Outcome.open(u -> needs, NOTHING, u -> said, u -> said + ": not long enough.")
                : Outcome.seen(Verdict.HOLDS, needs, "no drop", said + ".");
    }

    private Outcome levelSender(Wanted w, Work.Sheet sheet) {
        double unusable = system.item(w.subject())
                .flatMap(i -> i.only(Tank.class))
                .map(t -> t.unusable().si())
                .orElse(0.0);
        List<double[]> pairs = new ArrayList<>();
        double total = 0;
        for (Work.Row r : sheet.full()) {
            total += r.si("volume");
            pairs.add(new double[] {total, r.si("shows")});
        }
        Wording needs = u -> "zero at " + u.fineVolume(unusable);
        if (pairs.size() < 3) {
            return Outcome.open(
                    needs,
                    NOTHING,
                    u -> pairs.isEmpty() ? "not run" : pairs.size() + " pairs",
                    u -> "Make 3 or more pours, the first up to the unusable fuel.");
        }
        double way = Math.signum(pairs.get(pairs.size() - 1)[1] - pairs.get(0)[1]);
        boolean rises = way != 0;
        for (int i = 1; i < pairs.size(); i++) {
            rises &= (pairs.get(i)[1] - pairs.get(i - 1)[1]) * way > 0;
        }
        if (!rises) {
            return Outcome.seen(
                    Verdict.FAILS,
                    "one reading an amount",
                    pairs.size() + " pairs",
                    "Not monotonic: two quantities give the same reading.");
        }
        boolean zero = pairs.get(0)[0] <= unusable + Unit.GALLON.toSi(0.25);
        String at = UnitSystem.figure(shown(pairs, unusable), 2);
        return zero
                ? Outcome.seen(
                        Verdict.HOLDS,
                        "zero at the unusable fuel",
                        at + " at zero",
                        pairs.size() + " pairs, one way; zero is at a reading of " + at + ".")
                : Outcome.open(
                        needs,
                        NOTHING,
                        u -> pairs.size() + " pairs",
                        u -> "The first pour is more than " + u.fineVolume(unusable) + ", where it should read zero.");
    }

    /** What it shows with so much in, between the pairs. */
    private static double shown(List<double[]> pairs, double volume) {
        double[] first = pairs.get(0);
        for (int i = 1; i < pairs.size(); i++) {
            double[] next = pairs.get(i);
            if (volume <= next[0] || i == pairs.size() - 1) {
                return first[1] + (next[1] - first[1]) * (volume - first[0]) / (next[0] - first[0]);
            }
            first = next;
        }
        return first[1];
    }

    private static Outcome flowSender(Work.Sheet sheet) {
        List<Double> k = sheet.full().stream()
                .map(r -> r.si("pulses") / Unit.GALLON.fromSi(r.si("volume")))
                .toList();
        if (k.size() < 2) {
            return Outcome.open(
                    u -> "within 3%",
                    NOTHING,
                    u -> k.isEmpty() ? "not run" : "one run",
                    u -> "Make 2 or more runs: pulses per gallon and their spread.");
        }
        double mean = k.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        double scatter = (k.stream().mapToDouble(Double::doubleValue).max().orElseThrow()
                        - k.stream().mapToDouble(Double::doubleValue).min().orElseThrow())
                / mean;
        String figure = "K-factor " + UnitSystem.figure(mean, 0) + " pulses/gal";
        return Outcome.measured(
                scatter <= 0.015 ? Verdict.HOLDS : scatter <= 0.03 ? Verdict.THIN : Verdict.FAILS,
                1.03 - scatter + 0.02,
                Measure.atMost(scatter, 0.03, Dimension.NUMBER),
                u -> "within 3%",
                NOTHING,
                u -> figure,
                u -> figure + ", " + k.size() + " runs, spread " + UnitSystem.figure(100 * scatter, 1) + "%.");
    }

    private Outcome gauge(Work.Sheet sheet) {
        double weight = brief.fuel().density(sheet.figure("fuel").orElse(288.15)) * GRAVITY;
        List<Work.Row> rows = sheet.full();
        Wording needs = u -> "within " + u.text(TIGHT, Dimension.PRESSURE);
        if (rows.size() < 2) {
            return Outcome.open(
                    needs,
                    NOTHING,
                    u -> rows.isEmpty() ? "not run" : "one height",
                    u -> "Use 2 or more heights, the first at zero.");
        }
        Work.Row worst = rows.stream()
                .max(java.util.Comparator.comparingDouble(r -> Math.abs(r.si("shows") - r.si("height") * weight)))
                .orElseThrow();
        double off = Math.abs(worst.si("shows") - worst.si("height") * weight);
        Verdict v = off <= TIGHT ? Verdict.HOLDS : off <= 2 * TIGHT ? Verdict.THIN : Verdict.FAILS;
        return Outcome.measured(
                v,
                v == Verdict.HOLDS ? 1.5 : v == Verdict.THIN ? 1.02 : 0.5,
                Measure.atMost(off, 2 * TIGHT, Dimension.PRESSURE),
                needs,
                u -> u.text(worst.si("height") * weight, Dimension.PRESSURE),
                u -> u.text(worst.si("shows"), Dimension.PRESSURE),
                u -> "Worst: reads " + u.text(worst.si("shows"), Dimension.PRESSURE) + " where "
                        + u.text(worst.si("height"), Dimension.LENGTH) + " of fuel gives "
                        + u.text(worst.si("height") * weight, Dimension.PRESSURE) + ".");
    }

    private static Outcome runLog(Work.Sheet sheet, List<HangarTest.Photo> beside) {
        OptionalDouble soak = sheet.figure("soak");
        if (soak.isEmpty() || sheet.figure("air").isEmpty()) {
            return Outcome.open(
                    u -> "15 min of soak", NOTHING, u -> "not run", u -> "Idle, run-up, climb power, 15 min of soak.");
        }
        String said = UnitSystem.figure(Unit.MINUTE.fromSi(soak.getAsDouble()), 0) + " min of soak";
        if (beside.isEmpty()) {
            return Outcome.open(
                    u -> "15 min of soak", NOTHING, u -> said, u -> said + ": attach the log file; it is the record.");
        }
        return soak.getAsDouble() < Unit.MINUTE.toSi(15)
                ? Outcome.open(u -> "15 min of soak", NOTHING, u -> said, u -> said + ": 15 min required.")
                : Outcome.seen(
                        Verdict.HOLDS,
                        "15 min of soak",
                        said,
                        said + ", " + beside.get(0).file() + ". Overlay it on Vapor to see the margin.");
    }

    private Outcome restart(Work.Sheet sheet) {
        Optional<Grade> grade = sheet.row("start").flatMap(Work.Row::grade);
        OptionalDouble seconds = sheet.figure("seconds");
        if (grade.isEmpty() || seconds.isEmpty() || sheet.figure("soak").isEmpty()) {
            return Outcome.open(u -> "starts in 30 s", NOTHING, u -> "not run", u -> "At peak heat soak.");
        }
        double s = seconds.getAsDouble();
        Verdict v = grade.get() != Grade.STARTED || s > 30 ? Verdict.FAILS : s > 10 ? Verdict.THIN : Verdict.HOLDS;
        String said = grade.get().word() + ", " + UnitSystem.figure(s, 0) + " s cranked, "
                + UnitSystem.figure(Unit.MINUTE.fromSi(sheet.figure("soak").getAsDouble()), 0) + " min after shutdown";
        return Outcome.seen(v, "starts in 30 s", said, sentence(said));
    }

    private static String degrees(double rad) {
        return UnitSystem.figure(Math.toDegrees(rad), 1).replaceAll("\\.0$", "") + "\u00b0";
    }
}
