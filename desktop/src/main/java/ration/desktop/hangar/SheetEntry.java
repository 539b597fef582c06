package ration.desktop.hangar;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
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
import ration.check.Verdict;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.evidence.Form;
import ration.evidence.Grade;
import ration.evidence.HangarTest;
import ration.evidence.Procedure;
import ration.evidence.Readout;
import ration.evidence.Work;
import ration.model.Measured;
import ration.proof.Outcome;
import ration.quantity.Dimension;
import ration.quantity.Quantity;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;

/** The entries of a test that has a form: figures, repeats, pieces looked at. */
final class SheetEntry {

    /** Letters that fit where figures stand large; a sentence says the rest. */
    private static final int WIDEST = 11;

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

    /** The unit a figure is written in where none is. */
    private Unit meant(Form.Ask ask) {
        Dimension d = ask.unit().dimension();
        return d == Dimension.LENGTH || d == Dimension.VOLUME || d == Dimension.PRESSURE ? runner.units().unit(d) : ask.unit();
    }

    private TextField field(Form.Ask ask, Optional<Measured> known) {
        Unit unit = meant(ask);
        TextField field = runner.field("sheet-" + ask.key(), ask.label() + (unit.symbol().isEmpty() ? "" : ", " + unit.symbol()), known.map(m -> m.quantity().shown()).orElse(""), true);
        field.setPromptText(unit.symbol());
        field.getProperties().put(TestRunner.TAKES, ask.unit().dimension());
        return field;
    }

    /** Reads what is entered; nothing is recorded that nobody entered. */
    private Map<String, Measured> read(List<Form.Ask> asks, Map<String, TextField> fields) {
        Map<String, Measured> all = new LinkedHashMap<>();
        for (Form.Ask ask : asks) {
            String text = fields.get(ask.key()).getText();
            if (text.isBlank()) {
                if (ask.needed()) {
                    fields.get(ask.key()).requestFocus();
                    throw new IllegalArgumentException(ask.label() + ": enter what was read, such as 12" + (meant(ask).symbol().isEmpty() ? "" : " " + meant(ask).symbol()) + ".");
                }
                continue;
            }
            Quantity q = Quantity.parse(text, meant(ask));
            ask.check(q.si());
            all.put(ask.key(), new Measured(q, runner.by(fields.get(ask.key()))));
        }
        return all;
    }

    private static UnaryOperator<HangarTest> on(UnaryOperator<Work.Sheet> change) {
        return TestRunner.work(Work.Sheet.class, change);
    }

    private void figures(HangarTest t, Work.Sheet sheet, List<String> keys) {
        List<Form.Ask> asks = sheet.form().once().stream().filter(a -> keys.contains(a.key())).toList();
        Map<String, TextField> fields = grid(asks, a -> Optional.ofNullable(sheet.once().get(a.key())));
        runner.next("Entered", () -> runner.tried(() -> {
            Map<String, Measured> read = read(asks, fields);
            UnaryOperator<HangarTest> fed = runner.fed();
            runner.advance(t, x -> on(now -> {
                Work.Sheet with = now;
                for (Map.Entry<String, Measured> e : read.entrySet()) {
                    with = with.with(e.getKey(), e.getValue());
                }
                return with;
            }).apply(fed.apply(x)));
        }));
        predicted(t);
    }

    private Map<String, TextField> grid(List<Form.Ask> asks, java.util.function.Function<Form.Ask, Optional<Measured>> known) {
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
        runner.next(done == 0 ? "Record it" : "Record run " + (done + 1), () -> runner.tried(() -> {
            Map<String, Measured> read = read(asks, fields);
            UnaryOperator<HangarTest> fed = runner.fed();
            runner.put("Record a run", t, x -> on(now -> now.plus(Work.Row.of(read))).apply(fed.apply(x)));
        }));
        if (done > 0) {
            runner.buttons().getChildren().add(1, Ui.button("That was the last", "sheet-last", () -> runner.advance(t), "big-button"));
            runner.buttons().getChildren().add(2, Ui.button("Strike run " + done, "sheet-strike", () -> runner.put("Strike a run", t, on(now -> now.withRows(now.rows().subList(0, Math.min(done - 1, now.rows().size()))))), "plain"));
        }
        predicted(t);
    }

    private void clock(HangarTest t, TextField time) {
        Button button = Ui.button("Start the clock", "sheet-clock", () -> { });
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
        runner.entry().getChildren().add(0, new HBox(12, button));
        runner.tickText();
    }

    /** What the model says this test would read, and what is asked, as soon as its condition is known. */
    private void predicted(HangarTest t) {
        runner.outcome(t).ifPresent(o -> {
            String predicted = o.predicted().in(runner.units());
            String needs = o.needs().in(runner.units());
            runner.under((predicted.isEmpty() ? "" : "Computed for this condition " + predicted + ". ") + (needs.isEmpty() ? "" : "Needs " + needs + "."));
        });
    }

