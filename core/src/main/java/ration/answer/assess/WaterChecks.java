package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.topology.Topology;
import ration.base.geometry.ApparentGravity;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.SamplingCard;
import ration.physics.breathing.Vents;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Subject;

/** Where water collects: low points and their drains, traps of vents, the gascolator and its bowl. */
final class WaterChecks {

    private static final double ADVICE = 1.02;

    /** A US fluid ounce, m3. */
    private static final double OUNCE = Unit.GALLON.toSi(1) / 128;

    private final Project project;
    private final FuelSystem system;
    private final List<CaseAnswer> cases;
    private final List<AirAnswer> air;
    private final Point3 parked;
    private final List<Finding> findings = new ArrayList<>();

    private WaterChecks(Project project, List<CaseAnswer> cases, List<AirAnswer> air) {
        this.project = project;
        this.system = project.system();
        this.cases = cases;
        this.air = air;
        this.parked = project.brief().envelope().parkedAttitude().gravity().up();
    }

    static List<Finding> of(Project project, List<CaseAnswer> cases, List<AirAnswer> air) {
        WaterChecks checks = new WaterChecks(project, cases, air);
        checks.points();
        checks.strainer();
        checks.bowl();
        return checks.findings;
    }

    private void add(
            Check check,
            String of,
            String title,
            String item,
            Verdict verdict,
            double ratio,
            Finding.Wording detail,
            String source,
            String remedy) {
        findings.add(Checks.finding(check, of, title, item, verdict, ratio, detail, source, remedy));
    }

    private void points() {
        LowPoints all = LowPoints.of(system, parked);
        List<LowPoints.Found> wet = all.points().stream()
                .filter(f -> f.kind() == LowPoints.Kind.UNDRAINED)
                .toList();
        for (LowPoints.Found f : wet) {
            boolean suction = onSuction(f.item());
            add(
                    Check.AIR_LOW,
                    f.item(),
                    "Low point without a drain, " + name(f),
                    f.item(),
                    Verdict.FAILS,
                    Finding.MISSED,
                    u -> at(u, f) + ". Low point, parked: water collects here.",
                    project.brief().cite(Subject.DRAINS),
                    suction
                            ? "Fit a drain port, capped, opened to sample: a spring drain on suction draws air."
                            : "Add a drain port, or slope the line down to the gascolator.");
        }
        if (wet.isEmpty() && !system.runs().isEmpty()) {
            add(
                    Check.AIR_LOW,
                    "",
                    "Low points drained",
                    "",
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> "Every low point has a drain, parked: "
                            + SamplingCard.of(system).size() + " to sample.",
                    project.brief().cite(Subject.DRAINS),
                    "");
        }
        Map<String, List<LowPoints.Found>> traps = all.points().stream()
                .filter(f -> f.kind() == LowPoints.Kind.VENT_TRAP)
                .collect(Collectors.groupingBy(
                        LowPoints.Found::item, java.util.LinkedHashMap::new, Collectors.toList()));
        // the turns of one coil are one matter
        traps.forEach((item, spots) -> add(
                Check.AIR_TRAP,
                item,
                "Vent trap, " + name(spots.get(0)),
                item,
                Verdict.FAILS,
                Finding.MISSED,
                u -> at(u, spots.get(0))
                        + (spots.size() == 1 ? " is a low spot" : " is the first of " + spots.size() + " low spots")
                        + " in the vent: liquid collects and blocks it. Full of fuel it takes "
                        + u.small(opens(item)) + " to blow through; a vent has " + u.small(Vents.MOST_DROP) + ".",
                project.brief().cite(Subject.VENT_TRAP),
                spots.size() == 1
                        ? "Route the vent to rise, or fall, continuously to its outlet."
                        : "A coil with its axis upright drains by itself; with a level axis each turn"
                                + " holds a puddle."));
        for (LowPoints.Found f : all.points()) {
            if (f.kind() == LowPoints.Kind.HIGH) {
                add(
                        Check.AIR_HIGH,
                        f.item(),
                        "High point, " + name(f),
                        f.item(),
                        Verdict.THIN,
                        ADVICE,
                        u -> at(u, f) + ". High point: vapor collects here.",
                        Checks.PRACTICE,
                        "Route the line to rise or fall continuously.");
            }
        }
    }

