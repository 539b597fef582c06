package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
import ration.verdict.check.Verdict;

/** What stands under a flight on its time axis: left against right, how far from boiling, the middle of the fuel. */
final class FlightStrips {

    private static final double TITLE = 22;

    private final Project project;
    private final Flight flight;
    private final Optional<FlightVapor> vapor;
    private final UnitSystem units;
    private final Scale x;
    private final Unit volume;
    private final double strip;
    private final List<Piece> pieces = new ArrayList<>();

    FlightStrips(Project project, Flight flight, Optional<FlightVapor> vapor, UnitSystem units, Scale x) {
        this.project = project;
        this.flight = flight;
        this.vapor = vapor.filter(v -> !v.points().isEmpty());
        this.units = units;
        this.x = x;
        volume = units.unit(Dimension.VOLUME);
        strip = count() > 2 ? 34 : 44;
    }

    private int count() {
        return 1 + (flight.balance().sides() ? 1 : 0) + (vapor.isPresent() ? 1 : 0);
    }

    /** Pixels they take. */
    double height() {
        return count() * (strip + TITLE);
    }

    List<Piece> draw(double from) {
        double top = from;
        if (flight.balance().sides()) {
            balance(top);
            top += strip + TITLE;
        }
        if (vapor.isPresent()) {
            boiling(vapor.get(), top);
            top += strip + TITLE;
        }
        middle(top);
        return pieces;
    }

    private void heads(List<Mark> marks, double top, String title, String result, boolean bad) {
        marks.add(label(x.fromPx(), top - 3, title, true, Ink.DEEP, Anchor.START));
        marks.add(label(x.toPx(), top - 3, result, false, bad ? Ink.RUST_TEXT : Ink.INK, Anchor.END));
    }

    private static Label label(double x, double y, String text, boolean bold, Ink ink, Anchor anchor) {
        return new Label(x, y, text, 11, bold, ink, anchor);
    }

    private void value(List<Mark> marks, Scale y, double v, int decimals) {
        marks.add(label(x.fromPx() - 8, y.at(v) + 4, UnitSystem.figure(v, decimals), false, Ink.INK, Anchor.END));
    }

    private void balance(double top) {
        double limit = volume.fromSi(flight.balance().limit());
        double most = Math.max(
                limit * 1.15,
                1.05
                        * flight.samples().stream()
                                .mapToDouble(
                                        s -> Math.abs(volume.fromSi(s.moments().leftLessRight())))
                                .max()
                                .orElse(1));
        Scale y = new Scale(-most, most, top + strip, top);
        List<Mark> marks = new ArrayList<>();
        heads(
                marks,
                top,
                "Lateral imbalance (L − R), " + volume.symbol(),
                "maximum " + UnitSystem.figure(volume.fromSi(flight.balance().most()), 1) + " at "
                        + FlightTable.clock(flight.balance().at()) + ", limit " + UnitSystem.figure(limit, 1),
                flight.balanceVerdict() == Verdict.FAILS);
        for (double v : new double[] {-limit, limit}) {
            marks.add(SchematicPart.line(x.fromPx(), y.at(v), x.toPx(), y.at(v), Pen.of(Ink.RUST, 1)));
            value(marks, y, v, 0);
        }
        marks.add(new Box(
                x.fromPx(), top, x.toPx() - x.fromPx(), y.at(limit) - top, 0, Ink.RUST_FAINT, Pen.of(Ink.NONE, 0)));
        marks.add(new Box(
                x.fromPx(),
                y.at(-limit),
                x.toPx() - x.fromPx(),
                top + strip - y.at(-limit),
                0,
                Ink.RUST_FAINT,
                Pen.of(Ink.NONE, 0)));
        marks.add(SchematicPart.line(x.fromPx(), y.at(0), x.toPx(), y.at(0), Pen.of(Ink.HAIRLINE, 1)));
        List<Spot> line = new ArrayList<>();
        flight.samples()
                .forEach(s -> line.add(new Spot(
                        x.at(s.minutes()), y.at(volume.fromSi(s.moments().leftLessRight())))));
        marks.add(new Path(line, false, Ink.NONE, Pen.of(Ink.INK, 1.8), 0));
        pieces.add(new Piece(
                "",
                Kind.HEAD_LINE,
                "Lateral imbalance " + units.text(flight.balance().most(), Dimension.VOLUME) + " maximum",
                marks));
    }

