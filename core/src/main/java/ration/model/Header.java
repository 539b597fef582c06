package ration.model;

import java.util.ArrayList;
import java.util.List;

/**
 * A header or collector tank. It stands at its outlets; its level is not given but follows from what runs in and out.
 * Small, so its ports are taken to stand straight over each other.
 *
 * @param capacity  to the vent
 * @param height    of the vent port over the outlets
 * @param inletRise of the inlets over the outlets
 * @param openings  what fuel comes in at and leaves by
 * @param drain     whether it has a quick drain at its lowest point
 */
public record Header(Tag tag, Measured capacity, Measured height, Measured inletRise, Openings openings, boolean drain)
        implements Fitted {
    /** The vent or overflow at its top. */
    public static final String VENT = "vent";

    /**
     * Names of its ports.
     *
     * @param inlets  that fuel comes in at
     * @param outlets at its foot, that fuel leaves by; the first is {@link Item#OUT}
     */
    public record Openings(List<String> inlets, List<String> outlets) {
        public Openings {
            inlets = List.copyOf(inlets);
            outlets = List.copyOf(outlets);
        }
    }

    /** With one outlet and no drain. */
    public Header(Tag tag, Measured capacity, Measured height, Measured inletRise, List<String> inlets) {
        this(tag, capacity, height, inletRise, new Openings(inlets, List.of(OUT)), false);
    }

    public List<String> inlets() {
        return openings.inlets();
    }

    public List<String> outlets() {
        return openings.outlets();
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
        return new Header(other, capacity, height, inletRise, openings, drain);
    }

    public Header withCapacity(Measured other) {
        return new Header(tag, other, height, inletRise, openings, drain);
    }

    public Header withHeight(Measured other) {
        return new Header(tag, capacity, other, inletRise, openings, drain);
    }

    public Header withInletRise(Measured other) {
        return new Header(tag, capacity, height, other, openings, drain);
    }

    public Header withInlets(List<String> other) {
        return new Header(tag, capacity, height, inletRise, new Openings(other, outlets()), drain);
    }

    public Header withOutlets(List<String> other) {
        return new Header(tag, capacity, height, inletRise, new Openings(inlets(), other), drain);
    }

    public Header withDrain(boolean other) {
        return new Header(tag, capacity, height, inletRise, openings, other);
    }

    @Override
    public List<String> ports() {
        List<String> all = new ArrayList<>(inlets());
        all.addAll(outlets());
        all.add(VENT);
        return all;
    }

    /** Height of a port over the outlets, m. */
    public double rise(String port) {
        return outlets().contains(port) ? 0 : port.equals(VENT) ? height.si() : inletRise.si();
    }
}
