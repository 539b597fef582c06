/**
 * Every requirement on one line, for whoever signs: basis, needs, predicted and measured apart, state, since when, and
 * what was said of it. A required test that is missing leaves its requirement Not shown; an acceptance stands beside a
 * finding and never changes it.
 */
package ration.answer.signoff;
