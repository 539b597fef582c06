package ration.desktop.vapor;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.condition.Power;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.drawing.Picture;
import ration.drawing.SoakPicture;
import ration.drawing.SoakPicture.Logged;
import ration.file.LogTable;
import ration.heat.Heat;
import ration.heat.HeatFigure;
import ration.heat.SoakFit;
import ration.model.Measured;
import ration.project.Edit;
import ration.quantity.Quantity;
import ration.quantity.Unit;
import ration.quantity.UnitSystem;
import ration.vapor.Air;
import ration.vapor.PathHeat;
import ration.vapor.SoakPath;

/** The soak after shutdown, and a log laid over it: dropped or opened, its columns chosen once, fitted on request. */
public final class SoakPane extends VBox {

    /** Reads a log from a file. */
    public interface Logs {
        /** Asks for a file and gives its name and text. */
        void open(Consumer<Text> then);

        /** Reads a file that was dropped. */
        void read(java.nio.file.Path file, Consumer<Text> then);
    }

    /** A file's name and text. */
    public record Text(String name, String content) {
    }

    private static final String NONE = "\u2013";
    private static final String TIME = "time";
    private static final int ON_SCREEN = 4000;

    private final Session session;
    private final Logs logs;
    private final Supplier<PathHeat> path;
    private final Supplier<Air> air;
    private final LongWork reading = new LongWork("log");
    private final PicturePane picture;
    private final StackPane body = new StackPane();
    private final Label name = Ui.label("", "soft");
    private final Label said = Ui.wrapped("", "soft");
    private final HBox tools = new HBox(4);
    private final Map<String, List<String>> remembered = new HashMap<>();
    private List<Logged> logged = List.of();
    private List<Logged> earlier = List.of();
    private SoakFit fit;

