package ration.answer.assess;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.model.Item;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.AsBuilt;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.evidence.Named;
import ration.record.evidence.Standing;
import ration.record.project.Difference;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * Two states of an aircraft: what was changed, what that did, which tests it ended.
 *
 * @param changes in words
 * @param ledger its figures before and after
 * @param findings whose verdict is another, or that are new or gone
 * @param ended tests that counted before and count no more
 */
public record Comparison(List<String> changes, List<Figure> ledger, List<Turn> findings, List<Ended> ended) {

    public Comparison {
        changes = List.copyOf(changes);
        ledger = List.copyOf(ledger);
        findings = List.copyOf(findings);
        ended = List.copyOf(ended);
    }

    /**
     * One figure of the ledger.
     *
     * @param title of it
     * @param before figure
     * @param was its verdict
     * @param after figure
     * @param is its verdict
     */
    public record Figure(String title, String before, Verdict was, String after, Verdict is) {

        public boolean changed() {
            return !before.equals(after) || was != is;
        }
    }

    /**
     * A finding that turned.
     *
     * @param title of it
     * @param was its verdict; empty where it is new
     * @param is its verdict; empty where it is gone
     */
    public record Turn(String title, Optional<Verdict> was, Optional<Verdict> is) {}

    /**
     * A test that counts no more.
     *
     * @param test id
     * @param title what it was, and on which tank
     * @param causes which of its inputs changed, from what to what; what became of its record or tank else
     */
    public record Ended(String test, String title, List<String> causes) {
        public Ended {
            causes = List.copyOf(causes);
        }
    }

    /**
     * In a few sentences: what was changed since, which figures moved, what turned for the worse, which tests ended.
     */
    public String sentence() {
        if (changes.isEmpty()) {
            return "No change since.";
        }
        StringBuilder out =
                new StringBuilder("Since then: ").append(some(changes, "; ")).append('.');
        List<String> moved = ledger.stream()
                .filter(Figure::changed)
                .map(f -> f.title() + " " + f.before() + " " + f.was().word() + ", now " + f.after() + " "
                        + f.is().word())
                .toList();
        out.append(moved.isEmpty() ? " No summary figure changed." : " " + String.join(". ", moved) + ".");
        List<String> worse = findings.stream()
                .filter(t ->
                        t.is().isPresent() && t.is().get().compareTo(t.was().orElse(Verdict.HOLDS)) > 0)
                .map(t -> t.title() + " " + t.is().get().word())
                .toList();
        out.append(worse.isEmpty() ? "" : " Got worse: " + some(worse, ", ") + ".");
        out.append(
                ended.isEmpty()
                        ? " No test became invalid."
                        : " Tests no longer valid: "
                                + some(
                                        ended.stream()
                                                .map(e -> e.title() + " ("
                                                        + e.causes().get(0) + ")")
                                                .toList(),
                                        ", ")
                                + ".");
        return out.toString();
    }

    private static String some(List<String> all, String between) {
        return String.join(between, all.stream().limit(SAID).toList())
                + (all.size() > SAID ? " and " + (all.size() - SAID) + " more" : "");
    }

    private static final int SAID = 4;

    /** Of an earlier and a later state. */
    public static Comparison of(Assessment first, Assessment second, UnitSystem units) {
        return new Comparison(
                Difference.between(unissued(first), unissued(second)),
                ledger(first, second, units),
                findings(first, second),
                ended(first.project(), second.project()));
    }

    /** Which packets were given out is no change of the aircraft. */
    private static Project unissued(Assessment a) {
        return a.project().with(a.project().signOff().unissued());
    }

    private static List<Figure> ledger(Assessment first, Assessment second, UnitSystem units) {
        List<Figure> all = new ArrayList<>();
        List<Ledger.Entry> before = Ledger.of(first, units).entries();
        List<Ledger.Entry> after = Ledger.of(second, units).entries();
        for (int i = 0; i < before.size(); i++) {
            Ledger.Entry e = before.get(i);
            Ledger.Entry o = after.get(i);
            all.add(new Figure(e.title(), e.figure(), e.verdict(), o.figure(), o.verdict()));
        }
        return all;
    }

    /**
     * The worst verdict of each finding, by its id: a position that is asked in several cases may be told in another.
     */
    private static Map<String, Verdict> verdicts(Assessment a) {
        Map<String, Verdict> all = new LinkedHashMap<>();
        a.findings().forEach(f -> all.merge(f.id(), f.verdict(), Verdict::worse));
        return all;
    }

    /** What findings are called; with the part where several are called so. */
    private static Map<String, String> titles(Assessment a) {
        Map<String, Set<String>> called = new LinkedHashMap<>();
        a.findings().forEach(f -> called.computeIfAbsent(f.title(), t -> new LinkedHashSet<>())
                .add(f.id()));
        Map<String, String> all = new LinkedHashMap<>();
        for (Finding f : a.findings()) {
            Optional<String> part = a.project().system().item(f.item()).map(Item::name);
            boolean several = called.get(f.title()).size() > 1;
            all.put(f.id(), f.title() + (several ? part.map(n -> ", " + n).orElse("") : ""));
        }
        return all;
    }

    private static List<Turn> findings(Assessment first, Assessment second) {
        Map<String, Verdict> before = verdicts(first);
        Map<String, Verdict> after = verdicts(second);
        Map<String, String> titles = new LinkedHashMap<>(titles(first));
        titles.putAll(titles(second));
        return titles.entrySet().stream()
                .filter(t -> before.get(t.getKey()) != after.get(t.getKey()))
                .map(t -> new Turn(
                        t.getValue(),
                        Optional.ofNullable(before.get(t.getKey())),
                        Optional.ofNullable(after.get(t.getKey()))))
                .toList();
    }

    /** Tests that an edit from one state to the other ends; for asking before the edit is made, too. */
    public static List<Ended> ended(Project first, Project second) {
        List<Ended> all = new ArrayList<>();
        if (first.tests().isEmpty()) {
            return all;
        }
        AsBuilt before = first.asBuilt();
        AsBuilt after = second.asBuilt();
        for (HangarTest t : first.tests()) {
            if (!Standing.of(t, before).counts()) {
                continue;
            }
            Optional<HangarTest> kept = second.test(t.id());
            if (kept.isPresent()
                    && sameGround(kept.get(), t)
                    && Standing.of(t, after).counts()) {
                continue;
            }
            all.add(new Ended(t.id(), Named.of(first.system(), t), causes(before, after, t, kept)));
        }
        return all;
    }

    private static boolean sameGround(HangarTest kept, HangarTest t) {
        return kept.by().fingerprint().equals(t.by().fingerprint())
                && kept.by().inputs().equals(t.by().inputs())
                && kept.by().beside().standIn() == t.by().beside().standIn();
    }

    /** The test counted before, so what it rests on is what was laid out then, whether its record tells or not. */
    private static List<String> causes(AsBuilt before, AsBuilt after, HangarTest t, Optional<HangarTest> kept) {
        if (kept.isEmpty()) {
            return List.of("its record is missing");
        }
        if (!t.subject().isEmpty() && after.system().item(t.subject()).isEmpty()) {
            return List.of(
                    "its " + (before.tank(t.subject()).isPresent() ? "tank" : "part") + " is no longer in the layout");
        }
        List<String> said = Standing.of(
                        t.with(t.by().withInputs(Standing.restsOn(before, t.subject(), t.work()))), after)
                .changes()
                .stream()
                .map(Inputs.Change::words)
                .toList();
        return said.isEmpty() ? List.of("its record names another item") : said;
    }
}
