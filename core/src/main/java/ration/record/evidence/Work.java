package ration.record.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import ration.aircraft.condition.Handles;
import ration.base.quantity.Measured;

/** What was done in a test and what was read. */
public sealed interface Work {

    TestKind kind();

    /** What is answered of each kind of work. */
    <R> R as(Function<Drain, R> drain, Function<Fill, R> fill, Function<TopOff, R> topOff, Function<Sheet, R> sheet);

    /** Whether it is done on a tank by pouring, and has no form. */
    default boolean onTank() {
        return sheet().isEmpty();
    }

    /** The filled-in form; empty of what is done on a tank by pouring. */
    default Optional<Sheet> sheet() {
        return as(d -> Optional.empty(), f -> Optional.empty(), t -> Optional.empty(), Optional::of);
    }

    private static <T> List<T> and(List<T> all, List<T> more) {
        return java.util.stream.Stream.concat(all.stream(), more.stream()).toList();
    }

    /** What people call the test. */
    default String title() {
        return kind() == TestKind.DRAIN ? "Drain test" : kind().title();
    }

    /**
     * Unusable fuel by draining: a known amount in, what runs out at the strainer taken from it.
     *
     * @param position of the selector while it drained; empty without a selector
     * @param pitch nose up, as set
     * @param tilt right side down, as set
     * @param trials in order
     */
    record Drain(String position, Measured pitch, Measured tilt, List<Trial> trials) implements Work {
        public Drain {
            trials = List.copyOf(trials);
        }

        @Override
        public <R> R as(
                Function<Drain, R> drain,
                Function<Fill, R> fill,
                Function<TopOff, R> topOff,
                Function<Sheet, R> sheet) {
            return drain.apply(this);
        }

        @Override
        public TestKind kind() {
            return TestKind.DRAIN;
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

        /** With trials more. */
        public Drain plus(List<Trial> more) {
            return new Drain(position, pitch, tilt, and(trials, more));
        }

        /** What stayed in each trial that was finished, m3. */
        public List<Double> stayed() {
            return trials.stream()
                    .filter(t -> t.back.isPresent())
                    .map(t -> t.poured.si() - t.back.get().si())
                    .toList();
        }
    }

    /**
     * One drain.
     *
     * @param poured into the dry tank
     * @param back what came back
     */
    record Trial(Measured poured, Optional<Measured> back) {}

    /** How an aircraft stands while it is filled. */
    enum Stands {
        LEVEL("level"),
        /** On its wheels, at the parked angle. */
        PARKED("parked");

        private final String word;

        Stands(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** As it stands in documents and tables. */
        public String key() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }

        /** What was written, in any case; tables leave it blank where the aircraft stood level. */
        public static Stands written(String text) {
            return text.strip().equalsIgnoreCase(PARKED.key()) ? PARKED : LEVEL;
        }
    }

    /**
     * Known pours, each marked on the gauge.
     *
     * @param stands how the aircraft stands
     * @param pitch it stood at
     * @param points in order of pouring
     */
    record Fill(Stands stands, Measured pitch, List<Pour> points) implements Work {
        public Fill {
            points = List.copyOf(points);
        }

        @Override
        public <R> R as(
                Function<Drain, R> drain,
                Function<Fill, R> fill,
                Function<TopOff, R> topOff,
                Function<Sheet, R> sheet) {
            return fill.apply(this);
        }

        @Override
        public TestKind kind() {
            return TestKind.FILL;
        }

        public Fill withAttitude(Stands how, Measured other) {
            return new Fill(how, other, points);
        }

        public Fill plus(Pour pour) {
            List<Pour> all = new ArrayList<>(points);
            all.add(pour);
            return new Fill(stands, pitch, all);
        }

        public Fill withLast(Pour pour) {
            List<Pour> all = new ArrayList<>(points.subList(0, Math.max(0, points.size() - 1)));
            all.add(pour);
            return new Fill(stands, pitch, all);
        }

        /** With pours more. */
        public Fill plus(List<Pour> more) {
            return new Fill(stands, pitch, and(points, more));
        }

        /** What is in the tank after the first n pours, m3. */
        public double total(int n) {
            return points.stream().limit(n).mapToDouble(p -> p.poured.si()).sum();
        }
    }

    /**
     * One pour.
     *
     * @param poured in this pour
     * @param reading height of the fuel on the gauge after it; empty if not read
     */
    record Pour(Measured poured, Optional<Measured> reading) {}

