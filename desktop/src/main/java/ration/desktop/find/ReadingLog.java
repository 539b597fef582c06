package ration.desktop.find;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
import ration.condition.Condition;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.find.Explanation;
import ration.model.FuelSystem;
import ration.project.Edit;
import ration.quantity.Quantity;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.reading.Reading;
import ration.reading.Setting;

/** The readings so far, and the line on which the next is entered: as the conditions bar is set. */
final class ReadingLog extends VBox {

    private final Session session;
    private final VBox rows = new VBox(2);
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
        HBox line = new HBox(6, place, what, value, Ui.label("\u00b1", "soft"), error, add);
        line.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new ScrollPane(rows);
        scroll.setFitToWidth(true);
        scroll.setPrefHeight(92);
        scroll.setMinHeight(60);
        scroll.setFocusTraversable(false);
        state.setId("find-state");
        getChildren().addAll(Ui.rule(), Ui.label("Readings so far", "group-title"), scroll, line, manoeuvres, state,
                trouble);
        prompts();
    }

    /** Readings go to a rig that hides a fault, and none into the document; null ends that. */
    void practise(Practice with) {
        practice = with;
        value.setDisable(with != null);
        add.setText(with == null ? "Add the reading" : "Ask the rig");
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

    private Unit unit(Reading.What w) {
        return w == Reading.What.MINUTES ? Unit.MINUTE : session.units().get().unit(w.dimension());
    }

    /** With its unit; minutes as minutes. */
    String figure(Reading.What w, double value) {
        return Reading.text(w, value, session.units().get());
    }

    private void prompts() {
        boolean sign = what.getValue().sign();
        String symbol = sign ? "yes, no" : unit(what.getValue()).symbol();
        value.setPromptText(symbol);
        error.setPromptText(sign ? "" : symbol);
        error.setDisable(sign || practice != null);
    }

    void focusFirst() {
        place.requestFocus();
    }

    void refresh() {
        FuelSystem system = session.shown().get().project().system();
        Map<String, String> now = new LinkedHashMap<>();
        system.inlet().ifPresent(i -> now.put(i.name(), i.id()));
        system.items().stream().filter(i -> !now.containsValue(i.id())).forEach(i -> now.putIfAbsent(i.name(), i.id()));
        if (!now.equals(places)) {
            String kept = place.getValue();
            places = now;
            place.getItems().setAll(now.keySet());
            place.setValue(now.containsKey(kept) ? kept : now.keySet().stream().findFirst().orElse(null));
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
        return session.shown().get().look().map(l -> l.label(session.shown().get().project().system(), session.units().get())).orElse(c.attitude()
                .label()) + ", " + c.engine().power().label().toLowerCase(java.util.Locale.ROOT) + " power";
    }

    /** What a sound aircraft would read, a fit for each reading: shown beside it. */
    void expected(List<Explanation.Fit> sound) {
        fits = List.copyOf(sound);
        refresh();
    }

    private Label beside(Reading r, int n) {
        boolean known = n < fits.size() && !Double.isNaN(fits.get(n).expected());
        boolean off = known && Math.abs(fits.get(n).deviation()) > 1;
        String side = !off ? "" : r.what().sign() ? ": odd" : fits.get(n).deviation() > 0 ? ": high" : ": low";
        return Ui.label(known ? "expected " + figure(r.what(), fits.get(n).expected()) + side : "", off ? "wrong-text" : "soft");
    }

    private String error(Reading r) {
        Unit u = unit(r.what());
        return r.what() == Reading.What.MINUTES ? figure(r.what(), r.error()) : UnitSystem.figure(r.error() / u.differenceToSi(1), 1) + " " + u.symbol();
    }

    private HBox row(Reading r, int n, FuelSystem system) {
        String did = String.join(", ", r.setting().manoeuvres().stream().sorted().map(Setting.Manoeuvre::word).toList());
        Condition c = r.setting().condition();
        List<String> how = new ArrayList<>(c.positions().values());
        how.add(c.engine().power().label().toLowerCase(java.util.Locale.ROOT));
        c.stopped().forEach(id -> how.add(system.item(id).map(i -> i.name() + " off").orElse(id)));
        if (!did.isEmpty()) {
            how.add(did);
        }
        HBox row = new HBox(8, Ui.label((n + 1) + "", "bold"), Ui.label(r.what().word() + ", " + r.named(system)), Ui.label(figure(r.what(), r.value()),
                "figure"), Ui.label(r.what().sign() ? "" : "\u00b1 " + error(r), "soft"), beside(r, n), Ui.label(String.join(", ", how), "soft"), Ui.spring(), Ui.named(Ui
                        .button("\u2715", "reading-remove-" + n, () -> session.apply(Edit.of("Remove a reading", p -> {
                            List<Reading> rest = new ArrayList<>(p.readings());
                            if (n < rest.size()) {
                                rest.remove(n);
                            }
                            return p.withReadings(rest);
                        })), "chip"), "reading-remove-" + n, "Remove reading " + (n + 1)));
        if (practice != null) {
            row.getChildren().remove(row.getChildren().size() - 1);
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Sets place, kind and setting of a reading that is asked for; its value is for the builder to enter. */
    void prepare(Reading asked) {
        String id = asked.place().contains(".") ? asked.place().substring(0, asked.place().indexOf('.')) : asked.place();
        places.entrySet().stream().filter(e -> e.getValue().equals(id)).findFirst().ifPresent(e -> place.setValue(e.getKey()));
        what.setValue(asked.what());
        done.forEach((m, box) -> box.setSelected(asked.setting().has(m)));
        error.setText(asked.what().sign() ? "" : UnitSystem.figure(asked.what() == Reading.What.MINUTES ? asked.error() : asked.error() / unit(asked.what())
                .differenceToSi(1), 1));
        session.look(asked.setting().condition());
        value.clear();
        (practice == null ? value : add).requestFocus();
    }

    private double si(TextField field, String name) {
        Unit u = unit(what.getValue());
        if (field.getText().isBlank()) {
            throw new IllegalArgumentException(name + " is empty: nothing is entered that nobody read.");
        }
        double si = Quantity.parse(field.getText(), u).si();
        return what.getValue() == Reading.What.MINUTES ? si / 60 : si;
    }

    private double off() {
        double shown = si(error, "What the instrument may be off by");
        Unit u = unit(what.getValue());
        return what.getValue() == Reading.What.TEMPERATURE ? shown - u.toSi(0) : shown;
    }

    /** Whether a sign was there: nothing is entered that nobody looked for. */
    private boolean so() {
        String said = value.getText().strip().toLowerCase(java.util.Locale.ROOT);
        if (!said.equals("yes") && !said.equals("no") && !said.equals("y") && !said.equals("n")) {
            throw new IllegalArgumentException("Say yes where it is so, no where you looked and it is not.");
        }
        return said.startsWith("y");
    }

    private void add() {
        try {
            if (place.getValue() == null) {
                throw new IllegalArgumentException("Say where it was read.");
            }
            Set<Setting.Manoeuvre> did = new java.util.HashSet<>();
            done.forEach((m, box) -> {
                if (box.isSelected()) {
                    did.add(m);
                }
            });
            if (practice != null) {
                practice.ask(new Reading(places.get(place.getValue()), what.getValue(), 0, Practice.error(what.getValue()), new Setting(session.condition(),
                        did)));
                return;
            }
            Setting how = new Setting(session.condition(), did);
            Reading r = what.getValue().sign() ? Reading.sign(places.get(place.getValue()), what.getValue(), so(), how) : new Reading(places.get(place.getValue()), what.getValue(), si(value, "What was read"), off(), how);
            trouble.setText("");
            value.clear();
            session.apply(Edit.of("Add a reading", p -> {
                List<Reading> all = new ArrayList<>(p.readings());
                all.add(r);
                return p.withReadings(all);
            }));
            place.requestFocus();
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
        }
    }
}
