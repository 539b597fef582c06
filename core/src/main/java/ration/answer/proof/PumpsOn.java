package ration.answer.proof;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Power;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.VentPath;
import ration.physics.breathing.Vents;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.HeldPressure;
import ration.record.evidence.Grade;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Brief;
import ration.verdict.check.Finding.Wording;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;

/**
 * What tests with the pumps on say: each is predicted by the network in the condition of the test, level, at the
 * contents entered or half full. Limits are common practice, no source.
 */
final class PumpsOn {

    /** A regulator holds within 3 of 43 psi. */
    static final double BAND = 3.0 / 43;
    /** With its reference hose off at idle it rises by 10 inHg at least, the least an engine draws; from memory. */
    private static final double DEPRESSION = Unit.INCH_OF_MERCURY.toSi(10);

    /** Half of the pressure is still there after so long, s. */
    private static final double HELD = 300;

    private static final double HALF = 0.5;
    /** A line that takes longer to fill than so many times what is computed draws air; half as much more is thin. */
    private static final double SLOW = 1.5;

    private static final double TOO_SLOW = 3;
    /** Less than this is no change of a level that anybody is sure to see, m3. */
    private static final double SEEN = Unit.GALLON.toSi(0.1);

    private static final double USUAL_RUN = 600;
    private static final double SHORTEST_RUN = 300;
    /** How long a key gives the pump, s; from memory, confidence middling. */
    private static final double KEY_ON = 2.5;
    /** What an engine that does not run still takes, so that the network has an answer, m3/s. */
    private static final double SEEPS = 1e-9;

    private static final Wording NOTHING = u -> "";

    private final FlowBasis basis;
    private final FuelSystem system;
    private final Brief brief;
    private final Faults failed;

    PumpsOn(FlowBasis basis, Brief brief) {
        this(basis, brief, Faults.NONE);
    }

    /** @param failed in the aircraft that is played; a test is judged by the sound one */
    PumpsOn(FlowBasis basis, Brief brief, Faults failed) {
        this.failed = failed;
        this.basis = basis;
        this.system = basis.system();
        this.brief = brief;
    }

    Outcome outcome(Wanted w, Work.Sheet sheet) {
        return switch (w.kind()) {
            case REGULATOR -> regulator(system.item(w.subject()).flatMap(i -> i.only(Regulator.class)), sheet);
            case PRIMING -> priming(w.subject(), sheet);
            case JET -> jet(system.item(w.subject()).flatMap(i -> i.only(JetPump.class)), sheet);
            case RETURN -> returned(w.handles().positions(), sheet);
            case HOLD -> hold(sheet);
            case TANK_RETURN -> tank(system.item(w.subject()).flatMap(i -> i.only(Tank.class)), sheet);
            default -> throw new IllegalArgumentException(w.kind() + " is not done with the pumps on");
        };
    }

    // what the network says

    /** Level, with the handles so; every tank holds as much as was entered, or half. */
    private Condition standing(Map<String, String> positions, Set<String> stopped, Work.Sheet sheet) {
        Map<String, Double> filled = new LinkedHashMap<>();
        basis.bodies()
                .forEach((id, body) -> filled.put(
                        id, Math.min(sheet.figure("contents").orElse(HALF * body.capacity()), body.capacity())));
        return new Condition(
                        Attitude.ofDegrees("Level", 0, 0),
                        filled,
                        positions,
                        Set.of(),
                        stopped,
                        sheet.figure("fuel").orElse(brief.fuelKelvin()))
                .with(failed);
    }

    private Map<String, String> first() {
        return Topology.positions(system).stream().findFirst().orElse(Map.of());
    }

    /** What does not turn while the engine stands. */
    private Set<String> driven() {
        return system.all(Pump.class)
                .filter(p -> p.drive() == Pump.Drive.ENGINE)
                .map(Pump::id)
                .collect(Collectors.toSet());
    }

    /** With the engine off and every electric pump on. */
    FlowAnswer engineOff(Map<String, String> positions, Work.Sheet sheet) {
        return basis.ask(standing(positions, driven(), sheet), new FlowQuestion.Demand(SEEPS));
    }

