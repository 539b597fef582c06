package ration.record.project;

import ration.aircraft.heat.Heat;
import ration.aircraft.model.FuelSystem;

/**
 * Another layout of the aircraft in a document, not built: tests, upkeep and sign-off belong to the one that is.
 *
 * @param name unlike any other's, 1 to 60 letters
 * @param brief engine, envelope, fuel
 * @param system what is laid out
 * @param heat hot day, zones, fuel bought
 */
public record Variant(String name, Brief brief, FuelSystem system, Heat heat) {

    private static final int LONGEST_NAME = 60;

    public Variant {
        if (name.isBlank() || name.length() > LONGEST_NAME || name.contains("#")) {
            throw new IllegalArgumentException("Enter a name of 1 to 60 letters, without #.");
        }
    }
}
