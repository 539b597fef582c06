package ration.publish.packet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;

/**
 * A place of an item, its figures gathered from those the item has.
 *
 * @param name of the place on the item; empty where it is the item's own
 * @param along station, m; NaN where the place has none
 * @param across butt line, m; NaN where it has none
 * @param up water line, m; NaN where it has none
 * @param by how it was measured; several where its figures differ
 */
record Placed(String name, double along, double across, double up, String by) {

    private static final String STATION = ".station";
    private static final String BUTT = ".buttLine";
    private static final String WATER = ".waterLine";

    /** Whether a figure is one of a place, and printed with it. */
    static boolean of(Field f) {
        return f.place().isPresent();
    }

    /** Every place of an item, in the order of its figures. */
    static List<Placed> of(Item item) {
        Map<String, Map<String, Field>> groups = new LinkedHashMap<>();
        for (Field f : FieldSheet.of(item)) {
            if (of(f)) {
                int cut = f.key().lastIndexOf('.');
                groups.computeIfAbsent(f.key().substring(0, cut), k -> new LinkedHashMap<>())
                        .put(f.key().substring(cut), f);
            }
        }
        List<Placed> all = new ArrayList<>();
        groups.forEach((key, fields) -> {
            Field any = fields.values().iterator().next();
            Set<String> ways = new LinkedHashSet<>();
            fields.values().forEach(f -> ways.add(f.get().apply(item).by()));
            all.add(new Placed(
                    any.place().orElseThrow(),
                    value(item, fields, STATION),
                    value(item, fields, BUTT),
                    value(item, fields, WATER),
                    ways.stream().map(w -> w.isBlank() ? "no source" : w).collect(Collectors.joining(", "))));
        });
        return all;
    }

    private static double value(Item item, Map<String, Field> fields, String which) {
        Field f = fields.get(which);
        Measured m = f == null ? null : f.get().apply(item);
        return m == null ? Double.NaN : m.si();
    }

    Point3 at() {
        return new Point3(along, across, up);
    }

    /** With the item it is on. */
    String named(Item item) {
        return name.isEmpty() ? item.name() : item.name() + ", " + name.toLowerCase(java.util.Locale.ROOT);
    }
}
