package ration.desktop.flow;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.assess.Ledger;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.fault.FaultSum;
import ration.answer.improve.ImproveWords;
import ration.answer.improve.Improvement;
import ration.answer.improve.MakeItHold;
import ration.answer.improve.Weights;
import ration.answer.remedy.Change;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.record.cost.CostList;
import ration.record.project.VariantEdits;

/** Make it hold: sets of changes after which nothing Fails, the cheapest first, as the builder weighs them. */
final class ImprovePane extends ColumnBox {

    private final Session session;
    private final LongWork work;
    private final LongWork failing;
    private final VBox rows = new ColumnBox();
    private final Label state = Ui.wrapped("", "soft");
    private final Label always = Ui.wrapped("");
    private final Label beyond = Ui.wrapped("");
    private final Label ofFailures = Ui.wrapped("");
    private final Label trouble = Ui.trouble("improve-trouble");
    private final Button stop = Ui.button("Stop", "improve-stop", this::stopped, "chip");
    private final Button again = Ui.button("Find sets again", "improve-again", this::ask, "chip");
    private final Map<Change.Sort, CheckBox> leave = new EnumMap<>(Change.Sort.class);
    private final QuantityField<Double> hour;
    private final QuantityField<Double> gallon;
    private Weights weights;
    private AtomicBoolean enough = new AtomicBoolean();
    private Assessment asked;
    private Weights askedBy;
    /** How the failures of a set end, by the set itself; none where they were not run yet. */
    private final Map<Improvement, FaultSum> failures = new IdentityHashMap<>();

    private Optional<MakeItHold> found = Optional.empty();
    /** The set that stands open; below 0 none does. */
    private int picked = -1;

    /** @param table asks for a table, and gives its text */
    ImprovePane(Session session, Consumer<Consumer<String>> table) {
        super(8);
        this.session = session;
        weights = Weights.usual().by(session.home().costs());
        work = session.whileOpen().work("make it hold");
        failing = session.whileOpen().work("failures of a set");
        setId("improve");
        state.setId("improve-state");
        always.setId("improve-always");
        beyond.setId("improve-beyond");
        ofFailures.setId("improve-of-failures");
        hour = worth("improve-hour", "What an hour is worth");
        gallon = worth("improve-gallon", "What a usable gallon is worth");
        hour.update(weights.hour());
        gallon.update(weights.gallon());
        hour.onValue(v -> weigh(weights.hour(v)));
        gallon.onValue(v -> weigh(weights.gallon(v)));
        Button costs = Ui.button(
                "Cost list, CSV",
                "improve-costs",
                () -> table.accept(text -> {
                    try {
                        CostList own = CostList.read(text);
                        session.home().keep(own);
                        weigh(weights.by(own));
                    } catch (IllegalArgumentException e) {
                        session.trouble("Cost list not read. " + e.getMessage());
                    }
                }),
                "chip");
        HBox worth = new RowBox(
                8,
                Ui.label("An hour is worth $", "soft"),
                hour,
                Ui.label("a usable gallon $", "soft"),
                gallon,
                costs,
                trouble,
                Ui.spring(),
                bar(),
                stop,
                again);
        worth.setAlignment(Pos.CENTER_LEFT);
        CheckBox too = new CheckBox("Failures too");
        too.setId("improve-failures");
        too.setOnAction(e -> weigh(weights.withFailures(too.isSelected())));
        FlowPane alone = new FlowPane(12, 4);
        alone.getChildren().addAll(Ui.label("Make hold:", "soft"), too);
        alone.getChildren().add(Ui.label("Leave alone:", "soft"));
        for (Change.Sort s : Change.Sort.values()) {
            CheckBox box = new CheckBox(s.label());
            box.setId("improve-leave-" + s.key());
            box.setOnAction(e -> weigh(weights.leaving(left())));
            leave.put(s, box);
            alone.getChildren().add(box);
        }
        stop.visibleProperty().bind(work.running());
        stop.managedProperty().bind(stop.visibleProperty());
        again.visibleProperty().bind(work.running().not());
        again.managedProperty().bind(again.visibleProperty());
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        rows.addEventFilter(KeyEvent.KEY_PRESSED, this::walk);
        for (Label l : List.of(always, beyond, ofFailures)) {
            l.managedProperty().bind(l.textProperty().isNotEmpty());
            l.visibleProperty().bind(l.managedProperty());
        }
        getChildren().addAll(worth, alone, state, always, beyond, ofFailures, ImproveRows.heads(), scroll);
        VBox.setVgrow(this, Priority.ALWAYS);
    }

    private QuantityField<Double> worth(String id, String words) {
        QuantityField<Double> field = new QuantityField<>(
                id,
                words,
                text -> {
                    try {
                        double v =
                                Double.parseDouble(text.strip().replace("$", "").replace(",", ""));
                        if (v >= 0 && Double.isFinite(v)) {
                            return v;
                        }
                    } catch (NumberFormatException e) {
                        // told below
                    }
                    throw new IllegalArgumentException("Enter an amount of money, 0 or above, such as 40.");
                },
                v -> UnitSystem.figure(v, v == Math.rint(v) ? 0 : 2));
        field.setPrefColumnCount(5);
        field.onTrouble(trouble::setText);
        return field;
    }

