package ration.aircraft.plumbing;

import java.util.regex.Pattern;

/**
 * Cells of tables on their way out and in. A spreadsheet takes a cell that begins with = + - or @ for a formula; such a
 * cell goes out behind an apostrophe, which is taken off again when it is read. Plain numbers go as they are.
 */
public final class CsvCell {

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(?:\\.\\d+)?(?:[eE][+-]?\\d+)?");
    private static final String FORMULA = "=+-@\t\r";

    private CsvCell() {}

    /** As it is written. */
    public static String out(String text) {
        if (text.isEmpty() || NUMBER.matcher(text).matches()) {
            return text;
        }
        boolean formula = FORMULA.indexOf(text.charAt(0)) >= 0;
        return formula || guarded(text) ? "'" + text : text;
    }

    /** As it was meant. */
    public static String in(String text) {
        return guarded(text) ? text.substring(1) : text;
    }

    /** Whether an apostrophe stands before something that would want one. */
    private static boolean guarded(String text) {
        return text.length() > 1 && text.charAt(0) == '\'' && (FORMULA + "'").indexOf(text.charAt(1)) >= 0;
    }
}
