/**
 * One part fails: what is left at once, how long that lasts, what shows it, and the way out.
 *
 * <p>{@link ration.fault.Catalogue} lists every way in which every part fails, none left out; {@link ration.fault.FaultSearch}
 * asks the network of each in the governing case of every handle position, the pumps as flown, and searches what a pilot can do;
 * {@link ration.fault.FaultAnswer} is what came of it. Two things that fail at once are not asked, but a common supply and a
 * shared vent, which are one cause. Ways and severities are common practice without a source.
 */
package ration.fault;
