package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.beans.value.ChangeListener;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.desktop.frame.Page;
import ration.record.file.ProjectFile;
import ration.record.project.Edit;
import ration.record.project.Project;

/** In a window of 1280 x 800 no text of any page ends in an ellipsis: what is long wraps, or is said shorter. */
class NothingCutWindowTest extends WindowHarness {

    /** The most crowded demo in the build, all of them in the long one. */
    static Stream<String> demos() {
        return Boolean.getBoolean("ration.deep")
                ? Stream.of(
                        "corrie-b1",
                        "brindle-a2",
                        "tansy-l3",
                        "collector-sump",
                        "collectors-duplex",
                        "header-bleed",
                        "jet-siphon",
                        "pump-modules",
                        "twin-pumps-six-port",
                        "two-outlets")
                : Stream.of("tansy-l3");
    }

    @ParameterizedTest
    @MethodSource("demos")
    void noTextIsCutOnAnyPage(String demo) throws Exception {
        Project p = ProjectFile.demo(demo);
        robot.interact(() -> session.show(p, null));
        List<String> all = new ArrayList<>();
        for (Page page : Page.values()) {
            String id = "#rail-" + page.name().toLowerCase(Locale.ROOT);
            robot.interact(() -> node(id).requestFocus());
            keys(KeyCode.ENTER);
            until(() -> page != Page.FAULTS || session.faults().get() != null);
            until(() -> page != Page.FLIGHT || session.flight().get() != null);
            cutNow(page.toString(), all);
        }
        for (String beside : List.of("guide", "measure")) {
            menu(beside);
            cutNow(beside, all);
        }
        // what was before stands beside each figure that moved
        Run last = p.system()
                .runAt(new PortRef(p.system().inlet().orElseThrow().id(), Item.IN))
                .orElseThrow();
        // it stands there for a while only: whoever asks later, on a slow machine, has missed it
        Set<String> seen = ConcurrentHashMap.newKeySet();
        List<String> wanted = List.of("#ledger-flow-was", "#ledger-open-was");
        // the window goes on to other tests: what watches it goes with this one
        ChangeListener<String> watch = (o, before, now) -> {
            if (now.startsWith("previously ")) {
                Platform.runLater(() -> {
                    cutHere("after an edit", all);
                    wanted.stream()
                            .filter(w -> ((Labeled) node(w)).textProperty() == o)
                            .forEach(seen::add);
                });
            }
        };
        robot.interact(() -> {
            wanted.forEach(w -> ((Labeled) node(w)).textProperty().addListener(watch));
            ((ButtonBase) node("#rail-layout")).fire();
            session.apply(Edit.onItem("Narrow", last.id(), Run.class, r -> r.withSize(LineSize.parse("0.08 in bore"))));
        });
        try {
            until(() -> session.shown().get().project() == session.project());
            until(() -> seen.size() == wanted.size());
        } finally {
            robot.interact(
                    () -> wanted.forEach(w -> ((Labeled) node(w)).textProperty().removeListener(watch)));
        }
        assertThat(all).isEmpty();
    }

    /** An empty sheet's too. */
    @ParameterizedTest
    @MethodSource("demos")
    void theCardOfEveryItemFitsBesideTheDrawing(String demo) throws Exception {
        List<String> all = new ArrayList<>();
        for (Project p : List.of(ProjectFile.demo(demo), Project.empty())) {
            robot.interact(() -> session.show(p, null));
            robot.interact(() -> ((ButtonBase) node("#rail-layout")).fire());
            for (Item item : p.system().items()) {
                robot.interact(() -> session.picked().set(item.id()));
                robot.interact(() -> {
                    ScrollPane card = (ScrollPane) node("#card");
                    card.getScene().getRoot().applyCss();
                    card.getScene().getRoot().layout();
                    double over = card.getContent().getLayoutBounds().getWidth()
                            - card.getViewportBounds().getWidth();
                    if (over > 0.5) {
                        all.add(item.name() + " by " + Math.round(over) + " px: " + widest((Parent) card.getContent()));
                    }
                    Set<String> cut = new LinkedHashSet<>();
                    cut(card.getContent(), cut);
                    cut.forEach(c -> all.add(item.name() + ": " + c));
                });
            }
        }
        assertThat(all).isEmpty();
    }

    /** At every size of the text nothing is cut either; what takes the focus is scrolled to. */
    @Test
    void largerTextCutsNothing() {
        robot.interact(() -> node("#rail-hangar").requestFocus());
        keys(KeyCode.ENTER);
        List<String> all = new ArrayList<>();
        for (int percent : List.of(125, 150, 175)) {
            control(KeyCode.EQUALS);
            until(() -> robot.lookup("#text-size").tryQuery().isPresent()
                    && session.home().choice("text-size").equals(String.valueOf(percent)));
            cutNow(percent + " %", all);
        }
        assertThat(all).isEmpty();
        Bounds large = bounds("#rail-variants");
        robot.interact(() -> node("#rail-variants").requestFocus());
        keys(KeyCode.UP);
        until(() -> {
            Bounds at = bounds("#rail-sign_off");
            return at.getMaxY() <= node("#rail-layout").getScene().getHeight() && at.getMinY() >= 0;
        });
        control(KeyCode.DIGIT0);
        until(() -> robot.lookup("#text-size").tryQuery().isEmpty());
        assertThat(bounds("#rail-variants").getHeight()).isCloseTo(large.getHeight() / 1.75, Offset.offset(1.0));
    }

    private Bounds bounds(String id) {
        return node(id).localToScene(node(id).getBoundsInLocal());
    }

    private void cutNow(String where, List<String> all) {
        robot.interact(() -> cutHere(where, all));
    }

    /** What takes most room, and what of it. */
    private static String widest(Parent p) {
        return p.getChildrenUnmodifiable().stream()
                .max(Comparator.comparingDouble(n -> n.minWidth(-1)))
                .map(n -> n.getClass().getSimpleName() + " " + n.minWidth(-1) + " " + n.getId()
                        + (n instanceof Labeled l
                                ? " \"" + l.getText() + "\""
                                : n instanceof Parent q ? " > " + widest(q) : ""))
                .orElse("");
    }

    private void cutHere(String where, List<String> all) {
        Parent root = node("#rail-layout").getScene().getRoot();
        root.applyCss();
        root.layout();
        Set<String> cut = new LinkedHashSet<>();
        cut(root, cut);
        cut.forEach(c -> all.add(where + ": " + c));
    }

    private static void cut(Node node, Set<String> found) {
        if (!node.isVisible()) {
            return;
        }
        if (node instanceof Labeled l && l.getText() != null && !l.getText().isEmpty()) {
            Node text = l.lookup(".text");
            if (text instanceof Text t
                    && t.getParent() == l
                    && !t.getText().equals(l.getText())
                    && l.getBoundsInLocal().getWidth() > 0) {
                found.add((l.getId() == null ? "" : l.getId() + " ") + "\"" + t.getText() + "\" of \"" + l.getText()
                        + "\"");
            }
        }
        if (node instanceof ScrollPane s && s.getContent() != null) {
            cut(s.getContent(), found);
        } else if (node instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(c -> cut(c, found));
        }
    }
}
