package ration.record.file;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.nio.file.attribute.FileTime;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collections;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import ration.record.evidence.HangarTest;

/** Files that stand beside a document, known by their name and the SHA-256 of their bytes. */
public final class Attachments {

    /** Larger files are refused: a packet of them would not travel. */
    private static final long MOST_BYTES = 256L << 20;

    /** What a file was when its bytes were last gone through: as long as it is that, it need not be done again. */
    private record Stat(Path file, long size, FileTime written, Object key) {

        static Stat of(Path file) throws IOException {
            BasicFileAttributes a = Files.readAttributes(file, BasicFileAttributes.class);
            return new Stat(file, a.size(), a.lastModifiedTime(), a.fileKey());
        }
    }

    private static final int MOST_KNOWN = 500;
    private static final Map<Stat, String> KNOWN = Collections.synchronizedMap(new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Stat, String> eldest) {
            return size() > MOST_KNOWN;
        }
    });

    private Attachments() {}

    /** How a file beside a document stands to what the record says of it. */
    public enum State {
        AS_RECORDED("as recorded"),
        CHANGED("changed since it was recorded"),
        MISSING("not beside the document");

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
            if (!Files.isRegularFile(chosen)) {
                throw new ProjectFileException(chosen.getFileName() + " is not a file.");
            }
            if (Files.size(chosen) > MOST_BYTES) {
                throw new ProjectFileException(chosen.getFileName() + " is " + (Files.size(chosen) >> 20)
                        + " MB; the limit for attachments is " + (MOST_BYTES >> 20)
                        + " MB. Shorten it, or keep it elsewhere and name it in a note.");
            }
            String wrong = HangarTest.Photo.wrong(chosen.getFileName().toString());
            if (!wrong.isEmpty()) {
                throw new ProjectFileException("It cannot be attached: " + wrong + ". Rename it first.");
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
            throw new ProjectFileException(chosen.getFileName() + " could not be brought beside the document: "
                    + FileTrouble.why(chosen, e) + ".");
        }
    }

    private static String numbered(String name, int n) {
        int dot = name.lastIndexOf('.');
        return dot > 0 ? name.substring(0, dot) + "-" + n + name.substring(dot) : name + "-" + n;
    }

    /**
     * Whether what stands beside a document is what was recorded. Goes through all its bytes, unless that was done
     * since it was written: seconds for a film.
     */
    public static State state(Path document, HangarTest.Photo photo) {
        Optional<State> known = known(document, photo);
        if (known.isPresent()) {
            return known.get();
        }
        try {
            return digest(beside(document, photo).orElseThrow()).equals(photo.sha256())
                    ? State.AS_RECORDED
                    : State.CHANGED;
        } catch (IOException e) {
            return State.MISSING;
        }
    }

    /** The same at once, without reading the file; empty where it has to be read first. */
    public static Optional<State> known(Path document, HangarTest.Photo photo) {
        Optional<Path> file = beside(document, photo);
        if (file.isEmpty()) {
            return Optional.of(State.MISSING);
        }
        try {
            return Optional.ofNullable(KNOWN.get(Stat.of(file.get())))
                    .map(d -> d.equals(photo.sha256()) ? State.AS_RECORDED : State.CHANGED);
        } catch (IOException e) {
            return Optional.of(State.MISSING);
        }
    }

    /** Larger photographs are not printed: a packet of them would not travel. */
    private static final long MOST_PRINTED = 12L << 20;

    /** The bytes of a photograph that is as it was recorded; empty of any other file, and of one too large to print. */
    public static Optional<byte[]> picture(Path document, HangarTest.Photo photo) {
        Optional<Path> file = beside(document, photo);
        try {
            if (file.isEmpty()
                    || Files.size(file.get()) > MOST_PRINTED
                    || state(document, photo) != State.AS_RECORDED) {
                return Optional.empty();
            }
            byte[] bytes = Files.readAllBytes(file.get());
            return Optional.of(bytes).filter(b -> begins(b, 0xFF, 0xD8, 0xFF) || begins(b, 0x89, 'P', 'N', 'G'));
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    private static boolean begins(byte[] bytes, int... with) {
        for (int i = 0; i < with.length; i++) {
            if (i >= bytes.length || (bytes[i] & 0xFF) != with[i]) {
                return false;
            }
        }
        return true;
    }

    private static Optional<Path> beside(Path document, HangarTest.Photo photo) {
        Path folder = document.toAbsolutePath().getParent();
        return HangarTest.Photo.wrong(photo.file()).isEmpty()
                ? Optional.of(folder.resolve(photo.file())).filter(Files::isRegularFile)
                : Optional.empty();
    }

    private static String digest(Path file) throws IOException {
        Stat before = Stat.of(file);
        String known = KNOWN.get(before);
        if (known != null) {
            return known;
        }
        String fresh = digested(file);
        // written meanwhile: what was read may be of two files
        if (before.equals(Stat.of(file))) {
            KNOWN.put(before, fresh);
        }
        return fresh;
    }

    private static String digested(Path file) throws IOException {
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
