package ration.aircraft.flight;

import java.util.Locale;
import java.util.Optional;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Power;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * A stretch of a flight with one power and one attitude.
 *
 * @param kind of stretch
 * @param minutes it lasts, a time, 0 to 1,440 min
 * @param share of take-off consumption, 0 to 1.2
 * @param pitch nose up, within 60 degrees
 * @param tilt of the fuel, right wing low, within 60 degrees: of a slip or skid
 * @param turn bank angle of the aircraft in a coordinated turn, within 60 degrees: the fuel feels it as a load factor
 *     of 1/cos and not as a tilt; wings level where it is not said
 * @param altitude at its end; it begins where the one before ends, the first at its own
 * @param boost whether electric feed pumps run beside the engine's own
 * @param outside air outside at its end, a temperature, -80 to 60 C; the hot day's where it is not said
 */
public record Phase(
        Kind kind,
        Measured minutes,
        Measured share,
        Measured pitch,
        Measured tilt,
        Optional<Measured> turn,
        Measured altitude,
        boolean boost,
        Optional<Measured> outside) {

    /** What goes on. */
    public enum Kind {
        TAXI("Taxi", true),
        TAKE_OFF("Takeoff", false),
        CLIMB("Climb", true),
        CRUISE("Cruise", true),
        DESCENT("Descent", true),
        CIRCUIT("Pattern", false),
        RESERVE("Reserve", true);

        private final String label;
        private final boolean switching;

        Kind(String label, boolean switching) {
            this.label = label;
            this.switching = switching;
        }

        public String label() {
            return label;
        }

        /** Whether a handle may be moved in it at all; in climb and descent only well above ground. */
        public boolean switching() {
            return switching;
        }
    }

    public Phase {
        within(minutes.si() / 60, 0, 1440, kind, "lasts 0 to 1,440 min");
        within(share.si(), 0, 1.2, kind, "uses 0 to 120% of takeoff demand");
        within(Math.toDegrees(pitch.si()), -60, 60, kind, "has a pitch within 60\u00b0");
        within(Math.toDegrees(tilt.si()), -60, 60, kind, "has a fuel tilt within \u00b160\u00b0");
        turn.ifPresent(t -> within(Math.toDegrees(t.si()), -60, 60, kind, "turns at a bank within \u00b160\u00b0"));
        within(altitude.si(), -1000, 12_000, kind, "ends between \u22121,000 and 12,000 m");
        outside.ifPresent(
                t -> within(Unit.CELSIUS.fromSi(t.si()), -80, 60, kind, "has outside air of \u221280 to 60 \u00b0C"));
    }

    /** On the hot day, wings level. */
    public Phase(
            Kind kind,
            Measured minutes,
            Measured share,
            Measured pitch,
            Measured tilt,
            Measured altitude,
            boolean boost) {
        this(kind, minutes, share, pitch, tilt, Optional.empty(), altitude, boost, Optional.empty());
    }

    private static void within(double value, double least, double most, Kind kind, String rule) {
        if (!(value >= least - 1e-9 && value <= most + 1e-9)) {
            throw new IllegalArgumentException(
                    "A phase such as " + kind.label().toLowerCase(Locale.ROOT) + " " + rule + ".");
        }
    }

    /** In figures as they are usually said; wings level. */
    public static Phase of(Kind kind, double minutes, double percent, double pitchDegrees, double feet, boolean boost) {
        return new Phase(
                kind,
                Measured.of(minutes, Unit.MINUTE, "estimate"),
                Measured.of(percent / 100, Unit.ONE, "estimate"),
                Measured.of(pitchDegrees, Unit.DEGREE, "estimate"),
                Measured.of(0, Unit.DEGREE, "estimate"),
                Measured.of(feet, Unit.FOOT, "estimate"),
                boost);
    }

    /** How long it lasts, minutes. */
    public double lasts() {
        return minutes.si() / 60;
    }

    public Attitude attitude() {
        Attitude level = new Attitude(kind.label(), pitch.si(), tilt.si());
        return turn.isEmpty() ? level : level.under(kind.label(), loadFactor(), 0);
    }

    /** What a coordinated turn makes of the fuel's weight; 1 with the wings level. Statics of a level turn. */
    public double loadFactor() {
        return turn.map(t -> 1 / Math.cos(t.si())).orElse(1.0);
    }

    /** The power whose engine speed and manifold come nearest. */
    public Power power() {
        return share.si() >= 0.9 ? Power.TAKE_OFF : share.si() > 0.25 ? Power.CRUISE : Power.IDLE;
    }

    public Phase withMinutes(Quantity q) {
        return new Phase(kind, minutes.with(q), share, pitch, tilt, turn, altitude, boost, outside);
    }

    public Phase withShare(double other) {
        return new Phase(
                kind, minutes, share.with(Quantity.of(other, Unit.ONE)), pitch, tilt, turn, altitude, boost, outside);
    }

    public Phase withPitch(Quantity q) {
        return new Phase(kind, minutes, share, pitch.with(q), tilt, turn, altitude, boost, outside);
    }

    public Phase withTilt(Quantity q) {
        return new Phase(kind, minutes, share, pitch, tilt.with(q), turn, altitude, boost, outside);
    }

    /** At another bank angle; wings level at 0. */
    public Phase withTurn(Quantity q) {
        Optional<Measured> now = q.si() == 0 ? Optional.empty() : Optional.of(new Measured(q, "planned"));
        return new Phase(kind, minutes, share, pitch, tilt, now, altitude, boost, outside);
    }

    public Phase withAltitude(Quantity q) {
        return new Phase(kind, minutes, share, pitch, tilt, turn, altitude.with(q), boost, outside);
    }

    public Phase withBoost(boolean on) {
        return new Phase(kind, minutes, share, pitch, tilt, turn, altitude, on, outside);
    }

    public Phase withOutside(Optional<Measured> other) {
        return new Phase(kind, minutes, share, pitch, tilt, turn, altitude, boost, other);
    }

    public Phase with(Kind other) {
        return new Phase(other, minutes, share, pitch, tilt, turn, altitude, boost, outside);
    }
}
