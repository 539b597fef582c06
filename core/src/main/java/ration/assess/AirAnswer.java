package ration.assess;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.breathing.AirLine;
import ration.breathing.Vents;
import ration.condition.Contents;
import ration.heat.Heat;
import ration.heat.HeatFigure;
import ration.model.Item;
import ration.model.PortRef;
import ration.project.Project;

/**
 * The air side of one tank.
 *
 * @param tank       itself
 * @param line       its vent as said; empty while bore and length are not known
 * @param feeding    air that comes in at take-off demand, m3/s
 * @param filling    air that goes out while it is filled, m3/s
 * @param descending air that comes in on the way down, nearly empty, m3/s
 * @param blocked    what happens once the vent is shut; empty where the tank never feeds alone
 */
public record AirAnswer(Item.Tank tank, Optional<AirLine> line, double feeding, double filling, double descending,
        Optional<Blocked> blocked) {

    /**
     * A blocked vent, half full, level, at take-off demand.
     *
     * @param volume that feeds before flow is short, m3
     * @param seconds it takes
     * @param outlasts whether the fuel ends before the air holds it back
     */
    public record Blocked(double volume, double seconds, boolean outlasts) {
    }

    /** Of every tank. */
    public static List<AirAnswer> of(Project project, List<CaseAnswer> cases, List<TankAnswer> tanks) {
        List<AirAnswer> all = new ArrayList<>();
        Heat heat = project.heat();
        for (TankAnswer t : tanks) {
            Item.Tank tank = t.tank();
            double feeding = cases.stream().filter(c -> c.demand().usable()).mapToDouble(c -> c.demand().outflow(tank)).max()
                    .orElse(0);
            all.add(new AirAnswer(tank, tank.fitout().vent().filter(v -> v.bore().si() > 0).map(v -> new AirLine(v.bore().si(),
                    Math.max(0, v.length().si()), v.ball())), Math.max(0, feeding), heat.si(HeatFigure.FILL_RATE),
                    Vents.descending(t.body().capacity(), heat.si(HeatFigure.DESCENT)), blocked(project, cases, t)));
        }
        return all;
    }

    private static Optional<Blocked> blocked(Project project, List<CaseAnswer> cases, TankAnswer t) {
        Optional<Item.EngineInlet> inlet = project.system().inlet();
        if (inlet.isEmpty()) {
            return Optional.empty();
        }
        PortRef in = new PortRef(inlet.get().id(), Item.IN);
        return cases.stream().filter(c -> c.judged() && c.demand().usable() && !c.condition().engine().fouled()
                && c.contents().equals(Contents.HALF.label()) && c.condition().attitude().name().equals("Level")
                && !c.demand().path().isEmpty() && c.demand().path().get(0).item().equals(t.tank().id())
                && c.demand().outflow(t.tank()) > 0.9 * c.need()).mapToDouble(c -> c.demand().pressure(in).orElse(0)
                - inlet.get().minimumPressure().si()).min().stream().mapToObj(allowed -> {
                    double half = t.body().capacity() / 2;
                    double volume = Vents.until(Heat.ambient(0), t.body().capacity() - half, allowed, Vents.POLYTROPIC);
                    double usable = Math.max(0, half - t.unusable());
                    return new Blocked(Math.min(volume, usable), Math.min(volume, usable) / project.brief().demand(), volume > usable);
                }).findFirst();
    }

    /** The greatest of the three drops, Pa; 0 while the line is not known. */
    public double worst() {
        return line.map(l -> Math.max(l.drop(feeding), Math.max(l.drop(filling), l.drop(descending)))).orElse(0.0);
    }

    /** The worst in flight: filling can be done slowly. */
    public double inFlight() {
        return line.map(l -> l.drop(feeding + descending)).orElse(0.0);
    }
}
