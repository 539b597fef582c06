package ration.desktop.runs;

import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.ask.LeakWords;
import ration.answer.ask.Leaks;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Steady;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;

/**
 * Every place that seals, the highest first: what stands over it, what runs out where it opens, which valve stops it.
 */
final class LeaksPane extends BorderPane {

    private static final double[] WIDE = {178, 68, 70, 164, 140, 150};
    private static final double[] SMALL = {140, 58, 66, 106, 98, 100};
    private static final String[] HEADS = {"Place", "Fuel over", "Pressure", "If it opens", "Empty in", "Stopped by"};

    private final Session session;
    private final LongWork work;
    private final Steady steady = new Steady(this);
    private final VBox rows = new ColumnBox();
    private final Label state = Ui.wrapped("", "soft");
    private final Label weep = Ui.wrapped("", "plain-text");
    private final TextField drops = field("leak-drops", "Drops a minute", "drops a minute");
    private final TextField height = field("leak-height", "Height of fuel over the place then", "fuel over it");
    private Optional<Leaks> found = Optional.empty();
    private Assessment asked;
    private UnitSystem told;
    private String picked = "";

    LeaksPane(Session session) {
        this.session = session;
        work = session.whileOpen().work("leaks");
        setId("leaks");
        state.setId("leaks-state");
        weep.setId("leak-weep");
        rows.setPadding(new Insets(0, 12, 8, 12));
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        ScrollPane scroll = new Scroll(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        ProgressBar bar = new ProgressBar();
        bar.progressProperty().bind(work.progress());
        HBox busy = new RowBox(8, bar, Ui.button("Stop", "leaks-stop", this::stop, "chip"));
        busy.visibleProperty().bind(work.running());
        busy.managedProperty().bind(busy.visibleProperty());
        VBox top = new ColumnBox(4, state, busy);
        top.setPadding(new Insets(8, 16, 4, 16));
        setTop(top);
        setCenter(scroll);
        HBox measured = new RowBox(
                8,
                Ui.label("A weep", "bold"),
                drops,
                height,
                Ui.button("At full tanks", "leak-scale", this::scale, "chip"),
                weep);
        measured.setAlignment(Pos.CENTER_LEFT);
        measured.setPadding(new Insets(6, 16, 6, 16));
        setBottom(measured);
    }

    private static TextField field(String id, String words, String prompt) {
        TextField f = new TextField();
        f.setId(id);
        f.setAccessibleText(words);
        f.setPromptText(prompt);
        f.setPrefWidth(110);
        return f;
    }

    private void stop() {
        work.cancel();
        asked = null;
        state.setText("Not shown: stopped before every place was asked.");
    }

    /** Works it out for the document shown, unless that was done. */
    void update() {
        Assessment now = session.shown().get().assessment();
        UnitSystem units = session.units().get();
        if (now.answersAs(asked)) {
            if (units != told) {
                tell();
            }
            return;
        }
        asked = now;
        found = Optional.empty();
        rows.getChildren().clear();
        state.setText("Working it out.");
        work.start(
                task -> Leaks.of(now, task),
                f -> {
                    found = f;
                    tell();
                },
                why -> state.setText("Not shown: " + why));
    }

    private LeakWords words() {
        return new LeakWords(asked.project().system(), session.units().get());
    }

    private void tell() {
        told = session.units().get();
        rows.getChildren().clear();
        if (found.isEmpty()) {
            state.setText("Not shown: the layout cannot be computed.");
            return;
        }
        state.setText(LeakWords.SEARCH);
        HBox heads = new RowBox(6);
        for (int i = 0; i < HEADS.length; i++) {
            heads.getChildren().add(Ui.wide(Ui.label(HEADS[i], "soft"), WIDE[i], SMALL[i]));
        }
        heads.setPadding(new Insets(2, 8, 4, 8));
        rows.getChildren().add(heads);
        for (LeakWords.Row r : words().rows(found.get())) {
            rows.getChildren().add(row(r));
        }
    }

    private Button row(LeakWords.Row r) {
        HBox box = new RowBox(6);
        Region[] cells = {
            new ColumnBox(Ui.wrapped(r.name(), "bold"), Ui.label(r.kind(), "soft")),
            Ui.label(r.head()),
            Ui.label(r.pressure()),
            Ui.wrapped(r.opens()),
            Ui.wrapped(r.empty()),
            Ui.wrapped(r.stopped(), r.stopped().startsWith("no valve") ? "wrong-text" : "plain-text")
        };
        for (int i = 0; i < cells.length; i++) {
            box.getChildren().add(Ui.wide(cells[i], WIDE[i], SMALL[i]));
        }
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "leak-" + r.key().replaceAll("[^A-Za-z0-9]+", "-"), () -> pick(r.key()));
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (r.key().equals(picked)) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(r.spoken());
        return row;
    }

    private void pick(String key) {
        picked = key;
        steady.keep(this::tell);
        weep.setText("");
    }

    private void scale() {
        Optional<Leaks.Row> place = found.map(f -> f.byKey().get(picked));
        if (place.isEmpty()) {
            weep.setText("Choose the place in the list first.");
            return;
        }
        try {
            weep.setText(words().weep(number(drops.getText()), words().height(height.getText()), place.get()));
        } catch (IllegalArgumentException e) {
            weep.setText(e.getMessage());
        }
    }

    private static double number(String text) {
        try {
            double n = Double.parseDouble(text.strip().replace(',', '.'));
            if (n >= 0 && n <= 10_000) {
                return n;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        throw new IllegalArgumentException("\u201c" + text.strip() + "\u201d is not a number of drops: 0 to 10,000.");
    }
}
