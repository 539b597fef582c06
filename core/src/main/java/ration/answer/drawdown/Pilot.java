package ration.answer.drawdown;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Switching;
import ration.aircraft.model.Tank;

/** Moves the handles by the rule of the plan. */
final class Pilot {

    /**
     * The imbalance at which the planned rule switches, as a share of the limit: what is rounded afterwards may run a
     * little over.
     */
    private static final double EARLY = 0.9;

    private final FlightPlan plan;
    private final Timetable times;
    private final List<Choice> choices;
    private final List<Choice> singles;
    private final Sides sides;
    private final Map<String, Double> keeps;
    private final double demand;
    private final int first;
    private Choice now;
    private double since;
    private double givenAtSwitch;
    /** Ways that brought nothing any more: nobody goes back to them. */
    private final java.util.Set<Choice> spent = new java.util.HashSet<>();

    private boolean replans;

    /**
     * @param keeps what a tank is not run below by plan, m3 by id
     * @param first which of the single positions a rule begins with
     */
    Pilot(
            FlightPlan plan,
            Timetable times,
            List<Choice> choices,
            Sides sides,
            Map<String, Double> keeps,
            double demand,
            int first) {
        this.plan = plan;
        this.times = times;
        this.choices = choices;
        this.sides = sides;
        this.keeps = keeps;
        this.demand = demand;
        this.first = first;
        singles = choices.stream().filter(Choice::single).toList();
    }

    private Switching.Mode mode() {
        return replans ? Switching.Mode.BALANCE : plan.switching().mode();
    }

    /** From now on the handles go by what is in the tanks, whatever was planned. */
    void replans() {
        replans = true;
    }

    Choice start() {
        now = switch (mode()) {
            case HAND -> byHand(0);
            case BOTH ->
                choices.stream()
                        .filter(c -> c.feeds().size() > 1)
                        .max(Comparator.comparingInt(c -> c.feeds().size()))
                        .orElse(choices.get(0));
            case CLOCK, QUANTITY, BALANCE -> singles.isEmpty() ? choices.get(0) : singles.get(first % singles.size());
        };
        return now;
    }

    private Choice byHand(double minutes) {
        Choice found = now == null ? choices.get(0) : now;
        for (Switching.Step s : plan.switching().steps()) {
            boolean passed = now != null && s.minutes() <= since + 1e-9;
            if (!passed && s.minutes() <= minutes + 1e-9) {
                Choice named = named(s.positions(), found);
                found = spent.contains(named) ? found : named;
            }
        }
        return found;
    }

    private Choice named(Map<String, String> positions, Choice otherwise) {
        return choices.stream()
                .filter(c -> c.positions().equals(positions))
                .findFirst()
                .or(() -> choices.stream()
                        .filter(c -> positions.entrySet().stream()
                                .allMatch(e -> e.getValue().equals(c.positions().get(e.getKey()))))
                        .findFirst())
                .orElse(otherwise);
    }

    Choice now() {
        return now;
    }

    void put(Choice choice, double minutes, Holding holding) {
        now = choice;
        since = minutes;
        givenAtSwitch = holding.burnt();
    }

    /** What is set brings nothing any more. */
    void spent() {
        spent.add(now);
    }

    private boolean alternates() {
        return now.single() && singles.stream().filter(c -> !spent.contains(c)).count() > 1;
    }

    /** The next time, after one, at which this rule moves a handle whatever is in the tanks; infinite if none. */
    double next(double minutes) {
        if (mode() == Switching.Mode.HAND) {
            return plan.switching().steps().stream()
                    .mapToDouble(Switching.Step::minutes)
                    .filter(m -> m > minutes + 1e-9)
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
        }
        double every = plan.switching().every().si() / 60;
        if (mode() == Switching.Mode.CLOCK && alternates()) {
            return times.allowed((Math.floor(since / every + 1e-9) + 1) * every);
        }
        if (mode() == Switching.Mode.QUANTITY && alternates() || mode() == Switching.Mode.BALANCE && alternates()) {
            double window = times.allowedUntil(minutes);
            return window > minutes + 1e-9
                    ? window
                    : times.allowed(minutes) > minutes + 1e-9 ? times.allowed(minutes) : Double.POSITIVE_INFINITY;
        }
        return Double.POSITIVE_INFINITY;
    }

