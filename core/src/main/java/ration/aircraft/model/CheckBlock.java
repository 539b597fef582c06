package ration.aircraft.model;

import java.util.List;
import ration.base.quantity.Measured;

/** Two one-way valves in one body: two pumps in, one line out, neither pushing back through the other. */
public record CheckBlock(Tag tag, Measured cracking, Rated loss) implements Fitted {
    /** The second inlet. */
    public static final String SECOND = "in-2";

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.checkBlock(this);
    }

    @Override
    public String kind() {
        return "Check-valve block";
    }

    @Override
    public CheckBlock with(Tag other) {
        return new CheckBlock(other, cracking, loss);
    }

    @Override
    public List<String> ports() {
        return List.of(IN, SECOND, OUT);
    }
}
