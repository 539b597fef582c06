package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.OptionalDouble;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.answer.ask.HowSteep.Point;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.drawing.SteepPicture;
import ration.record.project.Project;

class HowSteepTest {

    private static final Project DEMO = Systems.corrie();
    private static Assessment assessment;
    private static Condition fuselage;
    private static HowSteep steep;

    @BeforeAll
    static void ask() {
        assessment = Assessment.of(DEMO);
        fuselage = StartingCase.of(DEMO).withPositions(Map.of("selector", "FUSELAGE"));
        steep = HowSteep.of(assessment, fuselage, Task.QUIET).orElseThrow();
    }

    private static CaseAnswer at(Point p, double degrees) {
        return assessment
                .look(fuselage.with(Attitude.ofDegrees("Pitched", degrees, 0)).withContents("fuselage", p.volume()))
                .orElseThrow();
    }

    /** Solved on either side of each limit: it holds on this side, and is short a tenth of a degree beyond. */
    @Test
    void itHoldsToTheLimitAndNoFurther() {
        assertThat(steep.feeding()).containsExactly("fuselage");
        for (Point p : steep.points()) {
            for (HowSteep.Limit l : new HowSteep.Limit[] {p.up(), p.down()}) {
                double beyond = l.degrees() + (l == p.up() ? 0.1 : -0.1);
                if (l.degrees() != 0) {
                    assertThat(at(p, l.degrees()).ratio()).isGreaterThanOrEqualTo(1);
                }
                assertThat(l.open() || at(p, beyond).ratio() < 1)
                        .as(p + " " + l)
                        .isTrue();
            }
        }
    }

    /**
     * More fuel stands higher: the climb it allows does not get less; the climb of the brief is short on low fuel, as
     * its case says.
     */
    @Test
    void moreFuelAllowsASteeperClimb() {
        for (int i = 1; i < steep.points().size(); i++) {
            assertThat(steep.points().get(i).up().degrees())
                    .isGreaterThanOrEqualTo(steep.points().get(i - 1).up().degrees() - 0.06);
        }
        OptionalDouble least = steep.least(17);
        assertThat(least).isPresent();
        CaseAnswer low = assessment.cases().stream()
                .filter(c -> c.condition().attitude().name().equals("Climb")
                        && c.condition().positions().containsValue("FUSELAGE")
                        && c.filling().is(ration.aircraft.condition.Contents.LAST_USABLE)
                        && !c.condition().engine().fouled())
                .findFirst()
                .orElseThrow();
        assertThat(low.ratio()).isLessThan(1);
        assertThat(low.condition().contents().get("fuselage")).isLessThan(least.getAsDouble());
        assertThat(steep.on(least.getAsDouble()).orElseThrow().up().degrees()).isGreaterThanOrEqualTo(17);
        assertThat(steep.on(0)).isEmpty();
        assertThat(SteepPicture.words(steep, DEMO.brief().envelope(), UnitSystem.US))
                .startsWith("Climb 17\u00b0 OK from ");
    }

    /** What stands clear ends it under the outlet; nothing computed, nothing feeding or a stop give no answer. */
    @Test
    void saysNothingWhereNothingIsKnown() {
        assertThat(steep.points().get(0).up().air()
                        || steep.points().get(0).down().air())
                .isTrue();
        assertThat(HowSteep.of(assessment, fuselage.withPositions(Map.of("selector", "OFF")), Task.QUIET))
                .isEmpty();
        assertThat(HowSteep.of(assessment, fuselage, new Task(s -> {}, () -> true)))
                .isEmpty();
        assertThat(HowSteep.of(Assessment.of(Project.empty()), StartingCase.of(Project.empty()), Task.QUIET))
                .isEmpty();
    }

    /** The picture draws the limits where the figures are, and every point of them. */
    @Test
    void theDrawingSaysTheSame() {
        var picture = SteepPicture.draw(steep, DEMO.brief().envelope(), 0.01, UnitSystem.METRIC, 560, 200);
        assertThat(picture.texts()).contains("Climb 17\u00b0", "flow OK", "now", "liters in the tanks that feed");
        long marked = picture.pieces().stream()
                .flatMap(p -> p.marks().stream())
                .filter(m -> m.getClass().getSimpleName().equals("Disc"))
                .count();
        long ended = steep.points().stream().filter(p -> !p.up().open()).count()
                + steep.points().stream().filter(p -> !p.down().open()).count();
        assertThat(marked).isEqualTo(ended);
        assertThat(steep.least(-100)).isEmpty();
        assertThat(steep.on(steep.points().get(3).volume()).orElseThrow().up().degrees())
                .isCloseTo(steep.points().get(3).up().degrees(), Offset.offset(1e-9));
    }
}
