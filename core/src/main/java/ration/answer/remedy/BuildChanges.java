package ration.answer.remedy;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.model.CheckValve;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Reach;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.plumbing.Joints;
import ration.aircraft.plumbing.LineRules;
import ration.aircraft.topology.Topology;
import ration.answer.assess.Assessment;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.VentPath;
import ration.physics.vapor.Trapped;
import ration.record.cost.LayoutParts;
import ration.record.cost.Part;
import ration.record.cost.Takes;
import ration.record.project.ItemEdits;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Returns;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What the build of a layout lacks where a finding says so: drains, reliefs, valves, filters, clamps, a sump, room over
 * the fuel. Whether it cures is for whoever solves it; what has to be laid out anew is for the builder.
 */
public final class BuildChanges {

    /** A thermal relief opens at least at so many psi, and so many times over what all pumps together could make. */
    private static final double OPENS = 15;

    private static final double OVER = 1.2;
    /** Drain ports put at one part. */
    private static final int MOST_PORTS = 4;
    /** Runs tried for one valve or filter, the nearest to the engine first. */
    private static final int RUNS = 6;
    /** Lips of an outlet tried, in above the present one. */
    private static final double[] LIPS = {0.125, 0.25, 0.5, 0.75, 1};
    /** Necks of a filler tried, in below the present one. */
    private static final double[] NECKS = {0.125, 0.25, 0.5, 0.75, 1, 1.5};

    private final Assessment assessment;
    private final FuelSystem system;
    private final Finding finding;
    private final List<Change> all = new ArrayList<>();

    private BuildChanges(Assessment assessment, Finding finding) {
        this.assessment = assessment;
        this.finding = finding;
        system = assessment.project().system();
    }

    /** What could cure a finding; empty where nothing known here bears on it. */
    public static List<Change> of(Assessment assessment, Finding finding) {
        BuildChanges b = new BuildChanges(assessment, finding);
        switch (finding.check()) {
            case AIR_BLOCKED -> b.air();
            case AIR_LOW -> b.drain();
            case BUILD_JOINT -> b.run().ifPresent(b::adapters);
            case BUILD_FIRE -> b.run().ifPresent(b::sleeve);
            case VAPOR_TRAPPED -> b.relief();
            case BUILD_SHUTS -> b.inLines(NewItem.SHUT_OFF, Change.Sort.VALVES, Part.SHUT_OFF);
            case BUILD_FILTERED -> b.inLines(NewItem.FILTER, Change.Sort.FILTERS, Part.FILTER);
            case BUILD_RETURN_SHUTS -> b.checks();
            case BUILD_SUPPORTS -> b.clamp();
            case TANK_SUMP -> b.lip();
            case TANK_EXPANSION -> b.neck();
            default -> {}
        }
        return b.all;
    }

    private Optional<Run> run() {
        return system.item(finding.item()).flatMap(i -> i.only(Run.class));
    }

    private Optional<Tank> tank() {
        return system.item(finding.item()).flatMap(i -> i.only(Tank.class));
    }

    /** A second way for the air into a tank; empty where it has one. */
    public static Optional<Change> ventedCap(Tank t) {
        return t.fitout().secondAir()
                ? Optional.empty()
                : Optional.of(new Change(
                        t.id(),
                        "air",
                        Change.Sort.VENTS,
                        "Vented cap on " + t.name(),
                        "second air source, placed so ice or insects cannot block both",
                        p -> p.with(p.system()
                                .change(
                                        t.id(),
                                        Tank.class,
                                        x -> x.with(x.fitout().with(Fitout.Piece.SECOND_AIR, true)))),
                        List.of(Takes.one(Part.VENTED_CAP))));
    }

