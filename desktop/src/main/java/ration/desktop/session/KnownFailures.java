package ration.desktop.session;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.HiddenSearch;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;

/**
 * What came of the failures of the layouts looked at last: an edit that is taken back, or a document opened again, asks
 * nothing twice. Only whole answers are kept, and they are given back only to the same questions in the same units, of
 * whatever document. Used on the interface thread.
 */
public final class KnownFailures {

    /** Layouts kept: a few steps back, or the variants of an aircraft. */
    static final int KEPT = 6;

    /**
     * What every part does failing once.
     *
     * @param already what the layout fails with nothing failed; empty where it holds
     */
    public record Singles(List<FaultAnswer> answers, Optional<String> already) {

        public Singles {
            answers = List.copyOf(answers);
        }
    }

    private record Kept<T>(Project project, UnitSystem units, T found) {

        boolean answers(Project asked, UnitSystem in) {
            return units == in && FaultSearch.sameQuestions(project, asked);
        }
    }

    private final Deque<Kept<Singles>> singles = new ArrayDeque<>();
    private final Deque<Kept<HiddenSearch>> hidden = new ArrayDeque<>();

    public Optional<Singles> singles(Project project, UnitSystem units) {
        return of(singles, project, units);
    }

    public Optional<HiddenSearch> hidden(Project project, UnitSystem units) {
        return of(hidden, project, units);
    }

    public void keep(Project project, UnitSystem units, Singles found) {
        keep(singles, new Kept<>(project, units, found));
    }

    /** A search that was stopped is not kept: asked again, it goes on. */
    public void keep(Project project, UnitSystem units, HiddenSearch found) {
        if (found.finished()) {
            keep(hidden, new Kept<>(project, units, found));
        }
    }

    private static <T> Optional<T> of(Deque<Kept<T>> kept, Project project, UnitSystem units) {
        Optional<Kept<T>> known =
                kept.stream().filter(k -> k.answers(project, units)).findFirst();
        known.ifPresent(k -> {
            kept.remove(k);
            kept.addFirst(k);
        });
        return known.map(Kept::found);
    }

    private static <T> void keep(Deque<Kept<T>> kept, Kept<T> newest) {
        kept.removeIf(k -> k.answers(newest.project(), newest.units()));
        kept.addFirst(newest);
        if (kept.size() > KEPT) {
            kept.removeLast();
        }
    }
}
