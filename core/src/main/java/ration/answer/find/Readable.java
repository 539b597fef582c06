package ration.answer.find;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.answer.assess.PumpSet;
import ration.base.quantity.Unit;
import ration.record.reading.Reading;
import ration.record.reading.Setting;
import ration.record.reading.Setting.Manoeuvre;

/** What can be read on an aircraft, how that is said, what work it is and what it asks caution for. */
final class Readable {

    private static final double PSI = Unit.PSI.toSi(0.3);
    /** Of a column of fuel in clear tube, or a vacuum gauge, Pa. */
    private static final double COLUMN = Unit.PSI.toSi(0.03);

    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(0.5);

    private final FuelSystem system;

    Readable(FuelSystem system) {
        this.system = system;
    }

    /** All that can be read from a case on; parts are looked at for drips that a suspect fault would make drip. */
    List<Reading> now(Condition now, List<Fault> suspects) {
        List<Reading> all = new ArrayList<>();
        for (Setting s : settings(now)) {
            all.addAll(
                    s.manoeuvres().isEmpty() || s.has(Manoeuvre.HOT) || s.has(Manoeuvre.OVERNIGHT)
                            ? readable(s, suspects)
                            : gauges(s));
        }
        return all;
    }

    /** As set, on every other handle, with each set of pumps, and what can be done beside. */
    private List<Setting> settings(Condition now) {
        List<Setting> all = new ArrayList<>(List.of(new Setting(now)));
        Topology.positions(system).stream()
                .filter(p -> !p.equals(now.positions()))
                .forEach(p -> all.add(new Setting(now.withPositions(p))));
        PumpSet.of(system).stream()
                .filter(p -> !p.stopped().equals(now.stopped()))
                .forEach(p -> all.add(new Setting(now.withStopped(p.stopped()))));
        if (system.runs().stream().anyMatch(Topology.of(system)::returns)) {
            all.add(new Setting(now).with(Manoeuvre.RETURN_PINCHED));
            all.add(new Setting(now).with(Manoeuvre.RETURN_PINCHED).with(Manoeuvre.ENGINE_STOPPED));
        }
        if (system.all(Regulator.class).anyMatch(r -> r.reference() == Regulator.Reference.MANIFOLD)) {
            all.add(new Setting(now.with(Power.IDLE)));
            all.add(new Setting(now.with(Power.IDLE)).with(Manoeuvre.REFERENCE_OFF));
        }
        all.add(new Setting(now).with(Manoeuvre.CAP_LOOSENED));
        all.add(new Setting(now).with(Manoeuvre.HOT));
        all.add(new Setting(now).with(Manoeuvre.OVERNIGHT).with(Manoeuvre.ENGINE_STOPPED));
        all.add(new Setting(now).with(Manoeuvre.LINE_OPEN));
        return all;
    }

    /** Whether a pump draws through a part. */
    private boolean drawn(String item) {
        return Topology.of(system).downstream(item).stream()
                .map(system::item)
                .flatMap(java.util.Optional::stream)
                .anyMatch(i -> i.only(Pump.class).isPresent());
    }

    private List<Reading> gauges(Setting s) {
        String inlet = system.inlet().orElseThrow().id();
        if (s.has(Manoeuvre.LINE_OPEN)) {
            return List.of(new Reading(inlet, Reading.What.FLOW, 0, GPH, s));
        }
        if (s.has(Manoeuvre.CAP_LOOSENED)) {
            return List.of(new Reading(inlet, Reading.What.MINUTES, 0, 1, s));
        }
        List<Reading> all = new ArrayList<>(List.of(new Reading(inlet, Reading.What.PRESSURE, 0, PSI, s)));
        system.items().stream()
                .filter(i -> i.only(Pump.class).isPresent()
                        || i.only(Strainer.class).isPresent()
                        || i.only(Filter.class).isPresent())
                .forEach(i -> {
                    boolean screen = i.only(Pump.class).isEmpty();
                    // a column of fuel or a vacuum gauge tells on the suction side what a pressure gauge does not
                    double error = screen && drawn(i.id()) ? COLUMN : PSI;
                    all.add(new Reading(i.id() + ".out", Reading.What.PRESSURE, 0, error, s));
                    if (screen && s.manoeuvres().isEmpty()) {
                        all.add(new Reading(i.id() + ".in", Reading.What.PRESSURE, 0, error, s));
                    }
                });
        system.all(GaugePort.class)
                .filter(g -> g.shows() != GaugePort.Shows.TEMPERATURE)
                .forEach(g -> all.add(new Reading(g.id(), Reading.What.PRESSURE, 0, PSI, s)));
        system.all(FlowSender.class).forEach(f -> all.add(new Reading(f.id(), Reading.What.FLOW, 0, GPH, s)));
        if (s.manoeuvres().isEmpty()) {
            all.add(new Reading(inlet, Reading.What.MINUTES, 0, 1, s));
        }
        return all;
    }

