package ration.tank;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.Set;
import ration.model.FuelSystem;
import ration.model.Item;

/** How several outlets of one tank work together. */
public enum Feed {
    /** Fuel falls through whichever outlet is covered: the lowest counts. */
    GRAVITY,
    /** A pump draws on all of them at once: the first to uncover lets air in. */
    SUCTION;

    /** Of a tank in a system: suction if a pump is met downstream before any header tank. */
    public static Feed of(FuelSystem system, Item.Tank tank) {
        if (tank.outlets().size() < 2) {
            return GRAVITY;
        }
        Deque<String> ahead = new ArrayDeque<>();
        Set<String> seen = new HashSet<>();
        ahead.add(tank.id());
        while (!ahead.isEmpty()) {
            String at = ahead.poll();
            if (!seen.add(at)) {
                continue;
            }
            Item item = system.item(at).orElse(null);
            if (item instanceof Item.Pump) {
                return SUCTION;
            }
            if (item instanceof Item.Header || item instanceof Item.Tank && !at.equals(tank.id())) {
                continue;
            }
            system.runs().stream().filter(r -> r.from().item().equals(at)).forEach(r -> ahead.add(r.to().item()));
        }
        return GRAVITY;
    }
}
