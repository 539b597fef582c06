package ration.aircraft.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * An end fitting of a hose as it stands on its port: straight, or an elbow that turns from the way the port faces. The
 * hose begins at {@code P + drop a + leg d}, where P is the seat, a the way the port faces and d the way the elbow
 * turns to; for a straight end d is a.
 *
 * @param degrees the elbow turns by, 0 to 180; 0 is straight
 * @param faces the way the port faces, outward; empty of a straight end, which goes with its hose
 * @param turns the way it turns toward, square to that; empty of a straight end
 * @param drop from the seat to the corner, m
 * @param leg from the corner to the hose, m; from the seat of a straight end
 * @param swivels whether the whole end turns on the hose after it is made up; a swivel nut frees nothing
 */
public record HoseEnd(
        double degrees, Optional<Toward> faces, Optional<Toward> turns, double drop, double leg, boolean swivels) {

    /** Along an axis of the aircraft. */
    public enum Toward {
        FORWARD(-1, 0, 0),
        AFT(1, 0, 0),
        RIGHT(0, 1, 0),
        LEFT(0, -1, 0),
        UP(0, 0, 1),
        DOWN(0, 0, -1);

        private final Point3 unit;

        Toward(double x, double y, double z) {
            unit = new Point3(x, y, z);
        }

        public Point3 unit() {
            return unit;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        private static Toward written(String text) {
            for (Toward t : values()) {
                if (t.word().equals(text)) {
                    return t;
                }
            }
            throw new IllegalArgumentException(
                    "\u201c" + text + "\u201d is no direction. Use forward, aft, left, right, up or down.");
        }
    }

    private static final double MOST = Unit.INCH.toSi(12);

    public HoseEnd {
        if (!(degrees >= 0 && degrees <= 180) || !(drop >= 0 && drop <= MOST) || !(leg >= 0 && leg <= MOST)) {
            throw new IllegalArgumentException("An end fitting turns by 0 to 180\u00b0, its legs are 0 to 12 in.");
        }
        if ((degrees > 0) != (faces.isPresent() && turns.isPresent())) {
            throw new IllegalArgumentException("Say how the port faces and where the elbow turns: 90 up aft.");
        }
        if (faces.isPresent() && Math.abs(faces.get().unit.dot(turns.get().unit)) > 1e-9) {
            throw new IllegalArgumentException(
                    "An elbow turns square to the way the port faces: 90 up aft, not 90 up down.");
        }
    }

    /**
     * Reads {@code straight}, {@code straight 0.85}, {@code 90 up aft}, {@code 45 down forward 0.7 0.8 swivel}:
     * degrees, how the port faces, where it turns to, drop and leg in inches.
     *
     * @param usual leg where none is written, m
     * @throws IllegalArgumentException with a sentence for the writer
     */
    public static HoseEnd parse(String text, double usual) {
        List<String> words = new ArrayList<>(List.of(text.strip()
                .toLowerCase(Locale.ROOT)
                .replace("\u00b0", " ")
                .replace(",", " ")
                .split("\\s+")));
        boolean swivels = words.remove("swivel");
        boolean straight = words.remove("straight");
        try {
            List<Double> figures = new ArrayList<>();
            List<String> ways = new ArrayList<>();
            for (String w : words) {
                if (w.matches("[0-9]*\\.?[0-9]+")) {
                    figures.add(Double.parseDouble(w));
                } else if (!w.isBlank() && !w.equals("in")) {
                    ways.add(w);
                }
            }
            if (straight || !figures.isEmpty() && figures.get(0) == 0 && ways.isEmpty()) {
                int at = straight ? 0 : 1;
                double leg = figures.size() > at ? Unit.INCH.toSi(figures.get(at)) : usual;
                return new HoseEnd(0, Optional.empty(), Optional.empty(), 0, leg, swivels);
            }
            if (figures.isEmpty() || ways.size() != 2) {
                throw new IllegalArgumentException(
                        "\u201c" + text.strip() + "\u201d is no end. Use straight, 90 up aft or 45 down forward 0.7 0.8"
                                + " swivel: degrees, port faces, turns to, drop and leg in inches.");
            }
            return new HoseEnd(
                    figures.get(0),
                    Optional.of(Toward.written(ways.get(0))),
                    Optional.of(Toward.written(ways.get(1))),
                    figures.size() > 1 ? Unit.INCH.toSi(figures.get(1)) : usual,
                    figures.size() > 2 ? Unit.INCH.toSi(figures.get(2)) : usual,
                    swivels);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d is no end. Use 90 up aft.", e);
        }
    }

    /** As {@link #parse} reads it. */
    public String text() {
        String legs = (degrees > 0 ? " " + inches(drop) : "") + " " + inches(leg) + (swivels ? " swivel" : "");
        return degrees > 0
                ? UnitSystem.figure(degrees, 1).replaceAll("\\.0$", "") + " "
                        + faces.get().word() + " " + turns.get().word() + legs
                : "straight" + legs;
    }

    private static String inches(double m) {
        return UnitSystem.figure(Unit.INCH.fromSi(m), 3).replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    /** Which way the hose leaves it; empty of a straight end. */
    public Optional<Point3> leaves() {
        double a = Math.toRadians(degrees);
        return faces.map(f -> new Point3(
                f.unit.x() * Math.cos(a) + turns.get().unit.x() * Math.sin(a),
                f.unit.y() * Math.cos(a) + turns.get().unit.y() * Math.sin(a),
                f.unit.z() * Math.cos(a) + turns.get().unit.z() * Math.sin(a)));
    }

    /** From the seat to where the hose begins; empty of a straight end. */
    public Optional<Point3> reach() {
        return leaves().map(d -> {
            Point3 f = faces.get().unit;
            return new Point3(f.x() * drop + d.x() * leg, f.y() * drop + d.y() * leg, f.z() * drop + d.z() * leg);
        });
    }

    /** What it adds to the hose along the way from seat to seat, m. */
    public double length() {
        return degrees > 0 ? drop + leg : leg;
    }
}
