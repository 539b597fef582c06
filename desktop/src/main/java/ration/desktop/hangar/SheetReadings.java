package ration.desktop.hangar;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;

/**
 * What can be entered of a test that has a form, and what that changes of the record.
 *
 * @param units meant where none is written
 */
record SheetReadings(UnitSystem units) {

    /** The unit a figure is written in where none is. */
    Unit meant(Form.Ask ask) {
        Dimension d = ask.unit().dimension();
        return d == Dimension.LENGTH || d == Dimension.VOLUME || d == Dimension.PRESSURE ? units.unit(d) : ask.unit();
    }

    /** What a field is called where it is not seen beside its words. */
    String label(Form.Ask ask) {
        String symbol = meant(ask).symbol();
        return ask.label() + (symbol.isEmpty() ? "" : ", " + symbol);
    }

    /** The first figure without which the test says nothing and that nobody entered. */
    Optional<Form.Ask> missing(List<Form.Ask> asks, Map<String, String> entered) {
        return asks.stream()
                .filter(Form.Ask::needed)
                .filter(a -> entered.getOrDefault(a.key(), "").isBlank())
                .findFirst();
    }

    String asksFor(Form.Ask ask) {
        String symbol = meant(ask).symbol();
        return ask.label() + ": enter what was read, such as 12" + (symbol.isEmpty() ? "" : " " + symbol) + ".";
    }

    /**
     * What was entered; nothing is recorded that nobody entered.
     *
     * @param by what dropped a figure in, by key; empty where it was typed
     * @throws IllegalArgumentException with a sentence where one is missing or cannot be
     */
    Map<String, Measured> read(List<Form.Ask> asks, Map<String, String> entered, Map<String, String> by) {
        missing(asks, entered).ifPresent(a -> {
            throw new IllegalArgumentException(asksFor(a));
        });
        Map<String, Measured> all = new LinkedHashMap<>();
        for (Form.Ask ask : asks) {
            String text = entered.getOrDefault(ask.key(), "");
            if (!text.isBlank()) {
                Quantity q = Quantity.parse(text, meant(ask));
                ask.check(q.si());
                all.put(ask.key(), new Measured(q, by.getOrDefault(ask.key(), "")));
            }
        }
        return all;
    }

    static UnaryOperator<HangarTest> on(UnaryOperator<Work.Sheet> change) {
        return Recording.work(Work.Sheet.class, change);
    }

    /** Figures entered once. */
    static UnaryOperator<HangarTest> figures(Map<String, Measured> read) {
        return on(now -> {
            Work.Sheet with = now;
            for (Map.Entry<String, Measured> e : read.entrySet()) {
                with = with.with(e.getKey(), e.getValue());
            }
            return with;
        });
    }

    static UnaryOperator<HangarTest> struck(int run) {
        return on(now ->
                now.withRows(now.rows().subList(0, Math.min(run - 1, now.rows().size()))));
    }

    /** Pieces nobody looked at. */
    static List<String> open(Work.Sheet sheet, Map<String, String> pieces) {
        return pieces.keySet().stream().filter(p -> sheet.row(p).isEmpty()).toList();
    }

    static UnaryOperator<HangarTest> all(List<String> pieces, Grade grade) {
        return on(now -> {
            Work.Sheet all = now;
            for (String p : pieces) {
                all = all.seen(Work.Row.seen(p, grade));
            }
            return all;
        });
    }

    /**
     * The day on which a piece is looked at again.
     *
     * @throws IllegalArgumentException where it is none
     */
    static UnaryOperator<HangarTest> again(Work.Row row, String day) {
        try {
            String on = LocalDate.parse(day.strip()).toString();
            return on(now -> now.seen(new Work.Row(row.of(), row.figures(), row.grade(), on)));
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("Enter a date, e.g. 2026-12-05.", e);
        }
    }
}