    /** Over a vent whose low spots are full of fuel, Pa. */
    private double opens(String item) {
        return system.item(item)
                        .map(i -> LowPoints.opens(LowPoints.ventWay(system, i), parked))
                        .orElse(0.0)
                * project.brief().demandDensity()
                * ApparentGravity.STANDARD;
    }

    /** Whether a pump draws through a part that stands under the air outside in some case. */
    private boolean onSuction(String item) {
        boolean drawn = Topology.of(system).downstream(item).stream()
                .map(system::item)
                .flatMap(Optional::stream)
                .anyMatch(i -> i.only(ration.aircraft.model.Pump.class).isPresent());
        List<PortRef> ends = system.item(item)
                .flatMap(i -> i.only(Run.class))
                .map(r -> List.of(r.from(), r.to()))
                .orElse(List.of(new PortRef(item, Item.IN), new PortRef(item, Item.OUT)));
        return drawn
                && cases.stream().filter(c -> c.judged() && c.demand().usable()).anyMatch(c -> ends.stream()
                        .anyMatch(p -> c.demand().pressure(p).orElse(0) < 0));
    }

    private String name(LowPoints.Found f) {
        return system.item(f.item()).map(Item::name).orElse(f.item());
    }

    private static String at(UnitSystem u, LowPoints.Found f) {
        return "FS " + u.text(f.place().x(), Dimension.LENGTH) + ", WL "
                + u.text(f.place().z(), Dimension.LENGTH);
    }

    /** The strainer bowl lies lowest of all. */
    private void strainer() {
        List<Strainer> strainers = system.all(Strainer.class).toList();
        if (strainers.isEmpty()) {
            return;
        }
        double bowl = strainers.stream()
                .mapToDouble(s -> parked.dot(s.place().point()))
                .min()
                .orElse(0);
        String lowest = "";
        double least = bowl;
        for (Run r : system.runs()) {
            List<Point3> way =
                    new ArrayList<>(r.points().stream().map(p -> p.point()).toList());
            system.point(r.from()).ifPresent(way::add);
            system.point(r.to()).ifPresent(way::add);
            for (Point3 p : way) {
                if (parked.dot(p) < least - 0.003) {
                    least = parked.dot(p);
                    lowest = r.name();
                }
            }
        }
        double under = bowl - least;
        String where = lowest;
        add(
                Check.AIR_STRAINER,
                "",
                "Gascolator at the low point",
                strainers.get(0).id(),
                where.isEmpty() ? Verdict.HOLDS : Verdict.THIN,
                where.isEmpty() ? Finding.MET : ADVICE,
                u -> where.isEmpty()
                        ? "No line is below the gascolator, parked."
                        : where + " is " + u.text(under, Dimension.LENGTH)
                                + " below the gascolator, parked: water goes there first.",
                Checks.PRACTICE,
                "Move the gascolator to the lowest point, or add a drain there.");
    }

    /** 23.971(c): an ounce of bowl for twenty gallons of tank. */
    private void bowl() {
        system.all(Strainer.class).filter(s -> s.bowl().isPresent()).forEach(s -> {
            double need = project.brief().choices().basis().figure(Subject.BOWL, "share")
                    * air.stream().mapToDouble(a -> a.tank().solid().volume()).sum();
            double has = s.bowl().get().si();
            findings.add(Checks.finding(
                            Check.AIR_BOWL,
                            s.id(),
                            "Sediment bowl of " + s.name(),
                            s.id(),
                            Verdict.atLeast(Math.max(has, 1e-12), need),
                            has / need,
                            u -> "Bowl " + UnitSystem.figure(has / OUNCE, 1) + " fl oz; minimum "
                                    + UnitSystem.figure(need / OUNCE, 1) + " (1 fl oz per 20 gal of tank).",
                            project.brief().cite(Subject.BOWL),
                            "Fit a larger bowl.")
                    .because(() -> WhyTanks.bowl(
                            air.stream()
                                    .mapToDouble(a -> a.tank().solid().volume())
                                    .sum(),
                            need,
                            project.brief().choices().basis())));
        });
    }
}
