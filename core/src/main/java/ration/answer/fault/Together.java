package ration.answer.fault;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import ration.aircraft.condition.Condition;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Filling;
import ration.answer.drawdown.Lasting;

/**
 * What the searches of one pair of failures have in common: whichever of the two waits, the same networks are solved
 * with both in them. Kept by one thread; nothing is kept where one failure is asked alone.
 */
final class Together {

    private record Place(Condition condition, Filling filling) {}

    private record Course(Condition condition, double need) {}

    private final boolean keeps;
    private final Map<Place, CaseAnswer> answers = new HashMap<>();
    private final Map<Course, Lasting> courses = new HashMap<>();
    private final Map<Set<WaysOut.Place>, List<WaysOut.Way>> ways = new HashMap<>();

    private Together(boolean keeps) {
        this.keeps = keeps;
    }

    /** Of one pair. */
    static Together pair() {
        return new Together(true);
    }

    /** Of a failure asked alone: nobody asks the same again. */
    static Together alone() {
        return new Together(false);
    }

    CaseAnswer answer(Condition condition, Filling filling, Supplier<CaseAnswer> solve) {
        return keeps ? answers.computeIfAbsent(new Place(condition, filling), p -> solve.get()) : solve.get();
    }

    Lasting course(Condition condition, double need, Supplier<Lasting> run) {
        return keeps ? courses.computeIfAbsent(new Course(condition, need), c -> run.get()) : run.get();
    }

    /** @param where they must hold */
    List<WaysOut.Way> ways(Set<WaysOut.Place> where, Supplier<List<WaysOut.Way>> search) {
        return keeps ? ways.computeIfAbsent(where, w -> search.get()) : search.get();
    }
}
