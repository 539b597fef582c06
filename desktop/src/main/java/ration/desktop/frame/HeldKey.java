package ration.desktop.frame;

import java.util.EnumSet;
import java.util.Set;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * Tells a key held down from a key pressed again: the system repeats the press without a release between. What changes
 * the document or asks for a file is done once a press; walking, tilting, zooming, writing and undoing may repeat.
 */
final class HeldKey {

    private static final Set<KeyCode> REPEATS = EnumSet.of(
            KeyCode.LEFT,
            KeyCode.RIGHT,
            KeyCode.UP,
            KeyCode.DOWN,
            KeyCode.TAB,
            KeyCode.PAGE_UP,
            KeyCode.PAGE_DOWN,
            KeyCode.HOME,
            KeyCode.END,
            KeyCode.PLUS,
            KeyCode.MINUS,
            KeyCode.EQUALS,
            KeyCode.ADD,
            KeyCode.SUBTRACT,
            KeyCode.OPEN_BRACKET,
            KeyCode.CLOSE_BRACKET,
            KeyCode.COMMA,
            KeyCode.PERIOD,
            KeyCode.SHIFT,
            KeyCode.CONTROL,
            KeyCode.ALT,
            KeyCode.META);
    private static final Set<KeyCode> UNDOES = EnumSet.of(KeyCode.Z, KeyCode.Y);
    private static final Set<KeyCode> COMMANDS = EnumSet.of(KeyCode.N, KeyCode.O, KeyCode.S, KeyCode.V);

    private KeyCode down;

    /** Notes a press; whether it only repeats one. */
    boolean pressed(KeyEvent e) {
        boolean again = e.getCode() == down;
        down = e.getCode();
        return again;
    }

    void released(KeyEvent e) {
        down = null;
    }

    /** Whether a repeated press is to be left out. */
    static boolean once(KeyEvent e, boolean writing) {
        if (e.isShortcutDown()) {
            return writing
                    ? COMMANDS.contains(e.getCode())
                    : !UNDOES.contains(e.getCode()) && !REPEATS.contains(e.getCode());
        }
        return e.getCode() == KeyCode.ENTER
                || e.getCode() == KeyCode.ESCAPE
                || !writing && !REPEATS.contains(e.getCode());
    }
}
