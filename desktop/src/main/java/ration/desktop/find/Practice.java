package ration.desktop.find;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import ration.answer.find.Rig;
import ration.desktop.session.LongWork;
import ration.record.reading.Reading;

/**
 * A search in an aircraft that the program plays: what was asked of it so far. Nothing of it goes into the document.
 */
final class Practice {

    private final Rig rig;
    private final Runnable changed;
    private final Consumer<String> failed;
    private final List<Reading> taken = new ArrayList<>();
    private final LongWork work;

    /**
     * @param work done beside the window
     * @param changed told after each reading
     * @param failed told why there is none
     */
    Practice(Rig rig, LongWork work, Runnable changed, Consumer<String> failed) {
        this.rig = rig;
        this.work = work;
        this.changed = changed;
        this.failed = failed;
    }

    Rig rig() {
        return rig;
    }

    List<Reading> taken() {
        return List.copyOf(taken);
    }

    /** The rig answers beside the window: what it has not been asked yet has to be solved. */
    void ask(Reading asked) {
        work.start(
                task -> rig.read(asked),
                read -> {
                    taken.add(read);
                    changed.run();
                },
                failed);
    }
}
