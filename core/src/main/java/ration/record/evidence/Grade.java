package ration.record.evidence;

import java.util.List;
import java.util.Optional;
import ration.verdict.check.Verdict;

/** What is seen, where a test asks for a look and not for a figure. Common practice, no source. */
public enum Grade {
    DRY("dry", Verdict.HOLDS),
    /** Recorded with the day it is looked at again. */
    SMEAR("smear", Verdict.THIN),
    WET("wet", Verdict.FAILS),
    DRIP("drips", Verdict.FAILS),
    RUNNING("runs", Verdict.FAILS),
    TIGHT("tight", Verdict.HOLDS),
    BUBBLES("bubbles", Verdict.FAILS),
    FREE("free", Verdict.HOLDS),
    WEAK("weak", Verdict.FAILS),
    BLOCKED("blocked", Verdict.FAILS),
    FOUND("water found", Verdict.HOLDS),
    MISSED("water missed", Verdict.FAILS),
    STARTED("started", Verdict.HOLDS),
    NO_START("did not start", Verdict.FAILS),
    GOOD("good", Verdict.HOLDS),
    BAD("not good", Verdict.FAILS),
    /** Of a level: whether that is right depends on the tank, so it says nothing by itself. */
    RISES("rises", Verdict.HOLDS),
    STAYS("stays", Verdict.HOLDS),
    FALLS("falls", Verdict.HOLDS);

    private final String word;
    private final Verdict verdict;

    Grade(String word, Verdict verdict) {
        this.word = word;
        this.verdict = verdict;
    }

    /** For eyes and files. */
    public String word() {
        return word;
    }

    public Verdict verdict() {
        return verdict;
    }

    /** How a joint is graded, from none to more. */
    public static final List<Grade> LEAKS = List.of(DRY, SMEAR, WET, DRIP, RUNNING);
    /** Under pressure, with soap. */
    public static final List<Grade> SOAP = List.of(TIGHT, BUBBLES);
    /** Blown through. */
    public static final List<Grade> BLOWN = List.of(FREE, WEAK, BLOCKED);
    /** Poured in, and looked for. */
    public static final List<Grade> WATER = List.of(FOUND, MISSED);
    /** Started hot. */
    public static final List<Grade> START = List.of(STARTED, NO_START);

    /** Looked at, and good or not. */
    public static final List<Grade> CHECKED = List.of(GOOD, BAD);
    /** What the level of a tank does. */
    public static final List<Grade> LEVEL = List.of(RISES, STAYS, FALLS);

    /** The grade of this word. */
    public static Optional<Grade> worded(String word) {
        for (Grade g : values()) {
            if (g.word.equals(word)) {
                return Optional.of(g);
            }
        }
        return Optional.empty();
    }
}
