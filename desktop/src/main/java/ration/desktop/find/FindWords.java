package ration.desktop.find;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import ration.aircraft.model.FuelSystem;
import ration.answer.find.CauseKind;
import ration.answer.find.Explanation;
import ration.answer.find.NextReading;
import ration.base.quantity.UnitSystem;
import ration.publish.drawing.ReadPlaces;
import ration.record.reading.Reading;

/**
 * What the page says of the causes weighed, before any of it is a node.
 *
 * @param read every reading, in the order taken
 * @param ranked causes, the likeliest first; none while they are being weighed
 * @param next readings worth taking, the best first
 */
record FindWords(List<Reading> read, List<Explanation> ranked, List<NextReading> next) {

    /** A belief in none of them from which the readings themselves are doubted. */
    private static final double DOUBT = 0.4;
    /** Outcomes told narrower than this are one figure. */
    private static final double ALIKE = 0.02;

    private static final int LEFT = 3;

    FindWords {
        read = List.copyOf(read);
        ranked = List.copyOf(ranked);
        next = List.copyOf(next);
    }

    /** Readings of places that are still laid out: only these are weighed. */
    static List<Reading> known(List<Reading> read, FuelSystem system) {
        return read.stream().filter(r -> system.item(r.item()).isPresent()).toList();
    }

    /** What came of weighing so many of them. */
    String sum(int known) {
        if (known > 0
                && !ranked.isEmpty()
                && ranked.get(0).name().startsWith("None")
                && ranked.get(0).belief() > DOUBT) {
            return "No single fault explains these readings: repeat them, or look for two faults";
        }
        String gone = known < read.size()
                ? "; " + (read.size() - known) + " at a place no longer in the layout are ignored"
                : "";
        return (known == 0
                        ? "Enter a reading at the conditions set below, or start with the suggested one"
                        : "likely causes after " + known + (known == 1 ? " reading" : " readings"))
                + gone;
    }

    /** How a sound aircraft fits each reading; none while causes are being weighed. */
    List<Explanation.Fit> sound() {
        return ranked.stream()
                .filter(e -> e.kind() == CauseKind.SOUND)
                .findFirst()
                .map(Explanation::fits)
                .orElse(List.of());
    }

    /** The readings by number where they were taken, those marked that a sound aircraft would not show. */
    List<ReadPlaces.Number> numbers(ReadingEntry entry) {
        List<Explanation.Fit> sound = sound();
        return IntStream.range(0, read.size())
                .mapToObj(i -> {
                    Reading r = read.get(i);
                    boolean off = i < sound.size() && Math.abs(sound.get(i).deviation()) > 1;
                    return new ReadPlaces.Number(
                            r.item(),
                            i + 1,
                            off,
                            "Reading " + (i + 1) + ", " + entry.figure(r.what(), r.value()) + (off ? ", off" : ""));
                })
                .toList();
    }

    /** Places worth reading at, each with the letter of what is read. */
    Map<String, String> open() {
        Map<String, String> open = new LinkedHashMap<>();
        next.stream()
                .map(NextReading::asked)
                .filter(r -> r.what() == Reading.What.PRESSURE || r.what() == Reading.What.FLOW)
                .forEach(r -> open.putIfAbsent(r.item(), r.what().word().substring(0, 1)));
        return open;
    }

    /** A reading whose instrument is the likeliest cause. */
    Optional<Reading> suspect() {
        return ranked.stream()
                .findFirst()
                .filter(e -> e.likely() && e.kind() == CauseKind.INSTRUMENT)
                .flatMap(e -> IntStream.range(0, read.size())
                        .filter(i -> i < e.fits().size()
                                && Double.isNaN(e.fits().get(i).expected()))
                        .mapToObj(read::get)
                        .findFirst());
    }

    /** Why no reading is worth taking. */
    String nothingNext() {
        return ranked.isEmpty()
                ? "Enter a reading: a pressure, a flow, minutes to power loss, or what is seen"
                        + " and heard, as the conditions bar is set."
                : "One cause remains, or no available reading separates the rest.";
    }

    /** What an outcome of the next reading would be, and how often. */
    static String reads(Reading asked, NextReading.Outcome o, ReadingEntry entry) {
        boolean wide = o.to() - o.from() > ALIKE * Math.abs(o.to());
        return entry.figure(asked.what(), o.from()) + (wide ? " to " + entry.figure(asked.what(), o.to()) : "");
    }

    /** The causes an outcome would leave, the first few by name. */
    static String leaves(NextReading.Outcome o) {
        List<String> all = o.leaves();
        return String.join("; ", all.subList(0, Math.min(LEFT, all.size())))
                + (all.size() > LEFT ? "; and " + (all.size() - LEFT) + " more" : "");
    }

    static String percent(double share) {
        return UnitSystem.figure(100 * share, 0) + "%";
    }

    /** A cause as those hear it who do not see its row. */
    static String spoken(Explanation e) {
        List<String> fits =
                new ArrayList<>(e.fits().stream().map(Explanation.Fit::word).toList());
        return e.name() + " " + e.how() + ", " + percent(e.belief()) + ", " + e.word() + "; readings: "
                + String.join(", ", fits) + (e.fault().isPresent() ? "; Enter sets it on the layout" : "");
    }

    /** A dot fits, a ring is strained, an arrow speaks against and shows to which side. */
    static String sign(Explanation.Fit f) {
        return switch (f.match()) {
            case FITS -> "\u25cf";
            case POOR -> "\u25cb";
            case CONTRADICTS -> f.deviation() > 0 ? "\u25b6 above" : "\u25c0 below";
            case ANY -> "any";
        };
    }
}
