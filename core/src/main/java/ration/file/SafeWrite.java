package ration.file;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;

/**
 * Writes a file so that at every moment either the old or the new one is there whole: beside it under a name nobody can
 * know beforehand, which no link planted there can lead elsewhere, forced to disk, then renamed. A symbolic link is
 * saved through; permissions stay; a file that may not be written is refused.
 */
public final class SafeWrite {

    /** Names longer than this, bytes, are refused by the usual file systems. */
    private static final int LONGEST_NAME = 255;
    private static final Set<PosixFilePermission> OWNER_ONLY = EnumSet.of(PosixFilePermission.OWNER_READ,
            PosixFilePermission.OWNER_WRITE);

    private SafeWrite() {
    }

    /**
     * Writes.
     *
     * @param keep whether the copy that was there is kept as {@code name.previous}
     */
    static void document(Path file, byte[] bytes, boolean keep) throws IOException {
        Path target = through(file.toAbsolutePath());
        boolean there = Files.exists(target);
        if (there && !mayBeWritten(target)) {
            throw new FileSystemException(target.toString(), null, "it is marked read-only, allow writing or save elsewhere");
        }
        write(target, bytes, there ? permissions(target) : null, keep && there);
    }

    /** Writes a file that only its owner can read. */
    public static void ownerOnly(Path file, byte[] bytes) throws IOException {
        write(file.toAbsolutePath(), bytes, OWNER_ONLY, false);
    }

    private static void write(Path target, byte[] bytes, Set<PosixFilePermission> permissions, boolean keep) throws IOException {
        Path beside = target.resolveSibling(".ration-" + UUID.randomUUID() + ".saving");
        try {
            try (FileChannel channel = FileChannel.open(beside, Set.of(StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE,
                    LinkOption.NOFOLLOW_LINKS), permissions == OWNER_ONLY && posix(target)
                    ? new java.nio.file.attribute.FileAttribute<?>[] {PosixFilePermissions.asFileAttribute(OWNER_ONLY)}
                    : new java.nio.file.attribute.FileAttribute<?>[0])) {
                ByteBuffer buffer = ByteBuffer.wrap(bytes);
                while (buffer.hasRemaining()) {
                    channel.write(buffer);
                }
                channel.force(true);
            }
            if (permissions != null && posix(target)) {
                Files.setPosixFilePermissions(beside, permissions);
            }
            if (keep) {
                Files.copy(target, previous(target), StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.COPY_ATTRIBUTES);
            }
            try {
                Files.move(beside, target, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            } catch (AtomicMoveNotSupportedException e) {
                Files.move(beside, target, StandardCopyOption.REPLACE_EXISTING);
            }
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    /** Where a link leads, also one whose file is not there yet. */
    private static Path through(Path file) throws IOException {
        Path at = file;
        for (int i = 0; i < 40 && Files.isSymbolicLink(at); i++) {
            at = at.resolveSibling(Files.readSymbolicLink(at)).normalize();
        }
        if (Files.isSymbolicLink(at)) {
            throw new FileSystemException(file.toString(), null, "it is a link that leads round in a ring");
        }
        return at;
    }

    /** As its permissions say: renaming over a read-only file would not ask. */
    private static boolean mayBeWritten(Path target) throws IOException {
        return Files.isWritable(target) && (!posix(target) || permissions(target).stream().anyMatch(p -> p
                == PosixFilePermission.OWNER_WRITE || p == PosixFilePermission.GROUP_WRITE || p == PosixFilePermission.OTHERS_WRITE));
    }

    private static Set<PosixFilePermission> permissions(Path target) throws IOException {
        return posix(target) ? Files.getPosixFilePermissions(target) : null;
    }

    private static boolean posix(Path target) {
        return target.getFileSystem().supportedFileAttributeViews().contains("posix");
    }

    /** The copy kept; a name too long for one more ending is cut. */
    static Path previous(Path target) {
        String name = target.getFileName().toString();
        String ending = ".previous";
        while ((name + ending).getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME) {
            name = name.substring(0, name.length() - 1);
        }
        return target.resolveSibling(name + ending);
    }
}
