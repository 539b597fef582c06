package ration.aircraft.plumbing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;

/** Ports as people write them: the item's name and, where it has several ports, the port. */
public final class Portname {

    private Portname() {}

    /** The port in words: Strainer out, Left tank outlet. */
    public static String text(FuelSystem system, PortRef port) {
        return system.item(port.item()).map(Item::name).orElse(port.item()) + " " + port.port();
    }

    /**
     * Reads a port: {@code Strainer out}, {@code strainer.out}, or the item alone where only one of its ports is meant.
     *
     * @param wanted ports tried first when the item stands alone
     * @throws IllegalArgumentException with a sentence for the writer
     */
    static PortRef parse(FuelSystem system, String written, List<String> wanted) {
        String text = written.strip().toLowerCase(Locale.ROOT);
        List<PortRef> whole = new ArrayList<>();
        Optional<Item> alone = Optional.empty();
        for (Item item : system.items()) {
            for (String name :
                    List.of(item.name().toLowerCase(Locale.ROOT), item.id().toLowerCase(Locale.ROOT))) {
                for (String port : item.ports()) {
                    PortRef ref = new PortRef(item.id(), port);
                    String p = port.toLowerCase(Locale.ROOT);
                    if ((text.equals(name + " " + p) || text.equals(name + "." + p)) && !whole.contains(ref)) {
                        whole.add(ref);
                    }
                }
                alone = text.equals(name) && !item.ports().isEmpty() ? Optional.of(item) : alone;
            }
        }
        if (whole.size() == 1) {
            return whole.get(0);
        }
        if (alone.isPresent()) {
            Item item = alone.get();
            List<String> ports = item.ports().size() == 1
                    ? item.ports()
                    : wanted.stream().filter(item.ports()::contains).limit(1).toList();
            if (ports.size() == 1) {
                return new PortRef(item.id(), ports.get(0));
            }
            throw new IllegalArgumentException("\u201c" + written.strip() + "\u201d has several ports. Say which: "
                    + String.join(", ", item.ports()) + ".");
        }
        throw new IllegalArgumentException("\u201c" + written.strip()
                + "\u201d is no port of this layout. Write an item" + " and its port, such as Strainer out.");
    }
}
