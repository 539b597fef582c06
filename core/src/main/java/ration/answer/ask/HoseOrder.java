package ration.answer.ask;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.JointEnd;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.plumbing.CutLength;
import ration.aircraft.plumbing.HoseMade;
import ration.aircraft.plumbing.LineRules;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;

/** What a shop is told of every hose of a layout: what of, how long, which ends, how they are turned, what proof. */
public final class HoseOrder {

    private HoseOrder() {}

    /**
     * One hose.
     *
     * @param made lengths, ends and clocking
     * @param proof Pa: twice what it stands dead-headed, no less than its line is put under
     */
    public record Row(Run run, HoseMade made, double proof) {

        /** Construction and size. */
        public String of() {
            return LineRules.construction(run).label() + ", " + run.size().label();
        }

        /** Hose to cut, to a sixteenth of an inch. */
        public String cut() {
            return CutLength.sixteenths(made.cut());
        }

        /** From seat to seat along the hose, to a sixteenth. */
        public String seats() {
            return CutLength.sixteenths(made.seatToSeat());
        }

        /** An end: its fitting, its angle, how it turns. */
        public String end(boolean start) {
            RunBuild.End e = start ? run.build().start() : run.build().end();
            double degrees = (start ? made.start() : made.end()).degrees();
            return e.fitting().map(JointEnd::text).orElse("fitting not entered") + ", "
                    + (degrees > 0 ? UnitSystem.figure(degrees, 0) + "\u00b0" : "straight")
                    + ((start ? made.start() : made.end()).swivels() ? ", swivel" : "");
        }

        /** Degrees clockwise, looking from start to end; empty where either end is straight or swivels. */
        public OptionalDouble clocking() {
            return made.clocking().stream().map(Math::toDegrees).findFirst();
        }

        public String clockingText() {
            return clocking().isPresent() ? UnitSystem.figure(clocking().getAsDouble(), 0) + "\u00b0" : "free";
        }
    }

    /** How clocking is meant; shops differ. */
    public static final String CLOCKING =
            "Clocking: end elbow, clockwise from the start elbow, looking along the hose from start to end."
                    + " Shops differ: send the drawing of the two ends along.";

    /** Of every hose, in the order of the layout. */
    public static List<Row> of(Assessment a) {
        List<Row> all = new ArrayList<>();
        for (Run run : a.project().system().runs()) {
            HoseMade.of(a.project().system(), run)
                    .ifPresent(h -> all.add(new Row(
                            run,
                            h,
                            Math.max(
                                    LineRules.PROOF * a.program().stands(run.id()),
                                    a.program().pressures().getOrDefault(run.id(), 0.0)))));
        }
        return all;
    }
}
