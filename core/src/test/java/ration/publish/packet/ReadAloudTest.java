package ration.publish.packet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDMarkedContent;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.text.PDFMarkedContentExtractor;
import org.apache.pdfbox.text.TextPosition;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;

/** The packet as somebody hears it who cannot see it: titles, tables by their rows, pictures in words (ISO 32000-1). */
class ReadAloudTest {

    /** What is written under each number of a page. */
    private final Map<COSBase, Map<Integer, String>> written = new HashMap<>();

    private final List<PDStructureElement> all = new ArrayList<>();

    @Test
    void titlesTablesAndPicturesAreToldAsWhatTheyAre() throws IOException {
        byte[] pdf = Packet.of(
                        Systems.assessed("brindle-a2"),
                        Packet.Paper.LETTER,
                        UnitSystem.US,
                        LocalDate.of(2026, 11, 26),
                        Task.QUIET)
                .orElseThrow();
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            for (PDPage page : doc.getPages()) {
                PDFMarkedContentExtractor found = new PDFMarkedContentExtractor();
                found.processPage(page);
                Map<Integer, String> texts = new HashMap<>();
                found.getMarkedContents().forEach(m -> texts.put(m.getMCID(), text(m)));
                written.put(page.getCOSObject(), texts);
            }
            walk(doc.getDocumentCatalog().getStructureTreeRoot());
            List<String> bookmarks = new ArrayList<>();
            for (PDOutlineItem o : doc.getDocumentCatalog().getDocumentOutline().children()) {
                bookmarks.add(o.getTitle());
            }
            assertThat(of("H1").stream().map(this::said)).containsExactlyElementsOf(bookmarks);
            assertThat(of("Figure")).hasSizeGreaterThan(4).allSatisfy(f -> assertThat(f.getAlternateDescription())
                    .isNotBlank());
            assertThat(of("TR")).hasSizeGreaterThan(50).allSatisfy(r -> assertThat(parent(r))
                    .isEqualTo("Table"));
            assertThat(of("TD")).allSatisfy(c -> assertThat(parent(c)).isEqualTo("TR"));
            // a row is heard from left to right
            assertThat(of("TR").stream().map(this::said))
                    .anyMatch(r -> r.startsWith("23.999(a) The whole system drains"));
            // heads and feet of pages are not heard
            assertThat(said(all.get(0))).contains("Open items").doesNotContain("page 2 of", ", continued");
        }
    }

    private List<PDStructureElement> of(String type) {
        return all.stream().filter(e -> e.getStructureType().equals(type)).toList();
    }

    private static String parent(PDStructureElement of) {
        return ((PDStructureElement) of.getParent()).getStructureType();
    }

    private void walk(PDStructureNode node) {
        for (Object kid : node.getKids()) {
            if (kid instanceof PDStructureElement e) {
                all.add(e);
                walk(e);
            }
        }
    }

    private String said(PDStructureElement e) {
        StringBuilder some = new StringBuilder();
        for (Object kid : e.getKids()) {
            if (kid instanceof Integer number) {
                some.append(some.isEmpty() ? "" : " ")
                        .append(written.get(e.getPage().getCOSObject()).getOrDefault(number, ""));
            } else if (kid instanceof PDStructureElement inner) {
                some.append(some.isEmpty() ? "" : " ").append(said(inner));
            }
        }
        return some.toString();
    }

    private static String text(PDMarkedContent of) {
        StringBuilder some = new StringBuilder();
        for (Object o : of.getContents()) {
            if (o instanceof TextPosition t) {
                some.append(t.getUnicode());
            }
        }
        return some.toString();
    }
}
