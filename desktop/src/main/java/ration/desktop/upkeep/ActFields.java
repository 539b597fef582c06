package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.Optional;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import ration.base.quantity.UnitSystem;
import ration.record.upkeep.Upkeep;

/** When work was done, at how many hours, by whom and under which paper. */
final class ActFields extends GridPane {

    private final TextField day;
    private final TextField hours;
    private final TextField who;
    private final TextField paper;

    /** @param prefix of the fields' ids */
    ActFields(String prefix) {
        day = Fields.text(prefix + "-day", "Date of the work", "2026-03-09");
        hours = Fields.text(prefix + "-hours", "Airframe time then", "h");
        who = Fields.text(prefix + "-who", "Who did it", "who");
        paper = Fields.text(prefix + "-paper", "Release form, batch", "paper, batch");
        setHgap(6);
        setVgap(4);
        addRow(0, day, hours);
        addRow(1, who, paper);
    }

    void begin(LocalDate today, double airframe) {
        day.setText(today.toString());
        hours.setText(UnitSystem.figure(airframe, 1).replace(",", ""));
    }

    /** Throws with a sentence where something cannot be read, or lies ahead. */
    Upkeep.Act read(LocalDate today) {
        LocalDate on = Fields.readDay(day.getText());
        if (on.isAfter(today)) {
            throw new IllegalArgumentException("That date is in the future. Enter work done, not planned.");
        }
        return new Upkeep.Act(
                on,
                Fields.readHours(hours.getText()),
                who.getText().strip(),
                paper.getText().strip(),
                Optional.empty());
    }
}
