package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import ration.aircraft.plumbing.RunSheet;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.CaseWords;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.TextMeasure;
import ration.record.file.DocumentMark;
import ration.record.file.ProjectFile;

class ExportTest {

    private static Assessment demo(String name) {
        try {
            return Assessment.of(ProjectFile.demoNamed(name));
        } catch (ration.record.file.ProjectFileException e) {
            throw new IllegalStateException(e);
        }
    }

    private static CaseAnswer look(Assessment a, String words) {
        return a.look(CaseWords.parse(a, words)).orElseThrow();
    }

    private static String kept(String file) throws IOException {
        try (InputStream in = ExportTest.class.getResourceAsStream("/epanet/" + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /**
     * EPANET (toolkit 2.3, npm epanet-js), run on the exported file by tools/epanet/make: its flows agree within 1 %.
     * The kept file is the one exported now, so its answers belong to it.
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "corrie-governing | corrie | governing",
                "corrie-upper-full | corrie | level, upper, full",
                "tansy-both-pumps | tansy | climb, right, half, both pumps",
                "tansy-boost-alone | tansy | level, left, low, boost pump alone, filters dirty",
                "brindle-lift | brindle | level, full, lift pump alone"
            })
    void epanetFindsTheSameFlows(String file, String name, String words) throws IOException {
        Assessment a = demo(name);
        CaseAnswer look = look(a, words);
        String inp = EpanetInp.of(
                look.capacity(),
                a.project().name() + ", " + look.label(a.project().system(), UnitSystem.US));
        assertThat(inp).as("run tools/epanet/make again").isEqualTo(kept(file + ".inp"));
        JsonNode epanet = new ObjectMapper().readTree(kept(file + ".json")).get("flows_L_s");
        Map<String, Double> ours = EpanetInp.flows(look.capacity());
        assertThat(ours).hasSizeGreaterThan(8);
        double largest =
                ours.values().stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        ours.forEach((id, flow) -> assertThat(epanet.get(id).asDouble())
                .as(id)
                .isCloseTo(flow, Offset.offset(0.01 * flow + 1e-3 * largest)));
    }

    @Test
    void everyApproximationIsNotedAtTheHead() {
        Assessment a = demo("brindle");
        String inp = EpanetInp.of(look(a, "level, full, lift pump alone").capacity(), "Title");
        assertThat(inp)
                .startsWith("[TITLE]\nTitle\n; Friction")
                .contains("; Gravity")
                .contains("general-purpose valves")
                .contains("pressure-sustaining valve set to nothing")
                .contains("HEADLOSS D-W");
    }

    @Test
    void aCaseWithoutAnAnswerIsRefused() {
        Assessment a = demo("corrie");
        CaseAnswer off = a.look(CaseWords.parse(a, "level").withPosition("selector", "OFF"))
                .orElseThrow();
        if (off.demand().usable()) {
            throw new AssertionError("OFF cannot bring the demand");
        }
        assertThatThrownBy(() -> EpanetInp.of(off.demand(), "t"))
                .hasMessageContaining("did not solve: nothing to export");
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie", "tansy", "brindle"})
    void theDrawingIsWellFormedSvgWithEveryItem(String name) throws Exception {
        Assessment a = demo(name);
        String svg = PictureSvg.of(
                PrintedSheets.drawing(a, look(a, "governing"), UnitSystem.US, TextMeasure.approximate()),
                "A <title> & more");
        Document xml = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
        assertThat(xml.getDocumentElement().getTagName()).isEqualTo("svg");
        a.project().system().items().forEach(i -> assertThat(svg).contains("data-item=\"" + i.id() + "\""));
        assertThat(svg).doesNotContain("NaN").doesNotContain("Infinity");
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(doc);
        }
    }

    @Test
    void theDrawingAsPdfKeepsItsTextAndTheCaution() throws IOException {
        Assessment a = demo("corrie");
        String text = text(DrawingPdf.of(a, look(a, "governing"), UnitSystem.US, LocalDate.of(2026, 12, 2)));
        assertThat(text)
                .contains("Corrie B1")
                .contains("2026-12-02, " + DocumentMark.of(a.project()))
                .contains("Revisions by hand", "Registration")
                .contains(a.project().system().runs().stream()
                        .map(r -> r.size().shortName())
                        .toList())
                .contains("Fuselage tank")
                .contains("Carburetor")
                .contains("Fails")
                .contains("does not approve flight");
    }

    @Test
    void theRunsSheetAsPdfHoldsRunsJointsAndLists() throws IOException {
        Assessment a = demo("tansy");
        String text = text(PrintedSheets.runsPdf(a));
        a.project().system().runs().forEach(r -> assertThat(text).contains(r.name()));
        assertThat(text)
                .contains("Fittings")
                .contains("Cut list")
                .contains("Shopping list")
                .contains("46 1/4 in")
                .contains("meets a 1/4 NPT");
    }

    @Test
    void theMatrixAsCsvHasARowForEveryCase() {
        Assessment a = demo("tansy");
        List<List<String>> rows = RunSheet.table(MatrixCsv.of(a, UnitSystem.US));
        assertThat(rows).hasSize(a.cases().size() + 1);
        int margin = rows.get(0).indexOf("margin");
        double least = rows.stream()
                .skip(1)
                .filter(r -> r.contains("clean")
                        && !r.get(rows.get(0).indexOf("pumps")).equals("No pump"))
                .mapToDouble(r -> Double.parseDouble(r.get(margin)))
                .min()
                .orElseThrow();
        assertThat(least).isCloseTo(a.governing().orElseThrow().margin(), Offset.offset(1e-4));
    }

    // the case in words

    @Test
    void aCaseIsReadFromTheWordsItIsToldIn() {
        Assessment a = demo("tansy");
        var c = CaseWords.parse(a, "Climb, right, low, engine pump alone, filters fouled, cruise");
        assertThat(c.attitude().name()).isEqualTo("Climb");
        assertThat(c.positions()).containsEntry("selector", "RIGHT");
        assertThat(c.stopped()).isEqualTo(Set.of("boost"));
        assertThat(c.engine().fouled()).isTrue();
        assertThat(CaseWords.parse(a, "pitch 12, bank -3").attitude().pitchDegrees())
                .isCloseTo(12, Offset.offset(1e-9));
        assertThat(CaseWords.parse(a, "")).isEqualTo(a.governing().orElseThrow().condition());
        assertThatThrownBy(() -> CaseWords.parse(a, "climb, sideways"))
                .hasMessageContaining("sideways")
                .hasMessageContaining("boost pump alone")
                .hasMessageContaining("RIGHT");
    }

    /** A name with what a terminal, a drawing or a spreadsheet takes as a command: none of it leaves the program. */
    @Test
    void namesAreTextWhereverTheyGo() throws Exception {
        ration.record.project.Project p = ration.Systems.corrie();
        String bad = "\u001b[2J\u0007=cmd\u202e <b>&\u0000";
        ration.record.project.Project named =
                p.with(p.system().change("upper", ration.aircraft.model.Tank.class, t -> t.renamed(bad)));
        Assessment a = Assessment.of(named);
        String svg = PictureSvg.of(
                PrintedSheets.drawing(
                        a,
                        a.look(StartingCase.of(named)).orElseThrow(),
                        UnitSystem.US,
                        ration.publish.drawing.TextMeasure.approximate()),
                bad);
        assertThat(svg).doesNotContainPattern("[\\x00-\\x08\\x0b-\\x1f\u202e]").contains("&lt;b&gt;&amp;");
        javax.xml.parsers.DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new java.io.ByteArrayInputStream(svg.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
        ration.record.upkeep.Upkeep kept = p.upkeep();
        ration.record.upkeep.Part part = kept.parts().get(0);
        ration.record.project.Project due = p.with(kept.with(new ration.record.upkeep.Part(
                part.id(), "=HYPERLINK(1)\u0007", part.item(), part.kind(), part.life(), part.fitted(), part.paper())));
        java.time.LocalDate day = java.time.LocalDate.of(2026, 11, 30);
        assertThat(UpkeepFiles.parts(due, day)).contains("'=HYPERLINK(1)").doesNotContain("\u0007");
        assertThat(UpkeepFiles.calendar(due, day)).doesNotContain("\u0007");
    }

    /**
     * Names in scripts the typeface lacks are drawn by another, or by the numbers of their letters: two never come out
     * alike.
     */
    @Test
    void otherScriptsAreDrawnAndNeverAlike() throws IOException {
        try (ration.publish.paper.PdfSheet sheet = new ration.publish.paper.PdfSheet("scripts")) {
            sheet.newPage();
            List<String> names =
                    List.of("\u0411\u0430\u043a", "\u0394\u03b5\u03be", "\u6c34\u7bb1", "\u6cb9\u7bb1", "a\u0007b");
            for (int n = 0; n < names.size(); n++) {
                sheet.text(40, 40 + 20 * n, names.get(n), 12, n % 2 == 0, ration.publish.drawing.Ink.INK);
                assertThat(sheet.width(names.get(n), 12, false)).isPositive();
            }
            try (org.apache.pdfbox.pdmodel.PDDocument read = org.apache.pdfbox.Loader.loadPDF(sheet.bytes())) {
                String text = new org.apache.pdfbox.text.PDFTextStripper().getText(read);
                assertThat(text)
                        .contains("\u0411\u0430\u043a", "\u0394\u03b5\u03be", "[U+6C34]", "[U+6CB9]", "ab")
                        .doesNotContain("?");
            }
        }
    }
}
