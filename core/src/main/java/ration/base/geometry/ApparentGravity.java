package ration.base.geometry;

/**
 * The direction the fuel takes for up, and how heavy it is.
 *
 * <p>For a pitch theta (nose up) and a tilt phi (right side down) up in aircraft axes is {@code (-sin theta, -sin phi
 * cos theta, cos phi cos theta)}. A coordinated turn multiplies the weight and does not tilt the fuel sideways; a slip,
 * a skid and a wing-low parking place tilt it.
 *
 * @param up unit vector, aircraft axes
 * @param magnitude m/s2, not negative
 */
public record ApparentGravity(Point3 up, double magnitude) {

    /** Standard gravity, m/s2; exact. */
    public static final double STANDARD = 9.80665;

    public ApparentGravity {
        if (Math.abs(up.length() - 1) > 1e-9) {
            throw new IllegalArgumentException("Up must be a unit vector");
        }
        if (!(magnitude >= 0) || magnitude > 20 * STANDARD) {
            throw new IllegalArgumentException("Apparent gravity must lie between 0 and 20 g");
        }
    }

    /** Steady flight or standing still: pitch nose-up and tilt right-side-down, radians. */
    public static ApparentGravity ofAttitude(double pitchRad, double tiltRad) {
        return new ApparentGravity(
                new Point3(
                        -Math.sin(pitchRad),
                        -Math.sin(tiltRad) * Math.cos(pitchRad),
                        Math.cos(tiltRad) * Math.cos(pitchRad)),
                STANDARD);
    }

    /**
     * Lift of n times the weight, as in a coordinated turn, a push-over or a gust: what a g-meter reads. Lift acts
     * across the nose: what the fuel feels along the nose stays, so in a climb a push-over throws it further aft than
     * the climb itself. In steady flight at pitch p lift is cos p of the weight.
     */
    public ApparentGravity withLoadFactor(double n) {
        if (!(n >= 0)) {
            throw new IllegalArgumentException("A load factor is not below zero");
        }
        double across = Math.hypot(up.y(), up.z());
        double share = across > 0 ? n * STANDARD / across : 0;
        Point3 felt = new Point3(magnitude * up.x(), share * up.y(), share * up.z());
        double size = felt.length();
        return size < LEAST * STANDARD ? new ApparentGravity(up, 0) : new ApparentGravity(felt.times(1 / size), size);
    }

    /** Under this share of gravity no direction is felt. */
    private static final double LEAST = 1e-9;

    /**
     * Speeding up by a m/s2 along the ground, the way the nose points: on a run at pitch p the fuel feels aft {@code g
     * sin p + a cos p} and down {@code g cos p - a sin p}. Of an aircraft that stands on its nose or tail no way is
     * known.
     */
    public ApparentGravity withGroundAcceleration(double a) {
        Point3 level = new Point3(-1, 0, 0).plus(up.times(up.x()));
        Point3 felt = up.times(magnitude).plus(level.times(a / level.length()));
        double size = felt.length();
        return new ApparentGravity(felt.times(1 / size), size);
    }

    /** Height of a point above the datum point, metres along up. */
    public double height(Point3 p) {
        return up.dot(p);
    }
}
