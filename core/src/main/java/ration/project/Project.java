package ration.project;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import ration.geometry.Point3;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Measured;
import ration.model.Place;
import ration.quantity.Unit;

/**
 * Everything in one document.
 *
 * @param name    of the aircraft
 * @param note    the builder's own words
 * @param brief   engine, envelope, fuel, basis
 * @param system  what is laid out
 * @param unknown fields a file held that this version does not know, as JSON text by their place in the document;
 *                written back when the document is saved
 */
public record Project(String name, String note, Brief brief, FuelSystem system, Map<String, String> unknown) {

    public Project {
        unknown = java.util.Collections.unmodifiableMap(new TreeMap<>(unknown));
    }

    /** An empty sheet: an engine inlet and nothing else. */
    public static Project empty() {
        Item.EngineInlet inlet = new Item.EngineInlet(
                new Item.Tag("carburettor", "Carburettor", Place.estimated(new Point3(0, 0, 0))),
                Measured.of(0.25, Unit.INCH, "estimate"), Measured.of(0.5, Unit.PSI, "estimate"));
        return new Project("New aircraft", "", Brief.usual(), new FuelSystem(List.of(inlet), Optional.empty()),
                Map.of());
    }

    public Project withName(String other) {
        return new Project(other, note, brief, system, unknown);
    }

    public Project withNote(String other) {
        return new Project(name, other, brief, system, unknown);
    }

    public Project with(Brief other) {
        return new Project(name, note, other, system, unknown);
    }

    public Project with(FuelSystem other) {
        return new Project(name, note, brief, other, unknown);
    }
}
