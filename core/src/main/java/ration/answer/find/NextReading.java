package ration.answer.find;

import java.util.List;
import ration.record.reading.Reading;

/**
 * A reading that would tell.
 *
 * @param asked what to read, where, and how set; its value is what the first cause expects
 * @param words for a builder
 * @param minutes of work
 * @param caution empty where there is none
 * @param left suspects left on average: exp of the entropy of belief
 * @param outcomes what it may read and what each would leave, most likely first
 */
public record NextReading(
        Reading asked, String words, int minutes, String caution, double left, List<Outcome> outcomes) {

    public NextReading {
        outcomes = List.copyOf(outcomes);
    }

    NextReading withCaution(String other) {
        return new NextReading(asked, words, minutes, other.strip(), left, outcomes);
    }

    /**
     * One of its results.
     *
     * @param from reads no less, SI
     * @param to reads no more, SI
     * @param chance 0 to 1
     * @param leaves names of the causes that would be left, the likeliest first
     */
    public record Outcome(double from, double to, double chance, List<String> leaves) {
        public Outcome {
            leaves = List.copyOf(leaves);
        }
    }
}
