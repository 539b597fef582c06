package ration.model;

import java.util.List;
import java.util.Optional;

/**
 * A pump.
 *
 * @param drive electric or by the engine
 * @param curve flow and pressure points, flow rising
 * @param off   what it costs to draw through it when it stands; empty if it blocks
 * @param build what else is known of it
 */
public record Pump(Tag tag, Drive drive, List<CurvePoint> curve, Optional<Rated> off, Build build) implements Fitted {

    /**
     * How a pump is built.
     *
     * @param relief  pressure rise at which it bypasses within itself; empty if its curve already says so
     * @param current it draws, electric pumps
     * @param checked whether a check valve inside keeps fuel from running back through it
     * @param bus     electric bus it hangs on; empty is the main one
     */
    public record Build(Optional<Measured> relief, Optional<Measured> current, boolean checked, String bus) {
        public static final String MAIN_BUS = "main";

        public Build {
            bus = bus.equals(MAIN_BUS) ? "" : bus;
        }

        /** On the main bus. */
        public Build(Optional<Measured> relief, Optional<Measured> current, boolean checked) {
            this(relief, current, checked, "");
        }

        public Build withRelief(Measured other) {
            return new Build(Optional.of(other), current, checked, bus);
        }

        public Build withCurrent(Measured other) {
            return new Build(relief, Optional.of(other), checked, bus);
        }

        public Build withCheck(boolean other) {
            return new Build(relief, current, other, bus);
        }

        public Build withBus(String other) {
            return new Build(relief, current, checked, other);
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
        return drive == Drive.ELECTRIC ? "Electric pump" : "Engine pump";
    }

    @Override
    public Pump with(Tag other) {
        return new Pump(other, drive, curve, off, build);
    }

    /** What turns a pump. */
    public enum Drive { ELECTRIC, ENGINE }

    /** A point of a pump's curve. */
    public record CurvePoint(Measured flow, Measured pressure) {
    }
}
