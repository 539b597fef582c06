/**
 * What a tank holds, and what stays in it.
 *
 * <p>{@link ration.tank.TankBody} is a laid-out tank made ready for computing: its solid, its bays, its outlets. From
 * it come the level of a volume in any attitude, the fuel stranded below the outlets ({@link ration.tank.Stranded}),
 * the map of that over pitch and tilt ({@link ration.tank.StrandedMap}), the flown attitude in which most stays
 * ({@link ration.tank.Governing}), and the height of marks on a gauge ({@link ration.tank.GaugeCurve}).
 *
 * <p>A coordinated turn makes fuel heavier and does not tilt it, so it strands nothing; slips, skids, climbs and glides
 * do. Measured fills override geometry through a {@link ration.tank.Calibration}: a monotone map from what the shape
 * holds to what was poured in.
 */
package ration.tank;