    /** Of a tank; of a plenum, of every tank that breathes through it: one alone leaves the others shut. */
    private void air() {
        tank().flatMap(BuildChanges::ventedCap).ifPresent(all::add);
        List<Change> under = system.item(finding.item()).flatMap(i -> i.only(VentPlenum.class)).stream()
                .flatMap(p -> system.tanks().stream()
                        .filter(t -> VentPath.of(system, t).through(p.id())))
                .flatMap(t -> ventedCap(t).stream())
                .toList();
        if (!under.isEmpty()) {
            List<String> names = under.stream().map(c -> name(c.item())).toList();
            all.add(new Change(
                    finding.item(),
                    "air",
                    Change.Sort.VENTS,
                    (names.size() == 1 ? "Vented cap on " : "Vented caps on ") + String.join(", ", names),
                    under.get(0).detail(),
                    under.stream()
                            .map(Change::on)
                            .reduce((a, b) -> p -> b.apply(a.apply(p)))
                            .orElseThrow(),
                    under.stream().flatMap(c -> c.takes().stream()).toList()));
        }
    }

    private void adapters(Run r) {
        int more = Joints.adapters(Joints.adapted(r)) - Joints.adapters(r);
        if (more > 0) {
            all.add(Change.of(
                    r.id(),
                    "adapters",
                    Change.Sort.LINES,
                    (more == 1 ? "Adapter on " : "Adapters on ") + r.name(),
                    "between its fittings and the ports they meet",
                    s -> s.change(r.id(), Run.class, Joints::adapted),
                    new Takes(Part.ADAPTER, "", more)));
        }
    }

    private void sleeve(Run r) {
        if (!r.build().marks().sleeved()) {
            double feet = system.point(r.from())
                    .flatMap(a -> system.point(r.to()).map(b -> Unit.FOOT.fromSi(r.lengthM(a, b))))
                    .orElse(0.0);
            all.add(Change.of(
                    r.id(),
                    "sleeve",
                    Change.Sort.HEAT,
                    "Sleeve on " + r.name(),
                    "ends sealed and banded",
                    s -> s.change(r.id(), Run.class, Run::sleeved),
                    new Takes(Part.SLEEVE, LayoutParts.size(r.size()), Math.max(0.1, feet))));
        }
    }

    private void drain() {
        String at = finding.item();
        Point3 up = assessment
                .project()
                .brief()
                .envelope()
                .parkedAttitude()
                .gravity()
                .up();
        if (low(system, at, up).isPresent()) {
            all.add(Change.of(
                    at,
                    "drain",
                    Change.Sort.DRAINS,
                    "Drain port at " + name(at),
                    "capped, opened to sample",
                    s -> drained(s, at, up),
                    new Takes(Part.DRAIN_PORT, "", Math.max(1, ports(drained(system, at, up)) - ports(system)))));
        }
    }

    private static long ports(FuelSystem s) {
        return s.all(GaugePort.class)
                .filter(g -> g.shows() == GaugePort.Shows.SAMPLE)
                .count();
    }

    /** Feed and return side of one valve are two low points: a port in each. */
    private static FuelSystem drained(FuelSystem system, String at, Point3 up) {
        FuelSystem s = system;
        for (int n = 0; n < MOST_PORTS && low(s, at, up).isPresent(); n++) {
            FuelSystem now = s;
            long left = lows(s, at, up).count();
            s = LayoutEdits.drainPorts(now, at, low(now, at, up).orElseThrow()).stream()
                    .map(LayoutEdits.Outcome::system)
                    .filter(x -> lows(x, at, up).count() < left)
                    .findFirst()
                    .orElse(now);
        }
        return s;
    }

    private static Stream<Point3> lows(FuelSystem s, String at, Point3 up) {
        return LowPoints.of(s, up).points().stream()
                .filter(f -> f.kind() == LowPoints.Kind.UNDRAINED && f.item().equals(at))
                .map(LowPoints.Found::place);
    }

    private static Optional<Point3> low(FuelSystem s, String at, Point3 up) {
        return lows(s, at, up).findFirst();
    }

    /** From each line that can be locked in, to where its pressure may go. */
    private void relief() {
        Trapped.of(system).stream()
                .filter(t -> t.runs().get(0).equals(finding.item()))
                .flatMap(t -> t.runs().stream())
                .forEach(run -> all.add(Change.of(
                        run,
                        "relief",
                        Change.Sort.LINES,
                        "Thermal relief valve on " + name(run),
                        "tee, valve, line to the nearest return",
                        s -> relieved(s, run),
                        Takes.one(Part.THERMAL_RELIEF))));
    }

