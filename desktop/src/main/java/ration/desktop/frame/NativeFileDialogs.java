package ration.desktop.frame;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import ration.file.ProjectFile;

/** The platform's own choosers. */
public final class NativeFileDialogs implements FileDialogs {

    private final Window owner;

    public NativeFileDialogs(Window owner) {
        this.owner = owner;
    }

    private static FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("Ration documents",
                "*" + ProjectFile.ENDING));
        return chooser;
    }

    @Override
    public Optional<Path> toOpen() {
        return Optional.ofNullable(chooser("Open").showOpenDialog(owner)).map(File::toPath);
    }

    @Override
    public Optional<Path> toSave(String suggestedName) {
        FileChooser chooser = chooser("Save as");
        chooser.setInitialFileName(suggestedName);
        return Optional.ofNullable(chooser.showSaveDialog(owner)).map(File::toPath);
    }
}
