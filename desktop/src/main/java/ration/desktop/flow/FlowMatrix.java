package ration.desktop.flow;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import ration.assess.Assessment;
import ration.assess.CaseAnswer;
import ration.assess.PumpSet;
import ration.check.Verdict;
import ration.condition.Attitude;
import ration.condition.Condition;
import ration.condition.Contents;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.project.Brief;
import ration.quantity.UnitSystem;

/**
 * Margin by attitude, handle position and contents. Pump sets and dirty filters are chosen above it; at first each cell
 * shows the worst of them. A press on a cell looks at its case.
 */
final class FlowMatrix extends VBox {

    private static final String WORST = "Worst of all";
    /** One of several joined tanks dry, whichever is worst. */
    private static final String DRY = "One dry";

    private final Session session;
    private final FlowPane sets = new FlowPane(3, 3);
    private final GridPane grid = new GridPane();
    private final Map<Key, Cell> cells = new LinkedHashMap<>();
    private List<String> columns = List.of();
    private String pumps = WORST;
    private Optional<Boolean> fouled = Optional.empty();
    private Object structure = "";

    /** What a cell stands for. */
    private record Key(String attitude, Map<String, String> positions, String contents) {
        static Key of(CaseAnswer c) {
            return new Key(c.condition().attitude().name(), c.condition().positions(), c.contents().endsWith(CaseAnswer.ONE_DRY)
                    ? DRY : c.contents());
        }
    }

    FlowMatrix(Session session) {
        super(6);
        this.session = session;
        setId("flow-matrix");
        grid.setHgap(5);
        grid.setVgap(5);
        sets.prefWrapLengthProperty().bind(Ui.inWindow(this, 654, 490));
        getChildren().addAll(sets, grid);
    }

    void update() {
        Assessment a = session.shown().get().assessment();
        Brief brief = a.project().brief();
        List<Attitude> attitudes = new ArrayList<>(brief.envelope().flown());
        brief.practice().loads(brief.envelope()).forEach(l -> attitudes.add(l.attitude()));
        columns = new ArrayList<>(Arrays.stream(Contents.values()).map(Contents::label).toList());
        if (a.cases().stream().anyMatch(c -> c.contents().endsWith(CaseAnswer.ONE_DRY))) {
            columns.add(DRY);
        }
        Set<Map<String, String>> positions = new LinkedHashSet<>();
        a.cases().forEach(c -> positions.add(c.condition().positions()));
        List<String> pumpSets = PumpSet.of(a.project().system()).stream().map(PumpSet::label).toList();
        Set<Key> held = new LinkedHashSet<>();
        a.cases().forEach(c -> held.add(Key.of(c)));
        Object now = List.of(held, attitudes, columns, positions, pumpSets, a.project().system().hasFilter(), a.blocked());
        if (!now.equals(structure)) {
            structure = now;
            pumps = WORST;
            fouled = Optional.empty();
            build(a, attitudes, new ArrayList<>(positions), pumpSets, held);
        }
        fill(a);
    }

