package ration.record.cost;

import java.util.Arrays;
import java.util.Optional;

/** What a list of costs has a row for. */
public enum Part {
    LINE("line", "foot of line", true),
    END("end", "line end", true),
    ADAPTER("adapter", "adapter", false),
    CLAMP("clamp", "clamp", false),
    HEADER("header", "header", false),
    SENDER("sender", "sender", false),
    LOW_LIGHT("low-light", "low light", false),
    SECOND_BUS("second-bus", "second bus for a pump", false),
    BENDS("bends", "line bent anew", true),
    SLEEVE("sleeve", "foot of fire sleeve", true),
    TANK_MOUNT("tank-mount", "tank mounted anew", false),
    OUTLET("outlet", "tank outlet", false),
    SUMP_WELL("sump-well", "sump well", false),
    SCREEN("screen", "screen", false),
    VENTED_CAP("vented-cap", "vented cap", false),
    SELECTOR("selector", "selector", false),
    STRAINER("strainer", "strainer", false),
    FILTER("filter", "filter", false),
    SHUT_OFF("shut-off", "shutoff valve", false),
    CHECK_VALVE("check-valve", "check valve", false),
    FLOW_SENDER("flow-sender", "flow sender", false),
    DRAIN_PORT("drain-port", "drain port", false),
    THERMAL_RELIEF("thermal-relief", "thermal relief valve with tee and line", false),
    FILLER_NECK("filler-neck", "filler neck", false),
    BULKHEAD("bulkhead", "bulkhead fitting", false),
    QUICK_DISCONNECT("quick-disconnect", "quick disconnect", false),
    PUMP("pump", "pump", false),
    PUMP_MOUNT("pump-mount", "pump mounted anew", false),
    REGULATOR("regulator", "regulator", false),
    ORIFICE("orifice", "orifice", false),
    RETURN_LINE("return-line", "return line with tee and orifice", false),
    SHROUD("shroud", "cooling shroud", false),
    PLACARD("placard", "placard", false),
    FUEL("fuel", "other fuel", false);

    private final String key;
    private final String label;
    private final boolean sized;

    Part(String key, String label, boolean sized) {
        this.key = key;
        this.label = label;
        this.sized = sized;
    }

    /** Stable, as in the table. */
    public String key() {
        return key;
    }

    /** One of it, in words. */
    public String label() {
        return label;
    }

    /** Whether it comes in sizes of line. */
    public boolean sized() {
        return sized;
    }

    static Optional<Part> of(String key) {
        return Arrays.stream(values()).filter(p -> p.key.equals(key)).findFirst();
    }
}
