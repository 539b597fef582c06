package ration.desktop.faults;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Lasting;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultAnswer.Group;
import ration.answer.fault.FaultRemedies;
import ration.answer.fault.FaultRemedy;
import ration.answer.fault.FaultSearch;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.KnownFailures.Singles;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.LastingPicture;
import ration.publish.drawing.Picture;
import ration.verdict.check.Verdict;

/** One part fails. */
public final class FaultsPage extends LivePage {

    private static final double[] WIDE = {210, 56, 48, 78, 166, 132, 62};
    private static final double[] SMALL = {152, 44, 44, 78, 108, 104, 62};

    private final Session session;
    private final Consumer<FaultAnswer> set;
    private final LongWork work;
    private final VBox rows = new ColumnBox();
    private final VBox card = new ColumnBox(8);
    private final HBox chips = new RowBox(4);
    private final TextField sought = new TextField();
    private final Label sum = Ui.label("", "main-result");
    private final Label words = Ui.label("");
    private final Label state = Ui.label("", "soft");
    private final Button again = Ui.button("Run analysis", "faults-again", this::restart, "chip");
    private final LongWork minutes;
    private final LongWork search;
    private Lasting course;
    private Assessment done;
    private UnitSystem units;
    /** What the layout fails with nothing failed: said once, and not by every row. */
    private final Label common = Ui.wrapped("", "soft");

    private List<FaultAnswer> answers = List.of();

    private Optional<Group> only = Optional.empty();
    private FaultAnswer picked;
    private final ToggleButton pairs = new ToggleButton("Hidden failures");
    private final HiddenPane hidden;
    private final BorderPane middle = new BorderPane();
    private final javafx.scene.Node side;

