package ration.answer.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.answer.assess.CaseAnswer;
import ration.answer.drawdown.Lasting;
import ration.answer.fault.FaultAnswer.Seen;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.PathStep;

/** What of the fitted instruments shows a failure: flow and pressure senders, low lights of headers. */
final class Indications {

    /** A flow reading is seen to move from this share on. */
    private static final double SEEN = 0.1;
    /** And a pressure needle by this, Pa: 0.15 psi. */
    private static final double NEEDLE = 1034;

    private final FuelSystem system;
    private final UnitSystem units;

    Indications(FuelSystem system, UnitSystem units) {
        this.system = system;
        this.units = units;
    }

    /** Of what moves at once or when a header is empty, the first first. */
    List<Seen> of(CaseAnswer sound, CaseAnswer now, double minutes, Map<String, Double> lights) {
        List<Seen> all = new ArrayList<>();
        lights.forEach((header, at) -> all.add(
                new Seen("low light of " + system.item(header).map(Item::name).orElse(header), at)));
        for (FlowSender s : system.all(FlowSender.class).toList()) {
            OptionalDouble before = through(sound, s);
            OptionalDouble after = now.demand().usable() ? through(now, s) : OptionalDouble.of(0);
            double a = before.orElse(0);
            double b = Math.min(
                    after.orElse(0),
                    Math.max(0, now.capacity().usable() ? now.capacity().inletFlow() : 0));
            if (a > 0 && Math.abs(a - b) > SEEN * a) {
                all.add(new Seen(
                        s.name() + " to " + units.text(b, Dimension.FLOW), behindHeader(sound, s.id()) ? minutes : 0));
            }
        }
        for (GaugePort g : needles()) {
            double a = pressure(sound, g);
            double b = now.demand().usable() ? pressure(now, g) : 0;
            if (Math.abs(a - b) > moves(a)) {
                all.add(new Seen(
                        g.name() + " to " + units.text(b, Dimension.PRESSURE),
                        behindHeader(sound, g.id()) ? minutes : 0));
            }
        }
        boolean indicated = !all.isEmpty()
                || !needles().isEmpty()
                || system.all(FlowSender.class).findAny().isPresent();
        if (indicated && now.condition().faults().supplyDead(Pump.Build.MAIN_BUS)) {
            // the indication goes with the supply, and that is seen
            all.clear();
            all.add(new Seen("electric gauges lose power", 0));
        }
        all.sort(Comparator.comparingDouble(Seen::minutes));
        if (all.isEmpty() && !Double.isInfinite(minutes) && !Double.isNaN(minutes)) {
            all.add(new Seen("engine loses power", minutes));
        }
        return all;
    }

    /** Whether something moves at once: what a header hides for minutes is no reading. */
    boolean moves(CaseAnswer sound, CaseAnswer now) {
        return of(sound, now, Double.POSITIVE_INFINITY, Map.of()).stream().anyMatch(s -> s.minutes() == 0);
    }

    /** A full header feeds it on: what fails before the header is not seen there until that is empty. */
    private boolean behindHeader(CaseAnswer sound, String item) {
        boolean header = false;
        for (PathStep s : sound.demand().path()) {
            header |= system.item(s.item()).flatMap(i -> i.only(Header.class)).isPresent();
            if (s.item().equals(item)) {
                return header;
            }
        }
        return false;
    }

    /** Pressure needles in front of the pilot. */
    private List<GaugePort> needles() {
        return system.all(GaugePort.class)
                .filter(g -> g.shows() == GaugePort.Shows.PRESSURE)
                .toList();
    }

    /** A pressure that moves by so much is seen, Pa: a tenth of it, or what a needle's width hides. */
    private static double moves(double pressure) {
        return Math.max(SEEN * Math.abs(pressure), NEEDLE);
    }

    private static double pressure(CaseAnswer c, GaugePort g) {
        return c.demand().pressure(new PortRef(g.id(), Item.OUT)).orElse(0);
    }

    /** Air that thins is felt alike all the way to the engine: the first minute at which a needle has moved. */
    List<Seen> falls(CaseAnswer sound, Lasting lasting) {
        List<Seen> all = new ArrayList<>();
        double from = lasting.course().isEmpty() ? 0 : lasting.course().get(0).spare();
        for (GaugePort g : needles()) {
            if (sound.demand().path().stream().noneMatch(s -> s.item().equals(g.id()))) {
                continue;
            }
            double band = moves(pressure(sound, g));
            Lasting.Point before = null;
            for (Lasting.Point p : lasting.course()) {
                boolean moved = Double.isNaN(p.spare()) || from - p.spare() >= band;
                if (moved) {
                    double share = before == null || Double.isNaN(p.spare())
                            ? 1
                            : (band - from + before.spare()) / (before.spare() - p.spare());
                    double at = before == null
                            ? p.minutes()
                            : before.minutes() + Math.max(0, Math.min(1, share)) * (p.minutes() - before.minutes());
                    all.add(new Seen(g.name() + " falls by " + units.text(band, Dimension.PRESSURE), at));
                    break;
                }
                before = p;
            }
        }
        all.sort(Comparator.comparingDouble(Seen::minutes));
        return all;
    }

    private OptionalDouble through(CaseAnswer c, FlowSender s) {
        return system.runs().stream()
                .filter(r -> r.to().item().equals(s.id()))
                .mapToDouble(r -> Math.abs(c.demand().flow(r.id())))
                .findFirst();
    }
}
