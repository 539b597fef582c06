package ration.answer.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.aircraft.model.FingerScreen;
import ration.aircraft.model.Header;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.FlowBasis;
import ration.record.evidence.Inputs;
import ration.record.evidence.TankEvidence;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;
import ration.verdict.standard.Standard;
import ration.verdict.standard.Subject;

/** What is asked of tanks: placard, expansion space, sump, outlet screen, gauge zero, header reserve. */
final class TankChecks {

    private final Project project;
    private final FlowBasis basis;
    private final List<Finding> findings = new ArrayList<>();

    /** @param basis null while nothing can be computed */
    private TankChecks(Project project, FlowBasis basis) {
        this.project = project;
        this.basis = basis;
    }

    static List<Finding> of(Project project, List<TankAnswer> tanks, FlowBasis basis) {
        TankChecks checks = new TankChecks(project, basis);
        for (TankAnswer t : tanks) {
            if (!t.tank().outlets().isEmpty()) {
                checks.placard(t);
                checks.sump(t);
                checks.screen(t);
                checks.edge(t);
            }
            checks.expansion(t);
            checks.stale(t);
        }
        project.system().tanks().stream()
                .filter(t -> !t.outlets().isEmpty()
                        && tanks.stream().noneMatch(a -> a.tank().id().equals(t.id())))
                .forEach(checks::noAnswer);
        project.system().all(Header.class).forEach(checks::reserve);
        return checks.findings;
    }

    /** A tank whose shape does not close: what stays in it is not known, however little stays in the others. */
    private void noAnswer(Tank t) {
        findings.add(new Finding(
                Check.TANK_UNUSABLE,
                t.id(),
                Check.TANK_UNUSABLE.title() + ", " + t.name(),
                t.id(),
                Verdict.NOT_SHOWN,
                Finding.MISSED,
                u -> "Its outline is not closed: unusable fuel not computed.",
                "Computed from its shape",
                "Fix its corners on its card."));
    }

    private void add(
            Check check,
            String of,
            String title,
            TankAnswer t,
            Verdict verdict,
            double ratio,
            Finding.Wording detail,
            String source,
            String remedy) {
        findings.add(finding(check, of, title, t, verdict, ratio, detail, source, remedy));
    }

    private static Finding finding(
            Check check,
            String of,
            String title,
            TankAnswer t,
            Verdict verdict,
            double ratio,
            Finding.Wording detail,
            String source,
            String remedy) {
        return new Finding(
                check,
                t.tank().id() + of,
                title + ", " + t.tank().name(),
                t.tank().id(),
                verdict,
                ratio,
                detail,
                source,
                verdict == Verdict.HOLDS ? "" : remedy);
    }

    private static String found(TankAnswer.Source source) {
        return switch (source) {
            case DRAINED -> "the drain test";
            case LIKELY -> "a drain test at another attitude, scaled";
            case PUBLISHED -> "the manufacturer's figure";
            case PREDICTED -> "its shape";
        };
    }

