/**
 * The case matrix, and everything that follows from it, once per project change.
 *
 * <p>{@link ration.answer.assess.Assessment} is the only thing views and the command line show. It goes through every
 * flown attitude, every selector position but OFF, every set of running pumps and every state of contents, asks each
 * for capacity, for the open line and for the pressure left at demand, and finds the case that governs. On low fuel it
 * also asks the take-off run, a push-over, a gust, cold fuel, and each of several joined tanks dry.
 * {@link ration.answer.assess.Feeds} holds which outlets feed together, {@link ration.answer.assess.HeaderReserve} how
 * long a collector lasts.
 *
 * <p>What was not answered - not solved, not measured, failed - is Not shown, never left out.
 */
package ration.answer.assess;
