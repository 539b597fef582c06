package ration.desktop.style;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import ration.publish.drawing.Ink;

/** Contrast of both schemes by the formula of WCAG 2.1 (1.4.3 text 4.5:1, 1.4.11 marks and control edges 3:1). */
class ContrastTest {

    private static final List<Ink> GROUNDS = List.of(Ink.PANEL, Ink.GROUND);
    private static final List<Ink> TEXTS = List.of(Ink.INK, Ink.SOFT, Ink.DEEP, Ink.RUST_TEXT, Ink.FUEL_TEXT);
    private static final List<Ink> MARKS =
            List.of(Ink.EDGE, Ink.OLIVE, Ink.FUEL, Ink.PLUM, Ink.RUST, Ink.AIR, Ink.TEAL, Ink.HOLDS, Ink.THIN);

    private static double channel(double c) {
        return c <= 0.03928 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    private static double luminance(Color c) {
        return 0.2126 * channel(c.getRed()) + 0.7152 * channel(c.getGreen()) + 0.0722 * channel(c.getBlue());
    }

    private static double contrast(Ink a, Ink b, Tokens.Scheme scheme) {
        double x = luminance(Tokens.color(a, scheme));
        double y = luminance(Tokens.color(b, scheme));
        return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
    }

    @ParameterizedTest
    @EnumSource
    void textCanBeRead(Tokens.Scheme scheme) {
        for (Ink ground : GROUNDS) {
            for (Ink text : TEXTS) {
                assertThat(contrast(text, ground, scheme))
                        .as(text + " on " + ground)
                        .isGreaterThanOrEqualTo(4.5);
            }
        }
        for (Ink tinted : List.of(Ink.RUST_FAINT, Ink.RUST_TINT, Ink.BAY)) {
            assertThat(contrast(Ink.RUST_TEXT, tinted, scheme))
                    .as("on " + tinted)
                    .isGreaterThanOrEqualTo(4.5);
            assertThat(contrast(Ink.INK, tinted, scheme)).as("on " + tinted).isGreaterThanOrEqualTo(4.5);
        }
        assertThat(contrast(Ink.INK, Ink.FUEL_TINT, scheme)).isGreaterThanOrEqualTo(4.5);
        // what is chosen, and the one filled button
        assertThat(contrast(Ink.PANEL, Ink.OLIVE_UNDER_TEXT, scheme)).isGreaterThanOrEqualTo(4.5);
    }

    @ParameterizedTest
    @EnumSource
    void marksAndEdgesCanBeSeen(Tokens.Scheme scheme) {
        for (Ink ground : GROUNDS) {
            for (Ink mark : MARKS) {
                assertThat(contrast(mark, ground, scheme))
                        .as(mark + " on " + ground)
                        .isGreaterThanOrEqualTo(3);
            }
        }
    }

    /** What fails is told from what holds by its lightness too: a hatch beside a solid bar, thin lighter than holds. */
    @ParameterizedTest
    @EnumSource
    void thinIsLighterThanHolds(Tokens.Scheme scheme) {
        assertThat(luminance(Tokens.color(Ink.THIN, scheme))).isGreaterThan(luminance(Tokens.color(Ink.HOLDS, scheme)));
    }
}
