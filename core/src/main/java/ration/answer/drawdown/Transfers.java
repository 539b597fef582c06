package ration.answer.drawdown;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Transfer;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.physics.flow.FlowBasis;

/** Transfer pumps of a plan: each stands but in its own times, and is switched off before anything runs over. */
final class Transfers {

    private final FlowBasis basis;
    private final List<Leg> legs = new ArrayList<>();

    /** One transfer, and how far it has come. */
    private static final class Leg {
        private final Transfer what;
        private final Pump pump;
        /** Ports of tanks it draws from, and the tanks; the tanks it fills. */
        private final Set<String> ports;

        private final List<Tank> from;
        private final List<Tank> to;
        private boolean on;
        private boolean done;
        private double began;
        private double had;

        Leg(Transfer what, Pump pump, Set<String> ports, List<Tank> from, List<Tank> to) {
            this.what = what;
            this.pump = pump;
            this.ports = ports;
            this.from = from;
            this.to = to;
        }

        /** When the clock switches it off, minutes. */
        double ends() {
            return what.lasts().map(m -> began + m.si() / 60).orElse(Double.POSITIVE_INFINITY);
        }

        double holds(Holding holding) {
            return from.stream().mapToDouble(t -> holding.tank(t.id())).sum();
        }
    }

    /** Told of what is switched. */
    interface Told {
        void of(String pump, String words);
    }

    /** What a plan says of pumps that are not there, or feed the engine, is passed over. */
    Transfers(FlowBasis basis, FlightPlan plan) {
        this.basis = basis;
        FuelSystem system = basis.system();
        Topology topology = Topology.of(system);
        List<Pump> pumps = topology.transferPumps();
        for (Transfer t : plan.transfers()) {
            pumps.stream().filter(p -> p.id().equals(t.pump())).findFirst().ifPresent(p -> {
                Set<String> ports = drawsFrom(system, topology, p.id());
                Set<String> ahead = topology.downstream(p.id());
                legs.add(new Leg(
                        t,
                        p,
                        ports,
                        system.tanks().stream()
                                .filter(x -> ports.stream().anyMatch(q -> q.startsWith(x.id() + ".")))
                                .toList(),
                        filled(system, topology, p.id(), ahead)));
            });
        }
    }

    /** Ports of tanks from which a way leads to a pump with no tank between. */
    static Set<String> drawsFrom(FuelSystem system, Topology topology, String pump) {
        Set<String> ports = new LinkedHashSet<>();
        Set<String> seen = new HashSet<>(Set.of(pump));
        Deque<String> behind = new ArrayDeque<>(seen);
        while (!behind.isEmpty()) {
            for (Run r : topology.arriving(behind.poll())) {
                String at = r.from().item();
                if (system.item(at).flatMap(i -> i.only(Tank.class)).isPresent()) {
                    ports.add(r.from().toString());
                } else if (seen.add(at)) {
                    behind.add(at);
                }
            }
        }
        return ports;
    }

    /** The first tanks on the way on from a pump. */
    private static List<Tank> filled(FuelSystem system, Topology topology, String pump, Set<String> ahead) {
        return system.tanks().stream()
                .filter(t -> ahead.contains(t.id()))
                .filter(t -> topology.upstream(t.id(), i -> i.only(Tank.class).isPresent())
                        .contains(pump))
                .toList();
    }

    /** Planned pumps that stand now. */
    Set<String> standing() {
        Set<String> running =
                legs.stream().filter(l -> l.on).map(l -> l.pump.id()).collect(Collectors.toSet());
        return legs.stream()
                .map(l -> l.pump.id())
                .filter(id -> !running.contains(id))
                .collect(Collectors.toSet());
    }

    /**
     * Fuel over the placards in tanks from which nothing is pumped any more, m3: it is no reserve. A tank that feeds
     * the engine itself is none of them.
     */
    double waiting(Holding holding, List<Choice> choices) {
        return legs.stream()
                .flatMap(l -> l.from.stream())
                .distinct()
                .filter(t -> choices.stream().noneMatch(c -> c.feeds().contains(t.id())))
                .filter(t -> legs.stream().filter(l -> l.from.contains(t)).allMatch(l -> l.done))
                .mapToDouble(
                        t -> Math.max(0, holding.tank(t.id()) - t.unusable().si()))
                .sum();
    }

    /** The next time after this one at which the clock switches something, minutes. */
    double next(double t) {
        return legs.stream()
                .filter(l -> !l.done)
                .mapToDouble(l -> l.on ? l.ends() : l.what.begins())
                .filter(m -> m > t + 1e-9)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** What has gone across, as long as a pump runs. */
    List<Watch> watches() {
        List<Watch> all = new ArrayList<>();
        for (Leg l : legs) {
            if (l.on && l.what.amount().isPresent()) {
                double until = l.had - l.what.amount().get().si();
                all.add(new Watch(FlightEvent.Kind.TRANSFER, l.pump.id(), look -> l.holds(look.holding()) - until));
            }
        }
        return all;
    }

    /** Switches what is to be switched now. */
    void at(double t, Holding holding, Drawdown drawdown, Told told) {
        for (Leg l : legs) {
            if (!l.done && !l.on && t >= l.what.begins() - 1e-9) {
                l.on = true;
                l.began = t;
                l.had = l.holds(holding);
                told.of(l.pump.id(), l.pump.name() + " on");
            }
            if (l.on) {
                ends(l, t, holding, drawdown).ifPresent(why -> {
                    l.on = false;
                    l.done = true;
                    told.of(l.pump.id(), l.pump.name() + " off" + why);
                });
            }
        }
    }

    /** Why it is switched off now; empty where it runs on. */
    private Optional<String> ends(Leg l, double t, Holding holding, Drawdown drawdown) {
        double tolerance = drawdown.tolerance();
        Optional<Tank> full = l.to.stream()
                .filter(x -> holding.tank(x.id()) >= basis.bodies().get(x.id()).capacity() - 2 * tolerance)
                .findFirst();
        boolean empty = !l.ports.isEmpty() && l.ports.stream().allMatch(drawdown::isBare);
        boolean across = l.what.amount()
                .filter(m -> l.holds(holding) <= l.had - m.si() + 2 * tolerance)
                .isPresent();
        return full.isPresent()
                ? Optional.of(": " + full.get().name() + " full")
                : empty
                        ? Optional.of(
                                ": " + l.from.stream().map(Tank::name).collect(Collectors.joining(", ")) + " empty")
                        : across || t >= l.ends() - 1e-9 ? Optional.of("") : Optional.empty();
    }
}
