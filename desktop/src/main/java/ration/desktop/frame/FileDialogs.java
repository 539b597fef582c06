package ration.desktop.frame;

import java.nio.file.Path;
import java.util.Optional;

/** Asks for a file; behind an interface because native choosers cannot be driven by tests. */
public interface FileDialogs {

    Optional<Path> toOpen();

    Optional<Path> toSave(String suggestedName);
}
