package ration.model;

import java.util.List;
import java.util.Optional;

/**
 * Where the engine takes its fuel.
 *
 * @param style           how
 * @param seat            bore of the needle seat, float carburettors
 * @param minimumPressure the maker's least inlet pressure, gauge
 * @param maximumPressure the maker's most
 * @param returns         whether what the engine does not take goes on to a return line, rails
 */
public record EngineInlet(Tag tag, Style style, Measured seat, Measured minimumPressure,
        Optional<Measured> maximumPressure, boolean returns) implements Fitted {

    /** Discharge coefficient of a needle seat held open; common practice, no source. */
    public static final double SEAT_DISCHARGE = 0.62;
    /** Where a rail gives back what is not burnt. */
    public static final String RETURN = "return";

    /** How an engine takes fuel. */
    public enum Style {
        FLOAT("Float carburettor"), SERVO("Injection servo"), RAIL("Injection rail");

        private final String label;

        Style(String label) {
            this.label = label;
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
        return new EngineInlet(other, style, seat, minimumPressure, maximumPressure, returns);
    }

    public EngineInlet withSeat(Measured other) {
        return new EngineInlet(tag, style, other, minimumPressure, maximumPressure, returns);
    }

    public EngineInlet withPressures(Measured least, Optional<Measured> most) {
        return new EngineInlet(tag, style, seat, least, most, returns);
    }

    public EngineInlet withStyle(Style other, boolean returning) {
        return new EngineInlet(tag, other, seat, minimumPressure, maximumPressure, returning);
    }

    @Override
    public List<String> ports() {
        return returns ? List.of(IN, RETURN) : List.of(IN);
    }
}
