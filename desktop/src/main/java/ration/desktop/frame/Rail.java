package ration.desktop.frame;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import ration.assess.Assessment;
import ration.check.Finding;
import ration.check.Verdict;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.drawdown.Flight;
import ration.fault.FaultSum;
import ration.upkeep.Due;
import ration.project.Unsaid;
import ration.quantity.UnitSystem;

/** The job in the order people work, and the unit switch. */
final class Rail extends VBox {

    private final Session session;
    private final Map<Page, Button> rows = new LinkedHashMap<>();
    private final Map<Page, NotchBar> bars = new LinkedHashMap<>();

    Rail(Session session, Consumer<Page> go) {
        this.session = session;
        getStyleClass().add("rail");
        setPrefWidth(132);
        setMinWidth(132);
        for (Page page : Page.values()) {
            NotchBar bar = new NotchBar(24, 6);
            bars.put(page, bar);
            Button row = Ui.button("", "rail-" + page.name().toLowerCase(java.util.Locale.ROOT), () -> go.accept(page));
            HBox content = new HBox(Ui.label(page.label()), Ui.spring(), bar);
            content.setAlignment(Pos.CENTER_LEFT);
            content.setPrefWidth(100);
            row.setGraphic(content);
            row.getStyleClass().setAll("rail-row");
            rows.put(page, row);
            if (page == Page.FLOW || page == Page.HANGAR) {
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
        session.flight().addListener((o, was, now) -> update());
        update();
    }

    private HBox unitSwitch() {
        HBox box = new HBox();
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

    private void update() {
        Assessment a = session.shown().get().assessment();
        boolean demand = a.project().brief().demand() > 0 && Unsaid.of(a.project()).all().isEmpty();
        bars.get(Page.BRIEF).show(demand ? Finding.MET : Finding.MISSED, demand ? Verdict.HOLDS : Verdict.NOT_SHOWN);
        for (Page page : Page.values()) {
            bars.get(page).setVisible(page != Page.FIND);
            if (page != Page.BRIEF) {
                bars(a, page, page::concerns);
            }
        }
        faults();
        flight();
        upkeep();
        rows.forEach((page, row) -> row.setAccessibleText(page == Page.FIND ? page.label() : page.label() + ", " + bars.get(page)
                .getAccessibleText()));
    }

    /** Not shown until they were worked out; then the worst of them, the bar the share that is not open. */
    private void faults() {
        FaultSum sum = FaultSum.of(session.faults().get());
        bars.get(Page.FAULTS).show(sum.ratio(), sum.worst());
    }

    /** The worst of the parts today; not shown while none is entered. */
    private void upkeep() {
        java.util.List<Due> due = Due.of(session.shown().get().project().upkeep(), java.time.LocalDate.now());
        Verdict worst = due.isEmpty() ? Verdict.NOT_SHOWN : due.get(0).verdict();
        bars.get(Page.UPKEEP).show(worst == Verdict.NOT_SHOWN ? Finding.MISSED : worst == Verdict.SHORT ? 0.5 : Finding.MET, worst);
    }

    /** Not shown until it was flown. */
    private void flight() {
        Flight f = session.flight().get();
        boolean lacks = f != null && f.verdict() == Verdict.SHORT;
        bars.get(Page.FLIGHT).show(f == null ? Finding.MISSED : lacks ? 0.5 : Finding.MET, f == null ? Verdict.NOT_SHOWN : f.verdict());
    }

    /** The worst of some findings; a page on which nothing was found is not shown, but a layout with nothing wrong in it. */
    private void bars(Assessment a, Page page, java.util.function.Predicate<Finding> which) {
        a.findings().stream().filter(which).findFirst().ifPresentOrElse(
                worst -> bars.get(page).show(worst.ratio(), worst.verdict()),
                () -> {
                    boolean sound = page == Page.LAYOUT && !a.blocked() && a.problems().isEmpty();
                    bars.get(page).show(sound ? Finding.MET : Finding.MISSED, sound ? Verdict.HOLDS : Verdict.NOT_SHOWN);
                });
    }
}
