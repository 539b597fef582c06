package ration.record.project;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.SectionFields;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;

/** How the corners of a tank were measured: one saying for all figures of its shape, which are read in one go. */
public final class ShapeSource {

    private static final String SHAPE = "shape";

    private ShapeSource() {}

    private static List<Field> figures(Item tank) {
        return Stream.concat(
                        FieldSheet.of(tank).stream(),
                        tank.only(Tank.class).stream().flatMap(t -> SectionFields.of(t).stream()))
                .filter(f -> f.key().startsWith(SHAPE))
                .toList();
    }

    /** What is said of all of them alike; empty where it differs, or nothing is said. */
    public static Optional<String> of(Tank tank) {
        List<String> said = figures(tank).stream()
                .map(f -> f.get().apply(tank).by())
                .distinct()
                .toList();
        return said.size() == 1 && !said.get(0).isBlank() ? Optional.of(said.get(0)) : Optional.empty();
    }

    /** With this said of every figure of the shape; the figures stay. */
    public static FuelSystem said(FuelSystem system, String tank, String by) {
        Optional<Item> found = system.item(tank).filter(i -> i.only(Tank.class).isPresent());
        if (found.isEmpty()) {
            return system;
        }
        Item now = found.get();
        for (Field f : figures(now)) {
            now = f.with().apply(now, new Measured(f.get().apply(now).quantity(), by));
        }
        return system.replace(now);
    }
}
