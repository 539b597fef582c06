package ration.desktop.tanks;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleSupplier;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import ration.aircraft.model.Item;
import ration.answer.ask.Loading;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.base.quantity.Dimension;
import ration.base.quantity.Quantity;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;

/** What to put into each tank for a total that is wanted: what is aboard is entered, nothing of it is kept. */
final class RefuelBox extends ColumnBox {

    private final Session session;
    private final GridPane grid = new GridPane();
    private final Label said = Ui.wrapped("", "sentence");
    private final QuantityField<Double> wanted =
            field("refuel-wanted", "Total wanted in all tanks", () -> Double.MAX_VALUE);
    private final Map<String, Row> rows = new LinkedHashMap<>();
    private final Map<String, Double> entered = new LinkedHashMap<>();
    private double total = Double.NaN;
    private List<TankAnswer> tanks = List.of();
    private String missing = "";

    /** What is shown of a tank. */
    private record Row(QuantityField<Double> aboard, Label add, Label then) {}

    RefuelBox(Session session) {
        super(8);
        this.session = session;
        setId("refuel");
        grid.setHgap(16);
        grid.setVgap(6);
        said.setId("refuel-said");
        said.visibleProperty().bind(said.textProperty().isNotEmpty());
        said.managedProperty().bind(said.visibleProperty());
        wanted.onValue(v -> {
            total = v;
            tell();
        });
        getChildren()
                .setAll(
                        Ui.label("Refuel", "group-title"),
                        Ui.wrapped(
                                "Enter what is aboard and the total wanted: the tanks come as near to alike as they"
                                        + " can. Bond aircraft and nozzle, no ignition source, extinguisher at hand.",
                                "soft"),
                        new RowBox(8, Ui.label("Total wanted"), wanted),
                        grid,
                        said);
    }

    /** @param most it may be, m3 */
    private QuantityField<Double> field(String id, String words, DoubleSupplier most) {
        QuantityField<Double> field = new QuantityField<>(
                id,
                words,
                text -> {
                    UnitSystem units = session.units().get();
                    Quantity q = Quantity.parse(text, units.unit(Dimension.VOLUME));
                    if (q.unit().dimension() != Dimension.VOLUME || !(q.si() >= 0)) {
                        throw new IllegalArgumentException("Enter a volume of 0 or more, such as 12.5 gal.");
                    }
                    if (q.si() > most.getAsDouble() + 1e-6) {
                        throw new IllegalArgumentException(
                                words + ": at most " + units.fineVolume(most.getAsDouble()) + ".");
                    }
                    return q.si();
                },
                v -> session.units().get().fineVolume(v));
        field.onTrouble(said::setText);
        field.setPrefWidth(100);
        return field;
    }

    private double full(String id) {
        return tanks.stream()
                .filter(t -> t.tank().id().equals(id))
                .mapToDouble(TankAnswer::full)
                .findFirst()
                .orElse(0);
    }

    void show(Assessment a) {
        boolean same = names(a.tanks()).equals(names(tanks));
        tanks = a.tanks();
        missing = a.project().system().tanks().stream()
                .filter(t -> a.tank(t.id()).isEmpty())
                .map(Item::name)
                .collect(Collectors.joining(", "));
        if (!same) {
            rows();
        }
        String unit = session.units().get().unit(Dimension.VOLUME).symbol();
        wanted.setPromptText(unit);
        rows.values().forEach(r -> r.aboard.setPromptText(unit));
        wanted.update(Double.isNaN(total) ? null : total);
        tell();
    }

    private static List<String> names(List<TankAnswer> tanks) {
        return tanks.stream().map(t -> t.tank().id() + " " + t.tank().name()).toList();
    }

    private void rows() {
        rows.clear();
        grid.getChildren().clear();
        grid.addRow(
                0,
                Ui.label("Tank", "soft"),
                Ui.label("Aboard", "soft"),
                Ui.label("Add", "soft"),
                Ui.label("Then", "soft"));
        for (TankAnswer t : tanks) {
            String id = t.tank().id();
            Row row = new Row(
                    field("refuel-" + id, "Aboard in " + t.tank().name(), () -> full(id)),
                    Ui.label("", "figure"),
                    Ui.label("", "figure"));
            row.aboard.onValue(v -> {
                entered.put(id, v);
                tell();
            });
            row.add.setId("refuel-add-" + id);
            rows.put(id, row);
            grid.addRow(rows.size(), Ui.label(t.tank().name(), "bold"), row.aboard, row.add, row.then);
        }
    }

    private void tell() {
        UnitSystem units = session.units().get();
        boolean asked = !Double.isNaN(total);
        Loading load = Loading.of(
                tanks.stream()
                        .map(t -> new Loading.Aboard(
                                t.tank().id(),
                                t.tank().name(),
                                Math.min(entered.getOrDefault(t.tank().id(), 0.0), t.full()),
                                t.full()))
                        .toList(),
                asked ? total : 0);
        for (Loading.Load l : load.tanks()) {
            Row row = rows.get(l.id());
            row.aboard.update(entered.get(l.id()));
            row.add.setText(asked ? units.fineVolume(l.add()) : "");
            row.then.setText(asked ? units.fineVolume(l.then()) : "");
        }
        String over = !asked || load.over() == 0
                ? ""
                : load.over() > 0
                        ? units.fineVolume(load.over()) + " does not fit. "
                        : units.fineVolume(-load.over()) + " more is aboard than that. ";
        said.setText(over + (missing.isEmpty() ? "" : "Not counted, its shape does not close: " + missing + "."));
    }
}
