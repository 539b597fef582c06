/**
 * Parts with a life, and the log of what was done to them.
 *
 * <p>{@link ration.record.upkeep.Upkeep} is kept in the document: the parts, the airframe's hours, and a log that only
 * grows: what was entered wrongly is corrected by a later entry that names the earlier.
 * {@link ration.record.upkeep.Due} is worked out from it for a day; it is never kept. A life whose age nobody knows is
 * due now and not shown.
 *
 * <p>Lives are common practice without a source until the maker's are said; the maker's word comes first.
 */
package ration.record.upkeep;
