package ration.publish.paper;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.xml.transform.TransformerException;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.util.Matrix;
import org.apache.xmpbox.XMPMetadata;
import org.apache.xmpbox.schema.PDFAIdentificationSchema;
import org.apache.xmpbox.type.BadFieldValueException;
import org.apache.xmpbox.xml.XmpSerializer;
import ration.publish.drawing.Corner;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Mark;
import ration.publish.drawing.NotchMarks;
import ration.publish.drawing.Picture;
import ration.publish.drawing.TextMeasure;

/** A PDF drawn page by page in points, y down from the top left, in the program's typeface. */
public final class PdfSheet implements Closeable {

    /** US letter, lying. */
    public static final double WIDTH = 792;

    public static final double HEIGHT = 612;
    public static final double MARGIN = 36;
    /** Letters read aloud for a picture. */
    private static final int MOST_READ = 1500;

    private final PDDocument document = new PDDocument();
    private final double width;
    /** Of the page that is drawn on. */
    private double height;

    private final boolean grey;
    private final PDFont regular;
    private final PDFont bold;
    private PDFont other;
    private final Map<Stretch, Boolean> known = new HashMap<>();
    private PDPageContentStream page;
    private PDPage sheet;
    private final Tags tags = new Tags();
    /** Whether what is drawn is a part of something that is read as one, or beside the matter. */
    private boolean whole;

    /** Something that is drawn. */
    interface Drawing {
        void draw() throws IOException;
    }

    /** A sheet of US letter, lying, in colour. */
    public PdfSheet(String title) throws IOException {
        this(title, WIDTH, HEIGHT, false);
    }

    /** @param grey whether colours are printed as greys of the same lightness */
    public PdfSheet(String title, double width, double height, boolean grey) throws IOException {
        this.width = width;
        this.height = height;
        this.grey = grey;
        regular = font("B612-Regular.ttf");
        bold = font("B612-Bold.ttf");
        document.getDocumentInformation().setTitle(title);
        document.getDocumentInformation().setCreator("Ration");
    }

    private PDFont font(String file) throws IOException {
        try (InputStream in = PdfSheet.class.getResourceAsStream(file)) {
            return PDType0Font.load(document, in, true);
        }
    }

    /** Begins a page of another height, points; the next ones are as high. */
    public void newPage(double high) throws IOException {
        height = high;
        newPage();
    }

    /** Begins a page; what is drawn next goes on it. */
    public void newPage() throws IOException {
        if (page != null) {
            page.close();
        }
        sheet = new PDPage(new PDRectangle((float) width, (float) height));
        document.addPage(sheet);
        page = new PDPageContentStream(document, sheet);
    }

    /** A box, filled. */
    public void box(double x, double y, double w, double h, Ink fill) throws IOException {
        aside(() -> {
            fillWith(fill);
            page.addRect((float) x, (float) (height - y - h), (float) w, (float) h);
            page.fill();
        });
    }

    /** What is written belongs together, and is that. */
    void as(Role role, Drawing drawing) throws IOException {
        tags.open(role, "");
        drawing.draw();
        tags.close();
    }

    /** What is written now, to be gone on with later. */
    Tags.Open now() {
        return tags.now();
    }

    /** Goes on with something that was left open. */
    void goOn(Tags.Open with, Drawing drawing) throws IOException {
        tags.reopen(with);
        drawing.draw();
        tags.close();
    }

    /** Lines, grounds, heads of pages: not read aloud. */
    void aside(Drawing drawing) throws IOException {
        if (whole) {
            drawing.draw();
            return;
        }
        whole = true;
        page.beginMarkedContent(COSName.ARTIFACT);
        drawing.draw();
        page.endMarkedContent();
        whole = false;
    }

    private void read(Role role, String alternative, Drawing drawing) throws IOException {
        if (whole) {
            drawing.draw();
            return;
        }
        whole = true;
        if (!alternative.isEmpty()) {
            tags.open(role, alternative);
        }
        page.beginMarkedContent(COSName.getPDFName(role.word()), tags.mark(sheet));
        drawing.draw();
        page.endMarkedContent();
        if (!alternative.isEmpty()) {
            tags.close();
        }
        whole = false;
    }

