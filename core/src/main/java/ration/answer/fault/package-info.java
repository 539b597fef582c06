/**
 * One part fails: what is left at once, how long that lasts, what shows it, and the way out.
 *
 * <p>{@link ration.answer.fault.Catalogue} lists every way in which every part fails, none left out;
 * {@link ration.answer.fault.FaultSearch} asks the network of each in every judged case on clean filters
 * ({@link ration.answer.assess.FaultCases}), with all pumps on and as some phase of the flight has them, in every
 * phase, and on the hot day; the worst counts and names its case. A case is left out only where nothing flows through
 * what failed ({@link ration.answer.fault.Felt}). {@link ration.answer.fault.EnoughFlow} says what is left to say where
 * the demand arrives, {@link ration.answer.fault.ShutInAir} draws down under a vent that is shut.
 * {@link ration.answer.fault.WaysOut} searches what a pilot can do that holds in all of them too,
 * {@link ration.answer.fault.Indications} what shows it; {@link ration.answer.fault.FaultAnswer} is what came of it.
 * What the layout fails with nothing failed is said once. A common supply and a shared vent are one cause.
 * {@link ration.answer.fault.HiddenSearch} asks two at once: one that shows nothing and waits, and one more, in the
 * governing case of each position of the selectors; {@link ration.answer.fault.Finder} is the check that finds it,
 * {@link ration.answer.fault.HiddenChecks} puts it where it is done. Where a way to fail is taken from stands with it;
 * severities are common practice without a source.
 */
package ration.answer.fault;
