package ration.record.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.Tank;
import ration.base.quantity.UnitSystem;

/**
 * Whether a record still counts, and if not, why.
 *
 * @param state how it stands
 * @param changes which of its inputs are no longer so; none where the record does not tell
 */
public record Standing(State state, List<Inputs.Change> changes) {

    /** How a record stands. */
    public enum State {
        INTERRUPTED("in progress"),
        COUNTS("counts"),
        STALE("no longer valid"),
        STAND_IN("simulated: never valid"),
        GONE("item no longer in the layout");

        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Angles nearer than this are one, rad: what a level tells. */
    private static final double SAME_ANGLE = Math.toRadians(0.5);

    public Standing {
        changes = List.copyOf(changes);
    }

    public boolean counts() {
        return state == State.COUNTS;
    }

    /** Why it does not count, in a clause; the first cause and how many more. */
    public String words() {
        return state != State.STALE
                ? state.words()
                : changes.isEmpty()
                        ? "tank or outlet changed since"
                        : changes.get(0).words()
                                + (changes.size() > 1 ? ", and " + (changes.size() - 1) + " more" : "");
    }

    /** What a test of this kind and subject rests on as the aircraft is. */
    public static Inputs restsOn(AsBuilt now, String subject, Work work) {
        return restsOn(Known.of(now), subject, work);
    }

    /** The same, many of one aircraft. */
    public static Inputs restsOn(Known now, String subject, Work work) {
        return RestsOn.of(
                now,
                work.kind(),
                subject,
                work.sheet()
                        .map(Work.Sheet::handles)
                        .orElseGet(() -> new Handles(Map.of(), java.util.Set.of(), java.util.Set.of())));
    }

    /** Of a record, as the aircraft is now. */
    public static Standing of(HangarTest test, AsBuilt now) {
        return of(test, Known.of(now));
    }

    /** The same, many of one aircraft. */
    public static Standing of(HangarTest test, Known known) {
        AsBuilt now = known.now();
        if (!test.progress().done()) {
            return new Standing(State.INTERRUPTED, List.of());
        }
        if (!test.subject().isEmpty() && now.system().item(test.subject()).isEmpty()) {
            return new Standing(State.GONE, List.of());
        }
        boolean sheet = !test.work().onTank();
        boolean tank = !sheet && sameTank(test, known) && !stoodElsewhere(test.work(), now);
        List<Inputs.Change> changes = tank ? List.of() : changes(test, known);
        boolean same = sheet ? changes.isEmpty() && !test.by().inputs().lines().isEmpty() : tank;
        if (!same) {
            return new Standing(State.STALE, changes);
        }
        return new Standing(test.by().beside().standIn() ? State.STAND_IN : State.COUNTS, List.of());
    }

    private static boolean sameTank(HangarTest test, Known known) {
        return known.now()
                .tank(test.subject())
                .filter(t -> known.print(t).equals(test.by().fingerprint()))
                .isPresent();
    }

    private static List<Inputs.Change> changes(HangarTest test, Known known) {
        AsBuilt now = known.now();
        if (!test.work().onTank()) {
            return test.by().inputs().changed(restsOn(known, test.subject(), test.work())).stream()
                    .map(c -> named(c, now))
                    .toList();
        }
        Optional<Tank> tank = now.tank(test.subject());
        List<Inputs.Change> all = new ArrayList<>();
        if (tank.isPresent() && !sameTank(test, known)) {
            all.addAll(test.by().inputs().changed(known.inputs(tank.get())));
        }
        stood(test.work())
                .filter(was -> Math.abs(was - now.parked()) > SAME_ANGLE)
                .ifPresent(was -> all.add(new Inputs.Change("parked angle", degrees(was), degrees(now.parked()))));
        return all;
    }

    /** The angle a test was done at where it was that of the parked aircraft: its marks are good for that alone. */
    private static Optional<Double> stood(Work work) {
        return work.as(
                d -> Optional.empty(),
                f -> f.stands() == Work.Stands.PARKED ? Optional.of(f.pitch().si()) : Optional.empty(),
                top -> top.pitch().map(p -> p.si()).filter(p -> Math.abs(p) > SAME_ANGLE),
                s -> Optional.empty());
    }

    private static String degrees(double rad) {
        return UnitSystem.figure(Math.toDegrees(rad), 1) + "\u00b0";
    }

    /** Whether it was done at the angle of the parked aircraft, and that is another now. */
    static boolean stoodElsewhere(Work work, AsBuilt now) {
        return stood(work)
                .filter(was -> Math.abs(was - now.parked()) > SAME_ANGLE)
                .isPresent();
    }

    /** With the part and its figure called as they are called now. */
    private static Inputs.Change named(Inputs.Change c, AsBuilt now) {
        return new Inputs.Change(Named.line(now.system(), c.what()), c.was(), c.now());
    }
}
