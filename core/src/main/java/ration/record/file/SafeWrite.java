package ration.record.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
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
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Writes a file so that at every moment either the old or the new one is there whole: beside it under a name nobody can
 * know beforehand, which no link planted there can lead elsewhere, forced to disk, then renamed. A symbolic link is
 * saved through; permissions stay; a file that may not be written is refused.
 */
public final class SafeWrite {

    /** Names longer than this, bytes, are refused by the usual file systems. */
    private static final int LONGEST_NAME = 255;

    private static final Set<PosixFilePermission> OWNER_ONLY =
            EnumSet.of(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);

    private static final String SAVING = ".saving";
    private static final String PREVIOUS = ".previous";
    private static final Pattern LEFTOVER = Pattern.compile("\\.ration-[0-9a-f-]{36}\\.saving");
    /** No write takes longer. */
    private static final Duration LEFT_BEHIND = Duration.ofMinutes(10);

    private static final Pattern DOCUMENT = Pattern.compile("\"format\"\\s*:\\s*\"" + ProjectFile.FORMAT + "\"");
    /** A document says what it is within so many bytes. */
    private static final int MARKED = 4096;

    private SafeWrite() {}

    /**
     * Writes.
     *
     * @param keep whether the copy that was there is kept as {@code name.previous}
     */
    static void document(Path file, byte[] bytes, boolean keep) throws IOException {
        Path target = through(file.toAbsolutePath());
        boolean there = Files.exists(target);
        if (there && !mayBeWritten(target)) {
            throw new FileSystemException(
                    target.toString(), null, "it is marked read-only, allow writing or save elsewhere");
        }
        write(target, bytes, there ? permissions(target) : null, keep && there);
    }

    /** Writes a file that only its owner can read. */
    public static void ownerOnly(Path file, byte[] bytes) throws IOException {
        write(file.toAbsolutePath(), bytes, OWNER_ONLY, false);
    }

    /**
     * Writes what was made of documents: a drawing, a sheet, a table. Never in place of a document.
     *
     * @param inputs what it was made of
     * @throws FileSystemException with the reason, nothing written, where it would stand in place of one
     */
    public static void derived(Path file, byte[] bytes, Path... inputs) throws IOException {
        refuseDocuments(file, inputs);
        Path target = through(file.toAbsolutePath());
        if (Files.exists(target) && !Files.isRegularFile(target) && !Files.isDirectory(target)) {
            // a pipe or a device: there is nothing to keep whole, and a file in its place would take it away
            Files.write(target, bytes, StandardOpenOption.WRITE);
            return;
        }
        if (Files.exists(target) && !mayBeWritten(target)) {
            throw new FileSystemException(
                    target.toString(), null, "it is marked read-only, allow writing or name another file");
        }
        write(target, bytes, Files.exists(target) ? permissions(target) : null, false);
    }

    /** The same for text, in UTF-8. */
    public static void derived(Path file, String text, Path... inputs) throws IOException {
        derived(file, text.getBytes(StandardCharsets.UTF_8), inputs);
    }

    /** Copies a file of any size; the copy is there whole or not at all. */
    static void copy(Path from, Path file) throws IOException {
        Path target = through(file.toAbsolutePath());
        write(
                target,
                channel -> {
                    try (FileChannel in = FileChannel.open(from, StandardOpenOption.READ)) {
                        ByteBuffer some = ByteBuffer.allocate(1 << 16);
                        while (in.read(some.clear()) >= 0) {
                            whole(channel, some.flip());
                        }
                    }
                },
                null,
                false);
    }

    /** Refuses a target that is one of the inputs, is named as a document is, or holds one. */
    public static void refuseDocuments(Path file, Path... inputs) throws IOException {
        Path target = through(file.toAbsolutePath());
        for (Path input : inputs) {
            if (Files.exists(target) && Files.exists(input) && Files.isSameFile(target, input)) {
                throw new FileSystemException(file.toString(), null, "it is what is read, name another file");
            }
        }
        String name = target.getFileName() == null
                ? ""
                : target.getFileName().toString().toLowerCase(Locale.ROOT);
        if (name.endsWith(ProjectFile.ENDING)
                || name.endsWith(ProjectFile.ENDING + PREVIOUS)
                || holdsDocument(target)) {
            throw new FileSystemException(
                    file.toString(), null, "it is a Ration document or named like one, name another file");
        }
    }

