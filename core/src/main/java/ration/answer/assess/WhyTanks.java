package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Header;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.TankEvidence;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;
import ration.verdict.why.Term;
import ration.verdict.why.Why;

/** How the figures of a tank came about. */
public final class WhyTanks {

    private static final String SHAPE =
            "Volume of the shape as measured, cut by the plane at which air reaches the outlet";

    private WhyTanks() {}

    private static Term volume(double m3) {
        return Term.of(m3, Dimension.VOLUME);
    }

    /** Unusable fuel by the source that governs. */
    public static Why unusable(TankAnswer t) {
        String figure = "Unusable fuel, " + t.tank().name();
        Term value = volume(t.unusable());
        Why predicted = Why.found(
                "Predicted unusable",
                volume(t.predicted().volume()),
                "Computed from the shape at " + t.predicted().attitude().label() + ", the worst attitude.",
                SHAPE);
        return switch (t.source()) {
            case PREDICTED ->
                Why.found(
                        figure,
                        value,
                        "Computed from the shape at " + t.predicted().attitude().label()
                                + ", the worst attitude flown; larger than drained or published.",
                        SHAPE);
            case PUBLISHED ->
                Why.found(
                                figure,
                                value,
                                "The manufacturer's figure is the largest of computed, drained and published.",
                                "The manufacturer's instructions")
                        .given(Why.Given.of(
                                "Manufacturer's unusable",
                                t.tank().fitout().published().orElseThrow()))
                        .from(List.of(predicted));
            case DRAINED -> drained(figure, t, value).from(List.of(predicted));
            case LIKELY -> {
                TankAnswer.Carried c = t.carried().orElseThrow();
                yield Why.by(
                                figure,
                                value,
                                volume(t.predicted().volume())
                                        .times(volume(c.from().mean()))
                                        .over(volume(c.there())),
                                "Prediction at "
                                        + t.predicted().attitude().label()
                                        + " × (measured ÷ predicted at the tested attitude); larger than predicted.",
                                "Common practice, no source")
                        .given(given(c.from()))
                        .from(List.of(
                                predicted,
                                Why.found(
                                        "Predicted where it was drained",
                                        volume(c.there()),
                                        "From the shape, pitch "
                                                + UnitSystem.figure(
                                                        Math.toDegrees(c.from().pitch()), 1) + "\u00b0, tilt "
                                                + UnitSystem.figure(
                                                        Math.toDegrees(c.from().tilt()), 1) + "\u00b0.",
                                        SHAPE)));
            }
        };
    }

    private static Why drained(String figure, TankAnswer t, Term value) {
        TankEvidence.Drained largest = t.evidence().drained().stream()
                .max(java.util.Comparator.comparingDouble(TankEvidence.Drained::largest))
                .orElseThrow();
        return Why.found(
                        figure,
                        value,
                        "Largest drain-test result: poured in minus drained out.",
                        "AC 90-89 (from memory)")
                .given(given(largest));
    }

    private static Why.Given given(TankEvidence.Drained d) {
        return new Why.Given("Drain test", d.trials() + (d.trials() == 1 ? " trial" : " trials"), d.date());
    }

    /** What can be used, by the figure that governs. */
    public static Why usable(TankAnswer t) {
        return Why.by(
                        "Usable fuel, " + t.tank().name(),
                        volume(t.usable()),
                        volume(t.full()).minus(volume(t.unusable())),
                        "Filled capacity, parked, minus unusable.",
                        "Common practice, no source")
                .from(List.of(full(t), unusable(t)));
    }

    /** As much as goes in. */
    public static Why full(TankAnswer t) {
        return Why.by(
                "Full, " + t.tank().name(),
                volume(t.full()),
                volume(t.body().capacity()).minus(volume(t.expansion())),
                "Tank volume minus the space above the filler neck, parked.",
                SHAPE);
    }

    /** Placard over what governs. */
    static Why placard(TankAnswer t, Standard basis) {
        return Why.by(
                        "Placard ÷ unusable, " + t.tank().name(),
                        Term.of(t.unusable() < 1e-9 ? 1 : t.placard() / t.unusable()),
                        t.unusable() < 1e-9 ? Term.of(1) : volume(t.placard()).over(volume(t.unusable())),
                        "Placarded unusable must not be below the actual unusable.",
                        basis.cite(Subject.UNUSABLE_FUEL))
                .given(Why.Given.of("Placard", t.tank().unusable()))
                .from(List.of(unusable(t), usable(t)));
    }

    /** Room over the fuel as a share of the tank. */
    static Why expansion(TankAnswer t, Standard basis) {
        return Why.by(
                        "Expansion space, " + t.tank().name(),
                        Term.of(t.expansion() / t.body().capacity()),
                        volume(t.expansion()).over(volume(t.body().capacity())),
                        "Space above full fuel ÷ tank volume; needs " + basis.figure(Subject.EXPANSION, "share") + ".",
                        basis.cite(Subject.EXPANSION))
                .from(List.of(full(t)));
    }

    /** How long a header lasts. */
    static Why reserve(Header header, HeaderReserve r) {
        return Why.by(
                        "Endurance of " + header.name(),
                        Term.of(r.seconds(), Dimension.TIME),
                        volume(header.capacity().si()).over(Term.of(r.drawn(), Dimension.FLOW)),
                        "Capacity ÷ outflow, with no inflow.",
                        "Common practice, no" + " source")
                .given(Why.Given.of("Capacity", header.capacity()));
    }

    /** All that can be shown of a tank. */
    public static List<Why> of(TankAnswer t, Standard basis) {
        List<Why> all = new ArrayList<>(List.of(unusable(t), usable(t), expansion(t, basis)));
        all.removeIf(w -> Double.isNaN(w.value().value()));
        return all;
    }

    /** Fluid ounces a bowl wants for the tanks above it. */
    static Why bowl(double tanks, double need, Standard basis) {
        return Why.by(
                "Sediment bowl needed",
                Term.of(need, Unit.MILLILITRE),
                Term.of(Unit.GALLON.toSi(1.0 / 128), Unit.MILLILITRE)
                        .times(volume(tanks))
                        .over(Term.of(Unit.GALLON.toSi(20), Unit.GALLON)),
                "1 fl oz per 20 gal.",
                basis.cite(Subject.BOWL));
    }
}