    /** A valve that opens over all that the pumps could make, so that nothing passes while they run. */
    private static FuelSystem relieved(FuelSystem s, String run) {
        double opens = Math.max(
                Unit.PSI.toSi(OPENS),
                OVER
                        * s.all(Pump.class)
                                .mapToDouble(p -> p.curve().stream()
                                        .mapToDouble(c -> c.pressure().si())
                                        .max()
                                        .orElse(0))
                                .sum());
        Measured pressure = new Measured(Quantity.of(Math.rint(Unit.PSI.fromSi(opens)), Unit.PSI), ItemEdits.ESTIMATE);
        return LayoutEdits.add(s, run, LayoutEdits.Spot.BRANCH, NewItem.CHECK_VALVE)
                .flatMap(o -> {
                    FuelSystem with = o.system().change(o.picked(), CheckValve.class, x -> {
                        // over the line it relieves: no new low point
                        Place at = beside(o.system(), x);
                        Tag tag = new Tag(x.id(), o.system().freeName("Thermal relief"), at);
                        return new CheckValve(tag, pressure, x.loss());
                    });
                    return Returns.of(with, o.picked()).stream()
                            .findFirst()
                            .flatMap(to -> Returns.lead(with, o.picked(), to))
                            .map(LayoutEdits.Outcome::system);
                })
                .orElse(s);
    }

    private static Place beside(FuelSystem s, CheckValve valve) {
        return s.runAt(new PortRef(valve.id(), Item.IN))
                .flatMap(r -> s.point(r.from()))
                .map(p -> Place.estimated(p.plus(new Point3(0, 0, Unit.INCH.toSi(1)))))
                .orElse(valve.place());
    }

    /** In each of the runs that lead to the engine from the tank that is told of, on the cabin side. */
    private void inLines(NewItem kind, Change.Sort sort, Part part) {
        Topology topology = Topology.of(system);
        Optional<String> engine = system.inlet().map(i -> i.id());
        List<Run> runs = system.runs().stream()
                .filter(r -> !topology.returns(r))
                .filter(r -> finding.item().isEmpty()
                        || r.from().item().equals(finding.item())
                        || topology.downstream(finding.item()).contains(r.from().item()))
                .filter(r -> engine.filter(e -> r.to().item().equals(e)
                                || topology.downstream(r.to().item()).contains(e))
                        .isPresent())
                .filter(r -> kind != NewItem.SHUT_OFF || behind(r))
                .sorted(Comparator.comparingInt(
                        r -> topology.downstream(r.to().item()).size()))
                .limit(RUNS)
                .toList();
        for (Run r : runs) {
            all.add(Change.of(
                    r.id(),
                    kind.name(),
                    sort,
                    kind.label() + " in " + r.name(),
                    kind == NewItem.SHUT_OFF ? "within the pilot\u2019s reach" : "",
                    s -> LayoutEdits.add(s, r.id(), LayoutEdits.Spot.IN_RUN, kind)
                            .map(o -> o.system().change(o.picked(), ShutOff.class, x -> x.with(Reach.PILOT)))
                            .orElse(s),
                    Takes.one(part)));
        }
    }

    /** Whether the middle of a run lies on the cabin side of the firewall. */
    private boolean behind(Run run) {
        if (system.firewall().isEmpty() || system.inlet().isEmpty()) {
            return true;
        }
        double wall = system.firewall().get().station().si();
        double engine = system.inlet().get().place().point().x() - wall;
        return Stream.of(run.from(), run.to()).allMatch(p -> system.point(p)
                .filter(x -> (x.x() - wall) * Math.signum(engine) <= 0)
                .isPresent());
    }

