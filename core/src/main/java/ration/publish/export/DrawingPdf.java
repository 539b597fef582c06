package ration.publish.export;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.Portname;
import ration.aircraft.plumbing.SheetColumn;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.file.DocumentMark;
import ration.record.project.Plate;
import ration.record.project.Project;

/**
 * The drawing sheet of a layout, 17 by 11 in: the system at its true heights in a case, every line with its size and
 * length, room for revisions, and a title block that names aircraft, case, day and document.
 */
public final class DrawingPdf {

    private static final double WIDTH = 1224;
    private static final double HEIGHT = 792;
    private static final double EDGE = 28;
    /** Of lines and title block, at the right. */
    private static final double COLUMN = 300;

    private static final double TITLE = 204;
    private static final double FOOT = 96;
    private static final double ROW = 12;
    private static final double PICTURE = 1000;
    private static final int REVISIONS = 4;
    private static final double[] LINES = {0, 34, 172, 246};
    private static final double[] PLACES = {0, 142, 192, 242};
    private static final double[] REVISED = {0, 40, 110, 420};

    private static final String CAUTION =
            "Computed, not tested. A computed pass does not approve flight. Your inspector, the aviation authority and"
                    + " the manufacturers' instructions decide.";

    private final PdfSheet pdf;
    private final Assessment a;
    private final CaseAnswer look;
    private final UnitSystem units;
    private final Project project;

    private DrawingPdf(PdfSheet pdf, Assessment a, CaseAnswer look, UnitSystem units) {
        this.pdf = pdf;
        this.a = a;
        this.look = look;
        this.units = units;
        project = a.project();
    }

    /**
     * Of a case.
     *
     * @param day it is drawn on
     */
    public static byte[] of(Assessment a, CaseAnswer look, UnitSystem units, LocalDate day) throws IOException {
        try (PdfSheet pdf = new PdfSheet(a.project().name() + ", drawing", WIDTH, HEIGHT, false)) {
            pdf.newPage();
            new DrawingPdf(pdf, a, look, units).write(day);
            return pdf.bytes();
        }
    }

    private void write(LocalDate day) throws IOException {
        double right = WIDTH - EDGE - COLUMN;
        double foot = HEIGHT - EDGE - FOOT;
        pdf.frame(EDGE, EDGE, WIDTH - 2 * EDGE, HEIGHT - 2 * EDGE, 1.4);
        pdf.line(right, EDGE, right, HEIGHT - EDGE, 0.8, Ink.INK);
        pdf.line(EDGE, foot, right, foot, 0.8, Ink.INK);
        double scale = (right - EDGE - 16) / PICTURE;
        double high = (foot - EDGE - 22) / scale;
        pdf.picture(PrintedSheets.drawing(a, look, units, pdf.measure(), PICTURE, high), EDGE + 8, EDGE + 14, scale);
        places(right + 8, lines(right + 8));
        title(right, day);
        revisions(foot);
    }

    /** One to a row while there is room; the rest is counted. Gives back where it ends. */
    private double lines(double x) throws IOException {
        double y = EDGE + 16;
        pdf.text(x, y, "Lines", 10, true, Ink.INK);
        y += ROW + 2;
        head(x, y, LINES, "Line", "From, to", "Size", "Length");
        double end = HEIGHT - EDGE - TITLE - 14;
        List<Run> runs = project.system().runs();
        int written = 0;
        for (Run r : runs) {
            String ways = Portname.text(project.system(), r.from()) + " to " + Portname.text(project.system(), r.to());
            List<String> way = pdf.wrapped(ways, LINES[2] - LINES[1] - 6, 7.5, false);
            List<String> size = pdf.wrapped(r.size().label(), LINES[3] - LINES[2] - 6, 7.5, false);
            int high = Math.max(1, Math.max(way.size(), size.size()));
            // a name that is wider than its column stands over its line
            boolean over = pdf.width(r.name(), 7.5, true) > LINES[1] - LINES[0] - 3;
            if (y + high * 10 + 4 + (over ? 10 : 0) > end) {
                break;
            }
            y += ROW;
            pdf.text(x + LINES[0], y, r.name(), 7.5, true, Ink.INK);
            y += over ? 10 : 0;
            for (int i = 0; i < way.size(); i++) {
                pdf.text(x + LINES[1], y + i * 10, way.get(i), 7.5, false, Ink.INK);
            }
            for (int i = 0; i < size.size(); i++) {
                pdf.text(x + LINES[2], y + i * 10, size.get(i), 7.5, false, Ink.INK);
            }
            String length = SheetColumn.LENGTH.text(project.system(), r);
            pdf.text(x + LINES[3], y, length.isEmpty() ? "by points" : length, 7.5, false, Ink.INK);
            y += (high - 1) * 10;
            written++;
        }
        if (written < runs.size()) {
            pdf.text(x, end, "and " + (runs.size() - written) + " more: see the line sheet", 7.5, false, Ink.SOFT);
        }
        return written < runs.size() ? end : y;
    }

