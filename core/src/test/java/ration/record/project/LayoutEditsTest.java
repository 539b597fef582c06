package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tee;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.record.project.LayoutEdits.Outcome;
import ration.record.project.LayoutEdits.Spot;

class LayoutEditsTest {

    private static final FuelSystem DEMO = Systems.corrie().system();

    @Test
    void insertingSplitsTheLineAndKeepsItsLength() {
        Outcome out = LayoutEdits.add(DEMO, "r3", Spot.IN_RUN, NewItem.STRAINER).orElseThrow();
        FuelSystem system = out.system();
        assertThat(out.picked()).isEqualTo("strainer-2");
        Run before = (Run) system.item("r3").orElseThrow();
        Run after = system.runAt(Systems.port("strainer-2.out")).orElseThrow();
        assertThat(before.to()).isEqualTo(Systems.port("strainer-2.in"));
        assertThat(after.to()).isEqualTo(Systems.port("strainer.in"));
        assertThat(before.length().get().si() + after.length().get().si()).isCloseTo(16 * 0.0254, Offset.offset(1e-9));
        assertThat(after.name()).isEqualTo("R5");
        assertThat(Validation.of(system)).noneMatch(Problem::blocks);
        assertThat(Assessment.of(Systems.corrie().with(system))
                        .governing()
                        .orElseThrow()
                        .margin())
                .isLessThan(Systems.assessedCorrie().governing().orElseThrow().margin());
    }

    @Test
    void removingJoinsTheLineAgain() {
        Outcome inserted =
                LayoutEdits.add(DEMO, "r3", Spot.IN_RUN, NewItem.STRAINER).orElseThrow();
        Outcome removed =
                LayoutEdits.remove(inserted.system(), inserted.picked()).orElseThrow();
        assertThat(removed.picked()).isEqualTo("r3");
        Run joined = (Run) removed.system().item("r3").orElseThrow();
        Run first = (Run) DEMO.item("r3").orElseThrow();
        assertThat(joined.from()).isEqualTo(first.from());
        assertThat(joined.to()).isEqualTo(first.to());
        assertThat(joined.fittings()).containsExactlyElementsOf(first.fittings());
        assertThat(joined.length().get().si()).isCloseTo(first.length().get().si(), Offset.offset(1e-6));
        assertThat(removed.system().items()).hasSameSizeAs(DEMO.items());
    }

    @Test
    void aTankGoesWithItsLine() {
        FuelSystem without = LayoutEdits.remove(DEMO, "upper").orElseThrow().system();
        assertThat(without.item("upper")).isEmpty();
        assertThat(without.item("r1")).isEmpty();
        assertThat(LayoutEdits.remove(DEMO, "carburettor"))
                .as("the engine inlet stays")
                .isEmpty();
        assertThat(LayoutEdits.remove(DEMO, "nothing")).isEmpty();
    }

    @Test
    void anEmptySheetGrowsToAWorkingSystem() {
        FuelSystem empty = Project.empty().system();
        assertThat(LayoutEdits.addingAt(empty, "carburettor")).contains(Spot.UPSTREAM);
        assertThat(LayoutEdits.offers(empty, "carburettor", Spot.UPSTREAM).get(0))
                .isEqualTo(NewItem.TANK);
        Outcome tank = LayoutEdits.add(empty, "carburettor", Spot.UPSTREAM, NewItem.TANK)
                .orElseThrow();
        Run line = tank.system().runs().get(0);
        FuelSystem system = LayoutEdits.add(tank.system(), line.id(), Spot.IN_RUN, NewItem.SHUT_OFF)
                .orElseThrow()
                .system();
        system = LayoutEdits.addVent(system, tank.picked()).orElseThrow().system();
        system = LayoutEdits.addDrain(system, tank.picked()).orElseThrow().system();
        assertThat(Validation.of(system)).isEmpty();
        assertThat(Assessment.of(Project.empty().with(system)).blocked()).isFalse();
        assertThat(LayoutEdits.addVent(system, tank.picked()))
                .as("one vent is enough")
                .isEmpty();
    }

