package ration.condition;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * One case.
 *
 * @param attitude   of the aircraft
 * @param contents   fuel in each tank, m3, by tank id; a tank not named is empty
 * @param positions  handle position of each selector, by selector id
 * @param shutValves ids of shut-offs that are closed
 * @param stopped    ids of pumps that stand
 * @param fuelKelvin fuel temperature
 * @param engine     how hard the engine works, and how dirty its filters are
 * @param airspace   pressure over the fuel in each tank, Pa over ambient, by tank id; ambient in a tank not named
 */
public record Condition(Attitude attitude, Map<String, Double> contents, Map<String, String> positions,
        Set<String> shutValves, Set<String> stopped, double fuelKelvin, Engine engine, Map<String, Double> airspace) {

    /** The engine's power and whether every filter is fouled. */
    public record Engine(Power power, boolean fouled) {
        /** Take-off power, filters clean. */
        public static final Engine TAKE_OFF = new Engine(Power.TAKE_OFF, false);
    }

    /** At take-off power with clean filters. */
    public Condition(Attitude attitude, Map<String, Double> contents, Map<String, String> positions,
            Set<String> shutValves, Set<String> stopped, double fuelKelvin) {
        this(attitude, contents, positions, shutValves, stopped, fuelKelvin, Engine.TAKE_OFF);
    }

    /** With every tank vented to ambient. */
    public Condition(Attitude attitude, Map<String, Double> contents, Map<String, String> positions,
            Set<String> shutValves, Set<String> stopped, double fuelKelvin, Engine engine) {
        this(attitude, contents, positions, shutValves, stopped, fuelKelvin, engine, Map.of());
    }

    public Condition {
        contents = Map.copyOf(contents);
        positions = Map.copyOf(positions);
        shutValves = Set.copyOf(shutValves);
        stopped = Set.copyOf(stopped);
        airspace = Map.copyOf(airspace);
    }

    public Condition with(Attitude other) {
        return new Condition(other, contents, positions, shutValves, stopped, fuelKelvin, engine, airspace);
    }

    public Condition withContents(Map<String, Double> other) {
        return new Condition(attitude, other, positions, shutValves, stopped, fuelKelvin, engine, airspace);
    }

    public Condition withContents(String tank, double volumeM3) {
        Map<String, Double> changed = new HashMap<>(contents);
        changed.put(tank, volumeM3);
        return withContents(changed);
    }

    public Condition withPosition(String selector, String position) {
        Map<String, String> changed = new HashMap<>(positions);
        changed.put(selector, position);
        return withPositions(changed);
    }

    public Condition withPositions(Map<String, String> changed) {
        return new Condition(attitude, contents, changed, shutValves, stopped, fuelKelvin, engine, airspace);
    }

    public Condition withValve(String valve, boolean shut) {
        return new Condition(attitude, contents, positions, changed(shutValves, valve, shut), stopped, fuelKelvin, engine, airspace);
    }

    public Condition withPump(String pump, boolean running) {
        return new Condition(attitude, contents, positions, shutValves, changed(stopped, pump, !running),
                fuelKelvin, engine, airspace);
    }

    /** With these pumps standing and all others running. */
    public Condition withStopped(Set<String> pumps) {
        return new Condition(attitude, contents, positions, shutValves, pumps, fuelKelvin, engine, airspace);
    }

    public Condition with(Power power) {
        return new Condition(attitude, contents, positions, shutValves, stopped, fuelKelvin,
                new Engine(power, engine.fouled), airspace);
    }

    public Condition withFouled(boolean fouled) {
        return new Condition(attitude, contents, positions, shutValves, stopped, fuelKelvin,
                new Engine(engine.power, fouled), airspace);
    }

    /** With these pressures over the fuel, Pa over ambient. */
    public Condition withAirspace(Map<String, Double> pressures) {
        return new Condition(attitude, contents, positions, shutValves, stopped, fuelKelvin, engine, pressures);
    }

    public Condition withFuelKelvin(double kelvin) {
        return new Condition(attitude, contents, positions, shutValves, stopped, kelvin, engine, airspace);
    }

    private static Set<String> changed(Set<String> ids, String id, boolean in) {
        Set<String> copy = new HashSet<>(ids);
        if (in) {
            copy.add(id);
        } else {
            copy.remove(id);
        }
        return copy;
    }
}
