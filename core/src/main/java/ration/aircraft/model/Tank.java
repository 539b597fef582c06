package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;
import ration.base.quantity.Measured;

/**
 * A tank.
 *
 * @param outlets at least one for a tank that feeds
 * @param returns ports that fuel comes back through: returns, overflows, transfers, vents of headers
 * @param vent tip of its vent line
 * @param drain its sump drain
 * @param unusable the placard's unusable fuel
 * @param fitout wells, ribs, filler, gauge, and what its maker states
 */
public record Tank(
        String id,
        String name,
        TankShape shape,
        List<Outlet> outlets,
        List<Entry> returns,
        Optional<Place> vent,
        Optional<Place> drain,
        Measured unusable,
        Fitout fitout)
        implements Item {
    /** Solids of the tanks that are in use: joining wells to a shell is dear, and asked with every look at a tank. */
    private static final Once<Tank, Solid> SOLIDS = new Once<>(t -> t.fitout.with(t.shell()));

    private static final Once<TankShape, Solid> SHELLS = new Once<>(TankShape::solid);

    public Tank {
        outlets = List.copyOf(outlets);
        returns = List.copyOf(returns);
    }

    /** A tank that nothing comes back to. */
    public Tank(
            String id,
            String name,
            TankShape shape,
            List<Outlet> outlets,
            Optional<Place> vent,
            Optional<Place> drain,
            Measured unusable) {
        this(id, name, shape, outlets, List.of(), vent, drain, unusable, Fitout.NONE);
    }

    /** A bare tank that fuel may come back to. */
    public Tank(
            String id,
            String name,
            TankShape shape,
            List<Outlet> outlets,
            List<Entry> returns,
            Optional<Place> vent,
            Optional<Place> drain,
            Measured unusable) {
        this(id, name, shape, outlets, returns, vent, drain, unusable, Fitout.NONE);
    }

    /** Shell and wells as one closed solid; throws IllegalArgumentException with the reason where they close none. */
    public Solid solid() {
        return SOLIDS.of(this);
    }

    /** The shell without its wells; throws IllegalArgumentException with the reason where it does not close. */
    public Solid shell() {
        return SHELLS.of(shape);
    }

    /** Its highest point in the level, m; of the section as it was entered where it does not close. */
    public double top() {
        try {
            return solid().highest(new Point3(0, 0, 1));
        } catch (IllegalArgumentException e) {
            return shape.section().stream().mapToDouble(p -> p.z()).max().orElse(0);
        }
    }

    /** How high fuel in it may stand, level, m; without end where its shape does not close: nobody knows. */
    public double mayStandTo() {
        try {
            return solid().highest(new Point3(0, 0, 1));
        } catch (IllegalArgumentException e) {
            return Double.POSITIVE_INFINITY;
        }
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.tank(this);
    }

    @Override
    public String kind() {
        return "Tank";
    }

    @Override
    public Tank renamed(String other) {
        return new Tank(id, other, shape, outlets, returns, vent, drain, unusable, fitout);
    }

    @Override
    public List<String> ports() {
        List<String> all = new ArrayList<>(outlets.size() + returns.size());
        outlets.forEach(o -> all.add(o.name()));
        returns.forEach(r -> all.add(r.name()));
        return all;
    }

    /** Where a port of either kind is. */
    public Optional<Place> placeOf(String port) {
        return outlet(port).map(Outlet::place).or(() -> returns.stream()
                .filter(r -> r.name().equals(port))
                .map(Entry::place)
                .findFirst());
    }

    /** The whole tank higher by so much, m: shape, ports, vent and drain. */
    public Tank raised(double metres) {
        return new Tank(
                id,
                name,
                shape.raised(metres),
                outlets.stream().map(o -> o.at(o.place().raised(metres))).toList(),
                returns.stream()
                        .map(r -> new Entry(r.name(), r.place().raised(metres)))
                        .toList(),
                vent.map(v -> v.raised(metres)),
                drain.map(d -> d.raised(metres)),
                unusable,
                fitout.raised(metres));
    }

    public Tank withReturns(List<Entry> other) {
        return new Tank(id, name, shape, outlets, other, vent, drain, unusable, fitout);
    }

    public Optional<Outlet> outlet(String port) {
        return outlets.stream().filter(o -> o.name().equals(port)).findFirst();
    }

    public Tank with(Fitout other) {
        return new Tank(id, name, shape, outlets, returns, vent, drain, unusable, other);
    }

    public Tank withShape(TankShape other) {
        return new Tank(id, name, other, outlets, returns, vent, drain, unusable, fitout);
    }

    public Tank withOutlets(List<Outlet> other) {
        return new Tank(id, name, shape, other, returns, vent, drain, unusable, fitout);
    }

    public Tank withVent(Optional<Place> tip) {
        return new Tank(id, name, shape, outlets, returns, tip, drain, unusable, fitout);
    }

    public Tank withDrain(Optional<Place> at) {
        return new Tank(id, name, shape, outlets, returns, vent, at, unusable, fitout);
    }

    public Tank withUnusable(Measured other) {
        return new Tank(id, name, shape, outlets, returns, vent, drain, other, fitout);
    }

    /** A port that fuel comes back into a tank through. */
    public record Entry(String name, Place place) {}
}
