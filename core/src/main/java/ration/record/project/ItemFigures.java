package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** The measured figures a card shows: those of the item's sheet, and of the firewall beside the engine inlet. */
public final class ItemFigures {

    /**
     * One figure of an item.
     *
     * @param key stable
     * @param label unique for the item
     * @param value now
     * @param unit meant when none is written
     * @param set another figure, in the item as it stands in the system given; nothing where it has no such figure
     *     there
     */
    public record Figure(
            String key, String label, Measured value, Unit unit, Function<Measured, UnaryOperator<FuelSystem>> set) {}

    private ItemFigures() {}

    /** Every figure of an item. */
    public static List<Figure> of(Item item, FuelSystem system) {
        List<Figure> figures = new ArrayList<>();
        for (Field f : FieldSheet.of(item)) {
            figures.add(new Figure(
                    f.key(), f.label(), f.get().apply(item), f.unit(), m -> s -> set(s, item.id(), f.key(), m)));
        }
        if (item.only(EngineInlet.class).isPresent()) {
            system.firewall().ifPresent(w -> {
                figures.add(wall("station", "Firewall sta", w.station(), (x, m) -> new Firewall(m, x.top(), x.foot())));
                figures.add(wall("top", "Firewall top", w.top(), (x, m) -> new Firewall(x.station(), m, x.foot())));
                figures.add(wall("foot", "Firewall foot", w.foot(), (x, m) -> new Firewall(x.station(), x.top(), m)));
            });
        }
        return figures;
    }

    private static FuelSystem set(FuelSystem system, String id, String key, Measured m) {
        return system.item(id)
                .flatMap(i ->
                        FieldSheet.of(i, key).map(f -> system.replace(f.with().apply(i, m))))
                .orElse(system);
    }

    private static Figure wall(
            String key, String label, Measured value, java.util.function.BiFunction<Firewall, Measured, Firewall> set) {
        return new Figure(
                "firewall." + key,
                label,
                value,
                Unit.INCH,
                m -> s -> s.with(Optional.of(set.apply(s.firewall().orElseThrow(), m))));
    }
}
