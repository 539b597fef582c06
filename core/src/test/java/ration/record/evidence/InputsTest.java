package ration.record.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.Systems;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.TestsCsv;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** What a record rests on: it ends when, and only when, one of its inputs is no longer so, and says which. */
class InputsTest {

    static Stream<Tank> tanks() {
        return Stream.concat(
                        Stream.of("corrie-b1", "brindle-a2", "tansy-l3").map(Systems::demo),
                        Stream.of(Pattern.values()).map(Pattern::project))
                .flatMap(p -> p.system().tanks().stream());
    }

    /** Every figure of every tank changed by itself: the record ends exactly where an input is named. */
    @ParameterizedTest
    @MethodSource("tanks")
    void aRecordEndsExactlyWhereAnInputChanged(Tank tank) {
        int ended = 0;
        for (Field field : FieldSheet.of(tank)) {
            Measured now = field.get().apply(tank);
            Tank changed = (Tank) field.with()
                    .apply(
                            tank,
                            now.with(Quantity.of(
                                    now.quantity().value() + 0.25,
                                    now.quantity().unit())));
            boolean same = Fingerprint.of(changed).equals(Fingerprint.of(tank));
            List<Inputs.Change> named = Inputs.of(tank).changed(Inputs.of(changed));
            assertThat(named.isEmpty()).as(field.key() + " " + named).isEqualTo(same);
            ended += same ? 0 : 1;
        }
        assertThat(ended).isPositive();
        assertThat(Inputs.of(tank).changed(Inputs.of(tank.raised(Unit.INCH.toSi(3)))))
                .as("moved as a whole")
                .isEmpty();
        assertThat(Inputs.of(tank).changed(Inputs.of(tank.renamed("Another")))).isEmpty();
    }

    @Test
    void theFindingAndTheFileTellWhatChanged() throws Exception {
        Project demo = Systems.corrie();
        Tank tank = (Tank) demo.system().item("upper").orElseThrow();
        HangarTest drained = demo.tests().stream()
                .filter(t -> t.subject().equals("upper") && t.progress().done() && t.work() instanceof Work.Drain)
                .findFirst()
                .orElseThrow();
        Project kept = demo.with(drained.with(drained.by().on(tank)));
        Project saved = ProjectFile.read(ProjectFile.text(kept).getBytes(StandardCharsets.UTF_8), "kept.ration");
        assertThat(saved.test(drained.id()).orElseThrow().by().inputs()).isEqualTo(Inputs.of(tank));
        assertThat(TestsCsv.read(TestsCsv.write(saved.tests())))
                .filteredOn(t -> t.id().equals(drained.id()))
                .singleElement()
                .satisfies(t -> assertThat(t.by().inputs()).isEqualTo(Inputs.of(tank)));
        Tank higher = tank.withOutlets(tank.outlets().stream()
                .map(o -> o.at(o.place().raised(Unit.INCH.toSi(0.5))))
                .toList());
        String detail = Assessment.of(saved.with(saved.system().replace(higher))).findings().stream()
                .filter(f -> f.check() == ration.verdict.check.Check.TANK_STALE)
                .findFirst()
                .orElseThrow()
                .detail()
                .in(UnitSystem.US);
        assertThat(detail)
                .contains("no longer valid", "was", "now")
                .containsPattern("Outlet, air comes in, water line was .* in, now .* in\\.");
        assertThat(Assessment.of(saved.with(saved.system().replace(tank.renamed("Roof tank"))))
                        .findings())
                .noneMatch(f -> f.check() == ration.verdict.check.Check.TANK_STALE
                        && f.item().equals("upper"));
    }

    @Test
    void changesAreWordedBothWays() {
        assertThat(new Inputs.Change("gauge foot, water line", "1.000 in", "1.250 in").words())
                .isEqualTo("gauge foot, water line was 1.000" + " in, now 1.250 in");
        assertThat(new Inputs.Change("well 1, length", "", "4.000 in").words())
                .isEqualTo("well 1, length is new: 4.000 in");
        assertThat(new Inputs.Change("well 1, length", "4.000 in", "").words())
                .isEqualTo("well 1, length was 4.000 in, now there is none");
        assertThat(Inputs.NONE.changed(new Inputs(java.util.Map.of("a", "b")))).isEmpty();
    }
}
