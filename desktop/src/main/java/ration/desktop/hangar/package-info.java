/**
 * The Hangar tests page: the programme of tests, the runner that leads through one a step at a time in figures that can be read from
 * the wing, and beside it live readings, runs and what it closes. Every step lands in the document at once, so an interrupted test goes
 * on where it stopped. Readings come from a {@link ration.desktop.hangar.Source} with a thread of its own.
 */
package ration.desktop.hangar;
