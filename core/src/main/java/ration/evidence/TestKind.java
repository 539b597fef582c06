package ration.evidence;

import java.util.Optional;

/** Every test a fuel system gets, in the order of the work. What each asks and keeps is its {@link Form}. */
public enum TestKind {
    DRAIN("drain", Group.QUANTITY, "Drain", On.TANK, "Unusable"),
    FILL("fill", Group.QUANTITY, "Fill and mark", On.TANK, "Gauge marks"),
    TOP_OFF("top-off", Group.QUANTITY, "Top-off", On.TANK, "Capacity"),
    FLOW("flow", Group.FLOW, "Nose-up flow", On.POSITION, "Flow margin"),
    PUMP_FLOW("pump-flow", Group.FLOW, "Flow of one pump", On.PUMP_IN_POSITION, "Flow margin"),
    DEAD_HEAD("dead-head", Group.FLOW, "Dead-head pressure", On.ITEM, "Pressures"),
    OVERNIGHT("overnight", Group.TIGHT, "Paper overnight", On.AIRCRAFT, "Leaks"),
    TANK_PRESSURE("tank-pressure", Group.TIGHT, "Tank under pressure", On.TANK, "Leaks"),
    LINE_PRESSURE("line-pressure", Group.TIGHT, "Lines under pressure", On.AIRCRAFT, "Leaks"),
    SELECTOR_OFF("selector-off", Group.TIGHT, "Selector OFF", On.ITEM, "OFF stops"),
    CHECK_HOLDS("check-holds", Group.TIGHT, "Check valve holds", On.ITEM, "No push-back"),
    FIRST_RUN("first-run", Group.TIGHT, "First run, look again", On.AIRCRAFT, "Leaks"),
    VENTS("vents", Group.AIR, "Vents blown through", On.AIRCRAFT, "Vents"),
    DRAINS("drains", Group.AIR, "Strainer and drains", On.AIRCRAFT, "Water"),
    LEVEL_SENDER("level-sender", Group.INSTRUMENTS, "Level sender", On.TANK, "Gauge zero"),
    FLOW_SENDER("flow-sender", Group.INSTRUMENTS, "Flow sender", On.ITEM, "Readings"),
    GAUGE_CHECK("gauge-check", Group.INSTRUMENTS, "Pressure gauge", On.ITEM, "Readings"),
    RUN_LOG("run-log", Group.HEAT, "Run and soak log", On.AIRCRAFT, "Vapor"),
    HOT_RESTART("hot-restart", Group.HEAT, "Restart hot", On.AIRCRAFT, "Vapor");

    /** What a test is about. */
    public enum Group {
        QUANTITY("Quantity"),
        FLOW("Flow"),
        TIGHT("Tight"),
        AIR("Air"),
        INSTRUMENTS("Instruments"),
        HEAT("Heat");

        private final String label;

        Group(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** What it is done on. */
    public enum On {
        TANK,
        ITEM,
        POSITION,
        PUMP_IN_POSITION,
        AIRCRAFT
    }

    private final String key;
    private final Group group;
    private final String title;
    private final On on;
    private final String closes;

    TestKind(String key, Group group, String title, On on, String closes) {
        this.key = key;
        this.group = group;
        this.title = title;
        this.on = on;
        this.closes = closes;
    }

    /** Stable, as written to the file: selector-off. */
    public String key() {
        return key;
    }

    public Group group() {
        return group;
    }

    /** What people call it. */
    public String title() {
        return title;
    }

    public On on() {
        return on;
    }

    /** What it closes, in a word or two. */
    public String closes() {
        return closes;
    }

    /** The kind of this key. */
    public static Optional<TestKind> keyed(String key) {
        for (TestKind k : values()) {
            if (k.key.equals(key)) {
                return Optional.of(k);
            }
        }
        return Optional.empty();
    }
}
