package ration.desktop.faults;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.Finder;
import ration.answer.fault.HiddenChecks;
import ration.answer.fault.HiddenSearch;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.answer.fault.HiddenSearch.Outcome;
import ration.answer.fault.HiddenWords;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.record.upkeep.Upkeep;

/**
 * Failures that show nothing and wait, against what fails next: rows by the check that finds them. Asked as soon as
 * single failures are known, whether this is looked at or not: what stops the engine and has no check is open.
 */
final class HiddenPane extends BorderPane {

    private static final double[] NAME = {238, 150};
    private static final double[] COLUMN = {50, 42};
    private static final double[] STOPS = {40, 36};
    private static final double[] WITHIN = {66, 58};
    /** As many columns as the page has room for; the rest is told under it. */
    private static final int MOST = 9;

    private final Session session;
    private final LongWork work;
    private final Label sum = Ui.wrapped("", "bold");
    private final Label best = Ui.wrapped("", "soft");
    private final VBox heads = new ColumnBox();
    private final VBox rows = new ColumnBox();
    private final Button again = Ui.button("Run", "hidden-again", this::run, "chip");
    private final HiddenCard card;
    private AtomicBoolean enough = new AtomicBoolean();
    private Assessment asked;
    private List<FaultAnswer> singles = List.of();
    private HiddenSearch shown;
    private Upkeep upkeep;
    private HiddenTable table = new HiddenTable(List.of(), List.of(), List.of());
    private Hidden row;
    private int column;
    private boolean all;

