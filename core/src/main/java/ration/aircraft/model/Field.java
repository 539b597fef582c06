package ration.aircraft.model;

import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * One measured figure of a kind of item: how it is called, read and set. It holds no item: it reads and sets it in the
 * one it is given, so nothing read earlier is ever written back.
 *
 * @param key stable word, the path of the figure within its item in the file: loss.flow, points[0].waterLine
 * @param label for eyes; unique within the item
 * @param unit meant when none is written
 * @param get of an item of the kind it was made for
 * @param with the same item with another figure
 * @param place name of the place on the item that it is a figure of, empty of the item's own; none where it is no place
 */
public record Field(
        String key,
        String label,
        Unit unit,
        Function<Item, Measured> get,
        BiFunction<Item, Measured, Item> with,
        Optional<String> place) {

    private static final Set<String> LIMITS = Set.of("opening", "rating", "grain", "wire.gauge", "wire.length");

    /** Whether it is what a maker allows: things are held against it, and it changes nothing in the way of the fuel. */
    public boolean limit() {
        return LIMITS.contains(key);
    }
}
