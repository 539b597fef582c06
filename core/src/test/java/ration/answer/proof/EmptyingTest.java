package ration.answer.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Handles;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.TankBody;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.verdict.check.Verdict;

/** A tank emptied by its drain, against the closed form of a tank with straight walls. */
class EmptyingTest {

    private static final Point3 UP = Attitude.ofDegrees("Level", 0, 0).gravity().up();

    /** Floor of 20 x 18 in, 16 in high, its drain so far over the floor. */
    private static Tank tank(double over) {
        return Systems.tank("t", 0, 0, 0)
                .withShape(new TankShape.Box(Place.inches(-10, -9, 0), Systems.in(20), Systems.in(18), Systems.in(16)))
                .withDrain(Optional.of(Place.inches(0, 0, over)));
    }

    private static Emptying of(Tank tank, double inches, double bore) {
        double volume = Unit.CUBIC_INCH.toSi(360 * inches);
        return Emptying.of(TankBody.of(tank), UP, tank.drain().orElseThrow().point(), volume, Unit.INCH.toSi(bore));
    }

    /** 360 in2, 16 in over a hole of 0.250 in, Cd 0.62: half depth after 16.62 min, empty after 56.76. Closed form. */
    @Test
    void aTankOfStraightWallsEmptiesAsTheClosedFormSays() {
        double whole = Unit.MINUTE.fromSi(of(tank(0), 16, 0.25).seconds());
        assertThat(whole).isCloseTo(56.76, within(0.02));
        assertThat(whole - Unit.MINUTE.fromSi(of(tank(0), 8, 0.25).seconds())).isCloseTo(16.62, within(0.02));
        assertThat(of(tank(0), 16, 0.25).stays()).isCloseTo(0, within(1e-9));
        assertThat(of(tank(2), 16, 0.25).stays())
                .as("2 in under the drain")
                .isCloseTo(Unit.CUBIC_INCH.toSi(720), within(1e-7));
        assertThat(of(tank(2), 1, 0.25).seconds()).as("already under the drain").isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "57, 0, 0.25, HOLDS",
        "57, 0.05, 0.25, HOLDS",
        "57, 0.5, 0.25, FAILS",
        "110, 0, 0.25, THIN",
        "200, 0, 0.25, FAILS",
        "200, 0, 0, NOT_SHOWN"
    })
    void whatStaysAndHowLongItTakesAreJudged(double minutes, double rest, double bore, Verdict verdict) {
        Work.Sheet sheet = Work.Sheet.begun(TestKind.EMPTYING, new Handles(Map.of(), Set.of(), Set.of()))
                .with("contents", Measured.of(360 * 16, Unit.CUBIC_INCH))
                .with("seconds", Measured.of(60 * minutes, Unit.SECOND))
                .with("rest", Measured.of(rest, Unit.GALLON));
        if (bore > 0) {
            sheet = sheet.with("bore", Measured.of(bore, Unit.INCH));
        }
        Tank tank = tank(0);
        Outcome o = Emptying.outcome(tank, TankBody.of(tank), UP, sheet);
        assertThat(o.verdict()).isEqualTo(verdict);
        assertThat(o.words().in(UnitSystem.US)).contains("left after");
    }
}
