package ration.desktop.hangar;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.answer.assess.Assessment;
import ration.answer.proof.Outcome;
import ration.answer.proof.TestProgram;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Named;
import ration.record.evidence.Readout;
import ration.record.evidence.Standing;
import ration.record.evidence.Work;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** What stands beside the test in hand, before any of it is a node. */
record BesideWords(Project project, Assessment a, UnitSystem units) {

    /** Letters that fit beside the name of a record. */
    private static final int FITS = 18;

    /**
     * One run of a test that is repeated.
     *
     * @param done whether it was made
     * @param under what was read beside the flow
     * @param flow as shown; empty where it is none
     * @param ratio over what is asked; empty where nothing is, or the record no longer counts
     */
    record Run(String name, boolean done, String under, String flow, Optional<Double> ratio) {
        Optional<Verdict> verdict() {
            return ratio.map(r -> Verdict.atLeast(r, 1));
        }
    }

    /** A record in words. */
    record Record(String name, String result, String words, boolean good) {}

    /** Runs made and to be made; none of a test that is not repeated. */
    List<Run> runs(HangarTest t) {
        List<Run> all = new ArrayList<>();
        Optional<Work.Sheet> form = t.work().sheet().filter(s -> s.form().least() >= 2);
        if (form.isEmpty()) {
            return all;
        }
        Work.Sheet sheet = form.get();
        double limit = limit(t);
        for (Work.Row r : sheet.rows()) {
            double flow = Readout.flow(sheet, r);
            String read = Readout.row(sheet, r, Map.of(), units);
            all.add(new Run(
                    "Run " + (all.size() + 1),
                    true,
                    flow > 0 ? read.replaceAll(", [^,]*$", "") : read,
                    flow > 0 ? units.text(flow, Dimension.FLOW) : "",
                    flow > 0 && limit > 0 ? Optional.of(flow / limit) : Optional.empty()));
        }
        while (all.size() < sheet.form().least()) {
            all.add(new Run("Run " + (all.size() + 1), false, "", "", Optional.empty()));
        }
        return all;
    }

    /** What a run is asked for; nothing of a record that no longer counts, or never did. */
    private double limit(HangarTest t) {
        boolean open = !t.progress().done() && !t.by().beside().standIn();
        return open || Standing.of(t, project.asBuilt()).counts()
                ? a.program()
                        .outcome(t.id())
                        .flatMap(Outcome::measure)
                        .map(m -> m.limit())
                        .orElse(0.0)
                : 0;
    }

    /** Whether the smallest of its runs counts, as of a flow. */
    static boolean smallest(Work.Sheet sheet) {
        return Readout.flow(
                        sheet,
                        sheet.rows().isEmpty()
                                ? Work.Row.of(Map.of())
                                : sheet.rows().get(0))
                > 0;
    }

    /** Whether losses can be fitted to it: a finished flow test. */
    static boolean fits(HangarTest t) {
        return t.progress().done()
                && t.work()
                        .sheet()
                        .filter(s -> s.form().least() > 1 && !s.rows().isEmpty() && smallest(s))
                        .isPresent();
    }

    String asks(TestProgram.Proof p) {
        return p.wanted().kind().closes() + ": " + p.wanted().asks() + ".";
    }

    String source(TestProgram.Proof p) {
        return p.wanted().source() + (p.wanted().asked() ? "" : ". Recommended, not required.");
    }

    String now(TestProgram.Proof p) {
        return "Now " + p.verdict().word() + ": " + p.state() + ".";
    }

    /** Records of the test picked; where none is, those of what is no longer laid out. */
    List<HangarTest> records(Optional<TestProgram.Proof> picked) {
        return project.tests().stream()
                .filter(t -> picked.map(p -> p.wanted().is(t)).orElseGet(() -> a.program().tests().stream()
                        .noneMatch(p -> p.wanted().is(t))))
                .toList();
    }

    Record record(HangarTest t) {
        Standing standing = Standing.of(t, project.asBuilt());
        String result = !t.work().onTank()
                ? a.program()
                        .outcome(t.id())
                        .map(o -> o.measured().in(units))
                        .filter(s -> s.length() < FITS)
                        .orElse("")
                : TankFound.brief(t, units);
        String state = !t.progress().done()
                ? "in progress, step " + (t.progress().step() + 1)
                : standing.counts()
                        ? "valid"
                        : (standing.state() == Standing.State.STALE ? "no longer valid: " : "") + standing.words();
        return new Record(
                Named.of(project.system(), t),
                result,
                t.by().date() + (t.by().who().isBlank() ? "" : ", " + t.by().who()) + ", " + state,
                standing.counts() || !t.progress().done());
    }
}
