package ration.desktop.faults;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.Finder;
import ration.answer.fault.HiddenSearch;
import ration.answer.fault.HiddenSearch.Hidden;
import ration.answer.fault.HiddenWords;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.record.project.Edit;
import ration.record.upkeep.Upkeep;
import ration.verdict.check.Verdict;

/** Failures that show nothing and wait, grouped by the check that finds them, and what one more then does. */
final class HiddenPane extends BorderPane {

    private static final double[] WIDE = {280, 54, 480, 80, 90};
    private static final double[] SMALL = {190, 48, 220, 66, 80};

    private final Session session;
    private final Consumer<FaultAnswer> set;
    private final LongWork work;
    private final Label sum = Ui.wrapped("", "bold");
    private final VBox rows = new ColumnBox();
    private final Button again = Ui.button("Run", "hidden-again", this::run, "chip");
    private Optional<HiddenSearch> found = Optional.empty();
    private Assessment asked;
    private List<FaultAnswer> singles = List.of();

    /** @param set shows a case with both failures on the layout */
    HiddenPane(Session session, Consumer<FaultAnswer> set) {
        this.session = session;
        this.set = set;
        work = session.whileOpen().work("hidden failures");
        setId("hidden");
        sum.setId("hidden-sum");
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "hidden-stop", this::stop, "chip");
        HBox busy = new RowBox(8, bar, stop);
        busy.visibleProperty().bind(work.running());
        busy.managedProperty().bind(work.running());
        again.managedProperty().bind(again.visibleProperty());
        VBox top = new ColumnBox(6, sum, Ui.wrapped(HiddenWords.UNLIKELY, "soft"), busy, again);
        top.setPadding(new Insets(8, 16, 6, 16));
        setTop(top);
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        rows.setPadding(new Insets(0, 16, 16, 16));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        setCenter(scroll);
    }

    /** What single failures do is known: pairs can be asked. */
    void update(Assessment now, List<FaultAnswer> all) {
        if (now == asked && singles.size() == all.size()) {
            return;
        }
        asked = now;
        singles = all;
        found = Optional.empty();
        work.cancel();
        rows.getChildren().clear();
        again.setVisible(false);
        if (all.isEmpty()) {
            sum.setText("Single failures first: they are being computed, or nothing is.");
        } else {
            run();
        }
    }

    private void run() {
        again.setVisible(false);
        sum.setText("Computing each pair\u2026");
        Assessment now = asked;
        List<FaultAnswer> all = singles;
        UnitSystem units = session.units().get();
        work.start(
                task -> HiddenSearch.of(now, all, units, task),
                s -> {
                    found = s;
                    fill();
                },
                why -> {
                    sum.setText("Not shown: " + why);
                    again.setVisible(true);
                });
    }

    private void stop() {
        work.cancel();
        sum.setText("Not shown: stopped before every pair was run.");
        again.setVisible(true);
    }

    private void fill() {
        rows.getChildren().clear();
        if (found.isEmpty()) {
            sum.setText("Not shown: no case brings the engine its demand with nothing failed.");
            return;
        }
        HiddenSearch s = found.get();
        sum.setText(HiddenWords.sum(s));
        rows.getChildren().add(heads());
        for (Finder finder : Finder.values()) {
            List<Hidden> of = HiddenWords.of(s, finder);
            if (of.isEmpty()) {
                continue;
            }
            rows.getChildren().add(title(finder, of));
            int n = 0;
            for (Hidden h : of) {
                rows.getChildren().add(row(h, HiddenWords.key(finder) + "-" + n++));
            }
        }
    }

    private static HBox heads() {
        String[] words = {"Waits unseen", "Stops", "Then one of these stops the engine", "Within", ""};
        HBox heads = new RowBox(8);
        for (int i = 0; i < words.length; i++) {
            heads.getChildren().add(Ui.wide(Ui.label(words[i], "soft"), WIDE[i], SMALL[i]));
        }
        heads.setPadding(new Insets(4, 8, 4, 8));
        return heads;
    }

    private HBox title(Finder finder, List<Hidden> of) {
        HBox title =
                new RowBox(8, Ui.label(finder.words(), "group-title"), Ui.label(finder.often(), "soft"), Ui.spring());
        Upkeep upkeep = session.project().upkeep();
        List<Hidden> untracked = of.stream()
                .filter(h -> !h.stops().isEmpty())
                .filter(h -> upkeep.parts().stream()
                        .noneMatch(p -> p.item().equals(h.fault().item())))
                .toList();
        long parts = untracked.stream().map(h -> h.fault().item()).distinct().count();
        if (parts > 0) {
            title.getChildren()
                    .add(Ui.button(
                            "Track " + parts + (parts == 1 ? " part" : " parts") + " in Maintenance",
                            "hidden-track-" + HiddenWords.key(finder),
                            () -> track(finder, untracked),
                            "chip"));
        } else {
            title.getChildren()
                    .add(Ui.label(
                            of.stream().anyMatch(h -> !h.stops().isEmpty()) ? "\u2713 tracked in Maintenance" : "",
                            "soft"));
        }
        title.setAlignment(Pos.CENTER_LEFT);
        title.getStyleClass().add("fault-group");
        return title;
    }

    /** Each part once, of an age nobody knows: treated as due until somebody has looked. */
    private void track(Finder finder, List<Hidden> parts) {
        session.apply(Edit.of("Track " + parts.size() + " parts", p -> {
            Upkeep u = p.upkeep();
            for (Hidden h : parts) {
                String item = h.fault().item();
                if (u.parts().stream().noneMatch(x -> x.item().equals(item))) {
                    String name = p.system().item(item).map(i -> i.name()).orElse(item);
                    u = u.plus(name, item, finder.kind(), Optional.empty(), "");
                }
            }
            return p.with(u);
        }));
        fill();
    }

    private Button row(Hidden h, String id) {
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, h.verdict());
        HBox box = new RowBox(
                8,
                Ui.wide(Ui.wrapped(HiddenWords.name(h), "bold"), WIDE[0], SMALL[0]),
                Ui.wide(
                        Ui.label(
                                h.stops().isEmpty()
                                        ? ""
                                        : String.valueOf(h.stops().size()),
                                "figure"),
                        WIDE[1],
                        SMALL[1]),
                Ui.wide(
                        Ui.wrapped(HiddenWords.then(h), h.stops().isEmpty() ? "soft" : "plain-text"),
                        WIDE[2],
                        SMALL[2]),
                Ui.wide(Ui.label(HiddenWords.in(h), "wrong-text"), WIDE[3], SMALL[3]),
                Ui.wide(verdict, WIDE[4], SMALL[4]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "hidden-" + id, () -> h.worst().ifPresent(set));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(HiddenWords.name(h) + ", " + h.verdict().word() + ", then "
                + HiddenWords.then(h)
                + (h.verdict() == Verdict.FAILS ? ", " + HiddenWords.in(h) + "; shows both on the layout" : ""));
        return row;
    }
}
