package ration.check;

import ration.quantity.UnitSystem;

/**
 * One thing checked.
 *
 * @param id      stable id of the check, with what it was asked of
 * @param title   what was checked
 * @param item    id of the item it concerns, or empty
 * @param verdict how it stands
 * @param ratio   result over need, for the notch bar; {@link #MET} or {@link #MISSED} where it is yes or no
 * @param detail  value against limit with units, and the case
 * @param source  where the requirement comes from
 * @param remedy  what to do, or empty when it holds
 */
public record Finding(String id, String title, String item, Verdict verdict, double ratio, Wording detail,
        String source, String remedy) {

    /** The check it came from, without what it was asked of: flow.margin of flow.margin.LEFT. */
    public String check() {
        int first = id.indexOf('.');
        int second = id.indexOf('.', first + 1);
        return second < 0 ? id : id.substring(0, second);
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
