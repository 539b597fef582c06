package ration.model;

import java.util.ArrayList;
import java.util.List;

/**
 * A header or collector tank. It stands at its outlet; its level is not given but follows from what runs in and out.
 * Small, so its ports are taken to stand straight over each other.
 *
 * @param capacity  to the vent
 * @param height    of the vent port over the outlet
 * @param inletRise of the inlets over the outlet
 * @param inlets    names of the ports that fuel comes in at
 */
public record Header(Tag tag, Measured capacity, Measured height, Measured inletRise, List<String> inlets)
        implements Fitted {
    /** The vent or overflow at its top. */
    public static final String VENT = "vent";

    public Header {
        inlets = List.copyOf(inlets);
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.header(this);
    }

    @Override
    public String kind() {
        return "Header tank";
    }

    @Override
    public Header with(Tag other) {
        return new Header(other, capacity, height, inletRise, inlets);
    }

    @Override
    public List<String> ports() {
        List<String> all = new ArrayList<>(inlets);
        all.add(OUT);
        all.add(VENT);
        return all;
    }

    /** Height of a port over the outlet, m. */
    public double rise(String port) {
        return port.equals(OUT) ? 0 : port.equals(VENT) ? height.si() : inletRise.si();
    }
}
