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
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import ration.aircraft.plumbing.CsvCell;
import ration.base.quantity.Plain;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.record.upkeep.Entry;

/** What falls due, as a calendar and as a table; the log as a table. */
public final class UpkeepFiles {

    private UpkeepFiles() {}

    /**
     * An iCalendar file (RFC 5545): a whole-day entry for each part that falls due on a day, two weeks' notice in its
     * text.
     */
    public static String calendar(Project p, LocalDate today) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Ration//upkeep//EN");
        for (Due d : Due.of(p.upkeep(), today)) {
            d.on().ifPresent(on -> {
                VEvent event = new VEvent();
                event.setUid(p.name().replaceAll("[^A-Za-z0-9]+", "-") + "-"
                        + d.part().id() + "@ration");
                event.setSummary(
                        Plain.line(p.name()) + ": " + Plain.line(d.part().name()) + ", "
                                + d.part().life().ends().word());
                event.setDescription(d.part().life().words()
                        + (Double.isNaN(d.atHours())
                                ? ""
                                : "; or at " + ration.base.quantity.UnitSystem.figure(d.atHours(), 1) + " h")
                        + ". The manufacturer's instructions take precedence.");
                event.setDateStart(new DateStart(day(on)));
                event.setDateTimeStamp(
                        Date.from(today.atStartOfDay(ZoneOffset.UTC).toInstant()));
                calendar.addEvent(event);
            });
        }
        return Biweekly.write(calendar).go();
    }

    /** Days are days, wherever the reader is. */
    private static ICalDate day(LocalDate on) {
        return new ICalDate(new DateTimeComponents(on.getYear(), on.getMonthValue(), on.getDayOfMonth()), false);
    }

    /** Parts, the most urgent first. */
    public static String parts(Project p, LocalDate today) {
        return table(
                List.of(
                        "part",
                        "item",
                        "kind",
                        "life",
                        "fitted",
                        "fitted (h)",
                        "made",
                        "due on",
                        "due at (h)",
                        "left",
                        "state",
                        "paper"),
                Due.of(p.upkeep(), today).stream()
                        .map(d -> List.<Object>of(
                                d.part().name(),
                                d.part().item(),
                                d.part().kind().label(),
                                d.part().life().words(),
                                d.part().fitted().map(f -> f.on().toString()).orElse("unknown"),
                                d.part()
                                        .fitted()
                                        .map(f -> String.valueOf(f.hours()))
                                        .orElse(""),
                                d.part()
                                        .fitted()
                                        .flatMap(f -> f.made())
                                        .map(LocalDate::toString)
                                        .orElse(""),
                                d.on().map(LocalDate::toString).orElse(""),
                                Double.isNaN(d.atHours()) ? "" : String.valueOf(d.atHours()),
                                d.left(),
                                d.verdict().word(),
                                d.part().paper()))
                        .toList());
    }

    /** The log, in the order of its entries. */
    public static String log(Project p) {
        return table(
                List.of("number", "day", "hours", "part", "what", "words", "who", "corrects"),
                p.upkeep().log().stream()
                        .map(e -> List.<Object>of(
                                e.number(),
                                e.on().toString(),
                                e.hours(),
                                e.part(),
                                e.what().word(),
                                e.words(),
                                e.who(),
                                corrects(e)))
                        .toList());
    }

    private static String corrects(Entry e) {
        return e.corrects() == 0 ? "" : String.valueOf(e.corrects());
    }

    private static String table(List<String> head, List<List<Object>> rows) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(head);
            for (List<Object> row : rows) {
                csv.printRecord(row.stream()
                        .map(o -> o instanceof String s ? CsvCell.out(Plain.lines(s)) : o)
                        .toList());
            }
        } catch (IOException e) {
            throw new IllegalStateException("Writing to memory failed", e);
        }
        return out.toString();
    }
}
