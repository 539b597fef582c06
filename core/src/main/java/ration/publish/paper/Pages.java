package ration.publish.paper;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Mark;
import ration.publish.drawing.Picture;
import ration.verdict.check.Verdict;

/**
 * Standing pages with a margin for punch holes: titles, running text, tables, pictures; two things may stand beside
 * each other. What has no room goes on the next page under its title; each page is marked and numbered at the end.
 */
public final class Pages {

    /** Margins left and right, points; left is wider for punch holes. */
    public static final double LEFT = 54;

    public static final double RIGHT = 36;
    private static final double TOP = 58;
    private static final double FOOT = 44;
    private static final double BODY = 8;
    private static final double UNDER = 7.2;
    private static final double LINE = 10.6;
    /** Left of a page, points: a section begins on the next one. */
    private static final double LITTLE = 62;

    /** Letters of the longest figure with its unit. */
    private static final int FIGURE = 14;
    /** Photographs beside each other, and the height of the tallest, points. */
    private static final int ABREAST = 3;

    private static final double TALLEST = 150;
    /** From a bar to the words beside it. */
    private static final double BESIDE = 5;

    private static final String CAUTION = "A computed pass does not approve flight. Your inspector, the aviation"
            + " authority and the manufacturers' instructions decide.";
    private static final String MORE = "Prove fuel flow on this aircraft, on the ground, before flight. Any change to"
            + " the layout invalidates the tests it affects.";

    private final PdfSheet pdf;
    private final double width;
    private final double height;
    private final Map<String, Integer> begun = new HashMap<>();
    private final List<Owed> owed = new ArrayList<>();
    private double left = LEFT;
    private double wide;
    private double y;
    private boolean beside;
    private String title = "";

    /** A number of a page that is not known yet. */
    private record Owed(int page, double right, double y, String key, Tags.Open cell) {}

    /** Something that is written where the pages stand. */
    public interface Part {
        void write() throws IOException;
    }

    /** What stands at the head of every page. */
    public record Identity(String name, String what, String of, String mark) {}

    /** Standing pages of this width and height, points. */
    public Pages(PdfSheet pdf, double width, double height) {
        this.pdf = pdf;
        this.width = width;
        this.height = height;
        wide = width - LEFT - RIGHT;
    }

    /** How far down the page is written. */
    public double at() {
        return y;
    }

    /** Where the last line may stand. */
    public double foot() {
        return height - FOOT - 12;
    }

    /** Where what is written begins. */
    public double left() {
        return left;
    }

    /** Room between the margins, or of the half that is written. */
    public double inside() {
        return wide;
    }

    private double end() {
        return left + wide;
    }

    /** A page with a title of its own and a bookmark. */
    public void page(String title, String detail) throws IOException {
        page(title, title, Optional.empty(), detail);
    }

    /**
     * @param key by which other pages name this one
     * @param worst verdict on it
     */
    public void page(String key, String title, Optional<Verdict> worst, String detail) throws IOException {
        pdf.newPage();
        pdf.bookmark(title);
        begun.put(key, pdf.pages());
        this.title = title;
        y = TOP + 14;
        pdf.as(Role.TITLE, () -> pdf.text(left, y, title, 14, true, Ink.INK));
        double used = pdf.width(title, 14, true) + 12;
        if (worst.isPresent()) {
            Cell.State s = Cell.state(barOf(worst.get()), worst.get());
            state(left + used, y, s, 9);
            used += s.bar() + BESIDE + pdf.width(s.words(), 9, true) + 12;
        }
        tail(detail, 8, used);
        rule(1.2);
    }

    private static double barOf(Verdict v) {
        return switch (v) {
            case HOLDS -> 1.5;
            case THIN -> 1 + Verdict.THIN_SHARE / 2;
            case FAILS, NOT_SHOWN -> 0.5;
        };
    }

    /** The page goes on, or where little of it is left the next one does: another section. */
    public void section(String title, String detail) throws IOException {
        section(title, detail, LITTLE);
    }

    /** @param wanted what has to stand on the same page as its head, points */
    public void section(String title, String detail, double wanted) throws IOException {
        room(Math.max(LITTLE, Math.min(wanted, foot() - TOP - 40)));
        y += 7;
        pdf.as(Role.SECTION, () -> pdf.text(left, y, title, 9.75, true, Ink.INK));
        tail(detail, 7.5, pdf.width(title, 9.75, true) + 12);
        rule(0.8);
    }

