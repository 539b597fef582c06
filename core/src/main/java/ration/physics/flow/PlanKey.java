package ration.physics.flow;

import java.util.Objects;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Handles;

/**
 * All that a network's elements depend on. Attitude, how full the tanks are and the size of pressures only move it to
 * another pose. Looked up for every case, so it knows its hash.
 */
final class PlanKey {

    private final Class<? extends FlowQuestion> asks;
    private final Handles handles;
    private final double fuelKelvin;
    private final Condition.Engine engine;
    private final Set<String> airspace;
    private final Faults faults;
    private final HeaderStates headers;
    private final Set<String> bare;
    private final int hash;

    /**
     * @param bare ports of tanks that stand clear of the fuel: outlets that let nothing in, returns that fuel falls
     *     from
     */
    PlanKey(Condition c, FlowQuestion question, HeaderStates headers, Set<String> bare) {
        asks = question.getClass();
        handles = c.handles();
        fuelKelvin = c.fuelKelvin();
        engine = c.engine();
        airspace = c.airspace().keySet();
        faults = c.faults();
        this.headers = headers;
        this.bare = bare;
        hash = Objects.hash(
                asks,
                handles.positions(),
                handles.shutValves(),
                handles.stopped(),
                fuelKelvin,
                engine.power(),
                engine.fouled(),
                airspace,
                faults.all(),
                headers.falling(),
                headers.dry(),
                bare);
    }

    /** Kind of question. */
    Class<? extends FlowQuestion> asks() {
        return asks;
    }

    Handles handles() {
        return handles;
    }

    double fuelKelvin() {
        return fuelKelvin;
    }

    Condition.Engine engine() {
        return engine;
    }

    /** Tanks whose air pressure is said. */
    Set<String> airspace() {
        return airspace;
    }

    Faults faults() {
        return faults;
    }

    HeaderStates headers() {
        return headers;
    }

    Set<String> bare() {
        return bare;
    }

    @Override
    public int hashCode() {
        return hash;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof PlanKey k
                && hash == k.hash
                && asks == k.asks
                && fuelKelvin == k.fuelKelvin
                && bare.equals(k.bare)
                && headers.equals(k.headers)
                && handles.equals(k.handles)
                && engine.equals(k.engine)
                && airspace.equals(k.airspace)
                && faults.equals(k.faults);
    }
}
