/**
 * The Vapor page: pressure against boiling pressure along the path, heights and temperatures at which each part boils,
 * the soak after shutdown with a log laid over it, and what buys degrees. What becomes of a log stands apart from its
 * nodes: {@link ration.desktop.vapor.SoakLog}.
 */
package ration.desktop.vapor;
