package ration.desktop.build;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Optional;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.QuantityField;

/** Fields of this page: hours and days that may be blank. */
final class Entries {

    private Entries() {}

    static QuantityField<Optional<Double>> hours(String id, String words) {
        return number(id, words, "a number of hours", "h", ration.record.build.Step.MOST_HOURS);
    }

    /**
     * A number from 0 on, or blank.
     *
     * @param what it is, for the sentence that says that it is none
     * @param unit that may be written behind it
     */
    static QuantityField<Optional<Double>> number(String id, String words, String what, String unit, double most) {
        return new QuantityField<>(id, words, t -> read(t, what, unit, most), h -> h.map(
                        x -> UnitSystem.figure(x, Math.abs(x - Math.rint(x)) < 1e-9 ? 0 : 2)
                                .replace(",", ""))
                .orElse(""));
    }

    private static Optional<Double> read(String text, String what, String unit, double most) {
        String bare = text.strip()
                .toLowerCase(java.util.Locale.ROOT)
                .replace(unit, "")
                .strip();
        if (bare.isEmpty()) {
            return Optional.empty();
        }
        try {
            double h = Double.parseDouble(bare.replace(',', '.'));
            if (h >= 0 && h <= most) {
                return Optional.of(h);
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new IllegalArgumentException(
                "\u201c" + text.strip() + "\u201d is not " + what + ". Use 2.5, or leave it blank.");
    }

    static QuantityField<Optional<LocalDate>> day(String id, String words) {
        return new QuantityField<>(
                id, words, Entries::readDay, d -> d.map(LocalDate::toString).orElse(""));
    }

    private static Optional<LocalDate> readDay(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(text.strip()));
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "\u201c" + text.strip() + "\u201d is not a date. Use 2026-03-09, or leave it blank.", e);
        }
    }
}
