package ration.desktop.hangar;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;
import java.util.function.Supplier;
import ration.proof.StandIn;
import ration.reading.Live;

/** Where live readings come from: read by a thread of its own until it is closed. */
final class Source implements AutoCloseable {

    private static final int PAUSE_MS = 200;
    private static final int CONNECT_MS = 3000;
    private static final int LONGEST = 4096;

    private final Live live = new Live();
    private final String name;
    private final boolean standIn;
    private volatile boolean closed;
    private volatile String trouble = "";

    /** What a source does until it is closed. */
    @FunctionalInterface
    private interface Work {
        void run(Consumer<String> line) throws IOException, InterruptedException;
    }

    private Source(String name, boolean standIn) {
        this.name = name;
        this.standIn = standIn;
    }

    private Source started(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run(l -> live.line(l, now()));
            } catch (IOException | RuntimeException e) {
                trouble = name + ": " + e.getMessage();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }, "readings");
        thread.setDaemon(true);
        thread.start();
        return this;
    }

    /** A table that something else writes on to: from its beginning, then what is added. */
    static Source growing(Path file) {
        Source s = new Source(file.getFileName().toString(), false);
        return s.started(line -> s.follow(file, line));
    }

    private void follow(Path file, Consumer<String> line) throws IOException, InterruptedException {
        StringBuilder part = new StringBuilder();
        long at = 0;
        while (!closed) {
            try (SeekableByteChannel in = Files.newByteChannel(file)) {
                if (in.size() < at) {
                    // written anew
                    at = 0;
                    part.setLength(0);
                }
                in.position(at);
                ByteBuffer some = ByteBuffer.allocate(1 << 16);
                for (int n = in.read(some); n > 0; n = in.read(some.clear())) {
                    at += n;
                    lines(part.append(new String(some.array(), 0, n, StandardCharsets.UTF_8)), line);
                }
            }
            Thread.sleep(PAUSE_MS);
        }
    }

    private static void lines(StringBuilder part, Consumer<String> line) {
        for (int end = part.indexOf("\n"); end >= 0; end = part.indexOf("\n")) {
            line.accept(part.substring(0, end).strip());
            part.delete(0, end + 1);
        }
        if (part.length() > LONGEST) {
            part.setLength(0);
        }
    }

    /** A port of this machine, and of no other. */
    static Source port(int port) {
        Source s = new Source("port " + port, false);
        return s.started(line -> {
            try (Socket socket = new Socket()) {
                socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), CONNECT_MS);
                BufferedReader in = new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
                for (String l = in.readLine(); l != null && !s.closed; l = in.readLine()) {
                    line.accept(l);
                }
                s.trouble = s.name + ": it ended.";
            }
        });
    }

    /** The aircraft played. */
    static Source standIn(Supplier<StandIn> made) {
        Source s = new Source("stand-in", true);
        return s.started(line -> {
            StandIn plays = made.get();
            double began = now();
            double last = began;
            while (!s.closed) {
                double now = now();
                plays.at(now - began, now - last).forEach(line);
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

    @Override
    public void close() {
        closed = true;
    }
}
