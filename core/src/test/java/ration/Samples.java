package ration;

import java.util.List;
import java.util.stream.IntStream;

/** How much is tried: a part that takes seconds in every build, all of it in the long one ({@code ./verify --deep}). */
public final class Samples {

    /** Whether this is the long one. */
    static final boolean DEEP = Boolean.getBoolean("ration.deep");

    private Samples() {}

    /** How many are tried. */
    public static int of(int few, int all) {
        return DEEP ? all : few;
    }

    /** Some of them, evenly over the whole, the first always among them. */
    public static <T> List<T> some(List<T> all, int few) {
        int step = DEEP ? 1 : Math.max(1, all.size() / few);
        return IntStream.range(0, all.size())
                .filter(i -> i % step == 0)
                .mapToObj(all::get)
                .toList();
    }
}
