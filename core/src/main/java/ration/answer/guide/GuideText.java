package ration.answer.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import ration.verdict.words.Term;

/**
 * The text of a step: a title, how long it takes, paragraphs. It is read from the file that the documentation shows, a
 * small part of Markdown: a heading, a line in stars, paragraphs, and links to the terms.
 *
 * @param takes time and tools
 */
public record GuideText(String title, String takes, List<List<Piece>> paragraphs) {

    /** Words in a row, and the term they name if any. */
    public record Piece(String words, Optional<Term> term) {}

    public GuideText {
        paragraphs = List.copyOf(paragraphs);
    }

    private static final Pattern LINK = Pattern.compile("\\[([^\\]]+)]\\(terms\\.md#([a-z-]+)\\)");
    private static final Map<Step, GuideText> READ = new EnumMap<>(Step.class);

    static synchronized GuideText of(Step step) {
        return READ.computeIfAbsent(step, GuideText::read);
    }

    private static GuideText read(Step step) {
        String path = "/guide/" + step.file() + ".md";
        try (InputStream in = GuideText.class.getResourceAsStream(path)) {
            if (in == null) {
                throw new IllegalStateException("The guide lacks " + path);
            }
            return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static GuideText parse(String text) {
        String title = "";
        String takes = "";
        List<List<Piece>> paragraphs = new ArrayList<>();
        for (String block : text.strip().split("\\n\\s*\\n")) {
            String line = block.replace('\n', ' ').strip();
            if (line.startsWith("# ")) {
                title = line.substring(2);
            } else if (line.startsWith("![")) {
                // the window draws its own
                continue;
            } else if (takes.isEmpty() && line.startsWith("*") && line.endsWith("*")) {
                takes = line.substring(1, line.length() - 1);
            } else {
                paragraphs.add(pieces(line));
            }
        }
        return new GuideText(title, takes, paragraphs);
    }

    private static List<Piece> pieces(String line) {
        List<Piece> all = new ArrayList<>();
        Matcher link = LINK.matcher(line);
        int from = 0;
        while (link.find()) {
            all.add(new Piece(plain(line.substring(from, link.start())), Optional.empty()));
            all.add(new Piece(link.group(1), Optional.of(term(link.group(2)))));
            from = link.end();
        }
        all.add(new Piece(plain(line.substring(from)), Optional.empty()));
        all.removeIf(p -> p.words().isEmpty());
        return List.copyOf(all);
    }

    private static String plain(String words) {
        return words.replace("*", "");
    }

    private static Term term(String anchor) {
        return Term.valueOf(anchor.toUpperCase(Locale.ROOT).replace('-', '_'));
    }

    /** Where a term stands on the page of all of them. */
    public static String anchor(Term term) {
        return term.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** All of it in a row, for a reader that sees no links. */
    public String whole() {
        StringBuilder all = new StringBuilder();
        for (List<Piece> p : paragraphs) {
            p.forEach(x -> all.append(x.words()));
            all.append("\n");
        }
        return all.toString().strip();
    }
}
