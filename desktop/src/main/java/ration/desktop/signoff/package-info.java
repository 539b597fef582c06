/**
 * The Sign-off page: every requirement on a line with what is predicted and what was measured, who has an open point, what an inspector
 * accepted, the packet, and what changed since the last one.
 */
package ration.desktop.signoff;
