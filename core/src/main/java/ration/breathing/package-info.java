/**
 * Air and water: what the vents let in and out, and where water and vapor gather.
 *
 * <p>{@link ration.breathing.AirLine} is the pressure a vent line costs at an air flow; {@link ration.breathing.Vents}
 * asks it while feeding, taking fuel back, filling and descending, and works out how long a tank feeds once its vent is
 * blocked. {@link ration.breathing.LowPoints} walks the measured heights of every wet line and vent in an attitude:
 * undrained low points, vent traps, high points. {@link ration.breathing.VentPath} follows a vent through other tanks
 * to the tips it ends at. {@link ration.breathing.SamplingCard} lists the drains in walk-round order.
 */
package ration.breathing;
