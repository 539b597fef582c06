package ration.aircraft.model;

/** A valve with two states. */
public record ShutOff(Tag tag, Rated loss) implements Fitted {
    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.shutOff(this);
    }

    @Override
    public String kind() {
        return "Shutoff valve";
    }

    @Override
    public ShutOff with(Tag other) {
        return new ShutOff(other, loss);
    }
}
