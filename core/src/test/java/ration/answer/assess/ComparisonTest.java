package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.evidence.Standing;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Two states of one aircraft: what was changed, what it did, which tests it ended. */
class ComparisonTest {

    private static final Project CORRIE = Systems.corrie();
    private static final Assessment BEFORE = Assessment.of(CORRIE);

    private static Comparison with(Project other) {
        return Comparison.of(BEFORE, Assessment.of(other), UnitSystem.US);
    }

    @Test
    void theSameIsTheSame() {
        Comparison c = with(Systems.corrie());
        assertThat(c.changes()).isEmpty();
        assertThat(c.findings()).isEmpty();
        assertThat(c.ended()).isEmpty();
        assertThat(c.sentence()).isEqualTo("No change since.");
        assertThat(c.ledger()).hasSize(4).noneMatch(Comparison.Figure::changed);
    }

    /** A larger tube on the line that governs: the margin moves, and no test of a tank is touched. */
    @Test
    void aTubeMovesTheMarginAndEndsNoDrainTest() {
        Comparison c = with(CORRIE.with(
                CORRIE.system().change("r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035 tube")))));
        assertThat(c.changes()).contains("R3: size was 5/16, now 3/8");
        assertThat(c.ledger().get(0).changed()).isTrue();
        assertThat(c.ended())
                .extracting(Comparison.Ended::title)
                .containsExactly("Nose-up flow, UPPER", "Overnight leak check");
        assertThat(c.findings()).isNotEmpty();
        assertThat(c.sentence())
                .startsWith("Since then: R3: size was 5/16, now 3/8")
                .contains(
                        "Flow margin 1.12\u00d7 Fails, now ",
                        "Tests no longer valid: Nose-up flow, UPPER (R3: size was 5/16 x 0.035 tube, now 3/8"
                                + " x 0.035 tube)");
    }

    /** A moved outlet ends the tests of its tank, each by that cause; an undone edit brings them back. */
    @Test
    void aMovedOutletEndsTheTestsOfItsTankByName() {
        List<HangarTest> done = CORRIE.tests().stream()
                .filter(t ->
                        Standing.of(t, CORRIE.asBuilt()).counts() && t.subject().equals("upper"))
                .toList();
        assertThat(done).isNotEmpty();
        Project moved = CORRIE.with(CORRIE.system()
                .change(
                        "upper",
                        Tank.class,
                        t -> t.withOutlets(t.outlets().stream()
                                .map(o -> o.at(o.place().raised(Unit.INCH.toSi(0.25))))
                                .toList())));
        Comparison c = with(moved);
        assertThat(c.ended())
                .extracting(Comparison.Ended::test)
                .containsAll(done.stream().map(HangarTest::id).toList());
        assertThat(c.ended())
                .extracting(Comparison.Ended::title)
                .contains("Nose-up flow, UPPER")
                .doesNotContain("Overnight leak check", "Selector OFF");
        assertThat(c.ended()).allSatisfy(e -> assertThat(e.causes())
                .anyMatch(w -> (w.contains("water line was ") || w.contains("outlet wl was ")) && w.contains("now ")));
        assertThat(Comparison.of(Assessment.of(moved), BEFORE, UnitSystem.US).ended())
                .as("undone")
                .isEmpty();
        Project without = CORRIE.withTests(List.of());
        assertThat(with(without).ended())
                .hasSameSizeAs(CORRIE.tests().stream()
                        .filter(t -> Standing.of(t, CORRIE.asBuilt()).counts())
                        .toList())
                .allSatisfy(e -> assertThat(e.causes()).containsExactly("its record is missing"));
    }

    /**
     * Any figure of any part changed: a test ends if and only if a line it rests on is another, and it names that line.
     */
    @Test
    void aTestEndsExactlyWhenWhatItRestsOnChanges() {
        Random random = new Random(2026);
        int ended = 0;
        int kept = 0;
        for (int n = 0; n < 160; n++) {
            List<Item> items = CORRIE.system().items();
            Item item = items.get(random.nextInt(items.size()));
            List<Field> fields = FieldSheet.of(item);
            if (fields.isEmpty()) {
                continue;
            }
            Field f = fields.get(random.nextInt(fields.size()));
            Measured was = f.get().apply(item);
            Measured now = was.with(Quantity.of(
                    was.quantity().value() * (1.02 + random.nextDouble()) + 0.01,
                    was.quantity().unit()));
            Project next;
            try {
                next = CORRIE.with(CORRIE.system().replace(f.with().apply(item, now)));
            } catch (IllegalArgumentException e) {
                continue; // the part cannot be so
            }
            List<Comparison.Ended> gone = Comparison.ended(CORRIE, next);
            for (HangarTest t : CORRIE.tests().stream()
                    .filter(x -> Standing.of(x, CORRIE.asBuilt()).counts())
                    .toList()) {
                Inputs before = Standing.restsOn(CORRIE.asBuilt(), t.subject(), t.work());
                Inputs after = Standing.restsOn(next.asBuilt(), t.subject(), t.work());
                boolean changed = !before.equals(after);
                assertThat(gone.stream().anyMatch(e -> e.test().equals(t.id())))
                        .as(item.name() + ", " + f.label() + ": " + before.changed(after))
                        .isEqualTo(changed);
                ended += changed ? 1 : 0;
                kept += changed ? 0 : 1;
            }
            assertThat(gone).allSatisfy(e -> assertThat(e.causes()).noneMatch(c -> c.startsWith("its record")));
        }
        assertThat(ended).isGreaterThan(40);
        assertThat(kept).isGreaterThan(400);
    }

    /** A turned finding tells both verdicts; one that is new or gone says so. */
    @Test
    void findingsThatTurnAreTold() {
        Comparison c = with(CORRIE.with(CORRIE.system()
                .change(
                        "fuselage",
                        Tank.class,
                        t -> t.with(t.fitout().with(ration.aircraft.model.Fitout.Piece.SECOND_AIR, true)))));
        assertThat(c.findings()).anySatisfy(t -> {
            assertThat(t.title()).contains("Blocked vent of Fuselage tank");
            assertThat(t.was()).isEqualTo(Optional.of(Verdict.FAILS));
            assertThat(t.is()).isEqualTo(Optional.of(Verdict.HOLDS));
        });
    }
}
