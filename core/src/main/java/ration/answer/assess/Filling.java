package ration.answer.assess;

import java.util.Optional;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;

/**
 * How the tanks are filled in a case.
 *
 * @param level what all of them hold; empty where they are as somebody set them
 * @param dry id of the one of several joined tanks that is dry while the others hold that; empty where none is
 */
public record Filling(Optional<Contents> level, Optional<String> dry) {

    /** As somebody set them. */
    public static final Filling SET = new Filling(Optional.empty(), Optional.empty());

    /** All alike. */
    public static Filling of(Contents level) {
        return new Filling(Optional.of(level), Optional.empty());
    }

    /** One dry, the rest alike. */
    public static Filling dry(String tank, Contents rest) {
        return new Filling(Optional.of(rest), Optional.of(tank));
    }

    /** Whether all hold this. */
    public boolean is(Contents contents) {
        return dry.isEmpty() && level.filter(contents::equals).isPresent();
    }

    /** Full, Half, Low, Set; Left tank dry, the rest low. */
    public String label(FuelSystem system) {
        return dry.map(id -> system.item(id).map(Item::name).orElse(id) + " dry, the rest "
                        + level.map(l -> l.label().toLowerCase(java.util.Locale.ROOT))
                                .orElse("as set"))
                .orElseGet(() -> level.map(Contents::label).orElse("Set"));
    }
}
