package ration.desktop.find;

import javafx.concurrent.ScheduledService;
import javafx.concurrent.Task;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.util.Duration;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.Item;
import ration.answer.find.Rig;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;

/**
 * The rig runs: what its needles show, a second after the other, as the conditions bar is set. Nothing of it is
 * evidence.
 */
final class Needles extends ColumnBox {

    private static final double COLUMN = 108;

    private final Session session;
    private final GridPane lines = new GridPane();
    private final Label time = Ui.label("stands", "soft");
    private final ChoiceBox<Integer> speed = new ChoiceBox<>();
    private final Button run = Ui.button("Run simulated engine", "rig-run", this::turn, "chip");
    private Rig.Lines rig;
    private ScheduledService<java.util.List<Rig.Needle>> service;

    Needles(Session session) {
        super(4);
        this.session = session;
        setPadding(new Insets(8, 12, 8, 12));
        setMinWidth(COLUMN * 2 + 40);
        setId("rig-needles");
        time.setId("rig-time");
        lines.setHgap(10);
        lines.setVgap(1);
        speed.getItems().setAll(1, 10, 60);
        speed.setValue(10);
        speed.setId("rig-speed");
        speed.setAccessibleText("Times real time");
        HBox bar = new RowBox(6, run, Ui.label("\u00d7", "soft"), speed, time);
        bar.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        getChildren().addAll(Ui.label("Gauge readings", "group-title"), bar, lines);
        managedProperty().bind(visibleProperty());
        setVisible(false);
    }

    /** Of a rig that stands; null ends it. */
    void show(Rig other) {
        stop();
        rig = other == null ? null : other.run(session.condition());
        lines.getChildren().clear();
        time.setText("stands");
        setVisible(other != null);
    }

    private void turn() {
        if (rig == null) {
            return;
        }
        if (service != null) {
            stop();
            time.setText("stands at " + clock());
            return;
        }
        service = new ScheduledService<>() {
            @Override
            protected Task<java.util.List<Rig.Needle>> createTask() {
                Condition set = session.condition();
                int times = speed.getValue();
                Rig.Lines of = rig;
                return new Task<>() {
                    @Override
                    protected java.util.List<Rig.Needle> call() {
                        of.set(set);
                        return of.needles(times);
                    }
                };
            }
        };
        service.setPeriod(Duration.seconds(1));
        service.setOnSucceeded(e -> fill(service == null ? null : service.getValue()));
        service.setOnFailed(e -> {
            stop();
            time.setText("stopped: cannot be computed further");
        });
        run.setText("Stop the engine");
        service.start();
    }

    private void stop() {
        if (service != null) {
            service.cancel();
            service = null;
        }
        run.setText("Run simulated engine");
    }

    private String clock() {
        long s = Math.round(60 * rig.minutes());
        return s / 60 + ":" + (s % 60 < 10 ? "0" : "") + s % 60;
    }

    private void fill(java.util.List<Rig.Needle> needles) {
        if (needles == null) {
            return;
        }
        time.setText(clock());
        lines.getChildren().clear();
        int n = 0;
        for (Rig.Needle needle : needles) {
            String name = session.project()
                    .system()
                    .item(needle.item())
                    .map(Item::name)
                    .orElse(needle.item());
            UnitSystem units = session.units().get();
            Label figure = Ui.label(units.text(needle.value(), needle.unit().dimension()), "figure");
            figure.setId("needle-" + needle.item() + "-" + needle.quantity());
            figure.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            Label of = Ui.label(name, "soft");
            of.setMaxWidth(COLUMN);
            lines.addRow(n, of, figure);
            n++;
        }
    }
}
