/**
 * Requirements with their sources, verdicts and findings.
 *
 * <p>{@link ration.verdict.check.Check} is the register of all checks, with the page each belongs to and whether it
 * must answer.
 *
 * <p>A verdict is Holds, Thin (within 5 % past the requirement), Fails or Not shown; Not shown is never good. Citations
 * are from memory and say so: they are a guide, no amateur-built aircraft must meet them, and the inspector, the
 * authority and the makers' instructions decide.
 */
package ration.verdict.check;
