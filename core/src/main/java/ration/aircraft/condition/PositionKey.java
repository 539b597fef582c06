package ration.aircraft.condition;

import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * Which position each selector of a system stands in, as something to be remembered and looked up by: two selectors may
 * well call a position alike.
 *
 * @param positions the position of each selector, by selector id
 */
public record PositionKey(Map<String, String> positions) {

    public PositionKey {
        positions = Map.copyOf(positions);
    }

    /** Stable: selector:LEFT, more of them joined by +; empty where there is no selector. */
    public String text() {
        return new TreeMap<>(positions)
                .entrySet().stream().map(e -> e.getKey() + ":" + e.getValue()).collect(Collectors.joining("+"));
    }
}
