package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import ration.aircraft.model.FuelSystem;
import ration.publish.drawing.Mark.Spot;

/**
 * Where runs turn. Heights are true, so only the uprights of a run may move: each finds the places across the picture
 * at which it crosses least, over all attitudes at once, so that tilting never moves a line sideways. Where two runs
 * want one height side by side, one takes a passing lane over or under them, and is marked there.
 */
final class Router {

    /** How often all runs look for a better way among the others. */
    private static final int ROUNDS = 3;
    /** How often those that still collide are tried first. */
    private static final int AGAIN = 4;
    /** Places tried for an upright. */
    private static final int PLACES = 34;

    private static final double CLOSEST = 8;
    private static final double BESIDE = 76;
    /** So far beside a port an upright is tried too, px. */
    private static final double[] BESIDE_PORT = {14, 26};

    private static final double[] LANES = {24, 38, 52, 66};
    /** How far a lane keeps from the symbol it passes, px. */
    private static final double[] AROUND = {11, 20};

    private static final double THROUGH_OWN = 120;
    private static final double BEND = 5;
    /** A port so little aside of the upright that meets it is met all but straight, px. */
    private static final double ALL_BUT_STRAIGHT = 16;

    private static final double LANE = 70;

    /**
     * The way of one run.
     *
     * @param turns where its uprights stand, px at no zoom, one for each change of level
     * @param lane the passing lane it takes
     */
    record Routed(List<Double> turns, Lane lane) {}

    /**
     * A stretch off the height of its run.
     *
     * @param off how far under the lower of the ends, or over the higher where negative, px; 0 without one
     * @param item id of the symbol it keeps that far from instead; empty where it goes by its ends
     */
    record Lane(double off, String item) {
        static final Lane NONE = new Lane(0, "");

        boolean taken() {
            return off != 0;
        }
    }

    private final FuelSystem system;
    /** Whether vents are led too. */
    private final boolean air;

    private final List<RouteFrame> frames = new ArrayList<>();
    private final double left;
    private final double right;

    private Router(SchematicSubject subject, SchematicView view) {
        system = subject.system();
        air = view.layers().air();
        SchematicView plain = view.plain();
        List<Arrangement> places = subject.presets().stream()
                .map(a -> new Arrangement(
                        new SchematicSubject(
                                system,
                                subject.presets(),
                                subject.condition().with(a),
                                Optional.empty(),
                                "",
                                subject.units()),
                        plain))
                .toList();
        left = Arrangement.RULER + 8;
        right = places.isEmpty() ? view.width() : places.get(0).right() - 8;
        RouteFrame.Room room = new RouteFrame.Room(left, right, view.height() - 6);
        places.forEach(p -> frames.add(new RouteFrame(p, system, air, room)));
    }

    /** The ways of all runs whose ends are placed, by id. */
    static Map<String, Routed> of(SchematicSubject subject, SchematicView view) {
        return new Router(subject, view).route();
    }

    private Map<String, Routed> route() {
        if (frames.isEmpty()) {
            return Map.of();
        }
        Arrangement first = frames.get(0).place();
        Stream<Line> all =
                Stream.concat(system.runs().stream().map(Line::of), air ? Line.vents(system).stream() : Stream.empty());
        List<Line> runs = all.filter(r ->
                        first.port(r.from()).isPresent() && first.port(r.to()).isPresent())
                .toList();
        List<Line> shortFirst = runs.stream()
                .sorted(Comparator.comparingDouble(
                        (Line r) -> Math.abs(first.port(r.from()).get().x()
                                - first.port(r.to()).get().x())))
                .toList();
        List<List<Line>> orders = new ArrayList<>(List.of(shortFirst, runs));
        List<Line> longFirst = new ArrayList<>(shortFirst);
        Collections.reverse(longFirst);
        orders.add(longFirst);
        List<Line> lastFirst = new ArrayList<>(runs);
        Collections.reverse(lastFirst);
        orders.add(lastFirst);
        Tried best = null;
        for (int i = 0; i < orders.size() + AGAIN && (best == null || best.collisions >= 1); i++) {
            Tried now = tried(runs, i < orders.size() ? orders.get(i) : collidingFirst(runs, best, i % 2 == 0));
            best = best == null || now.collisions < best.collisions ? now : best;
        }
        return best.ways;
    }

    /**
     * Ways of all runs with what is left of penalties, nothing where none collides with another, and which runs that
     * are.
     */
    private record Tried(Map<String, Routed> ways, double collisions, Set<String> colliding) {}

