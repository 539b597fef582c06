package ration.evidence;

import java.util.Optional;
import ration.model.Measured;
import ration.model.Tank;

/**
 * A test as recorded.
 *
 * @param id       unique in the document
 * @param tank     id of the tank it was done on
 * @param by       who, when, with what
 * @param work     what was done and read
 * @param progress how far it is
 */
public record HangarTest(String id, String tank, Circumstances by, Work work, Progress progress) {

    /**
     * Who, when, with what.
     *
     * @param date        as yyyy-mm-dd
     * @param who         did it
     * @param instrument  measured with
     * @param ambient     air temperature
     * @param notes       in their own words
     * @param fingerprint of what it was done on
     * @param inputs      the same in readable lines; none in records made before they were kept
     */
    public record Circumstances(String date, String who, String instrument, Optional<Measured> ambient, String notes,
            String fingerprint, Inputs inputs) {

        /** Without its inputs in words. */
        public Circumstances(String date, String who, String instrument, Optional<Measured> ambient, String notes,
                String fingerprint) {
            this(date, who, instrument, ambient, notes, fingerprint, Inputs.NONE);
        }

        /** Of a test begun on a tank as it is laid out. */
        public Circumstances on(Tank tank) {
            return new Circumstances(date, who, instrument, ambient, notes, Fingerprint.of(tank), Inputs.of(tank));
        }

        public Circumstances withWho(String other) {
            return new Circumstances(date, other, instrument, ambient, notes, fingerprint, inputs);
        }

        public Circumstances withInstrument(String other) {
            return new Circumstances(date, who, other, ambient, notes, fingerprint, inputs);
        }

        public Circumstances withAmbient(Optional<Measured> other) {
            return new Circumstances(date, who, instrument, other, notes, fingerprint, inputs);
        }

        public Circumstances withNotes(String other) {
            return new Circumstances(date, who, instrument, ambient, other, fingerprint, inputs);
        }
    }

    /**
     * How far a test is.
     *
     * @param step    that comes next, from 0
     * @param seconds on its timer
     * @param done    whether it counts
     */
    public record Progress(int step, double seconds, boolean done) {
        public static final Progress START = new Progress(0, 0, false);
    }

    public HangarTest with(Work other) {
        return new HangarTest(id, tank, by, other, progress);
    }

    public HangarTest with(Circumstances other) {
        return new HangarTest(id, tank, other, work, progress);
    }

    public HangarTest with(Progress other) {
        return new HangarTest(id, tank, by, work, other);
    }

    public HangarTest atStep(int step) {
        return with(new Progress(step, progress.seconds, progress.done));
    }
}
