package ration.publish.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/** What is measured of a layout with tape and water hose, point by point, each with its letter. */
public final class MeasuringPoints {

    private MeasuringPoints() {}

    /**
     * One point.
     *
     * @param letter without I and O, which are read as figures
     * @param what in words
     * @param at as laid out now, m
     * @param sideways whether its butt line is wanted
     */
    public record Point(String letter, String what, Point3 at, boolean sideways) {}

    /** Tanks from their outlets up, then what stands between them and the engine, the firewall last. */
    public static List<Point> of(FuelSystem system) {
        List<Point> all = new ArrayList<>();
        for (Tank tank : system.tanks()) {
            tank.outlets()
                    .forEach(o -> add(
                            all,
                            tank.name() + ", " + (tank.outlets().size() == 1 ? "outlet" : o.name()),
                            o.place().point(),
                            true));
            List<Point3> corners = TankShadow.side(tank);
            corners.stream()
                    .min(Comparator.comparingDouble(Point3::x).thenComparingDouble(Point3::z))
                    .ifPresent(p -> add(all, tank.name() + ", low front corner", p, true));
            corners.stream()
                    .max(Comparator.comparingDouble(Point3::x).thenComparingDouble(Point3::z))
                    .ifPresent(p -> add(all, tank.name() + ", high rear corner", p, true));
            tank.vent().ifPresent(v -> add(all, tank.name() + ", vent tip", v.point(), true));
        }
        system.all(Fitted.class).forEach(f -> add(all, f.name(), f.place().point(), true));
        system.firewall()
                .ifPresent(w -> add(
                        all,
                        "Firewall, top",
                        new Point3(w.station().si(), 0, w.top().si()),
                        false));
        return List.copyOf(all);
    }

    private static void add(List<Point> all, String what, Point3 at, boolean sideways) {
        all.add(new Point(letter(all.size()), what, at, sideways));
    }

    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ";

    /** A to Z without I and O, then AA. */
    static String letter(int n) {
        String last = LETTERS.substring(n % LETTERS.length(), n % LETTERS.length() + 1);
        return n < LETTERS.length() ? last : letter(n / LETTERS.length() - 1) + last;
    }
}
