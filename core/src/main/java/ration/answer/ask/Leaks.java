package ration.answer.ask;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.plumbing.SealingPlaces;
import ration.aircraft.plumbing.SealingPlaces.Kind;
import ration.aircraft.plumbing.SealingPlaces.Place;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.base.task.Steps;
import ration.base.task.Task;
import ration.physics.flow.DeadHead;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.TankLevel;

/**
 * Every sealing place with what stands over it, level and full, and what runs out where it opens: how fast at first,
 * how much in five minutes, how long until nothing more comes. Lines open over their whole bore and are solved through
 * the network, in the selector's worst position, pumps on, off and each alone; drains and sight tubes open over a
 * quarter inch and follow the tank's own shape (orifice and Torricelli, Cd 0.62, handbooks of hydraulics, from memory).
 *
 * @param rows in the order of {@link SealingPlaces}
 */
public record Leaks(List<Row> rows) {

    /** Of drains and sight tubes, m: common practice, no source. */
    static final double OPEN_BORE = 0.00635;

    private static final double HOLE = 0.62;
    private static final double GRAVITY = 9.80665;
    private static final double FIVE = 300;
    private static final int STEPS = 24;
    /** Less than this is nothing, m3/s: 0.01 gph. */
    private static final double NOTHING = 1e-8;

    public Leaks {
        rows = List.copyOf(rows);
    }

    /**
     * One place.
     *
     * @param head of the highest fuel that stands over it, level and full, m; 0 where none does
     * @param pressure the greatest there with the pumps on and nothing flowing, Pa gauge; of its head where no pump
     *     reaches it
     * @param open what runs out where it opens; empty of places that only weep
     * @param stopped how it is stopped, in words
     */
    public record Row(Place place, double head, double pressure, Optional<Open> open, String stopped) {}

    /**
     * What runs out.
     *
     * @param rate at first, m3/s
     * @param five in the first five minutes, m3
     * @param empties seconds until nothing more comes; empty where it does not end
     * @param from vessels that empty through it
     */
    public record Open(double rate, double five, OptionalDouble empties, Set<String> from) {}

    /** Of a document; empty while it cannot be computed, or the task is cancelled. */
    public static Optional<Leaks> of(Assessment a, Task task) {
        Optional<FlowBasis> basis = a.basis();
        if (basis.isEmpty()) {
            return Optional.empty();
        }
        Asked asked = new Asked(a, basis.get());
        List<Place> places = SealingPlaces.of(a.project().system());
        Steps steps = new Steps(task.progress(), places.size());
        List<Row> rows = new ArrayList<>();
        for (Place p : places) {
            if (task.cancelled().getAsBoolean()) {
                return Optional.empty();
            }
            rows.add(asked.row(p));
            steps.done();
        }
        return Optional.of(new Leaks(rows));
    }

    /** Drops a minute of a weep, 40 drops a milliliter (common practice, no source), as m3/s. */
    public static double drops(double aMinute) {
        return aMinute / 40 * 1e-6 / 60;
    }

    /**
     * What a weep measured under little fuel becomes under more: between as the root of the head, a hole, and as the
     * head, a seep; the larger is judged.
     */
    public static double atFull(double measured, double headThen, double headFull) {
        if (!(headThen > 0)) {
            throw new IllegalArgumentException("Say how high the fuel stood over the place: above 0.");
        }
        double more = headFull / headThen;
        return measured * Math.max(Math.sqrt(more), more);
    }

    /** Asked of one document. */
    private static final class Asked {
        private final FuelSystem system;
        private final FlowBasis basis;
        private final WhatStops stops;
        private final Condition full;
        private final Map<String, TankLevel> levels;
        private final Map<String, Double> deadHead;
        private final double weight;

        Asked(Assessment a, FlowBasis basis) {
            this.basis = basis;
            system = a.project().system();
            stops = system.derived(WhatStops.class, WhatStops::of);
            full = StartingCase.of(a.project()).withContents(a.fill(Contents.FULL));
            levels = basis.levels(full);
            List<Condition> positions =
                    Topology.positions(system).stream().map(full::withPositions).toList();
            deadHead = DeadHead.of(basis, positions);
            weight = Math.abs(
                    basis.ask(full, levels, new FlowQuestion.Capacity()).weight());
        }

        Row row(Place p) {
            double top = over(p);
            double head = Math.max(0, top - p.at().z());
            double still = head * weight;
            double pressed = p.kind() == Kind.LINE_END
                    ? deadHead.getOrDefault(p.item(), Double.NaN)
                    : p.port().isPresent()
                            ? Topology.of(system).meeting(p.item()).stream()
                                    .mapToDouble(r -> deadHead.getOrDefault(r.id(), Double.NaN))
                                    .max()
                                    .orElse(still)
                            : still;
            return new Row(p, head, Double.isNaN(pressed) ? Double.NaN : Math.max(still, pressed), open(p), stopped(p));
        }

        /** The highest fuel of those that come to it. */
        private double over(Place p) {
            Set<String> from = vessels(p);
            return levels.values().stream()
                    .filter(l -> from.contains(l.tank()))
                    .mapToDouble(TankLevel::surface)
                    .max()
                    .orElse(p.at().z());
        }

        private Set<String> vessels(Place p) {
            if (system.item(p.item()).flatMap(i -> i.only(Tank.class)).isPresent()) {
                return Set.of(p.item());
            }
            Set<String> all = new TreeSet<>();
            if (p.kind() == Kind.LINE_END) {
                all.addAll(stops.leaks().get(p.item()).fed());
            } else {
                Topology.of(system)
                        .meeting(p.item())
                        .forEach(r -> all.addAll(stops.leaks().get(r.id()).fed()));
            }
            return all;
        }

