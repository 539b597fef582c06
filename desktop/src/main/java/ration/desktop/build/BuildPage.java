package ration.desktop.build;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.plan.Plan;
import ration.answer.plan.Plan.State;
import ration.answer.plan.PlanWords;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.BuildPicture;
import ration.record.build.Stage;
import ration.record.build.StepKey;
import ration.record.project.BuildEdits;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.verdict.words.Term;

/** Steps of the build, one group at a time. */
public final class BuildPage extends LivePage {

    /** What can be written out. */
    public enum Paper {
        LIST,
        TABLE,
        CALENDAR
    }

    private static final double[] WIDE = {230, 270, 64, 84, 92};
    private static final double[] SMALL = {176, 214, 62, 72, 1};
    private static final List<String> HEADS = List.of("Step", "Now", "Hours", "Float", "Begins");

    private final Session session;
    private final Supplier<LocalDate> today;
    private final VBox rows = new ColumnBox();
    private final Label sum = Ui.label("", "soft");
    private final Label left = Ui.wrapped("", "plain-text");
    private final HBox bulk = new RowBox(6);
    private final Map<State, ToggleButton> groups = new EnumMap<>(State.class);
    private final QuantityField<Optional<Double>> weekly;
    private final StepCard card;
    private final ToggleButton timeline = new ToggleButton("Along time");
    private final PicturePane picture =
            new PicturePane("build-picture", (w, h) -> BuildPicture.draw(plan(), Tokens.measure(), w, h), this::picked);
    private final ScrollPane scroll = new Scroll(rows);
    private State shown = State.TODAY;
    private boolean drawn;
    private boolean chosen;
    private Optional<StepKey> picked = Optional.empty();

