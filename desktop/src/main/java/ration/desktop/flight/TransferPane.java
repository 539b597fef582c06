package ration.desktop.flight;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.layout.HBox;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Transfer;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.topology.Topology;
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

/** When each transfer pump runs; shown where there is one. */
final class TransferPane extends ColumnBox {

    private final Session session;
    private final BiConsumer<String, UnaryOperator<FlightPlan>> edit;
    private final Consumer<String> trouble;
    private Object shown = "";

    /**
     * @param edit changes the plan, under a name for undo
     * @param trouble told the sentence when something written cannot be read
     */
    TransferPane(Session session, BiConsumer<String, UnaryOperator<FlightPlan>> edit, Consumer<String> trouble) {
        super(6);
        this.session = session;
        this.edit = edit;
        this.trouble = trouble;
        setId("flight-transfers");
    }

    void show(Project project) {
        List<Pump> pumps = Topology.of(project.system()).transferPumps();
        List<Transfer> all = UsualFlight.meant(project).transfers();
        Object now = List.of(
                pumps.stream().map(p -> p.id() + " " + p.name()).toList(),
                all,
                session.units().get());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        setVisible(!pumps.isEmpty());
        setManaged(!pumps.isEmpty());
        getChildren().setAll(Ui.rule(), Ui.label("Transfer", "group-title"));
        for (Pump p : pumps) {
            boolean planned = false;
            for (int n = 0; n < all.size(); n++) {
                if (all.get(n).pump().equals(p.id())) {
                    getChildren().add(row(p, all.get(n), n));
                    planned = true;
                }
            }
            if (!planned) {
                getChildren().add(Ui.wrapped(p.name() + " runs for the whole flight.", "soft"));
            }
            getChildren().add(Ui.button("Add a transfer", "transfer-add-" + p.id(), () -> add(p), "chip"));
        }
        getChildren()
                .add(Ui.wrapped(
                        "Off by the clock, by the gauge of the tank it draws from, or when one tank is full or the"
                                + " other empty, whichever is first.",
                        "soft"));
    }

    private HBox row(Pump pump, Transfer t, int n) {
        String name = pump.name() + ", transfer " + (n + 1) + ": ";
        Unit volume = session.units().get().unit(Dimension.VOLUME);
        QuantityField<Double> at = new QuantityField<>(
                "transfer-at-" + n,
                name + "switched on at, hours and minutes",
                FlightTable::minutes,
                FlightTable::clock);
        at.update(t.begins());
        at.setPrefWidth(48);
        at.onTrouble(trouble);
        at.onValue(m -> change("Set time of a transfer", n, x -> x.withAt(Measured.of(m, Unit.MINUTE))));
        QuantityField<Optional<Quantity>> lasts = limit(
                "transfer-minutes-" + n,
                name + "minutes; blank = no limit",
                Unit.MINUTE,
                t.lasts(),
                0,
                q -> t.withLasts(q));
        lasts.onValue(
                q -> change("Set length of a transfer", n, x -> x.withLasts(q.map(v -> new Measured(v, "planned")))));
        QuantityField<Optional<Quantity>> amount = limit(
                "transfer-amount-" + n,
                name + "fuel to move, " + volume.symbol() + "; blank = until full or empty",
                volume,
                t.amount(),
                1,
                q -> t.withAmount(q));
        amount.onValue(
                q -> change("Set fuel of a transfer", n, x -> x.withAmount(q.map(v -> new Measured(v, "planned")))));
        var remove = Ui.button(
                "\u2715",
                "transfer-remove-" + n,
                () -> edit.accept("Remove a transfer", p -> transfers(p, n, was -> null)),
                "chip");
        remove.setAccessibleText("Remove transfer " + (n + 1));
        HBox box = new RowBox(
                4,
                Ui.whole(Ui.label("at", "soft")),
                at,
                Ui.whole(Ui.label("for", "soft")),
                lasts,
                Ui.whole(Ui.label("min or", "soft")),
                amount,
                Ui.whole(Ui.label(volume.symbol(), "soft")),
                remove);
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return box;
    }

    private QuantityField<Optional<Quantity>> limit(
            String id,
            String words,
            Unit unit,
            Optional<Measured> shownNow,
            int decimals,
            java.util.function.Function<Optional<Measured>, Transfer> with) {
        QuantityField<Optional<Quantity>> field = new QuantityField<>(
                id,
                words,
                text -> {
                    Optional<Quantity> q = text.isBlank() ? Optional.empty() : Optional.of(Quantity.parse(text, unit));
                    with.apply(q.map(v -> new Measured(v, "planned"))); // says what is wrong with it
                    return q;
                },
                q -> q.map(v -> UnitSystem.field(unit.fromSi(v.si()), unit, decimals))
                        .orElse(""));
        field.update(shownNow.map(Measured::quantity));
        field.setPromptText("\u2013");
        field.setPrefWidth(40);
        field.onTrouble(trouble);
        return field;
    }

    private void add(Item pump) {
        edit.accept("Add a transfer", p -> {
            List<Transfer> all = new ArrayList<>(p.transfers());
            double last = all.stream()
                    .filter(t -> t.pump().equals(pump.id()))
                    .mapToDouble(Transfer::begins)
                    .max()
                    .orElse(0);
            all.add(new Transfer(
                    pump.id(),
                    Measured.of(Math.min(last + 60, 2880), Unit.MINUTE),
                    Optional.empty(),
                    Optional.empty()));
            return p.withTransfers(all);
        });
    }

    private void change(String name, int n, UnaryOperator<Transfer> change) {
        edit.accept(name, p -> transfers(p, n, change));
    }

    /** @param change gives null for one that goes */
    private static FlightPlan transfers(FlightPlan p, int n, UnaryOperator<Transfer> change) {
        List<Transfer> all = new ArrayList<>(p.transfers());
        if (n < all.size()) {
            Transfer other = change.apply(all.remove(n));
            if (other != null) {
                all.add(n, other);
            }
        }
        return p.withTransfers(all);
    }
}
