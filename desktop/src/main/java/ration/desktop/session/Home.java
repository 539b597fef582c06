package ration.desktop.session;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import ration.record.cost.CostList;
import ration.record.file.FileTrouble;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.file.SafeWrite;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * The program's own folder: recent files and unsaved work. Trouble here never stops the work at hand.
 *
 * <p>A copy of unsaved work has a name nobody can guess and a lock beside it that its program holds as long as it
 * lives; what is not locked was left behind. Copies are written beside and renamed, and only their owner can read them.
 */
public final class Home {

    private static final int RECENT = 8;
    /** A damaged list is not read to its end. */
    private static final long LONGEST_LIST = 64 << 10;

    private static final String VERDICTS = "recent-verdicts";
    private static final String COSTS = "costs.csv";
    private static final String COPY = "unsaved-";
    private static final String ORIGIN = ".origin";
    private static final String LOCK = ".lock";

    private final Path folder;
    private final String own = COPY + UUID.randomUUID() + ProjectFile.ENDING;
    private FileChannel lock;
    private boolean told;
    private volatile Consumer<String> onTrouble = m -> {};

    public Home(Path folder) {
        this.folder = folder;
    }

    /** The usual place, or what the property ration.home says. */
    public static Home usual() {
        String set = System.getProperty("ration.home");
        return new Home(set != null ? Path.of(set) : Path.of(System.getProperty("user.home"), ".ration"));
    }

    /** Told once, in a sentence, if nothing can be kept here. */
    void onTrouble(Consumer<String> action) {
        onTrouble = action;
    }

    /** Unsaved work found from an earlier session. */
    public record Recovered(Path copy, Project project, Optional<Path> file) {}

    /** A copy that cannot be read, and why. */
    public record Damaged(Path copy, String why) {}

    /** All that was left behind. */
    public record Left(List<Recovered> sound, List<Damaged> damaged) {}

    public List<Path> recent() {
        List<Path> files = new ArrayList<>();
        for (String line : text(folder.resolve("recent")).lines().toList()) {
            path(line).filter(Files::exists).ifPresent(files::add);
        }
        return files;
    }

    /**
     * A document opened or saved lately.
     *
     * @param verdict the worst it was last assessed with; empty where that was not kept, or the file has changed since
     * @param saved when the file was last written
     */
    public record Recent(Path file, Optional<Verdict> verdict, Optional<Instant> saved) {}

    /** The recent documents as they were left. */
    public List<Recent> recentWithVerdicts() {
        Map<String, String[]> kept = new HashMap<>();
        for (String line : text(folder.resolve(VERDICTS)).lines().toList()) {
            String[] parts = line.split("\t", 3);
            if (parts.length == 3) {
                kept.put(parts[2], parts);
            }
        }
        return recent().stream()
                .map(f -> {
                    Optional<Instant> written = written(f);
                    Optional<Verdict> verdict = Optional.ofNullable(kept.get(f.toString()))
                            .filter(k -> written.map(w -> k[1].equals(String.valueOf(w.toEpochMilli())))
                                    .orElse(false))
                            .flatMap(k -> Arrays.stream(Verdict.values())
                                    .filter(v -> v.name().equals(k[0]))
                                    .findFirst());
                    return new Recent(f, verdict, written);
                })
                .toList();
    }