    private void placard(TankAnswer t) {
        Finding.Wording detail = u -> "Placard " + u.text(t.placard(), Dimension.VOLUME) + " unusable; "
                + u.fineVolume(t.unusable()) + " needed by " + found(t.source())
                + t.attitude().map(a -> ", " + a.label()).orElse("") + ". Usable then is "
                + u.text(t.usable(), Dimension.VOLUME) + " of "
                + u.text(t.full(), Dimension.VOLUME) + ".";
        findings.add(finding(
                        Check.TANK_UNUSABLE,
                        "",
                        "Unusable fuel",
                        t,
                        t.verdict(),
                        Math.min(Finding.MET, t.ratio()),
                        detail,
                        cite(Subject.UNUSABLE_FUEL) + "; the largest of computed, drained and published",
                        "Raise the placarded unusable fuel, or move the outlet. Tanks ranks what helps.")
                .with(Measure.atMost(t.unusable(), t.placard(), Dimension.VOLUME))
                .because(() -> WhyTanks.placard(t, basis())));
        Optional<TankEvidence.Drained> there = t.drainedThere();
        if (there.isPresent()) {
            TankEvidence.Drained d = there.get();
            add(
                    Check.TANK_DRAIN_TEST,
                    "",
                    "Drain test",
                    t,
                    Verdict.HOLDS,
                    Finding.MET,
                    u -> u.fineVolume(d.mean()) + " unusable at "
                            + where(d) + ", " + d.trials()
                            + (d.trials() == 1 ? " trial" : " trials, spread " + u.fineVolume(d.scatter()))
                            + ", " + d.date() + ".",
                    cite(Subject.UNUSABLE_FUEL),
                    "");
            return;
        }
        add(
                Check.TANK_DRAIN_TEST,
                "",
                "Drain test",
                t,
                Verdict.NOT_SHOWN,
                Finding.MISSED,
                u -> t.evidence().drained().isEmpty()
                        ? "No valid drain test. " + u.fineVolume(t.predicted().volume()) + " is computed only."
                        : "Worst predicted attitude "
                                + t.predicted().attitude().label() + ": not drain-tested. "
                                + String.join(
                                        " ",
                                        t.evidence().drained().stream()
                                                .map(d -> "Tested: " + where(d) + ", " + u.fineVolume(d.mean())
                                                        + " unusable.")
                                                .toList())
                                + t.carried()
                                        .map(c -> " Measured ÷ predicted there "
                                                + UnitSystem.figure(c.ratio(), 2) + ", about "
                                                + u.fineVolume(c.likely()) + " at the worst attitude, \u00b1 "
                                                + u.fineVolume(c.scatter()) + " by the spread of the trials.")
                                        .orElse(""),
                cite(Subject.UNUSABLE_FUEL) + "; " + Checks.PRACTICE.toLowerCase(Locale.ROOT),
                "Run the drain test at that attitude (Hangar tests).");
    }

    private static String where(TankEvidence.Drained d) {
        return "pitch " + degrees(d.pitch()) + ", tilt " + degrees(d.tilt());
    }

    private static String degrees(double rad) {
        return UnitSystem.figure(Math.toDegrees(rad), 1).replaceAll("\\.0$", "") + "\u00b0";
    }

    private Standard basis() {
        return project.brief().choices().basis();
    }

    private String cite(Subject subject) {
        return basis().cite(subject);
    }

    private double figure(Subject subject, String name) {
        return basis().figure(subject, name);
    }

    private void expansion(TankAnswer t) {
        double need = figure(Subject.EXPANSION, "share") * t.body().capacity();
        double space = t.expansion();
        boolean clear = t.tank().vent().isPresent()
                && t.tank().fitout().vent().flatMap(v -> v.to()).isEmpty();
        Verdict verdict = space >= need ? Verdict.atLeast(space, need) : clear ? Verdict.HOLDS : Verdict.FAILS;
        findings.add(finding(
                        Check.TANK_EXPANSION,
                        "",
                        "Expansion space",
                        t,
                        verdict,
                        space >= need ? Math.min(Finding.MET, space / need) : clear ? Finding.MET : space / need,
                        u -> u.fineVolume(space) + " above full fuel; minimum "
                                + u.fineVolume(need) + ", 2% of the tank"
                                + (space < need && clear
                                        ? "; not required: the vent discharges clear of the aircraft"
                                        : t.tank().fitout().filler().isEmpty()
                                                ? "; filler neck height not entered: taken as filled to the top"
                                                : "")
                                + ".",
                        cite(Subject.EXPANSION),
                        "Lower the filler neck, or vent clear of the aircraft.")
                .because(() -> WhyTanks.expansion(t, basis())));
    }

    private void sump(TankAnswer t) {
        double need = Math.max(figure(Subject.SUMP, "share") * t.body().capacity(), figure(Subject.SUMP, "least"));
        double sump = t.sump();
        boolean drained = t.tank().drain().isPresent();
        Verdict verdict = !drained ? Verdict.NOT_SHOWN : Verdict.atLeast(Math.max(sump, 1e-12), need);
        add(
                Check.TANK_SUMP,
                "",
                "Sump",
                t,
                verdict,
                !drained ? Finding.MISSED : Math.min(Finding.MET, sump / need),
                u -> ounces(u, sump)
                        + " below the outlet, level and parked; minimum " + ounces(u, need)
                        + (drained ? "" : "; no sump drain") + ".",
                cite(Subject.SUMP),
                drained
                        ? "Add a sump below the outlet, or raise the outlet lip a little."
                        : "Select the tank and press D to add a sump drain.");
    }