    /** Pages begun so far. */
    public int pages() {
        return document.getNumberOfPages();
    }

    /** Goes back to a page that is there already, to write on it. */
    public void backTo(int number) throws IOException {
        if (page != null) {
            page.close();
        }
        sheet = document.getPage(number);
        height = sheet.getMediaBox().getHeight();
        page = new PDPageContentStream(document, sheet, PDPageContentStream.AppendMode.APPEND, true, true);
    }

    /** A bookmark to the page that was begun last. */
    public void bookmark(String title) {
        PDDocumentOutline outline = document.getDocumentCatalog().getDocumentOutline();
        if (outline == null) {
            outline = new PDDocumentOutline();
            document.getDocumentCatalog().setDocumentOutline(outline);
        }
        PDOutlineItem item = new PDOutlineItem();
        item.setTitle(title);
        item.setDestination(document.getPage(document.getNumberOfPages() - 1));
        outline.addLast(item);
    }

    /** Makes it last: PDF/A-2a (ISO 19005-2), its colours with the primaries of sRGB. */
    public void lasting(String title) throws IOException {
        XMPMetadata xmp = XMPMetadata.createXMPMetadata();
        try {
            PDFAIdentificationSchema id = xmp.createAndAddPDFAIdentificationSchema();
            id.setPart(2);
            id.setConformance("A");
            xmp.createAndAddDublinCoreSchema().setTitle(title);
            xmp.createAndAddXMPBasicSchema().setCreatorTool("Ration");
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            new XmpSerializer().serialize(xmp, out, true);
            PDMetadata metadata = new PDMetadata(document);
            metadata.importXMPMetadata(out.toByteArray());
            document.getDocumentCatalog().setMetadata(metadata);
        } catch (BadFieldValueException | TransformerException e) {
            throw new IOException("The metadata cannot be written", e);
        }
        PDOutputIntent intent = new PDOutputIntent(document, new ByteArrayInputStream(RgbProfile.bytes()));
        intent.setInfo("RGB, primaries of sRGB");
        intent.setOutputConditionIdentifier("Custom");
        document.getDocumentCatalog().addOutputIntent(intent);
    }

    /** The finished document; nothing can be drawn after. */
    public byte[] bytes() throws IOException {
        if (page != null) {
            page.close();
            page = null;
        }
        tags.finish(document);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }

    /** A stretch of a text that one font draws. */
    private record Stretch(PDFont font, String text) {}

    /**
     * A text as it is drawn: what the typeface lacks by another that has it, and what neither has by its number, so
     * that two names never come out alike. Control characters are left out.
     */
    private List<Stretch> stretches(String text, boolean strong) throws IOException {
        List<Stretch> all = new ArrayList<>();
        StringBuilder some = new StringBuilder();
        PDFont now = null;
        for (int c : text.codePoints().toArray()) {
            String one = c == 0x2192 ? "to" : Character.isISOControl(c) ? "" : new String(Character.toChars(c));
            PDFont font = strong ? bold : regular;
            if (!has(font, one)) {
                font = c == 0x2212 ? font : other();
                one = c == 0x2212 ? "-" : has(font, one) ? one : String.format(java.util.Locale.ROOT, "[U+%04X]", c);
            }
            if (font != now && !some.isEmpty()) {
                all.add(new Stretch(now, some.toString()));
                some.setLength(0);
            }
            now = font;
            some.append(one);
        }
        if (!some.isEmpty()) {
            all.add(new Stretch(now, some.toString()));
        }
        return all;
    }

    /** The font for scripts that the typeface lacks; it is in the document only where it is used. */
    private PDFont other() throws IOException {
        if (other == null) {
            other = font("DejaVuSans.ttf");
        }
        return other;
    }

