package ration.evidence;

import static ration.evidence.Procedure.FUEL;
import static ration.evidence.Procedure.RIG;

import java.util.ArrayList;
import java.util.List;
import ration.evidence.Procedure.Asks;
import ration.evidence.Procedure.Step;

/** The steps of each test that has a {@link Form}. Common practice, no source. */
final class SheetSteps {

    private static final String PRESSURE =
            "Burst hazard. Never use shop air. Use a water column or a hand pump with a gauge. Stand clear.";
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
                        "Line off at the carburettor, nose up past the steepest climb, a can and a clock: what"
                                + " an open line pours.",
                        flow(FUEL));
            case PUMP_FLOW ->
                begin(
                        kind,
                        on,
                        "One pump alone, on the battery, nose up: what the open line pours.",
                        flow(LIVE),
                        step(
                                Asks.FIGURES,
                                "Read volts and pressure",
                                "At the pump's own terminals, while it runs.",
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
            case OVERNIGHT ->
                begin(
                        kind,
                        on,
                        "Fill the tanks. Wrap every joint in dry blue paper towel. Leave it one night to two days.",
                        step(Asks.FIGURES, "How long was it wrapped", "", FUEL, "hours"),
                        step(
                                Asks.EACH,
                                "Look and feel, joint by joint",
                                "A stain counts. The head over each joint stands beside it:" + " more head, more leak.",
                                FUEL));
            case TANK_PRESSURE ->
                begin(
                        kind,
                        on,
                        "Plug outlets, vent and cap. Test pressure 3.5 psi metal tank, 2.0 psi bladder: do not"
                                + " exceed. 3.5 psi = 8.1 ft of water.",
                        step(
                                Asks.FIGURES,
                                "Put it under pressure, wait",
                                "Read at the start and at the end, with the temperature of the air: warmer air"
                                        + " makes up for a leak.",
                                PRESSURE,
                                "pressure",
                                "minutes",
                                "end",
                                "warm",
                                "cool"),
                        step(
                                Asks.EACH,
                                "Soap, look for bubbles",
                                "Seams, fittings, cap, inspection plates: plate bolts evenly, in a star.",
                                PRESSURE));
            case LINE_PRESSURE ->
                begin(
                        kind,
                        on,
                        "Lines off at both ends, plugged. 1.5 times the working pressure, or as the maker says.",
                        step(Asks.FIGURES, "Put them under pressure, wait", "", PRESSURE, "pressure", "minutes", "end"),
                        step(Asks.EACH, "Soap every joint", "", PRESSURE));
            case SELECTOR_OFF ->
                begin(
                        kind,
                        on,
                        "Full tanks, line open at the engine, selector at OFF.",
                        step(
                                Asks.FIGURES,
                                "Watch the open end",
                                "Ten minutes are usual. Count the" + " drops.",
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
                        "Run some minutes, stop, look at every joint with a light. Again after the first"
                                + " flight: a record of its own.",
                        step(Asks.FIGURES, "Run the engine, stop it", "", PROPELLER, "minutes"),
                        step(
                                Asks.EACH,
                                "Look at every joint forward of the firewall",
                                "Ignition OFF, key out, propeller treated as live. Use a light.",
                                PROPELLER));
            case VENTS ->
                begin(
                        kind,
                        on,
                        "Low air from the tank side; a strip of tape flutters at the tip. Both ways where there"
                                + " is a check ball.",
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
                        "Parked as it stands. Pour a little water into each low point, then drain in walk-round order.",
                        step(Asks.FIGURES, "How does it stand", "", FUEL, Forms.PITCH),
                        step(Asks.EACH, "Does the drain find the water", "Into a bowl, drain by drain.", FUEL));
            case LEVEL_SENDER ->
                begin(
                        kind,
                        on,
                        "From empty to full in known pours.",
                        step(
                                Asks.FIGURES,
                                "How does it stand",
                                "Marks are good for that attitude only.",
                                RIG,
                                Forms.PITCH),
                        step(
                                Asks.ROW,
                                "Pour, let it settle, read",
                                "The total so far is kept; begin with the unusable fuel.",
                                FUEL));
            case FLOW_SENDER ->
                begin(
                        kind,
                        on,
                        "A known volume through it, at about cruise flow.",
                        step(Asks.ROW, "Run it through, count the pulses", "", FUEL));
            case GAUGE_CHECK ->
                begin(
                        kind,
                        on,
                        "A clear hose of fuel held over the sender: its height makes the pressure.",
                        step(
                                Asks.FIGURES,
                                "How warm is the fuel",
                                "Leave it empty if it is about 15 \u00b0C.",
                                FUEL,
                                "fuel"),
                        step(Asks.ROW, "Hold the hose, read the gauge", "Zero height first.", FUEL));
            case RUN_LOG ->
                begin(
                        kind,
                        on,
                        "Thermocouples at pump, carburettor or rail, and bowl; pressure in the line. Idle, run"
                                + " up, climb power, then fifteen minutes of soak after"
                                + " shutdown. Keep the logger's table beside the document.",
                        step(
                                Asks.FIGURES,
                                "Day and length",
                                "The table itself is laid over the Vapor page.",
                                PROPELLER,
                                "air",
                                "soak"));
            case HOT_RESTART ->
                begin(
                        kind,
                        on,
                        "After the worst minutes of the soak, as the soak on the Vapor page says.",
                        step(Asks.FIGURES, "Start it", "", PROPELLER, "soak", "seconds", "pressure"),
                        step(Asks.EACH, "Did it start", "", PROPELLER));
        };
    }

    private static Step[] flow(String caution) {
        return new Step[] {
            step(
                    Asks.FIGURES,
                    "Raise the nose",
                    "The steepest climb and 5\u00b0 more (AC 90-89, from memory). Measure it with a level, or"
                            + " by two marks.",
                    RIG,
                    Forms.PITCH),
            step(
                    Asks.FIGURES,
                    "Line off, open end at the inlet's height",
                    "Selector OFF. Disconnect the line. Secure its end at inlet height; enter the height"
                            + " difference, + if above.",
                    caution,
                    "open",
                    "fuel"),
            step(
                    Asks.FIGURES,
                    "Pour in a known amount",
                    "Drain the tank that feeds at its outlet, pour in the least it should"
                            + " feed on. Again before each run.",
                    FUEL,
                    Forms.CONTENTS),
            step(
                    Asks.ROW,
                    "Let it run into the can",
                    "From the first drop to the mark, with the clock." + " Three runs; the smallest counts.",
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
                "Who measures, with what",
                "A witness makes it worth more. Say when the instrument was last found right, and how far off.",
                ""));
        all.addAll(List.of(steps));
        all.add(step(Asks.RESULT, "What was found", "", ""));
        return List.copyOf(all);
    }
}
