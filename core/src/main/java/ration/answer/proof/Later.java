package ration.answer.proof;

import java.util.function.Supplier;

/** Worked out once, when first asked for; two threads that ask at once wait for one answer. */
final class Later<T> implements Supplier<T> {

    private Supplier<T> make;
    private volatile T made;

    Later(Supplier<T> make) {
        this.make = make;
    }

    @Override
    public T get() {
        T known = made;
        if (known == null) {
            synchronized (this) {
                if (made == null) {
                    made = make.get();
                    make = null;
                }
                known = made;
            }
        }
        return known;
    }
}
