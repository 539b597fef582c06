package ration.publish.packet;

import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.answer.assess.Asked;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.UsualFlight;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.HiddenSearch;
import ration.answer.signoff.Requirement;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What every page of a packet draws from: the answers of one document on one day, each worked out once. */
final class Dossier {

    private final Assessment assessment;
    private final UnitSystem units;
    private final LocalDate today;
    private final Task task;
    private final Packet.Given given;
    private final List<Requirement> requirements;
    private double done;
    private double span = 1;
    private List<FaultAnswer> failures;
    private Optional<HiddenSearch> hidden;
    private Optional<Flight> flight;

    Dossier(Assessment assessment, UnitSystem units, LocalDate today, Task task, Packet.Given given) {
        this.assessment = assessment;
        this.units = units;
        this.today = today;
        this.task = task;
        this.given = given;
        requirements = Requirement.of(assessment, units);
    }

    Assessment assessment() {
        return assessment;
    }

    Project project() {
        return assessment.project();
    }

    FuelSystem system() {
        return project().system();
    }

    UnitSystem units() {
        return units;
    }

    LocalDate today() {
        return today;
    }

    /** Where the document stands, and so the files that belong to it; empty where it was never saved. */
    Optional<Path> document() {
        return given.document();
    }

    /** The document as the last packet had it; empty where there is none. */
    Optional<Assessment> before() {
        return given.before();
    }

    List<Requirement> requirements() {
        return requirements;
    }

    List<Requirement> requirements(Predicate<Requirement> which) {
        return requirements.stream().filter(which).toList();
    }

    /** Whether anything flows that could fail. */
    boolean flows() {
        return assessment.basis().isPresent();
    }

    /** A part of the packet is begun: what it works out tells how far it is within this share of the whole. */
    void begin(double from, double share) {
        done = from;
        span = share;
    }

    private Task within(double from, double share) {
        double base = done;
        double wide = span;
        return new Task(x -> task.progress().accept(base + wide * (from + share * x)), task.cancelled());
    }

    /** Every part failing once; none where nothing flows. */
    List<FaultAnswer> failures() {
        if (failures == null) {
            Task some = within(0, 0.4);
            failures = given.failures()
                    .orElseGet(() ->
                            flows() ? FaultSearch.of(assessment, units, some.progress(), some.cancelled()) : List.of());
        }
        return failures;
    }

    /** One that waits and one more; empty where that was not asked or was stopped. */
    Optional<HiddenSearch> hidden() {
        if (hidden == null) {
            hidden = given.hidden()
                    .or(() -> flows() && !failures().isEmpty()
                            ? HiddenSearch.of(assessment, failures(), units, within(0.4, 0.6))
                            : Optional.empty());
        }
        return hidden;
    }

    /** Why no flight is flown; empty where one is. */
    Optional<String> grounded() {
        return flows()
                ? FlightRun.refusal(system(), UsualFlight.meant(project()))
                : Optional.of("the layout is not computed yet.");
    }

    /** The flight planned, or a usual one. */
    Optional<Flight> flight() {
        if (flight == null) {
            flight = grounded().isEmpty()
                    ? Optional.of(FlightRun.of(assessment, UsualFlight.meant(project())))
                    : Optional.empty();
        }
        return flight;
    }

    /** What fails or is not shown, the worst first. */
    List<Asked> open() {
        return assessment.asked().stream()
                .filter(Asked::open)
                .sorted(Comparator.comparing(Asked::verdict).reversed())
                .toList();
    }

    /** Parts that are due, or of an age nobody knows. */
    List<Due> due() {
        return Due.falling(project().upkeep(), today).stream()
                .filter(d -> open(d.verdict()))
                .toList();
    }

    static boolean open(Verdict v) {
        return v == Verdict.FAILS || v == Verdict.NOT_SHOWN;
    }

    /** The worst of some verdicts; not shown where there is none. */
    static Verdict worst(List<Verdict> all) {
        return all.stream().reduce(Verdict::worse).orElse(Verdict.NOT_SHOWN);
    }

    /** Of all findings on these topics; not shown where there is none. */
    Verdict worst(Check.Topic... topics) {
        List<Verdict> all = new ArrayList<>();
        for (Check.Topic t : topics) {
            assessment.findings().stream()
                    .filter(f -> f.topic() == t)
                    .map(Finding::verdict)
                    .forEach(all::add);
        }
        return worst(all);
    }

    /** The page that a finding is worked out on. */
    String page(Finding f) {
        return switch (f.topic()) {
            case FLOW, ELECTRICAL -> FlowSheet.KEY;
            case VAPOR -> VaporSheet.KEY;
            case RUNS -> LinesSheet.KEY;
            case TANKS, AIR ->
                system().tanks().stream().anyMatch(t -> t.id().equals(f.item()))
                        ? TankSheet.key(f.item())
                        : LinesSheet.KEY;
            case HANGAR, LAYOUT -> ComplianceSheet.KEY;
        };
    }

    /** Parts that are neither tanks nor lines: they have no page of their own. */
    List<Item> parts() {
        return system().items().stream()
                .filter(i -> !system().tanks().contains(i) && !system().runs().contains(i))
                .toList();
    }

    Attitude parked() {
        return project().brief().envelope().attitudes().get(0);
    }

    /** A length as its unit's figure, without the unit. */
    String length(double m) {
        return units.figure(m, Dimension.LENGTH);
    }

    String lengthUnit() {
        return units.unit(Dimension.LENGTH).symbol();
    }

    /** A number and what it counts. */
    static String count(int n, String one, String many) {
        return n + " " + (n == 1 ? one : many);
    }
}
