package ration.record.project;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.heat.Heat;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tag;
import ration.base.fluid.Volatility;
import ration.base.geometry.Point3;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.acceptance.SignOff;
import ration.record.build.Build;
import ration.record.evidence.AsBuilt;
import ration.record.evidence.HangarTest;
import ration.record.reading.Reading;
import ration.record.upkeep.Upkeep;

/**
 * Everything in one document.
 *
 * @param name of the aircraft
 * @param note the builder's own words
 * @param brief engine, envelope, fuel, basis
 * @param system what is laid out
 * @param tests hangar tests, as recorded
 * @param heat hot day, zones, fuel bought
 * @param use flight and readings: what is done with the aircraft
 * @param unknown fields a file held that this version does not know, as JSON text by their place in the document;
 *     written back when the document is saved
 */
public record Project(
        String name,
        String note,
        Brief brief,
        FuelSystem system,
        List<HangarTest> tests,
        Heat heat,
        Use use,
        Map<String, String> unknown) {

    /**
     * What is done with the aircraft.
     *
     * @param flight as it is meant; empty while the usual one will do
     * @param readings taken in search of a fault
     * @param upkeep of its parts with a life
     * @param signOff what was said of open points and packets
     * @param plate what stands on its plates and placards
     * @param build how far the build is
     * @param variants other layouts of the aircraft, none of them built; names differ
     */
    public record Use(
            Optional<FlightPlan> flight,
            List<Reading> readings,
            Upkeep upkeep,
            SignOff signOff,
            Plate plate,
            Build build,
            List<Variant> variants) {
        /** Nothing said. */
        public static final Use NONE =
                new Use(Optional.empty(), List.of(), Upkeep.NONE, SignOff.NONE, Plate.NONE, Build.NONE, List.of());

        public Use {
            readings = List.copyOf(readings);
            variants = List.copyOf(variants);
        }
    }

    public Project {
        tests = List.copyOf(tests);
        unknown = java.util.Collections.unmodifiableMap(new TreeMap<>(unknown));
    }

    /** Without tests, heat as usual for its fuel. */
    public Project(String name, String note, Brief brief, FuelSystem system, Map<String, String> unknown) {
        this(name, note, brief, system, List.of(), Heat.usual(Volatility.usual(brief.fuel())), Use.NONE, unknown);
    }

    /** An empty sheet: an engine inlet and nothing else. */
    public static Project empty() {
        EngineInlet inlet = new EngineInlet(
                new Tag("carburettor", "Carburetor", Place.estimated(new Point3(0, 0, 0))),
                Measured.of(0.25, Unit.INCH, "estimate"),
                Measured.assumed(0.5, Unit.PSI));
        return new Project(
                "New aircraft", "", Brief.usual(), new FuelSystem(List.of(inlet), Optional.empty()), Map.of());
    }

    public Project withName(String other) {
        return new Project(other, note, brief, system, tests, heat, use, unknown);
    }

    public Project withNote(String other) {
        return new Project(name, other, brief, system, tests, heat, use, unknown);
    }

    /**
     * With another brief; another grade of fuel boils otherwise, so what was said of the old one's vapor no longer
     * counts.
     */
    public Project with(Brief other) {
        Heat then = other.fuel() == brief.fuel() ? heat : heat.with(Volatility.usual(other.fuel()));
        return new Project(name, note, other, system, tests, then, use, unknown);
    }

    /** With another layout; the schedule of the build keeps of it what is still the same thing. */
    public Project with(FuelSystem other) {
        Build carried = BuildEdits.carried(use.build, system, other);
        Use then = carried == use.build
                ? use
                : new Use(use.flight, use.readings, use.upkeep, use.signOff, use.plate, carried, use.variants);
        return new Project(name, note, brief, other, tests, heat, then, unknown);
    }

    public Project withTests(List<HangarTest> other) {
        return new Project(name, note, brief, system, other, heat, use, unknown);
    }

    public Project with(Heat other) {
        return new Project(name, note, brief, system, tests, other, use, unknown);
    }

    private Project with(Use other) {
        return new Project(name, note, brief, system, tests, heat, other, unknown);
    }

    public Project with(FlightPlan other) {
        return with(
                new Use(Optional.of(other), use.readings, use.upkeep, use.signOff, use.plate, use.build, use.variants));
    }

    public Project withReadings(List<Reading> other) {
        return with(new Use(use.flight, other, use.upkeep, use.signOff, use.plate, use.build, use.variants));
    }

    public Project with(Upkeep other) {
        return with(new Use(use.flight, use.readings, other, use.signOff, use.plate, use.build, use.variants));
    }

    public Project with(SignOff other) {
        return with(new Use(use.flight, use.readings, use.upkeep, other, use.plate, use.build, use.variants));
    }

    public Project with(Plate other) {
        return with(new Use(use.flight, use.readings, use.upkeep, use.signOff, other, use.build, use.variants));
    }

    public Project with(Build other) {
        return with(new Use(use.flight, use.readings, use.upkeep, use.signOff, use.plate, other, use.variants));
    }

    /** With other layouts beside it. */
    public Project withVariants(List<Variant> other) {
        return with(new Use(use.flight, use.readings, use.upkeep, use.signOff, use.plate, use.build, other));
    }

    /** Other layouts of the aircraft, none of them built. */
    public List<Variant> variants() {
        return use.variants();
    }

    /** How far the build is. */
    public Build build() {
        return use.build();
    }

    /** What stands on the plates and placards of the aircraft. */
    public Plate plate() {
        return use.plate();
    }

    /** What was said of open points and packets. */
    public SignOff signOff() {
        return use.signOff();
    }

    /** Parts with a life, and what was done to them. */
    public Upkeep upkeep() {
        return use.upkeep();
    }

    /** As it is meant to be flown; empty while the usual flight will do. */
    public Optional<FlightPlan> flight() {
        return use.flight();
    }

    /** Taken on the aircraft, in the order they were taken. */
    public List<Reading> readings() {
        return use.readings();
    }

    /** What its tests rest on. */
    public AsBuilt asBuilt() {
        return new AsBuilt(
                system,
                brief.fuel(),
                brief.envelope().parked().si(),
                use.upkeep().renewed(),
                worked(use.upkeep()));
    }

    private static Map<String, String> worked(Upkeep upkeep) {
        Map<String, String> all = new TreeMap<>();
        upkeep.joints().forEach((k, e) -> all.put(k.of(), e.what().word() + " " + e.on() + ", entry " + e.number()));
        return all;
    }

    public Optional<HangarTest> test(String id) {
        return tests.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** With a test put in the place of the one of the same id, or added. */
    public Project with(HangarTest test) {
        List<HangarTest> all = new java.util.ArrayList<>(tests);
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).id().equals(test.id())) {
                all.set(i, test);
                return withTests(all);
            }
        }
        all.add(test);
        return withTests(all);
    }
}
