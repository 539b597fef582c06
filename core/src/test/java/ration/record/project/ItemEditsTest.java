package ration.record.project;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import ration.Samples;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Validation;
import ration.answer.assess.Assessment;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.ItemEdits.Offer;

class ItemEditsTest {

    private static FuelSystem take(FuelSystem system, String id, String label) {
        return Systems.offer(system, id, label).on(system);
    }

    @Test
    void aRunGetsMeasuredPointsAndTakesItsLengthFromThem() {
        FuelSystem system = take(take(Systems.oneLine(), "r1", "Add point"), "r1", "Add point");
        Run run = system.runs().get(0);
        assertThat(run.points()).hasSize(2);
        assertThat(run.points().get(0).waterLine().by()).isEqualTo("estimate");
        FuelSystem byPoints = take(system, "r1", "Length from points");
        assertThat(byPoints.runs().get(0).length()).isEmpty();
        FuelSystem again = take(byPoints, "r1", "Enter length");
        double straight = 26 * 0.0254;
        assertThat(again.runs().get(0).length().orElseThrow().si()).isCloseTo(straight, Percentage.withPercentage(0.3));
        assertThat(take(again, "r1", "Remove point").runs().get(0).points()).hasSize(1);
    }

    @Test
    void aBoxDrawnByCornersHoldsTheSame() {
        FuelSystem system = Systems.oneLine();
        double before = system.tanks().get(0).shape().solid().volume();
        FuelSystem corners = take(system, "tank", "Draw by corners");
        assertThat(corners.tanks().get(0).shape().solid().volume()).isCloseTo(before, Percentage.withPercentage(1e-6));
        FuelSystem five = take(corners, "tank", "Add corner");
        assertThat(five.tanks().get(0).shape().solid().volume()).isCloseTo(before, Percentage.withPercentage(1e-6));
        assertThat(take(five, "tank", "Remove corner").tanks().get(0).shape())
                .isEqualTo(corners.tanks().get(0).shape());
    }

    @Test
    void aTankGetsScreensAndOutlets() {
        FuelSystem system = take(take(Systems.oneLine(), "tank", "Add screen"), "tank", "Add outlet");
        Tank tank = system.tanks().get(0);
        assertThat(tank.outlets()).hasSize(2);
        assertThat(tank.outlets().get(0).screen()).isPresent();
        assertThat(Validation.of(system)).noneMatch(Problem::blocks).anySatisfy(p -> assertThat(p.message())
                .contains("outlet-2"));
    }

    @Test
    void aSelectorGetsBothAndAThirdPort() {
        FuelSystem system = take(Systems.corrie().system(), "selector", "Add BOTH");
        Selector s = system.selectors().get(0);
        assertThat(s.positions())
                .extracting(Selector.Position::name)
                .containsExactly("UPPER", "FUSELAGE", "BOTH", "OFF");
        assertThat(ItemEdits.of(system, "selector")).extracting(Offer::label).doesNotContain("Add BOTH");
        assertThat(Assessment.of(Systems.corrie().with(system)).findings())
                .as("the upper tank runs over the fuselage tank's vent")
                .anyMatch(f -> f.id().equals("flow.overflow.fuselage"));
        FuelSystem three = take(system, "selector", "Add port");
        assertThat(three.selectors().get(0).inlets()).hasSize(3);
        assertThat(Validation.of(three)).noneMatch(Problem::blocks);
    }

    @Test
    void theFirewallStandsOnTheTanksSideOfTheInlet() {
        FuelSystem system = take(Systems.oneLine(), "carburettor", "Add firewall");
        assertThat(system.firewall().orElseThrow().station().si()).isPositive();
        assertThat(take(system, "carburettor", "Remove firewall")).isEqualTo(Systems.oneLine());
    }

    /**
     * Each thing each card offers, in the demos, the whole systems and the starting layouts: it changes something and
     * leaves a layout that is read as it was written.
     */
    @Test
    void everyOfferOfEveryDocumentCanBeTaken() throws ProjectFileException {
        List<Project> all = new java.util.ArrayList<>(
                List.of(ProjectFile.demo("corrie-b1"), ProjectFile.demo("tansy-l3"), ProjectFile.demo("brindle-a2")));
        for (String s : ProjectFile.systems()) {
            all.add(ProjectFile.demo(s));
        }
        java.util.Arrays.stream(Pattern.values()).forEach(p -> all.add(p.project()));
        int tried = 0;
        for (Project p : all) {
            for (ration.aircraft.model.Item item : p.system().items()) {
                List<Offer> offers = ItemEdits.of(p.system(), item.id());
                assertThat(offers).extracting(Offer::label).doesNotHaveDuplicates();
                for (Offer offer : offers) {
                    FuelSystem taken = offer.on(p.system());
                    String what = p.name() + ", " + item.name() + ": " + offer.label();
                    assertThat(taken).as(what).isNotEqualTo(p.system());
                    assertThat(Validation.of(taken)).as(what).noneMatch(Problem::breaksLayout);
                    if (tried++ % Samples.of(5, 1) == 0) {
                        assertThat(ProjectFile.read(
                                                ProjectFile.text(p.with(taken))
                                                        .getBytes(java.nio.charset.StandardCharsets.UTF_8),
                                                "x")
                                        .system())
                                .as(what)
                                .isEqualTo(taken);
                    }
                    assertThat(taken.items())
                            .as(what)
                            .filteredOn(i -> !i.id().equals(item.id())
                                    && !p.system().item(i.id()).equals(java.util.Optional.of(i)))
                            .allMatch(i -> offer.label().equals("Join all vents in a plenum")
                                    || offer.label().equals("Copy to the other side")
                                            && p.system().item(i.id()).isEmpty());
                    assertThat(p.system().items().size() - taken.items().size())
                            .as(what)
                            .isLessThanOrEqualTo(offer.label().endsWith("no return line") ? 1 : 0);
                }
            }
        }
    }