    /** To the right of a title, on its line; under it where that is too short. */
    private void tail(String detail, double size, double used) throws IOException {
        if (detail.isEmpty()) {
            return;
        }
        if (pdf.width(detail, size, false) <= wide - used) {
            right(y, detail, size, false, Ink.SOFT);
            return;
        }
        for (String line : pdf.wrapped(detail, wide, size, false)) {
            y += size + 3;
            pdf.text(left, y, line, size, false, Ink.SOFT);
        }
    }

    private void rule(double thick) throws IOException {
        y += 4.5;
        pdf.line(left, y, end(), y, thick, Ink.INK);
        y += LINE;
    }

    private void right(double at, String text, double size, boolean strong, Ink ink) throws IOException {
        pdf.text(end() - pdf.width(text, size, strong), at, text, size, strong, ink);
    }

    /** Goes to the next page unless so much has room, points; whether it did. */
    public boolean room(double wanted) throws IOException {
        if (beside || y + wanted <= foot()) {
            return false;
        }
        pdf.newPage();
        y = TOP + 12;
        pdf.aside(() -> pdf.text(left, y, title + ", continued", 10, false, Ink.SOFT));
        rule(0.8);
        return true;
    }

    /** Running text, wrapped; goes on the next page where there is no room. */
    public void text(String words, double size, boolean strong) throws IOException {
        text(words, size, strong, Ink.INK);
    }

    /** A remark under what it is about. */
    public void note(String words) throws IOException {
        text(words, 7.5, false, Ink.SOFT);
    }

    private void text(String words, double size, boolean strong, Ink ink) throws IOException {
        pdf.as(Role.TEXT, () -> {
            for (String line : pdf.wrapped(words, wide, size, strong)) {
                room(LINE);
                pdf.text(left, y, line, size, strong, ink);
                y += size + 3;
            }
        });
    }

    /** Leaves room, points. */
    public void space(double points) {
        y += points;
    }

    /** Two things beside each other, which do not part; the first has this share of the width. */
    public void beside(double share, Part first, Part second) throws IOException {
        halves(share, 16, List.of(first, second));
    }

    /** Several of one width beside each other, which do not part. */
    public void beside(List<Part> parts) throws IOException {
        halves(1.0 / parts.size(), 14, parts);
    }

    private void halves(double share, double gap, List<Part> parts) throws IOException {
        double top = y;
        double lowest = y;
        double from = left;
        double all = wide;
        boolean was = beside;
        beside = true;
        double inside = all - gap * (parts.size() - 1);
        for (int i = 0; i < parts.size(); i++) {
            wide = parts.size() == 2 ? inside * (i == 0 ? share : 1 - share) : inside / parts.size();
            y = top;
            parts.get(i).write();
            lowest = Math.max(lowest, y);
            left += wide + gap;
        }
        beside = was;
        left = from;
        wide = all;
        y = lowest;
    }

    /** Label and value beside each other, several a row. */
    public void facts(List<String[]> facts) throws IOException {
        double w = wide / facts.size();
        int most = 1;
        for (int i = 0; i < facts.size(); i++) {
            pdf.text(left + i * w, y, facts.get(i)[0], 7.5, false, Ink.SOFT);
            List<String> lines = pdf.wrapped(facts.get(i)[1], w - 8, 8.5, true);
            most = Math.max(most, Math.min(3, lines.size()));
            for (int l = 0; l < Math.min(3, lines.size()); l++) {
                pdf.text(left + i * w, y + 11 + l * 10.5, lines.get(l), 8.5, true, Ink.INK);
            }
        }
        y += 16 + most * 10.5;
    }

    /**
     * A figure with its bar in the width there is.
     *
     * @param needs beside its name
     * @param where under the bar
     */
    public void figure(String name, String needs, String figure, Cell.State state, String where) throws IOException {
        pdf.text(left, y, name, 8, true, Ink.INK);
        pdf.text(left + pdf.width(name, 8, true) + 5, y, needs, 7.2, false, Ink.SOFT);
        pdf.text(left, y + 17, figure, 13, true, Ink.INK);
        right(y + 17, state.verdict().word(), 8.5, true, Ink.INK);
        notch(left, y + 22, wide, state.ratio(), state.verdict());
        y += 43;
        for (String line : pdf.wrapped(where, wide, UNDER, false)) {
            pdf.text(left, y, line, UNDER, false, Ink.SOFT);
            y += 9;
        }
    }

