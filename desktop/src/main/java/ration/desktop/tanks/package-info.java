/**
 * The Tanks page: a tank in the attitude looked at, the map of what stays in it, its capacity and gauge, and its shape.
 */
package ration.desktop.tanks;
