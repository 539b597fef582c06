package ration.verdict.standard;

import java.util.Map;
import ration.base.quantity.Quantity;

/**
 * What one standard asks on one subject.
 *
 * @param paragraph where; empty where it has no number, or none that is known
 * @param asks in a sentence of our own
 * @param figures by name, as {@link Subject} says which; none where there is none, or none that is known for certain
 * @param shows key of the test that shows it; empty where none does
 * @param confidence in the citation
 */
public record Clause(
        String paragraph, String asks, Map<String, Quantity> figures, String shows, Confidence confidence) {

    public Clause {
        figures = Map.copyOf(figures);
    }

    /** How sure a citation from memory is. */
    public enum Confidence {
        /** It would be a surprise if it were wrong. */
        HIGH,
        /** Likely right: look it up before relying on it. */
        MEDIUM,
        /** The subject is right; the words and the figure may not be. */
        LOW
    }
}
