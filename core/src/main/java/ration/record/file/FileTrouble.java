package ration.record.file;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/** Why a file cannot be read or written, in words: the system's own message is often only the path again. */
public final class FileTrouble {

    private FileTrouble() {}

    /** The reason, to stand after {@code FILE cannot be written: }; without a full stop. */
    public static String why(Path file, IOException e) {
        if (Files.isDirectory(file)) {
            return "it is a folder, name a file in it";
        }
        if (e instanceof NoSuchFileException) {
            return "its folder does not exist, make it first or choose another";
        }
        if (e instanceof AccessDeniedException) {
            return "permission is denied, choose another folder";
        }
        if (e instanceof FileSystemException f && f.getReason() != null) {
            return f.getReason();
        }
        if (e instanceof java.nio.charset.CharacterCodingException) {
            return "it is not UTF-8 text";
        }
        return e.getMessage() == null || e.getMessage().matches(".*\\b[a-z]+(\\.[a-z]+)+\\.[A-Z].*")
                ? "the system gives no reason"
                : e.getMessage();
    }
}
