package ration.aircraft.condition;

import java.util.Locale;
import ration.base.geometry.ApparentGravity;

/**
 * How the aircraft sits in the air or on the ground.
 *
 * @param name as on its button, or "Set by hand"
 * @param pitchRad nose-up positive, within 60 degrees
 * @param tiltRad right side down positive, as the fuel feels it, within 60 degrees
 * @param load lift over weight, 0 to 10: it acts across the nose; 1 is steady flight
 * @param forward steady acceleration along the ground, g, within 2
 */
public record Attitude(String name, double pitchRad, double tiltRad, double load, double forward) {

    private static final double LIMIT = Math.toRadians(60);

    public Attitude {
        if (!(Math.abs(pitchRad) <= LIMIT) || !(Math.abs(tiltRad) <= LIMIT)) {
            throw new IllegalArgumentException("Pitch and tilt must be within \u00b160\u00b0.");
        }
        if (!(load >= 0 && load <= 10) || !(Math.abs(forward) <= 2)) {
            throw new IllegalArgumentException("Load factor 0 to 10; acceleration −2 to +2 g.");
        }
    }

    /** In steady flight or standing. */
    public Attitude(String name, double pitchRad, double tiltRad) {
        this(name, pitchRad, tiltRad, 1, 0);
    }

    /** The same angles under another load factor and acceleration along the ground, g. */
    public Attitude under(String called, double loadFactor, double forwardG) {
        return new Attitude(called, pitchRad, tiltRad, loadFactor, forwardG);
    }

    public static Attitude ofDegrees(String name, double pitch, double tilt) {
        return new Attitude(name, Math.toRadians(pitch), Math.toRadians(tilt));
    }

    public ApparentGravity gravity() {
        ApparentGravity steady = ApparentGravity.ofAttitude(pitchRad, tiltRad);
        ApparentGravity speeding =
                forward == 0 ? steady : steady.withGroundAcceleration(forward * ApparentGravity.STANDARD);
        return load == 1 ? speeding : speeding.withLoadFactor(load);
    }

    /** Level in steady flight, or standing level. */
    public boolean level() {
        return pitchRad == 0 && tiltRad == 0 && load == 1 && forward == 0;
    }

    public double pitchDegrees() {
        return Math.toDegrees(pitchRad);
    }

    public double tiltDegrees() {
        return Math.toDegrees(tiltRad);
    }

    /**
     * The name with its angles and what else pulls: Climb 17\u00b0, Slip right, tilt 6\u00b0 right, Take-off run
     * 12\u00b0, 0.25 g forward.
     */
    public String label() {
        String pitch = degrees(pitchDegrees());
        String words = name + (pitch.equals("0\u00b0") ? "" : " " + pitch);
        words += tiltRad == 0 ? "" : ", tilt " + degrees(Math.abs(tiltDegrees())) + (tiltRad > 0 ? " right" : " left");
        words += load == 1 ? "" : ", " + number(load) + " g";
        return forward == 0
                ? words
                : words + ", " + number(Math.abs(forward)) + " g " + (forward > 0 ? "forward" : "aft");
    }

    private static String number(double g) {
        return String.format(Locale.ROOT, "%.2f", g).replaceAll("0$", "").replace('-', '\u2212');
    }

    private static String degrees(double value) {
        double rounded = Math.round(value * 10) / 10.0;
        String text = rounded == Math.rint(rounded)
                ? String.format(Locale.ROOT, "%.0f", rounded)
                : String.format(Locale.ROOT, "%.1f", rounded);
        return text.replace('-', '\u2212').replace("\u22120\u00b0", "0\u00b0") + "\u00b0";
    }
}
