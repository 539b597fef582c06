package ration.answer.measure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Stream;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.Quantity;
import ration.record.project.Edit;

/**
 * All that tape, level and caliper find on an aircraft, in the order one walks around it: tanks, the parts between them
 * and the engine, the lines. What is measured is told by the document, so a walk is left and taken up again at will.
 */
public final class WalkRound {

    private WalkRound() {}

    /** What is measured at a stop, and so with what. */
    public enum Kind {
        PLACE("Height by hose or level; station and butt line by tape, from plumb marks on the floor."),
        LENGTHS("Tape for what is long, caliper or drill shank for a bore."),
        LINE("Tape along the tube from port to port, around every bend.");

        private final String tells;

        Kind(String tells) {
            this.tells = tells;
        }

        /** How it is measured, in a sentence. */
        public String tells() {
            return tells;
        }
    }

    /**
     * A figure that is wanted.
     *
     * @param item id
     * @param field key of it on the item
     * @param now as the document has it
     */
    public record Asked(String item, String field, String label, Measured now) {

        /** Whether somebody measured it. */
        public boolean measured() {
            return !now.by().isBlank() && !Method.of(now).guessed();
        }

        /** Puts a reading in its place. */
        public Edit take(Quantity read, String by) {
            Measured then = new Measured(read, by.strip());
            return Edit.of("Set " + label.toLowerCase(Locale.ROOT), p -> p.system()
                    .item(item)
                    .flatMap(i -> FieldSheet.of(i, field)
                            .map(f -> p.with(p.system().replace(f.with().apply(i, then)))))
                    .orElse(p));
        }
    }

    /**
     * Where one stands.
     *
     * @param key stable: the item with the place on it
     * @param title of the item, and of the place
     */
    public record Stop(String key, String title, Kind kind, List<Asked> asked) {

        public Stop {
            asked = List.copyOf(asked);
        }

        public long measured() {
            return asked.stream().filter(Asked::measured).count();
        }

        public boolean done() {
            return measured() == asked.size();
        }
    }

    /** Every stop of a layout. */
    public static List<Stop> of(FuelSystem s) {
        List<Stop> all = new ArrayList<>();
        List<Item> lines = List.copyOf(s.runs());
        List<Item> tanks = List.copyOf(s.tanks());
        Stream.of(
                        tanks.stream(),
                        s.items().stream().filter(i -> !tanks.contains(i) && !lines.contains(i)),
                        lines.stream())
                .flatMap(i -> i)
                .forEach(i -> stops(all, i, lines.contains(i)));
        return List.copyOf(all);
    }

    private static void stops(List<Stop> all, Item item, boolean line) {
        Map<String, List<Asked>> places = new LinkedHashMap<>();
        Map<String, String> names = new LinkedHashMap<>();
        List<Asked> rest = new ArrayList<>();
        for (Field f : FieldSheet.of(item)) {
            if (f.unit().dimension() != Dimension.LENGTH || f.limit()) {
                continue;
            }
            Asked asked = new Asked(item.id(), f.key(), f.label(), f.get().apply(item));
            if (f.place().isPresent()) {
                String place = f.key().substring(0, f.key().lastIndexOf('.'));
                places.computeIfAbsent(place, k -> new ArrayList<>()).add(asked);
                names.put(place, f.place().get());
            } else {
                rest.add(asked);
            }
        }
        if (line && !rest.isEmpty()) {
            all.add(new Stop(item.id(), item.name(), Kind.LINE, rest));
        }
        places.forEach((place, asked) -> all.add(new Stop(
                item.id() + "/" + place,
                item.name()
                        + (names.get(place).isEmpty()
                                ? ""
                                : ", " + names.get(place).toLowerCase(Locale.ROOT)),
                Kind.PLACE,
                asked)));
        if (!line && !rest.isEmpty()) {
            all.add(new Stop(item.id(), item.name() + ", bores and lengths", Kind.LENGTHS, rest));
        }
    }

    /** The first stop from here on with something to measure, round to the first again; empty where all is measured. */
    public static OptionalInt next(List<Stop> stops, int from) {
        for (int i = 0; i < stops.size(); i++) {
            int at = Math.floorMod(from + i, stops.size());
            if (!stops.get(at).done()) {
                return OptionalInt.of(at);
            }
        }
        return OptionalInt.empty();
    }
}
