package ration.answer.ask;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.StartingCase;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** Two tanks teed low: which feeds faster and why. */
class WhichTankTest {

    private static final Project TEED = Pattern.GRAVITY_TEED.project();

    private static WhichTank ask(Project p, Condition c) {
        return WhichTank.of(Assessment.of(p), c).orElseThrow();
    }

    private static Condition with(Project p, double left, double right) {
        Map<String, Double> full = Assessment.of(p).fill(Contents.FULL);
        return StartingCase.of(p)
                .withContents(Map.of(left(p), full.get(left(p)) * left, right(p), full.get(right(p)) * right));
    }

    private static String left(Project p) {
        return p.system().tanks().get(0).id();
    }

    private static String right(Project p) {
        return p.system().tanks().get(1).id();
    }

    /**
     * At the meeting both have the same head: what drives each, height and vent, is what its line costs more than the
     * other's.
     */
    @Test
    void heightAndVentMakeUpTheLoss() {
        for (double right : new double[] {0.95, 0.9}) {
            WhichTank w = ask(TEED, with(TEED, 1, right));
            WhichTank.Share a = w.tanks().get(0);
            WhichTank.Share b = w.tanks().get(1);
            assertThat(a.tank()).isEqualTo(left(TEED));
            assertThat(a.height() + a.vent() - b.height() - b.vent())
                    .isCloseTo(a.loss() - b.loss(), Offset.offset(1e-9));
            assertThat(w.tanks().stream().mapToDouble(WhichTank.Share::share).sum())
                    .isCloseTo(1, Offset.offset(1e-9));
            w.shares().ifPresent(s -> {
                assertThat(s.height() + s.vent() + s.line()).isCloseTo(s.all(), Offset.offset(1e-9));
                assertThat(s.height()).isPositive();
                assertThat(s.vent()).isCloseTo(0, Offset.offset(1e-9));
            });
        }
    }

    /** At even levels and vents only the line is left to tell them apart: a wider one leads, and by nothing else. */
    @Test
    void anEasierLineLeadsByItsShareAlone() {
        Tank slow = TEED.system().tanks().get(1);
        Run line = TEED.system().runs().stream()
                .filter(r -> r.from().item().equals(slow.id()))
                .findFirst()
                .orElseThrow();
        Project wide =
                TEED.with(TEED.system().change(line.id(), Run.class, r -> r.withSize(LineSize.parse("0.5 in bore"))));
        WhichTank w = ask(wide, with(wide, 1, 1));
        assertThat(w.tanks().get(0).tank()).isEqualTo(slow.id());
        WhichTank.Shares s = w.shares().orElseThrow();
        assertThat(s.line()).isPositive();
        assertThat(s.height()).isCloseTo(0, Offset.offset(1e-6));
    }

    /** The lean that is told evens them: there the two give alike, and a degree further the other leads. */
    @Test
    void theLeanToldEvensThem() {
        Condition c = with(TEED, 1, 0.95);
        WhichTank w = ask(TEED, c);
        double lean = w.evens().orElseThrow();
        Condition even = c.with(new ration.aircraft.condition.Attitude("Leaned", 0, Math.toRadians(lean)));
        WhichTank there = ask(TEED, even);
        assertThat(there.tanks().get(0).flow())
                .isCloseTo(
                        there.tanks().get(1).flow(),
                        Offset.offset(0.06 * there.tanks().get(0).flow() + 1e-8));
        WhichTank beyond = ask(
                TEED,
                c.with(new ration.aircraft.condition.Attitude("Leaned", 0, Math.toRadians(lean + Math.signum(lean)))));
        assertThat(beyond.tanks().get(0).tank()).isEqualTo(w.tanks().get(1).tank());
    }

    /** One tank at a time on the selector: the question does not arise. */
    @Test
    void oneTankAtATimeIsNotAsked() {
        Project demo = Systems.corrie();
        assertThat(WhichTank.of(Assessment.of(demo), StartingCase.of(demo))).isEmpty();
    }
}