    /** With the engine running, as much as it burns then, every pump on. */
    FlowAnswer running(Power power, Work.Sheet sheet) {
        return basis.ask(
                standing(first(), Set.of(), sheet).with(power),
                new FlowQuestion.Demand(brief.demand() * power.demandShare()));
    }

    /** On the side a regulator holds, Pa gauge. */
    static OptionalDouble held(FlowAnswer a, Regulator r) {
        return a.usable()
                ? a.pressure(new PortRef(r.id(), r.style() == Regulator.Style.BYPASS ? Item.IN : Item.OUT))
                : OptionalDouble.empty();
    }

    /** Into a tank, m3/s; negative where it gives. */
    private static double into(FlowAnswer a, Tank t) {
        return -a.outflow(t);
    }

    /** Liquid that fills the way from tank to engine, m3, and the flow that fills it, m3/s. */
    record Filling(double volume, double flow) {
        double seconds() {
            return flow > FlowAnswer.NO_FLOW ? volume / flow : Double.NaN;
        }
    }

    /** Of a pump by itself: the lines of the way it feeds through, at the flow out of an open end. */
    Optional<Filling> filling(String pump, Work.Sheet sheet) {
        Set<String> others = Topology.of(system).feedPumps().stream()
                .map(Pump::id)
                .filter(id -> !id.equals(pump))
                .collect(Collectors.toSet());
        FlowAnswer a = basis.ask(standing(first(), others, sheet), new FlowQuestion.OpenLine());
        if (!a.usable()) {
            return Optional.empty();
        }
        double volume = a.path().stream()
                .map(s -> system.item(s.item()).flatMap(i -> i.only(Run.class)))
                .flatMap(Optional::stream)
                .mapToDouble(r -> r.size().area() * a.pipe(r).length())
                .sum();
        return Optional.of(new Filling(volume, a.inletFlow()));
    }

    /** How fast each tank gains, m3/s; empty where the network has no answer. */
    Map<String, Double> gains(Map<String, String> positions, Work.Sheet sheet) {
        FlowAnswer a = engineOff(positions, sheet);
        Map<String, Double> all = new LinkedHashMap<>();
        if (a.usable()) {
            system.tanks().forEach(t -> all.put(t.id(), into(a, t)));
        }
        return all;
    }

    /** What is seen of a level after so long. */
    private static Grade level(double gain, double seconds) {
        return Math.abs(gain) < FlowAnswer.NO_FLOW || Math.abs(gain) * seconds < SEEN
                ? Grade.STAYS
                : gain > 0 ? Grade.RISES : Grade.FALLS;
    }

    /** What a tank stands over the air outside while most comes back to it, Pa; empty where that is not known. */
    OptionalDouble over(Tank tank, Work.Sheet sheet) {
        VentPath way = VentPath.of(system, tank);
        if (!way.open() || way.lines().size() < way.legs().size()) {
            return OptionalDouble.empty();
        }
        double most = 0;
        for (Map<String, String> p : Topology.positions(system)) {
            FlowAnswer a = engineOff(p, sheet);
            if (!a.usable()) {
                return OptionalDouble.empty();
            }
            most = Math.max(most, into(a, tank));
        }
        double q = most;
        return OptionalDouble.of(
                way.lines().stream().mapToDouble(v -> AirLine.of(v).drop(q)).sum());
    }

    /** With the reference hose of a regulator off. */
    private PumpsOn unreferenced(Regulator r) {
        Set<Fault> all = new HashSet<>(failed.all());
        all.add(new Fault(Fault.Kind.REFERENCE_OFF, r.id()));
        return new PumpsOn(basis, brief, new Faults(all));
    }

