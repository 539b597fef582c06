package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.drawing.MeasuringPicture;
import ration.publish.drawing.MeasuringPoints;
import ration.publish.paper.PdfSheet;

/**
 * The sheet a builder takes to the aircraft: how to level it and where zero is, two views with a letter at each point,
 * and a box for each figure, in the order in which they are typed. Made from the layout itself. Standing US letter; how
 * to measure is common practice, no source.
 */
public final class MeasuringPdf {

    private static final double WIDE = 612;
    private static final double HIGH = 792;
    private static final double LEFT = 54;
    private static final double RIGHT = WIDE - 36;
    private static final double BOTTOM = HIGH - 50;
    private static final double ROW = 16.5;
    private static final double LINE_WIDTH = 0.8;
    private static final List<String> STEPS = List.of(
            "1  Level it first",
            "Both ways, on the longerons or what the plans name. Chock the wheels. Write down the mark you leveled"
                    + " on:",
            "2  Choose where zero is",
            "Marks you can find again; only differences count. Station 0 ahead of the spinner, water line 0 under the"
                    + " lowest drain, butt line 0 in the middle.",
            "3  Heights by water, not by eye",
            "A clear hose half full of water: both ends stand level. On little head an inch is much flow.",
            "4  Along and across by tape",
            "From plumb marks on the floor. Lines along the tube, around every bend.");

    private final PdfSheet pdf;
    private final String title;
    private final FuelSystem system;
    private final UnitSystem units;
    private int page;
    private double y;

    private MeasuringPdf(PdfSheet pdf, String title, FuelSystem system, UnitSystem units) {
        this.pdf = pdf;
        this.title = title;
        this.system = system;
        this.units = units;
    }

    /**
     * @param title of the layout or the aircraft
     * @param units the boxes are in
     */
    public static byte[] of(String title, FuelSystem system, UnitSystem units) throws IOException {
        try (PdfSheet pdf = new PdfSheet("Measuring sheet, " + title, WIDE, HIGH, true)) {
            MeasuringPdf sheet = new MeasuringPdf(pdf, title, system, units);
            sheet.begin();
            sheet.views();
            sheet.points();
            sheet.lines();
            sheet.rest();
            return pdf.bytes();
        }
    }

    private void begin() throws IOException {
        pdf.newPage();
        page++;
        pdf.text(LEFT, 48, "Bring your measurements", 17, true, Ink.INK);
        String unit = units == UnitSystem.US ? "inches" : "millimeters";
        pdf.text(LEFT, 64, title + "; all in " + unit + ". A blank is Not shown, never guessed.", 9.5, false, Ink.SOFT);
        pdf.line(LEFT, 72, RIGHT, 72, 1.2, Ink.INK);
        pdf.text(
                LEFT,
                HIGH - 36,
                "No flame, no switches while a line or tank is open. This sheet approves nothing: the inspector and"
                        + " the manufacturers' instructions decide.",
                7.5,
                false,
                Ink.SOFT);
        pdf.text(RIGHT - 30, HIGH - 36, "page " + page, 7.5, true, Ink.INK);
        y = 92;
    }

    private void room(double wanted) throws IOException {
        if (y + wanted > BOTTOM) {
            begin();
        }
    }

    private void views() throws IOException {
        List<MeasuringPoints.Point> points = MeasuringPoints.of(system);
        double wide = 318;
        double high = 150;
        pdf.text(LEFT, y, "From the side", 9.5, true, Ink.INK);
        pdf.text(LEFT + 78, y, "nose right, level; up is plus, aft is plus", 8, false, Ink.SOFT);
        pdf.picture(MeasuringPicture.side(system, points, wide, high), LEFT, y + 6, 1);
        double second = y + high + 18;
        pdf.text(LEFT, second, "From above", 9.5, true, Ink.INK);
        pdf.text(LEFT + 78, second, "left wing up the page; left is minus", 8, false, Ink.SOFT);
        pdf.picture(MeasuringPicture.above(system, points, wide, high), LEFT, second + 6, 1);
        double at = y;
        double x = LEFT + wide + 14;
        pdf.line(x - 8, y - 8, x - 8, second + high, 0.5, Ink.HAIRLINE);
        for (int i = 0; i < STEPS.size(); i++) {
            boolean head = i % 2 == 0;
            for (String line : pdf.wrapped(STEPS.get(i), RIGHT - x, head ? 9.5 : 8.5, head)) {
                pdf.text(x, at, line, head ? 9.5 : 8.5, head, Ink.INK);
                at += head ? 13 : 11.5;
            }
            if (i == 1) {
                pdf.frame(x, at - 4, RIGHT - x, 20, LINE_WIDTH);
                at += 30;
            }
            at += head ? 0 : 6;
        }
        pdf.text(x, at + 4, "By", 9.5, true, Ink.INK);
        for (String line : pdf.wrapped(
                "T tape, W water level, C caliper, D drill shank, M manufacturer, E estimate", RIGHT - x, 8.5, false)) {
            at += 14;
            pdf.text(x, at + 4, line, 8.5, false, Ink.INK);
        }
        pdf.text(x, at + 22, "Aircraft, date, who measured", 8.5, false, Ink.SOFT);
        pdf.frame(x, at + 27, RIGHT - x, 40, LINE_WIDTH);
        y = second + high + 20;
    }

