package ration.answer.drawdown;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketedUnivariateSolver;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.events.AdaptableInterval;
import org.hipparchus.ode.events.ODEEventDetector;
import org.hipparchus.ode.events.ODEEventHandler;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Outlet;
import ration.aircraft.model.Tank;
import ration.base.geometry.Point3;
import ration.physics.breathing.VentPath;
import ration.physics.flow.ClosedAirspace;
import ration.physics.flow.FlowBasis;
import ration.physics.flow.TankLevel;

/** Empties a system through its network, a stretch at a time. Not to be shared between threads. */
final class Drawdown {

    /** Of a volume, m3: a tenth of a millilitre. */
    private static final double TOLERANCE = 1e-7;
    /** Longest step and least, minutes. */
    private static final double LONGEST = 20;

    private static final double LEAST = 1e-7;
    /** An event is found within this, minutes. */
    private static final double FOUND = 1e-7;
    /** How far fuel rises over a bare outlet before it counts as covered, m. */
    private static final double COVERS = 3e-3;

    /** As good as level with its lip, m: a tank that is empty to its floor has an outlet there. */
    private static final double BARE = 1e-7;

    private final FlowBasis basis;
    private final Map<String, ClosedAirspace.Room> shutIn;
    private Map<String, Set<String>> bare = Map.of();
    private Look last;

    /**
     * @param from what there is when the faults begin: air is shut in as it is then
     * @param begins the case at that moment
     * @param exponent of air that is shut in, see {@link ClosedAirspace}
     */
    Drawdown(FlowBasis basis, Holding from, Condition begins, double exponent) {
        this.basis = basis;
        shutIn = shutIn(from, begins, exponent);
    }

    private Map<String, ClosedAirspace.Room> shutIn(Holding from, Condition begins, double exponent) {
        Map<String, ClosedAirspace.Room> rooms = new HashMap<>();
        Faults faults = begins.faults();
        FuelSystem system = basis.system();
        for (Tank tank : system.tanks()) {
            VentPath path = VentPath.of(system, tank);
            boolean shut =
                    faults.all().stream().anyMatch(f -> f.kind() == Fault.Kind.VENT_SHUT && path.through(f.item()));
            if (shut && !tank.fitout().secondAir()) {
                double held = from.tank(tank.id());
                rooms.put(
                        tank.id(),
                        new ClosedAirspace.Room(
                                Math.max(
                                        LEAST_ROOM,
                                        basis.bodies().get(tank.id()).capacity() - held),
                                held,
                                begins.air().day().pressurePa(),
                                exponent));
            }
        }
        return rooms;
    }

    /** Air over a brim-full tank, m3: a millilitre. */
    private static final double LEAST_ROOM = 1e-6;

    FlowBasis basis() {
        return basis;
    }

    double tolerance() {
        return TOLERANCE;
    }

    Map<String, ClosedAirspace.Room> shutIn() {
        return shutIn;
    }

    Map<String, Double> airspace(Holding now, Condition c) {
        Map<String, Double> pressures = new HashMap<>(c.airspace());
        shutIn.forEach((id, room) -> pressures.put(
                id,
                room.gauge(
                        Math.min(now.tank(id), room.heldM3() + 0.99 * room.roomM3()),
                        c.air().day().pressurePa())));
        return pressures;
    }

    String named(String port) {
        String id = port.contains(".") ? port.substring(0, port.indexOf('.')) : port;
        return basis.system().item(id).map(Item::name).orElse(id);
    }

    /** An outlet in words: by its own name where a tank has several. */
    String outlet(String port) {
        Tank tank = tank(port.substring(0, port.indexOf('.')));
        return tank.name() + " "
                + (tank.outlets().size() == 1
                        ? "outlet"
                        : port.substring(port.indexOf('.') + 1).replace('-', ' '));
    }

    /** How a stretch ended. */
    record Outcome(Look at, Optional<Watch> by) {}

    /** Its first moment; from here on outlets count as bare as they stand then. */
    Look begin(Stretch stretch, Holding holding) {
        Look plain = new Look(this, stretch, stretch.from(), holding, Map.of());
        Map<String, Set<String>> now = new HashMap<>();
        Point3 up = stretch.condition().attitude().gravity().up();
        for (TankLevel level : basis.levels(plain.condition()).values()) {
            Set<String> were = bare.getOrDefault(level.tank(), Set.of());
            Set<String> are = new HashSet<>();
            for (Outlet o : tank(level.tank()).outlets()) {
                double lip = up.dot(o.drainsAt());
                if (level.surface() <= lip + (were.contains(o.name()) ? COVERS : 2 * BARE)) {
                    are.add(o.name());
                }
            }
            now.put(level.tank(), are);
        }
        bare = now;
        last = new Look(this, stretch, stretch.from(), holding, bare);
        return last;
    }

    private Tank tank(String id) {
        return basis.system().item(id).flatMap(i -> i.only(Tank.class)).orElseThrow();
    }

