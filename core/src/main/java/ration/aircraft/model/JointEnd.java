package ration.aircraft.model;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * One half of a joint: how it seals, its size, and which half it is.
 *
 * @param way how it seals
 * @param size -6 for flares and o-rings, 1/4 for pipe threads, 3/8 for barbs, beads and snap couplings, M14x1.5 for
 *     metric threads and the bolts of banjos
 * @param female a nut or a bore; otherwise a cone or an outside thread
 */
public record JointEnd(Way way, String size, boolean female) {

    /** How a joint seals. */
    public enum Way {
        FLARE("flare"),
        FLARE_45("45\u00b0 flare"),
        PIPE("NPT"),
        O_RING("o-ring"),
        BARB("barb"),
        /** A parallel metric thread, sealed by a washer. */
        METRIC("metric"),
        /** An eye held by a hollow metric bolt, a crush washer on either side. */
        BANJO("banjo"),
        /** A bead rolled on a tube, over which hose is slipped. */
        BEAD("bead"),
        /** A spigot and a socket that snap together. */
        SNAP("snap");

        private final String label;

        Way(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        /** Whether nobody says male of it. */
        private boolean plain() {
            return this == BARB || this == BEAD || this == BANJO;
        }
    }

    private static final Pattern WRITTEN = Pattern.compile(
            "\\s*(-?\\s*\\d+(?:\\s*/\\s*\\d+)?|m\\s*\\d+\\s*[x\u00d7]\\s*\\d(?:\\.\\d+)?)\\s*(?:in)?\\s+"
                    + "(45(?:\u00b0|deg)? flare|flare|npt|pipe|o-?ring|barb|metric|banjo|bead|snap)"
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
                    + "\u201d is not a fitting. Use -6 flare female, 1/4 NPT male, -6 o-ring male, 3/8 barb, 3/8 bead,"
                    + " M14x1.5 metric female, M12x1.5 banjo or 5/16 snap male.");
        }
        String size = m.group(1)
                .replaceAll("\\s", "")
                .replace('\u00d7', 'x')
                .replace('X', 'x')
                .replace('m', 'M');
        String kind = m.group(2).toLowerCase(Locale.ROOT);
        Way way = kind.startsWith("45")
                ? Way.FLARE_45
                : kind.equals("flare")
                        ? Way.FLARE
                        : kind.equals("npt") || kind.equals("pipe")
                                ? Way.PIPE
                                : Stream.of(Way.values())
                                        .filter(w -> w.label.equals(kind))
                                        .findFirst()
                                        .orElse(Way.O_RING);
        boolean metric = way == Way.METRIC || way == Way.BANJO;
        if (metric != size.startsWith("M")) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: metric threads and banjos, and only"
                    + " they, are sized by thread (M14x1.5).");
        }
        boolean dash = way == Way.FLARE || way == Way.FLARE_45 || way == Way.O_RING;
        if (dash != size.startsWith("-")) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: flares and o-rings are sized by dash"
                    + " (-6), pipe threads and barbs in inches (1/4).");
        }
        String half = m.group(3) == null ? "" : m.group(3).toLowerCase(Locale.ROOT);
        if (half.isEmpty() && !way.plain()) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d: say male or female.");
        }
        return new JointEnd(way, size, half.startsWith("f"));
    }

    /** Whether the two halves go together. */
    public boolean mates(JointEnd other) {
        return size.equals(other.size)
                && female != other.female
                && (way == other.way
                        ? way != Way.BANJO
                        : slips(other) || other.slips(this) || bolts(other) || other.bolts(this));
    }

    /** Hose goes over a bead as it does over a barb. */
    private boolean slips(JointEnd tube) {
        return way == Way.BARB && female && tube.way == Way.BEAD && !tube.female;
    }

    /** The bolt of a banjo goes into a port of its thread. */
    private boolean bolts(JointEnd port) {
        return way == Way.BANJO && !female && port.way == Way.METRIC && port.female;
    }

    /**
     * Whether the two threads start in one another and never hold: their diameters are within a twentieth of an inch
     * and their pitch is not the same. From memory, confidence middling.
     */
    public boolean startsIn(JointEnd other) {
        return START.stream()
                .anyMatch(pair ->
                        pair.contains(thread()) && pair.contains(other.thread()) && !thread().equals(other.thread()));
    }

    private static final List<Set<String>> START =
            List.of(Set.of("M14x1.5", "9/16-18"), Set.of("M10x1.0", "1/8 NPT"), Set.of("M10x1", "1/8 NPT"));

    /** As threads are called; what has none is called by itself. */
    private String thread() {
        boolean dashed = way == Way.FLARE || way == Way.O_RING;
        return dashed && size.equals("-6")
                ? "9/16-18"
                : way == Way.METRIC || way == Way.BANJO ? size : way == Way.PIPE ? size + " NPT" : text();
    }

    /** Whether a flare and an o-ring boss share a thread and differ in their seat. */
    public boolean sharesThread(JointEnd other) {
        return size.equals(other.size)
                && female != other.female
                && (way == Way.O_RING && other.way == Way.FLARE || way == Way.FLARE && other.way == Way.O_RING);
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
        return size + " " + way.label() + (way.plain() && !female ? "" : female ? " female" : " male");
    }
}
