package ration.desktop.signoff;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.answer.signoff.Requirement;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;

/**
 * What the page says of the requirements, before any of it is a node.
 *
 * @param all worst first
 * @param only the verdict looked at; all where empty
 */
record RequirementTable(List<Requirement> all, Optional<Verdict> only) {

    /** Verdicts in the order of their chips. */
    static final List<Verdict> ORDER = List.of(Verdict.FAILS, Verdict.NOT_SHOWN, Verdict.THIN, Verdict.HOLDS);
    /** Letters of a figure or a short word; what is longer is a sentence and stands in the words. */
    private static final int LONGEST = 12;

    RequirementTable {
        all = List.copyOf(all);
    }

    /**
     * What a column says.
     *
     * @param style class it is set in
     */
    record Cell(String text, String style) {

        private static Cell of(String text, String style) {
            boolean sentence = text.length() > LONGEST;
            return new Cell(
                    sentence ? "see finding" : text.isEmpty() ? "n/a" : text,
                    sentence || text.isEmpty() ? "soft" : style);
        }
    }

    /** A row in words. */
    record Cells(
            String id,
            String title,
            Cell words,
            String basis,
            Cell needs,
            Cell predicted,
            Cell measured,
            String hand,
            Cell since,
            String spoken) {}

    String allChip() {
        return "All " + all.size();
    }

    static String chipId(Verdict v) {
        return "filter-" + v.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    String chip(Verdict v) {
        return v.word() + " " + all.stream().filter(r -> r.verdict() == v).count();
    }

    /** Those looked at. */
    List<Requirement> rows() {
        return all.stream()
                .filter(r -> only.map(v -> r.verdict() == v).orElse(true))
                .toList();
    }

    Optional<Requirement> row(String id) {
        return all.stream().filter(r -> r.id().equals(id)).findFirst();
    }

    static Cells cells(Requirement r) {
        boolean stale = r.outdated();
        return new Cells(
                "requirement-" + r.id().replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(Locale.ROOT),
                r.title(),
                new Cell(first(r.words()), stale ? "wrong-text" : "soft"),
                brief(r.basis()),
                Cell.of(r.needs(), "soft"),
                Cell.of(r.predicted(), "plain-text"),
                Cell.of(r.measured(), r.struck() ? "struck" : r.measured().equals("not run") ? "soft" : "bold"),
                hand(r),
                new Cell(r.since(), stale ? "wrong-text" : "soft"),
                spoken(r));
    }

    /** What it says first: the rest stands on the card of the row. */
    private static String first(String words) {
        java.util.regex.Matcher end = SENTENCE.matcher(words);
        return end.find() ? words.substring(0, end.start() + 1) : words;
    }

    private static final java.util.regex.Pattern SENTENCE = java.util.regex.Pattern.compile("\\.\\s+(?=\\p{Lu}|\\d)");

    /** Who has it in hand, or took it as it is; empty where nobody. */
    private static String hand(Requirement r) {
        if (r.accepted().isPresent()) {
            return r.acceptedOtherwise() ? "accepted (verdict changed since)" : "accepted as is";
        }
        return r.point()
                .filter(p -> !p.owner().isBlank())
                .map(p -> "owner " + p.owner())
                .orElse("");
    }

    /** For those who do not see it. */
    private static String spoken(Requirement r) {
        return r.title() + ", " + r.verdict().word() + (r.needs().isEmpty() ? "" : ", needs " + r.needs())
                + (r.predicted().isEmpty() ? "" : ", predicted " + r.predicted())
                + (r.measured().isEmpty() ? "" : ", measured " + r.measured() + (r.struck() ? ", no longer valid" : ""))
                + ", valid since " + r.since();
    }

    private static String brief(String basis) {
        String first = basis.replaceAll("[;:(,].*", "").strip();
        return first.startsWith("Common practice")
                ? "practice"
                : first.replace(" before 2017", "").replace(Standard.PART_23.called() + " ", "");
    }
}
