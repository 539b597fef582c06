package ration.flow;

import java.util.HashSet;
import java.util.OptionalDouble;
import java.util.Set;
import ration.model.FuelSystem;
import ration.model.Header;
import ration.model.Item;
import ration.model.PortRef;

/**
 * What is found out about headers while an answer is sought.
 *
 * @param falling ports at which fuel falls free or runs over a lip: the level stands under them
 * @param dry     ids of headers that are drawn lower than they are filled, held at the lip of their outlet
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
        system.all(Header.class).filter(h -> h.inlets().stream().anyMatch(i -> falling.contains(h.id() + "." + i)))
                .forEach(h -> empty.add(h.id()));
        return new HeaderStates(falling, empty);
    }

    /** What an answer under these states tells beyond them; the same if it agrees with them. */
    HeaderStates after(FlowAnswer answer, FuelSystem system) {
        Set<String> falls = new HashSet<>(falling);
        Set<String> empty = new HashSet<>(dry);
        system.all(Header.class).forEach(h -> {
            OptionalDouble level = answer.solved(new PortRef(h.id(), Item.OUT));
            if (level.isEmpty()) {
                return;
            }
            double bottom = level.getAsDouble();
            for (String port : h.ports()) {
                boolean out = h.outlets().contains(port);
                double there = answer.solved(new PortRef(h.id(), port)).orElse(0);
                boolean moves = answer.solution().flow(h.id() + "." + port) > FlowAnswer.NO_FLOW;
                if (!out && moves && there < UNDER) {
                    falls.add(h.id() + "." + port);
                }
            }
            boolean supplies = h.outlets().stream().anyMatch(o -> answer.solution().flow(h.id() + "." + o) > FlowAnswer.NO_FLOW);
            if (supplies && bottom < UNDER) {
                empty.add(h.id());
            }
        });
        // a level drawn down by a siphon that does not exist says nothing yet: break it first
        return falls.equals(falling) ? new HeaderStates(falls, empty) : new HeaderStates(falls, dry);
    }
}
