package ration.aircraft.model;

import ration.base.quantity.Measured;

/** Passes one way only, once pressed open. */
public record CheckValve(Tag tag, Measured cracking, Rated loss) implements Fitted {
    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.checkValve(this);
    }

    @Override
    public String kind() {
        return "Check valve";
    }

    @Override
    public CheckValve with(Tag other) {
        return new CheckValve(other, cracking, loss);
    }
}
