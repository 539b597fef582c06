package ration.condition;

import java.util.Locale;
import ration.geometry.ApparentGravity;

/**
 * How the aircraft sits in the air or on the ground.
 *
 * @param name     as on its button, or "Set by hand"
 * @param pitchRad nose-up positive, within 60 degrees
 * @param tiltRad  right side down positive, as the fuel feels it, within 60 degrees
 */
public record Attitude(String name, double pitchRad, double tiltRad) {

    private static final double LIMIT = Math.toRadians(60);

    public Attitude {
        if (!(Math.abs(pitchRad) <= LIMIT) || !(Math.abs(tiltRad) <= LIMIT)) {
            throw new IllegalArgumentException("Pitch and bank must lie within 60\u00b0.");
        }
    }

    public static Attitude ofDegrees(String name, double pitch, double tilt) {
        return new Attitude(name, Math.toRadians(pitch), Math.toRadians(tilt));
    }

    public ApparentGravity gravity() {
        return ApparentGravity.ofAttitude(pitchRad, tiltRad);
    }

    public double pitchDegrees() {
        return Math.toDegrees(pitchRad);
    }

    public double tiltDegrees() {
        return Math.toDegrees(tiltRad);
    }

    /** The name with its angles: Climb 17\u00b0, Slip right, 6\u00b0 bank. */
    public String label() {
        String pitch = degrees(pitchDegrees());
        String words = name + (pitch.equals("0\u00b0") ? "" : " " + pitch);
        return tiltRad == 0 ? words : words + ", " + degrees(tiltDegrees()) + " bank";
    }

    private static String degrees(double value) {
        double rounded = Math.round(value * 10) / 10.0;
        String text = rounded == Math.rint(rounded) ? String.format(Locale.ROOT, "%.0f", rounded)
                : String.format(Locale.ROOT, "%.1f", rounded);
        return text.replace('-', '\u2212').replace("\u22120\u00b0", "0\u00b0") + "\u00b0";
    }
}
