package ration.answer.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.tank.TankBody;
import ration.record.build.Access;
import ration.record.build.StepKey;
import ration.record.file.ProjectFile;
import ration.record.project.BuildEdits;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** What is drained before a part comes off, and what its mount carries. */
class ReachTest {

    private static Map<String, TankBody> bodies(Project p) {
        return p.system().tanks().stream().collect(Collectors.toMap(Tank::id, TankBody::of));
    }

    private static Reach of(Project p, String item) {
        return Reach.of(p, bodies(p), p.system().item(item).orElseThrow());
    }

    private static double lb(double kg) {
        return kg / 0.45359237;
    }

    /** 5 gal at 6.01 lb/gal and 4.25 lb: 34.30 lb; 130.3, 195.5, 308.7 lb. Worked example, invented input. */
    @Test
    void aMountCarriesTheVesselFullTimesTheLoadFactor() {
        double full = lb(Reach.loaded(Unit.GALLON.toSi(5), 4.25 * 0.45359237, Unit.POUND_PER_GALLON.toSi(6.01)));
        assertThat(full).isCloseTo(34.30, within(0.005));
        assertThat(full * Reach.MANEUVER).isCloseTo(130.3, within(0.05));
        assertThat(full * Reach.MANEUVER * Reach.ULTIMATE).isCloseTo(195.5, within(0.05));
        assertThat(full * Reach.FORWARD).isCloseTo(308.7, within(0.05));
    }

    /**
     * Ahead of a selector that is shut nothing runs out but what is in the line; its inlets stand under their tanks; a
     * tank comes off empty.
     */
    @Test
    void whatStandsOverAPartIsDrainedFirst() {
        Project p = Systems.corrie();
        assertThat(of(p, "strainer").drain()).isEmpty();
        assertThat(of(p, "strainer").drains(UnitSystem.US)).contains("no fuel above it");
        assertThat(of(p, "selector").drain()).extracting(Reach.Drain::item).containsExactly("upper", "fuselage");
        Tank upper = p.system().tanks().get(0);
        assertThat(of(p, upper.id()).drain()).singleElement().satisfies(d -> assertThat(d.volume())
                .as("as full as it gets parked")
                .isBetween(
                        0.8 * TankBody.of(upper).capacity(), TankBody.of(upper).capacity()));
    }

    /**
     * What stands behind a header runs after it; a selector without OFF shuts nothing; a tank without a shape is said.
     */
    @Test
    void whatCannotBeClosedIsNotTakenAsClosed() {
        Project header = Pattern.HEADER_TWO_PUMPS.project();
        Header h = header.system().all(Header.class).findFirst().orElseThrow();
        assertThat(of(header, h.id()).drain())
                .extracting(Reach.Drain::item)
                .contains("left-tank", "right-tank", h.id());
        Project p = Systems.corrie();
        Project noOff = p.with(p.system()
                .change(
                        "selector",
                        ration.aircraft.model.Selector.class,
                        s -> s.withPorts(
                                s.inlets(),
                                s.positions().stream().filter(x -> !x.off()).toList())));
        assertThat(of(noOff, "strainer").drain()).extracting(Reach.Drain::item).contains("upper", "fuselage");
        Reach unshaped = Reach.of(p, Map.of(), p.system().item("selector").orElseThrow());
        assertThat(unshaped.drains(UnitSystem.US)).contains("Not shown").contains("Upper tank");
    }

    /** In every layout a part that no valve parts from a tank below it drains no more than the tank holds. */
    @Test
    void noMoreRunsOutThanIsIn() {
        for (Pattern pattern : Pattern.values()) {
            Project p = pattern.project();
            Map<String, TankBody> bodies = bodies(p);
            for (Item i : p.system().items()) {
                for (Reach.Drain d : Reach.of(p, bodies, i).drain()) {
                    double most = bodies.containsKey(d.item())
                            ? bodies.get(d.item()).capacity()
                            : p.system()
                                    .all(Header.class)
                                    .filter(h -> h.id().equals(d.item()))
                                    .findFirst()
                                    .orElseThrow()
                                    .capacity()
                                    .si();
                    assertThat(d.volume())
                            .as(pattern + " " + i.name())
                            .isPositive()
                            .isLessThan(most * 1.001);
                }
            }
        }
    }

    /** How a part is got at is kept in the file; the weight of a tank is what its mount is told by. */
    @Test
    void accessIsKept() throws Exception {
        Project p = Systems.corrie();
        StepKey key = StepKey.part("upper");
        Project said = BuildEdits.access(p, key, a -> a.withPanels("left wing root, 12 screws")
                .withTools("no. 2 Phillips")
                .withNeighbors("brake valve aft of it")
                .withMinutes(Optional.of(2.5))
                .withWeight(Optional.of(3.0)));
        assertThat(of(p, "upper").weight()).isEmpty();
        assertThat(of(p, "upper").load(UnitSystem.US)).isEmpty();
        assertThat(of(said, "upper").load(UnitSystem.US)).contains("ultimate").endsWith("Not shown.");
        Project read = ProjectFile.read(ProjectFile.text(said).getBytes(StandardCharsets.UTF_8), "x.ration");
        assertThat(read.build()).isEqualTo(said.build());
        ration.record.file.StrictSchema.describes(said);
        assertThatThrownBy(() -> new Access("", "", "", Optional.of(-1.0), Optional.empty()))
                .hasMessageContaining("minutes");
    }
}