    private void checks() {
        Topology topology = Topology.of(system);
        system.runs().stream().filter(topology::returns).forEach(r -> {
            all.add(Change.of(
                    r.id(),
                    "check",
                    Change.Sort.VALVES,
                    "Check valve in " + r.name(),
                    "no fuel runs back",
                    s -> LayoutEdits.add(s, r.id(), LayoutEdits.Spot.IN_RUN, NewItem.CHECK_VALVE)
                            .map(LayoutEdits.Outcome::system)
                            .orElse(s),
                    Takes.one(Part.CHECK_VALVE)));
        });
    }

    /** As many more as its longest stretch takes: one can do no better than halve it. */
    private void clamp() {
        run().ifPresent(run -> LineRules.farthestSupports(run)
                .ifPresent(most -> run.build().spacing().ifPresent(now -> {
                    Unit unit = now.quantity().unit();
                    int more = (int) Math.max(1, Math.ceil(now.si() / most - 1e-9) - 1);
                    Measured then =
                            new Measured(Quantity.of(unit.fromSi(now.si() / (more + 1)), unit), ItemEdits.ESTIMATE);
                    all.add(Change.of(
                            run.id(),
                            "clamps",
                            Change.Sort.LINES,
                            (more == 1 ? "Another clamp on " : more + " more clamps on ") + run.name(),
                            "in its longest stretch",
                            s -> s.change(
                                    run.id(),
                                    Run.class,
                                    r -> r.with(r.build().with(RunBuild.Figure.SPACING, Optional.of(then)))),
                            new Takes(Part.CLAMP, "", more)));
                })));
    }

    /** Each higher lip leaves more below it for water, and more that cannot be used. */
    private void lip() {
        for (double in : LIPS) {
            all.add(Change.of(
                    finding.item(),
                    "outlet",
                    Change.Sort.TANKS,
                    name(finding.item()) + ": outlet lip "
                            + Quantity.of(in, Unit.INCH).text() + " higher",
                    "water stays below it",
                    s -> s.change(
                            finding.item(), Tank.class, t -> t.withOutlets(raised(t.outlets(), Unit.INCH.toSi(in)))),
                    Takes.one(Part.OUTLET)));
        }
    }

    private static List<Outlet> raised(List<Outlet> outlets, double by) {
        return outlets.stream().map(o -> o.at(o.place().raised(by))).toList();
    }

    /** Of every tank that has too little room: one alone would be overfilled by the others it is joined to. */
    private void neck() {
        List<Tank> tight = assessment.findings().stream()
                .filter(f -> f.check() == Check.TANK_EXPANSION && f.verdict() == Verdict.FAILS)
                .flatMap(f -> system.item(f.item()).flatMap(i -> i.only(Tank.class)).stream())
                .toList();
        if (tight.isEmpty()) {
            return;
        }
        String names = String.join(", ", tight.stream().map(Tank::name).toList());
        boolean measured = tight.stream().allMatch(t -> t.fitout().filler().isPresent());
        for (double in : NECKS) {
            all.add(Change.of(
                    tight.get(0).id(),
                    "filler",
                    Change.Sort.TANKS,
                    names
                            + (tight.size() == 1 ? ": filler neck " : ": filler necks ")
                            + Quantity.of(in, Unit.INCH).text()
                            + (measured ? " lower" : " below the top"),
                    "less fuel goes in, room is left above it",
                    s -> {
                        FuelSystem with = s;
                        for (Tank t : tight) {
                            with = with.change(t.id(), Tank.class, x -> lowered(x, Unit.INCH.toSi(in)));
                        }
                        return with;
                    },
                    new Takes(Part.FILLER_NECK, "", tight.size())));
        }
    }

    /** The lip the tank is filled to; where none was measured, over the middle of its roof. */
    private static Tank lowered(Tank t, double by) {
        Fitout f = t.fitout();
        return t.with(f.withFiller(f.filler()
                .map(p -> p.raised(-by))
                .or(() -> Optional.of(Place.estimated(new Point3(
                        t.outlets().isEmpty()
                                ? 0
                                : t.outlets().get(0).place().point().x(),
                        (t.shape().left() + t.shape().right()) / 2,
                        t.top() - by))))));
    }

    private String name(String id) {
        return system.item(id).map(i -> i.name()).orElse(id);
    }
}
