package ration.physics.vapor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ration.aircraft.condition.Power;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.heat.Warming;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Firewall;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Run;
import ration.aircraft.topology.Topology;
import ration.base.fluid.VaporPressure;
import ration.base.geometry.Point3;
import ration.physics.flow.FlowAnswer;
import ration.physics.flow.PathLine;

/**
 * The path of one answer, ready to be warmed by any day: how much of its distance to the air round it the fuel keeps
 * from point to point, what a pump adds, and the pressure there depend on the answer alone. Immutable.
 */
public final class HeatPath {

    /** Wetted area of a body that is no run, m2; common practice, no source. */
    private static final double BODY = 0.012;

    private final FuelSystem system;
    private final FlowAnswer answer;
    private final List<PathLine.Stretch> stretches;
    private final Heat heat;
    private final Power power;
    private final List<Point> points = new ArrayList<>();
    private final List<Mix> mixes = new ArrayList<>();

    /** Taxi before take-off: ten minutes at this share of take-off consumption; common practice, no source. */
    private static final double TAXI = 600;

    private static final double TAXI_SHARE = 0.15;

    /**
     * Where what comes back is mixed with what comes in: a header or a collector on the way.
     *
     * @param point at which it leaves
     * @param feed that comes in fresh, m3/s
     * @param back that comes back, m3/s
     */
    private record Mix(int point, Header header, double feed, double back) {}

    /**
     * A header that a return warms.
     *
     * @param header itself
     * @param feed that comes in fresh, m3/s
     * @param back that comes back, m3/s
     * @param pass by which the fuel warms from leaving it to coming back, K
     * @param steady by which it stands over its feed as long as this goes on, K
     * @param taxied by which it does after ten minutes' taxi, K
     */
    public record Mixed(Header header, double feed, double back, double pass, double steady, double taxied) {
        /** What counts: the warmer of the two. */
        public double over() {
            return Math.max(0, Math.max(steady, taxied));
        }
    }

    /**
     * A point, and the way to it from the one before.
     *
     * @param stretch place of its stretch on the path
     * @param place among the points of that
     * @param zone the air round the way; null where the fuel stays as it is
     * @param keeps share of its distance to that air the fuel keeps on the way
     * @param adds by which a pump warms it, K
     * @param gauge pressure there, Pa over ambient
     */
    private record Point(int stretch, int place, Zone zone, double keeps, double adds, double gauge) {}

    private HeatPath(FuelSystem system, FlowAnswer answer, List<PathLine.Stretch> stretches, Heat heat, Power power) {
        this.system = system;
        this.answer = answer;
        this.stretches = stretches;
        this.heat = heat;
        this.power = power;
        Optional<Firewall> wall = system.firewall();
        Optional<Point3> inlet = system.inlet().map(e -> e.place().point());
        boolean parted = wall.isPresent() && inlet.isPresent();
        double station = wall.map(w -> w.station().si()).orElse(0.0);
        boolean forward = parted && inlet.get().x() < station;
        double density = answer.fluid().density();
        for (int i = 0; i < stretches.size(); i++) {
            PathLine.Stretch s = stretches.get(i);
            double mass = density * flow(i);
            for (int k = 0; k < s.way().size(); k++) {
                PathLine.At at = s.way().get(k);
                double gauge = (s.head(at.along()) - at.height()) * answer.weight();
                if (k == 0 || s.run().isEmpty() && (s.tank() || mass < 1e-9)) {
                    points.add(new Point(i, k, null, 1, 0, gauge));
                    continue;
                }
                PathLine.At before = s.way().get(k - 1);
                Point3 place = s.run().isPresent()
                        ? before.place().toward(at.place(), 0.5)
                        : s.way().get(0).place();
                Zone said = heat.zones().get(s.item().id());
                Zone zone =
                        said != null ? said : parted && place.x() < station == forward ? Zone.ENGINE_BAY : Zone.CABIN;
                double conduct = s.run()
                        .map(run -> Math.PI * run.size().bore() * heat.through(run) * (at.along() - before.along()))
                        .orElseGet(() -> BODY * heat.si(HeatFigure.BARE));
                points.add(new Point(
                        i,
                        k,
                        zone,
                        Warming.keeps(conduct, mass),
                        s.run().isPresent() ? 0 : spent(s, mass) / (mass * Warming.SPECIFIC_HEAT),
                        gauge));
                s.item().only(Header.class).ifPresent(this::mix);
            }
        }
    }

