package ration.desktop.control;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.function.Consumer;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import ration.base.quantity.Measured;
import ration.base.quantity.Method;

/**
 * The ways a figure may have come about, beside the field that says it: each with how far the figure may be off then.
 */
public final class Methods {

    private Methods() {}

    /** Down, or a right click, lists them; a word that is none of them is said to count as an estimate. */
    public static void on(TextField field, Consumer<String> chosen) {
        ContextMenu menu = new ContextMenu();
        Arrays.stream(Method.values())
                .filter(m -> m != Method.ASSUMED && m != Method.FIT)
                .forEach(m -> {
                    MenuItem choice = new MenuItem(m.words());
                    choice.setId("method-" + m.name().toLowerCase(Locale.ROOT));
                    choice.setOnAction(
                            e -> chosen.accept(m == Method.CONFIRMED ? m.word() + ", " + LocalDate.now() : m.word()));
                    menu.getItems().add(choice);
                });
        field.setContextMenu(menu);
        field.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.DOWN) {
                menu.show(field, Side.BOTTOM, 0, 0);
                e.consume();
            }
        });
    }

    /** Says under the pointer how far the figure may be off as it came about. */
    public static void tell(TextField field, Measured now) {
        Method as = Method.of(now);
        boolean unknown = as.guessed()
                && !now.by().isBlank()
                && !now.by().toLowerCase(Locale.ROOT).startsWith(as.word());
        field.setTooltip(new Tooltip((unknown ? "\u201c" + now.by() + "\u201d counts as an estimate. " : "")
                + as.words() + ". Down lists the ways to measure; your own words go behind one: tape, left side."));
    }
}
