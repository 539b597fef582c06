package ration.record.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import ration.aircraft.model.Tank;
import ration.base.geometry.ApparentGravity;
import ration.base.quantity.Measured;
import ration.physics.tank.Calibration;
import ration.physics.tank.GaugeCurve;
import ration.physics.tank.TankBody;

/**
 * The finished tests of one tank.
 *
 * @param drains finished drain tests that still count
 * @param fills finished fills that still count
 * @param tops finished top-offs that still count
 * @param stale finished tests done on another shape or outlet
 */
public record TankEvidence(
        List<HangarTest> drains, List<HangarTest> fills, List<HangarTest> tops, List<HangarTest> stale) {

    /** Nothing tested. */
    public static final TankEvidence NONE = new TankEvidence(List.of(), List.of(), List.of(), List.of());

    public TankEvidence {
        drains = List.copyOf(drains);
        fills = List.copyOf(fills);
        tops = List.copyOf(tops);
        stale = List.copyOf(stale);
    }

    /** Out of all records of a document. */
    public static TankEvidence of(Tank tank, List<HangarTest> all, AsBuilt now) {
        List<HangarTest> mine = all.stream()
                .filter(t -> t.subject().equals(tank.id())
                        && t.progress().done()
                        && t.work().onTank())
                .toList();
        if (mine.isEmpty()) {
            return NONE;
        }
        String print = Fingerprint.of(tank);
        List<HangarTest> same = mine.stream()
                .filter(t -> t.by().fingerprint().equals(print) && !Standing.stoodElsewhere(t.work(), now))
                .toList();
        List<HangarTest> good =
                same.stream().filter(t -> !t.by().beside().standIn()).toList();
        return new TankEvidence(
                only(good, Work.Drain.class),
                only(good, Work.Fill.class),
                only(good, Work.TopOff.class),
                mine.stream().filter(t -> !same.contains(t)).toList());
    }

    /**
     * What ended the records that no longer count, each change once; nothing of records that do not tell what they rest
     * on.
     */
    public List<Inputs.Change> changes(AsBuilt now) {
        return stale.stream()
                .flatMap(t -> Standing.of(t, now).changes().stream())
                .distinct()
                .toList();
    }

    private static List<HangarTest> only(List<HangarTest> tests, Class<? extends Work> kind) {
        return tests.stream().filter(t -> kind.isInstance(t.work())).toList();
    }

    /** Attitudes nearer than this are one, rad: what a level and two marks can tell. */
    public static final double SAME_ATTITUDE = Math.toRadians(1);
    /** Marks were made at this pitch if it was measured so near, rad. */
    private static final double SAME_PITCH = Math.toRadians(0.5);

    /**
     * What drain tests of one attitude say.
     *
     * @param pitch nose up, as set, rad
     * @param tilt right side down, as set, rad
     * @param largest most that stayed in any trial, m3: this counts
     * @param mean of its trials, m3
     * @param scatter largest less smallest, m3
     * @param trials how many
     * @param date of the last
     */
    public record Drained(
            double pitch, double tilt, double largest, double mean, double scatter, int trials, String date) {

        public boolean at(double otherPitch, double otherTilt) {
            return Math.abs(pitch - otherPitch) <= SAME_ATTITUDE && Math.abs(tilt - otherTilt) <= SAME_ATTITUDE;
        }
    }

    /** Each attitude for itself: trials of different ones are never taken together. */
    public List<Drained> drained() {
        List<List<HangarTest>> groups = new ArrayList<>();
        for (HangarTest t : drains) {
            Work.Drain d = (Work.Drain) t.work();
            if (!d.stayed().isEmpty()) {
                groups.stream()
                        .filter(g -> same((Work.Drain) g.get(0).work(), d))
                        .findFirst()
                        .orElseGet(() -> {
                            List<HangarTest> fresh = new ArrayList<>();
                            groups.add(fresh);
                            return fresh;
                        })
                        .add(t);
            }
        }
        return groups.stream().map(TankEvidence::together).toList();
    }

    private static boolean same(Work.Drain a, Work.Drain b) {
        return Math.abs(a.pitch().si() - b.pitch().si()) <= SAME_ATTITUDE / 2
                && Math.abs(a.tilt().si() - b.tilt().si()) <= SAME_ATTITUDE / 2;
    }

    private static Drained together(List<HangarTest> tests) {
        Work.Drain first = (Work.Drain) tests.get(0).work();
        var sum = tests.stream()
                .flatMap(t -> ((Work.Drain) t.work()).stayed().stream())
                .mapToDouble(Double::doubleValue)
                .summaryStatistics();
        return new Drained(
                first.pitch().si(),
                first.tilt().si(),
                sum.getMax(),
                sum.getAverage(),
                sum.getMax() - sum.getMin(),
                (int) sum.getCount(),
                tests.get(tests.size() - 1).by().date());
    }

    /** Measured marks of fills made at this pitch, rad, in order of volume. */
    public List<GaugeCurve.Mark> marks(double pitch) {
        List<GaugeCurve.Mark> marks = new ArrayList<>();
        for (HangarTest t : fills) {
            Work.Fill fill = (Work.Fill) t.work();
            if (Math.abs(fill.pitch().si() - pitch) <= SAME_PITCH) {
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
        OptionalDouble topped = tops.stream()
                .filter(t -> ((Work.TopOff) t.work()).metered().isPresent())
                .mapToDouble(t -> ((Work.TopOff) t.work()).before().si()
                        + ((Work.TopOff) t.work()).metered().get().si())
                .max();
        return topped;
    }

    /**
     * What fills and top-offs say of the shape: at each reading, what it would hold in the attitude it was read in and
     * what was really in.
     *
     * @param parked pitch the aircraft stands at, rad: a top-off that does not say how it stood was filled so
     */
    public Calibration calibration(Tank tank, double parked) {
        List<Calibration.Point> points = new ArrayList<>();
        TankBody shape = TankBody.of(tank);
        for (HangarTest t : fills) {
            Work.Fill fill = (Work.Fill) t.work();
            GaugeCurve gauge = GaugeCurve.of(
                    shape, ApparentGravity.ofAttitude(fill.pitch().si(), 0).up());
            for (int i = 0; i < fill.points().size(); i++) {
                double total = fill.total(i + 1);
                fill.points()
                        .get(i)
                        .reading()
                        .map(Measured::si)
                        .filter(r -> r > 1e-6)
                        .ifPresent(r -> points.add(new Calibration.Point(gauge.volumeByShape(r), total)));
            }
        }
        tops.stream()
                .map(t -> (Work.TopOff) t.work())
                .filter(t -> t.metered().isPresent())
                .max(java.util.Comparator.comparingDouble(
                        t -> t.before().si() + t.metered().get().si()))
                .ifPresent(t -> points.add(new Calibration.Point(
                        shape.full(ApparentGravity.ofAttitude(
                                        t.pitch().map(Measured::si).orElse(parked), 0)
                                .up()),
                        t.before().si() + t.metered().get().si())));
        return Calibration.through(points);
    }
}
