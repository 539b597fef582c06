package ration.answer.improve;

import java.util.EnumSet;
import java.util.Set;
import ration.answer.remedy.Change;
import ration.base.quantity.Unit;
import ration.record.cost.CostList;

/**
 * What a builder sets against what.
 *
 * @param hour what an hour of work is worth, in the money of the list, 0 or above
 * @param gallon what a gallon that can be used is worth, 0 or above
 * @param leave kinds of work that are left alone
 * @param costs what parts cost
 * @param failures whether failures are to hold too
 */
public record Weights(double hour, double gallon, Set<Change.Sort> leave, CostList costs, boolean failures) {

    private static final double HOUR = 40;
    private static final double GALLON = 60;

    public Weights {
        if (!(hour >= 0) || !(gallon >= 0) || !Double.isFinite(hour + gallon)) {
            throw new IllegalArgumentException("What an hour and a gallon are worth must be 0 or above.");
        }
        EnumSet<Change.Sort> sorts = EnumSet.noneOf(Change.Sort.class);
        sorts.addAll(leave);
        leave = java.util.Collections.unmodifiableSet(sorts);
    }

    /** Forty an hour, sixty a gallon, nothing left alone, the list that ships. */
    public static Weights usual() {
        return new Weights(HOUR, GALLON, Set.of(), CostList.shipped(), false);
    }

    public Weights hour(double worth) {
        return new Weights(worth, gallon, leave, costs, failures);
    }

    public Weights gallon(double worth) {
        return new Weights(hour, worth, leave, costs, failures);
    }

    public Weights leaving(Set<Change.Sort> sorts) {
        return new Weights(hour, gallon, sorts, costs, failures);
    }

    public Weights by(CostList list) {
        return new Weights(hour, gallon, leave, list, failures);
    }

    public Weights withFailures(boolean too) {
        return new Weights(hour, gallon, leave, costs, too);
    }

    /** All of it in money. */
    double counts(double price, double hours, double givenUpM3) {
        return price + hours * hour + Unit.GALLON.fromSi(Math.max(0, givenUpM3)) * gallon;
    }
}
