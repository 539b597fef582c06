package ration.desktop.hangar;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.Assessment;
import ration.answer.proof.TestProgram;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Procedure;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;
import ration.record.project.Edit;
import ration.record.project.Project;

/** One test, a step at a time: what to do, the caution, one entry, Enter. */
final class TestRunner extends ColumnBox {

    /** Property of a field: what it takes, so that a live reading of that kind can be dropped in. */
    static final String TAKES = "ration.takes";
    /** Property of a field: what dropped its figure in. */
    static final String FED_BY = "ration.fed-by";
    /** What the stand-in is called where a figure says who read it. */
    static final String STAND_IN = "stand-in";

    private final Session session;
    private final Runnable leave;
    private final Consumer<HangarTest> attach;
    private final SheetEntry sheets = new SheetEntry(this);
    private final TankEntry tanks = new TankEntry(this);
    private TextField last;
    private final Label where = Ui.label("", "soft");
    private final Label title = Ui.wrapped("", "step-title");
    private final Label words = Ui.wrapped("", "step-words");
    private final VBox caution = new ColumnBox();
    private final VBox entry = new ColumnBox(8);
    private final Label big = Ui.label("", "big-figure");
    private final Label under = Ui.wrapped("", "step-words");
    private final Label trouble = Ui.trouble("test-trouble");
    private final FlowPane buttons = new FlowPane(6, 6);
    private final VBox soFar = new ColumnBox(4);
    private final Timeline clock = new Timeline(new KeyFrame(Duration.seconds(1), e -> tick()));
    private Optional<HangarTest> shown = Optional.empty();
    private Assessment assessment;
    private String built = "";
    private double seconds;
    private TextField first;

    /** @param attach asked for a file to stand beside a record */
    TestRunner(Session session, Runnable leave, Consumer<HangarTest> attach) {
        this.session = session;
        this.leave = leave;
        this.attach = attach;
        setSpacing(10);
        setId("test-runner");
        getStyleClass().add("runner");
        clock.setCycleCount(Animation.INDEFINITE);
        title.setId("step-title");
        big.setId("big-figure");
        big.styleProperty()
                .bind(javafx.beans.binding.Bindings.when(Ui.inSmallWindow(big))
                        .then("-fx-font-size: 34px;")
                        .otherwise(""));
        under.setId("under-figure");
        big.managedProperty().bind(big.textProperty().isNotEmpty());
        under.managedProperty().bind(under.textProperty().isNotEmpty());
        words.managedProperty().bind(words.textProperty().isNotEmpty());
        caution.getStyleClass().add("caution");
        caution.managedProperty().bind(caution.visibleProperty());
        buttons.setAlignment(Pos.CENTER_LEFT);
        soFar.setId("so-far");
        VBox.setVgrow(soFar, Priority.ALWAYS);
        getChildren().addAll(where, title, words, caution, entry, big, under, trouble, buttons, Ui.rule(), soFar);
    }

    void focusField() {
        if (first != null) {
            first.requestFocus();
            first.selectAll();
        } else {
            buttons.getChildren().stream()
                    .filter(Button.class::isInstance)
                    .findFirst()
                    .ifPresent(javafx.scene.Node::requestFocus);
        }
    }

    // for the entries of a step

    Assessment assessment() {
        return assessment;
    }

    Project project() {
        return session.project();
    }

    VBox entry() {
        return entry;
    }

    FlowPane buttons() {
        return buttons;
    }

    Timeline clock() {
        return clock;
    }

    double seconds() {
        return seconds;
    }

    void restart() {
        seconds = 0;
        tickText();
        clock.play();
    }

    void under(String text) {
        under.setText(text);
    }

    void big(String text) {
        big.setText(text);
    }

    void attach(HangarTest t) {
        attach.accept(t);
    }

    /** What a test says where it stands. */
    StepWords words(HangarTest t) {
        return new StepWords(t, session.project(), assessment, units());
    }

    /** What a piece stands under in a test, in words; empty where that does not matter. */
    String stands(Work.Sheet sheet, String piece) {
        TestProgram program = assessment.program();
        if (sheet.kind() == TestKind.LINE_PRESSURE) {
            return Optional.ofNullable(program.pressures().get(piece))
                    .map(p -> "test pressure " + units().text(p, Dimension.PRESSURE))
                    .orElse("");
        }
        return Optional.ofNullable(program.heads().get(piece))
                .map(h -> units().text(h, Dimension.LENGTH) + " of fuel above it")
                .orElse("");
    }

