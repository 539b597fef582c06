package ration.desktop.hangar;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.assess.Assessment;
import ration.assess.TankAnswer;
import ration.desktop.control.LivePage;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.evidence.HangarTest;
import ration.evidence.Inputs;
import ration.evidence.Work;
import ration.file.TestsCsv;
import ration.model.Measured;
import ration.model.Tank;
import ration.project.Edit;
import ration.project.Project;
import ration.quantity.Unit;

/** Hangar tests: on record to the left, the one at hand in the middle. */
public final class HangarPage extends LivePage {

    /** What the page asks of the window. */
    public interface Files {
        void readTable(Consumer<String> text);

        void writeTable(String suggested, String text);
    }

    private final Session session;
    private final Files files;
    private final Supplier<LocalDate> today;
    private final VBox list = new VBox(4);
    private final VBox begin = new VBox(6);
    private final TestRunner runner;
    private String open = "";

    /** @param today tells the date that goes on a record */
    public HangarPage(Session session, Files files, Supplier<LocalDate> today) {
        super(session, "hangar-page", "Hangar tests page");
        this.session = session;
        this.files = files;
        this.today = today;
        runner = new TestRunner(session, this::leave);
        Label title = Ui.label("Hangar tests", "page-title");
        title.setMinWidth(Region.USE_PREF_SIZE);
        HBox head = new HBox(8, title, Ui.label("what is poured, drained and read is recorded as it happens", "soft"), Ui.spring(),
                Ui.button("Read CSV\u2026", "tests-read", () -> this.files.readTable(this::read)),
                Ui.button("Write CSV\u2026", "tests-write", () -> this.files.writeTable("tests.csv", TestsCsv.write(
                        session.project().tests()))));
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("page-head");
        setTop(head);
        VBox left = new VBox(12, begin, Ui.rule(), Ui.label("On record", "group-title"), list);
        left.getStyleClass().add("card-body");
        list.setId("tests-list");
        ScrollPane scroll = new ScrollPane(left);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setPrefWidth(330);
        scroll.setMinWidth(330);
        scroll.getStyleClass().add("tests-list");
        setLeft(scroll);
        setCenter(runner);
    }

    /** Puts the writing mark where the work goes on. */
    public void focusWork() {
        if (open.isEmpty()) {
            begin.lookupAll(".button").stream().findFirst().ifPresent(javafx.scene.Node::requestFocus);
        } else {
            runner.focusField();
        }
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        Project project = session.project();
        if (project.test(open).isEmpty()) {
            open = "";
        }
        begin.getChildren().setAll(Ui.label("Begin", "group-title"));
        for (Tank tank : project.system().tanks()) {
            HBox row = new HBox(3, button("Drain test", "begin-drain-" + tank.id(), () -> drain(tank)),
                    button("Fill and mark", "begin-fill-" + tank.id(), () -> fill(tank)),
                    button("Top-off", "begin-top-" + tank.id(), () -> topOff(tank)));
            row.getChildren().forEach(n -> n.setAccessibleText(((Button) n).getText() + " of " + tank.name()));
            begin.getChildren().add(new VBox(3, Ui.label(tank.name(), "bold"), row));
        }
        if (project.system().tanks().isEmpty()) {
            begin.getChildren().add(Ui.wrapped("Lay out a tank first, on the Layout page.", "soft"));
        }
        list.getChildren().clear();
        if (project.tests().isEmpty()) {
            list.getChildren().add(Ui.wrapped("Nothing yet. A drain test shows what stays; a fill gives the gauge its marks; a"
                    + " top-off checks the capacity.", "soft"));
        }
        for (HangarTest t : project.tests()) {
            list.getChildren().add(row(t, a));
        }
        runner.show(project.test(open), a);
    }

    private static Button button(String text, String id, Runnable action) {
        return Ui.button(text, id, action, "chip");
    }

