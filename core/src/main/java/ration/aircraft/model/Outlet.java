package ration.aircraft.model;

import java.util.Optional;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;

/**
 * A tank outlet.
 *
 * @param place of its lip
 * @param screen what its finger screen costs
 * @param finger how that screen is built
 * @param edge what of it was measured
 */
public record Outlet(
        String name, Place place, Measured bore, Optional<Rated> screen, Optional<FingerScreen> finger, Edge edge) {

    /** What of an outlet its place tells; a quarter of an inch of it can be half a gallon. */
    public enum Edge {
        /** Nobody said: the place is taken for the height at which air first comes in. */
        UNSAID("Not entered", 0),
        /** The lip in the floor, or the top of a finger: fuel under it stays. */
        LIP("Floor lip", 0),
        FINGER_TOP("Top of finger strainer", 0),
        /** A pipe in the side wall: air comes in at its upper edge. */
        CENTRE("Center of side tube", 0.5),
        LOWER_LIP("Lower edge of side tube", 1);

        private final String label;
        private final double bores;

        Edge(String label, double bores) {
            this.label = label;
            this.bores = bores;
        }

        public String label() {
            return label;
        }
    }

    /** An outlet of which nobody said what was measured. */
    public Outlet(String name, Place place, Measured bore, Optional<Rated> screen, Optional<FingerScreen> finger) {
        this(name, place, bore, screen, finger, Edge.UNSAID);
    }

    /** An outlet of whose screen at most the loss is known. */
    public Outlet(String name, Place place, Measured bore, Optional<Rated> screen) {
        this(name, place, bore, screen, Optional.empty());
    }

    /** The point at which air first comes in as the fuel falls, aircraft axes. */
    public Point3 drainsAt() {
        return place.point().plus(new Point3(0, 0, edge.bores * bore.si()));
    }

    public Outlet at(Place other) {
        return new Outlet(name, other, bore, screen, finger, edge);
    }

    public Outlet withBore(Measured other) {
        return new Outlet(name, place, other, screen, finger, edge);
    }

    public Outlet withScreen(Optional<Rated> other) {
        return new Outlet(name, place, bore, other, finger, edge);
    }

    public Outlet withFinger(Optional<FingerScreen> other) {
        return new Outlet(name, place, bore, screen, other, edge);
    }

    public Outlet with(Edge other) {
        return new Outlet(name, place, bore, screen, finger, other);
    }
}
