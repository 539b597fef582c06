/**
 * What the user lays out: items with ports, and the runs that join them.
 *
 * <p>Everything here is as measured and as written: a {@link ration.base.quantity.Measured} keeps its unit and how it
 * was measured, a {@link ration.aircraft.model.Place} its station, butt line and water line. The sealed family
 * {@link ration.aircraft.model.Item} holds every kind of item, one file each, and answers a visit
 * ({@link ration.aircraft.model.Kinds}), so that a new kind does not compile until every place that must know it does;
 * {@link ration.aircraft.model.FieldSheet} holds the figures of each kind; {@link ration.aircraft.model.FuelSystem} is
 * the whole, immutable, and knows what joins what. {@link ration.aircraft.model.Validation} collects everything wrong
 * or missing at once; a half-described system is a normal state here, not an error. Nothing in this package computes a
 * flow.
 *
 * <p>Sizes of tube, hose and fittings are in {@link ration.aircraft.model.LineSize} and
 * {@link ration.aircraft.model.Fitting} with their sources.
 */
package ration.aircraft.model;
