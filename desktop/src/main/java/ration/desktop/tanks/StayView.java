package ration.desktop.tanks;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.aircraft.condition.Attitude;
import ration.aircraft.condition.Condition;
import ration.answer.assess.TankAnswer;
import ration.answer.remedy.LessLeft;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.physics.tank.StrandedMap;
import ration.publish.drawing.Picture;
import ration.publish.drawing.StrandedPicture;
import ration.publish.drawing.TankSection;
import ration.publish.drawing.TextMeasure;
import ration.record.project.Project;

/** A tank in the attitude looked at, and the map of what stays in it over all attitudes. */
final class StayView extends RowBox {

    private static final double SNAP = 2;

    private final Session session;
    private final TextMeasure measure = Tokens.measure();
    private final LongWork mapping;
    private final LongWork helping;
    private final PicturePane side;
    private final PicturePane behind;
    private final PicturePane map;
    private final TankCards cards;
    private final Label sideAngle = Ui.label("", "soft");
    private final Label behindAngle = Ui.label("", "soft");
    private final Label usable = Ui.label("", "bold");
    private final Label stranded = Ui.label("", "bold");
    private final Label contents = Ui.label("", "bold");
    private final Label mapTitle = Ui.label("", "soft");
    private final Label lessNow = Ui.label("", "soft");
    private final VBox less = new ColumnBox();
    private TankAnswer answer;
    private StrandedMap drawn;
    private Project helped;
    private String helpedTank = "";

    StayView(Session session, Consumer<String> print) {
        this.session = session;
        mapping = session.whileOpen().work("unusable-fuel map");
        helping = session.whileOpen().work("ways to reduce unusable fuel");
        side = new PicturePane("tank-side", (w, h) -> section(TankSection.From.SIDE, w, h), id -> {});
        behind = new PicturePane("tank-behind", (w, h) -> section(TankSection.From.BEHIND, w, h), id -> {});
        map = new PicturePane("stranded-map", this::mapPicture, id -> {});
        map.setFocusTraversable(true);
        map.setAccessibleRole(AccessibleRole.SLIDER);
        map.getStyleClass().add("map");
        map.addEventHandler(MouseEvent.MOUSE_PRESSED, this::drag);
        map.addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
        map.addEventHandler(KeyEvent.KEY_PRESSED, this::nudge);
        cards = new TankCards(session, print);
        usable.setId("usable-here");
        stranded.setId("stranded-here");
        contents.setId("contents-here");
        VBox middle = middle();
        HBox.setHgrow(middle, Priority.ALWAYS);
        getChildren().addAll(low(left()), Ui.tallRule(), middle, low(cards));
    }

