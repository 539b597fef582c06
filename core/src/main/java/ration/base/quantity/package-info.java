/**
 * Units and quantities at the boundary of the program.
 *
 * <p>People write {@code 3/8}, {@code 52 1/2}, {@code 7.7 mm} or {@code 13.75 gph}; a
 * {@link ration.base.quantity.Quantity} keeps the number and the unit as written, so that what a person typed is what
 * they see again and what the file holds. Everything computed is SI: {@link ration.base.quantity.Quantity#si()} is the
 * only way in, {@link ration.base.quantity.Unit#fromSi} the only way out.
 *
 * <p>The factors are exact by definition (inch, US gallon, pound, standard gravity) and were not looked up; the
 * mechanical horsepower is 550 ft lbf/s. A general unit library was weighed and left: it lacks psi, costs microseconds
 * a conversion and hundreds of milliseconds to load.
 */
package ration.base.quantity;
