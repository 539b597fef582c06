package ration.desktop.flow;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.aircraft.condition.Condition;
import ration.answer.ask.HowSteep;
import ration.answer.ask.WhichTank;
import ration.answer.assess.Assessment;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.Picture;
import ration.publish.drawing.SteepPicture;

/**
 * How steep the case may climb on what is left; which of several open tanks feeds faster and why. Worked out behind the
 * window.
 */
final class AskPane extends StackPane {

    /** What is asked. */
    enum Question {
        HOW_STEEP,
        WHICH_TANK
    }

    private record Asked(Question question, Assessment assessment, Condition condition, UnitSystem units) {}

    private final Session session;
    private final LongWork work;
    private final PicturePane steepPicture;
    private final VBox table = new ColumnBox(6);
    private final Label state = Ui.wrapped("", "soft");
    private Optional<HowSteep> steep = Optional.empty();
    private Asked asked;

    AskPane(Session session) {
        this.session = session;
        work = session.whileOpen().work("questions");
        setId("ask");
        state.setId("ask-state");
        steepPicture = new PicturePane(
                "how-steep",
                (w, h) -> steep.map(s -> SteepPicture.draw(
                                s, brief(), now(s), session.units().get(), w, h))
                        .orElse(new Picture(w, h, List.of())),
                id -> {});
        table.setId("which-tank");
        VBox.setVgrow(steepPicture, Priority.ALWAYS);
        VBox all = new ColumnBox(6, state, steepPicture, table);
        all.getStyleClass().add("ask");
        getChildren().add(all);
    }

    private ration.record.project.Brief.Envelope brief() {
        return session.shown().get().project().brief().envelope();
    }

    private double now(HowSteep s) {
        return s.feeding().stream()
                .mapToDouble(t -> session.shown().get().condition().contents().getOrDefault(t, 0.0))
                .sum();
    }

    /** Works out what is asked of the case shown, unless that was done. */
    void update(Question question) {
        Session.Shown shown = session.shown().get();
        Asked now = new Asked(
                question, shown.assessment(), shown.condition(), session.units().get());
        boolean same = asked != null
                && asked.question() == question
                && asked.assessment() == now.assessment()
                && asked.condition().equals(now.condition())
                && asked.units() == now.units();
        asked = now;
        steepPicture.setVisible(question == Question.HOW_STEEP);
        steepPicture.setManaged(question == Question.HOW_STEEP);
        table.setVisible(question == Question.WHICH_TANK);
        table.setManaged(question == Question.WHICH_TANK);
        if (same) {
            steepPicture.redraw();
            return;
        }
        state.setText("Working it out.");
        // what was found of another case is not this one's answer
        steep = Optional.empty();
        table.getChildren().clear();
        steepPicture.redraw();
        if (question == Question.HOW_STEEP) {
            work.start(
                    task -> HowSteep.of(now.assessment(), now.condition(), task),
                    s -> {
                        steep = s;
                        state.setText(words(now).steep(s));
                        steepPicture.redraw();
                    },
                    this::failed);
        } else {
            work.start(task -> WhichTank.of(now.assessment(), now.condition()), w -> show(now, w), this::failed);
        }
    }

    private void failed(String why) {
        steep = Optional.empty();
        table.getChildren().clear();
        steepPicture.redraw();
        state.setText("Not shown: " + why);
    }

    private void show(Asked of, Optional<WhichTank> found) {
        table.getChildren().clear();
        AskWords words = words(of);
        state.setText(words.which(found));
        found.ifPresent(w -> {
            GridPane grid = new GridPane();
            grid.setHgap(22);
            grid.setVgap(4);
            grid.addRow(
                    0,
                    Ui.label("Tank", "soft"),
                    Ui.label("gives", "soft"),
                    Ui.label("of all", "soft"),
                    Ui.label("fuel over inlet", "soft"),
                    Ui.label("its vent adds", "soft"),
                    Ui.label("lost to " + w.meets(), "soft"));
            int n = 1;
            for (AskWords.Row r : words.rows(w)) {
                grid.addRow(
                        n++,
                        Ui.label(r.tank(), "bold"),
                        Ui.label(r.gives()),
                        Ui.label(r.share()),
                        Ui.label(r.height()),
                        Ui.label(r.vent()),
                        Ui.label(r.lost()));
            }
            table.getChildren().add(grid);
        });
    }

    private static AskWords words(Asked of) {
        return new AskWords(of.assessment().project(), of.condition(), of.units());
    }
}
