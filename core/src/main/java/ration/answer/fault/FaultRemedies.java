package ration.answer.fault;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.physics.breathing.VentPath;
import ration.record.project.Edit;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * What would take the harm from a fault, each solved: a second way for the air, a sender that shows it in time, a
 * header that lasts longer. What needs a part to be laid out anew, a second pump or another tank's line, is for the
 * builder.
 */
public final class FaultRemedies {

    private final Assessment assessment;
    private final FuelSystem system;
    private final UnitSystem units;

    private FaultRemedies(Assessment assessment, UnitSystem units) {
        this.assessment = assessment;
        system = assessment.project().system();
        this.units = units;
    }

    /**
     * Those that better the verdict on a fault or give at least a minute more, the best first; among equals the one
     * that cures more faults.
     *
     * @param task told the share that is done; once it is stopped, nothing is given back
     */
    public static List<FaultRemedy> of(Assessment a, FaultAnswer fault, UnitSystem units, Task task) {
        FaultRemedies all = new FaultRemedies(a, units);
        List<Change> changes = all.changes(fault.fault());
        List<FaultRemedy> good = new ArrayList<>();
        for (int i = 0; i < changes.size() && !task.cancelled().getAsBoolean(); i++) {
            all.tried(changes.get(i), fault).ifPresent(good::add);
            task.progress().accept((i + 1.0) / changes.size());
        }
        good.sort(Comparator.comparing((FaultRemedy r) -> r.after().verdict())
                .thenComparingInt(FaultRemedy::shorts)
                .thenComparing(
                        Comparator.comparingDouble((FaultRemedy r) -> r.after().minutes())
                                .reversed()));
        return task.cancelled().getAsBoolean() ? List.of() : good;
    }

    private record Change(String title, String detail, Edit edit) {}

    private Optional<FaultRemedy> tried(Change change, FaultAnswer before) {
        Project changed = change.edit().change().apply(assessment.project());
        if (changed.equals(assessment.project())) {
            return Optional.empty();
        }
        Assessment then = Assessment.ahead(changed, Optional.of(assessment));
        List<Fault> ways = Catalogue.of(changed.system());
        // a supply parted into buses is judged by the worse of them
        boolean supply = before.fault().kind() == Fault.Kind.SUPPLY_DEAD;
        List<Fault> meant = ways.stream()
                .filter(f -> supply ? f.kind() == Fault.Kind.SUPPLY_DEAD : f.equals(before.fault()))
                .toList();
        Optional<FaultAnswer> after = FaultSearch.of(then, meant, units, share -> {}, () -> false).stream()
                .max(Comparator.comparing(FaultAnswer::verdict));
        boolean better = after.isPresent()
                && (after.get().verdict().compareTo(before.verdict()) < 0
                        || after.get().minutes() > before.minutes() + 1);
        // all others are asked only of what betters this one
        int shorts = better
                ? (int) FaultSearch.of(then, ways, units, share -> {}, () -> false).stream()
                        .filter(f -> f.verdict() == Verdict.FAILS)
                        .count()
                : 0;
        return better
                ? Optional.of(new FaultRemedy(change.title(), change.detail(), change.edit(), after.get(), shorts))
                : Optional.empty();
    }

