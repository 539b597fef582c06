package ration.publish.export;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Touched;
import ration.base.quantity.UnitSystem;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Part;

/** What was done to an aircraft in one act, what is to be tested again after it, and a line to sign. */
public final class WorkReport {

    private static final double WIDTH = 612;
    private static final double HEIGHT = 792;

    private WorkReport() {}

    /**
     * The report as PDF.
     *
     * @param entries of the log it tells of, in order
     * @param again what is to be shown again
     */
    public static byte[] of(Project project, TestProgram program, List<Entry> entries, List<Touched.Again> again)
            throws IOException {
        try (PdfSheet pdf = new PdfSheet("Work report, " + project.name(), WIDTH, HEIGHT, true)) {
            Pages pages = new Pages(pdf, WIDTH, HEIGHT);
            pages.page("Work report", project.name());
            pages.facts(List.of(
                    new String[] {
                        "Date",
                        entries.stream()
                                .map(e -> e.on().toString())
                                .distinct()
                                .reduce((a, b) -> a + ", " + b)
                                .orElse("")
                    },
                    new String[] {
                        "Airframe",
                        entries.isEmpty()
                                ? ""
                                : UnitSystem.figure(
                                                entries.get(entries.size() - 1).hours(), 1) + " h"
                    },
                    new String[] {
                        "By",
                        entries.stream()
                                .map(Entry::who)
                                .filter(w -> !w.isBlank())
                                .distinct()
                                .reduce((a, b) -> a + ", " + b)
                                .orElse("not entered")
                    }));
            pages.section("What was done", entries.size() + (entries.size() == 1 ? " entry" : " entries"));
            pages.table(
                    List.of(
                            Column.strong("No.", e -> String.valueOf(e.number())),
                            Column.text("Part", e -> part(project, e)),
                            Column.text("Done", e -> e.what().word()),
                            Column.text("For the logbook", Entry::words)),
                    entries);
            pages.section("To be shown again", again.size() + (again.size() == 1 ? " test" : " tests"));
            pages.table(
                    List.of(Column.strong("Test", Touched.Again::words), Column.text("Today", a -> state(program, a))),
                    again);
            pages.text(
                    "Ventilate, no ignition source near, aircraft and can bonded, extinguisher at hand; drained fuel is"
                            + " hazardous waste. The manufacturers' instructions and your inspector take precedence.",
                    8.5,
                    false);
            pages.space(8);
            pages.signature("Done by", "The work above was done as entered.");
            pages.signature("Inspected by", "Inspected, and found as entered.");
            pages.finish(new Pages.Identity(project.name(), "Work report", "", ""));
            return pdf.bytes();
        }
    }

    private static String part(Project project, Entry e) {
        return project.upkeep()
                .part(e.part())
                .map(Part::name)
                .orElse(e.part().startsWith("joint:") ? "Joint" : e.part());
    }

    private static String state(TestProgram program, Touched.Again a) {
        Optional<TestProgram.Proof> proof = a.test().flatMap(t -> program.tests().stream()
                .filter(p -> p.wanted().key().equals(t))
                .findFirst());
        return proof.map(TestProgram.Proof::state).orElse("to inspect");
    }
}
