package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.publish.drawing.Mark.Spot;

/**
 * A picture in one attitude, as the router sees it: what stands where, and the straights of the runs that have their
 * way. Arrays, for it is asked very often.
 */
final class RouteFrame {

    /** Where lines may go, px. */
    record Room(double left, double right, double bottom) {}

    private static final double CROSSING = 9;
    private static final double TOGETHER_PER_PX = 1.5;
    private static final double THROUGH_SYMBOL = 500;
    private static final double THROUGH_TANK = 34;
    private static final double THROUGH_RESULT = 500;
    private static final double OUTSIDE = 900;
    /** An upright nearer to the firewall than this reads as part of it, px. */
    private static final double ALONG_WALL = 14;
    /** Straights further off than this do not trouble one another, px. */
    private static final double REACH = 12;

    static final double TOGETHER = 450;
    static final double PER_PX = 0.05;

    private final Arrangement place;
    private final Room room;
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

    RouteFrame(Arrangement place, FuelSystem system, boolean air, Room room) {
        this.place = place;
        this.room = room;
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
            block(
                    "",
                    place.firewallX() + 22,
                    place.engineTop(),
                    place.right(),
                    place.engineTop() + Arrangement.RESULT,
                    THROUGH_RESULT);
        }
        all = IntStream.range(0, blocks.size()).toArray();
    }

    Arrangement place() {
        return place;
    }

    double fromX() {
        return fromX;
    }

    double toX() {
        return toX;
    }

    double[] levels() {
        return levels;
    }

    /** Forgets every run's way. */
    void clear() {
        routed.clear();
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
        others = routed.entrySet().stream()
                .filter(e -> !e.getKey().equals(run.id()))
                .flatMap(e -> e.getValue().stream())
                .toArray(double[][]::new);
    }

    void levels(List<Double> given) {
        levels = given.stream().mapToDouble(Double::doubleValue).toArray();
        blocksAt.clear();
        othersAt.clear();
        for (double y : levels) {
            blocksAt.add(IntStream.range(0, blocks.size())
                    .filter(i -> blocks.get(i)[1] <= y && blocks.get(i)[3] >= y)
                    .toArray());
            othersAt.add(Arrays.stream(others)
                    .filter(o -> o[1] <= y + REACH && o[3] >= y - REACH)
                    .toArray(double[][]::new));
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
            all.add(new double[] {
                Math.min(p.x(), q.x()),
                Math.min(p.y(), q.y()),
                Math.max(p.x(), q.x()),
                Math.max(p.y(), q.y()),
                run.width(),
                level ? 1 : 0
            });
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
        if (l < room.left || r > room.right || t < 4 || b > room.bottom) {
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
        return IntStream.range(0, blocks.size())
                .filter(i -> i != fromItem
                        && i != toItem
                        && blocks.get(i)[4] == THROUGH_SYMBOL
                        && !items.get(i).isEmpty())
                .filter(i -> Math.min(a.x(), b.x()) <= blocks.get(i)[2]
                        && Math.max(a.x(), b.x()) >= blocks.get(i)[0]
                        && Math.min(a.y(), b.y()) <= blocks.get(i)[3]
                        && Math.max(a.y(), b.y()) >= blocks.get(i)[1])
                .mapToObj(items::get)
                .toList();
    }

    private double beside(double[] s, boolean level, double l, double t, double r, double b) {
        boolean other = s[5] > 0;
        if (other == level) {
            double near = (s[4] + width) / 2 + 1;
            double apart = level ? Math.abs(s[1] - t) : Math.abs(s[0] - l);
            double along = level ? Math.min(r, s[2]) - Math.max(l, s[0]) : Math.min(b, s[3]) - Math.max(t, s[1]);
            return apart < near && along > 4
                    ? TOGETHER + TOGETHER_PER_PX * along
                    : apart < near + 5 && along > 10 ? 6 : 0;
        }
        double x = level ? s[0] : l;
        double y = level ? t : s[1];
        boolean crosses = level
                ? x > l + 1 && x < r - 1 && y > s[1] + 1 && y < s[3] - 1
                : y > t + 1 && y < b - 1 && x > s[0] + 1 && x < s[2] - 1;
        return crosses ? CROSSING : 0;
    }
}
