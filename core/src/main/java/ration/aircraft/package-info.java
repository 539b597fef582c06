/**
 * What a builder laid out: items, runs, tanks, the graph of their ports, how lines are made up, a case to look at, a
 * flight planned, where it is hot.
 */
package ration.aircraft;
