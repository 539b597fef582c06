package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/**
 * What has to stand in every way between tanks and engine: a valve the pilot reaches outside the engine bay, a filter;
 * and what keeps fuel from running back through the return.
 */
final class PathChecks {

    /** A bar of what has no ratio and is only Thin. */
    private static final double SLIGHT = 1.05;

    private final FuelSystem system;
    private final Standard basis;
    private final Ways ways;
    private final List<Finding> findings = new ArrayList<>();

    private PathChecks(FuelSystem system, Standard basis) {
        this.system = system;
        this.basis = basis;
        ways = new Ways(system);
    }

    static List<Finding> of(FuelSystem system, Standard basis) {
        PathChecks checks = new PathChecks(system, basis);
        if (system.inlet().isPresent()) {
            checks.shuts();
            checks.filtered();
            checks.returns(system.inlet().get());
        }
        return checks.findings;
    }

    private Optional<Tank> past(Predicate<Item> guard) {
        return ways.past(new PortRef(system.inlet().orElseThrow().id(), Item.IN), port -> false, guard);
    }

    private void shuts() {
        Optional<Tank> open = past(PathChecks::shuts);
        Optional<Tank> far = past(i -> shuts(i) && reach(i) == Reach.PILOT && !forward(i));
        Optional<Tank> surely = past(i -> shuts(i) && reach(i) != Reach.GROUND && !forward(i));
        // one school: a stopped pump that holds by itself is enough
        boolean pumps = open.isPresent()
                && basis == Standard.PRACTICE
                && past(i -> shuts(i)
                                || i.only(Pump.class)
                                        .filter(p ->
                                                p.build().checked() || p.off().isEmpty())
                                        .isPresent())
                        .isEmpty();
        Verdict verdict = open.isPresent()
                ? pumps ? Verdict.THIN : Verdict.FAILS
                : surely.isPresent() ? Verdict.FAILS : far.isPresent() ? Verdict.NOT_SHOWN : Verdict.HOLDS;
        Optional<Tank> which = open.or(() -> surely).or(() -> far);
        findings.add(new Finding(
                Check.BUILD_SHUTS,
                "",
                "A valve shuts every way to the engine",
                which.map(Tank::id).orElse(""),
                verdict,
                verdict == Verdict.HOLDS ? Finding.MET : verdict == Verdict.THIN ? SLIGHT : Finding.MISSED,
                u -> open.isPresent()
                        ? "From " + open.get().name()
                                + " fuel comes to the engine past every shutoff and every selector with OFF: fire, a"
                                + " crash and work on the line ask for one. Some take stopped pumps behind check valves"
                                + " for enough; checks seep."
                        : surely.isPresent()
                                ? "From " + surely.get().name() + " the only valves are out of the pilot's reach or in"
                                        + " the engine bay: " + named(i -> reach(i) == Reach.GROUND || forward(i)) + "."
                                : far.isPresent()
                                        ? "Whether the pilot reaches it is not entered: "
                                                + named(i -> reach(i) == Reach.UNSAID) + "."
                                        : "Each has a shutoff, or a selector with OFF, that the pilot reaches.",
                basis.cite(Subject.SHUTOFF),
                verdict == Verdict.HOLDS
                        ? ""
                        : verdict == Verdict.NOT_SHOWN
                                ? "Say on its card whether the pilot reaches it."
                                : "A shutoff in reach of the pilot, behind the firewall."));
    }

    private String named(Predicate<Item> which) {
        return String.join(
                ", ",
                system.items().stream()
                        .filter(i -> shuts(i) && which.test(i))
                        .map(Item::name)
                        .toList());
    }

    private static boolean shuts(Item item) {
        return item.only(ShutOff.class).isPresent()
                || item.only(Selector.class)
                        .filter(s -> s.positions().stream().anyMatch(Selector.Position::off))
                        .isPresent();
    }

    private static Reach reach(Item item) {
        return item.only(ShutOff.class)
                .map(ShutOff::reach)
                .or(() -> item.only(Selector.class).map(Selector::reach))
                .orElse(Reach.UNSAID);
    }

