/**
 * Hangar tests: what was done, step by step, what came of it, and whether it still counts.
 *
 * <p>{@link ration.record.evidence.TestKind} names every test. A {@link ration.record.evidence.HangarTest} is a record
 * in the document: who, when, with what, and the {@link ration.record.evidence.Work} done so far; an interrupted one
 * goes on where it stopped. Drain, fill and top-off have work of their own; any other is a
 * {@link ration.record.evidence.Work.Sheet} of the figures its {@link ration.record.evidence.Form} asks.
 * {@link ration.record.evidence.Procedure} says its steps and the cautions.
 *
 * <p>A record keeps what it rested on in readable lines ({@link ration.record.evidence.Inputs});
 * {@link ration.record.evidence.Standing} compares them with the aircraft as it is: it counts, or no longer and by
 * which input, or never, because the stand-in fed it. {@link ration.record.evidence.TankEvidence} gathers what counts
 * of a tank.
 */
package ration.record.evidence;
