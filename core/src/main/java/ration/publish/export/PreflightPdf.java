package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.SamplingCard;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.evidence.Form;
import ration.record.evidence.TestKind;
import ration.record.file.DocumentMark;
import ration.record.project.Project;
import ration.record.upkeep.Life;
import ration.record.upkeep.Part;

/**
 * The pre-flight card on one page: what must be off, drains in walk-round order, vents, caps, handles, and what the
 * dipstick says, parked.
 */
public final class PreflightPdf {

    private static final double ROW = 17;
    private static final double COLUMN = 344;
    private static final double BOTTOM = PdfSheet.HEIGHT - PdfSheet.MARGIN - 30;
    private static final int QUARTERS = 4;

    private final PdfSheet pdf;
    private final Project project;
    private double x = PdfSheet.MARGIN;
    private double y;

    private PreflightPdf(PdfSheet pdf, Project project) {
        this.pdf = pdf;
        this.project = project;
    }

    public static byte[] of(Assessment a, UnitSystem units) throws IOException {
        try (PdfSheet pdf =
                new PdfSheet("Preflight card, " + a.project().name(), PdfSheet.WIDTH, PdfSheet.HEIGHT, true)) {
            PreflightPdf card = new PreflightPdf(pdf, a.project());
            card.page();
            card.temporary();
            card.drains();
            card.vents();
            card.handles();
            card.checks();
            for (TankAnswer t : a.tanks()) {
                card.quantity(t, units);
            }
            return pdf.bytes();
        }
    }

