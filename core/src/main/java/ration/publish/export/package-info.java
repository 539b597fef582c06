/**
 * What leaves the program on paper and for other programs: pictures as SVG and PDF, the runs sheet, the gauge card with
 * its strip at true scale and the sampling card as PDF, the case matrix as CSV, and the present case as an EPANET
 * network with a note of every approximation.
 *
 * <p>Pictures come from {@code ration.drawing} and look the same as on the screen; paper is {@code ration.paper}. The
 * packet for the inspector has a room of its own, {@code ration.packet}.
 */
package ration.publish.export;
