package ration.base.quantity;

/** Text as it may leave the program: what a terminal, a drawing or a calendar would take as a command is left out. */
public final class Plain {

    private Plain() {}

    /** On one line: control characters out, ends of lines as blanks. */
    public static String line(String text) {
        return cleaned(text).replaceAll("[\\n\\t]+", " ");
    }

    /** Of several lines: ends of lines and tabs stay. */
    public static String lines(String text) {
        return cleaned(text);
    }

    /** Control characters, and those that turn the direction of what follows or cannot stand in XML at all. */
    private static String cleaned(String text) {
        boolean clean = text.codePoints().noneMatch(Plain::bad);
        if (clean) {
            return text;
        }
        StringBuilder out = new StringBuilder();
        text.codePoints().forEach(c -> {
            if (!bad(c)) {
                out.appendCodePoint(c);
            }
        });
        return out.toString();
    }

    private static boolean bad(int c) {
        return Character.isISOControl(c) && c != '\n' && c != '\t'
                || c >= 0x202A && c <= 0x202E
                || c >= 0x2066 && c <= 0x2069
                || c >= 0xD800 && c <= 0xDFFF
                || c == 0xFFFE
                || c == 0xFFFF;
    }
}
