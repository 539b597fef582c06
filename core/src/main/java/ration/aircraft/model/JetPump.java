package ration.aircraft.model;

import java.util.List;
import ration.base.quantity.Measured;

/**
 * A jet pump: what flows through its nozzle draws fuel in at the suction port.
 *
 * @param nozzle bore
 * @param flowRatio most suction flow over nozzle flow
 * @param headRatio most lift over nozzle pressure drop
 */
public record JetPump(Tag tag, Measured nozzle, Measured flowRatio, Measured headRatio) implements Fitted {
    /** Where fuel is drawn in. */
    public static final String SUCTION = "suction";
    /** Discharge coefficient of a rounded nozzle; textbook, from memory. */
    public static final double NOZZLE_DISCHARGE = 0.95;

    @Override
    public <R> R as(Kinds<R> kinds) {
        return kinds.jetPump(this);
    }

    @Override
    public String kind() {
        return "Jet pump";
    }

    @Override
    public JetPump with(Tag other) {
        return new JetPump(other, nozzle, flowRatio, headRatio);
    }

    @Override
    public List<String> ports() {
        return List.of(IN, SUCTION, OUT);
    }
}