    /** Those that collided have their way before the others. */
    private static List<Line> collidingFirst(List<Line> runs, Tried before, boolean turned) {
        List<Line> first = new ArrayList<>(
                runs.stream().filter(r -> before.colliding.contains(r.id())).toList());
        if (turned) {
            Collections.reverse(first);
        }
        return Stream.concat(first.stream(), runs.stream().filter(r -> !before.colliding.contains(r.id())))
                .toList();
    }

    private Tried tried(List<Line> runs, List<Line> order) {
        Map<String, Routed> ways = route(order);
        double sum = 0;
        Set<String> colliding = new LinkedHashSet<>();
        for (Line run : runs) {
            for (RouteFrame f : frames) {
                f.take(run);
                List<Spot> way = f.place().way(run, ways.get(run.id()));
                for (int i = 1; i < way.size(); i++) {
                    double cost = f.cost(
                            way.get(i - 1).x(),
                            way.get(i - 1).y(),
                            way.get(i).x(),
                            way.get(i).y());
                    if (cost >= RouteFrame.TOGETHER) {
                        sum += cost;
                        colliding.add(run.id());
                    }
                }
            }
        }
        return new Tried(ways, sum, colliding);
    }

    private Map<String, Routed> route(List<Line> runs) {
        frames.forEach(RouteFrame::clear);
        Map<String, Routed> ways = new LinkedHashMap<>();
        for (int round = 0; round < ROUNDS; round++) {
            boolean moved = false;
            for (Line run : runs) {
                frames.forEach(f -> f.take(run));
                Routed best = best(run);
                moved |= !best.equals(ways.put(run.id(), best));
                frames.forEach(f -> f.keep(run, f.place().way(run, best)));
            }
            if (!moved) {
                break;
            }
        }
        return ways;
    }

    private Routed best(Line run) {
        Choice plain = choose(run, Lane.NONE);
        if (plain.cost < LANE) {
            return new Routed(plain.turns, Lane.NONE);
        }
        Best best = new Best(run, plain);
        for (double depth : LANES) {
            best.look(new Lane(depth, ""), LANE + 0.3 * depth);
            best.look(new Lane(-depth, ""), LANE + 0.3 * depth);
        }
        if (best.cost > RouteFrame.TOGETHER / frames.size()) {
            for (String item : met(run, best.found)) {
                for (double off : AROUND) {
                    best.look(new Lane(off, item), LANE);
                    best.look(new Lane(-off, item), LANE);
                }
            }
        }
        return best.found;
    }

    /** The best so far of several lanes. */
    private final class Best {
        private final Line run;
        private double cost;
        private Routed found;

        Best(Line run, Choice plain) {
            this.run = run;
            cost = plain.cost;
            found = new Routed(plain.turns, Lane.NONE);
        }

        void look(Lane lane, double extra) {
            Choice c = cost - extra > 1 ? choose(run, lane) : null;
            if (c != null && c.cost + extra < cost - 1) {
                cost = c.cost + extra;
                found = new Routed(c.turns, lane);
            }
        }
    }

    /** Symbols that a way lies on in some attitude, and those in the span of the ones it shares a height with. */
    private List<String> met(Line run, Routed routed) {
        Set<String> all = new LinkedHashSet<>();
        for (RouteFrame f : frames) {
            List<Spot> way = f.place().way(run, routed);
            for (int i = 1; i < way.size(); i++) {
                all.addAll(f.symbolsOn(way.get(i - 1), way.get(i)));
            }
        }
        return List.copyOf(all);
    }

    private record Choice(double cost, List<Double> turns) {}

