package ration.evidence;

import java.util.Optional;
import ration.fluid.FuelGrade;
import ration.model.FuelSystem;
import ration.model.Tank;

/**
 * What of an aircraft a test can rest on.
 *
 * @param system as laid out
 * @param fuel   grade
 * @param parked angle it stands at, nose up, rad
 */
public record AsBuilt(FuelSystem system, FuelGrade fuel, double parked) {

    public Optional<Tank> tank(String id) {
        return system.item(id).flatMap(i -> i.only(Tank.class));
    }
}
