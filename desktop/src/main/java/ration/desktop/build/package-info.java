/**
 * The build: what can be done today, what is to buy, what waits, and for what. The page lists one group at a time; the
 * card beside it takes in how far a step is, its hours, its delivery, and what it waits for.
 */
package ration.desktop.build;
