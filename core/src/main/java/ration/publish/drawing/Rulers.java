package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.publish.drawing.Mark.Anchor;
import ration.publish.drawing.Mark.Box;
import ration.publish.drawing.Mark.Label;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Picture.Kind;

/** The ground with its grid, and the two rulers. */
final class Rulers extends SchematicPart {

    Rulers(SchematicPart sheet) {
        super(sheet);
    }

    void ground() {
        List<Mark> marks = new ArrayList<>();
        // without a ruler of pressures the ground goes on to the edge
        double edge = view.layers().air() ? view.width() : right();
        marks.add(new Box(RULER, 0, edge - RULER, view.height(), 0, Ink.GROUND, NO_PEN));
        double wall = Math.max(RULER, Math.min(right(), place.firewallX()));
        if (system.firewall().isPresent()) {
            marks.add(new Box(wall, 0, edge - wall, view.height(), 0, Ink.BAY, NO_PEN));
        }
        for (double y : majorTicks()) {
            marks.add(line(RULER, y, edge, y, Pen.of(Ink.GRID, 1)));
        }
        marks.add(line(RULER, place.y(0), edge, place.y(0), Pen.of(Ink.EDGE, 1)));
        String caption = "heights at " + subject.condition().attitude().label() + ", nose right";
        marks.add(new Label(right() - 14, 18, caption, 11, false, Ink.SOFT, Anchor.END));
        ground.take(right() - 18 - measure.width(caption, 11, false), 4, right(), 24);
        piece("", Kind.GROUND, "", marks);
    }

    private double rulerStep() {
        double unit = units.unit(Dimension.LENGTH).toSi(1);
        for (double step : new double[] {1, 2, 5, 10, 20, 50, 100, 200, 500, 1000}) {
            if (step * unit * place.scale() >= 56) {
                return step;
            }
        }
        return 2000;
    }

    private List<Double> majorTicks() {
        double step = rulerStep() * units.unit(Dimension.LENGTH).toSi(1);
        List<Double> ys = new ArrayList<>();
        for (double k = Math.ceil(place.heightAt(view.height()) / step); k * step <= place.heightAt(0); k++) {
            ys.add(place.y(k * step));
        }
        return ys;
    }

    void rulers() {
        List<Mark> marks = heightMarks();
        marks.add(new Box(right(), 0, RULER, view.height(), 0, Ink.PANEL, NO_PEN));
        marks.add(line(right(), 0, right(), view.height(), Pen.of(Ink.HAIRLINE, 1)));
        pressureRuler(marks);
        piece("", Kind.RULER, "", marks);
    }

    /** The ruler of heights alone. */
    void heights() {
        piece("", Kind.RULER, "", heightMarks());
    }

    private List<Mark> heightMarks() {
        List<Mark> marks = new ArrayList<>();
        marks.add(new Box(0, 0, RULER, view.height(), 0, Ink.PANEL, NO_PEN));
        marks.add(line(RULER, 0, RULER, view.height(), Pen.of(Ink.HAIRLINE, 1)));
        Unit length = units.unit(Dimension.LENGTH);
        marks.add(new Label(RULER / 2, 16, length.symbol(), 11, false, Ink.SOFT, Anchor.MIDDLE));
        double step = rulerStep();
        double part = step / 10;
        double hide = pickedY().orElse(Double.NaN);
        for (long k = (long) Math.ceil(length.fromSi(place.heightAt(view.height())) / part);
                place.y(length.toSi(k * part)) >= 26;
                k++) {
            double y = place.y(length.toSi(k * part));
            boolean major = k % 10 == 0;
            double tick = major ? 9 : k % 5 == 0 ? 6 : 3;
            marks.add(line(RULER - tick, y, RULER, y, Pen.of(Ink.SOFT, 1)));
            if (major && !(Math.abs(y - hide) < 15) && y < view.height() - 4) {
                marks.add(new Label(
                        RULER - 14,
                        y + 4,
                        UnitSystem.figure(k * part, step < 1 ? 1 : 0),
                        11,
                        k == 0,
                        Ink.INK,
                        Anchor.END));
            }
        }
        return marks;
    }

    /** The same heights as pressure of a standing column. */
    private void pressureRuler(List<Mark> marks) {
        double weight = flow.map(FlowAnswer::weight).orElse(0.0);
        Unit pressure = units.unit(Dimension.PRESSURE);
        marks.add(new Label(right() + RULER / 2, 16, pressure.symbol(), 11, false, Ink.SOFT, Anchor.MIDDLE));
        if (weight <= 0) {
            return;
        }
        double perUnit = pressure.toSi(1) / weight * place.scale();
        double step = 0.05;
        for (double s : new double[] {0.05, 0.1, 0.2, 0.5, 1, 2, 5}) {
            step = s;
            if (s * perUnit >= 44) {
                break;
            }
        }
        int parts = 4;
        double part = step / parts;
        for (long k = (long) Math.ceil(pressure.fromSi(place.heightAt(view.height()) * weight) / part);
                place.y(pressure.toSi(k * part) / weight) >= 26;
                k++) {
            double y = place.y(pressure.toSi(k * part) / weight);
            marks.add(line(right(), y, right() + (k % parts == 0 ? 8 : 4), y, Pen.of(Ink.SOFT, 1)));
            if (k % parts == 0 && y < view.height() - 4) {
                marks.add(new Label(
                        right() + 12,
                        y + 4,
                        k == 0 ? "0" : UnitSystem.figure(k * part, step < 0.1 ? 2 : 1),
                        11,
                        k == 0,
                        Ink.INK,
                        Anchor.START));
            }
        }
    }
}
