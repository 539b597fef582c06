package ration.physics.tank;

import ration.base.geometry.ApparentGravity;

/**
 * Stranded fuel over pitch and tilt.
 *
 * @param pitch degrees, axis upward
 * @param tilt degrees, axis across, right side down positive
 * @param volume m3, one row a pitch
 */
public record StrandedMap(Axis pitch, Axis tilt, double[][] volume) {

    /** Nose from 15 degrees down to 20 up. */
    public static final Axis USUAL_PITCH = new Axis(-15, 20, 41);
    /** Fifteen degrees either way. */
    public static final Axis USUAL_TILT = new Axis(-15, 15, 41);

    /** Evenly spaced angles, degrees. */
    public record Axis(double from, double to, int count) {
        public double at(int i) {
            return from + (to - from) * i / (count - 1);
        }
    }

    /** The usual map of a tank. */
    public static StrandedMap of(TankBody body, Feed feed) {
        double[][] volume = new double[USUAL_PITCH.count()][USUAL_TILT.count()];
        for (int i = 0; i < volume.length; i++) {
            for (int j = 0; j < volume[i].length; j++) {
                volume[i][j] = body.stranded(
                                ApparentGravity.ofAttitude(
                                                Math.toRadians(USUAL_PITCH.at(i)), Math.toRadians(USUAL_TILT.at(j)))
                                        .up(),
                                feed)
                        .volume();
            }
        }
        return new StrandedMap(USUAL_PITCH, USUAL_TILT, volume);
    }
}
