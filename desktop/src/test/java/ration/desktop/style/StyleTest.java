package ration.desktop.style;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.publish.drawing.Ink;

class StyleTest {

    private static String sheet() throws IOException {
        return new String(
                StyleTest.class
                        .getResourceAsStream("/ration/desktop/style/ration.css")
                        .readAllBytes(),
                StandardCharsets.UTF_8);
    }

    @Test
    void coloursAreWrittenInTheRootOnly() throws IOException {
        String css = sheet();
        String rest = css.substring(css.indexOf('}', css.indexOf(".root")));
        assertThat(rest).doesNotContainPattern("#[0-9A-Fa-f]{3,8}\\b").doesNotContain("rgb");
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path p : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                String java = Files.readString(p);
                assertThat(java)
                        .as(p.toString())
                        .doesNotContainPattern("\"#[0-9A-Fa-f]{6}\"")
                        .doesNotContain("Color.rgb(")
                        .doesNotContain("Color.RED");
            }
        }
    }

    @Test
    void everyColourNamedIsDefined() throws IOException {
        String css = sheet();
        Map<String, Long> defined = Pattern.compile("(-ration-[a-z-]+):")
                .matcher(css)
                .results()
                .collect(Collectors.groupingBy(m -> m.group(1), Collectors.counting()));
        Matcher used = Pattern.compile("(-ration-[a-z-]+)").matcher(css);
        while (used.find()) {
            assertThat(defined).containsKey(used.group(1));
        }
        for (Ink ink : Ink.values()) {
            assertThat(Tokens.color(ink)).as(ink.name()).isNotNull();
            assertThat(ink.hex().isEmpty() ? Color.TRANSPARENT : Color.web(ink.hex()))
                    .as(ink + " on paper")
                    .isEqualTo(Tokens.color(ink));
        }
    }

    /** WCAG AA: 4.5 to 1 for text. */
    @ParameterizedTest
    @CsvSource({
        "INK, PANEL",
        "INK, GROUND",
        "SOFT, PANEL",
        "SOFT, BAY",
        "DEEP, PANEL",
        "RUST_TEXT, PANEL",
        "FUEL_TEXT, GROUND",
        "PANEL, OLIVE_UNDER_TEXT",
        "INK, FUEL_TINT",
        "RUST_TEXT, BAY"
    })
    void textStandsOutFromItsGround(Ink text, Ink ground) {
        double a = luminance(Tokens.color(text));
        double b = luminance(Tokens.color(ground));
        assertThat((Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)).isGreaterThan(4.5);
    }

    private static double luminance(Color c) {
        return 0.2126 * linear(c.getRed()) + 0.7152 * linear(c.getGreen()) + 0.0722 * linear(c.getBlue());
    }

    private static double linear(double v) {
        return v <= 0.04045 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
    }
}
