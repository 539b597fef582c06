/**
 * One case to answer: attitude, contents, what the pilot has set, fuel temperature, the day, and what has failed.
 *
 * <p>A condition never changes the project; it is what the aircraft is doing while the question is asked. Presets come
 * from the envelope in the Brief. Coordinated turns only make fuel heavier; slips and wing-low parking tilt it.
 */
package ration.aircraft.condition;