    private void screen(TankAnswer t) {
        for (Outlet o : t.tank().outlets()) {
            Optional<FingerScreen> finger = o.finger();
            double need = figure(Subject.OUTLET_SCREEN, "area")
                    * Math.PI
                    * o.bore().si()
                    * o.bore().si()
                    / 4;
            double mostMesh = figure(Subject.OUTLET_SCREEN, "to");
            boolean mesh = finger.map(
                            f -> f.perInch() >= figure(Subject.OUTLET_SCREEN, "from") && f.perInch() <= mostMesh)
                    .orElse(false);
            boolean wide = finger.map(f -> f.diameter().si() >= o.bore().si()).orElse(false);
            double clear = finger.map(FingerScreen::clearArea).orElse(0.0);
            if (finger.isPresent() && finger.get().perInch() > mostMesh && sock(t.tank(), o)) {
                sock(t, o, finger.get(), need);
                continue;
            }
            Verdict verdict =
                    finger.isEmpty() ? Verdict.NOT_SHOWN : mesh && wide ? Verdict.atLeast(clear, need) : Verdict.FAILS;
            String which = t.tank().outlets().size() > 1 ? " " + o.name() : "";
            findings.add(new Finding(
                    Check.TANK_SCREEN,
                    t.tank().id() + "." + o.name(),
                    "Outlet screen" + which + ", " + t.tank().name(),
                    t.tank().id(),
                    verdict,
                    finger.isEmpty()
                            ? Finding.MISSED
                            : mesh && wide ? Math.min(Finding.MET, clear / need) : Finding.MISSED,
                    u -> finger.map(f -> UnitSystem.figure(f.perInch(), 0) + " mesh, open area " + area(u, clear)
                                    + "; minimum " + area(u, need) + ", five times the outlet"
                                    + (wide ? "" : "; finger strainer narrower than the outlet") + ".")
                            .orElse("Finger strainer not entered: mesh, wire, diameter, length."),
                    cite(Subject.OUTLET_SCREEN),
                    verdict == Verdict.HOLDS
                            ? ""
                            : finger.isEmpty()
                                    ? "Enter it on the tank's card."
                                    : "Fit a longer or wider finger strainer of 8 to 16 mesh."));
        }
    }

    /** Whether an outlet is the sock of a pump in the tank: 8 to 16 mesh is a line's finger strainer, not a sock. */
    private boolean sock(Tank tank, Outlet o) {
        return project.system()
                .runAt(new PortRef(tank.id(), o.name()))
                .flatMap(r -> project.system().item(r.to().item()))
                .flatMap(i -> i.only(Pump.class))
                .filter(p -> {
                    Point3 at = p.place().point();
                    return tank.solid().floorAt(at.x(), at.y()).stream().anyMatch(z -> at.z() >= z - SUNK)
                            && at.z() <= tank.solid().highest(new Point3(0, 0, 1));
                })
                .isPresent();
    }

    /** A pump under its tank's floor by so much still stands in its well, m. */
    private static final double SUNK = Unit.INCH.toSi(1);
    /** Openings of a sock, m: 70 to 100 micron are usual; common practice, no source. */
    private static final double FINEST = 60e-6;

    private static final double COARSEST = 150e-6;

    /** A sock goes by what it lets through and by its loss, which every flow case counts. */
    private void sock(TankAnswer t, Outlet o, FingerScreen f, double need) {
        double opening = Unit.INCH.toSi(1) / f.perInch() - f.wire().si();
        boolean usual = opening >= FINEST && opening <= COARSEST;
        double clear = f.clearArea();
        Verdict verdict = !usual ? Verdict.THIN : Verdict.HOLDS;
        findings.add(new Finding(
                Check.TANK_SCREEN,
                t.tank().id() + "." + o.name(),
                "Sock of the pump, " + t.tank().name(),
                t.tank().id(),
                verdict,
                usual ? Finding.MET : 1.02,
                u -> UnitSystem.figure(opening * 1e6, 0)
                        + " micron, 70 to 100 are usual before a pump in a tank; open area " + area(u, clear) + ", "
                        + UnitSystem.figure(5 * clear / need, 1)
                        + " times the outlet. Its loss is in every flow case.",
                Checks.PRACTICE,
                usual ? "" : "Fit a sock of 70 to 100 micron, or enter the pump manufacturer's figure."));
    }

