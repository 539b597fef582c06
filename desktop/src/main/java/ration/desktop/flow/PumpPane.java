package ration.desktop.flow;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import ration.aircraft.model.Pump;
import ration.answer.ask.Candidates;
import ration.answer.ask.Candidates.Candidate;
import ration.answer.ask.PumpWords;
import ration.answer.ask.WhichPump;
import ration.answer.assess.Assessment;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.Picture;
import ration.publish.drawing.PumpPicture;
import ration.record.project.Edit;

/** Which pump will do: what every case needs of it, the curve fitted, candidates from a table of the builder's own. */
final class PumpPane extends BorderPane {

    /** Asks for a table, and gives its text. */
    interface Tables {
        void open(Consumer<String> text);
    }

    private final Session session;
    private final LongWork work;
    private final Label state = Ui.wrapped("", "soft");
    private final ChoiceBox<Pump> pump = new ChoiceBox<>();
    private final VBox rows = new ColumnBox(2);
    private final PicturePane picture;
    private List<Candidate> candidates = List.of();
    private Optional<Candidate> shown = Optional.empty();
    private Optional<WhichPump> found = Optional.empty();
    private Assessment asked;
    private String askedOf = "";

    PumpPane(Session session, Tables tables) {
        this.session = session;
        work = session.whileOpen().work("which pump");
        setId("which-pump");
        state.setId("pump-state");
        picture = new PicturePane("pump-picture", this::draw, id -> {});
        pump.setId("pump-choice");
        pump.setAccessibleText("The pump asked about");
        pump.setConverter(new StringConverter<>() {
            @Override
            public String toString(Pump p) {
                return p == null ? "" : p.name();
            }

            @Override
            public Pump fromString(String text) {
                return null;
            }
        });
        pump.setOnAction(e -> ask());
        Button open = Ui.button(
                "Candidates, CSV",
                "pump-candidates",
                () -> tables.open(text -> {
                    try {
                        candidates = Candidates.read(text);
                        shown = candidates.stream().findFirst();
                        tell();
                    } catch (IllegalArgumentException e) {
                        session.trouble("Candidates not read. " + e.getMessage());
                    }
                }),
                "chip");
        HBox head = new RowBox(8, pump, open);
        head.setAlignment(Pos.CENTER_LEFT);
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        ScrollPane list = new Scroll(rows);
        list.setFitToWidth(true);
        list.setFocusTraversable(false);
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(work.progress());
        bar.setPrefWidth(120);
        HBox busy = new RowBox(8, bar, Ui.button("Stop", "pump-stop", this::stop, "chip"));
        busy.setAlignment(Pos.CENTER_LEFT);
        busy.visibleProperty().bind(work.running());
        busy.managedProperty().bind(busy.visibleProperty());
        VBox side = new ColumnBox(6, head, state, busy, list);
        VBox.setVgrow(list, Priority.ALWAYS);
        Ui.wide(side, 300, 250);
        setCenter(picture);
        setRight(side);
        getStyleClass().add("ask");
    }

    private void stop() {
        work.cancel();
        state.setText("Not shown: stopped before every case was asked.");
    }

    private Optional<Pump> fitted() {
        return Optional.ofNullable(pump.getValue())
                .flatMap(p -> session.shown().get().project().system().item(p.id()))
                .flatMap(i -> i.only(Pump.class));
    }

    private Picture draw(double w, double h) {
        return found.flatMap(f -> fitted().map(p ->
                        PumpPicture.draw(f, p, shown, session.units().get(), w, h)))
                .orElse(new Picture(w, h, List.of()));
    }

    /** Works out what is asked of the document shown, unless that was done. */
    void update() {
        Assessment now = session.shown().get().assessment();
        List<Pump> pumps = now.project().system().all(Pump.class).toList();
        Optional<String> kept = Optional.ofNullable(pump.getValue()).map(Pump::id);
        String picked = session.picked().get();
        Optional<Pump> wanted = pumps.stream()
                .filter(p -> kept.filter(p.id()::equals).isPresent())
                .findFirst()
                .or(() -> pumps.stream().filter(p -> p.id().equals(picked)).findFirst())
                .or(() -> pumps.stream().findFirst());
        if (!pumps.equals(pump.getItems())) {
            pump.getItems().setAll(pumps);
        }
        pump.setValue(wanted.orElse(null));
        ask();
    }

    private void ask() {
        Assessment now = session.shown().get().assessment();
        String of = Optional.ofNullable(pump.getValue()).map(Pump::id).orElse("");
        if (now.answersAs(asked) && of.equals(askedOf)) {
            picture.redraw();
            return;
        }
        asked = now;
        askedOf = of;
        found = Optional.empty();
        tell();
        if (of.isEmpty()) {
            work.cancel();
            state.setText("There is no pump in the layout.");
            return;
        }
        state.setText("Working it out.");
        work.start(
                task -> WhichPump.of(now, of, task),
                f -> {
                    found = f;
                    tell();
                },
                why -> state.setText("Not shown: " + why));
    }

    private void tell() {
        rows.getChildren().clear();
        found.ifPresent(f -> {
            PumpWords words =
                    new PumpWords(asked.project().system(), f, session.units().get());
            state.setText(words.needs() + (words.returned().isEmpty() ? "" : " " + words.returned()));
            fitted().ifPresent(p -> rows.getChildren().add(row(words.fitted(p), () -> {
                shown = Optional.empty();
                tell();
            })));
            fitted().flatMap(words::wired).ifPresent(r -> rows.getChildren().add(row(r, () -> {
                shown = Optional.empty();
                tell();
            })));
            List<Candidate> all = new ArrayList<>(candidates);
            all.sort((a, b) ->
                    Double.compare(f.fit(b.curve()).share(), f.fit(a.curve()).share()));
            for (Candidate c : all) {
                rows.getChildren().add(row(words.row(c.name(), c.curve()), () -> {
                    shown = Optional.of(c);
                    tell();
                }));
                if (shown.filter(c::equals).isPresent()) {
                    rows.getChildren().add(Ui.button("Try " + c.name(), "pump-try", () -> tryIt(c), "chip"));
                }
            }
            if (candidates.isEmpty()) {
                rows.getChildren()
                        .add(Ui.wrapped(
                                "Candidates come from a table of your own with the columns pump, flow, pressure: a row"
                                        + " a point of a curve.",
                                "soft"));
            }
        });
        if (found.isEmpty() && asked != null && !work.running().get() && !askedOf.isEmpty()) {
            state.setText("Not shown: no case is judged with this pump running.");
        }
        picture.redraw();
    }

    private void tryIt(Candidate c) {
        String id = askedOf;
        session.apply(Edit.onItem("Try " + c.name(), id, Pump.class, p -> p.withCurve(c.curve())
                .withBuild(new Pump.Build(
                        Optional.empty(),
                        Optional.empty(),
                        p.build().checked(),
                        p.build().bus(),
                        p.build().wiring()))));
    }

    private Button row(PumpWords.Row said, Runnable pick) {
        NotchBar bar = new NotchBar(36, 8);
        bar.show(said.ratio(), said.verdict());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, said.verdict());
        Label detail = Ui.wrapped(said.detail(), "soft");
        HBox top = new RowBox(6, Ui.label(said.name(), "bold"), Ui.spring(), bar, verdict);
        top.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button(
                "", "pump-row-" + said.name().toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-"), pick);
        row.setGraphic(new ColumnBox(top, detail));
        row.getStyleClass().setAll("button", "fault-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(said.name() + ", " + said.verdict().word() + ", " + said.detail());
        return row;
    }
}
