package ration.physics.vapor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.Warming;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Run;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.physics.flow.FlowAnswer;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** A path made ready once says of every day what the path of that day says. */
class HeatPathTest {

    private static final List<String> DEMOS = List.of("corrie-b1", "tansy-l3", "brindle-a2");

    private static CaseAnswer look(String demo) throws ProjectFileException {
        return Assessment.of(ProjectFile.demo(demo)).governing().orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "tansy-l3", "brindle-a2"})
    void the_fewest_degrees_are_those_of_the_point_with_the_fewest(String demo) throws ProjectFileException {
        Assessment a = Assessment.of(ProjectFile.demo(demo));
        Heat heat = a.project().heat();
        int flowing = 0;
        for (CaseAnswer c : a.cases()) {
            HeatPath path = HeatPath.of(a.project().system(), c.demand(), heat, Power.CRUISE);
            for (Air day : List.of(new Air(0, 300), new Air(3000, 315), new Air(6000, 330))) {
                if (path.stands()) {
                    assertThat(path.on(day).gaps()).isEmpty();
                    continue;
                }
                flowing++;
                assertThat(path.fewest(day))
                        .isCloseTo(
                                path.on(day).least(heat.vapor()).orElseThrow().degrees(heat.vapor()),
                                Offset.offset(1e-8));
            }
        }
        assertThat(flowing).isPositive();
    }

    /** Warmer fuel has fewer degrees left everywhere, and so have thinner air and more power; any day. */
    @Property(tries = 15)
    void warmer_fuel_and_thinner_air_have_fewer_degrees(
            @ForAll @DoubleRange(min = 270, max = 330) double kelvin,
            @ForAll @DoubleRange(min = 0, max = 5000) double high)
            throws ProjectFileException {
        String demo = DEMOS.get((int) (kelvin * 10) % DEMOS.size());
        Project p = ProjectFile.demo(demo);
        FlowAnswer demand = look(demo).demand();
        HeatPath path = HeatPath.of(p.system(), demand, p.heat(), Power.TAKE_OFF);
        assertThat(path.fewest(new Air(high, kelvin + 3))).isLessThan(path.fewest(new Air(high, kelvin)));
        // the same fuel in the tank: higher up the air round the lines is colder, but the fuel boils sooner by more
        assertThat(path.fewest(new Air(high + 1000, kelvin))).isLessThan(path.fewest(new Air(high, kelvin)));
    }

    /** The first run out of the tank by hand: T_zone + (T_in - T_zone) exp(-pi D U L / (m cp)), leg after leg. */
    @Test
    void the_first_run_by_hand() throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        CaseAnswer c = look("corrie-b1");
        Heat heat = p.heat();
        Air day = new Air(0, 305);
        List<Gap> gaps =
                PathHeat.of(p.system(), c.demand(), heat, day, Power.TAKE_OFF).gaps();
        String first = gaps.stream()
                .map(Gap::item)
                .filter(i -> p.system().item(i).flatMap(x -> x.only(Run.class)).isPresent())
                .findFirst()
                .orElseThrow();
        Run run = (Run) p.system().item(first).orElseThrow();
        List<Gap> along = gaps.stream().filter(g -> g.item().equals(first)).toList();
        double mass = c.demand().fluid().density() * Math.abs(c.demand().flow(first));
        double cabin = heat.air(Zone.CABIN, Power.TAKE_OFF, 0);
        double kelvin = along.get(0).kelvin();
        for (int i = 1; i < along.size(); i++) {
            double length = along.get(i).along() - along.get(i - 1).along();
            kelvin = cabin
                    + (kelvin - cabin)
                            * Math.exp(-Math.PI
                                    * run.size().bore()
                                    * heat.through(run)
                                    * length
                                    / (mass * Warming.SPECIFIC_HEAT));
            assertThat(along.get(i).kelvin()).isCloseTo(kelvin, Offset.offset(1e-9));
        }
        assertThat(along).hasSizeGreaterThan(1);
        assertThat(along.get(along.size() - 1).kelvin()).isGreaterThan(day.fuelKelvin());
    }
}
