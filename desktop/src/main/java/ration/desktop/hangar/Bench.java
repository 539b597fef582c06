package ration.desktop.hangar;

import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import ration.answer.assess.Assessment;
import ration.answer.proof.Fit;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Wanted;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Edit;
import ration.record.project.Project;

/**
 * Which test of the program is picked and which record is open on the bench. Immutable.
 *
 * @param picked key of the test; empty while none is
 * @param open id of the record; empty while none is
 */
record Bench(String picked, String open) {

    static final Bench EMPTY = new Bench("", "");

    /** The same once the document has changed: a record that is gone is not open. */
    Bench in(Project p) {
        return p.test(open).isPresent() ? this : closed();
    }

    Bench closed() {
        return new Bench(picked, "");
    }

    /** A test picked: what was interrupted of it is open again. */
    static Bench picked(TestProgram.Proof proof, Project p) {
        return new Bench(
                proof.wanted().key(),
                p.tests().stream()
                        .filter(t -> proof.wanted().is(t) && !t.progress().done())
                        .map(HangarTest::id)
                        .reduce((x, y) -> y)
                        .orElse(""));
    }

    /** A record opened, and the test it is of picked. */
    Bench opened(HangarTest t, TestProgram program) {
        return new Bench(program.of(t).map(p -> p.wanted().key()).orElse(picked), t.id());
    }

    Optional<TestProgram.Proof> proof(TestProgram program) {
        return program.tests().stream()
                .filter(p -> p.wanted().key().equals(picked))
                .findFirst();
    }

    /** How far the record that is open has come; empty where it is finished or none is open. */
    String running(Project p) {
        return p.test(open)
                .filter(t -> !t.progress().done())
                .map(t -> "running, step " + (t.progress().step() + 1))
                .orElse("");
    }

    /** How many tests count, no longer count, were interrupted. */
    static String sum(Assessment a, Project p) {
        TestProgram program = a.program();
        if (program.tests().isEmpty()) {
            return a.blocked() ? "fix the layout first: nothing can be predicted" : "";
        }
        long stale = p.tests().stream()
                .map(t -> Standing.of(t, p.asBuilt()).state())
                .filter(s -> s == Standing.State.STALE)
                .count();
        long broken = p.tests().stream().filter(t -> !t.progress().done()).count();
        return program.counting() + " of " + program.asked() + " valid" + (stale > 0 ? ", " + stale + " outdated" : "")
                + (broken > 0 ? ", " + broken + " in progress" : "");
    }

    /** An id that no record has. */
    static String fresh(Project p) {
        int n = 1;
        while (p.test("test-" + n).isPresent()) {
            n++;
        }
        return "test-" + n;
    }

    /** A record begun, by whom and with what the last one was. */
    static Edit begin(Wanted w, String id, Project now, LocalDate today) {
        Optional<HangarTest.Circumstances> last =
                now.tests().stream().reduce((x, y) -> y).map(HangarTest::by);
        HangarTest.Circumstances by = new HangarTest.Circumstances(
                today.toString(),
                last.map(HangarTest.Circumstances::who).orElse(""),
                last.map(HangarTest.Circumstances::instrument).orElse(""),
                Optional.empty(),
                "",
                "");
        Work work = work(w);
        return Edit.of(
                "Begin " + w.name().toLowerCase(Locale.ROOT),
                p -> p.with(new HangarTest(id, w.subject(), on(p, w, work, by), work, HangarTest.Progress.START)));
    }

    /** What it rests on, as the aircraft is when it begins. */
    private static HangarTest.Circumstances on(Project p, Wanted w, Work work, HangarTest.Circumstances by) {
        return !work.onTank()
                ? by.on(Standing.restsOn(p.asBuilt(), w.subject(), work))
                : p.asBuilt().tank(w.subject()).map(by::on).orElse(by);
    }

    private static Work work(Wanted w) {
        if (w.kind() == TestKind.DRAIN) {
            return new Work.Drain("", Measured.of(0, Unit.DEGREE), Measured.of(0, Unit.DEGREE), java.util.List.of());
        }
        if (w.kind() == TestKind.FILL) {
            return new Work.Fill(Work.Stands.LEVEL, Measured.of(0, Unit.DEGREE, "level"), java.util.List.of());
        }
        return w.kind() == TestKind.TOP_OFF
                ? new Work.TopOff(Measured.of(0, Unit.GALLON), Optional.empty())
                : w.begun();
    }

    static Edit discard(HangarTest t) {
        return Edit.of(
                "Discard " + t.work().title().toLowerCase(Locale.ROOT),
                p -> p.withTests(
                        p.tests().stream().filter(x -> !x.id().equals(t.id())).toList()));
    }

    /** A file noted beside a record, as that stands then. */
    static Edit attached(HangarTest t, HangarTest.Photo photo) {
        return Edit.of("Attach " + photo.file(), p -> p.test(t.id())
                .map(x -> p.with(x.with(x.by().with(x.by().beside().with(photo)))))
                .orElse(p));
    }

    /** A part whose loss, or a tank whose height, would explain what was poured. */
    static String words(Fit f, UnitSystem u) {
        if (!f.key().equals(Fit.HIGHER)) {
            return f.name() + ": " + fine(u, f.was()) + " \u2192 " + fine(u, f.is()) + " \u00b1 "
                    + fine(u, f.scatter());
        }
        Unit length = u.unit(Dimension.LENGTH);
        int digits = u == UnitSystem.US ? 2 : 0;
        return f.name() + ": " + UnitSystem.figure(Math.abs(length.fromSi(f.is())), digits) + " \u00b1 "
                + UnitSystem.figure(length.fromSi(f.scatter()), digits) + " " + length.symbol()
                + (f.is() < 0 ? " lower" : " higher") + " than in the layout";
    }

    private static String fine(UnitSystem u, double pascal) {
        return UnitSystem.figure(u.unit(Dimension.PRESSURE).fromSi(pascal), u == UnitSystem.US ? 3 : 2) + " "
                + u.unit(Dimension.PRESSURE).symbol();
    }
}
