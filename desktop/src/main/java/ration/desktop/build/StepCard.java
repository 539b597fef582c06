package ration.desktop.build;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.util.StringConverter;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.answer.plan.Plan;
import ration.answer.plan.PlanWords;
import ration.answer.plan.Reach;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.build.Access;
import ration.record.build.Stage;
import ration.record.build.StepKey;
import ration.record.project.BuildEdits;
import ration.record.project.Project;

/** One step: how far it is, its hours, its delivery, what it waits for and what waits for it. */
final class StepCard extends ColumnBox {

    private static final int MOST_DAYS = 3650;

    private final Session session;
    private final BiConsumer<String, UnaryOperator<Project>> edit;
    private final Consumer<Optional<StepKey>> pick;
    private final Consumer<String> openTest;
    private final Label trouble = Ui.trouble("step-trouble");
    private Optional<StepKey> shown = Optional.empty();
    private int late = 7;
    private boolean nameNext;

    StepCard(
            Session session,
            BiConsumer<String, UnaryOperator<Project>> edit,
            Consumer<Optional<StepKey>> pick,
            Consumer<String> openTest) {
        super(8);
        this.session = session;
        this.edit = edit;
        this.pick = pick;
        this.openTest = openTest;
        getStyleClass().add("card-body");
    }

    /** The next step shown is named first. */
    void nameNext() {
        nameNext = true;
    }

    void show(Optional<Plan.Task> task, Plan plan, PlanWords words) {
        if (!task.map(Plan.Task::key).equals(shown)) {
            trouble.setText("");
        }
        shown = task.map(Plan.Task::key);
        getChildren().clear();
        if (task.isEmpty()) {
            getChildren()
                    .add(Ui.wrapped(
                            "Choose a step to say how far it is, how long it takes, when it is delivered and what it"
                                    + " waits for. + Step adds one of your own, such as a panel that is closed after"
                                    + " the lines behind it.",
                            "soft"));
            return;
        }
        fill(task.get(), plan, words);
        if (nameNext && lookup("#step-name") instanceof TextField f) {
            nameNext = false;
            Platform.runLater(() -> {
                f.requestFocus();
                f.selectAll();
            });
        }
    }

    private void fill(Plan.Task t, Plan plan, PlanWords words) {
        getChildren().add(t.key().kind() == StepKey.Kind.OWN ? name(t) : Ui.wrapped(t.name(), "page-title"));
        getChildren().add(Ui.wrapped(words.now(t), t.late(plan.today()) ? "wrong-text" : "soft"));
        if (t.key().kind() == StepKey.Kind.TEST) {
            getChildren()
                    .add(Ui.button(
                            "Open the test",
                            "step-test",
                            () -> openTest.accept(t.key().of())));
        } else {
            getChildren().add(stages(t));
        }
        getChildren().addAll(figures(t), trouble);
        reach(t);
        getChildren().addAll(Ui.rule(), Ui.label("Waits for", "group-title"));
        waits(t, plan);
        getChildren()
                .addAll(
                        Ui.rule(),
                        Ui.label("If it is late", "group-title"),
                        Ui.wrapped(words.blocks(t)),
                        delay(t, words));
    }

