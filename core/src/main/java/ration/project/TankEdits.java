package ration.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.geometry.Point2;
import ration.geometry.Point3;
import ration.model.FingerScreen;
import ration.model.Fitout;
import ration.model.FuelSystem;
import ration.model.Measured;
import ration.model.Outlet;
import ration.model.Place;
import ration.model.Rated;
import ration.model.Tank;
import ration.model.TankShape;
import ration.quantity.Unit;

/** What the card of a tank offers beside its figures: corners, outlets and screens, what is fitted to it, its vent, its ribs. */
final class TankEdits {

    private final ItemEdits edits;
    private final FuelSystem system;

    TankEdits(ItemEdits edits, FuelSystem system) {
        this.edits = edits;
        this.system = system;
    }

    void offer(Tank tank) {
        if (tank.shape() instanceof TankShape.Box box) {
            List<TankShape.Corner> corners = new ArrayList<>();
            for (Point2 p : box.section()) {
                corners.add(corner(p.x(), p.z(), box.corner().station().by()));
            }
            edits.add("Draw by corners", tank.withShape(new TankShape.Prism(corners, box.corner().buttLine(),
                    ItemEdits.inches(box.right(), box.width().by()))));
        } else if (tank.shape() instanceof TankShape.Prism prism) {
            List<TankShape.Corner> more = new ArrayList<>(prism.corners());
            if (more.size() > 1) {
                Point2 a = prism.section().get(more.size() - 1);
                Point2 b = prism.section().get(0);
                more.add(corner((a.x() + b.x()) / 2, (a.z() + b.z()) / 2, ItemEdits.BY));
                edits.add("Add corner", tank.withShape(new TankShape.Prism(more, prism.leftWall(), prism.rightWall())));
            }
            if (prism.corners().size() > 3) {
                edits.add("Remove corner", tank.withShape(new TankShape.Prism(
                        prism.corners().subList(0, prism.corners().size() - 1), prism.leftWall(),
                        prism.rightWall())));
            }
        }
        outlets(tank);
        fitout(tank);
    }

    private void fitout(Tank tank) {
        Fitout f = tank.fitout();
        Point3 at = tank.outlets().isEmpty() ? new Point3(0, 0, 0) : tank.outlets().get(0).place().point();
        Point3 over;
        try {
            over = new Point3(at.x(), at.y(), tank.shell().highest(new Point3(0, 0, 1)));
        } catch (IllegalArgumentException e) {
            return;
        }
        edits.add(f.filler().isEmpty() ? "Give filler lip" : "No filler lip", tank.with(f.withFiller(f.filler().isEmpty()
                ? Optional.of(Place.estimated(over.plus(new Point3(0, 0, -0.3 * ItemEdits.INCH)))) : Optional.empty())));
        edits.add(f.gauge().isEmpty() ? "Give gauge" : "No gauge", tank.with(f.withGauge(f.gauge().isEmpty()
                ? Optional.of(Place.estimated(at)) : Optional.empty())));
        edits.add(f.published().isEmpty() ? "Give maker's unusable" : "No maker's unusable", tank.with(f.withPublished(
                f.published().isEmpty() ? Optional.of(tank.unusable().with(tank.unusable().quantity())) : Optional.empty())));
        piece(tank, Fitout.Piece.LEVEL_SENDER, "Add level sender", "No level sender");
        piece(tank, Fitout.Piece.SECOND_AIR, "Cap vented too", "Cap not vented");
        piece(tank, Fitout.Piece.CAP_SEAL, "Add cap seal", "No cap seal");
        piece(tank, Fitout.Piece.ACCESS_PLATE, "Add access plate", "No access plate");
        if (tank.vent().isPresent()) {
            vent(tank, f, over);
        }
        if (f.wells().isEmpty()) {
            edits.add("Add sump well", tank.with(f.withWells(List.of(new Fitout.Well(Place.estimated(at.plus(new Point3(0, 0,
                    -1.5 * ItemEdits.INCH))), Measured.of(4, Unit.INCH, ItemEdits.BY), Measured.of(4, Unit.INCH, ItemEdits.BY))))));
        } else {
            edits.add("Remove sump well", tank.with(f.withWells(f.wells().subList(0, f.wells().size() - 1))));
        }
        ribs(tank, f);
    }

    private void piece(Tank tank, Fitout.Piece piece, String fit, String take) {
        boolean fitted = tank.fitout().has(piece);
        edits.add(fitted ? take : fit, tank.with(tank.fitout().with(piece, !fitted)));
    }

    private void vent(Tank tank, Fitout f, Point3 over) {
        if (f.vent().isEmpty()) {
            edits.add("Give vent line", tank.with(f.withVent(Optional.of(VentEdits.usual()))));
        } else {
            edits.ventLine(f.vent().get(), tank.id(), over, tank.vent().orElseThrow().point(), v -> tank.with(f.withVent(Optional.of(v))));
            edits.add("No vent line", tank.with(f.withVent(Optional.empty())));
        }
        if (VentEdits.ownWays(system) > 1) {
            edits.add("Join all vents in a plenum", VentEdits.joined(system));
        }
    }

