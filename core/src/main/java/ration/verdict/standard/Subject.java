package ration.verdict.standard;

import java.util.Locale;

/** What a standard may ask of a fuel system. */
public enum Subject {
    /** Flow by gravity over takeoff consumption: {@code factor}. */
    GRAVITY_FLOW,
    /** Flow of each pump alone over takeoff consumption: {@code factor}. */
    PUMP_FLOW,
    /** In which attitude and with how much fuel flow and pressure are shown. */
    FLOW_CONDITIONS,
    /** Pressure with all pumps running. */
    PUMPS_TOGETHER,
    /** No air drawn from an empty tank. */
    AIR_DRAWN,
    /** Connected tanks do not overflow one into the other. */
    OVERFLOW,
    UNUSABLE_FUEL,
    /** At which attitude fuel is drained on the ground. */
    GROUND_ATTITUDE,
    VAPOR_LOCK,
    HOT_FUEL,
    /** Pressure a tank stands: {@code pressure}. */
    TANK_PRESSURE,
    /** Room over full fuel: {@code share} of the tank. */
    EXPANSION,
    /** What a sump holds: {@code share} of the tank, no less than {@code least}. */
    SUMP,
    /** What a sediment bowl holds: {@code share} of the tanks. */
    BOWL,
    VENT,
    /** No place in a vent where water stays. */
    VENT_TRAP,
    /** Screen at a tank's outlet: mesh an inch {@code from} and {@code to}, clear area {@code area} times the line. */
    OUTLET_SCREEN,
    /** A second pump with power of its own. */
    BACKUP_PUMP,
    LINES,
    SHUTOFF,
    /** No shutoff on the engine's side of the firewall. */
    SHUTOFF_PLACE,
    STRAINER,
    /** What may pass the last filter, largest grain: {@code carburetor}, {@code injection}. */
    FILTRATION,
    DRAINS,
    FIRE,
    /** A gauge reads zero when only unusable fuel is left. */
    GAUGE_ZERO;

    /** As it stands in the files. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
