package ration.answer.drawdown;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Tank;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.FlowQuestion;
import ration.physics.flow.TankLevel;

/** One moment of a stretch: what stands where, and what the network makes of it, worked out when first asked for. */
public final class Look {

    /** Stands for nothing arriving, Pa under the least pressure. */
    static final double NOTHING = -1e5;

    private static final double FULL_SHARE = 0.99;

    private final Drawdown drawdown;
    private final Stretch stretch;
    private final double minutes;
    private final Holding holding;
    private final Map<String, Set<String>> bare;
    private Condition condition;
    private Map<String, TankLevel> levels;
    private FlowAnswer answer;
    private FlowAnswer wetAnswer;

    Look(Drawdown drawdown, Stretch stretch, double minutes, Holding holding, Map<String, Set<String>> bare) {
        this.drawdown = drawdown;
        this.stretch = stretch;
        this.minutes = minutes;
        this.holding = holding;
        this.bare = bare;
    }

    public double minutes() {
        return minutes;
    }

    public Holding holding() {
        return holding;
    }

    double demand() {
        return stretch.demand();
    }

    /** The case at this moment. */
    public Condition condition() {
        if (condition == null) {
            Condition c = stretch.condition().withContents(holding.contents()).with(stretch.day(minutes));
            condition = drawdown.shutIn().isEmpty() ? c : c.withAirspace(drawdown.airspace(holding, c));
        }
        return condition;
    }

    Map<String, TankLevel> levels() {
        if (levels == null) {
            levels = new HashMap<>();
            drawdown.basis()
                    .levels(condition())
                    .forEach((id, l) -> levels.put(
                            id, new TankLevel(id, l.volume(), l.surface(), bare.getOrDefault(id, l.uncovered()))));
        }
        return levels;
    }

    /** What the network says of the engine taking its demand. */
    public FlowAnswer answer() {
        if (answer == null) {
            answer = drawdown.basis().ask(condition(), levels(), new FlowQuestion.Demand(demand()));
        }
        return answer;
    }

    /** As if every outlet were covered and nothing quite shut: what goes on behind a full header. */
    private FlowAnswer wet() {
        if (wetAnswer == null) {
            Map<String, TankLevel> covered = new HashMap<>();
            levels().forEach((id, l) -> covered.put(id, new TankLevel(id, l.volume(), l.surface(), Set.of())));
            wetAnswer = drawdown.basis()
                    .ask(condition().with(condition().faults().ajar()), covered, new FlowQuestion.Demand(demand()));
        }
        return wetAnswer;
    }

    private double spare(FlowAnswer a) {
        EngineInlet inlet = drawdown.basis().system().inlet().orElseThrow();
        OptionalDouble p = a.pressure(new PortRef(inlet.id(), Item.IN));
        return p.isEmpty()
                ? NOTHING
                : p.getAsDouble()
                        - drawdown.basis()
                                .leastPressure(inlet, a.condition().engine().power());
    }

    /**
     * Pressure at the inlet over the least it takes, Pa, as the tanks feed; {@link #NOTHING} where air comes or nothing
     * does.
     */
    private double fromTanks() {
        FlowAnswer a = answer();
        if (!a.usable() || !a.airDrawn().isEmpty()) {
            return NOTHING;
        }
        for (int h = 0; h < holding.headers().size(); h++) {
            if (a.drawn(holding.headers().get(h).id()) > FlowAnswer.NO_FLOW && holding.header(h) <= 0) {
                return NOTHING;
            }
        }
        return spare(a);
    }

    /** The header that feeds the engine by itself now, as nothing comes to it any more; -1 if none does. */
    int feedingHeader() {
        if (fromTanks() >= 0 || demand() <= 0) {
            return -1;
        }
        for (int h = 0; h < holding.headers().size(); h++) {
            if (holding.header(h) > 0 && behind(h) >= 0) {
                return h;
            }
        }
        return -1;
    }

