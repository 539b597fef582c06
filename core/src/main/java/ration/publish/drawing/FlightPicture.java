package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import ration.aircraft.flight.Phase;
import ration.aircraft.model.Tank;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.FlightVapor;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Project;

/**
 * A flight on one time axis: phases, altitude, what is in each tank, handles and pumps, events, balance, middle of the
 * fuel.
 */
public final class FlightPicture {

    static final double LEFT = 66;
    private static final double RIGHT = 22;
    static final double PHASES = 22;
    static final double BAND = 15;
    private static final double HIGH = 44;
    private static final double HIGH_TO = 74;
    private static final double CHART = 92;

    private final Project project;
    private final Flight flight;
    private final UnitSystem units;
    private final TextMeasure measure;
    private final double height;
    private final Scale x;
    private final Unit volume;
    private final List<Tank> tanks;
    private final List<Piece> pieces = new ArrayList<>();
    private final Occupancy taken = new Occupancy();
    private final double foot;
    private final double strips;
    private final FlightStrips below;
    private final FlightBands bands;

    private FlightPicture(
            Project project,
            Flight flight,
            Optional<FlightVapor> vapor,
            UnitSystem units,
            TextMeasure measure,
            double width,
            double height) {
        this.project = project;
        this.flight = flight;
        this.units = units;
        this.measure = measure;
        this.height = height;
        double end = Math.max(
                flight.samples().get(flight.samples().size() - 1).minutes(),
                flight.plan().landing());
        x = new Scale(0, Math.max(10, end), LEFT, width - RIGHT);
        volume = units.unit(Dimension.VOLUME);
        tanks = project.system().tanks();
        below = new FlightStrips(project, flight, vapor, units, x);
        strips = below.height();
        bands = new FlightBands(project, flight, measure, x, height - strips - 12);
        foot = height - strips - 34 - bands.height();
    }

    /**
     * @param vapor along the way; empty where it was not asked
     * @param cursor minutes at which values are told
     */
    public static Picture draw(
            Project project,
            Flight flight,
            Optional<FlightVapor> vapor,
            double cursor,
            UnitSystem units,
            TextMeasure measure,
            double width,
            double height) {
        FlightPicture p = new FlightPicture(project, flight, vapor, units, measure, width, height);
        p.phases();
        p.altitude();
        p.grid();
        p.floor();
        p.curves();
        p.floorWords();
        p.pieces.addAll(p.bands.draw(p.foot + 8));
        p.pieces.addAll(p.below.draw(height - p.strips + 14));
        p.cursor(cursor);
        return new Picture(width, height, p.pieces);
    }

    /** The time under a place across such a picture, minutes. */
    public static double minutes(Flight flight, double px, double width) {
        double end = Math.max(
                10,
                Math.max(
                        flight.samples().get(flight.samples().size() - 1).minutes(),
                        flight.plan().landing()));
        return Math.max(0, Math.min(end, (px - LEFT) / (width - RIGHT - LEFT) * end));
    }

    private void piece(Kind kind, String words, List<Mark> marks) {
        pieces.add(new Piece("", kind, words, marks));
    }

    static Label label(double x, double y, String text, boolean bold, Ink ink, Anchor anchor) {
        return new Label(x, y, text, 11, bold, ink, anchor);
    }

