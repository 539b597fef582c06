package ration.publish.packet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Samples;
import ration.Systems;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.HiddenSearch;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.export.GaugeCard;
import ration.record.file.DocumentMark;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** The packet, read back: an independent validator for PDF/A-2a (ISO 19005-2), its text, its pages, its marks. */
class PacketTest {

    private static final LocalDate DAY = LocalDate.of(2026, 11, 26);

    private static byte[] packet(Project p, Packet.Paper paper, UnitSystem units) throws IOException {
        return Packet.of(Assessment.of(p), paper, units, DAY, Task.QUIET).orElseThrow();
    }

    private static List<String> pages(byte[] pdf) throws IOException {
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            List<String> all = new ArrayList<>();
            PDFTextStripper text = new PDFTextStripper();
            for (int i = 1; i <= doc.getNumberOfPages(); i++) {
                text.setStartPage(i);
                text.setEndPage(i);
                all.add(text.getText(doc));
            }
            return all;
        }
    }

    static List<String> packets() {
        return Samples.some(List.of("corrie-b1", "tansy-l3", "brindle-a2"), 1);
    }

    @ParameterizedTest
    @MethodSource("packets")
    void itLastsAndCanBeReadBack(String demo) throws Exception {
        Project p = Systems.demo(demo);
        byte[] pdf = packet(p, Packet.Paper.LETTER, UnitSystem.US);
        PdfA.check(pdf);
        List<String> pages = pages(pdf);
        String mark = DocumentMark.of(p);
        assertThat(pages).allSatisfy(t -> assertThat(t)
                .contains(
                        "document ID " + mark,
                        "A computed pass does not approve flight",
                        "page " + (pages.indexOf(t) + 1) + " of " + pages.size()));
        assertThat(pages.get(0)).contains(p.name(), "Open items", "Inspector");
        Assessment a = Assessment.of(p);
        String whole = String.join("\n", pages).replaceAll("\\s+", " ");
        long due = ration.record.upkeep.Due.of(p.upkeep(), DAY).stream()
                .filter(d -> d.verdict() == Verdict.FAILS || d.verdict() == Verdict.NOT_SHOWN)
                .count();
        assertThat(whole)
                .contains(
                        a.open() + " open" + (due == 0 ? "" : ", " + due + (due == 1 ? " part due" : " parts due"))
                                + ". The signatures below do not cover them",
                        ration.answer.signoff.Requirement.of(a, UnitSystem.US).size() + " requirements");
        for (Finding f : a.findings()) {
            assertThat(whole).contains(f.title().split(" "));
        }
        assertThat(whole).as("degrees left are no temperature").doesNotContainPattern("[-\u2212]26\\d\\.");
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            List<String> marks = new ArrayList<>();
            for (PDOutlineItem i : doc.getDocumentCatalog().getDocumentOutline().children()) {
                marks.add(i.getTitle());
            }
            assertThat(marks)
                    .contains(
                            "Drawing",
                            "Lines and fittings",
                            "Flow",
                            "Vapor",
                            "Failures",
                            "Flight",
                            "Compliance table",
                            "Test records",
                            "Maintenance",
                            "Index of evidence");
            // in black and greys
            var image = new PDFRenderer(doc).renderImageWithDPI(1, 40, ImageType.RGB);
            for (int x = 0; x < image.getWidth(); x += 3) {
                for (int y = 0; y < image.getHeight(); y += 3) {
                    int c = image.getRGB(x, y);
                    assertThat(Math.abs((c >> 16 & 255) - (c & 255))).isLessThanOrEqualTo(2);
                }
            }
        }
    }

    /**
     * Sticks of the gauges stand at true scale: the distance of two marks on paper is that on the gauge, to half a
     * millimetre.
     */
    @Test
    void gaugesAreAtTrueScale() throws IOException {
        Project p = Systems.corrie();
        byte[] pdf = packet(p, Packet.Paper.LETTER, UnitSystem.US);
        List<GaugeCard.Mark> marks = GaugeCard.marks(
                Assessment.of(p).tank("upper").orElseThrow(),
                ration.aircraft.condition.Attitude.ofDegrees("Level", 0, 0),
                UnitSystem.US);
        double[] along = new double[9];
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            PDFTextStripper stripper = new PDFTextStripper() {
                private int strips;

                @Override
                protected void writeString(String text, List<org.apache.pdfbox.text.TextPosition> at) {
                    strips += text.contains("by fills") ? 1 : 0;
                    if (strips == 1 && text.matches("[0-8]\\.0")) {
                        along[text.charAt(0) - '0'] = at.get(0).getXDirAdj();
                    }
                }
            };
            int page = 1
                    + pages(pdf)
                            .indexOf(pages(pdf).stream()
                                    .filter(t -> t.contains("Gauge of Upper tank"))
                                    .findFirst()
                                    .orElseThrow());
            stripper.setStartPage(page);
            stripper.setEndPage(page);
            stripper.getText(doc);
        }
        for (int gallons = 1; gallons <= 8; gallons++) {
            double onPaper = (along[gallons] - along[0]) / 72 * 0.0254;
            assertThat(onPaper)
                    .as(gallons + " gal")
                    .isCloseTo(
                            marks.get(gallons).reading() - marks.get(0).reading(),
                            org.assertj.core.data.Offset.offset(0.0005));
        }
    }

    /** With the outlet of its upper tank a quarter inch higher. */
    private static Project moved(Project corrie) {
        return corrie.with(corrie.system()
                .change(
                        "upper",
                        Tank.class,
                        t -> t.withOutlets(t.outlets().stream()
                                .map(o -> o.at(o.place().raised(Unit.INCH.toSi(0.25))))
                                .toList())));
    }

    /** Told against the document of the packet before: mark against mark, what was changed, which test ended. */
    @Test
    void whatChangedSinceTheLastPacketIsTold() throws IOException {
        Project corrie = Systems.corrie();
        Project moved = moved(corrie);
        byte[] pdf = Packet.of(
                        Assessment.of(moved),
                        Packet.Paper.A4,
                        UnitSystem.US,
                        DAY,
                        Task.QUIET,
                        Packet.Given.before(Optional.of(Assessment.of(corrie))))
                .orElseThrow();
        assertThat(String.join(" ", pages(pdf)).replaceAll("\\s+", " "))
                .contains(
                        "Since the packet with document ID " + DocumentMark.of(corrie),
                        "Upper tank: outlet wl was",
                        "No longer valid: Drain test of Upper tank");
    }

    /**
     * A test that no longer valid stays legible, with what ended it; a figure not measured never stands as measured.
     */
    @Test
    void whatIsStaleSaysItsCause() throws IOException {
        Project corrie = Systems.corrie();
        Project moved = moved(corrie);
        byte[] sheets = packet(corrie, Packet.Paper.A4, UnitSystem.METRIC);
        String before = String.join(" ", pages(sheets));
        String after = String.join(" ", pages(packet(moved, Packet.Paper.A4, UnitSystem.METRIC)));
        assertThat(before).doesNotContain("changed since");
        assertThat(after.replaceAll("\\s+", " "))
                .contains("tank or outlet changed since", "Fill and mark of Upper tank");
        assertThat(DocumentMark.of(moved))
                .isNotEqualTo(DocumentMark.of(corrie))
                .matches("([0-9a-f]{4} ){3}[0-9a-f]{4}");
        try (PDDocument doc = Loader.loadPDF(sheets)) {
            assertThat(doc.getPage(0).getMediaBox().getWidth()).isBetween(595f, 595.5f);
        }
    }

    /** What the window knows of failures is printed as it is: nothing is run again. */
    @Test
    void knownFailuresAreNotRunAgain() throws IOException {
        FaultAnswer one = FaultSearch.of(Systems.assessedCorrie()).get(0);
        HiddenSearch pairs = new HiddenSearch(List.of(one), List.of(), 7, 0, List.of(), true);
        Packet.Given known =
                new Packet.Given(Optional.empty(), Optional.of(List.of(one)), Optional.of(pairs), Optional.empty());
        byte[] pdf = Packet.of(Systems.assessedCorrie(), Packet.Paper.LETTER, UnitSystem.US, DAY, Task.QUIET, known)
                .orElseThrow();
        assertThat(String.join(" ", pages(pdf)).replaceAll("\\s+", " "))
                .contains("1 single failure,", "then one more; 7 pairs");
    }

    /** Each measured figure once: the places of a tank on its page, and nowhere else. */
    @Test
    void aMeasuredPlaceIsPrintedOnce() throws IOException {
        List<String> pages = pages(packet(Systems.corrie(), Packet.Paper.LETTER, UnitSystem.US));
        assertThat(pages.stream().filter(t -> t.contains("Filler neck")).count())
                .isEqualTo(Systems.corrie().system().tanks().size());
        assertThat(pages.stream().filter(t -> t.contains("Gauge bottom")).count())
                .isEqualTo(Systems.corrie().system().tanks().size());
    }

    /** A tank that does not close keeps its page: its figures, and Not shown. */
    @Test
    void aTankWithoutAnAnswerDoesNotDropOut() throws IOException {
        Project corrie = Systems.corrie();
        Project torn = corrie.with(corrie.system().change("upper", Tank.class, t -> (Tank)
                FieldSheet.of(t, "wells[0].length").orElseThrow().with().apply(t, Measured.of(0, Unit.INCH, "tape"))));
        assertThat(Assessment.of(torn).tank("upper")).isEmpty();
        List<String> pages = pages(packet(torn, Packet.Paper.LETTER, UnitSystem.US));
        assertThat(pages).anySatisfy(t -> assertThat(t)
                .contains("Upper tank", "its shape does not close", "Not shown", "Filler neck"));
    }

    @Test
    void aStoppedPacketIsNone() throws IOException {
        assertThat(Packet.of(
                        Systems.assessedCorrie(),
                        Packet.Paper.LETTER,
                        UnitSystem.US,
                        DAY,
                        new Task(s -> {}, () -> true)))
                .isEqualTo(Optional.empty());
        assertThat(Packet.of(Assessment.of(Project.empty()), Packet.Paper.LETTER, UnitSystem.US, DAY, Task.QUIET))
                .as("an empty sheet has a packet too")
                .isPresent();
    }
}