    /**
     * What each figure of a test's form would read, SI, by its key; what the network has no answer for is not there. A
     * jet is told by what it draws, m3/s, and each tank by what it gains, m3/s, by its id.
     */
    Map<String, Double> plays(TestKind kind, String subject, Work.Sheet sheet) {
        Map<String, Double> all = new LinkedHashMap<>();
        Optional<Item> item = system.item(subject);
        switch (kind) {
            case REGULATOR ->
                item.flatMap(i -> i.only(Regulator.class)).ifPresent(r -> {
                    held(engineOff(first(), sheet), r).ifPresent(p -> all.put("creep", p));
                    held(running(Power.IDLE, sheet), r).ifPresent(p -> all.put("idle", p));
                    held(running(Power.TAKE_OFF, sheet), r).ifPresent(p -> all.put("full", p));
                    if (r.reference() == Regulator.Reference.MANIFOLD) {
                        held(unreferenced(r).running(Power.IDLE, sheet), r).ifPresent(p -> all.put("off", p));
                    }
                });
            case PRIMING ->
                filling(subject, sheet)
                        .filter(f -> !Double.isNaN(f.seconds()))
                        .ifPresent(f -> all.put("seconds", f.seconds()));
            case JET ->
                item.flatMap(i -> i.only(JetPump.class))
                        .ifPresent(j -> draws(j, sheet).ifPresent(q -> all.put("can", q)));
            case RETURN -> all.putAll(gains(sheet.handles().positions(), sheet));
            case HOLD ->
                system.inlet()
                        .map(i -> engineOff(first(), sheet).pressure(new PortRef(i.id(), Item.IN)))
                        .filter(OptionalDouble::isPresent)
                        .ifPresent(p -> {
                            all.put("start", p.getAsDouble());
                            all.put("end", leaksBack() ? 0 : p.getAsDouble());
                        });
            case TANK_RETURN ->
                item.flatMap(i -> i.only(Tank.class))
                        .ifPresent(t -> over(t, sheet).ifPresent(p -> all.put("pressure", p)));
            default -> {
                // not done with the pumps on
            }
        }
        return all;
    }

    /** Whether a check that keeps the pressure in is stuck open. */
    private boolean leaksBack() {
        return failed.all().stream().anyMatch(f -> f.kind() == Fault.Kind.CHECK_STUCK_OPEN);
    }

    /** What a jet draws with the engine off, m3/s. */
    private OptionalDouble draws(JetPump jet, Work.Sheet sheet) {
        FlowAnswer a = engineOff(first(), sheet);
        return system.runAt(new PortRef(jet.id(), JetPump.SUCTION))
                .filter(run -> a.usable())
                .map(run -> OptionalDouble.of(Math.abs(a.flow(run.id()))))
                .orElse(OptionalDouble.empty());
    }

    // what was read

