package ration.record.evidence;

import static ration.record.evidence.Procedure.FUEL;
import static ration.record.evidence.Procedure.RIG;

import java.util.ArrayList;
import java.util.List;
import ration.record.evidence.Procedure.Asks;
import ration.record.evidence.Procedure.Step;

/** The steps of each test that has a {@link Form}. Common practice, no source. */
final class SheetSteps {

    private static final String PRESSURE =
            "Burst hazard. Never use shop air. Use a water column or a hand pump with a gauge. Keep clear of the tank.";
    private static final String PROPELLER =
            "Propeller hazard. Chocks, brakes, one person at the controls, propeller area clear. Burn hazard."
                    + " Extinguisher at hand.";
    private static final String LIVE =
            "Fire hazard: electric pump, open line. Metal can, bonded. Make the last electrical connection away"
                    + " from the can. Extinguisher at hand.";

    private SheetSteps() {}

    static List<Step> of(TestKind kind, String on) {
        return switch (kind) {
            case DRAIN, FILL, TOP_OFF -> List.of();
            case FLOW ->
                begin(
                        kind,
                        on,
                        "Open-line flow test. Disconnect the line at the carburetor, nose up to steepest climb"
                                + " + 5°, time the flow into a can.",
                        flow(FUEL));
            case PUMP_FLOW ->
                begin(
                        kind,
                        on,
                        "Open-line flow test, one pump on battery only, nose up.",
                        flow(LIVE),
                        step(
                                Asks.FIGURES,
                                "Record voltage and pressure",
                                "Voltage at the pump terminals and line pressure, pump running.",
                                LIVE,
                                "volts",
                                "pressure"));
            case DEAD_HEAD ->
                begin(
                        kind,
                        on,
                        "Connect a gauge at the rail or carburetor. Pinch the return only on rubber hose:"
                                + " smooth-jaw clamp over a cloth. Never a rigid or PTFE line.",
                        step(
                                Asks.FIGURES,
                                "Run the pump, read the gauge",
                                "1 Engine idling. 2 Full power. 3 Dead-headed (no flow): pump maximum pressure.",
                                LIVE,
                                "volts",
                                "idle",
                                "full",
                                "shut"));
            case BENCH ->
                begin(
                        kind,
                        on,
                        "Plug the part and put it under its working pressure, with soap. Then check its work: regulator"
                                + " setting, check valve direction, selector OFF, sender sweep without a jump.",
                        step(
                                Asks.EACH,
                                "Check it on the bench",
                                "New parts fail too. Renew o-rings stored for years first.",
                                PRESSURE));
            case ASSEMBLY ->
                begin(
                        kind,
                        on,
                        "Lay out the part's own fasteners and new seals. Photograph it before and after.",
                        step(
                                Asks.EACH,
                                "Put it together",
                                "What departs from the plans goes into the notes, with its reason. Attach the photos.",
                                FUEL));
            case CLEAN ->
                begin(
                        kind,
                        on,
                        "Flush the tank with plenty of water through the open plate. Dry it completely.",
                        step(
                                Asks.EACH,
                                "Look, drain, open the first filter",
                                "Drain the first fuel until clean. Open the first strainer or filter after the first"
                                        + " ground run.",
                                FUEL));
            case EMPTYING ->
                begin(
                        kind,
                        on,
                        "Parked attitude, cap off, drain over a can. Stop the clock when the stream breaks. Measure the"
                                + " fuel left: dipstick, or pump it out.",
                        step(
                                Asks.FIGURES,
                                "Drain the tank",
                                "Change cans with the drain closed and the clock stopped.",
                                FUEL,
                                Forms.CONTENTS,
                                "seconds",
                                "rest",
                                "bore"));
            case REGULATOR ->
                begin(
                        kind,
                        on,
                        "Connect a gauge at the regulator, on the regulated side.",
                        step(
                                Asks.FIGURES,
                                "Pumps on, engine off",
                                "Read after 1 min. Pressure creeping up: leaking seat.",
                                LIVE,
                                "volts",
                                "creep"),
                        step(
                                Asks.FIGURES,
                                "Run the engine, read the gauge",
                                "1 Idle. 2 Full power. 3 Idle with the reference hose off, if installed: pressure rises"
                                        + " by the manifold depression.",
                                PROPELLER,
                                "idle",
                                "full",
                                "off"));
            case PRIMING ->
                begin(
                        kind,
                        on,
                        "Lines drained from tank to engine, fuel in the tank. Gauge at the rail or carburetor."
                                + " This pump only.",
                        step(
                                Asks.FIGURES,
                                "Pump on, clock on",
                                "Stop the clock when the pressure is steady. Most key switches run the pump 2 to 3 s.",
                                LIVE,
                                "volts",
                                "seconds"));
            case JET ->
                begin(
                        kind,
                        on,
                        "Electric pumps on, engine off. Put the suction line of the jet pump in a marked can of"
                                + " fuel, at tank height.",
                        step(
                                Asks.FIGURES,
                                "Set the fuel",
                                "Low fuel in every tank.",
                                FUEL,
                                Forms.CONTENTS,
                                "volts",
                                "fuel"),
                        step(
                                Asks.ROW,
                                "Time the draw",
                                "From mark to mark. Three runs; the lowest is the result.",
                                LIVE));
            case RETURN ->
                begin(
                        kind,
                        on,
                        "Mark the level in every tank. Set the selector as named. Electric pumps on, engine off.",
                        step(Asks.FIGURES, "Run the pumps", "10 min shows 1 gal at 6 gph.", LIVE, "minutes"),
                        step(Asks.EACH, "Record: each level, compared with its mark", "", FUEL));
            case HOLD ->
                begin(
                        kind,
                        on,
                        "Gauge at the rail or carburetor. Pumps on until steady, then off.",
                        step(
                                Asks.FIGURES,
                                "Pumps off, watch the gauge",
                                "5 min or more. A fast drop is a leaking check valve or a leak.",
                                LIVE,
                                "start",
                                "minutes",
                                "end"));
            case TANK_RETURN ->
                begin(
                        kind,
                        on,
                        "Water U-tube at the filler, opening sealed. Select the position that returns most to this"
                                + " tank. All electric pumps on, engine off. 1 inH2O = 0.0361 psi.",
                        step(
                                Asks.FIGURES,
                                "Read the U-tube",
                                "Above 10 inH2O: stop the pumps at once.",
                                LIVE,
                                "pressure",
                                "volts"));
            case OVERNIGHT ->
                begin(
                        kind,
                        on,
                        "Fill the tanks. Wrap every fitting in dry blue paper towel. Leave 10 to 48 h.",
                        step(Asks.FIGURES, "Hours wrapped", "", FUEL, "hours"),
                        step(
                                Asks.EACH,
                                "Check each fitting by sight and touch",
                                "A stain is a leak. Fuel head at each fitting is shown: more head, more leakage.",
                                FUEL));
            case TANK_PRESSURE ->
                begin(
                        kind,
                        on,
                        "Plug outlets, vent and cap. Test pressure 3.5 psi metal tank, 2.0 psi bladder: do not"
                                + " exceed. 3.5 psi = 8.1 ft of water.",
                        step(
                                Asks.FIGURES,
                                "Pressurize and wait",
                                "Read pressure and air temperature at start and end: warming hides a leak.",
                                PRESSURE,
                                "pressure",
                                "minutes",
                                "end",
                                "warm",
                                "cool"),
                        step(
                                Asks.EACH,
                                "Soap, watch for bubbles",
                                "Soap seams, fittings, cap and access plates. Torque plate screws evenly in a"
                                        + " star pattern.",
                                PRESSURE));
            case LINE_PRESSURE ->
                begin(
                        kind,
                        on,
                        "Disconnect and plug both ends. Test at 1.5 × working pressure, or the manufacturer's figure.",
                        step(Asks.FIGURES, "Pressurize and wait", "", PRESSURE, "pressure", "minutes", "end"),
                        step(Asks.EACH, "Soap every fitting", "", PRESSURE));
            case SELECTOR_OFF ->
                begin(
                        kind,
                        on,
                        "Tanks full, selector OFF, line disconnected at the engine, open end over a can.",
                        step(
                                Asks.FIGURES,
                                "Watch the open end",
                                "10 min is typical. Count the drops.",
                                FUEL,
                                "minutes",
                                "drops"));
            case CHECK_HOLDS ->
                begin(
                        kind,
                        on,
                        "Pressurize the downstream side; open the upstream side over a can. Any flow is a leak-back.",
                        step(Asks.FIGURES, "Watch the open side", "", LIVE, "minutes", "drops"));
            case FIRST_RUN ->
                begin(
                        kind,
                        on,
                        "Run the engine, stop, check every fitting. Repeat after the first flight as a new record.",
                        step(Asks.FIGURES, "Run the engine, stop it", "", PROPELLER, "minutes"),
                        step(
                                Asks.EACH,
                                "Check every fitting forward of the firewall",
                                "Ignition OFF, key out, propeller treated as live. Use a light.",
                                PROPELLER));
            case VENTS ->
                begin(
                        kind,
                        on,
                        "Blow gently from the tank side; tape at the vent outlet must flutter. With a check"
                                + " ball, test both directions.",
                        step(
                                Asks.EACH,
                                "Blow through, vent by vent",
                                "Use a squeeze bulb. Never shop air: it can burst the tank. Do not put your"
                                        + " mouth to a fuel vent.",
                                FUEL));
            case DRAINS ->
                begin(
                        kind,
                        on,
                        "Parked attitude. Pour a little water in at each low point, then drain in walk-around"
                                + " order. Remove all of it afterwards.",
                        step(Asks.FIGURES, "Measure the attitude", "", FUEL, Forms.PITCH),
                        step(
                                Asks.EACH,
                                "Record: water removed at each drain",
                                "Into a bowl, one drain at a time.",
                                FUEL));
            case LEVEL_SENDER ->
                begin(
                        kind,
                        on,
                        "Fill from empty to full in measured pours.",
                        step(
                                Asks.FIGURES,
                                "Measure the attitude",
                                "Gauge marks are valid at that attitude only.",
                                RIG,
                                Forms.PITCH),
                        step(
                                Asks.ROW,
                                "Pour, let it settle, read",
                                "First pour: the unusable fuel. The total is kept for you.",
                                FUEL));
            case FLOW_SENDER ->
                begin(
                        kind,
                        on,
                        "Run a measured volume through it at about cruise flow.",
                        step(Asks.ROW, "Run it through, count the pulses", "", FUEL));
            case GAUGE_CHECK ->
                begin(
                        kind,
                        on,
                        "Hold a clear hose of fuel above the sender: height = pressure. Read with zero height first.",
                        step(
                                Asks.FIGURES,
                                "Measure fuel temperature",
                                "Leave blank if about 59 \u00b0F (15 \u00b0C).",
                                FUEL,
                                "fuel"),
                        step(Asks.ROW, "Hold the hose, read the gauge", "Zero height first.", FUEL));
            case RUN_LOG ->
                begin(
                        kind,
                        on,
                        "Thermocouples on pump, carburetor or rail, and gascolator bowl; log fuel pressure."
                                + " Idle, run-up, climb power, shut down, log 15 min of soak. Save the log file"
                                + " with the document.",
                        step(Asks.FIGURES, "Date and length", "Overlay the log on Vapor.", PROPELLER, "air", "soak"));
            case HOT_RESTART ->
                begin(
                        kind,
                        on,
                        "Restart at peak heat soak (time from Vapor).",
                        step(Asks.FIGURES, "Start it", "", PROPELLER, "soak", "seconds", "pressure"),
                        step(Asks.EACH, "Record: engine start", "", PROPELLER));
        };
    }