    /** What dropped a figure into a field; empty where it was typed. */
    String by(TextField field) {
        return field.getProperties().get(FED_BY) instanceof String s ? s : "";
    }

    /** Marks a test for good where the stand-in feeds a figure that is entered now. */
    UnaryOperator<HangarTest> fed() {
        boolean standIn = entry.lookupAll(".text-field").stream()
                .anyMatch(n -> STAND_IN.equals(n.getProperties().get(FED_BY)));
        return t -> standIn ? t.with(t.by().with(t.by().beside().fedByStandIn())) : t;
    }

    /** Drops a live reading into the field in hand, or the first that takes its kind; false where none does. */
    boolean drop(Dimension kind, String text, String from) {
        List<TextField> takers = entry.lookupAll(".text-field").stream()
                .filter(n -> kind.equals(n.getProperties().get(TAKES)))
                .map(TextField.class::cast)
                .toList();
        Optional<TextField> field = takers.stream()
                .filter(f -> f == last)
                .findFirst()
                .or(() -> takers.stream().filter(f -> f.getText().isBlank()).findFirst())
                .or(() -> takers.stream().findFirst());
        field.ifPresent(f -> {
            f.setText(text);
            f.getProperties().put(FED_BY, from);
            f.requestFocus();
        });
        return field.isPresent();
    }

    FuelSystem system() {
        return session.project().system();
    }

    UnitSystem units() {
        return session.units().get();
    }

    /** Shows a test where it stands; an invitation where none is open. */
    void show(Optional<HangarTest> test, Assessment a) {
        assessment = a;
        shown = test;
        if (test.isEmpty()) {
            stop();
            built = "";
            where.setText("");
            title.setText("No test is open");
            words.setText(
                    "Select one on the left. Have a marked can, a level, a helper and an extinguisher" + " at hand.");
            caution.setVisible(false);
            entry.getChildren().clear();
            buttons.getChildren().clear();
            soFar.getChildren().clear();
            big.setText("");
            under.setText("");
            first = null;
            return;
        }
        HangarTest t = test.get();
        String now = words(t).state();
        if (!now.equals(built)) {
            built = now;
            stop();
            seconds = t.progress().seconds();
            build(t);
        }
        soFar(t);
    }

    /** Says what a test that is not begun is, and offers to begin it. */
    void invite(TestProgram.Proof p, Runnable begin) {
        Invitation invitation = new Invitation(p, units());
        where.setText(invitation.where());
        title.setText(invitation.title());
        words.setText(invitation.words());
        big.setText(invitation.big());
        under.setText(invitation.under());
        Button go = Ui.button(invitation.button(), "test-begin", begin, "big-button");
        go.setDefaultButton(true);
        buttons.getChildren().setAll(go);
    }

    private void build(HangarTest t) {
        trouble.setText("");
        entry.getChildren().clear();
        buttons.getChildren().clear();
        big.setText("");
        under.setText("");
        first = null;
        StepWords now = words(t);
        title.setText(now.title());
        words.setText(now.words());
        caution.setVisible(!now.caution().isEmpty());
        caution.getChildren().setAll(Ui.wrapped(now.caution()));
        if (now.orphan()) {
            buttons.getChildren().addAll(Ui.button("Close", "test-close", leave), discard(t));
            return;
        }
        where.setText(now.where());
        if (now.done()) {
            if (!t.work().onTank()) {
                sheets.result(t);
            } else {
                tanks.result(t);
            }
            buttons.getChildren()
                    .addAll(
                            Ui.button("Close", "test-close", leave),
                            Ui.button(
                                    "Reopen test",
                                    "test-reopen",
                                    () -> put("Reopen test", t, Recording.finished(false)),
                                    "plain"),
                            discard(t));
            return;
        }
        step(t, now.step());
        if (t.progress().step() > 0) {
            buttons.getChildren()
                    .add(Ui.button(
                            "Back",
                            "test-back",
                            () -> put("Step back", t, x -> x.atStep(t.progress().step() - 1)),
                            "plain"));
        }
        buttons.getChildren().addAll(Ui.button("Pause test", "test-later", leave, "plain"), discard(t));
    }

    private void step(HangarTest t, Procedure.Step step) {
        if (step.asks() == Procedure.Asks.READ) {
            next("Read and understood", () -> advance(t));
        } else if (step.asks() == Procedure.Asks.WHO) {
            who(t);
        } else if (!t.work().onTank()) {
            sheets.build(t, step);
        } else {
            tanks.build(t, step.asks());
        }
    }