    private void build(Assessment a, List<Attitude> attitudes, List<Map<String, String>> positions,
            List<String> pumpSets, Set<Key> held) {
        cells.clear();
        grid.getChildren().clear();
        chips(pumpSets, a.project().system().hasFilter());
        if (a.blocked()) {
            return;
        }
        int n = columns.size();
        double room = Math.max(38, Math.min(62, (690 - 124 - 10.0 * positions.size()) / (n * positions.size()) - 5));
        grid.setVgap(attitudes.size() > 6 ? 2 : 5); // the path under it wants room as well
        grid.getColumnConstraints().clear();
        grid.getColumnConstraints().add(new ColumnConstraints(116));
        for (int p = 0; p < positions.size(); p++) {
            for (int k = 0; k <= n; k++) {
                grid.getColumnConstraints().add(new ColumnConstraints(k < n ? room : 4));
            }
        }
        grid.add(Ui.label("Attitude", "soft"), 0, 1);
        for (int p = 0; p < positions.size(); p++) {
            if (!positions.get(p).isEmpty()) {
                Label title = Ui.label(String.join(", ", new TreeMap<>(positions.get(p)).values()), "bold");
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
            Label name = Ui.label(named(attitude, a));
            name.setMinWidth(112);
            grid.add(name, 0, row + 2);
            for (int p = 0; p < positions.size(); p++) {
                for (int k = 0; k < n; k++) {
                    Key key = new Key(attitude.name(), positions.get(p), columns.get(k));
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

    private static String named(Attitude attitude, Assessment a) {
        if (attitude.load() == 1 && attitude.forward() == 0) {
            return attitude.label();
        }
        double g = attitude.forward() != 0 ? attitude.forward() : attitude.load();
        boolean judged = a.cases().stream().anyMatch(c -> c.condition().attitude().name().equals(attitude.name()) && c.judged());
        return attitude.name() + " " + UnitSystem.figure(g, 2) + " g" + (judged ? "" : ", told");
    }

    private void chips(List<String> pumpSets, boolean filters) {
        sets.getChildren().clear();
        if (pumpSets.size() > 1 || filters) {
            sets.getChildren().add(chip(WORST, "flow-worst", () -> {
                pumps = WORST;
                fouled = Optional.empty();
            }));
        }
        if (pumpSets.size() > 1) {
            sets.getChildren().add(gap());
            for (String set : pumpSets) {
                sets.getChildren().add(chip(set, "flow-pumps-" + set.toLowerCase().replace(' ', '-'),
                        () -> pumps = pumps.equals(set) ? WORST : set));
            }
        }
        if (filters) {
            sets.getChildren().addAll(gap(),
                    chip("Filters clean", "flow-clean", () -> fouled = flipped(false)),
                    chip("Filters fouled", "flow-fouled", () -> fouled = flipped(true)));
        }
    }

    private Optional<Boolean> flipped(boolean wanted) {
        return fouled.filter(f -> f == wanted).isPresent() ? Optional.empty() : Optional.of(wanted);
    }

    private static Label gap() {
        Label gap = new Label();
        gap.setMinWidth(8);
        return gap;
    }

    private ToggleButton chip(String text, String id, Runnable choose) {
        ToggleButton chip = new ToggleButton(text);
        chip.setId(id);
        chip.setMnemonicParsing(false);
        chip.getStyleClass().add("chip");
        chip.setOnAction(e -> {
            choose.run();
            fill(session.shown().get().assessment());
        });
        return chip;
    }

    private boolean chosen(CaseAnswer c) {
        return (pumps.equals(WORST) ? c.judged() || !c.setting().asked() && c.pumps().running() == PumpSet.of(
                session.shown().get().assessment().project().system()).get(0).running() : c.pumps().label().equals(pumps))
                && fouled.map(f -> f == c.condition().engine().fouled()).orElse(true);
    }

    private void fill(Assessment a) {
        for (javafx.scene.Node node : sets.getChildren()) {
            if (node instanceof ToggleButton b) {
                b.setSelected(b.getId().equals("flow-worst") ? pumps.equals(WORST) && fouled.isEmpty()
                        : b.getId().equals("flow-clean") ? fouled.filter(f -> !f).isPresent()
                        : b.getId().equals("flow-fouled") ? fouled.filter(f -> f).isPresent() : b.getText().equals(pumps));
            }
        }
        Map<Key, CaseAnswer> worst = new LinkedHashMap<>();
        for (CaseAnswer c : a.cases()) {
            if (chosen(c)) {
                worst.merge(Key.of(c), c, (x, y) -> Comparator.comparingDouble(CaseAnswer::ratio).compare(x, y) <= 0 ? x : y);
            }
        }
        Condition looked = session.shown().get().condition();
        cells.forEach((key, cell) -> cell.show(worst.get(key), a.governing().orElse(null), looked));
    }

    /** One margin. */
    private final class Cell extends Button {

        private final Label figure = Ui.label("");
        private final NotchBar bar = new NotchBar(38, 6);
        private CaseAnswer shown;

        Cell(String id) {
            setId(id);
            setMaxWidth(Double.MAX_VALUE);
            getStyleClass().setAll("matrix-cell");
            figure.getStyleClass().add("matrix-figure");
            VBox box = new VBox(-2, figure, bar);
            box.setAlignment(Pos.CENTER);
            setGraphic(box);
            setOnAction(e -> {
                if (shown != null) {
                    session.look(shown.condition());
                }
            });
        }

        void show(CaseAnswer c, CaseAnswer governing, Condition looked) {
            shown = c;
            setDisable(c == null);
            getStyleClass().removeAll("short", "governs", "looked-at");
            if (c == null) {
                figure.setText("\u2013");
                setAccessibleText("No case with what is chosen above");
                bar.show(0, Verdict.NOT_SHOWN);
                return;
            }
            figure.setText(UnitSystem.figure(c.margin(), 2));
            bar.show(c.ratio(), c.verdict());
            if (c.verdict() == Verdict.SHORT) {
                getStyleClass().add("short");
            }
            if (c == governing) {
                getStyleClass().add("governs");
            }
            if (c.condition().equals(looked)) {
                getStyleClass().add("looked-at");
            }
            setAccessibleText(c.label(session.shown().get().project().system(), session.units().get()) + ": "
                    + figure.getText() + " times, " + c.verdict().word() + (c == governing ? ", governs" : ""));
        }
    }
}