    private boolean has(PDFont font, String one) {
        return one.isEmpty()
                || known.computeIfAbsent(new Stretch(font, one), s -> {
                    try {
                        s.font().encode(s.text());
                        return true;
                    } catch (IOException | IllegalArgumentException e) {
                        return false;
                    }
                });
    }

    /** Width of a text, points. */
    public double width(String text, double size, boolean strong) {
        try {
            double sum = 0;
            for (Stretch s : stretches(text, strong)) {
                sum += s.font().getStringWidth(s.text());
            }
            return sum / 1000 * size;
        } catch (IOException e) {
            return TextMeasure.approximate().width(text, size, strong);
        }
    }

    /** Lines no wider than a room; a word that is wider stands alone. */
    public List<String> wrapped(String text, double room, double size, boolean strong) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(longer, size, strong) > room) {
                lines.add(line.toString());
                line = new StringBuilder(word);
            } else {
                line = new StringBuilder(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** Measures texts as they will be drawn, points. */
    public TextMeasure measure() {
        return this::width;
    }

    /** One line of text standing on y, points. */
    public void text(double x, double y, String text, double size, boolean strong, Ink ink) throws IOException {
        if (!text.isBlank()) {
            read(Role.TEXT, "", () -> letters(x, y, text, size, strong, ink));
        }
    }

    private void letters(double x, double y, String text, double size, boolean strong, Ink ink) throws IOException {
        page.beginText();
        fillWith(ink);
        page.setRenderingMode(RenderingMode.FILL);
        page.newLineAtOffset((float) x, (float) (height - y));
        for (Stretch s : stretches(text, strong)) {
            page.setFont(s.font(), (float) size);
            page.showText(s.text());
        }
        page.endText();
    }

    /** A straight line, points. */
    public void line(double x1, double y1, double x2, double y2, double width, Ink ink) throws IOException {
        aside(() -> {
            strokeWith(ink);
            page.setLineWidth((float) width);
            page.setLineDashPattern(new float[0], 0);
            page.moveTo((float) x1, (float) (height - y1));
            page.lineTo((float) x2, (float) (height - y2));
            page.stroke();
        });
    }

    /** An empty box to write or tick in. */
    public void frame(double x, double top, double wide, double high, double width) throws IOException {
        line(x, top, x + wide, top, width, Ink.INK);
        line(x, top + high, x + wide, top + high, width, Ink.INK);
        line(x, top, x, top + high, width, Ink.INK);
        line(x + wide, top, x + wide, top + high, width, Ink.INK);
    }

    private void fillWith(Ink ink) throws IOException {
        float[] c = colour(ink);
        page.setNonStrokingColor(c[0], c[1], c[2]);
    }

    private void strokeWith(Ink ink) throws IOException {
        float[] c = colour(ink);
        page.setStrokingColor(c[0], c[1], c[2]);
    }

    private float[] colour(Ink ink) {
        float r = part(ink, 1);
        float g = part(ink, 3);
        float b = part(ink, 5);
        float light = 0.2126f * r + 0.7152f * g + 0.0722f * b;
        return grey ? new float[] {light, light, light} : new float[] {r, g, b};
    }

    private static float part(Ink ink, int at) {
        return Integer.parseInt(ink.hex().substring(at, at + 2), 16) / 255f;
    }

    /** A picture scaled into a place on the page. */
    public void picture(Picture picture, double x, double y, double scale) throws IOException {
        String words = picture.pieces().stream()
                .map(Picture.Piece::words)
                .filter(w -> !w.isBlank())
                .distinct()
                .collect(Collectors.joining("; "));
        if (words.isEmpty()) {
            aside(() -> marks(picture, x, y, scale));
        } else {
            read(
                    Role.FIGURE,
                    words.length() > MOST_READ ? words.substring(0, MOST_READ) + "\u2026" : words,
                    () -> marks(picture, x, y, scale));
        }
    }

    private void marks(Picture picture, double x, double y, double scale) throws IOException {
        Placed placed = new Placed(x, y, scale, height);
        page.saveGraphicsState();
        page.addRect(
                (float) x, (float) (height - y - picture.height() * scale), (float) (picture.width() * scale), (float)
                        (picture.height() * scale));
        page.clip();
        for (Picture.Piece piece : picture.pieces()) {
            for (Mark mark : piece.marks()) {
                draw(mark, placed);
            }
        }
        page.restoreGraphicsState();
    }

    /**
     * A photograph, to be printed as often as wanted; empty where it is none of the kinds that can be printed, or is
     * made for a press.
     *
     * @param bytes of a JPEG or PNG file
     */
    public Optional<Photo> photo(byte[] bytes) {
        if (!Photo.bounded(bytes)) {
            return Optional.empty();
        }
        try {
            PDImageXObject image = PDImageXObject.createFromByteArray(document, bytes, "");
            // four inks: the colours of this paper are three
            return image.getColorSpace().getNumberOfComponents() > 3
                    ? Optional.empty()
                    : Optional.of(new Photo(image, Photo.turns(bytes)));
        } catch (IOException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /**
     * A photograph upright in a place on the page.
     *
     * @param name read aloud for it
     */
    public void photo(Photo photo, String name, double x, double y, double w, double h) throws IOException {
        Matrix place =
                switch (photo.turns()) {
                    case 1 -> new Matrix(0, (float) -h, (float) w, 0, (float) x, (float) (height - y));
                    case 2 -> new Matrix((float) -w, 0, 0, (float) -h, (float) (x + w), (float) (height - y));
                    case 3 -> new Matrix(0, (float) h, (float) -w, 0, (float) (x + w), (float) (height - y - h));
                    default -> new Matrix((float) w, 0, 0, (float) h, (float) x, (float) (height - y - h));
                };
        read(Role.FIGURE, name, () -> page.drawImage(photo.image(), place));
    }

    /** Where a picture stands on the page. */
    private record Placed(double left, double top, double scale, double sheet) {
        float x(double v) {
            return (float) (left + v * scale);
        }

        float y(double v) {
            return (float) (sheet - top - v * scale);
        }
    }

    private void draw(Mark mark, Placed at) throws IOException {
        if (mark instanceof Mark.Notch notch) {
            for (Mark m : NotchMarks.of(notch)) {
                draw(m, at);
            }
        } else if (mark instanceof Mark.Label label) {
            double w = width(label.text(), label.size(), label.bold());
            double x = label.x()
                    - (label.anchor() == Mark.Anchor.START ? 0 : label.anchor() == Mark.Anchor.MIDDLE ? w / 2 : w);
            text(at.x(x), height - at.y(label.y()), label.text(), label.size() * at.scale(), label.bold(), label.ink());
        } else if (invisible(mark)) {
            return;
        } else if (mark instanceof Mark.Path path && !path.spots().isEmpty()) {
            way(path, at);
            paint(path.fill(), path.pen(), path.closed(), at);
        } else if (mark instanceof Mark.Box box) {
            rectangle(box, at);
            paint(box.fill(), box.pen(), true, at);
        } else if (mark instanceof Mark.Disc disc) {
            circle(disc, at);
            paint(disc.fill(), disc.pen(), true, at);
        }
    }

    /** Neither filled nor drawn: an unpainted path may not be left open in a PDF. */
    private static boolean invisible(Mark mark) {
        if (mark instanceof Mark.Path path) {
            return !(path.closed() && path.fill() != Ink.NONE) && unseen(path.pen());
        }
        return mark instanceof Mark.Box box
                ? box.fill() == Ink.NONE && unseen(box.pen())
                : mark instanceof Mark.Disc disc && disc.fill() == Ink.NONE && unseen(disc.pen());
    }

    private static boolean unseen(Mark.Pen pen) {
        return pen.ink() == Ink.NONE || pen.width() == 0;
    }

    private void way(Mark.Path path, Placed at) throws IOException {
        List<Mark.Spot> spots = path.spots();
        page.moveTo(at.x(spots.get(0).x()), at.y(spots.get(0).y()));
        Mark.Spot last = spots.get(0);
        for (int i = 1; i < spots.size(); i++) {
            Mark.Spot s = spots.get(i);
            if (path.corner() > 0 && !path.closed() && i + 1 < spots.size()) {
                Corner c = Corner.of(spots.get(i - 1), s, spots.get(i + 1), path.corner());
                page.lineTo(at.x(c.in().x()), at.y(c.in().y()));
                curve(c.in(), s, c.out(), at);
                last = c.out();
            } else {
                page.lineTo(at.x(s.x()), at.y(s.y()));
                last = s;
            }
        }
        if (path.closed() && last != null) {
            page.closePath();
        }
    }

    /** A quadratic curve as the cubic it equals. */
    private void curve(Mark.Spot a, Mark.Spot b, Mark.Spot c, Placed at) throws IOException {
        page.curveTo(
                at.x(a.x() + (b.x() - a.x()) * 2 / 3),
                at.y(a.y() + (b.y() - a.y()) * 2 / 3),
                at.x(c.x() + (b.x() - c.x()) * 2 / 3),
                at.y(c.y() + (b.y() - c.y()) * 2 / 3),
                at.x(c.x()),
                at.y(c.y()));
    }

    private void rectangle(Mark.Box box, Placed at) throws IOException {
        double w = Math.max(0, box.width());
        double h = Math.max(0, box.height());
        double r = Math.min(box.corner(), Math.min(w, h) / 2);
        if (r <= 0) {
            page.addRect(at.x(box.x()), at.y(box.y() + h), (float) (w * at.scale()), (float) (h * at.scale()));
            return;
        }
        List<Mark.Spot> corners = List.of(
                new Mark.Spot(box.x(), box.y()),
                new Mark.Spot(box.x() + w, box.y()),
                new Mark.Spot(box.x() + w, box.y() + h),
                new Mark.Spot(box.x(), box.y() + h));
        for (int i = 0; i < 4; i++) {
            Corner c = Corner.of(corners.get((i + 3) % 4), corners.get(i), corners.get((i + 1) % 4), r);
            if (i == 0) {
                page.moveTo(at.x(c.in().x()), at.y(c.in().y()));
            } else {
                page.lineTo(at.x(c.in().x()), at.y(c.in().y()));
            }
            curve(c.in(), corners.get(i), c.out(), at);
        }
        page.closePath();
    }

    private void circle(Mark.Disc disc, Placed at) throws IOException {
        double k = 0.5522847498 * disc.radius();
        double r = disc.radius();
        double x = disc.centre().x();
        double y = disc.centre().y();
        page.moveTo(at.x(x + r), at.y(y));
        page.curveTo(at.x(x + r), at.y(y + k), at.x(x + k), at.y(y + r), at.x(x), at.y(y + r));
        page.curveTo(at.x(x - k), at.y(y + r), at.x(x - r), at.y(y + k), at.x(x - r), at.y(y));
        page.curveTo(at.x(x - r), at.y(y - k), at.x(x - k), at.y(y - r), at.x(x), at.y(y - r));
        page.curveTo(at.x(x + k), at.y(y - r), at.x(x + r), at.y(y - k), at.x(x + r), at.y(y));
        page.closePath();
    }

    private void paint(Ink fill, Mark.Pen pen, boolean closed, Placed at) throws IOException {
        boolean filled = fill != Ink.NONE && closed;
        boolean drawn = pen.ink() != Ink.NONE && pen.width() > 0;
        if (filled) {
            fillWith(fill);
        }
        if (drawn) {
            strokeWith(pen.ink());
            page.setLineWidth((float) (pen.width() * at.scale()));
            page.setLineJoinStyle(1);
            float[] dashes = new float[pen.dashes().size()];
            for (int i = 0; i < dashes.length; i++) {
                dashes[i] = (float) (pen.dashes().get(i) * at.scale());
            }
            page.setLineDashPattern(dashes, 0);
        }
        if (filled && drawn) {
            page.fillAndStroke();
        } else if (filled) {
            page.fill();
        } else if (drawn) {
            page.stroke();
        }
    }
}
