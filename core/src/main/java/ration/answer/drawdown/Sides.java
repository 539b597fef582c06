package ration.answer.drawdown;

import java.util.HashMap;
import java.util.Map;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.physics.flow.FlowBasis;
import ration.physics.tank.FuelCentroid;

/** Which tanks lie left and which right: by the middle of all they hold, within 5 cm of the centre line neither. */
final class Sides {

    private static final double MIDDLE = 0.05;

    /** Tank id to -1 left, 1 right, 0 neither. */
    private final Map<String, Integer> side = new HashMap<>();

    Sides(FlowBasis basis) {
        for (Tank tank : basis.system().tanks()) {
            double y = FuelCentroid.of(basis.bodies().get(tank.id()), new Point3(0, 0, 1))
                    .at(basis.bodies().get(tank.id()).capacity())
                    .y();
            side.put(tank.id(), Math.abs(y) < MIDDLE ? 0 : (int) Math.signum(y));
        }
    }

    int of(String tank) {
        return side.getOrDefault(tank, 0);
    }

    /** Left less right, m3. */
    double difference(Holding holding) {
        return holding.tanks().stream()
                .mapToDouble(t -> -of(t.id()) * holding.tank(t.id()))
                .sum();
    }

    /** Whether there is a left and a right. */
    boolean two() {
        return side.containsValue(-1) && side.containsValue(1);
    }
}
