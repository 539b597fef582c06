package ration.aircraft.flight;

import java.util.Optional;
import ration.base.quantity.Measured;

/**
 * Fuel pumped from one tank into another on the way. A pump that is named in one stands at all other times. It is
 * switched off as soon as its time is over, its fuel has gone across, the tank it fills is full, or the one it draws
 * from is empty: common practice, no source.
 *
 * @param pump id
 * @param at when it is switched on, a time after the start, 0 to 2,880 min
 * @param lasts how long it runs, a time, up to 1,440 min; empty where it is not limited by the clock
 * @param amount what leaves the tank it draws from, as its gauge shows it, a volume; empty where that does not limit it
 */
public record Transfer(String pump, Measured at, Optional<Measured> lasts, Optional<Measured> amount) {

    public Transfer {
        if (!(at.si() >= 0 && at.si() <= 2880 * 60)) {
            throw new IllegalArgumentException("A transfer begins 0 to 2,880 min after the start.");
        }
        if (lasts.isPresent() && !(lasts.get().si() > 0 && lasts.get().si() <= 1440 * 60)) {
            throw new IllegalArgumentException("A transfer lasts up to 1,440 min; blank = no limit by the clock.");
        }
        if (amount.isPresent() && !(amount.get().si() > 0 && amount.get().si() <= 10)) {
            throw new IllegalArgumentException("A transfer moves above 0; blank = until full or empty.");
        }
    }

    /** Minutes after the start. */
    public double begins() {
        return at.si() / 60;
    }

    public Transfer withAt(Measured other) {
        return new Transfer(pump, other, lasts, amount);
    }

    public Transfer withLasts(Optional<Measured> other) {
        return new Transfer(pump, at, other, amount);
    }

    public Transfer withAmount(Optional<Measured> other) {
        return new Transfer(pump, at, lasts, other);
    }

    public Transfer withPump(String other) {
        return new Transfer(other, at, lasts, amount);
    }
}