    SoakPane(Session session, Logs logs, Supplier<PathHeat> path, Supplier<Air> air) {
        super(6);
        this.session = session;
        this.logs = logs;
        this.path = path;
        this.air = air;
        setId("soak-pane");
        picture = new PicturePane("soak-picture", (w, h) -> draw(w, h), id -> { });
        ProgressBar progress = new ProgressBar();
        progress.setPrefWidth(60);
        progress.progressProperty().bind(reading.progress());
        Button stop = Ui.button("Stop", "log-stop", reading::cancel, "chip");
        for (javafx.scene.Node n : List.of(progress, stop)) {
            n.visibleProperty().bind(reading.running());
            n.managedProperty().bind(reading.running());
        }
        said.setId("log-said");
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        HBox head = new HBox(6, Ui.label("Heat soak after shutdown", "bold"), Ui.spring(), name, progress, stop, tools);
        head.setAlignment(Pos.CENTER_LEFT);
        body.getChildren().setAll(picture);
        VBox.setVgrow(body, Priority.ALWAYS);
        getChildren().addAll(head, said, body);
        setOnDragOver(e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
            }
            e.consume();
        });
        setOnDragDropped(e -> {
            e.getDragboard().getFiles().stream().findFirst().ifPresent(f -> logs.read(f.toPath(), this::parse));
            e.setDropCompleted(true);
            e.consume();
        });
        tools();
    }

    /** Lays a log over it, as if it were dropped here. */
    void lay(java.nio.file.Path file) {
        logs.read(file, this::parse);
    }

    private void tools() {
        tools.getChildren().setAll(Ui.button("Lay a log over it\u2026", "log-open", () -> logs.open(this::parse), "chip"));
        if (!logged.isEmpty() || !earlier.isEmpty()) {
            tools.getChildren().add(Ui.button("Away", "log-away", () -> {
                logged = List.of();
                earlier = List.of();
                fit = null;
                name.setText("");
                said.setText("");
                tools();
                picture.redraw();
            }, "chip"));
        }
        if (!logged.isEmpty()) {
            tools.getChildren().add(Ui.button("Fit", "log-fit", this::fit, "chip"));
            tools.getChildren().add(Ui.button("Keep as earlier run", "log-keep", () -> {
                earlier = logged;
                logged = List.of();
                fit = null;
                said.setText("Lay the run after the change over it.");
                tools();
                picture.redraw();
            }, "chip"));
        }
        if (fit != null) {
            tools.getChildren().add(1, Ui.button("Take these figures", "log-take", this::take, "chip"));
        }
    }

    void update() {
        picture.redraw();
    }

    private List<SoakPath> parts() {
        Session.Shown s = session.shown().get();
        Power power = s.look().map(l -> l.condition().engine().power()).orElse(Power.TAKE_OFF);
        return SoakPath.of(s.project().system(), path.get(), s.project().heat(), power, 0);
    }

    private Picture draw(double w, double h) {
        return SoakPicture.draw(parts(), logged, earlier, w, h);
    }

    /** Reads a log in the background and asks what its columns are. */
    void parse(Text text) {
        said.setText("");
        reading.start(task -> {
            try {
                return LogTable.read(text.content(), task.progress(), task.cancelled());
            } catch (IllegalArgumentException e) {
                return e.getMessage();
            }
        }, result -> {
            if (result instanceof LogTable table && table.rows() > 0) {
                choose(text.name(), table);
            } else if (result instanceof String why) {
                said.setText(text.name() + ": " + why);
            }
        }, said::setText);
    }

    private void choose(String file, LogTable table) {
        List<SoakPath> parts = parts();
        List<String> meanings = new ArrayList<>(List.of(NONE, TIME));
        parts.forEach(p -> meanings.add(p.name()));
        List<String> before = remembered.get(headers(table));
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(3);
        grid.addRow(0, Ui.label("Column", "soft"), Ui.label("readings", "soft"), Ui.label("is", "soft"), Ui.label("in", "soft"));
        List<ChoiceBox<String>> what = new ArrayList<>();
        List<ChoiceBox<String>> units = new ArrayList<>();
        boolean timed = false;
        for (int i = 0; i < table.columns().size(); i++) {
            LogTable.Column c = table.columns().get(i);
            ChoiceBox<String> is = box("log-is-" + i, "What column " + c.name() + " is", meanings);
            boolean time = !timed && (c.clock() || c.name().toLowerCase(java.util.Locale.ROOT).matches(
                    ".*(time|zeit|sec|min|elapsed).*") || c.unit().filter(u -> u == Unit.SECOND || u == Unit.MINUTE).isPresent());
            timed |= time;
            is.setValue(before != null ? before.get(2 * i) : time ? TIME : guess(c.name(), parts));
            ChoiceBox<String> in = box("log-in-" + i, "Unit of column " + c.name(), List.of("\u00b0C", "\u00b0F", "K", "s", "min"));
            in.setValue(before != null ? before.get(2 * i + 1) : c.unit().map(Unit::symbol).filter(in.getItems()::contains)
                    .orElse(time ? "s" : "\u00b0C"));
            what.add(is);
            units.add(in);
            grid.addRow(i + 1, Ui.label(c.name()), Ui.label(String.valueOf(c.count()), "soft"), is, in);
        }
        TextField stopped = new TextField("0");
        stopped.setId("log-stopped");
        stopped.setAccessibleText("Minutes into the log at which the engine was stopped");
        stopped.setPrefWidth(70);
        Button lay = Ui.button("Lay it over", "log-lay", () -> lay(file, table, what, units, stopped.getText()));
        HBox foot = new HBox(8, Ui.label("Engine stopped after"), stopped, Ui.label("min of the log"), lay, Ui.button("Leave it",
                "log-leave", () -> body.getChildren().setAll(picture), "plain"));
        foot.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new ScrollPane(new VBox(8, Ui.wrapped(file + ", " + table.rows() + " readings. Say once what its columns"
                + " are.", "soft"), grid, foot));
        scroll.setFitToWidth(true);
        body.getChildren().setAll(scroll);
        lay.requestFocus();
    }

    private static String headers(LogTable t) {
        return String.join("\n", t.columns().stream().map(LogTable.Column::name).toList());
    }

    private static ChoiceBox<String> box(String id, String words, List<String> choices) {
        ChoiceBox<String> box = new ChoiceBox<>();
        box.getItems().setAll(choices);
        box.setId(id);
        box.setAccessibleText(words);
        return box;
    }

    /** The part whose name shares a word with a column's. */
    private static String guess(String column, List<SoakPath> parts) {
        String lower = column.toLowerCase(java.util.Locale.ROOT);
        return parts.stream().map(SoakPath::name).filter(n -> Arrays.stream(n.toLowerCase(java.util.Locale.ROOT).split("\\s+"))
                .anyMatch(w -> w.length() > 2 && lower.contains(w))).findFirst().orElse(NONE);
    }

    private void lay(String file, LogTable table, List<ChoiceBox<String>> what, List<ChoiceBox<String>> units, String stopped) {
        try {
            int time = IntStream.range(0, what.size()).filter(i -> TIME.equals(what.get(i).getValue())).findFirst().orElseThrow(
                    () -> new IllegalArgumentException("Say which column is the time."));
            double start = Quantity.parse(stopped, Unit.MINUTE).si() / 60;
            double[] clock = table.columns().get(time).values();
            double scale = units.get(time).getValue().equals("min") ? 1 : 1.0 / 60;
            double zero = Arrays.stream(clock).filter(v -> !Double.isNaN(v)).findFirst().orElse(0);
            List<Logged> all = new ArrayList<>();
            List<SoakPath> parts = parts();
            StringBuilder running = new StringBuilder();
            for (int i = 0; i < what.size(); i++) {
                String is = what.get(i).getValue();
                SoakPath part = parts.stream().filter(p -> p.name().equals(is)).findFirst().orElse(null);
                if (part != null) {
                    Unit unit = Unit.named(units.get(i).getValue()).orElse(Unit.CELSIUS);
                    all.add(readings(part.item(), clock, table.columns().get(i).values(), v -> (v - zero) * scale - start, unit));
                    running.append(running(part, clock, table.columns().get(i).values(), v -> (v - zero) * scale - start, unit));
                }
            }
            if (all.isEmpty()) {
                throw new IllegalArgumentException("Say which part at least one column belongs to.");
            }
            List<String> memory = new ArrayList<>();
            IntStream.range(0, what.size()).forEach(i -> memory.addAll(List.of(what.get(i).getValue(), units.get(i).getValue())));
            remembered.put(headers(table), memory);
            logged = all;
            fit = null;
            name.setText(file);
            said.setText(differences(parts) + (running.isEmpty() ? "" : " While it ran, at most:" + running.substring(0, running.length() - 1) + "."));
            body.getChildren().setAll(picture);
            tools();
            picture.redraw();
        } catch (IllegalArgumentException e) {
            said.setText(e.getMessage());
        }
    }

    /** Idle, run up and climb: the hottest of a channel before shutdown, beside what is predicted at this power; empty where nothing was logged then. */
    private static String running(SoakPath part, double[] clock, double[] values, java.util.function.DoubleUnaryOperator minutes, Unit unit) {
        java.util.OptionalDouble most = IntStream.range(0, clock.length).filter(r -> minutes.applyAsDouble(clock[r]) < 0 && !Double.isNaN(values[r])).mapToDouble(r -> unit.toSi(
                values[r])).max();
        return most.isEmpty() ? "" : " " + part.name() + " " + UnitSystem.figure(Unit.CELSIUS.fromSi(most.getAsDouble()), 1) + " \u00b0C, predicted at this power " + UnitSystem.figure(
                Unit.CELSIUS.fromSi(part.soak().at(0)), 1) + ";";
    }

    /** Readings after shutdown, thinned to what a fit and a screen need. */
    private static Logged readings(String item, double[] clock, double[] values, java.util.function.DoubleUnaryOperator minutes,
            Unit unit) {
        List<double[]> good = new ArrayList<>();
        for (int r = 0; r < clock.length; r++) {
            double m = minutes.applyAsDouble(clock[r]);
            if (m >= 0 && m <= SoakPath.LENGTH / 60 && !Double.isNaN(values[r])) {
                good.add(new double[] {m, unit.toSi(values[r])});
            }
        }
        if (good.size() < 2) {
            throw new IllegalArgumentException("No readings lie within 40 minutes after the engine was stopped: check when that"
                    + " was, and the unit of the time.");
        }
        int step = Math.max(1, good.size() / ON_SCREEN);
        List<double[]> kept = IntStream.range(0, good.size()).filter(i -> i % step == 0).mapToObj(good::get).toList();
        return new Logged(item, kept.stream().mapToDouble(g -> g[0]).toArray(), kept.stream().mapToDouble(g -> g[1]).toArray());
    }

    private String differences(List<SoakPath> parts) {
        StringBuilder words = new StringBuilder("Predicted against logged, root mean square: ");
        for (Logged l : logged) {
            SoakPath p = parts.stream().filter(x -> x.item().equals(l.item())).findFirst().orElseThrow();
            double sum = 0;
            for (int i = 0; i < l.minutes().length; i++) {
                sum += Math.pow(p.soak().at(60 * l.minutes()[i]) - l.kelvin()[i], 2);
            }
            words.append(p.name()).append(' ').append(UnitSystem.figure(Math.sqrt(sum / l.minutes().length), 1)).append(" K; ");
        }
        String all = words.substring(0, words.length() - 2) + ".";
        for (Logged l : logged) {
            for (Logged e : earlier) {
                if (e.item().equals(l.item())) {
                    String part = parts.stream().filter(x -> x.item().equals(l.item())).findFirst().orElseThrow().name();
                    all += " " + part + " reached " + celsius(l) + " \u00b0C, " + celsius(e) + " \u00b0C in the earlier run.";
                }
            }
        }
        return all;
    }

    private static String celsius(Logged l) {
        return UnitSystem.figure(Unit.CELSIUS.fromSi(Arrays.stream(l.kelvin()).max().orElse(0)), 1);
    }

    private void fit() {
        List<SoakPath> parts = parts();
        List<SoakFit.Channel> channels = new ArrayList<>();
        for (Logged l : logged) {
            SoakPath p = parts.stream().filter(x -> x.item().equals(l.item())).findFirst().orElseThrow();
            ration.heat.Soak s = p.soak();
            channels.add(new SoakFit.Channel(new ration.heat.Soak(s.outside(), s.startOver(), s.soakOver(), s.fade(), s.lag(),
                    l.kelvin()[0]), Arrays.stream(l.minutes()).map(m -> 60 * m).toArray(), l.kelvin()));
        }
        try {
            fit = SoakFit.of(channels);
            said.setText("Fitted: the soak rises " + UnitSystem.figure(fit.soakOver(), 0) + " \u00b0C over outside and fades in "
                    + UnitSystem.figure(fit.fade() / 60, 0) + " min; fit error " + UnitSystem.figure(fit.error(), 1) + " K.");
        } catch (IllegalArgumentException e) {
            fit = null;
            said.setText(e.getMessage());
        }
        tools();
    }

    private void take() {
        try {
            Measured over = HeatFigure.BAY_SOAK_OVER.checked(new Measured(Quantity.of(Math.round(fit.soakOver() * 10) / 10.0,
                    Unit.CELSIUS), "fitted, " + name.getText()));
            Measured fade = HeatFigure.SOAK_FADE.checked(new Measured(Quantity.of(Math.round(fit.fade() / 6) / 10.0, Unit.MINUTE),
                    "fitted, " + name.getText()));
            session.apply(Edit.of("Take fitted soak", p -> p.with(p.heat().with(HeatFigure.BAY_SOAK_OVER, over)
                    .with(HeatFigure.SOAK_FADE, fade))));
        } catch (IllegalArgumentException e) {
            said.setText(e.getMessage() + " The log does not fit this kind of soak.");
        }
    }
}
