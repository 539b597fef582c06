/**
 * Tanks, headers and shut-in air in time: what becomes of the fuel while the engine takes it.
 *
 * <p>{@link ration.answer.drawdown.Drawdown} empties a system through its network until something happens:
 * {@link ration.answer.drawdown.Holding} is what there is, {@link ration.answer.drawdown.Stretch} what is set
 * meanwhile, {@link ration.answer.drawdown.Look} one moment of it, {@link ration.answer.drawdown.Watch} something that
 * ends a stretch, found as a root and not stepped over. The rates are integrated by an embedded Runge-Kutta method of a
 * library (Dormand and Prince, from memory).
 *
 * <p>{@link ration.answer.drawdown.Flight} flies a plan so: phases, the pilot's rule for the handles
 * ({@link ration.answer.drawdown.Pilot}), events, balance, what is left. Faults ask the same for the minutes they leave
 * ({@link ration.answer.drawdown.Lasting}).
 */
package ration.answer.drawdown;
