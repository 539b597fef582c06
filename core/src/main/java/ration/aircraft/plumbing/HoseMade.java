package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.HoseEnd;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;

/**
 * A hose as it is made: what to cut, how long it is from seat to seat, how its two elbows are turned against each
 * other. Slack: AC 43.13-1B, from memory.
 *
 * @param way along the center line between the end fittings, m
 * @param cut hose to cut, m
 * @param start end fitting where the run leaves
 * @param end end fitting where it arrives
 * @param clocking of the end against the start, rad, clockwise looking from start to end; empty where either is
 *     straight or swivels
 * @param trouble why it cannot be made so; empty where it can
 */
public record HoseMade(double way, double cut, HoseEnd start, HoseEnd end, OptionalDouble clocking, String trouble) {

    private static final String SHORT = "The end fittings are longer than the way: no hose left.";

    /** Of a hose whose ends can be placed; empty of a tube. Ends that were not said are straight and as usual. */
    public static Optional<HoseMade> of(FuelSystem system, Run run) {
        Optional<Point3> from = system.point(run.from());
        Optional<Point3> to = system.point(run.to());
        if (run.size().kind() != LineSize.Kind.HOSE || from.isEmpty() || to.isEmpty()) {
            return Optional.empty();
        }
        HoseEnd start = end(run.build().start().shape(), CutLength.usualLeg(run));
        HoseEnd end = end(run.build().end().shape(), CutLength.usualLeg(run));
        List<Point3> corners = new ArrayList<>();
        corners.add(start.reach().map(from.get()::plus).orElse(from.get()));
        run.points().forEach(p -> corners.add(p.point()));
        corners.add(end.reach().map(to.get()::plus).orElse(to.get()));
        double legs = (start.degrees() > 0 ? 0 : start.leg()) + (end.degrees() > 0 ? 0 : end.leg());
        HosePath path;
        try {
            path = new HosePath(corners, radius(run));
        } catch (IllegalArgumentException e) {
            return Optional.of(
                    new HoseMade(0, 0, start, end, OptionalDouble.empty(), "The two ends meet: no hose left."));
        }
        if (!said(run)) {
            double cut = CutLength.of(system, run).length();
            return Optional.of(new HoseMade(
                    cut / (1 + LineRules.LEAST_SLACK), cut, start, end, OptionalDouble.empty(), cut > 0 ? "" : SHORT));
        }
        boolean taped = run.length().isPresent();
        double way = taped ? run.lengthM(from.get(), to.get()) - start.length() - end.length() : path.length() - legs;
        String trouble = way <= 0
                ? SHORT
                : path.tooTight() > 0
                        ? "Bend " + path.tooTight() + " does not fit between its neighbors at "
                                + UnitSystem.figure(Unit.INCH.fromSi(path.radius()), 2) + " in radius."
                        : "";
        boolean fixed = start.degrees() > 0 && end.degrees() > 0 && !start.swivels() && !end.swivels();
        return Optional.of(new HoseMade(
                Math.max(0, way),
                Math.max(0, way) * (1 + LineRules.LEAST_SLACK),
                start,
                end,
                fixed
                        ? path.clocking(
                                start.reach().orElseThrow().times(-1),
                                end.reach().orElseThrow().times(-1))
                        : OptionalDouble.empty(),
                trouble));
    }

    private static HoseEnd end(Optional<HoseEnd> said, double usual) {
        return said.orElseGet(() -> new HoseEnd(0, Optional.empty(), Optional.empty(), 0, usual, false));
    }

    /** On the center line: as recorded, else the least to the inside of the bend and half the hose. */
    private static double radius(Run run) {
        return run.build()
                .tightest()
                .map(m -> m.si())
                .orElseGet(
                        () -> LineRules.leastRadius(run).orElse(0) + run.size().outer() / 2);
    }

    /** Whether an end was said. */
    public static boolean said(Run run) {
        return run.build().start().shape().isPresent()
                || run.build().end().shape().isPresent();
    }

    /** From seat to seat, along the hose, m. */
    public double seatToSeat() {
        return cut + start.length() + end.length();
    }
}
