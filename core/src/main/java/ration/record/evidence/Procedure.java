package ration.record.evidence;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tank;

/** The steps of a test in the order of the work. */
public final class Procedure {

    /** What a step asks for. */
    public enum Asks {
        READ,
        WHO,
        POUR,
        ATTITUDE,
        SELECT,
        DRAIN,
        BACK,
        PARKED,
        READING,
        BEFORE,
        METERED,
        RESULT,
        /** Figures entered once. */
        FIGURES,
        /** A repeat. */
        ROW,
        /** Pieces looked at. */
        EACH
    }

    /**
     * A step.
     *
     * @param asks what is entered
     * @param title what to do, in a few words
     * @param words how
     * @param caution read before it; empty if there is none
     * @param keys of the figures it asks
     */
    public record Step(Asks asks, String title, String words, String caution, List<String> keys) {
        public Step {
            keys = List.copyOf(keys);
        }

        Step(Asks asks, String title, String words, String caution) {
            this(asks, title, words, caution, List.of());
        }
    }

    static final String FUEL = "Fire hazard. Outdoors or well ventilated. No ignition sources. Extinguisher at"
            + " hand. Ground and bond aircraft, can and funnel. Approved containers. Dispose of drained fuel as"
            + " hazardous waste.";
    static final String RIG =
            "Tip-over hazard. Chock wheels, set brakes, secure the aircraft before raising the nose. Nobody"
                    + " under the aircraft.";

    private Procedure() {}

    /** The steps of a test of a system; none where what it was done on is no longer laid out. */
    public static List<Step> of(HangarTest test, FuelSystem system) {
        if (!test.work().onTank()) {
            return test.subject().isEmpty() || system.item(test.subject()).isPresent()
                    ? SheetSteps.of(test.work().kind(), Named.on(system, test))
                    : List.of();
        }
        return system.item(test.subject())
                .flatMap(i -> i.only(Tank.class))
                .map(t -> of(test.work(), system, t))
                .orElse(List.of());
    }

    /** The steps of a kind of work on a tank of a system. */
    public static List<Step> of(Work work, FuelSystem system, Tank tank) {
        return work.as(d -> drain(system, tank), f -> fill(tank), t -> topOff(tank), s -> List.of());
    }

    private static List<Step> drain(FuelSystem system, Tank tank) {
        boolean selector = !system.selectors().isEmpty();
        boolean shutOff = system.all(ShutOff.class).findAny().isPresent();
        String close = selector
                ? "Turn the selector to OFF"
                : shutOff ? "Close the shutoff valve" : "Do not clamp rigid line. Disconnect and cap it at a fitting";
        List<Step> steps = new ArrayList<>(start(
                tank,
                "a drain test",
                "Select this tank. Drain at gascolator and sump until flow stops. Then: " + close + "."));
        steps.add(new Step(
                Asks.POUR,
                "Pour in a measured amount",
                close + ". Pour a measured amount into " + tank.name()
                        + ": more than the expected unusable fuel (2.5 gal is typical).",
                FUEL));
        steps.add(new Step(
                Asks.ATTITUDE,
                "Set the attitude",
                "Set the attitude to be tested. Use a level, or measure the heights of two leveling points.",
                RIG));
        steps.add(new Step(
                Asks.SELECT,
                selector ? "Select this tank" : "Open the line",
                selector
                        ? "Select this tank only. All other valves closed."
                        : "Open the path to the gascolator and no other.",
                ""));
        steps.add(new Step(
                Asks.DRAIN,
                "Drain until the stream breaks",
                "Drain at the gascolator into a marked can until the stream breaks. The timer runs.",
                FUEL));
        steps.add(new Step(Asks.BACK, "Enter amount drained", close + " again. Then read the can.", ""));
        steps.add(new Step(Asks.RESULT, "Unusable fuel found", "Repeat to see the spread, or finish.", ""));
        return steps;
    }

    private static List<Step> fill(Tank tank) {
        List<Step> steps = new ArrayList<>(start(tank, "a fill", "Start with the tank and its sump drained dry."));
        steps.add(new Step(
                Asks.PARKED,
                "Choose attitude: level or parked",
                "Level or parked. Gauge marks are valid at that attitude only.",
                RIG));
        steps.add(new Step(Asks.POUR, "Pour", "Pour in a measured amount and let it settle.", FUEL));
        steps.add(new Step(
                Asks.READING, "Read and mark", "Fuel height above the bottom of the gauge. Blank if none shows.", ""));
        steps.add(new Step(
                Asks.RESULT, "Next pour, or full", "Pour again, or finish when it is full to the filler.", ""));
        return steps;
    }

    private static List<Step> topOff(Tank tank) {
        List<Step> steps = new ArrayList<>(
                start(tank, "a top-off", "Start from a known quantity: drained dry, or a measured amount."));
        steps.add(new Step(Asks.BEFORE, "Fuel already in the tank", "Measured amount, or 0.", ""));
        steps.add(new Step(
                Asks.PARKED, "Choose attitude: level or parked", "Level or parked: capacity depends on it.", RIG));
        steps.add(new Step(Asks.METERED, "Fill to the filler", "Read the fuel-pump meter before and after.", FUEL));
        steps.add(new Step(Asks.RESULT, "Compare with expected", "", ""));
        return steps;
    }

    private static List<Step> start(Tank tank, String what, String words) {
        return List.of(
                new Step(Asks.READ, "Before " + what + " of " + tank.name(), words, FUEL),
                new Step(Asks.WHO, "Tester and instruments", "A marked can, a scale or a meter; air temperature.", ""));
    }
}
