package ration.desktop.frame;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.transform.Rotate;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.aircraft.condition.Contents;
import ration.aircraft.condition.Faults;
import ration.aircraft.condition.Power;
import ration.aircraft.model.Item;
import ration.aircraft.model.Selector;
import ration.aircraft.model.Tank;
import ration.base.quantity.Dimension;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Cover;
import ration.desktop.control.EachPulse;
import ration.desktop.control.FoldingGroups;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Silhouette;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.project.Project;

/** The case looked at. Groups stand here only if the aircraft has the part. Nothing here changes the project. */
final class ConditionsBar extends RowBox {

    private final Session session;
    private final FoldingGroups groups = new FoldingGroups();
    /** Names the attitude where no button can: under another load factor or on the take-off run. */
    private final Label attitude = Ui.label("Attitude", "soft");

    private final Map<String, ToggleButton> presets = new HashMap<>();
    private final Map<String, ContentsGauge> gauges = new HashMap<>();
    private final Map<String, Label> volumes = new HashMap<>();
    private final Map<String, ToggleButton> contents = new HashMap<>();
    private final Map<String, ToggleButton> positions = new HashMap<>();
    private final Map<String, ToggleButton> switches = new HashMap<>();
    private final QuantityField<Double> pitch = angle("pitch", "Pitch, nose up, degrees");
    private final QuantityField<Double> tilt = angle("tilt", "Fuel tilt in a slip, degrees, right wing low");
    private final QuantityField<Double> bank = angle("bank", "Bank in a coordinated turn, degrees");
    private final QuantityField<Double> temperature;
    private final Map<Power, ToggleButton> powers = new java.util.EnumMap<>(Power.class);
    private final ToggleButton fouled = toggle("Dirty", "filters-fouled");
    private final Rotate nose = new Rotate();
    private final Label failed = Ui.wrapped("", "bold");
    private final Label failure = Ui.label("Failure set", "soft");
    private final Button clear = Ui.button("Clear failure", "fault-clear", this::clearFault, "chip");
    private final StackPane fault = new StackPane();
    private boolean line;
    private Object structure = "";

