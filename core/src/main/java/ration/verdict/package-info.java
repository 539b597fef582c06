/**
 * What can be said of a figure: Holds, Thin, Fails or Not shown; why; by which standard; and the words that have to be
 * explained.
 */
package ration.verdict;
