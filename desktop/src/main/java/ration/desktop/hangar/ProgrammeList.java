package ration.desktop.hangar;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.check.Verdict;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.evidence.Standing;
import ration.evidence.TestKind;
import ration.evidence.Work;
import ration.proof.Programme;

/** Every test the aircraft gets, by what it is about: how each stands, what it closes, which is next. */
final class ProgrammeList extends VBox {

    private static final double[] WIDE = {72, 166, 124, 70};

    private final Consumer<Programme.Proof> pick;
    private String today = "";

    ProgrammeList(Consumer<Programme.Proof> pick) {
        this.pick = pick;
        setId("programme");
        setPadding(new Insets(2, 0, 8, 0));
        addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(this, e));
    }

    /** Id of the row of a test. */
    static String id(Programme.Proof p) {
        return "wanted-" + p.wanted().key().toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("-$", "");
    }

    /** @param picked key of the test that is open */
    void show(Programme programme, String picked, String running, LocalDate now) {
        today = now.toString();
        Optional<String> focused = getChildren().stream().filter(javafx.scene.Node::isFocused).map(javafx.scene.Node::getId).findFirst();
        getChildren().clear();
        Optional<Programme.Proof> next = programme.next();
        TestKind.Group group = null;
        if (programme.tests().isEmpty()) {
            getChildren().add(Ui.wrapped("Lay out a tank first, on the Layout page.", "soft"));
            return;
        }
        getChildren().add(head());
        for (Programme.Proof p : programme.tests()) {
            boolean first = p.wanted().kind().group() != group;
            group = p.wanted().kind().group();
            getChildren().add(row(p, first ? group.label() : "", p.wanted().key().equals(picked), p.wanted().key().equals(picked) ? running : "", next.filter(p::equals)
                    .isPresent()));
        }
        focused.flatMap(id -> getChildren().stream().filter(n -> id.equals(n.getId())).findFirst()).ifPresent(javafx.scene.Node::requestFocus);
    }

    private static HBox head() {
        Label test = Ui.label("Test", "soft");
        Label state = Ui.label("State", "soft");
        Label closes = Ui.label("Closes", "soft");
        HBox box = new HBox(5, Ui.wide(new Region(), WIDE[0]), Ui.wide(new Region(), 24), Ui.wide(test, WIDE[1]), Ui.wide(state, WIDE[2]), Ui.wide(closes, WIDE[3]));
        box.setPadding(new Insets(4, 8, 3, 8));
        return box;
    }

    private Button row(Programme.Proof p, String group, boolean picked, String running, boolean next) {
        boolean stale = p.standing().map(Standing::state).filter(s -> s == Standing.State.STALE).isPresent();
        NotchBar bar = new NotchBar(24, 7);
        bar.show(p.counts() ? p.outcome().ratio() : 0, p.verdict());
        Label name = Ui.label(brief(p.wanted().name()), p.wanted().asked() ? "plain-text" : "soft");
        boolean over = over(p);
        String said = !running.isEmpty() ? running : over ? "look again, over" : next && p.record().isEmpty() ? "next" : state(p);
        boolean bad = stale || over || p.counts() && p.verdict() == Verdict.SHORT;
        Label state = Ui.label(said, bad ? "wrong-text" : p.counts() ? "plain-text" : "soft");
        if (next || picked) {
            name.getStyleClass().add("bold");
            state.getStyleClass().add("bold");
        }
        HBox box = new HBox(5, Ui.wide(Ui.label(group, "group-title"), WIDE[0]), bar, Ui.wide(name, WIDE[1]), Ui.wide(state, WIDE[2]), Ui.wide(Ui.label(p.wanted().kind().closes(),
                "soft"), WIDE[3]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", id(p), () -> pick.accept(p));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (picked) {
            row.getStyleClass().add("fault-picked");
        }
        if (stale) {
            row.getStyleClass().add("stale-row");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(String.join(", ", List.of(p.wanted().name(), p.state() + (over ? ", to be looked at again by now" : ""), "closes " + p.wanted().kind().closes())));
        row.setTooltip(new javafx.scene.control.Tooltip(p.wanted().name() + ": " + p.state()));
        return row;
    }

    /** Whether a piece was to be looked at again by now. */
    private boolean over(Programme.Proof p) {
        return p.counts() && p.record().map(t -> t.work()).filter(Work.Sheet.class::isInstance).map(Work.Sheet.class::cast).flatMap(Work.Sheet::again).filter(d -> d.compareTo(today)
                <= 0).isPresent();
    }

    /** The group and its column say the rest. */
    private static String brief(String name) {
        return name.replace("Drain test", "Drain").replace(" of ", ", ").replace("Tank under pressure", "Pressure").replaceAll(" tank$", "").replace("Dead-head pressure", "Dead-head");
    }

    /** Short enough for its column. */
    private static String state(Programme.Proof p) {
        if (p.counts()) {
            return p.record().orElseThrow().by().date().substring(Math.min(5, p.record().orElseThrow().by().date().length())) + ", " + p.outcome().verdict().word();
        }
        return p.state();
    }
}
