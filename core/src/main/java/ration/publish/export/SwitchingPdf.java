package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ration.aircraft.model.Tank;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightTable;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;

/** The card for the knee: when to switch to what, and what should be left then. */
public final class SwitchingPdf {

    private static final double ROW = 26;

    private SwitchingPdf() {}

    public static byte[] of(Project project, Flight flight, UnitSystem units) throws IOException {
        try (PdfSheet pdf = new PdfSheet("Fuel management card, " + project.name())) {
            double y = Double.MAX_VALUE;
            List<FlightEvent> rows = new ArrayList<>(flight.switches().stream()
                    .filter(e -> e.minutes() <= flight.landing().minutes())
                    .toList());
            flight.events().stream()
                    .filter(e -> e.kind() == FlightEvent.Kind.TRANSFER
                            && e.minutes() <= flight.landing().minutes())
                    .forEach(rows::add);
            rows.sort(Comparator.comparingDouble(FlightEvent::minutes));
            flight.events().stream()
                    .filter(e -> e.kind() == FlightEvent.Kind.LANDS)
                    .forEach(rows::add);
            for (FlightEvent e : rows) {
                if (y > PdfSheet.HEIGHT - PdfSheet.MARGIN - 50) {
                    pdf.newPage();
                    y = head(pdf, project, flight, units);
                }
                boolean lands = e.kind() == FlightEvent.Kind.LANDS;
                pdf.text(PdfSheet.MARGIN, y, FlightTable.clock(e.minutes()), 15, true, Ink.INK);
                pdf.text(PdfSheet.MARGIN + 70, y, lands ? "land" : e.words(), 15, true, Ink.INK);
                List<String> left = new ArrayList<>();
                for (Tank t : project.system().tanks()) {
                    left.add(
                            t.name() + " " + units.figure(flight.at(e.minutes()).tank(t.id()), Dimension.VOLUME));
                }
                pdf.text(
                        PdfSheet.MARGIN + 210,
                        y,
                        "then: " + String.join(", ", left) + " "
                                + units.unit(Dimension.VOLUME).symbol(),
                        10,
                        false,
                        Ink.INK);
                pdf.text(
                        PdfSheet.WIDTH - PdfSheet.MARGIN - 150, y, "gauges: ____________________", 10, false, Ink.SOFT);
                y += ROW;
            }
            return pdf.bytes();
        }
    }

    private static double head(PdfSheet pdf, Project project, Flight flight, UnitSystem units) throws IOException {
        pdf.text(PdfSheet.MARGIN, PdfSheet.MARGIN + 14, project.name() + ", fuel management card", 15, true, Ink.INK);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 32,
                "Computed from the layout and the flight as planned: "
                        + flight.verdict().word() + ". Lands "
                        + "with " + units.text(Math.max(0, flight.landing().usable()), Dimension.VOLUME)
                        + " usable, needs " + units.text(flight.landing().needs(), Dimension.VOLUME)
                        + ". Electric pump on before each switch.",
                9,
                false,
                Ink.SOFT);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.HEIGHT - PdfSheet.MARGIN,
                "Dip the tanks before flight. The gauges and your dipstick decide, not this card. "
                        + "Date: ____________   By: ____________",
                9,
                false,
                Ink.SOFT);
        pdf.line(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 40,
                PdfSheet.WIDTH - PdfSheet.MARGIN,
                PdfSheet.MARGIN + 40,
                0.8,
                Ink.EDGE);
        return PdfSheet.MARGIN + 74;
    }
}
