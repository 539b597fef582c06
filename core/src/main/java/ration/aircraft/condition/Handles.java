package ration.aircraft.condition;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;

/**
 * What the pilot has set.
 *
 * @param positions handle position of each selector, by selector id
 * @param shutValves ids of shut-offs that are closed
 * @param stopped ids of pumps that stand
 */
public record Handles(Map<String, String> positions, Set<String> shutValves, Set<String> stopped) {

    public Handles {
        positions = Map.copyOf(positions);
        shutValves = Set.copyOf(shutValves);
        stopped = Set.copyOf(stopped);
    }

    Handles at(Map<String, String> other) {
        return new Handles(other, shutValves, stopped);
    }

    Handles at(String selector, String position) {
        Map<String, String> changed = new HashMap<>(positions);
        changed.put(selector, position);
        return at(changed);
    }

    Handles withValve(String valve, boolean shut) {
        return new Handles(positions, changed(shutValves, valve, shut), stopped);
    }

    Handles withPump(String pump, boolean running) {
        return withStopped(changed(stopped, pump, !running));
    }

    Handles withStopped(Set<String> pumps) {
        return new Handles(positions, shutValves, pumps);
    }

    private static Set<String> changed(Set<String> ids, String id, boolean in) {
        Set<String> copy = new HashSet<>(ids);
        if (in) {
            copy.add(id);
        } else {
            copy.remove(id);
        }
        return copy;
    }
}
