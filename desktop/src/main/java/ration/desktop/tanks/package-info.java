/**
 * The Tanks page: a tank in the attitude looked at, the map of what stays in it, its capacity and gauge, and its shape.
 * What it says stands apart from its nodes: {@link ration.desktop.tanks.TankFigures}.
 */
package ration.desktop.tanks;
