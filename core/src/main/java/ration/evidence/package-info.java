/**
 * Hangar tests: what was done, step by step, what came of it, and whether it still counts.
 *
 * <p>{@link ration.evidence.TestKind} names every test. A {@link ration.evidence.HangarTest} is a record in the
 * document: who, when, with what, and the {@link ration.evidence.Work} done so far; an interrupted one goes on where it
 * stopped. Drain, fill and top-off have work of their own; any other is a {@link ration.evidence.Work.Sheet} of the
 * figures its {@link ration.evidence.Form} asks. {@link ration.evidence.Procedure} says its steps and the cautions.
 *
 * <p>A record keeps what it rested on in readable lines ({@link ration.evidence.Inputs});
 * {@link ration.evidence.Standing} compares them with the aircraft as it is: it counts, or no longer and by which
 * input, or never, because the stand-in fed it. {@link ration.evidence.TankEvidence} gathers what counts of a tank.
 */
package ration.evidence;
