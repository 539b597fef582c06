package ration.record.file;

import java.util.List;

/** A document cannot be used; the message says what and where, and what to do. The file was not changed. */
public final class ProjectFileException extends Exception {

    private static final long serialVersionUID = 1;
    private static final int SHOWN = 6;

    private final transient List<String> details;

    ProjectFileException(String message, List<String> details) {
        super(message);
        this.details = List.copyOf(details);
    }

    ProjectFileException(String message) {
        this(message, List.of());
    }

    /** Single points found in the document, each with its place in it. */
    public List<String> details() {
        return details == null ? List.of() : details;
    }

    /** The message with the first few details, a line each. */
    public String fullText() {
        StringBuilder text = new StringBuilder(getMessage());
        details().stream().limit(SHOWN).forEach(d -> text.append("\n  ").append(d));
        if (details().size() > SHOWN) {
            text.append("\n  and ").append(details().size() - SHOWN).append(" more.");
        }
        return text.toString();
    }
}
