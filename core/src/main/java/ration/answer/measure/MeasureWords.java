package ration.answer.measure;

import java.util.List;
import java.util.Locale;
import ration.answer.assess.Doubt;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/** What to measure next, in words, for the window and the command line. */
public record MeasureWords(MeasureNext found, UnitSystem units) {

    private static final double LEAST_SETTLED = 0.8;
    /** So many deviations off nobody will read a figure that was entered. */
    private static final double FAR = 20;

    /** The answer of the ledger that is asked. */
    public static String title(Doubt.Of of) {
        return switch (of) {
            case FLOW -> "Flow margin";
            case UNUSABLE -> "Unusable fuel";
            case VAPOR -> "Vapor margin";
        };
    }

    /** What to do, in one sentence. */
    public String head() {
        if (found.stopped()) {
            return "Not shown: stopped before every figure was moved.";
        }
        if (Double.isNaN(found.stands())) {
            return found.of() == Doubt.Of.UNUSABLE
                    ? "A drain test or the manufacturer decides it, not the figures: nothing to measure."
                    : "Nothing is computed yet.";
        }
        if (found.jobs().isEmpty()) {
            return "No figure as entered moves it.";
        }
        if (found.next().isEmpty()) {
            return found.now().fails() >= LEAST_SETTLED
                    ? "Sure to Fail, " + percent(found.now().fails()) + " of 100: no measuring helps. See Make it hold."
                    : "Sure as entered, " + percent(found.now().settled()) + " of 100: test instead.";
        }
        int minutes = found.next().stream().mapToInt(Job::minutes).sum();
        return "Measure " + found.next().size() + (found.next().size() == 1 ? " thing, " : " things, ") + minutes
                + " minutes: settles it in " + whole(found.then()) + " outcomes of 100"
                + (found.then().settled() < LEAST_SETTLED ? "; no reading known here settles it in 80" : "") + ".";
    }

    /** How those could come out; empty where nothing is to be measured. */
    public String outcomes() {
        MeasureNext.Outcome o = found.then();
        return found.next().isEmpty()
                ? ""
                : "Then " + percent(o.fails()) + " Fails, " + percent(o.open()) + " still open, "
                        + (whole(o) - Math.round(100 * o.fails()))
                        + " hold, of 100. A reading is never promised to make"
                        + " it hold.";
    }

    /** Settled of a hundred: what is not open, so that all of them make a hundred. */
    private static long whole(MeasureNext.Outcome o) {
        return 100 - Math.round(100 * o.open());
    }

    private static String percent(double share) {
        return UnitSystem.figure(100 * share, 0);
    }

    /** How far it may be off: nine in ten lie within. */
    public String spread() {
        return Double.isNaN(found.stands())
                ? ""
                : "Nine in ten within \u00b1" + answer(1.645 * found.deviation()) + ".";
    }

    private String answer(double d) {
        return found.of() == Doubt.Of.VAPOR
                ? units.difference(d)
                : UnitSystem.figure(100 * d, 1) + " % of what is needed";
    }

    /** What is read in one go. */
    public String name(Job j) {
        if (j.several()) {
            return String.join(
                    ", ",
                    j.moves().stream()
                            .map(m -> m.item().name() + " " + inSentence(m.label()))
                            .toList());
        }
        return j.shape()
                ? j.item().name() + " shape"
                : j.item().name() + " "
                        + inSentence(j.moves().get(j.moves().size() - 1).label());
    }

    private static String inSentence(String label) {
        return label.substring(0, 1).toLowerCase(Locale.ROOT) + label.substring(1);
    }

    /** As it is entered, and how it came about. */
    public String entered(Job j) {
        Measured m = j.moves().get(j.moves().size() - 1).as();
        String by = m.by().isBlank() ? "source unknown" : m.by();
        return j.moves().size() == 1
                ? m.quantity().shown() + ", " + by
                : j.moves().size() + " figures, " + (j.unsaid() ? "some without a source" : by);
    }

    /** Two standard deviations of the largest of its figures. */
    public String off(Job j) {
        Doubt.Move m = j.moves().get(j.moves().size() - 1);
        return "\u00b1" + si(2 * m.deviation(), m.as()) + (j.moves().size() > 1 ? " each" : "");
    }

    /** What its tool reads it to. */
    public String within(Job j) {
        Doubt.Move m = j.moves().get(j.moves().size() - 1);
        return "\u00b1" + si(2 * Math.min(m.deviation(), j.tool().deviation(m.as())), m.as());
    }

    private static String si(double d, Measured like) {
        Unit unit = like.quantity().unit();
        double figure = Math.abs(unit.fromSi(like.si() + d) - unit.fromSi(like.si()));
        return UnitSystem.figure(figure, figure < 0.1 ? 3 : 2) + " " + unit.symbol();
    }

    public String share(Job j) {
        return percent(found.share(j)) + " %";
    }

    /** What a reading would mean before it is taken; empty where it is no single figure. */
    public String means(Job j) {
        double x = found.crossing(j);
        if (Double.isNaN(x)) {
            return "";
        }
        Doubt.Move m = j.moves().get(0);
        boolean rises = m.by(found.of()) > 0;
        Unit unit = m.as().quantity().unit();
        boolean possible = (m.as().si() <= 0 || x > 0) && Math.abs(x - m.as().si()) <= FAR * m.deviation();
        return !possible
                ? "No reading of it alone changes the verdict."
                : UnitSystem.figure(unit.fromSi(x), unit.dimension() == Dimension.LENGTH ? 2 : 3) + " " + unit.symbol()
                        + (rises ? " or less Fails" : " or more Fails") + " as the rest stands.";
    }

    /**
     * Rows that are listed: what is left is under two in a hundred. What nobody said the source of comes first: saying
     * it takes no measuring.
     */
    public List<Job> listed() {
        return found.jobs().stream()
                .filter(j -> found.share(j) >= 0.005)
                .sorted(java.util.Comparator.comparing(j -> !j.unsaid()))
                .toList();
    }

    /** What is to be said first; empty where every figure has its source. */
    public String first() {
        List<String> open =
                listed().stream().filter(Job::unsaid).map(this::name).toList();
        return open.isEmpty()
                ? ""
                : "Say first how these were measured, it takes no measuring: " + String.join(", ", open) + ".";
    }
}
