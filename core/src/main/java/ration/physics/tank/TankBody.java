package ration.physics.tank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.geometry.Solid;

/**
 * A laid-out tank made ready for computing. Volumes are real ones, m3: what was measured where fills were, else what
 * the shape holds.
 */
public final class TankBody {

    private static final Point3 ACROSS = new Point3(0, 1, 0);

    private final Tank tank;
    private final Solid solid;
    private final Calibration calibration;
    private final List<Solid.Slab> bays;
    /** What was asked before: the same attitudes and fillings are asked of a tank with every edit elsewhere. */
    private final Map<Asked, Double> levels = new ConcurrentHashMap<>();

    private final Map<Point3, Double> fulls = new ConcurrentHashMap<>();

    private record Asked(Point3 up, double volume) {}

    /** More than one assessment asks; beyond it the memory is begun anew. */
    private static final int KEPT = 5000;

    private TankBody(Tank tank, Solid solid, Calibration calibration) {
        this.tank = tank;
        this.solid = solid;
        this.calibration = calibration;
        this.bays = bays();
    }

    /** Throws IllegalArgumentException with the reason where the shape does not close. */
    public static TankBody of(Tank tank) {
        return of(tank, Calibration.NONE);
    }

    /** With measured fills. */
    public static TankBody of(Tank tank, Calibration calibration) {
        return new TankBody(tank, tank.solid(), calibration);
    }

    private List<Solid.Slab> bays() {
        List<Solid.Slab> all = new ArrayList<>();
        double from = solid.lowest(ACROSS) - 1;
        for (Fitout.Rib rib : tank.fitout().ribs()) {
            all.add(new Solid.Slab(ACROSS, from, rib.at().si()));
            from = rib.at().si();
        }
        all.add(new Solid.Slab(ACROSS, from, Math.max(from, solid.highest(ACROSS)) + 1));
        return all;
    }

    public Tank tank() {
        return tank;
    }

    public Solid solid() {
        return solid;
    }

    public Calibration calibration() {
        return calibration;
    }

    /** The whole inside. */
    public double capacity() {
        return calibration.real(solid.volume());
    }

    /** As much as goes in before it stands at the filler's lip in an attitude; the whole inside without a filler. */
    public double full(Point3 up) {
        Double known = fulls.get(up);
        return known != null
                ? known
                : kept(
                        fulls,
                        up,
                        tank.fitout()
                                .filler()
                                .map(f -> calibration.real(solid.volumeBelow(up, up.dot(f.point()))))
                                .orElse(capacity()));
    }

    /** Height of the surface along up, m, taken as level through all bays. */
    public double level(Point3 up, double volume) {
        Asked asked = new Asked(up, volume);
        Double known = levels.get(asked);
        return known != null ? known : kept(levels, asked, solid.level(up, calibration.byShape(volume)));
    }

    private static <K> double kept(Map<K, Double> answers, K asked, double answer) {
        if (answers.size() > KEPT) {
            answers.clear();
        }
        answers.put(asked, answer);
        return answer;
    }

    public double volumeBelow(Point3 up, double level) {
        return calibration.real(solid.volumeBelow(up, level));
    }

    /**
     * What stays below the outlets in an attitude. Undivided, that is what lies under the plane to which its outlets
     * drain it together, see {@link Feed}. Divided, each bay drains to the lip of the easiest way to an outlet through
     * the openings of the ribs; a bay without a way keeps all it holds.
     */
    public Stranded stranded(Point3 up, Feed feed) {
        if (tank.outlets().isEmpty()) {
            return new Stranded(capacity(), Double.POSITIVE_INFINITY, List.of());
        }
        double outlet = feed.drainsTo(up, tank.outlets());
        if (bays.size() == 1) {
            double volume = kept(solid.volumeBelow(up, outlet));
            return new Stranded(volume, outlet, List.of(new Stranded.Bay(volume, outlet)));
        }
        double[] levels = drained(up, feed, outlet);
        double sum = 0;
        List<Stranded.Bay> kept = new ArrayList<>();
        double high = solid.highest(up) + 1;
        for (int i = 0; i < levels.length; i++) {
            double volume = solid.volumeBelow(up, Math.min(high, levels[i]), bays.get(i));
            sum += volume;
            kept.add(new Stranded.Bay(volume, levels[i]));
        }
        return new Stranded(kept(sum), outlet, kept);
    }

    /**
     * What stays, of a volume by shape: a fill and mark measures how much the tank holds up to a level in the attitude
     * it was marked in, not what lies in a corner in another. It may show that more stays, never that less does: a
     * drain test in that attitude shows it.
     */
    private double kept(double byShape) {
        return Math.max(byShape, calibration.real(byShape));
    }

    /** Levels the bays drain to: from the outlets outwards, over the lowest opening each way, until nothing sinks. */
    private double[] drained(Point3 up, Feed feed, double outlet) {
        double[] level = new double[bays.size()];
        Arrays.fill(level, Double.POSITIVE_INFINITY);
        for (Outlet o : tank.outlets()) {
            int bay = bayAt(o.place().point().y());
            level[bay] = Math.min(level[bay], Math.max(outlet, up.dot(o.drainsAt())));
        }
        for (int pass = 0; pass < bays.size(); pass++) {
            for (int i = 0; i < tank.fitout().ribs().size(); i++) {
                Fitout.Rib rib = tank.fitout().ribs().get(i);
                for (Fitout.Opening o : rib.openings()) {
                    double lip = up.dot(new Point3(
                            o.along().si(), rib.at().si(), o.waterLine().si()));
                    if (o.passes() != Fitout.Passes.TO_THE_RIGHT) {
                        level[i + 1] = Math.min(level[i + 1], Math.max(lip, level[i]));
                    }
                    if (o.passes() != Fitout.Passes.TO_THE_LEFT) {
                        level[i] = Math.min(level[i], Math.max(lip, level[i + 1]));
                    }
                }
            }
        }
        return level;
    }

    private int bayAt(double buttLine) {
        for (int i = 0; i < bays.size() - 1; i++) {
            if (buttLine <= bays.get(i).to()) {
                return i;
            }
        }
        return bays.size() - 1;
    }
}
