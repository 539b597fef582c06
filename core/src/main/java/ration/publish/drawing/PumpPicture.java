package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Pump;
import ration.answer.ask.Candidates;
import ration.answer.ask.WhichPump;
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

/**
 * Pressure over flow: a dot for what each case needs of a pump, the ground under the least curve filled, the curve that
 * is fitted and one candidate over it.
 */
public final class PumpPicture {

    private static final double LEFT = 52;
    private static final double TOP = 10;
    private static final double RIGHT = 110;
    private static final double FOOT = 36;
    private static final double MORE = 1.15;

    private PumpPicture() {}

    /**
     * The picture.
     *
     * @param fitted the pump as it is laid out
     * @param shown a candidate laid over it
     */
    public static Picture draw(
            WhichPump which,
            Pump fitted,
            Optional<Candidates.Candidate> shown,
            UnitSystem units,
            double width,
            double height) {
        Unit flow = units.unit(Dimension.FLOW);
        Unit pressure = units.unit(Dimension.PRESSURE);
        double far = Math.max(
                which.needs().stream().mapToDouble(WhichPump.Need::flow).max().orElse(0), last(fitted.curve()));
        double high = Math.max(
                which.needs().stream().mapToDouble(WhichPump.Need::rise).max().orElse(0),
                fitted.curve().get(0).pressure().si());
        if (shown.isPresent()) {
            high = Math.max(high, shown.get().curve().get(0).pressure().si());
        }
        Scale x = new Scale(0, flow.fromSi(far) * MORE, LEFT, width - RIGHT);
        Scale y = new Scale(0, pressure.fromSi(high) * MORE, height - FOOT, TOP);
        List<Mark> marks = new ArrayList<>();
        ground(which, marks, x, y, flow, pressure);
        axes(marks, x, y, flow, pressure, height);
        for (WhichPump.Need n : which.needs()) {
            marks.add(new Disc(
                    new Spot(x.at(flow.fromSi(n.flow())), y.at(pressure.fromSi(n.rise()))),
                    3,
                    Ink.FUEL,
                    Pen.of(Ink.PANEL, 0.8)));
        }
        curve(marks, fitted.curve(), fitted.name(), Ink.INK, x, y, flow, pressure, false);
        shown.ifPresent(c -> curve(marks, c.curve(), c.name(), Ink.OLIVE_UNDER_TEXT, x, y, flow, pressure, true));
        return new Picture(
                width, height, List.of(new Piece("", Kind.GROUND, words(which, fitted, shown, units), marks)));
    }

    private static double last(List<Pump.CurvePoint> curve) {
        return curve.get(curve.size() - 1).flow().si();
    }

    /** What lies under the corners: no curve that fits comes into it. */
    private static void ground(WhichPump which, List<Mark> marks, Scale x, Scale y, Unit flow, Unit pressure) {
        List<Spot> edge = new ArrayList<>();
        double from = 0;
        for (WhichPump.Need n : which.corners()) {
            double at = y.at(pressure.fromSi(n.rise()));
            edge.add(new Spot(x.at(from), at));
            from = flow.fromSi(n.flow());
            edge.add(new Spot(x.at(from), at));
        }
        if (!edge.isEmpty()) {
            edge.add(new Spot(x.at(from), y.at(0)));
            edge.add(new Spot(x.at(0), y.at(0)));
            marks.add(new Path(edge, true, Ink.FUEL_TINT, Pen.of(Ink.NONE, 0), 0));
        }
    }

    private static void axes(List<Mark> marks, Scale x, Scale y, Unit flow, Unit pressure, double height) {
        List<Double> across = x.ticks(60);
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
        List<Double> up = y.ticks(24);
        for (double t : up) {
            marks.add(SchematicPart.line(LEFT, y.at(t), x.toPx(), y.at(t), Pen.of(Ink.GRID, 1)));
            marks.add(new Label(
                    LEFT - 6, y.at(t) + 4, UnitSystem.figure(t, Scale.decimals(up)), 11, false, Ink.INK, Anchor.END));
        }
        marks.add(new Label(LEFT, height - 4, "flow, " + flow.symbol(), 11, false, Ink.SOFT, Anchor.START));
        marks.add(new Label(4, TOP + 4, pressure.symbol(), 11, false, Ink.SOFT, Anchor.START));
    }

    private static void curve(
            List<Mark> marks,
            List<Pump.CurvePoint> curve,
            String name,
            Ink ink,
            Scale x,
            Scale y,
            Unit flow,
            Unit pressure,
            boolean dashed) {
        List<Spot> spots = new ArrayList<>();
        for (Pump.CurvePoint p : curve) {
            spots.add(new Spot(
                    Math.min(x.toPx(), x.at(flow.fromSi(p.flow().si()))),
                    y.at(pressure.fromSi(p.pressure().si()))));
        }
        marks.add(new Path(spots, false, Ink.NONE, dashed ? Pen.of(ink, 2, 7.0, 4.0) : Pen.of(ink, 2), 0));
        Spot end = spots.get(spots.size() - 1);
        marks.add(new Label(end.x() + 5, end.y() + (dashed ? -4 : 4), name, 11, true, ink, Anchor.START));
    }

    private static String words(WhichPump which, Pump fitted, Optional<Candidates.Candidate> shown, UnitSystem units) {
        return which.corners().stream()
                        .limit(3)
                        .map(n -> units.text(n.rise(), Dimension.PRESSURE) + " at "
                                + units.text(n.flow(), Dimension.FLOW))
                        .reduce((a, b) -> a + ", " + b)
                        .map(s -> "The least curve gives " + s + ". ")
                        .orElse("No case needs it. ")
                + fitted.name()
                + (which.fit(fitted).fits() ? " fits" : " does not fit")
                + shown.map(c -> "; " + c.name() + (which.fit(c.curve()).fits() ? " fits" : " does not fit"))
                        .orElse("");
    }
}
