/**
 * The words of the trade that a first-time builder does not know, each explained once: in the window they are dotted,
 * and say it on hover and on the card of terms.
 */
package ration.verdict.words;
