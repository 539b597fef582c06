package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.base.quantity.Measured;

/**
 * A header or collector tank. It stands at its outlets; its level is not given but follows from what runs in and out.
 * Small, so its ports are taken to stand straight over each other.
 *
 * @param capacity to the vent
 * @param height of the vent port over the outlets
 * @param inletRise of the inlets over the outlets
 * @param openings what fuel comes in at and leaves by
 * @param build how it is made
 */
public record Header(Tag tag, Measured capacity, Measured height, Measured inletRise, Openings openings, Build build)
        implements Fitted {
    /** The vent or overflow at its top; more are vent-2 and so on. */
    public static final String VENT = "vent";

    /**
     * Names of its ports.
     *
     * @param inlets that fuel comes in at
     * @param outlets at its foot, that fuel leaves by; the first is {@link Item#OUT}
     * @param vents at its top, vents and overflows; the first is {@link Header#VENT}
     */
    public record Openings(List<String> inlets, List<String> outlets, List<String> vents) {
        public Openings {
            inlets = List.copyOf(inlets);
            outlets = List.copyOf(outlets);
            vents = List.copyOf(vents);
        }

        /** With one vent. */
        public Openings(List<String> inlets, List<String> outlets) {
            this(inlets, outlets, List.of(VENT));
        }
    }

    /**
     * How a header is made.
     *
     * @param form of its sides
     * @param drain whether it has a quick drain at its lowest point
     * @param lowLight height over the outlets at which a light comes on in front of the pilot; empty where none is
     *     fitted
     */
    public record Build(Form form, boolean drain, Optional<Measured> lowLight) {
        /** Upright, nothing fitted. */
        public static final Build PLAIN = new Build(Form.UPRIGHT, false, Optional.empty());
    }

    /** How it narrows: what of it lies under a height. */
    public enum Form {
        UPRIGHT("Upright sides"),
        LYING("Lying cylinder"),
        TAPERED("Narrows to its foot");

        private final String label;

        Form(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /**
         * Share of the capacity under a share of the height, both 0 to 1; a tapered one is a wedge, its width as the
         * height.
         */
        public double under(double height) {
            double h = Math.max(0, Math.min(1, height));
            double angle = 2 * Math.acos(1 - 2 * h);
            return switch (this) {
                case UPRIGHT -> h;
                case LYING -> (angle - Math.sin(angle)) / (2 * Math.PI);
                case TAPERED -> h * h;
            };
        }
    }

    /** With one outlet and nothing fitted. */
    public Header(Tag tag, Measured capacity, Measured height, Measured inletRise, List<String> inlets) {
        this(tag, capacity, height, inletRise, new Openings(inlets, List.of(OUT)), Build.PLAIN);
    }

    public List<String> inlets() {
        return openings.inlets();
    }

    public List<String> outlets() {
        return openings.outlets();
    }

    public List<String> vents() {
        return openings.vents();
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
        return new Header(other, capacity, height, inletRise, openings, build);
    }

    public Header withCapacity(Measured other) {
        return new Header(tag, other, height, inletRise, openings, build);
    }

    public Header withHeight(Measured other) {
        return new Header(tag, capacity, other, inletRise, openings, build);
    }

    public Header withInletRise(Measured other) {
        return new Header(tag, capacity, height, other, openings, build);
    }

    public Header withInlets(List<String> other) {
        return new Header(tag, capacity, height, inletRise, new Openings(other, outlets(), vents()), build);
    }

    public Header withOutlets(List<String> other) {
        return new Header(tag, capacity, height, inletRise, new Openings(inlets(), other, vents()), build);
    }

    public Header withVents(List<String> other) {
        return new Header(tag, capacity, height, inletRise, new Openings(inlets(), outlets(), other), build);
    }

    public Header with(Build other) {
        return new Header(tag, capacity, height, inletRise, openings, other);
    }

    public Header withDrain(boolean other) {
        return with(new Build(build.form(), other, build.lowLight()));
    }

    public Header with(Form other) {
        return with(new Build(other, drain(), build.lowLight()));
    }

    public Header withLowLight(Optional<Measured> other) {
        return with(new Build(build.form(), drain(), other));
    }

    public boolean drain() {
        return build.drain();
    }

    /** What it holds under its light, m3; empty where none is fitted. */
    public Optional<Double> underLight() {
        return build.lowLight().map(l -> capacity.si() * build.form().under(l.si() / height.si()));
    }

    @Override
    public List<String> ports() {
        List<String> all = new ArrayList<>(inlets());
        all.addAll(outlets());
        all.addAll(vents());
        return all;
    }

    /** Height of a port over the outlets, m. */
    public double rise(String port) {
        return outlets().contains(port) ? 0 : vents().contains(port) ? height.si() : inletRise.si();
    }
}
