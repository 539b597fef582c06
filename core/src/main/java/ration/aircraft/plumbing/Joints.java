package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.model.BarbClamp;
import ration.aircraft.model.Construction;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.JointEnd.Way;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;

/** Every joint of the layout: what meets there, what is needed between, and what does not go together. */
public final class Joints {

    private Joints() {}

    /** How a joint stands. */
    public enum State {
        GOOD,
        OPEN,
        WRONG
    }

    /**
     * One joint.
     *
     * @param run whose end it is
     * @param start whether it is the run's start
     * @param at the port it meets, in words
     * @param end as recorded
     * @param needed adapter needed between the two, in words; empty if none
     * @param state good, not fully recorded, or wrong
     * @param message what is wrong or missing; empty if good
     * @param remedy what to do
     */
    public record Joint(
            Run run,
            boolean start,
            String at,
            RunBuild.End end,
            String needed,
            State state,
            String message,
            String remedy) {
        /** Stable id: run and side. */
        public String id() {
            return run.id() + (start ? ".start" : ".end");
        }
    }

    /** Two for each run, in layout order. */
    public static List<Joint> of(FuelSystem system) {
        List<Joint> joints = new ArrayList<>();
        for (Run run : system.runs()) {
            joints.add(joint(system, run, true));
            joints.add(joint(system, run, false));
        }
        return joints;
    }

    private static Joint joint(FuelSystem system, Run run, boolean start) {
        RunBuild.End end = start ? run.build().start() : run.build().end();
        PortRef port = start ? run.from() : run.to();
        String at = Portname.text(system, port);
        String needed = needed(end);
        String[] wrong = wrong(run, end, needed);
        if (wrong != null) {
            return new Joint(run, start, at, end, needed, State.WRONG, wrong[0], wrong[1]);
        }
        if (end.fitting().isEmpty() || end.port().isEmpty()) {
            return new Joint(
                    run,
                    start,
                    at,
                    end,
                    needed,
                    State.OPEN,
                    end.fitting().isEmpty() ? "Line-end fitting not entered." : "Port thread not entered.",
                    "Use -6 flare female or 1/4 NPT male.");
        }
        if (onBarb(run, end) && end.clamp().isEmpty() && LineRules.construction(run) != Construction.BARBED) {
            return new Joint(
                    run,
                    start,
                    at,
                    end,
                    needed,
                    State.OPEN,
                    "Hose on a barb: clamp not entered.",
                    "Enter band, crimped ear or worm drive.");
        }
        return new Joint(run, start, at, end, needed, State.GOOD, "", "");
    }

    /** The same run with an adapter at each end where the two halves are known, do not mate, and none is written. */
    public static Run adapted(Run run) {
        RunBuild b = run.build();
        return run.with(b.withStart(adapted(b.start())).withEnd(adapted(b.end())));
    }

    private static RunBuild.End adapted(RunBuild.End end) {
        String needed = needed(end);
        return needed.isEmpty() || !end.adapter().isEmpty() ? end : end.withAdapter(needed);
    }

    /** Ends of a run with an adapter. */
    public static int adapters(Run run) {
        return (run.build().start().adapter().isEmpty() ? 0 : 1)
                + (run.build().end().adapter().isEmpty() ? 0 : 1);
    }

    /** The adapter that joins the two halves, or empty where they mate or are not known. */
    private static String needed(RunBuild.End end) {
        if (end.fitting().isEmpty() || end.port().isEmpty()) {
            return "";
        }
        JointEnd fitting = end.fitting().get();
        JointEnd port = end.port().get();
        return fitting.mates(port) ? "" : JointEnd.adapter(fitting, port);
    }

