package ration.record.reading;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.base.quantity.Unit;

/**
 * Readings as they come, a line each: {@code seconds,channel,value,unit}, after a first line {@code # ration readings
 * 1}. Keeps the last minutes of every channel; tells the newest value with its age, and the mean and scatter of what
 * was steady lately. May be fed from one thread and read from another.
 */
public final class Live {

    /** What is kept of a channel, s. */
    private static final double KEPT = 600;

    private static final int MOST_CHANNELS = 64;
    /** Of one channel: twenty a second over all that is kept. */
    private static final int MOST_SAMPLES = 12_000;

    private final Map<String, Deque<Sample>> channels = new LinkedHashMap<>();
    private final Map<String, Unit> units = new LinkedHashMap<>();
    private int bad;
    private int tooLong;
    private long letGo;
    private String trouble = "";

    /**
     * One value.
     *
     * @param seconds of the sender's clock
     * @param value SI
     * @param came at the receiver, s of any clock
     */
    public record Sample(double seconds, double value, double came) {}

    /**
     * What a channel shows.
     *
     * @param name of it
     * @param unit it is sent in
     * @param value newest, SI
     * @param age of that, s
     */
    public record Shown(String name, Unit unit, double value, double age) {}

    /**
     * What was steady.
     *
     * @param mean SI
     * @param scatter one standard deviation, SI
     * @param n values
     */
    public record Steady(double mean, double scatter, int n) {}

    /**
     * Takes a line; one that cannot be read is counted and the first told.
     *
     * @param came when, s of the receiver's clock
     */
    public synchronized void line(String line, double came) {
        if (line.isBlank() || line.startsWith("#") || line.startsWith("seconds")) {
            return;
        }
        String[] parts = line.split(",");
        Optional<Unit> unit = parts.length == 4 ? Unit.named(parts[3]) : Optional.empty();
        try {
            if (unit.isEmpty()) {
                throw new IllegalArgumentException(
                        parts.length == 4
                                ? "the unit \u201c" + parts[3].strip() + "\u201d is not known"
                                : "seconds,channel,value,unit is expected");
            }
            double seconds = Double.parseDouble(parts[0].strip());
            double value = Double.parseDouble(parts[2].strip());
            double si = unit.get().toSi(value);
            if (!Double.isFinite(seconds)
                    || !Double.isFinite(si)
                    || !unit.get().dimension().holds(si)) {
                throw new IllegalArgumentException("the value is none that an aircraft shows");
            }
            put(parts[1].strip(), unit.get(), new Sample(seconds, si, came));
        } catch (IllegalArgumentException e) {
            bad++;
            trouble = trouble.isEmpty()
                    ? "\u201c" + (line.length() > 60 ? line.substring(0, 60) : line) + "\u201d: "
                            + (e instanceof NumberFormatException ? "a number is expected" : e.getMessage())
                    : trouble;
        }
    }

    private void put(String channel, Unit unit, Sample sample) {
        Unit before = units.get(channel);
        if (channel.isEmpty()
                || before == null && units.size() >= MOST_CHANNELS
                || before != null && before.dimension() != unit.dimension()) {
            throw new IllegalArgumentException(
                    channel.isEmpty()
                            ? "the channel has no name"
                            : before == null ? "there are too many channels" : "the channel changed what it measures");
        }
        units.put(channel, unit);
        Deque<Sample> all = channels.computeIfAbsent(channel, k -> new ArrayDeque<>());
        if (!all.isEmpty() && sample.seconds() < all.peekLast().seconds()) {
            // it was started anew
            all.clear();
        }
        all.addLast(sample);
        while (all.peekFirst().seconds() < sample.seconds() - KEPT) {
            all.removeFirst();
        }
        if (all.size() > MOST_SAMPLES) {
            all.removeFirst();
            letGo++;
        }
    }

    /** A line was longer than any reading, and dropped. */
    public synchronized void tooLong() {
        tooLong++;
    }

    /**
     * What was dropped and why: lines that could not be read, with the first of them, lines too long, readings too
     * many; empty where nothing was.
     */
    public synchronized String trouble() {
        List<String> all = new ArrayList<>();
        if (bad > 0) {
            all.add(bad + (bad == 1 ? " line" : " lines") + " could not be read, the first " + trouble);
        }
        if (tooLong > 0) {
            all.add(tooLong + (tooLong == 1 ? " line was" : " lines were") + " longer than " + LineCutter.LONGEST
                    + " letters and dropped");
        }
        if (letGo > 0) {
            all.add(letGo + (letGo == 1 ? " older reading was" : " older readings were") + " let go: more than "
                    + MOST_SAMPLES + " a channel come in ten minutes");
        }
        return all.isEmpty() ? "" : String.join("; ", all) + ".";
    }

    /** Every channel with its newest value. */
    public synchronized List<Shown> shown(double now) {
        List<Shown> all = new ArrayList<>();
        channels.forEach((name, samples) -> all.add(new Shown(
                name,
                units.get(name),
                samples.peekLast().value(),
                Math.max(0, now - samples.peekLast().came()))));
        return all;
    }

    /** Samples of a channel, oldest first. */
    public synchronized List<Sample> samples(String channel) {
        return List.copyOf(channels.getOrDefault(channel, new ArrayDeque<>()));
    }

    /** Mean and scatter of the last seconds of a channel; empty where nothing came. */
    public synchronized Optional<Steady> steady(String channel, double seconds) {
        Deque<Sample> all = channels.getOrDefault(channel, new ArrayDeque<>());
        if (all.isEmpty()) {
            return Optional.empty();
        }
        double from = all.peekLast().seconds() - seconds;
        double[] lately = all.stream()
                .filter(s -> s.seconds() >= from)
                .mapToDouble(Sample::value)
                .toArray();
        double mean = java.util.Arrays.stream(lately).average().orElseThrow();
        double square = java.util.Arrays.stream(lately)
                .map(v -> (v - mean) * (v - mean))
                .sum();
        return Optional.of(
                new Steady(mean, lately.length > 1 ? Math.sqrt(square / (lately.length - 1)) : 0, lately.length));
    }

    /** How fast a channel rises over the last seconds, SI a second, by least squares; empty where it cannot be told. */
    public synchronized Optional<Double> rise(String channel, double seconds) {
        Deque<Sample> all = channels.getOrDefault(channel, new ArrayDeque<>());
        if (all.size() < 2) {
            return Optional.empty();
        }
        double from = all.peekLast().seconds() - seconds;
        List<Sample> lately = all.stream().filter(s -> s.seconds() >= from).toList();
        double t = lately.stream().mapToDouble(Sample::seconds).average().orElse(0);
        double v = lately.stream().mapToDouble(Sample::value).average().orElse(0);
        double tt = lately.stream()
                .mapToDouble(s -> (s.seconds() - t) * (s.seconds() - t))
                .sum();
        return tt > 0
                ? Optional.of(lately.stream()
                                .mapToDouble(s -> (s.seconds() - t) * (s.value() - v))
                                .sum()
                        / tt)
                : Optional.empty();
    }
}
