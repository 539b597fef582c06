package ration.aircraft.flight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.record.file.ProjectFile;
import ration.record.project.Project;

/** A stretch of a flight: what the fuel feels of it. */
class PhaseTest {

    private static final Phase CRUISE = Phase.of(Phase.Kind.CRUISE, 60, 65, 0, 4000, false);

    /**
     * A level turn at 30 degrees of bank loads 1.155 g, at 60 degrees 2 g (statics of a level turn); the fuel stays
     * level.
     */
    @Test
    void aCoordinatedTurnLoadsTheFuelAndDoesNotTiltIt() {
        Phase turning = CRUISE.withTurn(Quantity.of(30, Unit.DEGREE));
        assertThat(turning.attitude().load()).isCloseTo(1.1547, Offset.offset(1e-4));
        assertThat(turning.attitude().tiltRad()).isZero();
        assertThat(CRUISE.withTurn(Quantity.of(-60, Unit.DEGREE)).attitude().load())
                .isCloseTo(2, Offset.offset(1e-9));
        assertThat(turning.withTurn(Quantity.of(0, Unit.DEGREE))).isEqualTo(CRUISE);
        Phase slipping = CRUISE.withTilt(Quantity.of(5, Unit.DEGREE));
        assertThat(slipping.attitude().load()).isEqualTo(1);
        assertThat(Math.toDegrees(slipping.attitude().tiltRad())).isCloseTo(5, Offset.offset(1e-9));
        assertThatThrownBy(() -> CRUISE.withTurn(Quantity.of(75, Unit.DEGREE)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("bank within");
    }

    /**
     * By gravity a head that weighs more brings more: in an open line as the root of the load where loss grows with the
     * square.
     */
    @Test
    void aTurnBringsMoreByGravity() {
        Project p = Systems.corrie();
        Assessment a = Systems.assessedCorrie();
        var level = a.governing().orElseThrow().condition().with(CRUISE.attitude());
        var turning = level.with(CRUISE.withTurn(Quantity.of(30, Unit.DEGREE)).attitude());
        double before = a.look(level).orElseThrow().openLine().inletFlow();
        double after = a.look(turning).orElseThrow().openLine().inletFlow();
        assertThat(after / before).isCloseTo(Math.sqrt(1.1547), Percentage.withPercentage(1.5));
        assertThat(p.system().hasPump()).isFalse();
    }

    @Test
    void aTurnIsKeptInTheFile() throws Exception {
        Project p = Systems.corrie();
        FlightPlan plan = UsualFlight.meant(p);
        FlightPlan turned =
                plan.withPhases(List.of(plan.phases().get(0), CRUISE.withTurn(Quantity.of(20, Unit.DEGREE))));
        Project saved = p.with(turned);
        assertThat(ProjectFile.read(ProjectFile.text(saved).getBytes(StandardCharsets.UTF_8), "turned"))
                .isEqualTo(saved);
    }
}
