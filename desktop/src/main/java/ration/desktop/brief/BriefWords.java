package ration.desktop.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import ration.base.fluid.Fluid;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.record.project.Brief;
import ration.record.project.Project;
import ration.record.project.Unsaid;

/** What the page says of the job, before any of it is a node; and what can be entered of it. */
record BriefWords(Project project, UnitSystem units) {

    private static final int LONGEST_NAME = 60;
    private static final double STEEPEST = Math.toRadians(60);
    /** Between the coldest and the warmest fuel anybody has in a tank, K. */
    private static final double COLDEST = 220;

    private static final double WARMEST = 350;

    private Brief brief() {
        return project.brief();
    }

    String delivery() {
        return brief().delivery() == Brief.Delivery.GRAVITY
                ? "Gravity feed must deliver 150% of takeoff fuel demand."
                : "Each pump must deliver 125% of takeoff fuel demand.";
    }

    // the demand as a sum

    String weight() {
        return units.text(brief().demandDensity(), Dimension.DENSITY);
    }

    String demand() {
        Unit flow = units.unit(Dimension.FLOW);
        return UnitSystem.figure(flow.fromSi(brief().demand()), 2) + " " + flow.symbol();
    }

    String times() {
        return "\u00d7 " + UnitSystem.figure(brief().factor(), 2) + " for "
                + brief().delivery().label().toLowerCase(Locale.ROOT) + " =";
    }

    String needed() {
        return units.text(brief().needed(), Dimension.FLOW) + " must reach the engine in every case";
    }

    /** What nobody said of the engine, and what follows; empty where all of it was said. */
    Optional<String> assumed() {
        return Unsaid.of(project).all().isEmpty()
                ? Optional.empty()
                : Optional.of("Assumed values: " + String.join(", ", figures())
                        + ". Results that use them are Not shown until you enter or confirm them.");
    }

    private List<String> figures() {
        List<String> all = new ArrayList<>();
        if (brief().power().assumed()) {
            all.add("takeoff power " + brief().power().quantity().shown());
        }
        if (brief().consumption().assumed()) {
            all.add("BSFC " + brief().consumption().quantity().shown());
        }
        project.system().inlet().ifPresent(i -> {
            if (i.minimumPressure().assumed()) {
                all.add("minimum pressure of " + i.name() + " "
                        + units.text(i.minimumPressure().si(), Dimension.PRESSURE));
            }
            i.maximumPressure()
                    .filter(Measured::assumed)
                    .ifPresent(m -> all.add("maximum " + units.text(m.si(), Dimension.PRESSURE)));
        });
        return all;
    }

    String fuel() {
        Fluid fluid = brief().fuel().at(brief().fuelKelvin());
        return units.text(fluid.density(), Dimension.DENSITY) + ", "
                + units.text(fluid.viscosity(), Dimension.KINEMATIC_VISCOSITY)
                + " at this temperature. Density: ASTM D1250 gasolines; viscosity: usual values with wide"
                + " scatter; both from memory.";
    }

    static String must(boolean asked) {
        return asked ? "must hold" : "reported only";
    }

    static String smear(boolean passes) {
        return passes ? "recheck date" : "fails";
    }

    // what can be entered; each throws IllegalArgumentException with a sentence where it cannot be

    static String name(String entered) {
        if (entered.isBlank() || entered.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("Enter an aircraft name of 1 to " + LONGEST_NAME + " letters.");
        }
        return entered.strip();
    }

    static Quantity positive(Quantity q) {
        if (!(q.si() > 0)) {
            throw new IllegalArgumentException("Must be above 0.");
        }
        return q;
    }

    static Quantity notNegative(Quantity q) {
        if (!(q.si() >= 0)) {
            throw new IllegalArgumentException("Must be 0 or more.");
        }
        return q;
    }

    static Quantity attitude(Quantity q) {
        if (!(Math.abs(q.si()) <= STEEPEST)) {
            throw new IllegalArgumentException("Attitude: within \u00b160\u00b0.");
        }
        return q;
    }

    static Quantity temperature(Quantity q) {
        if (!(q.si() >= COLDEST && q.si() <= WARMEST)) {
            throw new IllegalArgumentException("Fuel temperature: \u221263 to 170 \u00b0F (\u221253 to 77 \u00b0C).");
        }
        return q;
    }
}
