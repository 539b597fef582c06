package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.aircraft.topology.Topology;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/** What has to stand in every way from a tank to the engine: a valve that shuts it, a filter. */
final class PathChecks {

    private final FuelSystem system;
    private final Standard basis;
    private final Topology topology;
    private final List<Finding> findings = new ArrayList<>();

    private PathChecks(FuelSystem system, Standard basis) {
        this.system = system;
        this.basis = basis;
        topology = Topology.of(system);
    }

    static List<Finding> of(FuelSystem system, Standard basis) {
        PathChecks checks = new PathChecks(system, basis);
        if (system.inlet().isPresent()) {
            checks.shuts();
            checks.filtered();
        }
        return checks.findings;
    }

    private void shuts() {
        Optional<Tank> open = past(this::shuts);
        findings.add(new Finding(
                Check.BUILD_SHUTS,
                "",
                "A valve shuts every way to the engine",
                open.map(Tank::id).orElse(""),
                open.isEmpty() ? Verdict.HOLDS : Verdict.FAILS,
                open.isEmpty() ? Finding.MET : Finding.MISSED,
                u -> open.map(t -> "From " + t.name()
                                + " fuel comes to the engine past every shutoff and every selector"
                                + " with OFF: fire, a crash"
                                + " and work on the line ask for one. Some take stopped pumps behind"
                                + " check valves for enough; checks seep.")
                        .orElse("Each has a shutoff, or a selector with OFF."),
                basis.cite(Subject.SHUTOFF),
                open.isEmpty() ? "" : "A shutoff in reach of the pilot, behind the firewall."));
    }

    private boolean shuts(Item item) {
        return item.only(ShutOff.class).isPresent()
                || item.only(Selector.class)
                        .filter(s ->
                                s.positions().stream().anyMatch(p -> p.joins().isEmpty()))
                        .isPresent();
    }

    private void filtered() {
        Optional<Tank> open = past(
                i -> i.only(Strainer.class).isPresent() || i.only(Filter.class).isPresent());
        boolean screens = open.isPresent()
                && system.tanks().stream()
                        .flatMap(t -> t.outlets().stream())
                        .allMatch(o -> o.screen().isPresent() || o.finger().isPresent());
        findings.add(new Finding(
                Check.BUILD_FILTERED,
                "",
                "A filter on every way to the engine",
                open.map(Tank::id).orElse(""),
                open.isEmpty() ? Verdict.HOLDS : screens ? Verdict.NOT_SHOWN : Verdict.FAILS,
                open.isEmpty() ? Finding.MET : Finding.MISSED,
                u -> open.map(t -> "From " + t.name() + " fuel comes to the engine past every strainer and" + " filter"
                                + (screens
                                        ? ": the screens of the outlets alone are in the way. That they are"
                                                + " fine enough: Not shown."
                                        : "."))
                        .orElse("Each has a strainer or a filter."),
                basis.cite(Subject.STRAINER),
                open.isEmpty() ? "" : "A strainer at the lowest point, or a filter, on every way."));
    }

    /**
     * The first tank from which fuel comes to the engine without passing any such item, through headers but no other
     * tank.
     */
    private Optional<Tank> past(Predicate<Item> guard) {
        PortRef engine = new PortRef(system.inlet().orElseThrow().id(), Item.IN);
        Passing past = p -> system.item(p.from().item()).filter(guard).isPresent()
                ? Passing.Way.NONE
                : switch (p.what()) {
                    case TANK, RAIL -> Passing.Way.NONE;
                    case HEADER -> Passing.Way.BOTH;
                    case BORE, SHUT_OFF, POSITION, CHECK, FREE_PUMP, CHECKED_PUMP, TIGHT_PUMP, BYPASS, REDUCER ->
                        Passing.Way.FORWARD;
                };
        return system.tanks().stream()
                .filter(t -> {
                    Set<PortRef> reached = topology.reached(
                            t.outlets().stream()
                                    .map(Outlet::name)
                                    .map(o -> new PortRef(t.id(), o))
                                    .toList(),
                            past);
                    return reached.contains(engine);
                })
                .findFirst();
    }
}