    private Button discard(HangarTest t) {
        return Ui.button("Discard", "test-discard", () -> session.apply(Bench.discard(t)), "plain");
    }

    /**
     * Records it and shows at once what comes next; the assessment follows when it is ready.
     *
     * @param change of the record as it stands in the document then: a file may have been attached since it was drawn
     */
    void put(String name, HangarTest t, UnaryOperator<HangarTest> change) {
        session.apply(Edit.of(
                name, p -> p.test(t.id()).map(x -> p.with(change.apply(x))).orElse(p)));
        show(session.project().test(t.id()), assessment);
        focusField();
    }

    void advance(HangarTest t) {
        advance(t, x -> x);
    }

    /** Changes the record and goes on to the step after the one that is shown. */
    void advance(HangarTest t, UnaryOperator<HangarTest> change) {
        put("Next step of " + t.work().title().toLowerCase(java.util.Locale.ROOT), t, x -> change.apply(x)
                .atStep(t.progress().step() + 1));
    }

    void next(String text, Runnable action) {
        Button button = Ui.button(text, "test-next", action);
        button.setDefaultButton(true);
        button.getStyleClass().add("big-button");
        buttons.getChildren().add(0, button);
    }

    /** A field whose Enter does what the button does; trouble is said and nothing moves. */
    TextField field(String id, String label, String text, boolean large) {
        TextField field = new TextField(text);
        field.setId(id);
        field.setAccessibleText(label);
        field.getProperties().put(Ui.ASK_BEFORE_LEAVING, text);
        field.setPrefWidth(large ? 240 : 260);
        field.setMaxWidth(large ? 240 : 320);
        if (large) {
            field.getStyleClass().add("big-field");
        }
        if (first == null) {
            first = field;
        }
        field.focusedProperty().addListener((o, was, now) -> last = now ? field : last);
        return field;
    }

    void tried(Runnable action) {
        try {
            trouble.setText("");
            action.run();
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }

    private void who(HangarTest t) {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(6);
        TextField who = field("test-who", "Tested by", t.by().who(), false);
        TextField with = field("test-instrument", "Measured with", t.by().instrument(), false);
        TextField air = field(
                "test-ambient",
                "Air temperature",
                t.by().ambient().map(m -> m.quantity().shown()).orElse(""),
                false);
        TextField notes = field("test-notes", "Notes", t.by().notes(), false);
        grid.addRow(0, Ui.label("Tested by"), who);
        grid.addRow(1, Ui.label("Measured with"), with);
        grid.addRow(2, Ui.label("Air temperature"), air);
        grid.addRow(3, Ui.label("Notes"), notes);
        TextField witness = field("test-witness", "Witness", t.by().beside().witness(), false);
        TextField right = field(
                "test-calibration",
                "Instrument last calibrated, and its error",
                t.by().beside().calibration(),
                false);
        grid.addRow(4, Ui.label("Witness"), witness);
        grid.addRow(5, Ui.label("Calibrated on, error"), right);
        entry.getChildren().add(grid);
        next(
                "Go on",
                () -> tried(() -> {
                    Optional<Measured> ambient = air.getText().isBlank()
                            ? Optional.empty()
                            : Optional.of(new Measured(Quantity.parse(air.getText(), Unit.CELSIUS), "thermometer"));
                    advance(
                            t,
                            x -> x.with(x.by().withWho(who.getText().strip())
                                    .withInstrument(with.getText().strip())
                                    .withAmbient(ambient)
                                    .withNotes(notes.getText().strip())
                                    .with(x.by().beside()
                                            .withWitness(witness.getText().strip())
                                            .withCalibration(right.getText().strip()))));
                }));
    }

    private void tick() {
        seconds++;
        tickText();
    }

    void tickText() {
        big.setText(String.format(java.util.Locale.ROOT, "%d:%02d", (int) seconds / 60, (int) seconds % 60));
    }

    void stop() {
        clock.stop();
    }

    private void soFar(HangarTest t) {
        soFar.getChildren().setAll(Ui.label("So far", "group-title"));
        words(t).soFar().forEach(l -> line(l.name(), l.text()));
    }

    private void line(String name, String text) {
        Label label = Ui.label(name, "soft");
        label.setMinWidth(130);
        Label value = Ui.wrapped(text);
        value.setMinWidth(0);
        HBox.setHgrow(value, Priority.ALWAYS);
        soFar.getChildren().add(new RowBox(8, label, value));
    }
}
