package ration.desktop.frame;

import java.awt.print.PrinterJob;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** The platform's own choosers. */
public final class NativeFileDialogs implements FileDialogs {

    private final Window owner;

    public NativeFileDialogs(Window owner) {
        this.owner = owner;
    }

    private static FileChooser chooser(String title, Kind kind) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter(kind.label(), "*" + kind.ending()));
        return chooser;
    }

    @Override
    public Optional<Path> toOpen(Kind kind) {
        return Optional.ofNullable(chooser("Open", kind).showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Printer printer(PrinterJob job) {
        return PrinterJob.lookupPrintServices().length == 0
                ? Printer.NONE
                : job.printDialog() ? Printer.CHOSEN : Printer.CLOSED;
    }

    @Override
    public Optional<Path> toSave(String suggestedName, Kind kind) {
        FileChooser chooser = chooser("Save as", kind);
        chooser.setInitialFileName(suggestedName);
        return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }
}
