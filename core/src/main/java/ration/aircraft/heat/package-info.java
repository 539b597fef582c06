/**
 * Temperatures: of the fuel along its path, of a tank that hot fuel comes back to, of what stands in the lines after
 * shutdown.
 *
 * <p>{@link ration.aircraft.heat.Heat} is what the builder says or measured: the hot day, the air around each part, how
 * well a line is covered. All defaults are common practice without a source, and say so; a logged run replaces them
 * ({@link ration.aircraft.heat.SoakFit}). A line exchanges heat as {@code T_out = T_zone + (T_in - T_zone) exp(-pi D U
 * L / (m cp))} (textbook); a pump adds what electrical power it does not turn into pressure.
 */
package ration.aircraft.heat;
