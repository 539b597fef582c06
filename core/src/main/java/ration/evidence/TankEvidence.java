package ration.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.geometry.ApparentGravity;
import ration.geometry.Point3;
import ration.model.Item;
import ration.model.Measured;
import ration.tank.Calibration;
import ration.tank.GaugeCurve;
import ration.tank.TankBody;

/**
 * The finished tests of one tank.
 *
 * @param drains finished drain tests that still count
 * @param fills  finished fills that still count
 * @param tops   finished top-offs that still count
 * @param stale  finished tests done on another shape or outlet
 */
public record TankEvidence(List<HangarTest> drains, List<HangarTest> fills, List<HangarTest> tops, List<HangarTest> stale) {

    /** Nothing tested. */
    public static final TankEvidence NONE = new TankEvidence(List.of(), List.of(), List.of(), List.of());

    public TankEvidence {
        drains = List.copyOf(drains);
        fills = List.copyOf(fills);
        tops = List.copyOf(tops);
        stale = List.copyOf(stale);
    }

    /** Out of all records of a document. */
    public static TankEvidence of(Item.Tank tank, List<HangarTest> all) {
        List<HangarTest> mine = all.stream().filter(t -> t.tank().equals(tank.id()) && t.progress().done()).toList();
        if (mine.isEmpty()) {
            return NONE;
        }
        String now = Fingerprint.of(tank);
        List<HangarTest> good = mine.stream().filter(t -> t.by().fingerprint().equals(now)).toList();
        return new TankEvidence(only(good, Work.Drain.class), only(good, Work.Fill.class), only(good, Work.TopOff.class),
                mine.stream().filter(t -> !good.contains(t)).toList());
    }

    private static List<HangarTest> only(List<HangarTest> tests, Class<? extends Work> kind) {
        return tests.stream().filter(t -> kind.isInstance(t.work())).toList();
    }

    /**
     * What drain tests say.
     *
     * @param largest most that stayed in any trial, m3: this counts
     * @param mean    of all trials, m3
     * @param scatter largest less smallest, m3
     * @param trials  how many
     * @param date    of the last
     */
    public record Drained(double largest, double mean, double scatter, int trials, String date) {
    }

    public Optional<Drained> drained() {
        double[] stayed = drains.stream().flatMap(t -> ((Work.Drain) t.work()).stayed().stream())
                .mapToDouble(Double::doubleValue).toArray();
        if (stayed.length == 0) {
            return Optional.empty();
        }
        var sum = java.util.Arrays.stream(stayed).summaryStatistics();
        return Optional.of(new Drained(sum.getMax(), sum.getAverage(), sum.getMax() - sum.getMin(), stayed.length,
                drains.get(drains.size() - 1).by().date()));
    }

    /** Measured marks of an attitude by its name, in order of volume. */
    public List<GaugeCurve.Mark> marks(String attitude) {
        List<GaugeCurve.Mark> marks = new ArrayList<>();
        for (HangarTest t : fills) {
            Work.Fill fill = (Work.Fill) t.work();
            if (fill.attitude().equals(attitude)) {
                for (int i = 0; i < fill.points().size(); i++) {
                    double total = fill.total(i + 1);
                    fill.points().get(i).reading().ifPresent(r -> marks.add(new GaugeCurve.Mark(total, r.si())));
                }
            }
        }
        marks.sort(java.util.Comparator.comparingDouble(GaugeCurve.Mark::volume));
        return marks;
    }

    /** The most that was ever known to be in the tank: the end of the largest fill, or a top-off; m3. */
    public OptionalDouble capacity() {
        OptionalDouble topped = tops.stream().filter(t -> ((Work.TopOff) t.work()).metered().isPresent())
                .mapToDouble(t -> ((Work.TopOff) t.work()).before().si() + ((Work.TopOff) t.work()).metered().get().si())
                .max();
        return topped;
    }

    /** What the fills say of the shape: at each reading, what it would hold and what was really in. */
    public Calibration calibration(Item.Tank tank) {
        List<Calibration.Point> points = new ArrayList<>();
        TankBody shape = TankBody.of(tank);
        for (HangarTest t : fills) {
            Work.Fill fill = (Work.Fill) t.work();
            GaugeCurve gauge = GaugeCurve.of(shape, ApparentGravity.ofAttitude(fill.pitch().si(), 0).up());
            for (int i = 0; i < fill.points().size(); i++) {
                double total = fill.total(i + 1);
                fill.points().get(i).reading().map(Measured::si).filter(r -> r > 1e-6)
                        .ifPresent(r -> points.add(new Calibration.Point(gauge.volumeByShape(r), total)));
            }
        }
        capacity().ifPresent(c -> points.add(new Calibration.Point(shape.full(new Point3(0, 0, 1)), c)));
        return Calibration.through(points);
    }
}
