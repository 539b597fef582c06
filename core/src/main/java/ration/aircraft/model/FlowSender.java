package ration.aircraft.model;

/** A flow sender with its loss, the rotor free. */
public record FlowSender(Tag tag, Rated loss) implements Fitted {
    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.flowSender(this);
    }

    @Override
    public String kind() {
        return "Fuel flow sender";
    }

    @Override
    public FlowSender with(Tag other) {
        return new FlowSender(other, loss);
    }
}
