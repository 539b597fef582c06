package ration.physics.flow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/** The path the fuel takes, unrolled: distance along it, height over the engine inlet, and the grade line. */
public final class PathLine {

    /** Length an item that is no run takes up along the path, m. */
    private static final double ITEM_LENGTH = 0.075;

    /**
     * A point of the line.
     *
     * @param along distance from the tank, m
     * @param height of the line itself over the engine inlet, m
     * @param place in aircraft axes
     */
    public record At(double along, double height, Point3 place) {}

    /**
     * One item on the path; heads and heights over the engine inlet, m.
     *
     * @param item on the path
     * @param way its points, in the direction of flow
     * @param headIn grade line before it
     * @param headOut after it
     */
    public record Stretch(Item item, List<At> way, double headIn, double headOut) {
        public Stretch {
            way = List.copyOf(way);
        }

        /** Its run; empty of what is none. */
        public Optional<Run> run() {
            return item.only(Run.class);
        }

        /** Whether the fuel stands here before it sets out. */
        public boolean tank() {
            return item.only(Tank.class).isPresent();
        }

        public double start() {
            return way.get(0).along();
        }

        public double end() {
            return way.get(way.size() - 1).along();
        }

        /** Grade line over the engine inlet at a distance along, m: straight within a stretch. */
        public double head(double along) {
            return end() - start() < 1e-9
                    ? headOut
                    : headIn + (along - start()) / (end() - start()) * (headOut - headIn);
        }
    }

    private PathLine() {}

    /** The stretches of the path of an answer, from the tank; empty if nothing flows. */
    public static List<Stretch> of(FuelSystem system, FlowAnswer answer) {
        Optional<Point3> inlet = system.inlet().map(i -> i.place().point());
        if (inlet.isEmpty()) {
            return List.of();
        }
        double zero = answer.height(inlet.get());
        List<Stretch> stretches = new ArrayList<>();
        double along = 0;
        List<PathStep> path = answer.path();
        for (int i = 0; i < path.size(); i++) {
            PathStep step = path.get(i);
            Optional<Item> item = system.item(step.item());
            if (item.isEmpty()) {
                continue;
            }
            List<At> way = new ArrayList<>();
            Optional<Run> run = item.get().only(Run.class);
            if (run.isPresent()) {
                along = unroll(answer, run.get(), zero, along, way);
            } else {
                double in = portHeight(system, answer, path, i, -1) - zero;
                double out = portHeight(system, answer, path, i, 1) - zero;
                double from = Double.isNaN(in) ? out : in;
                double to = Double.isNaN(out) ? in : out;
                if (Double.isNaN(from)) {
                    continue;
                }
                Point3 place = item.get()
                        .only(Fitted.class)
                        .map(f -> f.place().point())
                        .or(() -> item.get()
                                .only(Tank.class)
                                .flatMap(t -> t.outlets().stream().findFirst())
                                .map(o -> o.place().point()))
                        .orElse(inlet.get());
                way.add(new At(along, from, place));
                along += ITEM_LENGTH;
                way.add(new At(along, to, place));
            }
            stretches.add(new Stretch(item.get(), way, step.headIn() - zero, step.headOut() - zero));
        }
        return stretches;
    }

    /** Height of the port through which the neighbouring run on the path joins this item; no number where none does. */
    private static double portHeight(FuelSystem system, FlowAnswer answer, List<PathStep> path, int at, int side) {
        int other = at + side;
        Optional<Run> run = other < 0 || other >= path.size()
                ? Optional.empty()
                : system.item(path.get(other).item()).flatMap(i -> i.only(Run.class));
        if (run.isEmpty()) {
            return Double.NaN;
        }
        String here = path.get(at).item();
        List<Point3> points = answer.way(run.get()).points();
        return run.get().from().item().equals(here)
                ? answer.height(points.get(0))
                : run.get().to().item().equals(here) ? answer.height(points.get(points.size() - 1)) : Double.NaN;
    }

    private static double unroll(FlowAnswer answer, Run run, double zero, double along, List<At> way) {
        boolean forward = answer.flow(run.id()) >= 0;
        Groundwork.Way laid = answer.way(run);
        double stretch = laid.straight() > 0 ? laid.length() / laid.straight() : 1;
        double at = along;
        int last = laid.points().size() - 1;
        for (int i = 0; i <= last; i++) {
            Point3 point = laid.points().get(forward ? i : last - i);
            at += i == 0 ? 0 : stretch * laid.legs()[forward ? i - 1 : last - i];
            way.add(new At(at, answer.height(point) - zero, point));
        }
        return along + laid.length();
    }
}
