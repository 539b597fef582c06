/**
 * A flight as it is meant: phases, what is in the tanks at the start, and when the pilot switches.
 *
 * <p>{@link ration.aircraft.flight.FlightPlan} is part of the document; {@link ration.aircraft.flight.Phase} is a row
 * of it and {@link ration.aircraft.flight.Switching} the rule for the handles. What becomes of it is worked out in
 * {@code ration.drawdown}. Usual values are common practice without a source; the reserves are those of 14 CFR 91.151,
 * day and night VFR, from memory.
 */
package ration.aircraft.flight;
