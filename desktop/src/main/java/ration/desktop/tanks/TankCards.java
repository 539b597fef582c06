package ration.desktop.tanks;

import java.util.Optional;
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
import ration.assess.TankAnswer;
import ration.assess.WhyTanks;
import ration.check.Check;
import ration.check.Finding;
import ration.check.Verdict;
import ration.condition.Attitude;
import ration.desktop.control.Figure;
import ration.desktop.control.FindingBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.drawing.GaugePicture;
import ration.drawing.Picture;
import ration.evidence.TankEvidence;
import ration.model.Measured;
import ration.model.Tank;
import ration.project.Brief;
import ration.project.Edit;
import ration.quantity.Dimension;
import ration.quantity.Quantity;
import ration.quantity.UnitSystem;

/** Capacity, what the placard must read, the gauge, and what is asked of the tank. */
final class TankCards extends VBox {

    private final Session session;
    private final GridPane capacity = new GridPane();
    private final Label placard = Ui.wrapped("", "sentence");
    private final HBox set = new HBox();
    private final NotchBar bar = new NotchBar(104, 10);
    private final Label verdict = Ui.label("", "verdict");
    private final PicturePane gauge;
    private final VBox asked = new VBox(8);
    private final StackPane lower = new StackPane();
    private TankAnswer answer;

    TankCards(Session session, Consumer<String> print) {
        this.session = session;
        getStyleClass().add("card");
        Ui.wide(this, 340, 316);
        placard.setId("placard-says");
        verdict.setId("tank-verdict");
        gauge = new PicturePane("gauge-picture", this::gaugePicture, id -> { });
        capacity.setHgap(8);
        capacity.setVgap(6);
        ColumnConstraints first = new ColumnConstraints(112);
        ColumnConstraints second = new ColumnConstraints();
        second.setHgrow(Priority.ALWAYS);
        capacity.getColumnConstraints().addAll(first, second);
        set.setAlignment(Pos.CENTER_LEFT);
        VBox top = new VBox(8, capacity, placard, set);
        top.getStyleClass().add("card-body");
        ScrollPane scroll = new ScrollPane(asked);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        asked.setId("asked-of-tank");
        ToggleGroup group = new ToggleGroup();
        HBox head = new HBox(3, chip("Gauge", "cards-gauge", gauge, group), chip("Asked of it", "cards-asked", scroll, group),
                Ui.spring(), Ui.button("Gauge card, PDF\u2026", "gauge-print", () -> print.accept(answer.tank().id()), "chip"));
        head.setAlignment(Pos.CENTER_LEFT);
        lower.getChildren().setAll(gauge);
        VBox.setVgrow(lower, Priority.ALWAYS);
        VBox foot = new VBox(8, head, lower);
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
        rows(units);
        double wanted = now.unusable();
        boolean low = now.verdict() == Verdict.SHORT;
        placard.getStyleClass().remove("short");
        if (low) {
            placard.getStyleClass().add("short");
        }
        String says = units.fineVolume(Math.max(0, now.full() - Math.max(wanted, now.placard()))) + " usable, "
                + units.fineVolume(Math.max(wanted, now.placard())) + " unusable";
        placard.setText(low ? "Placard must read " + says + "." : "Placard holds: " + says + ".");
        set.getChildren().clear();
        if (low) {
            double up = Math.ceil(units.unit(Dimension.VOLUME).fromSi(wanted) * 10 - 1e-9) / 10;
            Quantity q = Quantity.of(up, units.unit(Dimension.VOLUME));
            set.getChildren().add(Ui.button("Set the placard to " + q.shown(), "placard-set", () -> session.apply(
                    Edit.onItem("Set unusable fuel of " + now.tank().name(), now.tank().id(), Tank.class,
                            t -> t.withUnusable(new Measured(q, now.source().word()))))));
        }
        gauge.redraw();
        asked(units);
    }

