package ration.aircraft.condition;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;

/**
 * One case.
 *
 * @param attitude of the aircraft
 * @param contents fuel in each tank, m3, by tank id; a tank not named is empty
 * @param handles what the pilot has set
 * @param fuelKelvin fuel temperature
 * @param engine how hard the engine works, and how dirty its filters are
 * @param air pressure over the fuel, and the day
 * @param faults what has failed
 */
public record Condition(
        Attitude attitude,
        Map<String, Double> contents,
        Handles handles,
        double fuelKelvin,
        Engine engine,
        Air air,
        Faults faults) {

    /** The engine's power and whether every filter is fouled. */
    public record Engine(Power power, boolean fouled) {
        /** Take-off power, filters clean. */
        public static final Engine TAKE_OFF = new Engine(Power.TAKE_OFF, false);
    }

    /**
     * The air.
     *
     * @param airspace pressure over the fuel in each tank, Pa over ambient, by tank id; what its vent makes of it in a
     *     tank not named
     * @param day round the aircraft
     */
    public record Air(Map<String, Double> airspace, Day day) {
        /** Every tank vented, at sea level on a standard day. */
        public static final Air STANDARD = new Air(Map.of(), Day.STANDARD);

        public Air {
            airspace = Map.copyOf(airspace);
        }
    }

    /** At take-off power with clean filters, vented, nothing failed. */
    public Condition(
            Attitude attitude,
            Map<String, Double> contents,
            Map<String, String> positions,
            Set<String> shutValves,
            Set<String> stopped,
            double fuelKelvin) {
        this(
                attitude,
                contents,
                new Handles(positions, shutValves, stopped),
                fuelKelvin,
                Engine.TAKE_OFF,
                Air.STANDARD,
                Faults.NONE);
    }

    public Condition {
        contents = Map.copyOf(contents);
    }

    /** Handle position of each selector, by selector id. */
    public Map<String, String> positions() {
        return handles.positions();
    }

    /** Ids of shut-offs that are closed. */
    public Set<String> shutValves() {
        return handles.shutValves();
    }

    /** Ids of pumps that stand. */
    public Set<String> stopped() {
        return handles.stopped();
    }

    /** Pressure over the fuel, Pa over ambient, by tank id, where it is said. */
    public Map<String, Double> airspace() {
        return air.airspace();
    }

    public Condition with(Attitude other) {
        return new Condition(other, contents, handles, fuelKelvin, engine, air, faults);
    }

    public Condition withContents(Map<String, Double> other) {
        return new Condition(attitude, other, handles, fuelKelvin, engine, air, faults);
    }

    public Condition withContents(String tank, double volumeM3) {
        Map<String, Double> changed = new HashMap<>(contents);
        changed.put(tank, volumeM3);
        return withContents(changed);
    }

    public Condition with(Handles other) {
        return new Condition(attitude, contents, other, fuelKelvin, engine, air, faults);
    }

    public Condition withPosition(String selector, String position) {
        return with(handles.at(selector, position));
    }

    public Condition withPositions(Map<String, String> changed) {
        return with(handles.at(changed));
    }

    public Condition withValve(String valve, boolean shut) {
        return with(handles.withValve(valve, shut));
    }

    public Condition withPump(String pump, boolean running) {
        return with(handles.withPump(pump, running));
    }

    /** With these pumps standing and all others running. */
    public Condition withStopped(Set<String> pumps) {
        return with(handles.withStopped(pumps));
    }

    private Condition with(Engine other) {
        return new Condition(attitude, contents, handles, fuelKelvin, other, air, faults);
    }

    public Condition with(Power power) {
        return with(new Engine(power, engine.fouled));
    }

    public Condition withFouled(boolean fouled) {
        return with(new Engine(engine.power, fouled));
    }

    private Condition with(Air other) {
        return new Condition(attitude, contents, handles, fuelKelvin, engine, other, faults);
    }

    /** With these pressures over the fuel, Pa over ambient. */
    public Condition withAirspace(Map<String, Double> pressures) {
        return with(new Air(pressures, air.day));
    }

    public Condition with(Day day) {
        return with(new Air(air.airspace, day));
    }

    public Condition withFuelKelvin(double kelvin) {
        return new Condition(attitude, contents, handles, kelvin, engine, air, faults);
    }

    public Condition with(Faults failed) {
        return new Condition(attitude, contents, handles, fuelKelvin, engine, air, failed);
    }

    /** With one more thing failed. */
    public Condition with(Fault failed) {
        Set<Fault> all = new java.util.HashSet<>(faults.all());
        all.add(failed);
        return with(new Faults(all));
    }
}
