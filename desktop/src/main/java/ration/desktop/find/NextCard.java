package ration.desktop.find;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.desktop.control.Ui;
import ration.find.Explanation;
import ration.find.NextReading;
import ration.quantity.UnitSystem;
import ration.reading.Reading;

/** What to read next: what it may read, what that would leave, the work and the caution. */
final class NextCard extends VBox {

    private final ReadingLog log;

    NextCard(ReadingLog log) {
        super(8);
        this.log = log;
        getStyleClass().add("card-body");
    }

    void fill(List<Explanation> ranked, List<NextReading> next, List<Reading> read) {
        getChildren().clear();
        Optional<Reading> again = suspect(ranked, read);
        if (again.isPresent()) {
            Label words = Ui.wrapped("Read " + (read.indexOf(again.get()) + 1) + " again with another instrument", "page-title");
            words.setId("find-again");
            getChildren().addAll(words, Ui.wrapped("Nothing that fails explains it beside the others. Take away the wrong one.", "soft"), wide(Ui.button(
                    "Enter what it reads", "find-enter-again", () -> log.prepare(again.get()))), Ui.rule());
        }
        if (next.isEmpty()) {
            getChildren().add(Ui.wrapped(ranked.isEmpty() ? "Enter a reading: a pressure, a flow, the minutes until the engine falters, or what is seen and"
                    + " heard, as the conditions bar is set." : "One cause is left, or no reading that can be taken here would part the rest.", "soft"));
        } else {
            best(next.get(0));
            getChildren().addAll(Ui.rule(), Ui.label("Or else", "group-title"));
            for (NextReading other : next.subList(1, Math.min(4, next.size()))) {
                getChildren().add(Ui.wrapped(other.words() + ": " + other.minutes() + " min, leaves " + UnitSystem.figure(other.left(), 1), "soft"));
            }
        }
        getChildren().addAll(Ui.rule(), Ui.wrapped("How common faults are is common practice, no source. Two things that fail at once are not looked"
                + " for. Ventilate; no ignition source; extinguisher at hand.", "soft"));
    }

    /** A reading whose instrument is the likeliest cause. */
    private static Optional<Reading> suspect(List<Explanation> ranked, List<Reading> read) {
        return ranked.stream().findFirst().filter(e -> e.word().equals("likely") && e.fault().isEmpty() && e.name().startsWith("Instrument")).flatMap(e -> java.util.stream.IntStream.range(0,
                read.size()).filter(i -> i < e.fits().size() && Double.isNaN(e.fits().get(i).expected())).mapToObj(read::get).findFirst());
    }

    private static Button wide(Button b) {
        b.setMaxWidth(Double.MAX_VALUE);
        return b;
    }

    private void best(NextReading best) {
        Label asked = Ui.wrapped(best.words(), "page-title");
        asked.setId("find-next");
        getChildren().addAll(new HBox(8, Ui.label("Read next", "group-title"), Ui.spring(), Ui.label(best.minutes() + " min", "soft")), asked, Ui.wrapped(
                "Leaves " + UnitSystem.figure(best.left(), 1) + " suspects on average."));
        for (NextReading.Outcome o : best.outcomes().stream().limit(4).toList()) {
            String reads = log.figure(best.asked().what(), o.from()) + (o.to() - o.from() > 0.02 * Math.abs(o.to()) ? " to " + log.figure(best.asked().what(),
                    o.to()) : "");
            VBox box = new VBox(1, Ui.label(reads, "bold"), Ui.label(UnitSystem.figure(100 * o.chance(), 0) + " in 100", "soft"), Ui.wrapped(String.join("; ", o
                    .leaves().stream().limit(3).toList()) + (o.leaves().size() > 3 ? "; and " + (o.leaves().size() - 3) + " more" : "")));
            box.getStyleClass().add("outcome");
            getChildren().add(box);
        }
        if (!best.caution().isEmpty()) {
            Label caution = Ui.wrapped(best.caution(), "caution");
            caution.setId("find-caution");
            getChildren().add(caution);
        }
        getChildren().add(wide(Ui.button("Enter what it reads", "find-enter", () -> log.prepare(best.asked()))));
    }
}
