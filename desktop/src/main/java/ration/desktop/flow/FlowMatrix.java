package ration.desktop.flow;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.PumpSet;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.verdict.check.Verdict;

/**
 * Margin by attitude, handle position and contents. Pump sets and dirty filters are chosen above it; at first each cell
 * shows the worst of them. A press on a cell looks at its case.
 */
final class FlowMatrix extends ColumnBox {

    private final Session session;
    private final FlowPane sets = new FlowPane(3, 3);
    private final GridPane grid = new GridPane();
    private final Map<MatrixCells.Key, Cell> cells = new LinkedHashMap<>();
    private MatrixCells.Choice choice = MatrixCells.Choice.WORST;
    private Object structure = "";

    FlowMatrix(Session session) {
        super(6);
        this.session = session;
        setId("flow-matrix");
        grid.setHgap(5);
        grid.setVgap(5);
        sets.prefWrapLengthProperty().bind(Ui.inWindow(this, 620, 460));
        getChildren().addAll(sets, grid);
    }

    void update() {
        Assessment a = session.shown().get().assessment();
        MatrixCells now = new MatrixCells(a, choice);
        if (!now.structure().equals(structure)) {
            structure = now.structure();
            choice = MatrixCells.Choice.WORST;
            build(new MatrixCells(a, choice));
        }
        fill(a);
    }

    private void build(MatrixCells m) {
        cells.clear();
        grid.getChildren().clear();
        chips(m.pumpSets(), m.filters());
        if (m.a().blocked()) {
            return;
        }
        List<String> columns = m.columns();
        List<Map<String, String>> positions = m.positions();
        List<Attitude> attitudes = m.attitudes();
        Set<MatrixCells.Key> held = m.held();
        int n = columns.size();
        double room = Math.max(38, Math.min(62, (690 - 154 - 10.0 * positions.size()) / (n * positions.size()) - 5));
        grid.setVgap(attitudes.size() > 6 ? 2 : 5); // the path under it wants room as well
        grid.getStyleClass().remove("matrix-tight");
        if (attitudes.size() > 6) {
            grid.getStyleClass().add("matrix-tight");
        }
        grid.getColumnConstraints().clear();
        grid.getColumnConstraints().add(new ColumnConstraints(146));
        for (int p = 0; p < positions.size(); p++) {
            for (int k = 0; k <= n; k++) {
                grid.getColumnConstraints().add(new ColumnConstraints(k < n ? room : 4));
            }
        }
        grid.add(Ui.label("Attitude", "soft"), 0, 1);
        for (int p = 0; p < positions.size(); p++) {
            if (!positions.get(p).isEmpty()) {
                Label title = Ui.label(MatrixCells.title(positions.get(p)), "bold");
                GridPane.setHalignment(title, HPos.CENTER);
                grid.add(title, 1 + (n + 1) * p, 0, n, 1);
            }
            for (int k = 0; k < n; k++) {
                Label title = Ui.label(columns.get(k), "soft");
                GridPane.setHalignment(title, HPos.CENTER);
                grid.add(title, 1 + (n + 1) * p + k, 1);
            }
        }
        for (int row = 0; row < attitudes.size(); row++) {
            Attitude attitude = attitudes.get(row);
            Label name = Ui.label(m.named(attitude));
            name.setMinWidth(142);
            grid.add(name, 0, row + 2);
            for (int p = 0; p < positions.size(); p++) {
                for (int k = 0; k < n; k++) {
                    MatrixCells.Key key = new MatrixCells.Key(attitude.name(), positions.get(p), columns.get(k));
                    if (!held.contains(key)) {
                        continue;
                    }
                    Cell cell = new Cell("cell-" + row + "-" + p + "-" + k);
                    cells.put(key, cell);
                    grid.add(cell, 1 + (n + 1) * p + k, row + 2);
                }
            }
        }
    }

    private void chips(List<PumpSet> pumpSets, boolean filters) {
        sets.getChildren().clear();
        if (pumpSets.size() > 1 || filters) {
            sets.getChildren()
                    .add(chip(
                            "Worst case",
                            "flow-worst",
                            c -> MatrixCells.Choice.WORST,
                            MatrixCells.Choice.WORST::equals));
        }
        if (pumpSets.size() > 1) {
            sets.getChildren().add(gap());
            for (PumpSet set : pumpSets) {
                sets.getChildren()
                        .add(chip(
                                set.label(),
                                "flow-pumps-"
                                        + (set.stopped().isEmpty()
                                                ? "all"
                                                : set.running() == 0 ? "none" : pumpSets.indexOf(set)),
                                c -> c.flipped(set),
                                c -> c.pumps().filter(set::same).isPresent()));
            }
        }
        if (filters) {
            sets.getChildren()
                    .addAll(
                            gap(),
                            chip("Filters clean", "flow-clean", c -> c.flipped(false), c -> c.fouled()
                                    .filter(f -> !f)
                                    .isPresent()),
                            chip("Filters dirty", "flow-fouled", c -> c.flipped(true), c -> c.fouled()
                                    .filter(f -> f)
                                    .isPresent()));
        }
    }

    private static Label gap() {
        Label gap = new Label();
        gap.setMinWidth(8);
        return gap;
    }

    /** @param chosen whether it shows what is chosen */
    private ToggleButton chip(
            String text, String id, UnaryOperator<MatrixCells.Choice> choose, Predicate<MatrixCells.Choice> chosen) {
        ToggleButton chip = new ToggleButton(text);
        chip.setId(id);
        chip.setMnemonicParsing(false);
        chip.getStyleClass().add("chip");
        chip.setUserData(chosen);
        chip.setOnAction(e -> {
            choice = choose.apply(choice);
            fill(session.shown().get().assessment());
        });
        return chip;
    }

    @SuppressWarnings("unchecked")
    private void fill(Assessment a) {
        for (javafx.scene.Node node : sets.getChildren()) {
            if (node instanceof ToggleButton b) {
                b.setSelected(((Predicate<MatrixCells.Choice>) b.getUserData()).test(choice));
            }
        }
        MatrixCells now = new MatrixCells(a, choice);
        Map<MatrixCells.Key, CaseAnswer> worst = now.worst();
        Condition looked = session.shown().get().condition();
        cells.forEach((key, cell) -> {
            Optional<CaseAnswer> c = Optional.ofNullable(worst.get(key));
            cell.show(c, now.words(c, looked, session.units().get()));
        });
    }

    /** One margin. */
    private final class Cell extends Button {

        private final Label figure = Ui.label("");
        private final NotchBar bar = new NotchBar(38, 6);
        private Optional<CaseAnswer> shown = Optional.empty();

        Cell(String id) {
            setId(id);
            setMaxWidth(Double.MAX_VALUE);
            getStyleClass().setAll("matrix-cell");
            figure.getStyleClass().add("matrix-figure");
            VBox box = new ColumnBox(-2, figure, bar);
            box.setAlignment(Pos.CENTER);
            setGraphic(box);
            setOnAction(e -> shown.ifPresent(c -> session.look(c.condition())));
        }

        void show(Optional<CaseAnswer> c, MatrixCells.Words words) {
            shown = c;
            setDisable(c.isEmpty());
            figure.setText(words.figure());
            bar.show(words.ratio(), words.verdict());
            getStyleClass().removeAll("short", "governs", "looked-at");
            if (words.verdict() == Verdict.FAILS) {
                getStyleClass().add("short");
            }
            if (words.governs()) {
                getStyleClass().add("governs");
            }
            if (words.looked()) {
                getStyleClass().add("looked-at");
            }
            setAccessibleText(words.spoken());
        }
    }
}
