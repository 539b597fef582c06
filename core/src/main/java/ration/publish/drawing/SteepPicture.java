package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import ration.aircraft.condition.Attitude;
import ration.answer.ask.HowSteep;
import ration.answer.ask.HowSteep.Limit;
import ration.answer.ask.HowSteep.Point;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Disc;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;
import ration.publish.drawing.Picture.Piece;
import ration.record.project.Brief;

/** Pitch to which the flow holds over what is left in the tanks that feed, with the climb and glide of the aircraft. */
public final class SteepPicture {

    private static final double LEFT = 40;
    private static final double TOP = 8;
    private static final double RIGHT = 120;
    private static final double FOOT = 36;

    private SteepPicture() {}

    /**
     * The picture.
     *
     * @param now what is in the feeding tanks in the case looked at, m3
     */
    public static Picture draw(
            HowSteep steep, Brief.Envelope envelope, double now, UnitSystem units, double width, double height) {
        List<Piece> pieces = new ArrayList<>();
        Unit volume = units.unit(Dimension.VOLUME);
        double most =
                volume.fromSi(steep.points().get(steep.points().size() - 1).volume());
        Scale x = new Scale(0, most * 1.02, LEFT, width - RIGHT);
        Scale y = new Scale(-HowSteep.MOST_DOWN, HowSteep.MOST_UP, height - FOOT, TOP);
        List<Mark> marks = new ArrayList<>();
        List<Spot> band = new ArrayList<>();
        steep.points().forEach(p -> band.add(new Spot(x.at(volume.fromSi(p.volume())), y.at(p.up().degrees()))));
        for (int i = steep.points().size() - 1; i >= 0; i--) {
            Point p = steep.points().get(i);
            band.add(new Spot(x.at(volume.fromSi(p.volume())), y.at(p.down().degrees())));
        }
        marks.add(new Path(band, true, Ink.FUEL_TINT, Pen.of(Ink.NONE, 0), 0));
        axes(marks, x, y, volume, height);
        marks.add(new Label(x.at(most * 0.62), y.at(3) - 4, "flow OK", 12, false, Ink.FUEL_TEXT, Anchor.MIDDLE));
        limit(marks, steep, x, y, volume, true);
        limit(marks, steep, x, y, volume, false);
        for (Attitude a : List.of(envelope.climbing(), envelope.gliding())) {
            double at = y.at(Math.toDegrees(a.pitchRad()));
            marks.add(SchematicPart.line(LEFT, at, x.toPx(), at, Pen.of(Ink.INK, 1.2, 5.0, 4.0)));
            marks.add(new Label(x.toPx() + 6, at - 2, a.label(), 11, true, Ink.INK, Anchor.START));
            OptionalDouble least = steep.least(Math.toDegrees(a.pitchRad()));
            marks.add(new Label(
                    x.toPx() + 6,
                    at + 11,
                    least.isPresent()
                            ? "OK from " + units.text(least.getAsDouble(), Dimension.VOLUME)
                            : "low flow at any quantity",
                    11,
                    false,
                    least.isPresent() ? Ink.INK : Ink.RUST_TEXT,
                    Anchor.START));
        }
        double at = x.at(Math.min(volume.fromSi(now), most * 1.02));
        marks.add(SchematicPart.line(at, y.toPx(), at, y.fromPx(), Pen.of(Ink.OLIVE, 1.4)));
        marks.add(new Label(at + 4, y.fromPx() - 5, "now", 11, false, Ink.OLIVE_UNDER_TEXT, Anchor.START));
        pieces.add(new Piece("", Kind.GROUND, words(steep, envelope, units), marks));
        return new Picture(width, height, pieces);
    }

    private static void axes(List<Mark> marks, Scale x, Scale y, Unit volume, double height) {
        List<Double> across = x.ticks(46);
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
        for (double t : y.ticks(24)) {
            marks.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(t == 0 ? Ink.EDGE : Ink.GRID, 1)));
            marks.add(new Label(
                    LEFT - 6, y.at(t) + 4, UnitSystem.figure(t, 0) + "\u00b0", 11, t == 0, Ink.INK, Anchor.END));
        }
        marks.add(new Label(
                x.toPx(),
                height - 6,
                (volume == Unit.GALLON ? "gallons" : "liters") + " in the tanks that feed",
                11,
                false,
                Ink.SOFT,
                Anchor.END));
        marks.add(new Label(
                LEFT, height - 6, "filled: outlet uncovered; hollow: low flow", 11, false, Ink.SOFT, Anchor.START));
    }

    /**
     * The line to which it holds; filled where an outlet stands clear, hollow where the flow is short, none where it
     * was not reached.
     */
    private static void limit(List<Mark> marks, HowSteep steep, Scale x, Scale y, Unit volume, boolean up) {
        List<Spot> line = new ArrayList<>();
        steep.points()
                .forEach(p ->
                        line.add(new Spot(x.at(volume.fromSi(p.volume())), y.at((up ? p.up() : p.down()).degrees()))));
        marks.add(new Path(line, false, Ink.NONE, Pen.of(Ink.FUEL, 2), 0));
        for (int i = 0; i < line.size(); i++) {
            Limit l = up ? steep.points().get(i).up() : steep.points().get(i).down();
            if (!l.open()) {
                marks.add(new Disc(line.get(i), 3, l.air() ? Ink.FUEL : Ink.PANEL, Pen.of(Ink.FUEL, 1.4)));
            }
        }
    }

    /** What it says, in a sentence. */
    public static String words(HowSteep steep, Brief.Envelope envelope, UnitSystem units) {
        StringBuilder said = new StringBuilder();
        for (Attitude a : List.of(envelope.climbing(), envelope.gliding())) {
            OptionalDouble least = steep.least(Math.toDegrees(a.pitchRad()));
            said.append(said.length() == 0 ? "" : "; ")
                    .append(said.length() == 0 ? a.label() : a.label().toLowerCase(Locale.ROOT))
                    .append(
                            least.isPresent()
                                    ? " OK from " + units.text(least.getAsDouble(), Dimension.VOLUME)
                                    : " has low flow at any quantity");
        }
        return said.append('.').toString();
    }
}
