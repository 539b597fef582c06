package ration.answer.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.guide.StepState.Missing;
import ration.answer.guide.StepState.Where;
import ration.base.quantity.Measured;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.GuidePicture;
import ration.publish.drawing.TextMeasure;
import ration.publish.export.GuidePdf;
import ration.publish.export.PictureSvg;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.words.Term;

/** The guide: its files say the same as its pages, its pictures are those of today, what is missing is counted. */
class GuideTest {

    /** Written anew by -Dration.keep.guide=true, and looked at before they are kept. */
    private static final boolean KEEP = Boolean.getBoolean("ration.keep.guide");

    private static final Path DOCS = Path.of("..", "docs", "guide");

    @ParameterizedTest
    @EnumSource(Step.class)
    void everyStepSaysWhatToDo(Step step) {
        GuideText said = step.text();
        assertThat(said.title()).isNotBlank();
        assertThat(said.takes()).isNotBlank();
        assertThat(said.paragraphs()).hasSizeBetween(2, 4);
        assertThat(said.whole()).doesNotContain("](", "*", "#");
    }

    /** The page of all terms, and the list of steps, are made from the program. */
    @Test
    void termsAndListAreThoseOfTheProgram() throws IOException {
        StringBuilder terms = new StringBuilder("# Terms\n");
        for (Term t : Term.values()) {
            terms.append("\n<a id=\"")
                    .append(GuideText.anchor(t))
                    .append("\"></a>\n**")
                    .append(t.word())
                    .append(".** ");
            terms.append(t.says()).append(" ").append(t.figure()).append("\n");
        }
        kept("terms.md", terms.toString());
        StringBuilder list = new StringBuilder("# Guide\n\nThe job in the order of the work. In the program: F1.\n");
        Step.Part part = null;
        for (Step s : Step.values()) {
            if (s.part() != part) {
                part = s.part();
                list.append("\n").append(part.label()).append("\n\n");
            }
            list.append(s.number())
                    .append(". [")
                    .append(s.text().title())
                    .append("](")
                    .append(s.file())
                    .append(".md)\n");
        }
        kept(
                "README.md",
                list.append("\nWords of the trade: [terms](terms.md).\n").toString());
    }

    /** Drawn from the demo as it is now: a picture that no longer is what the program draws fails here. */
    @ParameterizedTest
    @EnumSource(Step.class)
    void picturesAreThoseOfToday(Step step) throws IOException {
        kept(
                "pictures/" + step.file() + ".svg",
                PictureSvg.of(
                        GuidePicture.of(step, Systems.assessedCorrie(), UnitSystem.US)
                                .draw(680, 330, TextMeasure.approximate()),
                        step.text().title()));
        assertThat(Files.readString(DOCS.resolve(step.file() + ".md"))).contains("](pictures/" + step.file() + ".svg)");
    }

    private static void kept(String name, String now) throws IOException {
        Path file = DOCS.resolve(name);
        if (KEEP) {
            Files.createDirectories(file.getParent());
            Files.writeString(file, now);
        }
        assertThat(now).as(name).isEqualTo(Files.readString(file));
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3", "brindle-a2"})
    void whatIsMissingLeadsSomewhere(String demo) {
        Assessment a = Systems.assessed(demo);
        Set<String> tests = new HashSet<>();
        a.program().tests().forEach(p -> tests.add(p.wanted().key()));
        List<StepState> states = StepState.of(a);
        assertThat(states).extracting(StepState::step).containsExactly(Step.values());
        for (StepState s : states) {
            assertThat(s.done()).as(s.toString()).isBetween(0, s.all());
            assertThat(s.whole()).as(s.toString()).isEqualTo(s.missing().isEmpty());
            for (Missing m : s.missing()) {
                assertThat(m.what()).isNotBlank();
                assertThat(m.why()).isNotBlank();
                if (m.where() == Where.HANGAR) {
                    assertThat(tests).contains(m.about());
                } else if (m.where() == Where.LINES) {
                    assertThat(a.project().system().item(m.about())).isPresent();
                }
            }
        }
    }

    /** A figure is measured, and one is missing less; its pie does not move otherwise. */
    @Test
    void aMeasuredFigureIsOneLess() {
        Project p = Pattern.values()[0].project();
        StepState before = StepState.of(Assessment.of(p)).get(Step.ATTITUDES.ordinal());
        Project measured = p.with(p.brief()
                .withEnvelope(p.brief()
                        .envelope()
                        .withClimb(new Measured(p.brief().envelope().climb().quantity(), "level"))));
        StepState after = StepState.of(Assessment.of(measured)).get(Step.ATTITUDES.ordinal());
        assertThat(after.done()).isEqualTo(before.done() + 1);
        assertThat(after.all()).isEqualTo(before.all());
    }

    @Test
    void anEmptySheetBeginsAtTheBeginning() throws IOException {
        Assessment empty = Assessment.of(Project.empty());
        List<StepState> states = StepState.of(empty);
        assertThat(states.get(Step.LAYOUT.ordinal()).missing()).isNotEmpty();
        assertThat(states.get(Step.HEIGHTS.ordinal()).whole()).isFalse();
        assertThat(states.get(Step.SIGN_OFF.ordinal()).whole()).isFalse();
        assertThat(states).noneMatch(StepState::whole);
        assertThat(GuidePicture.drawable(empty)).isFalse();
        assertThat(GuidePdf.of(empty, UnitSystem.US))
                .startsWith("%PDF".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
    }

    /** Every page of the guide that a file of the docs names is there. */
    @Test
    void linksOfTheDocsLead() throws IOException {
        java.util.regex.Pattern link = java.util.regex.Pattern.compile("]\\(([^)#]+)(#[^)]*)?\\)");
        try (Stream<Path> files = Files.list(DOCS)) {
            for (Path file : files.filter(f -> f.toString().endsWith(".md")).toList()) {
                link.matcher(Files.readString(file)).results().forEach(m -> assertThat(DOCS.resolve(m.group(1)))
                        .as(file + ": " + m.group())
                        .exists());
            }
        }
    }
}