    private void ribs(Tank tank, Fitout f) {
        if (!(tank.shape() instanceof TankShape.Cylinder) && f.ribs().size() < 12) {
            double last = f.ribs().isEmpty() ? tank.shape().left() : f.ribs().get(f.ribs().size() - 1).at().si();
            double x = tank.outlets().isEmpty() ? tank.shape().section().get(0).x()
                    : tank.outlets().get(0).place().point().x();
            double bl = (last + tank.shape().right()) / 2;
            double floor = tank.shell().floorAt(x, bl).orElse(0);
            List<Fitout.Rib> more = new ArrayList<>(f.ribs());
            more.add(new Fitout.Rib(ItemEdits.inches(bl, ItemEdits.BY), List.of(new Fitout.Opening(ItemEdits.inches(x, ItemEdits.BY), ItemEdits.inches(floor, ItemEdits.BY),
                    Fitout.Passes.BOTH_WAYS))));
            edits.add("Add rib", tank.with(f.withRibs(more)));
        }
        for (int i = 0; i < f.ribs().size(); i++) {
            Fitout.Rib r = f.ribs().get(i);
            for (int k = 0; k < r.openings().size(); k++) {
                Fitout.Opening o = r.openings().get(k);
                Fitout.Passes next = Fitout.Passes.values()[(o.passes().ordinal() + 1) % Fitout.Passes.values().length];
                List<Fitout.Opening> changed = new ArrayList<>(r.openings());
                changed.set(k, new Fitout.Opening(o.along(), o.waterLine(), next));
                edits.add("Rib " + (i + 1) + " hole " + (k + 1) + ": " + next.label().toLowerCase(java.util.Locale.ROOT),
                        tank.with(f.withRibs(put(f.ribs(), i, new Fitout.Rib(r.at(), changed)))));
            }
            List<Fitout.Opening> more = new ArrayList<>(r.openings());
            more.add(new Fitout.Opening(more.isEmpty() ? ItemEdits.inches(tank.shape().section().get(0).x(), ItemEdits.BY) : more.get(0).along(),
                    more.isEmpty() ? ItemEdits.inches(tank.shape().section().get(0).z(), ItemEdits.BY) : more.get(0).waterLine(),
                    Fitout.Passes.BOTH_WAYS));
            edits.add("Rib " + (i + 1) + ": add hole", tank.with(f.withRibs(put(f.ribs(), i, new Fitout.Rib(r.at(), more)))));
            List<Fitout.Rib> fewer = new ArrayList<>(f.ribs());
            fewer.remove(i);
            edits.add("Remove rib " + (i + 1), tank.with(f.withRibs(fewer)));
        }
    }

    private void outlets(Tank tank) {
        for (int i = 0; i < tank.outlets().size(); i++) {
            Outlet o = tank.outlets().get(i);
            String of = tank.outlets().size() == 1 ? "Outlet" : "Outlet " + (i + 1);
            if (o.edge() == Outlet.Edge.UNSAID) {
                for (Outlet.Edge e : Outlet.Edge.values()) {
                    if (e != Outlet.Edge.UNSAID) {
                        edits.add(of + " measured at: " + e.label().toLowerCase(java.util.Locale.ROOT), tank.withOutlets(put(tank.outlets(),
                                i, o.with(e))));
                    }
                }
            } else {
                edits.add(of + " not measured at: " + o.edge().label().toLowerCase(java.util.Locale.ROOT), tank.withOutlets(put(
                        tank.outlets(), i, o.with(Outlet.Edge.UNSAID))));
            }
            if (o.finger().isEmpty()) {
                edits.add(tank.outlets().size() == 1 ? "Give screen's build" : "Give screen's build " + (i + 1),
                        tank.withOutlets(put(tank.outlets(), i, o.withFinger(Optional.of(new FingerScreen(
                        Measured.of(12, Unit.ONE, ItemEdits.BY), Measured.of(0.018, Unit.INCH, ItemEdits.BY), Measured.of(0.5, Unit.INCH, ItemEdits.BY),
                        Measured.of(1.5, Unit.INCH, ItemEdits.BY)))))));
            }
            if (o.screen().isEmpty()) {
                edits.add(tank.outlets().size() == 1 ? "Add screen" : "Add screen " + (i + 1), tank.withOutlets(put(tank.outlets(),
                        i, o.withScreen(Optional.of(Rated.of(20, 0.012, ItemEdits.BY))))));
            }
        }
        if (!tank.outlets().isEmpty() && tank.outlets().size() < 4) {
            Outlet first = tank.outlets().get(0);
            List<Outlet> more = new ArrayList<>(tank.outlets());
            more.add(new Outlet("outlet-" + (more.size() + 1),
                    Place.estimated(first.place().point().plus(new Point3(-3 * ItemEdits.INCH, 0, 0))), first.bore(),
                    Optional.empty()));
            edits.add("Add outlet", tank.withOutlets(more));
        }
    }

    private static <T> List<T> put(List<T> list, int at, T value) {
        List<T> copy = new ArrayList<>(list);
        copy.set(at, value);
        return copy;
    }

    private static TankShape.Corner corner(double x, double z, String by) {
        return new TankShape.Corner(ItemEdits.inches(x, by), ItemEdits.inches(z, by));
    }
}
