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
import javafx.scene.layout.VBox;
import ration.assess.TankAnswer;
import ration.desktop.control.Ui;
import ration.evidence.HangarTest;
import ration.evidence.NoseHeight;
import ration.evidence.Procedure;
import ration.evidence.Work;
import ration.model.Item;
import ration.model.Measured;
import ration.model.Selector;
import ration.model.ShutOff;
import ration.model.Tank;
import ration.quantity.Dimension;
import ration.quantity.Quantity;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.topology.Passing;
import ration.topology.Topology;

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
        return runner.system().item(t.subject()).flatMap(i -> i.only(Tank.class)).orElseThrow();
    }

    private Unit volume() {
        return runner.units().unit(Dimension.VOLUME);
    }

    private Measured volumeIn(TextField field, String by) {
        Quantity q = Quantity.parse(field.getText(), volume());
        if (q.si() < 0 || q.si() > 2) {
            throw new IllegalArgumentException("A volume from nothing to 500 gal is expected.");
        }
        return new Measured(q, by);
    }

    private void pour(HangarTest t, Tank tank) {
        warn(Topology.of(runner.system()).joined(tank, Passing.untrusted(Map.of(), shutOffs())), runner.system().selectors().isEmpty()
                ? "Even with every valve closed" : "Even with the selector at OFF");
        boolean drain = t.work() instanceof Work.Drain;
        String usual = t.work() instanceof Work.Drain d && !d.trials().isEmpty() ? d.trials().get(d.trials().size() - 1).poured()
                .quantity().shown() : t.work() instanceof Work.Fill f && !f.points().isEmpty() ? f.points().get(f.points().size()
                        - 1).poured().quantity().shown() : drain ? volume() == Unit.GALLON ? "2.5 gal" : "10 L" : "";
        TextField amount = runner.field("test-poured", "Amount poured, " + volume().symbol(), "", true);
        amount.setPromptText(usual.isEmpty() ? volume().symbol() : usual + "?");
        runner.entry().getChildren().add(labelled("Poured", amount));
        runner.next("Poured", () -> runner.tried(() -> {
            Measured poured = volumeIn(amount, "can");
            if (!(poured.si() > 0)) {
                throw new IllegalArgumentException("Pour something: the amount must be above zero.");
            }
            runner.advance(t, x -> x.with(poured(x.work(), poured)));
        }));
    }

    /** A trial begun, or begun again; a step of a fill. */
    private static Work poured(Work work, Measured poured) {
        if (work instanceof Work.Drain d) {
            Work.Trial trial = new Work.Trial(poured, Optional.empty());
            return d.trials().isEmpty() || d.trials().get(d.trials().size() - 1).back().isPresent() ? d.plus(trial) : d.withLast(trial);
        }
        return work instanceof Work.Fill f ? f.plus(new Work.Pour(poured, Optional.empty())) : work;
    }

    private static HBox labelled(String text, TextField field) {
        HBox box = new HBox(12, Ui.label(text, "step-words"), field);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Set<String> shutOffs() {
        return Set.copyOf(runner.system().all(ShutOff.class).map(Item::id).toList());
    }

    private void warn(List<Tank> joined, String when) {
        if (!joined.isEmpty()) {
            Label warning = Ui.wrapped(when + " a path stays open to " + String.join(" and ", joined.stream().map(Tank::name)
                    .toList()) + ": fuel would run over and spoil the count. Close it first.", "step-warning");
            warning.setId("cross-feed");
            runner.entry().getChildren().add(warning);
        }
    }

    private void attitude(HangarTest t) {
        Work.Drain d = (Work.Drain) t.work();
        GridPane grid = new GridPane();
        grid.setHgap(10);
        grid.setVgap(6);
        TextField front = runner.field("mark-front", "Height of the forward mark", "", false);
        TextField rear = runner.field("mark-rear", "Height of the rear mark", "", false);
        TextField apart = runner.field("mark-apart", "Distance between the marks", "", false);
        TextField pitch = runner.field("test-pitch", "Pitch, nose up", entered(d.pitch()), false);
        TextField tilt = runner.field("test-tilt", "Bank, right side down", entered(d.tilt()), false);
        tilt.setPromptText("0\u00b0 if level");
        grid.addRow(0, Ui.label("Forward mark over the floor"), front);
        grid.addRow(1, Ui.label("Rear mark over the floor"), rear);
        grid.addRow(2, Ui.label("Between the marks"), apart);
        grid.addRow(3, Ui.label("or pitch, by a level"), pitch);
        grid.addRow(4, Ui.label("Bank"), tilt);
        runner.entry().getChildren().add(grid);
        Unit length = runner.units().unit(Dimension.LENGTH);
        Runnable work = () -> {
            if (!front.getText().isBlank() && !rear.getText().isBlank() && !apart.getText().isBlank()) {
                runner.tried(() -> pitch.setText(UnitSystem.figure(Math.toDegrees(NoseHeight.pitch(Quantity.parse(front.getText(), length)
                        .si(), Quantity.parse(rear.getText(), length).si(), Quantity.parse(apart.getText(), length).si())), 1)
                        + "\u00b0"));
            }
            runner.big(pitch.getText().isBlank() ? "" : pitch.getText() + " nose " + (pitch.getText().startsWith("\u2212") || pitch.getText().startsWith("-")
                    ? "down" : "up"));
        };
        for (TextField f : List.of(front, rear, apart, pitch)) {
            f.textProperty().addListener((o, was, now) -> work.run());
        }
        work.run();
        runner.assessment().tank(t.subject()).ifPresent(a -> runner.under("Most is predicted to stay at " + a.predicted().attitude().label()
                + "."));
        runner.next("Set", () -> runner.tried(() -> {
            if (pitch.getText().isBlank() || tilt.getText().isBlank()) {
                throw new IllegalArgumentException("Pitch and bank: enter what marks or a level show, 0 if it is level.");
            }
            Quantity p = Quantity.parse(pitch.getText(), Unit.DEGREE);
            Quantity b = Quantity.parse(tilt.getText(), Unit.DEGREE);
            if (Math.abs(p.si()) > Math.toRadians(60) || Math.abs(b.si()) > Math.toRadians(60)) {
                throw new IllegalArgumentException("Pitch and bank lie within 60\u00b0.");
            }
            Measured pitched = new Measured(p, front.getText().isBlank() ? "level" : "marks");
            runner.advance(t, TestRunner.work(Work.Drain.class, x -> x.withAttitude(pitched, new Measured(b, "level"))));
        }));
    }

    /** An angle somebody entered; nothing while nobody did. */
    private static String entered(Measured m) {
        return m.by().isEmpty() ? "" : UnitSystem.figure(Unit.DEGREE.fromSi(m.si()), 1) + "\u00b0";
    }

    private void select(HangarTest t, Tank tank) {
        Work.Drain d = (Work.Drain) t.work();
        if (runner.system().selectors().isEmpty()) {
            warn(Topology.of(runner.system()).joined(tank, Passing.untrusted(Map.of(), Set.of())), "With the line open");
            runner.next("Open", () -> runner.advance(t));
            return;
        }
        Selector selector = runner.system().selectors().get(0);
        ToggleGroup group = new ToggleGroup();
        HBox row = new HBox(4);
        VBox warning = new VBox();
        Consumer<String> chosen = name -> {
            runner.entry().getChildren().setAll(row, warning);
            warn(Topology.of(runner.system()).joined(tank, Passing.untrusted(Map.of(selector.id(), name), Set.of())), "On " + name);
        };
        for (Selector.Position p : selector.positions()) {
            if (!p.off()) {
                ToggleButton button = new ToggleButton(p.name());
                button.setId("test-position-" + p.name().toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
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
        runner.entry().getChildren().setAll(row, warning);
        runner.next("Selected", () -> runner.tried(() -> {
            ToggleButton b = (ToggleButton) group.getSelectedToggle();
            if (b == null) {
                throw new IllegalArgumentException("Choose the position the selector stands at.");
            }
            if (!Topology.of(runner.system()).joined(tank, Passing.untrusted(Map.of(selector.id(), b.getText()), Set.of())).isEmpty()) {
                throw new IllegalArgumentException("On " + b.getText() + " another tank feeds too: choose the position of this"
                        + " tank alone.");
            }
            runner.advance(t, TestRunner.work(Work.Drain.class, x -> x.withPosition(b.getText())));
        }));
        if (group.getSelectedToggle() instanceof ToggleButton b) {
            chosen.accept(b.getText());
        }
        javafx.application.Platform.runLater(() -> row.getChildren().get(0).requestFocus());
    }

    private void timer(HangarTest t) {
        runner.tickText();
        runner.next("Start the timer", () -> { });
        Button button = (Button) runner.buttons().getChildren().get(0);
        button.setOnAction(e -> {
            if (runner.clock().getStatus() == Animation.Status.RUNNING) {
                runner.stop();
                double timed = runner.seconds();
                runner.advance(t, x -> x.with(new HangarTest.Progress(x.progress().step(), timed, false)));
            } else {
                runner.clock().play();
                button.setText("It sputters");
            }
        });
    }

    private void back(HangarTest t) {
        Work.Drain d = (Work.Drain) t.work();
        Work.Trial last = d.trials().get(d.trials().size() - 1);
        TextField amount = runner.field("test-drained", "Amount that came back, " + volume().symbol(), last.back().map(b -> b.quantity()
                .shown()).orElse(""), true);
        runner.entry().getChildren().add(labelled("Came back, of " + last.poured().quantity().shown(), amount));
        runner.next("Entered", () -> runner.tried(() -> {
            Measured came = volumeIn(amount, "can");
            if (came.si() > last.poured().si() * 1.02) {
                throw new IllegalArgumentException("More came back than the " + last.poured().quantity().shown()
                        + " poured: the tank was not dry, or another fed into it. Look for an open path, then repeat.");
            }
            runner.advance(t, TestRunner.work(Work.Drain.class, x -> x.withLast(new Work.Trial(last.poured(), Optional.of(came)))));
        }));
    }

    private void parked(HangarTest t) {
        double parked = runner.project().brief().envelope().parked().si();
        for (String name : List.of("Level", "Parked")) {
            Button choose = Ui.button(name + (name.equals("Parked") ? ", nose up " + UnitSystem.figure(Math.toDegrees(parked), 1)
                    + "\u00b0" : ""), "fill-" + name.toLowerCase(java.util.Locale.ROOT), () -> {
                        Measured pitch = name.equals("Parked") ? runner.project().brief().envelope().parked() : Measured.of(0, Unit.DEGREE, "level");
                        runner.advance(t, x -> x.with(standing(x.work(), name, pitch)));
                    }, "big-button");
            runner.buttons().getChildren().add(choose);
        }
    }

    private static Work standing(Work work, String name, Measured pitch) {
        return work instanceof Work.Fill f ? f.withAttitude(name, pitch) : work instanceof Work.TopOff top
                ? new Work.TopOff(top.before(), top.metered(), Optional.of(pitch)) : work;
    }

    private void reading(HangarTest t) {
        Work.Fill f = (Work.Fill) t.work();
        Unit length = runner.units().unit(Dimension.LENGTH);
        Work.Pour last = f.points().get(f.points().size() - 1);
        TextField height = runner.field("test-reading", "Height on the gauge, " + length.symbol(), last.reading().map(r -> r.quantity()
                .shown()).orElse(""), true);
        runner.entry().getChildren().add(labelled("With " + runner.units().fineVolume(f.total(f.points().size())) + " in, it stands at", height));
        runner.next("Marked", () -> runner.tried(() -> {
            Optional<Measured> reading = height.getText().isBlank() ? Optional.empty() : Optional.of(new Measured(Quantity.parse(
                    height.getText(), length), "gauge"));
            if (reading.isPresent() && (reading.get().si() < 0 || reading.get().si() > 3)) {
                throw new IllegalArgumentException("A height above the foot of the gauge is expected.");
            }
            runner.advance(t, TestRunner.work(Work.Fill.class, x -> x.withLast(new Work.Pour(last.poured(), reading))));
        }));
    }

    private void before(HangarTest t) {
        Work.TopOff top = (Work.TopOff) t.work();
        TextField amount = runner.field("test-before", "In the tank before, " + volume().symbol(), top.before().by().isEmpty() ? "" : top.before().quantity().shown(), true);
        amount.setPromptText("0 if dry");
        runner.entry().getChildren().add(labelled("In the tank", amount));
        runner.next("Go on", () -> runner.tried(() -> {
            Measured in = volumeIn(amount, "can");
            runner.advance(t, TestRunner.work(Work.TopOff.class, x -> new Work.TopOff(in, x.metered(), x.pitch())));
        }));
    }

    private void metered(HangarTest t) {
        Work.TopOff top = (Work.TopOff) t.work();
        runner.assessment().tank(t.subject()).ifPresent(a -> runner.under("Expected by what is known now: " + runner.units().fineVolume(Math.max(0,
                a.full() - top.before().si())) + "."));
        TextField amount = runner.field("test-metered", "Metered until full, " + volume().symbol(), top.metered().map(m -> m.quantity()
                .shown()).orElse(""), true);
        runner.entry().getChildren().add(labelled("Metered", amount));
        runner.next("Full", () -> runner.tried(() -> {
            Measured full = volumeIn(amount, "meter");
            runner.advance(t, TestRunner.work(Work.TopOff.class, x -> new Work.TopOff(x.before(), Optional.of(full), x.pitch())));
        }));
    }

    private void finish(HangarTest t) {
        result(t);
        String what = t.work().title().toLowerCase(java.util.Locale.ROOT);
        runner.next("Finish", () -> runner.put("Finish " + what, t, TestRunner.finished(true)));
        int again = Procedure.of(t.work(), runner.system(), tank(t)).stream().map(Procedure.Step::asks).toList().indexOf(
                Procedure.Asks.POUR);
        if (again >= 0) {
            boolean drain = t.work() instanceof Work.Drain;
            Button more = Ui.button(drain ? "Repeat" : "Next pour", "test-again", () -> runner.put("Another " + (drain ? "trial" : "pour"), t, x -> x.atStep(again)), "big-button");
            runner.buttons().getChildren().add(1, more);
            if (!drain) {
                javafx.application.Platform.runLater(more::requestFocus);
            }
        }
    }

    /** The figure of a test in a few words; empty while it has none. */
    static String result(HangarTest t, UnitSystem units) {
        if (t.work() instanceof Work.Drain d) {
            return d.stayed().isEmpty() ? "" : units.fineVolume(d.stayed().stream().mapToDouble(Double::doubleValue).max()
                    .orElse(0));
        }
        if (t.work() instanceof Work.Fill f) {
            return f.points().isEmpty() ? "" : units.fineVolume(f.total(f.points().size()));
        }
        if (t.work() instanceof Work.Sheet) {
            return "";
        }
        Work.TopOff top = (Work.TopOff) t.work();
        return top.metered().map(m -> units.fineVolume(top.before().si() + m.si())).orElse("");
    }

    /** The figure large, what it is against under it. */
    void result(HangarTest t) {
        UnitSystem u = runner.units();
        Optional<TankAnswer> answer = runner.assessment().tank(t.subject());
        if (t.work() instanceof Work.Drain d && !d.stayed().isEmpty()) {
            var stats = d.stayed().stream().mapToDouble(Double::doubleValue).summaryStatistics();
            runner.big(u.fineVolume(stats.getMax()) + " stays");
            ration.condition.Attitude at = new ration.condition.Attitude("Drained at", d.pitch().si(), d.tilt().si());
            String computed = answer.map(a -> "; computed for this attitude " + u.fineVolume(a.body().stranded(at.gravity().up(),
                    a.feed()).volume())).orElse("");
            runner.under((d.stayed().size() == 1 ? "One trial" : d.stayed().size() + " trials, mean " + u.fineVolume(
                    stats.getAverage()) + ", scatter " + u.fineVolume(stats.getMax() - stats.getMin()) + "; the largest counts")
                    + computed + answer.map(a -> ". Placard " + u.fineVolume(a.placard()) + ".").orElse("."));
        } else if (t.work() instanceof Work.Fill f && !f.points().isEmpty()) {
            Work.Pour last = f.points().get(f.points().size() - 1);
            double total = f.total(f.points().size());
            runner.big(u.fineVolume(total) + " in");
            runner.under(last.reading().map(r -> "Stands at " + r.quantity().shown() + answer.map(a -> "; by shape it would be "
                    + u.fineVolume(ration.tank.GaugeCurve.of(a.body(),
                    ration.geometry.ApparentGravity.ofAttitude(f.pitch().si(), 0).up()).volumeByShape(r.si())) + " there").orElse("") + ".")
                    .orElse("Nothing shows on the gauge yet."));
        } else if (t.work() instanceof Work.TopOff top && top.metered().isPresent()) {
            double all = top.before().si() + top.metered().get().si();
            runner.big(u.fineVolume(all) + " full");
            runner.under(answer.map(a -> "By shape it holds " + u.fineVolume(a.body().solid().volume()) + "; "
                    + u.fineVolume(Math.abs(all - a.body().solid().volume())) + (all < a.body().solid().volume() ? " less" : " more")
                    + " went in.").orElse(""));
        }
    }
}
