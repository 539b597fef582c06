package ration.desktop.variants;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import ration.answer.assess.Assessment;
import ration.answer.assess.Comparison;
import ration.answer.assess.Ledger;
import ration.answer.assess.TankAnswer;
import ration.answer.fault.FaultSum;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.Picture;
import ration.record.cost.Bill;
import ration.record.cost.CostList;
import ration.record.cost.LayoutParts;
import ration.record.project.Variant;

/** One layout from top to bottom: the ledger, what failures do, what differs, what can be done with it. */
final class VariantColumn {

    private static final double WIDTH = 366;
    /** Of the rest it is said how many there are. */
    private static final int TOLD = 7;

    private final UnitSystem units;
    private final Assessment built;
    private final CostList costs;
    private final Optional<Picture> drawing;

    /** @param drawing of the layout, on the ruler of all of them; empty while it is not drawn yet */
    VariantColumn(UnitSystem units, Assessment built, CostList costs, Optional<Picture> drawing) {
        this.units = units;
        this.built = built;
        this.costs = costs;
        this.drawing = drawing;
    }

    /** Size of a drawing in its column. */
    static final double DRAWN = 340;

    static final double HIGH = 236;

    private void drawing(VBox column, String name) {
        PicturePane pane = new PicturePane(
                column.getId() + "-drawing", (w, h) -> drawing.orElse(new Picture(w, h, List.of())), id -> {});
        pane.setAccessibleText("Drawing of " + name + ", heights over the engine inlet");
        pane.setMinSize(DRAWN, HIGH);
        pane.setPrefSize(DRAWN, HIGH);
        pane.setMaxSize(DRAWN, HIGH);
        column.getChildren().add(pane);
        pane.redraw();
    }

    /** What can be done with a variant. */
    interface Acts {
        void make();

        void rename(String other);

        void delete();
    }

    /** The layout of the document. */
    Node built(FaultSum faults) {
        VBox column = column("layout", built.project().name(), "the layout; what the others are compared with");
        drawing(column, built.project().name());
        ledger(column, built, Optional.empty());
        rest(column, built, faults, Optional.empty());
        return column;
    }

    /** One that is not solved yet: nothing is shown of it. */
    Node waiting(Variant v) {
        VBox column = column(key(v), v.name(), "solving; Not shown yet");
        drawing(column, v.name());
        return column;
    }

    Node of(VariantsPage.Solved s, Acts acts) {
        Comparison c = Comparison.of(built, s.as(), units);
        int differences = c.changes().size();
        VBox column = column(
                key(s.variant()),
                s.variant().name(),
                differences + (differences == 1 ? " difference" : " differences"));
        drawing(column, s.variant().name());
        ledger(column, s.as(), Optional.of(c));
        rest(column, s.as(), s.faults(), Optional.of(c));
        column.getChildren().add(actions(s.variant(), acts));
        return column;
    }

    private static String key(Variant v) {
        return v.name().toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
    }

    private static VBox column(String id, String name, String says) {
        VBox column = new ColumnBox(8, Ui.wrapped(name, "page-title"), Ui.wrapped(says, "soft"));
        column.setId("variant-" + id);
        column.getStyleClass().add("variant");
        column.setMinWidth(WIDTH);
        column.setPrefWidth(WIDTH);
        column.setMaxWidth(WIDTH);
        return column;
    }

    private void ledger(VBox column, Assessment a, Optional<Comparison> c) {
        List<Ledger.Entry> entries = Ledger.of(a, units).entries();
        List<Ledger.Entry> was = Ledger.of(built, units).entries();
        for (int i = 0; i < entries.size(); i++) {
            Ledger.Entry e = entries.get(i);
            Label verdict = Ui.label("", "verdict");
            Ui.verdict(verdict, e.verdict());
            NotchBar bar = new NotchBar(84, 7);
            bar.show(e.ratio(), e.verdict());
            boolean same = c.isPresent()
                    && e.figure().equals(was.get(i).figure())
                    && e.verdict() == was.get(i).verdict();
            HBox top = new RowBox(
                    8,
                    Ui.label(e.title(), "soft"),
                    Ui.label(e.figure(), "name"),
                    Ui.label(same ? "same" : "", "soft"),
                    Ui.spring(),
                    bar,
                    verdict);
            top.setAlignment(Pos.CENTER_LEFT);
            column.getChildren().add(new ColumnBox(0, top, Ui.wrapped(e.detail(), "soft")));
        }
    }

