package ration.desktop.flow;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.RowConstraints;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.assess.Ledger;
import ration.answer.improve.ImproveWords;
import ration.answer.improve.Improvement;
import ration.answer.remedy.Change;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.record.cost.Bill;
import ration.verdict.check.Verdict;

/** Rows of Make it hold: the layout as it is, a set a row, and what stands open under one. */
record ImproveRows(ImproveWords words, Assessment before, Ledger now) {

    private static final double[] COLUMNS = {20, 270, 104, 124, 92, 92, 92, 180};
    private static final double TRY = 44;
    /** Flow that moves by less of what is needed is the same. */
    private static final double LEAST_TOLD = 0.0005;

    private static final double BAR = 104;
    private static final double THIN_BAR = 84;
    /** Of the rest it is said how many there are: the row opens. */
    private static final int TOLD = 2;

    private static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(10);
        for (int i = 0; i < COLUMNS.length; i++) {
            ColumnConstraints c = new ColumnConstraints(COLUMNS[i] / 2, COLUMNS[i], Double.MAX_VALUE);
            c.setHgrow(i == 1 ? Priority.ALWAYS : Priority.NEVER);
            if (i != 1) {
                c.setMinWidth(COLUMNS[i]);
                c.setMaxWidth(COLUMNS[i]);
            }
            grid.getColumnConstraints().add(c);
        }
        RowConstraints top = new RowConstraints();
        top.setValignment(VPos.TOP);
        grid.getRowConstraints().add(top);
        return grid;
    }

    static Node heads() {
        GridPane grid = grid();
        String[] heads = {
            "", "What changes", "Parts, hours", "Flow margin", "Unusable", "Vapor", "Open", "Stays Thin; ends"
        };
        for (int i = 0; i < heads.length; i++) {
            grid.add(Ui.label(heads[i], "soft"), i, 0);
        }
        return beside(grid);
    }

    /** As wide as a row that has a button behind it. */
    private static HBox beside(GridPane grid) {
        grid.getStyleClass().add("improve-row");
        HBox.setHgrow(grid, Priority.ALWAYS);
        Region gap = new Region();
        gap.setMinWidth(TRY);
        return new RowBox(8, grid, gap);
    }

    Node asItIs() {
        GridPane grid = grid();
        grid.add(Ui.label("As it is", "bold"), 1, 0);
        for (int i = 0; i < now.entries().size(); i++) {
            Ledger.Entry e = now.entries().get(i);
            grid.add(figure(e.figure(), e, i == 0), i + 3, 0);
        }
        grid.setId("improve-as-it-is");
        return beside(grid);
    }

    private static Node figure(String text, Ledger.Entry e, boolean wide) {
        NotchBar bar = new NotchBar(wide ? BAR : THIN_BAR, 7);
        bar.show(e.ratio(), e.verdict());
        Label verdict = Ui.label("", "verdict", "small");
        Ui.verdict(verdict, e.verdict());
        return new ColumnBox(0, Ui.label(text, "name"), verdict, bar);
    }

    /**
     * A set in its row.
     *
     * @param n its place in the list
     * @param open whether it stands open
     */
    Node row(int n, boolean open, Runnable pick, Runnable take) {
        Improvement i = words.found().sets().get(n);
        GridPane grid = grid();
        grid.add(Ui.label(String.valueOf(n + 1), "bold"), 0, 0);
        VBox what = new ColumnBox(0);
        words.own(i).forEach(c -> what.getChildren().add(open ? Ui.wrapped(c.title(), "bold") : Ui.wrapped(c.title())));
        if (!words.givesUp(i).isEmpty()) {
            what.getChildren().add(Ui.label(words.givesUp(i), "soft"));
        }
        grid.add(what, 1, 0);
        grid.add(new ColumnBox(0, Ui.label(words.takes(i), "name"), Ui.label(words.counts(i), "soft")), 2, 0);
        List<ImproveWords.Pair> pairs = words.ledger(now, i);
        for (int p = 0; p < pairs.size(); p++) {
            ImproveWords.Pair pair = pairs.get(p);
            grid.add(figure(p == 0 || pair.same() ? pair.words() : pair.is().figure(), pair.is(), p == 0), p + 3, 0);
        }
        VBox rest = new ColumnBox(0);
        if (!words.failures(i).isEmpty()) {
            rest.getChildren().add(Ui.wrapped(words.failures(i), "small"));
        }
        few(i.thin().stream().map(f -> f.title()).toList())
                .forEach(t -> rest.getChildren().add(Ui.wrapped(t, "soft")));
        few(i.ends().stream().map(t -> "ends " + t).toList())
                .forEach(t -> rest.getChildren().add(Ui.wrapped(t, "small")));
        grid.add(rest, 7, 0);
        grid.setId("improve-set-" + (n + 1));
        grid.getStyleClass().setAll("improve-row", open ? "improve-picked" : "improve-set");
        grid.setFocusTraversable(true);
        grid.setAccessibleRole(AccessibleRole.BUTTON);
        grid.setAccessibleText("Set " + (n + 1) + ": "
                + String.join("; ", words.own(i).stream().map(Change::title).toList()) + ". " + words.takes(i) + ", "
                + words.counts(i) + ". Flow margin " + pairs.get(0).words() + " "
                + pairs.get(0).is().verdict().word());
        grid.setOnMouseClicked(e -> pick.run());
        grid.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
                pick.run();
                e.consume();
            }
        });
        HBox.setHgrow(grid, Priority.ALWAYS);
        Button tryIt = Ui.button("Try", "improve-try-" + (n + 1), take, open ? "primary" : "chip");
        tryIt.setMinWidth(TRY);
        tryIt.setPrefWidth(TRY);
        tryIt.setAccessibleText("Try set " + (n + 1));
        HBox row = new RowBox(8, grid, tryIt);
        row.setAlignment(Pos.TOP_LEFT);
        return row;
    }

    private static List<String> few(List<String> all) {
        List<String> told = new ArrayList<>(all.subList(0, Math.min(TOLD, all.size())));
        if (all.size() > TOLD) {
            told.add("and " + (all.size() - TOLD) + " more");
        }
        return told;
    }

    /** Part by part: what each alone does to the flow, and what is to be shown after it. */
    Node opened(Improvement i, String failures, Runnable keep) {
        VBox parts = new ColumnBox(3, Ui.label("Part by part, solved alone", "bold"));
        double now = before.governing().map(c -> c.ratio()).orElse(Double.NaN);
        double factor = before.governing().map(c -> c.factor()).orElse(1.0);
        for (Change c : i.changes()) {
            double alone = words.found().alone(c);
            boolean moves = Math.abs(alone - now) >= LEAST_TOLD;
            NotchBar bar = new NotchBar(90, 7);
            bar.show(alone, Verdict.atLeast(Math.max(alone, LEAST_TOLD), 1));
            bar.setVisible(moves);
            Label figure = Ui.label(moves ? UnitSystem.figure(alone * factor, 2) + "\u00d7" : "flow same", "name");
            figure.setMinWidth(66);
            Bill bill = Bill.of(words.weights().costs(), c.takes());
            Label takes = Ui.label(
                    "$" + UnitSystem.figure(bill.price(), 0) + ", " + UnitSystem.figure(bill.hours(), 1) + " h",
                    "soft");
            takes.setMinWidth(82);
            Label detail = Ui.wrapped(c.detail(), "soft");
            detail.setManaged(!c.detail().isEmpty());
            VBox says = new ColumnBox(0, Ui.wrapped(c.title()), detail);
            HBox.setHgrow(says, Priority.ALWAYS);
            HBox line = new RowBox(10, says, takes, bar, figure);
            line.setAlignment(Pos.CENTER_LEFT);
            parts.getChildren().add(line);
        }
        VBox after = new ColumnBox(3, Ui.label("After it", "bold"));
        after.getChildren().add(says("Not shown then: ", words.opens(i)));
        after.getChildren().add(says("Tests it ends: ", words.ends(i)));
        after.getChildren().add(says("Stays Thin: ", words.thin(i)));
        after.getChildren().add(Ui.wrapped(failures));
        if (!words.missing(i).isEmpty()) {
            after.getChildren().add(Ui.wrapped(words.missing(i)));
        }
        after.getChildren().add(Ui.button("Keep as a variant", "improve-keep", keep, "chip"));
        HBox.setHgrow(parts, Priority.ALWAYS);
        HBox.setHgrow(after, Priority.ALWAYS);
        parts.setPrefWidth(560);
        after.setPrefWidth(480);
        HBox box = new RowBox(24, parts, after);
        box.setId("improve-opened");
        box.getStyleClass().add("improve-opened");
        return box;
    }

    private static Label says(String before, String words) {
        return Ui.wrapped(before + (words.isEmpty() ? "nothing" : words) + ".");
    }
}
