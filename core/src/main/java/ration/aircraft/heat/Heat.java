package ration.aircraft.heat;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import ration.aircraft.condition.Power;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.base.atmosphere.StandardAtmosphere;
import ration.base.fluid.VaporPressure;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;

/**
 * What is said of heat and vapor. Only figures that differ from the usual are held.
 *
 * @param volatility of the fuel really bought
 * @param figures that were given
 * @param zones of items that do not stand where their place says, by id
 */
public record Heat(Volatility volatility, Map<HeatFigure, Measured> figures, Map<String, Zone> zones) {

    /** Cooling with altitude on the hot day, K a metre: 3.6 F each 1,000 ft (14 CFR 23.1043, from memory). */
    private static final double LAPSE = 3.6 / 1.8 / 304.8;

    public Heat {
        EnumMap<HeatFigure, Measured> copy = new EnumMap<>(HeatFigure.class);
        figures.forEach((f, m) -> copy.put(f, f.checked(m)));
        figures = Collections.unmodifiableMap(copy);
        zones = Collections.unmodifiableMap(new TreeMap<>(zones));
    }

    /** The usual of a fuel. */
    public static Heat usual(Volatility volatility) {
        return new Heat(volatility, Map.of(), Map.of());
    }

    public Measured figure(HeatFigure f) {
        return figures.getOrDefault(f, f.usual());
    }

    /** A figure in SI; differences of temperature in K. */
    public double si(HeatFigure f) {
        Measured m = figure(f);
        return f.difference() ? m.quantity().unit().differenceToSi(m.quantity().value()) : m.si();
    }

    public Heat with(Volatility other) {
        return new Heat(other, figures, zones);
    }

    /** Throws IllegalArgumentException with a sentence where the figure cannot be. */
    public Heat with(HeatFigure f, Measured m) {
        EnumMap<HeatFigure, Measured> more = new EnumMap<>(HeatFigure.class);
        more.putAll(figures);
        more.put(f, m);
        return new Heat(volatility, more, zones);
    }

    public Heat withZone(String item, Zone zone) {
        Map<String, Zone> more = new TreeMap<>(zones);
        more.put(item, zone);
        return new Heat(volatility, figures, more);
    }

    /** The item stands where its place says. */
    public Heat withoutZone(String item) {
        Map<String, Zone> fewer = new TreeMap<>(zones);
        fewer.remove(item);
        return new Heat(volatility, figures, fewer);
    }

    public VaporPressure vapor() {
        return volatility.with(si(HeatFigure.REID_CHANGE) / 6894.757293168361);
    }

    /**
     * The same on a day with so much outside at a pressure altitude, K; no colder and no hotter than a day may be said
     * to be.
     */
    public Heat onDay(double kelvin, double altitudeM) {
        double low = ration.base.quantity.Unit.FAHRENHEIT.toSi(0);
        double high = ration.base.quantity.Unit.FAHRENHEIT.toSi(130);
        return with(
                HeatFigure.HOT_DAY,
                Measured.of(
                        Math.max(low, Math.min(high, kelvin + LAPSE * altitudeM)), ration.base.quantity.Unit.KELVIN));
    }

    /**
     * Fuel that boils more easily than said, by a rise of its Reid pressure, Pa; at most what a change can be said to
     * be.
     */
    public Heat risen(double pascal) {
        double psi = Math.min(6, si(HeatFigure.REID_CHANGE) / 6894.757293168361 + pascal / 6894.757293168361);
        return with(HeatFigure.REID_CHANGE, Measured.of(psi, ration.base.quantity.Unit.PSI));
    }

    /** Outside air on the hot day at a pressure altitude, K. */
    public double outside(double altitudeM) {
        return si(HeatFigure.HOT_DAY) - LAPSE * altitudeM;
    }

    /** Ambient pressure, Pa; a hot day is hot at the same pressure altitude. */
    public static double ambient(double altitudeM) {
        return StandardAtmosphere.pressure(altitudeM);
    }

    /** Air in a zone in flight, K. */
    public double air(Zone zone, Power power, double altitudeM) {
        double out = outside(altitudeM);
        return switch (zone) {
            case OUTSIDE -> out;
            case CABIN -> out + si(HeatFigure.CABIN_OVER);
            case TUNNEL -> out + si(HeatFigure.TUNNEL_OVER);
            case ENGINE_BAY -> bay(power, out);
            // idling there is no blast: it stands in what the bay has
            case SHROUD ->
                power == Power.IDLE ? bay(power, out) : Math.min(bay(power, out), out + si(HeatFigure.SHROUD_OVER));
        };
    }

    private double bay(Power power, double outside) {
        return outside
                + si(
                        power == Power.TAKE_OFF
                                ? HeatFigure.BAY_CLIMB_OVER
                                : power == Power.CRUISE ? HeatFigure.BAY_CRUISE_OVER : HeatFigure.BAY_IDLE_OVER);
    }

    /** Heat through the wall of a run, W/m2K on its bore. */
    public double through(Run run) {
        return si(
                run.build().marks().sleeved()
                        ? HeatFigure.SLEEVE
                        : run.size().kind() == LineSize.Kind.HOSE ? HeatFigure.HOSE : HeatFigure.BARE);
    }
}
