package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ration.desktop.style.Tokens.Scheme;

/** What a system says of its colors. */
class SystemColorsTest {

    @ParameterizedTest
    @CsvSource({"Adwaita:dark, NIGHT", "Yaru-dark, NIGHT", "Adwaita, DAY", "Darkroom, DAY", "'', ", "' ', "})
    void aThemeTellsByItsName(String theme, Scheme scheme) {
        assertThat(SystemColors.ofTheme(Optional.of(theme))).isEqualTo(Optional.ofNullable(scheme));
    }

    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '"',
            value = {"\"'prefer-dark'\n\", NIGHT", "'prefer-light', DAY", "'default', ", "\"\", ", "nonsense, "})
    void theSettingTellsOrNot(String said, Scheme scheme) {
        assertThat(SystemColors.ofSetting(said)).isEqualTo(Optional.ofNullable(scheme));
    }
}
