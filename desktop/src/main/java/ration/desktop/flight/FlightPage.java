package ration.desktop.flight;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import ration.aircraft.condition.Fault;
import ration.aircraft.condition.Faults;
import ration.aircraft.flight.Switching;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.FlightVapor;
import ration.answer.drawdown.OnBoth;
import ration.answer.drawdown.UsualFlight;
import ration.answer.fault.Catalogue;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.FlightPicture;
import ration.publish.drawing.Picture;
import ration.record.project.Edit;

/** A flight drawn down. */
public final class FlightPage extends LivePage {

    private static final double STEP = 5;

    private final Session session;
    private final LongWork work;
    private final HBox modes = new RowBox(4);
    private final Label state = Ui.label("", "soft");
    private final Button again = Ui.button("Run flight", "flight-again", this::restart, "chip");
    private final PicturePane picture = new PicturePane("flight-picture", this::draw, id -> {});
    private final FlightCard card;
    private Assessment done;
    private Flight flight;
    private Optional<FlightVapor> vapor = Optional.empty();
    private double cursor;
    private final ChoiceBox<String> fault = new ChoiceBox<>();
    private Map<String, Faults> ways = Map.of();
    private Faults failing = Faults.NONE;
    private double fails;
    private FuelSystem offered;

    /** What came of flying. */
    private record Flown(Flight flight, Optional<OnBoth> both, FlightVapor vapor) {}

    /** @param print told to write the switching card of a flight */
    public FlightPage(Session session, Consumer<Flight> print) {
        super(session, "flight-page", "Flight page");
        this.session = session;
        work = session.whileOpen().work("flight");
        card = new FlightCard(session, print);
        ProgressBar progress = new ProgressBar();
        progress.setId("flight-progress");
        progress.setPrefWidth(90);
        progress.progressProperty().bind(work.progress());
        Button stop = Ui.button("Stop", "flight-stop", this::stop, "chip");
        for (javafx.scene.Node n : List.of(progress, stop)) {
            n.visibleProperty().bind(work.running());
            n.managedProperty().bind(work.running());
        }
        again.setVisible(false);
        again.managedProperty().bind(again.visibleProperty());
        modes.setAlignment(Pos.CENTER_LEFT);
        state.setId("flight-state");
        fault.setId("flight-fault");
        fault.setAccessibleText("Failure at cursor time");
        fault.setPrefWidth(190);
        fault.setOnAction(e -> plan(fault.getValue()));
        HBox head = new RowBox(
                8, Ui.label("Flight", "page-title"), fault, Ui.spring(), state, progress, stop, again, modes);
        head.getStyleClass().add("page-head");
        head.setAlignment(Pos.CENTER_LEFT);
        setTop(head);
        picture.setFocusTraversable(true);
        picture.getStyleClass().add("keyed-picture");
        picture.setOnMousePressed(e -> {
            picture.requestFocus();
            at(e.getX());
        });
        picture.setOnMouseDragged(e -> at(e.getX()));
        picture.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        picture.setMinWidth(0);
        setCenter(picture);
        setRight(Ui.side(card, 300));
        for (Switching.Mode m : Switching.Mode.values()) {
            ToggleButton chip = new ToggleButton(m.label());
            chip.setId("flight-" + m.name().toLowerCase(java.util.Locale.ROOT));
            chip.getStyleClass().add("chip");
            chip.setUserData(m);
            chip.setOnAction(e -> session.apply(Edit.of(
                    "Switch " + m.label().toLowerCase(java.util.Locale.ROOT),
                    p -> p.with(UsualFlight.meant(p).with(m)))));
            modes.getChildren().add(chip);
        }
    }

    @Override
    public void arrive() {
        picture.requestFocus();
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        modes.setVisible(!a.project().system().selectors().isEmpty());
        offer(a.project().system());
        Switching.Mode mode = UsualFlight.meant(a.project()).switching().mode();
        boolean both = a.basis().isPresent() && FlightRun.feedsBoth(a.project().system());
        modes.getChildren().forEach(n -> {
            ((ToggleButton) n).setSelected(n.getUserData() == mode);
            n.setDisable(n.getUserData() == Switching.Mode.BOTH && !both);
        });
        if (!a.answersAs(done)) {
            start(a);
        } else {
            done = a;
            show();
        }
    }

