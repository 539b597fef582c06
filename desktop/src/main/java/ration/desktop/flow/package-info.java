/**
 * The Flow page: every case and which governs, the path unrolled, where the head goes, what buys margin and how sure it
 * is.
 */
package ration.desktop.flow;
