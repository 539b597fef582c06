package ration.geometry;

/**
 * The direction the fuel takes for up, and how heavy it is.
 *
 * <p>For a pitch theta (nose up) and a tilt phi (right side down) up in aircraft axes is
 * {@code (-sin theta, -sin phi cos theta, cos phi cos theta)}. A coordinated turn multiplies the weight and does not
 * tilt the fuel; a slip, a skid and a wing-low parking place tilt it.
 *
 * @param up        unit vector, aircraft axes
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
        return new ApparentGravity(new Point3(
                -Math.sin(pitchRad),
                -Math.sin(tiltRad) * Math.cos(pitchRad),
                Math.cos(tiltRad) * Math.cos(pitchRad)), STANDARD);
    }

    /** A coordinated turn or pull-up: the same direction, n times the weight. */
    public ApparentGravity withLoadFactor(double n) {
        return new ApparentGravity(up, n * STANDARD);
    }

    /** Speeding up by a m/s2 along the nose: the fuel leans aft as if the nose were higher. */
    public ApparentGravity withForwardAcceleration(double a) {
        Point3 felt = up.times(magnitude).plus(new Point3(-a, 0, 0));
        double size = felt.length();
        return new ApparentGravity(felt.times(1 / size), size);
    }

    /** Height of a point above the datum point, metres along up. */
    public double height(Point3 p) {
        return up.dot(p);
    }
}
