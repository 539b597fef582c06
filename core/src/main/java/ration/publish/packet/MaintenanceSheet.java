package ration.publish.packet;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import ration.base.quantity.UnitSystem;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.record.upkeep.Due;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Life;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Parts that have a life and how much of it is over, the log, and lines for entries by hand. */
final class MaintenanceSheet {

    static final String KEY = "maintenance";
    private static final int BY_HAND = 3;

    private final Pages pages;
    private final Dossier d;

    MaintenanceSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        Upkeep upkeep = d.project().upkeep();
        List<Due> all = Due.of(upkeep, d.today());
        List<Verdict> falling =
                Due.falling(upkeep, d.today()).stream().map(Due::verdict).toList();
        pages.page(
                KEY,
                "Maintenance",
                falling.isEmpty() ? Optional.empty() : Optional.of(Dossier.worst(falling)),
                "airframe " + UnitSystem.figure(upkeep.hours(), 1) + " h, on " + d.today());
        if (all.isEmpty()) {
            pages.text("No tracked parts entered.", 8.5, false);
        } else {
            pages.section("Tracked parts", "most urgent first; bar: life left");
            pages.table(
                    List.of(
                            Column.cell(
                                    "Part, reference",
                                    x -> Cell.over(x.part().name(), x.part().paper())),
                            Column.text("Installed", x -> x.part()
                                    .fitted()
                                    .map(f -> f.on() + ", " + UnitSystem.figure(f.hours(), 1) + " h")
                                    .orElse(each(x) ? "n/a" : "unknown")),
                            Column.text("Interval", x -> x.part().life().words()),
                            Column.text("Next due", MaintenanceSheet::next),
                            Column.text("Remaining", Due::left),
                            Column.cell("", MaintenanceSheet::state)),
                    all);
            pages.note(
                    "Intervals are common practice where no other source is entered; the manufacturers' instructions,"
                            + " once entered, come first.");
        }
        pages.section(
                "Log",
                Dossier.count(upkeep.log().size(), "entry", "entries")
                        + "; never edited, only corrected by a later one");
        if (!upkeep.log().isEmpty()) {
            pages.table(
                    List.of(
                            Column.<Entry>strong("No.", e -> String.valueOf(e.number())),
                            Column.text("Date", e -> e.on().toString()),
                            Column.figure("Hours", e -> UnitSystem.figure(e.hours(), 1)),
                            Column.text(
                                    "What was done or found",
                                    e -> e.words() + (upkeep.corrected(e) ? " (corrected)" : "")),
                            Column.text("By", Entry::who)),
                    upkeep.log());
        }
        byHand();
    }

    private static boolean each(Due x) {
        return x.part().life().ends() == Life.Ends.EACH_FLIGHT;
    }

    private static String next(Due x) {
        return x.on().map(Object::toString)
                .orElse(Double.isNaN(x.atHours()) ? "n/a" : UnitSystem.figure(x.atHours(), 1) + " h");
    }

    private static Cell state(Due x) {
        // a life that is over is an empty bar, a new one a full one
        double left = Double.isNaN(x.used()) ? Finding.MISSED : Math.max(0, Finding.MET * (1 - x.used()));
        return each(x) ? Cell.of("not recorded") : Cell.state(left, x.verdict());
    }

    private void byHand() throws IOException {
        pages.section(
                "Entries by hand after printing", "enter them in the document too: its ID does not cover them", 100);
        pages.table(
                List.of(
                        Column.<Integer>cell("Date", n -> new Cell.Blank()),
                        Column.cell("Hours", n -> new Cell.Blank()),
                        Column.cell("What was done or found", n -> new Cell.Blank()),
                        Column.cell("Name, certificate no.", n -> new Cell.Blank())),
                java.util.stream.IntStream.range(0, BY_HAND).boxed().toList());
    }
}
