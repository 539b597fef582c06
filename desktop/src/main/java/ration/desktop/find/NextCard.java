package ration.desktop.find;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import ration.answer.find.NextReading;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.record.reading.Reading;

/** What to read next: what it may read, what that would leave, the work and the caution. */
final class NextCard extends ColumnBox {

    private final ReadingLog log;

    NextCard(ReadingLog log) {
        super(8);
        this.log = log;
        getStyleClass().add("card-body");
    }

    void fill(FindWords found) {
        getChildren().clear();
        List<NextReading> next = found.next();
        Optional<Reading> again = found.suspect();
        if (again.isPresent()) {
            Label words = Ui.wrapped(
                    "Read " + (found.read().indexOf(again.get()) + 1) + " again with another instrument", "page-title");
            words.setId("find-again");
            getChildren()
                    .addAll(
                            words,
                            Ui.wrapped(
                                    "No failure explains it together with the others. Remove the wrong reading.",
                                    "soft"),
                            wide(Ui.button("Enter reading", "find-enter-again", () -> log.prepare(again.get()))),
                            Ui.rule());
        }
        if (next.isEmpty()) {
            getChildren().add(Ui.wrapped(found.nothingNext(), "soft"));
        } else {
            best(next.get(0));
            getChildren().addAll(Ui.rule(), Ui.label("Other readings", "group-title"));
            for (NextReading other : next.subList(1, Math.min(4, next.size()))) {
                getChildren()
                        .add(Ui.wrapped(
                                other.words() + ": " + other.minutes() + " min, narrows to "
                                        + UnitSystem.figure(other.left(), 1),
                                "soft"));
            }
        }
        getChildren()
                .addAll(
                        Ui.rule(),
                        Ui.wrapped(
                                "Fault frequencies: common practice, no source. Double faults are not searched."
                                        + " Fire hazard: ventilate, no ignition source, extinguisher at hand.",
                                "soft"));
    }

    private static Button wide(Button b) {
        b.setMaxWidth(Double.MAX_VALUE);
        return b;
    }

    private void best(NextReading best) {
        Label asked = Ui.wrapped(best.words(), "page-title");
        asked.setId("find-next");
        getChildren()
                .addAll(
                        new RowBox(
                                8,
                                Ui.label("Next reading", "group-title"),
                                Ui.spring(),
                                Ui.label(best.minutes() + " min", "soft")),
                        asked,
                        Ui.wrapped("Narrows to about " + UnitSystem.figure(best.left(), 1) + " causes."));
        for (NextReading.Outcome o : best.outcomes().stream().limit(4).toList()) {
            VBox box = new ColumnBox(
                    1,
                    Ui.label(FindWords.reads(best.asked(), o, log.entry()), "bold"),
                    Ui.label(UnitSystem.figure(100 * o.chance(), 0) + " in 100", "soft"),
                    Ui.wrapped(FindWords.leaves(o)));
            box.getStyleClass().add("outcome");
            getChildren().add(box);
        }
        if (!best.caution().isEmpty()) {
            Label caution = Ui.wrapped(best.caution(), "caution");
            caution.setId("find-caution");
            getChildren().add(caution);
        }
        getChildren().add(wide(Ui.button("Enter reading", "find-enter", () -> log.prepare(best.asked()))));
    }
}
