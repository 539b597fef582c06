package ration.desktop.flight;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Switching;
import ration.aircraft.model.Selector;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.project.Project;

/** When to switch to what: the figures of the rule, the timetable that came of it, steps by hand. */
final class SwitchingPane extends ColumnBox {

    private final Session session;
    private final BiConsumer<String, UnaryOperator<FlightPlan>> edit;
    private final Consumer<String> trouble;
    private final VBox entries = new ColumnBox(6);
    private final VBox times = new ColumnBox(6);
    private Object shown = "";
    private Object flown = "";

    /**
     * @param edit changes the plan, under a name for undo
     * @param trouble told the sentence when something written cannot be read
     */
    SwitchingPane(Session session, BiConsumer<String, UnaryOperator<FlightPlan>> edit, Consumer<String> trouble) {
        super(6);
        this.session = session;
        this.edit = edit;
        this.trouble = trouble;
        getChildren().setAll(entries, times);
    }

    private <T> QuantityField<T> told(QuantityField<T> field) {
        field.onTrouble(trouble);
        return field;
    }

    private String symbol() {
        return session.units().get().unit(Dimension.VOLUME).symbol();
    }

    /**
     * Shows the plan, and when it was switched. What can be entered is made anew only with the plan: a flight that is
     * flown to its end while somebody writes takes nothing away.
     *
     * @param f as it was flown; null where nothing is known of it
     */
    void show(Project project, Flight f) {
        FlightPlan plan = UsualFlight.meant(project);
        Object now = List.of(
                plan.switching(),
                plan.limit(),
                session.units().get(),
                project.system().selectors());
        if (!now.equals(shown)) {
            shown = now;
            enter(project, plan);
        }
        Object then = List.of(plan.switching().mode(), f == null ? "" : f);
        if (!then.equals(flown)) {
            flown = then;
            tell(plan.switching(), f);
        }
    }

    private void enter(Project project, FlightPlan plan) {
        boolean any = !project.system().selectors().isEmpty();
        setVisible(any);
        setManaged(any);
        entries.getChildren().clear();
        if (!any) {
            return;
        }
        Switching s = plan.switching();
        entries.getChildren().add(Ui.label("Switching", "group-title"));
        switch (s.mode()) {
            case CLOCK ->
                entries.getChildren()
                        .add(asked(
                                "every",
                                quantity(
                                        "flight-every",
                                        "Minutes between switches",
                                        Unit.MINUTE,
                                        s.every(),
                                        m -> edit.accept(
                                                "Set time between switches",
                                                p -> p.with(p.switching()
                                                        .withEvery(p.switching()
                                                                .every()
                                                                .with(m))))),
                                "min"));
            case QUANTITY ->
                entries.getChildren()
                        .add(asked(
                                "after",
                                quantity(
                                        "flight-portion",
                                        "Fuel from one tank before switching",
                                        session.units().get().unit(Dimension.VOLUME),
                                        s.portion(),
                                        m -> edit.accept(
                                                "Set portion of a tank",
                                                p -> p.with(p.switching()
                                                        .withPortion(p.switching()
                                                                .portion()
                                                                .with(m))))),
                                symbol() + " from one tank"));
            case BALANCE ->
                entries.getChildren()
                        .add(asked(
                                "maximum imbalance",
                                quantity(
                                        "flight-limit",
                                        "Maximum imbalance, left to right",
                                        session.units().get().unit(Dimension.VOLUME),
                                        plan.limit(),
                                        m -> edit.accept(
                                                "Set imbalance limit",
                                                p -> p.withLimit(p.limit().with(m)))),
                                symbol()));
            case HAND -> hand(project, s);
            case BOTH -> {
                // one setting, nothing to say
            }
        }
    }

    private void tell(Switching s, Flight f) {
        times.getChildren().clear();
        if (f != null) {
            FlowPane cells = new FlowPane(4, 4);
            cells.setId("flight-timetable");
            f.switches().stream()
                    .filter(e -> e.minutes() <= f.landing().minutes())
                    .forEach(e -> cells.getChildren()
                            .add(Ui.label(FlightTable.clock(e.minutes()) + "  " + e.words(), "time-cell")));
            cells.getChildren().add(Ui.label(FlightTable.clock(f.landing().minutes()) + "  land", "time-cell"));
            times.getChildren().add(cells);
            if (s.mode() != Switching.Mode.HAND && f.switches().size() > 1) {
                times.getChildren().add(Ui.button("Edit as manual plan", "flight-take", () -> take(f), "chip"));
            }
        }
    }