    @Test
    void aBranchBringsAThirdTank() {
        Outcome out = LayoutEdits.add(DEMO, "r3", Spot.BRANCH, NewItem.TANK).orElseThrow();
        assertThat(out.system().tanks()).hasSize(3);
        assertThat(out.system().all(Tee.class)).hasSize(1);
        assertThat(out.system().openPorts()).isEmpty();
        assertThat(Validation.of(out.system())).noneMatch(Problem::blocks);
    }

    @Test
    void aFreeSelectorPortIsFed() {
        Outcome selector =
                LayoutEdits.add(DEMO, "r3", Spot.IN_RUN, NewItem.SELECTOR).orElseThrow();
        assertThat(LayoutEdits.addingAt(selector.system(), selector.picked())).contains(Spot.UPSTREAM);
        Outcome fed = LayoutEdits.add(selector.system(), selector.picked(), Spot.UPSTREAM, NewItem.TANK)
                .orElseThrow();
        assertThat(fed.system().openPorts()).isEmpty();
    }

    /** Whatever is added and removed in whatever order, the layout never contradicts itself and always computes. */
    @Property(tries = 50)
    void anyOrderOfEditsLeavesASoundLayout(@ForAll long seed) {
        Random random = new Random(seed);
        FuelSystem system = random.nextBoolean() ? DEMO : Project.empty().system();
        for (int i = 0; i < 12; i++) {
            List<Item> items = system.items();
            String picked = items.get(random.nextInt(items.size())).id();
            Optional<Outcome> outcome;
            if (random.nextInt(4) == 0) {
                outcome = LayoutEdits.remove(system, picked);
            } else {
                Spot spot = random.nextInt(4) == 0
                        ? Spot.BRANCH
                        : LayoutEdits.addingAt(system, picked).orElseThrow();
                List<NewItem> offers = LayoutEdits.offers(system, picked, spot);
                outcome = LayoutEdits.add(system, picked, spot, offers.get(random.nextInt(offers.size())));
            }
            system = outcome.map(Outcome::system).orElse(system);
        }
        assertThat(Validation.of(system)).as(system.toString()).noneMatch(Problem::breaksLayout);
        Assessment a = Assessment.of(Systems.project(system));
        assertThat(a.cases()).allSatisfy(c -> {
            assertThat(c.margin()).isFinite().isNotNegative();
            assertThat(c.capacity().usable()
                            || !c.obstacle(a.project().system()).isBlank())
                    .as("an answer or a reason")
                    .isTrue();
        });
    }

    /** Measured points stay on the side on which they lie, and so does the length. */
    @Test
    void insertingLeavesEachPointOnItsSide() {
        Run r3 = (Run) DEMO.item("r3").orElseThrow();
        ration.base.geometry.Point3 a = DEMO.point(r3.from()).orElseThrow();
        ration.base.geometry.Point3 b = DEMO.point(r3.to()).orElseThrow();
        ration.aircraft.model.Place near = ration.aircraft.model.Place.estimated(a.toward(b, 0.2));
        ration.aircraft.model.Place far = ration.aircraft.model.Place.estimated(a.toward(b, 0.8));
        FuelSystem s = DEMO.replace(r3.withPoints(List.of(near, far)));
        FuelSystem after = LayoutEdits.add(s, "r3", Spot.IN_RUN, NewItem.STRAINER)
                .orElseThrow()
                .system();
        Run before = (Run) after.item("r3").orElseThrow();
        Run behind = after.runAt(Systems.port("strainer-2.out")).orElseThrow();
        assertThat(before.points()).containsExactly(near);
        assertThat(behind.points()).containsExactly(far);
        ration.base.geometry.Point3 at =
                after.point(Systems.port("strainer-2.in")).orElseThrow();
        assertThat(at.distance(a.toward(b, 0.5))).isLessThan(0.02);
    }
}
