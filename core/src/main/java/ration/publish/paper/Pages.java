package ration.publish.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Mark;
import ration.publish.drawing.Picture;

/**
 * Standing pages with a margin for punch holes: titles, running text, tables; each page is marked and numbered at the
 * end.
 */
public final class Pages {

    /** Margins left and right, points; left is wider for punch holes. */
    public static final double LEFT = 54;

    public static final double RIGHT = 36;
    private static final double TOP = 54;
    private static final double FOOT = 44;
    private static final double BODY = 8.5;
    private static final double LINE = 11.5;
    private static final String CAUTION =
            "Builder's measurements and results computed from them. Approves nothing. Prove flow on this"
                    + " aircraft, on the ground,";
    private static final String MORE =
            "before flight. Layout changes invalidate affected tests. Inspector, aviation authority and"
                    + " manufacturers' instructions decide.";

    private final PdfSheet pdf;
    private final double width;
    private final double height;
    private double y;

    /** Standing pages of this width and height, points. */
    public Pages(PdfSheet pdf, double width, double height) {
        this.pdf = pdf;
        this.width = width;
        this.height = height;
    }

    /**
     * A column.
     *
     * @param head of it
     * @param share of the width
     * @param text of a row
     */
    public record Column<R>(String head, double share, Function<R, String> text) {}

    /** How far down the page is written. */
    public double at() {
        return y;
    }

    /** Where the last line may stand. */
    public double foot() {
        return height - FOOT;
    }

    /** Room between the margins, points. */
    public double inside() {
        return width - LEFT - RIGHT;
    }

    /** A page with a title of its own and a bookmark. */
    public void page(String title, String detail) throws IOException {
        pdf.newPage();
        pdf.bookmark(title);
        y = TOP + 14;
        pdf.text(LEFT, y, title, 14, true, Ink.INK);
        right(y, detail, 8.5, false, Ink.SOFT);
        rule(1.2);
    }

    /** The same page goes on: another section of it. */
    public void section(String title, String detail) throws IOException {
        room(4 * LINE);
        y += 8;
        pdf.text(LEFT, y, title, 10, true, Ink.INK);
        right(y, detail, 8, false, Ink.SOFT);
        rule(0.9);
    }

    private void rule(double thick) throws IOException {
        y += 5;
        pdf.line(LEFT, y, width - RIGHT, y, thick, Ink.INK);
        y += LINE + 1;
    }

    private void right(double at, String text, double size, boolean strong, Ink ink) throws IOException {
        pdf.text(width - RIGHT - pdf.width(text, size, strong), at, text, size, strong, ink);
    }

    private boolean room(double wanted) throws IOException {
        if (y + wanted <= height - FOOT - 12) {
            return false;
        }
        pdf.newPage();
        y = TOP + 14;
        return true;
    }

    /** Running text, wrapped; goes on the next page where there is no room. */
    public void text(String words, double size, boolean strong) throws IOException {
        for (String line : pdf.wrapped(words, inside(), size, strong)) {
            room(LINE);
            pdf.text(LEFT, y, line, size, strong, Ink.INK);
            y += size + 3;
        }
    }

    /** Leaves room, points. */
    public void space(double points) {
        y += points;
    }

    /** Label and value beside each other, several a row. */
    public void facts(List<String[]> facts) throws IOException {
        double w = inside() / facts.size();
        for (int i = 0; i < facts.size(); i++) {
            pdf.text(LEFT + i * w, y, facts.get(i)[0], 8, false, Ink.SOFT);
            List<String> lines = pdf.wrapped(facts.get(i)[1], w - 8, 9, true);
            for (int l = 0; l < Math.min(2, lines.size()); l++) {
                pdf.text(LEFT + i * w, y + 12 + l * 11, lines.get(l), 9, true, Ink.INK);
            }
        }
        y += 40;
    }

    /** A notch bar at a place, points. */
    public void notch(double x, double at, double w, double ratio, ration.verdict.check.Verdict verdict)
            throws IOException {
        pdf.picture(
                new Picture(
                        w,
                        12,
                        List.of(new Picture.Piece(
                                "", Picture.Kind.SYMBOL, "", List.of(new Mark.Notch(0, 3, w, 7, ratio, verdict))))),
                x,
                at,
                1);
    }

