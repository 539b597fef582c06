/**
 * The build as work still to be done: {@link ration.answer.plan.Plan} makes a step of every part, line, joint, test and
 * step of the builder's own, says what each waits for, what can be done today and what a late delivery moves.
 * {@link ration.answer.plan.CriticalPath} does the sums and knows nothing of aircraft. Temporary is never done; a step
 * nobody gave hours counts as none and is counted as missing, never guessed. {@link ration.answer.plan.Reach} says what
 * is drained before a part comes off, and what its mount carries.
 */
package ration.answer.plan;
