package ration.answer.improve;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import ration.Systems;
import ration.base.task.Task;

/** Searches asked for by several tests, made once: nothing in what they found changes. */
final class Found {

    private record Asked(String demo, Weights by) {}

    private static final Map<Asked, MakeItHold> FOUND = new ConcurrentHashMap<>();

    private Found() {}

    /** What makes a demo hold. */
    static MakeItHold in(String demo, Weights by) {
        return FOUND.computeIfAbsent(
                new Asked(demo, by), a -> MakeItHold.of(Systems.assessed(a.demo()), a.by(), Task.QUIET));
    }
}