    private void boiling(FlightVapor v, double top) {
        double least = Math.min(
                0,
                v.points().stream()
                        .mapToDouble(FlightVapor.Point::degrees)
                        .min()
                        .orElse(0));
        double most = Math.max(
                v.wanted() * 1.5,
                v.points().stream()
                        .mapToDouble(FlightVapor.Point::degrees)
                        .max()
                        .orElse(1));
        Scale y = new Scale(least, most, top + strip, top);
        List<Mark> marks = new ArrayList<>();
        heads(
                marks,
                top,
                "Vapor margin, " + units.thermometer().symbol(),
                "minimum " + v.words(project, units)
                        + (v.fuelSaid() ? ", needs " + units.difference(v.wanted()) : ": fuel class not set"),
                v.verdict() == Verdict.FAILS || v.verdict() == Verdict.NOT_SHOWN);
        marks.add(new Box(
                x.fromPx(),
                y.at(v.wanted()),
                x.toPx() - x.fromPx(),
                top + strip - y.at(v.wanted()),
                0,
                Ink.RUST_FAINT,
                Pen.of(Ink.NONE, 0)));
        marks.add(SchematicPart.line(x.fromPx(), y.at(v.wanted()), x.toPx(), y.at(v.wanted()), Pen.of(Ink.RUST, 1)));
        degrees(marks, y, v.wanted());
        if (y.at(v.wanted()) - y.at(most) > 14) {
            degrees(marks, y, most);
        }
        marks.add(new Path(
                v.points().stream()
                        .map(p -> new Spot(x.at(p.minutes()), y.at(p.degrees())))
                        .toList(),
                false,
                Ink.NONE,
                Pen.of(Ink.INK, 1.6),
                0));
        v.least()
                .ifPresent(p -> marks.add(new Disc(
                        new Spot(x.at(p.minutes()), y.at(p.degrees())),
                        3,
                        p.degrees() < v.wanted() ? Ink.RUST : Ink.INK,
                        Pen.of(Ink.NONE, 0))));
        pieces.add(new Piece(
                "",
                Kind.HEAD_LINE,
                "Vapor margin: minimum " + v.words(project, units) + ", "
                        + v.verdict().word(),
                marks));
    }

    private void degrees(List<Mark> marks, Scale y, double kelvin) {
        marks.add(new Label(
                x.fromPx() - 8,
                y.at(kelvin) + 4,
                UnitSystem.figure(kelvin / units.thermometer().differenceToSi(1), 1),
                11,
                false,
                Ink.SOFT,
                Anchor.END));
    }

    private void middle(double top) {
        Unit length = units == UnitSystem.US ? Unit.INCH : Unit.MILLIMETRE;
        List<Flight.Sample> flown = flight.samples().stream()
                .filter(s -> s.minutes() <= flight.landing().minutes() + 1e-9
                        && !Double.isNaN(s.moments().stationM()))
                .toList();
        double least = flown.stream()
                .mapToDouble(s -> length.fromSi(s.moments().stationM()))
                .min()
                .orElse(0);
        double most = flown.stream()
                .mapToDouble(s -> length.fromSi(s.moments().stationM()))
                .max()
                .orElse(1);
        double pad = Math.max(0.5, (most - least) * 0.15);
        Scale y = new Scale(least - pad, most + pad, top + strip - 8, top);
        List<Mark> marks = new ArrayList<>();
        heads(
                marks,
                top,
                "Fuel CG, FS " + length.symbol(),
                UnitSystem.figure(least, 1) + " to " + UnitSystem.figure(most, 1) + ": moves "
                        + UnitSystem.figure(most - least, 1),
                false);
        value(marks, y, least, 1);
        if (y.at(least) - y.at(most) > 12) {
            value(marks, y, most, 1);
        }
        marks.add(new Path(
                flown.stream()
                        .map(s -> new Spot(
                                x.at(s.minutes()),
                                y.at(length.fromSi(s.moments().stationM()))))
                        .toList(),
                false,
                Ink.NONE,
                Pen.of(Ink.INK, 1.6),
                0));
        pieces.add(new Piece("", Kind.HEAD_LINE, "", marks));
    }
}