    private ProgressBar bar() {
        ProgressBar bar = new ProgressBar();
        bar.setId("improve-progress");
        bar.setPrefWidth(130);
        bar.progressProperty().bind(work.progress());
        bar.visibleProperty().bind(work.running());
        bar.managedProperty().bind(bar.visibleProperty());
        return bar;
    }

    private Set<Change.Sort> left() {
        Set<Change.Sort> sorts = EnumSet.noneOf(Change.Sort.class);
        leave.forEach((s, box) -> {
            if (box.isSelected()) {
                sorts.add(s);
            }
        });
        return sorts;
    }

    private void weigh(Weights w) {
        weights = w;
        ask();
    }

    /** What was found by then is shown. */
    private void stopped() {
        enough.set(true);
    }

    /** Asks for the document shown, unless that was done. */
    void update() {
        if (session.shown().get().assessment() != asked || weights != askedBy) {
            ask();
        } else {
            show();
        }
    }

    private void ask() {
        Assessment now = session.shown().get().assessment();
        Weights by = weights;
        asked = now;
        askedBy = by;
        found = Optional.empty();
        picked = -1;
        failures.clear();
        failing.cancel();
        AtomicBoolean mine = new AtomicBoolean();
        enough = mine;
        show();
        work.start(
                task -> MakeItHold.of(
                        now,
                        by,
                        new Task(
                                task.progress(),
                                () -> mine.get() || task.cancelled().getAsBoolean())),
                answer -> {
                    found = Optional.of(answer);
                    answer.sets().forEach(i -> i.failures().ifPresent(f -> failures.put(i, f)));
                    show();
                },
                why -> {
                    found = Optional.empty();
                    show();
                    state.setText("Not shown: " + why);
                });
    }

    private ImproveWords words(MakeItHold m) {
        return new ImproveWords(m, askedBy, session.units().get());
    }

    private void show() {
        rows.getChildren().clear();
        state.setText(found.map(m -> words(m).head() + " " + words(m).size())
                .orElse("Solving each change alone, then sets of them."));
        always.setText(found.map(m -> words(m).always()).orElse(""));
        beyond.setText(found.map(m -> words(m).beyond()).orElse(""));
        ofFailures.setText(found.map(m -> words(m).failures()).orElse(""));
        Ledger now = Ledger.of(asked, session.units().get());
        if (found.isEmpty()) {
            ImproveWords none = words(MakeItHold.NONE);
            rows.getChildren().add(new ImproveRows(none, asked, now).asItIs());
            return;
        }
        MakeItHold m = found.get();
        ImproveRows made = new ImproveRows(words(m), asked, now);
        rows.getChildren().add(made.asItIs());
        for (int i = 0; i < m.sets().size(); i++) {
            int n = i;
            Improvement set = m.sets().get(n);
            rows.getChildren().add(made.row(n, n == picked, () -> pick(n), () -> session.apply(set.edit())));
            if (n == picked) {
                rows.getChildren()
                        .add(made.opened(
                                set,
                                words(m).failures(
                                                FaultSum.of(session.faults().get()),
                                                Optional.ofNullable(failures.get(set))
                                                        .orElse(FaultSum.of(List.of()))),
                                () -> session.apply(VariantEdits.keep(
                                        "Set " + (n + 1), set.edit().change()))));
            }
        }
        if (!m.sets().isEmpty()) {
            Label prices = Ui.wrapped(words(m).prices() + " " + ImproveWords.PREDICTED, "soft");
            prices.setId("improve-prices");
            rows.getChildren().add(prices);
        }
    }

    private void pick(int n) {
        picked = n;
        show();
        run(found.orElseThrow().sets().get(n));
        Node row = lookup("#improve-set-" + (n + 1));
        if (row != null) {
            row.requestFocus();
        }
    }

    /** Every failure with a set, once somebody looks at it. */
    private void run(Improvement set) {
        if (failures.containsKey(set)) {
            failing.cancel();
            return;
        }
        failing.start(
                task -> {
                    List<FaultAnswer> all =
                            FaultSearch.of(set.after(), session.units().get(), task.progress(), task.cancelled());
                    return task.cancelled().getAsBoolean() ? List.<FaultAnswer>of() : all;
                },
                all -> {
                    failures.put(set, FaultSum.of(all));
                    Node owner = getScene() == null ? null : getScene().getFocusOwner();
                    String had = owner == null ? null : owner.getId();
                    show();
                    Node now = had == null ? null : lookup("#" + had);
                    if (now != null) {
                        now.requestFocus();
                    }
                },
                why -> session.trouble("Failures of the set not run. " + why));
    }

    /** Up and Down go from one set to the next. */
    private void walk(KeyEvent e) {
        int step = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
        Node owner = getScene().getFocusOwner();
        if (step != 0
                && found.isPresent()
                && owner != null
                && owner.getId() != null
                && owner.getId().startsWith("improve-set-")) {
            int to = picked + step;
            if (to >= 0 && to < found.get().sets().size()) {
                pick(to);
                Ui.reveal(lookup("#improve-set-" + (to + 1)));
            }
            e.consume();
        }
    }
}
