package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tag;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

class AssessmentTest {

    /**
     * AC 90-89 (from memory): 0.55 lb/hp/h; 100 hp by gravity needs 13.75 gph, by pump 11.46. 150 hp takes 13.75 gph.
     */
    @ParameterizedTest
    @CsvSource({
        "100, GRAVITY, 13.75",
        "100, PUMP, 11.458",
        "65, GRAVITY, 8.9375",
        "180, GRAVITY, 24.75",
        "300, PUMP, 34.375"
    })
    void neededFlowIsTheHandbooks(double hp, Brief.Delivery delivery, double gph) {
        Brief brief = Brief.usual().withPower(Quantity.of(hp, Unit.HORSEPOWER)).withDelivery(delivery);
        assertThat(Unit.GALLON_PER_HOUR.fromSi(brief.needed())).isCloseTo(gph, Percentage.withPercentage(0.01));
    }

    @Test
    void verdictsHaveTheirBands() {
        assertThat(Verdict.atLeast(1.49, 1.5)).isEqualTo(Verdict.FAILS);
        assertThat(Verdict.atLeast(1.50, 1.5)).isEqualTo(Verdict.THIN);
        assertThat(Verdict.atLeast(1.574, 1.5)).isEqualTo(Verdict.THIN);
        assertThat(Verdict.atLeast(1.576, 1.5)).isEqualTo(Verdict.HOLDS);
        assertThat(Verdict.HOLDS.worse(Verdict.NOT_SHOWN)).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(Verdict.FAILS.worse(Verdict.NOT_SHOWN)).isEqualTo(Verdict.FAILS);
    }

