package ration.upkeep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Pump;
import ration.model.Run;
import ration.model.Selector;
import ration.model.SomeKinds;
import ration.model.Tank;
import ration.topology.Topology;

/** What has to be shown again once a part was replaced, from what it touches; common practice, no source. */
public final class Again {

    private Again() {}

    /** In the order of the work; the ground run last. */
    public static List<String> after(FuelSystem system, Part part) {
        Optional<Item> item = system.item(part.item());
        List<String> all = new ArrayList<>();
        item.ifPresent(i -> all.addAll(i.as(new Touched(system))));
        if (part.kind() == Part.Kind.VENT) {
            all.add("Vent blow-through, each piece");
        }
        if (part.kind() == Part.Kind.SENDER) {
            all.add("Calibration of the sender");
        }
        if (part.kind() == Part.Kind.SIGHT_TUBE) {
            all.add("Gauge marks, if the gauge bottom moved");
        }
        if (part.kind() == Part.Kind.CAP_SEAL) {
            return List.of("Cap dry under a hose, then a sample of "
                    + item.map(Item::name).orElse("the tank"));
        }
        all.add("Overnight leak check (paper towel)");
        all.add("Leak-check fittings after first run and after first flight");
        return List.copyOf(all);
    }

    private record Touched(FuelSystem system) implements SomeKinds<List<String>> {

        @Override
        public List<String> otherwise(Item item) {
            return List.of("Flow nose-up, every position that passes " + item.name());
        }

        @Override
        public List<String> run(Run run) {
            return Topology.of(system).returns(run)
                    ? List.of("Line pressure test", "Return flow and pressure at idle")
                    : List.of("Line pressure test", "Flow nose-up, every position that passes " + run.name());
        }

        @Override
        public List<String> tank(Tank tank) {
            return List.of("Tank pressure test (water column)");
        }

        @Override
        public List<String> selector(Selector selector) {
            return List.of("Selector OFF, line open, ten minutes", "Flow nose-up, every position");
        }

        @Override
        public List<String> pump(Pump pump) {
            return List.of("Flow of " + pump.name() + " alone", "Dead-head pressure of " + pump.name());
        }
    }
}