    private Outcome regulator(Optional<Regulator> of, Work.Sheet sheet) {
        if (of.isEmpty()) {
            return Outcome.open(NOTHING, NOTHING, NOTHING, u -> "Not in the layout.");
        }
        Regulator r = of.get();
        boolean refers = r.reference() == Regulator.Reference.MANIFOLD;
        double setting = r.setting().si();
        double band = BAND * setting;
        Wording needs = u -> u.text(setting, Dimension.PRESSURE) + " \u00b1 " + u.text(band, Dimension.PRESSURE);
        OptionalDouble idles = held(running(Power.IDLE, sheet), r);
        OptionalDouble pulls = held(running(Power.TAKE_OFF, sheet), r);
        Wording predicted =
                u -> pulls.stream().mapToObj(p -> u.text(p, Dimension.PRESSURE)).collect(Collectors.joining());
        Wording asks = u -> "Read at idle, at full power, and pumps on, engine off."
                + idles.stream()
                        .mapToObj(p -> " Computed at idle " + u.text(p, Dimension.PRESSURE) + ".")
                        .collect(Collectors.joining());
        OptionalDouble idle = sheet.figure("idle");
        OptionalDouble full = sheet.figure("full");
        OptionalDouble off = sheet.figure("off");
        OptionalDouble creep = sheet.figure("creep");
        if (idle.isEmpty() || full.isEmpty() || creep.isEmpty()) {
            return Outcome.open(needs, predicted, u -> "not run", asks);
        }
        if (refers && off.isEmpty()) {
            return Outcome.open(
                    needs,
                    predicted,
                    u -> u.text(full.getAsDouble(), Dimension.PRESSURE),
                    u -> "Read at idle with the reference hose off too: it rises by the manifold depression.");
        }
        // over its reference: the manifold is the air outside at full power and with the hose off
        List<Double> over = new ArrayList<>(List.of(full.getAsDouble(), creep.getAsDouble()));
        over.add(refers ? off.getAsDouble() : idle.getAsDouble());
        double worst =
                over.stream().mapToDouble(p -> Math.abs(p - setting)).max().orElseThrow();
        double rises = refers ? off.getAsDouble() - idle.getAsDouble() : Double.POSITIVE_INFINITY;
        boolean follows = rises >= DEPRESSION / 2;
        Verdict v = worst > 2 * band || !follows
                ? Verdict.FAILS
                : worst > band || rises < DEPRESSION ? Verdict.THIN : Verdict.HOLDS;
        boolean injected =
                system.inlet().filter(i -> i.style() == EngineInlet.Style.RAIL).isPresent();
        boolean creeps = creep.getAsDouble() > full.getAsDouble() + 2 * band;
        return Outcome.measured(
                v,
                v == Verdict.FAILS ? Math.min(0.99, 2 * band / Math.max(worst, 1e-9)) : v == Verdict.THIN ? 1.05 : 1.5,
                Measure.atMost(worst, 2 * band, Dimension.PRESSURE),
                needs,
                predicted,
                u -> u.text(full.getAsDouble(), Dimension.PRESSURE),
                u -> "Idle " + u.text(idle.getAsDouble(), Dimension.PRESSURE) + ", full power "
                        + u.text(full.getAsDouble(), Dimension.PRESSURE) + ", engine off "
                        + u.text(creep.getAsDouble(), Dimension.PRESSURE)
                        + (off.isPresent()
                                ? ", reference hose off " + u.text(off.getAsDouble(), Dimension.PRESSURE)
                                : "")
                        + "; off its setting by up to " + u.text(worst, Dimension.PRESSURE) + "."
                        + (injected
                                ? " Injectors flow " + UnitSystem.figure(injectors(full.getAsDouble(), setting), 3)
                                        + "\u00d7 at full power."
                                : "")
                        + (creeps ? " It creeps up with no flow: leaking seat." : "")
                        + (follows
                                ? ""
                                : " It hardly rises with the reference hose off: reference blocked or leaking."));
    }

    /**
     * What an injector passes at a rail pressure over the manifold, over what it passes at the pressure it was set for;
     * orifice law.
     */
    static double injectors(double over, double setting) {
        return Math.sqrt(Math.max(0, over) / setting);
    }

    private Outcome priming(String pump, Work.Sheet sheet) {
        Optional<Filling> fills = filling(pump, sheet).filter(f -> !Double.isNaN(f.seconds()));
        Wording predicted = u -> fills.map(f -> seconds(f.seconds())).orElse("");
        Wording needs = u ->
                fills.map(f -> "maximum " + seconds(TOO_SLOW * f.seconds())).orElse("");
        OptionalDouble took = sheet.figure("seconds");
        if (took.isEmpty() || fills.isEmpty()) {
            return Outcome.open(
                    needs,
                    predicted,
                    u -> took.isEmpty() ? "not run" : seconds(took.getAsDouble()),
                    u -> fills.isEmpty()
                            ? "Cannot predict: this pump brings nothing to the engine by itself."
                            : u.fineVolume(fills.get().volume()) + " fills the lines at "
                                    + u.text(fills.get().flow(), Dimension.FLOW) + ": "
                                    + seconds(fills.get().seconds())
                                    + ".");
        }
        double t = took.getAsDouble();
        double computed = fills.get().seconds();
        Verdict v = t <= SLOW * computed ? Verdict.HOLDS : t <= TOO_SLOW * computed ? Verdict.THIN : Verdict.FAILS;
        long keys = (long) Math.ceil(t / KEY_ON);
        return Outcome.measured(
                v,
                v == Verdict.HOLDS ? 1.5 : v == Verdict.THIN ? 1.05 : TOO_SLOW * computed / t,
                Measure.atMost(t / computed, TOO_SLOW, Dimension.NUMBER),
                needs,
                predicted,
                u -> seconds(t),
                u -> "Steady after " + seconds(t) + ", computed " + seconds(computed) + ". Key on " + keys
                        + (keys == 1 ? " time" : " times") + " at 2.5 s each."
                        + (v == Verdict.FAILS ? " Suspect air drawn in, or a check valve that leaks back." : ""));
    }

