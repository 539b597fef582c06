package ration.publish.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Wanted;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.evidence.Form;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Procedure;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.file.DocumentMark;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * A blank card for each test that is asked for and not yet shown, on one page each, half a letter page or as high as it
 * needs, black and greys: steps with boxes for what is read, each caution before the step it guards, what is asked and
 * what is computed, signatures. A card closes nothing by itself.
 */
public final class TestCards {

    private static final double WIDTH = 612;
    /** Half a letter page. */
    private static final double LEAST = 396;

    private static final double MOST = 792;
    private static final double EDGE = 24;
    private static final double LEFT = 196;
    private static final double STEPS = EDGE + LEFT + 16;
    /** Where signatures stand, over the end of the page. */
    private static final double FOOT = 66;

    private static final double TOP = EDGE + 42;
    private static final double BOX = 20;

    private final PdfSheet pdf;
    private final Assessment assessment;
    private final Project project;
    private final UnitSystem units;
    private final String mark;
    private double high = LEAST;
    private double y;

    private TestCards(PdfSheet pdf, Assessment assessment, UnitSystem units) {
        this.pdf = pdf;
        this.assessment = assessment;
        this.project = assessment.project();
        this.units = units;
        this.mark = DocumentMark.of(project);
    }

    /** Of every test still to run. */
    public static byte[] of(Assessment a, UnitSystem units) throws IOException {
        List<TestProgram.Proof> left = a.program().tests().stream()
                .filter(p -> p.wanted().asked() && (!p.counts() || p.verdict() == Verdict.NOT_SHOWN))
                .toList();
        try (PdfSheet pdf = new PdfSheet("Test cards, " + a.project().name(), WIDTH, LEAST, true)) {
            TestCards cards = new TestCards(pdf, a, units);
            for (int i = 0; i < left.size(); i++) {
                cards.card(left.get(i), i + 1, left.size());
            }
            return pdf.bytes();
        }
    }

    private void card(TestProgram.Proof p, int n, int all) throws IOException {
        Wanted w = p.wanted();
        List<Procedure.Step> steps = steps(w);
        high = high(w, steps);
        head(p, n);
        column(p);
        y = TOP;
        Set<String> guarded = new HashSet<>();
        int number = 0;
        for (Procedure.Step s : steps) {
            if (s.asks() == Procedure.Asks.WHO || s.asks() == Procedure.Asks.RESULT) {
                continue;
            }
            if (y + tall(w, s, guarded) > high - FOOT - 4) {
                foot(n, all);
                head(p, n);
                y = TOP;
            }
            if (!s.caution().isEmpty() && guarded.add(s.caution())) {
                caution(s.caution());
            }
            number++;
            step(w, s, number);
        }
        foot(n, all);
    }

    /** As high as all steps take, half a page at least and a page at most. */
    private double high(Wanted w, List<Procedure.Step> steps) throws IOException {
        double sum = 0;
        Set<String> guarded = new HashSet<>();
        for (Procedure.Step s : steps) {
            if (s.asks() != Procedure.Asks.WHO && s.asks() != Procedure.Asks.RESULT) {
                sum += tall(w, s, guarded);
                guarded.add(s.caution());
            }
        }
        return Math.max(LEAST, Math.min(MOST, TOP + sum + FOOT + 8));
    }

    /** What a step takes, its caution with it. */
    private double tall(Wanted w, Procedure.Step s, Set<String> guarded) throws IOException {
        double room = WIDTH - EDGE - STEPS - 22;
        double caution = s.caution().isEmpty() || guarded.contains(s.caution())
                ? 0
                : 13
                        + 10
                                * pdf.wrapped(s.caution(), WIDTH - EDGE - STEPS - 62, 8, false)
                                        .size();
        double text = 11 * pdf.wrapped(s.title() + ".", room, 9, true).size()
                + (s.words().isEmpty()
                        ? 0
                        : 10 * pdf.wrapped(s.words(), room, 8, false).size());
        int rows = 0;
        double x = WIDTH;
        for (String label : boxes(w, s)) {
            double wide = wide(label);
            rows += x + wide > WIDTH - EDGE ? 1 : 0;
            x = x + wide > WIDTH - EDGE ? STEPS + 18 + wide + 8 : x + wide + 8;
        }
        return caution + text + rows * (BOX + 13) + 8;
    }

    private double wide(String label) throws IOException {
        return Math.max(52, pdf.width(label, 7, false) + 8);
    }