    /** Outlets that will stand clear, and bare ones that fuel will rise over. */
    private List<Watch> outlets(Stretch stretch) {
        Point3 up = stretch.condition().attitude().gravity().up();
        List<Watch> all = new ArrayList<>();
        for (Tank tank : basis.system().tanks()) {
            for (Outlet o : tank.outlets()) {
                double lip = up.dot(o.drainsAt());
                boolean isBare = bare.get(tank.id()).contains(o.name());
                all.add(new Watch(FlightEvent.Kind.UNCOVERS, tank.id() + "." + o.name(), l -> {
                    double over = l.levels().get(tank.id()).surface() - lip;
                    return isBare ? COVERS - over : over - BARE;
                }));
            }
        }
        return all;
    }

    /**
     * Goes on from the moment {@link #begin} gave until the stretch ends or one of these happens; an outlet that
     * uncovers ends it too. What has happened already at the start does not.
     */
    Outcome run(Stretch stretch, Holding holding, List<Watch> watches, Consumer<Look> everyMinute) {
        Look first = begin(stretch, holding);
        if (stretch.to() - stretch.from() <= FOUND) {
            return new Outcome(first, Optional.empty());
        }
        List<Watch> all = new ArrayList<>(watches);
        all.addAll(outlets(stretch));
        DormandPrince54Integrator integrator = new DormandPrince54Integrator(LEAST, LONGEST, TOLERANCE, 1e-9);
        integrator.setMaxEvaluations(20_000);
        List<Watch> happened = new ArrayList<>();
        all.stream()
                .filter(w -> w.margin().applyAsDouble(first) > 0)
                .forEach(w -> integrator.addEventDetector(new Detector(stretch, holding, w, happened)));
        integrator.addStepHandler(new Minutes(stretch, holding, everyMinute));
        int size = holding.state().length;
        ODEStateAndDerivative end = integrator.integrate(
                new OrdinaryDifferentialEquation() {
                    @Override
                    public int getDimension() {
                        return size;
                    }

                    @Override
                    public double[] computeDerivatives(double t, double[] y) {
                        double[] rates = new double[size];
                        look(stretch, holding, t, y).rates(rates);
                        return rates;
                    }
                },
                new ODEState(stretch.from(), holding.state()),
                stretch.to());
        Optional<Watch> by = happened.isEmpty() ? Optional.empty() : Optional.of(happened.get(happened.size() - 1));
        by.filter(w -> w.kind() == FlightEvent.Kind.UNCOVERS).ifPresent(this::turn);
        return new Outcome(new Look(this, stretch, end.getTime(), holding.at(end.getPrimaryState()), bare), by);
    }

    /** A bare outlet counts as covered, a covered one as bare. */
    private void turn(Watch outlet) {
        Map<String, Set<String>> now = new HashMap<>(bare);
        String tank = outlet.about().substring(0, outlet.about().indexOf('.'));
        Set<String> names = new HashSet<>(now.get(tank));
        String name = outlet.about().substring(tank.length() + 1);
        if (!names.remove(name)) {
            names.add(name);
        }
        now.put(tank, names);
        bare = now;
    }

    boolean isBare(String outlet) {
        String tank = outlet.substring(0, outlet.indexOf('.'));
        return bare.getOrDefault(tank, Set.of()).contains(outlet.substring(tank.length() + 1));
    }

    private Look look(Stretch stretch, Holding like, double t, double[] y) {
        if (last == null || last.minutes() != t || !last.holding().same(y)) {
            last = new Look(this, stretch, t, like.at(y), bare);
        }
        return last;
    }

    /** Tells of whole minutes that have passed. */
    private final class Minutes implements ODEStepHandler {
        private final Stretch stretch;
        private final Holding like;
        private final Consumer<Look> told;

        Minutes(Stretch stretch, Holding like, Consumer<Look> told) {
            this.stretch = stretch;
            this.like = like;
            this.told = told;
        }

        @Override
        public void handleStep(ODEStateInterpolator step) {
            double from = step.getPreviousState().getTime();
            double to = step.getCurrentState().getTime();
            for (double m = Math.floor(from) + 1; m < to; m++) {
                told.accept(new Look(
                        Drawdown.this,
                        stretch,
                        m,
                        like.at(step.getInterpolatedState(m).getPrimaryState()),
                        bare));
            }
        }
    }

    private final class Detector implements ODEEventDetector {
        private final Stretch stretch;
        private final Holding like;
        private final Watch watch;
        private final List<Watch> happened;

        Detector(Stretch stretch, Holding like, Watch watch, List<Watch> happened) {
            this.stretch = stretch;
            this.like = like;
            this.watch = watch;
            this.happened = happened;
        }

        @Override
        public AdaptableInterval getMaxCheckInterval() {
            return AdaptableInterval.of(1e6);
        }

        @Override
        public int getMaxIterationCount() {
            return 200;
        }

        @Override
        public BracketedUnivariateSolver<UnivariateFunction> getSolver() {
            return new BracketingNthOrderBrentSolver(0, FOUND, 0, 5);
        }

        @Override
        public ODEEventHandler getHandler() {
            return (state, detector, rising) -> {
                if (!rising) {
                    happened.add(watch);
                }
                return rising ? Action.CONTINUE : Action.STOP;
            };
        }

        @Override
        public double g(ODEStateAndDerivative state) {
            return watch.margin().applyAsDouble(look(stretch, like, state.getTime(), state.getPrimaryState()));
        }
    }
}
