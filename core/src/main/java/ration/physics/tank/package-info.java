/**
 * What a tank holds, and what stays in it.
 *
 * <p>{@link ration.physics.tank.TankBody} is a laid-out tank made ready for computing: its solid, its bays, its
 * outlets. From it come the level of a volume in any attitude, the fuel stranded below the outlets
 * ({@link ration.physics.tank.Stranded}), the map of that over pitch and tilt
 * ({@link ration.physics.tank.StrandedMap}), the flown attitude in which most stays
 * ({@link ration.physics.tank.Governing}), and the height of marks on a gauge ({@link ration.physics.tank.GaugeCurve}).
 *
 * <p>A coordinated turn makes fuel heavier and does not tilt it, so it strands nothing; slips, skids, climbs and glides
 * do. Measured fills override geometry through a {@link ration.physics.tank.Calibration}: a monotone map from what the
 * shape holds to what was poured in.
 */
package ration.physics.tank;
