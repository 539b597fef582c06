package ration.answer.fault;

import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.FaultCases;
import ration.physics.flow.FlowAnswer;

/** Which cases feel a fault: fuel goes through what failed, or something changed. */
final class Felt {

    /** Flows that differ by less, as a share, are the same. */
    private static final double SAME = 1e-7;

    private final FuelSystem system;

    Felt(FuelSystem system) {
        this.system = system;
    }

    /**
     * Whether a case can feel a fault at all. What only stands in the way of a flow changes nothing where none goes:
     * with that link passing less or nothing the same flows still satisfy every equation, and there is but one such
     * answer.
     */
    static boolean feels(Fault f, CaseAnswer sound) {
        return switch (f.kind()) {
            case LINE_PINCHED,
                    FILTER_FOULED,
                    SENDER_CLOGGED,
                    ORIFICE_CLOGGED,
                    VALVE_SHUT,
                    COUPLING_APART,
                    RETURN_BLOCKED ->
                sound.demand().carries(f.item()) || sound.capacity().carries(f.item());
            default -> true;
        };
    }

    /** Whether a case uses what failed: fuel goes through it, or something changed. */
    boolean concerns(Fault f, FaultRow r) {
        if (!r.now().answered() || Math.abs(r.share() - FaultCases.arrives(r.sound())) > SAME) {
            return true;
        }
        FlowAnswer sound = r.sound().demand();
        return switch (f.kind()) {
            case VENT_SHUT, VENT_HOLDS_LIQUID, CAP_LOST ->
                system.item(f.item()).flatMap(i -> i.only(Header.class)).isPresent()
                        ? sound.carries(f.item())
                        : system.tanks().stream()
                                .anyMatch(t -> starved(f, t) && Math.abs(sound.outflow(t)) > FlowAnswer.NO_FLOW);
            case OUTLET_CLOGGED ->
                system.tanks().stream()
                        .filter(t -> t.id().equals(f.item()))
                        .flatMap(t -> t.outlets().stream()
                                .filter(o -> o.name().equals(f.port()))
                                .map(o -> sound.outflow(t, o)))
                        .anyMatch(q -> Math.abs(q) > FlowAnswer.NO_FLOW);
            case SUPPLY_DEAD ->
                system.all(Pump.class)
                        .filter(p -> p.drive() == Pump.Drive.ELECTRIC
                                && (f.port().isEmpty() || p.bus().equals(f.port())))
                        .anyMatch(p -> sound.carries(p.id()));
            default -> sound.carries(f.item());
        };
    }

    /** Whether nothing is taken from what a shut vent starves. */
    boolean spares(Fault f, CaseAnswer c) {
        return system.tanks().stream()
                .filter(t -> starved(f, t))
                .allMatch(t -> Math.abs(c.capacity().outflow(t)) < FlowAnswer.NO_FLOW);
    }

    boolean starved(Fault f, Tank tank) {
        return ration.physics.breathing.VentPath.of(system, tank).through(f.item());
    }
}
