package ration.verdict.check;

/**
 * Every check there is: its stable key, the page it belongs to, and whether it must answer. One that must and gives no
 * finding counts as Not shown: silence never turns into Holds.
 */
public enum Check {
    LAYOUT("layout", Topic.LAYOUT, "Something of the layout is wrong or missing", Answers.WHEN_IT_CONCERNS),
    FLOW_ASSESSED("flow.assessed", Topic.FLOW, "Everything computed", Answers.WHEN_IT_CONCERNS),
    FLOW_CHECKED("flow.checked", Topic.FLOW, "Flow checked", Answers.WHEN_IT_CONCERNS),
    PRESSURES_CHECKED("pressures.checked", Topic.FLOW, "Pressures checked", Answers.WHEN_IT_CONCERNS),
    TANKS_CHECKED("tanks.checked", Topic.TANKS, "Tanks checked", Answers.WHEN_IT_CONCERNS),
    FIREWALL_CHECKED("firewall.checked", Topic.LAYOUT, "Firewall checked", Answers.WHEN_IT_CONCERNS),
    BUILD_CHECKED("build.checked", Topic.RUNS, "Build of the lines checked", Answers.WHEN_IT_CONCERNS),
    VAPOR_CHECKED("vapor.checked", Topic.VAPOR, "Vapor checked", Answers.WHEN_IT_CONCERNS),
    AIR_CHECKED("air.checked", Topic.AIR, "Air and water checked", Answers.WHEN_IT_CONCERNS),
    FLOW_MARGIN("flow.margin", Topic.FLOW, "Required flow reaches the engine, each selector position", Answers.ALWAYS),
    FLOW_SURE("flow.sure", Topic.FLOW, "How sure the flow margin is", Answers.WHEN_IT_CONCERNS),
    FLOW_UNANSWERED("flow.unanswered", Topic.FLOW, "All cases solved", Answers.WHEN_IT_CONCERNS),
    FLOW_OVERFLOW("flow.overflow", Topic.FLOW, "No overflow between connected tanks", Answers.WHEN_IT_CONCERNS),
    FLOW_INLET_PRESSURE(
            "flow.inlet-pressure", Topic.FLOW, "Minimum inlet pressure at takeoff demand", Answers.ONCE_SOLVED),
    FLOW_INLET_PRESSURE_MOST(
            "flow.inlet-pressure-most", Topic.FLOW, "Maximum inlet pressure", Answers.WHEN_IT_CONCERNS),
    FLOW_TRANSITION("flow.transition", Topic.FLOW, "Between laminar and turbulent", Answers.WHEN_IT_CONCERNS),
    FLOW_REGULATED("flow.regulated", Topic.FLOW, "A regulator holds its pressure", Answers.WHEN_IT_CONCERNS),
    FLOW_HEADER("flow.header", Topic.FLOW, "A header stays wet", Answers.WHEN_IT_CONCERNS),
    FLOW_AIR("flow.air", Topic.FLOW, "No air drawn from an empty tank", Answers.WHEN_IT_CONCERNS),
    FLOW_SECOND_PUMP("flow.second-pump", Topic.FLOW, "A second pump with its own supply", Answers.WHEN_IT_CONCERNS),
    ELECTRICAL_DRAW("electrical.draw", Topic.ELECTRICAL, "Electric draw of the pumps", Answers.WHEN_IT_CONCERNS),
    ELECTRICAL_BREAKER("electrical.breaker", Topic.ELECTRICAL, "Pump circuit breaker", Answers.WHEN_IT_CONCERNS),
    ELECTRICAL_WIRE("electrical.wire", Topic.ELECTRICAL, "Wire of the pumps", Answers.WHEN_IT_CONCERNS),
    BUILD_BULKHEAD("build.bulkhead", Topic.LAYOUT, "Bulkhead fitting in the firewall", Answers.WHEN_IT_CONCERNS),
    BUILD_SHUT_OFF("build.shut-off", Topic.LAYOUT, "Shutoff valve aft of the firewall", Answers.WHEN_IT_CONCERNS),
    PATHS_CHECKED("paths.checked", Topic.LAYOUT, "Ways to the engine checked", Answers.WHEN_IT_CONCERNS),
    BUILD_SHUTS("build.shuts", Topic.LAYOUT, "A valve shuts every way to the engine", Answers.ONCE_SOLVED),
    BUILD_FILTERED("build.filtered", Topic.LAYOUT, "A filter on every way to the engine", Answers.ONCE_SOLVED),
    BUILD_RETURN_SHUTS(
            "build.return-shuts", Topic.LAYOUT, "No fuel runs back through a return", Answers.WHEN_IT_CONCERNS),
    SENDERS_CHECKED("senders.checked", Topic.LAYOUT, "Flow senders checked", Answers.WHEN_IT_CONCERNS),
    SENDER_COUNTS("sender.counts", Topic.LAYOUT, "What a flow sender counts", Answers.WHEN_IT_CONCERNS),
    SENDER_STRAIGHT("sender.straight", Topic.LAYOUT, "Straight line at a flow sender", Answers.WHEN_IT_CONCERNS),
    FILTERS_CHECKED("filters.checked", Topic.LAYOUT, "Filters checked", Answers.WHEN_IT_CONCERNS),
    FILTER_ENGINE("filter.engine", Topic.LAYOUT, "Filtered finely enough for the engine", Answers.WHEN_IT_CONCERNS),
    FILTER_PUMP("filter.pump", Topic.LAYOUT, "Filtered finely enough for a pump", Answers.WHEN_IT_CONCERNS),
    FILTER_ORDER("filter.order", Topic.LAYOUT, "Coarse filters before fine ones", Answers.WHEN_IT_CONCERNS),
    FILTER_RATING("filter.rating", Topic.LAYOUT, "Strainers and filters stand the pressure", Answers.WHEN_IT_CONCERNS),
    BUILD_JOINT("build.joint", Topic.RUNS, "Fitting match", Answers.WHEN_IT_CONCERNS),
    BUILD_JOINTS("build.joints", Topic.RUNS, "Every joint goes together", Answers.WHEN_IT_CONCERNS),
    BUILD_SHEET("build.sheet", Topic.RUNS, "Runs sheet filled in", Answers.WHEN_IT_CONCERNS),
    BUILD_BEND("build.bend", Topic.RUNS, "Tightest bend", Answers.WHEN_IT_CONCERNS),
    BUILD_SUPPORTS("build.supports", Topic.RUNS, "Clamp spacing", Answers.WHEN_IT_CONCERNS),
    BUILD_CLAMP("build.clamp", Topic.RUNS, "A clamp fits what it holds", Answers.WHEN_IT_CONCERNS),
    BUILD_HEAT("build.heat", Topic.RUNS, "Distance to heat", Answers.WHEN_IT_CONCERNS),
    BUILD_CHAFE("build.chafe", Topic.RUNS, "Clearance of a line", Answers.WHEN_IT_CONCERNS),
    BUILD_TORQUE("build.torque", Topic.RUNS, "Torque of its ends", Answers.WHEN_IT_CONCERNS),
    BUILD_LENGTH("build.length", Topic.RUNS, "Length supplied", Answers.WHEN_IT_CONCERNS),
    BUILD_MOVING("build.moving", Topic.RUNS, "Flexible line where parts move", Answers.WHEN_IT_CONCERNS),
    BUILD_TEMPORARY("build.temporary", Topic.RUNS, "Nothing temporary flies", Answers.WHEN_IT_CONCERNS),
    BUILD_OPEN_JOINT("build.open-joint", Topic.RUNS, "No joint is open", Answers.WHEN_IT_CONCERNS),
    BUILD_KIND("build.kind", Topic.RUNS, "Size and construction fit each other", Answers.WHEN_IT_CONCERNS),
    BUILD_FIRE("build.fire", Topic.RUNS, "Fire resistance forward of the firewall", Answers.WHEN_IT_CONCERNS),
    BUILD_HOSE_MADE("build.hose-made", Topic.RUNS, "Hose can be made as routed", Answers.WHEN_IT_CONCERNS),
    BUILD_HOSE_HEAT("build.hose-heat", Topic.RUNS, "Hose and the heat round it", Answers.WHEN_IT_CONCERNS),
    BUILD_HOSE_FUEL("build.hose-fuel", Topic.RUNS, "Hose and ethanol", Answers.WHEN_IT_CONCERNS),
    BUILD_HOSE_PROOF("build.hose-proof", Topic.RUNS, "Proof pressure of a hose", Answers.WHEN_IT_CONCERNS),
    BUILD_DEAD_HEAD("build.dead-head", Topic.RUNS, "Line rating above dead-head pressure", Answers.WHEN_IT_CONCERNS),
    TANK_UNUSABLE("tank.unusable", Topic.TANKS, "Unusable fuel placard", Answers.PER_TANK),
    TANK_DRAIN_TEST("tank.drain-test", Topic.HANGAR, "Drain test at the governing attitude", Answers.PER_TANK),
    TANK_EXPANSION("tank.expansion", Topic.TANKS, "Expansion space", Answers.PER_TANK),
    TANK_SUMP("tank.sump", Topic.TANKS, "Sump", Answers.PER_TANK),
    TANK_SCREEN("tank.screen", Topic.TANKS, "Outlet screen", Answers.WHEN_IT_CONCERNS),
    TANK_EDGE("tank.edge", Topic.TANKS, "Outlet reference point", Answers.WHEN_IT_CONCERNS),
    TANK_STALE("tank.stale", Topic.TANKS, "Tests still valid", Answers.WHEN_IT_CONCERNS),
    TANK_RESERVE("tank.reserve", Topic.TANKS, "Header endurance", Answers.WHEN_IT_CONCERNS),
    VAPOR_GAP("vapor.gap", Topic.VAPOR, "Vapor margin", Answers.ONCE_SOLVED),
    VAPOR_HOT_FUEL("vapor.hot-fuel", Topic.VAPOR, "Hot fuel case", Answers.ONCE_SOLVED),
    VAPOR_RESTART("vapor.restart", Topic.VAPOR, "Restart after shutdown", Answers.WHEN_IT_CONCERNS),
    VAPOR_TRAPPED("vapor.trapped", Topic.VAPOR, "Thermal relief", Answers.ONCE_SOLVED),
    VAPOR_SUCTION_DRAIN("vapor.suction-drain", Topic.VAPOR, "Drain on suction", Answers.WHEN_IT_CONCERNS),
    VAPOR_SUCTION_FILTER("vapor.suction-filter", Topic.VAPOR, "Filter on suction", Answers.WHEN_IT_CONCERNS),
    VAPOR_LIFT("vapor.lift", Topic.VAPOR, "Suction lift", Answers.WHEN_IT_CONCERNS),
    VAPOR_RETURN_NEAR("vapor.return-near", Topic.VAPOR, "Return beside an outlet", Answers.WHEN_IT_CONCERNS),
    VAPOR_WARMING("vapor.warming", Topic.VAPOR, "Return warms a tank", Answers.WHEN_IT_CONCERNS),
    VAPOR_IN_TANK("vapor.in-tank", Topic.VAPOR, "Pump in the tank", Answers.WHEN_IT_CONCERNS),
    AIR_VENT("air.vent", Topic.AIR, "Vent pressure drop", Answers.PER_VENTED_TANK),
    AIR_BLOCKED("air.blocked", Topic.AIR, "A blocked vent", Answers.PER_VENTED_TANK),
    AIR_SPILL("air.spill", Topic.AIR, "No fuel out of the vents", Answers.WHEN_IT_CONCERNS),
    RETURNS_CHECKED("returns.checked", Topic.AIR, "Vapor from returns checked", Answers.WHEN_IT_CONCERNS),
    AIR_RETURN_VAPOR("air.return-vapor", Topic.AIR, "Vapor from a return", Answers.WHEN_IT_CONCERNS),
    AIR_LOW("air.low", Topic.AIR, "Low points drained", Answers.ONCE_SOLVED),
    AIR_TRAP("air.trap", Topic.AIR, "Vent trap", Answers.WHEN_IT_CONCERNS),
    AIR_HIGH("air.high", Topic.AIR, "High point", Answers.WHEN_IT_CONCERNS),
    AIR_STRAINER("air.strainer", Topic.AIR, "Gascolator at the low point", Answers.WHEN_IT_CONCERNS),
    AIR_BOWL("air.bowl", Topic.AIR, "Sediment bowl", Answers.WHEN_IT_CONCERNS),
    AIR_BOTH("air.both", Topic.AIR, "Which tank empties first", Answers.WHEN_IT_CONCERNS),
    AIR_TIPS("air.tips", Topic.AIR, "Vent pressure, connected tanks", Answers.WHEN_IT_CONCERNS),
    PROOF_CHECKED("proof.checked", Topic.HANGAR, "Tests checked", Answers.WHEN_IT_CONCERNS),
    PROOF_FILL("proof.fill", Topic.HANGAR, "Gauge marked", Answers.WHEN_IT_CONCERNS),
    PROOF_TOP_OFF("proof.top-off", Topic.HANGAR, "Capacity by the meter", Answers.WHEN_IT_CONCERNS),
    PROOF_FLOW("proof.flow", Topic.HANGAR, "Flow measured nose up", Answers.WHEN_IT_CONCERNS),
    PROOF_PUMP_FLOW("proof.pump-flow", Topic.HANGAR, "Flow of each pump measured", Answers.WHEN_IT_CONCERNS),
    PROOF_DEAD_HEAD("proof.dead-head", Topic.HANGAR, "Pressures measured", Answers.WHEN_IT_CONCERNS),
    PROOF_OVERNIGHT("proof.overnight", Topic.HANGAR, "Fittings dry overnight", Answers.WHEN_IT_CONCERNS),
    PROOF_TANK_PRESSURE("proof.tank-pressure", Topic.HANGAR, "Tanks tight under pressure", Answers.WHEN_IT_CONCERNS),
    PROOF_LINE_PRESSURE("proof.line-pressure", Topic.HANGAR, "Lines tight under pressure", Answers.WHEN_IT_CONCERNS),
    PROOF_SELECTOR_OFF("proof.selector-off", Topic.HANGAR, "OFF stops the fuel", Answers.WHEN_IT_CONCERNS),
    PROOF_CHECK_HOLDS("proof.check-holds", Topic.HANGAR, "Check valves hold", Answers.WHEN_IT_CONCERNS),
    PROOF_FIRST_RUN("proof.first-run", Topic.HANGAR, "Joints dry after a run", Answers.WHEN_IT_CONCERNS),
    PROOF_VENTS("proof.vents", Topic.HANGAR, "Vents blown through", Answers.WHEN_IT_CONCERNS),
    PROOF_DRAINS("proof.drains", Topic.HANGAR, "Drains remove water", Answers.WHEN_IT_CONCERNS),
    PROOF_LEVEL_SENDER("proof.level-sender", Topic.HANGAR, "Level sender", Answers.WHEN_IT_CONCERNS),
    PROOF_FLOW_SENDER("proof.flow-sender", Topic.HANGAR, "Flow sender", Answers.WHEN_IT_CONCERNS),
    PROOF_GAUGE_CHECK("proof.gauge-check", Topic.HANGAR, "Pressure gauge", Answers.WHEN_IT_CONCERNS),
    PROOF_RUN_LOG("proof.run-log", Topic.HANGAR, "Engine run and heat soak logged", Answers.WHEN_IT_CONCERNS),
    PROOF_HOT_RESTART("proof.hot-restart", Topic.HANGAR, "Hot restart", Answers.WHEN_IT_CONCERNS),
    PROOF_BENCH("proof.bench", Topic.HANGAR, "Part checked before fitting", Answers.WHEN_IT_CONCERNS),
    PROOF_ASSEMBLY("proof.assembly", Topic.HANGAR, "Part put together as its sheet asks", Answers.WHEN_IT_CONCERNS),
    PROOF_CLEAN("proof.clean", Topic.HANGAR, "Tank clean after work", Answers.WHEN_IT_CONCERNS),
    PROOF_EMPTYING("proof.emptying", Topic.HANGAR, "Tank empties by its drain", Answers.WHEN_IT_CONCERNS),
    PROOF_REGULATOR("proof.regulator", Topic.HANGAR, "Regulated pressure measured", Answers.WHEN_IT_CONCERNS),
    PROOF_PRIMING("proof.priming", Topic.HANGAR, "Priming time", Answers.WHEN_IT_CONCERNS),
    PROOF_JET("proof.jet", Topic.HANGAR, "Jet pump flow measured", Answers.WHEN_IT_CONCERNS),
    PROOF_RETURN("proof.return", Topic.HANGAR, "Fuel returns to the right tank", Answers.WHEN_IT_CONCERNS),
    PROOF_HOLD("proof.hold", Topic.HANGAR, "Pressure holds after shutoff", Answers.WHEN_IT_CONCERNS),
    PROOF_TANK_RETURN("proof.tank-return", Topic.HANGAR, "Tank pressure while fuel returns", Answers.WHEN_IT_CONCERNS);

    /** The page a check belongs to. */
    public enum Topic {
        LAYOUT,
        RUNS,
        FLOW,
        TANKS,
        VAPOR,
        AIR,
        HANGAR,
        ELECTRICAL
    }

    /** When a check has to give a finding. */
    public enum Answers {
        /** Of every project. */
        ALWAYS,
        /** Of every project whose cases could be solved. */
        ONCE_SOLVED,
        /** Of every tank with an outlet whose shape closes. */
        PER_TANK,
        /** Of every tank, once cases could be solved. */
        PER_VENTED_TANK,
        /** Where there is something it concerns: it decides that itself. */
        WHEN_IT_CONCERNS
    }

    private final String key;
    private final Topic topic;
    private final String title;
    private final Answers answers;

    Check(String key, Topic topic, String title, Answers answers) {
        this.key = key;
        this.topic = topic;
        this.title = title;
        this.answers = answers;
    }

    /** Stable, as written to JSON: flow.margin. */
    public String key() {
        return key;
    }

    public Topic topic() {
        return topic;
    }

    /** What is checked. */
    public String title() {
        return title;
    }

    public Answers answers() {
        return answers;
    }
}
