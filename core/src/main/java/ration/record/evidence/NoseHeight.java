package ration.record.evidence;

/** Pitch from heights measured over a level floor. */
public final class NoseHeight {

    private NoseHeight() {}

    /**
     * Pitch, radians, nose up positive: the arc sine of the height difference of two marks that are level with each
     * other in level flight, over their distance along the aircraft. Plain geometry.
     *
     * @param front height of the forward mark, m
     * @param rear height of the rear mark, m
     * @param distance between the marks along the line that joins them, m
     * @throws IllegalArgumentException with a sentence where no such aircraft can stand
     */
    public static double pitch(double front, double rear, double distance) {
        if (!(distance > 0)) {
            throw new IllegalArgumentException("Enter the distance between the marks (above 0).");
        }
        double sine = (front - rear) / distance;
        if (Math.abs(sine) > Math.sin(Math.toRadians(60))) {
            throw new IllegalArgumentException("These heights would put the nose past 60\u00b0: measure them again.");
        }
        return Math.asin(sine);
    }
}
