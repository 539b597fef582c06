package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import ration.aircraft.model.Construction;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.RunBuild;
import ration.aircraft.plumbing.CutLength;
import ration.aircraft.plumbing.Joints;
import ration.aircraft.plumbing.LineRules;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.build.Stage;
import ration.record.build.StepKey;
import ration.record.project.Project;
import ration.record.upkeep.Entry;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Finding.Wording;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/** Checks on how the lines are made up and held, from the runs sheet. */
final class BuildChecks {

    private static final ration.base.geometry.Point3 ORIGIN = new ration.base.geometry.Point3(0, 0, 0);

    private final FuelSystem system;
    private final Standard basis;
    private final List<Finding> findings = new ArrayList<>();

    private BuildChecks(Project project) {
        system = project.system();
        basis = project.brief().choices().basis();
    }

    static List<Finding> of(Project project) {
        BuildChecks checks = new BuildChecks(project);
        if (!project.system().runs().isEmpty()) {
            checks.joints();
            project.system().runs().forEach(checks::run);
            checks.sheet();
            checks.findings.addAll(HoseChecks.of(project));
        }
        project.upkeep().joints().forEach((k, e) -> {
            if (e.what() == Entry.What.OPENED) {
                checks.open(k, e);
            }
        });
        project.build().steps().forEach((k, step) -> {
            if (step.stage() == Stage.TEMPORARY) {
                checks.temporary(k);
            }
        });
        return checks.findings;
    }

    /** A joint that was opened and not done up since: nobody flies. One of a line that is gone is gone with it. */
    private void open(StepKey key, Entry opened) {
        String id = key.of().substring(0, Math.max(0, key.of().lastIndexOf('.')));
        system.item(id)
                .flatMap(i -> i.only(Run.class))
                .ifPresent(run -> findings.add(new Finding(
                        Check.BUILD_OPEN_JOINT,
                        key.of(),
                        "No joint is open",
                        id,
                        Verdict.FAILS,
                        Finding.MISSED,
                        u -> "The " + (key.of().endsWith(StepKey.START) ? "start" : "end") + " of " + run.name()
                                + " has been open since " + opened.on() + ": the aircraft is grounded.",
                        Checks.PRACTICE,
                        "Do it up, enter it under Maintenance, and look for leaks again.")));
    }

    /** A part or a joint the schedule of the build calls temporary; a line says so itself. */
    private void temporary(StepKey key) {
        boolean joint = key.kind() == StepKey.Kind.JOINT;
        String id = joint ? key.of().substring(0, key.of().lastIndexOf('.')) : key.of();
        system.item(id)
                .ifPresent(i -> findings.add(new Finding(
                        Check.BUILD_TEMPORARY,
                        key.of(),
                        "No temporary parts fitted",
                        id,
                        Verdict.FAILS,
                        Finding.MISSED,
                        u -> (joint
                                        ? "A joint of " + i.name() + " at its "
                                                + (key.of().endsWith(StepKey.START) ? "start" : "end")
                                        : i.name())
                                + " is temporary: for ground runs only.",
                        Checks.PRACTICE,
                        "Replace it with the final one before flight, and say so on Build.")));
    }

    private void joints() {
        List<Joints.Joint> joints = Joints.of(system);
        long good = joints.stream().filter(j -> j.state() == Joints.State.GOOD).count();
        for (Joints.Joint j : joints) {
            if (j.state() == Joints.State.WRONG) {
                add(
                        Check.BUILD_JOINT,
                        j.id(),
                        "Fitting of " + j.run().name() + " at " + j.at(),
                        j.run(),
                        Verdict.FAILS,
                        Finding.MISSED,
                        u -> j.message(),
                        "37\u00b0 flares, pipe threads and hose families: AC 43.13-1B" + " (from memory)",
                        j.remedy());
            }
        }
        if (good == joints.size()) {
            findings.add(new Finding(
                    Check.BUILD_JOINTS,
                    "",
                    "All fittings match",
                    "",
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> good + " fittings: size, thread, gender and sealant match.",
                    Checks.PRACTICE,
                    ""));
        }
    }

