package ration.answer.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.topology.Topology;
import ration.answer.remedy.BuildChanges;
import ration.answer.remedy.Change;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.VentPath;
import ration.record.cost.LayoutParts;
import ration.record.cost.Part;
import ration.record.cost.Takes;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;

/**
 * Single changes that could take the harm from a failure, none of them solved. What needs a part to be laid out anew,
 * or another tank's line, is for the builder.
 */
public final class FaultChanges {

    private final FuelSystem system;
    private final UnitSystem units;
    private final List<Change> all = new ArrayList<>();

    private FaultChanges(FuelSystem system, UnitSystem units) {
        this.system = system;
        this.units = units;
    }

    /**
     * Of a failure.
     *
     * @param units for the figures in the titles
     */
    public static List<Change> of(FuelSystem system, Fault fault, UnitSystem units) {
        FaultChanges c = new FaultChanges(system, units);
        c.collect(fault);
        return List.copyOf(c.all);
    }

    private void collect(Fault f) {
        if (f.kind() == Fault.Kind.VENT_SHUT || f.kind() == Fault.Kind.VENT_HOLDS_LIQUID) {
            system.tanks().stream()
                    .filter(t -> VentPath.of(system, t).through(f.item()))
                    .forEach(t -> BuildChanges.ventedCap(t).ifPresent(all::add));
        }
        system.item(f.item()).ifPresent(item -> atPart(f, item));
        system.all(Header.class).forEach(this::larger);
        if (system.all(FlowSender.class).findAny().isEmpty()) {
            sender(NewItem.FLOW_SENDER, "Flow sender", "indicates in time; adds its pressure drop", Part.FLOW_SENDER);
        }
        if (system.all(GaugePort.class).noneMatch(g -> g.shows() == GaugePort.Shows.PRESSURE)) {
            sender(NewItem.PRESSURE_SENDER, "Pressure sender", "gauge drops in time; no pressure drop", Part.SENDER);
        }
        system.all(Header.class)
                .filter(h -> h.build().lowLight().isEmpty())
                .forEach(h -> all.add(Change.of(
                        h.id(),
                        "low-light",
                        Change.Sort.SENDERS,
                        "Low light in " + h.name(),
                        "at 2/3 height: warns in time; no pressure drop",
                        s -> s.change(
                                h.id(), Header.class, x -> x.withLowLight(Optional.of(share(x.height(), 2.0 / 3)))),
                        Takes.one(Part.LOW_LIGHT))));
    }

    private static Measured share(Measured of, double share) {
        return of.with(new Quantity(of.quantity().value() * share, of.quantity().unit()));
    }

    private void larger(Header h) {
        all.add(Change.of(
                h.id(),
                "capacity",
                Change.Sort.HEADERS,
                "Header twice as large, " + h.name(),
                units.fineVolume(2 * h.capacity().si()) + ", same height",
                s -> s.change(h.id(), Header.class, x -> x.withCapacity(share(x.capacity(), 2))),
                Takes.one(Part.HEADER)));
    }

    private void sender(NewItem kind, String what, String detail, Part part) {
        beforeTheEngine()
                .ifPresent(r -> all.add(Change.of(
                        r.id(),
                        kind.name(),
                        Change.Sort.SENDERS,
                        what + " in " + r.name(),
                        detail,
                        s -> fitted(s, r.id(), kind),
                        Takes.one(part))));
    }

    /** What is changed at the part itself; a new kind of fault has to say. */
    private void atPart(Fault f, Item item) {
        switch (f.kind()) {
            case SUPPLY_DEAD -> buses();
            case PUMP_DEAD, PUMP_WEAK, RELIEF_STUCK_OPEN ->
                item.only(Pump.class).ifPresent(this::second);
            case REGULATOR_STUCK_SHUT, RETURN_BLOCKED -> reliefs();
            case LINE_PINCHED -> item.only(Run.class).ifPresent(this::wider);
            case FILTER_FOULED -> {
                item.only(Strainer.class)
                        .flatMap(Strainer::fouled)
                        .ifPresent(r -> all.add(Change.of(
                                item.id(),
                                "loss",
                                Change.Sort.FILTERS,
                                "Larger strainer, " + item.name(),
                                "half the dirty-filter loss",
                                s -> s.change(item.id(), Strainer.class, x -> x.withFouled(r.times(0.5))),
                                Takes.one(Part.STRAINER))));
                item.only(Filter.class)
                        .flatMap(Filter::fouled)
                        .ifPresent(r -> all.add(Change.of(
                                item.id(),
                                "loss",
                                Change.Sort.FILTERS,
                                "Larger filter, " + item.name(),
                                "half the dirty-filter loss",
                                s -> s.change(item.id(), Filter.class, x -> x.withFouled(r.times(0.5))),
                                Takes.one(Part.FILTER))));
            }
            case FUEL_VOLATILE -> sleeves();
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
                    FLAPPER_STUCK -> {}
        }
    }

