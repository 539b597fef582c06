/**
 * What is kept of the build: how far each part, line and joint is, how long a step takes, when a delivery is expected,
 * what a step waits for beyond what the layout says, and steps of the builder's own. What may be done today, and what a
 * delay moves, is worked out in {@code answer.plan}.
 */
package ration.record.build;
