/** What fuel and air do in it: tanks at an attitude, vents, flow by the network, boiling. */
package ration.physics;
