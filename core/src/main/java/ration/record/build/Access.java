package ration.record.build;

import java.util.Optional;

/**
 * How a part is got at, as its builder says.
 *
 * @param panels that come off first, in words
 * @param tools in words
 * @param neighbors that matter: what is in its way, or forces a line to bend
 * @param minutes from the first screw to hands on it, 0 to 10,000; empty where nobody said
 * @param weight of the part by itself, empty, kg; empty where nobody said
 */
public record Access(String panels, String tools, String neighbors, Optional<Double> minutes, Optional<Double> weight) {

    /** Of which nothing was said. */
    public static final Access NONE = new Access("", "", "", Optional.empty(), Optional.empty());

    private static final double MOST_MINUTES = 10_000;
    private static final double MOST_KG = 1000;
    public static final int LONGEST = 120;

    public Access {
        panels = panels.strip();
        tools = tools.strip();
        neighbors = neighbors.strip();
        if (panels.length() > LONGEST || tools.length() > LONGEST || neighbors.length() > LONGEST) {
            throw new IllegalArgumentException("Maximum 120 letters.");
        }
        minutes.ifPresent(m -> {
            if (!(m >= 0 && m <= MOST_MINUTES)) {
                throw new IllegalArgumentException("Access takes 0 to 10,000 minutes.");
            }
        });
        weight.ifPresent(w -> {
            if (!(w >= 0 && w <= MOST_KG)) {
                throw new IllegalArgumentException("A part weighs 0 to 2,200 lb (1,000 kg).");
            }
        });
    }

    public Access withPanels(String other) {
        return new Access(other, tools, neighbors, minutes, weight);
    }

    public Access withTools(String other) {
        return new Access(panels, other, neighbors, minutes, weight);
    }

    public Access withNeighbors(String other) {
        return new Access(panels, tools, other, minutes, weight);
    }

    public Access withMinutes(Optional<Double> other) {
        return new Access(panels, tools, neighbors, other, weight);
    }

    public Access withWeight(Optional<Double> other) {
        return new Access(panels, tools, neighbors, minutes, other);
    }
}
