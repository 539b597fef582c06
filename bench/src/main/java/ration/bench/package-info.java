/**
 * JMH benchmarks: one solve of small, middle and large networks beside EPANET's own times, and the whole assessment.
 * Run with {@code tools/benchmarks}; results in {@code docs/benchmarks.md}.
 */
package ration.bench;
