package ration.record.file;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Validation;
import ration.record.project.Project;

/** Opens and saves {@code *.ration} documents. */
public final class ProjectFile {

    public static final String FORMAT = "ration";
    public static final int VERSION = 2;
    public static final String ENDING = ".ration";
    /** Name of the demo that is opened when none is named. */
    public static final String DEMO = "corrie-b1";
    /** Larger files are refused unread; a large system is a few hundred kilobytes. */
    public static final long LARGEST = 8L << 20;

    private static final int MOST_ITEMS = 2000;
    private static final int MOST_TESTS = 2000;
    private static final int MOST_FIGURES = 150_000;
    private static final int MOST_UNKNOWN = 2000;
    /** More faults than this are counted, not told. */
    private static final int MOST_PROBLEMS = 20;

    private static final ObjectMapper JSON = new ObjectMapper(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(40)
                            .maxNumberLength(60)
                            .maxStringLength(200_000)
                            .maxDocumentLength(LARGEST)
                            .build())
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    private ProjectFile() {}

    /**
     * A document with what it was on disk.
     *
     * @param stamp to tell by, when saving, whether somebody else wrote it since
     */
    public record Opened(Project project, DocumentStamp stamp) {}

    /** Opens a document. */
    public static Project open(Path file) throws ProjectFileException {
        return load(file).project();
    }

    /** Opens a document and keeps what it was on disk. */
    public static Opened load(Path file) throws ProjectFileException {
        try {
            if (Files.isDirectory(file)) {
                throw new ProjectFileException(file + " is a folder, not a document.");
            }
            long size = Files.size(file);
            if (size > LARGEST) {
                throw new ProjectFileException(String.format(
                        java.util.Locale.ROOT,
                        "%s is %d MB; the limit is %d MB. Not opened.",
                        file.getFileName(),
                        size >> 20,
                        LARGEST >> 20));
            }
            if (!Files.isRegularFile(file)) {
                if (!Files.exists(file)) {
                    throw new NoSuchFileException(file.toString());
                }
                throw new ProjectFileException(file + " is not a file. Not opened.");
            }
            byte[] bytes = Files.readAllBytes(file);
            return new Opened(read(bytes, file.getFileName().toString()), DocumentStamp.of(file, bytes));
        } catch (NoSuchFileException e) {
            throw new ProjectFileException("No file " + file + ".");
        } catch (IOException e) {
            throw new ProjectFileException(file + " cannot be read: " + FileTrouble.why(file, e) + ".");
        }
    }

    /** Every demo that ships with the program, by its file name without ending; the first is the usual one. */
    public static List<String> demos() {
        return List.of(DEMO, "tansy-l3", "brindle-a2");
    }

    /** Whole systems as people build them that ship with the program beside the demos, by file name without ending. */
    public static List<String> systems() {
        return List.of(
                "two-outlets",
                "collector-sump",
                "collectors-duplex",
                "twin-pumps-six-port",
                "header-bleed",
                "jet-siphon",
                "pump-modules");
    }

    /** The demo somebody means by a name or the beginning of one, in any case: tansy, Tansy L3, tansy-l3. */
    public static Project demoNamed(String written) throws ProjectFileException {
        String wanted = written.strip().toLowerCase(java.util.Locale.ROOT).replace(' ', '-');
        for (String name : Stream.concat(demos().stream(), systems().stream()).toList()) {
            if (!wanted.isEmpty() && name.startsWith(wanted)) {
                return demo(name);
            }
        }
        throw new ProjectFileException("No example called " + written.strip() + ". There are: "
                + String.join(", ", demos()) + "; " + String.join(", ", systems()) + ".");
    }

    /** A demo or a whole system that ships with the program, by its file name without ending. */
    public static Project demo(String name) throws ProjectFileException {
        try (InputStream in = ProjectFile.class.getResourceAsStream(
                "/demos/" + (systems().contains(name) ? "more/" : "") + name + ENDING)) {
            if (in == null || !name.matches("[a-z0-9-]+")) {
                throw new ProjectFileException("No example called " + name + ".");
            }
            return read(in.readAllBytes(), name + ENDING);
        } catch (IOException e) {
            throw new ProjectFileException("The demo " + name + " cannot be read: " + e.getMessage() + ".");
        }
    }

