package ration.desktop.layout;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.record.project.NewItem;
import ration.record.project.Pattern;

/** What can follow, named in trade terms, over the drawing. */
final class Chooser extends ColumnBox {

    private Runnable onClose = () -> {};
    private String asked = "";
    private String hint = "";
    private double wide;
    private List<Option> offered = List.of();
    private String typed = "";
    /** Until a key is pressed here, what is typed belongs to the key that opened it. */
    private boolean fresh;

    Chooser() {
        super(2);
        setId("chooser");
        getStyleClass().add("overlay-card");
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        setVisible(false);
        addEventFilter(javafx.scene.input.KeyEvent.KEY_PRESSED, e -> {
            fresh = false;
            int step = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            } else if (e.getCode() == KeyCode.BACK_SPACE) {
                type(typed.isEmpty() ? "" : typed.substring(0, typed.length() - 1));
                e.consume();
            } else if (step != 0) {
                move(step);
                e.consume();
            } else if (e.getCode() == KeyCode.SPACE && !typed.isEmpty()) {
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER && getScene().getFocusOwner() instanceof Button button) {
                button.fire();
                e.consume();
            }
        });
        addEventFilter(javafx.scene.input.KeyEvent.KEY_TYPED, this::letters);
    }

    /** Letters find among what is offered. */
    private void letters(javafx.scene.input.KeyEvent e) {
        String c = e.getCharacter();
        if (!fresh
                && c.length() == 1
                && (Character.isLetterOrDigit(c.charAt(0))
                        || c.equals("/")
                        || c.equals("-")
                        || c.equals(" ") && !typed.isEmpty())) {
            type(typed + c.toLowerCase(java.util.Locale.ROOT));
            e.consume();
        }
    }

    /** Something to choose: its name in tests and for assistive technology, what it is called, what it is. */
    record Option(String id, String label, String detail, Runnable chosen) {}

    void open(String question, List<NewItem> offers, Consumer<NewItem> chosen, List<Option> joins, Runnable closed) {
        List<Option> all = new ArrayList<>(offers.stream()
                .map(o -> new Option(
                        o.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'),
                        o.label(),
                        o.usual(),
                        () -> chosen.accept(o)))
                .toList());
        all.addAll(joins);
        show(question, "Type to search. Enter adds it with estimated values. Esc closes.", 360, all, closed);
    }

    /** Ports to join. */
    void joins(String question, List<Option> joins, Runnable closed) {
        show(
                question,
                "Type to search. Enter adds a line; measure its length later. Escape closes.",
                360,
                joins,
                closed);
    }

    /** Things to do at once, or items to go to. */
    void acts(String question, List<Option> acts, Runnable closed) {
        show(question, "Type to find. Enter takes it. Escape closes.", 360, acts, closed);
    }

    /** Layouts to start from. */
    void patterns(Consumer<Pattern> chosen, Runnable closed) {
        show(
                "Start from which layout?",
                "All values are estimates: replace them with your measurements. Escape closes.",
                620,
                java.util.Arrays.stream(Pattern.values())
                        .map(p -> new Option(
                                p.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'),
                                p.label(),
                                p.detail(),
                                () -> chosen.accept(p)))
                        .toList(),
                closed);
    }

    private void show(String question, String foot, double width, List<Option> options, Runnable closed) {
        onClose = closed;
        asked = question;
        hint = foot;
        wide = width;
        offered = options;
        typed = "";
        fresh = true;
        fill();
        setVisible(true);
        getChildren().get(1).requestFocus();
    }

    /**
     * What is offered and holds all that was typed: first what is called so, then what has it in its name, then the
     * rest.
     */
    private void fill() {
        getChildren().setAll(Ui.label(asked + (typed.isEmpty() ? "" : "  " + typed), "group-title"));
        offered.stream()
                .filter(o -> holds(o.label() + " " + o.detail()))
                .sorted(java.util.Comparator.comparingInt(o ->
                        o.label().toLowerCase(java.util.Locale.ROOT).startsWith(typed) ? 0 : holds(o.label()) ? 1 : 2))
                .forEach(o -> getChildren().add(button(o)));
        if (getChildren().size() == 1) {
            getChildren().add(Ui.label("No match. Backspace deletes a letter.", "soft"));
        }
        getChildren().add(Ui.label(hint, "soft"));
    }

    private boolean holds(String text) {
        return java.util.Arrays.stream(typed.split(" ")).allMatch(text.toLowerCase(java.util.Locale.ROOT)::contains);
    }

    private Button button(Option option) {
        Button button = Ui.button("", "offer-" + option.id(), () -> {
            close();
            option.chosen().run();
        });
        button.getStyleClass().setAll("offer");
        HBox words = new RowBox(10, Ui.label(option.label(), "bold"), Ui.spring(), Ui.label(option.detail(), "soft"));
        words.setPrefWidth(wide);
        button.setGraphic(words);
        button.setAccessibleText(option.label() + ", " + option.detail());
        return button;
    }

    private void type(String letters) {
        typed = letters;
        fill();
        getChildren().get(1).requestFocus();
    }

    void close() {
        if (isVisible()) {
            setVisible(false);
            onClose.run();
        }
    }

    private void move(int step) {
        int count = getChildren().size() - 2;
        int at = getChildren().indexOf(getScene().getFocusOwner());
        if (count > 0) {
            getChildren().get(1 + Math.floorMod(at - 1 + step, count)).requestFocus();
        }
    }
}