    private void phases() {
        List<Mark> marks = new ArrayList<>();
        marks.add(label(LEFT - 8, PHASES + 12, "Phase", false, Ink.SOFT, Anchor.END));
        double from = 0;
        double free = LEFT;
        int n = 0;
        List<Label> over = new ArrayList<>();
        for (Phase p : flight.plan().phases()) {
            double a = x.at(Math.min(from, x.high()));
            double b = x.at(Math.min(from + p.lasts(), x.high()));
            boolean after = p.kind() == Phase.Kind.RESERVE;
            if (b > a) {
                marks.add(new Box(
                        a,
                        PHASES,
                        b - a,
                        BAND,
                        0,
                        after ? Ink.PANEL : n % 2 == 0 ? Ink.GRID : Ink.HAIRLINE,
                        Pen.of(after ? Ink.EDGE : Ink.NONE, after ? 1 : 0)));
                String name = p.kind().label().toLowerCase(java.util.Locale.ROOT);
                double wide = measure.width(name, 11, false);
                if (wide + 4 < b - a) {
                    marks.add(label((a + b) / 2, PHASES + 12, name, false, Ink.INK, Anchor.MIDDLE));
                } else {
                    double at = Math.max(free, Math.min((a + b - wide) / 2, x.toPx() - wide));
                    over.add(label(at, PHASES - 6, name, false, Ink.INK, Anchor.START));
                    free = at + wide + 8;
                }
            }
            from += p.lasts();
            n++;
        }
        // what was pushed over the right end pushes those before it back
        double end = x.toPx();
        for (int i = over.size() - 1; i >= 0; i--) {
            Label l = over.get(i);
            double at = Math.min(l.x(), end - measure.width(l.text(), 11, false));
            marks.add(label(at, l.y(), l.text(), false, Ink.INK, Anchor.START));
            end = at - 8;
        }
        piece(Kind.GROUND, "", marks);
    }

    private List<Spot> line(Scale y, ToDoubleFunction<Flight.Sample> value) {
        List<Spot> spots = new ArrayList<>();
        for (Flight.Sample s : flight.samples()) {
            double v = value.applyAsDouble(s);
            if (!Double.isNaN(v)) {
                spots.add(new Spot(x.at(s.minutes()), y.at(v)));
            }
        }
        return spots;
    }

    private void altitude() {
        double most = flight.samples().stream()
                .mapToDouble(s -> s.condition().air().day().altitudeM())
                .max()
                .orElse(1);
        double least = flight.samples().stream()
                .mapToDouble(s -> s.condition().air().day().altitudeM())
                .min()
                .orElse(0);
        Scale y = new Scale(Math.min(least, most - 1), most, HIGH_TO, HIGH);
        List<Mark> marks = new ArrayList<>();
        marks.add(label(LEFT - 8, HIGH_TO - 10, "Altitude", false, Ink.SOFT, Anchor.END));
        marks.add(new Path(
                line(y, s -> s.condition().air().day().altitudeM()), false, Ink.NONE, Pen.of(Ink.AIR, 1.4), 0));
        Flight.Sample top = flight.samples().stream()
                .max(Comparator.comparingDouble(s -> s.condition().air().day().altitudeM()))
                .orElseThrow();
        marks.add(label(
                Math.min(x.at(top.minutes()) + 6, x.toPx() - 60),
                HIGH + 14,
                altitude(most),
                false,
                Ink.SOFT,
                Anchor.START));
        piece(Kind.GROUND, "", marks);
    }

    private String altitude(double metres) {
        return units == UnitSystem.US
                ? UnitSystem.figure(Unit.FOOT.fromSi(metres), 0) + " ft"
                : UnitSystem.figure(metres, 0) + " m";
    }

    private Scale volumes() {
        double most = tanks.stream()
                .mapToDouble(t -> flight.samples().stream()
                        .mapToDouble(s -> s.tank(t.id()))
                        .max()
                        .orElse(0))
                .max()
                .orElse(1e-3);
        return new Scale(0, volume.fromSi(most) * 1.04, foot, CHART);
    }

