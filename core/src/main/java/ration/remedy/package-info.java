/**
 * What buys margin, and how sure the margin is.
 *
 * <p>{@link ration.remedy.Remedies} tries single changes on the layout (a run one size up, a screen that costs less, a
 * tank an inch higher), solves every case again for each, and ranks them by the margin they leave; changes are solved
 * together, never added up. {@link ration.remedy.Chance} samples the tolerances of the measured figures and says how
 * often the margin would be short. Both are long tasks: they report progress and can be cancelled.
 */
package ration.remedy;
