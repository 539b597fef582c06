/**
 * One part fails: every fault with what is left at once, how long that lasts, what shows it and the way out; the picked
 * one can be set on the layout, and every page then answers for it.
 */
package ration.desktop.faults;
