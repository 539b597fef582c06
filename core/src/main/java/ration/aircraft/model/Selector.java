package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A selector: one body, several ports, positions that join some of them.
 *
 * @param inlets names of the tank ports
 * @param returns names of the ports to the tanks on the return side of a duplex body; empty for a simple one
 * @param positions in the order the handle turns
 * @param loss of an open path
 * @param reach whether the pilot can turn it
 */
public record Selector(
        Tag tag, List<String> inlets, List<String> returns, List<Position> positions, Rated loss, Reach reach)
        implements Fitted {

    /** The port the common return comes in at. */
    public static final String RETURN = "return";

    public Selector {
        inlets = List.copyOf(inlets);
        returns = List.copyOf(returns);
        positions = List.copyOf(positions);
    }

    /** Of whose reach nobody said anything. */
    public Selector(Tag tag, List<String> inlets, List<String> returns, List<Position> positions, Rated loss) {
        this(tag, inlets, returns, positions, loss, Reach.UNSAID);
    }

    public Selector with(Reach other) {
        return new Selector(tag, inlets, returns, positions, loss, other);
    }

    /** A selector without a return side. */
    public Selector(Tag tag, List<String> inlets, List<Position> positions, Rated loss) {
        this(tag, inlets, List.of(), positions, loss);
    }

    /** Whether feed and return move together. */
    public boolean duplex() {
        return !returns.isEmpty();
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.selector(this);
    }

    @Override
    public String kind() {
        return "Selector";
    }

    @Override
    public Selector with(Tag other) {
        return new Selector(other, inlets, returns, positions, loss, reach);
    }

    public Selector withLoss(Rated other) {
        return new Selector(tag, inlets, returns, positions, other, reach);
    }

    public Selector withPorts(List<String> newInlets, List<Position> newPositions) {
        return new Selector(tag, newInlets, returns, newPositions, loss, reach);
    }

    @Override
    public List<String> ports() {
        List<String> all = new ArrayList<>(inlets);
        all.add(OUT);
        if (duplex()) {
            all.add(RETURN);
            all.addAll(returns);
        }
        return all;
    }

    public Optional<Position> position(String named) {
        return positions.stream().filter(p -> p.name().equals(named)).findFirst();
    }

    /**
     * A handle position.
     *
     * @param name as on the placard
     * @param joins groups of ports that are connected; none for OFF
     */
    public record Position(String name, List<List<String>> joins) {
        public Position {
            joins = joins.stream().map(List::copyOf).toList();
        }

        public boolean off() {
            return joins.isEmpty();
        }
    }
}
