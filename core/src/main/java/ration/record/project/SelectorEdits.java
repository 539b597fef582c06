package ration.record.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.Item;
import ration.aircraft.model.Selector;

/** What the card of a selector offers beside its figures: a return side, BOTH, one more inlet. */
final class SelectorEdits {

    private final ItemEdits edits;

    SelectorEdits(ItemEdits edits) {
        this.edits = edits;
    }

    void offer(Selector s) {
        if (!s.duplex() && s.inlets().size() > 1) {
            edits.add("Make it duplex", s, x -> x.duplex() ? x : duplex(x));
        }
        if (s.inlets().size() > 1 && s.position("BOTH").isEmpty()) {
            edits.add("Add BOTH", s, x -> both(x).orElse(x));
        }
        if (another(s).isPresent()) {
            edits.add("Add port", s, x -> another(x).orElse(x));
        }
    }

    private static Optional<Selector> both(Selector s) {
        List<String> both = ItemEdits.and(s.inlets(), Item.OUT);
        return s.position("BOTH").isPresent()
                ? Optional.empty()
                : Optional.of(s.withPorts(s.inlets(), positioned(s, new Selector.Position("BOTH", List.of(both)))));
    }

    /** With one more inlet and a position of its own. */
    private static Optional<Selector> another(Selector s) {
        int n = s.inlets().size() + 1;
        String port = "tank-" + n;
        boolean free = n <= 5
                && !s.duplex()
                && !s.ports().contains(port)
                && s.position("TANK " + n).isEmpty();
        return free
                ? Optional.of(s.withPorts(
                        ItemEdits.and(s.inlets(), port),
                        positioned(s, new Selector.Position("TANK " + n, List.of(List.of(port, Item.OUT))))))
                : Optional.empty();
    }

    /** Its positions with one more before the last, which shuts. */
    private static List<Selector.Position> positioned(Selector s, Selector.Position more) {
        List<Selector.Position> positions = new ArrayList<>(s.positions());
        positions.add(Math.max(0, positions.size() - 1), more);
        return positions;
    }

    /** The same selector with a return side that turns with the feed: what is drawn from a tank goes back to it. */
    private static Selector duplex(Selector s) {
        List<Selector.Position> positions = s.positions().stream()
                .map(p -> {
                    List<List<String>> joins = new ArrayList<>(p.joins());
                    p.joins().stream()
                            .flatMap(List::stream)
                            .filter(s.inlets()::contains)
                            .findFirst()
                            .ifPresent(inlet -> joins.add(List.of(Selector.RETURN, inlet + "-return")));
                    return new Selector.Position(p.name(), joins);
                })
                .toList();
        return new Selector(
                s.tag(),
                s.inlets(),
                s.inlets().stream().map(i -> i + "-return").toList(),
                positions,
                s.loss(),
                s.reach());
    }
}