    /** @param set shows a case with its fault on the layout */
    public FaultsPage(Session session, Consumer<FaultAnswer> set) {
        super(session, "faults-page", "Failures page");
        this.session = session;
        work = session.whileOpen().work("faults");
        minutes = session.whileOpen().work("minutes");
        search = session.whileOpen().work("fault remedies");
        this.set = set;
        hidden = new HiddenPane(session, set);
        pairs.setId("faults-hidden");
        pairs.getStyleClass().add("chip");
        pairs.setMinWidth(Region.USE_PREF_SIZE);
        pairs.setAccessibleText("Failures that wait unseen, and what one more then does");
        pairs.setOnAction(e -> view());
        ProgressBar progress = new ProgressBar();
        progress.setId("faults-progress");
        progress.setPrefWidth(90);
        progress.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "faults-stop", this::stop, "chip");
        for (javafx.scene.Node n : List.of(progress, stop)) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        again.setVisible(false);
        again.managedProperty().bind(again.visibleProperty());
        chips.setAlignment(Pos.CENTER_LEFT);
        chips.managedProperty().bind(chips.visibleProperty());
        sought.managedProperty().bind(sought.visibleProperty());
        sought.setId("faults-search");
        sought.setPromptText("Search");
        sought.setAccessibleText("Search the failures by part or failure mode");
        sought.setPrefWidth(120);
        sought.setMinWidth(80);
        sought.textProperty().addListener((o, was, now) -> fill());
        HBox head = new RowBox(
                8, Ui.label("Failures", "page-title"), pairs, chips, Ui.spring(), state, progress, stop, again, sought);
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        sum.setId("faults-sum");
        sum.setMinWidth(Region.USE_PREF_SIZE);
        words.setId("faults-words");
        HBox result = new RowBox(12, sum, words);
        result.setAlignment(Pos.BASELINE_LEFT);
        result.setPadding(new javafx.geometry.Insets(8, 16, 4, 16));
        HBox titles = cells("Failure", "Flow left", "", "Low flow in", "Indication", "Pilot action", "");
        titles.getChildren().forEach(n -> n.getStyleClass().add("soft"));
        titles.setPadding(new javafx.geometry.Insets(0, 24, 4, 24));
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setMinWidth(0);
        scroll.setFocusTraversable(false);
        rows.setPadding(new javafx.geometry.Insets(0, 16, 16, 16));
        middle.setCenter(scroll);
        common.setId("faults-common");
        common.setPadding(new javafx.geometry.Insets(0, 16, 4, 16));
        common.managedProperty().bind(common.textProperty().isNotEmpty());
        VBox over = new ColumnBox(result, common, titles, Ui.rule());
        over.setMinWidth(0);
        middle.setTop(over);
        middle.setMinWidth(0);
        setCenter(middle);
        card.getStyleClass().add("card-body");
        side = Ui.side(card, 288, 232);
        setRight(side);
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
    }

    /** One part fails, or one that waits and one more. */
    private void view() {
        boolean both = pairs.isSelected();
        setCenter(both ? hidden : middle);
        setRight(both ? hidden.card() : side);
        chips.setVisible(!both);
        sought.setVisible(!both);
        hidden.show();
    }

    @Override
    public void arrive() {
        if (!focusRow(0)) {
            requestFocus();
        }
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        if (done == null
                || !FaultSearch.sameQuestions(done.project(), a.project())
                || session.units().get() != units) {
            start(a);
        } else {
            fill();
        }
    }

    private void start(Assessment a) {
        done = a;
        units = session.units().get();
        UnitSystem asked = units;
        answers = List.of();
        picked = null;
        search.cancel();
        session.faults().set(null);
        hidden.update(a, answers);
        again.setVisible(false);
        state.setText("");
        common.setText("");
        fill();
        if (a.blocked()) {
            work.cancel();
            words.setText("Nothing is computed yet: add a tank and its line to the engine.");
            return;
        }
        Optional<Singles> known = session.knownFailures().singles(a.project(), asked);
        if (known.isPresent()) {
            work.cancel();
            show(a, known.get());
            return;
        }
        words.setText("Computing each failure\u2026");
        work.start(
                task -> new Singles(
                        FaultSearch.of(a, asked, task.progress(), task.cancelled()), FaultSearch.already(a, asked)),
                found -> {
                    session.knownFailures().keep(a.project(), asked, found);
                    show(a, found);
                },
                why -> {
                    words.setText("The analysis failed: " + why);
                    again.setVisible(true);
                });
    }

    private void show(Assessment of, Singles found) {
        answers = found.answers();
        common.setText(found.already().orElse(""));
        session.faults().set(answers);
        picked = answers.isEmpty() ? null : answers.get(0);
        fill();
        hidden.update(of, answers);
    }

    private void restart() {
        start(session.shown().get().assessment());
    }

    private void stop() {
        work.cancel();
        words.setText("Stopped. No failure results.");
        again.setVisible(true);
    }

    private void fill() {
        hidden.show();
        chips.getChildren().clear();
        rows.getChildren().clear();
        FaultTable table = new FaultTable(answers, only);
        sum.setText(table.sum());
        sum.getStyleClass().remove("verdict-fails");
        if (table.empty()) {
            showCard();
            return;
        }
        table.choices().forEach(c -> chip(c.text(), c.id(), c.group()));
        if (table.shorts() > 0) {
            sum.getStyleClass().add("verdict-fails");
        }
        words.setText(table.words());
        int n = 0;
        for (FaultTable.Section in : table.sought(sought.getText())) {
            HBox title = new RowBox(
                    8, Ui.label(in.title(), "group-title"), Ui.label(in.group().words(), "soft"));
            title.setAlignment(Pos.BASELINE_LEFT);
            title.getStyleClass().add("fault-group");
            rows.getChildren().add(title);
            for (FaultAnswer f : in.rows()) {
                rows.getChildren().add(row(f, n++));
            }
        }
        if (n == 0) {
            rows.getChildren().add(Ui.wrapped("No failure matches \u201c" + sought.getText() + "\u201d.", "soft"));
        }
        showCard();
    }

    private void chip(String text, String id, Optional<Group> group) {
        ToggleButton chip = new ToggleButton(text);
        chip.setId(id);
        chip.getStyleClass().add("chip");
        chip.setSelected(only.equals(group));
        chip.setOnAction(e -> {
            only = group;
            fill();
            lookup("#" + id).requestFocus();
        });
        chips.getChildren().add(chip);
    }

    private static HBox cells(Object... content) {
        HBox box = new RowBox(6);
        box.setAlignment(Pos.CENTER_LEFT);
        for (int i = 0; i < content.length; i++) {
            Region cell = content[i] instanceof Region r ? r : Ui.label((String) content[i]);
            Ui.wide(cell, WIDE[i], SMALL[i]);
            box.getChildren().add(cell);
        }
        return box;
    }

    private Button row(FaultAnswer f, int n) {
        NotchBar left = new NotchBar(44, 8);
        left.show(FaultTable.bar(f), FaultTable.barVerdict(f));
        HBox bar = new RowBox(left);
        bar.setAlignment(Pos.CENTER_LEFT);
        FaultTable.Cells said = FaultTable.cells(f);
        javafx.scene.text.TextFlow name = Ui.named(said.part(), said.way());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, f.verdict());
        HBox cells = cells(
                name,
                Ui.label(said.share(), f.verdict() == Verdict.FAILS && f.share() < 1 ? "wrong-text" : "figure"),
                bar,
                Ui.label(said.minutes()),
                Ui.wrapped(said.seen()),
                Ui.wrapped(said.wayOut()),
                verdict);
        Button row = Ui.button("", "fault-" + n, () -> pick(f));
        row.setGraphic(cells);
        row.getStyleClass().setAll("button", "fault-row");
        if (f == picked) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setUserData(f);
        row.setAccessibleText(said.spoken());
        row.focusedProperty().addListener((o, was, now) -> {
            if (now && f != picked) {
                pick(f);
            }
        });
        return row;
    }

    private void pick(FaultAnswer f) {
        picked = f;
        for (javafx.scene.Node n : rows.getChildren()) {
            n.getStyleClass().remove("fault-picked");
            if (n.getUserData() == f) {
                n.getStyleClass().add("fault-picked");
            }
        }
        showCard();
    }

    private void showCard() {
        card.getChildren().clear();
        if (picked == null) {
            card.getChildren()
                    .add(Ui.wrapped(
                            "One part fails at a time, in each of its failure modes, in every case of the"
                                    + " matrix on clean filters, with all pumps on and as flown, in every"
                                    + " flight phase, and on the hot day. The worst counts.",
                            "soft"));
            return;
        }
        FaultAnswer f = picked;
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, f.verdict());
        Label name = Ui.wrapped(f.part(), "page-title");
        name.setId("fault-part");
        HBox.setHgrow(name, Priority.ALWAYS);
        Label big = Ui.label(FaultTable.minutes(f), "main-result");
        big.setId("fault-minutes");
        card.getChildren()
                .addAll(
                        new RowBox(8, name, Ui.spring(), verdict),
                        Ui.label(FaultTable.cells(f).way(), "soft"),
                        big,
                        Ui.label(FaultTable.until(f), "soft"),
                        Ui.rule(),
                        Ui.label("Case", "group-title"),
                        Ui.wrapped(f.where()),
                        Ui.label("Why", "group-title"),
                        Ui.wrapped(f.why()));
        if (!f.seen().isEmpty() || f.verdict() == Verdict.FAILS) {
            card.getChildren().addAll(Ui.label("Indication", "group-title"), Ui.wrapped(FaultTable.allSeen(f)));
        }
        if (Double.isFinite(f.minutes()) && f.minutes() > 0) {
            chart(f);
        }
        if (f.verdict() == Verdict.FAILS
                || f.verdict() == Verdict.THIN
                || f.wayOut().isPresent()) {
            card.getChildren().addAll(Ui.label("Pilot action", "group-title"), Ui.wrapped(FaultTable.wayOut(f)));
        }
        if (f.verdict() != Verdict.HOLDS) {
            remedies(f);
        }
        Button put = Ui.button("Apply failure to layout", "fault-set", () -> set.accept(f));
        put.setMaxWidth(Double.MAX_VALUE);
        card.getChildren()
                .addAll(
                        Ui.rule(),
                        put,
                        Ui.wrapped(
                                "Failure mode: "
                                        + f.fault()
                                                .kind()
                                                .source(session.project()
                                                        .brief()
                                                        .choices()
                                                        .basis())
                                        + ". Severity: common practice, no source. Two at once: Hidden failures."
                                        + " A computed pass does not approve flight. Your"
                                        + " inspector, the aviation authority and the"
                                        + " manufacturers' instructions decide.",
                                "soft"));
    }

    /** What would take the harm from it: each change asks every fault again, so it is worked out on demand. */
    private void remedies(FaultAnswer f) {
        VBox box = new ColumnBox(4);
        ProgressBar progress = new ProgressBar();
        progress.progressProperty().bind(search.progress());
        Button stop = Ui.button("Stop", "remedies-stop", search::cancel, "chip");
        HBox bar = new RowBox(6, progress, stop);
        bar.visibleProperty().bind(search.running());
        bar.managedProperty().bind(bar.visibleProperty());
        Label said = Ui.wrapped("", "soft");
        said.setId("remedies-said");
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        Assessment a = done;
        UnitSystem asked = session.units().get();
        Button ask = Ui.button(
                "Find fixes",
                "fault-remedies",
                () -> {
                    said.setText("");
                    search.start(
                            task -> FaultRemedies.of(a, f, asked, task),
                            found -> {
                                box.getChildren().clear();
                                said.setText(
                                        found.isEmpty()
                                                ? "No vented cap, larger header or added sender helps: change"
                                                        + " the part or the line."
                                                : "");
                                for (int n = 0; n < found.size(); n++) {
                                    box.getChildren().add(remedy(found.get(n), n));
                                }
                            },
                            said::setText);
                },
                "chip");
        card.getChildren().addAll(Ui.label("Fixes", "group-title"), ask, bar, said, box);
    }

    private VBox remedy(FaultRemedy r, int n) {
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, r.after().verdict());
        Button take = Ui.button("Try", "fault-try-" + n, () -> session.apply(r.edit()), "chip");
        take.setAccessibleText("Try: " + r.title() + ", then "
                + r.after().verdict().word() + ", " + r.shorts() + " failures cut flow");
        HBox top = new RowBox(6, Ui.label(r.title(), "bold"), Ui.spring(), verdict, take);
        top.setAlignment(Pos.CENTER_LEFT);
        return new ColumnBox(
                1,
                top,
                Ui.wrapped(
                        r.detail() + "; low flow in " + FaultTable.minutes(r.after()) + ", " + r.shorts()
                                + " failures cut flow then",
                        "soft"));
    }

    /** Its minutes, drawn down behind the page. */
    private void chart(FaultAnswer f) {
        PicturePane pane = new PicturePane(
                "fault-minutes-chart",
                (w, h) -> course == null
                        ? new Picture(w, h, List.of())
                        : LastingPicture.draw(course, session.units().get(), w, h),
                id -> {});
        pane.setPrefHeight(118);
        pane.setMinHeight(118);
        card.getChildren().add(pane);
        Assessment a = done;
        course = null;
        minutes.start(
                task -> Lasting.of(
                        a.basis().orElseThrow(),
                        f.condition(),
                        a.project().brief().demand()
                                * f.condition().engine().power().demandShare(),
                        240),
                found -> {
                    course = found;
                    pane.redraw();
                },
                why -> {});
    }

    private boolean focusRow(int n) {
        javafx.scene.Node row = lookup("#fault-" + n);
        if (row != null) {
            row.requestFocus();
        }
        return row != null;
    }
}
