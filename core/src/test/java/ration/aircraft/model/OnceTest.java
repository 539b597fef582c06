package ration.aircraft.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.ref.WeakReference;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class OnceTest {

    private record Thing(String name) {}

    @Test
    void each_object_is_worked_out_once_and_equal_ones_are_not_confused() {
        AtomicInteger worked = new AtomicInteger();
        Once<Thing, String> once = new Once<>(t -> t.name() + worked.incrementAndGet());
        Thing a = new Thing("a");
        Thing same = new Thing("a");
        assertThat(once.of(a)).isEqualTo("a1").isSameAs(once.of(a));
        assertThat(once.of(same)).isEqualTo("a2");
        assertThat(once.of(a)).isEqualTo("a1");
    }

    @Test
    void what_cannot_be_made_is_refused_each_time() {
        Once<Thing, String> once = new Once<>(t -> {
            throw new IllegalArgumentException("outline not closed");
        });
        Thing a = new Thing("a");
        assertThatThrownBy(() -> once.of(a)).hasMessage("outline not closed");
        assertThatThrownBy(() -> once.of(a)).hasMessage("outline not closed");
    }

    @Test
    void an_object_nobody_holds_goes() {
        Once<Thing, int[]> once = new Once<>(t -> new int[1]);
        WeakReference<Thing> gone = asked(once);
        for (int i = 0; i < 50 && gone.get() != null; i++) {
            System.gc();
        }
        assertThat(gone.get()).isNull();
    }

    private static WeakReference<Thing> asked(Once<Thing, int[]> once) {
        Thing brief = new Thing("brief");
        once.of(brief);
        return new WeakReference<>(brief);
    }
}