    /** A notch bar at a place, points. */
    public void notch(double x, double at, double w, double ratio, Verdict verdict) throws IOException {
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

    private void state(double x, double base, Cell.State s, double size) throws IOException {
        notch(x, base - 9.5, s.bar(), s.ratio(), s.verdict());
        pdf.text(x + s.bar() + BESIDE, base, s.words(), size, true, Ink.INK);
    }

    /** A picture as wide as there is room, on the next page where it has none. */
    public void picture(Picture picture) throws IOException {
        double most = foot() - TOP - 40;
        double scale = Math.min(wide / picture.width(), most / picture.height());
        room(picture.height() * scale);
        pdf.picture(picture, left, y - LINE + 2, scale);
        y += picture.height() * scale + 4;
    }

    /** Photographs, a few beside each other, each with its name below. */
    public void photos(List<Photo> photos, List<String> names) throws IOException {
        double gap = 8;
        double each = (wide - gap * (ABREAST - 1)) / ABREAST;
        for (int from = 0; from < photos.size(); from += ABREAST) {
            List<Photo> row = photos.subList(from, Math.min(photos.size(), from + ABREAST));
            double[] high = row.stream()
                    .mapToDouble(p -> Math.min(TALLEST, each * p.height() / p.width()))
                    .toArray();
            double most = Arrays.stream(high).max().orElse(0);
            room(most + 2 * LINE);
            for (int i = 0; i < row.size(); i++) {
                double x = left + i * (each + gap);
                pdf.photo(
                        row.get(i),
                        names.get(from + i),
                        x,
                        y - LINE + 2,
                        high[i] * row.get(i).width() / row.get(i).height(),
                        high[i]);
                pdf.text(
                        x,
                        y + high[i] + 2,
                        pdf.wrapped(names.get(from + i), each, 7.5, false).get(0),
                        7.5,
                        false,
                        Ink.SOFT);
            }
            y += most + 2 * LINE;
        }
    }

    /** Texts of pictures are measured by it. */
    public PdfSheet sheet() {
        return pdf;
    }

    /** A table that goes on from page to page under its head. */
    public <R> void table(List<Column<R>> columns, List<R> rows) throws IOException {
        table(columns, rows, r -> false);
    }

    /** @param marked rows that stand out: shaded, with an edge; of those that no longer count */
    public <R> void table(List<Column<R>> columns, List<R> rows, Predicate<R> marked) throws IOException {
        List<List<Cell>> cells = new ArrayList<>();
        for (R row : rows) {
            cells.add(columns.stream().map(c -> c.cell().apply(row)).toList());
        }
        double[] widths = widths(columns, cells);
        // a head never stands alone at the foot
        room(3 * LINE);
        pdf.as(Role.TABLE, () -> {
            heads(columns, widths, true);
            for (int r = 0; r < rows.size(); r++) {
                row(columns, widths, cells.get(r), marked.test(rows.get(r)));
            }
        });
        y += 5;
    }

    private <R> double[] widths(List<Column<R>> columns, List<List<Cell>> rows) {
        double[] least = new double[columns.size()];
        double[] heads = new double[columns.size()];
        boolean[] figures = new boolean[columns.size()];
        boolean[] fixed = new boolean[columns.size()];
        double[][][] all = new double[rows.size()][columns.size()][2];
        for (int c = 0; c < columns.size(); c++) {
            figures[c] = columns.get(c).figures();
            heads[c] = pdf.width(columns.get(c).head(), 7.5, false);
            least[c] = longest(columns.get(c).head(), 7.5, false);
            for (int r = 0; r < rows.size(); r++) {
                Cell cell = rows.get(r).get(c);
                if (cell instanceof Cell.Text t) {
                    all[r][c][0] = pdf.width(t.words(), BODY, t.strong());
                    all[r][c][1] = t.under().isEmpty() ? 0 : pdf.width(t.under(), UNDER, false);
                    // a figure and its unit stay together
                    double words = figures[c] && t.words().length() <= FIGURE
                            ? all[r][c][0]
                            : longest(t.words(), BODY, t.strong());
                    least[c] = Math.max(least[c], Math.max(words, longest(t.under(), UNDER, false)));
                } else {
                    fixed[c] = true;
                    all[r][c][0] = cell instanceof Cell.State s
                            ? s.bar() + BESIDE + pdf.width(s.words(), BODY, true)
                            : cell instanceof Cell.Blank ? 50 : 18;
                    least[c] = Math.max(least[c], all[r][c][0]);
                }
            }
        }
        return Widths.of(all, heads, least, figures, fixed, wide);
    }

    private double longest(String text, double size, boolean strong) {
        double most = 0;
        for (String word : text.split(" ")) {
            most = Math.max(most, pdf.width(word, size, strong));
        }
        return most;
    }

    /** @param read whether they are read aloud: once for all pages of a table */
    private <R> void heads(List<Column<R>> columns, double[] widths, boolean read) throws IOException {
        if (columns.stream().allMatch(c -> c.head().isEmpty())) {
            return;
        }
        if (read) {
            pdf.as(Role.ROW, () -> heads(columns, widths));
        } else {
            pdf.aside(() -> heads(columns, widths));
        }
    }

    private <R> void heads(List<Column<R>> columns, double[] widths) throws IOException {
        List<List<String>> lines = new ArrayList<>();
        int most = 1;
        for (int c = 0; c < columns.size(); c++) {
            lines.add(pdf.wrapped(columns.get(c).head(), widths[c] + 0.01, 7.5, false));
            most = Math.max(most, lines.get(c).size());
        }
        double x = left;
        for (int c = 0; c < columns.size(); c++) {
            List<String> head = lines.get(c);
            double right = x + widths[c];
            double from = x;
            double top = y + (most - head.size()) * 9;
            boolean figures = columns.get(c).figures();
            pdf.as(Role.HEAD, () -> {
                for (int l = 0; l < head.size(); l++) {
                    double at = figures ? right - pdf.width(head.get(l), 7.5, false) : from;
                    pdf.text(at, top + l * 9, head.get(l), 7.5, false, Ink.SOFT);
                }
            });
            x += widths[c] + Widths.GAP;
        }
        y += (most - 1) * 9;
        pdf.line(left, y + 3.5, end(), y + 3.5, 0.6, Ink.INK);
        y += LINE + 2;
    }

    private <R> void row(List<Column<R>> columns, double[] widths, List<Cell> row, boolean marked) throws IOException {
        List<List<String>> words = new ArrayList<>();
        List<List<String>> under = new ArrayList<>();
        double high = LINE;
        for (int c = 0; c < row.size(); c++) {
            Cell.Text t = row.get(c) instanceof Cell.Text some ? some : Cell.of("");
            words.add(pdf.wrapped(t.words(), widths[c] + 0.01, BODY, t.strong()));
            under.add(t.under().isEmpty() ? List.of() : pdf.wrapped(t.under(), widths[c] + 0.01, UNDER, false));
            high = Math.max(high, lines(t, words.get(c)) * LINE + under.get(c).size() * 9);
        }
        if (room(high)) {
            heads(columns, widths, false);
        }
        if (marked) {
            pdf.box(left, y - LINE + 2.6, wide, high + 1, Ink.GRID);
            pdf.box(left - 4, y - LINE + 2.6, 3, high + 1, Ink.INK);
        }
        pdf.as(Role.ROW, () -> {
            double x = left;
            for (int c = 0; c < row.size(); c++) {
                double from = x;
                double w = widths[c];
                Cell cell = row.get(c);
                List<String> lines = words.get(c);
                List<String> below = under.get(c);
                boolean figures = columns.get(c).figures();
                pdf.as(Role.CELL, () -> cell(cell, lines, below, from, w, figures));
                x += w + Widths.GAP;
            }
        });
        y += high;
        pdf.line(left, y - LINE + 3.6, end(), y - LINE + 3.6, 0.35, Ink.EDGE);
        y += 1.6;
    }

    private void cell(Cell cell, List<String> lines, List<String> under, double x, double w, boolean figures)
            throws IOException {
        if (cell instanceof Cell.State s) {
            state(x, y, s, BODY);
        } else if (cell instanceof Cell.PageOf p) {
            owed.add(new Owed(pdf.pages() - 1, x + w, y, p.key(), pdf.now()));
        } else if (cell instanceof Cell.Blank) {
            pdf.line(x, y + 2, x + w, y + 2, 0.5, Ink.INK);
        } else if (cell instanceof Cell.Text t) {
            words(t, lines, under, x, w, figures);
        }
    }

    /** Lines of words; none where only soft ones stand there. */
    private static int lines(Cell.Text t, List<String> wrapped) {
        return t.words().isEmpty() && !t.under().isEmpty() ? 0 : wrapped.size();
    }

    private void words(Cell.Text t, List<String> lines, List<String> under, double x, double w, boolean figures)
            throws IOException {
        double at = lines(t, lines) == 0 ? y - LINE + 1.4 : y;
        for (String line : lines) {
            double wideLine = pdf.width(line, BODY, t.strong());
            double from = figures ? x + w - wideLine : x;
            pdf.text(from, at, line, BODY, t.strong(), Ink.INK);
            if (t.struck() && !line.isBlank()) {
                pdf.line(from, at - 2.7, from + wideLine, at - 2.7, 0.8, Ink.INK);
            }
            at += LINE;
        }
        for (String line : under) {
            pdf.text(x, at - 1.4, line, UNDER, false, Ink.SOFT);
            at += 9;
        }
    }

    /** A line to sign on. */
    public void signature(String who, String says) throws IOException {
        room(28);
        pdf.text(left, y + 10, who, 8.5, true, Ink.INK);
        List<String> lines = pdf.wrapped(says, 205, 7.5, false);
        for (int l = 0; l < lines.size(); l++) {
            pdf.text(left + 78, y + 10 + l * 9, lines.get(l), 7.5, false, Ink.INK);
        }
        double from = left + 296;
        pdf.line(from, y + 12, end() - 76, y + 12, 0.6, Ink.INK);
        pdf.line(end() - 66, y + 12, end(), y + 12, 0.6, Ink.INK);
        pdf.text(from, y + 20, "name and signature", 7.2, false, Ink.SOFT);
        pdf.text(end() - 66, y + 20, "date", 7.2, false, Ink.SOFT);
        y += 29;
    }

    /** Words that no reader passes over: in a box with a heavy edge. */
    public void warning(String strong, String words) throws IOException {
        List<String> lines = pdf.wrapped(strong + " " + words, wide - 20, BODY, false);
        double high = lines.size() * LINE + 8;
        room(high);
        pdf.box(left, y - LINE + 2, wide, high, Ink.GRID);
        pdf.box(left, y - LINE + 2, 4, high, Ink.INK);
        double at = y + 3.5;
        for (String line : lines) {
            boolean first = line.equals(lines.get(0)) && line.startsWith(strong);
            pdf.text(left + 12, at, first ? strong : line, BODY, first, Ink.INK);
            if (first) {
                pdf.text(
                        left + 12 + pdf.width(strong + " ", BODY, true),
                        at,
                        line.substring(strong.length()).strip(),
                        BODY,
                        false,
                        Ink.INK);
            }
            at += LINE;
        }
        y += high + 4;
    }

    /** Name, mark, caution and number on every page, and the numbers that other pages name. */
    public void finish(Identity id) throws IOException {
        int pages = pdf.pages();
        for (int i = 0; i < pages; i++) {
            pdf.backTo(i);
            int number = i + 1;
            pdf.aside(() -> margins(id, number, pages));
            for (Owed o : owed) {
                if (o.page() == i && begun.containsKey(o.key())) {
                    String there = String.valueOf(begun.get(o.key()));
                    pdf.goOn(
                            o.cell(),
                            () -> pdf.text(
                                    o.right() - pdf.width(there, BODY, false), o.y(), there, BODY, false, Ink.INK));
                }
            }
        }
    }

    private void margins(Identity id, int number, int pages) throws IOException {
        pdf.text(LEFT, 36, id.name(), 8.5, true, Ink.INK);
        pdf.text(LEFT + pdf.width(id.name(), 8.5, true) + 8, 36, id.what(), 8, false, Ink.INK);
        right(36, "page " + number + " of " + pages, 8, true, Ink.INK);
        pdf.text(LEFT, 47, id.of(), 7.5, false, Ink.SOFT);
        right(47, id.mark(), 7.5, false, Ink.SOFT);
        pdf.line(LEFT, 51.5, width - RIGHT, 51.5, 0.6, Ink.INK);
        pdf.line(LEFT, height - FOOT, width - RIGHT, height - FOOT, 0.6, Ink.INK);
        pdf.text(LEFT, height - FOOT + 11, CAUTION, 7.2, false, Ink.INK);
        pdf.text(LEFT, height - FOOT + 20, MORE, 7.2, false, Ink.INK);
    }
}
