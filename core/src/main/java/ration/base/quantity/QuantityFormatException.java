package ration.base.quantity;

/** Says, in one sentence for the writer, why a text is not the quantity wanted and what would be. */
public final class QuantityFormatException extends IllegalArgumentException {

    QuantityFormatException(String text, Unit wanted) {
        super(sentence(text, wanted));
    }

    private QuantityFormatException(String sentence) {
        super(sentence);
    }

    /** A comma that may part thousands or decimals. */
    static QuantityFormatException ambiguous(String text, String digits, String unit) {
        String after = unit.isEmpty() ? "" : " " + unit;
        return new QuantityFormatException("\u201c" + shorten(text.strip()) + "\u201d can be read two ways. Use "
                + digits.replace(",", "") + after + " or " + digits.replace(',', '.') + after + ".");
    }

    /** A figure no aircraft holds. */
    static QuantityFormatException beyond(String text, Unit wanted, String range) {
        Dimension d = wanted.dimension();
        return new QuantityFormatException(
                "\u201c" + shorten(text.strip()) + "\u201d is out of range: " + d.words() + " must be " + range + ".");
    }

    private static String sentence(String text, Unit wanted) {
        String shown = text == null || text.isBlank() ? "Nothing" : "\u201c" + shorten(text.strip()) + "\u201d";
        String units = String.join(", ", Quantity.symbols(wanted.dimension()));
        return shown + " is not " + wanted.dimension().words() + ". Use a number such as 3/8, 52 1/2 or 7.7"
                + (units.isEmpty() ? "." : ", with one of: " + units + ".");
    }

    private static String shorten(String text) {
        return text.length() <= 30 ? text : text.substring(0, 29) + "\u2026";
    }
}
