package ration.desktop.hangar;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.animation.Animation;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.base.quantity.Measured;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.record.evidence.Form;
import ration.record.evidence.Grade;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Procedure;
import ration.record.evidence.Work;
import ration.verdict.check.Verdict;

/** The entries of a test that has a form: figures, repeats, pieces looked at. */
final class SheetEntry {

    private final TestRunner runner;

    SheetEntry(TestRunner runner) {
        this.runner = runner;
    }

    void build(HangarTest t, Procedure.Step step) {
        Work.Sheet sheet = (Work.Sheet) t.work();
        switch (step.asks()) {
            case FIGURES -> figures(t, sheet, step.keys());
            case ROW -> repeat(t, sheet);
            case EACH -> pieces(t, sheet);
            case RESULT -> finish(t, sheet);
            default -> throw new IllegalStateException("No entry for " + step.asks());
        }
    }

    private SheetReadings readings() {
        return new SheetReadings(runner.units());
    }

    private TextField field(Form.Ask ask, Optional<Measured> known) {
        TextField field = runner.field(
                "sheet-" + ask.key(),
                readings().label(ask),
                known.map(m -> m.quantity().shown()).orElse(""),
                true);
        field.setPromptText(readings().meant(ask).symbol());
        field.getProperties().put(TestRunner.TAKES, ask.unit().dimension());
        return field;
    }

    /** Reads what is entered; the mark goes where something is missing. */
    private Map<String, Measured> read(List<Form.Ask> asks, Map<String, TextField> fields) {
        Map<String, String> entered = new HashMap<>();
        Map<String, String> by = new HashMap<>();
        fields.forEach((key, f) -> {
            entered.put(key, f.getText());
            by.put(key, runner.by(f));
        });
        readings().missing(asks, entered).ifPresent(a -> fields.get(a.key()).requestFocus());
        return readings().read(asks, entered, by);
    }

    private void figures(HangarTest t, Work.Sheet sheet, List<String> keys) {
        List<Form.Ask> asks =
                sheet.form().once().stream().filter(a -> keys.contains(a.key())).toList();
        Map<String, TextField> fields =
                grid(asks, a -> Optional.ofNullable(sheet.once().get(a.key())));
        runner.next(
                "Entered",
                () -> runner.tried(() -> {
                    Map<String, Measured> read = read(asks, fields);
                    UnaryOperator<HangarTest> fed = runner.fed();
                    runner.advance(t, Recording.both(fed, SheetReadings.figures(read)));
                }));
        predicted(t);
    }

    private Map<String, TextField> grid(
            List<Form.Ask> asks, java.util.function.Function<Form.Ask, Optional<Measured>> known) {
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(6);
        Map<String, TextField> fields = new HashMap<>();
        for (int i = 0; i < asks.size(); i++) {
            TextField f = field(asks.get(i), known.apply(asks.get(i)));
            if (asks.size() > 2) {
                f.getStyleClass().remove("big-field");
            }
            f.setPrefWidth(asks.size() > 2 ? 130 : 160);
            fields.put(asks.get(i).key(), f);
            grid.addRow(i, Ui.label(asks.get(i).label() + (asks.get(i).needed() ? "" : ", if known"), "step-words"), f);
        }
        runner.entry().getChildren().add(grid);
        return fields;
    }

    private void repeat(HangarTest t, Work.Sheet sheet) {
        List<Form.Ask> asks = sheet.form().each();
        Map<String, TextField> fields = grid(asks, a -> Optional.empty());
        TextField time = fields.get("time");
        if (time != null) {
            clock(t, time);
        }
        int done = sheet.rows().size();
        runner.next(
                done == 0 ? "Record run" : "Record run " + (done + 1),
                () -> runner.tried(() -> {
                    Map<String, Measured> read = read(asks, fields);
                    UnaryOperator<HangarTest> fed = runner.fed();
                    runner.put(
                            "Record a run",
                            t,
                            Recording.both(fed, SheetReadings.on(now -> now.plus(Work.Row.of(read)))));
                }));
        if (done > 0) {
            runner.buttons()
                    .getChildren()
                    .add(1, Ui.button("No more runs", "sheet-last", () -> runner.advance(t), "big-button"));
            runner.buttons()
                    .getChildren()
                    .add(
                            2,
                            Ui.button(
                                    "Strike run " + done,
                                    "sheet-strike",
                                    () -> runner.put("Strike a run", t, SheetReadings.struck(done)),
                                    "plain"));
        }
        predicted(t);
    }

    private void clock(HangarTest t, TextField time) {
        Button button = Ui.button("Start the clock", "sheet-clock", () -> {});
        button.setOnAction(e -> {
            if (runner.clock().getStatus() == Animation.Status.RUNNING) {
                runner.stop();
                time.setText(UnitSystem.figure(runner.seconds(), 0) + " s");
                button.setText("Start the clock");
            } else {
                runner.restart();
                button.setText("Stop the clock");
            }
        });
        runner.entry().getChildren().add(0, new RowBox(12, button));
        runner.tickText();
    }

