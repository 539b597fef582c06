package ration.physics.breathing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.GaugePort;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.SomeKinds;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;

/** Every drain in the order of a walk round the aircraft: left side from tail to nose, nose, right side back. */
public final class SamplingCard {

    private static final double CENTRE = 0.08;

    private SamplingCard() {}

    /**
     * A drain.
     *
     * @param item id
     * @param name what it drains
     * @param place of the drain
     */
    public record Drain(String item, String name, Point3 place) {}

    /** Where an item is drained. */
    private static final SomeKinds<Optional<Place>> DRAIN = new SomeKinds<>() {
        @Override
        public Optional<Place> otherwise(Item item) {
            return Optional.empty();
        }

        @Override
        public Optional<Place> tank(Tank tank) {
            return tank.drain();
        }

        @Override
        public Optional<Place> strainer(Strainer strainer) {
            return strainer.drain() ? Optional.of(strainer.place()) : Optional.empty();
        }

        @Override
        public Optional<Place> gaugePort(GaugePort port) {
            return port.shows() == GaugePort.Shows.SAMPLE ? Optional.of(port.place()) : Optional.empty();
        }

        @Override
        public Optional<Place> header(Header header) {
            return header.drain() ? Optional.of(header.place()) : Optional.empty();
        }
    };

    public static List<Drain> of(FuelSystem system) {
        List<Drain> all = new ArrayList<>();
        for (Item item : system.items()) {
            item.as(DRAIN).ifPresent(d -> all.add(new Drain(item.id(), item.name(), d.point())));
        }
        all.sort(Comparator.comparingInt((Drain d) -> side(d))
                .thenComparingDouble(
                        d -> side(d) < 2 ? -d.place().x() : d.place().x()));
        return all;
    }

    /**
     * What a sample says nothing of as long as nobody said that the caps have seals: rain and washing water come in by
     * them; common practice, no source. Empty where all have, or no tank is laid out.
     */
    public static Optional<String> caps(FuelSystem system) {
        String open = system.tanks().stream()
                .filter(t -> !t.fitout().has(Fitout.Piece.CAP_SEAL))
                .map(Tank::name)
                .collect(Collectors.joining(", "));
        return open.isEmpty()
                ? Optional.empty()
                : Optional.of("Cap seal not entered for " + open
                        + ": after rain or washing, rock the wings, wait, sample again.");
    }

    private static int side(Drain d) {
        return d.place().y() < -CENTRE ? 0 : d.place().y() > CENTRE ? 2 : 1;
    }
}
