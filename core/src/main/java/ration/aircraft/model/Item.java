package ration.aircraft.model;

import java.util.List;
import java.util.Optional;

/** Anything in the fuel system that can be picked, named and measured. */
public sealed interface Item permits Fitted, Tank, Run {

    /** The port a two-port item takes fuel in at. */
    String IN = "in";
    /** The port a two-port item gives fuel out at. */
    String OUT = "out";

    /** Unique in the system; letters, digits and dashes. */
    String id();

    /** What people call it. */
    String name();

    /** The kind in trade terms. */
    String kind();

    /** What is answered of its kind. */
    <R> R as(Kinds<R> kinds);

    /** Itself if it is of one kind: for a question that concerns no other. */
    default <T extends Item> Optional<T> only(Class<T> kind) {
        return kind.isInstance(this) ? Optional.of(kind.cast(this)) : Optional.empty();
    }

    /** The same item under another name. */
    Item renamed(String name);

    /** Names of its ports, upstream first; runs have none. */
    default List<String> ports() {
        return List.of(IN, OUT);
    }
}
