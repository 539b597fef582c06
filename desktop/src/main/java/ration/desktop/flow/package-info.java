/**
 * The Flow page: every case and which governs, the path unrolled, where the head goes, what buys margin and how sure it
 * is. What it says stands apart from its nodes: {@link ration.desktop.flow.MatrixCells},
 * {@link ration.desktop.flow.FlowWords}.
 */
package ration.desktop.flow;