    /** One finding for all that is not yet written down. */
    private void sheet() {
        List<String> open = new ArrayList<>();
        for (Run run : system.runs()) {
            RunBuild b = run.build();
            boolean ends = b.start().fitting().isPresent()
                    && b.start().port().isPresent()
                    && b.end().fitting().isPresent()
                    && b.end().port().isPresent();
            boolean held = b.spacing().isPresent()
                    || length(run) <= LineRules.farthestSupports(run).orElse(0);
            if (b.construction().isEmpty() || !held || !ends) {
                open.add(run.name());
            }
        }
        if (!open.isEmpty()) {
            findings.add(new Finding(
                    Check.BUILD_SHEET,
                    "",
                    "Line data complete",
                    "",
                    Verdict.NOT_SHOWN,
                    (system.runs().size() - open.size())
                            / (double) system.runs().size(),
                    u -> open.size() + " of " + system.runs().size()
                            + " lines: construction, clamp spacing or end fitting missing: " + String.join(", ", open)
                            + ".",
                    Checks.PRACTICE,
                    "Fill them in on Lines."));
        }
    }

    private double length(Run run) {
        return run.lengthM(
                system.point(run.from()).orElse(ORIGIN), system.point(run.to()).orElse(ORIGIN));
    }

    private void run(Run run) {
        RunBuild b = run.build();
        boolean hose = LineRules.construction(run).hose();
        String source = hose
                ? (LineRules.construction(run) == Construction.PTFE ? LineRules.PTFE_SOURCE : LineRules.HOSE_SOURCE)
                : LineRules.TUBE_SOURCE;
        atLeast(
                Check.BUILD_BEND,
                run.id(),
                "Tightest bend of " + run.name(),
                run,
                b.tightest(),
                LineRules.leastRadius(run),
                source,
                "Use a larger bend radius, or an elbow fitting.");
        b.spacing().ifPresent(s -> {
            OptionalDouble most = LineRules.farthestSupports(run);
            if (most.isPresent() && s.si() > 0) {
                limit(
                        Check.BUILD_SUPPORTS,
                        run.id(),
                        "Clamp spacing, " + run.name(),
                        run,
                        s.si(),
                        most.getAsDouble(),
                        source,
                        "Add a clamp.");
            }
        });
        b.torque().ifPresent(t -> torque(run, t));
        b.heat().ifPresent(h -> {
            if (!b.marks().sleeved()) {
                atLeast(
                        Check.BUILD_HEAT,
                        run.id(),
                        "Distance to heat source, " + run.name(),
                        run,
                        b.heat(),
                        OptionalDouble.of(Unit.INCH.toSi(LineRules.HEAT)),
                        "Common practice, no source, uncertain",
                        "Fire-sleeve or shield it, or reroute.");
            }
        });
        if (b.marks().sleeved()
                && b.chafe()
                        .filter(c -> c.si() < Unit.INCH.toSi(LineRules.CHAFE))
                        .isPresent()) {
            add(
                    Check.BUILD_CHAFE,
                    run.id(),
                    "Clearance of " + run.name(),
                    run,
                    Verdict.THIN,
                    1.02,
                    u -> close(u, b.chafe().get().si())
                            + " clear, with a tube slipped over it: by one school that counts if inspected"
                            + " every year; by the other only the gap counts.",
                    Checks.PRACTICE,
                    "Inspect it every year, or make the gap.");
        } else {
            atLeast(
                    Check.BUILD_CHAFE,
                    run.id(),
                    "Clearance of " + run.name(),
                    run,
                    b.chafe(),
                    OptionalDouble.of(Unit.INCH.toSi(LineRules.CHAFE)),
                    Checks.PRACTICE,
                    "Add a clamp or grommet, or reroute.");
        }
        clamp(run);
        supplied(run);
        kinds(run);
    }

