package ration.desktop.faults;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.Finder;
import ration.answer.fault.HiddenSearch;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.answer.fault.HiddenSearch.Outcome;
import ration.answer.fault.HiddenSearch.Pair;
import ration.answer.fault.HiddenWords;

/**
 * What waits against what fails next, before any of it is a node: rows by the check that finds them, columns of second
 * failures that change something, equal ones merged.
 *
 * @param columns most stops first, in layout order where they are equal
 * @param sections rows that are not all met, check by check, most found first
 * @param harmless rows that one more failure does not make worse
 */
record HiddenTable(List<Column> columns, List<Section> sections, List<Hidden> harmless) {

    /** What counts as a change: what was met or switched alone is not told again. */
    private static final Set<Outcome> CHANGED =
            EnumSet.of(Outcome.STOPS, Outcome.UNSEEN, Outcome.NOT_SHOWN, Outcome.NOT_RUN);

    HiddenTable {
        columns = List.copyOf(columns);
        sections = List.copyOf(sections);
        harmless = List.copyOf(harmless);
    }

    /**
     * Second failures with the same answers in every row.
     *
     * @param at their places among the seconds, the first shown
     */
    record Column(List<Integer> at, List<FaultAnswer> seconds) {

        FaultAnswer first() {
            return seconds.get(0);
        }

        String part() {
            return first().part() + (seconds.size() > 1 ? " +" + (seconds.size() - 1) : "");
        }

        String way() {
            return HiddenWords.brief(first().fault());
        }

        /** All of them, for whoever asks which are merged. */
        String all() {
            return String.join(", ", seconds.stream().map(HiddenWords::name).toList());
        }

        Pair of(Hidden row) {
            return row.pairs().get(at.get(0));
        }
    }

    /** Rows that one check finds. */
    record Section(Finder finder, List<Hidden> rows) {
        long stopping() {
            return rows.stream().filter(h -> !h.stops().isEmpty()).count();
        }
    }

    /** Rows in the order shown. */
    List<Hidden> rows() {
        return sections.stream().flatMap(s -> s.rows().stream()).toList();
    }

    static HiddenTable of(HiddenSearch s) {
        List<Hidden> rows = s.hidden().stream()
                .filter(h -> h.pairs().stream().anyMatch(p -> CHANGED.contains(p.outcome())))
                .toList();
        Map<List<Object>, List<Integer>> same = new LinkedHashMap<>();
        for (int i = 0; i < s.seconds().size(); i++) {
            int at = i;
            if (rows.stream().anyMatch(h -> CHANGED.contains(h.pairs().get(at).outcome()))) {
                same.computeIfAbsent(signature(rows, at), k -> new ArrayList<>())
                        .add(at);
            }
        }
        List<Column> columns = same.values().stream()
                .map(at -> new Column(at, at.stream().map(s.seconds()::get).toList()))
                .sorted(Comparator.comparingLong((Column c) -> -stops(rows, c)))
                .toList();
        List<Section> sections = Arrays.stream(Finder.values())
                .map(f -> new Section(
                        f, rows.stream().filter(h -> h.finder() == f).toList()))
                .filter(x -> !x.rows().isEmpty())
                .sorted(Comparator.comparingLong(x -> -x.stopping()))
                .toList();
        return new HiddenTable(
                columns,
                sections,
                s.hidden().stream().filter(h -> !rows.contains(h)).toList());
    }

    private static long stops(List<Hidden> rows, Column c) {
        return rows.stream().filter(h -> c.of(h).outcome() == Outcome.STOPS).count();
    }

    /** Equal down to what a tile shows. */
    private static List<Object> signature(List<Hidden> rows, int at) {
        return IntStream.range(0, rows.size())
                .mapToObj(r -> {
                    Pair p = rows.get(r).pairs().get(at);
                    return (Object) List.of(p.outcome(), tile(p));
                })
                .toList();
    }

    /** What stands in a tile: minutes where it stops, nothing else in figures. */
    static String tile(Pair p) {
        return p.outcome() != Outcome.STOPS
                ? ""
                : p.both()
                        .map(b -> Double.isNaN(b.minutes()) ? "?" : String.valueOf(Math.round(b.minutes())))
                        .orElse("?");
    }

    /** A tile for whoever does not see it. */
    static String spoken(Pair p) {
        return switch (p.outcome()) {
            case STOPS -> "stops" + p.both().map(b -> " in " + tile(p) + " min").orElse("");
            case UNSEEN -> "pilot action left, no warning in time";
            case SWITCHED -> "pilot action restores flow";
            case MET -> "demand met";
            case NOT_SHOWN -> "not computed";
            case NOT_RUN -> "not run";
            case SAME_PART -> "the same part";
        };
    }
}
