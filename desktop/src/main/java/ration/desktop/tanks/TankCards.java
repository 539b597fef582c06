package ration.desktop.tanks;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.aircraft.condition.Attitude;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Figure;
import ration.desktop.control.FindingBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.GaugePicture;
import ration.publish.drawing.Picture;
import ration.record.project.Brief;
import ration.verdict.words.Term;

/** Capacity, what the placard must read, the gauge, and what is asked of the tank. */
final class TankCards extends ColumnBox {

    private final Session session;
    private final GridPane capacity = new GridPane();
    private final Label placard = Ui.wrapped("", "sentence");
    private final HBox set = new RowBox();
    private final NotchBar bar = new NotchBar(104, 10);
    private final Label verdict = Ui.label("", "verdict");
    private final PicturePane gauge;
    private final VBox asked = new ColumnBox(8);
    private final StackPane lower = new StackPane();
    private TankAnswer answer;

    TankCards(Session session, Consumer<String> print) {
        this.session = session;
        getStyleClass().add("card");
        Ui.wide(this, 340, 316);
        placard.setId("placard-says");
        verdict.setId("tank-verdict");
        gauge = new PicturePane("gauge-picture", this::gaugePicture, id -> {});
        capacity.setHgap(8);
        capacity.setVgap(6);
        ColumnConstraints first = new ColumnConstraints();
        first.prefWidthProperty().bind(Ui.inWindow(this, 112, 96));
        ColumnConstraints second = new ColumnConstraints();
        second.setHgrow(Priority.ALWAYS);
        capacity.getColumnConstraints().addAll(first, second);
        set.setAlignment(Pos.CENTER_LEFT);
        VBox top = new ColumnBox(8, capacity, placard, set);
        top.getStyleClass().add("card-body");
        ScrollPane scroll = new Scroll(asked);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        asked.setId("asked-of-tank");
        ToggleGroup group = new ToggleGroup();
        HBox head = new RowBox(
                3,
                chip("Gauge", "cards-gauge", gauge, group),
                chip("Asked of it", "cards-asked", scroll, group),
                Ui.spring(),
                Ui.button(
                        "Gauge card, PDF\u2026",
                        "gauge-print",
                        () -> print.accept(answer.tank().id()),
                        "chip"));
        head.setAlignment(Pos.CENTER_LEFT);
        lower.getChildren().setAll(gauge);
        VBox.setVgrow(lower, Priority.ALWAYS);
        VBox foot = new ColumnBox(8, head, lower);
        foot.getStyleClass().add("card-body");
        VBox.setVgrow(foot, Priority.ALWAYS);
        getChildren().addAll(top, Ui.rule(), foot);
    }

    private ToggleButton chip(String text, String id, Node shown, ToggleGroup group) {
        ToggleButton button = new ToggleButton(text);
        button.setId(id);
        button.setToggleGroup(group);
        button.getStyleClass().add("chip");
        button.setSelected(shown == gauge);
        button.setOnAction(e -> {
            button.setSelected(true);
            lower.getChildren().setAll(shown);
            gauge.redraw();
        });
        return button;
    }

    void show(TankAnswer now) {
        answer = now;
        UnitSystem units = session.units().get();
        TankFigures figures = new TankFigures(now, units);
        rows(figures);
        placard.getStyleClass().remove("short");
        if (figures.isShort()) {
            placard.getStyleClass().add("short");
        }
        placard.setText(figures.placard());
        set.getChildren().clear();
        figures.wanted().ifPresent(q -> set.getChildren()
                .add(Ui.button(
                        "Set placard: " + q.shown() + " unusable",
                        "placard-set",
                        () -> session.apply(figures.set(q)))));
        gauge.redraw();
        asked.getChildren().clear();
        figures.asked(session.shown().get().assessment()).forEach(f -> asked.getChildren()
                .add(new FindingBox(f.title().replace(", " + now.tank().name(), ""), f, units)));
    }

    private void rows(TankFigures figures) {
        capacity.getChildren().clear();
        bar.show(figures.ratio(), answer.verdict());
        Ui.verdict(verdict, answer.verdict());
        VBox state = new ColumnBox(4, bar, verdict);
        capacity.add(Ui.term(Term.UNUSABLE, Ui.label("Capacity", "page-title")), 0, 0);
        int row = 1;
        for (TankFigures.Line l : figures.capacity()) {
            add(row++, Ui.label(l.what()), l);
        }
        capacity.add(Ui.rule(), 0, row++, 3, 1);
        List<TankFigures.Line> unusable = figures.unusable();
        capacity.add(state, 0, row + 1, 1, unusable.size() - 1);
        for (TankFigures.Line l : unusable) {
            add(row++, l.what().isEmpty() ? null : Ui.label(l.what()), l);
        }
        capacity.add(Ui.rule(), 0, row++, 3, 1);
        add(row, Ui.label(figures.usable().what(), "bold"), figures.usable());
    }

    private void add(int row, Node what, TankFigures.Line l) {
        Figure value = new Figure(l.id(), l.governs() ? "name" : "figure").show(l.figure(), l.why());
        value.setMinWidth(Region.USE_PREF_SIZE);
        Label words = Ui.label(l.how(), "soft");
        GridPane.setHalignment(value, javafx.geometry.HPos.RIGHT);
        if (what != null) {
            capacity.add(what, 0, row);
        }
        capacity.add(words, 1, row);
        capacity.add(value, 2, row);
    }

    private Picture gaugePicture(double w, double h) {
        if (answer == null) {
            return new Picture(w, h, java.util.List.of());
        }
        Brief.Envelope envelope = session.shown().get().project().brief().envelope();
        return GaugePicture.draw(
                answer,
                Attitude.ofDegrees("Level", 0, 0),
                envelope.attitudes().get(0),
                session.units().get(),
                w,
                h);
    }
}
