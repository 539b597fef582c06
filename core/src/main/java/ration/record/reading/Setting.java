package ration.record.reading;

import java.util.EnumSet;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.topology.Topology;

/**
 * What was set when a reading was taken.
 *
 * @param condition attitude, contents, handles, pumps, power
 * @param manoeuvres done beside
 */
public record Setting(Condition condition, Set<Manoeuvre> manoeuvres) {

    /** What is done to an aircraft to learn something. */
    public enum Manoeuvre {
        ENGINE_STOPPED("engine stopped", 0, ""),
        RETURN_PINCHED(
                "return pinched",
                2,
                "Pinch rubber hose only, smooth-jaw clamp over a cloth. Never rigid or PTFE line. The system"
                        + " sees full pump pressure: hose and fittings must be rated for it."),
        CAP_LOOSENED("cap loosened", 1, "On the ground only: vapor comes out."),
        LINE_OPEN(
                "line open",
                20,
                "Fire hazard: open fuel line. Outdoors, into a bonded metal can, no ignition source,"
                        + " extinguisher at hand."),
        /** The engine bay heat-soaked, the fuel as warm as the hot day makes it. */
        HOT(
                "hot",
                20,
                "Propeller and burn hazard. Run until heat-soaked. Read gauges from the cockpit; look under the"
                        + " cowl only after shutdown, ignition off. Extinguisher at hand."),
        /** The hose of each regulator that follows the manifold is off: it holds over the air outside. */
        REFERENCE_OFF("reference hose off", 2, "Plug the manifold's end: an engine that draws air there runs on."),
        /** Switched off, and time given to cool: what vapor did is gone. */
        WAITED("switched off and waited", 30, ""),
        OVERNIGHT("left overnight", 5, "White paper under it; ventilate, no ignition source.");

        private final String word;
        private final int minutes;
        private final String caution;

        Manoeuvre(String word, int minutes, String caution) {
            this.word = word;
            this.minutes = minutes;
            this.caution = caution;
        }

        public String word() {
            return word;
        }

        public int minutes() {
            return minutes;
        }

        public String caution() {
            return caution;
        }
    }

    public Setting {
        manoeuvres = manoeuvres.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(manoeuvres));
    }

    public Setting(Condition condition) {
        this(condition, Set.of());
    }

    public boolean has(Manoeuvre m) {
        return manoeuvres.contains(m);
    }

    public Setting with(Manoeuvre m) {
        Set<Manoeuvre> all = EnumSet.of(m);
        all.addAll(manoeuvres);
        return new Setting(condition, all);
    }

    /** The case with a fault in it, as what is done leaves it. */
    public Condition failed(FuelSystem system, Set<Fault> faults) {
        Condition c = condition;
        for (Fault f : faults) {
            boolean aired = has(Manoeuvre.CAP_LOOSENED)
                    && (f.kind() == Fault.Kind.VENT_SHUT || f.kind() == Fault.Kind.VENT_HOLDS_LIQUID);
            c = aired ? c : c.with(f);
        }
        if (has(Manoeuvre.ENGINE_STOPPED)) {
            Set<String> standing = new java.util.HashSet<>(c.stopped());
            system.all(Pump.class).filter(p -> p.drive() == Pump.Drive.ENGINE).forEach(p -> standing.add(p.id()));
            c = c.withStopped(standing);
        }
        if (has(Manoeuvre.RETURN_PINCHED)) {
            Topology topology = Topology.of(system);
            for (Run r : system.runs()) {
                c = topology.returns(r) ? c.with(new Fault(Fault.Kind.RETURN_BLOCKED, r.id())) : c;
            }
        }
        if (has(Manoeuvre.REFERENCE_OFF)) {
            for (Regulator r : system.all(Regulator.class)
                    .filter(x -> x.reference() == Regulator.Reference.MANIFOLD)
                    .toList()) {
                c = c.with(new Fault(Fault.Kind.REFERENCE_OFF, r.id()));
            }
        }
        return c;
    }
}
