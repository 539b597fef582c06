package ration.desktop;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import ration.desktop.style.Tokens.Scheme;

/**
 * The colors the system asks its programs for, where it tells: the theme named for GTK, else the desktop's own setting.
 * Asked at the start and when somebody comes back to the window; what was chosen here goes before it.
 */
final class SystemColors {

    private static final long PATIENCE = 2;

    private SystemColors() {}

    /** Empty where the system does not tell; waits for another program, so not on the interface thread. */
    static Optional<Scheme> ask() {
        Optional<Scheme> theme = ofTheme(Optional.ofNullable(System.getenv("GTK_THEME")));
        return theme.isPresent() ? theme : setting().flatMap(SystemColors::ofSetting);
    }

    /** A theme, such as Adwaita:dark. */
    static Optional<Scheme> ofTheme(Optional<String> theme) {
        return theme.filter(t -> !t.isBlank())
                .map(t -> t.toLowerCase(Locale.ROOT).matches(".*[:-]dark") ? Scheme.NIGHT : Scheme.DAY);
    }

    /** What the setting says: 'prefer-dark', 'prefer-light', or 'default', which tells nothing. */
    static Optional<Scheme> ofSetting(String said) {
        return switch (said.strip().replace("'", "")) {
            case "prefer-dark" -> Optional.of(Scheme.NIGHT);
            case "prefer-light" -> Optional.of(Scheme.DAY);
            default -> Optional.empty();
        };
    }

    private static Optional<String> setting() {
        try {
            Process asked = new ProcessBuilder("gsettings", "get", "org.gnome.desktop.interface", "color-scheme")
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            asked.getOutputStream().close();
            if (!asked.waitFor(PATIENCE, TimeUnit.SECONDS)) {
                asked.destroyForcibly();
                return Optional.empty();
            }
            return asked.exitValue() == 0
                    ? Optional.of(new String(asked.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    : Optional.empty();
        } catch (IOException e) {
            // a system without that program does not tell
            return Optional.empty();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        }
    }
}
