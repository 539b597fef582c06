package ration.desktop.frame;

import java.util.List;
import java.util.stream.Collectors;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.SomeKinds;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;

/**
 * What the hands on the conditions bar make of the case looked at, before any of it is a node. Nothing here changes the
 * project.
 *
 * @param project whose envelope names attitudes
 * @param now the case
 */
record Handling(Project project, Condition now) {

    private static final String BY_HAND = "Set by hand";
    /** Further no attitude goes, rad. */
    static final double MOST = Math.toRadians(60);
    /** Angles nearer than this are one, rad. */
    private static final double SAME = 1e-6;

    /** The preset at these angles, rad, if there is one; else one set by hand. */
    Attitude attitude(double pitchRad, double tiltRad) {
        for (Attitude a : project.brief().envelope().attitudes()) {
            if (Math.abs(a.pitchRad() - pitchRad) < SAME && Math.abs(a.tiltRad() - tiltRad) < SAME) {
                return a;
            }
        }
        return new Attitude(BY_HAND, pitchRad, tiltRad);
    }

    /** The same angles to the fuel in a coordinated turn at this bank, rad: the fuel only weighs more. */
    Attitude turning(double bankRad) {
        Attitude level = attitude(now.attitude().pitchRad(), now.attitude().tiltRad());
        return Math.abs(bankRad) < SAME ? level : level.under(BY_HAND, 1 / Math.cos(bankRad), 0);
    }

    /** The bank, rad, of the coordinated turn that the case is flown in; 0 where it is none. */
    double bank() {
        Attitude a = now.attitude();
        return a.forward() == 0 && a.load() > 1 ? Math.acos(1 / a.load()) : 0;
    }

    /** At these angles, rad, in the turn it is in if it is in one. */
    Attitude at(double pitchRad, double tiltRad) {
        Attitude steady = attitude(pitchRad, tiltRad);
        return bank() > 0 ? steady.under(BY_HAND, now.attitude().load(), 0) : steady;
    }

    /** Tilted by degrees from where it is, within the limits. */
    Attitude nudged(double pitchDegrees, double tiltDegrees) {
        return at(
                held(now.attitude().pitchRad() + Math.toRadians(pitchDegrees)),
                held(now.attitude().tiltRad() + Math.toRadians(tiltDegrees)));
    }

    private static double held(double rad) {
        return Math.max(-MOST, Math.min(MOST, rad));
    }

    /** Over the attitudes: the one it is in where no button can show it. */
    String attitudeTitle() {
        return now.attitude().load() == 1 && now.attitude().forward() == 0
                ? "Attitude"
                : now.attitude().label();
    }

    /** What has failed, each part with its way; empty where nothing has. */
    String failed() {
        return now.faults().all().stream()
                .map(f -> project.system().item(f.item()).map(Item::name).orElse(f.item()) + " "
                        + f.kind().words())
                .sorted()
                .collect(Collectors.joining("; "));
    }

    /** What has a switch or a lever of its own. */
    List<Item> switchable() {
        return project.system().items().stream()
                .filter(i ->
                        i.only(Pump.class).isPresent() || i.only(ShutOff.class).isPresent())
                .toList();
    }

    boolean on(Item item) {
        return !now.shutValves().contains(item.id()) && !now.stopped().contains(item.id());
    }

    /** Turns a selector on, opens or shuts a valve, starts or stops a pump; the same case for what has no handle. */
    Condition operated(Item item) {
        return item.as(new Operated(now));
    }

    /** Degrees with their sign: +12.0, 0.0. */
    static String signed(double degrees) {
        String text = UnitSystem.figure(degrees, 1) + "\u00b0";
        return Math.round(degrees * 10) > 0 ? "+" + text : text;
    }

    private record Operated(Condition c) implements SomeKinds<Condition> {
        @Override
        public Condition otherwise(Item item) {
            return c;
        }

        @Override
        public Condition selector(Selector s) {
            List<String> names =
                    s.positions().stream().map(Selector.Position::name).toList();
            int next = (names.indexOf(c.positions().getOrDefault(s.id(), names.get(0))) + 1) % names.size();
            return c.withPosition(s.id(), names.get(next));
        }

        @Override
        public Condition shutOff(ShutOff valve) {
            return c.withValve(valve.id(), !c.shutValves().contains(valve.id()));
        }

        @Override
        public Condition pump(Pump pump) {
            return c.withPump(pump.id(), c.stopped().contains(pump.id()));
        }
    }
}
