package ration.record.reading;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.function.Consumer;

/**
 * Cuts what comes in into lines, UTF-8. Only what a line end stands behind is a line: a unit cut off in the middle
 * would be another unit. A line has a greatest length; what is longer is dropped up to its end, and told.
 */
public final class LineCutter {

    /** Far more than any reading takes, bytes. */
    public static final int LONGEST = 4096;

    private final ByteArrayOutputStream part = new ByteArrayOutputStream();
    private final Consumer<String> line;
    private final Runnable dropped;
    private boolean tooLong;

    /**
     * @param line given each, without its end
     * @param dropped told once for each that was too long
     */
    public LineCutter(Consumer<String> line, Runnable dropped) {
        this.line = line;
        this.dropped = dropped;
    }

    /** Takes the first n bytes. */
    public void take(byte[] some, int n) {
        for (int i = 0; i < n; i++) {
            if (some[i] == '\n') {
                if (!tooLong) {
                    line.accept(part.toString(StandardCharsets.UTF_8).strip());
                }
                begin();
            } else if (!tooLong && part.size() >= LONGEST) {
                tooLong = true;
                part.reset();
                dropped.run();
            } else if (!tooLong) {
                part.write(some[i]);
            }
        }
    }

    /** Forgets what came without an end: what follows belongs to something else. */
    public void begin() {
        part.reset();
        tooLong = false;
    }
}
