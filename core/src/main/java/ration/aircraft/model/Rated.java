package ration.aircraft.model;

import ration.base.quantity.Measured;
import ration.base.quantity.Unit;

/**
 * What an item costs, as its maker or a bench test states it: this loss at this flow.
 *
 * <p>Away from the point the loss is taken to grow with the square of flow for open bores; for screens a quarter of it
 * grows in proportion (common practice, no source: fine mesh is partly viscous at these flows).
 */
public record Rated(Measured flow, Measured loss) {

    public static Rated of(double gph, double psi, String by) {
        return new Rated(Measured.of(gph, Unit.GALLON_PER_HOUR, by), Measured.of(psi, Unit.PSI, by));
    }

    /** This loss taken a number of times. */
    public Rated times(double factor) {
        return new Rated(
                flow,
                new Measured(
                        ration.base.quantity.Quantity.of(
                                loss.quantity().value() * factor,
                                loss.quantity().unit()),
                        loss.by()));
    }
}