    private void wider(Run run) {
        Stream.iterate(run.size().nextUp(), Optional::isPresent, up -> up.get().nextUp())
                .map(Optional::get)
                .limit(2)
                .forEach(up -> all.add(Change.of(
                        run.id(),
                        "size",
                        Change.Sort.LINES,
                        "Next size, " + run.name() + ": " + up.shortName(),
                        "its ends and what they meet",
                        s -> s.change(run.id(), Run.class, x -> x.resized(up)),
                        new Takes(Part.LINE, LayoutParts.size(up), feet(run)),
                        new Takes(Part.END, LayoutParts.size(up), 2))));
    }

    private double feet(Run run) {
        return Math.max(
                0.1,
                Unit.FOOT.fromSi(system.point(run.from())
                        .flatMap(a -> system.point(run.to()).map(b -> run.lengthM(a, b)))
                        .orElse(0.0)));
    }

    private void sleeves() {
        Takes[] takes = system.runs().stream()
                .filter(r -> !r.build().marks().sleeved())
                .map(r -> new Takes(Part.SLEEVE, LayoutParts.size(r.size()), feet(r)))
                .toArray(Takes[]::new);
        all.add(Change.of(
                "",
                "sleeves",
                Change.Sort.HEAT,
                "Sleeve on every line",
                "insulates lines forward of the firewall",
                FaultChanges::sleeved,
                takes));
    }

    /** Every electric pump but the first on a bus of its own. */
    private void buses() {
        system.all(Pump.class)
                .filter(p -> p.drive() == Pump.Drive.ELECTRIC)
                .skip(1)
                .forEach(p -> all.add(Change.of(
                        p.id(),
                        "bus",
                        Change.Sort.PUMPS,
                        p.name() + " on a second bus",
                        "its own switch, breaker and ground, from another source",
                        s -> s.change(
                                p.id(), Pump.class, x -> x.withBuild(x.build().withBus(otherBus(p)))),
                        Takes.one(Part.SECOND_BUS))));
    }

    private static String otherBus(Pump than) {
        return than.bus().equals("second") ? "third" : "second";
    }

    /** Another pump behind it, that it can be drawn through. */
    private void second(Pump p) {
        Topology.of(system).leaving(p.id()).stream()
                .findFirst()
                .ifPresent(r -> all.add(Change.of(
                        p.id(),
                        "second",
                        Change.Sort.PUMPS,
                        "Second pump after " + p.name(),
                        "same type, on its own bus",
                        s -> another(s, p, r.id()),
                        Takes.one(Part.PUMP),
                        Takes.one(Part.SECOND_BUS))));
    }

    private static FuelSystem another(FuelSystem s, Pump like, String run) {
        return LayoutEdits.addingAt(s, run)
                .flatMap(spot -> LayoutEdits.add(s, run, spot, NewItem.ELECTRIC_PUMP))
                .map(o -> o.system().change(o.picked(), Pump.class, x -> x.withCurve(like.curve())
                        .withBuild(x.build().withBus(otherBus(like)))))
                .orElse(s);
    }

    /** A relief opens at so much of what the inlet takes at most. */
    private static final double RELIEVED = 0.9;

    /** Pumps that bypass within themselves at what the inlet still takes. */
    private void reliefs() {
        Optional<Measured> most = system.inlet().flatMap(EngineInlet::maximumPressure);
        most.ifPresent(m -> system.all(Pump.class)
                .filter(p -> p.build().relief().isEmpty())
                .forEach(p -> all.add(Change.of(
                        p.id(),
                        "relief",
                        Change.Sort.PUMPS,
                        "Relief in " + p.name(),
                        "opens at " + units.text(RELIEVED * m.si(), Dimension.PRESSURE) + ", within the inlet maximum",
                        s -> s.change(
                                p.id(), Pump.class, x -> x.withBuild(x.build().withRelief(share(m, RELIEVED)))),
                        Takes.one(Part.PUMP)))));
    }

    private static FuelSystem sleeved(FuelSystem system) {
        FuelSystem s = system;
        for (Run r : s.runs()) {
            s = s.change(r.id(), Run.class, Run::sleeved);
        }
        return s;
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

    private static FuelSystem fitted(FuelSystem s, String run, NewItem kind) {
        return LayoutEdits.addingAt(s, run)
                .filter(spot -> LayoutEdits.offers(s, run, spot).contains(kind))
                .flatMap(spot -> LayoutEdits.add(s, run, spot, kind))
                .map(LayoutEdits.Outcome::system)
                .orElse(s);
    }
}
