package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.FlowSender;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What a flow sender counts, by where it stands; the error is the handbook's of the trade (7, section 11, from memory).
 */
class SenderChecksTest {

    /** A sender put into the run that comes to a port. */
    private static Project with(Project p, String id, PortRef at) {
        Run run = p.system().runAt(at).orElseThrow();
        FlowSender sender = new FlowSender(new Tag(id, id, Place.inches(40, 0, 40)), Rated.of(20, 0.05, "bench"));
        boolean comes = run.to().equals(at);
        return p.with(p.system()
                .plus(sender)
                .change(
                        run.id(),
                        Run.class,
                        r -> comes
                                ? r.between(r.from(), new PortRef(id, Item.IN))
                                : r.between(new PortRef(id, Item.OUT), r.to()))
                .plus(new Run(
                        id + "-run",
                        id + " run",
                        comes ? new PortRef(id, Item.OUT) : at,
                        comes ? at : new PortRef(id, Item.IN),
                        run.size(),
                        Optional.empty(),
                        List.of(),
                        List.of())));
    }

    private static Optional<Finding> of(Project p, String sender) {
        return Assessment.ahead(p, Optional.empty()).findings().stream()
                .filter(f -> f.check() == Check.SENDER_COUNTS && f.item().equals(sender))
                .findFirst();
    }

    @Test
    void in_a_line_that_nothing_leaves_it_counts_what_is_burned() {
        Project p = with(Systems.corrie(), "counter", new PortRef("carburettor", Item.IN));
        assertThat(of(p, "counter").orElseThrow().verdict()).isEqualTo(Verdict.HOLDS);
    }

    @Test
    void before_a_spill_it_counts_what_is_pumped_and_with_one_in_the_return_both() {
        Project rail = Systems.demo("collector-sump");
        Project one = with(rail, "counter", new PortRef("rail", Item.IN));
        Finding alone = of(one, "counter").orElseThrow();
        assertThat(alone.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(alone.detail().in(UnitSystem.US)).startsWith("What is pumped, not what is burned");
        Project two = with(one, "back", new PortRef("regulator", Item.OUT));
        Finding both = of(two, "counter").orElseThrow();
        assertThat(both.verdict()).isIn(Verdict.HOLDS, Verdict.THIN);
        assertThat(both.detail().in(UnitSystem.US)).contains("feed less return", "\u00b1");
        assertThat(of(two, "back")).isEmpty();
    }

    /** A sender with a line of so many bores to a square bend before it, and one that goes straight on behind it. */
    private static Optional<Finding> bent(double bores) {
        Project p = with(Systems.corrie(), "counter", new PortRef("carburettor", Item.IN));
        Run into = p.system().runAt(new PortRef("counter", Item.IN)).orElseThrow();
        double inches = Unit.INCH.fromSi(bores * into.size().bore());
        Project laid = p.with(p.system()
                .replace(into.withPoints(List.of(Place.inches(40 + inches, 30, 40), Place.inches(40 + inches, 0, 40)))
                        .withLength(Optional.<Measured>empty())));
        return Assessment.ahead(laid, Optional.empty()).findings().stream()
                .filter(f -> f.check() == Check.SENDER_STRAIGHT)
                .findFirst();
    }

    /** Common practice, no source, uncertain: 5 bores at least. */
    @Test
    void a_bend_close_to_a_rotor_is_told() {
        assertThat(bent(4).orElseThrow().verdict()).isEqualTo(Verdict.THIN);
        assertThat(bent(4).orElseThrow().detail().in(UnitSystem.US)).startsWith("Straight for 4.0 bores before it");
        assertThat(bent(6).orElseThrow().verdict()).isEqualTo(Verdict.HOLDS);
    }

    /** 40 and 31 gph at 1%: 9 gph within 0.5061, 5.623%. */
    @Test
    void the_error_of_a_difference_is_that_of_both() {
        assertThat(SenderChecks.error(40, 31, 0.01)).isCloseTo(0.5061, within(5e-5));
        assertThat(SenderChecks.error(40, 31, 0.01) / 9).isCloseTo(0.05623, within(5e-6));
    }
}