    /** What of an outlet was measured: its height decides what stays. */
    private void edge(TankAnswer t) {
        List<Outlet> unsaid = t.tank().outlets().stream()
                .filter(o -> o.edge() == Outlet.Edge.UNSAID)
                .toList();
        if (!unsaid.isEmpty()) {
            Point3 up = t.predicted().attitude().gravity().up();
            double more = t.body()
                            .volumeBelow(up, t.body().stranded(up, t.feed()).level() + Unit.INCH.toSi(0.25))
                    - t.body().volumeBelow(up, t.body().stranded(up, t.feed()).level());
            add(
                    Check.TANK_EDGE,
                    "",
                    "Outlet reference point",
                    t,
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> "Outlet height: which point was measured? Floor lip, top of finger strainer, or"
                            + " center or lower edge of a side tube (air enters at the upper edge). A"
                            + " quarter of an inch here is "
                            + u.fineVolume(Math.max(0, more)) + ".",
                    Checks.PRACTICE,
                    "Enter it on the tank's card.");
        }
    }

    /** Which inputs of the records are no longer so; a moved tank side changes many at once. */
    private String changed(TankAnswer t) {
        List<Inputs.Change> changes = t.evidence().changes(project.asBuilt());
        String named = changes.stream()
                .limit(MOST_CHANGES)
                .map(Inputs.Change::words)
                .collect(java.util.stream.Collectors.joining("; "));
        return changes.isEmpty()
                ? ""
                : " " + named.substring(0, 1).toUpperCase(Locale.ROOT) + named.substring(1)
                        + (changes.size() > MOST_CHANGES ? "; and " + (changes.size() - MOST_CHANGES) + " more." : ".");
    }

    private static final int MOST_CHANGES = 3;

    private void stale(TankAnswer t) {
        if (!t.evidence().stale().isEmpty()) {
            int n = t.evidence().stale().size();
            add(
                    Check.TANK_STALE,
                    "",
                    "Tests still valid",
                    t,
                    Verdict.NOT_SHOWN,
                    Finding.MISSED,
                    u -> n + (n == 1 ? " test was" : " tests were")
                            + " run before a change of shape, outlet or gauge: kept on record, no longer valid."
                            + changed(t),
                    Checks.PRACTICE,
                    "Repeat the test, or undo the change.");
        }
    }

    /** Minutes a full header lasts at take-off demand; no standard asks for a number. */
    private void reserve(Header header) {
        if (project.brief().demand() > 0) {
            HeaderReserve reserve = HeaderReserve.of(project, basis, header);
            double minutes = reserve.seconds() / 60;
            findings.add(new Finding(
                            Check.TANK_RESERVE,
                            header.id(),
                            "Endurance of " + header.name(),
                            header.id(),
                            Verdict.HOLDS,
                            Finding.MET,
                            u -> u.text(header.capacity().si(), Dimension.VOLUME) + " lasts "
                                    + UnitSystem.figure(minutes, 1)
                                    + " min at takeoff demand with no inflow: "
                                    + u.text(reserve.drawn(), Dimension.FLOW) + " drawn from it"
                                    + (reserve.known() ? "" : ", if all goes to the engine")
                                    + ".",
                            Checks.PRACTICE + "; information only",
                            "")
                    .because(() -> WhyTanks.reserve(header, reserve)));
        }
    }

    private static String ounces(UnitSystem u, double m3) {
        return u == UnitSystem.US
                ? UnitSystem.figure(Unit.GALLON.fromSi(m3) * 128, 1) + " fl oz"
                : UnitSystem.figure(m3 * 1e6, 0) + " mL";
    }

    private static String area(UnitSystem u, double m2) {
        return u == UnitSystem.US
                ? UnitSystem.figure(m2 / Unit.INCH.toSi(1) / Unit.INCH.toSi(1), 2) + " in\u00b2"
                : UnitSystem.figure(m2 * 1e6, 0) + " mm\u00b2";
    }
}