    /** What the model says this test would read, and what is asked, as soon as its condition is known. */
    private void predicted(HangarTest t) {
        String words = runner.words(t).predicted();
        if (!words.isEmpty()) {
            runner.under(words);
        }
    }

    private void pieces(HangarTest t, Work.Sheet sheet) {
        Map<String, String> pieces = sheet.form().pieces(runner.system());
        VBox rows = new ColumnBox(6);
        rows.setId("sheet-pieces");
        for (Map.Entry<String, String> piece : pieces.entrySet()) {
            rows.getChildren().add(piece(t, sheet, piece.getKey(), piece.getValue()));
        }
        runner.entry().getChildren().add(rows);
        Grade good = sheet.form().grades().get(0);
        List<String> open = SheetReadings.open(sheet, pieces);
        runner.next(
                open.isEmpty() ? "All inspected" : "Continue, " + open.size() + " not inspected",
                () -> runner.advance(t));
        // a level that rises is not the usual one
        if (!open.isEmpty() && pieces.size() > 1 && sheet.form().pieces() != Form.Pieces.TANKS) {
            runner.buttons()
                    .getChildren()
                    .add(
                            1,
                            Ui.button(
                                    open.size() == pieces.size() ? "All " + good.word() : "The rest " + good.word(),
                                    "sheet-rest",
                                    () -> runner.put("Inspect the rest", t, SheetReadings.all(open, good)),
                                    "big-button"));
        }
    }

    private VBox piece(HangarTest t, Work.Sheet sheet, String id, String name) {
        Optional<Work.Row> seen = sheet.row(id);
        HBox label = new RowBox(8, Ui.label(name, "bold"), Ui.label(runner.stands(sheet, id), "soft"));
        ToggleGroup group = new ToggleGroup();
        HBox grades = new RowBox(2);
        for (Grade g : sheet.form().grades()) {
            ToggleButton b = new ToggleButton(g.word());
            b.setId("grade-" + id.replace('.', '-') + "-"
                    + g.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            b.setAccessibleText(name + ": " + g.word());
            b.getStyleClass().add("chip");
            b.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            b.setToggleGroup(group);
            b.setSelected(seen.flatMap(Work.Row::grade).filter(g::equals).isPresent());
            b.setOnAction(e -> runner.put("Inspect " + name, t, SheetReadings.all(List.of(id), g)));
            grades.getChildren().add(b);
        }
        if (seen.flatMap(Work.Row::grade).filter(g -> g == Grade.SMEAR).isPresent()) {
            grades.getChildren().add(again(t, seen.get(), name));
        }
        return new ColumnBox(1, label, grades);
    }

    /** The day a smear is looked at again. */
    private TextField again(HangarTest t, Work.Row row, String name) {
        TextField field = new TextField(row.again());
        field.setId("again-" + row.of().replace('.', '-'));
        field.setPromptText("recheck by");
        field.setAccessibleText("Recheck date of " + name + ", yyyy-mm-dd");
        field.setPrefWidth(92);
        Runnable take = () -> {
            if (!field.getText().equals(row.again())) {
                runner.tried(() -> runner.put("Recheck " + name, t, SheetReadings.again(row, field.getText())));
            }
        };
        field.setOnAction(e -> take.run());
        field.focusedProperty().addListener((o, was, now) -> {
            if (was && !now) {
                take.run();
            }
        });
        return field;
    }

    private void finish(HangarTest t, Work.Sheet sheet) {
        result(t);
        runner.next(
                "Finish",
                () -> runner.put(
                        "Finish " + t.work().title().toLowerCase(java.util.Locale.ROOT), t, Recording.finished(true)));
        runner.buttons()
                .getChildren()
                .add(1, Ui.button("Attach a file\u2026", "sheet-attach", () -> runner.attach(t), "plain"));
    }

    /** Big enough for the wing: what was read, its verdict, a sentence. */
    void result(HangarTest t) {
        StepWords words = runner.words(t);
        runner.big(words.big());
        runner.under(words.found());
        words.outcome().ifPresent(o -> {
            boolean shown = words.countsNot().isEmpty();
            Verdict verdict = shown ? o.verdict() : Verdict.NOT_SHOWN;
            NotchBar bar = new NotchBar(200, 12);
            bar.show(shown ? o.ratio() : 0, verdict);
            Label word = Ui.label("", "verdict");
            word.setId("sheet-verdict");
            Ui.verdict(word, verdict);
            HBox line = new RowBox(10, bar, word);
            line.setAlignment(Pos.CENTER_LEFT);
            runner.entry().getChildren().add(line);
        });
    }
}
