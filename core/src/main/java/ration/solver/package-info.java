/**
 * Flow in a network of nodes and elements, and the published problems it is held against. Knows the fluid, not the
 * aircraft.
 */
package ration.solver;
