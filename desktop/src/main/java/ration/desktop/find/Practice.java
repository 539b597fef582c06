package ration.desktop.find;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import ration.desktop.session.LongWork;
import ration.find.Rig;
import ration.quantity.Unit;
import ration.reading.Reading;

/** A search in an aircraft that the program plays: what was asked of it so far. Nothing of it goes into the document. */
final class Practice {

    private final Rig rig;
    private final Runnable changed;
    private final Consumer<String> failed;
    private final List<Reading> taken = new ArrayList<>();
    private final LongWork work = new LongWork("rig");

    /**
     * @param changed told after each reading
     * @param failed  told why there is none
     */
    Practice(Rig rig, Runnable changed, Consumer<String> failed) {
        this.rig = rig;
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
        work.start(task -> rig.read(asked), read -> {
            taken.add(read);
            changed.run();
        }, failed);
    }

    /** What a usual instrument may be off by, SI; minutes for a time. */
    static double error(Reading.What what) {
        return switch (what) {
            case PRESSURE -> Unit.PSI.toSi(0.3);
            case FLOW -> Unit.GALLON_PER_HOUR.toSi(0.5);
            case FALLS -> Unit.GALLON_PER_HOUR.toSi(0.6);
            case MINUTES -> 1;
            case TEMPERATURE -> 1.5;
            case VOLTS, AMPS -> 0.3;
            case FLUTTERS, SILENT, STILL, WILL_NOT_FILL, OVERBOARD, DRIPS, WATER -> 0.1;
        };
    }
}
