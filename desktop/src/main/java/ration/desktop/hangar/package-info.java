/**
 * The Hangar tests page: the program of tests, the runner that leads through one a step at a time in figures that can
 * be read from the wing, and beside it live readings, runs and what it closes. Every step lands in the document at
 * once, so an interrupted test goes on where it stopped. Readings come from a {@link ration.desktop.hangar.Source} with
 * a thread of its own. What it says and writes down stands apart from its nodes: {@link ration.desktop.hangar.Bench}
 * (which test, which record), {@link ration.desktop.hangar.StepWords} (a step),
 * {@link ration.desktop.hangar.TankReadings} and {@link ration.desktop.hangar.SheetReadings} (what can be entered).
 */
package ration.desktop.hangar;
