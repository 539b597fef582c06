package ration.answer.signoff;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import ration.answer.assess.Asked;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Wanted;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.record.acceptance.SignOff;
import ration.record.evidence.Standing;
import ration.record.evidence.TestKind;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Measure;
import ration.verdict.check.Verdict;

/**
 * One line of the table.
 *
 * @param finding the finding it stands for
 * @param title of it
 * @param words in a sentence
 * @param basis where it comes from
 * @param needs what is asked; empty where it is no figure
 * @param predicted computed; empty where nothing is
 * @param measured by a test that counts, or did once; "not run" where one is asked for, empty where none is
 * @param struck whether what was measured no longer counts
 * @param verdict no better than Not shown while its test is missing
 * @param ratio for the notch bar
 * @param since day of the test it stands on; "never", "computed", or "outdated"
 * @param accepted by an inspector, as it was found then
 * @param point whose hand it is in
 */
public record Requirement(
        Finding finding,
        String title,
        String words,
        String basis,
        String needs,
        String predicted,
        String measured,
        boolean struck,
        Verdict verdict,
        double ratio,
        String since,
        Optional<SignOff.Accepted> accepted,
        Optional<SignOff.Point> point) {

    private static final String NEVER = "never";
    private static final String OUTDATED = "outdated";
    private static final String COMPUTED = "computed";
    private static final String NOT_RUN = "not run";

    /** Stable: the id of its finding. */
    public String id() {
        return finding.id();
    }

    public boolean open() {
        return verdict == Verdict.FAILS || verdict == Verdict.NOT_SHOWN;
    }

    /** What was accepted, where what is found now is another. */
    public boolean acceptedOtherwise() {
        return accepted.filter(a -> a.found().isEmpty()
                        ? !a.as().equals(as(finding))
                        : !a.found().equals(found(finding)))
                .isPresent();
    }

    /** A finding as it is accepted: its verdict and its words, in one system of units. */
    public static String as(Finding f) {
        return f.verdict().word() + "; " + f.detail().in(UnitSystem.US);
    }

    /**
     * A finding as it is compared with what was accepted: its verdict and its figure to three digits, whatever the
     * words are.
     */
    public static String found(Finding f) {
        return f.verdict().name().toLowerCase(java.util.Locale.ROOT)
                + f.measure()
                        .map(m -> String.format(java.util.Locale.ROOT, " %.3g %.3g", m.value(), m.limit()))
                        .orElse("");
    }

    /** As an inspector accepts it today. */
    public static SignOff.Accepted accept(Finding f, String name, String reason, java.time.LocalDate on) {
        return new SignOff.Accepted(f.id(), name, reason, on, as(f), found(f));
    }

    /** Every requirement, worst first. */
    public static List<Requirement> of(Assessment a, UnitSystem units) {
        List<Requirement> all = new ArrayList<>();
        a.asked().forEach(x -> all.add(line(a, x, units)));
        all.sort(Comparator.comparing(Requirement::verdict).reversed().thenComparing(Requirement::ratio));
        return all;
    }

    /** Key of the test that shows it; empty where none does. */
    public Optional<String> test(Assessment a) {
        Finding asked = finding.check() == Check.FLOW_MARGIN
                ? a.asked().stream()
                        .filter(x -> x.finding().id().equals(finding.id()))
                        .findFirst()
                        .flatMap(Asked::shownBy)
                        .orElse(finding)
                : finding;
        boolean drained = finding.check() == Check.TANK_UNUSABLE || finding.check() == Check.TANK_DRAIN_TEST;
        return drained
                ? a.program().tests().stream()
                        .map(TestProgram.Proof::wanted)
                        .filter(w -> w.kind() == TestKind.DRAIN && w.subject().equals(finding.item()))
                        .findFirst()
                        .map(Wanted::key)
                : proof(a, asked).map(p -> p.wanted().key());
    }

    private static Optional<TestProgram.Proof> proof(Assessment a, Finding f) {
        return a.program().tests().stream()
                .filter(p -> ("proof." + p.wanted().key()).equals(f.id()))
                .findFirst();
    }

    private static Line test(Assessment a, Finding f, UnitSystem u) {
        Optional<TestProgram.Proof> proof = proof(a, f);
        if (proof.isEmpty()) {
            return new Line("", "", "", false, COMPUTED);
        }
        TestProgram.Proof p = proof.get();
        boolean stale =
                p.standing().filter(s -> s.state() == Standing.State.STALE).isPresent();
        boolean done = p.record().filter(t -> t.progress().done()).isPresent();
        return new Line(
                p.outcome().needs().in(u),
                p.outcome().predicted().in(u),
                done ? p.outcome().measured().in(u) : NOT_RUN,
                done && !p.counts(),
                p.counts() ? p.record().orElseThrow().by().date() : stale ? OUTDATED : NEVER);
    }

    private record Line(String needs, String predicted, String measured, boolean struck, String since) {}

    private static Requirement line(Assessment a, Asked asked, UnitSystem u) {
        Finding f = asked.finding();
        Optional<Finding> shown = asked.shownBy();
        Line line = f.id().startsWith("proof.")
                ? test(a, f, u)
                : f.check() == Check.FLOW_MARGIN && shown.isPresent()
                        ? test(a, shown.get(), u)
                        : f.check() == Check.TANK_UNUSABLE
                                ? drained(a, f, u)
                                : new Line(
                                        f.measure()
                                                .map(m -> figure(m.limit(), m.dimension(), u))
                                                .orElse(""),
                                        f.measure()
                                                .map(m -> figure(m.value(), m.dimension(), u))
                                                .orElse(""),
                                        "",
                                        false,
                                        COMPUTED);
        String words = f.detail().in(u)
                + shown.filter(s -> s.verdict() != Verdict.HOLDS)
                        .map(s -> " " + s.detail().in(u))
                        .orElse("");
        SignOff said = a.project().signOff();
        return new Requirement(
                f,
                f.title(),
                words,
                f.source(),
                line.needs(),
                line.predicted(),
                line.measured(),
                line.struck(),
                asked.verdict(),
                asked.ratio(),
                line.since(),
                said.accepted(f.id()),
                said.point(f.id()));
    }

    private static Line drained(Assessment a, Finding f, UnitSystem u) {
        Optional<TankAnswer> tank = a.tank(f.item());
        String needs = f.measure().map(m -> figure(m.limit(), m.dimension(), u)).orElse("");
        String predicted = tank.map(t -> u.fineVolume(t.predicted().volume())).orElse("");
        return tank.flatMap(TankAnswer::drainedThere)
                .map(d -> new Line(needs, predicted, u.fineVolume(d.largest()), false, d.date()))
                .orElseGet(() -> tank.map(t -> t.evidence().stale())
                                .filter(s -> s.stream().anyMatch(t -> t.work().kind() == TestKind.DRAIN))
                                .isPresent()
                        ? new Line(needs, predicted, NOT_RUN, false, OUTDATED)
                        : new Line(needs, predicted, NOT_RUN, false, NEVER));
    }

    /** A figure; a difference of temperatures is no temperature. */
    private static String figure(double value, Dimension dimension, UnitSystem u) {
        return dimension == Dimension.TEMPERATURE
                ? u.difference(value)
                : dimension == Dimension.NUMBER ? UnitSystem.figure(value, 2) : u.text(value, dimension);
    }

    /** Whether there is a test of it that is no longer valid. */
    public boolean outdated() {
        return since.equals(OUTDATED);
    }

    /** Which side of its limit it should lie on, in a word; empty where it is no figure. */
    public String side() {
        return finding.measure()
                .map(m -> m.sense() == Measure.Sense.AT_LEAST ? "minimum" : "maximum")
                .orElse("");
    }
}
