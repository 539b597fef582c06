package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.GaugeCurve;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;

/** Height of the fuel on the gauge over what is in the tank, level and parked, with the marks measured. */
public final class GaugePicture {

    private static final double LEFT = 30;
    private static final double TOP = 10;
    private static final double RIGHT = 14;
    private static final double FOOT = 46;
    private static final int STEPS = 40;

    private GaugePicture() {}

    /**
     * The picture.
     *
     * @param level attitude read in flight
     * @param parked attitude read on the ground
     */
    public static Picture draw(
            TankAnswer answer, Attitude level, Attitude parked, UnitSystem units, double width, double height) {
        List<Piece> pieces = new ArrayList<>();
        Unit volume = units.unit(Dimension.VOLUME);
        Unit length = units.unit(Dimension.LENGTH);
        GaugeCurve flying = answer.gauge(level);
        GaugeCurve standing = answer.gauge(parked);
        double most = volume.fromSi(answer.body().capacity());
        double tall = Math.max(
                length.fromSi(Math.max(
                        flying.reading(answer.body().capacity()),
                        standing.reading(answer.body().capacity()))),
                1e-3);
        Scale x = new Scale(0, most * 1.02, LEFT, width - RIGHT);
        Scale y = new Scale(0, tall * 1.05, height - FOOT, TOP);
        axes(pieces, x, y, volume, width, height);
        double unusable = volume.fromSi(answer.unusable());
        List<Mark> zone = new ArrayList<>();
        double right = x.at(Math.min(unusable, most));
        zone.add(new Box(
                x.at(0), y.toPx(), right - x.at(0), y.fromPx() - y.toPx(), 0, Ink.FUEL_STANDING, Pen.of(Ink.NONE, 0)));
        List<Spot> area = List.of(
                new Spot(x.at(0), y.toPx()),
                new Spot(right, y.toPx()),
                new Spot(right, y.fromPx()),
                new Spot(x.at(0), y.fromPx()));
        for (double c = -400; c < 800; c += 8) {
            Half.diagonals(area, c, y.fromPx())
                    .forEach(p -> zone.add(
                            SchematicPart.line(p[0].x(), p[0].y(), p[1].x(), p[1].y(), Pen.of(Ink.HAIRLINE, 1))));
        }
        zone.add(SchematicPart.line(right, y.toPx(), right, y.fromPx(), Pen.of(Ink.INK, 1.2, 3.0, 3.0)));
        zone.add(new Label(
                right + 6,
                y.toPx() + 10,
                "unusable " + UnitSystem.figure(unusable, 2),
                11,
                false,
                Ink.INK,
                Anchor.START));
        pieces.add(new Piece("", Kind.GROUND, "", zone));
        boolean same = Math.abs(parked.pitchRad() - level.pitchRad()) < 1e-6;
        if (!same) {
            curve(pieces, standing, answer, x, y, volume, length, Pen.of(Ink.FUEL, 2, 5.0, 4.0), parked.label());
        }
        curve(pieces, flying, answer, x, y, volume, length, Pen.of(Ink.FUEL, 2.2), "Level");
        marks(pieces, answer.evidence().marks(level.pitchRad()), x, y, volume, length, true);
        marks(pieces, answer.evidence().marks(parked.pitchRad()), x, y, volume, length, false);
        double zero = length.fromSi(flying.reading(answer.unusable()));
        Spot at = new Spot(x.at(unusable), y.at(zero));
        double tx = Math.min(at.x() + 40, width - 170);
        double ty = Math.min(at.y() + 4, y.fromPx() - 8);
        pieces.add(new Piece(
                "",
                Kind.SYMBOL,
                "Zero mark belongs at " + UnitSystem.figure(zero, 2) + " " + length.symbol(),
                List.of(
                        SchematicPart.line(at.x(), at.y(), tx - 3, ty - 4, Pen.of(Ink.INK, 1)),
                        new Disc(at, 5, Ink.RUST, Pen.of(Ink.PANEL, 1.5)),
                        new Box(tx - 2, ty - 13, 160, 17, 3, Ink.PANEL, Pen.of(Ink.NONE, 0)),
                        new Label(
                                tx,
                                ty,
                                "zero mark at " + UnitSystem.figure(zero, length == Unit.INCH ? 2 : 0) + " "
                                        + length.symbol() + ", level",
                                11,
                                false,
                                Ink.INK,
                                Anchor.START))));
        return new Picture(width, height, pieces);
    }