    /** Pressure over the least at the inlet with a header fallen to its lip, all else as with full tanks, Pa. */
    private double behind(int h) {
        Header header = holding.headers().get(h);
        FlowAnswer a = wet();
        if (!a.usable()
                || header.outlets().stream()
                                .mapToDouble(o -> a.solution().flow(header.id() + "." + o))
                                .sum()
                        < FULL_SHARE * demand()) {
            return NOTHING;
        }
        return spare(a)
                - Math.max(0, a.pressure(new PortRef(header.id(), Item.OUT)).orElse(0));
    }

    /** Pressure at the inlet over the least it takes, Pa; below zero the engine is short. */
    public double spare() {
        double direct = fromTanks();
        int h = direct >= 0 ? -1 : feedingHeader();
        return h < 0 ? direct : behind(h);
    }

    public boolean delivered() {
        return demand() <= 0 || spare() >= 0;
    }

    /** Tanks that give fuel their placard keeps back. */
    List<Tank> givingUnderPlacard(double tolerance) {
        return holding.tanks().stream()
                .filter(t -> answer().outflow(t) > FlowAnswer.NO_FLOW
                        && holding.tank(t.id()) < t.unusable().si() + 2 * tolerance)
                .toList();
    }

    /** Full tanks that more comes into. */
    List<Tank> runningOver(double tolerance) {
        return holding.tanks().stream()
                .filter(t -> answer().outflow(t) < -FlowAnswer.NO_FLOW
                        && holding.tank(t.id())
                                >= drawdown.basis().bodies().get(t.id()).capacity() - 2 * tolerance)
                .toList();
    }

    /** Why it is not, in words. */
    public String why() {
        FlowAnswer a = answer();
        return !a.usable()
                ? a.reason()
                : !a.airDrawn().isEmpty()
                        ? "Air is drawn through "
                                + String.join(
                                        " and ",
                                        a.airDrawn().stream()
                                                .map(drawdown::named)
                                                .toList()) + "."
                        : spare(a) < 0 ? "Inlet pressure below minimum." : "Header empty.";
    }

    /** Net flow out of each tank and header, and what the engine takes, m3 a minute; what is left over is spilt. */
    void rates(double[] out) {
        int tanks = holding.tanks().size();
        int header = feedingHeader();
        java.util.Arrays.fill(out, 0);
        double taken = header >= 0 || answer().usable() ? demand() : 0;
        if (header >= 0) {
            out[tanks + header] = -taken * 60;
        } else if (answer().usable()) {
            for (int i = 0; i < tanks; i++) {
                out[i] = -answer().outflow(holding.tanks().get(i)) * 60;
            }
            refill(out);
            for (int i = 0; i < tanks; i++) {
                double room = drawdown.basis()
                                .bodies()
                                .get(holding.tanks().get(i).id())
                                .capacity()
                        - holding.tank(holding.tanks().get(i).id());
                out[i] = room <= 0 ? Math.min(0, out[i]) : out[i];
            }
        }
        out[out.length - 2] = taken * 60;
        double sum = 0;
        for (int i = 0; i < out.length - 1; i++) {
            sum += out[i];
        }
        out[out.length - 1] = -sum;
    }

    /**
     * A header that is drawn on falls; one that is not takes what could come beside the engine's demand until it is
     * full.
     */
    private void refill(double[] out) {
        int tanks = holding.tanks().size();
        double fed = 0;
        for (int i = 0; i < tanks; i++) {
            fed += Math.max(0, -out[i]);
        }
        for (int h = 0; h < holding.headers().size(); h++) {
            Header header = holding.headers().get(h);
            double falls = answer().drawn(header.id());
            double room = header.capacity().si() - holding.header(h);
            if (falls > FlowAnswer.NO_FLOW) {
                out[tanks + h] = -falls * 60;
            } else if (room > drawdown.tolerance() && fed > 0) {
                FlowAnswer most = drawdown.basis().ask(condition(), levels(), new FlowQuestion.Capacity());
                double over = most.usable() ? Math.max(0, most.inletFlow() - demand()) * 60 : 0;
                out[tanks + h] = over;
                for (int i = 0; i < tanks; i++) {
                    out[i] += out[i] < 0 ? over * out[i] / fed : 0;
                }
            }
        }
    }
}
