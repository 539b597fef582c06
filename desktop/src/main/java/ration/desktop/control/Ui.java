package ration.desktop.control;

import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.binding.DoubleBinding;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import ration.verdict.check.Verdict;
import ration.verdict.words.Term;

/** The few things every view builds in the same way. */
public final class Ui {

    /** Left over and under a control that was scrolled to. */
    private static final double ROOM = 24;

    /** Property of a text that is not taken by leaving it: what it held when it was shown. */
    public static final String ASK_BEFORE_LEAVING = "ration.ask-before-leaving";

    private Ui() {}

    public static Label label(String text, String... styles) {
        Label label = new Label(text);
        label.getStyleClass().addAll(styles);
        return label;
    }

    /** A word of the trade, dotted: it says what it means under the mouse and to assistive technology. */
    public static Label term(Term term, Label label) {
        label.getStyleClass().add("term");
        Tooltip says = new Tooltip(term.word() + "\n" + term.says() + "\n" + term.figure());
        says.setWrapText(true);
        says.setMaxWidth(TERM_WIDTH);
        label.setTooltip(says);
        label.setAccessibleHelp(term.says() + " " + term.figure());
        return label;
    }

    private static final double TERM_WIDTH = 380;

    public static Label wrapped(String text, String... styles) {
        Label label = label(text, styles);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    /** Where a page says why what was written cannot be read; takes no room while there is nothing to say. */
    public static Label trouble(String id) {
        Label label = wrapped("", "wrong-text");
        label.setId(id);
        label.managedProperty().bind(label.textProperty().isNotEmpty());
        return label;
    }

    /** A button with its name for assistive technology and tests. */
    public static Button button(String text, String id, Runnable action, String... styles) {
        Button button = new Button(text);
        button.setId(id);
        button.setOnAction(e -> action.run());
        button.getStyleClass().addAll(styles);
        button.setMnemonicParsing(false);
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    /** Just so wide, whatever is in it. */
    public static Region wide(Region r, double w) {
        r.setMinWidth(w);
        r.setPrefWidth(w);
        r.setMaxWidth(w);
        return r;
    }

    /** Never cut short. */
    public static <R extends Region> R whole(R r) {
        r.setMinWidth(Region.USE_PREF_SIZE);
        return r;
    }

    /** A window narrower than this is a small one, px. */
    private static final double SMALL = 1200;

    /** What a length is in a large window and in a small one, as the node stands in it. */
    public static DoubleBinding inWindow(Node node, double large, double small) {
        DoubleBinding seen = Bindings.selectDouble(node.sceneProperty(), "width");
        return Bindings.createDoubleBinding(() -> seen.get() > 0 && seen.get() < SMALL ? small : large, seen);
    }

    /** Whether the window a node stands in is a small one. */
    public static BooleanBinding inSmallWindow(Node node) {
        return inWindow(node, 0, 1).greaterThan(0.5);
    }

    /** So wide in a large window, and so in a small one, whatever is in it. */
    public static <R extends Region> R wide(R r, double large, double small) {
        DoubleBinding width = inWindow(r, large, small);
        r.minWidthProperty().bind(width);
        r.prefWidthProperty().bind(width);
        r.maxWidthProperty().bind(width);
        return r;
    }

    /** A name in bold and what is said of it, in as many lines as that takes. */
    public static TextFlow named(String name, String said) {
        Text bold = new Text(name + "  ");
        bold.getStyleClass().add("flow-bold");
        Text plain = new Text(said);
        plain.getStyleClass().add("flow-plain");
        return new TextFlow(bold, plain);
    }

    public static Region spring() {
        Region region = new Region();
        HBox.setHgrow(region, Priority.ALWAYS);
        return region;
    }

    public static Region rule() {
        Region region = new Region();
        region.getStyleClass().add("rule");
        return region;
    }

    public static Region tallRule() {
        Region region = new Region();
        region.getStyleClass().add("tall-rule");
        return region;
    }

    /** The verdict as a word in its ink. */
    public static void verdict(Label label, Verdict verdict) {
        label.setText(verdict.word());
        label.getStyleClass().removeIf(s -> s.startsWith("verdict-"));
        label.getStyleClass()
                .add("verdict-"
                        + verdict.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
    }

    /** What stands beside a page: a card that scrolls up and down only. */
    public static ScrollPane side(Node card, double width) {
        return side(card, width, width);
    }

    /** The same, narrower in a small window. */
    public static ScrollPane side(Node card, double width, double small) {
        ScrollPane side = new Scroll(card);
        side.setFitToWidth(true);
        side.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        side.getStyleClass().add("card");
        return wide(side, width, small);
    }

    /** Up and Down go from one button of a list to the next. */
    public static void walk(Pane rows, KeyEvent e) {
        int step = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
        List<Node> all =
                rows.getChildren().stream().filter(Button.class::isInstance).toList();
        int at = all.indexOf(rows.getScene().getFocusOwner());
        if (step != 0 && at >= 0 && at + step >= 0 && at + step < all.size()) {
            all.get(at + step).requestFocus();
            e.consume();
        }
    }

    /** Scrolls what holds a control until it is seen; what is larger than the view stays where it is. */
    public static void reveal(Node control) {
        for (Node n = control.getParent(); n != null; n = n.getParent()) {
            if (n instanceof ScrollPane scroll && scroll.getContent() != null && within(control, scroll.getContent())) {
                Bounds at = scroll.getContent().sceneToLocal(control.localToScene(control.getBoundsInLocal()));
                Bounds all = scroll.getContent().getLayoutBounds();
                Bounds view = scroll.getViewportBounds();
                scroll.setVvalue(
                        seen(scroll.getVvalue(), at.getMinY(), at.getMaxY(), view.getHeight(), all.getHeight()));
                scroll.setHvalue(seen(scroll.getHvalue(), at.getMinX(), at.getMaxX(), view.getWidth(), all.getWidth()));
            }
        }
    }

    /** The value of a scroll bar with which a stretch is in view. */
    private static double seen(double value, double from, double to, double view, double all) {
        double hidden = all - view;
        double first = value * hidden;
        if (hidden <= 0 || to - from >= view || from >= first && to <= first + view) {
            return value;
        }
        double wanted = from < first ? from - ROOM : to + ROOM - view;
        return Math.max(0, Math.min(1, wanted / hidden));
    }

    private static boolean within(Node inner, Node outer) {
        Node n = inner;
        while (n != null && n != outer) {
            n = n.getParent();
        }
        return n != null;
    }

    public static <N extends Node> N named(N node, String id, String words) {
        node.setId(id);
        node.setAccessibleText(words);
        return node;
    }
}
