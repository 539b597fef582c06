/**
 * How a figure came about: the formula with its numbers, the case, the inputs with how they were measured, the sources,
 * and the figures it was made of in turn.
 *
 * <p>A {@link ration.verdict.why.Why} is made where the figure is made and read by the window, the command line and
 * paper. Its {@link ration.verdict.why.Term}s hold the very values the figure was computed from; their text can be put
 * into any calculator that knows units.
 */
package ration.verdict.why;
