package ration.record.evidence;

import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.base.fluid.FuelGrade;

/**
 * What of an aircraft a test can rest on.
 *
 * @param system as laid out
 * @param fuel grade
 * @param parked angle it stands at, nose up, rad
 * @param renewed the last renewal of pieces with a life, by the id of their item: 2026-11-26, hose R4
 * @param joints what was last done to joints that were worked on, by line and end (r3.start): opened, or done up, and
 *     when
 */
public record AsBuilt(
        FuelSystem system, FuelGrade fuel, double parked, Map<String, String> renewed, Map<String, String> joints) {

    public AsBuilt {
        renewed = Map.copyOf(renewed);
        joints = Map.copyOf(joints);
    }

    /** With no joint worked on. */
    public AsBuilt(FuelSystem system, FuelGrade fuel, double parked, Map<String, String> renewed) {
        this(system, fuel, parked, renewed, Map.of());
    }

    /** With nothing renewed. */
    public AsBuilt(FuelSystem system, FuelGrade fuel, double parked) {
        this(system, fuel, parked, Map.of());
    }

    public Optional<Tank> tank(String id) {
        return system.item(id).flatMap(i -> i.only(Tank.class));
    }
}