    /** What can fail in this layout; what was chosen goes once its part is gone. */
    private void offer(FuelSystem system) {
        if (system == offered) {
            return;
        }
        offered = system;
        Map<String, Faults> all = new LinkedHashMap<>();
        all.put(NOTHING, Faults.NONE);
        for (Fault f : Catalogue.of(system)) {
            String whole = Catalogue.whole(f);
            String part =
                    whole.isEmpty() ? system.item(f.item()).map(Item::name).orElse(f.item()) : whole;
            all.put(
                    part + (f.port().isEmpty() || !whole.isEmpty() ? "" : ", " + f.port()) + " " + Catalogue.words(f),
                    Faults.of(f));
        }
        ways = all;
        String kept = all.entrySet().stream()
                .filter(e -> e.getValue().equals(failing))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(NOTHING);
        failing = all.get(kept);
        fault.getItems().setAll(all.keySet());
        fault.setValue(kept);
    }

    private static final String NOTHING = "No failure";

    /** Something fails at the moment under the cursor: the flight is flown again with it. */
    private void plan(String chosen) {
        Faults other = ways.getOrDefault(chosen, Faults.NONE);
        if (chosen != null && !other.equals(failing)) {
            failing = other;
            fails = cursor;
            start(session.shown().get().assessment());
        }
    }

    private void start(Assessment a) {
        done = a;
        flight = null;
        session.flight().set(null);
        again.setVisible(false);
        state.setText("");
        if (a.basis().isEmpty()) {
            work.cancel();
            card.nothing("Add a tank and its line to the engine first.", a.project());
            picture.redraw();
            return;
        }
        Optional<String> refusal = FlightRun.refusal(a.project().system(), UsualFlight.meant(a.project()));
        if (refusal.isPresent()) {
            work.cancel();
            card.nothing("Not shown: " + refusal.get(), a.project());
            picture.redraw();
            return;
        }
        work.start(
                task -> {
                    Flight flown = FlightRun.of(a, UsualFlight.meant(a.project()), failing, fails, task);
                    return new Flown(flown, OnBoth.of(a, flown.plan()), FlightVapor.of(a, flown));
                },
                flown -> {
                    flight = flown.flight();
                    vapor = Optional.of(flown.vapor());
                    card.vapor(flown.vapor());
                    session.flight().set(flight);
                    card.both(flown.both());
                    cursor = Math.min(cursor, last());
                    state.setText(failing.none() ? "" : "fails at " + FlightTable.clock(fails));
                    show();
                },
                why -> {
                    card.nothing(why, a.project());
                    again.setVisible(true);
                    picture.redraw();
                });
    }

    private void restart() {
        start(session.shown().get().assessment());
    }

    private void stop() {
        work.cancel();
        state.setText("Stopped. No flight results.");
        again.setVisible(true);
    }

    private void show() {
        picture.redraw();
        if (flight != null) {
            card.show(flight, done);
        }
    }

    private double last() {
        return flight.samples().get(flight.samples().size() - 1).minutes();
    }

    private Picture draw(double w, double h) {
        if (flight == null) {
            return new Picture(w, h, List.of());
        }
        return FlightPicture.draw(
                done.project(), flight, vapor, cursor, session.units().get(), Tokens.measure(), w, h);
    }

    private void at(double px) {
        if (flight != null) {
            to(FlightPicture.minutes(flight, px, picture.getWidth()));
        }
    }

    /** The moment under the cursor is the case every page shows. */
    private void to(double minutes) {
        cursor = Math.max(0, Math.min(last(), Math.round(minutes)));
        session.look(flight.at(cursor).condition());
        state.setText("Every page shows " + FlightTable.clock(cursor));
        picture.redraw();
    }

    private void key(KeyEvent e) {
        if (flight == null || e.isShortcutDown() || e.isAltDown()) {
            return;
        }
        double step = e.isShiftDown() ? 1 : STEP;
        KeyCode code = e.getCode();
        if (code == KeyCode.LEFT || code == KeyCode.RIGHT) {
            to(cursor + (code == KeyCode.RIGHT ? step : -step));
            e.consume();
        } else if (code == KeyCode.HOME || code == KeyCode.END) {
            to(code == KeyCode.HOME ? 0 : flight.landing().minutes());
            e.consume();
        }
    }
}
