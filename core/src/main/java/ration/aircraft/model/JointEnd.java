package ration.aircraft.model;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One half of a joint: how it seals, its size, and which half it is.
 *
 * @param way how it seals
 * @param size -6 for flares and o-rings, 1/4 for pipe threads, 3/8 for barbs
 * @param female a nut or a bore; otherwise a cone or an outside thread
 */
public record JointEnd(Way way, String size, boolean female) {

    /** How a joint seals. */
    public enum Way {
        FLARE("flare"),
        FLARE_45("45\u00b0 flare"),
        PIPE("NPT"),
        O_RING("o-ring"),
        BARB("barb");

        private final String label;

        Way(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    private static final Pattern WRITTEN = Pattern.compile(
            "\\s*(-?\\s*\\d+(?:\\s*/\\s*\\d+)?)\\s*(?:in)?\\s+(45(?:\u00b0|deg)? flare|flare|npt|pipe|o-?ring|barb)"
                    + "(?:\\s+(male|female|m|f))?\\s*",
            Pattern.CASE_INSENSITIVE);

    /**
     * Reads {@code -6 flare female}, {@code 1/4 NPT male}, {@code 3/8 barb}.
     *
     * @throws IllegalArgumentException with a sentence for the writer
     */
    public static JointEnd parse(String text) {
        Matcher m = WRITTEN.matcher(text);
        if (!m.matches()) {
            throw new IllegalArgumentException("\u201c" + text.strip()
                    + "\u201d is not a fitting. Use -6 flare female, 1/4 NPT male, -6 o-ring male or 3/8 barb.");
        }
        String size = m.group(1).replaceAll("\\s", "");
        String kind = m.group(2).toLowerCase(Locale.ROOT);
        Way way = kind.startsWith("45")
                ? Way.FLARE_45
                : kind.equals("flare")
                        ? Way.FLARE
                        : kind.equals("npt") || kind.equals("pipe")
                                ? Way.PIPE
                                : kind.equals("barb") ? Way.BARB : Way.O_RING;
        boolean dash = way == Way.FLARE || way == Way.FLARE_45 || way == Way.O_RING;
        if (dash != size.startsWith("-")) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: flares and o-rings are sized by dash"
                    + " (-6), pipe threads and barbs in inches (1/4).");
        }
        String half = m.group(3) == null ? "" : m.group(3).toLowerCase(Locale.ROOT);
        if (half.isEmpty() && way != Way.BARB) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: say male or female.");
        }
        return new JointEnd(way, size, half.startsWith("f"));
    }

    /** Whether the two halves go together. */
    public boolean mates(JointEnd other) {
        return way == other.way && size.equals(other.size) && female != other.female;
    }

    /** The same size and way, the other half. */
    public JointEnd opposite() {
        return new JointEnd(way, size, !female);
    }

    /** The adapter between a fitting and a port that do not mate, in words. */
    public static String adapter(JointEnd fitting, JointEnd port) {
        return port.opposite().text() + " to " + fitting.opposite().text();
    }

    /** As {@link #parse} reads it. */
    public String text() {
        return size + " " + way.label() + (way == Way.BARB && !female ? "" : female ? " female" : " male");
    }
}
