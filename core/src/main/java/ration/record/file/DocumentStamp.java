package ration.record.file;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;

/**
 * What a document on disk was when it was read or written: whoever saves later can tell whether somebody else wrote it
 * since.
 *
 * @param size bytes
 * @param modified time of the last change, ms
 * @param digest SHA-256 of its bytes
 */
public record DocumentStamp(long size, long modified, String digest) {

    /** Of a document whose file was not read: whatever is there is taken to be somebody else's. */
    public static final DocumentStamp UNKNOWN = new DocumentStamp(-1, 0, "");

    static DocumentStamp of(Path file, byte[] bytes) throws IOException {
        return new DocumentStamp(bytes.length, Files.getLastModifiedTime(file).toMillis(), digest(bytes));
    }

    /** Of what is on disk now; empty where nothing can be read there. */
    public static Optional<DocumentStamp> of(Path file) {
        try {
            return Files.size(file) > ProjectFile.LARGEST
                    ? Optional.of(new DocumentStamp(
                            Files.size(file), Files.getLastModifiedTime(file).toMillis(), ""))
                    : Optional.of(of(file, Files.readAllBytes(file)));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Whether the file still holds what it held: its bytes count, not the time alone. */
    public boolean stillHolds(Path file) {
        return of(file).map(now -> now.size == size && now.digest.equals(digest))
                .orElse(true);
    }

    private static String digest(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
