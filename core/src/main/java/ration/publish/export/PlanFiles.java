package ration.publish.export;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateStart;
import biweekly.util.DateTimeComponents;
import biweekly.util.ICalDate;
import java.io.IOException;
import java.io.StringWriter;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Date;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import ration.aircraft.plumbing.CsvCell;
import ration.answer.plan.Plan;
import ration.answer.plan.PlanWords;
import ration.base.quantity.Plain;
import ration.publish.drawing.Ink;
import ration.publish.paper.PdfSheet;
import ration.record.project.Project;

/** The build as a table, as a calendar of deliveries, and as a list to take along. */
public final class PlanFiles {

    private static final double ROW = 15;
    private static final double BOX = 9;
    private static final double BOTTOM = PdfSheet.HEIGHT - PdfSheet.MARGIN - 22;
    private static final double NOW = 300;
    private static final double HOURS = 660;

    private PlanFiles() {}

    /** A row a step, each after all it waits for; hours as numbers, days as yyyy-mm-dd. */
    public static String csv(Plan plan) {
        PlanWords words = new PlanWords(plan);
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(
                    "step",
                    "name",
                    "stage",
                    "state",
                    "hours",
                    "expected",
                    "earliest (h)",
                    "float (h)",
                    "waits for",
                    "panels off",
                    "tools",
                    "neighbors",
                    "access (min)");
            for (Plan.Task t : plan.tasks()) {
                csv.printRecord(
                        t.key().text(),
                        CsvCell.out(Plain.line(t.name())),
                        t.step().stage().key(),
                        PlanWords.group(t.state()),
                        t.step().hours().map(String::valueOf).orElse(""),
                        t.step().expected().map(LocalDate::toString).orElse(""),
                        t.done() || Double.isNaN(t.earliest()) ? "" : t.earliest(),
                        t.done() || Double.isNaN(t.slack()) ? "" : t.slack(),
                        CsvCell.out(Plain.line(t.done() ? "" : words.waits(t))),
                        CsvCell.out(Plain.line(t.step().access().panels())),
                        CsvCell.out(Plain.line(t.step().access().tools())),
                        CsvCell.out(Plain.line(t.step().access().neighbors())),
                        t.step().access().minutes().map(String::valueOf).orElse(""));
            }
        } catch (IOException e) {
            throw new IllegalStateException("Writing to memory failed", e);
        }
        return out.toString();
    }

    /** An iCalendar file (RFC 5545): a whole-day entry for each delivery that is expected and not here. */
    public static String calendar(Project project, Plan plan) {
        PlanWords words = new PlanWords(plan);
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Ration//build//EN");
        for (Plan.Task t : plan.tasks()) {
            if (t.done() || !t.step().stage().awaited()) {
                continue;
            }
            t.step().expected().ifPresent(on -> {
                VEvent event = new VEvent();
                event.setUid(project.name().replaceAll("[^A-Za-z0-9]+", "-") + "-"
                        + t.key().text().replaceAll("[^A-Za-z0-9.]+", "-") + "@ration");
                event.setSummary(Plain.line(project.name()) + ": " + Plain.line(t.name()) + " expected");
                event.setDescription(Plain.line(words.blocks(t)));
                event.setDateStart(new DateStart(new ICalDate(
                        new DateTimeComponents(on.getYear(), on.getMonthValue(), on.getDayOfMonth()), false)));
                event.setDateTimeStamp(
                        Date.from(plan.today().atStartOfDay(ZoneOffset.UTC).toInstant()));
                calendar.addEvent(event);
            });
        }
        return Biweekly.write(calendar).go();
    }

    /** What is not done, group by group, with a box a step. */
    public static byte[] pdf(Project project, Plan plan) throws IOException {
        try (PdfSheet pdf = new PdfSheet(project.name() + ", build list")) {
            PlanWords words = new PlanWords(plan);
            double y = head(pdf, project, plan, words);
            for (Plan.State state : Plan.State.values()) {
                List<Plan.Task> tasks = state == Plan.State.DONE ? List.of() : plan.in(state);
                boolean titled = false;
                for (Plan.Task t : tasks) {
                    List<String> name = pdf.wrapped(t.name(), NOW - 40, 9.5, true);
                    List<String> now = pdf.wrapped(words.now(t), HOURS - NOW - 60, 9, false);
                    double high = ROW * Math.max(name.size(), now.size());
                    if (y + high + (titled ? 0 : 2 * ROW) > BOTTOM) {
                        y = head(pdf, project, plan, words);
                        titled = false;
                    }
                    if (!titled) {
                        pdf.text(
                                PdfSheet.MARGIN,
                                y + 4,
                                PlanWords.group(state) + " (" + tasks.size() + ")",
                                11,
                                true,
                                Ink.DEEP);
                        y += ROW + 8;
                        titled = true;
                    }
                    row(pdf, y, name, now, t, words);
                    y += high;
                }
                y += titled ? 8 : 0;
            }
            return pdf.bytes();
        }
    }

    private static void row(PdfSheet pdf, double y, List<String> name, List<String> now, Plan.Task t, PlanWords words)
            throws IOException {
        double x = PdfSheet.MARGIN;
        pdf.line(x, y - BOX + 1, x + BOX, y - BOX + 1, 0.8, Ink.INK);
        pdf.line(x, y + 1, x + BOX, y + 1, 0.8, Ink.INK);
        pdf.line(x, y - BOX + 1, x, y + 1, 0.8, Ink.INK);
        pdf.line(x + BOX, y - BOX + 1, x + BOX, y + 1, 0.8, Ink.INK);
        for (int l = 0; l < name.size(); l++) {
            pdf.text(x + 16, y + l * ROW, name.get(l), 9.5, true, Ink.INK);
        }
        for (int l = 0; l < now.size(); l++) {
            pdf.text(NOW, y + l * ROW, now.get(l), 9, false, Ink.INK);
        }
        String right = List.of(t.step().hours().map(PlanWords::hours).orElse("no hours"), words.slackSaid(t)).stream()
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining(", "));
        pdf.text(HOURS, y, right, 8.5, false, Ink.SOFT);
    }

    private static double head(PdfSheet pdf, Project project, Plan plan, PlanWords words) throws IOException {
        pdf.newPage();
        double y = PdfSheet.MARGIN + 14;
        pdf.text(PdfSheet.MARGIN, y, project.name() + ", build list, " + plan.today(), 15, true, Ink.INK);
        y += 15;
        for (String line :
                pdf.wrapped(words.sum() + ". " + words.left(), PdfSheet.WIDTH - 2 * PdfSheet.MARGIN, 8.5, false)) {
            pdf.text(PdfSheet.MARGIN, y, line, 8.5, false, Ink.SOFT);
            y += 11;
        }
        pdf.text(
                PdfSheet.MARGIN,
                PdfSheet.HEIGHT - PdfSheet.MARGIN + 8,
                "Temporary parts never count as done. No fuel before hidden joints are found tight. The manufacturers'"
                        + " instructions come first.",
                7.5,
                false,
                Ink.SOFT);
        pdf.line(PdfSheet.MARGIN, y, PdfSheet.WIDTH - PdfSheet.MARGIN, y, 0.8, Ink.EDGE);
        return y + 20;
    }
}
