package ration.answer.fault;

import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.answer.fault.FaultAnswer.Harm;
import ration.answer.fault.FaultAnswer.Seen;
import ration.answer.fault.FaultAnswer.WayOut;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Verdict;

/** An answer from what was found of a fault in a case: its part by name, its case in words, and the verdict. */
final class FaultTold {

    /** Time a pilot wants between seeing it and the flow being short, minutes; a practice choice. */
    private static final double TIME_TO_ACT = 1;

    private final FuelSystem system;
    private final UnitSystem units;

    FaultTold(FuelSystem system, UnitSystem units) {
        this.system = system;
        this.units = units;
    }

    /** What failed, by name; with its port where that is one of several. */
    String part(Fault f) {
        String name = system.item(f.item()).map(Item::name).orElse(f.item());
        boolean several = system.item(f.item())
                .map(i -> i.as(new ration.aircraft.model.SomeKinds<Boolean>() {
                    @Override
                    public Boolean otherwise(Item item) {
                        return true;
                    }

                    @Override
                    public Boolean tank(Tank tank) {
                        return tank.outlets().size() > 1;
                    }
                }))
                .orElse(false);
        return !Catalogue.whole(f).isEmpty()
                ? Catalogue.whole(f)
                : name + (f.port().isEmpty() || !several ? "" : ", " + f.port());
    }

    /** What was found in a case. */
    FaultAnswer in(
            Fault f,
            FaultRow r,
            Harm harm,
            double share,
            double minutes,
            List<Seen> seen,
            Optional<WayOut> out,
            Verdict verdict,
            String why) {
        return new FaultAnswer(
                f,
                part(f),
                r.now().condition(),
                r.sound().label(system, units),
                harm,
                share,
                minutes,
                seen,
                out,
                verdict,
                why);
    }

    /** Enough arrives, and nothing is wanted of the pilot. */
    FaultAnswer harmless(Fault f, FaultRow r, String why) {
        return in(
                f, r, Harm.NONE, r.share(), Double.POSITIVE_INFINITY, List.of(), Optional.empty(), Verdict.HOLDS, why);
    }

    /** By the minutes, by what shows it, and by what a pilot can do in that time. */
    FaultAnswer judged(
            Fault f,
            FaultRow r,
            Harm harm,
            double share,
            double minutes,
            List<Seen> seen,
            Optional<WayOut> out,
            String why) {
        double lead = seen.isEmpty() ? 0 : minutes - seen.get(0).minutes();
        Verdict verdict = Double.isInfinite(minutes)
                ? Verdict.HOLDS
                : out.isPresent() && lead >= TIME_TO_ACT ? Verdict.THIN : Verdict.FAILS;
        return in(f, r, harm, share, minutes, seen, out, verdict, why);
    }
}
