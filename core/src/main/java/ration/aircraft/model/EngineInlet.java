package ration.aircraft.model;

import java.util.List;
import java.util.Optional;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * Where the engine takes its fuel.
 *
 * @param style how
 * @param seat bore of the needle seat, float carburettors
 * @param minimumPressure the maker's least inlet pressure, gauge
 * @param maximumPressure the maker's most
 * @param returns whether what the engine does not take goes on to a return line, rails
 * @param grain the largest grain its maker allows; empty where nothing is said
 */
public record EngineInlet(
        Tag tag,
        Style style,
        Measured seat,
        Measured minimumPressure,
        Optional<Measured> maximumPressure,
        boolean returns,
        Optional<Measured> grain)
        implements Fitted {

    /** Of whose filtering nobody said anything. */
    public EngineInlet(
            Tag tag,
            Style style,
            Measured seat,
            Measured minimumPressure,
            Optional<Measured> maximumPressure,
            boolean returns) {
        this(tag, style, seat, minimumPressure, maximumPressure, returns, Optional.empty());
    }

    public EngineInlet withGrain(Optional<Measured> other) {
        return new EngineInlet(tag, style, seat, minimumPressure, maximumPressure, returns, other);
    }

    /** Discharge coefficient of a needle seat held open; common practice, no source. */
    public static final double SEAT_DISCHARGE = 0.62;
    /** Where a rail gives back what is not burnt. */
    public static final String RETURN = "return";

    /** How an engine takes fuel. */
    public enum Style {
        FLOAT("Float carburetor", 0.5, 8),
        SERVO("Fuel servo", 14, 60),
        RAIL("Fuel rail", 40, 50);

        private final String label;
        /** Inlet pressures that are usual, psi; common practice, no source. */
        private final double least;

        private final double most;

        Style(String label, double least, double most) {
            this.label = label;
            this.least = least;
            this.most = most;
        }

        public String label() {
            return label;
        }
    }

    /** A float carburettor without a stated greatest pressure. */
    public EngineInlet(Tag tag, Measured seat, Measured minimumPressure) {
        this(tag, Style.FLOAT, seat, minimumPressure, Optional.empty(), false);
    }

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.engineInlet(this);
    }

    @Override
    public String kind() {
        return style.label();
    }

    @Override
    public EngineInlet with(Tag other) {
        return new EngineInlet(other, style, seat, minimumPressure, maximumPressure, returns, grain);
    }

    public EngineInlet withSeat(Measured other) {
        return new EngineInlet(tag, style, other, minimumPressure, maximumPressure, returns, grain);
    }

    public EngineInlet withPressures(Measured least, Optional<Measured> most) {
        return new EngineInlet(tag, style, seat, least, most, returns, grain);
    }

    /** Of another kind: limits of the old kind say nothing of it, and go back to what is usual and nobody said. */
    public EngineInlet withStyle(Style other, boolean returning) {
        return other == style
                ? new EngineInlet(tag, style, seat, minimumPressure, maximumPressure, returning, grain)
                : new EngineInlet(
                        tag,
                        other,
                        seat,
                        Measured.assumed(other.least, Unit.PSI),
                        Optional.of(Measured.assumed(other.most, Unit.PSI)),
                        returning);
    }

    @Override
    public List<String> ports() {
        return returns ? List.of(IN, RETURN) : List.of(IN);
    }
}
