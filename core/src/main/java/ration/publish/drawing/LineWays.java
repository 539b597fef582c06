package ration.publish.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.Fitted;
import ration.publish.drawing.Mark.Spot;

/**
 * Corners of the lines of a picture: orthogonal, their uprights where they cross least, measured points at their
 * heights.
 */
final class LineWays {

    /** So far a vent rises out of a roof at least, px. */
    private static final double OUT_OF_ROOF = 9;

    private final Arrangement place;
    private final SchematicSubject subject;
    private final SchematicView view;
    /** Found when first asked for. */
    private Map<String, Router.Routed> routes;

    LineWays(Arrangement place, SchematicSubject subject, SchematicView view) {
        this.place = place;
        this.subject = subject;
        this.view = view;
    }

    List<Spot> way(Line run) {
        if (place.port(run.from()).isEmpty() || place.port(run.to()).isEmpty()) {
            return List.of();
        }
        Router.Routed routed = routes().get(run.id());
        return routed == null
                ? List.of()
                : way(
                        run,
                        new Router.Routed(
                                routed.turns().stream()
                                        .map(x -> Double.isNaN(x) ? x : place.zoomX(x))
                                        .toList(),
                                routed.lane()));
    }

    /** Whether a run lies off its height between two marks. */
    Router.Lane lane(Line run) {
        return Optional.ofNullable(routes().get(run.id()))
                .map(Router.Routed::lane)
                .orElse(Router.Lane.NONE);
    }

    /** With its uprights at these places; one that is not a number stands at the port. */
    List<Spot> way(Line run, Router.Routed routed) {
        Spot start = place.port(run.from()).orElseThrow();
        Spot end = place.port(run.to()).orElseThrow();
        List<Double> levels = levels(run, routed.lane());
        List<Spot> spots = new ArrayList<>(List.of(start));
        // zoomed in, a tank may stand so that a port is met from another side: then half way
        boolean fits = routed.turns().size() == levels.size() - 1;
        for (int i = 1; i < levels.size(); i++) {
            double x = fits
                    ? routed.turns().get(i - 1)
                    : i == 1 && place.upright(run.from()) || i == levels.size() - 1 && place.upright(run.to())
                            ? Double.NaN
                            : (start.x() + end.x()) / 2;
            double turn = !Double.isNaN(x) ? x : i == 1 && place.upright(run.from()) ? start.x() : end.x();
            spots.add(new Spot(turn, levels.get(i - 1)));
            spots.add(new Spot(turn, levels.get(i)));
        }
        spots.add(end);
        List<Spot> way = tidy(spots);
        // where two ports all but touch, the run between them is still there
        return way.size() < 2 ? List.of(start, end) : way;
    }

    /**
     * The heights a run lies at one after the other, y: of its ends, its measured points, and a passing lane if it
     * takes one.
     */
    List<Double> levels(Line run, Router.Lane lane) {
        double from = place.port(run.from()).orElseThrow().y();
        double to = place.port(run.to()).orElseThrow().y();
        List<Double> levels = new ArrayList<>(List.of(from));
        run.points().forEach(p -> levels.add(place.y(p)));
        if (run.vent() && (levels.size() > 1 ? levels.get(1) : to) > from - OUT_OF_ROOF) {
            // it leaves the roof upwards, whatever comes after
            levels.add(1, from - OUT_OF_ROOF);
        }
        boolean bothUpright = run.points().isEmpty() && place.upright(run.from()) && place.upright(run.to());
        if (lane.taken()) {
            boolean under = lane.off() > 0;
            double off = lane.off()
                    + subject.system()
                            .item(lane.item())
                            .flatMap(i -> i.only(Fitted.class))
                            .filter(i -> place.placed(i.id()))
                            .map(place::body)
                            .map(b -> under ? b[3] : b[1])
                            .orElse(under ? Math.max(from, to) : Math.min(from, to));
            levels.add(Math.max(8, Math.min(view.height() - 10, off)));
        } else if (bothUpright) {
            Ports.Side a = place.side(run.from());
            Ports.Side b = place.side(run.to());
            levels.add(
                    a != b
                            ? (from + to) / 2
                            : a == Ports.Side.BOTTOM
                                    ? Math.max(from, to) + 18 * view.zoom()
                                    : Math.min(from, to) - 18 * view.zoom());
        }
        levels.add(to);
        return levels;
    }

    private Map<String, Router.Routed> routes() {
        if (routes == null) {
            routes = Routes.of(subject, view);
        }
        return routes;
    }

    /** Without doubled spots and corners that are none. */
    private static List<Spot> tidy(List<Spot> spots) {
        List<Spot> out = new ArrayList<>();
        for (Spot s : spots) {
            if (!out.isEmpty() && near(out.get(out.size() - 1), s)) {
                continue;
            }
            int n = out.size();
            if (n >= 2 && straight(out.get(n - 2), out.get(n - 1), s)) {
                out.set(n - 1, s);
            } else {
                out.add(s);
            }
        }
        return out;
    }

    private static boolean near(Spot a, Spot b) {
        return Math.abs(a.x() - b.x()) < 0.5 && Math.abs(a.y() - b.y()) < 0.5;
    }

    private static boolean straight(Spot a, Spot b, Spot c) {
        return Math.abs(a.x() - b.x()) < 0.5 && Math.abs(b.x() - c.x()) < 0.5
                || Math.abs(a.y() - b.y()) < 0.5 && Math.abs(b.y() - c.y()) < 0.5;
    }
}