    private void grid() {
        List<Mark> marks = new ArrayList<>();
        Scale y = volumes();
        List<Double> ticks = y.ticks(34);
        for (double t : ticks) {
            marks.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(Ink.GRID, 1)));
            marks.add(label(
                    LEFT - 8, y.at(t) + 4, UnitSystem.figure(t, Scale.decimals(ticks)), false, Ink.INK, Anchor.END));
        }
        marks.add(label(LEFT - 8, CHART - 10, volume.symbol(), false, Ink.SOFT, Anchor.END));
        for (double t : bands.hours()) {
            marks.add(SchematicPart.line(x.at(t), CHART - 6, x.at(t), height - 16, Pen.of(Ink.GRID, 1)));
        }
        double landed = x.at(flight.landing().minutes());
        if (landed < x.toPx() - 1) {
            marks.add(
                    new Box(landed, CHART - 6, x.toPx() - landed, foot - CHART + 6, 0, Ink.GRID, Pen.of(Ink.NONE, 0)));
        }
        piece(Kind.GROUND, "", marks);
    }

    /** What the tank that feeds keeps in the attitude flown. */
    private void floor() {
        Scale y = volumes();
        List<Mark> marks = new ArrayList<>();
        double from = 0;
        for (int i = 0; i < flight.plan().phases().size(); i++) {
            double a = x.at(Math.min(from, x.high()));
            from += flight.plan().phases().get(i).lasts();
            boolean last = i == flight.plan().phases().size() - 1;
            double b = last ? x.toPx() : x.at(Math.min(from, x.high()));
            double most = flight.floors().get(i).entrySet().stream()
                    .filter(e -> feeds(e.getKey()))
                    .mapToDouble(java.util.Map.Entry::getValue)
                    .max()
                    .orElse(0);
            double top = y.at(Math.min(volume.fromSi(most), y.high()));
            if (b > a && top < foot) {
                marks.add(new Box(a, top, b - a, foot - top, 0, Ink.FUEL_TINT, Pen.of(Ink.NONE, 0)));
                for (double k = a + 4; k < b - 4; k += 7) {
                    marks.add(SchematicPart.line(
                            k,
                            foot,
                            Math.min(b, k + Math.min(4, foot - top)),
                            Math.max(top, foot - 4),
                            Pen.of(Ink.FUEL_MID, 0.8)));
                }
            }
        }
        double placard = tanks.stream()
                .filter(t -> feeds(t.id()))
                .mapToDouble(t -> volume.fromSi(t.unusable().si()))
                .max()
                .orElse(0);
        if (placard > 0) {
            double py = y.at(placard);
            marks.add(SchematicPart.line(LEFT, py, x.toPx(), py, Pen.of(Ink.RUST, 1, 1.5, 3.0)));
        }
        piece(Kind.GROUND, "", marks);
    }

    /** What the dots and the tint mean, where no curve is. */
    private void floorWords() {
        double placard = tanks.stream()
                .filter(t -> feeds(t.id()))
                .mapToDouble(t -> volume.fromSi(t.unusable().si()))
                .max()
                .orElse(0);
        if (placard <= 0) {
            return;
        }
        String words = "placard unusable " + UnitSystem.figure(placard, 1) + " " + volume.symbol()
                + (tanks.size() > 1 ? " per tank" : "") + "; tinted: below the outlet at the attitude flown";
        double w = measure.width(words, 11, false);
        double y = volumes().at(placard) - 5;
        double best = LEFT + 6;
        double least = Double.POSITIVE_INFINITY;
        for (double at = LEFT + 6; at + w < x.toPx(); at += 20) {
            double over = taken.overlap(at - 4, y - 11, at + w + 4, y + 4);
            if (over < least) {
                least = over;
                best = at;
            }
        }
        piece(Kind.TEXT, "", List.of(label(best, y, words, false, Ink.SOFT, Anchor.START)));
    }

    private boolean feeds(String id) {
        return tanks.stream().anyMatch(t -> t.id().equals(id) && !t.outlets().isEmpty());
    }

    private static final List<List<Double>> DASHES =
            List.of(List.of(), List.of(7.0, 4.0), List.of(2.0, 3.0), List.of(9.0, 3.0, 2.0, 3.0));

    private void curves() {
        Scale y = volumes();
        for (int i = 0; i < tanks.size(); i++) {
            Tank tank = tanks.get(i);
            taken.takeWay(line(y, s -> volume.fromSi(s.tank(tank.id()))), 3);
        }
        for (int i = 0; i < tanks.size(); i++) {
            Tank tank = tanks.get(i);
            List<Mark> marks = new ArrayList<>();
            List<Spot> part = new ArrayList<>();
            boolean gave = false;
            for (Flight.Sample s : flight.samples()) {
                Spot at = new Spot(x.at(s.minutes()), y.at(volume.fromSi(s.tank(tank.id()))));
                part.add(at);
                boolean gives = flight.giving(s).contains(tank.id());
                if (part.size() > 1 && gives != gave) {
                    marks.add(stroke(part, gave, i));
                    part = new ArrayList<>(List.of(at));
                }
                gave = gives;
            }
            if (part.size() > 1) {
                marks.add(stroke(part, gave, i));
            }
            name(marks, tank, line(y, s -> volume.fromSi(s.tank(tank.id()))));
            Flight.Sample end = flight.at(flight.landing().minutes());
            pieces.add(new Piece(
                    tank.id(),
                    Kind.RUN,
                    tank.name() + " lands with " + units.text(end.tank(tank.id()), Dimension.VOLUME),
                    marks));
        }
    }

    private static Path stroke(List<Spot> part, boolean gives, int n) {
        return new Path(part, false, Ink.NONE, new Pen(Ink.FUEL, gives ? 2.8 : 1.3, DASHES.get(n % DASHES.size())), 0);
    }

    /** Beside its line, where no other line and no other name is. */
    private void name(List<Mark> marks, Tank tank, List<Spot> way) {
        String text = tank.name().replace(" tank", "");
        double w = measure.width(text, 11, true);
        double best = Double.POSITIVE_INFINITY;
        double[] place = {way.get(0).x() + 4, way.get(0).y() - 6};
        for (int k = 5; k < 30; k++) {
            Spot s = way.get(Math.min(way.size() - 1, way.size() * k / 30));
            for (double[] c : new double[][] {
                {s.x() + 7, s.y() - 7}, {s.x() - w - 7, s.y() - 7}, {s.x() + 7, s.y() + 15}, {s.x() - w - 7, s.y() + 15}
            }) {
                double cost = taken.overlap(c[0] - 2, c[1] - 11, c[0] + w + 2, c[1] + 4) + 0.2 * k;
                boolean inside = c[0] > LEFT + 2 && c[0] + w < x.toPx() && c[1] > CHART && c[1] < foot - 4;
                if (inside && cost < best) {
                    best = cost;
                    place = c;
                }
            }
        }
        taken.take(place[0] - 2, place[1] - 11, place[0] + w + 2, place[1] + 4);
        marks.add(label(place[0], place[1], text, true, Ink.FUEL_TEXT, Anchor.START));
    }

    private void cursor(double minutes) {
        Flight.Sample s = flight.at(minutes);
        Scale y = volumes();
        double at = x.at(minutes);
        List<Mark> marks = new ArrayList<>();
        marks.add(SchematicPart.line(at, PHASES - 4, at, height - 14, Pen.of(Ink.OLIVE, 1.8)));
        Occupancy here = new Occupancy();
        StringBuilder words = new StringBuilder("At " + FlightTable.clock(minutes) + ", "
                + flight.phase(s).kind().label());
        Set<String> giving = flight.giving(s);
        for (Tank t : tanks) {
            Spot dot = new Spot(at, y.at(volume.fromSi(s.tank(t.id()))));
            marks.add(new Disc(dot, 4.5, Ink.PANEL, Pen.of(Ink.INK, 2)));
            String state = giving.contains(t.id()) ? "feeding" : "off";
            String text = t.name().replace(" tank", "") + " " + UnitSystem.figure(volume.fromSi(s.tank(t.id())), 1)
                    + " " + state;
            words.append(", ").append(text);
            double w = measure.width(text, 11, true);
            double left = at + 9 + w > x.toPx() ? at - 9 - w : at + 9;
            double line = dot.y() + 4;
            while (here.overlap(left, line - 11, left + w, line + 3) > 0 && line > CHART) {
                line -= 14;
            }
            here.take(left, line - 11, left + w, line + 3);
            marks.add(new Box(left - 3, line - 11, w + 6, 15, 3, Ink.PANEL, Pen.of(Ink.HAIRLINE, 0.8)));
            marks.add(label(left, line, text, true, Ink.INK, Anchor.START));
        }
        String told = "at " + FlightTable.clock(minutes);
        double w = measure.width(told, 11, true) + 12;
        double left = Math.max(LEFT, Math.min(at - w / 2, x.toPx() - w));
        marks.add(new Box(left, height - 15, w, 15, 3, Ink.OLIVE_UNDER_TEXT, Pen.of(Ink.NONE, 0)));
        marks.add(label(left + w / 2, height - 4, told, true, Ink.PANEL, Anchor.MIDDLE));
        piece(Kind.PILL, words.toString(), marks);
    }
}
