/**
 * Where and when the fuel would boil: pressure along the path against the pressure at which it boils there.
 *
 * <p>{@link ration.physics.vapor.PathHeat} follows the fuel from the tank to the engine and tells pressure and
 * temperature at every point: ends, high points within runs, pump inlets, the low side of screens.
 * {@link ration.physics.vapor.Gap} is the distance to boiling, in pressure, in degrees and in feet of altitude. Boiling
 * begins at the bubble point; vapor lock needs more vapor than that, so the gap is on the safe side for a suction line.
 * No standard gives a number: what is wanted is a practice choice in the heat figures.
 */
package ration.physics.vapor;
