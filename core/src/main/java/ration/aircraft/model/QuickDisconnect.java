package ration.aircraft.model;

/** A coupling that can be parted without tools. */
public record QuickDisconnect(Tag tag, Rated loss) implements Fitted {
    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.quickDisconnect(this);
    }

    @Override
    public String kind() {
        return "Quick disconnect";
    }

    @Override
    public QuickDisconnect with(Tag other) {
        return new QuickDisconnect(other, loss);
    }
}
