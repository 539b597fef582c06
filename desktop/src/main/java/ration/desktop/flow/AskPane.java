package ration.desktop.flow;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.ask.HowSteep;
import ration.ask.WhichTank;
import ration.assess.Assessment;
import ration.condition.Condition;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.drawing.Picture;
import ration.drawing.SteepPicture;
import ration.model.Item;
import ration.quantity.Dimension;
import ration.quantity.UnitSystem;

/** How steep the case may climb on what is left; which of several open tanks feeds faster and why. Worked out behind the window. */
final class AskPane extends StackPane {

    /** What is asked. */
    enum Question { HOW_STEEP, WHICH_TANK }

    private record Asked(Question question, Assessment assessment, Condition condition, UnitSystem units) {
    }

    private final Session session;
    private final LongWork work = new LongWork("questions");
    private final PicturePane steepPicture;
    private final VBox table = new VBox(6);
    private final Label state = Ui.wrapped("", "soft");
    private Optional<HowSteep> steep = Optional.empty();
    private Asked asked;

    AskPane(Session session) {
        this.session = session;
        setId("ask");
        state.setId("ask-state");
        steepPicture = new PicturePane("how-steep", (w, h) -> steep.map(s -> SteepPicture.draw(s, brief(), now(s), session.units().get(), w, h)).orElse(
                new Picture(w, h, List.of())), id -> { });
        table.setId("which-tank");
        VBox.setVgrow(steepPicture, Priority.ALWAYS);
        VBox all = new VBox(6, state, steepPicture, table);
        all.getStyleClass().add("ask");
        getChildren().add(all);
    }

    private ration.project.Brief.Envelope brief() {
        return session.shown().get().project().brief().envelope();
    }

    private double now(HowSteep s) {
        return s.feeding().stream().mapToDouble(t -> session.shown().get().condition().contents().getOrDefault(t, 0.0)).sum();
    }

    /** Works out what is asked of the case shown, unless that was done. */
    void update(Question question) {
        Session.Shown shown = session.shown().get();
        Asked now = new Asked(question, shown.assessment(), shown.condition(), session.units().get());
        boolean same = asked != null && asked.question() == question && asked.assessment() == now.assessment() && asked.condition().equals(now.condition())
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
            work.start(task -> HowSteep.of(now.assessment(), now.condition(), task), s -> {
                steep = s;
                state.setText(s.map(x -> SteepPicture.words(x, brief(), session.units().get()) + " Wings level, "
                        + now.condition().engine().power().label().toLowerCase(Locale.ROOT) + " power, the other tanks as they are.").orElse(
                                "Not shown: no tank feeds with the handles so."));
                steepPicture.redraw();
            }, this::failed);
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
        if (found.isEmpty()) {
            state.setText("With the handles so no two tanks are open to the engine at once.");
            return;
        }
        WhichTank w = found.get();
        UnitSystem units = session.units().get();
        GridPane grid = new GridPane();
        grid.setHgap(22);
        grid.setVgap(4);
        grid.addRow(0, Ui.label("Tank", "soft"), Ui.label("gives", "soft"), Ui.label("of all", "soft"), Ui.label("fuel over inlet", "soft"), Ui.label(
                "its vent adds", "soft"), Ui.label("lost to " + w.meets(), "soft"));
        int row = 1;
        for (WhichTank.Share s : w.tanks()) {
            grid.addRow(row++, Ui.label(name(of, s.tank()), "bold"), Ui.label(units.text(s.flow(), Dimension.FLOW)), Ui.label(UnitSystem.figure(100 * s
                    .share(), 0) + " %"), Ui.label(units.text(s.height(), Dimension.LENGTH)), Ui.label(units.text(s.vent(), Dimension.LENGTH)), Ui.label(
                            units.text(s.loss(), Dimension.LENGTH)));
        }
        table.getChildren().add(grid);
        state.setText(why(of, w));
    }

    /** Why the first gives more than the second, by shares, and what lean evens them. */
    private static String why(Asked of, WhichTank w) {
        String a = name(of, w.tanks().get(0).tank());
        String b = name(of, w.tanks().get(1).tank());
        String lead = w.shares().map(s -> Math.abs(s.all()) < 0.005 ? a + " and " + b + " give alike" : a + " gives " + percent(s.all()) + " more than " + b
                + ": " + percent(s.height()) + " by the height of its fuel, " + percent(s.vent()) + " by its vent, " + percent(s.line())
                + " by its line").orElse("Fuel runs from " + a + " into " + b);
        return lead + ". " + (w.evens().isPresent() ? lean(w.evens().getAsDouble()) + ", and both give alike." : "No lean within " + WhichTank.MOST_LEAN
                + "\u00b0 evens them.");
    }

    private static String percent(double logarithm) {
        return UnitSystem.figure(100 * (Math.exp(logarithm) - 1), 0) + " %";
    }

    private static String lean(double degrees) {
        return (Math.abs(degrees) < 0.1 ? "Less than 0.1" : UnitSystem.figure(Math.abs(degrees), 1)) + "\u00b0 more " + (degrees > 0 ? "right" : "left")
                + " side down";
    }

    private static String name(Asked of, String tank) {
        return of.assessment().project().system().item(tank).map(Item::name).orElse(tank);
    }
}
