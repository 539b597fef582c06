package ration.physics.flow;

/** Where networks are solved can be watched: a window's tests forbid its interface thread. */
public final class Solves {

    private static volatile Runnable watch = () -> {};

    private Solves() {}

    /** Run before every solve, on its thread; what it throws ends the solve. */
    public static void watch(Runnable before) {
        watch = before;
    }

    static void begin() {
        watch.run();
    }
}
