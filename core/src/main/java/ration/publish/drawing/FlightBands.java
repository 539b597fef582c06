package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Pump;
import ration.aircraft.topology.Topology;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightTable;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Project;

/** Under the curves of a flight: where the handles stand, when each pump runs, and what happens. */
final class FlightBands {

    private static final double PUMP = 13;
    private static final double ROW = 13;
    private static final int ROWS = 5;
    private static final int MOST_PUMPS = 3;

    private final Project project;
    private final Flight flight;
    private final TextMeasure measure;
    private final Scale x;
    private final double axis;
    private final List<Pump> pumps;
    private final List<Piece> pieces = new ArrayList<>();

    /** @param axis where times are written, px */
    FlightBands(Project project, Flight flight, TextMeasure measure, Scale x, double axis) {
        this.project = project;
        this.flight = flight;
        this.measure = measure;
        this.x = x;
        this.axis = axis;
        pumps = Topology.of(project.system()).feedPumps().stream()
                .limit(MOST_PUMPS)
                .toList();
    }

    /** How high they are together, px. */
    double height() {
        return ROWS * ROW + (project.system().selectors().isEmpty() ? 0 : FlightPicture.BAND + 6) + pumps.size() * PUMP;
    }

    List<Piece> draw(double top) {
        events(pumps(selector(top)));
        return pieces;
    }

    /** Minutes at which the axis is written. */
    List<Double> hours() {
        double step = 30;
        for (double s : new double[] {5, 10, 15, 30, 60, 120, 240}) {
            if (s / (x.high() - x.low()) * (x.toPx() - x.fromPx()) >= 56) {
                step = s;
                break;
            }
        }
        List<Double> all = new ArrayList<>();
        for (double t = 0; t <= x.high() + 1e-9; t += step) {
            all.add(t);
        }
        return all;
    }

    /** The bands of the handles; where the pumps begin. */
    private double selector(double top) {
        if (project.system().selectors().isEmpty()) {
            return top;
        }
        List<Mark> marks = new ArrayList<>();
        marks.add(FlightPicture.label(FlightPicture.LEFT - 8, top + 12, "Selector", false, Ink.SOFT, Anchor.END));
        List<Flight.Sample> all = flight.samples();
        int from = 0;
        int n = 0;
        for (int i = 1; i <= all.size(); i++) {
            if (i == all.size() || !all.get(i).positions().equals(all.get(from).positions())) {
                double a = x.at(all.get(from).minutes());
                double b = x.at(all.get(Math.min(i, all.size() - 1)).minutes());
                boolean after = all.get(from).minutes() >= flight.landing().minutes() - 1e-6;
                String words = String.join(" ", all.get(from).positions().values());
                String time = from == 0 ? "" : FlightTable.clock(all.get(from).minutes()) + "  ";
                marks.add(new Box(
                        a,
                        top,
                        Math.max(1, b - a),
                        FlightPicture.BAND,
                        2,
                        after ? Ink.PANEL : n % 2 == 0 ? Ink.FUEL_TINT : Ink.FUEL_STANDING,
                        Pen.of(after ? Ink.EDGE : Ink.FUEL, 1)));
                String text = measure.width(time + words, 11, true) + 8 < b - a
                        ? time + words
                        : measure.width(words, 11, true) + 4 < b - a ? words : "";
                if (!text.isEmpty()) {
                    marks.add(FlightPicture.label(
                            (a + b) / 2, top + 12, text, !after, after ? Ink.SOFT : Ink.INK, Anchor.MIDDLE));
                }
                from = i;
                n++;
            }
        }
        pieces.add(new Piece("", Kind.SYMBOL, "", marks));
        return top + FlightPicture.BAND + 6;
    }

    private String shortened(String name) {
        String plain = name.replace(" pump", "");
        while (plain.length() > 3 && measure.width(plain, 11, false) > FlightPicture.LEFT - 14) {
            plain = plain.substring(0, plain.length() - 2) + "\u2026";
        }
        return plain;
    }