    private static void axes(List<Piece> pieces, Scale x, Scale y, Unit volume, double width, double height) {
        List<Mark> marks = new ArrayList<>();
        List<Double> across = x.ticks(40);
        for (double t : across) {
            marks.add(SchematicPart.line(x.at(t), y.fromPx(), x.at(t), y.toPx(), Pen.of(Ink.GRID, 1)));
            marks.add(new Label(
                    x.at(t),
                    y.fromPx() + 15,
                    UnitSystem.figure(t, Scale.decimals(across)),
                    11,
                    false,
                    Ink.INK,
                    Anchor.MIDDLE));
        }
        List<Double> up = y.ticks(28);
        for (double t : up) {
            marks.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(Ink.GRID, 1)));
            marks.add(new Label(
                    LEFT - 6, y.at(t) + 4, UnitSystem.figure(t, Scale.decimals(up)), 11, false, Ink.INK, Anchor.END));
        }
        marks.add(SchematicPart.line(LEFT, y.fromPx(), x.toPx(), y.fromPx(), Pen.of(Ink.EDGE, 1)));
        marks.add(SchematicPart.line(LEFT, y.fromPx(), LEFT, y.toPx(), Pen.of(Ink.EDGE, 1)));
        marks.add(new Label(
                x.toPx(),
                y.fromPx() + 28,
                (volume == Unit.GALLON ? "gallons" : "liters") + " in the tank",
                11,
                false,
                Ink.SOFT,
                Anchor.END));
        double foot = height - 4;
        marks.add(new Disc(new Spot(LEFT + 4, foot - 4), 3.5, Ink.PANEL, Pen.of(Ink.INK, 1.6)));
        marks.add(new Label(LEFT + 13, foot, "filled level", 11, false, Ink.SOFT, Anchor.START));
        marks.add(diamond(new Spot(LEFT + 96, foot - 4)));
        marks.add(new Label(LEFT + 105, foot, "filled parked", 11, false, Ink.SOFT, Anchor.START));
        pieces.add(new Piece("", Kind.GROUND, "", marks));
    }

    private static Mark diamond(Spot s) {
        return new Path(
                List.of(
                        new Spot(s.x(), s.y() - 4.5),
                        new Spot(s.x() + 4.5, s.y()),
                        new Spot(s.x(), s.y() + 4.5),
                        new Spot(s.x() - 4.5, s.y())),
                true,
                Ink.PANEL,
                Pen.of(Ink.INK, 1.6),
                0);
    }

    private static void curve(
            List<Piece> pieces,
            GaugeCurve gauge,
            TankAnswer answer,
            Scale x,
            Scale y,
            Unit volume,
            Unit length,
            Pen pen,
            String name) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            double v = answer.body().capacity() * i / STEPS;
            double reading = gauge.reading(v);
            if (reading > 0) {
                spots.add(new Spot(x.at(volume.fromSi(v)), y.at(length.fromSi(reading))));
            }
        }
        if (spots.size() < 2) {
            return;
        }
        boolean low = pen.dashes().isEmpty();
        Spot label = spots.get((int) (spots.size() * (low ? 0.72 : 0.5)));
        pieces.add(new Piece(
                "",
                Kind.RUN,
                "",
                List.of(
                        new Path(spots, false, Ink.NONE, pen, 0),
                        new Label(
                                label.x() + (low ? 8 : -8),
                                label.y() + (low ? 14 : -8),
                                name,
                                12,
                                true,
                                Ink.FUEL_TEXT,
                                low ? Anchor.START : Anchor.END))));
    }

    private static void marks(
            List<Piece> pieces,
            List<GaugeCurve.Mark> marks,
            Scale x,
            Scale y,
            Unit volume,
            Unit length,
            boolean round) {
        List<Mark> drawn = new ArrayList<>();
        for (GaugeCurve.Mark m : marks) {
            Spot s = new Spot(x.at(volume.fromSi(m.volume())), y.at(length.fromSi(m.reading())));
            drawn.add(round ? new Disc(s, 3.5, Ink.PANEL, Pen.of(Ink.INK, 1.6)) : diamond(s));
        }
        pieces.add(new Piece("", Kind.SYMBOL, "", drawn));
    }
}
