package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.geometry.Point2;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * What the card of a tank offers beside its figures: corners, outlets and screens, what is fitted to it, its vent, its
 * ribs.
 */
final class TankEdits {

    private final ItemEdits edits;
    private final FuelSystem system;

    TankEdits(ItemEdits edits, FuelSystem system) {
        this.edits = edits;
        this.system = system;
    }

    void offer(Tank tank) {
        tank.shape()
                .only(TankShape.Box.class)
                .ifPresent(box -> edits.add("Draw by corners", tank, TankEdits::byCorners));
        tank.shape().only(TankShape.Prism.class).ifPresent(prism -> {
            if (prism.corners().size() > 1) {
                edits.add("Add corner", tank, TankEdits::withCorner);
            }
            if (prism.corners().size() > 3) {
                edits.add("Remove corner", tank, TankEdits::withoutCorner);
            }
        });
        outlets(tank);
        fitout(tank);
    }

    private static Tank byCorners(Tank tank) {
        return tank.shape()
                .only(TankShape.Box.class)
                .map(box -> byCorners(tank, box))
                .orElse(tank);
    }

    private static Tank byCorners(Tank tank, TankShape.Box box) {
        List<TankShape.Corner> corners = box.section().stream()
                .map(p -> corner(p.x(), p.z(), box.corner().station().by()))
                .toList();
        return tank.withShape(new TankShape.Prism(
                corners,
                box.corner().buttLine(),
                ItemEdits.inches(box.right(), box.width().by())));
    }

    private static Tank withCorner(Tank tank) {
        return tank.shape()
                .only(TankShape.Prism.class)
                .map(prism -> withCorner(tank, prism))
                .orElse(tank);
    }

    private static Tank withCorner(Tank tank, TankShape.Prism prism) {
        Point2 a = ItemEdits.last(prism.section());
        Point2 b = prism.section().get(0);
        return tank.withShape(new TankShape.Prism(
                ItemEdits.and(prism.corners(), corner((a.x() + b.x()) / 2, (a.z() + b.z()) / 2, ItemEdits.BY)),
                prism.leftWall(),
                prism.rightWall()));
    }

    private static Tank withoutCorner(Tank tank) {
        return tank.shape()
                .only(TankShape.Prism.class)
                .filter(prism -> prism.corners().size() > 3)
                .map(prism -> tank.withShape(
                        new TankShape.Prism(ItemEdits.butLast(prism.corners()), prism.leftWall(), prism.rightWall())))
                .orElse(tank);
    }

    private void fitout(Tank tank) {
        Fitout f = tank.fitout();
        Point3 at = tank.outlets().isEmpty()
                ? new Point3(0, 0, 0)
                : tank.outlets().get(0).place().point();
        Point3 over;
        try {
            over = new Point3(at.x(), at.y(), tank.shell().highest(new Point3(0, 0, 1)));
        } catch (IllegalArgumentException e) {
            return;
        }
        Place lip = Place.estimated(over.plus(new Point3(0, 0, -0.3 * ItemEdits.INCH)));
        given(
                tank,
                f.filler().isPresent(),
                "Enter filler height",
                x -> x.withFiller(Optional.of(lip)),
                "Remove filler height",
                x -> x.withFiller(Optional.empty()));
        given(
                tank,
                f.gauge().isPresent(),
                "Add gauge",
                x -> x.withGauge(Optional.of(Place.estimated(at))),
                "Remove gauge",
                x -> x.withGauge(Optional.empty()));
        Measured unusable = tank.unusable().with(tank.unusable().quantity());
        given(
                tank,
                f.published().isPresent(),
                "Enter manufacturer's unusable",
                x -> x.withPublished(Optional.of(unusable)),
                "Remove manufacturer's unusable",
                x -> x.withPublished(Optional.empty()));
        piece(tank, Fitout.Piece.LEVEL_SENDER, "Add level sender", "Remove level sender");
        piece(tank, Fitout.Piece.SECOND_AIR, "Add second air source", "Remove second air source");
        piece(tank, Fitout.Piece.CAP_SEAL, "Add cap seal", "Remove cap seal");
        piece(tank, Fitout.Piece.ACCESS_PLATE, "Add access plate", "Remove access plate");
        tank.vent().ifPresent(tip -> vent(tank, f, over, tip.point()));
        Fitout.Well well = new Fitout.Well(
                Place.estimated(at.plus(new Point3(0, 0, -1.5 * ItemEdits.INCH))),
                Measured.of(4, Unit.INCH, ItemEdits.BY),
                Measured.of(4, Unit.INCH, ItemEdits.BY));
        given(
                tank,
                !f.wells().isEmpty(),
                "Add sump well",
                x -> x.withWells(List.of(well)),
                "Remove sump well",
                x -> x.withWells(ItemEdits.butLast(x.wells())));
        ribs(tank, f);
    }

