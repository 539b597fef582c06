package ration.desktop.hangar;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import ration.assess.Assessment;
import ration.assess.TankAnswer;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.evidence.HangarTest;
import ration.evidence.Named;
import ration.evidence.NoseHeight;
import ration.evidence.Procedure;
import ration.evidence.Work;
import ration.model.FuelSystem;
import ration.model.Item;
import ration.model.Measured;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Tank;
import ration.project.Edit;
import ration.proof.Outcome;
import ration.proof.Programme;
import ration.quantity.Dimension;
import ration.quantity.Quantity;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.topology.Passing;
import ration.topology.Topology;

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

    // for the entries of a test that has a form

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
        return Optional.ofNullable(assessment.programme().outcomes().get(t.id()));
    }

    /** Of fuel over a joint, m. */
    Optional<Double> head(String joint) {
        return Optional.ofNullable(assessment.programme().heads().get(joint));
    }

    /** What dropped a figure into a field; empty where it was typed. */
    String by(TextField field) {
        return field.getProperties().get(FED_BY) instanceof String s ? s : "";
    }

    /** A test marked for good where the stand-in fed a figure that is entered now. */
    HangarTest fed(HangarTest t) {
        boolean standIn = entry.lookupAll(".text-field").stream().anyMatch(n -> STAND_IN.equals(n.getProperties().get(FED_BY)));
        return standIn ? t.with(t.by().with(t.by().beside().fedByStandIn())) : t;
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

    private Unit volume() {
        return units().unit(Dimension.VOLUME);
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
        words.setText(p.wanted().asks().substring(0, 1).toUpperCase(java.util.Locale.ROOT) + p.wanted().asks().substring(1) + ". " + p.outcome().words().in(units()));
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
        return sheet && ending ? outcome(t).map(o -> o.words().in(units())).orElse("") : "";
    }

    private Optional<Tank> tank(HangarTest t) {
        return system().item(t.subject()).filter(Tank.class::isInstance).map(Tank.class::cast);
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
                result(t);
            }
            buttons.getChildren().addAll(Ui.button("Close", "test-close", leave), Ui.button("Go on with it", "test-reopen",
                    () -> put("Reopen test", t.with(new HangarTest.Progress(t.progress().step(), t.progress().seconds(), false))),
                    "plain"), discard(t));
            return;
        }
        switch (step.asks()) {
            case READ -> next("Read and understood", () -> advance(t));
            case WHO -> who(t);
            case POUR -> pour(t, tank(t).orElseThrow());
            case ATTITUDE -> attitude(t);
            case SELECT -> select(t, tank(t).orElseThrow());
            case DRAIN -> timer(t);
            case BACK -> back(t);
            case PARKED -> parked(t);
            case READING -> reading(t);
            case BEFORE -> before(t);
            case METERED -> metered(t);
            case RESULT -> {
                if (t.work() instanceof Work.Sheet) {
                    sheets.build(t, step);
                } else {
                    finish(t);
                }
            }
            case FIGURES, ROW, EACH -> sheets.build(t, step);
            default -> throw new IllegalStateException("No entry for " + step.asks());
        }
        if (t.progress().step() > 0) {
            buttons.getChildren().add(Ui.button("Back", "test-back", () -> put("Step back", t.atStep(t.progress().step() - 1)),
                    "plain"));
        }
        buttons.getChildren().addAll(Ui.button("Stop here, go on later", "test-later", leave, "plain"), discard(t));
    }

    private Button discard(HangarTest t) {
        return Ui.button("Discard", "test-discard", () -> session.apply(Edit.of("Discard " + t.work().title().toLowerCase(
                java.util.Locale.ROOT), p -> p.withTests(p.tests().stream().filter(x -> !x.id().equals(t.id())).toList()))),
                "plain");
    }

    /** Records it and shows at once what comes next; the assessment follows when it is ready. */
    void put(String name, HangarTest t) {
        session.apply(Edit.of(name, p -> p.with(t)));
        show(session.project().test(t.id()), assessment);
        focusField();
    }

    void advance(HangarTest t) {
        put("Next step of " + t.work().title().toLowerCase(java.util.Locale.ROOT), t.atStep(t.progress().step() + 1));
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

    private Measured volumeIn(TextField field, String by) {
        Quantity q = Quantity.parse(field.getText(), volume());
        if (q.si() < 0 || q.si() > 2) {
            throw new IllegalArgumentException("A volume from nothing to 500 gal is expected.");
        }
        return new Measured(q, by);
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
            advance(t.with(t.by().withWho(who.getText().strip()).withInstrument(with.getText().strip()).withAmbient(ambient)
                    .withNotes(notes.getText().strip()).with(t.by().beside().withWitness(witness.getText().strip()).withCalibration(right.getText().strip()))));
        }));
    }

    private void pour(HangarTest t, Tank tank) {
        warn(Topology.of(system()).joined(tank, Passing.untrusted(Map.of(), shutOffs())), system().selectors().isEmpty()
                ? "Even with every valve closed" : "Even with the selector at OFF");
        boolean drain = t.work() instanceof Work.Drain;
        String usual = t.work() instanceof Work.Drain d && !d.trials().isEmpty() ? d.trials().get(d.trials().size() - 1).poured()
                .quantity().shown() : t.work() instanceof Work.Fill f && !f.points().isEmpty() ? f.points().get(f.points().size()
                        - 1).poured().quantity().shown() : drain ? volume() == Unit.GALLON ? "2.5 gal" : "10 L" : "";
        TextField amount = field("test-poured", "Amount poured, " + volume().symbol(), "", true);
        amount.setPromptText(usual.isEmpty() ? volume().symbol() : usual + "?");
        entry.getChildren().add(labelled("Poured", amount));
        next("Poured", () -> tried(() -> {
            Measured poured = volumeIn(amount, "can");
            if (!(poured.si() > 0)) {
                throw new IllegalArgumentException("Pour something: the amount must be above zero.");
            }
            Work work = t.work() instanceof Work.Drain d ? d.trials().isEmpty() || d.trials().get(d.trials().size() - 1).back()
                    .isPresent() ? d.plus(new Work.Trial(poured, Optional.empty())) : d.withLast(new Work.Trial(poured,
                    Optional.empty())) : ((Work.Fill) t.work()).plus(new Work.Pour(poured, Optional.empty()));
            advance(t.with(work));
        }));
    }

    private static HBox labelled(String text, TextField field) {
        HBox box = new HBox(12, Ui.label(text, "step-words"), field);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Set<String> shutOffs() {
        return Set.copyOf(system().all(ShutOff.class).map(Item::id).toList());
    }

    private void warn(List<Tank> joined, String when) {
        if (!joined.isEmpty()) {
            Label warning = Ui.wrapped(when + " a path stays open to " + String.join(" and ", joined.stream().map(Tank::name)
                    .toList()) + ": fuel would run over and spoil the count. Close it first.", "step-warning");
            warning.setId("cross-feed");
            entry.getChildren().add(warning);
        }
    }

    private void attitude(HangarTest t) {
        Work.Drain d = (Work.Drain) t.work();
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(6);
        TextField front = field("mark-front", "Height of the forward mark", "", false);
        TextField rear = field("mark-rear", "Height of the rear mark", "", false);
        TextField apart = field("mark-apart", "Distance between the marks", "", false);
        TextField pitch = field("test-pitch", "Pitch, nose up", entered(d.pitch()), false);
        TextField tilt = field("test-tilt", "Bank, right side down", entered(d.tilt()), false);
        tilt.setPromptText("0\u00b0 if level");
        grid.addRow(0, Ui.label("Forward mark over the floor"), front);
        grid.addRow(1, Ui.label("Rear mark over the floor"), rear);
        grid.addRow(2, Ui.label("Between the marks"), apart);
        grid.addRow(3, Ui.label("or pitch, by a level"), pitch);
        grid.addRow(4, Ui.label("Bank"), tilt);
        entry.getChildren().add(grid);
        Unit length = units().unit(Dimension.LENGTH);
        Runnable work = () -> {
            if (!front.getText().isBlank() && !rear.getText().isBlank() && !apart.getText().isBlank()) {
                tried(() -> pitch.setText(UnitSystem.figure(Math.toDegrees(NoseHeight.pitch(Quantity.parse(front.getText(), length)
                        .si(), Quantity.parse(rear.getText(), length).si(), Quantity.parse(apart.getText(), length).si())), 1)
                        + "\u00b0"));
            }
            big.setText(pitch.getText().isBlank() ? "" : pitch.getText() + " nose " + (pitch.getText().startsWith("\u2212") || pitch.getText().startsWith("-")
                    ? "down" : "up"));
        };
        for (TextField f : List.of(front, rear, apart, pitch)) {
            f.textProperty().addListener((o, was, now) -> work.run());
        }
        work.run();
        assessment.tank(t.subject()).ifPresent(a -> under.setText("Most is predicted to stay at " + a.predicted().attitude().label()
                + "."));
        next("Set", () -> tried(() -> {
            if (pitch.getText().isBlank() || tilt.getText().isBlank()) {
                throw new IllegalArgumentException("Pitch and bank: enter what marks or a level show, 0 if it is level.");
            }
            Quantity p = Quantity.parse(pitch.getText(), Unit.DEGREE);
            Quantity b = Quantity.parse(tilt.getText(), Unit.DEGREE);
            if (Math.abs(p.si()) > Math.toRadians(60) || Math.abs(b.si()) > Math.toRadians(60)) {
                throw new IllegalArgumentException("Pitch and bank lie within 60\u00b0.");
            }
            advance(t.with(d.withAttitude(new Measured(p, front.getText().isBlank() ? "level" : "marks"), new Measured(b,
                    "level"))));
        }));
    }

    /** An angle somebody entered; nothing while nobody did. */
    private static String entered(Measured m) {
        return m.by().isEmpty() ? "" : UnitSystem.figure(Unit.DEGREE.fromSi(m.si()), 1) + "\u00b0";
    }

    private void select(HangarTest t, Tank tank) {
        Work.Drain d = (Work.Drain) t.work();
        if (system().selectors().isEmpty()) {
            warn(Topology.of(system()).joined(tank, Passing.untrusted(Map.of(), Set.of())), "With the line open");
            next("Open", () -> advance(t));
            return;
        }
        Selector selector = system().selectors().get(0);
        ToggleGroup group = new ToggleGroup();
        HBox row = new HBox(4);
        VBox warning = new VBox();
        Consumer<String> chosen = name -> {
            entry.getChildren().setAll(row, warning);
            warn(Topology.of(system()).joined(tank, Passing.untrusted(Map.of(selector.id(), name), Set.of())), "On " + name);
        };
        for (Selector.Position p : selector.positions()) {
            if (!p.off()) {
                ToggleButton button = new ToggleButton(p.name());
                button.setId("test-position-" + p.name().toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
                button.setToggleGroup(group);
                button.getStyleClass().add("big-button");
                button.setSelected(p.name().equals(d.position()));
                button.setOnAction(e -> {
                    button.setSelected(true);
                    chosen.accept(p.name());
                    buttons.getChildren().get(0).requestFocus();
                });
                row.getChildren().add(button);
            }
        }
        entry.getChildren().setAll(row, warning);
        next("Selected", () -> tried(() -> {
            ToggleButton b = (ToggleButton) group.getSelectedToggle();
            if (b == null) {
                throw new IllegalArgumentException("Choose the position the selector stands at.");
            }
            if (!Topology.of(system()).joined(tank, Passing.untrusted(Map.of(selector.id(), b.getText()), Set.of())).isEmpty()) {
                throw new IllegalArgumentException("On " + b.getText() + " another tank feeds too: choose the position of this"
                        + " tank alone.");
            }
            advance(t.with(d.withPosition(b.getText())));
        }));
        if (group.getSelectedToggle() instanceof ToggleButton b) {
            chosen.accept(b.getText());
        }
        javafx.application.Platform.runLater(() -> row.getChildren().get(0).requestFocus());
    }

    private void timer(HangarTest t) {
        tickText();
        next("Start the timer", () -> { });
        Button button = (Button) buttons.getChildren().get(0);
        button.setOnAction(e -> {
            if (clock.getStatus() == Animation.Status.RUNNING) {
                stop();
                advance(t.with(new HangarTest.Progress(t.progress().step(), seconds, false)));
            } else {
                clock.play();
                button.setText("It sputters");
            }
        });
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

    private void back(HangarTest t) {
        Work.Drain d = (Work.Drain) t.work();
        Work.Trial last = d.trials().get(d.trials().size() - 1);
        TextField amount = field("test-drained", "Amount that came back, " + volume().symbol(), last.back().map(b -> b.quantity()
                .shown()).orElse(""), true);
        entry.getChildren().add(labelled("Came back, of " + last.poured().quantity().shown(), amount));
        next("Entered", () -> tried(() -> {
            Measured came = volumeIn(amount, "can");
            if (came.si() > last.poured().si() * 1.02) {
                throw new IllegalArgumentException("More came back than the " + last.poured().quantity().shown()
                        + " poured: the tank was not dry, or another fed into it. Look for an open path, then repeat.");
            }
            advance(t.with(d.withLast(new Work.Trial(last.poured(), Optional.of(came)))));
        }));
    }

    private void parked(HangarTest t) {
        double parked = session.project().brief().envelope().parked().si();
        for (String name : List.of("Level", "Parked")) {
            Button choose = Ui.button(name + (name.equals("Parked") ? ", nose up " + UnitSystem.figure(Math.toDegrees(parked), 1)
                    + "\u00b0" : ""), "fill-" + name.toLowerCase(java.util.Locale.ROOT), () -> advance(t.with(standing(t.work(), name,
                    name.equals("Parked") ? session.project().brief().envelope().parked() : Measured.of(0, Unit.DEGREE,
                            "level")))), "big-button");
            buttons.getChildren().add(choose);
        }
    }

    private static Work standing(Work work, String name, Measured pitch) {
        return work instanceof Work.Fill f ? f.withAttitude(name, pitch) : work instanceof Work.TopOff top
                ? new Work.TopOff(top.before(), top.metered(), Optional.of(pitch)) : work;
    }

    private void reading(HangarTest t) {
        Work.Fill f = (Work.Fill) t.work();
        Unit length = units().unit(Dimension.LENGTH);
        Work.Pour last = f.points().get(f.points().size() - 1);
        TextField height = field("test-reading", "Height on the gauge, " + length.symbol(), last.reading().map(r -> r.quantity()
                .shown()).orElse(""), true);
        entry.getChildren().add(labelled("With " + units().fineVolume(f.total(f.points().size())) + " in, it stands at", height));
        next("Marked", () -> tried(() -> {
            Optional<Measured> reading = height.getText().isBlank() ? Optional.empty() : Optional.of(new Measured(Quantity.parse(
                    height.getText(), length), "gauge"));
            if (reading.isPresent() && (reading.get().si() < 0 || reading.get().si() > 3)) {
                throw new IllegalArgumentException("A height above the foot of the gauge is expected.");
            }
            advance(t.with(f.withLast(new Work.Pour(last.poured(), reading))));
        }));
    }

    private void before(HangarTest t) {
        Work.TopOff top = (Work.TopOff) t.work();
        TextField amount = field("test-before", "In the tank before, " + volume().symbol(), top.before().by().isEmpty() ? "" : top.before().quantity().shown(), true);
        amount.setPromptText("0 if dry");
        entry.getChildren().add(labelled("In the tank", amount));
        next("Go on", () -> tried(() -> advance(t.with(new Work.TopOff(volumeIn(amount, "can"), top.metered(), top.pitch())))));
    }

    private void metered(HangarTest t) {
        Work.TopOff top = (Work.TopOff) t.work();
        assessment.tank(t.subject()).ifPresent(a -> under.setText("Expected by what is known now: " + units().fineVolume(Math.max(0,
                a.full() - top.before().si())) + "."));
        TextField amount = field("test-metered", "Metered until full, " + volume().symbol(), top.metered().map(m -> m.quantity()
                .shown()).orElse(""), true);
        entry.getChildren().add(labelled("Metered", amount));
        next("Full", () -> tried(() -> advance(t.with(new Work.TopOff(top.before(), Optional.of(volumeIn(amount,
                "meter")), top.pitch())))));
    }

    private void finish(HangarTest t) {
        result(t);
        String what = t.work().title().toLowerCase(java.util.Locale.ROOT);
        next("Finish", () -> put("Finish " + what, t.with(new HangarTest.Progress(t.progress().step(), t.progress().seconds(),
                true))));
        int again = Procedure.of(t.work(), system(), tank(t).orElseThrow()).stream().map(Procedure.Step::asks).toList().indexOf(
                Procedure.Asks.POUR);
        if (again >= 0) {
            boolean drain = t.work() instanceof Work.Drain;
            Button more = Ui.button(drain ? "Repeat" : "Next pour", "test-again", () -> put("Another " + (drain ? "trial" : "pour"),
                    t.atStep(again)), "big-button");
            buttons.getChildren().add(1, more);
            if (!drain) {
                javafx.application.Platform.runLater(more::requestFocus);
            }
        }
    }

    /** The figure of a test in a few words; empty while it has none. */
    static String result(HangarTest t, UnitSystem units) {
        if (t.work() instanceof Work.Drain d) {
            return d.stayed().isEmpty() ? "" : units.fineVolume(d.stayed().stream().mapToDouble(Double::doubleValue).max()
                    .orElse(0));
        }
        if (t.work() instanceof Work.Fill f) {
            return f.points().isEmpty() ? "" : units.fineVolume(f.total(f.points().size()));
        }
        if (t.work() instanceof Work.Sheet) {
            return "";
        }
        Work.TopOff top = (Work.TopOff) t.work();
        return top.metered().map(m -> units.fineVolume(top.before().si() + m.si())).orElse("");
    }

    private void result(HangarTest t) {
        UnitSystem u = units();
        Optional<TankAnswer> answer = assessment.tank(t.subject());
        if (t.work() instanceof Work.Drain d && !d.stayed().isEmpty()) {
            var stats = d.stayed().stream().mapToDouble(Double::doubleValue).summaryStatistics();
            big.setText(u.fineVolume(stats.getMax()) + " stays");
            ration.condition.Attitude at = new ration.condition.Attitude("Drained at", d.pitch().si(), d.tilt().si());
            String computed = answer.map(a -> "; computed for this attitude " + u.fineVolume(a.body().stranded(at.gravity().up(),
                    a.feed()).volume())).orElse("");
            under.setText((d.stayed().size() == 1 ? "One trial" : d.stayed().size() + " trials, mean " + u.fineVolume(
                    stats.getAverage()) + ", scatter " + u.fineVolume(stats.getMax() - stats.getMin()) + "; the largest counts")
                    + computed + answer.map(a -> ". Placard " + u.fineVolume(a.placard()) + ".").orElse("."));
        } else if (t.work() instanceof Work.Fill f && !f.points().isEmpty()) {
            Work.Pour last = f.points().get(f.points().size() - 1);
            double total = f.total(f.points().size());
            big.setText(u.fineVolume(total) + " in");
            under.setText(last.reading().map(r -> "Stands at " + r.quantity().shown() + answer.map(a -> "; by shape it would be "
                    + u.fineVolume(ration.tank.GaugeCurve.of(a.body(),
                    ration.geometry.ApparentGravity.ofAttitude(f.pitch().si(), 0).up()).volumeByShape(r.si())) + " there").orElse("") + ".")
                    .orElse("Nothing shows on the gauge yet."));
        } else if (t.work() instanceof Work.TopOff top && top.metered().isPresent()) {
            double all = top.before().si() + top.metered().get().si();
            big.setText(u.fineVolume(all) + " full");
            under.setText(answer.map(a -> "By shape it holds " + u.fineVolume(a.body().solid().volume()) + "; "
                    + u.fineVolume(Math.abs(all - a.body().solid().volume())) + (all < a.body().solid().volume() ? " less" : " more")
                    + " went in.").orElse(""));
        }
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
        label.setMinWidth(110);
        soFar.getChildren().add(new HBox(8, label, Ui.label(text)));
    }
}
