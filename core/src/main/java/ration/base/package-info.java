/**
 * What knows no aircraft and no engine: quantities with their units and how they were measured, points and solids, fuel
 * and air, the standard atmosphere, progress of long work. Every other wing may use these rooms.
 */
package ration.base;
