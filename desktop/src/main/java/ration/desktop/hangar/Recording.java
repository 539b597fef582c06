package ration.desktop.hangar;

import java.util.function.UnaryOperator;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Work;

/** Changes of a record, each of the record as it stands when it is made. */
final class Recording {

    private Recording() {}

    /** A change of what was read, of a record of this kind of work; others stay as they are. */
    static <W extends Work> UnaryOperator<HangarTest> work(Class<W> kind, UnaryOperator<W> change) {
        return t -> kind.isInstance(t.work()) ? t.with(change.apply(kind.cast(t.work()))) : t;
    }

    static UnaryOperator<HangarTest> finished(boolean done) {
        return t ->
                t.with(new HangarTest.Progress(t.progress().step(), t.progress().seconds(), done));
    }

    /** One after the other. */
    static UnaryOperator<HangarTest> both(UnaryOperator<HangarTest> first, UnaryOperator<HangarTest> then) {
        return t -> then.apply(first.apply(t));
    }
}