    /** Fuel that comes back to a header on the way is mixed there with what comes in. */
    private void mix(Header header) {
        Topology topology = Topology.of(system);
        double feed = 0;
        double back = 0;
        for (Run run : system.runs()) {
            double in = run.to().item().equals(header.id())
                    ? answer.flow(run.id())
                    : run.from().item().equals(header.id()) ? -answer.flow(run.id()) : 0;
            if (in > FlowAnswer.NO_FLOW) {
                back += topology.returns(run) ? in : 0;
                feed += topology.returns(run) ? 0 : in;
            }
        }
        if (back > 0 && feed > 0) {
            mixes.add(new Mix(points.size() - 1, header, feed, back));
        }
    }

    /** What a return does to a header that fuel this warm comes into. */
    private Mixed mixed(Mix m, double kelvin, double[] air) {
        // what the fuel does from here until it comes back: T' = keeps T + adds
        double keeps = 1;
        double adds = 0;
        for (Point p : points.subList(m.point + 1, points.size())) {
            double zone = p.zone == null ? 0 : air[p.zone.ordinal()];
            keeps *= p.keeps;
            adds = p.zone == null ? adds : zone + (adds - zone) * p.keeps + p.adds;
        }
        double rise = keeps * kelvin + adds - kelvin;
        double density = answer.fluid().density();
        double mass = density * m.header.capacity().si();
        double steady = new Warming.Box(
                        density * m.feed,
                        density * m.back,
                        mass,
                        rise,
                        density * m.back * Warming.SPECIFIC_HEAT * (1 - keeps))
                .steady();
        double slow = TAXI_SHARE * m.feed;
        double round = m.back + m.feed - slow;
        double taxied = power != Power.TAKE_OFF
                ? 0
                : new Warming.Box(
                                density * slow,
                                density * round,
                                mass,
                                rise,
                                density * round * Warming.SPECIFIC_HEAT * (1 - keeps))
                        .after(TAXI);
        return new Mixed(m.header, m.feed, m.back, rise, steady, taxied);
    }

    /** Headers on the way that a return warms, on a day. */
    public List<Mixed> mixed(Air day) {
        double[] air = air(day);
        List<Mixed> all = new ArrayList<>();
        warm(day.fuelKelvin(), air, all);
        return all;
    }

    /** Temperature at each point. */
    private double[] warm(double start, double[] air, List<Mixed> told) {
        double[] all = new double[points.size()];
        double kelvin = start;
        int next = 0;
        for (int i = 0; i < all.length; i++) {
            kelvin = warmed(points.get(i), kelvin, air);
            if (next < mixes.size() && mixes.get(next).point == i) {
                Mixed m = mixed(mixes.get(next++), kelvin, air);
                told.add(m);
                kelvin += m.over();
            }
            all[i] = kelvin;
        }
        return all;
    }

    /** Of an answer; without points where nothing flows. */
    public static HeatPath of(FuelSystem system, FlowAnswer answer, Heat heat, Power power) {
        return new HeatPath(system, answer, PathLine.of(system, answer), heat, power);
    }

    /** What it rests on. */
    public Heat heat() {
        return heat;
    }

    /** Whether nothing flows along it. */
    public boolean stands() {
        return points.isEmpty();
    }

    private double flow(int at) {
        for (int d = 0; d < stretches.size(); d++) {
            for (int i = at - d; i <= at + d; i += Math.max(1, 2 * d)) {
                if (i >= 0 && i < stretches.size() && stretches.get(i).run().isPresent()) {
                    return Math.abs(answer.flow(stretches.get(i).item().id()));
                }
            }
        }
        return 0;
    }

