package ration.aircraft.model;

/**
 * A valve with two states.
 *
 * @param reach whether the pilot can turn it
 */
public record ShutOff(Tag tag, Rated loss, Reach reach) implements Fitted {

    /** Of whose reach nobody said anything. */
    public ShutOff(Tag tag, Rated loss) {
        this(tag, loss, Reach.UNSAID);
    }

    public ShutOff with(Reach other) {
        return new ShutOff(tag, loss, other);
    }

    public ShutOff withLoss(Rated other) {
        return new ShutOff(tag, other, reach);
    }

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
        return new ShutOff(other, loss, reach);
    }
}
