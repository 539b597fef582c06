package ration.physics.flow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Pump;
import ration.solver.network.Element;
import ration.solver.network.PumpCurve;

/** What a pump is to the network: running, standing, weak or dead. */
final class PumpElement {

    private PumpElement() {}

    /** A running pump by its curve, cut off at its relief; what an engine drives moves flow in step with its speed. */
    static Element of(Pump pump, boolean stopped, Power power, Faults faults) {
        boolean dead = faults.has(Fault.Kind.PUMP_DEAD, pump.id())
                || pump.drive() == Pump.Drive.ELECTRIC && faults.supplyDead(pump.bus());
        // with its relief stuck open what it lifts runs back within it: fuel comes through as through one that stands
        if (stopped || dead || faults.has(Fault.Kind.RELIEF_STUCK_OPEN, pump.id())) {
            return standing(pump, faults);
        }
        double speed = pump.drive() == Pump.Drive.ENGINE ? power.speedShare() : 1;
        Optional<Fault> weak = faults.of(Fault.Kind.PUMP_WEAK, pump.id());
        double share = weak.map(Fault::severity).orElse(1.0);
        List<PumpCurve.Point> points = new ArrayList<>(pump.curve().stream()
                .map(p ->
                        new PumpCurve.Point(p.flow().si() * speed, p.pressure().si() * share))
                .toList());
        return new Element.Pump(Element.curve(
                pump.build().relief().map(r -> relieved(points, r.si())).orElse(points)));
    }

    private static Element standing(Pump pump, Faults faults) {
        boolean checked = pump.build().checked() && !faults.has(Fault.Kind.CHECK_STUCK_OPEN, pump.id());
        return pump.off()
                .<Element>map(r -> checked ? new Element.Check(0, Losses.openBore(r)) : Losses.openBore(r))
                .orElseGet(Element.Shut::new);
    }

    /** The part of a curve above the relief is flat: the pump bypasses within itself. */
    private static List<PumpCurve.Point> relieved(List<PumpCurve.Point> points, double relief) {
        if (points.get(0).rise() <= relief) {
            return points;
        }
        List<PumpCurve.Point> cut = new ArrayList<>();
        cut.add(new PumpCurve.Point(points.get(0).flow(), relief));
        for (int i = 1; i < points.size(); i++) {
            PumpCurve.Point a = points.get(i - 1);
            PumpCurve.Point b = points.get(i);
            if (a.rise() > relief && b.rise() < relief) {
                double q = a.flow() + (a.rise() - relief) / (a.rise() - b.rise()) * (b.flow() - a.flow());
                if (q > cut.get(cut.size() - 1).flow() && q < b.flow()) {
                    cut.add(new PumpCurve.Point(q, relief));
                }
            }
            if (b.rise() < relief) {
                cut.add(b);
            }
        }
        if (cut.size() < 2) {
            PumpCurve.Point last = points.get(points.size() - 1);
            cut.add(new PumpCurve.Point(last.flow(), relief));
        }
        return cut;
    }
}
