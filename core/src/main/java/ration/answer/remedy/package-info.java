/**
 * What buys margin, leaves less fuel behind or buys degrees, and how sure the margin is.
 *
 * <p>{@link ration.answer.remedy.Remedies} tries single changes on the layout (a run one size up, a screen that costs
 * less, a tank an inch higher), solves every case again for each, and ranks them by the margin they leave; changes are
 * solved together, never added up. {@link ration.answer.remedy.Chance} samples the tolerances of the measured figures
 * and says how often the margin would be short. {@link ration.answer.remedy.LessLeft} moves outlets and adds wells and
 * outlets to one tank, {@link ration.answer.remedy.MoreDegrees} moves pumps and sleeves and widens suction lines. All
 * are long tasks: they report progress and can be cancelled.
 */
package ration.answer.remedy;