    /** Gauges, and what else is read or seen with nothing opened; as things stand, hot, or after a night. */
    private List<Reading> readable(Setting s, List<Fault> suspects) {
        List<Reading> all = new ArrayList<>();
        suspects.stream()
                .filter(f -> f.kind() == Fault.Kind.FUEL_LEAK || f.kind() == Fault.Kind.NEEDLE_STUCK_OPEN)
                .map(Fault::item)
                .distinct()
                .limit(6)
                .forEach(id -> all.add(Reading.sign(id, Reading.What.DRIPS, true, s)));
        if (s.has(Manoeuvre.OVERNIGHT)) {
            return all;
        }
        String inlet = system.inlet().orElseThrow().id();
        all.add(Reading.sign(inlet, Reading.What.FLUTTERS, true, s));
        if (s.has(Manoeuvre.HOT)) {
            all.add(new Reading(inlet, Reading.What.PRESSURE, 0, PSI, s));
            system.all(GaugePort.class)
                    .filter(g -> g.shows() == GaugePort.Shows.TEMPERATURE)
                    .forEach(g -> all.add(new Reading(g.id(), Reading.What.TEMPERATURE, 0, 1.5, s)));
            return all;
        }
        all.addAll(gauges(s));
        system.all(Pump.class)
                .filter(p -> p.drive() == Pump.Drive.ELECTRIC
                        && !s.condition().stopped().contains(p.id()))
                .forEach(p -> {
                    all.add(Reading.sign(p.id(), Reading.What.SILENT, true, s));
                    all.add(new Reading(p.id(), Reading.What.VOLTS, 0, 0.3, s));
                    if (p.build().current().isPresent()) {
                        all.add(new Reading(p.id(), Reading.What.AMPS, 0, 0.3, s));
                    }
                });
        java.util.stream.Stream.concat(
                        system.all(FlowSender.class),
                        system.all(GaugePort.class).filter(g -> g.shows().needle()))
                .forEach(f -> all.add(Reading.sign(f.id(), Reading.What.STILL, true, s)));
        system.all(Strainer.class).forEach(f -> all.add(Reading.sign(f.id(), Reading.What.WATER, true, s)));
        for (Tank t : system.tanks()) {
            all.add(Reading.sign(t.id(), Reading.What.WILL_NOT_FILL, true, s));
            all.add(new Reading(t.id(), Reading.What.FALLS, 0, Unit.GALLON_PER_HOUR.toSi(0.6), s));
        }
        return all;
    }

    /** Read without opening a joint: at the engine, or where a gauge or its port is fitted. */
    private boolean closed(Reading r) {
        return system.item(r.item()).flatMap(i -> i.only(GaugePort.class)).isPresent()
                || r.place().equals(system.inlet().orElseThrow().id());
    }

    /** Minutes a reading takes, the handles first being as they are in a case; common practice, no source. */
    int minutes(Reading r, Condition now) {
        int work =
                switch (r.what()) {
                    case MINUTES -> 15;
                    case FLOW -> 2;
                    case PRESSURE -> closed(r) ? 2 : 25;
                    case FALLS -> 12;
                    case TEMPERATURE, WATER -> 5;
                    case VOLTS -> 10;
                    case AMPS -> 6;
                    case FLUTTERS, SILENT -> 1;
                    case STILL, DRIPS -> 3;
                    case WILL_NOT_FILL, OVERBOARD -> 10;
                };
        int set = r.setting().condition().positions().equals(now.positions())
                        && r.setting().condition().stopped().equals(now.stopped())
                ? 0
                : 1;
        return work
                + set
                + r.setting().manoeuvres().stream().mapToInt(Manoeuvre::minutes).sum();
    }

    String caution(Reading r) {
        List<String> all = new ArrayList<>(r.setting().manoeuvres().stream()
                .map(Manoeuvre::caution)
                .filter(c -> !c.isEmpty())
                .sorted()
                .toList());
        if (r.what() == Reading.What.PRESSURE && !closed(r)) {
            all.add("Fire hazard: opening a fuel fitting. Fuel pressure off, catch fuel, ventilate, no ignition"
                    + " source, extinguisher at hand. Leak-check before the next start.");
        }
        if (FUEL_ABOUT.contains(r.what())) {
            all.add("Fire hazard: open fuel. Outdoors, bonded, no ignition source, extinguisher at hand.");
        }
        return String.join(" ", all);
    }

    private static final Set<Reading.What> FUEL_ABOUT =
            Set.of(Reading.What.WILL_NOT_FILL, Reading.What.OVERBOARD, Reading.What.DRIPS, Reading.What.WATER);

    String words(Reading r, Condition now) {
        String at = r.named(system);
        String what =
                switch (r.what()) {
                    case MINUTES -> "Minutes to power loss";
                    case PRESSURE -> (r.error() < PSI / 2 ? "Suction at " : "Pressure at ") + at;
                    case FLOW -> (r.setting().has(Manoeuvre.LINE_OPEN) ? "Flow of the open line at " : "Flow at ") + at;
                    case FALLS -> "How fast " + at + " falls in ten minutes";
                    case TEMPERATURE -> "Temperature at " + at;
                    case VOLTS -> "Voltage at the plug of " + at;
                    case AMPS -> "Current drawn by " + at;
                    case FLUTTERS -> "Does the pressure flutter at " + at;
                    case SILENT -> "Listen: is " + at + " silent";
                    case STILL -> "Is " + at + " frozen during run-up";
                    case WILL_NOT_FILL -> "Refuel: does fuel back up in the filler of " + at;
                    case OVERBOARD -> "Does " + at + " vent fuel overboard";
                    case DRIPS -> "Look and smell: does " + at + " drip";
                    case WATER -> "Drain a sample: is there water in " + at;
                };
        List<String> how = new ArrayList<>();
        Condition c = r.setting().condition();
        c.positions().forEach((id, p) -> {
            if (!p.equals(now.positions().get(id))) {
                how.add(p);
            }
        });
        if (!c.stopped().equals(now.stopped())) {
            how.add(PumpSet.of(system, c.stopped()).label());
        }
        r.setting().manoeuvres().stream()
                .sorted()
                .map(Manoeuvre::word)
                .filter(w -> !w.equals("line open"))
                .forEach(how::add);
        return what + (how.isEmpty() ? ", at the conditions set" : ", " + String.join(", ", how));
    }
}
