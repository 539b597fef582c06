package ration.verdict.standard;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.answer.signoff.Requirement;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.export.TestCards;
import ration.publish.packet.Packet;
import ration.record.evidence.TestKind;
import ration.record.file.ProjectFile;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.why.Why;

/** Four standards as data: each cites itself and no other, and none is laxer than common practice. */
class StandardTest {

    private static Project on(Standard basis) {
        Project p = Systems.corrie();
        return p.with(p.brief().withChoices(p.brief().choices().with(basis)));
    }

    /** What a standard is called in print. */
    private static Pattern name(Standard s) {
        return Pattern.compile(Pattern.quote(s.called()) + "\\b");
    }

    private static List<Standard> others(Standard basis) {
        return Stream.of(Standard.PART_23, Standard.CS_VLA, Standard.LIGHT_SPORT)
                .filter(s -> s != basis)
                .toList();
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument d = Loader.loadPDF(pdf)) {
            // a word that is broken over two lines is one
            return new PDFTextStripper().getText(d).replaceAll("\\s+", " ");
        }
    }

    @ParameterizedTest
    @EnumSource
    void aDocumentPrintsNoOtherStandardThanItsOwn(Standard basis) throws IOException {
        Project p = on(basis);
        Assessment a = Assessment.of(p);
        String findings = a.findings().stream()
                .flatMap(f -> Stream.of(
                        f.source(),
                        f.remedy(),
                        f.detail().in(UnitSystem.US),
                        f.why().map(StandardTest::said).orElse("")))
                .collect(Collectors.joining("\n"));
        String tests = TestProgram.wanted(p).stream()
                .map(w -> w.source() + " " + w.asks())
                .collect(Collectors.joining("\n"));
        String requirements = Requirement.of(a, UnitSystem.US).stream()
                .map(Requirement::basis)
                .collect(Collectors.joining("\n"));
        String packet =
                text(Packet.of(a, Packet.Paper.LETTER, UnitSystem.US, java.time.LocalDate.of(2026, 3, 9), Task.QUIET)
                        .orElseThrow());
        String cards = text(TestCards.of(a, UnitSystem.US));
        for (Standard other : others(basis)) {
            for (String printed : List.of(findings, tests, requirements, packet, cards)) {
                assertThat(printed).doesNotContainPattern(name(other));
            }
        }
        if (basis != Standard.PRACTICE) {
            assertThat(findings).containsPattern(name(basis));
            assertThat(packet).containsPattern(name(basis));
        }
    }

    private static String said(Why why) {
        return why.source() + " " + why.says() + " "
                + why.from().stream().map(StandardTest::said).collect(Collectors.joining(" "));
    }

    /** Verdicts are the same on each: only the citations differ, and where the handbook alone asks, tests. */
    @ParameterizedTest
    @EnumSource
    void noneIsLaxerThanAnother(Standard basis) {
        Assessment here = Assessment.of(on(basis));
        Assessment part23 = Systems.assessedCorrie();
        for (Finding f : part23.findings()) {
            if (f.check() == Check.PROOF_TANK_PRESSURE && !basis.asks(Subject.TANK_PRESSURE)) {
                continue;
            }
            assertThat(here.findings().stream().filter(x -> x.id().equals(f.id())))
                    .as(f.id())
                    .singleElement()
                    .satisfies(x -> assertThat(x.verdict()).isEqualTo(f.verdict()));
        }
    }

    /** Figures in common use, recalled: 23.955, 23.965, 23.969, 23.971, 23.977 before 2017. */
    @ParameterizedTest
    @EnumSource
    void figuresAreThoseOfTheTrade(Standard s) {
        assertThat(s.figure(Subject.GRAVITY_FLOW, "factor")).isEqualTo(1.5);
        assertThat(s.figure(Subject.PUMP_FLOW, "factor")).isEqualTo(1.25);
        assertThat(Unit.PSI.fromSi(s.figure(Subject.TANK_PRESSURE, "pressure"))).isCloseTo(3.5, Offset.offset(1e-9));
        assertThat(s.figure(Subject.EXPANSION, "share")).isEqualTo(0.02);
        assertThat(s.figure(Subject.SUMP, "share")).isEqualTo(0.0025);
        // a sixteenth of a gallon is half a pint, 8 fl oz, 236.6 mL
        assertThat(Unit.MILLILITRE.fromSi(s.figure(Subject.SUMP, "least"))).isCloseTo(236.6, Offset.offset(0.05));
        assertThat(s.figure(Subject.BOWL, "share") * 20 * 128).isCloseTo(1, Offset.offset(1e-12));
        assertThat(s.figure(Subject.OUTLET_SCREEN, "area")).isEqualTo(5);
    }

    @ParameterizedTest
    @EnumSource
    void everyClauseIsWhole(Standard s) {
        for (Subject subject : Subject.values()) {
            s.clause(subject).ifPresent(c -> {
                assertThat(c.asks()).as(subject.key()).endsWith(".");
                if (!c.shows().isEmpty()) {
                    assertThat(Arrays.stream(TestKind.values()).map(TestKind::key))
                            .contains(c.shows());
                }
                assertThat(c.figures().keySet())
                        .as("practice has each figure too")
                        .isSubsetOf(Standard.PRACTICE
                                .clause(subject)
                                .map(Clause::figures)
                                .orElse(Map.of())
                                .keySet());
            });
            assertThat(s.cite(subject)).isNotBlank();
        }
        assertThat(Standard.written(s.key())).contains(s);
    }

    @Test
    void aCitationSaysHowSureItIs() {
        assertThat(Standard.PART_23.cite(Subject.EXPANSION))
                .isEqualTo("14 CFR 23.969 before 2017 (from memory), as a guide");
        assertThat(Standard.CS_VLA.cite(Subject.SUMP))
                .isEqualTo("CS-VLA 971 (from memory, confidence medium), as a guide; figure: common practice");
        assertThat(Standard.LIGHT_SPORT.cite(Subject.GRAVITY_FLOW))
                .isEqualTo("ASTM F2245 (from memory, confidence low), as a guide");
        assertThat(Standard.LIGHT_SPORT.cite(Subject.VAPOR_LOCK)).isEqualTo("Common practice, no source");
        assertThat(Standard.PRACTICE.cite(Subject.GRAVITY_FLOW)).isEqualTo("AC 90-89 (from memory)");
        assertThat(Standard.PRACTICE.cite(Subject.EXPANSION)).isEqualTo("Common practice, no source");
    }

    @ParameterizedTest
    @EnumSource
    void theBasisIsKeptInTheDocument(Standard basis) throws Exception {
        String text = ProjectFile.text(on(basis));
        assertThat(text).contains("\"basis\" : \"" + basis.key() + "\"");
        Project read = ProjectFile.read(text.getBytes(java.nio.charset.StandardCharsets.UTF_8), "here");
        assertThat(read.brief().choices().basis()).isEqualTo(basis);
        // the handbook alone was a basis once
        Project older = ProjectFile.read(
                text.replace("\"basis\" : \"" + basis.key() + "\"", "\"basis\" : \"ac-90-89\"")
                        .getBytes(java.nio.charset.StandardCharsets.UTF_8),
                "here");
        assertThat(older.brief().choices().basis()).isEqualTo(Standard.PRACTICE);
    }
}
