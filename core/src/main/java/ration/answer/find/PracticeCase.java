package ration.answer.find;

import java.util.List;
import java.util.Set;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.model.FuelSystem;
import ration.physics.flow.WaysToFail;
import ration.record.project.Project;

/**
 * A complaint with its cause, prepared for one of the demos.
 *
 * @param demo name of the aircraft
 * @param complaint what its pilot says
 * @param cause what failed
 */
public record PracticeCase(String demo, String complaint, Fault cause) {

    private static final List<PracticeCase> ALL = List.of(
            new PracticeCase(
                    "Corrie B1",
                    "\u201cOn the fuselage tank it runs a while, then dies. After sitting, it starts as if"
                            + " nothing happened.\u201d",
                    new Fault(Kind.VENT_SHUT, "fuselage")),
            new PracticeCase(
                    "Brindle A2",
                    "\u201cOn the long climb she dies after some minutes. Throttled back she comes to life"
                            + " again.\u201d",
                    new Fault(Kind.FILTER_FOULED, "strainer", 300)),
            new PracticeCase(
                    "Tansy L3",
                    "\u201cBoost pump off, nose up, tanks low: the pressure shivers. Boost on, it is steady.\u201d",
                    new Fault(Kind.AIR_LEAK, "boost")));

    /** Those for this aircraft as it is now: the part must still be there and still fail so. */
    public static List<PracticeCase> of(Project p) {
        return ALL.stream()
                .filter(c -> c.demo().equals(p.name()) && fails(p.system(), c.cause()))
                .toList();
    }

    private static boolean fails(FuelSystem system, Fault f) {
        return system.item(f.item())
                .filter(i -> WaysToFail.of(i).contains(f.kind()))
                .isPresent();
    }

    public Set<Fault> hidden() {
        return Set.of(cause);
    }
}