    private static Optional<Instant> written(Path file) {
        try {
            return Optional.of(Files.getLastModifiedTime(file).toInstant());
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Keeps the worst verdict of a document as it stands in its file now. */
    void remember(Path file, Verdict worst) {
        String path = file.toAbsolutePath().toString();
        Optional<Instant> written = written(file);
        if (written.isEmpty() || path.contains("\n")) {
            return;
        }
        List<String> lines = new ArrayList<>();
        lines.add(worst.name() + "\t" + written.get().toEpochMilli() + "\t" + path);
        text(folder.resolve(VERDICTS))
                .lines()
                .filter(l -> !l.endsWith("\t" + path))
                .limit(RECENT - 1)
                .forEach(lines::add);
        try {
            make();
            SafeWrite.ownerOnly(
                    folder.resolve(VERDICTS), String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            // shown as Not shown; the document itself is safe
            return;
        }
    }

    public void remember(Path file) {
        List<String> lines = new ArrayList<>();
        lines.add(file.toAbsolutePath().toString());
        recent().stream()
                .map(Path::toString)
                .filter(l -> !lines.contains(l))
                .limit(RECENT - 1)
                .forEach(lines::add);
        try {
            make();
            SafeWrite.ownerOnly(
                    folder.resolve("recent"), String.join("\n", lines).getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            // recent files are a convenience; the document itself is safe
            return;
        }
    }

    /** Whatever a side file holds: bytes that are no text become marks, and hide nothing else. */
    private static String text(Path file) {
        try {
            return Files.size(file) > LONGEST_LIST ? "" : new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
        } catch (IOException e) {
            return "";
        }
    }

    private static Optional<Path> path(String written) {
        try {
            return written.isBlank() ? Optional.empty() : Optional.of(Path.of(written.strip()));
        } catch (InvalidPathException e) {
            return Optional.empty();
        }
    }

    private void make() throws IOException {
        if (!Files.isDirectory(folder)) {
            boolean posix = folder.getFileSystem().supportedFileAttributeViews().contains("posix");
            if (posix) {
                Files.createDirectories(
                        folder, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwx------")));
            } else {
                Files.createDirectories(folder);
            }
        }
    }

    /** A choice of the person, such as the colors; empty where none was kept. */
    public String choice(String name) {
        return text(folder.resolve(name)).strip();
    }

    /** Kept where it can be; it is asked for again where not. */
    public void keepChoice(String name, String chosen) {
        try {
            make();
            SafeWrite.ownerOnly(folder.resolve(name), chosen.getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            return;
        }
    }

    /** The log kept here and the one before it, the newer first; none where none is kept. */
    List<Path> logs() {
        return Stream.of("ration-0.log", "ration-1.log")
                .map(folder::resolve)
                .filter(Files::isRegularFile)
                .toList();
    }

    /** The builder's own list of costs; the one that ships where none is kept, or it cannot be read. */
    public CostList costs() {
        String kept = text(folder.resolve(COSTS));
        try {
            return kept.isBlank() ? CostList.shipped() : CostList.read(kept);
        } catch (IllegalArgumentException e) {
            // what was kept was read before; spoilt since, the made-up one says that it is
            return CostList.shipped();
        }
    }

    /** Keeps a list of costs for the next time. */
    public void keep(CostList list) {
        try {
            make();
            SafeWrite.ownerOnly(folder.resolve(COSTS), list.text().getBytes(StandardCharsets.UTF_8));
        } catch (IOException e) {
            onTrouble.accept("The cost list could not be kept in " + folder + ": "
                    + FileTrouble.why(folder.resolve(COSTS), e) + ". It counts until the program ends.");
        }
    }

    /** Keeps a log here from now on, with what nobody caught in it. */
    public void log() {
        try {
            make();
            Log.in(folder);
            Log.takeUncaught();
        } catch (IOException e) {
            // trouble here never stops the work: it is told when something of the user's cannot be kept
        }
    }

    /**
     * Keeps a copy of unsaved work.
     *
     * @return whether it is there
     */
    synchronized boolean keep(Project project, Path file) {
        try {
            make();
            hold();
            SafeWrite.ownerOnly(
                    origin(folder.resolve(own)),
                    (file == null ? "" : file.toString()).getBytes(StandardCharsets.UTF_8));
            SafeWrite.ownerOnly(folder.resolve(own), ProjectFile.text(project).getBytes(StandardCharsets.UTF_8));
            return true;
        } catch (IOException e) {
            if (!told) {
                told = true;
                onTrouble.accept("No copy of unsaved work can be kept in " + folder + ": "
                        + FileTrouble.why(folder.resolve(own), e)
                        + ". Save often: after a crash nothing could be brought back.");
            }
            return false;
        }
    }

    /** Takes the lock that tells other programs this copy has an owner. */
    private void hold() throws IOException {
        if (lock == null) {
            FileChannel channel = FileChannel.open(
                    locked(folder.resolve(own)),
                    StandardOpenOption.CREATE_NEW,
                    StandardOpenOption.WRITE,
                    LinkOption.NOFOLLOW_LINKS);
            channel.lock();
            lock = channel;
        }
    }

    private static Path origin(Path copy) {
        return copy.resolveSibling(copy.getFileName() + ORIGIN);
    }

    private static Path locked(Path copy) {
        return copy.resolveSibling(copy.getFileName() + LOCK);
    }

    /** Drops this session's copy: the work is saved or given up. */
    synchronized void forget() {
        delete(folder.resolve(own));
        try {
            if (lock != null) {
                lock.close();
                lock = null;
            }
        } catch (IOException e) {
            lock = null;
        }
        delete(locked(folder.resolve(own)));
    }

    /** Marks the documents open from here. */
    OpenMark openMark() {
        return new OpenMark(folder, this::make);
    }

    /** Drops a copy that was brought back or is not wanted. */
    public void discard(Path copy) {
        delete(copy);
        delete(locked(copy));
    }

    private void delete(Path copy) {
        try {
            Files.deleteIfExists(copy);
            Files.deleteIfExists(origin(copy));
        } catch (IOException e) {
            // it will be offered again
            return;
        }
    }

    /** Unsaved work left by sessions that no longer run: every sound copy, and each that is damaged with the reason. */
    public Left left() {
        SafeWrite.clearLeftovers(folder);
        List<Recovered> sound = new ArrayList<>();
        List<Damaged> damaged = new ArrayList<>();
        List<Path> copies;
        try (Stream<Path> files = Files.list(folder)) {
            copies = files.filter(f -> f.getFileName().toString().matches(COPY + "[0-9a-f-]+\\" + ProjectFile.ENDING))
                    .sorted()
                    .toList();
        } catch (IOException | java.io.UncheckedIOException e) {
            copies = List.of();
        }
        for (Path copy : copies) {
            if (copy.getFileName().toString().equals(own) || owned(copy)) {
                continue;
            }
            try {
                sound.add(new Recovered(copy, ProjectFile.open(copy), path(text(origin(copy)))));
            } catch (ProjectFileException e) {
                damaged.add(new Damaged(copy, e.fullText()));
            }
        }
        return new Left(sound, damaged);
    }

    /** Whether a living program holds the copy's lock. */
    private static boolean owned(Path copy) {
        Path beside = locked(copy);
        if (!Files.exists(beside, LinkOption.NOFOLLOW_LINKS)) {
            return false;
        }
        try (FileChannel channel = FileChannel.open(beside, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
                FileLock free = channel.tryLock()) {
            return free == null;
        } catch (OverlappingFileLockException e) {
            return true;
        } catch (IOException e) {
            return false;
        }
    }
}
