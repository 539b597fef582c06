package ration.physics.breathing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.aircraft.model.VentLine;
import ration.aircraft.model.VentPlenum;

/**
 * The vents the air of a tank or plenum passes until it is outside: its own, and those of the tanks and plenums it
 * leads through.
 *
 * @param legs from itself outwards
 * @param tip pressure coefficient of the last tip; 0 where none is said
 * @param ends where the last one leads
 */
public record VentPath(List<Leg> legs, double tip, Ends ends) {

    public VentPath {
        legs = List.copyOf(legs);
    }

    /** Where a vent leads in the end. */
    public enum Ends {
        OUTSIDE,
        /** Round from one to the other and never outside. */
        RING,
        /** To something that is not laid out. */
        NOWHERE
    }

    /**
     * One vent on the way.
     *
     * @param item whose it is
     * @param line as said; empty where nothing is
     */
    public record Leg(Item item, Optional<VentLine> line) {

        public Optional<VentPlenum> plenum() {
            return item.only(VentPlenum.class);
        }

        /** With a bore, without which nothing can be said of what it costs. */
        public Optional<VentLine> known() {
            return line.filter(v -> v.bore().si() > 0);
        }
    }

    /** Of a tank or plenum as laid out. */
    public static VentPath of(FuelSystem system, Item from) {
        List<Leg> legs = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        Optional<Item> at = Optional.of(from);
        while (at.isPresent()) {
            if (!seen.add(at.get().id())) {
                return new VentPath(legs, 0, Ends.RING);
            }
            Leg leg = new Leg(at.get(), VentLine.of(at.get()));
            legs.add(leg);
            Optional<String> to = leg.line().flatMap(VentLine::to);
            if (to.isEmpty()) {
                return new VentPath(legs, leg.line().map(v -> v.tip().si()).orElse(0.0), Ends.OUTSIDE);
            }
            at = system.item(to.get())
                    .filter(i -> i.only(Tank.class).isPresent()
                            || i.only(VentPlenum.class).isPresent());
        }
        return new VentPath(legs, 0, Ends.NOWHERE);
    }

    public boolean open() {
        return ends == Ends.OUTSIDE;
    }

    /** The lines on the way whose bore is known. */
    public List<VentLine> lines() {
        return known(legs);
    }

    /** Vents up to the first plenum, which others share. */
    public List<VentLine> ownLines() {
        return known(legs.subList(0, firstPlenum()));
    }

    private int firstPlenum() {
        int n = 1;
        while (n < legs.size() && legs.get(n).plenum().isEmpty()) {
            n++;
        }
        return n;
    }

    /** The first plenum it comes to; empty where it goes its own way. */
    public Optional<VentPlenum> shares() {
        return firstPlenum() < legs.size() ? legs.get(firstPlenum()).plenum() : Optional.empty();
    }

    /** Whether it leads through an item, or begins there. */
    public boolean through(String item) {
        return legs.stream().anyMatch(l -> l.item().id().equals(item));
    }

    private static List<VentLine> known(List<Leg> some) {
        return some.stream().map(Leg::known).flatMap(Optional::stream).toList();
    }
}
