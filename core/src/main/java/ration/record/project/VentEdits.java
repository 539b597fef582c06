package ration.record.project;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPlenum;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/** Vents that come together, part again, and lead elsewhere when what they led to is taken away. */
final class VentEdits {

    private static final String BY = "estimate";
    private static final double INCH = 0.0254;

    private VentEdits() {}

    /** A line nobody has measured yet. */
    static VentLine usual() {
        return new VentLine(
                Measured.of(0.305, Unit.INCH, BY),
                Measured.of(36, Unit.INCH, BY),
                Measured.of(0, Unit.ONE, BY),
                false,
                List.of());
    }

    /** Tanks and plenums that a vent could lead to. */
    static List<Item> leadingTo(FuelSystem system, String from) {
        return Stream.<Item>concat(system.tanks().stream(), system.all(VentPlenum.class))
                .filter(i -> !i.id().equals(from))
                .toList();
    }

    /** How many vented tanks lead straight outside. */
    static long ownWays(FuelSystem system) {
        return system.tanks().stream().filter(VentEdits::ownWay).count();
    }

    private static boolean ownWay(Tank t) {
        return t.vent().isPresent() && t.fitout().vent().flatMap(VentLine::to).isEmpty();
    }

    /**
     * A plenum between the tips of all tanks that led outside, which now lead to it; its own tip four inches over it.
     */
    static FuelSystem joined(FuelSystem system) {
        List<Tank> tanks = system.tanks().stream().filter(VentEdits::ownWay).toList();
        if (tanks.isEmpty()) {
            // they lead there already, or went since it was offered
            return system;
        }
        Point3 sum = tanks.stream().map(t -> t.vent().orElseThrow().point()).reduce(new Point3(0, 0, 0), Point3::plus);
        Point3 middle = sum.times(1.0 / tanks.size());
        String id = system.freeId("vent-plenum");
        VentPlenum plenum = new VentPlenum(
                new Tag(id, system.freeName("Vent plenum"), Place.estimated(middle)),
                usual(),
                Place.estimated(middle.plus(new Point3(0, 0, 4 * INCH))));
        FuelSystem now = system.plus(plenum);
        for (Tank t : tanks) {
            Fitout f = t.fitout();
            now = now.replace(t.with(
                    f.withVent(Optional.of(f.vent().orElseGet(VentEdits::usual).leadingTo(Optional.of(id))))));
        }
        return now;
    }

    /** Vents that led to an item taken away lead outside again. */
    static FuelSystem without(FuelSystem system, String gone) {
        FuelSystem now = system;
        for (Item item : system.items()) {
            Optional<VentLine> line = VentLine.of(item)
                    .filter(v -> v.to().filter(gone::equals).isPresent())
                    .map(v -> v.leadingTo(Optional.empty()));
            if (line.isPresent()) {
                now = now.change(item.id(), Tank.class, t -> t.with(t.fitout().withVent(line)))
                        .change(item.id(), VentPlenum.class, p -> p.with(line.get()));
            }
        }
        return now;
    }
}
