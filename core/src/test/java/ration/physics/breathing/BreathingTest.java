package ration.physics.breathing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.data.Offset;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.answer.assess.Assessment;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.project.Project;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** Vents against published drops and closed forms, low points against polylines drawn by hand. */
class BreathingTest {

    private static final double LITRE_A_MINUTE = 1e-3 / 60;

    /**
     * Air 1.225, 1.79e-5; bore 4.572 mm: 1.26 L/min laminar 35.1 Pa/m; 14.5 L/min 1,121.8 Pa/m; 7.747 mm 93.6
     * (handbook).
     */
    @Test
    void dropsOfTheHandbook() {
        assertThat(new AirLine(0.004572, 1, false).perMetre(1.26 * LITRE_A_MINUTE))
                .isCloseTo(35.1, Offset.offset(0.1));
        assertThat(new AirLine(0.004572, 1, false).perMetre(14.5 * LITRE_A_MINUTE))
                .isCloseTo(1121.8, Percentage.withPercentage(1));
        assertThat(new AirLine(0.007747, 1, false).perMetre(14.5 * LITRE_A_MINUTE))
                .isCloseTo(93.6, Percentage.withPercentage(1));
    }

    /** Hagen and Poiseuille: 128 mu Q / (pi D4). */
    @Property(tries = 100)
    void slowAirIsLaminar(
            @ForAll @DoubleRange(min = 0.01, max = 0.9) double share,
            @ForAll @DoubleRange(min = 3, max = 12) double millimetres) {
        double bore = millimetres / 1000;
        double flow = share * 2000 * Math.PI * bore * AirLine.VISCOSITY / (4 * AirLine.DENSITY);
        assertThat(new AirLine(bore, 1, false).perMetre(flow))
                .isCloseTo(
                        128 * AirLine.VISCOSITY * flow / (Math.PI * Math.pow(bore, 4)),
                        Percentage.withPercentage(1e-6));
    }

    @Test
    void lengthBoreAndBallCount() {
        double flow = 10 * LITRE_A_MINUTE;
        double usual = new AirLine(0.006, 1, false).drop(flow);
        assertThat(new AirLine(0.006, 2, false).drop(flow)).isGreaterThan(usual);
        assertThat(new AirLine(0.008, 1, false).drop(flow)).isLessThan(usual / 2);
        assertThat(new AirLine(0.006, 1, true).drop(flow)).isGreaterThan(usual);
        assertThat(new AirLine(0.006, 1, false).drop(0)).isZero();
    }

    /** Trapped air: p V^n stays; slow (n 1) and fast (n 1.4) on either side; there and back. */
    @Property(tries = 100)
    void trappedAirThins(
            @ForAll @DoubleRange(min = 0.01, max = 0.2) double air,
            @ForAll @DoubleRange(min = 0.01, max = 0.1) double left,
            @ForAll @DoubleRange(min = 1, max = 1.4) double n) {
        double p = Vents.trapped(101_325, air, left, n);
        assertThat(p * Math.pow(air + left, n)).isCloseTo(101_325 * Math.pow(air, n), Percentage.withPercentage(1e-9));
        assertThat(Vents.until(101_325, air, 101_325 - p, n)).isCloseTo(left, Offset.offset(1e-9));
        assertThat(Vents.trapped(101_325, air, left, 1)).isGreaterThanOrEqualTo(p - 1e-9);
        assertThat(Vents.until(101_325, air, 0, n)).isZero();
    }

    /** 100 L of air, 1,000 fpm: 3.61 L/min; dynamic pressure at 100 kt 1,621 Pa (handbook, calculated). */
    @Test
    void descentAndRamPressureOfTheHandbook() {
        assertThat(Vents.descending(0.1, Unit.FOOT_PER_MINUTE.toSi(1000)) / LITRE_A_MINUTE)
                .isCloseTo(3.61, Offset.offset(0.02));
        assertThat(Vents.dynamic(Unit.KNOT.toSi(100))).isCloseTo(1621.0, Offset.offset(0.5));
    }

