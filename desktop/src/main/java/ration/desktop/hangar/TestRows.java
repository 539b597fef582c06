package ration.desktop.hangar;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.answer.proof.TestProgram;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.verdict.check.Verdict;

/**
 * What the list of tests says, before any of it is a node.
 *
 * @param picked key of the test that is open
 * @param running how far its record has come; empty where none is open
 * @param today the day from which a piece to be looked at again is over
 */
record TestRows(TestProgram program, String picked, String running, LocalDate today) {

    /**
     * A test in words.
     *
     * @param group over the first of a group; empty else
     * @param state how it stands
     * @param bad whether that is to be mended
     * @param strong whether it is next or open
     * @param stale whether what was done no longer counts
     * @param spoken for those who do not see it
     */
    record Row(
            TestProgram.Proof proof,
            String id,
            String group,
            String name,
            String state,
            boolean bad,
            boolean strong,
            boolean stale,
            boolean open,
            String spoken) {

        String closes() {
            return proof.wanted().kind().closes();
        }

        /** For the notch bar. */
        double ratio() {
            return proof.counts() ? proof.outcome().ratio() : 0;
        }
    }

    List<Row> rows() {
        Optional<TestProgram.Proof> next = program.next();
        List<Row> rows = new ArrayList<>();
        TestKind.Group group = null;
        for (TestProgram.Proof p : program.tests()) {
            boolean first = p.wanted().kind().group() != group;
            group = p.wanted().kind().group();
            rows.add(row(p, first ? group.label() : "", next.filter(p::equals).isPresent()));
        }
        return rows;
    }

    private Row row(TestProgram.Proof p, String group, boolean next) {
        boolean open = p.wanted().key().equals(picked);
        boolean stale = p.standing()
                .map(Standing::state)
                .filter(s -> s == Standing.State.STALE)
                .isPresent();
        boolean over = over(p);
        String state = open && !running.isEmpty()
                ? running
                : over ? "recheck overdue" : next && p.record().isEmpty() ? "next" : state(p);
        return new Row(
                p,
                id(p),
                group,
                p.wanted().brief(),
                state,
                stale || over || p.counts() && p.verdict() == Verdict.FAILS,
                next || open,
                stale,
                open,
                String.join(
                        ", ",
                        p.wanted().name(),
                        p.state() + (over ? ", recheck overdue" : ""),
                        "verifies " + p.wanted().kind().closes()));
    }

    private static String id(TestProgram.Proof p) {
        return "wanted-"
                + p.wanted()
                        .key()
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                        .replaceAll("-$", "");
    }

    /** Whether a piece was recheck overdue. */
    private boolean over(TestProgram.Proof p) {
        return p.counts()
                && p.record()
                        .map(t -> t.work())
                        .filter(Work.Sheet.class::isInstance)
                        .map(Work.Sheet.class::cast)
                        .flatMap(Work.Sheet::again)
                        .filter(d -> d.compareTo(today.toString()) <= 0)
                        .isPresent();
    }

    /** Short enough for its column: of a test that counts the day without its year, and the verdict. */
    private static String state(TestProgram.Proof p) {
        if (!p.counts()) {
            return p.record().isPresent() || p.wanted().asked() ? p.state() : "recommended";
        }
        return day(p.record().orElseThrow().by().date()) + ", "
                + p.outcome().verdict().word();
    }

    /** Day and month of a date as records hold it: 9 Mar; as it stands where it is none. */
    private static String day(String date) {
        try {
            LocalDate d = LocalDate.parse(date);
            return d.getDayOfMonth() + " " + d.getMonth().getDisplayName(TextStyle.SHORT, Locale.US);
        } catch (DateTimeParseException e) {
            return date;
        }
    }
}