    /** An offer read off one state of a layout changes the next one, and only in what it is called. */
    @Property(tries = 20)
    void anOfferTakesNothingBackThatWasDoneSince(@ForAll long seed) {
        java.util.Random random = new java.util.Random(seed);
        FuelSystem seen = random.nextBoolean() ? Systems.corrie().system() : Systems.twoTanks(24, 24);
        String id = seen.items().get(random.nextInt(seen.items().size())).id();
        List<Offer> offers = ItemEdits.of(seen, id);
        if (offers.isEmpty()) {
            return;
        }
        Offer offer = offers.get(random.nextInt(offers.size()));
        Tank other = seen.tanks().stream()
                .filter(t -> !t.id().equals(id))
                .findFirst()
                .orElse(seen.tanks().get(0));
        Run run =
                seen.runs().stream().filter(r -> !r.id().equals(id)).findFirst().orElseThrow();
        Run wider = run.resized(run.size().nextUp().orElse(run.size()));
        FuelSystem since = seen.replace(wider);
        FuelSystem taken = offer.on(since);
        assertThat(taken.item(run.id())).as(offer.label()).contains(wider);
        if (!other.id().equals(id) && !offer.label().equals("Join all vents in a plenum")) {
            assertThat(taken.item(other.id())).as(offer.label()).contains(other);
        }
        assertThat(offer.on(since.minus(id)).item(id))
                .as(offer.label() + " of an item taken away")
                .isEmpty();
    }

    @Test
    void whatIsOfferedTwiceIsTakenOnce() {
        FuelSystem system = Systems.corrie().system();
        Offer both = Systems.offer(system, "selector", "Add BOTH");
        assertThat(both.on(both.on(system))).isEqualTo(both.on(system));
        Offer duplex = Systems.offer(system, "selector", "Make it duplex");
        assertThat(duplex.on(duplex.on(system))).isEqualTo(duplex.on(system));
        Offer lip = ItemEdits.of(system, "upper").stream()
                .filter(o -> o.label().endsWith("filler height"))
                .findFirst()
                .orElseThrow();
        assertThat(lip.on(lip.on(system))).isEqualTo(lip.on(system));
    }

    /**
     * A rib offered with a hole to change, and gone when the offer is taken up, is not there and nothing else is
     * changed.
     */
    @Test
    void anOfferForWhatIsGoneDoesNothing() {
        FuelSystem ribbed = take(Systems.oneLine(), "tank", "Add rib");
        Offer turn = ItemEdits.of(ribbed, "tank").stream()
                .filter(o -> o.label().startsWith("Rib 1 hole 1"))
                .findFirst()
                .orElseThrow();
        assertThat(turn.on(Systems.oneLine())).isEqualTo(Systems.oneLine());
        assertThat(turn.on(ribbed)).isNotEqualTo(ribbed);
        assertThat(take(ribbed, "tank", "Remove rib 1")).isEqualTo(Systems.oneLine());
    }

    /** Every offer on every item leaves a layout that can be saved, read and computed. */
    @Property(tries = 12)
    void everyOfferLeavesASoundLayout(@ForAll long seed) throws ProjectFileException {
        java.util.Random random = new java.util.Random(seed);
        FuelSystem system = random.nextBoolean() ? Systems.corrie().system() : Systems.twoTanks(24, 24);
        for (int i = 0; i < 10; i++) {
            String id =
                    system.items().get(random.nextInt(system.items().size())).id();
            List<Offer> offers = ItemEdits.of(system, id);
            system = offers.isEmpty()
                    ? system
                    : offers.get(random.nextInt(offers.size())).on(system);
        }
        Project project = Systems.corrie().with(system);
        assertThat(Validation.of(system)).noneMatch(Problem::breaksLayout);
        assertThat(ProjectFile.read(ProjectFile.text(project).getBytes(java.nio.charset.StandardCharsets.UTF_8), "x"))
                .isEqualTo(project);
        assertThat(Assessment.of(project).cases())
                .allSatisfy(c -> assertThat(c.margin()).isFinite());
    }
}
