package ration.answer.ask;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;
import ration.aircraft.model.Pump;
import ration.aircraft.plumbing.CsvCell;
import ration.aircraft.plumbing.CsvTable;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;

/**
 * Pumps one may choose from, as the builder's own table has them: a row a point of a curve, with the columns pump,
 * flow, pressure; flow in gph and pressure in psi unless the cell says otherwise. Lines that begin with # are left out.
 */
public final class Candidates {

    private static final List<String> COLUMNS = List.of("pump", "flow", "pressure");

    /**
     * One of them.
     *
     * @param name as in the table
     * @param curve flow rising, pressure not rising
     */
    public record Candidate(String name, List<Pump.CurvePoint> curve) {
        public Candidate {
            curve = List.copyOf(curve);
        }
    }

    private Candidates() {}

    /**
     * Reads such a table.
     *
     * @throws IllegalArgumentException with the row, and what to write instead
     */
    public static List<Candidate> read(String text) {
        Map<String, List<Pump.CurvePoint>> all = new LinkedHashMap<>();
        for (CSVRecord r : CsvTable.rows(text, "table", COLUMNS, COLUMNS)) {
            all.computeIfAbsent(CsvCell.in(r.get("pump")), k -> new ArrayList<>())
                    .add(point(r));
        }
        if (all.isEmpty()) {
            throw new IllegalArgumentException("The table has no pump.");
        }
        return all.entrySet().stream()
                .map(e -> new Candidate(e.getKey(), sound(e.getKey(), e.getValue())))
                .toList();
    }

    private static Pump.CurvePoint point(CSVRecord r) {
        return new Pump.CurvePoint(
                figure(r, "flow", Unit.GALLON_PER_HOUR, Dimension.FLOW),
                figure(r, "pressure", Unit.PSI, Dimension.PRESSURE));
    }

    private static Measured figure(CSVRecord r, String column, Unit usual, Dimension wanted) {
        String cell = r.isMapped(column) ? r.get(column) : "";
        try {
            Quantity q = Quantity.parse(cell, usual);
            if (q.unit().dimension() == wanted && q.si() >= 0) {
                return new Measured(q, "maker");
            }
        } catch (IllegalArgumentException e) {
            // said below
        }
        throw new IllegalArgumentException("Row " + r.getRecordNumber() + ", " + column + ": \u201c" + cell
                + "\u201d is not " + wanted.words() + " of 0 or more. Use "
                + (wanted == Dimension.FLOW ? "30 gph" : "6 psi")
                + ".");
    }

    private static List<Pump.CurvePoint> sound(String name, List<Pump.CurvePoint> points) {
        points.sort(Comparator.comparingDouble(p -> p.flow().si()));
        boolean falls = points.size() >= 2;
        for (int i = 1; i < points.size(); i++) {
            falls &= points.get(i).flow().si() > points.get(i - 1).flow().si()
                    && points.get(i).pressure().si()
                            <= points.get(i - 1).pressure().si();
        }
        if (!falls) {
            throw new IllegalArgumentException(name
                    + ": a curve needs two points or more, each with more flow and no more pressure"
                    + " than the one before.");
        }
        return points;
    }
}
