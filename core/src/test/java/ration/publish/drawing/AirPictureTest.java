package ration.publish.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import ration.Systems;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentPlenum;
import ration.answer.assess.AirAnswer;
import ration.answer.assess.AirMoves;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.physics.breathing.LowPoints;
import ration.physics.breathing.Vents;
import ration.publish.drawing.Mark.Spot;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** The air side: nothing lies on what it does not belong to, and it says where air moves and water gathers. */
class AirPictureTest {

    private static final double[][] WINDOWS = {{770, 612}, {892, 500}};

    private static Picture drawn(Project p, Set<String> blocked, AirMoves.Kind kind, double[] window) {
        Assessment a = Assessment.of(p);
        return AirPicture.draw(
                a,
                StartingCase.of(p),
                a.look(StartingCase.of(p)),
                new AirPicture.Shown(AirMoves.of(a, a.look(StartingCase.of(p)), kind, blocked), blocked),
                UnitSystem.US,
                window[0],
                window[1],
                Collisions.MEASURE);
    }

    private static void clean(Project p) {
        for (double[] window : WINDOWS) {
            assertThat(Collisions.of(drawn(p, Set.of(), AirMoves.Kind.FEEDING, window)))
                    .as("%s px wide", window[0])
                    .isEmpty();
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "corrie-b1",
                "brindle-a2",
                "tansy-l3",
                "two-outlets",
                "collector-sump",
                "collectors-duplex",
                "twin-pumps-six-port",
                "header-bleed",
                "jet-siphon",
                "pump-modules"
            })
    void demosAndWholeSystemsHaveNoCollisions(String name) {
        clean(Systems.demo(name));
    }

    @ParameterizedTest
    @EnumSource(Pattern.class)
    void startingLayoutsHaveNoCollisions(Pattern pattern) {
        clean(pattern.project());
    }

    /** What the program offers, put in at random: at most one picture in a hundred has a collision at all. */
    @Test
    void randomLayoutsSeldomHaveOne() {
        int pictures = 0;
        Map<String, Integer> words = new TreeMap<>();
        int wrong = 0;
        for (int seed = 0; seed < CollisionsTest.RANDOM; seed++) {
            Project p = CollisionsTest.random(new Random(seed));
            Assessment a = Assessment.of(p);
            for (double[] window : WINDOWS) {
                Set<String> found = Collisions.of(AirPicture.draw(
                        a,
                        StartingCase.of(p),
                        Optional.empty(),
                        new AirPicture.Shown(
                                AirMoves.of(a, Optional.empty(), AirMoves.Kind.DESCENDING, Set.of()), Set.of()),
                        UnitSystem.US,
                        window[0],
                        window[1],
                        Collisions.MEASURE));
                pictures++;
                wrong += found.isEmpty() ? 0 : 1;
                int at = seed;
                found.forEach(f -> words.merge(at + " " + window[0] + " " + f, 1, Integer::sum));
            }
        }
        assertThat(wrong).as("of " + pictures + ": " + words).isLessThanOrEqualTo(Math.max(1, pictures / 100));
    }

    /**
     * In the demo's UPPER position the upper tank alone feeds: its vent takes in what leaves, the other stands still.
     */
    @Test
    void airMovesWhereFuelLeaves() {
        Project p = Systems.corrie();
        Assessment a = Assessment.of(p);
        CaseAnswer look = a.look(StartingCase.of(p)).orElseThrow();
        Tank upper = (Tank) p.system().item("upper").orElseThrow();
        AirMoves moves = AirMoves.of(a, Optional.of(look), AirMoves.Kind.FEEDING, Set.of());
        assertThat(moves.through(upper))
                .isCloseTo(look.demand().outflow(upper), Offset.offset(1e-12))
                .isPositive();
        Picture picture = drawn(p, Set.of(), AirMoves.Kind.FEEDING, WINDOWS[0]);
        assertThat(picture.pieces())
                .anyMatch(x -> x.words()
                        .equals("vent of Upper tank, " + UnitSystem.US.text(moves.through(upper), Dimension.FLOW)
                                + " of air in"))
                .anyMatch(x -> x.words().equals("vent of Fuselage tank, still"));
    }

    /**
     * What the airspace has is the tip's share of the wind less the line's drop: Cp q - dp, each of them as elsewhere.
     */
    @ParameterizedTest
    @EnumSource(AirMoves.Kind.class)
    void theAirspaceHasTheTipsPressureLessTheDrop(AirMoves.Kind kind) {
        Project p = Systems.corrie();
        Assessment a = Assessment.of(p);
        AirMoves moves = AirMoves.of(a, a.look(StartingCase.of(p)), kind, Set.of());
        for (AirAnswer tank : a.air()) {
            double flow = moves.through(tank.tank());
            double wind = kind == AirMoves.Kind.FILLING
                    ? 0
                    : tank.tip() * Vents.dynamic(p.heat().si(HeatFigure.SPEED));
            assertThat(moves.airspace().get(tank.tank().id()))
                    .isCloseTo(wind - Math.signum(flow) * tank.drop(Math.abs(flow)), Offset.offset(1e-9));
        }
    }

