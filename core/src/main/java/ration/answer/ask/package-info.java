/**
 * Questions asked of a layout beside its margin. {@link ration.answer.ask.HowSteep} finds the pitch at which the flow
 * falls short on what is left in the tanks, {@link ration.answer.ask.WhichTank} which of several open tanks feeds
 * faster, by which shares of height, vent and line, and how far the aircraft leans until another does. Each solves the
 * case anew with one thing changed, and nothing is fitted.
 *
 * <p>{@link ration.answer.ask.WhichPump} finds what every judged case needs of a pump, and holds
 * {@link ration.answer.ask.Candidates} against it. {@link ration.answer.ask.WhatStops} says which valve stops which
 * leak, by ways and heights alone; {@link ration.answer.ask.Leaks} what runs out where a sealing place opens.
 * {@link ration.answer.ask.HoseOrder} is what a hose shop is told. {@link ration.answer.ask.FuelTable} puts all tanks
 * side by side. What is said of them stands in {@code PumpWords} and {@code LeakWords}.
 */
package ration.answer.ask;
