package ration.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import ration.evidence.HangarTest;

/** Files that stand beside a document, known by their name and the SHA-256 of their bytes. */
public final class Attachments {

    private static final long MOST_BYTES = 256L << 20;

    private Attachments() {
    }

    /** How a file beside a document stands to what the record says of it. */
    public enum State {
        AS_RECORDED("as recorded"), CHANGED("changed since it was recorded"), MISSING("not beside the document");

        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * Brings a file beside a document, under another name where one of that name is there that is not the same.
     *
     * @throws ProjectFileException with what is wrong; nothing was written then
     */
    public static HangarTest.Photo attach(Path document, Path chosen) throws ProjectFileException {
        try {
            if (!Files.isRegularFile(chosen) || Files.size(chosen) > MOST_BYTES) {
                throw new ProjectFileException(chosen.getFileName() + " is no file, or larger than 256 MB.");
            }
            String digest = digest(chosen);
            Path folder = document.toAbsolutePath().getParent();
            Path target = folder.resolve(chosen.getFileName().toString());
            for (int n = 2; Files.exists(target) && !digest(target).equals(digest); n++) {
                target = folder.resolve(numbered(chosen.getFileName().toString(), n));
            }
            if (!Files.exists(target)) {
                SafeWrite.copy(chosen, target);
            }
            return new HangarTest.Photo(target.getFileName().toString(), digest);
        } catch (IOException e) {
            throw new ProjectFileException(chosen.getFileName() + " could not be brought beside the document: " + e.getMessage());
        }
    }

    private static String numbered(String name, int n) {
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) + "-" + n + name.substring(dot) : name + "-" + n;
    }

    /** Whether what stands beside a document is what was recorded. */
    public static State state(Path document, HangarTest.Photo photo) {
        Path folder = document.toAbsolutePath().getParent();
        Path file = folder.resolve(photo.file()).normalize();
        if (!file.getParent().equals(folder) || !Files.isRegularFile(file)) {
            return State.MISSING;
        }
        try {
            return digest(file).equals(photo.sha256()) ? State.AS_RECORDED : State.CHANGED;
        } catch (IOException e) {
            return State.MISSING;
        }
    }

    private static String digest(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            byte[] some = new byte[1 << 16];
            for (int n = in.read(some); n > 0; n = in.read(some)) {
                sha.update(some, 0, n);
            }
            return HexFormat.of().formatHex(sha.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
