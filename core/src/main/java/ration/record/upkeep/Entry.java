package ration.record.upkeep;

import java.time.LocalDate;

/**
 * One line of the log.
 *
 * @param number from 1, never given twice
 * @param on day
 * @param hours of the airframe
 * @param part id of the part it tells of; joint:r3.start of a joint; empty for the whole aircraft
 * @param what was done
 * @param words in a sentence
 * @param who did it
 * @param corrects number of the entry it puts right; 0 for none
 */
public record Entry(
        int number, LocalDate on, double hours, String part, What what, String words, String who, int corrects) {

    /** What was done. */
    public enum What {
        FITTED("installed"),
        LOOKED("inspected"),
        REPLACED("replaced"),
        REMOVED("removed"),
        /** A joint: open until it is done up. */
        OPENED("opened"),
        CLOSED("done up"),
        CORRECTED("corrected");

        private final String word;

        What(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }
}
