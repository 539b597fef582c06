package ration.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import ration.condition.Attitude;
import ration.drawing.Mark.Spot;
import ration.model.Fitted;
import ration.model.FuelSystem;
import ration.model.Tank;

/**
 * Where runs turn. Heights are true, so only the uprights of a run may move: each finds the places across the picture at which it
 * crosses least, over all attitudes at once, so that tilting never moves a line sideways. Where two runs want one height side by
 * side, one takes a passing lane over or under them, and is marked there.
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

    private static final double CROSSING = 9;
    private static final double TOGETHER = 450;
    private static final double TOGETHER_PER_PX = 1.5;
    private static final double THROUGH_SYMBOL = 500;
    private static final double THROUGH_OWN = 120;
    private static final double THROUGH_TANK = 34;
    private static final double THROUGH_RESULT = 500;
    private static final double OUTSIDE = 900;
    /** An upright nearer to the firewall than this reads as part of it, px. */
    private static final double ALONG_WALL = 14;
    private static final double BEND = 5;
    /** A port so little aside of the upright that meets it is met all but straight, px. */
    private static final double ALL_BUT_STRAIGHT = 16;
    private static final double LANE = 70;
    private static final double PER_PX = 0.05;
    /** Straights further off than this do not trouble one another, px. */
    private static final double REACH = 12;

    /**
     * The way of one run.
     *
     * @param turns where its uprights stand, px at no zoom, one for each change of level
     * @param lane  the passing lane it takes
     */
    record Routed(List<Double> turns, Lane lane) {
    }

    /**
     * A stretch off the height of its run.
     *
     * @param off  how far under the lower of the ends, or over the higher where negative, px; 0 without one
     * @param item id of the symbol it keeps that far from instead; empty where it goes by its ends
     */
    record Lane(double off, String item) {
        static final Lane NONE = new Lane(0, "");

        boolean taken() {
            return off != 0;
        }
    }

    /** One attitude: what stands where, and the straights of the runs that have their way. Arrays, for it is asked very often. */
    private final class Frame {
        private final Arrangement place;
        private final List<String> items = new ArrayList<>();
        /** Left, top, right, bottom and cost of each block. */
        private final List<double[]> blocks = new ArrayList<>();
        private final Map<String, List<double[]>> routed = new HashMap<>();
        private final int[] all;
        private double[][] others = new double[0][];
        private double fromX;
        private double toX;
        private int fromItem;
        private int toItem;
        private double width;
        private double[] levels = new double[0];
        /** Blocks and straights that a stretch at each of the levels can meet at all. */
        private final List<int[]> blocksAt = new ArrayList<>();
        private final List<double[][]> othersAt = new ArrayList<>();

        Frame(Arrangement place) {
            this.place = place;
            for (Fitted item : system.all(Fitted.class).toList()) {
                if (place.placed(item.id())) {
                    double[] b = place.body(item);
                    block(item.id(), b[0] - 3, b[1] - 3, b[2] + 3, b[3] + 3, THROUGH_SYMBOL);
                }
            }
            for (Tank tank : system.tanks()) {
                double[] b = place.box(tank);
                block(tank.id(), b[0] + 2, b[2] + 2, b[1] - 2, b[3] - 2, THROUGH_TANK);
            }
            if (system.inlet().isPresent() && !air) {
                block("", place.firewallX() + 22, place.engineTop(), place.right(), place.engineTop() + Arrangement.RESULT, THROUGH_RESULT);
            }
            all = IntStream.range(0, blocks.size()).toArray();
        }

        private void block(String item, double l, double t, double r, double b, double cost) {
            items.add(item);
            blocks.add(new double[] {l, t, r, b, cost});
        }

        /** Makes ready for one run: its ends, and what the others take. */
        void take(Line run) {
            fromX = place.port(run.from()).orElseThrow().x();
            toX = place.port(run.to()).orElseThrow().x();
            fromItem = items.indexOf(run.from().item());
            toItem = items.indexOf(run.to().item());
            width = run.width();
            others = routed.entrySet().stream().filter(e -> !e.getKey().equals(run.id())).flatMap(e -> e.getValue().stream()).toArray(
                    double[][]::new);
        }

        void levels(List<Double> given) {
            levels = given.stream().mapToDouble(Double::doubleValue).toArray();
            blocksAt.clear();
            othersAt.clear();
            for (double y : levels) {
                blocksAt.add(IntStream.range(0, blocks.size()).filter(i -> blocks.get(i)[1] <= y && blocks.get(i)[3] >= y).toArray());
                othersAt.add(Arrays.stream(others).filter(o -> o[1] <= y + REACH && o[3] >= y - REACH).toArray(double[][]::new));
            }
        }

        /** What a stretch at the i-th level costs. */
        double level(int i, double x1, double x2) {
            return cost(x1, levels[i], x2, levels[i], blocksAt.get(i), othersAt.get(i));
        }

        void keep(Line run, List<Spot> way) {
            List<double[]> all = new ArrayList<>();
            for (int i = 1; i < way.size(); i++) {
                Spot p = way.get(i - 1);
                Spot q = way.get(i);
                boolean level = Math.abs(p.y() - q.y()) < 0.5;
                all.add(new double[] {Math.min(p.x(), q.x()), Math.min(p.y(), q.y()), Math.max(p.x(), q.x()), Math.max(p.y(), q.y()),
                    run.width(), level ? 1 : 0});
            }
            routed.put(run.id(), all);
        }

        /** What a straight between two spots costs. */
        double cost(double x1, double y1, double x2, double y2) {
            return cost(x1, y1, x2, y2, all, others);
        }

        private double cost(double x1, double y1, double x2, double y2, int[] met, double[][] beside) {
            double l = Math.min(x1, x2);
            double r = Math.max(x1, x2);
            double t = Math.min(y1, y2);
            double b = Math.max(y1, y2);
            boolean level = b - t < 0.5;
            double cost = PER_PX * (r - l + b - t);
            if (l < left || r > right || t < 4 || b > bottom) {
                cost += OUTSIDE;
            }
            if (!level && Math.abs(x1 - place.firewallX()) < ALONG_WALL) {
                cost += THROUGH_TANK;
            }
            for (int i : met) {
                double[] k = blocks.get(i);
                double inX = Math.min(r, k[2]) - Math.max(l, k[0]);
                double inY = Math.min(b, k[3]) - Math.max(t, k[1]);
                if (inX >= 0 && inY >= 0) {
                    double along = Math.max(inX, inY);
                    boolean own = i == fromItem || i == toItem;
                    cost += !own ? k[4] + along : along > 12 ? along : 0;
                }
            }
            for (double[] s : beside) {
                if (s[0] <= r + REACH && s[2] >= l - REACH && s[1] <= b + REACH && s[3] >= t - REACH) {
                    cost += beside(s, level, l, t, r, b);
                }
            }
            return cost;
        }

        /** Ids of the symbols, not its own, that a straight lies on. */
        List<String> symbolsOn(Spot a, Spot b) {
            return IntStream.range(0, blocks.size()).filter(i -> i != fromItem && i != toItem && blocks.get(i)[4] == THROUGH_SYMBOL
                    && !items.get(i).isEmpty()).filter(i -> Math.min(a.x(), b.x()) <= blocks.get(i)[2] && Math.max(a.x(), b.x()) >= blocks.get(i)[0]
                            && Math.min(a.y(), b.y()) <= blocks.get(i)[3] && Math.max(a.y(), b.y()) >= blocks.get(i)[1]).mapToObj(items::get).toList();
        }

        private double beside(double[] s, boolean level, double l, double t, double r, double b) {
            boolean other = s[5] > 0;
            if (other == level) {
                double near = (s[4] + width) / 2 + 1;
                double apart = level ? Math.abs(s[1] - t) : Math.abs(s[0] - l);
                double along = level ? Math.min(r, s[2]) - Math.max(l, s[0]) : Math.min(b, s[3]) - Math.max(t, s[1]);
                return apart < near && along > 4 ? TOGETHER + TOGETHER_PER_PX * along : apart < near + 5 && along > 10 ? 6 : 0;
            }
            double x = level ? s[0] : l;
            double y = level ? t : s[1];
            boolean crosses = level ? x > l + 1 && x < r - 1 && y > s[1] + 1 && y < s[3] - 1 : y > t + 1 && y < b - 1 && x > s[0] + 1 && x < s[2]
                    - 1;
            return crosses ? CROSSING : 0;
        }
    }

    private final FuelSystem system;
    /** Whether vents are led too. */
    private final boolean air;
    private final List<Frame> frames = new ArrayList<>();
    private final double left;
    private final double right;
    private final double bottom;

    private Router(SchematicSubject subject, SchematicView view) {
        system = subject.system();
        air = view.layers().air();
        SchematicView plain = new SchematicView(view.width(), view.height(), 1, 0, 0, view.layers());
        for (Attitude a : subject.presets()) {
            frames.add(new Frame(new Arrangement(new SchematicSubject(system, subject.presets(), subject.condition().with(a),
                    Optional.empty(), "", subject.units()), plain)));
        }
        left = Arrangement.RULER + 8;
        right = frames.isEmpty() ? view.width() : frames.get(0).place.right() - 8;
        bottom = view.height() - 6;
    }

    /** The ways of all runs whose ends are placed, by id. */
    static Map<String, Routed> of(SchematicSubject subject, SchematicView view) {
        return new Router(subject, view).route();
    }

    private Map<String, Routed> route() {
        if (frames.isEmpty()) {
            return Map.of();
        }
        Arrangement first = frames.get(0).place;
        Stream<Line> all = Stream.concat(system.runs().stream().map(Line::of), air ? Line.vents(system).stream() : Stream.empty());
        List<Line> runs = all.filter(r -> first.port(r.from()).isPresent() && first.port(r.to()).isPresent()).toList();
        List<Line> shortFirst = runs.stream().sorted(Comparator.comparingDouble((Line r) -> Math.abs(first.port(r.from()).get().x()
                - first.port(r.to()).get().x()))).toList();
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

    /** Ways of all runs with what is left of penalties, nothing where none collides with another, and which runs that are. */
    private record Tried(Map<String, Routed> ways, double collisions, Set<String> colliding) {
    }

    /** Those that collided have their way before the others. */
    private static List<Line> collidingFirst(List<Line> runs, Tried before, boolean turned) {
        List<Line> first = new ArrayList<>(runs.stream().filter(r -> before.colliding.contains(r.id())).toList());
        if (turned) {
            Collections.reverse(first);
        }
        return Stream.concat(first.stream(), runs.stream().filter(r -> !before.colliding.contains(r.id()))).toList();
    }

    private Tried tried(List<Line> runs, List<Line> order) {
        Map<String, Routed> ways = route(order);
        double sum = 0;
        Set<String> colliding = new LinkedHashSet<>();
        for (Line run : runs) {
            for (Frame f : frames) {
                f.take(run);
                List<Spot> way = f.place.way(run, ways.get(run.id()));
                for (int i = 1; i < way.size(); i++) {
                    double cost = f.cost(way.get(i - 1).x(), way.get(i - 1).y(), way.get(i).x(), way.get(i).y());
                    if (cost >= TOGETHER) {
                        sum += cost;
                        colliding.add(run.id());
                    }
                }
            }
        }
        return new Tried(ways, sum, colliding);
    }

    private Map<String, Routed> route(List<Line> runs) {
        frames.forEach(f -> f.routed.clear());
        Map<String, Routed> ways = new LinkedHashMap<>();
        for (int round = 0; round < ROUNDS; round++) {
            boolean moved = false;
            for (Line run : runs) {
                frames.forEach(f -> f.take(run));
                Routed best = best(run);
                moved |= !best.equals(ways.put(run.id(), best));
                frames.forEach(f -> f.keep(run, f.place.way(run, best)));
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
        if (best.cost > TOGETHER / frames.size()) {
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
        for (Frame f : frames) {
            List<Spot> way = f.place.way(run, routed);
            for (int i = 1; i < way.size(); i++) {
                all.addAll(f.symbolsOn(way.get(i - 1), way.get(i)));
            }
        }
        return List.copyOf(all);
    }

    private record Choice(double cost, List<Double> turns) {
    }

    /** The cheapest places of a run's uprights, found from its start to its end. */
    private Choice choose(Line run, Lane lane) {
        frames.forEach(f -> f.levels(f.place.levels(run, lane)));
        Arrangement place = frames.get(0).place;
        boolean firstFixed = place.upright(run.from());
        int leaves = away(place.side(run.from()));
        int arrives = away(place.side(run.to()));
        int changes = frames.get(0).levels.length - 1;
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
                    // a stretch costs at least its length; what is dearer than the best is not looked at in all attitudes
                    double apart = Math.abs(last[k] - here[j]);
                    double least = before[k] + own + (apart > 0.5 ? PER_PX * apart * frames.size() : 0);
                    if (least < now[j]) {
                        double cost = before[k] + own + between(i - 1, last[k], here[j], firstFixed, now[j] - before[k] - own);
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
            double cost = before[j] + end(changes, places.get(changes - 1)[j], false, arrives, firstFixed && changes == 1);
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

    /** Where the i-th upright may stand: at an upright port it must, else anywhere between and a little beside the ends. */
    private double[] places(Line run, int i, int changes) {
        Arrangement place = frames.get(0).place;
        if (i == 1 && place.upright(run.from()) || i == changes && place.upright(run.to())) {
            return new double[] {Double.NaN};
        }
        double x0 = frames.get(0).fromX;
        double x1 = frames.get(0).toX;
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
    private static double at(Frame f, double x, int i, boolean firstFixed) {
        return !Double.isNaN(x) ? x : i == 1 && firstFixed ? f.fromX : f.toX;
    }

    private double upright(int i, double x, boolean firstFixed) {
        double sum = 0;
        for (Frame f : frames) {
            double a = f.levels[i - 1];
            double b = f.levels[i];
            double here = at(f, x, i, firstFixed);
            sum += Math.abs(a - b) < 0.5 ? 0 : f.cost(here, a, here, b) + BEND;
        }
        return sum;
    }

    /** The level stretch between the i-th upright and the next; without end where it costs more than the most that is of use. */
    private double between(int i, double from, double to, boolean firstFixed, double most) {
        double sum = 0;
        for (Frame f : frames) {
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
        for (Frame f : frames) {
            double port = first ? f.fromX : f.toX;
            double turn = !Double.isNaN(x) ? x : firstFixed ? f.fromX : f.toX;
            double room = Math.max(0, Math.min(7, Math.abs(f.toX - f.fromX) / 2 - 0.5));
            boolean straight = Double.isNaN(x) && Math.abs(turn - port) < ALL_BUT_STRAIGHT;
            boolean back = !straight && (away > 0 && turn - port < room || away < 0 && turn - port > -room);
            sum += (back ? THROUGH_OWN : 0) + (Math.abs(port - turn) < 0.5 ? 0 : f.level(i, port, turn));
        }
        return sum;
    }
}