    /** Where parts sit, under the lines while there is room. */
    private void places(double x, double below) throws IOException {
        double end = HEIGHT - EDGE - TITLE - 14;
        List<Fitted> parts = project.system().all(Fitted.class).toList();
        double y = below + 2 * ROW;
        if (parts.isEmpty() || y + 4 * ROW > end) {
            return;
        }
        pdf.text(x, y, "Places", 10, true, Ink.INK);
        y += ROW + 2;
        head(x, y, PLACES, "Part", "FS", "BL", "WL");
        int written = 0;
        for (Fitted f : parts) {
            List<String> name = pdf.wrapped(f.name(), PLACES[1] - 6, 7.5, true);
            if (y + ROW + (name.size() - 1) * 10 > end - (written + 1 < parts.size() ? ROW : 0)) {
                break;
            }
            y += ROW;
            for (int i = 0; i < name.size(); i++) {
                pdf.text(x + PLACES[0], y + i * 10, name.get(i), 7.5, true, Ink.INK);
            }
            List<Measured> at =
                    List.of(f.place().station(), f.place().buttLine(), f.place().waterLine());
            for (int i = 0; i < at.size(); i++) {
                pdf.text(x + PLACES[i + 1], y, at.get(i).quantity().shown(), 7.5, false, Ink.INK);
            }
            y += (name.size() - 1) * 10;
            written++;
        }
        if (written < parts.size()) {
            pdf.text(x, end, "and " + (parts.size() - written) + " more: see the packet", 7.5, false, Ink.SOFT);
        }
    }

    private void head(double x, double y, double[] at, String... heads) throws IOException {
        for (int i = 0; i < heads.length; i++) {
            pdf.text(x + at[i], y, heads[i], 7, false, Ink.SOFT);
        }
    }

    private void title(double x, LocalDate day) throws IOException {
        double top = HEIGHT - EDGE - TITLE;
        pdf.line(x, top, WIDTH - EDGE, top, 0.8, Ink.INK);
        double y = top + 20;
        pdf.text(x + 8, y, project.name(), 15, true, Ink.INK);
        y += 14;
        pdf.text(x + 8, y, "Fuel system, true heights", 9, false, Ink.INK);
        y += 8;
        List<String[]> rows = new ArrayList<>();
        for (Plate.Field f :
                List.of(Plate.Field.REGISTRATION, Plate.Field.SERIAL, Plate.Field.BUILDER, Plate.Field.ENGINE_MODEL)) {
            String said = project.plate().get(f);
            rows.add(new String[] {f.label(), said.isEmpty() ? "not entered" : said});
        }
        rows.add(new String[] {"Case", look.label(project.system(), units)});
        rows.add(new String[] {"Flow", flow()});
        rows.add(new String[] {"Basis", project.brief().choices().basis().label()});
        rows.add(new String[] {"Estimated", estimates()});
        rows.add(new String[] {"Date, document ID", day + ", " + DocumentMark.of(project)});
        for (String[] row : rows) {
            List<String> said = pdf.wrapped(row[1], COLUMN - 96, 8, false);
            pdf.line(x, y + 4, WIDTH - EDGE, y + 4, 0.3, Ink.SOFT);
            y += 14;
            pdf.text(x + 8, y, row[0], 7, false, Ink.SOFT);
            for (int i = 0; i < said.size() && i < 2; i++) {
                pdf.text(x + 88, y + i * 9, said.get(i), 8, false, Ink.INK);
            }
            y += said.size() > 1 ? 9 : 0;
        }
    }

    private String flow() {
        return look.answered()
                ? UnitSystem.figure(look.margin(), 2) + "\u00d7 takeoff demand; "
                        + look.verdict().word()
                : "not computed; Not shown";
    }

    /** How many lines nobody measured. */
    private String estimates() {
        long guessed = project.system().runs().stream()
                .filter(r -> r.length().map(m -> Method.of(m).guessed()).orElse(false))
                .count();
        return guessed == 0
                ? "no line"
                : guessed + " of " + project.system().runs().size() + " lines: measure before building to this sheet";
    }

    private void revisions(double top) throws IOException {
        double x = EDGE + 8;
        double y = top + 14;
        pdf.text(x, y, "Revisions by hand", 8, true, Ink.INK);
        pdf.text(
                x + 380,
                y,
                "Heights are true in this case; sideways is order, not distance. Figures as entered.",
                7.5,
                false,
                Ink.SOFT);
        y += ROW;
        head(x, y, REVISED, "Rev.", "Date", "What changed", "Drawn, checked");
        for (int i = 0; i < REVISIONS; i++) {
            y += ROW;
            pdf.line(x, y + 2, WIDTH - EDGE - COLUMN - 8, y + 2, 0.3, Ink.SOFT);
        }
        pdf.text(x, HEIGHT - EDGE - 6, CAUTION, 7, false, Ink.SOFT);
    }
}
