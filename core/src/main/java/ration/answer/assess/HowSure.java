package ration.answer.assess;

import java.util.Optional;
import java.util.function.Supplier;

/**
 * How sure an assessment's flow margin is, where anything governs: known, not worked out yet, or worked out when it is
 * first asked for, since most who look at a flow never ask. May be asked from several threads; two that ask at once may
 * both work, and are given the same.
 */
final class HowSure {

    /** Where nothing governs, or nobody may ask. */
    static final HowSure NOT_ASKED = new HowSure(Optional.empty(), null);
    /** Not shown until somebody works it out. */
    static final HowSure PENDING = known(Sureness.PENDING);

    private final Supplier<Sureness> make;
    private volatile Optional<Sureness> found;

    private HowSure(Optional<Sureness> found, Supplier<Sureness> make) {
        this.found = found;
        this.make = make;
    }

    static HowSure known(Sureness s) {
        return new HowSure(Optional.of(s), null);
    }

    /** @param make never fails: what cannot be worked out is a sureness that shows nothing */
    static HowSure whenAsked(Supplier<Sureness> make) {
        return new HowSure(Optional.empty(), make);
    }

    Optional<Sureness> get() {
        if (make != null && found.isEmpty()) {
            Optional<Sureness> fresh = Optional.of(make.get());
            synchronized (this) {
                found = found.isEmpty() ? fresh : found;
            }
        }
        return found;
    }

    boolean pending() {
        return this == PENDING;
    }
}
