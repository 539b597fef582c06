package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.Slider;
import javafx.scene.control.TextInputControl;
import org.junit.jupiter.api.Test;

/** Every control of every page has a name for who cannot see it, and the keys reach it. */
class NamedControlsWindowTest extends WindowHarness {

    private static final List<String> PAGES = List.of(
            "brief",
            "layout",
            "runs",
            "flow",
            "tanks",
            "vapor",
            "air",
            "faults",
            "flight",
            "build",
            "hangar",
            "find",
            "upkeep",
            "sign_off");

    /** Views within a page, by their buttons, in the order they are opened. */
    private static final Map<String, List<String>> VIEWS = Map.of(
            "runs", List.of("#view-joints", "#view-lists", "#view-leaks"),
            "flow", List.of("#flow-which-pump"),
            "tanks", List.of("#view-shape", "#view-all-tanks"),
            "faults", List.of("#faults-hidden"),
            "build", List.of("#build-timeline"),
            "layout", List.of("#layer-plan", "#layer-plan"));

    private static final long MOST_NS = 20_000_000_000L;

    /** Arrows beside a field that the keys reach, and that have keys of their own: [ ] and , . */
    private static final Set<String> BESIDE = Set.of("pitch-up", "pitch-down", "tilt-up", "tilt-down");

    private final Set<String> nameless = new TreeSet<>();
    private final Set<String> unreached = new TreeSet<>();

    @Test
    void everyControlIsNamedAndReached() {
        menu("demo-tansy-l3");
        for (String page : PAGES) {
            robot.interact(() -> ((ButtonBase) node("#rail-" + page)).fire());
            look(page);
            for (String view : VIEWS.getOrDefault(page, List.of())) {
                robot.interact(() -> ((ButtonBase) node(view)).fire());
                look(page + view);
            }
        }
        assertThat(nameless).as("controls without a name").isEmpty();
        assertThat(unreached).as("controls the keys do not reach").isEmpty();
    }

    /** What a page shows is there once its answers are: until then it is looked at again. */
    private void look(String where) {
        Set<String> without = new TreeSet<>();
        long end = System.nanoTime() + MOST_NS;
        do {
            Hand.settle();
            without.clear();
            robot.interact(() -> controls(node("#rail-brief").getScene().getRoot()).stream()
                    .filter(c -> name(c).isBlank())
                    .forEach(c -> without.add(words(where, c))));
        } while (!without.isEmpty() && System.nanoTime() < end);
        nameless.addAll(without);
        robot.interact(() -> controls(node("#rail-brief").getScene().getRoot()).stream()
                .filter(c -> !c.isFocusTraversable() && !c.isDisabled() && !BESIDE.contains(c.getId()))
                .forEach(c -> unreached.add(words(where, c))));
    }

    private static String words(String where, Control c) {
        return where + " " + c.getClass().getSimpleName() + " #" + c.getId();
    }

    private static String name(Control c) {
        String said = c.getAccessibleText() == null ? "" : c.getAccessibleText();
        return said.isBlank() && c instanceof Labeled l && l.getText() != null ? l.getText() : said;
    }

    /** What is worked by hand and shown now. */
    private static List<Control> controls(Node node) {
        List<Control> all = new ArrayList<>();
        if (!node.isVisible()) {
            return all;
        }
        if (node instanceof ButtonBase
                || node instanceof TextInputControl
                || node instanceof ComboBoxBase<?>
                || node instanceof ChoiceBox<?>
                || node instanceof Slider) {
            all.add((Control) node);
        } else if (node instanceof Parent p) {
            p.getChildrenUnmodifiable().forEach(n -> all.addAll(controls(n)));
        }
        return all;
    }
}