    private void title(String text, String said) throws IOException {
        room(2 * ROW + 20);
        pdf.line(LEFT, y - 12, RIGHT, y - 12, 0.9, Ink.INK);
        pdf.text(LEFT, y, text, 10, true, Ink.INK);
        pdf.text(LEFT + pdf.width(text, 10, true) + 10, y, said, 8, false, Ink.SOFT);
        y += 8;
    }

    private static final double[] POINT = {46, 46, 46, 22};

    /** In two columns: half of them beside the others. */
    private void points() throws IOException {
        List<MeasuringPoints.Point> all = MeasuringPoints.of(system);
        title("Points", all.size() + "; a tank that is no box: trace its end rib, write every corner on the back");
        int half = (all.size() + 1) / 2;
        double column = (RIGHT - LEFT - 14) / 2;
        int from = 0;
        while (from < half) {
            heads(List.of("station", "butt line", "water line", "by"), POINT, column, 2);
            int rows = (int) Math.min(half - from, Math.floor((BOTTOM - y) / ROW));
            for (int i = from; i < from + rows; i++) {
                point(all.get(i), LEFT, column);
                if (i + half < all.size()) {
                    point(all.get(i + half), LEFT + column + 14, column);
                }
                y += ROW;
            }
            from += rows;
            if (from < half) {
                begin();
            }
        }
        y += 20;
    }

    private void heads(List<String> words, double[] widths, double column, int columns) throws IOException {
        room(2 * ROW);
        for (int c = 0; c < columns; c++) {
            double x = LEFT + c * (column + 14) + column;
            for (int i = widths.length - 1; i >= 0; i--) {
                x -= widths[i];
                pdf.text(x + 2, y + 4, words.get(i), 7, false, Ink.SOFT);
            }
        }
        y += 7;
    }

    private void point(MeasuringPoints.Point p, double x, double column) throws IOException {
        pdf.text(x, y + 12, p.letter(), 9.5, true, Ink.INK);
        double wide = 0;
        for (double w : POINT) {
            wide += w;
        }
        named(p.what(), x + 18, column - wide - 22);
        double at = x + column - wide;
        for (int i = 0; i < POINT.length; i++) {
            if (i == 1 && !p.sideways()) {
                pdf.box(at, y, POINT[i], ROW, Ink.GRID);
            }
            pdf.frame(at, y, POINT[i], ROW, LINE_WIDTH);
            at += POINT[i];
        }
    }

    /** A name in its room: smaller where it is long, in two lines where that is not enough. */
    private void named(String name, double x, double room) throws IOException {
        List<String> lines = pdf.wrapped(name, room, 8.5, false);
        if (lines.size() == 1) {
            pdf.text(x, y + 12, name, 8.5, false, Ink.INK);
            return;
        }
        List<String> small = pdf.wrapped(name, room, 7, false);
        for (int i = 0; i < Math.min(2, small.size()); i++) {
            pdf.text(x, y + (small.size() == 1 ? 11 : 7.5 + 7.5 * i), small.get(i), 7, false, Ink.INK);
        }
    }

    private static final double[] LINE = {44, 46, 40, 40, 40, 46, 46, 22};

    private void lines() throws IOException {
        List<Run> runs = system.runs();
        title("Lines", "bore by drill shank or caliper, not by the size on the box");
        List<String> heads =
                List.of("bore", "length", "bends 90", "bends 45", "elbows", "lowest wl", "highest wl", "by");
        heads(heads, LINE, RIGHT - LEFT, 1);
        double wide = 0;
        for (double w : LINE) {
            wide += w;
        }
        for (Run r : runs) {
            if (y + ROW > BOTTOM) {
                begin();
                heads(heads, LINE, RIGHT - LEFT, 1);
            }
            pdf.text(LEFT, y + 12, r.name(), 9, true, Ink.INK);
            double name = Math.max(26, pdf.width(r.name(), 9, true) + 6);
            named(end(r.from()) + " to " + end(r.to()), LEFT + name, RIGHT - LEFT - wide - name - 4);
            double at = RIGHT - wide;
            for (double w : LINE) {
                pdf.frame(at, y, w, ROW, LINE_WIDTH);
                at += w;
            }
            y += ROW;
        }
        y += 18;
    }

    private String end(PortRef port) {
        return system.item(port.item()).map(Item::name).orElse(port.item());
    }

    private void rest() throws IOException {
        title("And", "");
        String length = units.unit(Dimension.LENGTH).symbol();
        List<String> wanted = new ArrayList<>(List.of(
                "steepest climb, \u00b0",
                "glide, \u00b0",
                "parked, \u00b0",
                "power, hp",
                "takeoff demand, " + units.unit(Dimension.FLOW).symbol()));
        if (!system.selectors().isEmpty()) {
            wanted.add("selector bore, " + length);
        }
        if (system.hasFilter()) {
            wanted.add("screen or filter, \u00b5m");
        }
        double x = LEFT;
        for (String w : wanted) {
            double need = pdf.width(w, 8.5, false) + 56;
            if (x + need > RIGHT) {
                x = LEFT;
                y += 26;
                room(26);
            }
            pdf.text(x, y + 12, w, 8.5, false, Ink.INK);
            pdf.frame(x + need - 52, y, 40, ROW, LINE_WIDTH);
            x += need;
        }
    }
}
