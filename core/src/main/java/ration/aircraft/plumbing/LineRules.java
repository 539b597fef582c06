package ration.aircraft.plumbing;

import static java.util.Map.entry;

import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Construction;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.base.quantity.Unit;

/**
 * Tables for lines, inches unless said. All from memory: AC 43.13-1B chapters 8 and 9 and the airframe handbook
 * FAA-H-8083-31 for rigid tube, MIL-H-8794 for hose. Where two published series are recalled both are kept: a figure is
 * wrong only outside both.
 */
public final class LineRules {

    /** Where the tables for rigid tube come from. */
    public static final String TUBE_SOURCE = "AC 43.13-1B and FAA-H-8083-31, tube tables (from memory)";
    /** Where the tables for hose come from. */
    public static final String HOSE_SOURCE = "AC 43.13-1B, flexible lines; MIL-H-8794 bend radii (from memory)";

    /** Where the tables for PTFE hose come from. */
    public static final String PTFE_SOURCE =
            "MIL-DTL-27267 type bend radii (from memory, confidence medium): the manufacturer may allow a tighter bend";

    /** Slack of hose over the way it goes, and at most (AC 43.13-1B, from memory). */
    public static final double LEAST_SLACK = 0.05;

    public static final double MOST_SLACK = 0.08;
    /** Farthest between supports of hose, in (AC 43.13-1B, from memory). */
    private static final double HOSE_SUPPORT = 24;
    /** Least distance to exhaust and other hot parts without a shield; practice, low confidence. */
    public static final double HEAT = 4;
    /** Least clearance to what a line could rub on; common practice, no source. */
    public static final double CHAFE = 0.5;

    private record Tube(double aluminiumRadius, double steelRadius, double aluminiumSpan, double steelSpan) {}

    /** By outside diameter in sixteenths. */
    private static final Map<Integer, Tube> TUBES = Map.ofEntries(
            entry(2, new Tube(3 / 8.0, 0, 9.5, 11.5)),
            entry(3, new Tube(7 / 16.0, 21 / 32.0, 12, 14)),
            entry(4, new Tube(9 / 16.0, 7 / 8.0, 13.5, 16)),
            entry(5, new Tube(3 / 4.0, 1.125, 15, 18)),
            entry(6, new Tube(15 / 16.0, 1 + 5 / 16.0, 16.5, 20)),
            entry(8, new Tube(1.25, 1.75, 19, 23)),
            entry(10, new Tube(1.5, 2 + 3 / 16.0, 22, 25.5)),
            entry(12, new Tube(1.75, 2.625, 24, 27.5)),
            entry(16, new Tube(3, 3.5, 26.5, 30)),
            entry(20, new Tube(3.75, 4.375, 0, 0)),
            entry(24, new Tube(5, 5.25, 0, 0)));
    /** Braided rubber, inside of the bend. */
    private static final Map<Integer, Double> HOSE_RADIUS = Map.ofEntries(
            entry(3, 3.0),
            entry(4, 3.0),
            entry(5, 3.38),
            entry(6, 4.0),
            entry(8, 4.63),
            entry(10, 5.5),
            entry(12, 6.5),
            entry(16, 7.38),
            entry(20, 9.0),
            entry(24, 11.0),
            entry(32, 13.25));
    /** PTFE, medium pressure, inside of the bend, as the older specification has it; makers' sheets go lower. */
    private static final Map<Integer, Double> PTFE_RADIUS = Map.of(4, 3.0, 5, 3.38, 6, 4.0, 8, 4.62, 10, 5.5, 12, 6.5);

    /**
     * Torque of a flare nut, lb-in.
     *
     * @param lowest of either series
     * @param low of what both allow: the target
     * @param high of what both allow
     * @param highest of either series
     */
    public record Torque(double lowest, double low, double high, double highest) {}

    private static final Map<Integer, Torque> ALUMINIUM_TORQUE = Map.ofEntries(
            entry(2, new Torque(20, 20, 30, 30)),
            entry(3, new Torque(25, 30, 35, 40)),
            entry(4, new Torque(40, 50, 65, 65)),
            entry(5, new Torque(60, 70, 80, 90)),
            entry(6, new Torque(75, 110, 125, 130)),
            entry(8, new Torque(150, 230, 250, 260)),
            entry(10, new Torque(200, 330, 350, 360)),
            entry(12, new Torque(300, 460, 500, 500)),
            entry(16, new Torque(500, 500, 700, 700)),
            entry(20, new Torque(600, 800, 900, 900)),
            entry(24, new Torque(600, 800, 900, 900)));
    /** The largest sizes in two recalled series, as aluminium is. */
    private static final Map<Integer, Torque> STEEL_TORQUE = Map.ofEntries(
            entry(2, new Torque(75, 75, 85, 85)),
            entry(3, new Torque(95, 95, 105, 105)),
            entry(4, new Torque(135, 135, 150, 150)),
            entry(5, new Torque(170, 170, 200, 200)),
            entry(6, new Torque(270, 270, 300, 300)),
            entry(8, new Torque(450, 450, 500, 500)),
            entry(10, new Torque(650, 650, 700, 700)),
            entry(12, new Torque(900, 900, 1000, 1000)),
            entry(16, new Torque(1200, 1200, 1400, 1400)),
            entry(20, new Torque(1500, 1520, 1680, 1800)),
            entry(24, new Torque(1900, 1900, 2100, 2100)));

