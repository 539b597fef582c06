package ration.answer.fault;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Handles;
import ration.aircraft.condition.Power;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.FaultCases;
import ration.answer.assess.FaultCases.Asked;
import ration.answer.assess.Filling;
import ration.answer.assess.PumpSet;
import ration.answer.fault.FaultAnswer.WayOut;
import ration.physics.flow.FlowBasis;
import ration.physics.vapor.Air;

/**
 * What a pilot can do once something has failed: another position, other pumps, the pump that is off, less power. It is
 * a way out only where it holds in every attitude, on every filling and on the hot day: a pilot is not asked which case
 * this is.
 */
final class WaysOut {

    private final Assessment assessment;
    private final FlowBasis apart;
    private final Fault fault;
    private final Predicate<CaseAnswer> counts;
    /** One case of each attitude, filling and warmth, whatever its handles. */
    private final List<Asked> everywhere;

    private final Set<Place> places;
    private final Together together;
    private List<Way> ways;

    record Way(Handles handles, Power power, double share) {}

    record Place(Attitude attitude, Filling filling, double kelvin, List<Air> airs) {}

    /**
     * @param counts what must hold beside the demand being met
     * @param together with whom the ways are shared; only where nothing more must hold
     */
    WaysOut(
            Assessment assessment,
            FlowBasis apart,
            List<Asked> asked,
            Fault fault,
            Predicate<CaseAnswer> counts,
            Together together) {
        this.assessment = assessment;
        this.apart = apart;
        this.fault = fault;
        this.counts = counts;
        this.together = together;
        Map<Place, Asked> all = new LinkedHashMap<>();
        asked.stream()
                .filter(c -> !c.flown() && c.sound().filling().dry().isEmpty())
                .forEach(c -> all.putIfAbsent(
                        new Place(
                                c.sound().condition().attitude(),
                                c.sound().filling(),
                                c.sound().condition().fuelKelvin(),
                                c.airs()),
                        c));
        everywhere = new ArrayList<>(all.values());
        places = all.keySet();
    }

    /**
     * The best from where the handles stand: full power first, the fewest handles moved, the most flow; empty where
     * nothing helps.
     */
    Optional<WayOut> from(CaseAnswer sound) {
        for (Power power : new Power[] {Power.TAKE_OFF, Power.CRUISE}) {
            Optional<WayOut> best = ways().stream()
                    .filter(w -> w.power == power
                            && (power != Power.TAKE_OFF
                                    || !w.handles.equals(sound.condition().handles())))
                    .min(Comparator.comparingInt((Way w) -> moved(sound.condition(), w))
                            .thenComparingDouble(w -> -w.share))
                    .map(w -> new WayOut(does(sound.condition(), w), w.share));
            if (best.isPresent()) {
                return best;
            }
        }
        return Optional.empty();
    }

    /** Handles and switches that are moved for it: who is in trouble moves one. */
    private static int moved(Condition before, Way after) {
        return (int) after.handles.positions().entrySet().stream()
                        .filter(e -> !e.getValue().equals(before.positions().get(e.getKey())))
                        .count()
                + (after.handles.stopped().equals(before.stopped()) ? 0 : 1);
    }

    private List<Way> ways() {
        if (ways == null) {
            ways = together.ways(places, this::searched);
        }
        return ways;
    }

    private List<Way> searched() {
        List<Way> found = new ArrayList<>();
        if (!everywhere.isEmpty()) {
            List<Condition> handles =
                    FaultCases.handles(assessment, everywhere.get(0).sound().condition());
            for (Power power : new Power[] {Power.TAKE_OFF, Power.CRUISE}) {
                if (power == Power.TAKE_OFF || found.size() < handles.size()) {
                    handles.stream()
                            .map(h -> new Way(h.handles(), power, least(h.handles(), power)))
                            .filter(w -> w.share >= 1)
                            .forEach(found::add);
                }
            }
        }
        return found;
    }

    /**
     * Share that arrives in the worst case with handles and power so; nothing where one case boils, floods or has no
     * answer.
     */
    private double least(Handles handles, Power power) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < everywhere.size(); i++) {
            Asked c = everywhere.get(i);
            CaseAnswer then = FaultCases.set(
                    assessment,
                    apart,
                    c.sound(),
                    c.sound().condition().with(handles).with(power).with(fault));
            double share = then.answered() && counts.test(then) && !FaultCases.over(assessment, then)
                    ? FaultCases.arrives(then)
                    : 0;
            if (share < 1 || !(FaultCases.degrees(assessment, then, c.airs()).orElse(0) >= 0)) {
                // what stopped one way likely stops the next: it is asked first there
                Collections.swap(everywhere, 0, i);
                return 0;
            }
            least = Math.min(least, share);
        }
        return least;
    }

    private String does(Condition before, Way after) {
        List<String> words = new ArrayList<>();
        for (Map.Entry<String, String> e : after.handles.positions().entrySet()) {
            if (!e.getValue().equals(before.positions().get(e.getKey()))) {
                words.add(e.getValue());
            }
        }
        if (!after.handles.stopped().equals(before.stopped())) {
            words.add(PumpSet.of(assessment.project().system(), after.handles.stopped())
                    .label());
        }
        if (after.power != Power.TAKE_OFF && after.power != before.engine().power()) {
            words.add("reduce to " + after.power.label().toLowerCase(java.util.Locale.ROOT) + " power");
        }
        return String.join(", ", words);
    }
}
