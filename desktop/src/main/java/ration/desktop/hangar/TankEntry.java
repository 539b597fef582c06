package ration.desktop.hangar;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import ration.aircraft.model.Item;
import ration.aircraft.model.Selector;
import ration.aircraft.model.ShutOff;
import ration.aircraft.model.Tank;
import ration.aircraft.topology.Passing;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Procedure;
import ration.record.evidence.TestKind;
import ration.record.evidence.Work;

/** The entries of a drain test, a fill and a top-off. */
final class TankEntry {

    private final TestRunner runner;

    TankEntry(TestRunner runner) {
        this.runner = runner;
    }

    void build(HangarTest t, Procedure.Asks asks) {
        switch (asks) {
            case POUR -> pour(t, tank(t));
            case ATTITUDE -> attitude(t);
            case SELECT -> select(t, tank(t));
            case DRAIN -> timer(t);
            case BACK -> back(t);
            case PARKED -> parked(t);
            case READING -> reading(t);
            case BEFORE -> before(t);
            case METERED -> metered(t);
            case RESULT -> finish(t);
            default -> throw new IllegalStateException("No entry for " + asks);
        }
    }

    private Tank tank(HangarTest t) {
        return runner.system()
                .item(t.subject())
                .flatMap(i -> i.only(Tank.class))
                .orElseThrow();
    }

    private TankReadings readings() {
        return new TankReadings(runner.units());
    }

    private String volume() {
        return readings().volume().symbol();
    }

    private void pour(HangarTest t, Tank tank) {
        warn(
                tank,
                Passing.untrusted(Map.of(), shutOffs()),
                runner.system().selectors().isEmpty()
                        ? "Even with every valve closed"
                        : "Even with the selector at OFF");
        String usual = readings().usual(t.work());
        TextField amount = runner.field("test-poured", "Amount poured, " + volume(), "", true);
        amount.setPromptText(usual.isEmpty() ? volume() : usual + "?");
        runner.entry().getChildren().add(labelled("Poured", amount));
        runner.next(
                "Record amount",
                () -> runner.tried(() -> runner.advance(t, readings().poured(amount.getText()))));
    }

