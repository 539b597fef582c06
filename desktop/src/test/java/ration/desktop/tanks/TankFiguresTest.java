package ration.desktop.tanks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.answer.remedy.LessLeft;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Verdict;

/** What the Tanks page says of a tank, without a display. */
class TankFiguresTest {

    private static Assessment demo(String name) throws ProjectFileException {
        return Assessment.of(ProjectFile.demo(name));
    }

    private static TankFigures of(Assessment a, String tank, UnitSystem units) {
        return new TankFigures(a.tank(tank).orElseThrow(), units);
    }

    /** Of what says how much stays, one decides, and it is the largest. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3", "collectors-duplex"})
    void one_line_decides_and_it_is_the_one_that_counts(String name) throws ProjectFileException {
        for (TankAnswer t : demo(name).tanks()) {
            TankFigures f = new TankFigures(t, UnitSystem.US);
            assertThat(f.unusable())
                    .filteredOn(TankFigures.Line::governs)
                    .singleElement()
                    .satisfies(l -> assertThat(l.figure()).isEqualTo(UnitSystem.US.fineVolume(t.unusable())));
            assertThat(f.unusable()).extracting(TankFigures.Line::how).contains("predicted", "manufacturer", "placard");
            assertThat(f.capacity()).filteredOn(TankFigures.Line::governs).hasSize(1);
            assertThat(f.usable().figure()).isEqualTo(UnitSystem.US.fineVolume(t.usable()));
            assertThat(f.usable().why().orElseThrow().get()).isNotNull();
        }
    }

    @Test
    void a_filled_tank_says_when_and_a_drained_one_where() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        assertThat(of(a, "upper", UnitSystem.US).capacity())
                .extracting(TankFigures.Line::how)
                .contains("by shape", "by fills, 2026-02-21");
        assertThat(of(a, "upper", UnitSystem.US).unusable())
                .extracting(TankFigures.Line::how)
                .anyMatch(h -> h.startsWith("drain"));
        assertThat(of(a, "fuselage", UnitSystem.US).unusable())
                .extracting(TankFigures.Line::how)
                .contains("not drained yet");
        assertThat(of(a, "fuselage", UnitSystem.US).unusable())
                .filteredOn(l -> l.how().equals("not drained yet"))
                .extracting(TankFigures.Line::figure)
                .containsExactly("\u2013");
    }

    /** A placard set as offered covers what stays, is at most a tenth more, and is then no longer short. */
    @ParameterizedTest
    @EnumSource(UnitSystem.class)
    void a_placard_that_is_short_is_set_a_tenth_up(UnitSystem units) throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        Tank tank = p.system().tanks().get(0);
        Assessment low = Assessment.of(
                p.with(p.system().replace(tank.withUnusable(new Measured(Quantity.of(0, Unit.GALLON), "placard")))));
        TankFigures f = of(low, tank.id(), units);
        assertThat(f.isShort()).isTrue();
        assertThat(f.placard())
                .startsWith("Placard needs ")
                .contains(units.fineVolume(f.answer().unusable()) + " unusable");
        Quantity wanted = f.wanted().orElseThrow();
        double step = units.unit(Dimension.VOLUME).toSi(0.1);
        assertThat(wanted.si())
                .isGreaterThanOrEqualTo(f.answer().unusable() - 1e-12)
                .isLessThan(f.answer().unusable() + step + 1e-12);
        TankFigures after = of(Assessment.of(f.set(wanted).change().apply(low.project())), tank.id(), units);
        assertThat(after.isShort()).isFalse();
        assertThat(after.wanted()).isEmpty();
        assertThat(after.placard()).startsWith("Placard OK: ");
        assertThat(after.ratio()).isLessThanOrEqualTo(1.5);
    }

    @Test
    void a_tank_held_level_holds_what_was_put_in_and_keeps_what_stays() throws ProjectFileException {
        TankFigures f = of(demo("corrie-b1"), "upper", UnitSystem.US);
        Attitude level = Attitude.ofDegrees("Level", 0, 0);
        TankFigures.Held full = f.held(level, 1);
        assertThat(full.holds()).as("no more than full").isEqualTo(f.answer().full());
        assertThat(full.usable() + full.stays()).isCloseTo(full.holds(), within(1e-15));
        TankFigures.Held empty = f.held(level, 0);
        assertThat(empty.usable()).isZero();
        assertThat(empty.stays()).isZero();
        assertThat(f.held(Attitude.ofDegrees("Steep", 30, 20), f.answer().full())
                        .stays())
                .isGreaterThan(full.stays());
    }

    @Test
    void only_what_is_said_of_this_tank_stands_on_its_card() throws ProjectFileException {
        Assessment a = demo("tansy-l3");
        assertThat(of(a, "left", UnitSystem.US).asked(a))
                .isNotEmpty()
                .allMatch(f -> f.item().equals("left") || f.check() == Check.TANK_RESERVE);
    }

    @Test
    void what_would_leave_less_is_judged_against_the_placard() throws ProjectFileException {
        Assessment a = demo("corrie-b1");
        TankFigures f = of(a, "upper", UnitSystem.US);
        List<LessLeft.Row> rows = LessLeft.of(a.project(), f.answer(), Task.QUIET);
        assertThat(rows).isNotEmpty().allSatisfy(r -> {
            assertThat(f.leaves(r))
                    .isEqualTo(UnitSystem.US.fineVolume(r.after().predicted().volume()));
            assertThat(TankFigures.ratio(r)).isBetween(0.0, 1.5);
            assertThat(TankFigures.verdict(r) == Verdict.FAILS).isEqualTo(TankFigures.ratio(r) < 1);
        });
    }

    @Test
    void degrees_are_written_short() {
        assertThat(TankFigures.degrees(5)).isEqualTo("5\u00b0");
        assertThat(TankFigures.degrees(-2.54)).isEqualTo("\u22122.5\u00b0");
    }
}
