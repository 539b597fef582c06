package ration.desktop.frame;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.fault.FaultSum;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;

/** The job in the order people work, and the unit switch. */
final class Rail extends ColumnBox {

    static final double WIDTH = 140;

    private final Session session;
    private final Map<Page, Button> rows = new LinkedHashMap<>();
    private final Map<Page, NotchBar> bars = new LinkedHashMap<>();

    Rail(Session session, Consumer<Page> go) {
        this.session = session;
        getStyleClass().add("rail");
        setPrefWidth(WIDTH);
        setMinWidth(WIDTH);
        for (Page page : Page.values()) {
            NotchBar bar = new NotchBar(24, 6);
            bars.put(page, bar);
            Button row = Ui.button("", "rail-" + page.name().toLowerCase(java.util.Locale.ROOT), () -> go.accept(page));
            HBox content = new RowBox(Ui.label(page.label()), Ui.spring(), bar);
            content.setAlignment(Pos.CENTER_LEFT);
            content.setPrefWidth(100);
            row.setGraphic(content);
            row.getStyleClass().setAll("rail-row");
            rows.put(page, row);
            if (page == Page.FLOW || page == Page.BUILD) {
                Region rule = Ui.rule();
                VBox.setMargin(rule, new Insets(6, 12, 6, 12));
                getChildren().add(rule);
            }
            getChildren().add(row);
        }
        Region gap = new Region();
        VBox.setVgrow(gap, Priority.ALWAYS);
        Region rule = Ui.rule();
        VBox.setMargin(rule, new Insets(0, 12, 8, 12));
        HBox switches = unitSwitch();
        VBox.setMargin(switches, new Insets(0, 12, 0, 12));
        getChildren().addAll(gap, rule, switches);
        session.shown().addListener((o, was, now) -> update());
        session.faults().addListener((o, was, now) -> update());
        session.hidden().addListener((o, was, now) -> update());
        session.flight().addListener((o, was, now) -> update());
        update();
    }

    private HBox unitSwitch() {
        HBox box = new RowBox();
        ToggleGroup group = new ToggleGroup();
        for (UnitSystem system : UnitSystem.values()) {
            ToggleButton button = new ToggleButton(system.label());
            button.setId("units-" + system.name().toLowerCase(java.util.Locale.ROOT));
            button.setAccessibleText("Show results in " + system.label());
            button.setToggleGroup(group);
            button.setSelected(session.units().get() == system);
            session.units().addListener((o, was, now) -> button.setSelected(now == system));
            button.setOnAction(e -> {
                button.setSelected(true);
                session.units().set(system);
            });
            button.getStyleClass().add("chip");
            HBox.setHgrow(button, Priority.ALWAYS);
            button.setMaxWidth(Double.MAX_VALUE);
            box.getChildren().add(button);
        }
        return box;
    }

    void current(Page page) {
        rows.forEach((p, row) -> {
            row.getStyleClass().remove("current");
            if (p == page) {
                row.getStyleClass().add("current");
            }
        });
    }

    /** In the colors that hold now. */
    void drawAnew() {
        update();
    }

    private void update() {
        RailState state = RailState.of(
                session.shown().get().assessment(),
                FaultSum.of(session.faults().get())
                        .with(
                                session.hidden().get(),
                                session.shown().get().project().upkeep()),
                Optional.ofNullable(session.flight().get()),
                LocalDate.now());
        rows.forEach((page, row) -> {
            NotchBar bar = bars.get(page);
            RailState.Bar is = state.bars().get(page);
            bar.setVisible(is != null);
            if (is != null) {
                bar.show(is.ratio(), is.verdict());
            }
            row.setAccessibleText(is == null ? page.label() : page.label() + ", " + bar.getAccessibleText());
        });
    }
}
