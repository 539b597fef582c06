/**
 * What is left in each tank over a flight: the page Flight, its plan entered by hand, its time cursor on every page.
 */
package ration.desktop.flight;
