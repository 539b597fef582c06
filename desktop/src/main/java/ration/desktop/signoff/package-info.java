/**
 * The Sign-off page: every requirement on a line with what is predicted and what was measured, who has an open point,
 * what an inspector accepted, the packet, and what changed since the last one. What it says stands apart from its
 * nodes: {@link ration.desktop.signoff.RequirementTable}, {@link ration.desktop.signoff.PointWords}.
 */
package ration.desktop.signoff;
