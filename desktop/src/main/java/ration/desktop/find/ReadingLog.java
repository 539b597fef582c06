package ration.desktop.find;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.aircraft.condition.Condition;
import ration.aircraft.model.FuelSystem;
import ration.answer.find.Explanation;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** The readings so far, and the line on which the next is entered: as the conditions bar is set. */
final class ReadingLog extends ColumnBox {

    private final Session session;
    private final VBox rows = new ColumnBox(2);
    private final ChoiceBox<String> place = new ChoiceBox<>();
    private final ChoiceBox<Reading.What> what = new ChoiceBox<>();
    private final TextField value = field("find-value", "Read");
    private final TextField error = field("find-error", "Instrument may be off by");
    private final Map<Setting.Manoeuvre, CheckBox> done = new LinkedHashMap<>();
    private final Label trouble = Ui.trouble("find-trouble");
    private final Label state = Ui.label("", "soft");
    private final javafx.scene.control.Button add = Ui.button("Add the reading", "find-add", this::add);
    private Map<String, String> places = Map.of();
    private Practice practice;
    private List<Explanation.Fit> fits = List.of();

    ReadingLog(Session session) {
        super(6);
        this.session = session;
        setPadding(new Insets(8, 16, 10, 16));
        getStyleClass().add("reading-log");
        what.getItems().setAll(Reading.What.values());
        what.setConverter(new javafx.util.StringConverter<>() {
            @Override
            public String toString(Reading.What w) {
                return w == null ? "" : w.word();
            }

            @Override
            public Reading.What fromString(String text) {
                return Reading.What.PRESSURE;
            }
        });
        what.setValue(Reading.What.PRESSURE);
        what.setId("find-what");
        what.setAccessibleText("What was read");
        what.valueProperty().addListener((o, was, now) -> prompts());
        place.setId("find-place");
        place.setAccessibleText("Where it was read");
        FlowPane manoeuvres = new FlowPane(10, 4);
        manoeuvres.getChildren().add(Ui.label("and", "soft"));
        for (Setting.Manoeuvre m : Setting.Manoeuvre.values()) {
            CheckBox box = new CheckBox(m.word());
            box.setId("find-" + m.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            done.put(m, box);
            manoeuvres.getChildren().add(box);
        }
        value.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                add();
                e.consume();
            }
        });
        error.setOnKeyPressed(value.getOnKeyPressed());
        HBox line = new RowBox(6, place, what, value, Ui.label("\u00b1", "soft"), error, add);
        line.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(92);
        scroll.setMinHeight(60);
        scroll.setFocusTraversable(false);
        state.setId("find-state");
        getChildren()
                .addAll(
                        Ui.rule(),
                        Ui.label("Readings so far", "group-title"),
                        scroll,
                        line,
                        manoeuvres,
                        state,
                        trouble);
        prompts();
    }

    /** Readings go to a rig that hides a fault, and none into the document; null ends that. */
    void practise(Practice with) {
        practice = with;
        value.setDisable(with != null);
        add.setText(with == null ? "Add the reading" : "Get simulated reading");
        value.clear();
        prompts();
    }

    private static TextField field(String id, String words) {
        TextField field = new TextField();
        field.setId(id);
        field.setAccessibleText(words);
        field.setPrefWidth(76);
        return field;
    }

    /** In the units of the window. */
    ReadingEntry entry() {
        return new ReadingEntry(session.units().get());
    }

    private void prompts() {
        boolean sign = what.getValue().sign();
        value.setPromptText(entry().prompt(what.getValue()));
        error.setPromptText(sign ? "" : entry().prompt(what.getValue()));
        error.setDisable(sign || practice != null);
    }

    void focusFirst() {
        place.requestFocus();
    }

    void refresh() {
        FuelSystem system = session.shown().get().project().system();
        Map<String, String> now = ReadingEntry.places(system);
        if (!now.equals(places)) {
            String kept = place.getValue();
            places = now;
            place.getItems().setAll(now.keySet());
            place.setValue(
                    now.containsKey(kept)
                            ? kept
                            : now.keySet().stream().findFirst().orElse(null));
        }
        prompts();
        Condition c = session.condition();
        state.setText("As the conditions bar is set: " + words(c));
        rows.getChildren().clear();
        List<Reading> all = practice == null ? session.shown().get().project().readings() : practice.taken();
        for (int i = 0; i < all.size(); i++) {
            rows.getChildren().add(row(all.get(i), i, system));
        }
        if (all.isEmpty()) {
            rows.getChildren().add(Ui.label("None yet.", "soft"));
        }
    }

    private String words(Condition c) {
        return session.shown()
                        .get()
                        .look()
                        .map(l -> l.label(
                                session.shown().get().project().system(),
                                session.units().get()))
                        .orElse(c.attitude().label())
                + ", " + c.engine().power().label().toLowerCase(java.util.Locale.ROOT) + " power";
    }

    /** What a sound aircraft would read, a fit for each reading: shown beside it. */
    void expected(List<Explanation.Fit> sound) {
        fits = List.copyOf(sound);
        refresh();
    }

    private HBox row(Reading r, int n, FuelSystem system) {
        ReadingEntry.Row words = entry().row(r, system);
        ReadingEntry.Beside beside = entry().beside(r, n < fits.size() ? Optional.of(fits.get(n)) : Optional.empty());
        HBox row = new RowBox(
                8,
                Ui.label((n + 1) + "", "bold"),
                Ui.label(words.what()),
                Ui.label(words.figure(), "figure"),
                Ui.label(words.error(), "soft"),
                Ui.label(beside.words(), beside.off() ? "wrong-text" : "soft"),
                Ui.label(words.how(), "soft"),
                Ui.spring());
        if (practice == null) {
            String id = "reading-remove-" + n;
            row.getChildren()
                    .add(Ui.named(
                            Ui.button("\u2715", id, () -> session.apply(ReadingEntry.removed(n)), "chip"),
                            id,
                            "Remove reading " + (n + 1)));
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Sets place, kind and setting of a reading that is asked for; its value is for the builder to enter. */
    void prepare(Reading asked) {
        String id = asked.place().contains(".")
                ? asked.place().substring(0, asked.place().indexOf('.'))
                : asked.place();
        places.entrySet().stream()
                .filter(e -> e.getValue().equals(id))
                .findFirst()
                .ifPresent(e -> place.setValue(e.getKey()));
        what.setValue(asked.what());
        done.forEach((m, box) -> box.setSelected(asked.setting().has(m)));
        error.setText(entry().off(asked));
        session.look(asked.setting().condition());
        value.clear();
        (practice == null ? value : add).requestFocus();
    }

    private void add() {
        try {
            Set<Setting.Manoeuvre> did = done.entrySet().stream()
                    .filter(e -> e.getValue().isSelected())
                    .map(Map.Entry::getKey)
                    .collect(Collectors.toSet());
            Setting how = new Setting(session.condition(), did);
            String at = place.getValue() == null ? null : places.get(place.getValue());
            if (practice != null) {
                practice.ask(ReadingEntry.asked(at, what.getValue(), how));
                return;
            }
            Reading r = entry().read(at, what.getValue(), value.getText(), error.getText(), how);
            trouble.setText("");
            value.clear();
            session.apply(ReadingEntry.added(r));
            place.requestFocus();
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }
}
