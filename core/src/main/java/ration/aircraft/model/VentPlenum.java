package ration.aircraft.model;

import java.util.List;

/**
 * A plenum or tee that vent lines come together in: one line leads on from it to a tip of its own. Air only; it has no
 * ports for fuel. A vent comes to it by {@link VentLine#to}.
 *
 * @param line from it to its tip
 * @param tip the open end of that line
 */
public record VentPlenum(Tag tag, VentLine line, Place tip) implements Fitted {

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.ventPlenum(this);
    }

    @Override
    public String kind() {
        return "Vent plenum";
    }

    @Override
    public VentPlenum with(Tag other) {
        return new VentPlenum(other, line, tip);
    }

    public VentPlenum with(VentLine other) {
        return new VentPlenum(tag, other, tip);
    }

    public VentPlenum withTip(Place other) {
        return new VentPlenum(tag, line, other);
    }

    @Override
    public List<String> ports() {
        return List.of();
    }
}