    /**
     * @param today the day it is
     * @param write told what to write out
     * @param openTest told the key of a test to run
     */
    public BuildPage(Session session, Supplier<LocalDate> today, Consumer<Paper> write, Consumer<String> openTest) {
        super(session, "build-page", "Build page");
        this.session = session;
        this.today = today;
        weekly = Entries.hours("build-weekly", "Hours of work a week, blank where not known");
        weekly.setPrefWidth(56);
        weekly.setMinWidth(48);
        weekly.onValue(h -> edit("Set hours a week", p -> p.with(p.build().withWeekly(h))));
        BiConsumer<String, UnaryOperator<Project>> edit = this::edit;
        card = new StepCard(session, edit, this::pick, openTest);
        sum.setId("build-sum");
        sum.setMinWidth(0);
        left.setId("build-left");
        HBox head = new RowBox(
                8,
                Ui.whole(Ui.label("Build", "page-title")),
                sum,
                Ui.spring(),
                Ui.label("Hours a week", "soft"),
                weekly,
                Ui.button("+ Step", "step-new", this::begin, "chip"),
                Ui.button("Print list", "build-list", () -> write.accept(Paper.LIST), "chip"),
                Ui.button("Table, CSV", "build-table", () -> write.accept(Paper.TABLE), "chip"),
                Ui.button("Calendar file", "build-calendar", () -> write.accept(Paper.CALENDAR), "chip"));
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        HBox chips = new RowBox(4);
        for (State s : State.values()) {
            ToggleButton b = new ToggleButton(PlanWords.group(s));
            b.setId("build-" + s.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            b.getStyleClass().add("chip");
            b.setMnemonicParsing(false);
            b.setMinWidth(Region.USE_PREF_SIZE);
            b.setOnAction(e -> choose(s));
            groups.put(s, b);
            chips.getChildren().add(b);
        }
        timeline.setId("build-timeline");
        timeline.getStyleClass().add("chip");
        timeline.setMinWidth(Region.USE_PREF_SIZE);
        timeline.setAccessibleText("What is left, along time");
        timeline.setOnAction(e -> {
            drawn = true;
            update();
        });
        chips.getChildren().addAll(Ui.tallRule(), timeline);
        bulk.setAlignment(Pos.CENTER_LEFT);
        VBox over = new ColumnBox(6, left, chips, bulk);
        over.setPadding(new Insets(8, 16, 6, 16));
        weekly.onTrouble(why -> left.setText(why.isEmpty() ? left.getText() : why));
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinWidth(0);
        rows.setPadding(new Insets(0, 16, 8, 16));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        BorderPane middle = new BorderPane(scroll);
        middle.setTop(over);
        middle.setMinWidth(0);
        setCenter(middle);
        setRight(Ui.side(card, 300, 270));
    }

    private void edit(String name, UnaryOperator<Project> change) {
        session.apply(Edit.of(name, change));
    }

    private void choose(State state) {
        shown = state;
        drawn = false;
        chosen = true;
        update();
    }

    private void pick(Optional<StepKey> key) {
        picked = key;
        update();
    }

    private void picked(String step) {
        pick(StepKey.written(step).or(() -> picked));
    }

    /** A step of one's own, named on its card. */
    private void begin() {
        int number = session.project().build().free();
        edit("Add a step", p -> p.with(p.build().plus("New step")));
        picked = Optional.of(StepKey.own(number));
        card.nameNext();
    }

    @Override
    public void arrive() {
        rows.getChildren().stream()
                .filter(Button.class::isInstance)
                .findFirst()
                .orElse(groups.get(shown))
                .requestFocus();
    }

    private Plan plan() {
        Session.Shown s = session.shown().get();
        return Plan.of(s.project(), s.assessment().program(), today.get());
    }

    @Override
    protected void refresh() {
        Plan plan = plan();
        PlanWords words = new PlanWords(plan);
        Project project = session.shown().get().project();
        weekly.update(plan.weekly());
        sum.setText(words.sum());
        left.setText(words.left());
        left.getStyleClass().setAll("label", plan.round().isEmpty() ? "plain-text" : "wrong-text");
        if (!chosen) {
            shown = plan.in(State.TODAY).isEmpty() && !plan.in(State.TO_BUY).isEmpty() ? State.TO_BUY : State.TODAY;
        }
        groups.forEach((s, b) -> {
            b.setText(PlanWords.group(s) + " " + plan.in(s).size());
            b.setSelected(s == shown && !drawn);
            b.setAccessibleText(
                    PlanWords.group(s) + ": " + plan.in(s).size() + (s == shown ? ", shown" : ", show these"));
        });
        timeline.setSelected(drawn);
        bulk(project, plan);
        picture.setPrefHeight(BuildPicture.height(plan));
        picture.setMinHeight(BuildPicture.height(plan));
        if (scroll.getContent() != (drawn ? picture : rows)) {
            scroll.setContent(drawn ? picture : rows);
        }
        picture.redraw();
        if (picked.flatMap(plan::task).isEmpty()) {
            picked = Optional.empty();
        }
        rows(plan, words);
        card.show(picked.flatMap(plan::task), plan, words);
    }

    /** Acts on all that is listed, where a whole order comes at once. */
    private void bulk(Project project, Plan plan) {
        bulk.getChildren().clear();
        List<StepKey> listed = plan.in(shown).stream().map(Plan.Task::key).toList();
        if (project.build().none()) {
            bulk.getChildren()
                    .addAll(
                            Ui.whole(Ui.label("Nothing is entered of the build yet.", "soft")),
                            Ui.button(
                                    "It is built: all parts, lines and joints are final",
                                    "build-built",
                                    () -> edit("Everything is built", BuildEdits::built),
                                    "chip"));
        }
        if (!drawn && (shown == State.TO_BUY || shown == State.ORDERED) && !listed.isEmpty()) {
            if (shown == State.TO_BUY) {
                bulk.getChildren().add(all(listed, Stage.ORDERED));
            }
            bulk.getChildren().add(all(listed, Stage.ON_HAND));
        }
        bulk.setVisible(!bulk.getChildren().isEmpty());
        bulk.setManaged(bulk.isVisible());
    }

    private Button all(List<StepKey> listed, Stage stage) {
        String words = "All " + listed.size() + ": " + stage.label().toLowerCase(java.util.Locale.ROOT);
        return Ui.button(
                words,
                "build-all-" + stage.key(),
                () -> edit(
                        "Set " + listed.size() + " steps to " + stage.label(),
                        p -> BuildEdits.staged(p, listed, stage)),
                "chip");
    }

    private void rows(Plan plan, PlanWords words) {
        rows.getChildren().clear();
        List<Plan.Task> listed = plan.in(shown);
        if (!listed.isEmpty()) {
            HBox heads = cells(HEADS.stream()
                    .map(h -> h.equals(HEADS.get(3))
                            ? new RowBox(Ui.term(Term.FLOAT, Ui.label(h, "soft")))
                            : Ui.label(h, "soft"))
                    .toArray(Node[]::new));
            heads.setPadding(new Insets(6, 8, 4, 8));
            rows.getChildren().add(heads);
        }
        listed.forEach(t -> rows.getChildren().add(row(t, plan, words)));
        if (listed.isEmpty()) {
            rows.getChildren().add(Ui.wrapped(none(), "soft"));
        }
    }

    private String none() {
        return switch (shown) {
            case TODAY -> "Nothing can be done today: each step left waits for a delivery or for another step.";
            case TO_BUY -> "Nothing is left to buy.";
            case ORDERED -> "Nothing is on order.";
            case WAITING -> "No step waits for another.";
            case DONE -> "No step is done yet.";
        };
    }

    private static HBox cells(Node... nodes) {
        HBox box = new RowBox(6);
        for (int i = 0; i < nodes.length; i++) {
            Region r = (Region) nodes[i];
            box.getChildren().add(Ui.wide(r, WIDE[i], SMALL[i]));
            if (i == WIDE.length - 1) {
                r.visibleProperty().bind(Ui.inSmallWindow(r).not());
            }
        }
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Button row(Plan.Task t, Plan plan, PlanWords words) {
        String now = words.now(t);
        String hours = t.step().hours().map(PlanWords::hours).orElse("\u2013");
        Label does = Ui.wrapped(now, t.late(plan.today()) ? "wrong-text" : "plain-text");
        Button row = Ui.button("", id(t.key()), () -> pick(Optional.of(t.key())));
        row.setGraphic(cells(
                Ui.wrapped(t.name(), "bold"),
                does,
                Ui.label(t.done() ? "" : hours, "figure"),
                Ui.label(words.slack(t), "soft"),
                Ui.label(words.begins(t), "soft")));
        row.getStyleClass().setAll("button", "fault-row");
        if (picked.filter(t.key()::equals).isPresent()) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(t.name() + ", " + now
                + t.step()
                        .hours()
                        .map(h -> ", " + UnitSystem.figure(h, 1) + " hours")
                        .orElse("")
                + (t.done() ? "" : ", " + words.slackSaid(t)));
        return row;
    }

    /** Of the row of a step. */
    static String id(StepKey key) {
        return "step-" + key.text().replaceAll("[^A-Za-z0-9]+", "-");
    }
}
