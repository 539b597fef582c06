package ration.desktop.frame;

import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;
import ration.desktop.runs.RunsPage;
import ration.desktop.session.Session;

/** Files beside the document: tables read and written, drawings and sheets written. */
final class Exports implements RunsPage.Files {

    /** Larger tables than this are no runs sheet. */
    private static final long MOST_BYTES = 4_000_000;

    private final Session session;
    private final FileDialogs dialogs;

    Exports(Session session, FileDialogs dialogs) {
        this.session = session;
        this.dialogs = dialogs;
    }

    @Override
    public void readTable(Consumer<String> text) {
        dialogs.toOpen(FileDialogs.Kind.TABLE).ifPresent(path -> {
            try {
                if (Files.size(path) > MOST_BYTES) {
                    session.say(path.getFileName() + " is larger than any runs sheet and was not read.");
                    return;
                }
                text.accept(Files.readString(path, StandardCharsets.UTF_8));
            } catch (MalformedInputException e) {
                session.say(path.getFileName() + " is not UTF-8 text. Save it as CSV, UTF-8.");
            } catch (IOException e) {
                session.say(path.getFileName() + " cannot be read: " + e.getMessage());
            }
        });
    }

    @Override
    public void writeTable(String suggested, String text) {
        write(suggested, FileDialogs.Kind.TABLE, path -> Files.writeString(path, text, StandardCharsets.UTF_8));
    }

    @Override
    public void print() {
        session.say("Printing is not there yet.");
    }

    /** Writes what cannot fail but for the disk. */
    @FunctionalInterface
    interface Writing {
        void to(Path path) throws IOException;
    }

    void write(String suggested, FileDialogs.Kind kind, Writing writing) {
        dialogs.toSave(suggested, kind).ifPresent(chosen -> {
            Path path = chosen.toString().endsWith(kind.ending()) ? chosen : Path.of(chosen + kind.ending());
            try {
                writing.to(path);
                session.say("Written: " + path.getFileName());
            } catch (IOException e) {
                session.say(path.getFileName() + " cannot be written: " + e.getMessage());
            }
        });
    }
}