    private VBox row(HangarTest t, Assessment a) {
        Optional<TankAnswer> tank = a.tank(t.tank());
        boolean counts = t.progress().done() && tank.map(x -> !x.evidence().stale().contains(t)).orElse(false);
        String state = !t.progress().done() ? "interrupted at step " + (t.progress().step() + 1) : counts ? "counts"
                : "no longer counts: " + tank.map(x -> changed(t, x.tank())).orElse("its tank is gone");
        Button go = Ui.button(t.work().title() + ", " + tank.map(x -> x.tank().name()).orElse(t.tank()), "test-" + t.id(), () -> {
            open = t.id();
            update();
            focusWork();
        }, "plain");
        go.getStyleClass().add("test-row");
        go.setMaxWidth(Double.MAX_VALUE);
        go.setAlignment(Pos.CENTER_LEFT);
        Label result = Ui.label(TestRunner.result(t, session.units().get()), "bold");
        result.setMinWidth(Region.USE_PREF_SIZE);
        HBox first = new HBox(4, go, Ui.spring(), result);
        HBox.setHgrow(go, Priority.ALWAYS);
        first.setAlignment(Pos.CENTER_LEFT);
        Label words = Ui.wrapped(t.by().date() + (t.by().who().isBlank() ? "" : ", " + t.by().who()) + ", " + state,
                counts ? "soft" : "wrong-text");
        VBox box = new VBox(0, first, words);
        words.setPadding(new javafx.geometry.Insets(0, 0, 2, 6));
        box.getStyleClass().addAll("remedy", t.id().equals(open) ? "test-open" : "test-shut");
        return box;
    }

    /** What of its inputs is no longer so. */
    private static String changed(HangarTest t, Tank tank) {
        List<Inputs.Change> changes = t.by().inputs().changed(Inputs.of(tank));
        return changes.isEmpty() ? "the tank or its outlet has changed since" : changes.get(0).words() + (changes.size() > 1 ? ", and "
                + (changes.size() - 1) + " more" : "");
    }

    private void start(Tank tank, Work work) {
        Project p = session.project();
        String id = "test-1";
        for (int n = 2; p.test(id).isPresent(); n++) {
            id = "test-" + n;
        }
        HangarTest before = p.tests().isEmpty() ? null : p.tests().get(p.tests().size() - 1);
        HangarTest test = new HangarTest(id, tank.id(), new HangarTest.Circumstances(today.get().toString(),
                before == null ? "" : before.by().who(), before == null ? "" : before.by().instrument(), Optional.empty(), "",
                "").on(tank), work, HangarTest.Progress.START);
        open = id;
        session.apply(Edit.of("Begin " + work.title().toLowerCase(java.util.Locale.ROOT), q -> q.with(test)));
        update();
        focusWork();
    }

    private void drain(Tank tank) {
        start(tank, new Work.Drain("", Measured.of(0, Unit.DEGREE, "marks"), Measured.of(0, Unit.DEGREE, "level"), List.of()));
    }

    private void fill(Tank tank) {
        start(tank, new Work.Fill("Level", Measured.of(0, Unit.DEGREE, "level"), List.of()));
    }

    private void topOff(Tank tank) {
        start(tank, new Work.TopOff(Measured.of(0, Unit.GALLON), Optional.empty()));
    }

    private void leave() {
        open = "";
        update();
        focusWork();
    }

    private void read(String text) {
        try {
            List<HangarTest> read = TestsCsv.read(text);
            TestsCsv.Import into = TestsCsv.into(session.project().tests(), read);
            session.apply(Edit.of("Read tests from a table", p -> p.withTests(TestsCsv.into(p.tests(), read).all())));
            session.say(into.words() + (into.added() > 0 ? " Ctrl+Z takes them back." : ""));
        } catch (IllegalArgumentException e) {
            session.say(e.getMessage() + " Nothing was changed.");
        }
    }

    @Override
    public void arrive() {
        focusWork();
    }
}