    private void rows(UnitSystem units) {
        capacity.getChildren().clear();
        TankEvidence e = answer.evidence();
        int n = 0;
        add(n++, Ui.label("Capacity", "page-title"), "", "", false);
        add(n++, Ui.label("Total"), "by shape", units.fineVolume(answer.body().solid().volume()), !answer.body()
                .calibration().measured());
        if (answer.body().calibration().measured()) {
            add(n++, null, "by fills, " + lastDate(e), units.fineVolume(answer.body().capacity()), true);
        }
        if (answer.tank().fitout().filler().isPresent()) {
            add(n++, null, "to the filler", units.fineVolume(answer.full()), false);
        }
        rule(n++);
        add(n++, Ui.label("Unusable"), "predicted", units.fineVolume(answer.predicted().volume()),
                answer.source() == TankAnswer.Source.PREDICTED);
        Optional<TankEvidence.Drained> drained = answer.drainedThere().or(() -> e.drained().stream().max(
                java.util.Comparator.comparingDouble(TankEvidence.Drained::largest)));
        Optional<TankAnswer.Carried> carried = answer.carried();
        bar.show(Math.min(1.5, answer.ratio()), answer.verdict());
        Ui.verdict(verdict, answer.verdict());
        VBox state = new VBox(4, bar, verdict);
        String how = drained.isEmpty() ? "not drained yet" : answer.drainedThere().isPresent() ? "drained, " + drained.get().date()
                : "drained elsewhere";
        add(n++, state, how, drained.map(d -> units.fineVolume(d.largest())).orElse("\u2013"), answer.source()
                == TankAnswer.Source.DRAINED);
        GridPane.setRowSpan(state, carried.isPresent() ? 4 : 3);
        if (carried.isPresent()) {
            TankAnswer here = answer;
            boolean governs = answer.source() == TankAnswer.Source.LIKELY;
            add(n++, null, "likely here, \u00d7 " + ration.quantity.UnitSystem.figure(carried.get().ratio(), 2), new Figure("tank-likely",
                    governs ? "name" : "figure").show(units.fineVolume(carried.get().likely()), governs ? Optional.of(() ->
                    WhyTanks.unusable(here)) : Optional.empty()));
        }
        Optional<Measured> published = answer.tank().fitout().published();
        add(n++, null, "published", published.map(m -> units.fineVolume(m.si())).orElse("\u2013"), answer.source()
                == TankAnswer.Source.PUBLISHED);
        add(n++, null, "placard", units.fineVolume(answer.placard()), false);
        rule(n++);
        TankAnswer shown = answer;
        add(n, Ui.label("Usable", "bold"), "full less the largest", new Figure("tank-usable", "name").show(units.fineVolume(
                answer.usable()), Optional.of(() -> WhyTanks.usable(shown))));
    }

    private static String lastDate(TankEvidence e) {
        return java.util.stream.Stream.concat(e.fills().stream(), e.tops().stream()).map(t -> t.by().date()).max(
                String::compareTo).orElse("");
    }

    private void add(int row, Node what, String how, String figure, boolean governs) {
        add(row, what, how, new Figure("", governs ? "name" : "figure").show(figure, Optional.empty()));
    }

    private void add(int row, Node what, String how, Figure value) {
        value.setMinWidth(Region.USE_PREF_SIZE);
        Label words = Ui.label(how, "soft");
        words.setMinWidth(Region.USE_PREF_SIZE);
        GridPane.setHalignment(value, javafx.geometry.HPos.RIGHT);
        if (what != null) {
            capacity.add(what, 0, row);
        }
        capacity.add(words, 1, row);
        capacity.add(value, 2, row);
    }

    private void rule(int row) {
        Region line = Ui.rule();
        capacity.add(line, 0, row, 3, 1);
    }

    private void asked(UnitSystem units) {
        asked.getChildren().clear();
        for (Finding f : session.shown().get().assessment().findings()) {
            if ((f.topic() == Check.Topic.TANKS || f.topic() == Check.Topic.HANGAR) && (f.item().equals(answer.tank().id())
                    || f.check() == Check.TANK_RESERVE)) {
                asked.getChildren().add(new FindingBox(f.title().replace(", " + answer.tank().name(), ""), f, units));
            }
        }
    }

    private Picture gaugePicture(double w, double h) {
        if (answer == null) {
            return new Picture(w, h, java.util.List.of());
        }
        Brief.Envelope envelope = session.shown().get().project().brief().envelope();
        return GaugePicture.draw(answer, Attitude.ofDegrees("Level", 0, 0), envelope.attitudes().get(0), session.units().get(), w,
                h);
    }
}
