package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.TankShape.Along;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;

/**
 * A part copied to the other side of the aircraft: butt lines change their sign. Nobody measured it there, so every
 * figure of the copy is an estimate.
 */
final class Mirrored {

    private Mirrored() {}

    /** Whether a part has another side to be copied to: a tank, or what lies off the centerline. */
    static boolean possible(Item item) {
        return item.only(Tank.class).isPresent()
                || item.only(EngineInlet.class).isEmpty()
                        && item.only(Fitted.class)
                                .filter(f -> Math.abs(f.place().buttLine().si()) > OFF_CENTER)
                                .isPresent();
    }

    private static final double OFF_CENTER = 0.0254;

    /** With the copy beside it; the same where the part is gone. */
    static FuelSystem added(FuelSystem system, String id) {
        Optional<Item> copy = system.item(id).flatMap(i -> copy(system, i));
        return copy.map(system::plus).orElse(system);
    }

    private static Optional<Item> copy(FuelSystem system, Item item) {
        String name = system.freeName(otherSide(item.name()));
        String id = system.freeId(name);
        Optional<Item> tank = item.only(Tank.class)
                .map(t -> new Tank(
                        id,
                        name,
                        mirrored(t.shape()),
                        t.outlets(),
                        t.returns(),
                        t.vent(),
                        t.drain(),
                        t.unusable(),
                        t.fitout()));
        return tank.or(() -> item.only(Fitted.class).map(f -> f.with(new Tag(id, name, f.place()))))
                .map(Mirrored::turned);
    }

    /** Left for right and right for left. */
    static String otherSide(String name) {
        if (name.matches("(?i).*\\bleft\\b.*")) {
            return name.replaceAll("\\bLeft\\b", "Right")
                    .replaceAll("\\bleft\\b", "right")
                    .replaceAll("\\bLEFT\\b", "RIGHT");
        }
        return name.replaceAll("\\bRight\\b", "Left")
                .replaceAll("\\bright\\b", "left")
                .replaceAll("\\bRIGHT\\b", "LEFT");
    }

    /** Every figure an estimate, and butt lines on the other side; the shape is there already. */
    private static Item turned(Item item) {
        Item now = item;
        for (Field f : FieldSheet.of(item)) {
            Measured m = f.get().apply(now);
            boolean over = !f.key().startsWith("shape.")
                    && (f.key().endsWith("buttLine") || f.key().matches("ribs\\[\\d+]\\.at"));
            now = f.with().apply(now, over ? negative(m) : estimate(m));
        }
        return now;
    }

    private static TankShape mirrored(TankShape shape) {
        return shape.as(
                box -> new TankShape.Box(
                        at(
                                box.corner(),
                                -box.corner().buttLine().si() - box.width().si()),
                        box.length(),
                        box.width(),
                        box.height()),
                prism -> new TankShape.Prism(prism.corners(), negative(prism.rightWall()), negative(prism.leftWall())),
                drum -> new TankShape.Cylinder(
                        at(
                                drum.from(),
                                -drum.from().buttLine().si()
                                        - (drum.along() == Along.BUTT_LINE
                                                ? drum.length().si()
                                                : 0)),
                        drum.along(),
                        drum.length(),
                        drum.diameter()),
                Mirrored::mirrored);
    }

    private static TankShape mirrored(TankShape.Sections shape) {
        List<TankShape.Section> all = new ArrayList<>();
        for (TankShape.Section s : shape.sections()) {
            if (shape.along() == Along.BUTT_LINE) {
                all.add(0, new TankShape.Section(negative(s.at()), s.points()));
            } else {
                all.add(new TankShape.Section(
                        s.at(),
                        s.points().stream()
                                .map(p -> new TankShape.SectionPoint(negative(p.across()), p.waterLine()))
                                .toList()));
            }
        }
        return new TankShape.Sections(shape.along(), all);
    }

    private static Place at(Place p, double buttLine) {
        return new Place(
                p.station(), value(p.buttLine(), p.buttLine().quantity().unit().fromSi(buttLine)), p.waterLine());
    }

    private static Measured negative(Measured m) {
        return value(m, 0 - m.quantity().value());
    }

    private static Measured estimate(Measured m) {
        return value(m, m.quantity().value());
    }

    private static Measured value(Measured m, double value) {
        return new Measured(Quantity.of(value, m.quantity().unit()), ItemEdits.BY);
    }
}
