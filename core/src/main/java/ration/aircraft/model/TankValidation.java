package ration.aircraft.model;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/** What is wrong or missing in a tank: its shape, what is fitted to it, its ports and its vent. */
final class TankValidation {

    /** More than any aircraft carries, m3. */
    private static final double MOST_VOLUME = 50;

    private static final List<Point3> AXES = List.of(new Point3(1, 0, 0), new Point3(0, 1, 0), new Point3(0, 0, 1));

    private final Validation to;

    /** @param to what takes the problems found */
    TankValidation(Validation to) {
        this.to = to;
    }

    void tank(Tank tank) {
        try {
            Solid solid = tank.solid();
            if (!(solid.volume() < MOST_VOLUME) || far(solid)) {
                to.block(
                        tank.id(),
                        "Shape",
                        "Tank size or position out of range.",
                        "Check the figures and their units.");
            }
            if (tank.unusable().si() < 0 || tank.unusable().si() >= solid.volume()) {
                to.block(
                        tank.id(),
                        "Unusable fuel",
                        "It must lie between nothing and the whole tank.",
                        "Correct the placard figure or the shape.");
            }
            ribsInside(tank, solid);
        } catch (IllegalArgumentException e) {
            String why =
                    e.getMessage() == null ? "" : e.getMessage().endsWith(".") ? e.getMessage() : e.getMessage() + ".";
            to.block(
                    tank.id(),
                    "Shape",
                    "These dimensions do not enclose a volume. " + why,
                    "Enter 3 or more corners in order around the section, and two different walls.");
        }
        fitout(tank);
        if (tank.outlets().isEmpty()) {
            to.miss(tank.id(), "Outlet", "The tank has no outlet.", "Add one.");
        }
        if (tank.vent().isEmpty()) {
            to.miss(tank.id(), "Vent", "No vent. A tank needs one to feed.", "Press V to add its vent.");
        }
        tank.vent().ifPresent(v -> to.near(tank.id(), "Vent", v));
        tank.drain().ifPresent(d -> to.near(tank.id(), "Drain", d));
        Set<String> names = new HashSet<>();
        for (Outlet outlet : tank.outlets()) {
            to.near(tank.id(), "Outlet", outlet.place());
            to.bore(tank.id(), "Outlet bore", outlet.bore());
            outlet.screen().ifPresent(s -> to.rated(tank.id(), s));
            if (!names.add(outlet.name())) {
                to.block(tank.id(), "Outlet", "Two outlets are called " + outlet.name() + ".", "Rename one.");
            }
        }
        for (Tank.Entry entry : tank.returns()) {
            to.near(tank.id(), "Return", entry.place());
            if (!names.add(entry.name())) {
                to.block(tank.id(), "Return", "Two ports are called " + entry.name() + ".", "Rename one.");
            }
        }
    }

    private static boolean far(Solid solid) {
        for (Point3 axis : AXES) {
            if (solid.lowest(axis) < -Validation.FAR || solid.highest(axis) > Validation.FAR) {
                return true;
            }
        }
        return false;
    }

    private void ribsInside(Tank tank, Solid solid) {
        Point3 across = new Point3(0, 1, 0);
        double left = solid.lowest(across);
        double right = solid.highest(across);
        for (int i = 0; i < tank.fitout().ribs().size(); i++) {
            Measured at = tank.fitout().ribs().get(i).at();
            if (!(at.si() > left && at.si() < right)) {
                Unit unit = at.quantity().unit();
                to.block(
                        tank.id(),
                        "Ribs",
                        "Rib " + (i + 1) + " at " + at.quantity().shown() + " does not cross the tank, which reaches"
                                + " from butt line " + reach(unit, left) + " to " + reach(unit, right) + ".",
                        "Correct its butt line, left is below zero, or take the rib out.");
            }
        }
    }

    private static String reach(Unit unit, double metres) {
        return Quantity.of(Math.round(unit.fromSi(metres) * 100) / 100.0, unit).shown();
    }

    private void fitout(Tank tank) {
        Fitout f = tank.fitout();
        double before = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < f.ribs().size(); i++) {
            double at = f.ribs().get(i).at().si();
            if (!(at > before + 1e-6)) {
                to.block(
                        tank.id(),
                        "Ribs",
                        "Rib " + (i + 1) + " at "
                                + f.ribs().get(i).at().quantity().shown()
                                + " does not lie to the right of the one before it.",
                        "Give ribs from left to right.");
            }
            before = at;
        }
        if (!f.ribs().isEmpty() && tank.shape().only(TankShape.Cylinder.class).isPresent()) {
            to.block(tank.id(), "Ribs", "A round tank has no ribs here.", "Give it as sections, or take the ribs out.");
        }
        for (int i = 0; i < f.wells().size(); i++) {
            to.near(tank.id(), "Sump well", f.wells().get(i).floor());
            for (int k = 0; k < i; k++) {
                if (f.wells().get(i).meets(f.wells().get(k))) {
                    to.block(
                            tank.id(),
                            "Sump well",
                            "Wells " + (k + 1) + " and " + (i + 1) + " lie in one another.",
                            "Move one, or make one well of both.");
                }
            }
        }
        f.vent().ifPresent(v -> to.ventLeads(tank, v));
        f.published()
                .filter(m -> m.si() < 0)
                .ifPresent(m -> to.block(
                        tank.id(),
                        "Manufacturer's unusable",
                        "It must not be below zero.",
                        "Recheck the manufacturer's figure."));
        f.filler().ifPresent(p -> to.near(tank.id(), "Filler", p));
        f.gauge().ifPresent(p -> to.near(tank.id(), "Gauge", p));
    }
}
