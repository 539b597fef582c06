package ration.desktop.style;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;
import javafx.scene.text.Text;
import ration.publish.drawing.Ink;
import ration.publish.drawing.TextMeasure;

/** Colours by role, read from the style sheet so that they are written once, and the typeface. */
public final class Tokens {

    private static final String SHEET = "ration.css";
    private static final String NIGHT = "night.css";
    private static final Map<Scheme, Map<Ink, Color>> INKS =
            new EnumMap<>(Map.of(Scheme.DAY, read(SHEET), Scheme.NIGHT, read(NIGHT)));
    private static Scheme scheme = Scheme.DAY;
    private static final Map<String, Font> FONTS = new java.util.HashMap<>();

    private Tokens() {}

    /** Loads the typeface; call once before the first window. */
    public static void loadFonts() {
        for (String file : new String[] {"B612-Regular.otf", "B612-Bold.otf"}) {
            Font.loadFont(Tokens.class.getResourceAsStream("fonts/" + file), 12);
        }
    }

    /** What the colors are for. */
    public enum Scheme {
        DAY,
        NIGHT
    }

    /** Style sheets of the scheme that holds, the later over the earlier. */
    public static List<String> sheets() {
        String day = Tokens.class.getResource(SHEET).toExternalForm();
        return scheme == Scheme.DAY
                ? List.of(day)
                : List.of(day, Tokens.class.getResource(NIGHT).toExternalForm());
    }

    public static Scheme scheme() {
        return scheme;
    }

    /** From now on; what is drawn already keeps its colors until it is drawn again. Interface thread only. */
    public static void use(Scheme other) {
        scheme = other;
    }

    public static Color color(Ink ink) {
        return color(ink, scheme);
    }

    static Color color(Ink ink, Scheme of) {
        return INKS.get(of).get(ink);
    }

    public static Font font(double size, boolean bold) {
        return FONTS.computeIfAbsent(
                size + (bold ? "b" : "r"), k -> Font.font("B612", bold ? FontWeight.BOLD : FontWeight.NORMAL, size));
    }

    /** True widths in the typeface; interface thread only. */
    public static TextMeasure measure() {
        Map<String, Double> known = new java.util.HashMap<>();
        return (text, size, bold) -> known.computeIfAbsent(size + (bold ? "b" : "r") + text, k -> {
            Text node = new Text(text);
            node.setFont(font(size, bold));
            return node.getLayoutBounds().getWidth();
        });
    }

    private static Map<Ink, Color> read(String file) {
        Map<Ink, Color> inks = new EnumMap<>(Ink.class);
        try (InputStream in = Tokens.class.getResourceAsStream(file)) {
            String sheet = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            for (Ink ink : Ink.values()) {
                String name = ink.name().toLowerCase(Locale.ROOT).replace('_', '-');
                Matcher m = Pattern.compile("-ration-" + name + ":\\s*(#[0-9A-Fa-f]{6})")
                        .matcher(sheet);
                if (ink == Ink.NONE) {
                    inks.put(ink, Color.TRANSPARENT);
                } else if (m.find()) {
                    inks.put(ink, Color.web(m.group(1)));
                } else {
                    throw new IllegalStateException("The style sheet has no color for " + ink);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return inks;
    }
}
