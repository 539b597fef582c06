package ration.physics.vapor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.heat.Warming;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.VaporAnswer;
import ration.base.quantity.Unit;
import ration.record.project.Project;
import ration.verdict.check.Check;

/**
 * What comes back warms what it comes back to: one mixed box against its closed form, headers on the way by their
 * energy.
 */
class ReturnedHeatTest {

    private static final double RHO = 720;

    private static Warming.Box box(double conduct) {
        double gph = RHO * Unit.GALLON_PER_HOUR.toSi(1);
        return new Warming.Box(6 * gph, 30 * gph, RHO * Unit.GALLON.toSi(0.5), 0.9, conduct);
    }

    /** Test values of the handbook, section P13: 0.5 gal, 30 and 6 gph, 0.9 C a pass; every input invented. */
    @Test
    void aBoxWarmsAsItsClosedFormSays() {
        assertThat(box(0).steady()).isCloseTo(4.5, Offset.offset(5e-4));
        assertThat(box(0).tau() / 60).isCloseTo(5.0, Offset.offset(5e-4));
        assertThat(box(0).after(480)).isCloseTo(3.591, Offset.offset(5e-4));
        // the handbook's specific heat is 2,100 J/kgK, ours 2,050: its 4 W/K are as many of ours as the heats are to
        // each other
        double conduct = 4 * Warming.SPECIFIC_HEAT / 2100;
        assertThat(box(conduct).steady()).isCloseTo(3.171, Offset.offset(5e-4));
        assertThat(box(conduct).tau() / 60).isCloseTo(3.523, Offset.offset(5e-4));
    }

    /** Nothing is lost: what the box gains is what came back less what it gave over its feed, stepped by hand. */
    @Property(tries = 15)
    void energyIsConserved(
            @ForAll @DoubleRange(min = 1, max = 20) double feed,
            @ForAll @DoubleRange(min = 1, max = 80) double back,
            @ForAll @DoubleRange(min = 0, max = 10) double conduct) {
        Warming.Box b = new Warming.Box(feed * 1e-3, back * 1e-3, 1.5, 0.8, conduct);
        double over = 0;
        double step = 0.05;
        for (double t = 0; t < 600; t += step) {
            over += step
                    * (b.back() * b.rise() * Warming.SPECIFIC_HEAT
                            - b.feed() * Warming.SPECIFIC_HEAT * over
                            - b.conduct() * over)
                    / (b.mass() * Warming.SPECIFIC_HEAT);
        }
        assertThat(b.after(600)).isCloseTo(over, Percentage.withPercentage(0.5));
    }

    /**
     * On the way: what the feed takes up is what the return brings, and every point behind the header stands as much
     * warmer.
     */
    @ParameterizedTest
    @ValueSource(strings = {"header-bleed", "collectors-duplex"})
    void aHeaderOnTheWayIsMixed(String demo) {
        Project p = Systems.demo(demo);
        Assessment a = Assessment.of(p);
        CaseAnswer c = a.cases().stream()
                .filter(x -> x.judged()
                        && x.demand().usable()
                        && !HeatPath.of(
                                        p.system(),
                                        x.demand(),
                                        p.heat(),
                                        x.condition().engine().power())
                                .mixed(new Air(0, 311))
                                .isEmpty())
                .findFirst()
                .orElseThrow();
        HeatPath path = HeatPath.of(
                p.system(), c.demand(), p.heat(), c.condition().engine().power());
        HeatPath.Mixed m = path.mixed(new Air(0, 311)).get(0);
        assertThat(m.back()).isPositive();
        // the classic figure: return times rise over burn, no less where what goes round gives off no heat
        assertThat(m.steady()).isLessThanOrEqualTo(Math.max(0, m.back() * m.pass() / m.feed()) * (1 + 1e-9));
        List<Gap> gaps = path.on(new Air(0, 311)).gaps();
        Gap leaves = gaps.stream()
                .filter(g -> g.item().equals(m.header().id()))
                .reduce((x, y) -> y)
                .orElseThrow();
        Gap comes = gaps.stream()
                .filter(g -> g.item().equals(m.header().id()))
                .findFirst()
                .orElseThrow();
        assertThat(leaves.kelvin() - comes.kelvin()).isCloseTo(m.over(), Offset.offset(0.3));
        assertThat(path.fewest(new Air(0, 311)))
                .isCloseTo(
                        gaps.stream()
                                .mapToDouble(g -> g.degrees(p.heat().vapor()))
                                .min()
                                .orElseThrow(),
                        Offset.offset(0.05));
        assertThat(a.findings())
                .anyMatch(f -> f.check() == Check.VAPOR_WARMING
                        && f.item().equals(m.header().id()));
        assertThat(a.vapor().map(VaporAnswer::degrees)).isPresent();
    }
}
