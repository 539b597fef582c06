package ration.answer.fault;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Unit;
import ration.physics.flow.WaysToFail;

/** Every way in which every part of a system fails, as bad as practice has it. */
public final class Catalogue {

    private static final double SHUT = Double.POSITIVE_INFINITY;
    /** Rise of liquid in a vent, m; bore of a leak, m. */
    private static final double RISE = Unit.INCH.toSi(3);

    private static final double LEAK = Unit.INCH.toSi(0.02);

    /** From one volatility class of motor gasoline to the next, Pa of Reid pressure: ASTM D4814, from memory. */
    private static final double CLASS = Unit.PSI.toSi(1.5);

    private Catalogue() {}

    /** In layout order; a supply that several pumps hang on is one fault. */
    public static List<Fault> of(FuelSystem system) {
        Topology topology = Topology.of(system);
        List<Fault> all = new ArrayList<>();
        for (Item item : system.items()) {
            for (Kind kind : WaysToFail.of(item)) {
                if (kind != Kind.SUPPLY_DEAD
                        && (kind != Kind.RETURN_BLOCKED
                                || item.only(Run.class)
                                        .filter(topology::returns)
                                        .isPresent())) {
                    all.addAll(of(item, kind));
                }
            }
        }
        List<Pump> electric = system.all(Pump.class)
                .filter(p -> WaysToFail.of(p).contains(Kind.SUPPLY_DEAD))
                .toList();
        List<String> buses = electric.stream().map(Pump::bus).distinct().toList();
        for (String bus : buses) {
            Pump first = electric.stream()
                    .filter(p -> p.bus().equals(bus))
                    .findFirst()
                    .orElseThrow();
            all.add(new Fault(Kind.SUPPLY_DEAD, first.id(), buses.size() > 1 ? bus : "", 1));
        }
        return all;
    }

    private static List<Fault> of(Item item, Kind kind) {
        return switch (kind) {
            case OUTLET_CLOGGED ->
                item.only(Tank.class)
                        .map(t -> t.outlets().stream()
                                .flatMap(o -> java.util.stream.DoubleStream.of(4, 16, SHUT)
                                        .mapToObj(s -> new Fault(kind, item.id(), o.name(), s)))
                                .toList())
                        .orElse(List.of());
            case CHECK_STUCK_OPEN, CHECK_STUCK_SHUT ->
                item.only(CheckBlock.class).isPresent()
                        ? List.of(
                                new Fault(kind, item.id(), Item.IN, 1),
                                new Fault(kind, item.id(), CheckBlock.SECOND, 1))
                        : List.of(new Fault(kind, item.id()));
            case FILTER_FOULED -> at(item, kind, 1, SHUT);
            case LINE_PINCHED -> at(item, kind, 0.7, 0.5);
            case SENDER_CLOGGED -> at(item, kind, 10, SHUT);
            case SELECTOR_BETWEEN -> at(item, kind, 0.1);
            case SELECTOR_LEAKS, FUEL_LEAK -> at(item, kind, LEAK);
            case FUEL_VOLATILE -> at(item, kind, CLASS, 3 * CLASS);
            case PUMP_WEAK -> at(item, kind, 0.6);
            case VENT_HOLDS_LIQUID -> at(item, kind, RISE);
            case CAP_LOST,
                    WATER,
                    VENT_SHUT,
                    PUMP_DEAD,
                    SUPPLY_DEAD,
                    REGULATOR_STUCK_OPEN,
                    REGULATOR_STUCK_SHUT,
                    REFERENCE_OFF,
                    NEEDLE_STUCK_OPEN,
                    NEEDLE_STUCK_SHUT,
                    RETURN_BLOCKED,
                    INDICATION_FROZEN,
                    INDICATION_WRONG,
                    ORIFICE_CLOGGED,
                    NOZZLE_CLOGGED,
                    RELIEF_STUCK_OPEN,
                    SELECTOR_STUCK,
                    VALVE_SHUT,
                    COUPLING_APART,
                    FLAPPER_STUCK,
                    AIR_LEAK -> List.of(new Fault(kind, item.id()));
        };
    }

    private static List<Fault> at(Item item, Kind kind, double... severities) {
        return java.util.Arrays.stream(severities)
                .mapToObj(s -> new Fault(kind, item.id(), s))
                .toList();
    }

    /** What a fault is of, where it is more than its item; empty where it is the item. */
    public static String whole(Fault f) {
        return switch (f.kind()) {
            case SUPPLY_DEAD -> f.port().isEmpty() ? "Electrical power" : "Electrical power, " + f.port() + " bus";
            case FUEL_VOLATILE -> "Fuel";
            default -> "";
        };
    }

    /** How it failed, after the name of the part: pinched to 70% of bore. */
    public static String words(Fault f) {
        String degree = degree(f);
        return switch (f.kind()) {
            case SUPPLY_DEAD -> "lost";
            case FILTER_FOULED ->
                Double.isInfinite(f.severity()) ? "clogged" : f.kind().words();
            default -> f.kind().words() + (degree.isEmpty() ? "" : " " + degree);
        };
    }

    private static int decimals(double severity) {
        return severity >= 1 ? 0 : Math.abs(severity * 10 - Math.rint(severity * 10)) < 1e-9 ? 1 : 2;
    }

    private static String percent(double share) {
        return ration.base.quantity.UnitSystem.figure(100 * share, 0) + "%";
    }

    /** How bad, in words: pinched to 70% of bore; empty where the way says it all. */
    private static String degree(Fault f) {
        String figure = Double.isInfinite(f.severity())
                ? "shut"
                : ration.base.quantity.UnitSystem.figure(f.severity(), decimals(f.severity()));
        return switch (f.kind()) {
            case OUTLET_CLOGGED, SENDER_CLOGGED ->
                Double.isInfinite(f.severity()) ? "" : "(" + figure + " \u00d7 clean loss)";
            case LINE_PINCHED -> "to " + percent(f.severity()) + " of bore";
            case SELECTOR_BETWEEN -> "(" + percent(f.severity()) + " of area)";
            case PUMP_WEAK -> "(" + percent(f.severity()) + " pressure)";
            case REGULATOR_STUCK_OPEN ->
                f.severity() < 0.5
                        ? "by a hole of " + ration.base.quantity.UnitSystem.figure(Unit.INCH.fromSi(f.severity()), 3)
                                + " in"
                        : "";
            case FUEL_VOLATILE ->
                f.severity() < 2 * CLASS
                        ? "by 1 class"
                        : "by " + ration.base.quantity.UnitSystem.figure(f.severity() / CLASS, 0) + " classes";
            default -> "";
        };
    }
}
