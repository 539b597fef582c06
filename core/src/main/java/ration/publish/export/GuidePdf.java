package ration.publish.export;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.answer.assess.Assessment;
import ration.answer.guide.GuideText;
import ration.answer.guide.StepState;
import ration.answer.guide.StepState.Missing;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.GuidePicture;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.publish.paper.PdfSheet;
import ration.record.file.DocumentMark;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** The guide on paper: a page a step, its picture, and what the document still misses for it. */
public final class GuidePdf {

    private static final double WIDTH = 612;
    private static final double HEIGHT = 792;

    private GuidePdf() {}

    public static byte[] of(Assessment a, UnitSystem units) throws IOException {
        String name =
                a.project().name().isBlank() ? "No document yet" : a.project().name();
        try (PdfSheet pdf = new PdfSheet("Guide, " + name, WIDTH, HEIGHT, true)) {
            Pages pages = new Pages(pdf, WIDTH, HEIGHT);
            Assessment drawn = GuidePicture.drawable(a) ? a : example();
            for (StepState s : StepState.of(a)) {
                step(pages, s, drawn, a == drawn, units);
            }
            pages.finish(new Pages.Identity(
                    name,
                    "Guide: the job in the order of the work",
                    "",
                    "document ID " + DocumentMark.of(a.project())));
            return pdf.bytes();
        }
    }

    private static Assessment example() {
        try {
            return Assessment.of(ProjectFile.demo(ProjectFile.DEMO));
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e.fullText(), e);
        }
    }

    private static void step(Pages pages, StepState s, Assessment drawn, boolean own, UnitSystem units)
            throws IOException {
        GuideText said = s.step().text();
        String title = s.step().number() + "  " + said.title();
        pages.page(s.step().file(), title, Optional.empty(), said.takes());
        for (List<GuideText.Piece> paragraph : said.paragraphs()) {
            pages.text(paragraph.stream().map(GuideText.Piece::words).collect(Collectors.joining()), 9.5, false);
            pages.space(5);
        }
        pages.space(6);
        pages.picture(GuidePicture.of(s.step(), drawn, units)
                .draw(680, 330, pages.sheet().measure()));
        pages.note(own ? "Drawn from this document." : "Drawn from the example: the document is not that far yet.");
        pages.section("In your document", s.words());
        if (s.missing().isEmpty()) {
            pages.text("Nothing is missing for this step.", 8.5, false);
        } else {
            pages.table(
                    List.of(Column.strong("Still missing", Missing::what), Column.text("Why", Missing::why)),
                    s.missing());
        }
    }
}
