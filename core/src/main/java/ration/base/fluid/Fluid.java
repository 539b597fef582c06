package ration.base.fluid;

/**
 * A liquid as the network sees it.
 *
 * @param density kg/m3, positive
 * @param viscosity kinematic, m2/s, positive
 */
public record Fluid(double density, double viscosity) {

    public Fluid {
        if (!(density > 0 && density < 20_000) || !(viscosity > 0 && viscosity < 1)) {
            throw new IllegalArgumentException("A fluid needs a positive density and viscosity");
        }
    }
}