    ConditionsBar(Session session) {
        attitude.setId("conditions-attitude");
        this.session = session;
        temperature = new QuantityField<>(
                "fuel-temperature",
                "Fuel temperature",
                text -> {
                    double kelvin = Quantity.parse(text, session.units().get().thermometer())
                            .si();
                    if (kelvin < 220 || kelvin > 350) {
                        throw new IllegalArgumentException(
                                "Fuel temperature: \u221263 to 170 \u00b0F (\u221253 to 77 \u00b0C).");
                    }
                    return kelvin;
                },
                k -> session.units().get().warmth(k));
        getStyleClass().add("conditions");
        failed.setId("conditions-fault");
        inLine(false);
        addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (line && groups.open() && e.getCode() == KeyCode.ESCAPE) {
                inLine(true);
                e.consume();
            }
        });
        fault.getStyleClass().add("fault-set");
        fault.visibleProperty().bind(failed.textProperty().isNotEmpty());
        fault.managedProperty().bind(fault.visibleProperty());
        HBox.setHgrow(groups, Priority.ALWAYS);
        getChildren().addAll(groups, fault);
        Cover cover = new Cover(this);
        EachPulse pulse = new EachPulse(() -> cover.guard(this::update));
        session.whileOpen().follow(session.shown(), pulse::ask);
        session.whileOpen().follow(session.units(), pulse::ask);
        for (QuantityField<Double> field : List.of(pitch, tilt, bank, temperature)) {
            field.setPrefWidth(62);
            field.onTrouble(m -> {
                if (!m.isEmpty()) {
                    session.say(m);
                }
            });
        }
        pitch.onValue(
                v -> session.look(hands().at(v, session.condition().attitude().tiltRad())));
        tilt.onValue(v -> session.look(hands().at(session.condition().attitude().pitchRad(), v)));
        bank.onValue(v -> session.look(hands().turning(v)));
        temperature.onValue(k -> session.look(session.condition().withFuelKelvin(k)));
        update();
    }

    /** In one line, where a page does not live by the case looked at: a group is opened by click or key. */
    void inLine(boolean other) {
        line = other;
        groups.inLine(other, this::high);
        failed.setMaxWidth(other ? LONG : SHORT);
        fault.getChildren()
                .setAll(other ? new RowBox(6, failure, failed, clear) : new ColumnBox(3, failure, failed, clear));
        high();
    }

    private static final double SHORT = 150;
    private static final double LONG = 420;

    private void high() {
        double high = line && !groups.open() ? LINE : HIGH;
        setPrefHeight(high);
        setMinHeight(high);
        setMaxHeight(high);
    }

    private static final double LINE = 38;
    private static final double HIGH = 84;

    private static QuantityField<Double> angle(String id, String words) {
        return new QuantityField<>(
                id,
                words,
                text -> {
                    double rad = Quantity.parse(text, Unit.DEGREE).si();
                    if (Math.abs(rad) > Handling.MOST) {
                        throw new IllegalArgumentException("Pitch and tilt: within \u00b160\u00b0.");
                    }
                    return rad;
                },
                rad -> Handling.signed(Math.toDegrees(rad)));
    }

    private Node turn() {
        Label name = Ui.label("Bank", "soft");
        name.setTooltip(new javafx.scene.control.Tooltip("Bank in a coordinated turn: the fuel stays level in the tank"
                + " and weighs more, 1.15 times at 30\u00b0.\nA slip is a tilt, not a bank."));
        VBox box = new ColumnBox(3, name, bank);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Handling hands() {
        return new Handling(session.project(), session.condition());
    }

    private void clearFault() {
        session.look(session.condition().with(Faults.NONE));
    }

    /** Tilts by degrees from where it is, within the limits. */
    void nudge(double pitchDegrees, double tiltDegrees) {
        session.look(hands().nudged(pitchDegrees, tiltDegrees));
    }

    private void update() {
        Project project = session.shown().get().project();
        Condition c = session.shown().get().condition();
        Handling shown = new Handling(project, c);
        Object now = List.of(
                session.units().get(),
                project.brief().envelope(),
                project.system().tanks().stream().map(Tank::id).toList(),
                project.system().selectors(),
                shown.switchable().stream().map(i -> i.id() + i.name()).toList(),
                project.system().tanks().stream().map(Tank::name).toList(),
                project.system().hasFilter());
        if (!now.equals(structure)) {
            structure = now;
            build(project);
        }
        attitude.setText(shown.attitudeTitle());
        presets.forEach((name, b) -> b.setSelected(name.equals(c.attitude().name())));
        pitch.update(c.attitude().pitchRad());
        tilt.update(c.attitude().tiltRad());
        bank.update(shown.bank());
        temperature.update(c.fuelKelvin());
        powers.forEach((p, b) -> b.setSelected(p == c.engine().power()));
        fouled.setSelected(c.engine().fouled());
        nose.setAngle(-c.attitude().pitchDegrees());
        failed.setText(shown.failed());
        for (Tank tank : project.system().tanks()) {
            showContents(tank, c);
        }
        for (Contents k : project.system().tanks().isEmpty() ? new Contents[0] : Contents.values()) {
            contents.get(k.name())
                    .setSelected(session.filled(k).entrySet().stream()
                            .allMatch(
                                    e -> Math.abs(c.contents().getOrDefault(e.getKey(), -1.0) - e.getValue()) < 1e-7));
        }
        positions.forEach((key, b) -> b.setSelected(key.equals(
                key.substring(0, key.indexOf('\n') + 1) + c.positions().get(key.substring(0, key.indexOf('\n'))))));
        shown.switchable().forEach(i -> switches.get(i.id()).setSelected(shown.on(i)));
        groups.say();
    }

    private void showContents(Tank tank, Condition c) {
        try {
            double capacity = tank.solid().volume();
            double volume = Math.min(capacity, c.contents().getOrDefault(tank.id(), 0.0));
            String text = UnitSystem.figure(
                    session.units().get().unit(Dimension.VOLUME).fromSi(volume), 1);
            gauges.get(tank.id()).show(volume / capacity, tank.name() + " contents, " + text);
            volumes.get(tank.id()).setText(text);
        } catch (IllegalArgumentException e) {
            volumes.get(tank.id()).setText("\u2013");
        }
    }

    private void build(Project project) {
        groups.clear();
        presets.clear();
        gauges.clear();
        volumes.clear();
        contents.clear();
        positions.clear();
        switches.clear();
        groups.add(attitude, Ui.label("Attitude", "soft"), attitudes(project), () -> session.condition()
                .attitude()
                .label());
        if (!project.system().tanks().isEmpty()) {
            groups.add(
                    Ui.label(
                            "Contents, "
                                    + session.units()
                                            .get()
                                            .unit(Dimension.VOLUME)
                                            .symbol(),
                            "soft"),
                    contents(project),
                    () -> contents.values().stream()
                            .filter(ToggleButton::isSelected)
                            .map(ToggleButton::getText)
                            .findFirst()
                            .orElse("Set"));
        }
        for (Selector s : project.system().selectors()) {
            groups.add(Ui.label(s.name(), "soft"), selector(s), () -> session.condition()
                    .positions()
                    .getOrDefault(s.id(), ""));
        }
        if (!hands().switchable().isEmpty()) {
            groups.add(
                    Ui.label("Pumps and valves", "soft"),
                    switches(),
                    () -> switches.values().stream()
                                    .filter(ToggleButton::isSelected)
                                    .count() + " of " + switches.size() + " on");
        }
        groups.add(
                Ui.label("Engine and fuel", "soft"),
                engine(project),
                () -> session.condition().engine().power().label() + ", "
                        + session.units().get().warmth(session.condition().fuelKelvin())
                        + (session.condition().engine().fouled() ? ", dirty" : ""));
    }

    /** Power, filters and fuel temperature. */
    private Node engine(Project project) {
        VBox powers = new ColumnBox(1);
        for (Power p : Power.values()) {
            ToggleButton button =
                    toggle(p.label(), "power-" + p.name().toLowerCase().replace('_', '-'));
            button.getStyleClass().add("tiny");
            button.setMaxWidth(Double.MAX_VALUE);
            button.setAccessibleText(p.label() + " power");
            button.setOnAction(e -> session.look(session.condition().with(p)));
            this.powers.put(p, button);
            powers.getChildren().add(button);
        }
        fouled.setOnAction(e -> session.look(session.condition().withFouled(fouled.isSelected())));
        fouled.setAccessibleText("Filters dirty");
        fouled.getStyleClass().setAll("toggle-button", "tiny");
        fouled.setMaxWidth(Double.MAX_VALUE);
        VBox rest = new ColumnBox(4, temperature);
        if (project.system().hasFilter()) {
            rest.getChildren().add(fouled);
        }
        return new RowBox(6, powers, rest);
    }

    private Node attitudes(Project project) {
        GridPane grid = new GridPane();
        grid.setHgap(3);
        grid.setVgap(3);
        int i = 0;
        for (Attitude a : project.brief().envelope().attitudes()) {
            ToggleButton button =
                    toggle(a.name(), "attitude-" + a.name().toLowerCase().replace(' ', '-'));
            button.setPrefWidth(74);
            button.getStyleClass().add("preset");
            button.setOnAction(e -> session.look(a));
            presets.put(a.name(), button);
            grid.add(button, i % 3, i / 3);
            i++;
        }
        GridPane fields = new GridPane();
        fields.setHgap(6);
        fields.setVgap(3);
        fields.getColumnConstraints().add(new javafx.scene.layout.ColumnConstraints(32));
        fields.addRow(0, Ui.label("Pitch", "soft"), pitch, steps("pitch", 1, 0));
        Label tilted = Ui.label("Tilt", "soft");
        tilted.setTooltip(new javafx.scene.control.Tooltip(
                "Fuel tilt in a slip, a skid or parked wing-low." + "\nZero in a coordinated turn at any bank angle."));
        fields.addRow(1, tilted, tilt, steps("tilt", 0, 1));
        Group plane = Silhouette.side();
        nose.setPivotX(Silhouette.WIDTH / 2);
        nose.setPivotY(Silhouette.HEIGHT / 2);
        plane.getTransforms().setAll(nose);
        Pane stand = new Pane(plane);
        stand.setPrefSize(Silhouette.WIDTH, 50);
        plane.setLayoutY(6);
        HBox box = hands().switchable().isEmpty()
                ? new RowBox(8, grid, fields, turn(), stand)
                : new RowBox(8, grid, fields, turn());
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private Node steps(String what, double p, double t) {
        VBox box = new ColumnBox(
                Ui.named(Ui.button("\u25b2", what + "-up", () -> nudge(p, t), "step"), what + "-up", what + " up"),
                Ui.named(
                        Ui.button("\u25bc", what + "-down", () -> nudge(-p, -t), "step"),
                        what + "-down",
                        what + " down"));
        box.getChildren().forEach(n -> n.setFocusTraversable(false));
        return box;
    }

    private Node contents(Project project) {
        HBox box = new RowBox(10);
        VBox states = new ColumnBox(1);
        for (Contents c : Contents.values()) {
            ToggleButton button = toggle(c.label(), "contents-" + c.label().toLowerCase());
            button.getStyleClass().add("tiny");
            button.setMaxWidth(Double.MAX_VALUE);
            button.setAccessibleText("Every tank " + c.label());
            button.setOnAction(e -> session.look(session.condition().withContents(session.filled(c))));
            contents.put(c.name(), button);
            states.getChildren().add(button);
        }
        box.getChildren().add(states);
        for (Tank tank : project.system().tanks()) {
            ContentsGauge gauge = new ContentsGauge(
                    "contents-of-" + tank.id(),
                    f -> session.look(session.condition().withContents(tank.id(), f * capacity(tank.id()))));
            gauges.put(tank.id(), gauge);
            Label volume = Ui.label("", "figure");
            volume.setId("volume-of-" + tank.id());
            volumes.put(tank.id(), volume);
            Label name = Ui.label(tank.name().replace(" tank", ""), "soft");
            name.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            VBox words = new ColumnBox(name, volume);
            words.setAlignment(Pos.CENTER_LEFT);
            HBox one = new RowBox(6, gauge, words);
            one.setAlignment(Pos.CENTER_LEFT);
            box.getChildren().add(one);
        }
        return box;
    }

    private double capacity(String tank) {
        return session.filled(Contents.FULL).getOrDefault(tank, 0.0);
    }

    private Node selector(Selector s) {
        GridPane grid = new GridPane();
        grid.setHgap(3);
        grid.setVgap(3);
        List<Selector.Position> all = new ArrayList<>(s.positions());
        for (int i = 0; i < all.size(); i++) {
            String name = all.get(i).name();
            ToggleButton button =
                    toggle(name, "position-" + s.id() + "-" + name.toLowerCase().replace(' ', '-'));
            button.setPrefWidth(88);
            button.setOnAction(e -> session.look(session.condition().withPosition(s.id(), name)));
            positions.put(s.id() + "\n" + name, button);
            grid.add(button, i % 2, i / 2);
        }
        return grid;
    }

    private Node switches() {
        GridPane grid = new GridPane();
        grid.setHgap(3);
        grid.setVgap(3);
        int i = 0;
        for (Item item : hands().switchable()) {
            ToggleButton button = toggle(item.name(), "switch-" + item.id());
            button.setMinWidth(96);
            button.setOnAction(e -> operate(item));
            switches.put(item.id(), button);
            grid.add(button, i / 2, i % 2);
            i++;
        }
        return grid;
    }

    /** Turns a selector on, opens or shuts a valve, starts or stops a pump. */
    void operate(Item item) {
        Condition other = hands().operated(item);
        if (other != session.condition()) {
            session.look(other);
        }
    }

    private static ToggleButton toggle(String text, String id) {
        ToggleButton button = new ToggleButton(text);
        button.setId(id);
        button.setMnemonicParsing(false);
        button.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        return button;
    }
}
