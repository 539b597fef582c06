package ration.desktop.hangar;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.function.Supplier;
import ration.answer.proof.StandIn;
import ration.record.file.FileTrouble;
import ration.record.reading.LineCutter;
import ration.record.reading.Live;

/** Where live readings come from: read by a thread of its own until it is closed. */
final class Source implements AutoCloseable {

    private static final int PAUSE_MS = 200;
    private static final int CONNECT_MS = 3000;
    /** A file that is gone longer does not come back, s. */
    private static final double WAITED_FOR = 30;

    private final Live live = new Live();
    private final String name;
    private final boolean standIn;
    private volatile boolean closed;
    private volatile String trouble = "";
    private volatile Socket socket;
    private Thread thread;

    /** What a source does until it is closed. */
    @FunctionalInterface
    private interface Work {
        void run(LineCutter lines) throws IOException, InterruptedException;
    }

    private Source(String name, boolean standIn) {
        this.name = name;
        this.standIn = standIn;
    }

    private Source started(Work work) {
        thread = new Thread(
                () -> {
                    try {
                        work.run(new LineCutter(l -> live.line(l, now()), live::tooLong));
                    } catch (IOException | RuntimeException e) {
                        // a source that was stopped ends by what stopped it
                        trouble = closed
                                ? ""
                                : name + ": "
                                        + (e instanceof IOException io
                                                ? FileTrouble.why(Path.of(name), io)
                                                : e.getMessage())
                                        + ".";
                    } catch (InterruptedException e) {
                        Thread.currentThread().interrupt();
                    }
                },
                "readings");
        thread.setDaemon(true);
        thread.start();
        return this;
    }

    /** A table that something else writes on to: from its beginning, then what is added. */
    static Source growing(Path file) {
        Source s = new Source(file.getFileName().toString(), false);
        return s.started(lines -> s.follow(file, lines));
    }

    /** Goes on through a file that is written anew, put in another's place, or gone for a moment while that is done. */
    private void follow(Path file, LineCutter lines) throws IOException, InterruptedException {
        long at = 0;
        Object key = null;
        double gone = Double.NaN;
        ByteBuffer some = ByteBuffer.allocate(1 << 16);
        while (!closed) {
            try (SeekableByteChannel in = Files.newByteChannel(file)) {
                Object now =
                        Files.readAttributes(file, BasicFileAttributes.class).fileKey();
                if (in.size() < at || key != null && !key.equals(now)) {
                    at = 0;
                    lines.begin();
                }
                key = now;
                gone = Double.NaN;
                trouble = "";
                in.position(at);
                for (int n = in.read(some.clear()); n > 0 && !closed; n = in.read(some.clear())) {
                    at += n;
                    lines.take(some.array(), n);
                }
            } catch (NoSuchFileException e) {
                gone = Double.isNaN(gone) ? now() : gone;
                trouble = name + " is not there now; it is waited for.";
                if (now() - gone > WAITED_FOR) {
                    throw e;
                }
            }
            Thread.sleep(PAUSE_MS);
        }
    }

    /** A port of this machine, and of no other. */
    static Source port(int port) {
        Source s = new Source("port " + port, false);
        return s.started(lines -> {
            try (Socket socket = new Socket()) {
                s.socket = socket;
                socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), CONNECT_MS);
                InputStream in = socket.getInputStream();
                byte[] some = new byte[1 << 13];
                for (int n = in.read(some); n > 0 && !s.closed; n = in.read(some)) {
                    lines.take(some, n);
                }
                s.trouble = s.closed ? "" : s.name + ": it ended.";
            }
        });
    }

    /** The aircraft played. */
    static Source standIn(Supplier<StandIn> made) {
        Source s = new Source("stand-in", true);
        return s.started(lines -> {
            StandIn plays = made.get();
            double began = now();
            double last = began;
            while (!s.closed) {
                double now = now();
                plays.at(now - began, now - last).forEach(l -> s.live.line(l, now()));
                last = now;
                Thread.sleep(PAUSE_MS);
            }
        });
    }

    /** Seconds of a clock of this machine. */
    static double now() {
        return System.nanoTime() / 1e9;
    }

    Live live() {
        return live;
    }

    String name() {
        return name;
    }

    boolean isStandIn() {
        return standIn;
    }

    /** What went wrong; empty while nothing did. */
    String trouble() {
        return trouble.isEmpty() ? live.trouble() : trouble;
    }

    /** Ends it at once, also where nothing comes: a silent sender would keep its thread and its line for ever. */
    @Override
    public void close() {
        closed = true;
        thread.interrupt();
        Socket open = socket;
        if (open != null) {
            try {
                open.close();
            } catch (IOException e) {
                // closed is all it has to be
                return;
            }
        }
    }

    /** Whether it still reads. */
    boolean running() {
        return thread.isAlive();
    }
}
