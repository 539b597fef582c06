package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import ration.aircraft.model.Header;
import ration.aircraft.model.Tank;
import ration.physics.flow.FlowBasis;

/**
 * Something to be told of.
 *
 * @param kind of event
 * @param about id of an item, or a port; empty for the whole
 * @param margin above zero until it happens, continuous where it can be
 */
record Watch(FlightEvent.Kind kind, String about, ToDoubleFunction<Look> margin) {

    /**
     * Headers that fall, show their light and run dry; tanks that run full, and under their placard where that counts.
     */
    static List<Watch> ofVessels(FlowBasis basis, boolean placards) {
        List<Watch> all = new ArrayList<>();
        List<Header> headers = Holding.of(basis.system(), Map.of()).headers();
        for (int h = 0; h < headers.size(); h++) {
            int n = h;
            String id = headers.get(h).id();
            double full = headers.get(h).capacity().si();
            all.add(new Watch(
                    FlightEvent.Kind.HEADER_FALLS, id, l -> l.holding().header(n) - 0.98 * full));
            headers.get(h)
                    .underLight()
                    .ifPresent(v -> all.add(new Watch(
                            FlightEvent.Kind.HEADER_LOW, id, l -> l.holding().header(n) - v)));
            all.add(new Watch(
                    FlightEvent.Kind.HEADER_EMPTY, id, l -> l.holding().header(n)));
        }
        for (Tank tank : basis.system().tanks()) {
            double capacity = basis.bodies().get(tank.id()).capacity();
            all.add(new Watch(
                    FlightEvent.Kind.OVERFLOWS,
                    tank.id(),
                    l -> capacity - FULL - l.holding().tank(tank.id())));
            if (placards) {
                all.add(new Watch(
                        FlightEvent.Kind.BELOW_PLACARD,
                        tank.id(),
                        l -> l.holding().tank(tank.id()) - tank.unusable().si()));
            }
        }
        return all;
    }

    /** Short of full by so much is full, m3. */
    private static final double FULL = 1e-7;
}