    /**
     * Topped off at a meter.
     *
     * @param before known to be in the tank
     * @param metered fuel that went in until full
     * @param pitch nose up, as it stood; empty in records that do not say
     */
    record TopOff(Measured before, Optional<Measured> metered, Optional<Measured> pitch) implements Work {

        /** One that does not say how it stood. */
        public TopOff(Measured before, Optional<Measured> metered) {
            this(before, metered, Optional.empty());
        }

        @Override
        public <R> R as(
                Function<Drain, R> drain,
                Function<Fill, R> fill,
                Function<TopOff, R> topOff,
                Function<Sheet, R> sheet) {
            return topOff.apply(this);
        }

        @Override
        public TestKind kind() {
            return TestKind.TOP_OFF;
        }
    }

    /**
     * Any other test, as its {@link Form} asks.
     *
     * @param kind of test
     * @param handles as they were set; nothing set where they do not matter
     * @param once figures entered once, by their key
     * @param rows repeats, or pieces looked at
     */
    record Sheet(TestKind kind, Handles handles, Map<String, Measured> once, List<Row> rows) implements Work {
        @Override
        public <R> R as(
                Function<Drain, R> drain,
                Function<Fill, R> fill,
                Function<TopOff, R> topOff,
                Function<Sheet, R> sheet) {
            return sheet.apply(this);
        }

        public Sheet {
            once = java.util.Collections.unmodifiableMap(new java.util.TreeMap<>(once));
            rows = List.copyOf(rows);
        }

        /** Nothing entered yet. */
        public static Sheet begun(TestKind kind, Handles handles) {
            return new Sheet(kind, handles, Map.of(), List.of());
        }

        public Form form() {
            return Form.of(kind).orElseThrow();
        }

        public OptionalDouble figure(String key) {
            Measured m = once.get(key);
            return m == null ? OptionalDouble.empty() : OptionalDouble.of(m.si());
        }

        public Sheet with(String key, Measured m) {
            Map<String, Measured> all = new java.util.TreeMap<>(once);
            all.put(key, m);
            return new Sheet(kind, handles, all, rows);
        }

        public Sheet withRows(List<Row> other) {
            return new Sheet(kind, handles, once, other);
        }

        /** With rows more. */
        public Sheet plus(List<Row> more) {
            return new Sheet(kind, handles, once, and(rows, more));
        }

        public Sheet plus(Row row) {
            List<Row> all = new ArrayList<>(rows);
            all.add(row);
            return withRows(all);
        }

        /** With what was seen of a piece in the place of what was seen before, or added. */
        public Sheet seen(Row row) {
            List<Row> all = new ArrayList<>(rows);
            all.removeIf(r -> r.of().equals(row.of()));
            all.add(row);
            return withRows(all);
        }

        public Optional<Row> row(String of) {
            return rows.stream().filter(r -> r.of.equals(of)).findFirst();
        }

        /** The first day on which a piece is to be looked at again, yyyy-mm-dd; empty where none is. */
        public Optional<String> again() {
            return rows.stream().map(Row::again).filter(d -> !d.isEmpty()).min(java.util.Comparator.naturalOrder());
        }

        /** Rows that have every figure that is needed. */
        public List<Row> full() {
            Form form = form();
            return rows.stream()
                    .filter(r ->
                            form.each().stream().filter(Form.Ask::needed).allMatch(a -> r.figures.containsKey(a.key()))
                                    && (form.grades().isEmpty() || r.grade.isPresent()))
                    .toList();
        }
    }

    /**
     * A repeat, or a piece looked at.
     *
     * @param of id of the piece; empty of a repeat
     * @param figures by their key
     * @param grade what was seen
     * @param again day it is looked at again, yyyy-mm-dd; empty if none
     */
    record Row(String of, Map<String, Measured> figures, Optional<Grade> grade, String again) {
        public Row {
            figures = java.util.Collections.unmodifiableMap(new java.util.TreeMap<>(figures));
        }

        /** A piece as it was seen. */
        public static Row seen(String of, Grade grade) {
            return new Row(of, Map.of(), Optional.of(grade), "");
        }

        /** A repeat. */
        public static Row of(Map<String, Measured> figures) {
            return new Row("", figures, Optional.empty(), "");
        }

        public double si(String key) {
            return figures.get(key).si();
        }
    }
}
