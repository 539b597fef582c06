package ration.desktop.tanks;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.answer.assess.WhyTanks;
import ration.answer.remedy.LessLeft;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.Stranded;
import ration.record.evidence.TankEvidence;
import ration.record.project.Edit;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.why.Why;

/**
 * What the page says of a tank beside its pictures, before any of it is a node.
 *
 * @param answer of the tank shown
 * @param units results are shown in
 */
record TankFigures(TankAnswer answer, UnitSystem units) {

    /** What a figure is where there is none. */
    private static final String NONE = "\u2013";
    /** A placard is set to tenths of the unit shown. */
    private static final double PARTS = 10;
    /** Full on a notch bar. */
    private static final double FULL = 1.5;

    /**
     * A line of the capacity table.
     *
     * @param what over the lines that belong together; empty but for the first
     * @param how it was come by
     * @param governs whether it decides
     * @param id of the figure in the window; empty where nobody asks for it
     * @param why where it comes from, for those that say so
     */
    record Line(String what, String how, String figure, boolean governs, String id, Optional<Supplier<Why>> why) {
        Line(String what, String how, String figure, boolean governs) {
            this(what, how, figure, governs, "", Optional.empty());
        }
    }

    /** How much it holds. */
    List<Line> capacity() {
        boolean filled = answer.body().calibration().measured();
        List<Line> lines = new ArrayList<>(List.of(new Line(
                "Total", "by shape", units.fineVolume(answer.body().solid().volume()), !filled)));
        if (filled) {
            TankEvidence e = answer.evidence();
            String last = Stream.concat(e.fills().stream(), e.tops().stream())
                    .map(t -> t.by().date())
                    .max(String::compareTo)
                    .orElse("");
            lines.add(new Line(
                    "", "by fills, " + last, units.fineVolume(answer.body().capacity()), true));
        }
        if (answer.tank().fitout().filler().isPresent()) {
            lines.add(new Line("", "to the filler", units.fineVolume(answer.full()), false));
        }
        return lines;
    }

    /** What stays in it, by each who says so; the largest counts. */
    List<Line> unusable() {
        TankAnswer.Source source = answer.source();
        List<Line> lines = new ArrayList<>(List.of(new Line(
                "Unusable",
                "predicted",
                units.fineVolume(answer.predicted().volume()),
                source == TankAnswer.Source.PREDICTED)));
        Optional<TankEvidence.Drained> there = answer.drainedThere();
        Optional<TankEvidence.Drained> drained = there.or(() ->
                answer.evidence().drained().stream().max(Comparator.comparingDouble(TankEvidence.Drained::largest)));
        String how = drained.isEmpty()
                ? "not drained yet"
                : there.isPresent() ? "drained, " + drained.get().date() : "drain, other attitude";
        lines.add(new Line(
                "",
                how,
                drained.map(d -> units.fineVolume(d.largest())).orElse(NONE),
                source == TankAnswer.Source.DRAINED));
        answer.carried().ifPresent(c -> {
            boolean governs = source == TankAnswer.Source.LIKELY;
            lines.add(new Line(
                    "",
                    "estimated, \u00d7 " + UnitSystem.figure(c.ratio(), 2),
                    units.fineVolume(c.likely()),
                    governs,
                    "tank-likely",
                    governs ? Optional.of(() -> WhyTanks.unusable(answer)) : Optional.empty()));
        });
        lines.add(new Line(
                "",
                "manufacturer",
                answer.tank()
                        .fitout()
                        .published()
                        .map(m -> units.fineVolume(m.si()))
                        .orElse(NONE),
                source == TankAnswer.Source.PUBLISHED));
        lines.add(new Line("", "placard", units.fineVolume(answer.placard()), false));
        return lines;
    }

    Line usable() {
        return new Line(
                "Usable",
                "full \u2212 unusable",
                units.fineVolume(answer.usable()),
                true,
                "tank-usable",
                Optional.of(() -> WhyTanks.usable(answer)));
    }

    boolean isShort() {
        return answer.verdict() == Verdict.FAILS;
    }

    double ratio() {
        return Math.min(FULL, answer.ratio());
    }

    /** What the placard must say, or that it holds. */
    String placard() {
        double stays = Math.max(answer.unusable(), answer.placard());
        String says = units.fineVolume(Math.max(0, answer.full() - stays)) + " usable, " + units.fineVolume(stays)
                + " unusable";
        return isShort()
                ? "Placard needs " + units.fineVolume(stays) + " unusable or more: " + says + "."
                : "Placard OK: " + says + ".";
    }

    /** The least placard that covers what stays, a tenth up; nothing to set where it does. */
    Optional<Quantity> wanted() {
        Unit volume = units.unit(Dimension.VOLUME);
        return isShort()
                ? Optional.of(Quantity.of(Math.ceil(volume.fromSi(answer.unusable()) * PARTS - 1e-9) / PARTS, volume))
                : Optional.empty();
    }

    Edit set(Quantity placard) {
        return Edit.onItem(
                "Set unusable fuel of " + answer.tank().name(),
                answer.tank().id(),
                Tank.class,
                t -> t.withUnusable(new Measured(placard, answer.source().word())));
    }

    /** What the checks say of this tank, and of reserves. */
    List<Finding> asked(Assessment a) {
        return a.findings().stream()
                .filter(f -> (f.topic() == Check.Topic.TANKS || f.topic() == Check.Topic.HANGAR)
                        && (f.item().equals(answer.tank().id()) || f.check() == Check.TANK_RESERVE))
                .toList();
    }

    /**
     * The tank held in an attitude with something in it.
     *
     * @param holds in it, m3
     * @param stays of that, m3
     */
    record Held(double holds, double stays) {
        double usable() {
            return holds - stays;
        }
    }

    /** What it holds of the contents asked for, m3: no more than when it is full. */
    double holds(double contents) {
        return Math.min(answer.full(), contents);
    }

    /** @param contents asked for, m3 */
    Held held(Attitude attitude, double contents) {
        double holds = holds(contents);
        Stranded stranded = answer.body().stranded(attitude.gravity().up(), answer.feed());
        return new Held(holds, Math.min(holds, stranded.volume()));
    }

    /** A change that would leave less, against the placard. */
    static double ratio(LessLeft.Row r) {
        return Math.min(
                FULL, r.after().placard() / Math.max(1e-9, r.after().predicted().volume()));
    }

    static Verdict verdict(LessLeft.Row r) {
        return Verdict.atLeast(
                Math.max(1e-12, r.after().placard()),
                Math.max(1e-12, r.after().predicted().volume()));
    }

    String leaves(LessLeft.Row r) {
        return units.fineVolume(r.after().predicted().volume());
    }

    static String degrees(double d) {
        return UnitSystem.figure(d, 1).replaceAll("\\.0$", "") + "\u00b0";
    }
}
