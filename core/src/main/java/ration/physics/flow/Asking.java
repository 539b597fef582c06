package ration.physics.flow;

import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.solver.network.SolverSettings;

/**
 * Questions of one condition: what its headers do is found out on the way, and what lasts where the first answer would
 * not.
 */
final class Asking {

    /** More than any engine here takes, m3/s: 95 gph. */
    private static final double MOST_FLOW = 1e-4;
    /** The least flow asked for when the largest lasting one is sought, m3/s: 0.1 gph; and how often that is halved. */
    private static final double LEAST_ASKED = 1e-7;

    private static final int HALVINGS = 20;
    private static final double GPH = Unit.GALLON_PER_HOUR.toSi(1);

    private final FlowBasis basis;
    private final Condition condition;
    private final Map<String, TankLevel> levels;
    private final Set<String> bare;
    /** Gauge pressure at which the fuel boils on this day, Pa; nothing at all where that is left out. */
    private final double boils;

    Asking(FlowBasis basis, Condition condition, Map<String, TankLevel> levels) {
        this.basis = basis;
        this.condition = condition;
        this.levels = levels;
        bare = bare();
        boils = basis.around()
                        .vapor()
                        .map(v -> v.pascal(condition.fuelKelvin()))
                        .orElse(0.0)
                - condition.air().day().pressurePa();
    }

    FlowAnswer ask(FlowQuestion question) {
        if (question instanceof FlowQuestion.Capacity) {
            return capacity();
        }
        FlowAnswer answer = settle(question);
        return question instanceof FlowQuestion.Demand && !answer.boilsAt().isEmpty() ? undelivered(answer) : answer;
    }

    /** Below the pressure at which the fuel boils no answer is an answer: it says so, with what can be delivered. */
    private FlowAnswer undelivered(FlowAnswer answer) {
        FlowAnswer most = lasting(settle(new FlowQuestion.Capacity()));
        double gph = (most == null ? 0 : most.inletFlow()) / GPH;
        return answer.refused((basis.system().hasPump() ? "Vapor-limited: pressure at " : "Vapor-limited: pressure at ")
                + nameOf(answer) + " would drop below vapor pressure. Maximum " + UnitSystem.figure(gph, 1) + " gph.");
    }

    private String nameOf(FlowAnswer boiling) {
        return basis.system().item(boiling.boilsAt()).map(Item::name).orElse(boiling.boilsAt());
    }

    /**
     * What the engine can take for good with its least pressure: the open inlet's flow, or, where that would draw air,
     * boil or run a header dry, the largest flow that does not.
     */
    private FlowAnswer capacity() {
        FlowAnswer open = basis.hasJets() ? wet(new FlowQuestion.Capacity()) : settle(new FlowQuestion.Capacity());
        boolean stands =
                open.usable() && open.airDrawn().isEmpty() && open.boilsAt().isEmpty();
        if (stands && (!basis.hasJets() || open.dryHeaders().isEmpty() && open.inletFlow() > FlowAnswer.NO_FLOW)
                || !open.usable() && !basis.hasJets()) {
            return open;
        }
        FlowAnswer lasting = lasting(open);
        FlowAnswer rest = lasting != null ? lasting : basis.hasJets() ? settle(new FlowQuestion.Capacity()) : open;
        return rest.boilsAt().isEmpty() || !rest.usable()
                ? rest
                : rest.refused(nameOf(rest) + " is below vapor pressure at any flow: no fuel passes.");
    }

    /** The largest demand that is met for good; null if there is none. */
    private FlowAnswer lasting(FlowAnswer open) {
        double low = 0;
        double high = open.usable() ? Math.max(open.arriving(), MOST_FLOW) : MOST_FLOW;
        FlowAnswer best = null;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = i == 0 ? LEAST_ASKED : (low + high) / 2;
            FlowQuestion.Demand asked = new FlowQuestion.Demand(middle);
            FlowAnswer a = wet(asked);
            if (a.usable()
                    && a.dryHeaders().isEmpty()
                    && a.airDrawn().isEmpty()
                    && a.boilsAt().isEmpty()
                    && a.meetsLeastPressure()) {
                low = middle;
                best = a;
            } else if (i == 0) {
                return null;
            } else {
                high = middle;
            }
        }
        return best;
    }

    /** The answer with every header taken to stay wet; unusable or dry if it does not. */
    private FlowAnswer wet(FlowQuestion question) {
        HeaderStates headers = HeaderStates.NONE;
        FlowAnswer answer = ask(question, headers, SolverSettings.USUAL.quick());
        for (int pass = 0; pass < 6 && answer.usable() && answer.dryHeaders().isEmpty(); pass++) {
            HeaderStates next = headers.after(answer);
            if (next.equals(headers)) {
                break;
            }
            headers = next;
            answer = ask(question, headers, SolverSettings.USUAL.quick());
        }
        return answer;
    }

    private FlowAnswer settle(FlowQuestion question) {
        HeaderStates headers = basis.filling();
        FlowAnswer answer = ask(question, headers, SolverSettings.USUAL.quick());
        if (!answer.usable() || !headers.allFlow(answer)) {
            headers = HeaderStates.NONE;
            answer = ask(question, headers);
        }
        for (int pass = 0; pass < 6 && answer.usable(); pass++) {
            HeaderStates next = headers.after(answer);
            if (next.equals(headers)) {
                break;
            }
            headers = next;
            answer = ask(question, headers);
            if (!answer.usable()) {
                headers = headers.drained(basis.system());
                answer = ask(question, headers);
            }
        }
        return answer;
    }

    private FlowAnswer ask(FlowQuestion question, HeaderStates headers) {
        return ask(question, headers, SolverSettings.USUAL);
    }

    private FlowAnswer ask(FlowQuestion question, HeaderStates headers, SolverSettings settings) {
        FlowPlan plan = basis.plan(new PlanKey(condition, question, headers, bare));
        Posed pose = new Posed(plan, condition, levels, question, boils);
        return new FlowAnswer(pose, plan.solve(pose, settings));
    }

    /** Ports of tanks that stand clear of the fuel. */
    private Set<String> bare() {
        Set<String> ports = new HashSet<>();
        Point3 up = condition.attitude().gravity().up();
        for (Tank tank : basis.system().tanks()) {
            TankLevel level = levels.get(tank.id());
            level.uncovered().forEach(o -> ports.add(tank.id() + "." + o));
            for (Tank.Entry entry : tank.returns()) {
                if (!(level.surface() > up.dot(entry.place().point()))) {
                    ports.add(tank.id() + "." + entry.name());
                }
            }
        }
        return ports;
    }
}
