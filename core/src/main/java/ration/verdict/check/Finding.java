package ration.verdict.check;

import java.util.Optional;
import java.util.function.Supplier;
import ration.base.quantity.UnitSystem;
import ration.verdict.why.Why;

/**
 * One thing checked.
 *
 * @param check which
 * @param of what it was asked of: a part, a handle position, an end; empty where there is but one
 * @param title what was checked
 * @param item id of the item it concerns, or empty
 * @param verdict how it stands
 * @param ratio result over need, for the notch bar; {@link #MET} or {@link #MISSED} where it is yes or no
 * @param detail value against limit with units, and the case
 * @param source where the requirement comes from
 * @param remedy what to do, or empty when it holds
 * @param measure the figure against its limit, where the check comes down to one
 * @param because how its figure came about, worked out when asked; empty where there is none to show
 */
public record Finding(
        Check check,
        String of,
        String title,
        String item,
        Verdict verdict,
        double ratio,
        Wording detail,
        String source,
        String remedy,
        Optional<Measure> measure,
        Optional<Supplier<Why>> because) {

    /** A finding that comes down to no one figure. */
    public Finding(
            Check check,
            String of,
            String title,
            String item,
            Verdict verdict,
            double ratio,
            Wording detail,
            String source,
            String remedy) {
        this(check, of, title, item, verdict, ratio, detail, source, remedy, Optional.empty(), Optional.empty());
    }

    /** The same with its figure. */
    public Finding with(Measure figure) {
        return new Finding(
                check, of, title, item, verdict, ratio, detail, source, remedy, Optional.of(figure), because);
    }

    /** The same with how its figure came about. */
    public Finding because(Supplier<Why> why) {
        return new Finding(check, of, title, item, verdict, ratio, detail, source, remedy, measure, Optional.of(why));
    }

    /** The same, no better than this, with the reason where that is worse. */
    public Finding worse(Verdict other, String why) {
        Verdict then = verdict.worse(other);
        return then == verdict
                ? this
                : new Finding(
                        check,
                        of,
                        title,
                        item,
                        then,
                        then == Verdict.NOT_SHOWN ? Math.min(0.99, ratio) : ratio,
                        u -> detail.in(u) + " " + why,
                        source,
                        remedy,
                        measure,
                        because);
    }

    /** How its figure came about; empty where there is none to show. */
    public Optional<Why> why() {
        return because.map(Supplier::get);
    }

    /** Stable: the key of the check with what it was asked of, flow.margin.selector:LEFT. */
    public String id() {
        return of.isEmpty() ? check.key() : check.key() + "." + of;
    }

    public Check.Topic topic() {
        return check.topic();
    }

    /** A full notch bar: a yes-or-no check that is met. */
    public static final double MET = 1.5;
    /** An empty one. */
    public static final double MISSED = 0;

    /** A sentence whose figures follow the units the reader chose. */
    @FunctionalInterface
    public interface Wording {
        String in(UnitSystem units);
    }
}
