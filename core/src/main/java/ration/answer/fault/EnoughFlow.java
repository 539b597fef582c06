package ration.answer.fault;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.PortRef;
import ration.answer.fault.FaultAnswer.Harm;
import ration.answer.fault.FaultAnswer.Seen;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.verdict.check.Verdict;

/**
 * What is said of a fault while the demand arrives: that it does, what that leaves open, and pressure that is too high.
 */
final class EnoughFlow {

    private final FuelSystem system;
    private final UnitSystem units;
    private final FaultTold told;

    EnoughFlow(FuelSystem system, UnitSystem units, FaultTold told) {
        this.system = system;
        this.units = units;
        this.told = told;
    }

    /** Faults whose harm is not a lack of flow: what the network says of them is not the answer. */
    static final Map<Kind, String> BEYOND = Map.of(
            Kind.WATER,
            "Water reaches the engine once it rises above the bowl outlet. Amount and effect not computed:"
                    + " drain before flight.",
            Kind.INDICATION_FROZEN,
            "No effect on flow. Noticing it depends on clock and dipstick: not computed.",
            Kind.INDICATION_WRONG,
            "No effect on flow. A wrong gauge can run a tank dry or cause a needless return: clock and dipstick"
                    + " are not computed.",
            Kind.NEEDLE_STUCK_OPEN,
            "Flow is excessive: carburetor floods. Engine effect not computed.",
            Kind.REFERENCE_OFF,
            "Mixture goes rich or lean with throttle. Engine effect not computed.",
            Kind.SELECTOR_LEAKS,
            "Fuel transfers to or from a tank that is off. Time to overflow or empty not computed.",
            Kind.SELECTOR_STUCK,
            "Fuel in the other tanks cannot be reached, and OFF cannot be selected. Remaining time depends on"
                    + " when it happens: set it to fail on Flight.",
            Kind.FLAPPER_STUCK,
            "Held open, fuel runs away from the outlet in a slip; held shut, its bay does"
                    + " not drain. Not computed: one fuel level assumed.");

    /** What enough flow does not answer. */
    FaultAnswer enough(Fault f, List<FaultRow> own) {
        FaultRow r = own.stream()
                .filter(x -> !x.unanswered())
                .min(Comparator.comparingDouble(FaultRow::share))
                .orElse(own.get(0));
        double at = own.stream()
                .mapToDouble(x -> x.now().inletPressureAtDemand(system).orElse(Double.NEGATIVE_INFINITY))
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
        boolean shutsBack = f.kind() == Kind.REGULATOR_STUCK_SHUT || f.kind() == Kind.RETURN_BLOCKED;
        String stands =
                shutsBack && at > 0 ? " Inlet pressure " + units.text(at, Dimension.PRESSURE) + " maximum." : "";
        boolean limit = system.inlet().flatMap(i -> i.maximumPressure()).isPresent();
        String open = f.kind() == Kind.FUEL_LEAK
                ? "Flow meets demand, but fuel is leaking: fire risk, not computed. Isolate that line if"
                        + " another feed is available. Land as soon as possible."
                : f.kind() == Kind.CAP_LOST
                        ? "Flow meets demand, but rain enters and suction over the wing draws fuel out. Amount"
                                + " and endurance not computed."
                        : header(f)
                                .map(h -> "Flow meets demand, but no air enters " + h.name()
                                        + ": its endurance is lost, and its pressure is "
                                        + units.text(stands(h, own), Dimension.PRESSURE)
                                        + ". Pressure limit not entered.")
                                .orElse(shutsBack && !limit ? "Maximum inlet pressure not entered." + stands : "");
        if (!open.isEmpty()) {
            return told.in(
                    f, r, Harm.BEYOND, r.share(), Double.NaN, List.of(), Optional.empty(), Verdict.NOT_SHOWN, open);
        }
        return told.harmless(f, r, "Demand is met with no pilot action." + stands);
    }

    /** The header whose air a fault shuts off: its vent, or the line from it. */
    private Optional<Header> header(Fault f) {
        return system.all(Header.class)
                .filter(h -> f.kind() == Kind.VENT_SHUT && h.id().equals(f.item())
                        || f.kind() == Kind.RETURN_BLOCKED
                                && h.vents().stream().anyMatch(v -> system.runAt(new PortRef(h.id(), v))
                                        .filter(x -> x.id().equals(f.item()))
                                        .isPresent()))
                .findFirst();
    }

    /** The highest pressure in a header, Pa. */
    private static double stands(Header h, List<FaultRow> rows) {
        return rows.stream()
                .flatMap(r -> h.ports().stream().map(p -> r.now()
                        .demand()
                        .pressure(new PortRef(h.id(), p))
                        .orElse(Double.NEGATIVE_INFINITY)))
                .mapToDouble(p -> p)
                .max()
                .orElse(0);
    }

    /** What shuts a way back drives the pressure up: over the most the inlet takes. */
    FaultAnswer overPressure(Fault f, FaultRow r) {
        double stands = r.now().inletPressureAtDemand(system).orElse(Double.NaN);
        double most = system.inlet()
                .flatMap(i -> i.maximumPressure())
                .map(m -> m.si())
                .orElse(Double.NaN);
        return told.in(
                f,
                r,
                Harm.PRESSURE,
                r.share(),
                0,
                List.of(new Seen("engine runs rich or floods", 0)),
                Optional.empty(),
                Verdict.FAILS,
                "Inlet pressure " + units.text(stands, Dimension.PRESSURE) + "; maximum "
                        + units.text(most, Dimension.PRESSURE) + "; without the failure "
                        + units.text(r.sound().inletPressureAtDemand(system).orElse(Double.NaN), Dimension.PRESSURE)
                        + ".");
    }
}