    /** Two tanks under one plenum: what passes its own line is what both take, unless they are filled one at a time. */
    @Test
    void aPlenumPassesWhatAllUnderItTake() {
        Project p = Systems.demo("collector-sump");
        Assessment a = Assessment.of(p);
        Item plenum = p.system().all(VentPlenum.class).findFirst().orElseThrow();
        AirMoves down = AirMoves.of(a, Optional.empty(), AirMoves.Kind.DESCENDING, Set.of());
        assertThat(down.through(plenum))
                .isCloseTo(a.air().stream().mapToDouble(AirAnswer::descending).sum(), Offset.offset(1e-12));
        AirMoves filling = AirMoves.of(a, Optional.empty(), AirMoves.Kind.FILLING, Set.of());
        assertThat(filling.through(plenum))
                .isCloseTo(
                        -a.air().stream().mapToDouble(AirAnswer::filling).max().orElseThrow(), Offset.offset(1e-12));
        AirMoves shut = AirMoves.of(a, Optional.empty(), AirMoves.Kind.DESCENDING, Set.of(plenum.id()));
        assertThat(shut.through(plenum)).isZero();
        assertThat(shut.airspace()).isEmpty();
    }

    @Test
    void aBlockedVentIsSaidAndMarked() {
        Picture open = drawn(Systems.corrie(), Set.of(), AirMoves.Kind.FEEDING, WINDOWS[0]);
        Picture shut = drawn(Systems.corrie(), Set.of("upper"), AirMoves.Kind.FEEDING, WINDOWS[0]);
        assertThat(open.pieces()).noneMatch(x -> x.words().contains("blocked"));
        assertThat(shut.pieces())
                .filteredOn(x -> x.words().endsWith("blocked"))
                .singleElement()
                .satisfies(x -> assertThat(x.item()).isEqualTo("upper"));
        assertThat(shut.texts()).contains("vent blocked");
    }

    /** Heights are true: tips and symbols stand over one another as their places do. */
    @Test
    void heightsAreTrue() {
        Project p = Systems.demo("collector-sump");
        Point3 up = p.brief().envelope().attitudes().get(0).gravity().up();
        Picture picture = drawn(p, Set.of(), AirMoves.Kind.FEEDING, WINDOWS[0]);
        List<double[]> all = new ArrayList<>();
        for (Line vent : Line.vents(p.system())) {
            Item item = p.system().item(vent.id()).orElseThrow();
            List<Point3> way = LowPoints.ventWay(p.system(), item);
            List<Spot> drawn = picture.pieces().stream()
                    .filter(x -> x.kind() == Picture.Kind.VENT && x.item().equals(vent.id()))
                    .map(x -> ((Mark.Path) x.marks().get(0)).spots())
                    .findFirst()
                    .orElseThrow();
            if (vent.to().port().equals(Line.TIP)) {
                all.add(new double[] {
                    up.dot(way.get(way.size() - 1)), drawn.get(drawn.size() - 1).y()
                });
            }
        }
        for (Tank tank : p.system().tanks()) {
            double top = tank.shape().section().stream()
                    .mapToDouble(c -> up.dot(new Point3(c.x(), 0, c.z())))
                    .max()
                    .orElseThrow();
            double drawn = picture.pieces().stream()
                    .filter(x -> x.kind() == Picture.Kind.TANK && x.item().equals(tank.id()))
                    .flatMap(x -> ((Mark.Path) x.marks().get(0)).spots().stream())
                    .mapToDouble(Spot::y)
                    .min()
                    .orElseThrow();
            all.add(new double[] {top, drawn});
        }
        assertThat(all.size()).isGreaterThan(2);
        double scale = (all.get(0)[1] - all.get(1)[1]) / (all.get(0)[0] - all.get(1)[0]);
        assertThat(scale).isNegative();
        all.forEach(
                h -> assertThat(h[1]).isCloseTo(all.get(0)[1] + scale * (h[0] - all.get(0)[0]), Offset.offset(1e-6)));
    }

    @Test
    void aSagIsNamedOnThePicture() {
        FuelSystem system = Systems.corrie().system();
        Run r4 = system.runs().get(3);
        Project p = Systems.corrie()
                .with(system.replace(r4.withPoints(List.of(Place.inches(38, 0, 20), Place.inches(30, 0, 50)))));
        Picture picture = drawn(p, Set.of(), AirMoves.Kind.FEEDING, WINDOWS[0]);
        assertThat(picture.texts()).contains("low point, no drain", "high point, vapor collects");
        assertThat(picture.pieces()).anyMatch(x -> x.words().equals("low point, no drain at " + r4.name()));
    }
}
