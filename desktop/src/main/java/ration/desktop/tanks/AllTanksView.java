package ration.desktop.tanks;

import java.util.Optional;
import java.util.OptionalDouble;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import ration.answer.ask.FuelTable;
import ration.answer.assess.Assessment;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;

/** What every tank holds and leaves, side by side, and what is likely left below the placards. */
final class AllTanksView extends Scroll {

    private static final String[] HEADS = {
        "Tank", "Full", "Usable", "Placard", "Manufacturer", "Drained", "Computed", "Governs"
    };

    private final Session session;
    private final ColumnBox all = new ColumnBox(12);
    private final RefuelBox refuel;

    AllTanksView(Session session) {
        this.session = session;
        refuel = new RefuelBox(session);
        setId("all-tanks");
        setFitToWidth(true);
        all.setPadding(new Insets(16));
        setContent(all);
    }

    void show(Assessment a) {
        UnitSystem units = session.units().get();
        FuelTable table = FuelTable.of(a);
        GridPane grid = new GridPane();
        grid.setHgap(26);
        grid.setVgap(8);
        for (int c = 0; c < HEADS.length; c++) {
            grid.add(Ui.label(HEADS[c], "soft"), c, 0);
        }
        int n = 1;
        for (FuelTable.Row r : table.tanks()) {
            boolean over = r.governs() > r.placard() + 1e-9;
            grid.addRow(
                    n++,
                    Ui.label(r.name(), "bold"),
                    figure(units, r.full()),
                    figure(units, r.usable()),
                    Ui.label(units.fineVolume(r.placard()), over ? "wrong-text" : "figure"),
                    figure(units, r.manufacturer()),
                    figure(units, r.drained()),
                    figure(units, r.computed()),
                    Ui.label(units.fineVolume(r.governs()), "bold"));
        }
        for (FuelTable.Head h : table.headers()) {
            grid.addRow(n++, Ui.label(h.name(), "bold"), figure(units, h.capacity()), Ui.label("in no total", "soft"));
        }
        all.getChildren()
                .setAll(
                        Ui.label("All tanks", "page-title"),
                        Ui.wrapped(
                                "Unusable fuel by placard, by manufacturer, drained and computed; the largest"
                                        + " of the last"
                                        + " three governs. Usable is what it, or a larger placard, leaves.",
                                "soft"),
                        grid,
                        total(table, units),
                        Ui.wrapped(below(table, a.project().brief().demand(), units), "soft"),
                        Ui.rule(),
                        refuel);
        refuel.show(a);
    }

    private static Label total(FuelTable table, UnitSystem units) {
        OptionalDouble usable = table.usable();
        Label label = Ui.wrapped(
                usable.isPresent()
                        ? "Usable in all tanks: " + units.text(usable.getAsDouble(), Dimension.VOLUME) + "."
                        : "Usable in all tanks: Not shown"
                                + (table.missing().isEmpty()
                                        ? "."
                                        : " while the shape of " + String.join(", ", table.missing())
                                                + " does not close."),
                "sentence");
        label.setId("all-usable");
        return label;
    }

    private static String below(FuelTable table, double demand, UnitSystem units) {
        Optional<FuelTable.Below> below = table.below(demand);
        return below.map(b -> "Likely left below the placards in level flight, placard less drained: "
                        + units.fineVolume(b.volume()) + ", " + UnitSystem.figure(b.seconds() / 60, 0)
                        + " min at takeoff demand. Never to be planned on: a static drain is no unusable fuel.")
                .orElse("What is likely left below the placards: Not shown until a drain test counts.");
    }

    private static Label figure(UnitSystem units, double volume) {
        return Ui.label(units.fineVolume(volume), "figure");
    }

    private static Label figure(UnitSystem units, OptionalDouble volume) {
        return volume.isPresent() ? figure(units, volume.getAsDouble()) : Ui.label("not entered", "soft");
    }
}
