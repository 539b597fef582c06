package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.model.Bulkhead;
import ration.aircraft.model.Place;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.LayoutEdits;
import ration.record.project.NewItem;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What is said of parts on their cards, and what follows: wiring of pumps, a capped port, a bulkhead fitting, a level
 * sender.
 */
class PartsSaidTest {

    private static final Project PARALLEL = Pattern.TWO_PUMPS_PARALLEL.project();

    private static Optional<Finding> finding(Project p, Check check) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.check() == check)
                .findFirst();
    }

    private static Project take(Project p, String item, String... offers) {
        for (String offer : offers) {
            p = p.with(Systems.offer(p.system(), item, offer).on(p.system()));
        }
        return p;
    }

    /**
     * 14 CFR 23.991(b) (from memory): a supply of its own; bus, battery, switch, breaker and ground all said, for both,
     * or it is not shown.
     */
    @Test
    void twoElectricPumpsHoldOnlyWhenAllIsApart() {
        String[] own = {"Own battery", "Own switch", "Own breaker", "Own ground"};
        Finding said = finding(PARALLEL, Check.FLOW_SECOND_PUMP).orElseThrow();
        assertThat(said.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(said.detail().in(UnitSystem.US)).contains("bus, battery, switch, breaker, ground");
        Project wired = take(take(PARALLEL, "pump-one", own), "pump-two", own);
        assertThat(finding(wired, Check.FLOW_SECOND_PUMP).orElseThrow().detail().in(UnitSystem.US))
                .endsWith("Not shown independent: bus.");
        Project apart = take(wired, "pump-two", "On a second bus");
        assertThat(finding(apart, Check.FLOW_SECOND_PUMP).orElseThrow().verdict())
                .isEqualTo(Verdict.HOLDS);
        Arrays.stream(Pump.Own.values()).forEach(o -> {
            Finding less = finding(
                            take(apart, "pump-one", "Shares its " + o.name().toLowerCase(java.util.Locale.ROOT)),
                            Check.FLOW_SECOND_PUMP)
                    .orElseThrow();
            assertThat(less.verdict()).isEqualTo(Verdict.NOT_SHOWN);
            assertThat(less.detail().in(UnitSystem.US))
                    .endsWith("Not shown independent: " + o.name().toLowerCase(java.util.Locale.ROOT) + ".");
        });
    }

    /** A quarter more than the draw; 5 A is ample for a pump of 1.6 A (common practice, no source). */
    @ParameterizedTest
    @CsvSource({"1.6, 5, HOLDS", "1.6, 1.9, FAILS", "4, 5.6, HOLDS", "4, 4.9, FAILS", ", 5, NOT_SHOWN"})
    void aBreakerCarriesAQuarterMoreThanTheDraw(Double draw, double rating, Verdict wanted) {
        Project p = PARALLEL.with(PARALLEL.system().change("pump-one", Pump.class, x -> {
            Pump.Build b = new Pump.Build(
                    x.build().relief(),
                    Optional.ofNullable(draw).map(d -> Measured.of(d, Unit.AMPERE)),
                    x.build().checked(),
                    x.build().bus());
            return x.withBuild(b.withWiring(b.wiring().withBreaker(Optional.of(Measured.of(rating, Unit.AMPERE)))));
        }));
        assertThat(finding(p, Check.ELECTRICAL_BREAKER).orElseThrow().verdict()).isEqualTo(wanted);
        assertThat(finding(PARALLEL, Check.ELECTRICAL_BREAKER)).isEmpty();
    }

    /**
     * No sprung drain ahead of a suction pump: a capped port does not let air in (practice schools differ; common
     * practice, no source).
     */
    @Test
    void aCappedPortOnSuctionIsNoDrainThatLetsAirIn() {
        Project p = Systems.demo("brindle-a2");
        String strainer =
                p.system().all(Strainer.class).findFirst().orElseThrow().id();
        assertThat(finding(p, Check.VAPOR_SUCTION_DRAIN)).isPresent();
        Project capped = take(p, strainer, "Capped port in place of the drain");
        assertThat(finding(capped, Check.VAPOR_SUCTION_DRAIN)).isEmpty();
        assertThat(capped.system().all(Strainer.class)).allMatch(Strainer::drain);
        assertThat(take(capped, strainer, "Quick drain in place of the port")).isEqualTo(p);
        assertThat(Assessment.of(capped).governing().orElseThrow().margin())
                .isEqualTo(Assessment.of(p).governing().orElseThrow().margin());
    }

    @Test
    void aBulkheadFittingSitsInTheFirewallOrIsToldSo() {
        Project demo = Systems.corrie();
        double wall = demo.system().firewall().orElseThrow().station().si();
        Project fitted = demo.with(LayoutEdits.add(demo.system(), "r4", LayoutEdits.Spot.IN_RUN, NewItem.BULKHEAD)
                .orElseThrow()
                .system());
        Bulkhead b = fitted.system().all(Bulkhead.class).findFirst().orElseThrow();
        Place there = b.place();
        Project in = fitted.with(fitted.system()
                .replace(b.with(new Tag(
                        b.id(),
                        b.name(),
                        new Place(Measured.of(wall, Unit.METRE), there.buttLine(), there.waterLine())))));
        Project off = fitted.with(fitted.system()
                .replace(b.with(new Tag(
                        b.id(),
                        b.name(),
                        new Place(Measured.of(wall + 0.1, Unit.METRE), there.buttLine(), there.waterLine())))));
        assertThat(finding(in, Check.BUILD_BULKHEAD).orElseThrow().verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(finding(off, Check.BUILD_BULKHEAD).orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
        assertThat(finding(demo, Check.BUILD_BULKHEAD)).isEmpty();
        Project tight = in.with(in.system()
                .replace(in.system()
                        .all(Bulkhead.class)
                        .findFirst()
                        .orElseThrow()
                        .withLoss(Rated.of(20, 0.5, ""))));
        assertThat(Assessment.of(tight).governing().orElseThrow().margin())
                .isLessThan(Assessment.of(in).governing().orElseThrow().margin());
    }

    /**
     * A pump whose dead-head lies under what the inlet must have is told so in those words; one that could reach it is
     * not.
     */
    @Test
    void aPumpThatCannotReachTheLeastInletPressureIsToldSo() {
        Project rail = PARALLEL.with(PARALLEL.system()
                .change(
                        "rail",
                        ration.aircraft.model.EngineInlet.class,
                        i -> i.withPressures(Measured.of(70, Unit.PSI), Optional.empty())));
        Finding told = finding(rail, Check.FLOW_INLET_PRESSURE).orElseThrow();
        assertThat(told.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(told.detail().in(UnitSystem.US))
                .contains("cannot make minimum inlet pressure: 65")
                .contains("70");
        assertThat(finding(PARALLEL, Check.FLOW_INLET_PRESSURE)
                        .orElseThrow()
                        .detail()
                        .in(UnitSystem.US))
                .doesNotContain("cannot reach");
    }

    /** A level sender that is there is asked to show zero at the unusable fuel. */
    @Test
    void aLevelSenderIsAskedForItsZero() {
        Project demo = Systems.corrie();
        assertThat(finding(demo, Check.PROOF_LEVEL_SENDER)).isEmpty();
        Project sent = take(demo, "upper", "Add level sender");
        Finding asked = finding(sent, Check.PROOF_LEVEL_SENDER).orElseThrow();
        assertThat(asked.verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(asked.item()).isEqualTo("upper");
        assertThat(take(sent, "upper", "Remove level sender")).isEqualTo(demo);
    }
}
