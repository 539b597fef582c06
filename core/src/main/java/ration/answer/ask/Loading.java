package ration.answer.ask;

import java.util.ArrayList;
import java.util.List;

/**
 * What to put into each tank for a wanted total: the tanks come as near to alike as what is aboard and what they hold
 * allow. Nothing is taken out of a tank.
 *
 * @param tanks in layout order
 * @param over of the wanted total that is aboard already, or does not fit, m3: below zero more is aboard than is
 *     wanted, above zero they do not hold it
 */
public record Loading(List<Load> tanks, double over) {

    private static final int ROUNDS = 80;
    /** Less than this is nothing, m3. */
    private static final double NOTHING = 1e-9;

    public Loading {
        tanks = List.copyOf(tanks);
    }

    /**
     * A tank before it is filled.
     *
     * @param aboard now, m3
     * @param full as filled, parked, m3
     */
    public record Aboard(String id, String name, double aboard, double full) {
        public Aboard {
            if (!(aboard >= 0) || !(full >= 0)) {
                throw new IllegalArgumentException("A tank holds 0 or more.");
            }
        }
    }

    /** What goes into a tank, and what is in it then, m3. */
    public record Load(String id, String name, double add, double then) {}

    /** For a total over all tanks, m3. */
    public static Loading of(List<Aboard> tanks, double wanted) {
        double aboard = tanks.stream().mapToDouble(Aboard::aboard).sum();
        double most =
                tanks.stream().mapToDouble(t -> Math.max(t.aboard, t.full)).sum();
        double goal = Math.max(aboard, Math.min(most, wanted));
        // the amount every tank is brought to, unless it holds more already or cannot hold it
        double low = 0;
        double high = tanks.stream()
                .mapToDouble(t -> Math.max(t.aboard, t.full))
                .max()
                .orElse(0);
        for (int i = 0; i < ROUNDS; i++) {
            double level = (low + high) / 2;
            if (sum(tanks, level) < goal) {
                low = level;
            } else {
                high = level;
            }
        }
        List<Load> loads = new ArrayList<>();
        for (Aboard t : tanks) {
            double then = then(t, high);
            loads.add(new Load(t.id, t.name, Math.max(0, then - t.aboard), then));
        }
        double over = wanted > most + NOTHING ? wanted - most : wanted < aboard - NOTHING ? wanted - aboard : 0;
        return new Loading(loads, over);
    }

    private static double sum(List<Aboard> tanks, double level) {
        return tanks.stream().mapToDouble(t -> then(t, level)).sum();
    }

    private static double then(Aboard t, double level) {
        return Math.max(t.aboard, Math.min(level, t.full));
    }
}
