package ration.publish.export;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/** Every case of the matrix as CSV, a row a case, units in the column names. */
public final class MatrixCsv {

    private MatrixCsv() {}

    public static String of(Assessment a, UnitSystem units) {
        Unit flow = units.unit(Dimension.FLOW);
        Unit volume = units.unit(Dimension.VOLUME);
        Unit pressure = units.unit(Dimension.PRESSURE);
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(
                out, CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get())) {
            List<String> head = new ArrayList<>(List.of("attitude", "pitch_deg", "tilt_deg"));
            a.project().system().selectors().forEach(s -> head.add(s.name()));
            head.addAll(List.of("contents", "pumps", "filters"));
            a.project().system().tanks().forEach(t -> head.add(t.name() + "_" + volume.symbol()));
            head.addAll(List.of(
                    "capacity_" + flow.symbol(),
                    "open_line_" + flow.symbol(),
                    "demand_" + flow.symbol(),
                    "margin",
                    "needed",
                    "verdict",
                    "inlet_pressure_at_demand_" + pressure.symbol(),
                    "obstacle"));
            csv.printRecord(
                    head.stream().map(ration.aircraft.plumbing.CsvCell::out).toList());
            for (CaseAnswer c : a.cases()) {
                List<String> row = new ArrayList<>(List.of(
                        c.condition().attitude().name(),
                        number(c.condition().attitude().pitchDegrees(), 2),
                        number(c.condition().attitude().tiltDegrees(), 2)));
                for (Selector s : a.project().system().selectors()) {
                    row.add(c.condition().positions().getOrDefault(s.id(), ""));
                }
                row.addAll(List.of(
                        c.filling().label(a.project().system()),
                        c.pumps().label(),
                        c.condition().engine().fouled() ? "fouled" : "clean"));
                for (Tank t : a.project().system().tanks()) {
                    row.add(number(volume.fromSi(c.condition().contents().getOrDefault(t.id(), 0.0)), 3));
                }
                var left = c.inletPressureAtDemand(a.project().system());
                row.addAll(List.of(
                        number(flow.fromSi(c.capacity().inletFlow()), 3),
                        number(flow.fromSi(c.openLine().inletFlow()), 3),
                        number(flow.fromSi(c.need()), 3),
                        number(c.margin(), 4),
                        number(c.factor(), 2),
                        c.verdict().word(),
                        left.isPresent() ? number(pressure.fromSi(left.getAsDouble()), 4) : "",
                        c.obstacle(a.project().system())));
                csv.printRecord(
                        row.stream().map(ration.aircraft.plumbing.CsvCell::out).toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String number(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }
}
