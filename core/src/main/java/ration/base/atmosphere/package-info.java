/**
 * The air the aircraft stands and flies in: the standard atmosphere, and days warmer or colder than standard.
 *
 * <p>US Standard Atmosphere 1976, troposphere and lower stratosphere; checked against the table in the reference data.
 */
package ration.base.atmosphere;