    /** In a low window it scrolls, and does not push the frame. */
    private static ScrollPane low(Region content) {
        ScrollPane scroll = new Scroll(content);
        scroll.setFitToWidth(true);
        scroll.setFitToHeight(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        scroll.setMinHeight(0);
        scroll.setMinWidth(Region.USE_PREF_SIZE);
        return scroll;
    }

    private VBox left() {
        side.setPrefHeight(150);
        behind.setPrefHeight(150);
        VBox.setVgrow(side, Priority.ALWAYS);
        VBox.setVgrow(behind, Priority.ALWAYS);
        GridPane rows = new GridPane();
        rows.setHgap(10);
        rows.setVgap(5);
        row(rows, 0, "usable-key", "usable at this attitude", usable);
        row(rows, 1, "stranded-key", "below the outlet", stranded);
        row(rows, 2, "empty-key", "fuel set", contents);
        HBox head = new RowBox(6, Ui.label("Reduce unusable fuel", "group-title"), Ui.spring(), lessNow);
        less.setId("less-left");
        VBox box = new ColumnBox(
                5,
                title("From the side", sideAngle),
                side,
                title("From behind, at the outlet", behindAngle),
                behind,
                Ui.rule(),
                rows,
                Ui.rule(),
                head,
                less);
        box.getStyleClass().add("tank-side");
        Ui.wide(box, 336, 290);
        return box;
    }

    private static HBox title(String text, Label angle) {
        HBox box = new RowBox(8, Ui.label(text, "bold"), Ui.spring(), angle);
        box.setAlignment(Pos.BASELINE_LEFT);
        return box;
    }

    private static void row(GridPane grid, int n, String style, String words, Label figure) {
        Region key = new Region();
        key.getStyleClass().addAll("key-box", style);
        Label text = Ui.label(words);
        GridPane.setHgrow(text, Priority.ALWAYS);
        text.setMaxWidth(Double.MAX_VALUE);
        grid.addRow(n, key, text, figure);
    }

    private VBox middle() {
        HBox head = new RowBox(
                8,
                Ui.label("Unusable fuel by attitude", "page-title"),
                Ui.spring(),
                mapTitle,
                Ui.button(
                        "Governing",
                        "map-governing",
                        () -> session.look(answer.predicted().attitude()),
                        "chip"));
        head.setAlignment(Pos.CENTER_LEFT);
        VBox.setVgrow(map, Priority.ALWAYS);
        VBox box = new ColumnBox(
                6,
                head,
                map,
                Ui.wrapped(
                        "Drag the ring, or use the arrow keys, to set another attitude. A coordinated turn"
                                + " leaves fuel level; a slip or skid tilts it.",
                        "soft"));
        box.getStyleClass().add("tank-map");
        return box;
    }

    void show(TankAnswer now) {
        boolean other = answer == null
                || !answer.tank().equals(now.tank())
                || !answer.evidence().equals(now.evidence());
        answer = now;
        Condition c = session.shown().get().condition();
        UnitSystem units = session.units().get();
        sideAngle.setText("nose right, " + TankFigures.degrees(c.attitude().pitchDegrees()));
        behindAngle.setText("tilt " + TankFigures.degrees(c.attitude().tiltDegrees()));
        TankFigures.Held held = figures().held(c.attitude(), contents());
        usable.setText(units.fineVolume(held.usable()));
        stranded.setText(units.fineVolume(held.stays()));
        contents.setText(units.fineVolume(held.holds()));
        mapTitle.setText(
                units.unit(Dimension.VOLUME) == Unit.GALLON
                        ? "gallons, " + now.tank().name()
                        : "liters, " + now.tank().name());
        side.redraw();
        behind.redraw();
        cards.show(now);
        if (other) {
            drawn = null;
            mapping.start(
                    task -> StrandedMap.of(now.body(), now.feed()),
                    m -> {
                        drawn = m;
                        map.redraw();
                    },
                    mapTitle::setText);
        } else {
            map.redraw();
        }
        Project project = session.shown().get().project();
        if (project != helped || !helpedTank.equals(now.tank().id())) {
            helped = project;
            helpedTank = now.tank().id();
            less.getChildren().setAll(Ui.label("Computing\u2026", "soft"));
            lessNow.setText("now " + units.fineVolume(now.predicted().volume()));
            helping.start(task -> LessLeft.of(project, now, task), this::less, why -> less.getChildren()
                    .setAll(Ui.wrapped(why, "wrong-text")));
        }
    }

    private void less(List<LessLeft.Row> rows) {
        less.getChildren().clear();
        if (rows.isEmpty()) {
            less.getChildren().add(Ui.wrapped("No single outlet or sump change reduces it.", "soft"));
        }
        for (LessLeft.Row r : rows.subList(0, Math.min(3, rows.size()))) {
            int n = less.getChildren().size();
            NotchBar bar = new NotchBar(46, 8);
            bar.show(TankFigures.ratio(r), TankFigures.verdict(r));
            Label figure = Ui.label(figures().leaves(r), "name");
            Button take = Ui.button("Try", "less-try-" + n, () -> session.apply(r.edit()), "chip");
            take.setAccessibleText("Try: " + r.title() + ", unusable " + figure.getText());
            figure.setMinWidth(Region.USE_PREF_SIZE);
            VBox words = new ColumnBox(
                    Ui.wrapped(r.title()),
                    Ui.wrapped("then " + r.after().predicted().attitude().label() + " governs", "soft"));
            HBox.setHgrow(words, Priority.ALWAYS);
            HBox row = new RowBox(8, words, bar, figure, take);
            row.setAlignment(Pos.CENTER_LEFT);
            row.getStyleClass().add("remedy");
            less.getChildren().add(row);
        }
    }

    private TankFigures figures() {
        return new TankFigures(answer, session.units().get());
    }

    private double contents() {
        return session.shown()
                .get()
                .condition()
                .contents()
                .getOrDefault(answer.tank().id(), 0.0);
    }

    private Picture section(TankSection.From from, double w, double h) {
        return answer == null
                ? new Picture(w, h, List.of())
                : TankSection.draw(
                        answer,
                        session.shown().get().condition().attitude(),
                        from,
                        figures().holds(contents()),
                        w,
                        h);
    }

    private Picture mapPicture(double w, double h) {
        if (answer == null || drawn == null) {
            return new Picture(w, h, List.of());
        }
        return StrandedPicture.draw(
                new StrandedPicture.Subject(
                        drawn,
                        answer,
                        session.shown().get().project().brief().envelope().corners(),
                        session.shown().get().condition().attitude(),
                        session.units().get()),
                w,
                h,
                measure);
    }

    private void drag(MouseEvent e) {
        map.requestFocus();
        double[] at = StrandedPicture.under(e.getX(), e.getY(), map.getWidth(), map.getHeight());
        look(Math.round(at[0] * SNAP) / SNAP, Math.round(at[1] * SNAP) / SNAP);
        e.consume();
    }

    private void nudge(KeyEvent e) {
        Attitude a = session.condition().attitude();
        double p = e.getCode() == KeyCode.UP ? 1 : e.getCode() == KeyCode.DOWN ? -1 : 0;
        double t = e.getCode() == KeyCode.RIGHT ? 1 : e.getCode() == KeyCode.LEFT ? -1 : 0;
        if (p != 0 || t != 0) {
            look(a.pitchDegrees() + p, a.tiltDegrees() + t);
            e.consume();
        }
    }

    private void look(double pitch, double tilt) {
        session.look(Attitude.ofDegrees(
                "Set by hand", Math.max(-60, Math.min(60, pitch)), Math.max(-60, Math.min(60, tilt))));
    }
}
