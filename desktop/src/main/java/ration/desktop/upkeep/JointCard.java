package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.Portname;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.build.StepKey;
import ration.record.upkeep.Entry;
import ration.record.upkeep.Upkeep;

/** Joints opened and done up, without an edit of the layout: what was found at them before counts no longer. */
final class JointCard extends ColumnBox {

    private final Session session;
    private final Supplier<LocalDate> today;
    private final BiConsumer<String, UnaryOperator<Upkeep>> edit;
    private final Runnable done;
    private final ChoiceBox<String> joint = new ChoiceBox<>();
    private final ActFields act = new ActFields("joint");
    private final TextField torque = Fields.text("joint-torque", "Torque, blank where it takes none", "110 in\u00b7lb");
    private final Label trouble = Ui.trouble("joint-trouble");
    private Map<String, StepKey> keys = Map.of();

    JointCard(
            Session session, Supplier<LocalDate> today, BiConsumer<String, UnaryOperator<Upkeep>> edit, Runnable done) {
        super(8);
        this.session = session;
        this.today = today;
        this.edit = edit;
        this.done = done;
        setId("joint-card");
        joint.setId("joint-choice");
        joint.setAccessibleText("The joint worked on");
        joint.setMaxWidth(Double.MAX_VALUE);
        getStyleClass().add("card-body");
        managedProperty().bind(visibleProperty());
        setVisible(false);
    }

    boolean on() {
        return isVisible();
    }

    void begin() {
        trouble.setText("");
        act.begin(today.get(), session.project().upkeep().hours());
        setVisible(true);
    }

    void end() {
        setVisible(false);
    }

    private static Map<String, StepKey> joints(FuelSystem system) {
        Map<String, StepKey> all = new LinkedHashMap<>();
        for (Run r : system.runs()) {
            all.put(r.name() + " at " + Portname.text(system, r.from()), StepKey.start(r.id()));
            all.put(r.name() + " at " + Portname.text(system, r.to()), StepKey.end(r.id()));
        }
        return all;
    }

    void refresh() {
        Map<String, StepKey> now = joints(session.project().system());
        if (!now.equals(keys)) {
            String kept = joint.getValue();
            keys = now;
            joint.getItems().setAll(now.keySet());
            joint.setValue(
                    now.containsKey(kept)
                            ? kept
                            : now.keySet().stream().findFirst().orElse(null));
        }
        getChildren()
                .setAll(
                        Ui.label("Joint work", "page-title"),
                        Ui.wrapped(
                                "A joint that is opened is another joint: leak checks done before no longer count, and"
                                        + " while it is open the aircraft is grounded. New o-ring or crush washer each"
                                        + " time.",
                                "soft"),
                        joint,
                        act,
                        torque,
                        trouble,
                        new RowBox(
                                6,
                                Ui.button("Opened", "joint-opened", () -> work(true), "chip"),
                                Ui.button("Done up", "joint-closed", () -> work(false)),
                                Ui.button("Close", "joint-cancel", this::leave, "chip")),
                        Ui.rule(),
                        Ui.label("Worked on", "group-title"));
        List<Map.Entry<StepKey, Entry>> all =
                new ArrayList<>(session.project().upkeep().joints().entrySet());
        all.sort((a, b) -> b.getValue().number() - a.getValue().number());
        for (Map.Entry<StepKey, Entry> e : all) {
            boolean open = e.getValue().what() == Entry.What.OPENED;
            getChildren()
                    .add(Ui.wrapped(
                            (open ? "OPEN: " : "") + Upkeep.logbook(e.getValue()), open ? "wrong-text" : "soft"));
        }
        if (all.isEmpty()) {
            getChildren().add(Ui.label("no joint", "soft"));
        }
    }

    private void leave() {
        end();
        done.run();
    }

    private void work(boolean open) {
        String name = joint.getValue();
        StepKey key = keys.get(name);
        if (key == null) {
            trouble.setText("There is no joint in the layout.");
            return;
        }
        try {
            Upkeep.Act what = act.read(today.get());
            String set = torque.getText();
            trouble.setText("");
            edit.accept(
                    (open ? "Opened " : "Done up ") + name,
                    u -> open ? u.opened(key, name, what) : u.closed(key, name, what, set));
            torque.clear();
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }
}
