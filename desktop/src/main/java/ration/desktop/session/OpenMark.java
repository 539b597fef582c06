package ration.desktop.session;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.UUID;

/**
 * Marks the document that is open, in the program's folder, so that a second window of it can say so. The mark is a
 * lock that ends with its program; trouble here never stops the work at hand.
 */
final class OpenMark {

    private final Path folder;
    private final Making making;
    private FileChannel held;
    private Path mark;

    /** Makes the folder where there is none. */
    interface Making {
        void make() throws IOException;
    }

    OpenMark(Path folder, Making making) {
        this.folder = folder;
        this.making = making;
    }

    /** Marks a document in the place of the one before; whether another program has it open. */
    synchronized boolean take(Path document) {
        Path wanted = folder.resolve("open-"
                + UUID.nameUUIDFromBytes(
                        document.toAbsolutePath().normalize().toString().getBytes(StandardCharsets.UTF_8))
                + ".lock");
        if (wanted.equals(mark)) {
            return false;
        }
        release();
        FileChannel channel = null;
        try {
            making.make();
            channel = FileChannel.open(
                    wanted, StandardOpenOption.CREATE, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
            if (channel.tryLock() == null) {
                channel.close();
                return true;
            }
            held = channel;
            mark = wanted;
            return false;
        } catch (OverlappingFileLockException e) {
            close(channel);
            return true;
        } catch (IOException e) {
            close(channel);
            return false;
        }
    }

    private static void close(FileChannel channel) {
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            // its lock ends with the program
            return;
        }
    }

    synchronized void release() {
        if (mark == null) {
            return;
        }
        try {
            Files.deleteIfExists(mark);
        } catch (IOException e) {
            // an empty file stays that nobody holds
        }
        close(held);
        held = null;
        mark = null;
    }
}