    private void pieces(HangarTest t, Work.Sheet sheet) {
        Map<String, String> pieces = sheet.form().pieces(runner.system());
        VBox rows = new VBox(6);
        rows.setId("sheet-pieces");
        for (Map.Entry<String, String> piece : pieces.entrySet()) {
            rows.getChildren().add(piece(t, sheet, piece.getKey(), piece.getValue()));
        }
        runner.entry().getChildren().add(rows);
        Grade good = sheet.form().grades().get(0);
        List<String> open = pieces.keySet().stream().filter(p -> sheet.row(p).isEmpty()).toList();
        runner.next(open.isEmpty() ? "All looked at" : "Go on, " + open.size() + " not looked at", () -> runner.advance(t));
        if (!open.isEmpty() && pieces.size() > 1) {
            runner.buttons().getChildren().add(1, Ui.button(open.size() == pieces.size() ? "All " + good.word() : "The rest " + good.word(), "sheet-rest", () -> {
                runner.put("Look at the rest", t, on(now -> {
                    Work.Sheet all = now;
                    for (String p : open) {
                        all = all.seen(Work.Row.seen(p, good));
                    }
                    return all;
                }));
            }, "big-button"));
        }
    }

    private VBox piece(HangarTest t, Work.Sheet sheet, String id, String name) {
        Optional<Work.Row> seen = sheet.row(id);
        HBox label = new HBox(8, Ui.label(name, "bold"), Ui.label(runner.head(id).map(h -> runner.units().text(h, Dimension.LENGTH) + " of fuel over it").orElse(""), "soft"));
        ToggleGroup group = new ToggleGroup();
        HBox grades = new HBox(2);
        for (Grade g : sheet.form().grades()) {
            ToggleButton b = new ToggleButton(g.word());
            b.setId("grade-" + id.replace('.', '-') + "-" + g.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            b.setAccessibleText(name + ": " + g.word());
            b.getStyleClass().add("chip");
            b.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            b.setToggleGroup(group);
            b.setSelected(seen.flatMap(Work.Row::grade).filter(g::equals).isPresent());
            b.setOnAction(e -> runner.put("Look at " + name, t, on(now -> now.seen(Work.Row.seen(id, g)))));
            grades.getChildren().add(b);
        }
        if (seen.flatMap(Work.Row::grade).filter(g -> g == Grade.SMEAR).isPresent()) {
            grades.getChildren().add(again(t, seen.get(), name));
        }
        return new VBox(1, label, grades);
    }

    /** The day a smear is looked at again. */
    private TextField again(HangarTest t, Work.Row row, String name) {
        TextField field = new TextField(row.again());
        field.setId("again-" + row.of().replace('.', '-'));
        field.setPromptText("again on");
        field.setAccessibleText("Day on which " + name + " is looked at again, yyyy-mm-dd");
        field.setPrefWidth(92);
        Runnable take = () -> {
            if (!field.getText().equals(row.again())) {
                runner.tried(() -> {
                    try {
                        String day = LocalDate.parse(field.getText().strip()).toString();
                        runner.put("Look again at " + name, t, on(now -> now.seen(new Work.Row(row.of(), row.figures(), row.grade(), day))));
                    } catch (DateTimeParseException e) {
                        throw new IllegalArgumentException("A day such as 2026-12-05 is expected.", e);
                    }
                });
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
        runner.next("Finish", () -> runner.put("Finish " + t.work().title().toLowerCase(java.util.Locale.ROOT), t, TestRunner.finished(true)));
        runner.buttons().getChildren().add(1, Ui.button("Attach a file\u2026", "sheet-attach", () -> runner.attach(t), "plain"));
    }

    /** Big enough for the wing: what was read, its verdict, a sentence. */
    void result(HangarTest t) {
        Optional<Outcome> outcome = runner.outcome(t);
        runner.big(outcome.map(o -> o.measured().in(runner.units())).filter(s -> s.length() <= WIDEST).orElse(""));
        if (outcome.isEmpty()) {
            runner.under("The layout does not ask for this test any more. The record is kept.");
            return;
        }
        Outcome o = outcome.get();
        String not = runner.countsNot(t);
        Verdict shows = not.isEmpty() ? o.verdict() : Verdict.NOT_SHOWN;
        NotchBar bar = new NotchBar(200, 12);
        bar.show(not.isEmpty() ? o.ratio() : 0, shows);
        Label verdict = Ui.label("", "verdict");
        verdict.setId("sheet-verdict");
        Ui.verdict(verdict, shows);
        HBox line = new HBox(10, bar, verdict);
        line.setAlignment(Pos.CENTER_LEFT);
        runner.entry().getChildren().add(line);
        runner.under(not + o.words().in(runner.units()));
    }

    /** What was entered so far, line by line. */
    List<String[]> soFar(Work.Sheet sheet) {
        List<String[]> all = new ArrayList<>();
        Readout.once(sheet).forEach((label, shown) -> all.add(new String[] {label, shown}));
        Map<String, String> pieces = sheet.form().pieces(runner.system());
        int n = 0;
        for (Work.Row r : sheet.rows()) {
            if (r.grade().filter(g -> g == sheet.form().grades().get(0)).isPresent() && sheet.rows().size() > 4) {
                continue;
            }
            all.add(new String[] {r.grade().isPresent() ? "Seen" : "Run " + ++n, Readout.row(sheet, r, pieces, runner.units())});
        }
        return all;
    }
}
