/**
 * What the fuel is: density and viscosity against temperature for the grades people pour in.
 *
 * <p>Density follows the volume correction of ASTM D1250 / API table 54B for gasolines (from memory); viscosity an
 * Andrade curve through the usual 0.6 mm2/s at 15 C and 0.95 mm2/s at -20 C (from memory, wide scatter). Vapor pressure
 * follows API 2517 ({@link ration.base.fluid.VaporPressure}), with presets by specification limit.
 */
package ration.base.fluid;
