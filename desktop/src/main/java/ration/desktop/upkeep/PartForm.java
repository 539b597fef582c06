package ration.desktop.upkeep;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.util.StringConverter;
import ration.aircraft.model.FuelSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.upkeep.Part;
import ration.record.upkeep.Upkeep;

/** Enters a part with a life. */
final class PartForm extends ColumnBox {

    private static final String NONE = "not on a layout item";

    private final Session session;
    private final Supplier<LocalDate> today;
    private final BiConsumer<String, UnaryOperator<Upkeep>> edit;
    private final Consumer<String> entered;
    private final ChoiceBox<Part.Kind> kind = new ChoiceBox<>();
    private final ChoiceBox<String> item = new ChoiceBox<>();
    private final TextField name = Fields.text("new-name", "Name of the part", "name");
    private final TextField fitted =
            Fields.text("new-fitted", "Day it was fitted; empty where nobody knows", "installed (blank if unknown)");
    private final TextField hours = Fields.text("new-hours", "Airframe hours then", "airframe time at installation");
    private final TextField made =
            Fields.text("new-made", "Date of manufacture, if marked", "date of manufacture (if marked)");
    private final TextField paper = Fields.text("new-paper", "Paper, batch, length", "release form, batch, P/N");
    private final Label trouble = Ui.trouble("new-trouble");
    private Map<String, String> items = Map.of();

    PartForm(
            Session session,
            Supplier<LocalDate> today,
            BiConsumer<String, UnaryOperator<Upkeep>> edit,
            Consumer<String> entered) {
        super(6);
        this.session = session;
        this.today = today;
        this.edit = edit;
        this.entered = entered;
        getStyleClass().add("card-body");
        managedProperty().bind(visibleProperty());
        kind.getItems().setAll(Part.Kind.values());
        kind.setId("new-kind");
        kind.setAccessibleText("Kind of part");
        kind.setConverter(new StringConverter<>() {
            @Override
            public String toString(Part.Kind k) {
                return k == null ? "" : k.label();
            }

            @Override
            public Part.Kind fromString(String text) {
                return Part.Kind.OTHER;
            }
        });
        kind.setValue(Part.Kind.RUBBER_HOSE);
        Label life = Ui.wrapped("", "soft");
        kind.valueProperty()
                .addListener(
                        (o, was, k) -> life.setText("usual life: " + k.usual().words()));
        life.setText("usual life: " + kind.getValue().usual().words());
        item.setId("new-item");
        item.setAccessibleText("Layout item");
        kind.setMaxWidth(Double.MAX_VALUE);
        item.setMaxWidth(Double.MAX_VALUE);
        getChildren()
                .addAll(
                        Ui.label("Add tracked part", "page-title"),
                        kind,
                        life,
                        item,
                        name,
                        fitted,
                        hours,
                        made,
                        paper,
                        trouble,
                        Ui.button("Add part", "new-enter", this::enter));
    }

    void begin() {
        name.requestFocus();
    }

    void show(boolean visible) {
        setVisible(visible);
        FuelSystem system = session.project().system();
        Map<String, String> now = new LinkedHashMap<>();
        now.put(NONE, "");
        system.items().forEach(i -> now.putIfAbsent(i.name(), i.id()));
        if (!now.equals(items)) {
            String kept = item.getValue();
            items = now;
            item.getItems().setAll(now.keySet());
            item.setValue(now.containsKey(kept) ? kept : NONE);
        }
    }

    private void enter() {
        try {
            Optional<Part.Fitted> when = Optional.empty();
            if (!fitted.getText().isBlank()) {
                LocalDate on = Fields.readDay(fitted.getText());
                if (on.isAfter(today.get())) {
                    throw new IllegalArgumentException("That date is in the future.");
                }
                when = Optional.of(new Part.Fitted(
                        on,
                        Fields.readHours(hours.getText()),
                        made.getText().isBlank() ? Optional.empty() : Optional.of(Fields.readDay(made.getText()))));
            }
            if (name.getText().isBlank()) {
                throw new IllegalArgumentException("Give it a name, as it is called on the aircraft.");
            }
            Optional<Part.Fitted> then = when;
            String called = name.getText().strip();
            String on = items.getOrDefault(item.getValue(), "");
            Part.Kind of = kind.getValue();
            String papers = paper.getText().strip();
            edit.accept("Enter " + called, u -> u.plus(called, on, of, then, papers));
            trouble.setText("");
            name.clear();
            fitted.clear();
            hours.clear();
            made.clear();
            paper.clear();
            session.project().upkeep().parts().stream()
                    .reduce((a, b) -> b)
                    .map(Part::id)
                    .ifPresent(entered);
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }
}
