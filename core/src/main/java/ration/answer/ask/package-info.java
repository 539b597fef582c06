/**
 * Questions asked of one case beside its margin: {@link ration.answer.ask.HowSteep} finds the pitch at which the flow
 * falls short on what is left in the tanks, {@link ration.answer.ask.WhichTank} which of several open tanks feeds
 * faster, by which shares of height, vent and line, and how far the aircraft leans until another does. Each solves the
 * case anew with one thing changed, and nothing is fitted.
 */
package ration.answer.ask;
