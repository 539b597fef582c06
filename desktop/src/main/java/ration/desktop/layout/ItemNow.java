package ration.desktop.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Tank;
import ration.answer.ask.WhatStops;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Regime;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.TankLevel;

/**
 * What the card says of an item in the case looked at, before any of it is a node.
 *
 * @param rows in the order shown
 * @param note under them; empty where there is none
 */
record ItemNow(List<Row> rows, Optional<String> note) {

    ItemNow {
        rows = List.copyOf(rows);
    }

    /** A figure under its name. */
    record Row(String label, String figure) {}

    /** Asked of an item. */
    record Of(FuelSystem system, CaseAnswer look, Regime regime, UnitSystem units) implements SomeKinds<ItemNow> {

        private FlowAnswer flow() {
            return regime.of(look);
        }

        @Override
        public ItemNow otherwise(Item item) {
            Fitted fitted = (Fitted) item;
            List<Row> rows = new ArrayList<>();
            system.inlet()
                    .ifPresent(i -> rows.add(new Row(
                            "Height above inlet",
                            units.text(
                                    flow().height(fitted.place()
                                            .point()
                                            .minus(i.place().point())),
                                    Dimension.LENGTH))));
            fitted.ports().stream().findFirst().ifPresent(first -> {
                rows.add(pressure(
                        "Pressure in", new PortRef(item.id(), fitted.ports().contains(Item.IN) ? Item.IN : first)));
                rows.add(pressure("Pressure out", new PortRef(item.id(), Item.OUT)));
                lost(item, rows);
            });
            stops(item, rows);
            return new ItemNow(rows, Optional.empty());
        }

        /** Of a valve: the lines whose leaks it stops with the pumps off. */
        private void stops(Item item, List<Row> rows) {
            WhatStops asked = system.derived(WhatStops.class, WhatStops::of);
            if (asked.valves().contains(item.id())) {
                List<String> names = asked.stops(item.id()).stream()
                        .map(r -> system.item(r).map(Item::name).orElse(r))
                        .toList();
                rows.add(new Row("Shut, it stops leaks in", names.isEmpty() ? "no line" : String.join(", ", names)));
            }
        }

        @Override
        public ItemNow run(Run run) {
            List<Row> rows = new ArrayList<>();
            rows.add(new Row("Flow", units.text(Math.abs(flow().flow(run.id())), Dimension.FLOW)));
            rows.add(new Row(
                    "Bore",
                    units == UnitSystem.US
                            ? UnitSystem.figure(run.size().bore() / 0.0254, 3) + " in"
                            : UnitSystem.figure(run.size().bore() * 1000, 2) + " mm"));
            rows.add(new Row("Reynolds number", UnitSystem.figure(flow().reynolds(run), 0)));
            lost(run, rows);
            rows.add(new Row(
                    "A leak here is stopped by",
                    system.derived(WhatStops.class, WhatStops::of).words(system, run.id())));
            return new ItemNow(rows, Optional.empty());
        }

        @Override
        public ItemNow tank(Tank tank) {
            TankLevel level = flow().levels().get(tank.id());
            List<Row> rows = new ArrayList<>();
            rows.add(new Row("Capacity", units.text(tank.solid().volume(), Dimension.VOLUME)));
            rows.add(new Row("Contents", units.text(level.volume(), Dimension.VOLUME)));
            rows.add(new Row("Flow out", units.text(flow().outflow(tank), Dimension.FLOW)));
            for (int i = 0; i < tank.outlets().size(); i++) {
                Outlet o = tank.outlets().get(i);
                double out = Math.abs(flow().outflow(tank, o));
                rows.add(new Row(
                        tank.outlets().size() == 1 ? "Outlet" : "Outlet " + (i + 1),
                        flow().state(tank, o).word()
                                + (out > FlowAnswer.NO_FLOW ? " " + units.text(out, Dimension.FLOW) : "")));
            }
            lost(tank, rows);
            return new ItemNow(rows, Optional.empty());
        }

        @Override
        public ItemNow engineInlet(EngineInlet inlet) {
            List<Row> rows = new ArrayList<>();
            rows.add(new Row("Available flow", units.text(look.capacity().inletFlow(), Dimension.FLOW)));
            rows.add(new Row("Open-line flow", units.text(look.openLine().inletFlow(), Dimension.FLOW)));
            rows.add(new Row("Takeoff demand", units.text(look.need(), Dimension.FLOW)));
            look.inletPressureAtDemand(system)
                    .ifPresent(p -> rows.add(new Row("Pressure at demand", units.text(p, Dimension.PRESSURE))));
            return new ItemNow(
                    rows,
                    Optional.of("Open-line flow on the ground exceeds what the engine gets at minimum inlet"
                            + " pressure. Use Available flow for margin."));
        }

        private Row pressure(String label, PortRef port) {
            OptionalDouble p = flow().pressure(port);
            return new Row(label, p.isPresent() ? units.text(p.getAsDouble(), Dimension.PRESSURE) : "cut off");
        }

        private void lost(Item item, List<Row> rows) {
            flow().path().stream()
                    .filter(s -> s.item().equals(item.id()))
                    .findFirst()
                    .ifPresent(s ->
                            rows.add(new Row("Head lost", units.text(s.headIn() - s.headOut(), Dimension.LENGTH))));
        }
    }
}
