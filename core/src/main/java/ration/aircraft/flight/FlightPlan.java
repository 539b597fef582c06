package ration.aircraft.flight;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * A flight as it is meant.
 *
 * @param phases in order; the last may be the reserve, which begins where the flight lands
 * @param switching the rule for the handles
 * @param start what is in the tanks, a volume by tank id; a tank not named is full
 * @param limit most that left and right may differ, a volume
 * @param transfers fuel pumped from tank to tank on the way
 */
public record FlightPlan(
        List<Phase> phases,
        Switching switching,
        Map<String, Measured> start,
        Measured limit,
        List<Transfer> transfers) {

    public FlightPlan {
        transfers = List.copyOf(transfers);
        phases = List.copyOf(phases);
        start = Map.copyOf(start);
        if (!(limit.si() > 0)) {
            throw new IllegalArgumentException("Imbalance limit must be above 0.");
        }
    }

    /** Without transfers: a pump from tank to tank runs all the time. */
    public FlightPlan(List<Phase> phases, Switching switching, Map<String, Measured> start, Measured limit) {
        this(phases, switching, start, limit, List.of());
    }

    /** A switch every half hour, a portion of 5 gal, a difference of 10 gal: common practice, no source. */
    public static FlightPlan of(List<Phase> phases) {
        return new FlightPlan(
                phases,
                new Switching(
                        Switching.Mode.BALANCE,
                        Measured.of(30, Unit.MINUTE, "estimate"),
                        Measured.of(5, Unit.GALLON, "estimate"),
                        List.of()),
                Map.of(),
                Measured.of(10, Unit.GALLON, "estimate"));
    }

    /** Minutes from the start to the landing. */
    public double landing() {
        return phases.stream()
                .filter(p -> p.kind() != Phase.Kind.RESERVE)
                .mapToDouble(Phase::lasts)
                .sum();
    }

    /** Minutes of the reserve. */
    public double reserve() {
        return phases.stream()
                .filter(p -> p.kind() == Phase.Kind.RESERVE)
                .mapToDouble(Phase::lasts)
                .sum();
    }

    /** Share of take-off consumption held while on the reserve; the last phase's without one. */
    public double reserveShare() {
        return phases.stream()
                .filter(p -> p.kind() == Phase.Kind.RESERVE)
                .findFirst()
                .or(() -> phases.isEmpty()
                        ? java.util.Optional.empty()
                        : java.util.Optional.of(phases.get(phases.size() - 1)))
                .map(p -> p.share().si())
                .orElse(0.0);
    }

    public FlightPlan withPhases(List<Phase> other) {
        return new FlightPlan(other, switching, start, limit, transfers);
    }

    public FlightPlan withPhase(int n, Phase other) {
        List<Phase> all = new ArrayList<>(phases);
        all.set(n, other);
        return withPhases(all);
    }

    public FlightPlan with(Switching other) {
        return new FlightPlan(phases, other, start, limit, transfers);
    }

    public FlightPlan with(Switching.Mode mode) {
        return with(switching.with(mode));
    }

    public FlightPlan withLimit(Measured other) {
        return new FlightPlan(phases, switching, start, other, transfers);
    }

    public FlightPlan withStart(Map<String, Measured> other) {
        return new FlightPlan(phases, switching, other, limit, transfers);
    }

    public FlightPlan withTransfers(List<Transfer> other) {
        return new FlightPlan(phases, switching, start, limit, other);
    }
}
