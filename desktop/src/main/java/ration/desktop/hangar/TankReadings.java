package ration.desktop.hangar;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.HangarTest;
import ration.record.evidence.NoseHeight;
import ration.record.evidence.Work;

/**
 * What can be entered of a drain, a fill or a top-off, and what that changes of the record. Each throws
 * IllegalArgumentException with a sentence where it cannot be.
 *
 * @param units meant where none is written
 */
record TankReadings(UnitSystem units) {

    /** Most that any can or meter is asked for, m3: 500 gal. */
    private static final double MOST_VOLUME = 2;

    private static final double STEEPEST = Math.toRadians(60);
    /** More than was poured, by as much as a can may be misread. */
    private static final double MISREAD = 1.02;
    /** Highest gauge, m. */
    private static final double HIGHEST = 3;

    Unit volume() {
        return units.unit(Dimension.VOLUME);
    }

    private Measured volumeIn(String text, String by) {
        Quantity q = Quantity.parse(text, volume());
        if (q.si() < 0 || q.si() > MOST_VOLUME) {
            throw new IllegalArgumentException("Enter a volume from 0 to 500 gal.");
        }
        return new Measured(q, by);
    }

    /** The amount that is likely poured, to be typed over; empty where nothing tells. */
    String usual(Work work) {
        return work.as(
                d -> d.trials().isEmpty()
                        ? volume() == Unit.GALLON ? "2.5 gal" : "10 L"
                        : d.trials()
                                .get(d.trials().size() - 1)
                                .poured()
                                .quantity()
                                .shown(),
                f -> f.points().isEmpty()
                        ? ""
                        : f.points()
                                .get(f.points().size() - 1)
                                .poured()
                                .quantity()
                                .shown(),
                t -> "",
                s -> "");
    }

    /** A trial begun, or begun again; a step of a fill. */
    UnaryOperator<HangarTest> poured(String text) {
        Measured poured = volumeIn(text, "can");
        if (!(poured.si() > 0)) {
            throw new IllegalArgumentException("Enter an amount above 0.");
        }
        return x -> x.with(poured(x.work(), poured));
    }

    private static Work poured(Work work, Measured poured) {
        return work.as(
                d -> {
                    Work.Trial trial = new Work.Trial(poured, Optional.empty());
                    boolean next = d.trials().isEmpty()
                            || d.trials().get(d.trials().size() - 1).back().isPresent();
                    return next ? d.plus(trial) : d.withLast(trial);
                },
                f -> f.plus(new Work.Pour(poured, Optional.empty())),
                t -> t,
                s -> s);
    }

    /** The pitch that heights of two marks show, as it is entered; empty until all three are. */
    Optional<String> byMarks(String front, String rear, String apart) {
        if (front.isBlank() || rear.isBlank() || apart.isBlank()) {
            return Optional.empty();
        }
        Unit length = units.unit(Dimension.LENGTH);
        double pitch = NoseHeight.pitch(
                Quantity.parse(front, length).si(),
                Quantity.parse(rear, length).si(),
                Quantity.parse(apart, length).si());
        return Optional.of(degrees(pitch));
    }

    static String degrees(double radians) {
        return UnitSystem.figure(Math.toDegrees(radians), 1) + "\u00b0";
    }

    /** A pitch as it is entered, in large letters. */
    static String nose(String pitch) {
        return pitch.isBlank()
                ? ""
                : pitch + " nose " + (pitch.startsWith("\u2212") || pitch.startsWith("-") ? "down" : "up");
    }

    /** An angle somebody entered; nothing while nobody did. */
    static String entered(Measured m) {
        return m.by().isEmpty() ? "" : degrees(m.si());
    }

    /** @param marks whether marks show it, and not a level */
    UnaryOperator<HangarTest> attitude(String pitch, String tilt, boolean marks) {
        if (pitch.isBlank() || tilt.isBlank()) {
            throw new IllegalArgumentException("Pitch and tilt: enter what marks or a level show, 0 if level.");
        }
        Quantity p = Quantity.parse(pitch, Unit.DEGREE);
        Quantity b = Quantity.parse(tilt, Unit.DEGREE);
        if (Math.abs(p.si()) > STEEPEST || Math.abs(b.si()) > STEEPEST) {
            throw new IllegalArgumentException("Pitch and tilt: within \u00b160\u00b0.");
        }
        return Recording.work(
                Work.Drain.class,
                x -> x.withAttitude(new Measured(p, marks ? "marks" : "level"), new Measured(b, "level")));
    }

    /** Where fuel would run over from one tank to others, in a sentence; empty where no way is open. */
    static Optional<String> runsOver(FuelSystem system, Tank tank, Passing state, String when) {
        List<Tank> joined = Topology.of(system).joined(tank, state);
        return joined.isEmpty()
                ? Optional.empty()
                : Optional.of(when + " fuel can cross-feed to "
                        + String.join(" and ", joined.stream().map(Tank::name).toList())
                        + " and spoil the result. Close that path first.");
    }

    /** @param state of the handles on that position */
    static UnaryOperator<HangarTest> selected(FuelSystem system, Tank tank, Optional<String> position, Passing state) {
        String name = position.orElseThrow(() -> new IllegalArgumentException("Choose the selector position."));
        if (!Topology.of(system).joined(tank, state).isEmpty()) {
            throw new IllegalArgumentException(
                    "On " + name + " another tank feeds too: choose the position for this tank only.");
        }
        return Recording.work(Work.Drain.class, x -> x.withPosition(name));
    }

    /** @param last the trial it came back from */
    UnaryOperator<HangarTest> cameBack(String text, Work.Trial last) {
        Measured came = volumeIn(text, "can");
        if (came.si() > last.poured().si() * MISREAD) {
            throw new IllegalArgumentException(
                    "More drained than the " + last.poured().quantity().shown()
                            + " poured: tank not dry, or cross-feed. Find the open path and repeat.");
        }
        return Recording.work(Work.Drain.class, x -> x.withLast(new Work.Trial(last.poured(), Optional.of(came))));
    }

    /** How the aircraft stands while it is filled. */
    static UnaryOperator<HangarTest> standing(Work.Stands how, Measured pitch) {
        return Recording.both(
                Recording.work(Work.Fill.class, f -> f.withAttitude(how, pitch)),
                Recording.work(
                        Work.TopOff.class, top -> new Work.TopOff(top.before(), top.metered(), Optional.of(pitch))));
    }

    /** What the gauge shows; nothing where it shows nothing yet. */
    UnaryOperator<HangarTest> gauge(String text, Work.Pour last) {
        Optional<Measured> reading = text.isBlank()
                ? Optional.empty()
                : Optional.of(new Measured(Quantity.parse(text, units.unit(Dimension.LENGTH)), "gauge"));
        if (reading.isPresent() && (reading.get().si() < 0 || reading.get().si() > HIGHEST)) {
            throw new IllegalArgumentException("Enter a height above the bottom of the gauge.");
        }
        return Recording.work(Work.Fill.class, x -> x.withLast(new Work.Pour(last.poured(), reading)));
    }

    UnaryOperator<HangarTest> before(String text) {
        Measured in = volumeIn(text, "can");
        return Recording.work(Work.TopOff.class, x -> new Work.TopOff(in, x.metered(), x.pitch()));
    }

    UnaryOperator<HangarTest> metered(String text) {
        Measured full = volumeIn(text, "meter");
        return Recording.work(Work.TopOff.class, x -> new Work.TopOff(x.before(), Optional.of(full), x.pitch()));
    }
}
