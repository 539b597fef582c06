package ration.aircraft.model;

import java.util.List;
import java.util.Optional;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;

/**
 * A tube or hose between two ports.
 *
 * @param from upstream as laid out; fuel may run either way
 * @param length as taped along the line; if absent it follows from the points
 * @param points measured points between its ends
 * @param fittings bends and elbows, each as often as there are
 * @param build how it is made up
 */
public record Run(
        String id,
        String name,
        PortRef from,
        PortRef to,
        LineSize size,
        Optional<Measured> length,
        List<Place> points,
        List<Fitting> fittings,
        RunBuild build)
        implements Item {
    public Run {
        points = List.copyOf(points);
        fittings = List.copyOf(fittings);
    }

    /** A run whose make-up is not recorded. */
    public Run(
            String id,
            String name,
            PortRef from,
            PortRef to,
            LineSize size,
            Optional<Measured> length,
            List<Place> points,
            List<Fitting> fittings) {
        this(id, name, from, to, size, length, points, fittings, RunBuild.NONE);
    }

    public Run with(RunBuild other) {
        return new Run(id, name, from, to, size, length, points, fittings, other);
    }

    public Run withLength(Optional<Measured> other) {
        return new Run(id, name, from, to, size, other, points, fittings, build);
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.run(this);
    }

    @Override
    public String kind() {
        return size.kind() == LineSize.Kind.HOSE ? "Hose" : "Tube";
    }

    @Override
    public Run renamed(String other) {
        return new Run(id, other, from, to, size, length, points, fittings, build);
    }

    @Override
    public List<String> ports() {
        return List.of();
    }

    public Run withSize(LineSize other) {
        return new Run(id, name, from, to, other, length, points, fittings, build);
    }

    /**
     * Made anew in another size: flare fittings on the line follow it, adapters no longer needed go, and what was
     * recorded of the old piece (torque, supplied length) is dropped.
     */
    /** The same in a fire sleeve. */
    public Run sleeved() {
        RunBuild.Marks m = build.marks();
        return with(build.with(new RunBuild.Marks(true, m.moving(), m.temporary())));
    }

    public Run resized(LineSize other) {
        return with(build.resized(size, other)).withSize(other);
    }

    public Run withLength(Measured other) {
        return new Run(id, name, from, to, size, Optional.of(other), points, fittings, build);
    }

    public Run withPoints(List<Place> other) {
        return new Run(id, name, from, to, size, length, other, fittings, build);
    }

    public Run withFittings(List<Fitting> other) {
        return new Run(id, name, from, to, size, length, points, other, build);
    }

    public Run between(PortRef newFrom, PortRef newTo) {
        return new Run(id, name, newFrom, newTo, size, length, points, fittings, build);
    }

    public long count(Fitting fitting) {
        return fittings.stream().filter(f -> f == fitting).count();
    }

    /**
     * Length along the line, m: as taped, else along the points between these ends. One that nobody measured follows
     * its ends: it is never shorter than the way between them.
     */
    public double lengthM(Point3 start, Point3 end) {
        if (length.isPresent()) {
            double said = length.get().si();
            return Method.of(length.get()).guessed() ? Math.max(said, straightM(start, end)) : said;
        }
        return straightM(start, end);
    }

    /**
     * Whether it is measured, and shorter than the way between its ends by more than an inch: one of the two is wrong.
     */
    public boolean tooShort(Point3 start, Point3 end) {
        return length.filter(l -> !Method.of(l).guessed() && l.si() < straightM(start, end) - INCH)
                .isPresent();
    }

    private static final double INCH = 0.026;

    /** Along the points between these ends, m. */
    private double straightM(Point3 start, Point3 end) {
        double sum = 0;
        Point3 last = start;
        for (Place p : points) {
            sum += last.distance(p.point());
            last = p.point();
        }
        return sum + last.distance(end);
    }
}
