/**
 * The case matrix, and everything that follows from it, once per project change.
 *
 * <p>{@link ration.assess.Assessment} is the only thing views and the command line show. It goes through every flown
 * attitude, every selector position but OFF, every set of running pumps and every state of contents, asks each for capacity, for the open line and
 * for the pressure left at demand, and finds the case that governs.
 */
package ration.assess;
