package ration.aircraft.model;

import java.util.List;
import ration.base.quantity.Measured;

/** Joins three lines; the branch is the third. */
public record Tee(Tag tag, Measured bore) implements Fitted {
    /** The branch port. */
    public static final String BRANCH = "branch";

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.tee(this);
    }

    @Override
    public String kind() {
        return "Tee";
    }

    @Override
    public Tee with(Tag other) {
        return new Tee(other, bore);
    }

    @Override
    public List<String> ports() {
        return List.of(IN, OUT, BRANCH);
    }
}
