package ration.answer.assess;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.Item;
import ration.aircraft.model.VentLine;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.VentPath;
import ration.physics.breathing.Vents;

/**
 * The air that moves through every vent at once, and what it makes of the airspaces.
 *
 * @param through air that comes in through the vent of a tank or plenum, m3/s, out where negative, by its id
 * @param airspace pressure over the fuel of a tank, Pa over ambient, by its id; a tank one of whose vents is not known
 *     is absent
 */
public record AirMoves(Map<String, Double> through, Map<String, Double> airspace) {

    public AirMoves {
        through = Map.copyOf(through);
        airspace = Map.copyOf(airspace);
    }

    /** What moves it. */
    public enum Kind {
        /** Fuel that leaves the tanks in the case looked at, and comes back to them. */
        FEEDING("Feeding", "air comes in as fuel goes out"),
        /** Each tank filled by itself, on the ground. */
        FILLING("Filling", "air out while one tank is refueled"),
        /** The fastest descent, all tanks nearly empty. */
        DESCENDING("Descending", "air in at maximum descent rate, tanks nearly empty");

        private final String label;
        private final String words;

        Kind(String label, String words) {
            this.label = label;
            this.words = words;
        }

        public String label() {
            return label;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Of a document.
     *
     * @param look the case looked at; without one nothing feeds
     * @param blocked ids of tanks and plenums whose vent is shut: nothing passes there, and what the air behind it
     *     comes to is not said
     */
    public static AirMoves of(Assessment a, Optional<CaseAnswer> look, Kind kind, Set<String> blocked) {
        Map<String, Double> taken = new HashMap<>();
        List<AirAnswer> open = a.air().stream()
                .filter(t -> blocked.stream().noneMatch(VentPath.of(a.project().system(), t.tank())::through))
                .toList();
        for (AirAnswer tank : open) {
            taken.put(
                    tank.tank().id(),
                    switch (kind) {
                        case FEEDING ->
                            look.map(Regime.AS_IT_RUNS::of)
                                    .filter(f -> f.usable())
                                    .map(f -> f.outflow(tank.tank()))
                                    .orElse(0.0);
                        case FILLING -> -tank.filling();
                        case DESCENDING -> tank.descending();
                    });
        }
        boolean alone = kind == Kind.FILLING;
        Map<String, Double> through = new HashMap<>();
        for (AirAnswer tank : open) {
            double flow = taken.get(tank.tank().id());
            for (VentPath.Leg leg :
                    VentPath.of(a.project().system(), tank.tank()).legs()) {
                through.merge(leg.item().id(), flow, (x, y) -> alone ? Math.min(x, y) : x + y);
            }
        }
        Map<String, Double> airspace = new HashMap<>();
        double wind = alone ? 0 : Vents.dynamic(a.project().heat().si(HeatFigure.SPEED));
        for (AirAnswer tank : open) {
            pressure(a, tank, through, wind)
                    .ifPresent(p -> airspace.put(tank.tank().id(), p));
        }
        return new AirMoves(through, airspace);
    }

    /** From the tip inwards, each vent costs what its air costs. */
    private static Optional<Double> pressure(Assessment a, AirAnswer tank, Map<String, Double> through, double wind) {
        VentPath way = VentPath.of(a.project().system(), tank.tank());
        if (!way.open() || tank.tank().vent().isEmpty() && way.legs().size() == 1) {
            return Optional.empty();
        }
        double pressure = way.tip() * wind;
        for (VentPath.Leg leg : way.legs()) {
            Optional<VentLine> known = leg.known();
            if (known.isEmpty()) {
                return Optional.empty();
            }
            double flow = through.getOrDefault(leg.item().id(), 0.0);
            pressure -= Math.signum(flow) * AirLine.of(known.get()).drop(flow);
        }
        return Optional.of(pressure);
    }

    /** Air through the vent of an item, m3/s inwards. */
    public double through(Item item) {
        return through.getOrDefault(item.id(), 0.0);
    }
}