    /** The steps as they stand where nothing was entered. */
    private List<Procedure.Step> steps(Wanted w) {
        Work work = w.kind() == TestKind.DRAIN
                ? new Work.Drain("", Measured.of(0, Unit.DEGREE), Measured.of(0, Unit.DEGREE), List.of())
                : w.kind() == TestKind.FILL
                        ? new Work.Fill(Work.Stands.LEVEL, Measured.of(0, Unit.DEGREE), List.of())
                        : w.kind() == TestKind.TOP_OFF
                                ? new Work.TopOff(Measured.of(0, Unit.GALLON), Optional.empty())
                                : w.begun();
        return Procedure.of(
                new HangarTest(
                        "card",
                        w.subject(),
                        new HangarTest.Circumstances("", "", "", Optional.empty(), "", ""),
                        work,
                        HangarTest.Progress.START),
                project.system());
    }

    private void head(TestProgram.Proof p, int n) throws IOException {
        pdf.newPage(high);
        if (pdf.pages() == 1 || n > 0) {
            pdf.bookmark(p.wanted().name());
        }
        pdf.text(EDGE, EDGE + 14, "Card " + n, 15, true, Ink.INK);
        double x = EDGE + pdf.width("Card " + n, 15, true) + 12;
        double size = pdf.width(p.wanted().name(), 15, true) > 330 ? 12 : 15;
        pdf.text(x, EDGE + 14, p.wanted().name(), size, true, Ink.INK);
        right(EDGE + 5, project.name() + ", document ID " + mark, 7.5);
        right(EDGE + 15, "verifies " + p.wanted().kind().closes(), 7.5);
        pdf.line(EDGE, EDGE + 22, WIDTH - EDGE, EDGE + 22, 1.4, Ink.INK);
    }

    private void right(double at, String text, double size) throws IOException {
        pdf.text(WIDTH - EDGE - pdf.width(text, size, false), at, text, size, false, Ink.SOFT);
    }

    /** What is asked, what is computed, where to mark the smallest run. */
    private void column(TestProgram.Proof p) throws IOException {
        double at = EDGE + 40;
        at = words(
                "Requirement",
                p.wanted().asks().substring(0, 1).toUpperCase(java.util.Locale.ROOT)
                        + p.wanted().asks().substring(1) + ". " + p.wanted().source() + ".",
                at);
        String needs = p.outcome().needs().in(units);
        String predicted = p.outcome().predicted().in(units);
        if (!needs.isEmpty() || !predicted.isEmpty()) {
            at = words(
                    "Figures",
                    (needs.isEmpty() ? "" : "Needs " + needs + ". ")
                            + (predicted.isEmpty()
                                    ? ""
                                    : "Computed " + predicted + ". If far off, suspect the measurement first."),
                    at);
        }
        String set = condition(p.wanted(), needs);
        if (!set.isEmpty()) {
            at = words("Set up", set, at);
        }
        if (p.wanted().kind() == TestKind.FLOW || p.wanted().kind() == TestKind.PUMP_FLOW) {
            at = strip(p, at);
        }
        words("Equipment", ready(p.wanted().kind()), at);
    }

    /** The attitude it is done in where that is another for each aircraft, and how long the can may take. */
    private String condition(Wanted w, String needs) {
        if (w.kind() == TestKind.DRAIN) {
            return assessment
                    .tank(w.subject())
                    .map(t -> t.predicted().attitude().label() + ": most stays there, computed. Shut off all others.")
                    .orElse("");
        }
        boolean flow = w.kind() == TestKind.FLOW || w.kind() == TestKind.PUMP_FLOW;
        String least = needs.replaceAll("[^0-9.].*", "");
        if (!flow || least.isEmpty()) {
            return "";
        }
        boolean us = units == UnitSystem.US;
        double seconds = units.unit(Dimension.VOLUME).toSi(us ? 0.25 : 1)
                / units.unit(Dimension.FLOW).toSi(Double.parseDouble(least));
        return (us ? "One quart" : "One liter") + " in " + UnitSystem.figure(Math.floor(seconds), 0)
                + " s or less shows it.";
    }

    private double words(String title, String text, double at) throws IOException {
        pdf.text(EDGE, at, title, 9, true, Ink.INK);
        double line = at + 12;
        for (String l : pdf.wrapped(text, LEFT, 8.5, false)) {
            pdf.text(EDGE, line, l, 8.5, false, Ink.INK);
            line += 11;
        }
        pdf.line(EDGE, line - 4, EDGE + LEFT, line - 4, 0.5, Ink.SOFT);
        return line + 10;
    }