    /** Message and remedy, or null. */
    private static String[] wrong(Run run, RunBuild.End end, String needed) {
        Optional<JointEnd> fitting = end.fitting();
        Optional<JointEnd> port = end.port();
        Construction made = LineRules.construction(run);
        if (end.family().isPresent() && end.family().get() != made) {
            return say(
                    "A fitting for " + end.family().get().label().toLowerCase() + " is on "
                            + made.label().toLowerCase() + ": the two are not interchangeable.",
                    "Use the fitting made for this construction.");
        }
        if (fitting.isPresent()
                && port.isPresent()
                && flare(fitting.get())
                && flare(port.get())
                && fitting.get().way() != port.get().way()) {
            return say(
                    "A 37\u00b0 flare meets a 45\u00b0 flare: they look alike and leak.",
                    "Use 37\u00b0 on both sides.");
        }
        if (fitting.isPresent()
                && flare(fitting.get())
                && run.size().kind() != LineSize.Kind.BORE
                && dash(fitting.get()) != run.size().dash()) {
            return say(
                    "A " + fitting.get().size() + " fitting is on " + run.size().label() + ", which takes -"
                            + run.size().dash() + ".",
                    "Use the size of the line, and an adapter at the port.");
        }
        for (JointEnd half :
                List.of(fitting, port).stream().flatMap(Optional::stream).toList()) {
            if (flare(half)
                    && !end.sealant().isEmpty()
                    && fitting.isPresent()
                    && port.isPresent()
                    && flare(fitting.get())
                    && flare(port.get())) {
                return say("Sealant on a flare: flares seal metal to metal; sealant gets into the fuel.", "Use none.");
            }
        }
        if (port.isPresent() && port.get().way() == Way.PIPE && end.sealant().isEmpty()) {
            return say("A tapered pipe thread without sealant.", "Enter the fuel-resistant sealant used.");
        }
        if (fitting.isPresent() && port.isPresent() && end.adapter().isEmpty()) {
            if (fitting.get().startsIn(port.get())) {
                return say(
                        "A " + fitting.get().text() + " starts in a "
                                + port.get().text() + " and never holds: another pitch.",
                        "An adapter is needed: " + needed + ".");
            }
            if (fitting.get().sharesThread(port.get())) {
                return say(
                        "A flare and an o-ring boss share a thread and seal on another seat.",
                        "An adapter is needed: " + needed + ".");
            }
        }
        if (onBarb(run, end)
                && end.clamp().filter(c -> c == BarbClamp.WORM).isPresent()
                && !run.build().marks().temporary()) {
            return say(
                    "A worm-drive clamp is for ground runs only.",
                    "Fit a band clamp or a crimped ear, or mark the line temporary.");
        }
        if (onBarb(run, end)
                && end.clamp().filter(c -> c == BarbClamp.NONE).isPresent()
                && LineRules.construction(run) != Construction.BARBED) {
            return say("Hose on a barb without a clamp slips off.", "Fit a band clamp or a crimped ear.");
        }
        if (!needed.isEmpty() && end.adapter().isEmpty()) {
            String why = fitting.get().way() != port.get().way()
                    ? "A " + fitting.get().text() + " meets a " + port.get().text()
                    : !fitting.get().size().equals(port.get().size())
                            ? "Sizes differ: " + fitting.get().text() + " meets "
                                    + port.get().text()
                            : "Both sides are " + (fitting.get().female() ? "female" : "male");
            return say(why + ".", "An adapter is needed: " + needed + ".");
        }
        return null;
    }

    /** Whether it is a hose that is slipped over a barb or a bead. */
    public static boolean onBarb(Run run, RunBuild.End end) {
        return LineRules.construction(run).hose()
                && Stream.of(end.fitting(), end.port())
                        .flatMap(Optional::stream)
                        .anyMatch(e -> e.way() == Way.BARB || e.way() == Way.BEAD);
    }

    private static boolean flare(JointEnd e) {
        return e.way() == Way.FLARE || e.way() == Way.FLARE_45;
    }

    private static int dash(JointEnd e) {
        return Integer.parseInt(e.size().substring(1));
    }

    private static String[] say(String message, String remedy) {
        return new String[] {message, remedy};
    }
}