    private List<Change> changes(Fault f) {
        List<Change> all = new ArrayList<>();
        if (f.kind() == Fault.Kind.VENT_SHUT || f.kind() == Fault.Kind.VENT_HOLDS_LIQUID) {
            system.tanks().stream()
                    .filter(t -> VentPath.of(system, t).through(f.item())
                            && !t.fitout().secondAir())
                    .forEach(t -> all.add(new Change(
                            "Vented cap on " + t.name(),
                            "second air source, placed so ice or insects cannot block both",
                            Edit.onItem(
                                    "Vent the cap of " + t.name(),
                                    t.id(),
                                    Tank.class,
                                    x -> x.with(x.fitout().with(Fitout.Piece.SECOND_AIR, true))))));
        }
        system.item(f.item()).ifPresent(item -> all.addAll(atPart(f, item)));
        system.all(Header.class)
                .forEach(h -> all.add(new Change(
                        "Header twice as large, " + h.name(),
                        units.fineVolume(2 * h.capacity().si()) + ", same height",
                        Edit.onItem("Enlarge " + h.name(), h.id(), Header.class, FaultRemedies::doubled))));
        if (system.all(FlowSender.class).findAny().isEmpty()) {
            beforeTheEngine()
                    .ifPresent(r -> all.add(new Change(
                            "Flow sender in " + r.name(),
                            "indicates in time; adds its pressure drop",
                            Edit.of("Fit a flow sender", p -> fitted(p, r.id(), NewItem.FLOW_SENDER)))));
        }
        if (system.all(GaugePort.class).noneMatch(g -> g.shows() == GaugePort.Shows.PRESSURE)) {
            beforeTheEngine()
                    .ifPresent(r -> all.add(new Change(
                            "Pressure sender in " + r.name(),
                            "gauge drops in time; no pressure drop",
                            Edit.of("Fit a pressure sender", p -> fitted(p, r.id(), NewItem.PRESSURE_SENDER)))));
        }
        system.all(Header.class)
                .filter(h -> h.build().lowLight().isEmpty())
                .forEach(h -> all.add(new Change(
                        "Low light in " + h.name(),
                        "at 2/3 height: warns in time; no pressure drop",
                        Edit.onItem(
                                "Fit a low light in " + h.name(),
                                h.id(),
                                Header.class,
                                x -> x.withLowLight(Optional.of(x.height()
                                        .with(new Quantity(
                                                x.height().quantity().value() * 2 / 3,
                                                x.height().quantity().unit()))))))));
        return all;
    }

    /** What is changed at the part itself; a new kind of fault has to say. */
    private List<Change> atPart(Fault f, Item item) {
        return switch (f.kind()) {
            case SUPPLY_DEAD -> buses();
            case PUMP_DEAD, PUMP_WEAK, RELIEF_STUCK_OPEN ->
                item.only(Pump.class).flatMap(this::second).stream().toList();
            case REGULATOR_STUCK_SHUT, RETURN_BLOCKED -> reliefs();
            case LINE_PINCHED ->
                item
                        .only(Run.class)
                        .map(r -> Stream.iterate(r.size().nextUp(), Optional::isPresent, up -> up.get()
                                        .nextUp())
                                .map(Optional::get)
                                .limit(2)
                                .toList())
                        .orElse(List.of())
                        .stream()
                        .map(up -> new Change(
                                "Next size, " + item.name() + ": " + up.shortName(),
                                "its ends and what they meet",
                                Edit.onItem("Enlarge " + item.name(), item.id(), Run.class, x -> x.resized(up))))
                        .toList();
            case FILTER_FOULED ->
                Stream.concat(
                                item
                                        .only(Strainer.class)
                                        .flatMap(Strainer::fouled)
                                        .map(r -> new Change(
                                                "Larger strainer, " + item.name(),
                                                "half the dirty-filter loss",
                                                Edit.onItem(
                                                        "Enlarge " + item.name(),
                                                        item.id(),
                                                        Strainer.class,
                                                        x -> x.withFouled(r.times(0.5)))))
                                        .stream(),
                                item
                                        .only(Filter.class)
                                        .flatMap(Filter::fouled)
                                        .map(r -> new Change(
                                                "Larger filter, " + item.name(),
                                                "half the dirty-filter loss",
                                                Edit.onItem(
                                                        "Enlarge " + item.name(),
                                                        item.id(),
                                                        Filter.class,
                                                        x -> x.withFouled(r.times(0.5)))))
                                        .stream())
                        .toList();
            case FUEL_VOLATILE ->
                List.of(new Change(
                        "Sleeve on every line",
                        "insulates lines forward of the firewall",
                        Edit.of("Sleeve the lines", FaultRemedies::sleeved)));
            case VENT_SHUT,
                    VENT_HOLDS_LIQUID,
                    CAP_LOST,
                    OUTLET_CLOGGED,
                    SELECTOR_BETWEEN,
                    SELECTOR_LEAKS,
                    CHECK_STUCK_OPEN,
                    CHECK_STUCK_SHUT,
                    REGULATOR_STUCK_OPEN,
                    REFERENCE_OFF,
                    NEEDLE_STUCK_OPEN,
                    NEEDLE_STUCK_SHUT,
                    AIR_LEAK,
                    FUEL_LEAK,
                    WATER,
                    SENDER_CLOGGED,
                    INDICATION_FROZEN,
                    INDICATION_WRONG,
                    ORIFICE_CLOGGED,
                    NOZZLE_CLOGGED,
                    SELECTOR_STUCK,
                    VALVE_SHUT,
                    COUPLING_APART,
                    FLAPPER_STUCK -> List.of();
        };
    }