    private LineRules() {}

    /** What a run is made as: as stated, else aluminium for tube and braided rubber for hose. */
    public static Construction construction(Run run) {
        return run.build()
                .construction()
                .orElse(run.size().kind() == LineSize.Kind.HOSE ? Construction.BRAIDED : Construction.ALUMINIUM);
    }

    /** Least bend radius, m: to the centreline for tube, to the inside of the bend for hose. */
    public static OptionalDouble leastRadius(Run run) {
        Construction c = construction(run);
        int dash = run.size().dash();
        double inches = c.hose()
                ? (c == Construction.PTFE ? PTFE_RADIUS : HOSE_RADIUS).getOrDefault(dash, 0.0)
                : !TUBES.containsKey(dash)
                        ? 0
                        : c == Construction.STEEL ? TUBES.get(dash).steelRadius : TUBES.get(dash).aluminiumRadius;
        return inches == 0 ? OptionalDouble.empty() : OptionalDouble.of(Unit.INCH.toSi(inches));
    }

    /** Farthest between supports, m. */
    public static OptionalDouble farthestSupports(Run run) {
        Construction c = construction(run);
        int dash = run.size().dash();
        double inches = c.hose()
                ? HOSE_SUPPORT
                : !TUBES.containsKey(dash)
                        ? 0
                        : c == Construction.STEEL ? TUBES.get(dash).steelSpan : TUBES.get(dash).aluminiumSpan;
        return inches == 0 ? OptionalDouble.empty() : OptionalDouble.of(Unit.INCH.toSi(inches));
    }

    /** Where working pressures come from. */
    public static final String RATING_SOURCE =
            "MIL-H-8794 operating pressures; SAE J30 for push-on and injection hose (from memory); the"
                    + " manufacturer's print precedes";
    /** Operating pressure of braided rubber hose, psi, by dash. */
    private static final Map<Integer, Integer> HOSE_PSI = Map.ofEntries(
            entry(3, 3000),
            entry(4, 3000),
            entry(5, 3000),
            entry(6, 2000),
            entry(8, 2000),
            entry(10, 1750),
            entry(12, 1750),
            entry(16, 800),
            entry(20, 600),
            entry(24, 500),
            entry(32, 350));
    /** For a size that is not in the table. */
    private static final int LEAST_PSI = 350;
    /**
     * SAE J30 R6 and R7; injection hose, R9, twice that; barbed sockets by the lower end of what makers print, cold.
     */
    private static final double PUSH_ON_PSI = 50;

    private static final double INJECTION_PSI = 100;
    private static final double BARBED_PSI = 150;
    /** Lower end of what is usual, cold; from memory, confidence low. */
    private static final double NYLON_PSI = 60;
    /** Clear tube carries the head of a tank and no more; what a molded hose stands is on its print. */
    private static final double HEAD_PSI = 5;

    /** Working pressure of a hose, Pa; empty for tube, whose joints stand far more than any fuel pump gives. */
    public static OptionalDouble rating(Run run) {
        Construction c = construction(run);
        if (!c.hose()) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Unit.PSI.toSi(
                switch (c) {
                    case PUSH_ON -> PUSH_ON_PSI;
                    case INJECTION -> INJECTION_PSI;
                    case BARBED -> BARBED_PSI;
                    case NYLON -> NYLON_PSI;
                    case CLEAR, MOLDED -> HEAD_PSI;
                    case BRAIDED, PTFE, ALUMINIUM, STEEL ->
                        HOSE_PSI.getOrDefault(run.size().dash(), LEAST_PSI);
                }));
    }

    /**
     * What a kind of hose stands in heat, as it is usually printed.
     *
     * @param low lower end of the range, K
     * @param high upper end, K
     */
    public record HeatRange(double low, double high) {}

    private static HeatRange fahrenheit(double low, double high) {
        return new HeatRange(Unit.FAHRENHEIT.toSi(low), Unit.FAHRENHEIT.toSi(high));
    }

    /**
     * The usual range of a run's hose; empty of tube and of what is as it is printed. From memory, confidence middling
     * to low: it warns, and shows nothing to hold.
     */
    public static Optional<HeatRange> heat(Run run) {
        return switch (construction(run)) {
            case PUSH_ON -> Optional.of(fahrenheit(212, 257));
            case INJECTION -> Optional.of(fahrenheit(257, 300));
            case BARBED -> Optional.of(fahrenheit(200, 250));
            case BRAIDED -> Optional.of(fahrenheit(250, 300));
            case PTFE -> Optional.of(fahrenheit(450, 450));
            case NYLON -> Optional.of(fahrenheit(200, 240));
            case CLEAR -> Optional.of(fahrenheit(120, 150));
            case MOLDED, ALUMINIUM, STEEL -> Optional.empty();
        };
    }

    /** Proof over working pressure of a hose; practice of hose shops, from memory. */
    public static final double PROOF = 2;

    /** Torque for the flare nuts of a run; null for a size without one. Hose ends are taken as steel-nutted tube. */
    public static Torque torque(Run run) {
        return (construction(run) == Construction.STEEL ? STEEL_TORQUE : ALUMINIUM_TORQUE)
                .get(run.size().dash());
    }
}
