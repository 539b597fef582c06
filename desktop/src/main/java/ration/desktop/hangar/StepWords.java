package ration.desktop.hangar;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.answer.assess.Assessment;
import ration.answer.proof.Outcome;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Named;
import ration.record.evidence.Procedure;
import ration.record.evidence.Readout;
import ration.record.evidence.Standing;
import ration.record.evidence.Work;
import ration.record.project.Project;

/**
 * What a test says where it stands, before any of it is a node.
 *
 * @param test the record
 * @param project as it is, which may be newer than what was assessed
 * @param a what was assessed
 * @param units results are shown in
 */
record StepWords(HangarTest test, Project project, Assessment a, UnitSystem units) {

    /** Letters that fit where figures stand large; a sentence says the rest. */
    private static final int WIDEST = 11;
    /** Letters of a file's fingerprint that tell it from others. */
    private static final int TOLD_APART = 12;
    /** Pieces that are all told, good ones too. */
    private static final int FEW = 4;

    /** Something entered, in words. */
    record Line(String name, String text) {}

    private List<Procedure.Step> steps() {
        return Procedure.of(test, project.system());
    }

    /** Whether what it was done on is no longer laid out. */
    boolean orphan() {
        return steps().isEmpty();
    }

    boolean done() {
        return test.progress().done();
    }

    /** The step it stands at; the last where it is past it. */
    Procedure.Step step() {
        List<Procedure.Step> steps = steps();
        return steps.get(Math.min(test.progress().step(), steps.size() - 1));
    }

    String where() {
        return Named.of(project.system(), test)
                + (done()
                        ? ", finished " + test.by().date()
                        : ", step " + (steps().indexOf(step()) + 1) + " of " + steps().size());
    }

    String title() {
        return orphan() ? "The tested item is no longer in the layout" : done() ? "Result" : step().title();
    }

    String words() {
        return orphan() ? "The record is kept." : done() ? "" : step().words();
    }

    /** What to beware of at this step; empty where nothing. */
    String caution() {
        return orphan() || done() ? "" : step().caution();
    }

    /** What the record says, in the condition in which it was done; empty until it was worked out. */
    Optional<Outcome> outcome() {
        return a.program().outcome(test.id());
    }

    /** Why a record shows nothing, whatever was read in it: it ended, or the stand-in fed it. */
    String countsNot() {
        if (test.by().beside().standIn()) {
            return "Simulated data: not evidence. ";
        }
        Standing standing = Standing.of(test, project.asBuilt());
        return !done() || standing.counts() ? "" : "No longer valid: " + standing.words() + ". At the time: ";
    }

    /** The figure of a test with a form, where it fits large. */
    String big() {
        return outcome()
                .map(o -> o.measured().in(units))
                .filter(s -> s.length() <= WIDEST)
                .orElse("");
    }

    /** What a test with a form found. */
    String found() {
        return outcome()
                .map(o -> countsNot() + o.words().in(units))
                .orElse("This layout no longer requires this test. Record kept.");
    }

    /** What the model says a test with a form would read, and what is asked, as soon as its condition is known. */
    String predicted() {
        return outcome()
                .map(o -> {
                    String predicted = o.predicted().in(units);
                    String needs = o.needs().in(units);
                    return (predicted.isEmpty() ? "" : "Computed for this condition " + predicted + ". ")
                            + (needs.isEmpty() ? "" : "Needs " + needs + ".");
                })
                .orElse("");
    }

    /** Changes whenever what is drawn of the step does. */
    String state() {
        Work work = test.work();
        int entered = work.as(d -> d.trials().size(), f -> f.points().size(), t -> 0, s -> s.rows()
                .hashCode());
        boolean ending = done() || test.progress().step() >= steps().size() - 1;
        // what a test with a form found is shown anew once it was worked out
        String told = !work.onTank() && ending
                ? countsNot() + outcome().map(o -> o.words().in(units)).orElse("")
                : "";
        return test.id() + "/" + test.progress().step() + "/" + done() + "/" + entered + "/" + units + "/" + told;
    }

    private void filled(Work.Fill f, List<Line> all) {
        all.add(new Line(
                "Attitude",
                f.stands().word() + ", pitch " + f.pitch().quantity().shown()));
        for (int i = 0; i < f.points().size(); i++) {
            all.add(new Line(
                    units.fineVolume(f.total(i + 1)),
                    f.points().get(i).reading().map(r -> r.quantity().shown()).orElse("not read")));
        }
    }

    private static void topped(Work.TopOff top, List<Line> all) {
        all.add(new Line("In tank before", top.before().quantity().shown()));
        top.metered().ifPresent(m -> all.add(new Line("Metered", m.quantity().shown())));
    }

    /** Everything entered, line by line. */
    List<Line> soFar() {
        List<Line> all = new ArrayList<>();
        test.work()
                .<Runnable>as(
                        d -> () -> drained(d, all),
                        f -> () -> filled(f, all),
                        t -> () -> topped(t, all),
                        s -> () -> sheet(s, all))
                .run();
        test.by()
                .beside()
                .photos()
                .forEach(p -> all.add(new Line(
                        "Attached",
                        p.file() + ", "
                                + p.sha256()
                                        .substring(
                                                0,
                                                Math.min(TOLD_APART, p.sha256().length())))));
        if (test.by().beside().standIn()) {
            all.add(new Line("Fed by", "the simulator: not evidence"));
        }
        all.add(new Line("Tested by", by()));
        return all;
    }

    private void drained(Work.Drain d, List<Line> all) {
        for (int i = 0; i < d.trials().size(); i++) {
            Work.Trial trial = d.trials().get(i);
            all.add(new Line(
                    "Trial " + (i + 1),
                    trial.poured().quantity().shown() + " poured"
                            + trial.back()
                                    .map(b -> ", " + b.quantity().shown() + " drained, "
                                            + units.fineVolume(trial.poured().si() - b.si()) + " stays")
                                    .orElse("")));
        }
        if (!d.position().isEmpty()) {
            all.add(new Line(
                    "Selector",
                    d.position() + ", pitch " + d.pitch().quantity().shown() + ", tilt "
                            + d.tilt().quantity().shown()));
        }
    }

    private void sheet(Work.Sheet sheet, List<Line> all) {
        Readout.once(sheet).forEach((label, shown) -> all.add(new Line(label, shown)));
        Map<String, String> pieces = sheet.form().pieces(project.system());
        int n = 0;
        for (Work.Row r : sheet.rows()) {
            boolean good =
                    r.grade().filter(g -> g == sheet.form().grades().get(0)).isPresent();
            if (!good || sheet.rows().size() <= FEW) {
                all.add(new Line(r.grade().isPresent() ? "Seen" : "Run " + ++n, Readout.row(sheet, r, pieces, units)));
            }
        }
    }

    private String by() {
        HangarTest.Circumstances by = test.by();
        return Stream.of(
                        by.date(),
                        by.who(),
                        by.instrument(),
                        by.ambient().map(m -> m.quantity().shown()).orElse(""),
                        by.notes(),
                        by.beside().witness().isBlank()
                                ? ""
                                : "witness " + by.beside().witness(),
                        by.beside().calibration())
                .filter(s -> !s.isBlank())
                .collect(Collectors.joining(", "));
    }
}