    private HBox name(Plan.Task t) {
        int number = Integer.parseInt(t.key().of());
        QuantityField<String> name = new QuantityField<>(
                "step-name",
                "Name of the step",
                text -> {
                    if (text.isBlank() || text.strip().length() > 80) {
                        throw new IllegalArgumentException("Enter a step name of 1 to 80 letters.");
                    }
                    return text.strip();
                },
                s -> s);
        name.update(t.name());
        name.onTrouble(trouble::setText);
        name.onValue(text -> edit.accept("Name a step", p -> p.with(p.build().named(number, text))));
        name.setPrefWidth(176);
        Button gone = Ui.named(
                Ui.button(
                        "Remove",
                        "step-remove",
                        () -> {
                            pick.accept(Optional.empty());
                            edit.accept(
                                    "Remove " + t.name(), p -> p.with(p.build().without(number)));
                        },
                        "chip"),
                "step-remove",
                "Remove the step " + t.name());
        HBox box = new RowBox(6, name, gone);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private FlowPane stages(Plan.Task t) {
        FlowPane box = new FlowPane(4, 4);
        for (Stage s : t.key().kind().stages()) {
            ToggleButton b = new ToggleButton(s.label());
            b.setId("stage-" + s.key());
            b.getStyleClass().add("chip");
            b.setMinWidth(Region.USE_PREF_SIZE);
            b.setSelected(t.step().stage() == s);
            b.setAccessibleText(t.name() + ": " + s.label().toLowerCase(Locale.ROOT)
                    + (t.step().stage() == s ? ", it is so" : ""));
            b.setOnAction(e -> {
                b.setSelected(true);
                edit.accept(
                        "Set " + t.name() + " to " + s.label().toLowerCase(Locale.ROOT),
                        p -> BuildEdits.staged(p, t.key(), s));
            });
            box.getChildren().add(b);
        }
        return box;
    }

    private ColumnBox figures(Plan.Task t) {
        QuantityField<Optional<Double>> hours = Entries.hours("step-hours", "Hours of work, blank where not known");
        hours.update(t.step().hours());
        hours.setPrefWidth(56);
        hours.onTrouble(trouble::setText);
        hours.onValue(h -> edit.accept("Set hours of " + t.name(), p -> BuildEdits.hours(p, t.key(), h)));
        HBox box = new RowBox(6, hours, Ui.label("h of work", "soft"));
        box.setAlignment(Pos.CENTER_LEFT);
        ColumnBox all = new ColumnBox(6, box);
        if (t.step().stage().awaited()) {
            QuantityField<Optional<LocalDate>> day = Entries.day("step-expected", "Delivery expected, as 2026-03-09");
            day.setPromptText("2026-03-09");
            day.update(t.step().expected());
            day.setPrefWidth(96);
            day.onTrouble(trouble::setText);
            day.onValue(d -> edit.accept("Set delivery of " + t.name(), p -> BuildEdits.expected(p, t.key(), d)));
            HBox delivery = new RowBox(6, Ui.label("delivery expected", "soft"), day);
            delivery.setAlignment(Pos.CENTER_LEFT);
            all.getChildren().add(delivery);
        }
        return all;
    }

    /** How a part is got at, what is drained first, what its mount carries. */
    private void reach(Plan.Task t) {
        Optional<Item> item = t.key().kind() == StepKey.Kind.PART || t.key().kind() == StepKey.Kind.LINE
                ? session.project().system().item(t.key().of())
                : Optional.empty();
        if (item.isEmpty()) {
            return;
        }
        Access a = t.step().access();
        boolean vessel = item.get().only(Tank.class).isPresent()
                || item.get().only(Header.class).isPresent();
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(4);
        grid.addRow(
                0,
                Ui.label("panels off", "soft"),
                words(t, "step-panels", "Panels that come off", a.panels(), Access::withPanels));
        grid.addRow(1, Ui.label("tools", "soft"), words(t, "step-tools", "Tools", a.tools(), Access::withTools));
        grid.addRow(
                2,
                Ui.label("neighbors", "soft"),
                words(
                        t,
                        "step-neighbors",
                        "Neighbors that matter: in its way, or forcing a bend",
                        a.neighbors(),
                        Access::withNeighbors));
        grid.addRow(
                3,
                Ui.label("minutes", "soft"),
                number(t, "step-minutes", "Minutes to get at it", 1, a.minutes(), Access::withMinutes));
        if (vessel) {
            boolean us = session.units().get() == UnitSystem.US;
            grid.addRow(
                    4,
                    Ui.label(us ? "empty, lb" : "empty, kg", "soft"),
                    number(t, "step-weight", "Weight of it empty", us ? POUND : 1, a.weight(), Access::withWeight));
        }
        Assessment now = session.shown().get().assessment();
        Reach reach = Reach.of(
                now.project(),
                now.tanks().stream().collect(Collectors.toMap(x -> x.tank().id(), TankAnswer::body, (x, y) -> x)),
                item.get());
        Label drain = Ui.wrapped(reach.drains(session.units().get()), "plain-text");
        drain.setId("step-drain");
        getChildren().addAll(Ui.rule(), Ui.label("Access", "group-title"), grid, drain);
        String load = reach.load(session.units().get());
        if (!load.isEmpty()) {
            Label carries = Ui.wrapped(load, "plain-text");
            carries.setId("step-load");
            getChildren().add(carries);
        }
    }

    private static final double POUND = 0.45359237;

    private QuantityField<String> words(
            Plan.Task t, String id, String spoken, String now, BiFunction<Access, String, Access> with) {
        QuantityField<String> field = new QuantityField<>(
                id,
                spoken,
                x -> {
                    if (x.strip().length() > Access.LONGEST) {
                        throw new IllegalArgumentException("Maximum " + Access.LONGEST + " letters.");
                    }
                    return x.strip();
                },
                x -> x);
        field.update(now);
        field.getStyleClass().add("left-field");
        field.onTrouble(trouble::setText);
        field.onValue(x ->
                edit.accept("Set access of " + t.name(), p -> BuildEdits.access(p, t.key(), y -> with.apply(y, x))));
        field.setPrefWidth(176);
        return field;
    }

    /** A figure kept in another unit than it is shown in. */
    private QuantityField<Optional<Double>> number(
            Plan.Task t,
            String id,
            String spoken,
            double unit,
            Optional<Double> now,
            BiFunction<Access, Optional<Double>, Access> with) {
        QuantityField<Optional<Double>> field = Entries.number(
                id, spoken + ", blank where not known", "a number from 0 to 1,000", unit == POUND ? "lb" : "kg", 1000);
        field.update(now.map(x -> Math.round(x / unit * 100) / 100.0));
        field.onTrouble(trouble::setText);
        field.onValue(x -> edit.accept(
                "Set access of " + t.name(),
                p -> BuildEdits.access(p, t.key(), y -> with.apply(y, x.map(v -> v * unit)))));
        field.setPrefWidth(70);
        return field;
    }

    private void waits(Plan.Task t, Plan plan) {
        for (StepKey need : t.needs()) {
            Plan.Task other = plan.task(need).orElseThrow();
            HBox row = new RowBox(
                    6,
                    Ui.wrapped(
                            (other.done() ? "\u2713 " : "\u2022 ") + other.name(),
                            other.done() ? "soft" : "plain-text"));
            if (t.step().after().contains(need)) {
                row.getChildren()
                        .addAll(
                                Ui.spring(),
                                Ui.named(
                                        Ui.button(
                                                "Not",
                                                "wait-not",
                                                () -> edit.accept(
                                                        t.name() + " waits for less",
                                                        p -> BuildEdits.after(p, t.key(), need, false)),
                                                "chip"),
                                        "wait-not-" + BuildPage.id(need),
                                        "No longer wait for " + other.name()));
            }
            row.setAlignment(Pos.CENTER_LEFT);
            getChildren().add(row);
        }
        if (t.needs().isEmpty()) {
            getChildren().add(Ui.label("nothing", "soft"));
        }
        List<Plan.Task> offered = plan.mayWaitFor(t.key());
        ChoiceBox<Plan.Task> choice = new ChoiceBox<>();
        choice.setId("wait-for");
        choice.setAccessibleText("A step it waits for");
        choice.setMaxWidth(190);
        choice.setConverter(new StringConverter<>() {
            @Override
            public String toString(Plan.Task x) {
                return x == null ? "another step" : x.name();
            }

            @Override
            public Plan.Task fromString(String text) {
                return null;
            }
        });
        choice.getItems().setAll(offered);
        Button add = Ui.button(
                "Waits for it",
                "wait-add",
                () -> Optional.ofNullable(choice.getValue())
                        .ifPresent(x -> edit.accept(
                                t.name() + " waits for " + x.name(), p -> BuildEdits.after(p, t.key(), x.key(), true))),
                "chip");
        HBox box = new RowBox(6, choice, add);
        box.setAlignment(Pos.CENTER_LEFT);
        box.setVisible(!offered.isEmpty());
        box.setManaged(box.isVisible());
        getChildren().add(box);
    }

    private ColumnBox delay(Plan.Task t, PlanWords words) {
        Label says = Ui.wrapped(words.delay(t, late));
        says.setId("step-delay");
        QuantityField<Integer> days = new QuantityField<>(
                "step-late",
                "Days late",
                text -> {
                    try {
                        int n = Integer.parseInt(text.strip());
                        if (n >= 0 && n <= MOST_DAYS) {
                            return n;
                        }
                    } catch (NumberFormatException e) {
                        // said below
                    }
                    throw new IllegalArgumentException(
                            "\u201c" + text.strip() + "\u201d is not a number of days: 0 to 3,650.");
                },
                String::valueOf);
        days.update(late);
        days.setPrefWidth(48);
        days.onTrouble(trouble::setText);
        days.onValue(n -> {
            late = n;
            says.setText(words.delay(t, n));
        });
        HBox box = new RowBox(6, Ui.label("by", "soft"), days, Ui.label("days:", "soft"));
        box.setAlignment(Pos.CENTER_LEFT);
        ColumnBox all = new ColumnBox(4, box, says);
        all.setVisible(!t.done());
        all.setManaged(all.isVisible());
        return all;
    }
}