    /** What a pump that runs turns into heat and not into pressure, W. */
    private double spent(PathLine.Stretch s, double mass) {
        double hydraulic = Math.max(0, (s.headOut() - s.headIn()) * answer.weight())
                * mass
                / answer.fluid().density();
        return s.item()
                .only(Pump.class)
                .filter(p -> !answer.condition().stopped().contains(p.id()))
                .map(p -> p.build()
                        .current()
                        .map(c -> Math.max(0, c.si() * PathHeat.VOLTS - hydraulic))
                        .orElse(hydraulic * (1 / PathHeat.EFFICIENCY - 1)))
                .orElse(0.0);
    }

    private double[] air(Air day) {
        double[] kelvin = new double[Zone.values().length];
        for (Zone z : Zone.values()) {
            kelvin[z.ordinal()] = heat.air(z, power, day.altitudeM());
        }
        return kelvin;
    }

    private static double warmed(Point p, double kelvin, double[] air) {
        return p.zone == null ? kelvin : air[p.zone.ordinal()] + (kelvin - air[p.zone.ordinal()]) * p.keeps + p.adds;
    }

    /** The fewest degrees left anywhere on a day; infinite where nothing flows. */
    public double fewest(Air day) {
        double[] air = air(day);
        double ambient = Heat.ambient(day.altitudeM());
        VaporPressure.Line boils = heat.vapor().line();
        if (!mixes.isEmpty()) {
            double[] warm = warm(day.fuelKelvin(), air, new ArrayList<>());
            double least = Double.POSITIVE_INFINITY;
            for (int i = 0; i < warm.length; i++) {
                least = Math.min(least, boils.kelvin(Math.max(1, ambient + points.get(i).gauge)) - warm[i]);
            }
            return least;
        }
        double kelvin = day.fuelKelvin();
        double fewest = Double.POSITIVE_INFINITY;
        for (Point p : points) {
            kelvin = warmed(p, kelvin, air);
            fewest = Math.min(fewest, boils.kelvin(Math.max(1, ambient + p.gauge)) - kelvin);
        }
        return fewest;
    }

    /** As warm as the fuel arrives at the engine on a day, K; as it left the tank where nothing flows. */
    public double arrives(Air day) {
        double[] warm = warm(day.fuelKelvin(), air(day), new ArrayList<>());
        return warm.length == 0 ? day.fuelKelvin() : warm[warm.length - 1];
    }

    /** Every point of it on a day. */
    public PathHeat on(Air day) {
        double[] air = air(day);
        double ambient = Heat.ambient(day.altitudeM());
        VaporPressure.Line boils = heat.vapor().line();
        double[] warm = warm(day.fuelKelvin(), air, new ArrayList<>());
        List<Gap> gaps = new ArrayList<>();
        for (int i = 0; i < warm.length; i++) {
            Point p = points.get(i);
            double kelvin = warm[i];
            PathLine.Stretch s = stretches.get(p.stretch);
            gaps.add(new Gap(
                    s.item().id(),
                    s.way().get(p.place).along(),
                    ambient + p.gauge,
                    p.gauge,
                    kelvin,
                    boils.pascal(kelvin),
                    what(s, p.place)));
        }
        if (!gaps.isEmpty()) {
            Gap last = gaps.get(gaps.size() - 1);
            system.inlet()
                    .ifPresent(e -> gaps.add(new Gap(
                            e.id(),
                            last.along(),
                            last.pressure(),
                            last.gauge(),
                            last.kelvin(),
                            last.boils(),
                            "inlet")));
        }
        return new PathHeat(gaps);
    }

    private static String what(PathLine.Stretch s, int k) {
        if (k == 0) {
            return s.run().isPresent() ? "start" : "inlet";
        }
        if (k == s.way().size() - 1) {
            return s.run().isPresent() ? "end" : "outlet";
        }
        boolean high = s.way().get(k).height() > s.way().get(k - 1).height()
                && s.way().get(k).height() > s.way().get(k + 1).height();
        return high ? "high point" : "bend";
    }
}