    private Outcome jet(Optional<JetPump> of, Work.Sheet sheet) {
        double need = brief.demand();
        Wording needs = u -> u.text(need, Dimension.FLOW);
        OptionalDouble draws = of.map(j -> draws(j, sheet)).orElse(OptionalDouble.empty());
        Wording predicted =
                u -> draws.stream().mapToObj(q -> u.text(q, Dimension.FLOW)).collect(Collectors.joining());
        List<Double> flows =
                sheet.full().stream().map(r -> r.si("volume") / r.si("time")).toList();
        if (flows.isEmpty() || sheet.figure("contents").isEmpty()) {
            return Outcome.open(
                    needs, predicted, u -> "not run", u -> "Required: takeoff demand or more, " + needs.in(u) + ".");
        }
        double least = flows.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        return Outcome.measured(
                Verdict.atLeast(least, need),
                least / need,
                Measure.atLeast(least, need, Dimension.FLOW),
                needs,
                predicted,
                u -> u.text(least, Dimension.FLOW),
                u -> "Lowest of " + flows.size() + (flows.size() == 1 ? " run, " : " runs, ")
                        + u.text(least, Dimension.FLOW) + "; takeoff demand " + needs.in(u) + ".");
    }

    private Outcome returned(Map<String, String> positions, Work.Sheet sheet) {
        Map<String, Double> gains = gains(positions, sheet);
        if (gains.isEmpty()) {
            return Outcome.open(NOTHING, NOTHING, u -> "not run", u -> "Cannot predict: no flow in this position.");
        }
        double seconds = sheet.figure("minutes").orElse(USUAL_RUN);
        Map<String, Grade> expected = new LinkedHashMap<>();
        gains.forEach((id, q) -> expected.put(id, level(q, seconds)));
        Map<String, Grade> seen = new LinkedHashMap<>();
        sheet.rows().forEach(r -> r.grade().filter(Grade.LEVEL::contains).ifPresent(g -> seen.put(r.of(), g)));
        seen.keySet().retainAll(expected.keySet());
        // a change too small to be sure of may be seen, if it goes the right way
        List<String> wrong = seen.entrySet().stream()
                .filter(e -> e.getValue() != expected.get(e.getKey())
                        && (expected.get(e.getKey()) != Grade.STAYS
                                || e.getValue() != level(gains.get(e.getKey()), Double.POSITIVE_INFINITY)))
                .map(e -> name(e.getKey()) + " " + e.getValue().word() + ", computed: "
                        + expected.get(e.getKey()).word())
                .toList();
        String needs = said(expected);
        if (!wrong.isEmpty()) {
            return Outcome.seen(Verdict.FAILS, needs, said(seen), String.join("; ", wrong) + ".");
        }
        List<String> open = expected.keySet().stream()
                .filter(id -> !seen.containsKey(id))
                .map(this::name)
                .toList();
        if (!open.isEmpty() || sheet.figure("minutes").isEmpty()) {
            return Outcome.open(
                    u -> needs,
                    NOTHING,
                    u -> seen.isEmpty() ? "not run" : said(seen),
                    u -> open.isEmpty()
                            ? "Enter how long the pumps ran."
                            : "Computed: " + needs + ". Level not recorded: " + String.join(", ", open) + ".");
        }
        if (seconds < SHORTEST_RUN) {
            return Outcome.open(
                    u -> needs, NOTHING, u -> said(seen), u -> "Too short to see a level: 5 min or more required.");
        }
        return Outcome.seen(Verdict.HOLDS, needs, said(seen), "Every level as computed: " + needs + ".");
    }

    private String said(Map<String, Grade> levels) {
        return levels.entrySet().stream()
                .map(e -> name(e.getKey()) + " " + e.getValue().word())
                .collect(Collectors.joining(", "));
    }

    private String name(String id) {
        return system.item(id).map(Item::name).orElse(id);
    }