    private void page() throws IOException {
        pdf.newPage();
        pdf.text(PdfSheet.MARGIN, PdfSheet.MARGIN + 14, project.name() + ", fuel before flight", 15, true, Ink.INK);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 30,
                "Parked, no ignition source near, aircraft and can bonded; drained fuel is hazardous waste. Mark "
                        + DocumentMark.of(project),
                8.5,
                false,
                Ink.SOFT);
        pdf.line(
                PdfSheet.MARGIN,
                PdfSheet.MARGIN + 38,
                PdfSheet.WIDTH - PdfSheet.MARGIN,
                PdfSheet.MARGIN + 38,
                0.8,
                Ink.INK);
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.HEIGHT - PdfSheet.MARGIN,
                "Your inspector, the aviation authority and the manufacturers' instructions decide. Check"
                        + " gauges against the dipstick, the dipstick against a measured amount.",
                8,
                false,
                Ink.SOFT);
        x = PdfSheet.MARGIN;
        y = PdfSheet.MARGIN + 60;
    }

    /** Where the next so many rows stand: below, in the second column, or on a page more. */
    private void room(double wanted) throws IOException {
        if (y + wanted <= BOTTOM) {
            return;
        }
        if (x > PdfSheet.MARGIN) {
            page();
        } else {
            x += COLUMN + 28;
            y = PdfSheet.MARGIN + 60;
        }
    }

    private void title(String text) throws IOException {
        room(2 * ROW);
        pdf.text(x, y, text, 10.5, true, Ink.INK);
        pdf.line(x, y + 4, x + COLUMN, y + 4, 0.6, Ink.SOFT);
        y += ROW;
    }

    private void row(String text, List<String> boxes) throws IOException {
        room(ROW);
        pdf.text(x, y, text, 9.5, false, Ink.INK);
        double at = x + COLUMN - 62 * boxes.size();
        for (String b : boxes) {
            frame(at);
            pdf.text(at + 15, y, b, 7.5, false, Ink.SOFT);
            at += 62;
        }
        y += ROW;
    }

    private void frame(double at) throws IOException {
        pdf.frame(at, y - 9, 11, 11, 0.8);
    }

    private void temporary() throws IOException {
        List<Part> parts = project.upkeep().parts().stream()
                .filter(p -> p.life().ends() == Life.Ends.REMOVE)
                .toList();
        if (!parts.isEmpty()) {
            title("Remove before flight");
            for (Part p : parts) {
                row(p.name(), List.of("removed"));
            }
            y += 6;
        }
    }

    /** What would wait unseen otherwise: entered in Maintenance, or taken over from the hidden failures. */
    private void checks() throws IOException {
        List<Part> parts = project.upkeep().parts().stream()
                .filter(p -> p.life().ends() == Life.Ends.EACH_FLIGHT)
                .toList();
        if (!parts.isEmpty()) {
            title("Checks before every flight");
            for (Part p : parts) {
                row(p.name() + (p.paper().isBlank() ? "" : ": " + p.paper()), List.of("done"));
            }
            y += 6;
        }
    }

    private void drains() throws IOException {
        title("Drains, walk-around order");
        List<SamplingCard.Drain> all = SamplingCard.of(project.system());
        for (int i = 0; i < all.size(); i++) {
            row(i + 1 + "  " + all.get(i).name(), List.of("no water", "no debris", "closed, not leaking"));
        }
        if (all.isEmpty()) {
            row("No drain in the layout.", List.of());
        }
        y += 6;
    }

    private void vents() throws IOException {
        Map<String, String> pieces = Form.of(TestKind.VENTS).orElseThrow().pieces(project.system());
        title("Vents and caps");
        for (String name : pieces.values()) {
            row(name, List.of("open", "clean"));
        }
        for (var t : project.system().tanks()) {
            row(t.name() + " filler cap", List.of("secure", "seal good"));
        }
        y += 6;
    }

    private void handles() throws IOException {
        List<String> selectors = new ArrayList<>();
        project.system()
                .all(Selector.class)
                .forEach(s -> selectors.add(s.name() + ": "
                        + String.join(
                                ", ",
                                s.positions().stream()
                                        .map(Selector.Position::name)
                                        .toList())));
        List<String> shutOffs =
                project.system().all(ShutOff.class).map(ShutOff::name).toList();
        if (!selectors.isEmpty() || !shutOffs.isEmpty()) {
            title("Selectors and valves");
            for (String s : selectors) {
                row(s, List.of("moves freely", "on takeoff tank"));
            }
            for (String s : shutOffs) {
                row(s, List.of("moves freely", "open"));
            }
            y += 6;
        }
    }

    /** Heights at quarters of what can be used, parked; and how far a gauge marked level is off, parked. */
    private void quantity(TankAnswer t, UnitSystem units) throws IOException {
        if (t.tank().fitout().gauge().isEmpty()) {
            title(t.tank().name() + ": no gauge in the layout");
            return;
        }
        Attitude parked = project.brief().envelope().attitudes().get(0);
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        Unit length = units.unit(Dimension.LENGTH);
        room((QUARTERS + 6) * ROW);
        title(t.tank().name() + " by dipstick, " + parked.label().toLowerCase(java.util.Locale.ROOT)
                + (t.gauge(parked).measured() ? ", by fills" : ", by shape"));
        pdf.text(x, y, "usable " + units.unit(Dimension.VOLUME).symbol(), 8, false, Ink.SOFT);
        pdf.text(x + 88, y, "height " + length.symbol(), 8, false, Ink.SOFT);
        pdf.text(x + 172, y, "a level-marked gauge reads", 8, false, Ink.SOFT);
        y += ROW;
        double worst = 0;
        for (int q = 0; q <= QUARTERS; q++) {
            double usable = t.usable() * q / QUARTERS;
            double height = t.gauge(parked).reading(t.unusable() + usable);
            double shows = t.gauge(level).volumeByShape(height) - t.unusable();
            worst = Math.max(worst, Math.abs(shows - usable));
            pdf.text(x, y, UnitSystem.figure(units.unit(Dimension.VOLUME).fromSi(usable), 1), 10, true, Ink.INK);
            pdf.text(
                    x + 88,
                    y,
                    UnitSystem.figure(length.fromSi(height), length == Unit.INCH ? 2 : 0),
                    10,
                    false,
                    Ink.INK);
            pdf.text(x + 172, y, UnitSystem.figure(units.unit(Dimension.VOLUME).fromSi(shows), 1), 10, false, Ink.SOFT);
            frame(x + COLUMN - 62);
            y += ROW;
        }
        row("Unusable " + units.fineVolume(t.unusable()) + " " + t.source().word() + ".", List.of());
        row("A gauge marked level and read parked is off by up to " + units.fineVolume(worst) + ".", List.of());
        y += 6;
    }
}