    private static Step[] flow(String caution) {
        return new Step[] {
            step(
                    Asks.FIGURES,
                    "Raise the nose",
                    "Steepest climb + 5\u00b0 (AC 90-89, from memory). Measure with a level, or by two marks.",
                    RIG,
                    Forms.PITCH),
            step(
                    Asks.FIGURES,
                    "Disconnect the line, open end at inlet height",
                    "Selector OFF. Disconnect the line. Secure its end at inlet height; enter the height"
                            + " difference, + if above.",
                    caution,
                    "open",
                    "fuel"),
            step(
                    Asks.FIGURES,
                    "Pour in a measured amount",
                    "Drain the feeding tank to its outlet, then add low fuel (unusable + Low from Aircraft)."
                            + " Repeat before each run.",
                    FUEL,
                    Forms.CONTENTS),
            step(
                    Asks.ROW,
                    "Let it run into the can",
                    "Time from the first drop to the mark. Three runs; the lowest is the result.",
                    caution)
        };
    }

    private static Step step(Asks asks, String title, String words, String caution, String... keys) {
        return new Step(asks, title, words, caution, List.of(keys));
    }

    private static List<Step> begin(TestKind kind, String on, String words, Step[] first, Step... more) {
        List<Step> all = new ArrayList<>(List.of(first));
        all.addAll(all.size() - 1, List.of(more));
        return begin(kind, on, words, all.toArray(Step[]::new));
    }

    private static List<Step> begin(TestKind kind, String on, String words, Step... steps) {
        List<Step> all = new ArrayList<>();
        all.add(step(
                Asks.READ,
                "Before " + kind.title().toLowerCase(java.util.Locale.ROOT) + (on.isEmpty() ? "" : ", " + on),
                words,
                FUEL));
        all.add(step(
                Asks.WHO,
                "Tester and instruments",
                "A witness strengthens the record. Enter the instrument's calibration date and error.",
                ""));
        all.addAll(List.of(steps));
        all.add(step(Asks.RESULT, "Result", "", ""));
        return List.copyOf(all);
    }
}
