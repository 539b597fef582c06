/**
 * Parts with a life, and the log of what was done to them.
 *
 * <p>{@link ration.record.upkeep.Upkeep} is kept in the document: the parts, the airframe's hours, and a log that only
 * grows: what was entered wrongly is corrected by a later entry that names the earlier.
 * {@link ration.record.upkeep.Due} is worked out from it for a day; it is never kept. A life whose age nobody knows is
 * due now and not shown. {@link ration.record.upkeep.Offered} lists what ages in a layout and is not tracked yet; it
 * dates nothing. A joint opened or done up is an entry too: what was found at it before ends with it.
 *
 * <p>Lives are common practice without a source until the maker's are said; the maker's word comes first.
 */
package ration.record.upkeep;
