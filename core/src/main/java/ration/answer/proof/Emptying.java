package ration.answer.proof;

import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.TankBody;
import ration.record.evidence.Work;
import ration.verdict.check.Finding.Wording;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;

/**
 * A tank emptied by its drain, parked: how long it takes and what stays, by its shape. Out of a hole of the drain's
 * bore, Torricelli, the vent open; textbook, discharge coefficient from memory.
 *
 * @param stays under the drain, m3
 * @param seconds until the stream breaks; not a number where the bore is not known
 */
record Emptying(double stays, double seconds) {

    private static final double DISCHARGE = 0.62;
    private static final double GRAVITY = 9.80665;
    private static final int SLICES = 400;
    /** What a dipstick or a can may be off, m3, and a share of what is computed. */
    private static final double OFF = Unit.GALLON.toSi(0.1);

    private static final double OFF_SHARE = 0.25;
    /** A drain that takes longer than so many times what is computed is partly closed. */
    private static final double SLOW = 1.5;

    private static final double TOO_SLOW = 3;

    /**
     * Of a tank with so much in it.
     *
     * @param up of the parked aircraft
     * @param contents m3
     * @param bore of the drain, m; not a number where it is not known
     */
    static Emptying of(TankBody body, Point3 up, Point3 drain, double contents, double bore) {
        double low = up.dot(drain);
        double stays = Math.min(contents, body.volumeBelow(up, low));
        if (Double.isNaN(bore)) {
            return new Emptying(stays, Double.NaN);
        }
        double area = Math.PI * bore * bore / 4;
        double seconds = 0;
        double step = (contents - stays) / SLICES;
        double root = root(body, up, contents, low);
        for (int i = SLICES - 1; i >= 0 && step > 0; i--) {
            // exact where the walls of a slice are straight
            double next = root(body, up, stays + i * step, low);
            seconds += step / (DISCHARGE * area * Math.sqrt(2 * GRAVITY)) * 2 / (root + next);
            root = next;
        }
        return new Emptying(stays, seconds);
    }

    /** Of the head over the drain, m. */
    private static double root(TankBody body, Point3 up, double volume, double low) {
        return Math.sqrt(Math.max(body.level(up, volume) - low, 0));
    }

    /** What a record says of a tank with a drain. */
    static Outcome outcome(Tank tank, TankBody body, Point3 up, Work.Sheet sheet) {
        Point3 drain = tank.drain().orElseThrow().point();
        OptionalDouble contents = sheet.figure("contents");
        OptionalDouble rest = sheet.figure("rest");
        OptionalDouble took = sheet.figure("seconds");
        Emptying e = of(
                body,
                up,
                drain,
                contents.orElse(body.capacity()),
                sheet.figure("bore").orElse(Double.NaN));
        double most = Math.max(e.stays + OFF, e.stays * (1 + OFF_SHARE));
        Wording needs = u -> "maximum " + u.fineVolume(most) + " left";
        Wording predicted = u -> u.fineVolume(e.stays);
        String time = Double.isNaN(e.seconds) ? "" : " in " + minutes(e.seconds);
        if (contents.isEmpty() || rest.isEmpty() || took.isEmpty()) {
            return Outcome.open(
                    needs,
                    predicted,
                    u -> "not run",
                    u -> u.fineVolume(e.stays) + " stays under the drain, parked. Enter the bore of the drain for"
                            + " the time.");
        }
        Verdict byRest = rest.getAsDouble() <= most ? Verdict.HOLDS : Verdict.FAILS;
        double slower = Double.isNaN(e.seconds) ? 1 : took.getAsDouble() / Math.max(e.seconds, 1e-9);
        Verdict byTime = slower > TOO_SLOW ? Verdict.FAILS : slower > SLOW ? Verdict.THIN : Verdict.HOLDS;
        Verdict v = byRest.worse(byTime);
        Outcome found = Outcome.measured(
                v,
                v == Verdict.FAILS ? 0.8 : v == Verdict.THIN ? 1.05 : 1.5,
                Measure.atMost(rest.getAsDouble(), most, Dimension.VOLUME),
                needs,
                predicted,
                u -> u.fineVolume(rest.getAsDouble()),
                u -> u.fineVolume(rest.getAsDouble()) + " left after " + minutes(took.getAsDouble()) + "; computed "
                        + predicted.in(u) + time + "."
                        + (byRest == Verdict.FAILS
                                ? " More stays than the shape holds back: parked otherwise, or a"
                                        + " passage is blocked."
                                : "")
                        + (byTime == Verdict.HOLDS ? "" : " Slow: drain partly closed, or no air comes in."));
        return Double.isNaN(e.seconds)
                ? found.notShown(u -> "Enter the bore of the drain: without it the time is not judged.")
                : found;
    }

    /** Where the layout gives no shape. */
    static Outcome outcome(Optional<Tank> tank, Optional<TankBody> body, Optional<Point3> up, Work.Sheet sheet) {
        return tank.isPresent() && tank.get().drain().isPresent() && body.isPresent() && up.isPresent()
                ? outcome(tank.get(), body.get(), up.get(), sheet)
                : Outcome.open(u -> "", u -> "", u -> "not run", u -> "Tank outline not closed, or no drain.");
    }

    private static String minutes(double seconds) {
        return UnitSystem.figure(Unit.MINUTE.fromSi(seconds), seconds < 600 ? 1 : 0) + " min";
    }
}
