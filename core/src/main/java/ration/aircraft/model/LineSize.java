package ration.aircraft.model;

import static java.util.Map.entry;

import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ration.base.quantity.Quantity;
import ration.base.quantity.QuantityFormatException;
import ration.base.quantity.Unit;

/**
 * A size of tube or hose with its true bore.
 *
 * <p>Tube is named by outside diameter and wall: bore = OD - 2 x wall, exactly. Hose is named by dash number, which is
 * the outside diameter in sixteenths of the tube it goes with; its bore is smaller. Hose bores: braid-covered synthetic
 * rubber hose to MIL-H-8794, from memory. Roughness of drawn tube 0.0015 mm and of smoothed rubber 0.01 mm: textbook
 * values, from memory.
 *
 * @param kind tube, hose, or a bore measured directly
 * @param label as written in files and on screen
 * @param bore inside diameter, m
 * @param outer outside diameter of the tube, or of the tube the hose goes with, m; the bore where unknown
 */
public record LineSize(Kind kind, String label, double bore, double outer) {

    /** What the line is made as. */
    public enum Kind {
        TUBE(0.0015e-3),
        HOSE(0.01e-3),
        BORE(0.0015e-3);

        private final double roughness;

        Kind(double roughness) {
            this.roughness = roughness;
        }

        /** Absolute wall roughness, m. */
        public double roughness() {
            return roughness;
        }
    }

    private static final Pattern TUBE = Pattern.compile("\\s*(.+?)\\s*[x\u00d7]\\s*(\\.?[\\d.]+)\\s*(?:tube)?\\s*");
    private static final Pattern HOSE = Pattern.compile("\\s*-\\s*(\\d+)\\s*(?:(?i)(PTFE)\\s*)?hose\\s*");
    private static final Pattern PLAIN_BORE = Pattern.compile("\\s*(.+?)\\s*bore\\s*");
    /** Hose inside diameters by dash, inches. */
    private static final NavigableMap<Integer, Double> HOSE_BORE = new TreeMap<>(Map.ofEntries(
            entry(3, 1 / 8.0),
            entry(4, 3 / 16.0),
            entry(5, 1 / 4.0),
            entry(6, 5 / 16.0),
            entry(8, 13 / 32.0),
            entry(10, 1 / 2.0),
            entry(12, 5 / 8.0),
            entry(16, 7 / 8.0),
            entry(20, 1.125),
            entry(24, 1.375),
            entry(32, 1 + 13 / 16.0)));
    /**
     * PTFE hose is made in these sizes, and up to 3 % narrower than its nominal bore (from memory, confidence medium).
     */
    private static final List<Integer> PTFE = List.of(4, 5, 6, 8, 10, 12, 16);

    private static final double PTFE_NARROWER = 0.97;
    private static final List<LineSize> USUAL = List.of(
            parse("1/4 x 0.035 tube"),
            parse("5/16 x 0.035 tube"),
            parse("3/8 x 0.035 tube"),
            parse("1/2 x 0.035 tube"),
            parse("5/8 x 0.035 tube"),
            parse("-4 hose"),
            parse("-5 hose"),
            parse("-6 hose"),
            parse("-8 hose"),
            parse("-10 hose"));

    public LineSize {
        if (!(bore > 0.0005 && bore < 0.2)) {
            throw new IllegalArgumentException("The bore of \u201c" + label + "\u201d must lie between 0.02 and 8 in.");
        }
    }

    /** The sizes offered first. */
    public static List<LineSize> usual() {
        return USUAL;
    }

    /**
     * Reads {@code 3/8 x 0.035 tube}, {@code -6 hose} or {@code 0.31 in bore}.
     *
     * @throws IllegalArgumentException with a sentence for the writer
     */
    public static LineSize parse(String text) {
        Matcher hose = HOSE.matcher(text);
        if (hose.matches()) {
            int dash = hose.group(1).length() > 3 ? -1 : Integer.parseInt(hose.group(1));
            Double bore = HOSE_BORE.get(dash);
            boolean ptfe = hose.group(2) != null;
            if (bore == null || ptfe && !PTFE.contains(dash)) {
                throw new IllegalArgumentException("There is no -" + hose.group(1) + (ptfe ? " PTFE" : "")
                        + " hose in the table. Use "
                        + (ptfe ? PTFE : HOSE_BORE.keySet())
                                .stream().map(d -> "-" + d).collect(java.util.stream.Collectors.joining(", "))
                        + ", or give the bore.");
            }
            return new LineSize(
                    Kind.HOSE,
                    "-" + dash + (ptfe ? " PTFE hose" : " hose"),
                    Unit.INCH.toSi(bore) * (ptfe ? PTFE_NARROWER : 1),
                    Unit.INCH.toSi(dash / 16.0));
        }
        try {
            Matcher tube = TUBE.matcher(text);
            if (tube.matches()) {
                double outer = Quantity.parse(tube.group(1), Unit.INCH).si();
                double wall = Quantity.parse(tube.group(2), Unit.INCH).si();
                return new LineSize(
                        Kind.TUBE, tube.group(1) + " x " + tube.group(2) + " tube", outer - 2 * wall, outer);
            }
            Matcher bore = PLAIN_BORE.matcher(text);
            if (bore.matches()) {
                double inside = Quantity.parse(bore.group(1), Unit.INCH).si();
                return new LineSize(Kind.BORE, bore.group(1) + " bore", inside, inside);
            }
        } catch (QuantityFormatException e) {
            throw new IllegalArgumentException(
                    "\u201c" + text.strip() + "\u201d is not a line size: " + e.getMessage(), e);
        }
        throw new IllegalArgumentException("\u201c" + text.strip()
                + "\u201d is not a line size. Write 3/8 x 0.035 tube, -6 hose or 0.31 in bore.");
    }

    /** The short name on drawings: 3/8 tube, -6 hose. */
    public String shortName() {
        return kind == Kind.TUBE ? label.substring(0, label.indexOf(" x ")) : label;
    }

    /** The next usual size of the same kind with a larger bore. */
    public Optional<LineSize> nextUp() {
        return USUAL.stream()
                .filter(s -> s.kind == kind && s.bore > bore * 1.001)
                .findFirst();
    }

    /** Dash size: sixteenths of the tube's outside diameter, or of the tube a hose goes with; 0 for a plain bore. */
    public int dash() {
        return kind == Kind.BORE ? 0 : (int) Math.round(Unit.INCH.fromSi(outer) * 16);
    }

    /** The area of the bore, m2. */
    public double area() {
        return Math.PI * bore * bore / 4;
    }
}
