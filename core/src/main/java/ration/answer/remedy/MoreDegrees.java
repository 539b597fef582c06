package ration.answer.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.JetPump;
import ration.aircraft.model.Kinds;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Orifice;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.QuickDisconnect;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;
import ration.answer.assess.Assessment;
import ration.answer.assess.VaporAnswer;
import ration.base.fluid.Volatility;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.task.Task;
import ration.physics.flow.PathStep;
import ration.physics.vapor.PathHeat;
import ration.record.cost.Part;
import ration.record.cost.Takes;
import ration.record.project.Edit;
import ration.record.project.Project;

/** What buys degrees before the fuel boils: single changes along the path that governs, each assessed whole. */
public final class MoreDegrees {

    private static final int MOST = 5;
    private static final double LEAST_GAIN = 0.05;
    private static final double LOWER = Unit.INCH.toSi(6);

    private MoreDegrees() {}

    /**
     * One change, worked out.
     *
     * @param title what to do
     * @param costs what it costs in flow margin, in words
     * @param edit does it
     * @param after the gap that then governs
     */
    public record Row(String title, String costs, Edit edit, VaporAnswer after) {}

    /** Changes that gain, most first; empty when stopped or where nothing flows. */
    public static List<Row> of(Assessment now, Task task) {
        if (now.vapor().isEmpty()) {
            return List.of();
        }
        VaporAnswer vapor = now.vapor().get();
        List<Change> changes = changes(now.project(), vapor);
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < changes.size(); i++) {
            if (task.cancelled().getAsBoolean()) {
                return List.of();
            }
            Change c = changes.get(i);
            Assessment after = Assessment.ahead(c.on().apply(now.project()), Optional.of(now));
            Optional<VaporAnswer> then = after.vapor();
            if (then.isPresent() && then.get().degrees() > vapor.degrees() + LEAST_GAIN) {
                double margin = after.governing().map(g -> g.margin()).orElse(0.0)
                        - now.governing().map(g -> g.margin()).orElse(0.0);
                String costs = Math.abs(margin) < 0.005
                        ? "flow margin unchanged"
                        : (margin > 0 ? "and adds " : "and costs ")
                                + ration.base.quantity.UnitSystem.figure(Math.abs(margin), 2) + "\u00d7 flow margin";
                rows.add(new Row(
                        c.title(),
                        costs,
                        Edit.of(
                                "Try " + c.title().substring(0, 1).toLowerCase(java.util.Locale.ROOT)
                                        + c.title().substring(1),
                                c.on()),
                        then.get()));
            }
            task.progress().accept((i + 1.0) / changes.size());
        }
        rows.sort(Comparator.comparingDouble(r -> -r.after().degrees()));
        return List.copyOf(rows.subList(0, Math.min(MOST, rows.size())));
    }

    /** What could be tried, none of it solved; empty where nothing flows. */
    public static List<Change> changes(Assessment now) {
        return now.vapor().map(v -> changes(now.project(), v)).orElse(List.of());
    }

    private static List<Change> changes(Project project, VaporAnswer vapor) {
        List<Change> all = new ArrayList<>();
        List<Item> path = vapor.look().demand().path().stream()
                .map(s -> project.system().item(s.item()))
                .flatMap(Optional::stream)
                .toList();
        int first = 0;
        while (first < path.size() && path.get(first).only(Pump.class).isEmpty()) {
            first++;
        }
        for (int i = 0; i < path.size(); i++) {
            all.addAll(path.get(i).as(new Gains(project, i < first)));
        }
        smallReturn(project, vapor).ifPresent(all::add);
        Volatility now = project.heat().volatility();
        if (now.ordinal() > Volatility.MOGAS_AA.ordinal() && now != Volatility.MOGAS_UNSAID) {
            Volatility less = Volatility.values()[now.ordinal() - 1];
            all.add(new Change(
                    "",
                    "fuel",
                    Change.Sort.FUEL,
                    less.label() + " in place of " + now.label(),
                    "where it can be bought",
                    p -> p.with(p.heat().with(less)),
                    List.of(Takes.one(Part.FUEL))));
        }
        return all;
    }

    /** What gains degrees at an item; suction is what comes before the first pump. A new kind has to say. */
    private record Gains(Project project, boolean suction) implements Kinds<List<Change>> {

        private static final List<Change> NONE = List.of();

        @Override
        public List<Change> run(Run run) {
            List<Change> all = new ArrayList<>();
            if (!run.build().marks().sleeved()) {
                all.add(change(
                        run,
                        "sleeve",
                        Change.Sort.HEAT,
                        "Sleeve on " + run.name(),
                        foot(Part.SLEEVE, run, run.size()),
                        on(run, Run.class, Run::sleeved)));
            }
            if (suction) {
                run.size()
                        .nextUp()
                        .ifPresent(up -> all.add(change(
                                run,
                                "size",
                                Change.Sort.LINES,
                                "Line " + run.name() + " in " + up.shortName(),
                                foot(Part.LINE, run, up),
                                on(run, Run.class, r -> r.resized(up)))));
            }
            return all;
        }

        @Override
        public List<Change> pump(Pump pump) {
            List<Change> all = new ArrayList<>(shroud(project, pump));
            all.add(change(
                    pump,
                    "height",
                    Change.Sort.PUMPS,
                    pump.name() + " 6 in lower",
                    Takes.one(Part.PUMP_MOUNT),
                    on(
                            pump,
                            Pump.class,
                            x -> x.with(new Tag(x.id(), x.name(), x.place().raised(-LOWER))))));
            return all;
        }

        @Override
        public List<Change> strainer(Strainer s) {
            if (!suction) {
                return List.of();
            }
            List<Change> all = new ArrayList<>(shroud(project, s));
            all.add(change(
                    s,
                    "loss",
                    Change.Sort.FILTERS,
                    s.name() + " twice as large",
                    Takes.one(Part.STRAINER),
                    on(s, Strainer.class, x -> x.fouled()
                            .map(f -> x.withFouled(f.times(0.5)))
                            .orElse(x)
                            .withLoss(x.loss().times(0.5)))));
            return all;
        }

        private Change change(
                Item item, String slot, Change.Sort sort, String title, Takes takes, UnaryOperator<Project> on) {
            return new Change(item.id(), slot, sort, title, "", on, List.of(takes));
        }

        /** A run of a part by the foot. */
        private Takes foot(Part part, Run run, LineSize size) {
            double length = project.system()
                    .point(run.from())
                    .flatMap(a -> project.system().point(run.to()).map(b -> run.lengthM(a, b)))
                    .orElse(0.0);
            return new Takes(part, size.shortName(), Math.max(0.1, Unit.FOOT.fromSi(length)));
        }

        @Override
        public List<Change> selector(Selector item) {
            return NONE;
        }

        @Override
        public List<Change> shutOff(ShutOff item) {
            return NONE;
        }

        @Override
        public List<Change> filter(Filter item) {
            return NONE;
        }

        @Override
        public List<Change> checkBlock(CheckBlock item) {
            return NONE;
        }

        @Override
        public List<Change> flowSender(FlowSender item) {
            return NONE;
        }

        @Override
        public List<Change> gaugePort(GaugePort item) {
            return NONE;
        }

        @Override
        public List<Change> quickDisconnect(QuickDisconnect item) {
            return NONE;
        }

        @Override
        public List<Change> bulkhead(Bulkhead item) {
            return NONE;
        }

        @Override
        public List<Change> regulator(Regulator item) {
            return NONE;
        }

        @Override
        public List<Change> jetPump(JetPump item) {
            return NONE;
        }

        @Override
        public List<Change> header(Header item) {
            return NONE;
        }

        @Override
        public List<Change> checkValve(CheckValve item) {
            return NONE;
        }

        @Override
        public List<Change> orifice(Orifice item) {
            return NONE;
        }

        @Override
        public List<Change> tee(Tee item) {
            return NONE;
        }

        @Override
        public List<Change> ventPlenum(VentPlenum item) {
            return NONE;
        }

        @Override
        public List<Change> engineInlet(EngineInlet item) {
            return NONE;
        }

        @Override
        public List<Change> tank(Tank item) {
            return NONE;
        }
    }

    /** Blast air round a body that stands in the engine bay. */
    private static List<Change> shroud(Project project, Fitted body) {
        boolean hot = PathHeat.zone(
                        project.system(),
                        project.heat(),
                        body.id(),
                        body.place().point())
                == Zone.ENGINE_BAY;
        return hot
                ? List.of(new Change(
                        body.id(),
                        "zone",
                        Change.Sort.HEAT,
                        "Cooling shroud on " + body.name(),
                        "blast air",
                        p -> p.with(p.heat().withZone(body.id(), Zone.SHROUD)),
                        List.of(Takes.one(Part.SHROUD))))
                : List.of();
    }

    /**
     * A small constant return behind the last pump of the path to the tank it draws from: more fuel passes the pump and
     * carries its heat away, for some pressure. Empty where one comes back already.
     */
    private static Optional<Change> smallReturn(Project project, VaporAnswer vapor) {
        FuelSystem system = project.system();
        List<PathStep> path = vapor.look().demand().path();
        List<Item> items = path.stream()
                .map(s -> system.item(s.item()))
                .flatMap(Optional::stream)
                .toList();
        Pump pump = items.stream()
                .flatMap(i -> i.only(Pump.class).stream())
                .reduce((a, b) -> b)
                .orElse(null);
        Tank tank = items.stream()
                .flatMap(i -> i.only(Tank.class).stream())
                .findFirst()
                .orElse(null);
        if (pump == null
                || tank == null
                || tank.outlets().isEmpty()
                || system.runAt(new PortRef(pump.id(), Item.OUT)).isEmpty()
                || system.tanks().stream()
                        .anyMatch(t -> t.returns().stream().anyMatch(r -> system.runAt(new PortRef(t.id(), r.name()))
                                .isPresent()))) {
            return Optional.empty();
        }
        String from = pump.id();
        String to = tank.id();
        return Optional.of(new Change(
                from,
                "return",
                Change.Sort.LINES,
                "0.040 in bleed return, from " + pump.name() + " outlet to " + tank.name(),
                "tee, orifice, line",
                p -> p.system()
                        .item(from)
                        .flatMap(f -> p.system().item(to).map(t -> p.with(withReturn(p.system(), (Pump) f, (Tank) t))))
                        .orElse(p),
                List.of(Takes.one(Part.RETURN_LINE))));
    }

    private static FuelSystem withReturn(FuelSystem system, Pump pump, Tank tank) {
        if (system.runAt(new PortRef(pump.id(), Item.OUT)).isEmpty()
                || tank.outlets().isEmpty()) {
            return system;
        }
        Run line = system.runAt(new PortRef(pump.id(), Item.OUT)).orElseThrow();
        Point3 at = pump.place().point();
        String tee = system.freeId("tee");
        String orifice = system.freeId("return-orifice");
        String port = tank.returns().stream().anyMatch(r -> r.name().equals("return")) ? "return-2" : "return";
        Point3 out = tank.outlets().get(0).place().point();
        Point3 aft = new Point3(1, 0, 0);
        double far = out.x() - tank.solid().lowest(aft) > tank.solid().highest(aft) - out.x()
                ? tank.solid().lowest(aft)
                : tank.solid().highest(aft);
        Point3 top = new Point3(
                far + Math.signum(out.x() - far) * Unit.INCH.toSi(1),
                out.y(),
                tank.solid().highest(new Point3(0, 0, 1)) - Unit.INCH.toSi(0.5));
        List<Tank.Entry> entries = new ArrayList<>(tank.returns());
        entries.add(new Tank.Entry(port, Place.estimated(top)));
        LineSize small = LineSize.parse("1/4 x 0.035 tube");
        boolean leaves = line.from().equals(new PortRef(pump.id(), Item.OUT));
        PortRef joint = new PortRef(tee, Item.OUT);
        FuelSystem with = system.replace(tank.withReturns(entries))
                .replace(leaves ? line.between(joint, line.to()) : line.between(line.from(), joint))
                .plus(
                        new Tee(
                                new Tag(tee, "Return tee", Place.estimated(at)),
                                Measured.of(0.172, Unit.INCH, "estimate")),
                        new Orifice(
                                new Tag(orifice, "Return orifice", Place.estimated(at)),
                                Measured.of(0.040, Unit.INCH, "estimate"),
                                0.65));
        with = with.plus(bare(with, line.size(), new PortRef(pump.id(), Item.OUT), new PortRef(tee, Item.IN)));
        with = with.plus(bare(with, small, new PortRef(tee, Tee.BRANCH), new PortRef(orifice, Item.IN)));
        return with.plus(bare(with, small, new PortRef(orifice, Item.OUT), new PortRef(tank.id(), port)));
    }

    private static Run bare(FuelSystem s, LineSize size, PortRef from, PortRef to) {
        String name = ration.aircraft.plumbing.RunSheet.freeName(s);
        return new Run(s.freeId(name), name, from, to, size, Optional.empty(), List.of(), List.of());
    }

    /** The item is looked up in the project the change is made on: that may have been edited since. */
    private static <T extends Item> UnaryOperator<Project> on(Item item, Class<T> kind, UnaryOperator<T> change) {
        return p -> p.with(p.system().change(item.id(), kind, change));
    }
}
