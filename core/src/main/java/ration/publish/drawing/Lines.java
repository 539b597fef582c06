package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Run;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.physics.flow.FlowAnswer;
import ration.publish.drawing.Mark.Path;
import ration.publish.drawing.Mark.Pen;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture.Kind;

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
        // where it crosses a line that it does not join, that one is cut
        marks.add(new Path(way, false, Ink.NONE, Pen.of(Ink.GROUND, width + 5), 10));
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
        if (place.lane(Line.of(run)).taken()) {
            laneMarks(marks, run, way, width);
        }
        String state = flowing ? units.text(Math.abs(through), Dimension.FLOW) : "no flow";
        piece(
                run.id(),
                Kind.RUN,
                run.name() + ", " + run.kind() + " " + run.size().shortName() + ", " + state
                        + (suction ? ", below ambient pressure" : ""),
                marks);
    }

    /** Two strokes across the line where it leaves its height and where it is back: between them it is drawn off it. */
    private void laneMarks(List<Mark> marks, Run run, List<Spot> way, double width) {
        List<Double> levels = place.levels(Line.of(run), place.lane(Line.of(run)));
        double lane = levels.get(levels.size() - 2);
        for (int i = 1; i < way.size(); i++) {
            Spot a = way.get(i - 1);
            Spot b = way.get(i);
            boolean upright = Math.abs(a.x() - b.x()) < 0.5;
            if (upright && (Math.abs(a.y() - lane) < 0.5 || Math.abs(b.y() - lane) < 0.5)) {
                double y = Math.abs(a.y() - lane) < 0.5
                        ? a.y() + Math.signum(b.y() - a.y()) * Math.min(14, Math.abs(b.y() - a.y()) / 2)
                        : b.y() + Math.signum(a.y() - b.y()) * Math.min(14, Math.abs(b.y() - a.y()) / 2);
                double half = width / 2 + 4;
                marks.add(line(a.x() - half, y + 1, a.x() + half, y - 5, Pen.of(Ink.GROUND, 4)));
                marks.add(line(a.x() - half, y - 1, a.x() + half, y - 7, Pen.of(Ink.INK, 1.4)));
                marks.add(line(a.x() - half, y + 4, a.x() + half, y - 2, Pen.of(Ink.INK, 1.4)));
            }
        }
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
        double lowest = Math.min(
                a.getAsDouble() - flow.get().height(start.get()),
                b.getAsDouble() - flow.get().height(end.get()));
        int n = run.points().size() + 1;
        for (int i = 1; i < n; i++) {
            double head = a.getAsDouble() + (b.getAsDouble() - a.getAsDouble()) * i / n;
            lowest = Math.min(
                    lowest, head - flow.get().height(run.points().get(i - 1).point()));
        }
        return OptionalDouble.of(lowest * flow.get().weight());
    }
}