    /**
     * A clamp larger than the tube it holds lets it chafe, a smaller one dents it; the size is the last word said of
     * it.
     */
    private void clamp(Run run) {
        String said = run.build().papers().clamp();
        String size = said.substring(said.lastIndexOf(' ') + 1);
        if (run.size().kind() != LineSize.Kind.TUBE || run.build().marks().sleeved() || !size.matches("[0-9./]+")) {
            return;
        }
        try {
            double holds = Quantity.parse(size, Unit.INCH).si();
            double outer = run.size().outer();
            boolean fits = Math.abs(holds - outer) <= Unit.INCH.toSi(1.0 / 32);
            add(
                    Check.BUILD_CLAMP,
                    run.id(),
                    "Clamps of " + run.name(),
                    run,
                    fits ? Verdict.HOLDS : Verdict.FAILS,
                    fits ? Finding.MET : Finding.MISSED,
                    u -> "A clamp for " + close(u, holds) + " on a tube of " + close(u, outer) + ".",
                    Checks.PRACTICE,
                    fits ? "" : "Use a clamp of the tube's OD.");
        } catch (IllegalArgumentException e) {
            // no size: its kind alone is kept
        }
    }

    private void atLeast(
            Check check,
            String of,
            String title,
            Run run,
            Optional<Measured> have,
            OptionalDouble least,
            String source,
            String remedy) {
        if (have.isPresent() && least.isPresent()) {
            double is = have.get().si();
            double wanted = least.getAsDouble();
            Verdict verdict = Verdict.atLeast(is, wanted);
            add(
                    check,
                    of,
                    title,
                    run,
                    verdict,
                    is / wanted,
                    u -> close(u, is) + "; minimum " + close(u, wanted) + ".",
                    source,
                    verdict == Verdict.FAILS ? remedy : "");
        }
    }

    private void limit(
            Check check, String of, String title, Run run, double is, double most, String source, String remedy) {
        Verdict verdict = is > most * (1 + 1e-9) ? Verdict.FAILS : Verdict.HOLDS;
        add(
                check,
                of,
                title,
                run,
                verdict,
                Math.min(Finding.MET, most / is),
                u -> "Clamp spacing " + u.text(is, Dimension.LENGTH) + "; maximum " + u.text(most, Dimension.LENGTH)
                        + ".",
                source,
                verdict == Verdict.FAILS ? remedy : "");
    }

    /** Wrong only outside both recalled series; the overlap is the target. */
    private void torque(Run run, Measured torque) {
        LineRules.Torque table = LineRules.torque(run);
        if (table == null) {
            add(
                    Check.BUILD_TORQUE,
                    run.id(),
                    "Torque of " + run.name(),
                    run,
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> torque.quantity().shown() + "; size not in our tables.",
                    LineRules.TUBE_SOURCE,
                    "Use the manufacturer's figure.");
            return;
        }
        double is = Unit.POUND_INCH.fromSi(torque.si());
        boolean outside = is < table.lowest() || is > table.highest();
        boolean off = is < table.low() || is > table.high();
        Wording words = u -> torque.quantity().shown() + "; target " + figure(table.low()) + " to "
                + figure(table.high()) + " in\u00b7lb, which both published series allow.";
        add(
                Check.BUILD_TORQUE,
                run.id(),
                "Torque of " + run.name(),
                run,
                outside ? Verdict.FAILS : off ? Verdict.THIN : Verdict.HOLDS,
                outside ? Finding.MISSED : off ? 1.02 : Finding.MET,
                words,
                LineRules.TUBE_SOURCE + ", two torque tables",
                outside
                        ? is > table.highest()
                                ? "Remake the flare: overtightening does not fix it."
                                : "Torque to the target and apply torque stripe."
                        : "");
    }

    /** Short lengths to a hundredth of an inch. */
    private static String close(UnitSystem u, double metres) {
        Unit unit = u.unit(Dimension.LENGTH);
        return u == UnitSystem.US && metres < 0.25
                ? UnitSystem.figure(unit.fromSi(metres), 2) + " " + unit.symbol()
                : u.text(metres, Dimension.LENGTH);
    }

    private static String figure(double value) {
        return UnitSystem.figure(value, 0);
    }

