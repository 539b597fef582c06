package ration.desktop.vapor;

import java.util.ArrayList;
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
import ration.aircraft.condition.Power;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.physics.vapor.Air;
import ration.physics.vapor.PathHeat;
import ration.physics.vapor.SoakPath;
import ration.publish.drawing.Picture;
import ration.publish.drawing.SoakPicture;
import ration.record.file.LogTable;

/** The soak after shutdown, and a log laid over it: dropped or opened, its columns chosen once, fitted on request. */
public final class SoakPane extends ColumnBox {

    /** Reads a log from a file. */
    public interface Logs {
        /** Asks for a file and gives its name and text. */
        void open(Consumer<Text> then);

        /** Reads a file that was dropped. */
        void read(java.nio.file.Path file, Consumer<Text> then);
    }

    /**
     * A file's name and text.
     *
     * @param content read when it is asked for, behind the window: a log may have 64 MB; throws
     *     {@link java.io.UncheckedIOException} with a sentence where it cannot be read
     */
    public record Text(String name, Supplier<String> content) {}

    private final Session session;
    private final Logs logs;
    private final Supplier<PathHeat> path;
    private final Supplier<Air> air;
    private final LongWork reading;
    private final PicturePane picture;
    private final StackPane body = new StackPane();
    private final Label name = Ui.label("", "soft");
    private final Label said = Ui.wrapped("", "soft");
    private final HBox tools = new RowBox(4);
    private final Map<String, List<SoakLog.Meaning>> remembered = new HashMap<>();
    private SoakLog log = SoakLog.NONE;

    SoakPane(Session session, Logs logs, Supplier<PathHeat> path, Supplier<Air> air) {
        super(6);
        this.session = session;
        reading = session.whileOpen().work("log");
        this.logs = logs;
        this.path = path;
        this.air = air;
        setId("soak-pane");
        picture = new PicturePane("soak-picture", (w, h) -> draw(w, h), id -> {});
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
        HBox head =
                new RowBox(6, Ui.label("Heat soak after shutdown", "bold"), Ui.spring(), name, progress, stop, tools);
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
        tools.getChildren().setAll(Ui.button("Overlay log\u2026", "log-open", () -> logs.open(this::parse), "chip"));
        if (log.fit().isPresent()) {
            tools.getChildren().add(Ui.button("Use fitted values", "log-take", this::take, "chip"));
        }
        if (!log.logged().isEmpty() || !log.earlier().isEmpty()) {
            tools.getChildren().add(Ui.button("Remove overlay", "log-away", () -> now(SoakLog.NONE), "chip"));
        }
        if (!log.logged().isEmpty()) {
            tools.getChildren().add(Ui.button("Fit", "log-fit", () -> now(log.fitted(parts())), "chip"));
            tools.getChildren().add(Ui.button("Keep as baseline", "log-keep", () -> now(log.kept()), "chip"));
        }
    }

    private void now(SoakLog other) {
        log = other;
        name.setText(log.name());
        said.setText(log.said().in(session.units().get()));
        tools();
        picture.redraw();
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
        return SoakPicture.draw(
                parts(), log.logged(), log.earlier(), session.units().get(), w, h);
    }

    /** Reads a log in the background and asks what its columns are. */
    void parse(Text text) {
        said.setText("");
        reading.start(
                task -> {
                    try {
                        return LogTable.read(text.content().get(), task.progress(), task.cancelled());
                    } catch (IllegalArgumentException | java.io.UncheckedIOException e) {
                        return e.getMessage();
                    }
                },
                result -> {
                    if (result instanceof LogTable table && table.rows() > 0) {
                        choose(text.name(), table);
                    } else if (result instanceof String why) {
                        said.setText(text.name() + ": " + why);
                    }
                },
                said::setText);
    }

    private void choose(String file, LogTable table) {
        List<SoakPath> parts = parts();
        List<String> meanings = new ArrayList<>(List.of(SoakLog.NO_PART, SoakLog.TIME));
        parts.forEach(p -> meanings.add(p.name()));
        List<SoakLog.Meaning> likely = remembered.getOrDefault(headers(table), SoakLog.guess(table, parts));
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(3);
        grid.addRow(
                0,
                Ui.label("Column", "soft"),
                Ui.label("readings", "soft"),
                Ui.label("is", "soft"),
                Ui.label("in", "soft"));
        List<ChoiceBox<String>> what = new ArrayList<>();
        List<ChoiceBox<String>> units = new ArrayList<>();
        for (int i = 0; i < table.columns().size(); i++) {
            LogTable.Column c = table.columns().get(i);
            ChoiceBox<String> is = box("log-is-" + i, "What column " + c.name() + " is", meanings);
            is.setValue(likely.get(i).is());
            ChoiceBox<String> in = box("log-in-" + i, "Unit of column " + c.name(), SoakLog.UNITS);
            in.setValue(likely.get(i).in());
            what.add(is);
            units.add(in);
            grid.addRow(i + 1, Ui.label(c.name()), Ui.label(String.valueOf(c.count()), "soft"), is, in);
        }
        TextField stopped = new TextField("0");
        stopped.setId("log-stopped");
        stopped.setAccessibleText("Minutes into the log at which the engine was stopped");
        stopped.setPrefWidth(70);
        Button lay = Ui.button("Overlay", "log-lay", () -> lay(file, table, what, units, stopped.getText()));
        HBox foot = new RowBox(
                8,
                Ui.label("Engine stopped after"),
                stopped,
                Ui.label("min of the log"),
                lay,
                Ui.button("Cancel", "log-leave", () -> body.getChildren().setAll(picture), "plain"));
        foot.setAlignment(Pos.CENTER_LEFT);
        ScrollPane scroll = new Scroll(new ColumnBox(
                8, Ui.wrapped(file + ", " + table.rows() + " readings. Set what each column is.", "soft"), grid, foot));
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

    private void lay(
            String file, LogTable table, List<ChoiceBox<String>> what, List<ChoiceBox<String>> units, String stopped) {
        try {
            List<SoakLog.Meaning> as = IntStream.range(0, what.size())
                    .mapToObj(i -> new SoakLog.Meaning(
                            what.get(i).getValue(), units.get(i).getValue()))
                    .toList();
            now(log.laid(file, table, as, stopped, parts()));
            remembered.put(headers(table), as);
            body.getChildren().setAll(picture);
        } catch (IllegalArgumentException e) {
            said.setText(e.getMessage());
        }
    }

    private void take() {
        try {
            session.apply(log.taken());
        } catch (IllegalArgumentException e) {
            said.setText(e.getMessage() + " The log does not fit this kind of soak.");
        }
    }
}