    /** Above zero until what the tanks hold asks for a switch. */
    ToDoubleFunction<Look> margin() {
        return look ->
                alternates() && times.allowed(look.minutes()) <= look.minutes() + 1e-9 ? margin(look.holding(), 0) : 1;
    }

    /** The same after the engine has taken so much more, m3. */
    private double margin(Holding holding, double more) {
        return switch (mode()) {
            case QUANTITY -> plan.switching().portion().si() - (holding.burnt() + more - givenAtSwitch);
            case BALANCE -> {
                String feeding = now.feeds().iterator().next();
                double left = holding.tank(feeding) - more - keeps.getOrDefault(feeding, 0.0);
                int side = sides.of(feeding);
                double lean = side == 0 || !sides.two()
                        ? 1
                        : EARLY * plan.limit().si() - side * (sides.difference(holding) + side * more);
                yield Math.min(left, lean);
            }
            default -> 1;
        };
    }

    /** What to set at a moment; the same as now where nothing is due. */
    Choice at(double minutes, Holding holding) {
        return switch (mode()) {
            case HAND -> byHand(minutes);
            case BOTH -> now;
            case CLOCK -> !alternates() || minutes < next(since) - 1e-9 ? now : after();
            case QUANTITY -> due(minutes, holding) ? after() : now;
            case BALANCE -> due(minutes, holding) ? fullest(holding) : now;
        };
    }

    /** Whether a switch is due now, or would be before the next moment at which one is allowed. */
    private boolean due(double minutes, Holding holding) {
        if (!alternates() || minutes - since < 1) {
            return false;
        }
        if (!times.mayMove(minutes)) {
            return false;
        }
        boolean ends = times.allowed(minutes) > minutes + 1e-9;
        double ahead = ends ? times.burn(minutes, times.allowed(minutes)) * demand * 60 : 0;
        return margin(holding, ahead) <= 1e-7;
    }

    private Choice after() {
        for (int i = 1; i < singles.size(); i++) {
            Choice next = singles.get((singles.indexOf(now) + i) % singles.size());
            if (!spent.contains(next)) {
                return next;
            }
        }
        return now;
    }

    /** The tank with the most above what it keeps, on the heavier side if there is one. */
    private Choice fullest(Holding holding) {
        double difference = sides.two() ? sides.difference(holding) : 0;
        return singles.stream()
                .filter(c -> !c.equals(now) && !spent.contains(c))
                .max(Comparator.<Choice>comparingInt(
                                c -> -(int) Math.signum(difference) * sides.of(only(c)) > 0 ? 1 : 0)
                        .thenComparingDouble(c -> over(holding, c)))
                .filter(c -> over(holding, c) > over(holding, now)
                        || -Math.signum(difference) * sides.of(only(c)) > 0 && over(holding, c) > 0)
                .orElse(now);
    }

    private static String only(Choice c) {
        return c.feeds().iterator().next();
    }

    private double over(Holding holding, Choice c) {
        return c.single() ? holding.tank(only(c)) - keeps.getOrDefault(only(c), 0.0) : 0;
    }

    /** Other ways to set the handles once nothing comes any more, the one with the most fuel first. */
    List<Choice> others(Holding holding) {
        return choices.stream()
                .filter(c -> !c.equals(now))
                .sorted(Comparator.comparingDouble((Choice c) -> -holding.tanks().stream()
                        .map(Tank::id)
                        .filter(c.feeds()::contains)
                        .mapToDouble(holding::tank)
                        .sum()))
                .toList();
    }
}
