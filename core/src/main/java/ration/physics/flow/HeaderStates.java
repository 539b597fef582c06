package ration.physics.flow;

import java.util.HashSet;
import java.util.Set;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.solver.network.NetworkSolution;

/**
 * What is found out about headers while an answer is sought.
 *
 * @param falling ports at which fuel falls free or runs over a lip: the level stands under them
 * @param dry ids of headers that are drawn lower than they are filled, held at the lip of their outlet
 */
record HeaderStates(Set<String> falling, Set<String> dry) {

    static final HeaderStates NONE = new HeaderStates(Set.of(), Set.of());
    /** Pressure under ambient that tells a drawn-down level from rounding, Pa. */
    private static final double UNDER = -0.5;

    HeaderStates {
        falling = Set.copyOf(falling);
        dry = Set.copyOf(dry);
    }

    /** Every inlet of every header taken to let fuel fall in: right where fuel comes in by all of them. */
    static HeaderStates filling(FuelSystem system) {
        Set<String> falls = new HashSet<>();
        system.all(Header.class).forEach(h -> h.inlets().forEach(i -> falls.add(h.id() + "." + i)));
        return falls.isEmpty() ? NONE : new HeaderStates(falls, Set.of());
    }

    /** Whether fuel comes in by every port taken to let it fall. */
    boolean allFlow(FlowAnswer answer) {
        return falling.stream().allMatch(port -> answer.solution().flow(port) > FlowAnswer.NO_FLOW);
    }

    /** The headers into which fuel falls free held at their lips: nothing else can give what is asked of them. */
    HeaderStates drained(FuelSystem system) {
        Set<String> empty = new HashSet<>(dry);
        system.all(Header.class)
                .filter(h -> h.inlets().stream().anyMatch(i -> falling.contains(h.id() + "." + i)))
                .forEach(h -> empty.add(h.id()));
        return new HeaderStates(falling, empty);
    }

    /** What an answer under these states tells beyond them; the same if it agrees with them. */
    HeaderStates after(FlowAnswer answer) {
        if (!answer.usable() || answer.headers().isEmpty()) {
            return this;
        }
        Set<String> falls = new HashSet<>(falling);
        Set<String> empty = new HashSet<>(dry);
        NetworkSolution found = answer.solution();
        for (Wiring.Body body : answer.headers()) {
            if (!found.knownAt(body.out())) {
                continue;
            }
            boolean supplies = false;
            for (Wiring.Mouth m : body.mouths()) {
                boolean moves = found.flowAt(m.wire()) > FlowAnswer.NO_FLOW;
                supplies |= m.outlet() && moves;
                if (!m.outlet() && moves && (found.knownAt(m.spot()) ? found.pressureAt(m.spot()) : 0) < UNDER) {
                    falls.add(m.name());
                }
            }
            if (supplies && found.pressureAt(body.out()) < UNDER) {
                empty.add(body.header());
            }
        }
        if (falls.size() == falling.size() && empty.size() == dry.size()) {
            return this;
        }
        // a level drawn down by a siphon that does not exist says nothing yet: break it first
        return falls.size() == falling.size() ? new HeaderStates(falls, empty) : new HeaderStates(falls, dry);
    }
}
