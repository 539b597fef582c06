package ration.aircraft.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.Systems;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

class ValidationTest {

    private static List<Problem> blocking(FuelSystem system) {
        return Validation.of(system).stream().filter(Problem::blocks).toList();
    }

    private static FuelSystem with(Item... items) {
        return new FuelSystem(List.of(items), Optional.empty());
    }

    @Test
    void theDemoHasNoProblem() {
        assertThat(Validation.of(Systems.corrie().system())).isEmpty();
    }

    /** Ids go into files, network names and the window: letters, digits, and dashes but at the start. */
    @ParameterizedTest
    @CsvSource({
        "a, true",
        "Tank-2b, true",
        "9, true",
        "-a, false",
        "a b, false",
        "a.out, false",
        "\u00e4, false",
        "'', false"
    })
    void anIdIsSpeltPlainly(String id, boolean good) {
        assertThat(misspelt(id)).isEqualTo(!good);
        assertThat(misspelt("a".repeat(61))).isFalse();
        assertThat(misspelt("a".repeat(62))).isTrue();
    }

    private static boolean misspelt(String id) {
        Item port = new GaugePort(new Tag(id, "Port", Place.inches(0, 0, 0)), GaugePort.Shows.NOTHING);
        return blocking(with(port)).stream().anyMatch(p -> p.field().equals(Problem.ID));
    }

    @Test
    void everythingWrongIsSaidAtOnce() {
        Tank flat =
                Systems.tank("flat", 0, 0, 10).withShape(new TankShape.Prism(List.of(), Systems.in(0), Systems.in(1)));
        Strainer strainer =
                new Strainer(new Tag("strainer", "Strainer", Place.inches(0, 0, 0)), Rated.of(0, -1, ""), false);
        FuelSystem system = with(
                flat, strainer, Systems.inlet(), Systems.inlet(), Systems.run("r1", "flat.outlet", "nowhere.in", 10));
        assertThat(blocking(system))
                .extracting(Problem::field)
                .contains("Shape", "Rated flow", "Rated loss", "Ends", "Id", "Engine inlet");
        assertThat(Validation.of(system)).allSatisfy(p -> {
            assertThat(p.message()).endsWith(".");
            assertThat(p.remedy()).isNotBlank();
        });
        assertThat(Validation.of(system).get(0).blocks())
                .as("blocking problems come first")
                .isTrue();
    }

    @Test
    void anOpenPortAndAMissingVentAreMissingNotBlocking() {
        Tank tank = Systems.tank("tank", 0, 0, 20).withVent(Optional.empty());
        List<Problem> problems = Validation.of(with(tank, Systems.inlet()));
        assertThat(problems).noneMatch(Problem::blocks);
        assertThat(problems).extracting(Problem::field).contains("Vent", "Ports");
        assertThat(problems).anySatisfy(p -> assertThat(p.remedy()).contains("press"));
    }

    @Test
    void twoRunsCannotShareAPort() {
        FuelSystem system = with(
                Systems.tank("tank", 0, 0, 20),
                Systems.tank("other", 0, 0, 20),
                Systems.inlet(),
                Systems.run("r1", "tank.outlet", "carburettor.in", 40),
                Systems.run("r2", "other.outlet", "carburettor.in", 40));
        assertThat(blocking(system)).singleElement().satisfies(p -> {
            assertThat(p.message()).contains("carburettor.in").contains("R1");
            assertThat(p.breaksLayout()).isTrue();
        });
    }

    @Test
    void aLineShorterThanItsWayIsQuestioned() {
        FuelSystem system = with(
                Systems.tank("tank", 0, 0, 24),
                Systems.inlet(),
                Systems.run("r1", "tank.outlet", "carburettor.in", 12)
                        .withLength(ration.base.quantity.Measured.of(12, ration.base.quantity.Unit.INCH, "tape")));
        assertThat(Validation.of(system))
                .anySatisfy(p ->
                        assertThat(p.message()).contains("shorter than the way").contains("R1"));
        FuelSystem guessed = with(
                Systems.tank("tank", 0, 0, 24),
                Systems.inlet(),
                Systems.run("r1", "tank.outlet", "carburettor.in", 12));
        assertThat(Validation.of(guessed))
                .as("one that nobody measured follows its ends")
                .noneMatch(p -> p.message().contains("shorter than the way"));
        assertThat(guessed.runs()
                        .get(0)
                        .lengthM(
                                guessed.point(guessed.runs().get(0).from()).orElseThrow(),
                                guessed.point(guessed.runs().get(0).to()).orElseThrow()))
                .isGreaterThan(0.5);
    }

    @Test
    void selectorsAreChecked() {
        Selector s = new Selector(
                new Tag("s", "Selector", Place.inches(0, 0, 0)),
                List.of("a"),
                List.of(
                        new Selector.Position("ON", List.of(List.of("a", "b"))),
                        new Selector.Position("ON", List.of())),
                Rated.of(20, 0.1, ""));
        assertThat(blocking(with(Systems.inlet(), s)))
                .extracting(Problem::message)
                .anyMatch(m -> m.contains("\u201cb\u201d"))
                .anyMatch(m -> m.contains("Two positions"));
        Selector noOff = new Selector(
                s.tag(),
                List.of("a"),
                List.of(new Selector.Position("ON", List.of(List.of("a", "out")))),
                Rated.of(20, 0.1, ""));
        assertThat(Validation.of(with(Systems.inlet(), noOff)))
                .extracting(Problem::message)
                .anyMatch(m -> m.contains("no OFF"));
    }

    @Test
    void figuresFarOutsideAnyAircraftAreRefused() {
        Run far = Systems.run("r1", "tank.outlet", "carburettor.in", 1e7);
        Tank huge = Systems.tank("tank", 0, 0, 1e6);
        assertThat(blocking(with(huge, Systems.inlet(), far)))
                .extracting(Problem::field)
                .contains("Length", "Shape", "Outlet");
        Pump pump = new Pump(
                new Tag("p", "Pump", Place.inches(0, 0, 0)),
                Pump.Drive.ELECTRIC,
                List.of(
                        new Pump.CurvePoint(Measured.of(10, Unit.GALLON_PER_HOUR), Measured.of(5, Unit.PSI)),
                        new Pump.CurvePoint(Measured.of(5, Unit.GALLON_PER_HOUR), Measured.of(6, Unit.PSI))),
                Optional.empty());
        assertThat(blocking(with(Systems.inlet(), pump)))
                .extracting(Problem::field)
                .contains("Curve");
    }

    @Test
    void systemsAreImmutableAndFindTheirParts() {
        List<Item> items = new ArrayList<>(Systems.oneLine().items());
        FuelSystem system = new FuelSystem(items, Optional.empty());
        items.clear();
        assertThat(system.items()).hasSize(3);
        assertThat(system.point(Systems.port("tank.outlet"))).isPresent();
        assertThat(system.point(Systems.port("tank.side"))).isEmpty();
        assertThat(system.freeId("Check valve")).isEqualTo("check-valve");
        assertThat(system.freeId("tank")).isEqualTo("tank-2");
        assertThat(system.minus("r1").openPorts())
                .containsExactlyInAnyOrder(Systems.port("tank.outlet"), Systems.port("carburettor.in"));
    }
}