    /** The cheapest places of a run's uprights, found from its start to its end. */
    private Choice choose(Line run, Lane lane) {
        frames.forEach(f -> f.levels(f.place().levels(run, lane)));
        Arrangement place = frames.get(0).place();
        boolean firstFixed = place.upright(run.from());
        int leaves = away(place.side(run.from()));
        int arrives = away(place.side(run.to()));
        int changes = frames.get(0).levels().length - 1;
        List<double[]> places = new ArrayList<>();
        for (int i = 1; i <= changes; i++) {
            places.add(places(run, i, changes));
        }
        double[] before = new double[places.get(0).length];
        List<int[]> from = new ArrayList<>();
        for (int j = 0; j < before.length; j++) {
            double x = places.get(0)[j];
            before[j] = end(0, x, true, leaves, firstFixed) + upright(1, x, firstFixed);
        }
        for (int i = 2; i <= changes; i++) {
            double[] here = places.get(i - 1);
            double[] last = places.get(i - 2);
            double[] now = new double[here.length];
            int[] came = new int[here.length];
            for (int j = 0; j < now.length; j++) {
                double own = upright(i, here[j], firstFixed);
                now[j] = Double.POSITIVE_INFINITY;
                for (int k = 0; k < before.length; k++) {
                    // a stretch costs at least its length; what is dearer than the best is not looked at in all
                    // attitudes
                    double apart = Math.abs(last[k] - here[j]);
                    double least = before[k] + own + (apart > 0.5 ? RouteFrame.PER_PX * apart * frames.size() : 0);
                    if (least < now[j]) {
                        double cost = before[k]
                                + own
                                + between(i - 1, last[k], here[j], firstFixed, now[j] - before[k] - own);
                        if (cost < now[j]) {
                            now[j] = cost;
                            came[j] = k;
                        }
                    }
                }
            }
            from.add(came);
            before = now;
        }
        int at = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int j = 0; j < before.length; j++) {
            double cost =
                    before[j] + end(changes, places.get(changes - 1)[j], false, arrives, firstFixed && changes == 1);
            if (cost < least) {
                least = cost;
                at = j;
            }
        }
        List<Double> turns = new ArrayList<>();
        for (int i = changes; i >= 1; i--) {
            turns.add(0, places.get(i - 1)[at]);
            at = i > 1 ? from.get(i - 2)[at] : 0;
        }
        return new Choice(least / frames.size(), turns);
    }

    /** Which way a line leaves a side: 1 to the right, -1 to the left, 0 up or down. */
    private static int away(Ports.Side side) {
        return side == Ports.Side.RIGHT ? 1 : side == Ports.Side.LEFT ? -1 : 0;
    }

    /**
     * Where the i-th upright may stand: at an upright port it must, else anywhere between and a little beside the ends.
     */
    private double[] places(Line run, int i, int changes) {
        Arrangement place = frames.get(0).place();
        if (i == 1 && place.upright(run.from()) || i == changes && place.upright(run.to())) {
            return new double[] {Double.NaN};
        }
        double x0 = frames.get(0).fromX();
        double x1 = frames.get(0).toX();
        double low = Math.max(left, Math.min(x0, x1) - BESIDE);
        double high = Math.min(right, Math.max(x0, x1) + BESIDE);
        int count = (int) Math.max(8, Math.min(PLACES, (high - low) / CLOSEST));
        double[] all = new double[count + 2 + 2 * BESIDE_PORT.length];
        for (int k = 0; k <= count; k++) {
            all[k] = low + (high - low) * k / count;
        }
        int n = count + 1;
        all[n++] = (x0 + x1) / 2;
        for (double d : BESIDE_PORT) {
            all[n++] = clamp(x0 + (place.side(run.from()) == Ports.Side.LEFT ? -d : d));
            all[n++] = clamp(x1 + (place.side(run.to()) == Ports.Side.RIGHT ? d : -d));
        }
        return all;
    }

    private double clamp(double x) {
        return Math.min(right, Math.max(left, x));
    }

    /** Where an upright stands in a frame: one that is not a number, at its port. */
    private static double at(RouteFrame f, double x, int i, boolean firstFixed) {
        return !Double.isNaN(x) ? x : i == 1 && firstFixed ? f.fromX() : f.toX();
    }

    private double upright(int i, double x, boolean firstFixed) {
        double sum = 0;
        for (RouteFrame f : frames) {
            double a = f.levels()[i - 1];
            double b = f.levels()[i];
            double here = at(f, x, i, firstFixed);
            sum += Math.abs(a - b) < 0.5 ? 0 : f.cost(here, a, here, b) + BEND;
        }
        return sum;
    }

    /**
     * The level stretch between the i-th upright and the next; without end where it costs more than the most that is of
     * use.
     */
    private double between(int i, double from, double to, boolean firstFixed, double most) {
        double sum = 0;
        for (RouteFrame f : frames) {
            double a = at(f, from, i, firstFixed);
            double b = at(f, to, i + 1, false);
            sum += Math.abs(a - b) < 0.5 ? 0 : f.level(i, a, b);
            if (sum > most) {
                return Double.POSITIVE_INFINITY;
            }
        }
        return sum;
    }

    /** The level stretch from the first port, or to the last; a line leaves a port away from its symbol. */
    private double end(int i, double x, boolean first, int away, boolean firstFixed) {
        double sum = 0;
        for (RouteFrame f : frames) {
            double port = first ? f.fromX() : f.toX();
            double turn = !Double.isNaN(x) ? x : firstFixed ? f.fromX() : f.toX();
            double room = Math.max(0, Math.min(7, Math.abs(f.toX() - f.fromX()) / 2 - 0.5));
            boolean straight = Double.isNaN(x) && Math.abs(turn - port) < ALL_BUT_STRAIGHT;
            boolean back = !straight && (away > 0 && turn - port < room || away < 0 && turn - port > -room);
            sum += (back ? THROUGH_OWN : 0) + (Math.abs(port - turn) < 0.5 ? 0 : f.level(i, port, turn));
        }
        return sum;
    }
}
