/**
 * Air and water: what the vents let in and out, and where water and vapor gather.
 *
 * <p>{@link ration.physics.breathing.AirLine} is the pressure a vent line costs at an air flow;
 * {@link ration.physics.breathing.Vents} asks it while feeding, taking fuel back, filling and descending, and works out
 * how long a tank feeds once its vent is blocked. {@link ration.physics.breathing.LowPoints} walks the measured heights
 * of every wet line and vent in an attitude: undrained low points, vent traps, high points.
 * {@link ration.physics.breathing.VentPath} follows a vent through other tanks to the tips it ends at.
 * {@link ration.physics.breathing.VentSearch} finds which place of a vent is blocked, by halves.
 * {@link ration.physics.breathing.SamplingCard} lists the drains in walk-round order.
 */
package ration.physics.breathing;
