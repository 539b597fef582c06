package ration.answer.improve;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import ration.answer.assess.Ledger;
import ration.answer.fault.FaultSum;
import ration.answer.remedy.Change;
import ration.base.quantity.UnitSystem;
import ration.record.cost.Bill;
import ration.verdict.check.Finding;

/** What is found, in words, for the window and the command line. */
public record ImproveWords(MakeItHold found, Weights weights, UnitSystem units) {

    /** What it asked, and how far it came. */
    public String head() {
        int fails = found.failing().size();
        return fails == 0 && !found.sets().isEmpty()
                ? "Nothing Fails as it is; " + found.sets().size()
                        + (found.sets().size() == 1 ? " set" : " sets") + " after which fewer failures Fail."
                : fails == 0
                        ? "Nothing Fails. What is Not shown waits for its tests and figures."
                        : found.sets().isEmpty()
                                ? (found.stopped()
                                        ? "Stopped before a set was found."
                                        : "No set of changes known here cures what Fails: each is listed with its"
                                                + " finding.")
                                : found.sets().size() + (found.sets().size() == 1 ? " set" : " sets") + " of up to "
                                        + found.size() + " changes"
                                        + (found.always().isEmpty() ? "" : " beside those in all")
                                        + ", the cheapest first; " + UnitSystem.figure(found.solved(), 0)
                                        + " solved, each as one layout."
                                        + (found.stopped() ? " Stopped: others may be cheaper." : "");
    }

    /** Why more than three were needed; empty where three were enough. */
    public String size() {
        return found.sets().isEmpty() || found.size() <= 3 ? "" : "Three changes are not enough.";
    }

    /** Changes that are in every set; empty where there are none. */
    public String always() {
        return found.always().isEmpty()
                ? ""
                : "In every set: " + found.always().stream().map(Change::title).collect(Collectors.joining("; ")) + ".";
    }

    /** What these sets leave; empty where they leave nothing. */
    public String beyond() {
        return found.beyond().isEmpty()
                ? ""
                : "Still Fails, no change known here cures it: "
                        + found.beyond().stream().map(Finding::title).collect(Collectors.joining("; ")) + ".";
    }

    /** Changes of a set that are not in all of them; all of them where that would leave none. */
    public List<Change> own(Improvement i) {
        List<Change> own =
                i.changes().stream().filter(c -> !found.always().contains(c)).toList();
        return own.isEmpty() ? i.changes() : own;
    }

    /** Price and hours, in the builder's own money. */
    public String takes(Improvement i) {
        return money(i.bill()) + ", " + UnitSystem.figure(i.bill().hours(), 1) + " h";
    }

    /** What the sums lack, never taken as nothing. */
    public String missing(Improvement i) {
        return i.bill().missing().isEmpty()
                ? ""
                : "Without " + String.join(", ", i.bill().missing()) + ": the cost list has no row for it.";
    }

    private static String money(Bill b) {
        return "$" + UnitSystem.figure(b.price(), 0);
    }

    /** Parts, hours and usable fuel as the builder weighs them. */
    public String counts(Improvement i) {
        return "counts $" + UnitSystem.figure(i.counts(), 0);
    }

    public String givesUp(Improvement i) {
        return i.givenUpM3() < 1e-9 ? "" : "gives up " + units.fineVolume(i.givenUpM3());
    }

    /** Figures of the ledger before and after, in its order. */
    public List<Pair> ledger(Ledger before, Improvement i) {
        Ledger after = Ledger.of(i.after(), units);
        List<Pair> pairs = new ArrayList<>();
        for (int n = 0; n < after.entries().size(); n++) {
            pairs.add(new Pair(before.entries().get(n), after.entries().get(n)));
        }
        return pairs;
    }

    /**
     * A figure of the ledger before and after.
     *
     * @param was before
     * @param is after
     */
    public record Pair(Ledger.Entry was, Ledger.Entry is) {
        public boolean same() {
            return was.figure().equals(is.figure()) && was.verdict() == is.verdict();
        }

        public String words() {
            return same() ? "same" : was.figure() + " \u2192 " + is.figure();
        }
    }

    /** What was found of failures as the layout stands; empty where they were not asked for. */
    public String failures() {
        WithFailures f = found.failures();
        return f.stopped()
                ? "Failures: stopped before all were run, nothing is shown of them."
                : !f.was().asked()
                        ? ""
                        : "Failures as it is: " + counted(f.was()) + "."
                                + (f.beyond().isEmpty()
                                        ? ""
                                        : " No single change known here cures: " + String.join("; ", f.beyond()) + ".");
    }

    private static String counted(FaultSum f) {
        return f.shorts() + " of " + f.all() + " Fail, " + f.notShown() + " Not shown";
    }

    /** How failures end with a set, where that was asked. */
    public String failures(Improvement i) {
        return i.failures()
                .filter(FaultSum::asked)
                .map(f -> "failures: " + counted(f))
                .orElse("");
    }

    /**
     * What every failure does with a set, beside what it does without.
     *
     * @param was of the layout as it is
     * @param is with the set; not asked where they were not run yet
     */
    public String failures(FaultSum was, FaultSum is) {
        return !is.asked()
                ? "Failures: not run with it yet."
                : "Failures: " + is.shorts() + " of " + is.all() + " Fail, " + is.notShown() + " Not shown"
                        + (was.asked() ? "; as it is " + was.shorts() + " and " + was.notShown() : "") + ".";
    }

    public String thin(Improvement i) {
        return titles(i.thin());
    }

    public String opens(Improvement i) {
        return titles(i.opens());
    }

    public String ends(Improvement i) {
        return String.join("; ", i.ends());
    }

    private static String titles(List<Finding> findings) {
        return findings.stream().map(Finding::title).collect(Collectors.joining("; "));
    }

    /** Where the prices come from: that they are made up is never left out. */
    public String prices() {
        List<String> sources = weights.costs().sources();
        return "Prices and hours: " + String.join(", ", sources) + ". An hour counts $"
                + UnitSystem.figure(weights.hour(), 0) + ", a usable gallon $" + UnitSystem.figure(weights.gallon(), 0)
                + ".";
    }

    /** A prediction stays one. */
    public static final String PREDICTED =
            "A computed cure is a prediction: what it opens stays Not shown until its test is run.";
}
