package ration.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.model.Measured;

/** What was done in a test and what was read. */
public sealed interface Work {

    /** What people call the test. */
    String title();

    /**
     * Unusable fuel by draining: a known amount in, what runs out at the strainer taken from it.
     *
     * @param position of the selector while it drained; empty without a selector
     * @param pitch    nose up, as set
     * @param tilt     right side down, as set
     * @param trials   in order
     */
    record Drain(String position, Measured pitch, Measured tilt, List<Trial> trials) implements Work {
        public Drain {
            trials = List.copyOf(trials);
        }

        @Override
        public String title() {
            return "Drain test";
        }

        public Drain withPosition(String other) {
            return new Drain(other, pitch, tilt, trials);
        }

        public Drain withAttitude(Measured newPitch, Measured newTilt) {
            return new Drain(position, newPitch, newTilt, trials);
        }

        /** With the last trial replaced, or a first one. */
        public Drain withLast(Trial trial) {
            List<Trial> all = new ArrayList<>(trials);
            if (!all.isEmpty()) {
                all.remove(all.size() - 1);
            }
            all.add(trial);
            return new Drain(position, pitch, tilt, all);
        }

        /** With one trial more. */
        public Drain plus(Trial trial) {
            List<Trial> all = new ArrayList<>(trials);
            all.add(trial);
            return new Drain(position, pitch, tilt, all);
        }

        /** What stayed in each trial that was finished, m3. */
        public List<Double> stayed() {
            return trials.stream().filter(t -> t.back.isPresent()).map(t -> t.poured.si() - t.back.get().si()).toList();
        }
    }

    /**
     * One drain.
     *
     * @param poured into the dry tank
     * @param back   what came back
     */
    record Trial(Measured poured, Optional<Measured> back) {
    }

    /**
     * Known pours, each marked on the gauge.
     *
     * @param attitude Level, or Parked
     * @param pitch    it stood at
     * @param points   in order of pouring
     */
    record Fill(String attitude, Measured pitch, List<Pour> points) implements Work {
        public Fill {
            points = List.copyOf(points);
        }

        @Override
        public String title() {
            return "Fill and mark";
        }

        public Fill withAttitude(String name, Measured other) {
            return new Fill(name, other, points);
        }

        public Fill plus(Pour pour) {
            List<Pour> all = new ArrayList<>(points);
            all.add(pour);
            return new Fill(attitude, pitch, all);
        }

        public Fill withLast(Pour pour) {
            List<Pour> all = new ArrayList<>(points.subList(0, Math.max(0, points.size() - 1)));
            all.add(pour);
            return new Fill(attitude, pitch, all);
        }

        /** What is in the tank after the first n pours, m3. */
        public double total(int n) {
            return points.stream().limit(n).mapToDouble(p -> p.poured.si()).sum();
        }
    }

    /**
     * One pour.
     *
     * @param poured  in this pour
     * @param reading height of the fuel on the gauge after it; empty if not read
     */
    record Pour(Measured poured, Optional<Measured> reading) {
    }

    /**
     * Topped off at a meter.
     *
     * @param before  known to be in the tank
     * @param metered fuel that went in until full
     * @param pitch   nose up, as it stood; empty in records that do not say
     */
    record TopOff(Measured before, Optional<Measured> metered, Optional<Measured> pitch) implements Work {

        /** One that does not say how it stood. */
        public TopOff(Measured before, Optional<Measured> metered) {
            this(before, metered, Optional.empty());
        }

        @Override
        public String title() {
            return "Top-off";
        }
    }
}
