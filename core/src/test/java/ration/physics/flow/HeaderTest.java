package ration.physics.flow;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.base.quantity.Unit;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** A header's level follows from what runs in and out. */
class HeaderTest {

    private static final Project HIGH = Pattern.HEADER_TWO_PUMPS.project();
    private static final Project HULL = Pattern.HULL_AND_PYLON.project();

    private static double gph(double si) {
        return Unit.GALLON_PER_HOUR.fromSi(si);
    }

    private static CaseAnswer look(Project project, Condition c) {
        return Assessment.of(project).look(c).orElseThrow();
    }

    /** Under high tanks the header stands full up its vent line, to the level of the fuel in the tank. */
    @Test
    void underHighTanksTheHeaderStandsFull() {
        FlowAnswer a = look(HIGH, StartingCase.of(HIGH)).demand();
        double overOutlet = a.pressure(new PortRef("header", Item.OUT)).orElseThrow() / a.weight();
        assertThat(overOutlet).isGreaterThan(Unit.INCH.toSi(50));
        assertThat(a.dryHeaders()).isEmpty();
    }

    /** Lifted into: what the engine does not take runs over, and the level stands at the vent's lip. */
    @Test
    void whatIsLiftedTooMuchRunsOver() {
        FlowAnswer a = look(HULL, StartingCase.of(HULL)).demand();
        double level = a.pressure(new PortRef("header", Item.OUT)).orElseThrow() / a.weight();
        assertThat(level).isCloseTo(Unit.INCH.toSi(9), Offset.offset(Unit.INCH.toSi(0.3)));
        double in = a.solution().flow("header.in");
        double over = a.solution().flow("header.vent");
        assertThat(over).isPositive();
        assertThat(in).isCloseTo(over + look(HULL, StartingCase.of(HULL)).need(), Offset.offset(2e-9));
    }

    /** No pump: the header is not filled, and says so; the engine has what the header holds and no longer. */
    @Test
    void withNoPumpTheHeaderRunsDry() {
        CaseAnswer c = look(HULL, StartingCase.of(HULL).withStopped(Set.of("lift-pump", "standby-pump")));
        assertThat(c.capacity().inletFlow()).isZero();
        assertThat(c.demand().dryHeaders()).containsExactly("header");
        assertThat(c.obstacle(HULL.system())).contains("Header").contains("runs dry");
    }

    /**
     * A line too small into the header: what lasts is what comes in, less than what the outlet would give for a while.
     */
    @Test
    void aSmallLineIntoTheHeaderIsWhatLasts() {
        FuelSystem s = HIGH.system();
        for (String id : new String[] {"r5", "r6"}) {
            s = s.replace(((Run) s.item(id).orElseThrow()).withSize(LineSize.parse("0.05 in bore")));
        }
        Project thin = HIGH.with(s);
        CaseAnswer c = look(thin, StartingCase.of(thin));
        double in = c.capacity().solution().flow("header.in")
                + c.capacity().solution().flow("header.in-2");
        assertThat(c.capacity().inletFlow()).isCloseTo(in, Offset.offset(1e-8));
        assertThat(gph(in)).isLessThan(20);
        assertThat(Assessment.of(thin).findings())
                .anyMatch(
                        f -> f.id().equals("flow.header.header") && f.verdict() == ration.verdict.check.Verdict.FAILS);
    }

    /** Pump modules with check valves inside keep an empty tank out of it. */
    @Test
    void checkValvesKeepAnEmptyTankOutOfIt() {
        Project low = Pattern.PUMP_MODULES.project();
        Map<String, Double> contents = Map.of("left-tank", Unit.GALLON.toSi(10), "right-tank", 0.0);
        FlowAnswer a = look(low, StartingCase.of(low).withContents(contents)).demand();
        assertThat(a.airDrawn()).isEmpty();
        assertThat(a.inletFlow()).isPositive();
    }

    /** The jet's collector: what the nozzle drives and what it draws come in, the rest goes back over the vent. */
    @Test
    void aJetKeepsItsCollectorFullOnTheFarOutlet() {
        Project jet = Pattern.JET_COLLECTOR.project();
        FlowAnswer a = look(jet, StartingCase.of(jet)).demand();
        double nozzle = a.solution().flow("jet-pump.in");
        double drawn = a.solution().flow("jet-pump.suction");
        assertThat(drawn).isPositive().isLessThanOrEqualTo(2 * nozzle);
        assertThat(a.solution().flow("collector.jet")).isCloseTo(nozzle + drawn, Offset.offset(2e-9));
        assertThat(a.dryHeaders()).isEmpty();
    }

