package ration.answer.find;

import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Fault.Kind;
import ration.aircraft.heat.HeatFigure;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Tank;
import ration.physics.breathing.AirLine;
import ration.physics.breathing.VentPath;
import ration.physics.flow.FlowAnswer;
import ration.physics.vapor.PathHeat;
import ration.record.project.Project;
import ration.record.reading.Reading;
import ration.record.reading.Setting.Manoeuvre;

/** What is seen, heard and smelt: how likely each sign shows, from the network where the fuel makes it. */
final class Signs {

    /** A sign that is there is seen so often, one that is not so seldom; common practice, no source. */
    private static final double SEEN = 0.95;

    private static final double IMAGINED = 0.01;
    /** What is heard or quivers is imagined more often. */
    private static final double MISHEARD = 0.04;
    /** A pump that is dead is silent as often as it hums. */
    private static final double HUMS = 0.6;
    /**
     * Back pressure at which a filling nozzle clicks off or fuel stands in the neck, Pa: an inch of fuel; common
     * practice, no source.
     */
    private static final double NECK = 180;
    /** Who is refused fills slower, down to so much of the usual rate. */
    private static final double SLOWLY = 0.1;
    /** Fuel that is noticed, m3: a millilitre. How long one looks, s: three minutes, or a night. */
    private static final double NOTICED = 1e-6;

    private static final double LOOK = 180;
    private static final double NIGHT = 12 * 3600;
    /** A tank that is as good as full. */
    private static final double FULL = 0.995;

    private static final double RISES = 1e-7;

    private final Predictor predictor;
    private final Project project;
    private final FuelSystem system;

    Signs(Predictor predictor, Project project) {
        this.predictor = predictor;
        this.project = project;
        system = project.system();
    }

    double of(Condition c, Reading r) {
        boolean shows =
                switch (r.what()) {
                    case FLUTTERS -> flutters(c, r);
                    case STILL -> c.faults().has(Kind.INDICATION_FROZEN, r.item());
                    case WILL_NOT_FILL -> willNotFill(c, r.item());
                    case OVERBOARD -> overboard(c, r);
                    case DRIPS -> drips(c, r);
                    case WATER -> c.faults().has(Kind.WATER, r.item());
                    case SILENT -> c.stopped().contains(r.item()) || !powered(c, r.item());
                    default -> throw new IllegalArgumentException(r.what() + " is no sign");
                };
        boolean hums = r.what() == Reading.What.SILENT && c.faults().has(Kind.PUMP_DEAD, r.item());
        boolean heard = r.what() == Reading.What.SILENT || r.what() == Reading.What.FLUTTERS;
        return shows ? SEEN : hums ? HUMS : heard ? MISHEARD : IMAGINED;
    }

    /** Whether its supply lives. */
    boolean powered(Condition c, String pump) {
        return system.item(pump)
                .flatMap(i -> i.only(Pump.class))
                .filter(p -> p.drive() == Pump.Drive.ELECTRIC && !c.faults().supplyDead(p.bus()))
                .isPresent();
    }

    /** What an electric pump draws: as said while it turns, nothing where its supply or its motor is gone. */
    double amps(Condition c, String pump) {
        boolean turns =
                powered(c, pump) && !c.stopped().contains(pump) && !c.faults().has(Kind.PUMP_DEAD, pump);
        return system.item(pump)
                .flatMap(i -> i.only(Pump.class))
                .flatMap(p -> p.build().current())
                .filter(a -> turns)
                .map(a -> a.si())
                .orElse(0.0);
    }

    /** Air or vapor goes through a pump with the fuel. */
    private boolean flutters(Condition c, Reading r) {
        FlowAnswer a = predictor.answer(c, r.setting());
        PathHeat path = predictor.path(c, r.setting());
        return !a.airDrawn().isEmpty() || path.gaps().stream().anyMatch(g -> g.pascal() < 0);
    }

    /**
     * Air cannot leave by the vent as fast as fuel comes in: the nozzle closes the neck, so a second way for the air
     * does not count.
     */
    private boolean willNotFill(Condition c, String tank) {
        VentPath path = system.item(tank)
                .flatMap(i -> i.only(Tank.class))
                .map(t -> VentPath.of(system, t))
                .orElse(null);
        if (path == null) {
            return false;
        }
        double filling = SLOWLY * project.heat().si(HeatFigure.FILL_RATE);
        double back = path.lines().stream()
                .mapToDouble(v -> AirLine.of(v).drop(filling))
                .sum();
        for (Fault f : c.faults().all()) {
            boolean here = path.through(f.item());
            back += here && f.kind() == Kind.VENT_SHUT
                    ? Double.POSITIVE_INFINITY
                    : here && f.kind() == Kind.VENT_HOLDS_LIQUID ? f.severity() * 720 * 9.81 : 0;
        }
        return back > NECK;
    }

    /** More comes into a full tank than leaves it. */
    private boolean overboard(Condition c, Reading r) {
        Tank tank = system.item(r.item()).flatMap(i -> i.only(Tank.class)).orElse(null);
        if (tank == null) {
            return false;
        }
        boolean full = c.contents().getOrDefault(tank.id(), 0.0) >= FULL * predictor.capacity(tank.id());
        return full
                && (predictor.answer(c, r.setting()).outflow(tank) < -RISES
                        || c.faults().has(Kind.CAP_LOST, tank.id()));
    }

    /** Enough to notice runs out in the time one looks, or a night: of the part itself, or of its needle. */
    private boolean drips(Condition c, Reading r) {
        if (c.faults().has(Kind.NEEDLE_STUCK_OPEN, r.item())) {
            return system.item(r.item()).flatMap(i -> i.only(EngineInlet.class)).isPresent();
        }
        boolean leaks = c.faults().has(Kind.FUEL_LEAK, r.item());
        double time = r.setting().has(Manoeuvre.OVERNIGHT) ? NIGHT : LOOK;
        return leaks && predictor.answer(c, r.setting()).leaks() * time > NOTICED;
    }
}
