package ration.aircraft.model;

import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import ration.base.quantity.Measured;

/**
 * A pump.
 *
 * @param drive electric or by the engine
 * @param curve flow and pressure points, flow rising
 * @param off what it costs to draw through it when it stands; empty if it blocks
 * @param build what else is known of it
 */
public record Pump(Tag tag, Drive drive, List<CurvePoint> curve, Optional<Rated> off, Build build) implements Fitted {

    /**
     * How a pump is built.
     *
     * @param relief pressure rise at which it bypasses within itself; empty if its curve already says so
     * @param current it draws, electric pumps
     * @param checked whether a check valve inside keeps fuel from running back through it
     * @param bus electric bus it hangs on; empty is the main one
     * @param wiring what else was said of its supply
     * @param grain the largest grain its maker allows; empty where nothing is said
     */
    public record Build(
            Optional<Measured> relief,
            Optional<Measured> current,
            boolean checked,
            String bus,
            Wiring wiring,
            Optional<Measured> grain) {
        public static final String MAIN_BUS = "main";

        public Build {
            bus = bus.equals(MAIN_BUS) ? "" : bus;
        }

        /** Of whose filtering nobody said anything. */
        public Build(
                Optional<Measured> relief, Optional<Measured> current, boolean checked, String bus, Wiring wiring) {
            this(relief, current, checked, bus, wiring, Optional.empty());
        }

        public Build withGrain(Optional<Measured> other) {
            return new Build(relief, current, checked, bus, wiring, other);
        }

        /** On the main bus. */
        public Build(Optional<Measured> relief, Optional<Measured> current, boolean checked) {
            this(relief, current, checked, "");
        }

        /** Of whose wiring nothing was said. */
        public Build(Optional<Measured> relief, Optional<Measured> current, boolean checked, String bus) {
            this(relief, current, checked, bus, Wiring.UNSAID);
        }

        public Build withWiring(Wiring other) {
            return new Build(relief, current, checked, bus, other, grain);
        }

        public Build withRelief(Measured other) {
            return new Build(Optional.of(other), current, checked, bus, wiring, grain);
        }

        public Build withCurrent(Measured other) {
            return new Build(relief, Optional.of(other), checked, bus, wiring, grain);
        }

        public Build withCheck(boolean other) {
            return new Build(relief, current, other, bus, wiring, grain);
        }

        public Build withBus(String other) {
            return new Build(relief, current, checked, other, wiring, grain);
        }

        /** Nothing known beyond the curve; fuel may run back through it when it stands. */
        public static final Build PLAIN = new Build(Optional.empty(), Optional.empty(), false);
    }

    public Pump {
        curve = List.copyOf(curve);
    }

    /** A pump of which only the curve is known. */
    public Pump(Tag tag, Drive drive, List<CurvePoint> curve, Optional<Rated> off) {
        this(tag, drive, curve, off, Build.PLAIN);
    }

    /** Name of the bus an electric pump hangs on. */
    public String bus() {
        return build.bus().isEmpty() ? Build.MAIN_BUS : build.bus();
    }

    public Pump withCurve(List<CurvePoint> other) {
        return new Pump(tag, drive, other, off, build);
    }

    public Pump withOff(Rated other) {
        return new Pump(tag, drive, curve, Optional.of(other), build);
    }

    public Pump withBuild(Build other) {
        return new Pump(tag, drive, curve, off, other);
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.pump(this);
    }

    @Override
    public String kind() {
        return drive == Drive.ELECTRIC ? "Electric pump" : "Engine-driven pump";
    }

    @Override
    public Pump with(Tag other) {
        return new Pump(other, drive, curve, off, build);
    }

    /**
     * How an electric pump is supplied.
     *
     * @param own what serves this pump and no other
     * @param breaker rating of its breaker or fuse
     * @param wire that brings its current
     */
    public record Wiring(Set<Own> own, Optional<Measured> breaker, Optional<Wire> wire) {
        /** Nothing was said. */
        public static final Wiring UNSAID = new Wiring(Set.of(), Optional.empty());

        /** Of whose wire nobody said anything. */
        public Wiring(Set<Own> own, Optional<Measured> breaker) {
            this(own, breaker, Optional.empty());
        }

        public Wiring withWire(Optional<Wire> other) {
            return new Wiring(own, breaker, other);
        }

        public Wiring {
            own = Collections.unmodifiableSet(own.isEmpty() ? EnumSet.noneOf(Own.class) : EnumSet.copyOf(own));
        }

        public Wiring withBreaker(Optional<Measured> other) {
            return new Wiring(own, other, wire);
        }

        public Wiring with(Own what, boolean its) {
            Set<Own> other = EnumSet.noneOf(Own.class);
            other.addAll(own);
            if (its) {
                other.add(what);
            } else {
                other.remove(what);
            }
            return new Wiring(other, breaker, wire);
        }

        /** Whether battery, switch, breaker and ground are all its own. */
        public boolean apart() {
            return own.size() == Own.values().length;
        }
    }

    /** What an electric pump may have to itself. */
    public enum Own {
        BATTERY,
        SWITCH,
        BREAKER,
        GROUND
    }

    /** What turns a pump. */
    public enum Drive {
        ELECTRIC,
        ENGINE
    }

    /** A point of a pump's curve. */
    public record CurvePoint(Measured flow, Measured pressure) {}
}
