package ration.physics.breathing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.VentLine;

/**
 * Why a tank will not fill, or spits back: which place of its vent is blocked. A joint is opened, every branch beyond
 * it held shut, and one blows from there to the tip: what is heard parts what lies before the joint from what lies
 * beyond.
 *
 * @param places from the tank to the tip
 * @param from first place it can still be
 * @param to first place beyond it; from = to where nothing is left
 */
public record VentSearch(List<Spot> places, int from, int to) {

    /** As much pressure as a comfortable breath makes, Pa: 10 inH2O; from memory, confidence low. */
    public static final double BREATH = 2490.8891;
    /** Shares of what is expected that are free and weak; our proposal. */
    private static final double FREE = 0.5;

    private static final double WEAK = 0.1;

    /**
     * A place that can be blocked.
     *
     * @param name for eyes
     * @param item whose vent it is of
     * @param alone its air way by itself
     */
    public record Spot(String name, String item, AirLine alone) {

        /** What a breath brings through it alone, m3/s. */
        public double breath() {
            return alone.passes(BREATH);
        }
    }

    /** How a breath goes. */
    public enum Heard {
        FREE("free"),
        WEAK("weak"),
        BLOCKED("blocked");

        private final String word;

        Heard(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }

        /** Of a flow against what is expected: half is free, a tenth weak; our proposal. */
        public static Heard of(double measured, double expected) {
            double share = measured / expected;
            return share >= VentSearch.FREE ? FREE : share >= VentSearch.WEAK ? WEAK : BLOCKED;
        }
    }

    public VentSearch {
        places = List.copyOf(places);
        if (from < 0 || to < from || to > places.size()) {
            throw new IllegalArgumentException("No such stretch of the vent");
        }
    }

    /** Of the way the air of a tank goes; empty where nobody said what it is, or it never reaches the open air. */
    public static Optional<VentSearch> of(FuelSystem system, Item tank) {
        VentPath way = VentPath.of(system, tank);
        if (!way.open() || way.legs().stream().anyMatch(l -> l.known().isEmpty())) {
            return Optional.empty();
        }
        List<Spot> all = new ArrayList<>();
        for (VentPath.Leg leg : way.legs()) {
            VentLine line = leg.known().get();
            AirLine air = AirLine.of(line);
            for (int i = 0; i < line.pieces().size(); i++) {
                if (!air.gaps().get(i).beside()) {
                    all.add(new Spot(
                            capital(line.pieces().get(i).kind().label()) + " of "
                                    + leg.item().name(),
                            leg.item().id(),
                            new AirLine(air.bore(), 0, false, List.of(air.gaps().get(i)))));
                }
            }
            all.add(new Spot(
                    "Vent line of " + leg.item().name(),
                    leg.item().id(),
                    new AirLine(air.bore(), air.length(), air.ball())));
        }
        VentPath.Leg last = way.legs().get(way.legs().size() - 1);
        AirLine end = AirLine.of(last.known().get());
        all.add(new Spot("Vent outlet of " + last.item().name(), last.item().id(), new AirLine(end.bore(), 0, false)));
        return Optional.of(new VentSearch(all, 0, all.size()));
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + word.substring(1);
    }

    /** The place before whose joint one blows next, toward the tip; empty where one is found, or nothing is left. */
    public Optional<Spot> next() {
        return to - from > 1 ? Optional.of(places.get(middle())) : Optional.empty();
    }

    private int middle() {
        return (from + to) / 2;
    }

    /** What a breath brings from there to the tip, every branch held shut, m3/s. */
    public double expected() {
        return AirLine.passes(
                places.subList(middle(), places.size()).stream()
                        .map(Spot::alone)
                        .toList(),
                BREATH);
    }

    /** After a look: free beyond the joint puts it before, else it is at or beyond it. */
    public VentSearch heard(Heard heard) {
        if (next().isEmpty()) {
            throw new IllegalStateException("Nothing is left to look at");
        }
        return heard == Heard.FREE ? new VentSearch(places, from, middle()) : new VentSearch(places, middle(), to);
    }

    /** The one place left, where only one is. */
    public Optional<Spot> found() {
        return to - from == 1 ? Optional.of(places.get(from)) : Optional.empty();
    }

    /** Places it can still be. */
    public List<Spot> left() {
        return places.subList(from, to);
    }
}
