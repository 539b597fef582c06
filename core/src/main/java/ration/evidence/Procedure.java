package ration.evidence;

import java.util.ArrayList;
import java.util.List;
import ration.model.FuelSystem;
import ration.model.ShutOff;
import ration.model.Tank;

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
        if (test.work() instanceof Work.Sheet sheet) {
            return test.subject().isEmpty() || system.item(test.subject()).isPresent()
                    ? SheetSteps.of(sheet.kind(), Named.on(system, test.subject(), sheet))
                    : List.of();
        }
        return system.item(test.subject())
                .flatMap(i -> i.only(Tank.class))
                .map(t -> of(test.work(), system, t))
                .orElse(List.of());
    }

    /** The steps of a kind of work on a tank of a system. */
    public static List<Step> of(Work work, FuelSystem system, Tank tank) {
        return work instanceof Work.Drain ? drain(system, tank) : work instanceof Work.Fill ? fill(tank) : topOff(tank);
    }

    private static List<Step> drain(FuelSystem system, Tank tank) {
        boolean selector = !system.selectors().isEmpty();
        boolean shutOff = system.all(ShutOff.class).findAny().isPresent();
        String close = selector
                ? "Turn the selector to OFF"
                : shutOff ? "Close the shut-off" : "Do not clamp rigid line. Disconnect and cap it at a fitting";
        List<Step> steps = new ArrayList<>(start(
                tank,
                "a drain test",
                "Drain the tank until nothing runs: selector," + " strainer, sump. " + close + "."));
        steps.add(new Step(
                Asks.POUR,
                "Pour a known amount",
                close + ". Pour a measured amount into " + tank.name()
                        + ": 2.5 gal is usual, more than is thought to stay.",
                FUEL));
        steps.add(new Step(
                Asks.ATTITUDE,
                "Set the attitude",
                "Raise the nose or the tail to the attitude flown. Measure two"
                        + " marks that lie level in flight; their heights give the pitch.",
                RIG));
        steps.add(new Step(
                Asks.SELECT,
                selector ? "Select this tank" : "Open the line",
                selector
                        ? "Turn the selector to this tank alone. Every other way stays shut."
                        : "Open the way to the strainer and" + " no other.",
                ""));
        steps.add(new Step(
                Asks.DRAIN,
                "Drain until it sputters",
                "Drain at the strainer into a marked can until the stream" + " breaks. The timer runs.",
                FUEL));
        steps.add(new Step(Asks.BACK, "Enter what came back", close + " again, before the can is read.", ""));
        steps.add(new Step(Asks.RESULT, "What stays", "Repeat to see the scatter, or finish.", ""));
        return steps;
    }

    private static List<Step> fill(Tank tank) {
        List<Step> steps = new ArrayList<>(start(tank, "a fill", "Begin with the tank and its sump drained dry."));
        steps.add(new Step(
                Asks.PARKED,
                "Choose how it stands",
                "Level as in flight, or parked as it stands. Marks are good" + " for that attitude only.",
                RIG));
        steps.add(new Step(Asks.POUR, "Pour", "Pour a known amount and let it settle.", FUEL));
        steps.add(new Step(
                Asks.READING,
                "Read and mark",
                "Height of the fuel above the foot of the gauge. Leave it empty if" + " nothing shows yet.",
                ""));
        steps.add(new Step(
                Asks.RESULT, "Next pour, or full", "Pour again, or finish when it is full to the filler.", ""));
        return steps;
    }

    private static List<Step> topOff(Tank tank) {
        List<Step> steps =
                new ArrayList<>(start(tank, "a top-off", "Know what is in the tank: drained dry, or poured in."));
        steps.add(new Step(Asks.BEFORE, "What is in it", "As poured, or nothing.", ""));
        steps.add(new Step(
                Asks.PARKED,
                "Choose how it stands",
                "Level as in flight, or parked as it stands: how much goes in" + " depends on it.",
                RIG));
        steps.add(new Step(Asks.METERED, "Fill to the filler", "Read the pump's meter before and after.", FUEL));
        steps.add(new Step(Asks.RESULT, "Against what was expected", "", ""));
        return steps;
    }

    private static List<Step> start(Tank tank, String what, String words) {
        return List.of(
                new Step(Asks.READ, "Before " + what + " of " + tank.name(), words, FUEL),
                new Step(
                        Asks.WHO, "Who measures, with what", "A marked can, a scale or a meter; air temperature.", ""));
    }
}
