package ration.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.drawing.Mark.Path;
import ration.drawing.Mark.Pen;
import ration.drawing.Mark.Spot;
import ration.drawing.Picture.Kind;
import ration.flow.FlowAnswer;
import ration.geometry.Point3;
import ration.model.Run;
import ration.quantity.Dimension;

/** Runs: solid where fuel flows, pale where it stands, plum where it is below ambient. */
final class Lines extends SchematicPart {

    Lines(SchematicPart sheet) {
        super(sheet);
    }

    void run(Run run) {
        List<Spot> way = place.way(run);
        if (way.size() < 2) {
            return;
        }
        double width = width(run);
        double through = flow.map(f -> f.flow(run.id())).orElse(0.0);
        boolean flowing = Math.abs(through) > FlowAnswer.NO_FLOW;
        boolean suction = flowing && lowestPressure(run).orElse(0) < SUCTION;
        List<Mark> marks = new ArrayList<>();
        Ink ink = suction ? Ink.PLUM : Ink.FUEL;
        marks.add(new Path(way, false, Ink.NONE, Pen.of(ink, width), 10));
        if (!flowing) {
            marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.FUEL_STANDING, Math.max(1, width - 3)), 10));
        } else if (suction) {
            marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.PANEL, 1.4, 5.0, 6.0), 10));
        }
        if (flowing) {
            for (int i = 1; i < way.size(); i++) {
                arrow(marks, way.get(i - 1), way.get(i), through > 0, width, ink);
            }
        }
        String state = flowing ? units.text(Math.abs(through), Dimension.FLOW) : "no flow";
        piece(run.id(), Kind.RUN, run.name() + ", " + run.kind() + " " + run.size().shortName() + ", " + state
                + (suction ? ", below ambient pressure" : ""), marks);
    }

    private void arrow(List<Mark> marks, Spot a, Spot b, boolean forward, double width, Ink ink) {
        double length = Math.hypot(b.x() - a.x(), b.y() - a.y());
        if (length < 34) {
            return;
        }
        double ux = (b.x() - a.x()) / length * (forward ? 1 : -1);
        double uy = (b.y() - a.y()) / length * (forward ? 1 : -1);
        double mx = (a.x() + b.x()) / 2;
        double my = (a.y() + b.y()) / 2;
        double half = Math.max(6, width * 0.95);
        Spot tip = new Spot(mx + ux * 7, my + uy * 7);
        Spot left = new Spot(mx - ux * 6 - uy * half, my - uy * 6 + ux * half);
        Spot rightSpot = new Spot(mx - ux * 6 + uy * half, my - uy * 6 - ux * half);
        marks.add(new Path(List.of(tip, left, rightSpot), true, ink, Pen.of(Ink.PANEL, 1.4), 0));
    }

    /** Lowest gauge pressure at the ends and measured points of a run, Pa. */
    private OptionalDouble lowestPressure(Run run) {
        Optional<Point3> start = system.point(run.from());
        Optional<Point3> end = system.point(run.to());
        if (flow.isEmpty() || start.isEmpty() || end.isEmpty()) {
            return OptionalDouble.empty();
        }
        OptionalDouble a = flow.get().head(run.from());
        OptionalDouble b = flow.get().head(run.to());
        if (a.isEmpty() || b.isEmpty()) {
            return OptionalDouble.empty();
        }
        double lowest = Math.min(a.getAsDouble() - flow.get().height(start.get()),
                b.getAsDouble() - flow.get().height(end.get()));
        int n = run.points().size() + 1;
        for (int i = 1; i < n; i++) {
            double head = a.getAsDouble() + (b.getAsDouble() - a.getAsDouble()) * i / n;
            lowest = Math.min(lowest, head - flow.get().height(run.points().get(i - 1).point()));
        }
        return OptionalDouble.of(lowest * flow.get().weight());
    }
}
