package ration.desktop.style;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
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
    private static final Map<Ink, Color> INKS = read();
    private static final Map<String, Font> FONTS = new java.util.HashMap<>();

    private Tokens() {}

    /** Loads the typeface; call once before the first window. */
    public static void loadFonts() {
        for (String file : new String[] {"B612-Regular.otf", "B612-Bold.otf"}) {
            Font.loadFont(Tokens.class.getResourceAsStream("fonts/" + file), 12);
        }
    }

    public static String sheet() {
        return Tokens.class.getResource(SHEET).toExternalForm();
    }

    public static Color color(Ink ink) {
        return INKS.get(ink);
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

    private static Map<Ink, Color> read() {
        Map<Ink, Color> inks = new EnumMap<>(Ink.class);
        try (InputStream in = Tokens.class.getResourceAsStream(SHEET)) {
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
