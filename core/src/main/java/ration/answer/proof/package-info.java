/**
 * Which tests an aircraft needs, what the same network says each would read, and what those on record show.
 *
 * <p>{@link ration.answer.proof.TestProgram} lists them from the layout, the basis and what is fitted.
 * {@link ration.answer.proof.Outcome} is what a record says against what is asked; {@link ration.answer.proof.OpenLine}
 * predicts a flow test as it is done, an open line at that nose angle and with that much fuel, and carries it to what
 * is asked at the engine; {@link ration.answer.proof.Fit} makes a loss agree with it. A test that was not done, or not
 * as it is asked, is Not shown, however good the prediction.
 */
package ration.answer.proof;