        private String stopped(Place p) {
            if (p.kind() == Kind.LINE_END) {
                return stops.words(system, p.item());
            }
            if (p.port().isEmpty()) {
                return "no valve";
            }
            return Topology.of(system).meeting(p.item()).stream()
                    .filter(r -> r.to().item().equals(p.item()))
                    .findFirst()
                    .map(r -> stops.words(system, r.id()))
                    .orElse("no valve");
        }

        private Optional<Open> open(Place p) {
            return switch (p.kind()) {
                case LINE_END -> Optional.of(line(p));
                case DRAIN, SIGHT_TUBE, PORT_CAP ->
                    system.item(p.item())
                            .flatMap(i -> i.only(Tank.class))
                            .map(t -> drawn(Set.of(t.id()), share -> hole(t, p, share)));
                case STEM, BOWL, CAP, SENDER_PLATE, ACCESS_PLATE -> Optional.empty();
            };
        }

        /** Torricelli out of the tank's own shape. */
        private double hole(Tank t, Place p, double share) {
            double surface =
                    basis.levels(filled(Set.of(t.id()), share)).get(t.id()).surface();
            double over = Math.max(0, surface - p.at().z());
            return HOLE * Math.PI * OPEN_BORE * OPEN_BORE / 4 * Math.sqrt(2 * GRAVITY * over);
        }

        private Open line(Place p) {
            Run run = system.item(p.item()).flatMap(i -> i.only(Run.class)).orElseThrow();
            boolean from = run.from().equals(p.port().orElseThrow());
            Open worst = new Open(0, 0, OptionalDouble.empty(), Set.of());
            for (Map<String, String> position : Topology.positions(system)) {
                for (Set<String> stopped : standing()) {
                    Condition c = full.withPositions(position)
                            .withStopped(stopped)
                            .with(new Faults(Set.of(new Fault(
                                    Fault.Kind.FUEL_LEAK,
                                    run.id(),
                                    from ? "from" : "to",
                                    run.size().bore()))));
                    FlowAnswer first = basis.ask(c, levels, new FlowQuestion.Capacity());
                    if (!first.usable()) {
                        return new Open(Double.NaN, Double.NaN, OptionalDouble.empty(), Set.of());
                    }
                    if (first.leaks() > Math.max(NOTHING, worst.rate)) {
                        worst = followed(c, first);
                    }
                }
            }
            return worst;
        }

        /** All pumps on, all off, and each alone: a pump behind a hole draws from it what else would run out. */
        private List<Set<String>> standing() {
            Set<String> all = system.all(Pump.class).map(Pump::id).collect(java.util.stream.Collectors.toSet());
            List<Set<String>> some = new ArrayList<>(List.of(Set.of()));
            if (!all.isEmpty()) {
                some.add(all);
            }
            for (String one : all.size() > 1 ? all : Set.<String>of()) {
                Set<String> others = new TreeSet<>(all);
                others.remove(one);
                some.add(others);
            }
            return some;
        }

        private Open followed(Condition c, FlowAnswer first) {
            Set<String> giving = new TreeSet<>();
            system.tanks().stream()
                    .filter(t -> first.outflow(t) > FlowAnswer.NO_FLOW)
                    .forEach(t -> giving.add(t.id()));
            return drawn(giving, share -> {
                Condition less = c.withContents(filled(giving, share).contents());
                FlowAnswer now = basis.ask(less, basis.levels(less), new FlowQuestion.Capacity());
                return now.usable() ? now.leaks() : 0;
            });
        }

        private Condition filled(Set<String> some, double share) {
            Map<String, Double> contents = new HashMap<>(full.contents());
            some.forEach(t -> contents.computeIfPresent(t, (k, v) -> v * share));
            return full.withContents(contents);
        }

        /** What runs out of these vessels, all drawn down alike, at a rate that follows from what is left. */
        private Open drawn(Set<String> from, java.util.function.DoubleUnaryOperator rate) {
            double volume = from.stream()
                    .mapToDouble(t -> full.contents().getOrDefault(t, 0.0))
                    .sum();
            double first = rate.applyAsDouble(1);
            if (!(first > NOTHING) || volume <= 0) {
                return new Open(Math.max(0, first), 0, OptionalDouble.empty(), from);
            }
            double time = 0;
            double five = Double.NaN;
            double before = first;
            double share = 1;
            boolean ends = false;
            for (int i = 1; i <= STEPS; i++) {
                // steps close up towards the end, where the flow dies like a root
                double left = 1 - i / (double) STEPS;
                double next = left * left;
                double now = next <= 0 ? 0 : rate.applyAsDouble(next);
                double taken = volume * (share - next);
                if (!(now > NOTHING)) {
                    // somewhere in this step it runs dry
                    time += 2 * taken / before;
                    ends = true;
                    if (Double.isNaN(five)) {
                        five = volume * (1 - next);
                    }
                    break;
                }
                // between two flows that fall as roots of what is left, the mean is theirs
                double mean = (before + now) / 2;
                double step = taken / mean;
                if (Double.isNaN(five) && time + step >= FIVE) {
                    five = volume * (1 - share) + taken * (FIVE - time) / step;
                }
                time += step;
                before = now;
                share = next;
            }
            return new Open(
                    first,
                    Double.isNaN(five) ? volume * (1 - share) : five,
                    ends ? OptionalDouble.of(time) : OptionalDouble.empty(),
                    from);
        }
    }

    /** Rows by their key. */
    public Map<String, Row> byKey() {
        Map<String, Row> all = new LinkedHashMap<>();
        rows.forEach(r -> all.put(r.place.key(), r));
        return all;
    }
}
