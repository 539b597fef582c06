package ration.record.evidence;

import java.util.Optional;

/** Every test a fuel system gets, in the order of the work. What each asks and keeps is its {@link Form}. */
public enum TestKind {
    BENCH("bench", Group.PARTS, "Bench check before fitting", On.ITEM, "New parts"),
    ASSEMBLY("assembly", Group.PARTS, "Assembly sheet", On.ITEM, "Put together"),
    CLEAN("clean", Group.PARTS, "Cleanliness after tank work", On.TANK, "Contamination"),
    DRAIN("drain", Group.QUANTITY, "Drain test", On.TANK, "Unusable fuel"),
    FILL("fill", Group.QUANTITY, "Fill and mark", On.TANK, "Gauge marks"),
    TOP_OFF("top-off", Group.QUANTITY, "Top-off", On.TANK, "Capacity"),
    EMPTYING("emptying", Group.QUANTITY, "Emptying by the drain", On.TANK, "Draining"),
    FLOW("flow", Group.FLOW, "Nose-up flow", On.POSITION, "Flow margin"),
    PUMP_FLOW("pump-flow", Group.FLOW, "Single-pump flow", On.PUMP_IN_POSITION, "Flow margin"),
    DEAD_HEAD("dead-head", Group.FLOW, "Dead-head pressure", On.ITEM, "Pressures"),
    REGULATOR("regulator", Group.FLOW, "Regulated pressure", On.ITEM, "Pressures"),
    PRIMING("priming", Group.FLOW, "Priming time", On.ITEM, "Starting"),
    JET("jet", Group.FLOW, "Jet pump flow", On.ITEM, "Flow margin"),
    RETURN("return", Group.FLOW, "Return destination", On.POSITION, "Returns"),
    OVERNIGHT("overnight", Group.TIGHT, "Overnight leak check", On.AIRCRAFT, "Leaks"),
    TANK_PRESSURE("tank-pressure", Group.TIGHT, "Tank pressure test", On.TANK, "Leaks"),
    LINE_PRESSURE("line-pressure", Group.TIGHT, "Line pressure test", On.AIRCRAFT, "Leaks"),
    SELECTOR_OFF("selector-off", Group.TIGHT, "OFF shutoff check", On.ITEM, "OFF shuts off"),
    CHECK_HOLDS("check-holds", Group.TIGHT, "Check valve leak check", On.ITEM, "No reverse flow"),
    HOLD("hold", Group.TIGHT, "Pressure hold after shutoff", On.AIRCRAFT, "No reverse flow"),
    FIRST_RUN("first-run", Group.TIGHT, "Leak check after first run", On.AIRCRAFT, "Leaks"),
    VENTS("vents", Group.AIR, "Vent flow check", On.AIRCRAFT, "Vents"),
    TANK_RETURN("tank-return", Group.AIR, "Tank pressure while fuel returns", On.TANK, "Vents"),
    DRAINS("drains", Group.AIR, "Water drain check", On.AIRCRAFT, "Water"),
    LEVEL_SENDER("level-sender", Group.INSTRUMENTS, "Level sender", On.TANK, "Gauge zero"),
    FLOW_SENDER("flow-sender", Group.INSTRUMENTS, "Flow sender", On.ITEM, "Readings"),
    GAUGE_CHECK("gauge-check", Group.INSTRUMENTS, "Pressure gauge", On.ITEM, "Readings"),
    RUN_LOG("run-log", Group.HEAT, "Engine run and heat-soak log", On.AIRCRAFT, "Vapor"),
    HOT_RESTART("hot-restart", Group.HEAT, "Hot restart", On.AIRCRAFT, "Vapor");

    /** What a test is about. */
    public enum Group {
        PARTS("Parts"),
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

    /** As on its line in a list, where its group and the item stand beside it. */
    public String brief() {
        return switch (this) {
            case DRAIN -> "Drain";
            case FILL -> "Fill and mark";
            case TANK_PRESSURE -> "Pressure";
            case DEAD_HEAD -> "Dead-head";
            case OVERNIGHT -> "Overnight";
            case LINE_PRESSURE -> "Line pressure";
            case CHECK_HOLDS -> "Check valve";
            case FIRST_RUN -> "After first run";
            case RUN_LOG -> "Run and soak log";
            case BENCH -> "Bench";
            case ASSEMBLY -> "Assembly";
            case CLEAN -> "Clean";
            case EMPTYING -> "Emptying";
            case REGULATOR -> "Regulator";
            case JET -> "Jet pump";
            case PRIMING -> "Priming";
            case RETURN -> "Return";
            case HOLD -> "Pressure hold";
            case TANK_RETURN -> "While fuel returns";
            default -> title;
        };
    }

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
