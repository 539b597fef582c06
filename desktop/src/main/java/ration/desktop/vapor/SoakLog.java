package ration.desktop.vapor;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Soak;
import ration.aircraft.heat.SoakFit;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.vapor.SoakPath;
import ration.publish.drawing.SoakPicture.Logged;
import ration.record.file.LogTable;
import ration.record.project.Edit;
import ration.verdict.check.Finding.Wording;

/**
 * The log that lies over the predicted soak, and the run before it. Immutable.
 *
 * @param name of the log's file
 * @param logged its readings after shutdown; none while no log lies there
 * @param earlier those of the run before a change
 * @param fit figures that make the prediction lie on it, once they were asked for
 * @param said what is said of it
 */
record SoakLog(String name, List<Logged> logged, List<Logged> earlier, Optional<SoakFit> fit, Wording said) {

    static final SoakLog NONE = new SoakLog("", List.of(), List.of(), Optional.empty(), u -> "");

    /** What a column is where it is no part. */
    static final String NO_PART = "\u2013";

    static final String TIME = "time";
    static final List<String> UNITS = List.of("\u00b0C", "\u00b0F", "K", "s", "min");
    private static final int ON_SCREEN = 4000;

    SoakLog {
        logged = List.copyOf(logged);
        earlier = List.copyOf(earlier);
    }

    /**
     * What a column is taken for.
     *
     * @param is a part's name, the time, or no part
     * @param in its unit
     */
    record Meaning(String is, String in) {}

    /**
     * What the columns of a table likely are: the first that looks like one is the time, others belong to parts whose
     * names share a word with theirs.
     */
    static List<Meaning> guess(LogTable table, List<SoakPath> parts) {
        List<Meaning> all = new ArrayList<>();
        boolean timed = false;
        for (LogTable.Column c : table.columns()) {
            boolean time = !timed
                    && (c.clock()
                            || c.name().toLowerCase(Locale.ROOT).matches(".*(time|zeit|sec|min|elapsed).*")
                            || c.unit()
                                    .filter(u -> u == Unit.SECOND || u == Unit.MINUTE)
                                    .isPresent());
            timed |= time;
            all.add(new Meaning(
                    time ? TIME : part(c.name(), parts),
                    c.unit().map(Unit::symbol).filter(UNITS::contains).orElse(time ? "s" : "\u00b0C")));
        }
        return all;
    }

    private static String part(String column, List<SoakPath> parts) {
        String lower = column.toLowerCase(Locale.ROOT);
        return parts.stream()
                .map(SoakPath::name)
                .filter(n -> Arrays.stream(n.toLowerCase(Locale.ROOT).split("\\s+"))
                        .anyMatch(w -> w.length() > 2 && lower.contains(w)))
                .findFirst()
                .orElse(NO_PART);
    }

    /** The times of a table, in minutes after the engine was stopped. */
    private record Clock(double[] values, double zero, double scale, double stopped) {
        double minutes(int row) {
            return (values[row] - zero) * scale - stopped;
        }
    }

