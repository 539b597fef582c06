/**
 * Make it hold: the cheapest few changes after which nothing Fails.
 *
 * <p>{@link ration.answer.improve.Candidates} gathers single changes from every room that knows some (flow, vapor, what
 * is left in tanks, what the build lacks, placards); {@link ration.answer.improve.MakeItHold} solves each alone, then
 * sets of them in the order of what they cost, each as one layout: nothing is added up.
 * {@link ration.answer.improve.FailuresToo} goes on from the cheapest until failures hold too. What no change here
 * cures is named and left to the builder. A set that holds is a prediction: what it ends or opens is told with it.
 */
package ration.answer.improve;
