package ration.answer.drawdown;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.condition.Condition;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.flight.Switching;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.TankLevel;

/**
 * Which tank empties first where two feed together, and why.
 *
 * @param first id of the tank whose outlet uncovers first
 * @param minutes after the start
 * @param left in the other tanks that feed then, m3
 * @param stops whether the engine starves with it, air coming in by the bare outlet
 * @param causes of the two fastest tanks giving unlike at the start of the cruise, the largest first
 */
public record OnBoth(String first, double minutes, double left, boolean stops, List<Cause> causes) {

    public OnBoth {
        causes = List.copyOf(causes);
    }

    /**
     * One cause.
     *
     * @param words what it is
     * @param flow how much faster the first tank gives for it, m3/s; negative where it works the other way
     */
    public record Cause(String words, double flow) {}

    /** Share of a cause in all of them, 0 to 1, by size. */
    public double share(Cause c) {
        double sum = causes.stream().mapToDouble(x -> Math.abs(x.flow())).sum();
        return sum > 0 ? Math.abs(c.flow()) / sum : 0;
    }

    /** Empty where no position feeds from two tanks, or where nothing uncovers. */
    public static Optional<OnBoth> of(Assessment a, FlightPlan plan) {
        Flight f;
        try {
            f = FlightRun.of(a, plan.with(Switching.Mode.BOTH));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
        Optional<FlightEvent> bare = f.events().stream()
                .filter(e -> e.kind() == FlightEvent.Kind.UNCOVERS)
                .findFirst();
        if (bare.isEmpty() || !f.trouble().isEmpty()) {
            return Optional.empty();
        }
        String first = bare.get().about().substring(0, bare.get().about().indexOf('.'));
        Flight.Sample then = f.at(bare.get().minutes());
        double left = a.project().system().tanks().stream()
                .filter(t -> !t.id().equals(first))
                .mapToDouble(t -> then.tank(t.id()))
                .sum();
        boolean stops = f.events().stream()
                .anyMatch(e -> e.kind() == FlightEvent.Kind.STARVES
                        && Math.abs(e.minutes() - bare.get().minutes()) < 1);
        return Optional.of(new OnBoth(first, bare.get().minutes(), left, stops, causes(a, f, first)));
    }

    private static List<Cause> causes(Assessment a, Flight f, String first) {
        Flight.Sample at = f.samples().stream()
                .filter(s -> f.phase(s).kind() == Phase.Kind.CRUISE)
                .findFirst()
                .orElse(f.samples().get(0));
        FlowBasis basis = a.basis().orElseThrow();
        double demand =
                Math.max(0.05, f.phase(at).share().si()) * a.project().brief().demand();
        Condition as = at.condition();
        FlowAnswer now = basis.ask(as, new FlowQuestion.Demand(demand));
        List<Tank> feeding = a.project().system().tanks().stream()
                .filter(t -> Math.abs(now.outflow(t)) > 1e-3 * demand)
                .toList();
        Optional<Tank> one = feeding.stream().filter(t -> t.id().equals(first)).findFirst();
        Optional<Tank> other =
                feeding.stream().filter(t -> !t.id().equals(first)).max(Comparator.comparingDouble(now::outflow));
        if (one.isEmpty() || other.isEmpty()) {
            return List.of();
        }
        Map<String, Double> still = new HashMap<>();
        feeding.forEach(t -> still.put(t.id(), 0.0));
        Map<String, TankLevel> levels = basis.levels(as);
        double mean = feeding.stream()
                .mapToDouble(t -> levels.get(t.id()).surface())
                .average()
                .orElse(0);
        Map<String, Double> same = new HashMap<>();
        feeding.forEach(t -> same.put(t.id(), (mean - levels.get(t.id()).surface()) * now.weight()));
        double whole = faster(basis, as, demand, one.get(), other.get());
        double vented = faster(basis, as.withAirspace(still), demand, one.get(), other.get());
        double evened = faster(basis, as.withAirspace(same), demand, one.get(), other.get());
        return java.util.stream.Stream.of(
                        new Cause("vent pressure", whole - vented),
                        new Cause("fuel level", vented - evened),
                        new Cause("line losses", evened))
                .sorted(Comparator.comparingDouble((Cause c) -> -Math.abs(c.flow())))
                .toList();
    }

    private static double faster(FlowBasis basis, Condition c, double demand, Tank one, Tank other) {
        FlowAnswer f = basis.ask(c, new FlowQuestion.Demand(demand));
        return f.outflow(one) - f.outflow(other);
    }
}