    /** What is at hand against what its place needs: hose too long kinks, too short pulls. */
    private void supplied(Run run) {
        if (run.build().supplied().isEmpty() || run.length().isEmpty()) {
            return;
        }
        double have = run.build().supplied().get().si();
        double way = length(run);
        boolean hose = LineRules.construction(run).hose();
        double least = hose ? way : CutLength.of(system, run).length();
        double most = hose ? way * (1 + LineRules.MOST_SLACK) : Double.MAX_VALUE;
        boolean tooShort = have < least - 1e-6;
        boolean tooLong = have > most + 1e-6;
        add(
                Check.BUILD_LENGTH,
                run.id(),
                "Length on hand, " + run.name(),
                run,
                tooShort || tooLong ? Verdict.FAILS : Verdict.HOLDS,
                tooShort ? have / least : tooLong ? most / have * 0.95 : Finding.MET,
                u -> u.text(have, Dimension.LENGTH) + " on hand, "
                        + (hose
                                ? u.text(least, Dimension.LENGTH) + " to " + u.text(most, Dimension.LENGTH)
                                : "minimum " + u.text(least, Dimension.LENGTH))
                        + " needed"
                        + (tooLong ? ": it will kink." : tooShort ? ": it will pull." : "."),
                hose ? LineRules.HOSE_SOURCE : Checks.PRACTICE,
                tooShort || tooLong
                        ? "Have one made to " + CutLength.of(system, run).text() + " cut length."
                        : "");
    }

    /**
     * Rigid where ends are fixed, hose where they move; hose forward of the firewall sleeved or PTFE; nothing
     * temporary.
     */
    private void kinds(Run run) {
        RunBuild b = run.build();
        Construction made = LineRules.construction(run);
        if (b.marks().moving() && !made.hose()) {
            add(
                    Check.BUILD_MOVING,
                    run.id(),
                    "Movement of " + run.name(),
                    run,
                    Verdict.FAILS,
                    Finding.MISSED,
                    u -> "Its ends move relative to each other, and the line is "
                            + made.label().toLowerCase(Locale.ROOT) + ".",
                    basis.cite(Subject.LINES),
                    "Use a hose assembly.");
        }
        if (b.marks().temporary()) {
            add(
                    Check.BUILD_TEMPORARY,
                    run.id(),
                    "No temporary parts fitted",
                    run,
                    Verdict.FAILS,
                    Finding.MISSED,
                    u -> run.name() + " is marked as installed for ground runs only.",
                    Checks.PRACTICE,
                    "Replace it before flight and clear the Temporary box.");
        }
        if (made.hose() != (run.size().kind() == LineSize.Kind.HOSE)
                && run.size().kind() != LineSize.Kind.BORE
                && b.construction().isPresent()) {
            add(
                    Check.BUILD_KIND,
                    run.id(),
                    "Size and construction of " + run.name(),
                    run,
                    Verdict.FAILS,
                    Finding.MISSED,
                    u -> made.label() + " with the size " + run.size().label() + ".",
                    Checks.PRACTICE,
                    "Use a tube size for tube and a dash size for hose.");
        }
        forward(run, made);
    }

    /** 23.1183: lines on the engine's side of the firewall are fire resistant. */
    private void forward(Run run, Construction made) {
        if (run.build().construction().isEmpty()
                || system.firewall().isEmpty()
                || system.inlet().isEmpty()) {
            return;
        }
        double wall = system.firewall().get().station().si();
        double engine = Math.signum(system.inlet().get().place().point().x() - wall);
        boolean inBay = java.util.stream.Stream.of(run.from(), run.to())
                .flatMap(p -> system.point(p).stream())
                .anyMatch(p -> (p.x() - wall) * engine > 1e-6);
        if (!inBay) {
            return;
        }
        boolean holds = made == Construction.STEEL || run.build().marks().sleeved();
        add(
                Check.BUILD_FIRE,
                run.id(),
                "Fire resistance of " + run.name(),
                run,
                holds ? Verdict.HOLDS : Verdict.FAILS,
                holds ? Finding.MET : Finding.MISSED,
                u -> made.label()
                        + (run.build().marks().sleeved()
                                ? " in fire sleeve."
                                : holds ? "." : " without fire sleeve on the engine's side of the firewall."),
                basis.cite(Subject.FIRE),
                holds ? "" : "Fit fire sleeve, or use stainless tube.");
    }

    private void add(
            Check check,
            String of,
            String title,
            Run run,
            Verdict verdict,
            double ratio,
            Wording detail,
            String source,
            String remedy) {
        findings.add(new Finding(check, of, title, run.id(), verdict, ratio, detail, source, remedy));
    }
}
