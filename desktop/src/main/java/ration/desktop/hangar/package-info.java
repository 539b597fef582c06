/**
 * The Hangar tests page: tests on record, and the runner that leads through one a step at a time, in figures that can be
 * read from the wing. Every step lands in the document at once, so an interrupted test goes on where it stopped.
 */
package ration.desktop.hangar;
