package ration.desktop.layout;

import java.util.ArrayList;
import java.util.List;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;

/**
 * What can be entered on a card beside figures; each throws IllegalArgumentException with a sentence where it cannot
 * be.
 */
final class ItemEntry {

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_POSITION = 20;

    private ItemEntry() {}

    static String name(String entered) {
        if (entered.isBlank() || entered.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("Give it a name of 1 to " + LONGEST_NAME + " letters.");
        }
        return entered.strip();
    }

    /** The name of a position, as on the placard; no other of the handle is called so. */
    static String position(Selector selector, String entered) {
        if (entered.isBlank()
                || entered.length() > LONGEST_POSITION
                || selector.positions().stream().anyMatch(p -> p.name().equals(entered.strip()))) {
            throw new IllegalArgumentException(
                    "Give the position a name of its own, " + LONGEST_POSITION + " letters maximum.");
        }
        return entered.strip();
    }

    /** With a position called otherwise; as it is where it has no such position any more. */
    static Item called(Item item, int at, String name) {
        return item.only(Selector.class)
                .filter(s -> at < s.positions().size())
                .<Item>map(s -> {
                    List<Selector.Position> all = new ArrayList<>(s.positions());
                    all.set(at, new Selector.Position(name, all.get(at).joins()));
                    return s.withPorts(s.inlets(), all);
                })
                .orElse(item);
    }

    static Run more(Run run, Fitting fitting) {
        List<Fitting> all = new ArrayList<>(run.fittings());
        all.add(fitting);
        return run.withFittings(all);
    }

    /** With one less; as it is where it has none. */
    static Run less(Run run, Fitting fitting) {
        List<Fitting> all = new ArrayList<>(run.fittings());
        all.remove(fitting);
        return run.withFittings(all);
    }
}