    private static HBox labelled(String text, TextField field) {
        HBox box = new RowBox(12, Ui.label(text, "step-words"), field);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Set<String> shutOffs() {
        return Set.copyOf(runner.system().all(ShutOff.class).map(Item::id).toList());
    }

    private void warn(Tank tank, Passing state, String when) {
        TankReadings.runsOver(runner.system(), tank, state, when).ifPresent(words -> {
            Label warning = Ui.wrapped(words, "step-warning");
            warning.setId("cross-feed");
            runner.entry().getChildren().add(warning);
        });
    }

    private void attitude(HangarTest t) {
        Work.Drain d = (Work.Drain) t.work();
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(6);
        TextField front = runner.field("mark-front", "Height of the forward mark", "", false);
        TextField rear = runner.field("mark-rear", "Height of the rear mark", "", false);
        TextField apart = runner.field("mark-apart", "Distance between the marks", "", false);
        TextField pitch = runner.field("test-pitch", "Pitch, nose up", TankReadings.entered(d.pitch()), false);
        TextField tilt = runner.field("test-tilt", "Roll, right wing low", TankReadings.entered(d.tilt()), false);
        tilt.setPromptText("0\u00b0 if level");
        grid.addRow(0, Ui.label("Forward mark above the floor"), front);
        grid.addRow(1, Ui.label("Rear mark above the floor"), rear);
        grid.addRow(2, Ui.label("Between the marks"), apart);
        grid.addRow(3, Ui.label("or pitch, by a level"), pitch);
        grid.addRow(4, Ui.label("Roll"), tilt);
        runner.entry().getChildren().add(grid);
        Runnable work = () -> {
            runner.tried(() -> readings()
                    .byMarks(front.getText(), rear.getText(), apart.getText())
                    .ifPresent(pitch::setText));
            runner.big(TankReadings.nose(pitch.getText()));
        };
        for (TextField f : List.of(front, rear, apart, pitch)) {
            f.textProperty().addListener((o, was, now) -> work.run());
        }
        work.run();
        runner.assessment()
                .tank(t.subject())
                .ifPresent(a -> runner.under(
                        "Worst predicted attitude: " + a.predicted().attitude().label() + "."));
        runner.next(
                "Set",
                () -> runner.tried(() -> runner.advance(
                        t,
                        readings()
                                .attitude(
                                        pitch.getText(),
                                        tilt.getText(),
                                        !front.getText().isBlank()))));
    }

    private void select(HangarTest t, Tank tank) {
        Work.Drain d = (Work.Drain) t.work();
        if (runner.system().selectors().isEmpty()) {
            warn(tank, Passing.untrusted(Map.of(), Set.of()), "With the line open");
            runner.next("Confirm line open", () -> runner.advance(t));
            return;
        }
        Selector selector = runner.system().selectors().get(0);
        ToggleGroup group = new ToggleGroup();
        HBox row = new RowBox(4);
        Consumer<String> chosen = name -> {
            runner.entry().getChildren().setAll(row);
            warn(tank, on(selector, name), "On " + name);
        };
        for (Selector.Position p : selector.positions()) {
            if (!p.off()) {
                ToggleButton button = new ToggleButton(p.name());
                button.setId("test-position-"
                        + p.name().toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
                button.setToggleGroup(group);
                button.getStyleClass().add("big-button");
                button.setSelected(p.name().equals(d.position()));
                button.setOnAction(e -> {
                    button.setSelected(true);
                    chosen.accept(p.name());
                    runner.buttons().getChildren().get(0).requestFocus();
                });
                row.getChildren().add(button);
            }
        }
        runner.entry().getChildren().setAll(row);
        runner.next(
                "Confirm selector",
                () -> runner.tried(() -> {
                    Optional<String> at = Optional.ofNullable((ToggleButton) group.getSelectedToggle())
                            .map(ToggleButton::getText);
                    runner.advance(t, TankReadings.selected(runner.system(), tank, at, on(selector, at.orElse(""))));
                }));
        if (group.getSelectedToggle() instanceof ToggleButton b) {
            chosen.accept(b.getText());
        }
        javafx.application.Platform.runLater(() -> row.getChildren().get(0).requestFocus());
    }

    private static Passing on(Selector selector, String position) {
        return Passing.untrusted(Map.of(selector.id(), position), Set.of());
    }

    private void timer(HangarTest t) {
        runner.tickText();
        runner.next("Start the timer", () -> {});
        Button button = (Button) runner.buttons().getChildren().get(0);
        button.setOnAction(e -> {
            if (runner.clock().getStatus() == Animation.Status.RUNNING) {
                runner.stop();
                double timed = runner.seconds();
                runner.advance(
                        t, x -> x.with(new HangarTest.Progress(x.progress().step(), timed, false)));
            } else {
                runner.clock().play();
                button.setText("Stream broke: stop timer");
            }
        });
    }

    private void back(HangarTest t) {
        Work.Drain d = (Work.Drain) t.work();
        Work.Trial last = d.trials().get(d.trials().size() - 1);
        TextField amount = runner.field(
                "test-drained",
                "Amount drained, " + volume(),
                last.back().map(b -> b.quantity().shown()).orElse(""),
                true);
        runner.entry()
                .getChildren()
                .add(labelled("Drained, of " + last.poured().quantity().shown(), amount));
        runner.next(
                "Record amount",
                () -> runner.tried(() -> runner.advance(t, readings().cameBack(amount.getText(), last))));
    }

    private void parked(HangarTest t) {
        Measured parked = runner.project().brief().envelope().parked();
        stands(t, Work.Stands.LEVEL, "Level", Measured.of(0, Unit.DEGREE, "level"));
        stands(t, Work.Stands.PARKED, "Parked, nose up " + TankReadings.degrees(parked.si()), parked);
    }

    private void stands(HangarTest t, Work.Stands how, String words, Measured pitch) {
        runner.buttons()
                .getChildren()
                .add(Ui.button(
                        words,
                        "fill-" + how.key(),
                        () -> runner.advance(t, TankReadings.standing(how, pitch)),
                        "big-button"));
    }

    private void reading(HangarTest t) {
        Work.Fill f = (Work.Fill) t.work();
        Unit length = runner.units().unit(Dimension.LENGTH);
        Work.Pour last = f.points().get(f.points().size() - 1);
        TextField height = runner.field(
                "test-reading",
                "Height on the gauge, " + length.symbol(),
                last.reading().map(r -> r.quantity().shown()).orElse(""),
                true);
        runner.entry()
                .getChildren()
                .add(labelled(
                        "With " + runner.units().fineVolume(f.total(f.points().size())) + " in, the gauge height is",
                        height));
        runner.next(
                "Record mark",
                () -> runner.tried(() -> runner.advance(t, readings().gauge(height.getText(), last))));
    }

    private void before(HangarTest t) {
        Work.TopOff top = (Work.TopOff) t.work();
        TextField amount = runner.field(
                "test-before",
                "In tank before, " + volume(),
                top.before().by().isEmpty() ? "" : top.before().quantity().shown(),
                true);
        amount.setPromptText("0 if dry");
        runner.entry().getChildren().add(labelled("In the tank", amount));
        runner.next(
                "Record amount",
                () -> runner.tried(() -> runner.advance(t, readings().before(amount.getText()))));
    }

    private void metered(HangarTest t) {
        Work.TopOff top = (Work.TopOff) t.work();
        runner.assessment()
                .tank(t.subject())
                .ifPresent(a -> runner.under("Expected: "
                        + runner.units()
                                .fineVolume(Math.max(0, a.full() - top.before().si())) + "."));
        TextField amount = runner.field(
                "test-metered",
                "Metered until full, " + volume(),
                top.metered().map(m -> m.quantity().shown()).orElse(""),
                true);
        runner.entry().getChildren().add(labelled("Metered", amount));
        runner.next(
                "Record full",
                () -> runner.tried(() -> runner.advance(t, readings().metered(amount.getText()))));
    }

    private void finish(HangarTest t) {
        result(t);
        String what = t.work().title().toLowerCase(java.util.Locale.ROOT);
        runner.next("Finish", () -> runner.put("Finish " + what, t, Recording.finished(true)));
        int again = Procedure.of(t.work(), runner.system(), tank(t)).stream()
                .map(Procedure.Step::asks)
                .toList()
                .indexOf(Procedure.Asks.POUR);
        if (again >= 0) {
            boolean drain = t.work().kind() == TestKind.DRAIN;
            Button more = Ui.button(
                    drain ? "Repeat" : "Next pour",
                    "test-again",
                    () -> runner.put("Another " + (drain ? "trial" : "pour"), t, x -> x.atStep(again)),
                    "big-button");
            runner.buttons().getChildren().add(1, more);
            if (!drain) {
                javafx.application.Platform.runLater(more::requestFocus);
            }
        }
    }

    /** The figure large, what it is against under it. */
    void result(HangarTest t) {
        TankFound found = TankFound.of(t.work(), runner.assessment().tank(t.subject()), runner.units());
        runner.big(found.big());
        runner.under(found.under());
    }
}
