package ration.answer.drawdown;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.verdict.check.Verdict;

/**
 * A plan as it was flown.
 *
 * @param plan flown
 * @param samples each whole minute, and each event, in order of time; from the start to the last fuel
 * @param events in order of time
 * @param landing what there is when it lands
 * @param balance left and right
 * @param reached fuel that reached the engine before it stopped, and what the placards promise, m3
 * @param floors what lies under the lowest outlet in the attitude of each phase, m3 by tank id
 * @param said whether somebody said what the engine takes
 * @param trouble why it could not be flown to its end; empty if it could
 */
public record Flight(
        FlightPlan plan,
        List<Sample> samples,
        List<FlightEvent> events,
        Landing landing,
        Balance balance,
        Reached reached,
        List<Map<String, Double>> floors,
        boolean said,
        String trouble) {

    public Flight {
        floors = List.copyOf(floors);
        samples = List.copyOf(samples);
        events = List.copyOf(events);
    }

    /**
     * A moment.
     *
     * @param minutes after the start
     * @param phase its number; the last one's after the end of the plan
     * @param condition what is set, contents, altitude: shown on every page as it is
     * @param burnt since the start, m3
     * @param headers in all headers, m3
     * @param moments of the fuel
     */
    public record Sample(
            double minutes, int phase, Condition condition, double burnt, double headers, Moments moments) {

        public Map<String, String> positions() {
            return condition.positions();
        }

        public Set<String> stopped() {
            return condition.stopped();
        }

        public double tank(String id) {
            return condition.contents().getOrDefault(id, 0.0);
        }
    }

    /**
     * Weight of the fuel in the tanks times where it is.
     *
     * @param massKg of the fuel
     * @param stationM of its middle; not a number without fuel
     * @param lateralKgM right positive
     * @param leftLessRight m3
     */
    public record Moments(double massKg, double stationM, double lateralKgM, double leftLessRight) {}

    /**
     * When it lands.
     *
     * @param minutes after the start, as planned
     * @param usable above the placards' unusable fuel then, or when the engine stopped before, m3
     * @param needs for the reserve, m3
     * @param reserve minutes the usable fuel lasts at the reserve's power
     * @param waiting over the placards in tanks from which nothing is pumped any more, m3: no reserve, and not usable
     */
    public record Landing(double minutes, double usable, double needs, double reserve, double waiting) {

        Verdict verdict() {
            return needs <= 0
                    ? usable > 0 ? Verdict.HOLDS : Verdict.FAILS
                    : usable <= 0 ? Verdict.FAILS : Verdict.atLeast(usable, needs);
        }
    }

    /**
     * Left and right.
     *
     * @param sides whether there are any
     * @param most they differ before landing, m3
     * @param at minutes
     * @param limit m3
     */
    public record Balance(boolean sides, double most, double at, double limit) {

        Verdict verdict() {
            return !sides
                    ? Verdict.HOLDS
                    : most > limit
                            ? Verdict.FAILS
                            : most > limit / (1 + Verdict.THIN_SHARE) ? Verdict.THIN : Verdict.HOLDS;
        }
    }

    /**
     * What the tanks gave.
     *
     * @param burnt m3
     * @param placards capacity at the start less the placards' unusable fuel, m3
     * @param spilt overboard, by overflow or leak, m3
     * @param endurance minutes
     */
    public record Reached(double burnt, double placards, double spilt, double endurance) {

        Verdict verdict() {
            return burnt < placards - 1e-6 ? Verdict.FAILS : Verdict.HOLDS;
        }
    }

    /** The first thing that goes wrong before it lands; a header that falls and fills again is told, not counted. */
    public Optional<FlightEvent> firstTrouble() {
        return events.stream()
                .filter(e -> e.kind() == FlightEvent.Kind.STARVES && e.minutes() < landing.minutes() - 1e-6)
                .findFirst();
    }

    /** The same flight, told as that of another plan. */
    Flight as(FlightPlan other) {
        return new Flight(other, samples, events, landing, balance, reached, floors, said, trouble);
    }

    /** Whether it gets to where it lands. */
    public boolean lands() {
        return trouble.isEmpty() && reached.endurance() >= landing.minutes() - 1e-6;
    }

    /** Where, before it lands, a tank first gives what its placard keeps back. */
    public Optional<FlightEvent> belowPlacard() {
        return events.stream()
                .filter(e -> e.kind() == FlightEvent.Kind.BELOW_PLACARD && e.minutes() < landing.minutes() - 1e-6)
                .findFirst();
    }

    public Verdict landingVerdict() {
        // what ends before it lands is short, whatever is left in the tanks
        if (reached.endurance() < landing.minutes() - 1e-6 && trouble.isEmpty()) {
            return Verdict.FAILS;
        }
        return !trouble.isEmpty()
                ? Verdict.NOT_SHOWN
                : firstTrouble().isPresent() || belowPlacard().isPresent()
                        ? Verdict.FAILS
                        : landing.verdict().shownIf(said);
    }

    /** Of left and right: how far apart they come goes by what the engine takes. */
    public Verdict balanceVerdict() {
        return balance.sides() ? balance.verdict().shownIf(said) : balance.verdict();
    }

    /** Whether the tanks gave what their placards promise. */
    public Verdict reachedVerdict() {
        return reached.verdict().shownIf(said);
    }

    /** Of the whole: landing and balance. What the placards promise is Tanks' answer. */
    public Verdict verdict() {
        return !trouble.isEmpty() ? Verdict.NOT_SHOWN : landingVerdict().worse(balanceVerdict());
    }

    /** The switches, the first setting among them. */
    public List<FlightEvent> switches() {
        return events.stream().filter(e -> e.kind() == FlightEvent.Kind.SWITCH).toList();
    }

    /** The sample nearest before a time. */
    public Sample at(double minutes) {
        Sample found = samples.get(0);
        for (Sample s : samples) {
            if (s.minutes() > minutes + 1e-9) {
                break;
            }
            found = s;
        }
        return found;
    }

    /** Ids of the tanks that give fuel just after a sample. */
    public Set<String> giving(Sample s) {
        int i = samples.indexOf(s);
        if (i < 0 || i + 1 >= samples.size()) {
            return Set.of();
        }
        Sample next = samples.get(i + 1);
        double all = Math.max(1e-12, next.burnt() - s.burnt());
        return Set.copyOf(s.condition().contents().keySet().stream()
                .filter(t -> s.tank(t) - next.tank(t) > 0.01 * all)
                .toList());
    }

    public Phase phase(Sample s) {
        return plan.phases().get(s.phase());
    }
}