    private Outcome hold(Work.Sheet sheet) {
        String needs = "half or more after 5 min";
        List<String> open = Stream.concat(system.all(Orifice.class), system.all(JetPump.class))
                .map(Item::name)
                .toList();
        OptionalDouble start = sheet.figure("start");
        OptionalDouble end = sheet.figure("end");
        OptionalDouble watched = sheet.figure("minutes");
        if (start.isEmpty() || end.isEmpty() || watched.isEmpty() || !(start.getAsDouble() > 0)) {
            return Outcome.open(u -> needs, NOTHING, u -> "not run", u -> "Read at shutoff and 5 min later or more.");
        }
        double t = watched.getAsDouble();
        double share = Math.max(0, end.getAsDouble() / start.getAsDouble());
        Wording measured = u -> u.text(end.getAsDouble(), Dimension.PRESSURE);
        Wording words = u -> u.text(start.getAsDouble(), Dimension.PRESSURE) + " at shutoff, "
                + u.text(end.getAsDouble(), Dimension.PRESSURE) + " after "
                + UnitSystem.figure(Unit.MINUTE.fromSi(t), 0) + " min.";
        if (!open.isEmpty()) {
            return Outcome.open(
                    u -> needs,
                    NOTHING,
                    measured,
                    u -> words.in(u) + " Through " + String.join(", ", open) + " alone half is gone in about "
                            + UnitSystem.figure(bledSeconds(start.getAsDouble()), 1)
                            + " s (estimate: the line gives 0.05 mL/psi), so this says nothing of check valves.");
        }
        if (t < HELD && share >= HALF) {
            return Outcome.open(u -> needs, NOTHING, measured, u -> words.in(u) + " Not long enough.");
        }
        // what was watched longer is brought back to five minutes as a leak that goes with the pressure
        double then = t <= HELD ? share : Math.pow(share, HELD / t);
        return Outcome.measured(
                then >= HALF ? Verdict.HOLDS : Verdict.FAILS,
                then >= HALF ? 1.5 : then / HALF,
                Measure.atLeast(then, HALF, Dimension.NUMBER),
                u -> needs,
                NOTHING,
                measured,
                u -> words.in(u) + (then >= HALF ? "" : " A check valve leaks back, or fuel leaks out."));
    }

    /** Until half the pressure has gone through what is always open, s. */
    private double bledSeconds(double from) {
        double opening = system.all(Orifice.class)
                        .mapToDouble(
                                o -> o.dischargeCoefficient() * area(o.bore().si()))
                        .sum()
                + system.all(JetPump.class)
                        .mapToDouble(
                                j -> JetPump.NOZZLE_DISCHARGE * area(j.nozzle().si()))
                        .sum();
        return HeldPressure.seconds(
                HeldPressure.GIVES, from, HALF * from, opening, basis.fuel().density(brief.fuelKelvin()));
    }

    private static double area(double bore) {
        return Math.PI * bore * bore / 4;
    }

    private Outcome tank(Optional<Tank> of, Work.Sheet sheet) {
        OptionalDouble computed = of.map(t -> over(t, sheet)).orElse(OptionalDouble.empty());
        Wording needs = u -> "maximum " + u.small(Vents.MOST_DROP);
        Wording predicted = u -> computed.stream().mapToObj(u::small).collect(Collectors.joining());
        OptionalDouble read = sheet.figure("pressure");
        if (read.isEmpty()) {
            return Outcome.open(
                    needs,
                    predicted,
                    u -> "not run",
                    u -> computed.isEmpty()
                            ? "Vent bore and length not entered: no prediction."
                            : "Computed " + predicted.in(u) + ".");
        }
        double p = Math.abs(read.getAsDouble());
        return Outcome.measured(
                Verdict.atLeast(Vents.MOST_DROP, Math.max(p, 1e-9)),
                Vents.MOST_DROP / Math.max(p, 1e-9),
                Measure.atMost(p, Vents.MOST_DROP, Dimension.PRESSURE),
                needs,
                predicted,
                u -> u.small(read.getAsDouble()),
                u -> u.small(read.getAsDouble()) + " over outside air; " + needs.in(u)
                        + (computed.isEmpty() ? "" : "; computed " + predicted.in(u)) + ".");
    }

    private static String seconds(double s) {
        return UnitSystem.figure(s, s < 10 ? 1 : 0) + " s";
    }
}
