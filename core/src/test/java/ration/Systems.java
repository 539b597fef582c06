package ration;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Place;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Rated;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tag;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.ItemEdits;
import ration.record.project.Project;

/** Small systems for tests; inches. The carburettor stands at the datum. */
public final class Systems {

    private Systems() {}

    public static Project corrie() {
        return demo(ProjectFile.DEMO);
    }

    /** One of the documents that come with the program. */
    public static Project demo(String name) {
        try {
            return ProjectFile.demo(name);
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e.fullText(), e);
        }
    }

    private static final Map<String, Assessment> ASSESSED = new ConcurrentHashMap<>();
    private static final Map<String, List<FaultAnswer>> FAULTS = new ConcurrentHashMap<>();

    /** The assessment of a document that comes with the program, made once for all tests: nothing in it changes. */
    public static Assessment assessed(String name) {
        return ASSESSED.computeIfAbsent(name, n -> Assessment.of(demo(n)));
    }

    /** The same of the first demo. */
    public static Assessment assessedCorrie() {
        return assessed(ProjectFile.DEMO);
    }

    /** What came of every part of a document failing, asked once for all tests. */
    public static List<FaultAnswer> faults(String name) {
        return FAULTS.computeIfAbsent(name, n -> FaultSearch.of(assessed(n)));
    }

    public static Measured in(double inches) {
        return Measured.of(inches, Unit.INCH);
    }

    /** A box tank 20 x 10 x 10 in whose floor is at a height, its outlet in the middle of the floor. */
    public static Tank tank(String id, double station, double buttLine, double floor) {
        TankShape box = new TankShape.Box(Place.inches(station - 10, buttLine - 5, floor), in(20), in(10), in(10));
        return new Tank(
                id,
                id,
                box,
                List.of(new Outlet("outlet", Place.inches(station, buttLine, floor), in(0.305), Optional.empty())),
                Optional.of(Place.inches(station, buttLine, floor + 14)),
                Optional.empty(),
                Measured.of(0.3, Unit.GALLON));
    }

    public static EngineInlet inlet() {
        return new EngineInlet(
                new Tag("carburettor", "Carburetor", Place.inches(0, 0, 0)), in(0.3), Measured.of(0.05, Unit.PSI));
    }

    public static Run run(String id, String from, String to, double lengthIn) {
        return new Run(
                id,
                id.toUpperCase(java.util.Locale.ROOT),
                port(from),
                port(to),
                LineSize.parse("0.305 in bore"),
                Optional.of(in(lengthIn)),
                List.of(),
                List.of());
    }

    public static PortRef port(String text) {
        int dot = text.indexOf('.');
        return new PortRef(text.substring(0, dot), text.substring(dot + 1));
    }

    /** One tank 24 in over the carburettor, one line. */
    public static FuelSystem oneLine() {
        return new FuelSystem(
                List.of(tank("tank", 10, 0, 24), inlet(), run("r1", "tank.outlet", "carburettor.in", 40)),
                Optional.empty());
    }

    /** Two tanks at heights on a selector with LEFT, RIGHT, BOTH and OFF. */
    public static FuelSystem twoTanks(double leftFloor, double rightFloor) {
        Selector selector = new Selector(
                new Tag("selector", "Selector", Place.inches(8, 0, -4)),
                List.of("left", "right"),
                List.of(
                        new Selector.Position("LEFT", List.of(List.of("left", "out"))),
                        new Selector.Position("RIGHT", List.of(List.of("right", "out"))),
                        new Selector.Position("BOTH", List.of(List.of("left", "right", "out"))),
                        new Selector.Position("OFF", List.of())),
                Rated.of(20, 0.03, "bench"));
        return new FuelSystem(
                List.of(
                        tank("left", 10, -40, leftFloor),
                        tank("right", 10, 40, rightFloor),
                        selector,
                        inlet(),
                        run("r1", "left.outlet", "selector.left", 60),
                        run("r2", "right.outlet", "selector.right", 60),
                        run("r3", "selector.out", "carburettor.in", 12)),
                Optional.empty());
    }

    public static Project project(FuelSystem system) {
        return Systems.said(Project.empty().withName("Test").with(system));
    }

    /** Level, every tank holding this many gallons. */
    public static Condition level(FuelSystem system, double gallons) {
        Map<String, Double> contents = new java.util.HashMap<>();
        system.tanks().forEach(t -> contents.put(t.id(), Unit.GALLON.toSi(gallons)));
        return new Condition(Attitude.ofDegrees("Level", 0, 0), contents, Map.of(), Set.of(), Set.of(), 288.15);
    }

    /** What an item's card offers under these words. */
    public static ItemEdits.Offer offer(FuelSystem system, String id, String label) {
        return ItemEdits.of(system, id).stream()
                .filter(o -> o.label().equals(label))
                .findFirst()
                .orElseThrow(() -> new AssertionError(label + " is not offered on " + id + ": "
                        + ItemEdits.of(system, id).stream()
                                .map(ItemEdits.Offer::label)
                                .toList()));
    }

    /** Everything about a layout said and measured: limits confirmed, each estimate taken as from the bench. */
    public static Project said(Project p) {
        Project confirmed = ration.record.project.Unsaid.said(p, java.time.LocalDate.of(2026, 3, 9));
        return confirmed.with(confirmed
                .system()
                .withItems(confirmed.system().items().stream()
                        .map(Systems::measured)
                        .toList()));
    }

    private static ration.aircraft.model.Item measured(ration.aircraft.model.Item item) {
        ration.aircraft.model.Item out = item;
        for (ration.aircraft.model.Field f : ration.aircraft.model.FieldSheet.of(item)) {
            Measured m = f.get().apply(out);
            out = ration.base.quantity.Method.of(m).guessed()
                    ? f.with().apply(out, new Measured(m.quantity(), "bench"))
                    : out;
        }
        return out;
    }
}
