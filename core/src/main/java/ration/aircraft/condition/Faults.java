package ration.aircraft.condition;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.condition.Fault.Kind;

/** What has failed; usually nothing or one thing. */
public record Faults(Set<Fault> all) {

    public static final Faults NONE = new Faults(Set.of());

    public Faults {
        all = Set.copyOf(all);
    }

    public static Faults of(Fault... faults) {
        return faults.length == 0 ? NONE : new Faults(Set.copyOf(List.of(faults)));
    }

    public boolean none() {
        return all.isEmpty();
    }

    /** This way of failing of a part, whichever port of it; empty if it has not failed so. */
    public Optional<Fault> of(Kind kind, String item) {
        return none()
                ? Optional.empty()
                : all.stream()
                        .filter(f -> f.kind() == kind && f.item().equals(item))
                        .findFirst();
    }

    /** This way of failing at one port of a part, or of all of it. */
    public Optional<Fault> of(Kind kind, String item, String port) {
        return of(kind, item).filter(f -> f.port().isEmpty() || f.port().equals(port));
    }

    public boolean has(Kind kind, String item) {
        return of(kind, item).isPresent();
    }

    /** The same, what is shut passing next to nothing: for who asks what goes on behind it. */
    public Faults ajar() {
        return new Faults(Set.copyOf(all.stream()
                .map(f -> Double.isInfinite(f.severity()) ? new Fault(f.kind(), f.item(), f.port(), AJAR) : f)
                .toList()));
    }

    private static final double AJAR = 1e5;

    /** Whether an electric bus has no supply: its own is gone, or all are. */
    public boolean supplyDead(String bus) {
        return !none()
                && all.stream()
                        .anyMatch(f -> f.kind() == Kind.SUPPLY_DEAD
                                && (f.port().isEmpty() || f.port().equals(bus)));
    }

    /** Whether anything has failed in this way. */
    public boolean any(Kind kind) {
        return !none() && all.stream().anyMatch(f -> f.kind() == kind);
    }
}