    /** What is missing is offered, or what is there is offered to be taken out. */
    private void given(
            Tank tank,
            boolean there,
            String give,
            UnaryOperator<Fitout> giving,
            String take,
            UnaryOperator<Fitout> taking) {
        fit(there ? take : give, tank, there ? taking : giving);
    }

    private void fit(String label, Tank tank, UnaryOperator<Fitout> change) {
        edits.add(label, tank, t -> t.with(change.apply(t.fitout())));
    }

    private void piece(Tank tank, Fitout.Piece piece, String fit, String take) {
        given(tank, tank.fitout().has(piece), fit, x -> x.with(piece, true), take, x -> x.with(piece, false));
    }

    private void vent(Tank tank, Fitout f, Point3 over, Point3 tip) {
        if (f.vent().isEmpty()) {
            fit("Enter vent line", tank, x -> x.withVent(Optional.of(VentEdits.usual())));
        } else {
            edits.ventLine(
                    f.vent().get(),
                    tank.id(),
                    over,
                    tip,
                    change -> s -> s.change(
                            tank.id(),
                            Tank.class,
                            t -> t.with(t.fitout().withVent(t.fitout().vent().map(change)))));
            fit("Remove vent line", tank, x -> x.withVent(Optional.empty()));
        }
        if (VentEdits.ownWays(system) > 1) {
            edits.add("Join all vents in a plenum", VentEdits::joined);
        }
    }

    private void ribs(Tank tank, Fitout f) {
        if (tank.shape().only(TankShape.Cylinder.class).isEmpty() && f.ribs().size() < 12) {
            Fitout.Rib more = rib(tank, f);
            fit("Add rib", tank, x -> x.withRibs(ItemEdits.and(x.ribs(), more)));
        }
        for (int i = 0; i < f.ribs().size(); i++) {
            int rib = i;
            Fitout.Rib r = f.ribs().get(i);
            String of = "Rib " + (i + 1);
            for (int k = 0; k < r.openings().size(); k++) {
                int hole = k;
                Fitout.Passes next = Fitout.Passes.values()[
                        (r.openings().get(k).passes().ordinal() + 1) % Fitout.Passes.values().length];
                fit(
                        of + " hole " + (k + 1) + ": " + next.label().toLowerCase(java.util.Locale.ROOT),
                        tank,
                        x -> x.withRibs(put(
                                x.ribs(),
                                rib,
                                y -> new Fitout.Rib(
                                        y.at(),
                                        put(
                                                y.openings(),
                                                hole,
                                                o -> new Fitout.Opening(o.along(), o.waterLine(), next))))));
            }
            Fitout.Opening more = new Fitout.Opening(
                    r.openings().isEmpty()
                            ? ItemEdits.inches(tank.shape().section().get(0).x(), ItemEdits.BY)
                            : r.openings().get(0).along(),
                    r.openings().isEmpty()
                            ? ItemEdits.inches(tank.shape().section().get(0).z(), ItemEdits.BY)
                            : r.openings().get(0).waterLine(),
                    Fitout.Passes.BOTH_WAYS);
            fit(
                    of + ": add hole",
                    tank,
                    x -> x.withRibs(
                            put(x.ribs(), rib, y -> new Fitout.Rib(y.at(), ItemEdits.and(y.openings(), more)))));
            fit(
                    "Remove rib " + (i + 1),
                    tank,
                    x -> x.withRibs(IntStream.range(0, x.ribs().size())
                            .filter(n -> n != rib)
                            .mapToObj(x.ribs()::get)
                            .toList()));
        }
    }

