/**
 * What parts and work cost, as the builder's own list has it.
 *
 * <p>{@link ration.record.cost.CostList} is an open table (CSV): price, hours and weight of a part, by size, each with
 * where it comes from and of when. The list that ships is made up and says so in every row; a builder copies it and
 * writes what holds where he buys. {@link ration.record.cost.Takes} is what a change needs of it,
 * {@link ration.record.cost.Bill} the sum: what the list lacks is named, never taken as nothing.
 */
package ration.record.cost;