    /** @param set shows a case with both failures on the layout */
    HiddenPane(Session session, Consumer<FaultAnswer> set) {
        this.session = session;
        work = session.whileOpen().work("hidden failures");
        card = new HiddenCard(session, set, this::step, this::add);
        setId("hidden");
        setMinWidth(0);
        sum.setId("hidden-sum");
        best.setId("hidden-best");
        best.managedProperty().bind(best.textProperty().isNotEmpty());
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "hidden-stop", () -> enough.set(true), "chip");
        HBox busy = new RowBox(8, bar, stop);
        busy.visibleProperty().bind(work.running());
        busy.managedProperty().bind(work.running());
        again.managedProperty().bind(again.visibleProperty());
        VBox top = new ColumnBox(4, sum, best, busy, again, heads);
        top.setPadding(new Insets(8, 16, 0, 16));
        top.setMinWidth(0);
        setTop(top);
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setMinWidth(0);
        scroll.setFocusTraversable(false);
        rows.setPadding(new Insets(0, 16, 16, 16));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (!key(e)) {
                Ui.walk(rows, e);
            }
        });
        setCenter(scroll);
    }

    Node card() {
        return card.side();
    }

    /** What single failures do is known, or is asked anew: pairs are asked after it. */
    void update(Assessment now, List<FaultAnswer> known) {
        asked = now;
        singles = known;
        work.cancel();
        session.hidden().set(null);
        again.setVisible(false);
        if (known.isEmpty()) {
            sum.setText("Single failures first: they are being computed, or nothing is.");
            best.setText("");
            show();
        } else {
            run();
        }
    }

    private void run() {
        again.setVisible(false);
        sum.setText("Computing each pair\u2026");
        best.setText("");
        Assessment now = asked;
        List<FaultAnswer> known = singles;
        UnitSystem units = session.units().get();
        AtomicBoolean mine = new AtomicBoolean();
        enough = mine;
        Optional<HiddenSearch> found = session.knownFailures().hidden(now.project(), units);
        if (found.isPresent()) {
            work.cancel();
            session.hidden().set(found.get());
            show();
            return;
        }
        session.hidden().set(null);
        show();
        work.start(
                task -> HiddenSearch.of(
                        now,
                        known,
                        units,
                        new Task(
                                task.progress(),
                                () -> mine.get() || task.cancelled().getAsBoolean())),
                s -> {
                    s.ifPresent(h -> session.knownFailures().keep(now.project(), units, h));
                    session.hidden().set(s.orElse(null));
                    again.setVisible(s.map(x -> !x.finished()).orElse(false));
                    if (s.isEmpty()) {
                        sum.setText("Not shown: no case brings the engine its demand with nothing failed.");
                    }
                    show();
                },
                why -> {
                    sum.setText("Not shown: " + why);
                    again.setVisible(true);
                });
    }

    /** Shows what was found, and which checks the document has by now. */
    void show() {
        HiddenSearch found = session.hidden().get();
        Upkeep now = session.project().upkeep();
        if (found == shown && now == upkeep && found != null) {
            return;
        }
        boolean other = found != shown;
        shown = found;
        upkeep = now;
        if (found == null) {
            table = new HiddenTable(List.of(), List.of(), List.of());
            row = null;
            heads.getChildren().clear();
            rows.getChildren().clear();
            card.nothing();
            return;
        }
        sum.setText(HiddenWords.sum(found));
        best.setText(HiddenWords.best(found, now));
        if (other) {
            table = HiddenTable.of(found);
            row = table.rows().stream().findFirst().orElse(null);
            column = 0;
            if (row != null) {
                firstStop();
            }
        }
        fill();
    }

    private List<HiddenTable.Column> columns() {
        return table.columns().stream().limit(MOST).toList();
    }

    private void fill() {
        int focused = focusedRow();
        heads.getChildren().setAll(heads());
        List<Node> nodes = new ArrayList<>();
        nodes.add(baseline());
        int n = 0;
        for (HiddenTable.Section s : table.sections()) {
            nodes.add(title(s));
            for (Hidden h : s.rows()) {
                nodes.add(row(h, n++));
            }
        }
        if (!table.harmless().isEmpty()) {
            Button more = Ui.button(
                    table.harmless().size() + " more wait, and one more failure is no worse for them",
                    "hidden-harmless",
                    () -> {
                        all = !all;
                        fill();
                    },
                    "chip");
            VBox.setMargin(more, new Insets(8, 0, 4, 0));
            nodes.add(more);
            if (all) {
                for (Hidden h : table.harmless()) {
                    nodes.add(row(h, n++));
                }
            }
        }
        nodes.add(legend());
        rows.getChildren().setAll(nodes);
        if (focused >= 0 && rows.lookup("#hidden-" + focused) != null) {
            rows.lookup("#hidden-" + focused).requestFocus();
        }
        mark();
    }

    private int focusedRow() {
        return getScene() != null && getScene().getFocusOwner() instanceof Button b && b.getUserData() instanceof Hidden
                ? Integer.parseInt(b.getId().substring("hidden-".length()))
                : -1;
    }

    private HBox heads() {
        HBox box = new RowBox(0);
        box.getChildren().add(Ui.wide(Ui.label("Waits unseen", "soft"), NAME[0], NAME[1]));
        for (HiddenTable.Column c : columns()) {
            Label part = Ui.wrapped(c.part(), "hidden-head");
            Label way = Ui.wrapped(c.way(), "hidden-head", "soft");
            VBox head = new ColumnBox(0, part, way);
            head.setAlignment(Pos.BOTTOM_CENTER);
            head.setPadding(new Insets(0, 3, 0, 3));
            head.setAccessibleText(c.all());
            javafx.scene.control.Tooltip.install(head, new javafx.scene.control.Tooltip(c.all()));
            box.getChildren().add(Ui.wide(head, COLUMN[0], COLUMN[1]));
        }
        box.getChildren()
                .addAll(
                        Ui.wide(Ui.label("stops", "soft"), STOPS[0], STOPS[1]),
                        Ui.wide(Ui.label("within", "soft"), WITHIN[0], WITHIN[1]));
        box.setAlignment(Pos.BOTTOM_LEFT);
        box.setPadding(new Insets(4, 8, 4, 8));
        return box;
    }

    private HBox baseline() {
        HBox box = new RowBox(0);
        box.getChildren().add(Ui.wide(Ui.label("Nothing hidden", "soft"), NAME[0], NAME[1]));
        for (HiddenTable.Column c : columns()) {
            Outcome outcome =
                    switch (c.first().group()) {
                        case NO_WAY_OUT -> Outcome.STOPS;
                        case TOO_LATE -> Outcome.UNSEEN;
                        case WAY_OUT -> Outcome.SWITCHED;
                        case NO_HARM -> Outcome.MET;
                        case NOT_SHOWN -> Outcome.NOT_SHOWN;
                    };
            box.getChildren().add(cell(new HiddenSearch.Pair(c.first().fault(), outcome, Optional.of(c.first()))));
        }
        box.setAlignment(Pos.CENTER_LEFT);
        box.setPadding(new Insets(3, 8, 3, 8));
        return box;
    }

    private static StackPane cell(HiddenSearch.Pair p) {
        StackPane cell = new StackPane(new HiddenTile(p));
        return Ui.wide(cell, COLUMN[0], COLUMN[1]);
    }

    private HBox title(HiddenTable.Section s) {
        Finder finder = s.finder();
        Label said = Ui.wrapped(finder.often(), "soft");
        HBox.setHgrow(said, javafx.scene.layout.Priority.ALWAYS);
        Label words = Ui.wrapped(finder.words(), "group-title");
        VBox left = new ColumnBox(0, words, said);
        HBox.setHgrow(left, javafx.scene.layout.Priority.ALWAYS);
        HBox title = new RowBox(8, left);
        List<Hidden> open = HiddenChecks.without(shown, upkeep).stream()
                .filter(h -> h.finder() == finder)
                .toList();
        if (s.stopping() > 0) {
            Label finds = Ui.label("finds " + s.stopping(), "bold");
            finds.setMinWidth(USE_PREF_SIZE);
            title.getChildren().add(finds);
            if (open.isEmpty()) {
                Label has =
                        Ui.label("\u2713 " + (finder.onCard() ? "on the preflight card" : "in Maintenance"), "soft");
                has.setMinWidth(USE_PREF_SIZE);
                title.getChildren().add(has);
            } else {
                Button put = Ui.button(
                        finder.onCard() ? "Add to preflight card" : "Add to Maintenance",
                        "hidden-add-" + HiddenWords.key(finder),
                        () -> add(open),
                        "chip");
                put.setMinWidth(USE_PREF_SIZE);
                title.getChildren().add(put);
            }
        }
        title.setAlignment(Pos.CENTER_LEFT);
        title.getStyleClass().add("fault-group");
        return title;
    }

    private Button row(Hidden h, int n) {
        HBox box = new RowBox(0);
        box.getChildren().add(Ui.wide(Ui.wrapped(HiddenWords.name(h), "bold"), NAME[0], NAME[1]));
        List<HiddenTable.Column> columns = columns();
        for (int i = 0; i < columns.size(); i++) {
            int at = i;
            StackPane cell = cell(columns.get(i).of(h));
            cell.setOnMousePressed(e -> {
                column = at;
                pick(h);
            });
            box.getChildren().add(cell);
        }
        box.getChildren()
                .addAll(
                        Ui.wide(
                                Ui.label(
                                        h.stops().isEmpty()
                                                ? ""
                                                : String.valueOf(h.stops().size()),
                                        "bold"),
                                STOPS[0],
                                STOPS[1]),
                        Ui.wide(Ui.label(HiddenWords.in(h), "wrong-text"), WITHIN[0], WITHIN[1]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button button = Ui.button("", "hidden-" + n, () -> pick(h));
        button.setGraphic(box);
        button.setUserData(h);
        button.getStyleClass().setAll("button", "fault-row");
        button.setMaxWidth(Double.MAX_VALUE);
        button.setAccessibleText(HiddenWords.name(h) + ", " + h.verdict().word() + ", then " + HiddenWords.then(h)
                + ". Left and right choose what fails next, Enter shows both on the layout.");
        button.focusedProperty().addListener((o, was, now) -> {
            if (now && row != h) {
                row = h;
                firstStop();
                mark();
            }
        });
        return button;
    }

    private VBox legend() {
        int more = table.columns().size() - columns().size();
        String merged = String.join(
                "; ",
                columns().stream()
                        .filter(c -> c.seconds().size() > 1)
                        .map(c -> c.part() + " " + c.way() + ": "
                                + c.seconds().stream()
                                        .skip(1)
                                        .map(HiddenWords::name)
                                        .reduce((x, y) -> x + ", " + y)
                                        .orElse(""))
                        .toList());
        VBox box = new ColumnBox(
                3,
                Ui.wrapped(
                        "A figure: stops in so many minutes, no pilot action. Half disc: pilot action left, but nothing"
                                + " shows it in time. Ring: a pump or selector switched restores flow. Dot: demand"
                                + " still met. Question mark: not computed or not run.",
                        "soft"),
                Ui.wrapped(
                        (merged.isEmpty() ? "" : "Columns with equal answers: " + merged + ". ")
                                + (more > 0 ? more + " more columns: choose the row, N goes through all. " : "")
                                + (shown.folded() > 0
                                        ? shown.folded() + " milder degrees that wait too are folded in. "
                                        : "")
                                + HiddenWords.UNLIKELY,
                        "soft"));
        box.setPadding(new Insets(8, 8, 0, 8));
        return box;
    }

    private void pick(Hidden h) {
        if (row != h) {
            row = h;
            if (columns().isEmpty() || columns().get(at()).of(h).outcome() == Outcome.SAME_PART) {
                firstStop();
            }
        }
        mark();
    }

    private int at() {
        return Math.max(0, Math.min(column, columns().size() - 1));
    }

    private void firstStop() {
        List<HiddenTable.Column> columns = table.columns();
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).of(row).outcome() == Outcome.STOPS) {
                column = i;
                return;
            }
        }
        column = 0;
    }

    /** The next pair that stops the engine, over all rows, or the one before. */
    private void step(int by) {
        List<Hidden> all = table.rows();
        int wide = table.columns().size();
        int from = all.indexOf(row) * wide + column;
        for (int i = 1; i <= all.size() * wide; i++) {
            int at = Math.floorMod(from + by * i, all.size() * wide);
            Hidden h = all.get(at / wide);
            if (table.columns().get(at % wide).of(h).outcome() == Outcome.STOPS) {
                row = h;
                column = at % wide;
                Node node = rows.lookup("#hidden-" + all.indexOf(h));
                if (node != null) {
                    node.requestFocus();
                    Ui.reveal(node);
                }
                mark();
                return;
            }
        }
    }

    /** Shows which pair is looked at, in the rows and on the card. */
    private void mark() {
        for (Node n : rows.getChildren()) {
            if (n.getUserData() instanceof Hidden h) {
                n.getStyleClass().remove("hidden-picked");
                List<Node> cells = ((HBox) ((Button) n).getGraphic()).getChildren();
                for (int i = 0; i < columns().size(); i++) {
                    cells.get(i + 1).getStyleClass().remove("hidden-cell-picked");
                }
                if (h == row) {
                    n.getStyleClass().add("hidden-picked");
                    if (column < columns().size()) {
                        cells.get(column + 1).getStyleClass().add("hidden-cell-picked");
                    }
                }
            }
        }
        if (row == null || table.columns().isEmpty()) {
            card.nothing();
        } else {
            card.show(row, table.columns().get(column));
        }
    }

    /** Whether the key was one of these rows. */
    private boolean key(KeyEvent e) {
        if (row == null || e.isControlDown() || e.isAltDown() || e.isMetaDown()) {
            return false;
        }
        int wide = table.columns().size();
        if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
            column = Math.max(0, Math.min(wide - 1, column + (e.getCode() == KeyCode.LEFT ? -1 : 1)));
            mark();
        } else if (e.getCode() == KeyCode.N) {
            step(e.isShiftDown() ? -1 : 1);
        } else if (e.getCode() == KeyCode.C) {
            add(List.of(row));
        } else if (e.getCode() == KeyCode.ENTER && focusedRow() >= 0) {
            card.set();
        } else {
            return false;
        }
        e.consume();
        return true;
    }

    private void add(List<Hidden> hidden) {
        if (hidden.stream()
                .anyMatch(h -> !HiddenChecks.found(h, session.project().upkeep()))) {
            session.apply(HiddenChecks.put(hidden));
            show();
        }
    }
}
