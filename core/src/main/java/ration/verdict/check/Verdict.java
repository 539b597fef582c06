package ration.verdict.check;

/** How a result stands to its requirement; worst last. */
public enum Verdict {
    HOLDS("Holds"),
    THIN("Thin"),
    NOT_SHOWN("Not shown"),
    FAILS("Fails");

    /** Share past the requirement up to which a result counts as Thin. */
    public static final double THIN_SHARE = 0.05;

    private final String word;

    Verdict(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    /** The verdict on a result that should be at least the need; both positive. */
    public static Verdict atLeast(double result, double need) {
        double ratio = result / need;
        return ratio < 1 ? FAILS : ratio < 1 + THIN_SHARE ? THIN : HOLDS;
    }

    /** This, or Not shown where that is worse, if what it rests on is not known. */
    public Verdict shownIf(boolean known) {
        return known ? this : worse(NOT_SHOWN);
    }

    public Verdict worse(Verdict other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