    /** Every electric pump but the first on a bus of its own. */
    private List<Change> buses() {
        return system.all(Pump.class)
                .filter(p -> p.drive() == Pump.Drive.ELECTRIC)
                .skip(1)
                .map(p -> new Change(
                        p.name() + " on a second bus",
                        "its own switch, breaker and ground, from another source",
                        Edit.onItem(
                                "Move " + p.name() + " on a second bus",
                                p.id(),
                                Pump.class,
                                x -> x.withBuild(x.build().withBus(p.bus().equals("second") ? "third" : "second")))))
                .toList();
    }

    /** Another pump behind it, that it can be drawn through. */
    private Optional<Change> second(Pump p) {
        return Topology.of(system).leaving(p.id()).stream()
                .findFirst()
                .map(r -> new Change(
                        "Second pump after " + p.name(),
                        "same type, on its own bus",
                        Edit.of("Fit a second pump after " + p.name(), project -> another(project, p, r.id()))));
    }

    private static Project another(Project project, Pump like, String run) {
        FuelSystem s = project.system();
        return LayoutEdits.addingAt(s, run)
                .flatMap(spot -> LayoutEdits.add(s, run, spot, NewItem.ELECTRIC_PUMP))
                .map(o -> project.with(o.system().change(o.picked(), Pump.class, x -> x.withCurve(like.curve())
                        .withBuild(x.build().withBus(like.bus().equals("second") ? "third" : "second")))))
                .orElse(project);
    }

    /** Pumps that bypass within themselves at what the inlet still takes. */
    private List<Change> reliefs() {
        Optional<Measured> most = system.inlet().flatMap(EngineInlet::maximumPressure);
        return most.stream()
                .flatMap(m -> system.all(Pump.class)
                        .filter(p -> p.build().relief().isEmpty())
                        .map(p -> new Change(
                                "Relief in " + p.name(),
                                "opens at " + units.text(RELIEVED * m.si(), ration.base.quantity.Dimension.PRESSURE)
                                        + ", within the inlet maximum",
                                Edit.onItem(
                                        "Relieve " + p.name(),
                                        p.id(),
                                        Pump.class,
                                        x -> x.withBuild(x.build()
                                                .withRelief(m.with(Quantity.of(
                                                        RELIEVED * m.quantity().value(),
                                                        m.quantity().unit()))))))))
                .toList();
    }

    /** A relief opens at so much of what the inlet takes at most. */
    private static final double RELIEVED = 0.9;

    private static Project sleeved(Project p) {
        FuelSystem s = p.system();
        for (Run r : s.runs()) {
            s = s.change(r.id(), Run.class, Run::sleeved);
        }
        return p.with(s);
    }

    private static Header doubled(Header h) {
        Measured c = h.capacity();
        return h.withCapacity(
                c.with(Quantity.of(2 * c.quantity().value(), c.quantity().unit())));
    }

    /** The line into the last vessel before the engine, where a lack shows first; else the line into the engine. */
    private Optional<Run> beforeTheEngine() {
        Optional<EngineInlet> inlet = system.inlet();
        Topology topology = Topology.of(system);
        Optional<Run> vessel = system.all(Header.class)
                .flatMap(h -> topology.arriving(h.id()).stream().filter(r -> !topology.returns(r)))
                .findFirst();
        return vessel.or(
                () -> inlet.flatMap(i -> topology.arriving(i.id()).stream().findFirst()));
    }

    private static Project fitted(Project p, String run, NewItem kind) {
        FuelSystem s = p.system();
        return LayoutEdits.addingAt(s, run)
                .filter(spot -> LayoutEdits.offers(s, run, spot).contains(kind))
                .flatMap(spot -> LayoutEdits.add(s, run, spot, kind))
                .map(o -> p.with(o.system()))
                .orElse(p);
    }
}
