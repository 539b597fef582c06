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
import ration.assess.Assessment;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.evidence.HangarTest;
import ration.evidence.Named;
import ration.evidence.Procedure;
import ration.evidence.Standing;
import ration.evidence.Work;
import ration.model.FuelSystem;
import ration.model.Measured;
import ration.model.Selector;
import ration.project.Edit;
import ration.project.Project;
import ration.proof.Outcome;
import ration.proof.Programme;
import ration.quantity.Dimension;
import ration.quantity.Quantity;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;

/** One test, a step at a time: what to do, the caution, one entry, Enter. */
final class TestRunner extends VBox {

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
    private final VBox caution = new VBox();
    private final VBox entry = new VBox(8);
    private final Label big = Ui.label("", "big-figure");
    private final Label under = Ui.wrapped("", "step-words");
    private final Label trouble = Ui.trouble("test-trouble");
    private final FlowPane buttons = new FlowPane(6, 6);
    private final VBox soFar = new VBox(4);
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
            buttons.getChildren().stream().filter(Button.class::isInstance).findFirst().ifPresent(
                    javafx.scene.Node::requestFocus);
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

    /** What a record says, in the condition in which it was done; empty until it was worked out. */
    Optional<Outcome> outcome(HangarTest t) {
        return assessment.programme().outcome(t.id());
    }

    /** Why a record shows nothing, whatever was read in it: it ended, or the stand-in fed it. */
    String countsNot(HangarTest t) {
        if (t.by().beside().standIn()) {
            return "Fed by the stand-in: it closes nothing. ";
        }
        Standing standing = Standing.of(t, session.project().asBuilt());
        return !t.progress().done() || standing.counts() ? "" : "No longer counts: " + standing.words() + ". When it was done: ";
    }

    /** Of fuel over a joint, m. */
    Optional<Double> head(String joint) {
        return Optional.ofNullable(assessment.programme().heads().get(joint));
    }

    /** What dropped a figure into a field; empty where it was typed. */
    String by(TextField field) {
        return field.getProperties().get(FED_BY) instanceof String s ? s : "";
    }

    /** Marks a test for good where the stand-in feeds a figure that is entered now. */
    UnaryOperator<HangarTest> fed() {
        boolean standIn = entry.lookupAll(".text-field").stream().anyMatch(n -> STAND_IN.equals(n.getProperties().get(FED_BY)));
        return t -> standIn ? t.with(t.by().with(t.by().beside().fedByStandIn())) : t;
    }

    /** Drops a live reading into the field in hand, or the first that takes its kind; false where none does. */
    boolean drop(Dimension kind, String text, String from) {
        List<TextField> takers = entry.lookupAll(".text-field").stream().filter(n -> kind.equals(n.getProperties().get(TAKES))).map(TextField.class::cast).toList();
        Optional<TextField> field = takers.stream().filter(f -> f == last).findFirst().or(() -> takers.stream().filter(f -> f.getText().isBlank()).findFirst()).or(() -> takers
                .stream().findFirst());
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
            words.setText("Pick one on the left. Have a marked can, a level, a helper and an extinguisher"
                    + " at hand.");
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
        String now = t.id() + "/" + t.progress().step() + "/" + t.progress().done() + "/" + count(t.work()) + "/" + units() + "/" + told(t);
        if (!now.equals(built)) {
            built = now;
            stop();
            seconds = t.progress().seconds();
            build(t);
        }
        soFar(t);
    }

    /** Says what a test that is not begun is, and offers to begin it. */
    void invite(Programme.Proof p, Runnable begin) {
        where.setText(p.wanted().kind().group().label() + ", closes " + p.wanted().kind().closes().toLowerCase(java.util.Locale.ROOT));
        title.setText(p.wanted().name());
        String predicted = p.outcome().predicted().in(units());
        String needs = p.outcome().needs().in(units());
        words.setText(p.wanted().asks().substring(0, 1).toUpperCase(java.util.Locale.ROOT) + p.wanted().asks().substring(1) + ". " + (p.counts() || p.record().isEmpty() ? p.outcome()
                        .words().in(units()) : "On record: " + p.state() + "."));
        big.setText(p.counts() ? p.outcome().measured().in(units()) : predicted);
        under.setText((p.counts() || predicted.isEmpty() ? "" : "Computed, not measured. ") + (needs.isEmpty() ? "" : "Needs " + needs + ". "));
        Button go = Ui.button(p.record().isPresent() ? "Begin again" : "Begin", "test-begin", begin, "big-button");
        go.setDefaultButton(true);
        buttons.getChildren().setAll(go);
    }

