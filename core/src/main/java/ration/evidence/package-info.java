/**
 * Hangar tests: what was done, step by step, what came of it, and what it still proves.
 *
 * <p>A {@link ration.evidence.HangarTest} is a record in the document: who, when, with what, and the
 * {@link ration.evidence.Work} done so far; an interrupted one goes on where it stopped. {@link ration.evidence.Procedure}
 * says its steps and the cautions. {@link ration.evidence.TankEvidence} gathers the finished ones of a tank. Each record
 * keeps a {@link ration.evidence.Fingerprint} of the shape and outlets it was done on: once those change it stays on
 * record and no longer counts.
 */
package ration.evidence;
