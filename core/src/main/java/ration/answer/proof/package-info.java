/**
 * Which tests an aircraft needs, what the same network says each would read, and what those on record show.
 *
 * <p>{@link ration.answer.proof.TestProgram} lists them from the layout, the basis and what is fitted.
 * {@link ration.answer.proof.Outcome} is what a record says against what is asked; {@link ration.answer.proof.OpenLine}
 * predicts a flow test as it is done, an open line at that nose angle and with that much fuel, and carries it to what
 * is asked at the engine; {@code PumpsOn} does the same of all that is done with the pumps on, and plays it with a part
 * stuck; {@code Emptying} is a tank drained, by its shape; {@link ration.answer.proof.Fit} makes a loss agree. A test
 * that was not done, or not as it is asked, is Not shown, however good the prediction.
 */
package ration.answer.proof;
