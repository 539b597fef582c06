package ration.verdict.words;

import java.util.Optional;

/**
 * A word of the trade that is explained where it is met: one sentence, and one figure that shows what it is worth.
 * Figures without a source are sums that can be done by hand.
 */
public enum Term {
    GOVERNING_CASE(
            "Governing case",
            "The worst case of all attitudes, fuel quantities, selector positions and pumps: its verdict is the"
                    + " aircraft's.",
            "Usually the steepest climb, the lowest fuel, the longest line."),
    FLOW_MARGIN(
            "Flow margin",
            "Available flow divided by what the engine takes at takeoff power. Available flow is what reaches"
                    + " the inlet at"
                    + " the pressure the engine needs.",
            "1.50 is the 150% that a gravity system must show."),
    NEEDED_FACTOR(
            "Needs 1.50 or 1.25",
            "A gravity system must pass 150% of takeoff demand, a pumped one 125% by one pump: nothing pushes"
                    + " harder when"
                    + " a gravity system is short.",
            "The same factors in every standard offered here, from memory."),
    HEAD(
            "Head",
            "Pressure written as a height of fuel: what the tank's height gives, and what lines, valves and"
                    + " strainers use"
                    + " up.",
            "1 in of fuel is about 0.026 psi."),
    OPEN_LINE(
            "Open-line flow",
            "Flow from the line taken off the engine. It reads higher than available flow, because nothing has to be"
                    + " pushed into a carburetor.",
            "0.5 psi at the inlet costs about 19 in of head."),
    INLET_PRESSURE(
            "Minimum inlet pressure",
            "The least pressure at which the carburetor, servo or rail still takes its full flow. Read it in the engine"
                    + " or carburetor manual.",
            "Common float carburetors: minimum 0.5 psi (engine manuals, from memory)."),
    CLIMB_PITCH(
            "Climb pitch",
            "The angle of the fuselage to the horizon in the steepest climb, not the climb angle. Measure it in flight"
                    + " with a level on the datum line.",
            "1,000 ft/min at 80 kt is a climb angle of 7\u00b0; the fuselage usually stands higher."),
    TILT(
            "Fuel tilt",
            "How far the fuel's surface leans in the tank. In a coordinated turn it does not; in a slip or"
                    + " skid it does,"
                    + " as the ball shows.",
            "At 10\u00b0 the surface rises 1.8 in for every 10 in sideways."),
    STATIONS(
            "Station, butt line, waterline",
            "Where a point is: station aft of the datum, butt line right of the centerline (left is negative),"
                    + " waterline"
                    + " above the reference height. Any datum will do if all are measured from it.",
            "STA 42, BL \u221214, WL 60."),
    UNUSABLE(
            "Unusable fuel",
            "What is left in a tank when the outlet takes air in its worst attitude. Of what is computed, drained and"
                    + " published, the largest counts.",
            "Only a drain test at that attitude shows it."),
    VAPOR_MARGIN(
            "Vapor margin",
            "How many degrees warmer the fuel could be before it boils at its worst place. It is a difference, not a"
                    + " temperature.",
            "Hotter fuel, height and suction take from it."),
    VOLATILITY(
            "Reid pressure, volatility class",
            "How readily a gasoline boils: its vapor pressure at 100 \u00b0F. Classes AA to E run from hot"
                    + " summer to cold"
                    + " winter blends.",
            "100LL maximum 7.1 psi; class AA 7.8, class E 15 (ASTM D910, D4814, from memory)."),
    HOT_FUEL(
            "Hot fuel",
            "Two cases: the hot day of the flight as planned, and fuel at 110 \u00b0F in the tank whatever the day,"
                    + " because a rule asks for that.",
            "The 110 \u00b0F comes from flight-test practice, from memory."),
    DEAD_HEAD(
            "Dead-head pressure",
            "What a pump makes against a shut line. A relief or bypass gives it a way back; without one, every part"
                    + " downstream must stand it.",
            "Lines are pressure-tested at 1.5 times the working pressure (common practice)."),
    DUPLEX(
            "Duplex selector",
            "A selector with six ports that moves supply and return together, so that the return goes to the tank in"
                    + " use.",
            "Without it, one tank can be pumped into the other and overboard."),
    AIR_SOURCE(
            "Second air source",
            "A tank gives fuel only as fast as air comes in. One blocked vent stops it; a vented cap or a joined vent"
                    + " goes on.",
            "With 1 gal of air over the fuel and no vent, 0.1 gal drawn takes 1.3 psi away."),
    BUS(
            "Bus, breaker, ground",
            "Where an electric pump takes its power. Two pumps on one bus, breaker or ground stop together and count as"
                    + " one.",
            "Standards ask for a backup pump with power of its own."),
    TRAPPED(
            "Trapped volume",
            "A line full of fuel between two shut valves. As it warms, its pressure rises until something"
                    + " gives; a small"
                    + " bleed lets it out.",
            "A 0.010 in hole is usual practice."),
    VOLUME_TESTS(
            "Drain test, top-off, fill and mark",
            "Drain test: run it dry and drain the rest, which is the unusable. Top-off: fill it by a meter,"
                    + " which is the"
                    + " capacity. Fill and mark: pour steps and mark the gauge.",
            "Each with the aircraft level or at the attitude said."),
    FITTINGS(
            "Dash sizes, 37\u00b0 and 45\u00b0, NPT",
            "A dash number is the tube's outside diameter in sixteenths. Aircraft flares are 37\u00b0, automotive ones"
                    + " 45\u00b0: in some sizes they screw together, and leak. NPT is a tapered thread and"
                    + " takes sealant.",
            "\u22126 is 3/8 in."),
    TRANSITION(
            "Transition flow",
            "Between smooth and turbulent flow, where the loss of a line is not certain: the higher one is used.",
            "Reynolds number 2,000 to 4,000."),
    FLOAT(
            "Float",
            "By how much a step may begin later without moving the end of the build: what waits for it has that much"
                    + " time to spare.",
            "A step of 2 h beside one of 5 h has 3 h of float."),
    NOT_SHOWN(
            "Not shown",
            "No valid evidence, or not computed. It never counts as good: enter the figure or run the test.",
            "Holds and Thin are shown; Fails is shown to fail."),
    FROM_MEMORY(
            "From memory",
            "The rule is cited from memory. Check its text before you rely on it.",
            "The number of the paragraph says where to look.");

    private final String word;
    private final String says;
    private final String figure;

    Term(String word, String says, String figure) {
        this.word = word;
        this.says = says;
        this.figure = figure;
    }

    public String word() {
        return word;
    }

    /** In a sentence or three. */
    public String says() {
        return says;
    }

    /** What it is worth, in a line. */
    public String figure() {
        return figure;
    }

    /** The term that explains a figure of an item, by the key of the figure; empty where everybody knows it. */
    public static Optional<Term> ofField(String key) {
        String last = key.substring(key.lastIndexOf('.') + 1);
        return switch (last) {
            case "station", "buttLine", "waterLine" -> Optional.of(STATIONS);
            case "minimumPressure" -> Optional.of(INLET_PRESSURE);
            case "published" -> Optional.of(UNUSABLE);
            default -> Optional.empty();
        };
    }
}