    /**
     * The second pump from an outlet of its own: each feeds alone as far as it did, what leaves is what came, and it
     * runs dry by either.
     */
    @Test
    void aHeaderOfTwoOutletsFeedsAPumpFromEach() {
        FuelSystem s = HIGH.system();
        Run shared = s.runs().stream()
                .filter(r -> r.to().item().equals("pump-two"))
                .findFirst()
                .orElseThrow();
        Header header = s.all(Header.class).findFirst().orElseThrow();
        FuelSystem two = s.replace(header.withOutlets(List.of(Item.OUT, "out-2")))
                .replace(shared.between(new PortRef("header", "out-2"), shared.to()));
        Project own = HIGH.with(two);
        for (String stopped : List.of("pump-one", "pump-two")) {
            FlowAnswer a =
                    look(own, StartingCase.of(own).withStopped(Set.of(stopped))).demand();
            double out = a.solution().flow("header.out");
            double second = a.solution().flow("header.out-2");
            assertThat(stopped.equals("pump-one") ? second : out).isPositive();
            assertThat(stopped.equals("pump-one") ? out : second).isCloseTo(0, Offset.offset(1e-9));
            double came = a.solution().flow("header.in")
                    + a.solution().flow("header.in-2")
                    + a.solution().flow("header.return")
                    - a.solution().flow("header.vent");
            assertThat(out + second).isCloseTo(came, Offset.offset(1e-9));
            assertThat(a.pressure(new PortRef("header", "out-2")))
                    .hasValueCloseTo(a.pressure(new PortRef("header", Item.OUT)).orElseThrow(), Offset.offset(1e-2));
        }
        FuelSystem thin = two;
        for (String id : new String[] {"r5", "r6"}) {
            thin = thin.replace(((Run) thin.item(id).orElseThrow()).withSize(LineSize.parse("0.02 in bore")));
        }
        Project starved = HIGH.with(thin);
        assertThat(look(starved, StartingCase.of(starved).withStopped(Set.of("pump-one")))
                        .demand()
                        .dryHeaders())
                .containsExactly("header");
    }

    /**
     * Two vents of one header, led alike to two places of one tank: what is lifted too much runs over through both,
     * half each, and with one of them alone all of it passes that one. What comes in leaves either way.
     */
    @Test
    void twoVentsShareWhatRunsOver() {
        FuelSystem one = HULL.system();
        Header header = one.all(Header.class).findFirst().orElseThrow();
        Run over = one.runAt(new PortRef("header", Header.VENT)).orElseThrow();
        Tank hull = (Tank) one.item(over.to().item()).orElseThrow();
        Tank.Entry entry = hull.returns().stream()
                .filter(e -> e.name().equals(over.to().port()))
                .findFirst()
                .orElseThrow();
        List<Tank.Entry> entries = new ArrayList<>(hull.returns());
        entries.add(new Tank.Entry("overflow-2", entry.place()));
        FuelSystem two = one.replace(header.withVents(List.of(Header.VENT, "vent-2")))
                .replace(hull.withReturns(entries))
                .plus(new Run(
                        "second",
                        "R90",
                        new PortRef("header", "vent-2"),
                        new PortRef(hull.id(), "overflow-2"),
                        over.size(),
                        over.length(),
                        over.points(),
                        over.fittings()));
        CaseAnswer single = look(HULL, StartingCase.of(HULL));
        Project shared = HULL.with(two);
        CaseAnswer both = look(shared, StartingCase.of(shared));
        double all = single.demand().solution().flow("header.vent");
        double first = both.demand().solution().flow("header.vent");
        double second = both.demand().solution().flow("header.vent-2");
        assertThat(all).isPositive();
        assertThat(first).isCloseTo(second, Percentage.withPercentage(1e-4));
        assertThat(first + second)
                .isCloseTo(
                        both.demand().solution().flow("header.in")
                                - both.demand().inletFlow(),
                        Percentage.withPercentage(1e-4));
        assertThat(first + second).isGreaterThanOrEqualTo(all * (1 - 1e-9));
        assertThat(Validation.of(one.replace(header.withVents(List.of("top"))))).anyMatch(Problem::blocks);
    }
}
