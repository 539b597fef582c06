package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import ration.aircraft.model.Construction;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.CutLength;
import ration.aircraft.plumbing.Joints;
import ration.aircraft.plumbing.LineRules;
import ration.aircraft.plumbing.SheetColumn;
import ration.aircraft.plumbing.ShoppingList;
import ration.answer.ask.HoseOrder;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Picture;
import ration.publish.drawing.Schematic;
import ration.publish.drawing.SchematicSubject;
import ration.publish.drawing.SchematicView;
import ration.publish.drawing.TextMeasure;
import ration.publish.paper.Pages;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;

/** Sheets as PDF, US letter lying: the drawing of a case, and the runs sheet with its joints and lists. */
public final class PrintedSheets {

    private static final double BODY = 8;
    private static final double LINE = 12.5;
    private static final String CAUTION =
            "Computed, not tested. A computed pass does not approve flight. Your inspector, the aviation"
                    + " authority and the manufacturers' instructions decide.";
    private static final double DRAWING_WIDTH = 1000;
    private static final double DRAWING_HEIGHT = 640;

    private PrintedSheets() {}

    /** The drawing of a case as a picture of a fixed size, for paper and for SVG. */
    public static Picture drawing(Assessment assessment, CaseAnswer look, UnitSystem units, TextMeasure measure) {
        return drawing(assessment, look, units, measure, DRAWING_WIDTH, DRAWING_HEIGHT);
    }

    /** The same, so large in px. */
    static Picture drawing(
            Assessment assessment,
            CaseAnswer look,
            UnitSystem units,
            TextMeasure measure,
            double width,
            double height) {
        Project p = assessment.project();
        return Schematic.draw(
                new SchematicSubject(
                        p.system(),
                        p.brief().envelope().attitudes(),
                        look.condition(),
                        java.util.Optional.of(look),
                        "",
                        units,
                        Regime.usual(p.brief())),
                new SchematicView(width, height, 1, 0, 0, SchematicView.Layers.ALL),
                measure);
    }

    private static void head(PdfSheet pdf, String title, String detail) throws IOException {
        pdf.text(PdfSheet.MARGIN, PdfSheet.MARGIN + 10, title, 14, true, Ink.INK);
        pdf.text(PdfSheet.MARGIN, PdfSheet.MARGIN + 24, detail, 9, false, Ink.SOFT);
    }

    private static void foot(PdfSheet pdf, int number) throws IOException {
        double y = PdfSheet.HEIGHT - PdfSheet.MARGIN + 8;
        pdf.text(PdfSheet.MARGIN, y, CAUTION, 7.5, false, Ink.SOFT);
        String page = "Ration, page " + number;
        pdf.text(PdfSheet.WIDTH - PdfSheet.MARGIN - pdf.width(page, 7.5, false), y, page, 7.5, false, Ink.SOFT);
    }

    /** A column of a printed table. */
    private record Column<R>(String head, double width, Function<R, String> text) {}

