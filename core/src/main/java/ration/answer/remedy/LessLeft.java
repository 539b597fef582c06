package ration.answer.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.answer.assess.TankAnswer;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.record.cost.Part;
import ration.record.project.Edit;
import ration.record.project.Project;

/**
 * What would leave less in a tank: its outlet moved, a second outlet, a sump well; each worked out over all attitudes.
 */
public final class LessLeft {

    private static final double INCH = Unit.INCH.toSi(1);
    private static final double MOVE = 3 * INCH;
    private static final double FROM_END = 1.5 * INCH;
    private static final double WELL_DEPTH = 1.5 * INCH;
    private static final double WELL_SIDE = 5;
    /** Lip of an outlet over a floor: dirt stays below it. */
    private static final double LIP = 0.25 * INCH;

    private static final int MOST = 6;
    private static final String BY = "estimate";

    private final Project project;
    private final FuelSystem system;
    private final TankAnswer now;
    private final Tank tank;
    private final Solid shell;
    private final List<Row> rows = new ArrayList<>();

    private LessLeft(Project project, TankAnswer now) {
        this.project = project;
        this.system = project.system();
        this.now = now;
        this.tank = now.tank();
        this.shell = tank.shape().solid();
    }

    /**
     * One change, worked out.
     *
     * @param title what to do
     * @param takes what is made for it
     * @param edit does it
     * @param after the tank with it
     */
    public record Row(String title, Part takes, Edit edit, TankAnswer after) {}

    /** Changes that leave less by the shape, least first. */
    public static List<Row> of(Project project, TankAnswer now, Task task) {
        if (now.tank().outlets().isEmpty()) {
            return List.of();
        }
        return new LessLeft(project, now).all(task);
    }

    private List<Row> all(Task task) {
        List<Runnable> tries = new ArrayList<>();
        Outlet outlet = tank.outlets().get(0);
        Point3 at = outlet.place().point();
        double front = -shell.highest(new Point3(-1, 0, 0));
        double rear = shell.highest(new Point3(1, 0, 0));
        double left = -shell.highest(new Point3(0, -1, 0));
        double right = shell.highest(new Point3(0, 1, 0));
        tries.add(() -> move("Outlet 3 in forward", new Point3(at.x() - MOVE, at.y(), 0)));
        tries.add(() -> move("Outlet 3 in aft", new Point3(at.x() + MOVE, at.y(), 0)));
        tries.add(() -> move("Outlet 3 in to the left", new Point3(at.x(), at.y() - MOVE, 0)));
        tries.add(() -> move("Outlet 3 in to the right", new Point3(at.x(), at.y() + MOVE, 0)));
        tries.add(() -> move("Outlet on the tank\u2019s centerline", new Point3(at.x(), (left + right) / 2, 0)));
        tries.add(() -> second("Second outlet, front", new Point3(front + FROM_END, at.y(), 0)));
        tries.add(() -> second("Second outlet, rear", new Point3(rear - FROM_END, at.y(), 0)));
        tries.add(() -> second("Second outlet, left", new Point3(at.x(), left + FROM_END, 0)));
        tries.add(() -> second("Second outlet, right", new Point3(at.x(), right - FROM_END, 0)));
        tries.add(this::well);
        for (int i = 0; i < tries.size(); i++) {
            if (task.cancelled().getAsBoolean()) {
                return List.of();
            }
            tries.get(i).run();
            task.progress().accept((i + 1.0) / tries.size());
        }
        rows.sort(Comparator.comparingDouble(r -> r.after().predicted().volume()));
        return List.copyOf(rows.subList(0, Math.min(MOST, rows.size())));
    }

