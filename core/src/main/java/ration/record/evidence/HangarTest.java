package ration.record.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;

/**
 * A test as recorded.
 *
 * @param id unique in the document
 * @param subject id of what it was done on: a tank, a pump, a selector; empty of the whole aircraft
 * @param by who, when, with what
 * @param work what was done and read
 * @param progress how far it is
 */
public record HangarTest(String id, String subject, Circumstances by, Work work, Progress progress) {

    /**
     * Who, when, with what.
     *
     * @param date as yyyy-mm-dd
     * @param who did it
     * @param instrument measured with
     * @param ambient air temperature
     * @param notes in their own words
     * @param fingerprint of what it was done on
     * @param inputs the same in readable lines; none in records made before they were kept
     * @param beside who saw it, what the instrument is worth, what fed the figures, photographs
     */
    public record Circumstances(
            String date,
            String who,
            String instrument,
            Optional<Measured> ambient,
            String notes,
            String fingerprint,
            Inputs inputs,
            Beside beside) {

        /** With nothing said beside. */
        public Circumstances(
                String date,
                String who,
                String instrument,
                Optional<Measured> ambient,
                String notes,
                String fingerprint,
                Inputs inputs) {
            this(date, who, instrument, ambient, notes, fingerprint, inputs, Beside.NONE);
        }

        /** Without its inputs in words. */
        public Circumstances(
                String date,
                String who,
                String instrument,
                Optional<Measured> ambient,
                String notes,
                String fingerprint) {
            this(date, who, instrument, ambient, notes, fingerprint, Inputs.NONE);
        }

        /** Of a test begun on a tank as it is laid out. */
        public Circumstances on(Tank tank) {
            return new Circumstances(
                    date, who, instrument, ambient, notes, Fingerprint.of(tank), Inputs.of(tank), beside);
        }

        /** Of a test that rests on these lines. */
        public Circumstances on(Inputs lines) {
            return new Circumstances(date, who, instrument, ambient, notes, "", lines, beside);
        }

        /** Resting on these lines, its fingerprint kept. */
        public Circumstances withInputs(Inputs lines) {
            return new Circumstances(date, who, instrument, ambient, notes, fingerprint, lines, beside);
        }

        public Circumstances with(Beside other) {
            return new Circumstances(date, who, instrument, ambient, notes, fingerprint, inputs, other);
        }

        public Circumstances withWho(String other) {
            return new Circumstances(date, other, instrument, ambient, notes, fingerprint, inputs, beside);
        }

        public Circumstances withInstrument(String other) {
            return new Circumstances(date, who, other, ambient, notes, fingerprint, inputs, beside);
        }

        public Circumstances withAmbient(Optional<Measured> other) {
            return new Circumstances(date, who, instrument, other, notes, fingerprint, inputs, beside);
        }

        public Circumstances withNotes(String other) {
            return new Circumstances(date, who, instrument, ambient, other, fingerprint, inputs, beside);
        }
    }

    /**
     * What stands beside a record.
     *
     * @param witness who was there
     * @param calibration error of the instrument and the day it was found, in their own words
     * @param standIn whether figures came from the stand-in for the aircraft: such a record never closes anything
     * @param photos files beside the document
     */
    public record Beside(String witness, String calibration, boolean standIn, List<Photo> photos) {

        public static final Beside NONE = new Beside("", "", false, List.of());

        public Beside {
            photos = List.copyOf(photos);
        }

        public Beside withWitness(String other) {
            return new Beside(other, calibration, standIn, photos);
        }

        public Beside withCalibration(String other) {
            return new Beside(witness, other, standIn, photos);
        }

        /** Fed by the stand-in: it stays so. */
        public Beside fedByStandIn() {
            return new Beside(witness, calibration, true, photos);
        }

        public Beside with(Photo photo) {
            List<Photo> all = new ArrayList<>(photos);
            all.removeIf(p -> p.file().equals(photo.file()));
            all.add(photo);
            return new Beside(witness, calibration, standIn, all);
        }
    }

    /**
     * A file kept beside the document: a photograph, a logger's table.
     *
     * @param file its name, without a folder
     * @param sha256 of its bytes, 64 hexadecimal letters
     */
    public record Photo(String file, String sha256) {

        /** Longest name file systems take, bytes. */
        private static final int LONGEST = 255;

        /** What is wrong with a name; empty where it can be one. */
        public static String wrong(String file) {
            return file.isBlank()
                            || file.equals(".")
                            || file.equals("..")
                            || file.chars().anyMatch(c -> c == '/' || c == '\\' || Character.isISOControl(c))
                            || file.getBytes(java.nio.charset.StandardCharsets.UTF_8).length > LONGEST
                    ? "a file beside the document is called by its name alone: no folder, no control character, "
                            + LONGEST + " bytes maximum"
                    : "";
        }
    }

    /**
     * How far a test is.
     *
     * @param step that comes next, from 0
     * @param seconds on its timer
     * @param done whether it counts
     */
    public record Progress(int step, double seconds, boolean done) {
        public static final Progress START = new Progress(0, 0, false);
    }

    public HangarTest with(Work other) {
        return new HangarTest(id, subject, by, other, progress);
    }

    public HangarTest with(Circumstances other) {
        return new HangarTest(id, subject, other, work, progress);
    }

    public HangarTest with(Progress other) {
        return new HangarTest(id, subject, by, work, other);
    }

    public HangarTest atStep(int step) {
        return with(new Progress(step, progress.seconds, progress.done));
    }
}