    /**
     * A log laid over it.
     *
     * @param as what its columns are
     * @param stopped minutes of the log after which the engine was stopped, as entered
     * @throws IllegalArgumentException with a sentence where something is not said, or nothing lies after shutdown
     */
    SoakLog laid(String file, LogTable table, List<Meaning> as, String stopped, List<SoakPath> parts) {
        int time = IntStream.range(0, as.size())
                .filter(i -> TIME.equals(as.get(i).is()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("Select the time column."));
        double[] values = table.columns().get(time).values();
        Clock clock = new Clock(
                values,
                Arrays.stream(values).filter(v -> !Double.isNaN(v)).findFirst().orElse(0),
                as.get(time).in().equals("min") ? 1 : 1.0 / 60,
                Quantity.parse(stopped, Unit.MINUTE).si() / 60);
        List<Logged> all = new ArrayList<>();
        List<Wording> running = new ArrayList<>();
        for (int i = 0; i < as.size(); i++) {
            Optional<SoakPath> part = named(parts, as.get(i).is());
            if (part.isPresent()) {
                Unit unit = Unit.named(as.get(i).in()).orElse(Unit.CELSIUS);
                double[] column = table.columns().get(i).values();
                all.add(readings(part.get().item(), clock, column, unit));
                running(part.get(), clock, column, unit).ifPresent(running::add);
            }
        }
        if (all.isEmpty()) {
            throw new IllegalArgumentException("Assign one or more columns to an item.");
        }
        Wording differ = differences(all, parts);
        return new SoakLog(
                file,
                all,
                earlier,
                Optional.empty(),
                u -> differ.in(u)
                        + (running.isEmpty()
                                ? ""
                                : running.stream()
                                        .map(r -> r.in(u))
                                        .collect(Collectors.joining("; ", " While running, maximum: ", "."))));
    }

    private static Optional<SoakPath> named(List<SoakPath> parts, String name) {
        return parts.stream().filter(p -> p.name().equals(name)).findFirst();
    }

    private static SoakPath of(List<SoakPath> parts, Logged l) {
        return parts.stream()
                .filter(x -> x.item().equals(l.item()))
                .findFirst()
                .orElseThrow(() ->
                        new IllegalArgumentException("A logged item is no longer on the path: overlay the log again."));
    }

    /**
     * Idle, run up and climb: the hottest of a channel before shutdown, beside what is predicted at this power; empty
     * where nothing was logged then.
     */
    private static Optional<Wording> running(SoakPath part, Clock clock, double[] values, Unit unit) {
        OptionalDouble most = IntStream.range(0, values.length)
                .filter(r -> clock.minutes(r) < 0 && !Double.isNaN(values[r]))
                .mapToDouble(r -> unit.toSi(values[r]))
                .max();
        return most.isEmpty()
                ? Optional.empty()
                : Optional.of(u -> part.name() + " " + degrees(most.getAsDouble(), u) + ", predicted at this power "
                        + degrees(part.soak().at(0), u));
    }

    /** Readings after shutdown, thinned to what a fit and a screen need. */
    private static Logged readings(String item, Clock clock, double[] values, Unit unit) {
        List<double[]> good = new ArrayList<>();
        for (int r = 0; r < values.length; r++) {
            double m = clock.minutes(r);
            if (m >= 0 && m <= SoakPath.LENGTH / 60 && !Double.isNaN(values[r])) {
                good.add(new double[] {m, unit.toSi(values[r])});
            }
        }
        if (good.size() < 2) {
            throw new IllegalArgumentException(
                    "No readings lie within 40 minutes after the engine was stopped: check when that was, and"
                            + " the unit of the time.");
        }
        int step = Math.max(1, good.size() / ON_SCREEN);
        List<double[]> kept = IntStream.range(0, good.size())
                .filter(i -> i % step == 0)
                .mapToObj(good::get)
                .toList();
        return new Logged(
                item,
                kept.stream().mapToDouble(g -> g[0]).toArray(),
                kept.stream().mapToDouble(g -> g[1]).toArray());
    }

    private Wording differences(List<Logged> now, List<SoakPath> parts) {
        List<Wording> off = new ArrayList<>();
        List<Wording> then = new ArrayList<>();
        for (Logged l : now) {
            SoakPath p = of(parts, l);
            double squares = IntStream.range(0, l.minutes().length)
                    .mapToDouble(i -> Math.pow(p.soak().at(60 * l.minutes()[i]) - l.kelvin()[i], 2))
                    .sum();
            off.add(u -> p.name() + " " + u.difference(Math.sqrt(squares / l.minutes().length)));
            earlier.stream()
                    .filter(e -> e.item().equals(l.item()))
                    .forEach(e -> then.add(u -> " " + p.name() + " reached " + degrees(hottest(l), u) + ", "
                            + degrees(hottest(e), u) + " in the earlier run."));
        }
        return u -> off.stream()
                        .map(o -> o.in(u))
                        .collect(Collectors.joining("; ", "Predicted against logged, root mean square: ", "."))
                + then.stream().map(t -> t.in(u)).collect(Collectors.joining());
    }

    private static double hottest(Logged l) {
        return Arrays.stream(l.kelvin()).max().orElse(0);
    }

    private static String degrees(double kelvin, UnitSystem u) {
        return UnitSystem.figure(u.thermometer().fromSi(kelvin), 1) + " "
                + u.thermometer().symbol();
    }

    /** Kept as the run before a change. */
    SoakLog kept() {
        return new SoakLog(name, List.of(), logged, Optional.empty(), u -> "Overlay the run made after the change.");
    }

    /** With the figures that make the prediction lie on it; without, and why, where none do. */
    SoakLog fitted(List<SoakPath> parts) {
        try {
            SoakFit found = SoakFit.of(
                    logged.stream().map(l -> channel(of(parts, l).soak(), l)).toList());
            return new SoakLog(
                    name,
                    logged,
                    earlier,
                    Optional.of(found),
                    u -> "Fitted: soak peaks " + u.difference(found.soakOver()) + " above OAT, decays in "
                            + UnitSystem.figure(found.fade() / 60, 0) + " min; fit error "
                            + u.difference(found.error()) + ".");
        } catch (IllegalArgumentException e) {
            return new SoakLog(name, logged, earlier, Optional.empty(), u -> e.getMessage());
        }
    }

    private static SoakFit.Channel channel(Soak s, Logged l) {
        return new SoakFit.Channel(
                new Soak(s.outside(), s.startOver(), s.soakOver(), s.fade(), s.lag(), l.kelvin()[0]),
                Arrays.stream(l.minutes()).map(m -> 60 * m).toArray(),
                l.kelvin());
    }

    /**
     * The fitted figures taken over into the document.
     *
     * @throws IllegalArgumentException where such a soak cannot be
     */
    Edit taken() {
        SoakFit found = fit.orElseThrow();
        String by = "fitted, " + name;
        Measured over = HeatFigure.BAY_SOAK_OVER.checked(
                new Measured(Quantity.of(Math.round(found.soakOver() * 10) / 10.0, Unit.CELSIUS), by));
        Measured fade = HeatFigure.SOAK_FADE.checked(
                new Measured(Quantity.of(Math.round(found.fade() / 6) / 10.0, Unit.MINUTE), by));
        return Edit.of(
                "Use fitted soak",
                p -> p.with(p.heat().with(HeatFigure.BAY_SOAK_OVER, over).with(HeatFigure.SOAK_FADE, fade)));
    }
}