    /** On the floor there, as high over it as the outlet stands now; empty where there is no floor. */
    private Optional<Place> onFloor(Point3 p) {
        Point3 old = tank.outlets().get(0).place().point();
        OptionalDouble under = shell.floorAt(old.x(), old.y());
        OptionalDouble there = shell.floorAt(p.x(), p.y());
        if (under.isEmpty() || there.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(Place.estimated(
                new Point3(p.x(), p.y(), there.getAsDouble() + Math.max(0, old.z() - under.getAsDouble()))));
    }

    private void move(String title, Point3 to) {
        onFloor(to)
                .filter(p -> p.point().distance(tank.outlets().get(0).place().point()) > INCH / 4)
                .ifPresent(p -> {
                    change(title, Part.OUTLET, s -> onTank(s, t -> firstAt(t, p)));
                });
    }

    private void second(String title, Point3 to) {
        if (tank.outlets().size() > 1) {
            return;
        }
        onFloor(to).ifPresent(p -> change(title, Part.OUTLET, s -> withSecond(s, p)));
    }

    /** A second outlet teed into the line of the first, by a line of the same size. */
    private FuelSystem withSecond(FuelSystem s, Place at) {
        Optional<Tank> now = s.item(this.tank.id())
                .filter(Tank.class::isInstance)
                .map(Tank.class::cast)
                .filter(t -> t.outlets().size() == 1);
        if (now.isEmpty()) {
            return s;
        }
        Tank tank = now.get();
        Outlet first = tank.outlets().get(0);
        Outlet more = new Outlet("outlet-2", at, first.bore(), first.screen(), first.finger(), first.edge());
        FuelSystem with = s.replace(tank.withOutlets(List.of(first, more)));
        Optional<Run> line = s.runAt(new PortRef(tank.id(), first.name()));
        if (line.isEmpty()) {
            return with;
        }
        Run run = line.get();
        Place below = first.place().raised(-2 * INCH);
        String id = s.freeId("tee");
        Tee tee = new Tee(
                new Tag(id, "Tee", below),
                new Measured(
                        ration.base.quantity.Quantity.of(
                                Math.round(Unit.INCH.fromSi(run.size().bore()) * 1000) / 1000.0, Unit.INCH),
                        BY));
        PortRef outlet = new PortRef(tank.id(), first.name());
        boolean from = run.from().equals(outlet);
        Run rest = from
                ? run.between(new PortRef(id, Item.OUT), run.to())
                : run.between(run.from(), new PortRef(id, Item.OUT));
        with = with.replace(rest).plus(tee);
        with = with.plus(bare(with, run.size(), outlet, new PortRef(id, Item.IN)));
        return with.plus(bare(with, run.size(), new PortRef(tank.id(), more.name()), new PortRef(id, Tee.BRANCH)));
    }

    private static Run bare(FuelSystem s, LineSize size, PortRef from, PortRef to) {
        String name = ration.aircraft.plumbing.RunSheet.freeName(s);
        return new Run(s.freeId(name), name, from, to, size, Optional.empty(), List.of(), List.of());
    }

    /** A well under the outlet with the outlet on its floor; where one is there already, the outlet down into it. */
    private void well() {
        Point3 at = tank.outlets().get(0).place().point();
        Optional<Fitout.Well> here =
                tank.fitout().wells().stream().filter(w -> w.covers(at)).findFirst();
        OptionalDouble floor = shell.floorAt(at.x(), at.y());
        if (here.isPresent()) {
            Place down = Place.estimated(
                    new Point3(at.x(), at.y(), here.get().floor().point().z() + LIP));
            if (down.point().z() < at.z() - LIP) {
                change("Outlet lowered to the sump floor", Part.OUTLET, s -> onTank(s, t -> firstAt(t, down)));
            }
            return;
        }
        if (floor.isEmpty()) {
            return;
        }
        Place foot = Place.estimated(new Point3(at.x(), at.y(), floor.getAsDouble() - WELL_DEPTH));
        Fitout.Well well =
                new Fitout.Well(foot, Measured.of(WELL_SIDE, Unit.INCH, BY), Measured.of(WELL_SIDE, Unit.INCH, BY));
        if (tank.fitout().wells().stream().anyMatch(well::meets)) {
            return;
        }
        change(
                "Sump well 5 \u00d7 5 \u00d7 1.5 in, outlet in it",
                Part.SUMP_WELL,
                s -> onTank(s, t -> {
                    List<Fitout.Well> wells = new ArrayList<>(t.fitout().wells());
                    wells.add(well);
                    return firstAt(t, foot.raised(LIP)).with(t.fitout().withWells(wells));
                }));
    }

    /** The tank as it stands in the system the change is made on, which may have been edited since. */
    private FuelSystem onTank(FuelSystem s, UnaryOperator<Tank> change) {
        return s.change(tank.id(), Tank.class, t -> t.outlets().isEmpty() ? t : change.apply(t));
    }

    private static Tank firstAt(Tank t, Place place) {
        List<Outlet> outlets = new ArrayList<>(t.outlets());
        outlets.set(0, outlets.get(0).at(place));
        return t.withOutlets(outlets);
    }

    private void change(String title, Part takes, UnaryOperator<FuelSystem> on) {
        FuelSystem changed = on.apply(system);
        Tank there = (Tank) changed.item(tank.id()).orElseThrow();
        try {
            TankAnswer after = TankAnswer.of(project.with(changed), there);
            if (after.predicted().volume() < now.predicted().volume() * 0.99) {
                rows.add(new Row(
                        title,
                        takes,
                        Edit.of(
                                "Try " + title.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + title.substring(1),
                                p -> p.with(on.apply(p.system()))),
                        after));
            }
        } catch (IllegalArgumentException e) {
            // a change that would not close the tank is no suggestion
            return;
        }
    }
}
