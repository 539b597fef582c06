/**
 * What was read on the aircraft, and how it was set then: the log that a search is made of, part of the document. What
 * the readings mean is worked out in {@code ration.find}.
 */
package ration.record.reading;
