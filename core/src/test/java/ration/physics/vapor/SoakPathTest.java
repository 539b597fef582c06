package ration.physics.vapor;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Soak;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.VaporAnswer;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Project;

/** What stands in the engine bay after shutdown, and when a restart is at risk. */
class SoakPathTest {

    private static List<SoakPath> soak(Project p) {
        VaporAnswer v = Assessment.of(p).vapor().orElseThrow();
        return SoakPath.of(
                p.system(),
                VaporAnswer.path(p, v.look(), new Air(0, v.air().fuelKelvin())),
                p.heat(),
                Power.TAKE_OFF,
                0);
    }

    private static double peak(SoakPath p) {
        double most = 0;
        for (double t = 0; t <= SoakPath.LENGTH; t += 10) {
            most = Math.max(most, p.soak().at(t));
        }
        return most;
    }

    @Test
    void onlyWhatStandsInTheEngineBaySoaksHottestFirst() {
        Project p = Systems.corrie();
        List<SoakPath> all = soak(p);
        assertThat(all).isNotEmpty().noneMatch(s -> p.system().item(s.item()).orElseThrow() instanceof Tank);
        assertThat(all).extracting(SoakPath::item).contains("carburettor").doesNotContain("selector", "r1");
        for (int i = 1; i < all.size(); i++) {
            assertThat(peak(all.get(i - 1))).isGreaterThanOrEqualTo(peak(all.get(i)) - 0.2);
        }
    }

    /**
     * Nothing soaks hotter than the air around it ever was, nor below the fuel it began with while that air is warmer.
     */
    @Test
    void partsStayBetweenTheirFuelAndTheBay() {
        Project p = Systems.corrie();
        for (SoakPath s : soak(p)) {
            double most = 0;
            for (double t = 0; t <= SoakPath.LENGTH; t += 10) {
                most = Math.max(most, s.soak().air(t));
                assertThat(s.soak().at(t)).isBetween(s.soak().start() - 1e-9, most + 1e-9);
            }
            assertThat(s.soak().at(0)).isCloseTo(s.soak().start(), Offset.offset(1e-9));
        }
    }

    @Test
    void aPartSaidToStandOutsideDoesNotSoak() {
        Project p = Systems.corrie();
        assertThat(soak(p.with(p.heat().withZone("carburettor", Zone.OUTSIDE))))
                .extracting(SoakPath::item)
                .doesNotContain("carburettor");
    }

    /**
     * Blast air keeps a shrouded body cool in flight; once the engine stands there is none, and it soaks like the
     * others.
     */
    @Test
    void aShroudCoolsInFlightAndNotAfterShutdown() {
        Project p = Systems.corrie();
        Project shrouded = p.with(p.heat().withZone("carburettor", Zone.SHROUD));
        SoakPath bare = soak(p).stream()
                .filter(s -> s.item().equals("carburettor"))
                .findFirst()
                .orElseThrow();
        SoakPath cooled = soak(shrouded).stream()
                .filter(s -> s.item().equals("carburettor"))
                .findFirst()
                .orElseThrow();
        assertThat(cooled.soak().start()).isLessThanOrEqualTo(bare.soak().start());
        assertThat(cooled.soak().air(600)).isCloseTo(bare.soak().air(600), Offset.offset(1e-9));
        assertThat(cooled.soak().at(1800)).isCloseTo(bare.soak().at(1800), Offset.offset(1.0));
    }

    @Test
    void aSleeveSlowsALine() {
        Project p = Systems.corrie();
        SoakPath line = soak(p).stream().filter(SoakPath::line).findFirst().orElseThrow();
        Run run = (Run) p.system().item(line.item()).orElseThrow();
        double bare = lag(
                p.with(p.system()
                        .replace(run.with(
                                run.build().with(new ration.aircraft.model.RunBuild.Marks(false, true, false))))),
                run.id());
        double sleeved = lag(
                p.with(p.system()
                        .replace(run.with(
                                run.build().with(new ration.aircraft.model.RunBuild.Marks(true, true, false))))),
                run.id());
        assertThat(sleeved).isGreaterThan(2 * bare);
    }

    private static double lag(Project p, String id) {
        return soak(p).stream()
                .filter(s -> s.item().equals(id))
                .findFirst()
                .orElseThrow()
                .soak()
                .lag();
    }

    @Test
    void moreVolatileFuelIsAtRiskEarlierAndLonger() {
        Project p = Systems.corrie();
        SoakPath.Window c = SoakPath.risk(soak(p.with(p.heat().with(Volatility.MOGAS_C))));
        SoakPath.Window e = SoakPath.risk(soak(p.with(p.heat().with(Volatility.MOGAS_E))));
        assertThat(c).isNotNull();
        assertThat(e).isNotNull();
        assertThat(e.from()).isLessThanOrEqualTo(c.from());
        assertThat(e.to()).isGreaterThanOrEqualTo(c.to());
    }

    @Test
    void aCoolBayIsNeverAtRisk() {
        Project p = Systems.corrie();
        assertThat(SoakPath.risk(soak(p.with(p.heat()
                        .with(HeatFigure.BAY_SOAK_OVER, Measured.of(0, Unit.CELSIUS))
                        .with(HeatFigure.BAY_CLIMB_OVER, Measured.of(0, Unit.CELSIUS))
                        .with(HeatFigure.HOT_DAY, Measured.of(60, Unit.FAHRENHEIT))))))
                .isNull();
        assertThat(SoakPath.risk(List.of())).isNull();
    }

    /** The window begins and ends where the curve crosses boiling, to a step of the search. */
    @Test
    void theWindowIsWhereTheCurveIsAboveBoiling() {
        Soak soak = new Soak(300, 30, 60, 2100, 400, 310);
        double boils = 335;
        SoakPath part = new SoakPath("x", "X", soak, boils, false);
        SoakPath.Window w = SoakPath.risk(List.of(part));
        assertThat(soak.at(w.from())).isGreaterThan(boils);
        assertThat(soak.at(w.from() - 16)).isLessThanOrEqualTo(boils);
        if (w.to() < SoakPath.LENGTH - 15) {
            assertThat(soak.at(w.to() + 16)).isLessThanOrEqualTo(boils);
        }
        assertThat(SoakPath.risk(List.of(new SoakPath("x", "X", soak, 400, false))))
                .isNull();
    }
}
