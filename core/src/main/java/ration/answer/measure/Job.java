package ration.answer.measure;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import ration.aircraft.model.Item;
import ration.answer.assess.Doubt;
import ration.base.quantity.Method;

/**
 * Figures that are read in one go: the shape of a tank, the place of a part, a flow with its loss, or one figure.
 *
 * @param item they belong to
 * @param key stable word of them within the item
 * @param moves of each of them
 * @param tool they are read with
 * @param scale of their variance over what each would bring alone; 1 where all add up
 * @param bends whether they are several figures, or one, that do not add up with the rest
 */
public record Job(Item item, String key, List<Doubt.Move> moves, Tool tool, double scale, boolean bends) {

    private static final String SHAPE = "shape";

    public Job {
        moves = List.copyOf(moves);
    }

    /** Of all that moves an answer; what bends is one job, with the variance found of it. */
    static List<Job> of(Doubt doubt, Doubt.Of of) {
        record Key(String item, String key) {}
        Map<Key, List<Doubt.Move>> all = new LinkedHashMap<>();
        List<Doubt.Move> bent =
                doubt.bent().containsKey(of) ? doubt.bent().get(of).members() : List.of();
        doubt.moves().stream().filter(m -> !bent.contains(m)).forEach(m -> all.computeIfAbsent(
                        new Key(m.item().id(), group(m.key())), k -> new ArrayList<>())
                .add(m));
        Stream<Job> together = bent.isEmpty()
                ? Stream.empty()
                : Stream.of(new Job(
                        bent.get(0).item(),
                        bent.get(0).key(),
                        bent,
                        Tool.of(kind(group(bent.get(0).key()), bent)),
                        scale(doubt.bent().get(of), of),
                        true));
        Stream<Job> apart = all.entrySet().stream()
                .map(e -> new Job(
                        e.getValue().get(0).item(),
                        e.getKey().key(),
                        e.getValue(),
                        Tool.of(kind(e.getKey().key(), e.getValue())),
                        scale(doubt, of, e.getValue()),
                        false));
        return Stream.concat(together, apart).toList();
    }

    /** What is found of several together, over what they would be if they added up. */
    private static double scale(Doubt.Together t, Doubt.Of of) {
        return t.variance()
                / t.members().stream().mapToDouble(m -> m.square(of)).sum();
    }

    /** The same of a job beside them. */
    private static double scale(Doubt doubt, Doubt.Of of, List<Doubt.Move> moves) {
        Doubt.Together t = doubt.bent().get(of);
        double plain = moves.stream().mapToDouble(m -> m.square(of)).sum();
        return t == null || plain <= 0
                ? 1
                : moves.stream()
                                .mapToDouble(m -> t.beside().getOrDefault(m, m.square(of)))
                                .sum()
                        / plain;
    }

    /** Whether its figures belong to several parts, which are read as one. */
    public boolean several() {
        return moves.stream().map(m -> m.item().id()).distinct().count() > 1;
    }

    /** Minutes for all of it. */
    public int minutes() {
        return tool.minutes() * (several() ? moves.size() : 1);
    }

    /** A path of figures without the last step where that is one of a place or of a loss at a flow. */
    private static String group(String key) {
        if (key.startsWith(SHAPE)) {
            return SHAPE;
        }
        int dot = key.lastIndexOf('.');
        String last = key.substring(dot + 1);
        return dot > 0 && (last.equals("flow") || last.equals("loss")) ? key.substring(0, dot) : key;
    }

    private static String kind(String key, List<Doubt.Move> moves) {
        if (key.equals(SHAPE)) {
            return SHAPE;
        }
        String last = key.substring(key.lastIndexOf('.') + 1);
        String first = moves.get(0).key();
        if (first.endsWith(".loss") || first.endsWith(".flow")) {
            return "loss";
        }
        return switch (last) {
            case "waterLine", "length", "bore", "seat", "curve", "minimumPressure" -> last;
            case "station", "buttLine" -> "station";
            default ->
                moves.get(0).as().quantity().unit().dimension() == ration.base.quantity.Dimension.PRESSURE
                        ? "pressure"
                        : "other";
        };
    }

    /** Its part of the variance of an answer, as it is entered. */
    double variance(Doubt.Of of) {
        return scale * moves.stream().mapToDouble(m -> m.square(of)).sum();
    }

    /** Its part once it is read with its tool: never more than now. */
    double left(Doubt.Of of) {
        return scale
                * moves.stream()
                        .mapToDouble(m -> {
                            double share = Math.min(1, tool.deviation(m.as()) / m.deviation());
                            return m.square(of) * share * share;
                        })
                        .sum();
    }

    /** Whether nobody said how one of them came about: that is asked before anything is measured again. */
    public boolean unsaid() {
        return moves.stream().anyMatch(m -> m.as().by().isBlank());
    }

    /** Whether they are the corners and walls of one tank. */
    public boolean shape() {
        return key.equals(SHAPE);
    }

    /** Whether nobody measured one of them. */
    public boolean guessed() {
        return moves.stream().anyMatch(m -> Method.of(m.as()).guessed());
    }
}
