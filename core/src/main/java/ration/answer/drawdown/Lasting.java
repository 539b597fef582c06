package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Header;
import ration.physics.flow.ClosedAirspace;
import ration.physics.flow.FlowBasis;

/**
 * How long the engine gets what it takes in a case that stays as it is: tanks, headers and air that is shut in, in
 * time.
 *
 * @param minutes until less arrives; infinite if that is beyond what was asked
 * @param fed left the tanks and headers by then, m3
 * @param suction most that the air over the fuel of a tank fell under ambient, Pa; 0 where its vent is open
 * @param lights minutes at which a header's low light came on before that, by its id
 * @param course of the pressure at the inlet over its least, a point a minute and one at each event
 */
public record Lasting(double minutes, double fed, double suction, Map<String, Double> lights, List<Point> course) {

    /**
     * A moment.
     *
     * @param minutes after the start
     * @param spare pressure at the inlet over the least it takes, Pa; not a number where nothing arrives
     * @param left in tanks and headers, m3
     */
    public record Point(double minutes, double spare, double left) {}

    public Lasting {
        lights = Map.copyOf(lights);
        course = List.copyOf(course);
    }

    /**
     * @param demand the engine takes, m3/s
     * @param most minutes to look ahead
     */
    public static Lasting of(FlowBasis basis, Condition condition, double demand, double most) {
        List<Point> course = new ArrayList<>();
        return of(basis, condition, demand, most, course, l -> course.add(point(l)));
    }

    /** Its minutes alone: what is not told on the way need not be solved. */
    public static double minutes(FlowBasis basis, Condition condition, double demand, double most) {
        return of(basis, condition, demand, most, List.of(), l -> {}).minutes();
    }

    private static Lasting of(
            FlowBasis basis, Condition condition, double demand, double most, List<Point> course, Consumer<Look> told) {
        Holding holding = Holding.of(basis.system(), condition.contents());
        double start = holding.inTanks() + holding.inHeaders();
        Drawdown drawdown = new Drawdown(basis, holding, condition, ClosedAirspace.ADIABATIC);
        List<Watch> watches = new ArrayList<>(List.of(new Watch(FlightEvent.Kind.STARVES, "", Look::spare)));
        for (int i = 0; i < holding.headers().size(); i++) {
            int n = i;
            String id = holding.headers().get(i).id();
            holding.headers()
                    .get(i)
                    .underLight()
                    .ifPresent(v -> watches.add(new Watch(
                            FlightEvent.Kind.HEADER_LOW, id, l -> l.holding().header(n) - v)));
        }
        Map<String, Double> lights = new HashMap<>();
        double t = 0;
        for (int events = 0; t < most && events < MOST_EVENTS; events++) {
            Stretch stretch = Stretch.level(condition, demand, t, most);
            Look look = drawdown.begin(stretch, holding);
            told.accept(look);
            if (!look.delivered()) {
                return new Lasting(
                        t,
                        start - holding.inTanks() - holding.inHeaders(),
                        suction(drawdown, holding, condition),
                        lights,
                        course);
            }
            int header = look.feedingHeader();
            if (header >= 0) {
                // nothing else moves: it falls evenly
                double now = t;
                double held = holding.header(header);
                Header falls = holding.headers().get(header);
                falls.underLight()
                        .filter(v -> v < held)
                        .ifPresent(v -> lights.putIfAbsent(falls.id(), now + (held - v) / demand / 60));
                t += holding.header(header) / demand / 60;
                holding = holding.withoutHeader(header);
                continue;
            }
            Drawdown.Outcome outcome = drawdown.run(stretch, holding, watches, told);
            holding = outcome.at().holding();
            t = outcome.at().minutes();
            double at = t;
            outcome.by()
                    .filter(w -> w.kind() == FlightEvent.Kind.HEADER_LOW)
                    .ifPresent(w -> lights.putIfAbsent(w.about(), at));
            if (outcome.by().filter(w -> w.kind() == FlightEvent.Kind.STARVES).isPresent()) {
                told.accept(outcome.at());
                return new Lasting(
                        t,
                        start - holding.inTanks() - holding.inHeaders(),
                        suction(drawdown, holding, condition),
                        lights,
                        course);
            }
        }
        if (t < most - 1e-9) {
            throw new IllegalStateException("Outlet covers and uncovers repeatedly; calculation stopped.");
        }
        return new Lasting(
                Double.POSITIVE_INFINITY,
                start - holding.inTanks() - holding.inHeaders(),
                suction(drawdown, holding, condition),
                lights,
                course);
    }

    private static double suction(Drawdown drawdown, Holding holding, Condition condition) {
        Map<String, Double> pressures = drawdown.airspace(holding, condition);
        return drawdown.shutIn().keySet().stream()
                .mapToDouble(id -> -pressures.get(id))
                .max()
                .orElse(0);
    }

    private static final int MOST_EVENTS = 500;

    private static Point point(Look l) {
        double spare = l.spare();
        return new Point(
                l.minutes(),
                spare <= Look.NOTHING ? Double.NaN : spare,
                l.holding().inTanks() + l.holding().inHeaders());
    }
}