    /** Whether it stands in the engine bay. */
    private boolean forward(Item item) {
        return system.firewall().isPresent()
                && item.only(Fitted.class)
                        .filter(f -> {
                            double wall = system.firewall().get().station().si();
                            double engine =
                                    system.inlet().orElseThrow().place().point().x() - wall;
                            return (f.place().point().x() - wall) * Math.signum(engine) > 0;
                        })
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
     * Fuel that runs back out of a vessel through a return or a bleed where the line is broken or the valve is shut:
     * one that ends under the fuel with neither valve nor check in it. A regulator, and a pump that blocks when it
     * stands, hold; an orifice passes little.
     */
    private void returns(EngineInlet inlet) {
        Set<String> wide = new TreeSet<>();
        Set<String> little = new TreeSet<>();
        List<PortRef> engine = List.of(new PortRef(inlet.id(), Item.IN), new PortRef(inlet.id(), EngineInlet.RETURN));
        int ends = 0;
        for (Tank t : system.tanks()) {
            double top = top(t);
            for (Tank.Entry e : t.returns()) {
                PortRef end = new PortRef(t.id(), e.name());
                if (system.runAt(end).isPresent()) {
                    ends++;
                    if (e.place().point().z() < top) {
                        back(end, t.name(), engine, wide, little);
                    }
                }
            }
        }
        for (PortRef end : ways.back()) {
            ends++;
            back(end, system.item(end.item()).map(Item::name).orElse(""), engine, wide, little);
        }
        if (ends == 0) {
            return;
        }
        boolean holds = wide.isEmpty() && little.isEmpty();
        boolean slight = wide.isEmpty() || basis == Standard.PRACTICE;
        Set<String> all = new TreeSet<>(wide);
        all.addAll(little);
        findings.add(new Finding(
                Check.BUILD_RETURN_SHUTS,
                "",
                "No fuel runs back through a return",
                inlet.id(),
                holds ? Verdict.HOLDS : slight ? Verdict.THIN : Verdict.FAILS,
                holds ? Finding.MET : slight ? SLIGHT : Finding.MISSED,
                u -> holds
                        ? "Each return is shut by a valve or a check, or ends above the fuel."
                        : "A return or bleed ends under the fuel of " + String.join(", ", all)
                                + " with neither valve nor check in it: with the valves shut fuel still comes to the"
                                + " engine through it" + (wide.isEmpty() ? ", as much as its orifice passes." : "."),
                basis.cite(Subject.SHUTOFF),
                holds ? "" : "A check valve in it, a selector that shuts it too, or its end above full fuel."));
    }

    private void back(PortRef end, String vessel, List<PortRef> engine, Set<String> wide, Set<String> little) {
        if (engine.stream().anyMatch(backward(end, true)::contains)) {
            (engine.stream().anyMatch(backward(end, false)::contains) ? wide : little).add(vessel);
        }
    }

    private Set<PortRef> backward(PortRef end, boolean orifices) {
        return ways.topology().reached(List.of(end), p -> switch (p.what()) {
            case TANK, RAIL, HEADER, SHUT_OFF, TIGHT_PUMP -> Passing.Way.NONE;
            case POSITION ->
                system.item(p.from().item()).filter(PathChecks::shuts).isPresent()
                        ? Passing.Way.NONE
                        : Passing.Way.BOTH;
            case CHECK, CHECKED_PUMP, BYPASS -> Passing.Way.FORWARD;
            case REDUCER -> Passing.Way.BACKWARD;
            case BORE ->
                !orifices
                                && system.item(p.from().item())
                                        .flatMap(i -> i.only(Orifice.class))
                                        .isPresent()
                        ? Passing.Way.NONE
                        : Passing.Way.BOTH;
            case FREE_PUMP -> Passing.Way.BOTH;
        });
    }

    /** How high fuel can stand in a tank, level: its filler, or its top. */
    private static double top(Tank tank) {
        return tank.fitout()
                .filler()
                .map(f -> Math.min(tank.mayStandTo(), f.point().z()))
                .orElse(tank.mayStandTo());
    }
}