    /** A ruler of readings with Fails, Thin and Holds on it. */
    private double strip(TestProgram.Proof p, double at) throws IOException {
        String needs = p.outcome().needs().in(units).replaceAll("[^0-9.].*", "");
        if (needs.isEmpty()) {
            return at;
        }
        double need = Double.parseDouble(needs);
        double low = Math.floor(need * 0.85);
        double high = Math.ceil(need * 1.2);
        double scale = LEFT / (high - low);
        pdf.text(EDGE, at, "Mark the lowest run here", 9, true, Ink.INK);
        pdf.text(EDGE + LEFT - 20, at, units.unit(Dimension.FLOW).symbol(), 7.5, false, Ink.SOFT);
        double top = at + 10;
        double thin = EDGE + (need * (1 + Verdict.THIN_SHARE) - low) * scale;
        double needAt = EDGE + (need - low) * scale;
        for (double x = EDGE + 4; x < needAt; x += 5) {
            pdf.line(Math.max(EDGE, x - 6), top + 18, Math.min(needAt, x + 6), top, 0.8, Ink.SOFT);
        }
        pdf.box(needAt, top, thin - needAt, 18, Ink.HAIRLINE);
        pdf.line(EDGE, top, EDGE + LEFT, top, 0.8, Ink.INK);
        pdf.line(EDGE, top + 18, EDGE + LEFT, top + 18, 0.8, Ink.INK);
        for (double x : new double[] {EDGE, needAt, thin, EDGE + LEFT}) {
            pdf.line(x, top, x, top + 18, x == needAt ? 1.6 : 0.8, Ink.INK);
        }
        pdf.box(EDGE + 8, top + 4, pdf.width("Fails", 8, true) + 4, 11, Ink.PANEL);
        pdf.text(EDGE + 10, top + 12, "Fails", 8, true, Ink.INK);
        pdf.text(Math.min(thin + 6, EDGE + LEFT - 26), top + 12, "Holds", 8, true, Ink.INK);
        double step = high - low > 12 ? 5 : high - low > 6 ? 2 : 1;
        for (double v = Math.ceil(low / step) * step; v <= high + 1e-9; v += step) {
            String label = UnitSystem.figure(v, 0);
            double x = EDGE + (v - low) * scale;
            pdf.line(x, top + 18, x, top + 22, 0.6, Ink.INK);
            pdf.text(x - pdf.width(label, 7.5, false) / 2, top + 30, label, 7.5, false, Ink.INK);
        }
        return top + 48;
    }

    private void caution(String text) throws IOException {
        List<String> lines = pdf.wrapped(text, WIDTH - EDGE - STEPS - 62, 8, false);
        double tall = 7 + 10 * lines.size();
        pdf.box(STEPS, y - 9, WIDTH - EDGE - STEPS, tall, Ink.GRID);
        pdf.box(STEPS, y - 9, 4, tall, Ink.INK);
        pdf.text(STEPS + 9, y + 1, "Caution", 8, true, Ink.INK);
        for (int i = 0; i < lines.size(); i++) {
            pdf.text(STEPS + 52, y + 1 + 10 * i, lines.get(i), 8, false, Ink.INK);
        }
        y += tall + 6;
    }

    private void step(Wanted w, Procedure.Step s, int number) throws IOException {
        List<String> boxes = boxes(w, s);
        double room = WIDTH - EDGE - STEPS - 22;
        pdf.text(STEPS, y + 2, number + ".", 10, true, Ink.INK);
        List<String> lines = new ArrayList<>(pdf.wrapped(s.title() + ".", room, 9, true));
        for (String l : lines) {
            pdf.text(STEPS + 18, y + 2, l, 9, true, Ink.INK);
            y += 11;
        }
        if (!s.words().isEmpty()) {
            for (String l : pdf.wrapped(s.words(), room, 8, false)) {
                pdf.text(STEPS + 18, y + 1, l, 8, false, Ink.INK);
                y += 10;
            }
        }
        double x = STEPS + 18;
        boolean any = false;
        for (String label : boxes) {
            double wide = wide(label);
            if (x + wide > WIDTH - EDGE) {
                x = STEPS + 18;
                y += BOX + 13;
            }
            frame(x, y, wide, BOX);
            pdf.text(x, y + BOX + 8, label, 7, false, Ink.SOFT);
            x += wide + 8;
            any = true;
        }
        y += any ? BOX + 22 : 5;
    }

    private void frame(double x, double top, double wide, double tall) throws IOException {
        pdf.line(x, top, x + wide, top, 0.9, Ink.INK);
        pdf.line(x, top + tall, x + wide, top + tall, 0.9, Ink.INK);
        pdf.line(x, top, x, top + tall, 0.9, Ink.INK);
        pdf.line(x + wide, top, x + wide, top + tall, 0.9, Ink.INK);
    }