    /** A document says so in its first lines. */
    private static boolean holdsDocument(Path target) throws IOException {
        if (!Files.isRegularFile(target) || !Files.isReadable(target)) {
            return false;
        }
        try (InputStream in = Files.newInputStream(target)) {
            return DOCUMENT.matcher(new String(in.readNBytes(MARKED), StandardCharsets.ISO_8859_1))
                    .find();
        }
    }

    /**
     * Takes away what writes left behind that were cut off: files only this class makes, no longer being written.
     *
     * @param folder where documents stand
     */
    public static void clearLeftovers(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            Instant old = Instant.now().minus(LEFT_BEHIND);
            for (Path f : files.filter(
                            f -> LEFTOVER.matcher(f.getFileName().toString()).matches())
                    .toList()) {
                if (Files.getLastModifiedTime(f, LinkOption.NOFOLLOW_LINKS)
                        .toInstant()
                        .isBefore(old)) {
                    Files.deleteIfExists(f);
                }
            }
        } catch (IOException | UncheckedIOException e) {
            // they lie there and harm nothing; the next start tries again
            return;
        }
    }

    /** Fills a file that is being written. */
    @FunctionalInterface
    private interface Filling {
        void into(FileChannel channel) throws IOException;
    }

    private static void whole(FileChannel channel, ByteBuffer bytes) throws IOException {
        while (bytes.hasRemaining()) {
            channel.write(bytes);
        }
    }

    private static void write(Path target, byte[] bytes, Set<PosixFilePermission> permissions, boolean keep)
            throws IOException {
        write(target, channel -> whole(channel, ByteBuffer.wrap(bytes)), permissions, keep);
    }

    private static void write(Path target, Filling filling, Set<PosixFilePermission> permissions, boolean keep)
            throws IOException {
        Path beside = target.resolveSibling(".ration-" + UUID.randomUUID() + SAVING);
        try {
            try (FileChannel channel = FileChannel.open(
                    beside,
                    Set.of(StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS),
                    permissions == OWNER_ONLY && posix(target)
                            ? new java.nio.file.attribute.FileAttribute<?>[] {
                                PosixFilePermissions.asFileAttribute(OWNER_ONLY)
                            }
                            : new java.nio.file.attribute.FileAttribute<?>[0])) {
                filling.into(channel);
                channel.force(true);
            }
            if (permissions != null && posix(target)) {
                Files.setPosixFilePermissions(beside, permissions);
            }
            if (keep) {
                keepPrevious(target);
            }
            renamed(beside, target);
        } finally {
            Files.deleteIfExists(beside);
        }
    }

    /** The file as it is gets a second name, at once or not at all; its bytes are not touched. */
    private static void keepPrevious(Path target) throws IOException {
        Path second = target.resolveSibling(".ration-" + UUID.randomUUID() + SAVING);
        try {
            try {
                Files.createLink(second, target);
            } catch (IOException | UnsupportedOperationException e) {
                // a file system without second names: copied beside, then renamed
                Files.copy(target, second, StandardCopyOption.COPY_ATTRIBUTES);
            }
            renamed(second, previous(target));
        } finally {
            Files.deleteIfExists(second);
        }
    }

    private static void renamed(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** Where a link leads, also one whose file is not there yet. */
    private static Path through(Path file) throws IOException {
        Path at = file;
        for (int i = 0; i < 40 && Files.isSymbolicLink(at); i++) {
            at = at.resolveSibling(Files.readSymbolicLink(at)).normalize();
        }
        if (Files.isSymbolicLink(at)) {
            throw new FileSystemException(file.toString(), null, "it is a circular link");
        }
        return at;
    }

    /** As its permissions say: renaming over a read-only file would not ask. */
    private static boolean mayBeWritten(Path target) throws IOException {
        return Files.isWritable(target)
                && (!posix(target)
                        || permissions(target).stream()
                                .anyMatch(p -> p == PosixFilePermission.OWNER_WRITE
                                        || p == PosixFilePermission.GROUP_WRITE
                                        || p == PosixFilePermission.OTHERS_WRITE));
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
        while ((name + PREVIOUS).getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME) {
            name = name.substring(0, name.length() - 1);
        }
        return target.resolveSibling(name + PREVIOUS);
    }
}