    /** Halfway between the last rib and the right wall, with a hole at the floor over the outlet. */
    private static Fitout.Rib rib(Tank tank, Fitout f) {
        double last = f.ribs().isEmpty()
                ? tank.shape().left()
                : ItemEdits.last(f.ribs()).at().si();
        double x = tank.outlets().isEmpty()
                ? tank.shape().section().get(0).x()
                : tank.outlets().get(0).place().point().x();
        double bl = (last + tank.shape().right()) / 2;
        double floor = floor(tank, x, bl);
        return new Fitout.Rib(
                ItemEdits.inches(bl, ItemEdits.BY),
                List.of(new Fitout.Opening(
                        ItemEdits.inches(x, ItemEdits.BY),
                        ItemEdits.inches(floor, ItemEdits.BY),
                        Fitout.Passes.BOTH_WAYS)));
    }

    private static double floor(Tank tank, double x, double bl) {
        try {
            return tank.shell().floorAt(x, bl).orElse(0);
        } catch (IllegalArgumentException e) {
            return tank.shape().section().stream().mapToDouble(p -> p.z()).min().orElse(0);
        }
    }

    private void outlets(Tank tank) {
        boolean one = tank.outlets().size() == 1;
        for (int i = 0; i < tank.outlets().size(); i++) {
            Outlet o = tank.outlets().get(i);
            String of = one ? "Outlet" : "Outlet " + (i + 1);
            String number = one ? "" : " " + (i + 1);
            if (o.edge() == Outlet.Edge.UNSAID) {
                for (Outlet.Edge e : Outlet.Edge.values()) {
                    if (e != Outlet.Edge.UNSAID) {
                        outlet(of + " at: " + e.label().toLowerCase(java.util.Locale.ROOT), tank, i, x -> x.with(e));
                    }
                }
            } else {
                outlet(
                        of + " not at: " + o.edge().label().toLowerCase(java.util.Locale.ROOT),
                        tank,
                        i,
                        x -> x.with(Outlet.Edge.UNSAID));
            }
            if (o.finger().isEmpty()) {
                outlet(
                        "Enter strainer data" + number,
                        tank,
                        i,
                        x -> x.withFinger(Optional.of(new FingerScreen(
                                Measured.of(12, Unit.ONE, ItemEdits.BY), Measured.of(0.018, Unit.INCH, ItemEdits.BY),
                                Measured.of(0.5, Unit.INCH, ItemEdits.BY),
                                        Measured.of(1.5, Unit.INCH, ItemEdits.BY)))));
            }
            if (o.screen().isEmpty()) {
                outlet(
                        "Add screen" + number,
                        tank,
                        i,
                        x -> x.withScreen(Optional.of(Rated.of(20, 0.012, ItemEdits.BY))));
            }
        }
        if (!tank.outlets().isEmpty() && tank.outlets().size() < 4) {
            edits.add("Add outlet", tank, TankEdits::withOutlet);
        }
    }

    private void outlet(String label, Tank tank, int at, UnaryOperator<Outlet> change) {
        edits.add(label, tank, t -> t.withOutlets(put(t.outlets(), at, change)));
    }

    private static Tank withOutlet(Tank tank) {
        if (tank.outlets().isEmpty() || tank.outlets().size() >= 4) {
            return tank;
        }
        Outlet first = tank.outlets().get(0);
        return tank.withOutlets(ItemEdits.and(
                tank.outlets(),
                new Outlet(
                        "outlet-" + (tank.outlets().size() + 1),
                        Place.estimated(first.place().point().plus(new Point3(-3 * ItemEdits.INCH, 0, 0))),
                        first.bore(),
                        Optional.empty())));
    }

    /** The list with one of it changed; as it is where there is none at that place. */
    private static <T> List<T> put(List<T> list, int at, UnaryOperator<T> change) {
        List<T> copy = new ArrayList<>(list);
        if (at < copy.size()) {
            copy.set(at, change.apply(copy.get(at)));
        }
        return copy;
    }

    private static TankShape.Corner corner(double x, double z, String by) {
        return new TankShape.Corner(ItemEdits.inches(x, by), ItemEdits.inches(z, by));
    }
}