    /** What is written at a step. */
    private List<String> boxes(Wanted w, Procedure.Step s) {
        if (Form.of(w.kind()).isEmpty()) {
            return switch (s.asks()) {
                case POUR -> List.of("poured 1", "poured 2", "poured 3");
                case ATTITUDE -> List.of("pitch \u00b0", "tilt \u00b0");
                case SELECT -> List.of("position");
                case BACK -> List.of("back 1", "back 2", "back 3");
                case READING -> List.of("height 1", "height 2", "height 3", "height 4", "height 5", "height 6");
                case PARKED -> List.of("level or parked");
                case BEFORE -> List.of("in it");
                case METERED -> List.of("metered");
                default -> List.of();
            };
        }
        Form form = Form.of(w.kind()).get();
        List<String> all = new ArrayList<>();
        if (s.asks() == Procedure.Asks.FIGURES) {
            form.once().stream()
                    .filter(a -> s.keys().contains(a.key()))
                    .forEach(a -> all.add(a.label() + ", " + symbol(a)));
        } else if (s.asks() == Procedure.Asks.ROW) {
            for (int i = 1; i <= Math.min(form.least(), 5); i++) {
                for (Form.Ask a : form.each()) {
                    all.add(i + " " + (a.key().equals("shows") ? "shows" : a.key()) + ", " + symbol(a));
                }
            }
        } else if (s.asks() == Procedure.Asks.EACH) {
            form.pieces(project.system()).values().forEach(all::add);
        }
        return all.stream().map(t -> t.replaceAll(", $", "")).toList();
    }

    private String symbol(Form.Ask a) {
        Dimension d = a.unit().dimension();
        Unit unit =
                d == Dimension.LENGTH || d == Dimension.VOLUME || d == Dimension.PRESSURE ? units.unit(d) : a.unit();
        return unit.symbol();
    }

    private static String ready(TestKind kind) {
        return switch (kind) {
            case DRAIN -> "ramp, chocks, tie-down, level, marked can, funnel, bonding leads, extinguisher";
            case FILL, TOP_OFF, LEVEL_SENDER ->
                "marked can or a meter, funnel, bonding leads, marking pen, extinguisher";
            case FLOW, PUMP_FLOW ->
                "ramp, chocks, tie-down, level, funnel, two marked cans, bonding leads, stopwatch, plug for the"
                        + " line, extinguisher";
            case DEAD_HEAD, GAUGE_CHECK -> "gauge, clear hose, smooth-jaw clamp and cloth, voltmeter, extinguisher";
            case OVERNIGHT, FIRST_RUN -> "dry blue paper towel, light, mirror, extinguisher";
            case TANK_PRESSURE, LINE_PRESSURE ->
                "column of water or a hand pump with a gauge, plugs, soap, thermometer";
            case SELECTOR_OFF, CHECK_HOLDS -> "can, bonding lead, clock, extinguisher";
            case VENTS -> "squeeze bulb, strip of tape, helper at the vent outlet";
            case DRAINS -> "bowl, a cup of water, level, extinguisher";
            case BENCH -> "plugs, hand pump with a gauge, soap, bucket, extinguisher";
            case ASSEMBLY -> "new seals, o-ring grease, torque wrench, paint marker, camera, extinguisher";
            case CLEAN -> "water, lint-free cloth, light, mirror, can, extinguisher";
            case EMPTYING -> "cans, bonding leads, clock, dipstick, extinguisher";
            case REGULATOR -> "gauge, clear hose, voltmeter, chocks, somebody at the controls, extinguisher";
            case PRIMING, HOLD -> "gauge, clear hose, voltmeter, clock, extinguisher";
            case JET -> "two marked cans, bonding leads, stopwatch, voltmeter, extinguisher";
            case RETURN -> "dipstick, marking tape, clock, extinguisher";
            case TANK_RETURN -> "clear hose as a U-tube, water, ruler, voltmeter, extinguisher";
            case FLOW_SENDER -> "marked can, counter, bonding leads, extinguisher";
            case RUN_LOG, HOT_RESTART -> "thermocouples, logger, chocks, somebody at the controls, extinguisher";
        };
    }

    private void foot(int n, int all) throws IOException {
        double top = high - FOOT;
        pdf.line(EDGE, top, WIDTH - EDGE, top, 0.8, Ink.INK);
        double x = EDGE;
        String[] labels = {
            "Date", "Fuel " + units.thermometer().symbol(), "Instrument error", "Clock", "Done by", "Witness", "Photos"
        };
        double[] wide = {60, 44, 104, 52, 112, 112, 44};
        for (int i = 0; i < labels.length; i++) {
            pdf.text(x, top + 11, labels[i], 7, false, Ink.SOFT);
            frame(x, top + 14, wide[i], BOX);
            x += wide[i] + 6;
        }
        pdf.text(
                EDGE,
                high - 16,
                "This card is a worksheet, not a record: enter the results, with the witness's name. It"
                        + " approves nothing; the inspector decides.",
                7.5,
                false,
                Ink.INK);
        String count = "card " + n + " of " + all;
        pdf.text(WIDTH - EDGE - pdf.width(count, 7.5, true), high - 16, count, 7.5, true, Ink.INK);
    }
}
