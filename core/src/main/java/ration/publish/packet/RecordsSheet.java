package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.answer.proof.Outcome;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.ReadAxis;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.publish.paper.Photo;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.evidence.Named;
import ration.record.evidence.Readout;
import ration.record.evidence.Standing;
import ration.record.file.Attachments;
import ration.verdict.check.Verdict;

/**
 * Every test on record, one after the other: whether it still counts and what ended it, what was read against what was
 * predicted and needed, who saw it, files beside it. Of what it rested on only what is otherwise today is printed: the
 * rest stands on the pages of its parts.
 */
final class RecordsSheet {

    static final String KEY = "records";

    private final Pages pages;
    private final Dossier d;

    RecordsSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        List<HangarTest> all = d.project().tests();
        long counting = all.stream().filter(t -> standing(t).counts()).count();
        pages.page(
                KEY,
                "Test records",
                Optional.empty(),
                all.size() + " on record, " + counting + " valid; the document holds all that each rested on");
        if (all.isEmpty()) {
            pages.text("No tests recorded: nothing verified by measurement.", 8.5, false);
            return;
        }
        for (HangarTest t : all) {
            record(t);
        }
    }

    private Standing standing(HangarTest t) {
        return Standing.of(t, d.project().asBuilt());
    }

    private void record(HangarTest t) throws IOException {
        Standing standing = standing(t);
        Optional<Outcome> outcome = d.assessment().program().outcome(t.id());
        HangarTest.Beside beside = t.by().beside();
        pages.section(
                Named.of(d.system(), t),
                (t.by().date().isEmpty() ? "no date" : t.by().date())
                        + (standing.counts()
                                ? ", valid"
                                : ", " + standing.state().words()),
                130);
        if (standing.state() == Standing.State.STALE) {
            pages.warning(
                    "No longer valid.",
                    "It stands on record as it was done on " + t.by().date() + ". " + cause(standing));
        }
        pages.beside(0.62, () -> readings(t, outcome), () -> who(t, beside));
        if (outcome.isPresent()) {
            axis(t, outcome.get(), standing.counts());
        }
        changes(standing);
        attached(beside.photos());
        if (!t.by().notes().isBlank()) {
            pages.note("Notes: " + t.by().notes());
        }
        pages.space(2);
    }

    /** Photographs as pictures, if they are what was recorded; of every file its name, its sum and how it stands. */
    private void attached(List<HangarTest.Photo> files) throws IOException {
        List<Photo> photos = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (HangarTest.Photo p : files) {
            d.document()
                    .flatMap(at -> Attachments.picture(at, p))
                    .flatMap(pages.sheet()::photo)
                    .ifPresent(shown -> {
                        photos.add(shown);
                        names.add(p.file());
                    });
        }
        pages.photos(photos, names);
        for (HangarTest.Photo p : files) {
            String stands = d.document()
                    .map(at -> Attachments.state(at, p))
                    .filter(s -> s != Attachments.State.AS_RECORDED)
                    .map(s -> "; " + s.words())
                    .orElse("");
            pages.note("Attached: " + p.file() + stands + ", SHA-256 " + p.sha256());
        }
    }

    private static String cause(Standing s) {
        String words = s.words();
        return words.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + words.substring(1) + ".";
    }

    /** Name and figure of a line. */
    private record Line(String name, Cell value) {}

    private void readings(HangarTest t, Optional<Outcome> outcome) throws IOException {
        UnitSystem u = d.units();
        boolean counts = standing(t).counts();
        List<Line> lines = new ArrayList<>();
        lines.add(new Line("Read", Cell.of(figures(t))));
        outcome.ifPresent(o -> {
            add(lines, "Needed", o.needs().in(u), false);
            add(lines, "Predicted", o.predicted().in(u), false);
            add(lines, "Measured", o.measured().in(u), !counts && t.progress().done());
            if (t.progress().done()) {
                lines.add(new Line(
                        counts ? "It shows" : "It showed",
                        Cell.state(o.ratio(), counts ? o.verdict() : Verdict.NOT_SHOWN)));
            }
        });
        pages.table(List.of(Column.strong("", Line::name), Column.cell("", Line::value)), lines);
    }

    /** Flow and drain tests, in which the runs are read in the figure that is needed. */
    private void axis(HangarTest t, Outcome o, boolean counts) throws IOException {
        if (o.measure().isEmpty()) {
            return;
        }
        Dimension of = o.measure().get().dimension();
        List<Double> runs = t.work()
                .as(
                        drain -> drain.stayed(),
                        fill -> List.<Double>of(),
                        top -> List.<Double>of(),
                        sheet -> of == Dimension.FLOW
                                ? sheet.full().stream()
                                        .map(r -> Readout.flow(sheet, r))
                                        .filter(q -> q > 0)
                                        .toList()
                                : List.<Double>of());
        if (!runs.isEmpty() && (of == Dimension.FLOW || of == Dimension.VOLUME)) {
            pages.picture(ReadAxis.draw(runs, o.measure().get(), o.forecast(), d.units(), counts));
        }
    }

    private static void add(List<Line> lines, String name, String value, boolean struck) {
        if (!value.isEmpty()) {
            lines.add(new Line(name, Cell.of(value).struck(struck)));
        }
    }

    private void who(HangarTest t, HangarTest.Beside beside) throws IOException {
        List<Line> lines = new ArrayList<>();
        add(lines, "Done by", t.by().who().isBlank() ? "not entered" : t.by().who(), false);
        add(lines, "Witness", beside.witness().isBlank() ? "none entered" : beside.witness(), false);
        add(lines, "With", t.by().instrument().isBlank() ? "not entered" : t.by().instrument(), false);
        add(lines, "Its error", beside.calibration(), false);
        t.by().ambient().ifPresent(a -> add(lines, "Air", a.quantity().shown(), false));
        pages.table(List.of(Column.strong("", Line::name), Column.cell("", Line::value)), lines);
    }

    private void changes(Standing standing) throws IOException {
        if (standing.changes().isEmpty()) {
            return;
        }
        pages.table(
                List.of(Column.<Inputs.Change>strong(
                        "What it rested on, and is otherwise today", Inputs.Change::words)),
                standing.changes());
    }

    private String figures(HangarTest t) {
        UnitSystem u = d.units();
        return t.work()
                .as(
                        w -> {
                            String at = "pitch " + w.pitch().quantity().shown() + ", tilt "
                                    + w.tilt().quantity().shown();
                            return w.stayed().isEmpty()
                                    ? at + ": nothing yet"
                                    : at + ": "
                                            + w.stayed().stream()
                                                    .map(v -> u.text(v, Dimension.VOLUME))
                                                    .collect(Collectors.joining(", "))
                                            + " unusable";
                        },
                        f -> f.points().size() + " pours, "
                                + u.text(f.total(f.points().size()), Dimension.VOLUME) + ", pitch "
                                + f.pitch().quantity().shown(),
                        top -> top.metered()
                                .map(m -> u.text(top.before().si() + m.si(), Dimension.VOLUME) + " in all")
                                .orElse("not finished"),
                        sheet -> Readout.lines(sheet, d.system(), u));
    }
}