    /**
     * Reads a document from bytes.
     *
     * @param name for messages
     */
    public static Project read(byte[] bytes, String name) throws ProjectFileException {
        JsonNode root;
        try {
            root = JSON.readTree(bytes);
        } catch (JsonProcessingException e) {
            String where = e.getLocation() == null
                    ? ""
                    : " at line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr();
            throw new ProjectFileException(name + " is damaged or not a Ration document" + where + ": "
                    + inWords(e.getOriginalMessage()) + ". It was not changed.");
        } catch (IOException e) {
            throw new ProjectFileException(name + " cannot be read: " + e.getMessage() + ".");
        }
        if (root == null
                || !root.isObject()
                || !FORMAT.equals(root.path("format").asText())) {
            throw new ProjectFileException(name
                    + " is not a Ration document: it does not begin with \"format\": \"ration\". It was not changed.");
        }
        if (!root.path("version").isInt() || root.path("version").asInt() < 1) {
            throw new ProjectFileException(name + " does not say which version of the format it is.");
        }
        if (root.path("version").asInt() > VERSION) {
            throw new ProjectFileException(name + " was written by a newer Ration (format "
                    + root.path("version").asInt() + "; this one reads up to " + VERSION
                    + "). Open it with that one; it was not changed.");
        }
        tooMany(root, name);
        List<String> problems = new ArrayList<>();
        Project project = new ProjectReader(problems).read(root);
        if (project.unknown().size() > MOST_UNKNOWN) {
            throw new ProjectFileException(name + " holds " + project.unknown().size()
                    + " fields this version does not know." + " It was not opened or changed.");
        }
        if (problems.size() > MOST_PROBLEMS) {
            int more = problems.size() - MOST_PROBLEMS;
            problems.subList(MOST_PROBLEMS, problems.size()).clear();
            problems.add("and " + more + " more.");
        }
        if (problems.isEmpty()) {
            Validation.of(project.system()).stream()
                    .filter(Problem::breaksLayout)
                    .map(Problem::toString)
                    .forEach(problems::add);
        }
        if (!problems.isEmpty()) {
            throw new ProjectFileException(name + " has errors. Not changed. Fix:", problems);
        }
        return root.path("version").asInt() == 1 ? Version1.carried(project) : project;
    }

    /** Refuses what no aircraft holds before anything is made of it. */
    private static void tooMany(JsonNode root, String name) throws ProjectFileException {
        JsonNode items = root.path("system").path("items");
        JsonNode tests = root.path("tests");
        long points = 0;
        for (JsonNode list : new JsonNode[] {items, tests}) {
            for (JsonNode one : list) {
                points += deepSize(one);
            }
        }
        String most = items.size() > MOST_ITEMS
                ? MOST_ITEMS + " items"
                : tests.size() > MOST_TESTS
                        ? MOST_TESTS + " hangar tests"
                        : points > MOST_FIGURES
                                ? MOST_FIGURES + " figures"
                                : root.size() > MOST_UNKNOWN ? MOST_UNKNOWN + " fields" : "";
        if (!most.isEmpty()) {
            throw new ProjectFileException(
                    name + " holds more than " + most + ", which no aircraft does. It was not opened or"
                            + " changed. Take out what is too much with a text editor.");
        }
    }

    private static long deepSize(JsonNode node) {
        long sum = 1;
        for (JsonNode child : node) {
            sum += deepSize(child);
        }
        return sum;
    }

    /** Parts of the parser's sentences, and what each means to who has the file open in a text editor. */
    private static final Map<String, String> MEANT = meant();

    private static Map<String, String> meant() {
        Map<String, String> m = new LinkedHashMap<>();
        m.put("Duplicate field", "a field stands twice");
        m.put("end-of-input", "it ends too soon");
        m.put("Illegal unquoted character", "a text runs on over the end of its line, or holds a control character");
        m.put("trailing token", "something stands after its end");
        m.put("nesting depth", "it is nested deeper than any document");
        m.put("value length", "a text or a number in it is longer than any in a document");
        m.put("UTF-8", "it is not UTF-8 text");
        m.put("UTF-32", "it is not UTF-8 text");
        m.put("Unrecognized token", "a word stands there without quotation marks");
        m.put("escape", "a backslash in a text is followed by what it may not be");
        return m;
    }

    /** What the parser found wrong, in words of this program. */
    private static String inWords(String message) {
        String said = message == null ? "" : message;
        return MEANT.entrySet().stream()
                .filter(e -> said.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse("something stands there that may not");
    }

    /** The document as text, the same for the same project. */
    public static String text(Project project) {
        DefaultPrettyPrinter printer = new DefaultPrettyPrinter()
                .withObjectIndenter(new DefaultIndenter("  ", "\n"))
                .withArrayIndenter(new DefaultIndenter("  ", "\n"));
        try {
            return JSON.writer(printer).writeValueAsString(new ProjectWriter(JSON, project.unknown()).write(project))
                    + "\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("The document could not be written", e);
        }
    }

    /**
     * Saves safely: written beside, forced to disk, the previous copy kept as {@code name.ration.previous}, renamed;
     * see {@link SafeWrite}.
     *
     * @return what is on disk then
     * @throws ProjectFileException also where it could not be opened again; nothing is written then
     */
    public static DocumentStamp save(Project project, Path file) throws ProjectFileException {
        byte[] bytes = text(project).getBytes(StandardCharsets.UTF_8);
        if (bytes.length > LARGEST) {
            throw new ProjectFileException(String.format(
                    java.util.Locale.ROOT,
                    "The document is %d MB; it could not be opened"
                            + " again above %d MB and was not saved. Take tests out as a table first.",
                    bytes.length >> 20,
                    LARGEST >> 20));
        }
        try {
            read(bytes, file.getFileName() == null ? "" : file.getFileName().toString());
        } catch (ProjectFileException e) {
            throw new ProjectFileException(
                    "The document was not saved, because it could not be opened again. Undo, or fix:",
                    e.details().isEmpty() ? List.of(e.getMessage()) : e.details());
        }
        try {
            SafeWrite.document(file, bytes, true);
            return DocumentStamp.of(file, bytes);
        } catch (IOException e) {
            throw new ProjectFileException("The document could not be saved to " + file + ": "
                    + FileTrouble.why(file, e) + ". Save it elsewhere; nothing is lost in the window.");
        }
    }
}
