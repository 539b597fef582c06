package ration.drawdown;

import java.util.function.ToDoubleFunction;

/**
 * Something to be told of.
 *
 * @param kind   of event
 * @param about  id of an item, or a port; empty for the whole
 * @param margin above zero until it happens, continuous where it can be
 */
record Watch(FlightEvent.Kind kind, String about, ToDoubleFunction<Look> margin) {
}
