package ration.desktop.control;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/**
 * Titled groups side by side. Where they find no room, the last ones fold to a button that says what they are set to;
 * it opens its group, and others fold for it. In one line all of them are folded until one is asked.
 */
public final class FoldingGroups extends RowBox {

    private static final double APART = 14;

    private final List<Group> groups = new ArrayList<>();
    private Group asked;
    private boolean line;
    private Runnable opened = () -> {};

    /** One of them. */
    private static final class Group {
        private final VBox open;
        private final Button folded;
        private final Label says = Ui.label("", "bold");
        private final Label name = Ui.label("", "soft");
        private final Supplier<String> set;
        private final Node rule;

        Group(Label title, Label called, Node content, Supplier<String> set, Node rule) {
            this.set = set;
            this.rule = rule;
            open = new ColumnBox(3, title, content);
            name.textProperty().bind(called.textProperty());
            folded = Ui.button(
                    "",
                    "fold-" + called.getText().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+.*", ""),
                    () -> {},
                    "chip");
            inLine(false);
        }

        final void inLine(boolean line) {
            folded.setGraphic(line ? new RowBox(6, name, says) : new ColumnBox(2, name, says));
        }

        void fold(boolean away) {
            folded.setVisible(away);
            folded.setManaged(away);
            open.setVisible(!away);
            open.setManaged(!away);
        }
    }

    public FoldingGroups() {
        super(APART);
        setAlignment(Pos.CENTER_LEFT);
        setMinWidth(0);
    }

    public void clear() {
        groups.clear();
        asked = null;
        getChildren().clear();
    }

    /**
     * Adds a group at the right.
     *
     * @param set what it is set to, in a word or two
     */
    public void add(Label title, Node content, Supplier<String> set) {
        add(title, title, content, set);
    }

    /**
     * The same.
     *
     * @param name what it is called where it is folded, beside what it is set to
     */
    public void add(Label title, Label name, Node content, Supplier<String> set) {
        Node rule = Ui.tallRule();
        Group group = new Group(title, name, content, set, rule);
        group.inLine(line);
        if (!groups.isEmpty()) {
            getChildren().add(rule);
        }
        groups.add(group);
        group.folded.setOnAction(e -> {
            asked = group;
            opened.run();
            requestLayout();
            layout();
            group.open.lookupAll(".toggle-button").stream()
                    .filter(Node::isFocusTraversable)
                    .findFirst()
                    .ifPresent(Node::requestFocus);
        });
        group.fold(false);
        getChildren().addAll(group.open, group.folded);
    }

    /**
     * All in one line, or open as far as there is room.
     *
     * @param tell run when one of them is opened from its line
     */
    public void inLine(boolean other, Runnable tell) {
        line = other;
        opened = tell;
        asked = null;
        groups.forEach(g -> g.inLine(other));
        requestLayout();
    }

    /** Whether one of them was opened from the line. */
    public boolean open() {
        return asked != null;
    }

    /** Says anew what the folded ones are set to. */
    public void say() {
        for (Group g : groups) {
            String words = g.set.get();
            if (!words.equals(g.says.getText())) {
                g.says.setText(words);
                g.folded.setAccessibleText(((Label) g.open.getChildren().get(0)).getText() + ", " + words + ", open");
            }
        }
    }

    @Override
    protected double computeMinWidth(double height) {
        return 0;
    }

    @Override
    protected void layoutChildren() {
        Set<Group> away = new java.util.HashSet<>();
        double width = getWidth() - getInsets().getLeft() - getInsets().getRight();
        for (int i = groups.size() - 1; i >= 0 && (line || needed(away) > width); i--) {
            if (groups.get(i) != asked) {
                away.add(groups.get(i));
            }
        }
        groups.forEach(g -> g.fold(away.contains(g)));
        super.layoutChildren();
    }

    private double needed(Set<Group> away) {
        double sum = 0;
        for (int i = 0; i < groups.size(); i++) {
            Group g = groups.get(i);
            sum += (away.contains(g) ? g.folded : g.open).prefWidth(-1)
                    + (i > 0 ? g.rule.prefWidth(-1) + 2 * APART : 0);
        }
        return sum;
    }
}
