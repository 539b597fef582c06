package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import ration.Systems;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Filter;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Place;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Rated;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Topology;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Flags of the vapor side follow from what is computed: raised where it is so, and gone where it is mended. */
class VaporChecksTest {

    private static Project demo(String name) {
        try {
            return ProjectFile.demo(name);
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e);
        }
    }

    private static List<Finding> findings(Project p) {
        return Assessment.bare(p, Optional.empty()).findings();
    }

    private static Optional<Finding> finding(Project p, String id) {
        return findings(p).stream().filter(f -> f.id().startsWith(id)).findFirst();
    }

    private static String words(Finding f) {
        return f.detail().in(UnitSystem.US);
    }

    private static Project with(Project p, Item item) {
        return p.with(p.system().replace(item));
    }

    // the gap

    @Test
    void theGapIsSaidInDegreesPressureAndFeetWithItsSources() {
        Finding f = finding(demo("brindle-a2"), "vapor.gap").orElseThrow();
        assertThat(words(f))
                .contains("Vapor margin 13.5 \u00b0F; needs 10.8 \u00b0F", "psi abs", "ft more to boiling", "8,000 ft");
        assertThat(f.source()).contains("23.961", "our choice, no rule", "AP-42", "from memory");
        assertThat(f.detail().in(UnitSystem.METRIC)).contains("kPa").doesNotContain("psi");
    }

    /** The degrees wanted are the builder's own choice: within a degree over them is thin, under them short. */
    @ParameterizedTest
    @CsvSource({"0, HOLDS", "6, HOLDS", "7, THIN", "8, FAILS", "12, FAILS"})
    void theDegreesWantedAreAChoice(double wanted, Verdict verdict) {
        Project p = demo("brindle-a2");
        Finding f = finding(p.with(p.heat().with(HeatFigure.NEEDED, Measured.of(wanted, Unit.CELSIUS))), "vapor.gap")
                .orElseThrow();
        assertThat(f.verdict()).isEqualTo(verdict);
        assertThat(f.ratio() < 1).isEqualTo(verdict == Verdict.FAILS);
    }

    /** From avgas to winter mogas, each more volatile than the one before. */
    @Test
    void aMoreVolatileFuelIsNeverBetter() {
        Project p = demo("brindle-a2");
        double before = Double.POSITIVE_INFINITY;
        for (Volatility v : List.of(
                Volatility.AVGAS_100LL,
                Volatility.MOGAS_AA,
                Volatility.MOGAS_A,
                Volatility.MOGAS_B,
                Volatility.MOGAS_C,
                Volatility.MOGAS_D,
                Volatility.MOGAS_E)) {
            double left = Assessment.of(p.with(p.heat().with(v)))
                    .vapor()
                    .orElseThrow()
                    .degrees();
            assertThat(left).as(v.toString()).isLessThan(before);
            before = left;
        }
    }

    // suction

    /** The pump under the tank is flooded: no lift, no suction, more degrees left. */
    @Test
    void aPumpMovedUnderTheTankLosesItsFlags() {
        Project p = demo("brindle-a2");
        double lowest = p.system().tanks().stream()
                .mapToDouble(t -> t.outlets().get(0).place().point().z())
                .min()
                .orElseThrow();
        Project moved = p;
        for (Pump pump : Topology.of(p.system()).feedPumps()) {
            moved = with(moved, pump.with(new Tag(pump.id(), pump.name(), low(pump.place(), lowest))));
        }
        Strainer strainer = p.system().all(Strainer.class).findFirst().orElseThrow();
        moved = with(moved, strainer.with(new Tag(strainer.id(), strainer.name(), low(strainer.place(), lowest))));
        assertThat(findings(p)).anyMatch(f -> f.id().startsWith("vapor.lift."));
        assertThat(findings(moved)).noneMatch(f -> f.id().startsWith("vapor.lift."));
        assertThat(Assessment.of(moved).vapor().orElseThrow().degrees())
                .isGreaterThan(Assessment.of(p).vapor().orElseThrow().degrees());
    }

    private static Place low(Place p, double z) {
        return new Place(p.station(), p.buttLine(), Measured.of(z - 0.3, Unit.METRE));
    }

    @Test
    void aFineFilterOnSuctionIsSaidAndACappedDrainIsNot() {
        Project p = demo("brindle-a2");
        Strainer strainer = p.system().all(Strainer.class).findFirst().orElseThrow();
        assertThat(finding(p, "vapor.suction-drain")).isPresent();
        Project capped =
                with(p, new Strainer(strainer.tag(), strainer.loss(), strainer.fouled(), false, strainer.bowl()));
        assertThat(finding(capped, "vapor.suction-drain")).isEmpty();
        Project filter = with(p, new Filter(strainer.tag(), List.of(Rated.of(20, 0.1, "bench")), Optional.empty()));
        Finding f = finding(filter, "vapor.suction-filter").orElseThrow();
        assertThat(words(f)).contains("below ambient");
        assertThat(f.remedy()).contains("downstream of the pump");
    }

    // returns

    @Test
    void aReturnBesideThePickupIsSaid() {
        Project p = Pattern.BOOST_AND_ENGINE_PUMP.project();
        Tank tank = p.system().tanks().stream()
                .filter(t -> !t.returns().isEmpty())
                .findFirst()
                .orElseThrow();
        Place pickup = tank.outlets().get(0).place();
        Project near = with(
                p, tank.withReturns(List.of(new Tank.Entry(tank.returns().get(0).name(), pickup.raised(0.01)))));
        Project far = with(
                p,
                tank.withReturns(List.of(new Tank.Entry(
                        tank.returns().get(0).name(),
                        new Place(
                                pickup.station(),
                                pickup.buttLine()
                                        .with(ration.base.quantity.Quantity.of(
                                                pickup.buttLine().quantity().value() + 25,
                                                pickup.buttLine().quantity().unit())),
                                pickup.waterLine())))));
        assertThat(finding(near, "vapor.return-near." + tank.id())).get().satisfies(f -> {
            assertThat(f.verdict()).isEqualTo(Verdict.THIN);
            assertThat(f.remedy()).contains("far end");
        });
        assertThat(finding(far, "vapor.return-near." + tank.id())).isEmpty();
    }

    // trapped

    private static Project trapped(LineSize size) {
        EngineInlet servo = Systems.inlet().withStyle(EngineInlet.Style.SERVO, false);
        List<Item> items = new ArrayList<>(List.of(
                Systems.tank("tank", 0, 0, 20),
                new ShutOff(new Tag("valve", "Valve", Place.inches(0, 0, 10)), Rated.of(20, 0.02, "")),
                servo,
                Systems.run("r1", "tank.outlet", "valve.in", 5),
                Systems.run("r2", "valve.out", "carburettor.in", 10).resized(size)));
        return Systems.project(new FuelSystem(items, Optional.empty()));
    }

    @Test
    void aRigidTrapIsShortAndAHoseSoftensIt() {
        Finding rigid = finding(trapped(LineSize.parse("3/8 x 0.035 tube")), "vapor.trapped.r2")
                .orElseThrow();
        assertThat(rigid.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(words(rigid)).contains("12 mL can be locked", "about 134 psi more for each \u00b0F");
        assertThat(rigid.remedy()).contains("bleed");
        LineSize hose = LineSize.usual().stream()
                .filter(s -> s.kind() == LineSize.Kind.HOSE)
                .findFirst()
                .orElseThrow();
        Finding soft = finding(trapped(hose), "vapor.trapped.r2").orElseThrow();
        assertThat(soft.verdict()).isEqualTo(Verdict.THIN);
        assertThat(words(soft)).contains("Hose in it takes up");
    }

    /** Every finding of every starting layout can be read: a title, words in both systems, a source, and what to do. */
    @ParameterizedTest
    @EnumSource
    void everyFindingSaysWhatWhyAndWhatToDo(Pattern pattern) {
        assertThat(findings(pattern.project())).allSatisfy(f -> {
            assertThat(f.title()).isNotBlank();
            assertThat(f.source()).isNotBlank();
            assertThat(f.detail().in(UnitSystem.US)).isNotBlank().doesNotContain("NaN", "Infinity", "null");
            assertThat(f.detail().in(UnitSystem.METRIC)).isNotBlank().doesNotContain(" gph", " psi", " gal ", "NaN");
            if (f.verdict() == Verdict.FAILS) {
                assertThat(f.remedy()).as(f.title()).isNotBlank();
            }
        });
    }
}
