package ration.desktop.hangar;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.record.reading.Live;

/**
 * Readings as they come, with their age: from a growing file, a port of this machine, or the stand-in; a steady mean
 * goes into the step in hand.
 */
final class LivePane extends ColumnBox {

    /** A mean is taken over so long, s. */
    private static final double STEADY = 10;
    /** What is older is no reading of now, s. */
    private static final double OLD = 3;
    /** Over so long the rise of a channel is taken, s. */
    private static final double RISE = 20;

    /** Takes a steady mean. */
    @FunctionalInterface
    interface Taker {
        boolean take(Dimension kind, String text, String from);
    }

    private final Taker taker;
    private final Label from = Ui.label("", "soft");
    private final VBox channels = new ColumnBox(2);
    private final Label trouble = Ui.trouble("live-trouble");
    private final Map<String, Label[]> rows = new HashMap<>();
    private final Timeline clock = new Timeline(new KeyFrame(Duration.millis(500), e -> tick()));
    private Optional<Source> source = Optional.empty();

    /**
     * @param chooseFile asks for a file, and goes on with it
     * @param standIn the stand-in for the test in hand; empty where there is none to play
     */
    LivePane(
            Taker taker,
            Consumer<Consumer<java.nio.file.Path>> chooseFile,
            Supplier<Optional<Source>> standIn,
            Consumer<String> say) {
        this.taker = taker;
        setSpacing(6);
        TextField port = new TextField();
        port.setId("live-port");
        port.setPromptText("port");
        port.setAccessibleText("Port of this machine that sends readings");
        port.setPrefWidth(60);
        port.setOnAction(e -> {
            try {
                int n = Integer.parseInt(port.getText().strip());
                if (n < 1 || n > 65_535) {
                    throw new NumberFormatException("range");
                }
                listen(Source.port(n));
            } catch (NumberFormatException x) {
                say.accept("Enter a port number, 1 to 65535.");
            }
        });
        HBox chips = new RowBox(
                4,
                Ui.button("File\u2026", "live-file", () -> chooseFile.accept(p -> listen(Source.growing(p))), "chip"),
                port,
                Ui.button(
                        "Simulator",
                        "live-stand-in",
                        () -> standIn.get()
                                .ifPresentOrElse(
                                        this::listen,
                                        () -> say.accept("Start a test and enter its conditions first: the simulator"
                                                + " uses them.")),
                        "chip"),
                Ui.button("Stop", "live-stop", this::stop, "chip"));
        chips.setAlignment(Pos.CENTER_LEFT);
        from.setId("live-from");
        channels.setId("live-channels");
        getChildren()
                .addAll(
                        new RowBox(6, Ui.label("Readings", "group-title"), Ui.spring(), from),
                        chips,
                        channels,
                        trouble);
        clock.setCycleCount(Animation.INDEFINITE);
        sceneProperty().addListener((o, was, now) -> {
            if (now == null) {
                stop();
            }
        });
        stop();
    }

    private void listen(Source to) {
        stop();
        source = Optional.of(to);
        clock.play();
        tick();
    }

    void stop() {
        clock.stop();
        source.ifPresent(Source::close);
        source = Optional.empty();
        rows.clear();
        channels.getChildren().clear();
        from.setText("no source");
        trouble.setText("");
    }

    private void tick() {
        Source s = source.orElseThrow();
        trouble.setText(s.trouble());
        List<Live.Shown> all = s.live().shown(Source.now());
        from.setText(s.isStandIn() ? "stand-in: never counts" : s.name());
        for (Live.Shown c : all) {
            Label[] row = rows.computeIfAbsent(c.name(), n -> row(s, c));
            boolean old = c.age() > OLD;
            row[0].setText(figure(c.unit(), c.value()));
            row[1].setText((old ? "old, " : "") + UnitSystem.figure(c.age(), 1) + " s ago" + rise(s, c));
        }
    }

    private static String figure(Unit unit, double si) {
        int places = unit == Unit.GALLON ? 3 : Math.max(1, unit.decimals());
        return UnitSystem.figure(unit.fromSi(si), places) + " " + unit.symbol();
    }

    /** How fast a can fills, where it does. */
    private static String rise(Source s, Live.Shown c) {
        return c.unit().dimension() != Dimension.VOLUME
                ? ""
                : s.live()
                        .rise(c.name(), RISE)
                        .filter(r -> r > 1e-9)
                        .map(r -> ", " + UnitSystem.US.text(r, Dimension.FLOW))
                        .orElse("");
    }

    private Label[] row(Source s, Live.Shown c) {
        Label value = Ui.label("", "bold", "live-value");
        Label age = Ui.label("", "soft");
        Button use = Ui.button("Use", "live-use-" + c.name().replaceAll("[^A-Za-z0-9]+", "-"), () -> use(s, c), "chip");
        use.setAccessibleText("Use the steady mean of " + c.name());
        VBox name = new ColumnBox(Ui.label(c.name() + (s.isStandIn() ? ", stand-in" : "")), age);
        HBox row = new RowBox(8, name, Ui.spring(), value, use);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getStyleClass().add(s.isStandIn() ? "live-stand-in" : "live-row");
        channels.getChildren().add(row);
        return new Label[] {value, age};
    }

    /** A can is read as it stands; anything else as the mean of the last seconds, with its scatter. */
    private void use(Source s, Live.Shown c) {
        boolean can = c.unit().dimension() == Dimension.VOLUME;
        s.live().steady(c.name(), can ? 0 : STEADY).ifPresent(m -> {
            String by = s.isStandIn()
                    ? TestRunner.STAND_IN
                    : s.name()
                            + (m.n() > 1
                                    ? " \u00b1"
                                            + figure(
                                                    c.unit(),
                                                    m.scatter() + c.unit().toSi(0))
                                    : "");
            if (!taker.take(c.unit().dimension(), figure(c.unit(), m.mean()), by)) {
                trouble.setText("This step does not use that reading.");
            }
        });
    }
}
