package ration.desktop.hangar;

import java.util.DoubleSummaryStatistics;
import java.util.Optional;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.TankAnswer;
import ration.base.geometry.ApparentGravity;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.GaugeCurve;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;

/**
 * What a drain, a fill or a top-off found.
 *
 * @param big the figure, large; empty while there is none
 * @param under what it is against
 */
record TankFound(String big, String under) {

    private static final TankFound NOTHING = new TankFound("", "");

    /** @param computed of its tank; empty where that is no longer laid out */
    static TankFound of(Work work, Optional<TankAnswer> computed, UnitSystem u) {
        return work.as(
                d -> d.stayed().isEmpty() ? NOTHING : drained(d, computed, u),
                f -> f.points().isEmpty() ? NOTHING : filled(f, computed, u),
                top -> top.metered().isEmpty() ? NOTHING : topped(top, computed, u),
                sheet -> NOTHING);
    }

    private static TankFound drained(Work.Drain d, Optional<TankAnswer> computed, UnitSystem u) {
        DoubleSummaryStatistics stays =
                d.stayed().stream().mapToDouble(Double::doubleValue).summaryStatistics();
        Attitude at = new Attitude("Drained at", d.pitch().si(), d.tilt().si());
        String against = computed.map(a -> "; computed for this attitude "
                        + u.fineVolume(
                                a.body().stranded(at.gravity().up(), a.feed()).volume()))
                .orElse("");
        return new TankFound(
                u.fineVolume(stays.getMax()) + " stays",
                (d.stayed().size() == 1
                                ? "One trial"
                                : d.stayed().size() + " trials, mean " + u.fineVolume(stays.getAverage()) + ", spread "
                                        + u.fineVolume(stays.getMax() - stays.getMin()) + "; highest is the result")
                        + against
                        + computed.map(a -> ". Placard " + u.fineVolume(a.placard()) + ".")
                                .orElse("."));
    }

    private static TankFound filled(Work.Fill f, Optional<TankAnswer> computed, UnitSystem u) {
        Work.Pour last = f.points().get(f.points().size() - 1);
        return new TankFound(
                u.fineVolume(f.total(f.points().size())) + " in",
                last.reading()
                        .map(r -> "Gauge height " + r.quantity().shown()
                                + computed.map(a -> "; by shape "
                                                + u.fineVolume(GaugeCurve.of(
                                                                a.body(),
                                                                ApparentGravity.ofAttitude(
                                                                                f.pitch()
                                                                                        .si(),
                                                                                0)
                                                                        .up())
                                                        .volumeByShape(r.si()))
                                                + " there")
                                        .orElse("")
                                + ".")
                        .orElse("No gauge reading yet."));
    }

    private static TankFound topped(Work.TopOff top, Optional<TankAnswer> computed, UnitSystem u) {
        double all = top.before().si() + top.metered().orElseThrow().si();
        return new TankFound(
                u.fineVolume(all) + " full",
                computed.map(a -> a.body().solid().volume())
                        .map(shape -> "Capacity by shape " + u.fineVolume(shape) + "; "
                                + u.fineVolume(Math.abs(all - shape)) + (all < shape ? " less" : " more") + " went in.")
                        .orElse(""));
    }

    /** The figure of a record in a few words; empty while it has none, and where its form tells it. */
    static String brief(HangarTest t, UnitSystem units) {
        return t.work()
                .as(
                        d -> d.stayed().isEmpty()
                                ? ""
                                : units.fineVolume(d.stayed().stream()
                                        .mapToDouble(Double::doubleValue)
                                        .max()
                                        .orElse(0)),
                        f -> f.points().isEmpty()
                                ? ""
                                : units.fineVolume(f.total(f.points().size())),
                        top -> top.metered()
                                .map(m -> units.fineVolume(top.before().si() + m.si()))
                                .orElse(""),
                        sheet -> "");
    }
}
