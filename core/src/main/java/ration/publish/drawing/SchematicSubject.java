package ration.publish.drawing;

import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.base.quantity.UnitSystem;

/**
 * What is drawn.
 *
 * @param system the layout; a tank whose shape does not close has another drawn for it
 * @param presets attitudes the range of heights must cover, so that tilting never changes the scale
 * @param condition the case looked at
 * @param answer its answer; empty while nothing can be computed
 * @param picked id of the picked item, or empty
 * @param units for figures
 * @param regime which of its two answers
 */
public record SchematicSubject(
        FuelSystem system,
        List<Attitude> presets,
        Condition condition,
        Optional<CaseAnswer> answer,
        String picked,
        UnitSystem units,
        Regime regime) {

    public SchematicSubject {
        presets = List.copyOf(presets);
        system = Drawable.of(system);
    }

    /** With the most that can pass. */
    public SchematicSubject(
            FuelSystem system,
            List<Attitude> presets,
            Condition condition,
            Optional<CaseAnswer> answer,
            String picked,
            UnitSystem units) {
        this(system, presets, condition, answer, picked, units, Regime.AT_MOST);
    }
}
