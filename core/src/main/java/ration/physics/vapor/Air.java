package ration.physics.vapor;

/**
 * The day and height a question is asked for.
 *
 * @param altitudeM pressure altitude, m
 * @param fuelKelvin fuel in the tank
 */
public record Air(double altitudeM, double fuelKelvin) {}
