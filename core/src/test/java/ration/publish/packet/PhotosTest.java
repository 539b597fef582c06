package ration.publish.packet;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.StreamSupport;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.paper.PdfSheet;
import ration.publish.paper.Photo;
import ration.record.evidence.HangarTest;
import ration.record.file.Attachments;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** Photographs beside a test: printed upright as they were recorded, or said not to be. */
class PhotosTest {

    @TempDir
    Path folder;

    /** Red at the left, blue at the right, twice as wide as high. */
    private static byte[] drawn(String kind, boolean clear) throws IOException {
        BufferedImage image =
                new BufferedImage(80, 40, clear ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.RED);
        g.fillRect(0, 0, 40, 40);
        g.setColor(Color.BLUE);
        g.fillRect(40, 0, clear ? 20 : 40, 40);
        g.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, kind, out);
        return out.toByteArray();
    }

    /** As a camera that was held on its side stores it. */
    private static byte[] held(byte[] jpeg, int orientation) {
        ByteBuffer exif = ByteBuffer.allocate(36);
        exif.putShort((short) 0xFFE1).putShort((short) 34).put("Exif\0\0".getBytes(StandardCharsets.US_ASCII));
        exif.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        exif.putShort((short) 1)
                .putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) orientation);
        byte[] all = new byte[jpeg.length + 36];
        System.arraycopy(jpeg, 0, all, 0, 2);
        System.arraycopy(exif.array(), 0, all, 2, 36);
        System.arraycopy(jpeg, 2, all, 38, jpeg.length - 2);
        return all;
    }

    /** Where the red half comes to stand: Exif 2.3, from memory. */
    @ParameterizedTest
    @CsvSource({"1, 10, 50, 90, 50", "3, 90, 50, 10, 50", "6, 50, 10, 50, 90", "8, 50, 90, 50, 10"})
    void itStandsAsItWasTaken(int orientation, int redX, int redY, int blueX, int blueY) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PdfSheet pdf = new PdfSheet("Photographs", 300, 300, true)) {
            pdf.newPage();
            Photo photo = pdf.photo(held(drawn("jpg", false), orientation)).orElseThrow();
            boolean wide = orientation < 5;
            assertThat(photo.width()).isEqualTo(wide ? 80 : 40);
            assertThat(photo.height()).isEqualTo(wide ? 40 : 80);
            pdf.photo(photo, "joint", 100, 60, 100, 100);
            out.write(pdf.bytes());
        }
        try (PDDocument doc = Loader.loadPDF(out.toByteArray())) {
            BufferedImage page = new PDFRenderer(doc).renderImage(0);
            assertThat(reddish(new Color(page.getRGB(100 + redX, 60 + redY)))).isTrue();
            assertThat(reddish(new Color(page.getRGB(100 + blueX, 60 + blueY)))).isFalse();
        }
    }

    private static boolean reddish(Color c) {
        assertThat(c).isNotEqualTo(Color.WHITE);
        return c.getRed() > c.getBlue();
    }

    @Test
    void spoiltBytesAreNoPhotographAndThrowNothing() throws IOException {
        try (PdfSheet pdf = new PdfSheet("Photographs", 300, 300, true)) {
            byte[] whole = held(drawn("jpg", false), 6);
            for (int length = 0; length < whole.length; length++) {
                pdf.photo(java.util.Arrays.copyOf(whole, length));
            }
            assertThat(pdf.photo("no picture".getBytes(StandardCharsets.US_ASCII)))
                    .isEmpty();
            assertThat(pdf.photo(new byte[0])).isEmpty();
            // a head that promises 40,000 by 40,000 points
            byte[] vast = drawn("png", false);
            ByteBuffer.wrap(vast).putInt(16, 40_000).putInt(20, 40_000);
            assertThat(pdf.photo(vast)).isEmpty();
        }
    }

    @Test
    void thePacketShowsWhatIsAsRecordedAndSaysOfTheRestHowItStands() throws Exception {
        Path document = folder.resolve("corrie.ration");
        List<HangarTest.Photo> files = new ArrayList<>();
        files.add(beside(document, "held.jpg", held(drawn("jpg", false), 6)));
        files.add(beside(document, "clear.png", drawn("png", true)));
        files.add(beside(document, "since.jpg", drawn("jpg", false)));
        files.add(beside(document, "gone.jpg", held(drawn("jpg", false), 3)));
        files.add(beside(document, "log.csv", "a,b".getBytes(StandardCharsets.US_ASCII)));
        Files.write(folder.resolve("since.jpg"), drawn("png", false));
        Files.delete(folder.resolve("gone.jpg"));
        Project p = Systems.demo("corrie-b1");
        HangarTest first = p.tests().get(0);
        HangarTest.Beside with = first.by().beside();
        for (HangarTest.Photo f : files) {
            with = with.with(f);
        }
        HangarTest shown = first.with(first.by().with(with));
        Project photographed =
                p.withTests(p.tests().stream().map(t -> t == first ? shown : t).toList());
        ProjectFile.save(photographed, document);
        byte[] pdf = Packet.of(
                        Assessment.of(photographed),
                        Packet.Paper.LETTER,
                        UnitSystem.US,
                        LocalDate.of(2026, 11, 26),
                        Task.QUIET,
                        Packet.Given.NOTHING.at(document))
                .orElseThrow();
        PdfA.check(pdf);
        try (PDDocument doc = Loader.loadPDF(pdf)) {
            long images = 0;
            for (var page : doc.getPages()) {
                images += StreamSupport.stream(
                                page.getResources().getXObjectNames().spliterator(), false)
                        .filter(n -> page.getResources().isImageXObject(n))
                        .count();
            }
            assertThat(images).isEqualTo(2);
            String text = new PDFTextStripper().getText(doc).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains(
                            "Attached: held.jpg, SHA-256",
                            "Attached: since.jpg; changed since it was recorded",
                            "Attached: gone.jpg; not beside the document",
                            "Attached: log.csv, SHA-256");
        }
    }

    private HangarTest.Photo beside(Path document, String name, byte[] bytes) throws IOException, ProjectFileException {
        Path file = folder.resolve(name);
        Files.write(file, bytes);
        return Attachments.attach(document, file);
    }
}
