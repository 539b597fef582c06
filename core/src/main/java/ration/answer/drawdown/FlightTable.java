package ration.answer.drawdown;

import java.io.IOException;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import ration.aircraft.model.Tank;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.project.Project;

/** A flight as a table: a row a minute and one for each event, in US units. */
public final class FlightTable {

    private FlightTable() {}

    /** Hours and minutes: 1:42. */
    public static String clock(double minutes) {
        long whole = Math.round(minutes);
        return String.format(Locale.ROOT, "%d:%02d", whole / 60, whole % 60);
    }

    /** Comma separated, with a head line that names units. */
    public static String csv(Project project, Flight f) {
        StringWriter out = new StringWriter();
        List<Tank> tanks = project.system().tanks();
        List<String> head = new ArrayList<>(List.of("minutes", "phase", "selector", "altitude (ft)"));
        tanks.forEach(t -> head.add(t.name() + " (gal)"));
        head.addAll(List.of(
                "burned (gal)",
                "imbalance L-R (gal)",
                "fuel (lb)",
                "fuel CG station (in)",
                "lateral moment (in lb)",
                "event"));
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            csv.printRecord(head);
            for (Flight.Sample s : f.samples()) {
                List<Object> row = new ArrayList<>(List.of(
                        figure(s.minutes(), 2),
                        f.phase(s).kind().label(),
                        String.join(" ", s.positions().values()),
                        figure(Unit.FOOT.fromSi(s.condition().air().day().altitudeM()), 0)));
                tanks.forEach(t -> row.add(figure(Unit.GALLON.fromSi(s.tank(t.id())), 3)));
                row.add(figure(Unit.GALLON.fromSi(s.burnt()), 3));
                row.add(figure(Unit.GALLON.fromSi(s.moments().leftLessRight()), 3));
                row.add(figure(s.moments().massKg() / 0.45359237, 2));
                row.add(
                        Double.isNaN(s.moments().stationM())
                                ? ""
                                : figure(Unit.INCH.fromSi(s.moments().stationM()), 2));
                row.add(figure(s.moments().lateralKgM() / 0.45359237 / 0.0254, 1));
                row.add(String.join(
                        "; ",
                        f.events().stream()
                                .filter(e -> Math.abs(e.minutes() - s.minutes()) < 1e-9)
                                .map(e -> e.kind().word() + (e.words().isEmpty() ? "" : ": " + e.words()))
                                .toList()));
                csv.printRecord(row);
            }
        } catch (IOException e) {
            throw new IllegalStateException("Writing to memory failed", e);
        }
        return out.toString();
    }

    private static String figure(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }

    /**
     * Minutes from a time as it is written: 1:30 or 90.
     *
     * @throws IllegalArgumentException where it is none, or beyond 24 hours
     */
    public static double minutes(String text) {
        String[] parts = text.strip().split(":");
        try {
            double m = parts.length == 2
                    ? 60 * Integer.parseInt(parts[0].strip()) + Integer.parseInt(parts[1].strip())
                    : Quantity.parse(text, Unit.MINUTE).si() / 60;
            if (m >= 0 && m <= 1440) {
                return m;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new IllegalArgumentException("Enter a time as 1:30 or as minutes, up to 24 hours.");
    }
}
