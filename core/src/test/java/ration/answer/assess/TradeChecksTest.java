package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Practice;
import ration.record.project.Project;
import ration.verdict.check.Check;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * What a check says agrees with the trade and with the other checks: silence, rules by size, advice that is solved.
 * Common practice, no source.
 */
class TradeChecksTest {

    private static Finding only(Project p, Check check) {
        return Assessment.bare(p, Optional.empty()).findings().stream()
                .filter(f -> f.check() == check)
                .findFirst()
                .orElseThrow();
    }

    private static FuelSystem removed(FuelSystem system, String id) {
        return ration.record.project.LayoutEdits.remove(system, id)
                .orElseThrow()
                .system();
    }

    /** The valve, or every filter, taken out and the line joined again: something objects. */
    @ParameterizedTest
    @ValueSource(strings = {"corrie-b1", "brindle-a2", "tansy-l3"})
    void whatIsTakenOutIsMissed(String demo) {
        Project p = Systems.demo(demo);
        assertThat(only(p, Check.BUILD_SHUTS).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(only(p, Check.BUILD_FILTERED).verdict()).isEqualTo(Verdict.HOLDS);
        FuelSystem bare = p.system();
        for (Item i : List.copyOf(bare.items())) {
            if (i.only(Strainer.class).isPresent() || i.only(Filter.class).isPresent()) {
                bare = removed(bare, i.id());
            }
        }
        assertThat(only(p.with(bare), Check.BUILD_FILTERED).verdict()).isIn(Verdict.FAILS, Verdict.NOT_SHOWN);
        FuelSystem open = p.system();
        for (Item i : List.copyOf(open.items())) {
            open = i.only(ShutOff.class).isPresent() ? removed(open, i.id()) : open;
        }
        for (Selector s : open.selectors()) {
            open = open.replace(new Selector(
                    s.tag(),
                    s.inlets(),
                    s.returns(),
                    s.positions().stream().filter(x -> !x.joins().isEmpty()).toList(),
                    s.loss()));
        }
        Finding shut = only(p.with(open), Check.BUILD_SHUTS);
        assertThat(shut.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(shut.detail().in(UnitSystem.US)).contains("past every shutoff");
    }

    /**
     * A vent that costs little and is narrow by the rule is short By rule only, and Practice can leave the rule out.
     */
    @Test
    void aVentsSizeIsARuleThatCanBeLeftOut() {
        Project corrie = Systems.corrie();
        Project narrow = corrie.with(corrie.system()
                .change(
                        "upper",
                        ration.aircraft.model.Tank.class,
                        t -> t.with(t.fitout()
                                .withVent(t.fitout().vent().map(v -> v.withBore(Measured.of(0.2, Unit.INCH)))))));
        Finding f = only(narrow, Check.AIR_VENT);
        assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(f.detail().in(UnitSystem.US)).contains("By rule only");
        Practice asked = narrow.brief().practice();
        Project left = narrow.with(narrow.brief()
                .withChoices(narrow.brief()
                        .choices()
                        .with(asked.withAsks(asked.asks().withVentSize(false)))));
        assertThat(only(left, Check.AIR_VENT).verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(only(left, Check.AIR_VENT).detail().in(UnitSystem.US)).contains("left out by Practice");
    }

    /** A low point on a pump's suction is told to have a capped port, not a drain that another check then warns of. */
    @Test
    void aLowPointOnSuctionGetsOneAdvice() {
        Finding low = Systems.assessed("brindle-a2").findings().stream()
                .filter(f -> f.check() == Check.AIR_LOW)
                .findFirst()
                .orElseThrow();
        assertThat(low.remedy()).startsWith("Fit a drain port");
    }

    /** What a finding advises is what comes of doing it. */
    @Test
    void adviceIsSolved() {
        Project p = Systems.corrie();
        Finding f = Assessment.bare(p, Optional.empty()).findings().stream()
                .filter(x -> x.check() == Check.FLOW_MARGIN && x.verdict() == Verdict.FAILS)
                .findFirst()
                .orElseThrow();
        Project done = p.with(p.system().change("r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035 tube"))));
        double margin = Assessment.of(done).governing().orElseThrow().margin();
        double said = Double.parseDouble(f.remedy().replaceAll(".* it is ([0-9.]+)\u00d7.*", "$1"));
        assertThat(said).isCloseTo(margin, Offset.offset(0.005));
        assertThat(f.remedy()).contains("still Fails: one step of several");
    }

    /**
     * A sock before a pump in the tank is no finger strainer: 150 mesh is 103 micron (handbook of the trade, test
     * value).
     */
    @Test
    void aSockIsNotAskedForFingerMesh() {
        Project p = Systems.said(ration.record.project.Pattern.PUMP_MODULES.project());
        var tank = p.system().tanks().get(0);
        var outlet = tank.outlets().get(0);
        ration.aircraft.model.FingerScreen sock = new ration.aircraft.model.FingerScreen(
                Measured.of(150, Unit.ONE),
                Measured.of(0.0026, Unit.INCH),
                Measured.of(1.5, Unit.INCH),
                Measured.of(2, Unit.INCH));
        Project fitted = p.with(p.system().replace(tank.withOutlets(List.of(outlet.withFinger(Optional.of(sock))))));
        Finding f = Assessment.bare(fitted, Optional.empty()).findings().stream()
                .filter(x -> x.check() == Check.TANK_SCREEN && x.item().equals(tank.id()))
                .findFirst()
                .orElseThrow();
        assertThat(f.verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(f.detail().in(UnitSystem.US)).startsWith("103 micron");
    }

    /**
     * Push-on, injection and barbed-socket hose stand 50, 100 and 150 psi (SAE J30 and makers' prints, from memory):
     * the pumps' 65 psi fails one of them.
     */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.CsvSource({"PUSH_ON, FAILS", "INJECTION, HOLDS", "BARBED, HOLDS"})
    void hoseIsRatedByItsKind(ration.aircraft.model.Construction made, Verdict verdict) {
        Project p = Systems.said(ration.record.project.Pattern.TWO_PUMPS_PARALLEL.project());
        Run hose = p.system().runs().stream()
                .filter(r -> r.from().item().equals("pump-one"))
                .findFirst()
                .orElseThrow();
        assertThat(only(
                                p.with(p.system().replace(hose.with(hose.build().with(Optional.of(made))))),
                                Check.BUILD_DEAD_HEAD)
                        .verdict())
                .isEqualTo(verdict);
    }

    /** A tube slipped on against chafe counts, looked at every year; without it the gap is short. */
    @Test
    void aTubeSlippedOnCounts() {
        Project p = Systems.corrie();
        Run r = (Run) p.system().item("r1").orElseThrow();
        var near = r.build()
                .with(ration.aircraft.model.RunBuild.Figure.CHAFE, Optional.of(Measured.of(0.2, Unit.INCH, "tape")));
        assertThat(of(p, r.with(near.with(new ration.aircraft.model.RunBuild.Marks(false, false, false)))))
                .isEqualTo(Verdict.FAILS);
        assertThat(of(p, r.with(near.with(new ration.aircraft.model.RunBuild.Marks(true, false, false)))))
                .isEqualTo(Verdict.THIN);
    }

    private static Verdict of(Project p, Run r) {
        return Assessment.of(p.with(p.system().replace(r))).findings().stream()
                .filter(f -> f.check() == Check.BUILD_CHAFE && f.item().equals(r.id()))
                .findFirst()
                .orElseThrow()
                .verdict();
    }
}