    private void rest(VBox column, Assessment a, FaultSum faults, Optional<Comparison> c) {
        double usable = a.tanks().stream().mapToDouble(TankAnswer::usable).sum();
        double before = built.tanks().stream().mapToDouble(TankAnswer::usable).sum();
        line(
                column,
                "Usable fuel",
                (a.unansweredTanks().isEmpty()
                                ? units.text(usable, Dimension.VOLUME)
                                : "Not shown: a tank could not be computed")
                        + (c.isPresent() && Math.abs(usable - before) > 1e-6
                                ? ", " + (usable > before ? "+" : "\u2212")
                                        + units.text(Math.abs(usable - before), Dimension.VOLUME)
                                : ""));
        line(
                column,
                "Failures",
                faults.asked()
                        ? faults.shorts() + " of " + faults.all() + " Fail, " + faults.notShown() + " Not shown"
                        : "not run");
        line(column, "Parts", parts(a, c.isPresent()));
        c.ifPresent(x -> {
            line(
                    column,
                    "Tests it ends",
                    x.ended().isEmpty()
                            ? "none that counts"
                            : String.join(
                                    "; ",
                                    x.ended().stream()
                                            .map(Comparison.Ended::title)
                                            .toList()));
            List<String> told = x.changes().size() <= TOLD
                    ? x.changes()
                    : Stream.concat(
                                    x.changes().subList(0, TOLD).stream(),
                                    Stream.of("and " + (x.changes().size() - TOLD) + " more"))
                            .toList();
            line(column, "Differs by", told.isEmpty() ? "nothing" : String.join("\n", told));
        });
    }

    /** Lines and parts by the list, and how much more or less than those of the layout. */
    private String parts(Assessment a, boolean compared) {
        Bill here = Bill.of(costs, LayoutParts.of(a.project().system()));
        Bill there = Bill.of(costs, LayoutParts.of(built.project().system()));
        List<String> more = new ArrayList<>();
        if (compared) {
            more(more, here.price() - there.price(), 0, "$", "");
            more(more, here.hours() - there.hours(), 1, "", " h");
            more(more, here.weightKg() - there.weightKg(), 1, "", " kg");
        }
        return LayoutParts.words(costs, a.project().system())
                + (more.isEmpty() ? "" : "; " + String.join(", ", more) + " beside the layout");
    }

    private static void more(List<String> all, double d, int places, String before, String behind) {
        String figure = UnitSystem.figure(Math.abs(d), places);
        if (!figure.equals(UnitSystem.figure(0, places))) {
            all.add((d < 0 ? "\u2212" : "+") + before + figure + behind);
        }
    }

    private static void line(VBox column, String title, String says) {
        Label head = Ui.label(title, "soft");
        head.setMinWidth(86);
        HBox row = new RowBox(8, head, Ui.wrapped(says));
        row.setAlignment(Pos.TOP_LEFT);
        column.getChildren().add(row);
    }

    private static Node actions(Variant v, Acts acts) {
        String id = key(v);
        Button make = Ui.button("Make this the layout", "variant-make-" + id, acts::make, "chip");
        make.setAccessibleText("Make " + v.name() + " the layout");
        TextField name = new TextField(v.name());
        name.setId("variant-name-" + id);
        name.setAccessibleText("Name of " + v.name());
        name.setPrefColumnCount(11);
        name.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ENTER) {
                acts.rename(name.getText());
                e.consume();
            }
        });
        Button delete = Ui.button("Delete", "variant-delete-" + id, acts::delete, "chip");
        delete.setAccessibleText("Delete " + v.name() + "; undo brings it back");
        HBox row = new RowBox(8, make, name, delete);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }
}