    @Test
    void theDemoIsShortOnTheTakeOffRunOnTheFuselageTankAndTwoChangesMendIt() {
        Project demo = Systems.corrie();
        Assessment before = Assessment.of(demo);
        CaseAnswer governing = before.governing().orElseThrow();
        assertThat(governing.condition().attitude().name()).isEqualTo("Takeoff run");
        assertThat(governing.condition().positions()).containsEntry("selector", "FUSELAGE");
        assertThat(governing.filling()).isEqualTo(Filling.of(Contents.LAST_USABLE));
        assertThat(before.flowVerdict()).isEqualTo(Verdict.FAILS);
        assertThat(before.findings().stream()
                        .filter(f ->
                                f.verdict() == Verdict.FAILS && f.check().key().equals("flow.margin")))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.item()).isEqualTo("r3");
                    assertThat(f.remedy()).contains("3/8");
                });
        Run r3 = (Run) demo.system().item("r3").orElseThrow();
        Project one = demo.with(demo.system().replace(r3.resized(LineSize.parse("3/8 x 0.035 tube"))));
        assertThat(Assessment.of(one).governing().orElseThrow().margin()).isBetween(1.25, 1.35);
        Project wide = demo.with(demo.system().replace(r3.resized(LineSize.parse("1/2 x 0.035 tube"))));
        Assessment after = Assessment.of(
                wide.with(wide.system().change("r2", Run.class, r -> r.resized(LineSize.parse("1/2 x 0.035 tube")))));
        assertThat(after.flowVerdict()).isEqualTo(Verdict.THIN);
        assertThat(after.findings())
                .noneMatch(f -> f.check().key().equals("flow.margin") && f.verdict() == Verdict.FAILS);
    }

    @Test
    void theMatrixGoesThroughEveryFlownCase() {
        Assessment a = Systems.assessedCorrie();
        assertThat(a.cases())
                .as("attitudes, positions, contents, filters clean and fouled; loads and cold fuel")
                .hasSize(5 * 2 * 3 * 2 + (3 + 5) * 2);
        assertThat(a.cases()).noneMatch(c -> c.condition().attitude().name().equals("Parked"));
        assertThat(a.cases()).noneMatch(c -> c.condition().positions().containsValue("OFF"));
        assertThat(a.cases()).allMatch(c -> c.capacity().usable() && c.demand().usable());
        double least = a.cases().stream()
                .filter(CaseAnswer::judged)
                .mapToDouble(CaseAnswer::ratio)
                .min()
                .orElseThrow();
        assertThat(a.governing().orElseThrow().ratio()).isEqualTo(least);
    }

    /** Left and right slips of a symmetric aircraft are the same case seen from two sides. */
    @Test
    void symmetricSlipsGiveTheSameMargin() {
        Assessment a = Systems.assessedCorrie();
        for (Contents contents : Contents.values()) {
            List<CaseAnswer> slips = a.cases().stream()
                    .filter(c -> c.filling().is(contents)
                            && c.condition().attitude().name().startsWith("Slip")
                            && c.condition().positions().containsValue("UPPER")
                            && !c.condition().engine().fouled()
                            && c.steady())
                    .toList();
            assertThat(slips).hasSize(2);
            assertThat(slips.get(0).margin()).isCloseTo(slips.get(1).margin(), Offset.offset(1e-6));
        }
    }

    @Test
    void tanksThatOverflowEachOtherAreFound() {
        Assessment a = Assessment.of(Systems.project(Systems.twoTanks(40, 12)));
        assertThat(a.findings()).anySatisfy(f -> {
            assertThat(f.id()).isEqualTo("flow.overflow.right");
            assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
            assertThat(f.detail().in(UnitSystem.METRIC)).contains("L/h").doesNotContain("gph");
            assertThat(f.source()).contains("23.957").contains("from memory");
        });
        assertThat(Systems.assessedCorrie().findings()).noneMatch(f -> f.id().startsWith("flow.overflow"));
    }

    @Test
    void aBlockedLayoutIsNotShownAndSaysWhatToMend() {
        Assessment a = Assessment.of(Project.empty());
        assertThat(a.blocked()).isTrue();
        assertThat(a.flowVerdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(a.look(StartingCase.of(a.project()))).isEmpty();
        Ledger ledger = Ledger.of(a, UnitSystem.US);
        assertThat(ledger.flow().verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(ledger.entries()).allSatisfy(e -> assertThat(e.detail()).isNotBlank());
    }

    @Test
    void theLedgerShowsWhatIsComputed() {
        Ledger ledger = Ledger.of(Systems.assessedCorrie(), UnitSystem.US);
        assertThat(ledger.unusable().verdict())
                .as("a test of another attitude makes more likely than the placard")
                .isEqualTo(Verdict.FAILS);
        assertThat(ledger.unusable().figure()).isEqualTo("1.32 gal");
        assertThat(ledger.unusable().need()).isEqualTo("placard 1.3");
        assertThat(ledger.unusable().detail())
                .isEqualTo("Estimated from a drain test, Glide \u22126\u00b0, tilt 3\u00b0 right, Upper tank");
        assertThat(ledger.vapor().verdict()).as("a restart is at risk").isEqualTo(Verdict.THIN);
        assertThat(ledger.vapor().detail())
                .isEqualTo("Upper tank outlet, fuel 100 \u00b0F, 8,000 ft; margin 11.6 \u00b0F at 110 \u00b0F;"
                        + " restart at risk");
        assertThat(Ledger.of(Assessment.of(Project.empty()), UnitSystem.US)
                        .vapor()
                        .verdict())
                .isEqualTo(Verdict.NOT_SHOWN);
        assertThat(ledger.flow().figure()).endsWith("\u00d7");
        assertThat(ledger.flow().detail()).startsWith("Takeoff run 12\u00b0, 0.25 g forward, FUSELAGE");
    }

    @Test
    void theValveOnTheWrongSideOfTheFirewallIsFound() {
        Project demo = Systems.corrie();
        Fitted selector = (Fitted) demo.system().item("selector").orElseThrow();
        Item moved = selector.with(new Tag("selector", "Selector", ration.aircraft.model.Place.inches(36, 0, 35)));
        Assessment a = Assessment.of(demo.with(demo.system().replace(moved)));
        assertThat(a.findingsOn("selector")).anySatisfy(f -> {
            assertThat(f.id()).isEqualTo("build.shut-off.selector");
            assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
        });
    }

    @Test
    void frictionBetweenLaminarAndTurbulentIsReported() {
        Project slow = Systems.project(Systems.oneLine());
        Run run = slow.system().runs().get(0);
        Project small = slow.with(slow.system().replace(run.withSize(LineSize.parse("0.11 in bore"))));
        assertThat(Assessment.of(small).findings()).extracting(Finding::id).contains("flow.transition.r1");
    }

    @Test
    void thePracticeChoiceChangesFriction() {
        Project demo = Systems.corrie();
        Run run = demo.system().runs().get(0);
        Project small = demo.with(demo.system().replace(run.withSize(LineSize.parse("0.13 in bore"))));
        double safe = margin(small, Brief.Friction.CONSERVATIVE);
        double blend = margin(small, Brief.Friction.TEXTBOOK);
        assertThat(blend).isGreaterThanOrEqualTo(safe);
    }

    private static double margin(Project project, Brief.Friction friction) {
        Brief.Choices c = project.brief().choices();
        return Assessment.of(project.with(project.brief().withChoices(new Brief.Choices(c.basis(), friction))))
                .governing()
                .orElseThrow()
                .margin();
    }

    @Test
    void lookingAtACaseGivesTheSameFiguresAsTheMatrix() {
        Assessment a = Systems.assessedCorrie();
        CaseAnswer governing = a.governing().orElseThrow();
        assertThat(a.look(governing.condition()).orElseThrow().margin()).isEqualTo(governing.margin());
    }

    /** The bar beside a finding is its result over its need, past the notch exactly when it is not Short. */
    @Test
    void everyFindingCarriesItsOwnRatio() {
        for (Project p : List.of(Systems.corrie(), Systems.project(Systems.twoTanks(40, 12)), Project.empty())) {
            Assessment a = Assessment.of(p);
            assertThat(a.findings()).allSatisfy(f -> {
                assertThat(f.ratio()).isFinite().isNotNegative();
                if (f.verdict() == Verdict.HOLDS || f.verdict() == Verdict.THIN) {
                    assertThat(f.ratio()).as(f.id()).isGreaterThanOrEqualTo(1);
                } else {
                    assertThat(f.ratio()).as(f.id()).isLessThan(1);
                }
            });
        }
        Assessment demo = Systems.assessedCorrie();
        assertThat(demo.findings())
                .anyMatch(f -> f.check().key().equals("flow.margin")
                        && f.ratio() == demo.governing().orElseThrow().ratio());
    }

    @Test
    void coldFuelFlowsLess() {
        Assessment a = Assessment.of(Systems.project(Systems.oneLine()));
        Condition warm = StartingCase.of(a.project());
        double at15 = a.look(warm).orElseThrow().margin();
        double cold = a.look(warm.withFuelKelvin(253.15)).orElseThrow().margin();
        assertThat(cold).isLessThan(at15);
        assertThat(FuelGrade.AVGAS_100LL.viscosity(253.15)).isGreaterThan(FuelGrade.AVGAS_100LL.viscosity(288.15));
    }

    @Test
    void anObstacleIsSaidInWords() {
        FuelSystem system = Systems.twoTanks(24, 24);
        Assessment a = Assessment.of(Systems.project(system));
        Condition dry = Systems.level(system, 0).withPosition("selector", "LEFT");
        CaseAnswer look = a.look(dry).orElseThrow();
        assertThat(look.margin()).isZero();
        assertThat(look.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(look.obstacle(system)).contains("left").contains("uncovered");
        assertThat(a.look(dry.withPosition("selector", "OFF")).orElseThrow().obstacle(system))
                .isNotBlank();
    }

    @Test
    void aConditionIsCarriedOverToAChangedProject() {
        Project demo = Systems.corrie();
        Condition c = StartingCase.of(demo)
                .withPosition("selector", "FUSELAGE")
                .withContents("upper", 0.01)
                .with(Attitude.ofDegrees("Climb", 17, 0));
        Project without = demo.with(demo.system().minus("upper", "r1"));
        Condition adapted = StartingCase.adapted(c, without);
        assertThat(adapted.positions()).containsEntry("selector", "FUSELAGE");
        assertThat(adapted.contents().keySet()).isEqualTo(Set.of("fuselage"));
        assertThat(adapted.attitude().name()).isEqualTo("Climb");
        assertThat(StartingCase.adapted(adapted, demo).contents()).containsKey("upper");
    }

    @Test
    void labelsSayTheCase() {
        assertThat(Attitude.ofDegrees("Climb", 17, 0).label()).isEqualTo("Climb 17\u00b0");
        assertThat(Attitude.ofDegrees("Slip left", 0, -6).label()).isEqualTo("Slip left, tilt 6\u00b0 left");
        assertThat(Attitude.ofDegrees("Level", 0, 0).label()).isEqualTo("Level");
        assertThat(Contents.LAST_USABLE.volume(10, 1, 2)).isEqualTo(3);
        assertThat(Contents.LAST_USABLE.volume(2, 1, 2))
                .as("never more than the tank holds")
                .isEqualTo(2);
        assertThat(Measured.of(1, Unit.INCH, " tape ").by()).isEqualTo("tape");
    }

    /** A figure that misses its limit is Short, one that meets it is not; where either is not known it is Not shown. */
    @Test
    void verdictsAgreeWithTheFiguresTheyComeFrom() {
        for (Project p : List.of(Systems.corrie(), Systems.demo("brindle-a2"), Systems.demo("tansy-l3"))) {
            List<Finding> measured = Assessment.of(p).findings().stream()
                    .filter(f -> f.measure().isPresent())
                    .toList();
            assertThat(measured)
                    .extracting(Finding::check)
                    .contains(
                            ration.verdict.check.Check.FLOW_MARGIN,
                            ration.verdict.check.Check.TANK_UNUSABLE,
                            ration.verdict.check.Check.VAPOR_GAP,
                            ration.verdict.check.Check.FLOW_INLET_PRESSURE);
            assertThat(measured).allSatisfy(f -> {
                if (f.verdict() != Verdict.NOT_SHOWN) {
                    assertThat(f.verdict() != Verdict.FAILS)
                            .as(f.id() + " " + f.measure())
                            .isEqualTo(f.measure().get().met());
                }
            });
        }
    }
}
