package ration.physics.tank;

import java.util.List;
import ration.aircraft.model.Outlet;
import ration.base.geometry.Point3;

/**
 * How several outlets of one tank work together: down to which level the fuel falls before air comes through one that
 * stands bare.
 *
 * <p>A bare outlet lets air in only where the fuel in its line cannot stand against the pressure at the joint. Teed low
 * under a head, the line of the bare one stays full and the lowest outlet counts; drawn on from above, the highest
 * does.
 *
 * @param legs one for each outlet whose line meets another's before anything that would part them; none where fuel
 *     falls free from each
 */
public record Feed(List<Leg> legs) {

    /** Fuel falls through whichever outlet is covered: the lowest counts. */
    public static final Feed GRAVITY = new Feed(List.of());
    /** Air comes in as soon as any outlet is bare: the highest counts. */
    public static final Feed SUCTION = new Feed(List.of(new Leg("", List.of(), Double.POSITIVE_INFINITY)));

    /**
     * The line of one outlet to where it meets the others.
     *
     * @param outlet name
     * @param way its points, from the outlet to the joint
     * @param loss head lost from the surface to the joint when this outlet alone feeds at take-off demand, m
     */
    public record Leg(String outlet, List<Point3> way, double loss) {
        public Leg {
            way = List.copyOf(way);
        }

        /** Lowest point of the line, m along up. */
        double lowest(Point3 up) {
            return way.stream().mapToDouble(up::dot).min().orElse(Double.POSITIVE_INFINITY);
        }
    }

    public Feed {
        legs = List.copyOf(legs);
    }

    /**
     * Height along up to which a tank drains through these outlets, m: the lowest lip, or the level at which the first
     * bare outlet lets air in.
     */
    double drainsTo(Point3 up, List<Outlet> outlets) {
        Outlet lowest = outlets.get(0);
        double highest = Double.NEGATIVE_INFINITY;
        for (Outlet o : outlets) {
            lowest = up.dot(o.drainsAt()) < up.dot(lowest.drainsAt()) ? o : lowest;
            highest = Math.max(highest, up.dot(o.drainsAt()));
        }
        if (this.equals(SUCTION)) {
            return highest;
        }
        double level = up.dot(lowest.drainsAt());
        String feeding = lowest.name();
        double loss = legs.stream()
                .filter(l -> l.outlet().equals(feeding))
                .mapToDouble(Leg::loss)
                .findFirst()
                .orElse(0);
        for (Leg leg : legs) {
            for (Outlet bare : outlets) {
                if (bare.name().equals(leg.outlet()) && !bare.name().equals(feeding)) {
                    level = Math.max(level, Math.min(up.dot(bare.drainsAt()), leg.lowest(up) + loss));
                }
            }
        }
        return level;
    }
}
