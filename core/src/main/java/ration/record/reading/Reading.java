package ration.record.reading;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * A figure read on the aircraft.
 *
 * @param place id of an item, item.port, or of a run
 * @param what was read
 * @param value SI; minutes for a time; 1 or 0 for a sign
 * @param error of the instrument, one standard deviation, SI, above zero
 * @param setting when it was read
 */
public record Reading(String place, What what, double value, double error, Setting setting) {

    /** What can be read. */
    public enum What {
        PRESSURE("pressure", Dimension.PRESSURE),
        FLOW("flow", Dimension.FLOW),
        /** Until the engine is short, everything left as it is. */
        MINUTES("minutes", Dimension.TIME),
        /** What leaves a tank, over ten minutes; below zero it rises. */
        FALLS("falls", Dimension.FLOW),
        /** Of the fuel there. */
        TEMPERATURE("temperature", Dimension.TEMPERATURE),
        /** At the plug of an electric pump. */
        VOLTS("volts", Dimension.VOLTAGE),
        /** An electric pump draws. */
        AMPS("amps", Dimension.CURRENT),
        FLUTTERS("pressure flutters", Dimension.NUMBER),
        SILENT("makes no sound", Dimension.NUMBER),
        STILL("does not move", Dimension.NUMBER),
        WILL_NOT_FILL("will not fill", Dimension.NUMBER),
        OVERBOARD("streams overboard", Dimension.NUMBER),
        DRIPS("drips or smells", Dimension.NUMBER),
        WATER("water in the sample", Dimension.NUMBER);

        private final String word;
        private final Dimension dimension;

        What(String word, Dimension dimension) {
            this.word = word;
            this.dimension = dimension;
        }

        public String word() {
            return word;
        }

        /** As it stands in documents and tables. */
        public String key() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        /** What a table calls so: by its key, or as the screen does. */
        public static Optional<What> written(String text) {
            String asked = text.strip().toLowerCase(Locale.ROOT);
            return java.util.Arrays.stream(values())
                    .filter(w -> w.key().equals(asked) || w.word.equals(asked))
                    .findFirst();
        }

        public Dimension dimension() {
            return dimension;
        }

        /**
         * What a usual instrument may be off by, SI, minutes for a time; of a sign, nothing that counts. Common
         * practice, no source.
         */
        public double usualError() {
            return switch (this) {
                case PRESSURE -> Unit.PSI.toSi(0.3);
                case FLOW -> Unit.GALLON_PER_HOUR.toSi(0.5);
                case FALLS -> Unit.GALLON_PER_HOUR.toSi(0.6);
                case MINUTES -> 1;
                case TEMPERATURE -> 1.5;
                case VOLTS, AMPS -> 0.3;
                case FLUTTERS, SILENT, STILL, WILL_NOT_FILL, OVERBOARD, DRIPS, WATER -> 0.1;
            };
        }

        /** Something that is so or not: 1 where it is, 0 where one looked and it is not. */
        public boolean sign() {
            return dimension == Dimension.NUMBER;
        }
    }

    public Reading {
        if (!(error > 0) || !Double.isFinite(value)) {
            throw new IllegalArgumentException("A reading is a number, and its error is above zero.");
        }
        if (what.sign() && value != 0 && value != 1) {
            throw new IllegalArgumentException("\u201c" + what.word() + "\u201d is so or not.");
        }
    }

    /** A sign that was looked for, and seen or not. */
    public static Reading sign(String place, What what, boolean seen, Setting setting) {
        return new Reading(place, what, seen ? 1 : 0, SIGN_ERROR, setting);
    }

    /** A sign has no error of an instrument; this stands in its place. */
    private static final double SIGN_ERROR = 0.1;

    /** A value with its unit; minutes as minutes, a sign as yes or no. */
    public static String text(What what, double value, UnitSystem units) {
        return what == What.MINUTES
                ? UnitSystem.figure(value, 1) + " min"
                : what.sign() ? value > 0.5 ? "yes" : "no" : units.text(value, what.dimension());
    }

    /** Where, as it is named here. */
    public String named(FuelSystem system) {
        return system.item(item()).map(Item::name).orElse(item())
                + (place.contains(".") ? ", " + place.substring(place.indexOf('.') + 1) : "");
    }

    /**
     * The place meant by an id, a name, or either with a port behind a dot.
     *
     * @throws IllegalArgumentException with a sentence that lists the parts
     */
    public static String placeOf(FuelSystem system, String written) {
        String plain = written.strip();
        int dot = plain.lastIndexOf('.');
        String head = dot < 0 ? plain : plain.substring(0, dot);
        Optional<Item> item = system.items().stream()
                .filter(i -> i.id().equalsIgnoreCase(head)
                        || i.name().toLowerCase(Locale.ROOT).equals(head.toLowerCase(Locale.ROOT)))
                .findFirst();
        if (item.isEmpty()) {
            throw new IllegalArgumentException("There is no part \u201c" + written + "\u201d. Say one of: "
                    + String.join(", ", system.items().stream().map(Item::id).toList()) + ".");
        }
        String port = dot < 0 ? "" : plain.substring(dot + 1);
        boolean run = item.get().only(Run.class).isPresent();
        if (!port.isEmpty() && !run && !item.get().ports().contains(port)) {
            throw new IllegalArgumentException(item.get().name() + " has no port \u201c" + port + "\u201d. It has: "
                    + String.join(", ", item.get().ports()) + ".");
        }
        return item.get().id() + (port.isEmpty() || run ? "" : "." + port);
    }

    /** Id of the part it is read at. */
    public String item() {
        return place.contains(".") ? place.substring(0, place.indexOf('.')) : place;
    }

    /**
     * The port a pressure is read at: as said; else the inlet of an engine, the end of a run, what leaves another part.
     */
    public PortRef port(FuelSystem system) {
        if (place.contains(".")) {
            return new PortRef(item(), place.substring(place.indexOf('.') + 1));
        }
        Optional<Run> run = system.item(place).flatMap(i -> i.only(Run.class));
        if (run.isPresent()) {
            return run.get().to();
        }
        List<String> ports = system.item(place).map(Item::ports).orElse(List.of());
        return new PortRef(
                place,
                ports.contains(Item.OUT)
                        ? Item.OUT
                        : ports.contains(Item.IN) || ports.isEmpty() ? Item.IN : ports.get(0));
    }

    /** The run whose flow is read: as said; else what arrives at a part, or leaves it. */
    public Optional<Run> run(FuelSystem system) {
        return system.item(item())
                .flatMap(i -> i.only(Run.class))
                .or(() -> system.runs().stream()
                        .filter(r -> r.to().item().equals(item()))
                        .findFirst())
                .or(() -> system.runs().stream()
                        .filter(r -> r.from().item().equals(item()))
                        .findFirst());
    }
}