    private HBox asked(String before, Node field, String after) {
        HBox box = new RowBox(6, Ui.label(before, "soft"), field, Ui.label(after, "soft"));
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return box;
    }

    private QuantityField<Quantity> quantity(
            String id, String words, Unit unit, Measured shown, Consumer<Quantity> set) {
        QuantityField<Quantity> field = new QuantityField<>(
                id,
                words,
                text -> {
                    Quantity q = Quantity.parse(text, unit);
                    if (!(q.si() >= (unit.dimension() == Dimension.TIME ? 60 : 1e-4))) {
                        throw new IllegalArgumentException("Minimum 1 min, or 0.03 gal (0.1 L).");
                    }
                    return q;
                },
                q -> UnitSystem.field(unit.fromSi(q.si()), unit, unit.dimension() == Dimension.TIME ? 0 : 1));
        field.update(shown.quantity());
        field.setPrefWidth(52);
        return told(field).onValue(set);
    }

    private void take(Flight f) {
        List<Switching.Step> steps = f.switches().stream()
                .filter(e -> e.minutes() < f.landing().minutes())
                .map(e -> new Switching.Step(
                        Measured.of(Math.round(e.minutes()), Unit.MINUTE),
                        f.at(e.minutes()).positions()))
                .toList();
        edit.accept("Switch by hand", p -> p.with(p.switching().withSteps(steps).with(Switching.Mode.HAND)));
    }

    private void hand(Project project, Switching s) {
        for (int i = 0; i < s.steps().size(); i++) {
            int n = i;
            Switching.Step step = s.steps().get(i);
            HBox row = new RowBox(6, quantityOf(step, n));
            project.system().selectors().forEach(sel -> row.getChildren().add(position(sel, step, n)));
            row.getChildren()
                    .add(Ui.button(
                            "\u2715",
                            "step-remove-" + n,
                            () -> edit.accept("Remove a switch", p -> steps(p, n, was -> null)),
                            "chip"));
            row.getChildren().get(row.getChildren().size() - 1).setAccessibleText("Remove switch " + (n + 1));
            row.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
            entries.getChildren().add(row);
        }
        entries.getChildren()
                .add(Ui.button(
                        "Add a switch",
                        "step-add",
                        () -> edit.accept("Add a switch", p -> {
                            List<Switching.Step> all =
                                    new ArrayList<>(p.switching().steps());
                            double last = all.isEmpty()
                                    ? -30
                                    : all.get(all.size() - 1).minutes();
                            Map<String, String> first = new HashMap<>();
                            project.system()
                                    .selectors()
                                    .forEach(sel -> first.put(
                                            sel.id(), sel.positions().get(0).name()));
                            all.add(new Switching.Step(Measured.of(Math.max(0, last + 30), Unit.MINUTE), first));
                            return p.with(p.switching().withSteps(all));
                        }),
                        "chip"));
    }

    /** @param change gives null for a step that goes */
    private static FlightPlan steps(FlightPlan p, int n, UnaryOperator<Switching.Step> change) {
        List<Switching.Step> all = new ArrayList<>(p.switching().steps());
        if (n < all.size()) {
            Switching.Step other = change.apply(all.remove(n));
            if (other != null) {
                all.add(n, other);
            }
        }
        return p.with(p.switching().withSteps(all));
    }

    private QuantityField<Double> quantityOf(Switching.Step step, int n) {
        QuantityField<Double> field = new QuantityField<>(
                "step-at-" + n,
                "Time of switch " + (n + 1) + ", hours and minutes",
                FlightTable::minutes,
                FlightTable::clock);
        field.update(step.minutes());
        field.setPrefWidth(60);
        return told(field)
                .onValue(m -> edit.accept(
                        "Set time of a switch",
                        p -> steps(p, n, was -> new Switching.Step(Measured.of(m, Unit.MINUTE), was.positions()))));
    }

    private ChoiceBox<String> position(Selector sel, Switching.Step step, int n) {
        ChoiceBox<String> box = new ChoiceBox<>();
        sel.positions().stream().filter(p -> !p.off()).forEach(p -> box.getItems()
                .add(p.name()));
        box.setValue(step.positions().get(sel.id()));
        box.setId("step-" + sel.id() + "-" + n);
        box.setAccessibleText(sel.name() + " at switch " + (n + 1));
        box.setOnAction(e -> edit.accept(
                "Set position of a switch",
                p -> steps(p, n, was -> {
                    Map<String, String> to = new HashMap<>(was.positions());
                    to.put(sel.id(), box.getValue());
                    return new Switching.Step(was.at(), to);
                })));
        return box;
    }
}