    // low points

    private static final Point3 LEVEL = new Point3(0, 0, 1);

    private static FuelSystem line(Place... between) {
        FuelSystem s = Systems.oneLine();
        return s.replace(s.runs().get(0).withPoints(List.of(between)));
    }

    private static List<LowPoints.Kind> kinds(FuelSystem s, Point3 up) {
        return LowPoints.of(s, up).points().stream().map(LowPoints.Found::kind).toList();
    }

    @Test
    void aLineThatFallsAllTheWayHasNone() {
        assertThat(kinds(line(Place.inches(6, 0, 18), Place.inches(2, 0, 5)), LEVEL))
                .isEmpty();
    }

    @Test
    void aSagIsLowAndAHumpIsHigh() {
        List<LowPoints.Found> found = LowPoints.of(line(Place.inches(6, 0, -4), Place.inches(3, 0, 9)), LEVEL)
                .points();
        assertThat(found).hasSize(2);
        assertThat(found).anySatisfy(f -> {
            assertThat(f.kind()).isEqualTo(LowPoints.Kind.UNDRAINED);
            assertThat(f.place()).isEqualTo(Place.inches(6, 0, -4).point());
            assertThat(f.item()).isEqualTo("r1");
        });
        assertThat(found).anySatisfy(f -> assertThat(f.kind()).isEqualTo(LowPoints.Kind.HIGH));
    }

    /** Level stretches count as one point; tilted by the parked attitude one of their ends is the low one. */
    @Test
    void aLevelStretchIsOnePoint() {
        FuelSystem s = line(Place.inches(8, 0, -4), Place.inches(4, 0, -4));
        assertThat(kinds(s, LEVEL)).containsExactly(LowPoints.Kind.UNDRAINED);
        Point3 noseUp = ration.base.geometry.ApparentGravity.ofAttitude(Math.toRadians(12), 0)
                .up();
        assertThat(LowPoints.of(s, noseUp).points()).hasSize(1).first().satisfies(f -> assertThat(f.place())
                .isEqualTo(Place.inches(8, 0, -4).point()));
    }

    private static FuelSystem withStrainer(boolean drain) {
        Strainer strainer =
                new Strainer(new Tag("strainer", "Strainer", Place.inches(4, 0, -6)), Rated.of(20, 0.05, ""), drain);
        return new FuelSystem(
                List.of(
                        Systems.tank("tank", 10, 0, 24),
                        strainer,
                        Systems.inlet(),
                        Systems.run("r1", "tank.outlet", "strainer.in", 40),
                        Systems.run("r2", "strainer.out", "carburettor.in", 10)),
                Optional.empty());
    }

    @Test
    void aStrainerWithADrainTakesTheWater() {
        assertThat(kinds(withStrainer(true), LEVEL)).containsExactly(LowPoints.Kind.DRAINED);
        assertThat(kinds(withStrainer(false), LEVEL)).containsExactly(LowPoints.Kind.UNDRAINED);
    }

    private static Tank vented(Place... points) {
        Tank t = Systems.oneLine().tanks().get(0);
        return t.with(t.fitout()
                .withVent(Optional.of(new VentLine(
                        Systems.in(0.3), Systems.in(30), Measured.of(0, Unit.ONE), false, List.of(points)))));
    }

    @Test
    void aLoopThatDipsTrapsLiquid() {
        FuelSystem rising = Systems.oneLine().replace(vented(Place.inches(10, 0, 34), Place.inches(10, 0, 36)));
        FuelSystem dipping = Systems.oneLine()
                .replace(vented(Place.inches(10, 0, 40), Place.inches(10, 4, 35), Place.inches(10, 6, 35)));
        assertThat(kinds(rising, LEVEL)).isEmpty();
        assertThat(kinds(dipping, LEVEL)).containsExactly(LowPoints.Kind.VENT_TRAP);
    }

