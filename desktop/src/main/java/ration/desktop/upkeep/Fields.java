package ration.desktop.upkeep;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;
import javafx.scene.control.TextField;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.QuantityField;

/** Fields of this page: hours, days, plain words. */
final class Fields {

    private Fields() {}

    static QuantityField<Double> hours(String id, String words) {
        return new QuantityField<>(
                id, words, Fields::readHours, h -> UnitSystem.figure(h, 1).replace(",", ""));
    }

    static double readHours(String text) {
        try {
            double h = Double.parseDouble(text.strip()
                    .toLowerCase(Locale.ROOT)
                    .replace("h", "")
                    .replace(',', '.')
                    .strip());
            if (h >= 0 && h <= 100_000) {
                return h;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new IllegalArgumentException(
                "\u201c" + text.strip() + "\u201d is no airframe time: 0 to 100,000 hours, as 412.6.");
    }

    static LocalDate readDay(String text) {
        try {
            return LocalDate.parse(text.strip());
        } catch (DateTimeException e) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d is not a date. Use 2026-03-09.");
        }
    }

    static TextField text(String id, String words, String prompt) {
        TextField field = new TextField();
        field.setId(id);
        field.setAccessibleText(words);
        field.setPromptText(prompt);
        return field;
    }
}