    private static int count(Work work) {
        return work instanceof Work.Drain d ? d.trials().size() : work instanceof Work.Fill f ? f.points().size() : work instanceof Work.Sheet s ? s.rows().hashCode() : 0;
    }

    /** What a finished test, or one about to be, says of itself: it is shown anew once that was worked out. */
    private String told(HangarTest t) {
        boolean sheet = t.work() instanceof Work.Sheet;
        List<Procedure.Step> steps = sheet ? Procedure.of(t, system()) : List.of();
        boolean ending = t.progress().done() || t.progress().step() >= steps.size() - 1;
        return sheet && ending ? countsNot(t) + outcome(t).map(o -> o.words().in(units())).orElse("") : "";
    }

    private void build(HangarTest t) {
        trouble.setText("");
        entry.getChildren().clear();
        buttons.getChildren().clear();
        big.setText("");
        under.setText("");
        first = null;
        List<Procedure.Step> steps = Procedure.of(t, system());
        if (steps.isEmpty()) {
            title.setText("What this test was done on is no longer laid out");
            words.setText("The record is kept.");
            caution.setVisible(false);
            buttons.getChildren().addAll(Ui.button("Close", "test-close", leave), discard(t));
            return;
        }
        Procedure.Step step = steps.get(Math.min(t.progress().step(), steps.size() - 1));
        where.setText(Named.of(system(), t) + (t.progress().done() ? ", finished " + t.by().date()
                : ", step " + (steps.indexOf(step) + 1) + " of " + steps.size()));
        title.setText(t.progress().done() ? "What was found" : step.title());
        words.setText(t.progress().done() ? "" : step.words());
        caution.setVisible(!step.caution().isEmpty() && !t.progress().done());
        caution.getChildren().setAll(Ui.wrapped(step.caution()));
        if (t.progress().done()) {
            if (t.work() instanceof Work.Sheet) {
                sheets.result(t);
            } else {
                tanks.result(t);
            }
            buttons.getChildren().addAll(Ui.button("Close", "test-close", leave), Ui.button("Go on with it", "test-reopen",
                    () -> put("Reopen test", t, finished(false)),
                    "plain"), discard(t));
            return;
        }
        if (step.asks() == Procedure.Asks.READ) {
            next("Read and understood", () -> advance(t));
        } else if (step.asks() == Procedure.Asks.WHO) {
            who(t);
        } else if (t.work() instanceof Work.Sheet) {
            sheets.build(t, step);
        } else {
            tanks.build(t, step.asks());
        }
        if (t.progress().step() > 0) {
            buttons.getChildren().add(Ui.button("Back", "test-back", () -> put("Step back", t, x -> x.atStep(t.progress().step() - 1)),
                    "plain"));
        }
        buttons.getChildren().addAll(Ui.button("Stop here, go on later", "test-later", leave, "plain"), discard(t));
    }

    private Button discard(HangarTest t) {
        return Ui.button("Discard", "test-discard", () -> session.apply(Edit.of("Discard " + t.work().title().toLowerCase(
                java.util.Locale.ROOT), p -> p.withTests(p.tests().stream().filter(x -> !x.id().equals(t.id())).toList()))),
                "plain");
    }

    /**
     * Records it and shows at once what comes next; the assessment follows when it is ready.
     *
     * @param change of the record as it stands in the document then: a file may have been attached since it was drawn
     */
    void put(String name, HangarTest t, UnaryOperator<HangarTest> change) {
        session.apply(Edit.of(name, p -> p.test(t.id()).map(x -> p.with(change.apply(x))).orElse(p)));
        show(session.project().test(t.id()), assessment);
        focusField();
    }

    /** A change of what was read, of a record of this kind of work. */
    static <W extends Work> UnaryOperator<HangarTest> work(Class<W> kind, UnaryOperator<W> change) {
        return t -> kind.isInstance(t.work()) ? t.with(change.apply(kind.cast(t.work()))) : t;
    }

    static UnaryOperator<HangarTest> finished(boolean done) {
        return t -> t.with(new HangarTest.Progress(t.progress().step(), t.progress().seconds(), done));
    }