    /** Aircraft and gravity turned together change nothing. */
    @Property(tries = 60)
    void turningAircraftAndGravityTogetherChangesNothing(
            @ForAll long seed,
            @ForAll @DoubleRange(min = -180, max = 180) double yaw,
            @ForAll @DoubleRange(min = -40, max = 40) double pitch) {
        Random r = new Random(seed);
        List<Place> points = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            points.add(Place.inches(r.nextInt(40), r.nextInt(20) - 10, r.nextInt(60) - 20));
        }
        FuelSystem s = line(points.toArray(Place[]::new));
        FuelSystem turned = turned(s, yaw, pitch);
        Set<String> a = new HashSet<>();
        Set<String> b = new HashSet<>();
        LowPoints.of(s, LEVEL).points().forEach(f -> a.add(f.kind() + f.item() + key(turn(f.place(), yaw, pitch))));
        LowPoints.of(turned, turn(LEVEL, yaw, pitch))
                .points()
                .forEach(f -> b.add(f.kind() + f.item() + key(f.place())));
        assertThat(b).isEqualTo(a);
    }

    private static String key(Point3 p) {
        return Math.round(p.x() * 1e4) + "," + Math.round(p.y() * 1e4) + "," + Math.round(p.z() * 1e4);
    }

    private static Point3 turn(Point3 p, double yaw, double pitch) {
        double c = Math.cos(Math.toRadians(yaw));
        double s = Math.sin(Math.toRadians(yaw));
        Point3 q = new Point3(c * p.x() - s * p.y(), s * p.x() + c * p.y(), p.z());
        double d = Math.cos(Math.toRadians(pitch));
        double e = Math.sin(Math.toRadians(pitch));
        return new Point3(d * q.x() + e * q.z(), q.y(), -e * q.x() + d * q.z());
    }

    private static Place turn(Place p, double yaw, double pitch) {
        Point3 t = turn(p.point(), yaw, pitch);
        return new Place(
                Measured.of(t.x(), Unit.METRE), Measured.of(t.y(), Unit.METRE), Measured.of(t.z(), Unit.METRE));
    }

    private static FuelSystem turned(FuelSystem s, double yaw, double pitch) {
        List<Item> items = new ArrayList<>();
        for (Item item : s.items()) {
            if (item instanceof Tank t) {
                items.add(t.withOutlets(t.outlets().stream()
                                .map(o -> o.at(turn(o.place(), yaw, pitch)))
                                .toList())
                        .withVent(Optional.empty()));
            } else if (item instanceof Run r) {
                items.add(r.withPoints(
                        r.points().stream().map(p -> turn(p, yaw, pitch)).toList()));
            } else if (item instanceof Fitted f) {
                items.add(f.with(new Tag(f.id(), f.name(), turn(f.place(), yaw, pitch))));
            }
        }
        return new FuelSystem(items, Optional.empty());
    }

    // findings and cards

    @Test
    void theDemosAirIsSaidInWords() {
        List<Finding> findings = Systems.assessedCorrie().findings();
        assertThat(findings).anySatisfy(f -> {
            assertThat(f.id()).isEqualTo("air.vent.upper");
            assertThat(f.verdict()).isEqualTo(Verdict.HOLDS);
            assertThat(f.detail().in(ration.base.quantity.UnitSystem.US))
                    .contains("feeding", "descending", "rule of thumb");
        });
        assertThat(findings).anyMatch(f -> f.id().equals("air.blocked.fuselage"));
        assertThat(findings).anyMatch(f -> f.id().equals("air.strainer") && f.verdict() == Verdict.HOLDS);
    }

    @Test
    void aNarrowVentIsShortByTheRuleOrByTheDrop() {
        Project p = Systems.corrie();
        Tank t = (Tank) p.system().item("upper").orElseThrow();
        VentLine narrow = t.fitout().vent().orElseThrow().withBore(Systems.in(0.12));
        assertThat(verdict(p.with(p.system().replace(t.with(t.fitout().withVent(Optional.of(narrow)))))))
                .isEqualTo(Verdict.FAILS);
        assertThat(verdict(p.with(p.system().replace(t.with(t.fitout().withVent(Optional.empty()))))))
                .isEqualTo(Verdict.NOT_SHOWN);
    }

    private static Verdict verdict(Project p) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.id().equals("air.vent.upper"))
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    @Test
    void drainsAreSampledOnceRoundTheAircraft() {
        assertThat(SamplingCard.of(Systems.corrie().system()))
                .extracting(SamplingCard.Drain::name)
                .containsExactly("Upper tank", "Fuselage tank", "Strainer");
    }

    /** Until a cap is said to have a seal the card says what rain does; each that has one is not named. */
    @Test
    void capsWithoutASealAreNamedOnTheSamplingCard() {
        FuelSystem corrie = Systems.corrie().system();
        assertThat(SamplingCard.caps(corrie)).get().asString().contains("Upper tank, Fuselage tank");
        FuelSystem one = corrie.change(
                "upper", Tank.class, t -> t.with(t.fitout().with(ration.aircraft.model.Fitout.Piece.CAP_SEAL, true)));
        assertThat(SamplingCard.caps(one))
                .get()
                .asString()
                .contains("Fuselage tank")
                .doesNotContain("Upper tank");
        assertThat(SamplingCard.caps(one.change(
                        "fuselage",
                        Tank.class,
                        t -> t.with(t.fitout().with(ration.aircraft.model.Fitout.Piece.CAP_SEAL, true)))))
                .isEmpty();
    }

    // tanks that breathe through each other, and tips that differ

    private static Project both(double leftTip, double rightTip, Optional<String> leftTo, Optional<String> rightTo) {
        FuelSystem s = Systems.twoTanks(30, 30);
        for (Tank t : s.tanks()) {
            boolean left = t.id().equals("left");
            s = s.replace(t.with(t.fitout()
                    .withVent(Optional.of(new VentLine(
                            Systems.in(0.305),
                            Systems.in(30),
                            Measured.of(left ? leftTip : rightTip, Unit.ONE),
                            false,
                            left ? leftTo : rightTo,
                            List.of())))));
        }
        return Systems.project(s);
    }

    private static Finding finding(Project p, String id) {
        return Assessment.of(p).findings().stream()
                .filter(f -> f.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The tank under the higher pressure pushes into the other; alike tips move nothing. */
    @Test
    void unlikeTipsMoveFuelOnBoth() {
        Finding apart = finding(both(0.2, -0.5, Optional.empty(), Optional.empty()), "air.tips");
        assertThat(apart.verdict()).isEqualTo(Verdict.THIN);
        assertThat(apart.detail().in(ration.base.quantity.UnitSystem.US)).contains("right gains");
        Finding alike = finding(both(0.1, 0.1, Optional.empty(), Optional.empty()), "air.tips");
        assertThat(alike.verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(alike.detail().in(ration.base.quantity.UnitSystem.US)).contains("No flow between");
    }

    /**
     * A vent of Cp -0.5 at 100 kt takes away 810 Pa (handbook, calculated): as much less arrives at the engine inlet.
     */
    @Test
    void pressureOverTheFuelReachesTheInlet() {
        FuelSystem s = Systems.oneLine();
        var c = Systems.level(s, 5);
        var basis = new ration.physics.flow.FlowBasis(
                s, ration.base.fluid.FuelGrade.AVGAS_100LL, ration.solver.network.FrictionLaw.CONSERVATIVE);
        var inlet = new ration.aircraft.model.PortRef("carburettor", Item.IN);
        double usual = basis.ask(c, new ration.physics.flow.FlowQuestion.Demand(1e-5))
                .pressure(inlet)
                .orElseThrow();
        double sucked = basis.ask(
                        c.withAirspace(java.util.Map.of("tank", -810.5)),
                        new ration.physics.flow.FlowQuestion.Demand(1e-5))
                .pressure(inlet)
                .orElseThrow();
        assertThat(usual - sucked).isCloseTo(810.5, Offset.offset(1e-3));
    }

    /** With so much gone and so thin an air over the rest, the solver finds just the least pressure at the inlet. */
    @Test
    void aBlockedVentLastsUntilTheInletHasItsLeastPressure() {
        Project p = Systems.corrie();
        Assessment a = Assessment.of(p);
        for (var air : a.air()) {
            var blocked = air.blocked().orElseThrow();
            assertThat(blocked.outlasts()).isFalse();
            var half = blocked.look();
            double start = half.condition().contents().get(air.tank().id());
            double capacity = a.tank(air.tank().id()).orElseThrow().body().capacity();
            double thin = 101_325
                            * Math.pow(
                                    (capacity - start)
                                            / (capacity
                                                    - start
                                                    + blocked.soonest().volume()),
                                    1.4)
                    - 101_325;
            var then = a.look(half.condition()
                            .withContents(
                                    air.tank().id(), start - blocked.soonest().volume())
                            .withAirspace(java.util.Map.of(air.tank().id(), thin)))
                    .orElseThrow();
            var inlet = p.system().inlet().orElseThrow();
            assertThat(then.demand()
                            .pressure(new ration.aircraft.model.PortRef(inlet.id(), Item.IN))
                            .orElseThrow())
                    .as(air.tank().name())
                    .isCloseTo(inlet.minimumPressure().si(), Offset.offset(1.0));
        }
    }

    /** The tank a transfer pump fills breathes out what it takes in; one that only feeds breathes out nothing. */
    @Test
    void whatComesBackGoesOutAsAir() {
        Assessment a = Assessment.of(ration.record.project.Pattern.TRANSFER.project());
        assertThat(a.air()).anyMatch(x -> x.returning() > 0);
        for (var air : a.air()) {
            double most = a.cases().stream()
                    .filter(c -> c.demand().usable())
                    .mapToDouble(c -> -c.demand().outflow(air.tank()))
                    .max()
                    .orElseThrow();
            assertThat(air.returning()).as(air.tank().name()).isCloseTo(Math.max(0, most), Offset.offset(2e-9));
        }
        assertThat(Assessment.of(Systems.project(Systems.oneLine())).air()).allMatch(x -> x.returning() == 0);
    }

    @Test
    void aVentThroughAnotherTankCostsBothAndARingIsShut() {
        Project alone = both(0, 0, Optional.empty(), Optional.empty());
        Project through = both(0, 0, Optional.of("right"), Optional.empty());
        var a = Assessment.of(alone).air().get(0);
        var b = Assessment.of(through).air().get(0);
        assertThat(b.through()).hasSize(1);
        assertThat(b.drop(1e-4)).isCloseTo(2 * a.drop(1e-4), Percentage.withPercentage(1e-6));
        assertThat(b.inFlight()).isGreaterThan(2 * a.inFlight());
        Finding ring = finding(both(0, 0, Optional.of("right"), Optional.of("left")), "air.vent.left");
        assertThat(ring.verdict()).isEqualTo(Verdict.FAILS);
        assertThat(ring.detail().in(ration.base.quantity.UnitSystem.US)).contains("never reach outside");
    }

    /** One ounce for 20 gal: 10, 25, 50 gal want 0.5, 1.25, 2.5 oz (handbook, calculated). */
    @Test
    void theBowlFollowsTheTanks() {
        Project p = Systems.project(withStrainer(true));
        Strainer s = (Strainer) p.system().item("strainer").orElseThrow();
        double gallons = Unit.GALLON.fromSi(p.system().tanks().get(0).solid().volume());
        double ounce = Unit.GALLON.toSi(1) / 128;
        Measured enough = Measured.of(Unit.CUBIC_INCH.fromSi(ounce * gallons / 20 * 1.2), Unit.CUBIC_INCH);
        Measured little = Measured.of(Unit.CUBIC_INCH.fromSi(ounce * gallons / 20 * 0.8), Unit.CUBIC_INCH);
        assertThat(finding(p.with(p.system().replace(s.withBowl(Optional.of(enough)))), "air.bowl.strainer")
                        .verdict())
                .isEqualTo(Verdict.HOLDS);
        assertThat(finding(p.with(p.system().replace(s.withBowl(Optional.of(little)))), "air.bowl.strainer")
                        .verdict())
                .isEqualTo(Verdict.FAILS);
    }

    @Test
    void onBothTheHigherTankEmptiesFirst() {
        FuelSystem s = Systems.twoTanks(24, 34);
        assertThat(finding(Systems.project(s), "air.both").item()).isEqualTo("right");
    }

    // what was found wrong by recomputing

    /**
     * Feed and return of a duplex selector are two places: the feed's hump is seen, the return's sag is not drained by
     * the feed.
     */
    @Test
    void aDuplexSelectorIsTwoPlaces() {
        Tank tank =
                Systems.tank("tank", 20, 0, 24).withReturns(List.of(new Tank.Entry("back", Place.inches(25, 0, 30))));
        Selector duplex = new Selector(
                new Tag("sel", "Selector", Place.inches(10, 0, 10)),
                List.of("left"),
                List.of("left-return"),
                List.of(
                        new Selector.Position("ON", List.of(List.of("left", "out"), List.of("return", "left-return"))),
                        new Selector.Position("OFF", List.of())),
                Rated.of(20, 0.03, ""));
        EngineInlet servo = Systems.inlet().withStyle(EngineInlet.Style.SERVO, true);
        FuelSystem s = new FuelSystem(
                List.of(
                        tank,
                        duplex,
                        servo,
                        Systems.run("f1", "tank.outlet", "sel.left", 20).withPoints(List.of(Place.inches(14, 0, 4))),
                        Systems.run("f2", "sel.out", "carburettor.in", 20).withPoints(List.of(Place.inches(5, 0, 4))),
                        Systems.run("b1", "carburettor.return", "sel.return", 20)
                                .withPoints(List.of(Place.inches(5, 0, 20))),
                        Systems.run("b2", "sel.left-return", "tank.back", 20)
                                .withPoints(List.of(Place.inches(15, 0, 20)))),
                Optional.empty());
        List<LowPoints.Found> found = LowPoints.of(s, LEVEL).points();
        assertThat(found)
                .anyMatch(f -> f.kind() == LowPoints.Kind.HIGH
                        && f.place().equals(Place.inches(10, 0, 10).point()));
        assertThat(found)
                .anyMatch(f -> f.kind() == LowPoints.Kind.UNDRAINED
                        && f.place().equals(Place.inches(10, 0, 10).point()));
    }

    /** The only measured point of a vent hangs under the tank's roof: liquid closes it. */
    @Test
    void aTrapAtTheFirstOrOnlyPointIsSeen() {
        FuelSystem only = Systems.oneLine().replace(vented(Place.inches(10, 0, 30)));
        assertThat(kinds(only, LEVEL)).containsExactly(LowPoints.Kind.VENT_TRAP);
        FuelSystem first = Systems.oneLine().replace(vented(Place.inches(10, 0, 31), Place.inches(10, 0, 36)));
        assertThat(kinds(first, LEVEL)).containsExactly(LowPoints.Kind.VENT_TRAP);
        assertThat(LowPoints.of(
                                Systems.corrie().system(),
                                ration.base.geometry.ApparentGravity.ofAttitude(Math.toRadians(12), 0)
                                        .up())
                        .points())
                .as("vents that rise from the roof")
                .noneMatch(f -> f.kind() == LowPoints.Kind.VENT_TRAP);
    }

    @Test
    void aVentIntoAnotherTankDoesNotDischargeClearAndAnUnknownOneIsSaid() {
        Project clear = both(0, 0, Optional.empty(), Optional.empty());
        Project into = both(0, 0, Optional.of("right"), Optional.empty());
        assertThat(finding(clear, "tank.expansion.left").verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(finding(into, "tank.expansion.left").verdict()).isEqualTo(Verdict.FAILS);
        Project nowhere = both(0, 0, Optional.of("gone"), Optional.empty());
        assertThat(finding(nowhere, "air.vent.left").verdict()).isEqualTo(Verdict.NOT_SHOWN);
        assertThat(finding(nowhere, "air.vent.left").detail().in(ration.base.quantity.UnitSystem.US))
                .contains("not in the layout");
        assertThat(ration.aircraft.model.Validation.of(nowhere.system()))
                .anyMatch(p -> p.message().contains("no such tank"));
        assertThat(ration.aircraft.model.Validation.of(
                        both(0, 0, Optional.of("right"), Optional.of("left")).system()))
                .anyMatch(p -> p.message().contains("Vents loop between tanks"));
        FuelSystem without = ration.record.project.LayoutEdits.remove(into.system(), "right")
                .orElseThrow()
                .system();
        assertThat(((Tank) without.item("left").orElseThrow())
                        .fitout()
                        .vent()
                        .orElseThrow()
                        .to())
                .isEmpty();
    }

    /**
     * Two wings in one plenum differ by nothing; one of them through it at -0.2 with the other at +0.3 does not read as
     * equal.
     */
    @Test
    void ventsAreFollowedToTheirTips() {
        Finding one = finding(both(0.3, -0.2, Optional.of("right"), Optional.empty()), "air.tips");
        assertThat(one.detail().in(ration.base.quantity.UnitSystem.US)).contains("differ by 0.000 inH2O");
        Finding two = finding(both(0.3, -0.2, Optional.empty(), Optional.empty()), "air.tips");
        assertThat(two.detail().in(ration.base.quantity.UnitSystem.US)).contains("differ by 2.08 inH2O");
    }

    @Test
    void aTieHasNoWinner() {
        Finding tie = finding(Systems.project(Systems.twoTanks(30, 30)), "air.both");
        assertThat(tie.item()).isEmpty();
        assertThat(tie.detail().in(ration.base.quantity.UnitSystem.US)).contains("equal feed");
    }

    /**
     * Warm air gives less than cold, a thin sky lets more fuel out before the same fall: the range is told and its end
     * is Short.
     */
    @Test
    void aBlockedVentEndsShortAndSaysWhen() {
        Assessment a = Systems.assessedCorrie();
        for (var air : a.air()) {
            var b = air.blocked().orElseThrow();
            assertThat(b.soonest().seconds()).isLessThan(b.latest().seconds());
            // by an independent sum 0.14 min in the climb on the fuselage tank; the take-off run is a little sooner
            // still
            assertThat(b.soonest().seconds() / 60).isLessThan(air.tank().id().equals("fuselage") ? 0.14 : 0.32);
            assertThat(b.suction()).isPositive();
            Finding f = finding(Systems.corrie(), "air.blocked." + air.tank().id());
            assertThat(f.verdict()).isEqualTo(Verdict.FAILS);
            assertThat(f.detail().in(ration.base.quantity.UnitSystem.US))
                    .contains("min on the ground")
                    .contains("8,000 ft")
                    .containsAnyOf("boils first", "does not boil")
                    .contains("vacuum");
        }
    }

    /** Said of one tank, it holds for that one only. */
    @Test
    void aSecondWayForAirEndsTheAlarm() {
        Project p = Systems.corrie();
        Project capped = p.with(p.system()
                .change(
                        "upper",
                        Tank.class,
                        t -> t.with(t.fitout().with(ration.aircraft.model.Fitout.Piece.SECOND_AIR, true))));
        assertThat(finding(capped, "air.blocked.upper").verdict()).isEqualTo(Verdict.HOLDS);
        assertThat(finding(capped, "air.blocked.upper").detail().in(ration.base.quantity.UnitSystem.US))
                .contains("Not verified here");
        assertThat(finding(capped, "air.blocked.fuselage").verdict()).isEqualTo(Verdict.FAILS);
    }
}
