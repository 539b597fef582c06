package ration.publish.drawing;

import java.util.List;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Once;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * A layout all of whose tanks have a body: where measures close none, a box stands for it at its ports, and its name
 * says so. What is wrong with one tank never takes the drawing of the others away.
 */
final class Drawable {

    /** Added to the name of what is drawn instead. */
    static final String SAID = ", outline not closed";

    private static final double ACROSS = Unit.INCH.toSi(12);
    private static final double HIGH = Unit.INCH.toSi(6);
    private static final Once<FuelSystem, FuelSystem> MADE = new Once<>(Drawable::made);

    private Drawable() {}

    /** The layout itself where every tank closes. */
    static FuelSystem of(FuelSystem system) {
        return system.tanks().stream().allMatch(Drawable::closes) ? system : MADE.of(system);
    }

    private static FuelSystem made(FuelSystem system) {
        return system.withItems(system.items().stream()
                .map(i -> i.only(Tank.class)
                        .filter(t -> !closes(t))
                        .<ration.aircraft.model.Item>map(Drawable::instead)
                        .orElse(i))
                .toList());
    }

    private static Tank instead(Tank t) {
        Tank plain = t.with(t.fitout().withWells(List.of())).renamed(t.name() + SAID);
        return closes(plain) ? plain : plain.withShape(box(t));
    }

    /** Around where fuel leaves it, or comes back, or air comes in. */
    private static TankShape box(Tank t) {
        Place at = t.outlets().stream()
                .map(o -> o.place())
                .findFirst()
                .or(() -> t.returns().stream().map(Tank.Entry::place).findFirst())
                .or(t::vent)
                .orElseGet(() -> Place.inches(0, 0, 0));
        Measured across = Measured.of(Unit.INCH.fromSi(ACROSS), Unit.INCH, "");
        return new TankShape.Box(
                new Place(at.station().plus(-ACROSS / 2), at.buttLine().plus(-ACROSS / 2), at.waterLine()),
                across,
                across,
                Measured.of(Unit.INCH.fromSi(HIGH), Unit.INCH, ""));
    }

    private static boolean closes(Tank t) {
        try {
            return t.solid().volume() > 0;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }
}
