package ration.record.file;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import ration.record.project.Project;

/** The mark of a document, printed on every paper made from it: two documents with one mark hold the same. */
public final class DocumentMark {

    private DocumentMark() {}

    /** A digest of its content, in four groups of four; that a packet was given out does not count. */
    public static String of(Project p) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest(ProjectFile.text(p.with(p.signOff().unissued())).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest).substring(0, 16).replaceAll("(.{4})(?=.)", "$1 ");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