    /** When each pump runs; where the events begin. */
    private double pumps(double top) {
        List<Mark> marks = new ArrayList<>();
        List<Flight.Sample> all = flight.samples();
        double y = top;
        for (Pump p : pumps) {
            marks.add(FlightPicture.label(
                    FlightPicture.LEFT - 8, y + 9, shortened(p.name()), false, Ink.SOFT, Anchor.END));
            int from = 0;
            for (int i = 1; i <= all.size(); i++) {
                if (i == all.size()
                        || all.get(i).stopped().contains(p.id())
                                != all.get(from).stopped().contains(p.id())) {
                    double a = x.at(all.get(from).minutes());
                    double b = x.at(all.get(Math.min(i, all.size() - 1)).minutes());
                    if (!all.get(from).stopped().contains(p.id())) {
                        marks.add(new Box(
                                a,
                                y + 2,
                                Math.max(1, b - a),
                                7,
                                1,
                                all.get(from).minutes() < flight.landing().minutes() ? Ink.FUEL_MID : Ink.FUEL_PALE,
                                Pen.of(Ink.NONE, 0)));
                    }
                    from = i;
                }
            }
            y += PUMP;
        }
        pieces.add(new Piece("", Kind.SYMBOL, "", marks));
        return y + (pumps.isEmpty() ? 0 : 4);
    }

    /** What is told, what happens at one moment together. */
    private List<FlightEvent> told() {
        List<FlightEvent> all = new ArrayList<>();
        for (FlightEvent e : flight.events()) {
            if (e.kind() == FlightEvent.Kind.PHASE || e.kind() == FlightEvent.Kind.SWITCH) {
                continue;
            }
            int last = all.size() - 1;
            if (last >= 0 && e.minutes() - all.get(last).minutes() < 0.5) {
                FlightEvent before = all.remove(last);
                boolean worse = e.kind().bad() || e.kind() == FlightEvent.Kind.ENDS;
                all.add(new FlightEvent(
                        e.minutes(), worse ? e.kind() : before.kind(), e.about(), before.words() + ", " + e.words()));
            } else {
                all.add(e);
            }
        }
        return all;
    }

    private void events(double top) {
        List<Mark> marks = new ArrayList<>();
        marks.add(FlightPicture.label(FlightPicture.LEFT - 8, top + 11, "Events", false, Ink.SOFT, Anchor.END));
        List<List<double[]>> rows = new ArrayList<>();
        for (int i = 0; i < ROWS; i++) {
            rows.add(new ArrayList<>());
        }
        List<FlightEvent> told = told();
        for (FlightEvent e : told) {
            String words = e.words() + " " + FlightTable.clock(e.minutes());
            boolean bad = e.kind().bad() && e.minutes() < flight.landing().minutes() - 1e-6;
            boolean bold = bad || e.kind() == FlightEvent.Kind.LANDS || e.kind() == FlightEvent.Kind.ENDS;
            double at = x.at(e.minutes());
            double w = measure.width(words, 11, bold);
            boolean crossed = told.stream().anyMatch(o -> x.at(o.minutes()) > at + 1 && x.at(o.minutes()) < at + w + 8);
            double left = at + 6 + w > x.toPx() || crossed && at - 8 - w > FlightPicture.LEFT ? at - 5 - w : at + 5;
            int row = 0;
            while (row < ROWS - 1 && rows.get(row).stream().anyMatch(r -> left < r[1] + 6 && left + w > r[0] - 6)) {
                row++;
            }
            rows.get(row).add(new double[] {Math.min(left, at), left + w});
            double y = top + 11 + row * ROW;
            Ink ink = bad ? Ink.RUST_TEXT : Ink.INK;
            marks.add(SchematicPart.line(at, top, at, y - 1, Pen.of(bad ? Ink.RUST : Ink.INK, 1)));
            marks.add(new Disc(new Spot(at, top), 2, bad ? Ink.RUST : Ink.INK, Pen.of(Ink.NONE, 0)));
            marks.add(FlightPicture.label(left, y, words, bold, ink, Anchor.START));
        }
        for (double t : hours()) {
            marks.add(FlightPicture.label(x.at(t), axis, FlightTable.clock(t), false, Ink.INK, Anchor.MIDDLE));
        }
        double landed = x.at(flight.landing().minutes());
        marks.add(SchematicPart.line(landed, FlightPicture.PHASES, landed, top, Pen.of(Ink.INK, 1.4)));
        pieces.add(new Piece("", Kind.TEXT, "", marks));
    }
}
