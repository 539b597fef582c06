package ration.aircraft.model;

import java.lang.ref.ReferenceQueue;
import java.lang.ref.WeakReference;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * What follows from an immutable object, worked out once for it and kept as long as it lives. It goes by the object
 * itself, not by what it equals: to hash a whole tank is dearer than most of what is asked of it. May be asked from
 * several threads; two that ask at once may both work, and are given the same. What is made must not hold the object,
 * or neither ever goes.
 */
public final class Once<K, V> {

    private final Function<K, V> make;
    private final Map<Key<K>, V> made = new ConcurrentHashMap<>();
    private final ReferenceQueue<K> gone = new ReferenceQueue<>();

    /** @param make gives what follows; what it throws is thrown to who asks, and nothing is kept */
    public Once(Function<K, V> make) {
        this.make = make;
    }

    public V of(K object) {
        for (Object old = gone.poll(); old != null; old = gone.poll()) {
            made.remove(old);
        }
        V known = made.get(new Key<>(object, null));
        if (known == null) {
            V fresh = make.apply(object);
            V first = made.putIfAbsent(new Key<>(object, gone), fresh);
            known = first == null ? fresh : first;
        }
        return known;
    }

    private static final class Key<K> extends WeakReference<K> {

        private final int hash;

        Key(K object, ReferenceQueue<K> queue) {
            super(object, queue);
            hash = System.identityHashCode(object);
        }

        @Override
        public int hashCode() {
            return hash;
        }

        @Override
        public boolean equals(Object other) {
            return this == other || other instanceof Key<?> k && get() != null && get() == k.get();
        }
    }
}
