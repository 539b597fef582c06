package ration.desktop.session;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.file.ProjectFile;
import ration.file.ProjectFileException;
import ration.project.Project;

/** The program's own folder: recent files and unsaved work. Trouble here never stops the work at hand. */
public final class Home {

    private static final int RECENT = 8;

    private final Path folder;
    private final long process = ProcessHandle.current().pid();

    public Home(Path folder) {
        this.folder = folder;
    }

    /** The usual place, or what the property ration.home says. */
    public static Home usual() {
        String set = System.getProperty("ration.home");
        return new Home(set != null ? Path.of(set) : Path.of(System.getProperty("user.home"), ".ration"));
    }

    /** Unsaved work found from an earlier session. */
    public record Recovered(Path copy, Project project, Optional<Path> file) {
    }

    public List<Path> recent() {
        try {
            return Files.readAllLines(folder.resolve("recent")).stream().map(Path::of).filter(Files::exists).toList();
        } catch (IOException | IllegalArgumentException e) {
            return List.of();
        }
    }

    public void remember(Path file) {
        List<String> lines = new ArrayList<>();
        lines.add(file.toAbsolutePath().toString());
        recent().stream().map(Path::toString).filter(l -> !lines.contains(l)).limit(RECENT - 1).forEach(lines::add);
        try {
            Files.createDirectories(folder);
            Files.write(folder.resolve("recent"), lines);
        } catch (IOException e) {
            // recent files are a convenience; the document itself is safe
        }
    }

    private Path copy() {
        return folder.resolve("unsaved-" + process + ProjectFile.ENDING);
    }

    private static Path origin(Path copy) {
        return copy.resolveSibling(copy.getFileName() + ".origin");
    }

    /** Keeps a copy of unsaved work. */
    void keep(Project project, Path file) {
        try {
            Files.createDirectories(folder);
            Files.writeString(copy(), ProjectFile.text(project), StandardCharsets.UTF_8);
            Files.writeString(origin(copy()), file == null ? "" : file.toString());
        } catch (IOException e) {
            // nothing to do: saving by hand still works and says what is wrong
        }
    }

    /** Drops this session's copy: the work is saved or given up. */
    void forget() {
        discard(copy());
    }

    public void discard(Path copy) {
        try {
            Files.deleteIfExists(copy);
            Files.deleteIfExists(origin(copy));
        } catch (IOException e) {
            // it will be offered again
        }
    }

    /** Unsaved work left by sessions that no longer run. */
    public Optional<Recovered> recovered() {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path p : files.filter(f -> f.getFileName().toString().matches("unsaved-\\d+\\.ration")).toList()) {
                long owner = Long.parseLong(p.getFileName().toString().replaceAll("\\D", ""));
                if (owner == process || ProcessHandle.of(owner).isPresent()) {
                    continue;
                }
                String from = Files.exists(origin(p)) ? Files.readString(origin(p)) : "";
                return Optional.of(new Recovered(p, ProjectFile.open(p),
                        from.isBlank() ? Optional.empty() : Optional.of(Path.of(from))));
            }
        } catch (IOException | ProjectFileException | NumberFormatException e) {
            return Optional.empty();
        }
        return Optional.empty();
    }
}
