/**
 * How the lines are made up and held: the sheet people keep by hand, and what is wrong on it.
 *
 * <p>{@link ration.aircraft.plumbing.SheetColumn} is the one description of the sheet's columns: how a cell is shown,
 * read and set. The grid in the window, pasted tables and CSV files all go through it.
 * {@link ration.aircraft.plumbing.RunSheet} adds and pastes rows; {@link ration.aircraft.plumbing.Joints} looks at
 * every joint; {@link ration.aircraft.plumbing.LineRules} holds the tables (bend radius, support spacing, torque, hose
 * and fitting families) with their sources, from memory; {@link ration.aircraft.plumbing.CutLength} and
 * {@link ration.aircraft.plumbing.ShoppingList} say what to cut and to buy; {@link ration.aircraft.plumbing.HosePath}
 * is the center line of a hose, {@link ration.aircraft.plumbing.HoseMade} the hose with its ends;
 * {@link ration.aircraft.plumbing.SealingPlaces} every place that keeps fuel in by a seal.
 */
package ration.aircraft.plumbing;
