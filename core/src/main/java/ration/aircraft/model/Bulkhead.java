package ration.aircraft.model;

/** A fitting clamped in the firewall: the line ends on both sides of it, so that nothing chafes in a hole. */
public record Bulkhead(Tag tag, Rated loss) implements Fitted {
    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.bulkhead(this);
    }

    @Override
    public String kind() {
        return "Bulkhead fitting";
    }

    @Override
    public Bulkhead with(Tag other) {
        return new Bulkhead(other, loss);
    }

    public Bulkhead withLoss(Rated other) {
        return new Bulkhead(tag, other);
    }
}
