package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressIndicator;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.text.Text;
import org.junit.jupiter.api.Test;
import ration.desktop.frame.Page;
import ration.desktop.session.Worked;
import ration.record.project.Pattern;

/** A document opened after another shows what it shows opened alone, on every page. */
class OneAfterAnotherWindowTest extends WindowHarness {

    private void go(Page page) {
        robot.interact(() ->
                ((javafx.scene.control.Button) node("#rail-" + page.name().toLowerCase(java.util.Locale.ROOT))).fire());
    }

    /** How often in a row a page must say the same before it is taken as what it goes on saying. */
    private static final int STEADY = 5;

    /** Whether nothing is under way, and the page says what it will go on saying. */
    private boolean settled() {
        List<String> now = new ArrayList<>();
        said(node("#document-menu").getScene().getRoot(), now);
        boolean under = now.stream().anyMatch(t -> t.contains("being worked out"))
                || !robot.lookup(n -> n instanceof ProgressIndicator && visible(n))
                        .queryAll()
                        .isEmpty();
        same = !under && now.equals(last) ? same + 1 : 0;
        last = now;
        return same >= STEADY;
    }

    private List<String> last = List.of();
    private int same;

    private void settle() {
        same = 0;
        until(this::settled);
    }

    private static boolean visible(Node n) {
        return n == null || n.isVisible() && visible(n.getParent());
    }

    /** All that a page says, in order: texts, what fields hold, what is chosen and ticked. */
    private static void said(Node n, List<String> into) {
        if (!n.isVisible()) {
            return;
        }
        if (n instanceof TextInputControl t) {
            into.add(t.getId() + " holds " + t.getText());
        } else if (n instanceof Label l) {
            into.add(l.getText());
        } else if (n instanceof Text t) {
            into.add(t.getText());
        } else if (n instanceof CheckBox c) {
            into.add(c.getId() + (c.isSelected() ? " ticked" : " not ticked"));
        } else if (n instanceof ToggleButton b) {
            into.add(b.getId() + (b.isSelected() ? " on" : " off"));
        } else if (n instanceof ChoiceBox<?> c) {
            into.add(c.getId() + " is " + c.getValue());
        } else if (n instanceof ComboBox<?> c) {
            into.add(c.getId() + " is " + c.getValue());
        }
        if (n instanceof Parent p && !(n instanceof TextInputControl)) {
            p.getChildrenUnmodifiable().forEach(c -> said(c, into));
        }
    }

    private List<String> said() {
        List<String> all = new ArrayList<>();
        robot.interact(() -> said(node("#document-menu").getScene().getRoot(), all));
        return all;
    }

    private Map<Page, List<String>> all() {
        Map<Page, List<String>> of = new EnumMap<>(Page.class);
        for (Page page : Page.values()) {
            go(page);
            settle();
            of.put(page, said());
        }
        return of;
    }

    /** Everything on a page of the document that goes: typed in, ticked, chosen, pressed. */
    private void useAll(Page page) {
        go(page);
        Hand.settle();
        robot.interact(() -> {
            for (Node n : robot.lookup((Node x) -> visible(x)).queryAll()) {
                if (n.getScene() == null
                        || n.getId() == null
                        || n.getId().startsWith("rail-")
                        || n.getId().startsWith("units-")
                        || n.isDisabled()) {
                    continue;
                }
                if (n instanceof TextInputControl t && t.isEditable()) {
                    t.setText("7");
                } else if (n instanceof ChoiceBox<?> c) {
                    c.getSelectionModel().selectLast();
                } else if (n instanceof CheckBox
                        || n instanceof ToggleButton
                        || n instanceof javafx.scene.control.Button
                                && !n.getId().equals("document-menu")) {
                    ((javafx.scene.control.ButtonBase) n).fire();
                }
            }
        });
    }

    @Test
    void nothingOfOneAircraftIsShownWithTheNext() throws IOException {
        Worked a = Worked.of(session.project());
        Worked b = Worked.of(Pattern.GRAVITY_SELECTOR.project());
        robot.interact(() -> session.begin(b));
        Map<Page, List<String>> alone = all();
        robot.interact(() -> session.begin(a));
        for (Page page : Page.values()) {
            useAll(page);
        }
        Path log = folder.resolve("soak.csv");
        Files.writeString(log, "time,fuel\n0,20\n60,30\n120,35\n180,38\n240,40\n");
        robot.interact(() -> window.open(log));
        until(() -> !session.opening().running().get());
        robot.interact(() -> session.begin(b));
        for (Page page : Page.values()) {
            go(page);
            settle();
            List<String> more = new ArrayList<>(said());
            alone.get(page).forEach(more::remove);
            List<String> less = new ArrayList<>(alone.get(page));
            said().forEach(less::remove);
            assertThat(more)
                    .as("%s after another aircraft, and lacking %s", page, less)
                    .isEmpty();
            assertThat(less).as("lacking on %s after another aircraft", page).isEmpty();
        }
    }
}