    /** Runs, joints, cut list and shopping list. */
    public static byte[] runsPdf(Assessment assessment) throws IOException {
        Project project = assessment.project();
        FuelSystem s = project.system();
        try (PdfSheet pdf = new PdfSheet(project.name() + ", runs sheet")) {
            Pages pages = new Pages(pdf, project.name());
            List<Column<Run>> runs = List.of(
                    new Column<>("Line", 34, Run::name),
                    new Column<>("From", 96, r -> SheetColumn.FROM.text(s, r)),
                    new Column<>("To", 96, r -> SheetColumn.TO.text(s, r)),
                    new Column<>("Size", 86, r -> r.size().label()),
                    new Column<>("Construction", 88, r -> SheetColumn.CONSTRUCTION.text(s, r)),
                    new Column<>("Length", 42, r -> SheetColumn.LENGTH.text(s, r)),
                    new Column<>("Cut", 54, r -> CutLength.of(s, r).text()),
                    new Column<>("Bends", 72, r -> SheetColumn.BENDS.text(s, r)),
                    new Column<>("Clamps", 46, r -> SheetColumn.SUPPORTS.text(s, r)),
                    new Column<>("Sleeve", 34, r -> SheetColumn.SLEEVE.text(s, r)),
                    new Column<>("Ends move", 32, r -> SheetColumn.MOVES.text(s, r)),
                    new Column<>("Torque", 50, r -> SheetColumn.TORQUE.text(s, r)));
            pages.table("Lines", runs, s.runs());
            List<Column<Joints.Joint>> joints = List.of(
                    new Column<>("Line", 34, j -> j.run().name()),
                    new Column<>("At", 100, Joints.Joint::at),
                    new Column<>(
                            "Line fitting",
                            84,
                            j -> j.end().fitting().map(f -> f.text()).orElse("")),
                    new Column<>(
                            "Port thread",
                            84,
                            j -> j.end().port().map(f -> f.text()).orElse("")),
                    new Column<>(
                            "Fitting for",
                            76,
                            j -> j.end().family().map(Construction::label).orElse("")),
                    new Column<>("Adapter", 124, j -> j.end().adapter()),
                    new Column<>("Sealant", 66, j -> j.end().sealant()),
                    new Column<>(
                            "Clamp",
                            46,
                            j -> j.end().clamp().map(c -> c.label()).orElse("")),
                    new Column<>("Found", 92, j -> j.state() == Joints.State.GOOD ? "good" : j.message()));
            pages.table("Fittings", joints, Joints.of(s));
            List<Column<Run>> cuts = List.of(
                    new Column<>("Line", 34, Run::name),
                    new Column<>(
                            "Of",
                            200,
                            r -> LineRules.construction(r).label() + ", "
                                    + r.size().label()),
                    new Column<>("Cut", 70, r -> CutLength.of(s, r).text()),
                    new Column<>("How", 300, r -> CutLength.of(s, r).sum()));
            pages.table("Cut list (allowances are common practice: measure one of your own first)", cuts, s.runs());
            List<HoseOrder.Row> hoses = HoseOrder.of(assessment);
            if (!hoses.isEmpty()) {
                pages.table(
                        "Hose order. " + HoseOrder.CLOCKING,
                        List.of(
                                new Column<>("Line", 34, r -> r.run().name()),
                                new Column<>("Of", 150, HoseOrder.Row::of),
                                new Column<>("Cut", 54, HoseOrder.Row::cut),
                                new Column<>("Seat to seat", 60, HoseOrder.Row::seats),
                                new Column<>("Start", 130, r -> r.end(true)),
                                new Column<>("End", 130, r -> r.end(false)),
                                new Column<>("Clocking", 46, HoseOrder.Row::clockingText),
                                new Column<>(
                                        "Proof, liquid", 60, r -> UnitSystem.US.text(r.proof(), Dimension.PRESSURE)),
                                new Column<>("Trouble", 60, r -> r.made().trouble())),
                        hoses);
            }
            pages.table(
                    "Shopping list",
                    List.of(
                            new Column<>("Amount", 60, ShoppingList.Line::amount),
                            new Column<>("What", 300, ShoppingList.Line::what),
                            new Column<>("For", 340, ShoppingList.Line::detail)),
                    ShoppingList.of(s));
            pages.end();
            return pdf.bytes();
        }
    }

    /** Tables one under the other over as many pages as they need. */
    private static final class Pages {

        private final PdfSheet pdf;
        private final String title;
        private double y = Double.MAX_VALUE;
        private int number;

        Pages(PdfSheet pdf, String title) {
            this.pdf = pdf;
            this.title = title;
        }

        private void room(double height) throws IOException {
            if (y + height > PdfSheet.HEIGHT - PdfSheet.MARGIN - 14) {
                end();
                pdf.newPage();
                number++;
                head(pdf, title, "Line sheet");
                y = PdfSheet.MARGIN + 48;
            }
        }

        <R> void table(String name, List<Column<R>> columns, List<R> rows) throws IOException {
            room(4 * LINE);
            pdf.text(PdfSheet.MARGIN, y, name, 10, true, Ink.DEEP);
            y += LINE + 2;
            heads(columns);
            for (R row : rows) {
                List<List<String>> cells = new ArrayList<>();
                int lines = 1;
                for (Column<R> c : columns) {
                    List<String> wrapped = pdf.wrapped(c.text().apply(row), c.width() - 6, BODY, false);
                    cells.add(wrapped);
                    lines = Math.max(lines, wrapped.size());
                }
                boolean fits = y + lines * LINE <= PdfSheet.HEIGHT - PdfSheet.MARGIN - 14;
                room(lines * LINE);
                if (!fits) {
                    heads(columns);
                }
                double x = PdfSheet.MARGIN;
                for (int c = 0; c < columns.size(); c++) {
                    for (int l = 0; l < cells.get(c).size(); l++) {
                        pdf.text(x, y + l * LINE, cells.get(c).get(l), BODY, c == 0, Ink.INK);
                    }
                    x += columns.get(c).width();
                }
                y += lines * LINE;
                pdf.line(
                        PdfSheet.MARGIN,
                        y - LINE + 4,
                        PdfSheet.WIDTH - PdfSheet.MARGIN,
                        y - LINE + 4,
                        0.4,
                        Ink.HAIRLINE);
            }
            y += LINE;
        }

        private <R> void heads(List<Column<R>> columns) throws IOException {
            double x = PdfSheet.MARGIN;
            for (Column<R> c : columns) {
                pdf.text(x, y, c.head(), 7.5, false, Ink.SOFT);
                x += c.width();
            }
            pdf.line(PdfSheet.MARGIN, y + 4, PdfSheet.WIDTH - PdfSheet.MARGIN, y + 4, 0.8, Ink.EDGE);
            y += LINE + 2;
        }

        void end() throws IOException {
            if (number > 0) {
                foot(pdf, number);
            }
        }
    }
}