    /** A picture between the margins, on the next page where there is no room. */
    public void picture(Picture picture) throws IOException {
        double scale = Math.min(inside() / picture.width(), (height - FOOT - 20 - y) / picture.height());
        pdf.picture(picture, LEFT, y, scale);
        y += picture.height() * scale + LINE;
    }

    /** A table that goes on from page to page under its head. */
    public <R> void table(List<Column<R>> columns, List<R> rows) throws IOException {
        table(columns, rows, r -> false);
    }

    /** @param struck rows that no longer count: grey, edged, struck through, legible */
    public <R> void table(List<Column<R>> columns, List<R> rows, Predicate<R> struck) throws IOException {
        heads(columns);
        for (R row : rows) {
            List<List<String>> cells = new ArrayList<>();
            int lines = 1;
            for (int c = 0; c < columns.size(); c++) {
                List<String> wrapped = pdf.wrapped(
                        columns.get(c).text().apply(row), columns.get(c).share() * inside() - 6, BODY, c == 0);
                cells.add(wrapped);
                lines = Math.max(lines, wrapped.size());
            }
            if (room(lines * LINE)) {
                heads(columns);
            }
            boolean stale = struck.test(row);
            if (stale) {
                pdf.box(LEFT, y - LINE + 3, inside(), lines * LINE, Ink.GRID);
                pdf.box(LEFT - 4, y - LINE + 3, 3, lines * LINE, Ink.INK);
            }
            double x = LEFT;
            for (int c = 0; c < columns.size(); c++) {
                for (int l = 0; l < cells.get(c).size(); l++) {
                    String text = cells.get(c).get(l);
                    pdf.text(x, y + l * LINE, text, BODY, c == 0, Ink.INK);
                    if (stale && c > 0 && c < columns.size() - 1 && !text.isBlank()) {
                        pdf.line(
                                x,
                                y + l * LINE - 2.8,
                                x + pdf.width(text, BODY, false),
                                y + l * LINE - 2.8,
                                0.8,
                                Ink.INK);
                    }
                }
                x += columns.get(c).share() * inside();
            }
            y += lines * LINE;
            pdf.line(LEFT, y - LINE + 4, width - RIGHT, y - LINE + 4, 0.4, Ink.EDGE);
            y += 2;
        }
        y += 6;
    }

    private <R> void heads(List<Column<R>> columns) throws IOException {
        double x = LEFT;
        for (Column<R> c : columns) {
            pdf.text(x, y, c.head(), 7.5, false, Ink.SOFT);
            x += c.share() * inside();
        }
        pdf.line(LEFT, y + 3, width - RIGHT, y + 3, 0.7, Ink.INK);
        y += LINE + 2;
    }

    /** A line to sign on. */
    public void signature(String who, String says) throws IOException {
        room(34);
        pdf.text(LEFT, y + 10, who, 9, true, Ink.INK);
        pdf.text(LEFT + 100, y + 10, says, 8.5, false, Ink.INK);
        double from = LEFT + 290;
        pdf.line(from, y + 12, width - RIGHT - 80, y + 12, 0.7, Ink.INK);
        pdf.line(width - RIGHT - 70, y + 12, width - RIGHT, y + 12, 0.7, Ink.INK);
        pdf.text(from, y + 21, "name and signature", 7.5, false, Ink.SOFT);
        pdf.text(width - RIGHT - 70, y + 21, "date", 7.5, false, Ink.SOFT);
        y += 34;
    }

    /** Name, mark, caution and number on every page. */
    public void finish(String name, String mark) throws IOException {
        int pages = pdf.pages();
        for (int i = 0; i < pages; i++) {
            pdf.backTo(i);
            pdf.text(LEFT, 34, name + "   Fuel system packet", 8, false, Ink.SOFT);
            right(34, "document ID " + mark, 8, false, Ink.SOFT);
            pdf.line(LEFT, height - FOOT, width - RIGHT, height - FOOT, 0.7, Ink.INK);
            pdf.text(LEFT, height - FOOT + 11, CAUTION, 7.5, false, Ink.INK);
            pdf.text(LEFT, height - FOOT + 20, MORE, 7.5, false, Ink.INK);
            right(height - FOOT + 20, "page " + (i + 1) + " of " + pages, 8, true, Ink.INK);
        }
    }
}