    void advance(HangarTest t) {
        advance(t, x -> x);
    }

    /** Changes the record and goes on to the step after the one that is shown. */
    void advance(HangarTest t, UnaryOperator<HangarTest> change) {
        put("Next step of " + t.work().title().toLowerCase(java.util.Locale.ROOT), t, x -> change.apply(x).atStep(t.progress().step() + 1));
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
        TextField who = field("test-who", "Who measures", t.by().who(), false);
        TextField with = field("test-instrument", "Measured with", t.by().instrument(), false);
        TextField air = field("test-ambient", "Air temperature", t.by().ambient().map(m -> m.quantity().shown()).orElse(""), false);
        TextField notes = field("test-notes", "Notes", t.by().notes(), false);
        grid.addRow(0, Ui.label("Who"), who);
        grid.addRow(1, Ui.label("Measured with"), with);
        grid.addRow(2, Ui.label("Air temperature"), air);
        grid.addRow(3, Ui.label("Notes"), notes);
        TextField witness = field("test-witness", "Witness", t.by().beside().witness(), false);
        TextField right = field("test-calibration", "Instrument last found right, and how far off", t.by().beside().calibration(), false);
        grid.addRow(4, Ui.label("Witness"), witness);
        grid.addRow(5, Ui.label("Found right on, off by"), right);
        entry.getChildren().add(grid);
        next("Go on", () -> tried(() -> {
            Optional<Measured> ambient = air.getText().isBlank() ? Optional.empty() : Optional.of(new Measured(Quantity.parse(
                    air.getText(), Unit.CELSIUS), "thermometer"));
            advance(t, x -> x.with(x.by().withWho(who.getText().strip()).withInstrument(with.getText().strip()).withAmbient(ambient).withNotes(notes.getText().strip()).with(x.by()
                    .beside().withWitness(witness.getText().strip()).withCalibration(right.getText().strip()))));
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
        UnitSystem u = units();
        if (t.work() instanceof Work.Drain d) {
            for (int i = 0; i < d.trials().size(); i++) {
                Work.Trial trial = d.trials().get(i);
                line("Trial " + (i + 1), trial.poured().quantity().shown() + " poured" + trial.back().map(b -> ", " + b.quantity()
                        .shown() + " back, " + u.fineVolume(trial.poured().si() - b.si()) + " stays").orElse(""));
            }
            if (!d.position().isEmpty()) {
                line("Selector", d.position() + ", pitch " + d.pitch().quantity().shown() + ", bank " + d.tilt().quantity().shown());
            }
        } else if (t.work() instanceof Work.Fill f) {
            line("Attitude", f.attitude() + ", pitch " + f.pitch().quantity().shown());
            for (int i = 0; i < f.points().size(); i++) {
                line(u.fineVolume(f.total(i + 1)), f.points().get(i).reading().map(r -> r.quantity().shown()).orElse("not read"));
            }
        } else if (t.work() instanceof Work.TopOff top) {
            line("In it before", top.before().quantity().shown());
            top.metered().ifPresent(m -> line("Metered", m.quantity().shown()));
        } else if (t.work() instanceof Work.Sheet sheet) {
            sheets.soFar(sheet).forEach(l -> line(l[0], l[1]));
        }
        t.by().beside().photos().forEach(p -> line("Beside it", p.file() + ", " + p.sha256().substring(0, Math.min(12, p.sha256().length()))));
        if (t.by().beside().standIn()) {
            line("Fed by", "the stand-in: it closes nothing");
        }
        line("By", List.of(t.by().date(), t.by().who(), t.by().instrument(), t.by().ambient().map(m -> m.quantity().shown())
                .orElse(""), t.by().notes(), t.by().beside().witness().isBlank() ? "" : "witness " + t.by().beside().witness(), t.by().beside().calibration()).stream().filter(s -> !s.isBlank()).reduce((x, y) -> x + ", " + y).orElse(""));
    }

    private void line(String name, String text) {
        Label label = Ui.label(name, "soft");
        label.setMinWidth(130);
        Label value = Ui.wrapped(text);
        value.setMinWidth(0);
        HBox.setHgrow(value, Priority.ALWAYS);
        soFar.getChildren().add(new HBox(8, label, value));
    }
}
