package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.List;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.base.quantity.UnitSystem;
import ration.record.upkeep.Due;
import ration.record.upkeep.Life;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What the page says of parts with a life, before any of it is a node.
 *
 * @param due the most urgent first
 * @param upkeep what is kept
 * @param system whose items they are pieces of
 */
record DueWords(List<Due> due, Upkeep upkeep, FuelSystem system) {

    DueWords {
        due = List.copyOf(due);
    }

    /**
     * A part in words.
     *
     * @param where the item it is a piece of, or its kind
     * @param fitted day; unknown where nobody said
     * @param hours of the airframe then; empty where nobody said
     * @param paper that came with it
     * @param last what was last done to it; empty if nothing
     */
    record Row(
            String name,
            String where,
            String fitted,
            String hours,
            String life,
            String left,
            String paper,
            String last,
            Verdict verdict) {

        /** For those who do not see it. */
        String spoken() {
            return name + ", " + life + ", " + left + ", " + verdict.word();
        }
    }

    /** How many are due, and how many nobody knows the age of. */
    String sum(LocalDate today) {
        long over = count(Verdict.FAILS);
        long unknown = due.stream()
                .filter(d -> d.verdict() == Verdict.NOT_SHOWN && d.part().life().ends() != Life.Ends.EACH_FLIGHT)
                .count();
        return due.isEmpty()
                ? "no tracked parts entered"
                : over + " of " + due.size() + " overdue" + (unknown > 0 ? ", " + unknown + " age unknown" : "")
                        + "; today " + today;
    }

    private long count(Verdict v) {
        return due.stream().filter(d -> d.verdict() == v).count();
    }

    Row row(Due d) {
        return new Row(
                d.part().name(),
                system.item(d.part().item())
                        .map(Item::name)
                        .orElse(d.part().kind().label()),
                d.part()
                        .fitted()
                        .map(f -> f.on().toString())
                        .orElse(d.part().life().ends() == Life.Ends.EACH_FLIGHT ? "n/a" : "unknown"),
                d.part()
                        .fitted()
                        .map(f -> UnitSystem.figure(f.hours(), 1) + " h")
                        .orElse(""),
                d.part().life().words(),
                d.left(),
                d.part().paper().isBlank() ? "none" : d.part().paper(),
                upkeep.history(d.part().id()).stream()
                        .findFirst()
                        .map(e -> e.what().word() + " " + e.on())
                        .orElse(""),
                d.verdict());
    }

    /** Its life over what of it is used, for a bar; empty where the age is not known. */
    static double bar(Due d) {
        return d.verdict() == Verdict.NOT_SHOWN
                ? Finding.MISSED
                : Double.isNaN(d.used()) || d.used() <= 0 ? Finding.MET : Math.min(Finding.MET, 1 / d.used());
    }
}
