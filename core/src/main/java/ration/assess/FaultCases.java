package ration.assess;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import ration.condition.Condition;

/** The cases a fault is asked in: the governing one of every handle position with the pumps as flown, on clean filters. */
public final class FaultCases {

    private FaultCases() {
    }

    /** One of each position that holds without a fault, and the half full level one beside it; empty where nothing holds. */
    public static List<CaseAnswer> of(Assessment a) {
        Map<Map<String, String>, CaseAnswer> worst = new LinkedHashMap<>();
        Map<Map<String, String>, CaseAnswer> half = new LinkedHashMap<>();
        for (CaseAnswer c : a.cases()) {
            boolean flown = c.judged() && c.steady() && c.answered() && c.condition().stopped().isEmpty() && !c.condition().engine().fouled()
                    && c.condition().shutValves().isEmpty() && c.margin() >= 1 && !c.contents().endsWith(CaseAnswer.ONE_DRY);
            if (flown) {
                worst.merge(c.condition().positions(), c, (x, y) -> y.ratio() < x.ratio() ? y : x);
                if (c.contents().equals("Half") && c.condition().attitude().name().equals("Level")) {
                    half.putIfAbsent(c.condition().positions(), c);
                }
            }
        }
        List<CaseAnswer> all = new ArrayList<>(worst.values());
        half.values().stream().filter(c -> !all.contains(c)).forEach(all::add);
        return all;
    }

    /** Answers a condition like one of the cases: its contents keep their name. */
    public static CaseAnswer like(Assessment a, CaseAnswer of, Condition condition) {
        return new CaseAnswer(a.basis().orElseThrow(), a.project().brief(), condition, of.contents());
    }

    /** What happens once a vent is shut, of a tank or plenum; empty where it is not computed. */
    public static Optional<AirAnswer.Blocked> blocked(Assessment a, String item) {
        return a.air().stream().filter(x -> x.tank().id().equals(item)).findFirst().flatMap(AirAnswer::blocked).or(() -> a.project().system()
                .item(item).flatMap(i -> i.only(ration.model.VentPlenum.class)).flatMap(p -> AirAnswer.blocked(a.project(), p, a.cases(),
                        a.tanks())));
    }

    /** Every way the handles could stand: each position of each selector, OFF left out, and each set of feed pumps that runs. */
    public static List<Condition> handles(Assessment a, Condition from) {
        List<Condition> all = new ArrayList<>();
        for (Map<String, String> position : Assessment.positions(a.project().system())) {
            for (PumpSet pumps : PumpSet.of(a.project().system())) {
                all.add(from.withPositions(position).withStopped(Set.copyOf(pumps.stopped())));
            }
        }
        return all;
    }
}
