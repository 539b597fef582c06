package ration.desktop.tanks;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Problem;
import ration.aircraft.model.Tank;
import ration.aircraft.model.TankShape;
import ration.aircraft.model.Validation;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.desktop.control.Chips;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Sheet;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.publish.drawing.Picture;
import ration.publish.drawing.ShapeViews;
import ration.record.project.Edit;
import ration.record.project.ItemEdits;
import ration.record.project.ItemFigures;
import ration.record.project.SectionTable;
import ration.record.project.ShapePattern;
import ration.record.project.ShapeSource;

/**
 * The shape of a tank: three views, true as points are typed; its figures, its table of points, patterns to start from.
 */
final class ShapeView extends RowBox {

    private static final String SECTIONS = "Enter sections";

    private final Session session;
    private final PicturePane views;
    private final Label trouble = Ui.trouble("shape-trouble");
    private final Label size = Ui.label("", "soft");
    private final VBox right = new ColumnBox(8);
    private final Sheet<SectionTable.Row> sheet;
    private final GridPane figures = new GridPane();
    private final Chips offers = new Chips("shape-offer-");
    private final VBox patternBox = new ColumnBox(6);
    private final List<QuantityField<Quantity>> fields = new ArrayList<>();
    private final TextField source = new TextField();
    private List<String> structure = List.of();
    private Tank tank;

    ShapeView(Session session) {
        this.session = session;
        views = new PicturePane(
                "shape-views",
                (w, h) -> tank == null
                        ? new Picture(w, h, List.of())
                        : ShapeViews.draw(
                                tank, marked().orElse(null), session.units().get(), w, h),
                id -> {});
        sheet = new Sheet<>(
                "section-sheet",
                List.of(
                        Sheet.Column.writing(
                                "Section at", 92, r -> r.at().quantity().shown()),
                        Sheet.Column.writing(
                                "Point at", 92, r -> r.across().quantity().shown()),
                        Sheet.Column.writing(
                                "Water line", 92, r -> r.waterLine().quantity().shown())));
        sheet.onWrite(this::write).onPaste((r, c) -> paste());
        sheet.setAccessibleText("Points of the sections");
        source.setId("shape-source");
        source.getStyleClass().add("card-field");
        source.setPrefWidth(96);
        source.setPromptText("such as tape");
        source.setAccessibleText("How the corners were measured");
        source.setOnAction(e -> say());
        source.focusedProperty().addListener((o, was, is) -> {
            if (!is && tank != null) {
                say();
            }
        });
        sheet.onMove(() -> {
            if (tank != null) {
                views.redraw();
            }
        });
        sheet.setPrefHeight(280);
        figures.setHgap(8);
        figures.setVgap(2);
        right.getStyleClass().add("card-body");
        ScrollPane scroll = new Scroll(right);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("card");
        Ui.wide(scroll, 380, 320);
        VBox.setVgrow(views, Priority.ALWAYS);
        VBox left = new ColumnBox(6, size, trouble, views);
        left.getStyleClass().add("tank-map");
        HBox.setHgrow(left, Priority.ALWAYS);
        getChildren().addAll(left, scroll);
    }

    private Optional<TankShape.Sections> sections() {
        return tank.shape().only(TankShape.Sections.class);
    }

    private Optional<Point3> marked() {
        int row = sheet.row();
        if (sections().isEmpty() || row < 0 || row >= sheet.getItems().size()) {
            return Optional.empty();
        }
        SectionTable.Row r = sheet.getItems().get(row);
        return Optional.of(
                sections().get().along() == TankShape.Along.BUTT_LINE
                        ? new Point3(r.across().si(), r.at().si(), r.waterLine().si())
                        : new Point3(r.at().si(), r.across().si(), r.waterLine().si()));
    }

    void show(Tank now) {
        boolean other = tank == null || !tank.id().equals(now.id());
        tank = now;
        if (other) {
            patternBox.getChildren().clear();
            trouble.setText("");
        }
        FuelSystem system = session.shown().get().project().system();
        List<ItemFigures.Figure> all = ItemFigures.of(tank, system);
        List<ItemEdits.Offer> edits = ItemEdits.of(system, tank.id());
        List<String> wanted =
                new ArrayList<>(List.of(tank.id(), tank.shape().getClass().getName()));
        all.forEach(f -> wanted.add(f.key() + "|" + f.label()));
        if (!wanted.equals(structure)) {
            structure = wanted;
            build(all);
        }
        for (int i = 0; i < fields.size() && i < all.size(); i++) {
            fields.get(i).update(all.get(i).value().quantity());
        }
        if (!source.isFocused() || other) {
            source.setText(ShapeSource.of(now).orElse(""));
        }
        sections().ifPresent(s -> sheet.show(SectionTable.rows(s)));
        Map<String, Runnable> chips = new LinkedHashMap<>();
        edits.forEach(o -> chips.put(
                o.label(), () -> session.apply(Edit.of(o.label() + ", " + now.name(), p -> p.with(o.on(p.system()))))));
        if (tank.shape().only(TankShape.Cylinder.class).isEmpty() && sections().isEmpty()) {
            chips.put(SECTIONS, () -> reshape("Enter sections of ", t -> t.withShape(SectionTable.of(t.shape()))));
        }
        offers.show(chips);
        try {
            size.setText(session.units().get().text(tank.solid().volume(), Dimension.VOLUME) + " inside");
        } catch (IllegalArgumentException e) {
            size.setText("");
        }
        Validation.of(system).stream()
                .filter(p -> p.item().equals(tank.id()) && p.field().equals("Shape"))
                .findFirst()
                .map(Problem::message)
                .ifPresent(trouble::setText);
        views.redraw();
    }

    private void build(List<ItemFigures.Figure> all) {
        right.getChildren().clear();
        HBox patterns = new RowBox(
                6,
                Ui.label("Shape", "page-title"),
                Ui.spring(),
                Ui.button("Choose a shape\u2026", "shape-patterns", this::patterns, "chip"));
        patterns.setAlignment(Pos.CENTER_LEFT);
        right.getChildren().addAll(patterns, patternBox);
        if (sections().isPresent()) {
            HBox tools = new RowBox(
                    3,
                    Ui.button(
                            "Add point",
                            "section-add-point",
                            () -> table("Add point", SectionTable::withPointAfter),
                            "chip"),
                    Ui.button(
                            "Remove point",
                            "section-remove-point",
                            () -> table("Remove point", SectionTable::without),
                            "chip"),
                    Ui.button(
                            "Add section",
                            "section-add",
                            () -> table("Add section", (s, r) -> SectionTable.withSectionAfter(s, r.section())),
                            "chip"),
                    Ui.button("Paste table", "section-paste", this::paste, "chip"));
            right.getChildren()
                    .addAll(
                            sheet,
                            tools,
                            Ui.wrapped(
                                    "One row per point, in order around its section. Ctrl+V pastes three"
                                            + " columns: section, "
                                            + (sections().get().along() == TankShape.Along.BUTT_LINE
                                                    ? "station"
                                                    : "butt line")
                                            + ", water line.",
                                    "soft"));
        }
        figures.getChildren().clear();
        fields.clear();
        for (ItemFigures.Figure f : all) {
            QuantityField<Quantity> field = new QuantityField<>(
                    "shape-field-" + fields.size(), f.label(), t -> Quantity.parse(t, f.unit()), Quantity::shown);
            field.getStyleClass().add("card-field");
            field.setPrefWidth(96);
            int at = fields.size();
            String id = tank.id();
            field.onTrouble(trouble::setText).onValue(q -> set(id, f, q));
            fields.add(field);
            Label label = Ui.label(f.label());
            GridPane.setHgrow(label, Priority.ALWAYS);
            label.setMaxWidth(Double.MAX_VALUE);
            label.setLabelFor(field);
            figures.addRow(at, label, field);
        }
        Label how = Ui.label("Measured with");
        how.setLabelFor(source);
        GridPane.setHgrow(how, Priority.ALWAYS);
        how.setMaxWidth(Double.MAX_VALUE);
        figures.addRow(all.size(), how, source);
        right.getChildren().addAll(Ui.rule(), figures, Ui.rule(), offers);
    }

    /** One saying for all figures of the shape. */
    private void say() {
        String by = source.getText().strip();
        if (!by.isEmpty() && ShapeSource.of(tank).filter(by::equals).isEmpty()) {
            String id = tank.id();
            session.apply(Edit.of(
                    "Source of the corners of " + tank.name(), p -> p.with(ShapeSource.said(p.system(), id, by))));
        }
    }

    private void set(String id, ItemFigures.Figure figure, Quantity q) {
        session.apply(Edit.of(
                "Set " + figure.label().toLowerCase(java.util.Locale.ROOT) + " of " + tank.name(), p -> p.system()
                        .item(id)
                        .flatMap(i -> ItemFigures.of(i, p.system()).stream()
                                .filter(f -> f.key().equals(figure.key()))
                                .findFirst())
                        .map(f -> p.with(f.set().apply(f.value().with(q)).apply(p.system())))
                        .orElse(p)));
    }

    private boolean write(SectionTable.Row row, int column, String text) {
        try {
            Quantity q = Quantity.parse(text, Unit.INCH);
            trouble.setText("");
            SectionTable.with(sections().orElseThrow(), row, column, q);
            resection("Set point of ", s -> SectionTable.with(s, row, column, q));
            return true;
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage());
            return false;
        }
    }

    private void table(
            String name,
            java.util.function.BiFunction<TankShape.Sections, SectionTable.Row, TankShape.Sections> change) {
        int row = Math.max(0, sheet.row());
        if (row < sheet.getItems().size()) {
            SectionTable.Row at = sheet.getItems().get(row);
            resection(name + " of ", s -> change.apply(s, at));
        }
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text == null || text.isBlank()) {
            trouble.setText("There is nothing to paste.");
            return;
        }
        try {
            TankShape.Sections pasted = SectionTable.parse(
                    text, sections().map(TankShape.Sections::along).orElse(TankShape.Along.BUTT_LINE));
            trouble.setText("");
            reshape("Paste sections of ", t -> ShapePattern.reshaped(t, pasted));
        } catch (IllegalArgumentException e) {
            trouble.setText(e.getMessage() + " Nothing was changed.");
        }
    }

    private void reshape(String name, UnaryOperator<Tank> change) {
        session.apply(Edit.onItem(name + tank.name(), tank.id(), Tank.class, change));
    }

    private void resection(String name, UnaryOperator<TankShape.Sections> change) {
        reshape(name, t -> t.shape()
                .only(TankShape.Sections.class)
                .map(s -> t.withShape(change.apply(s)))
                .orElse(t));
    }

    private void patterns() {
        FlowPane choices = new FlowPane(3, 3);
        for (ShapePattern p : ShapePattern.values()) {
            choices.getChildren()
                    .add(Ui.button(
                            p.label(),
                            "pattern-"
                                    + p.name()
                                            .toLowerCase(java.util.Locale.ROOT)
                                            .replace('_', '-'),
                            () -> measures(p),
                            "chip"));
        }
        patternBox
                .getChildren()
                .setAll(Ui.wrapped("Choose the closest shape. You enter its dimensions next.", "soft"), choices);
        choices.getChildren().get(0).requestFocus();
    }

    private void measures(ShapePattern pattern) {
        GridPane grid = new GridPane();
        grid.setHgap(8);
        grid.setVgap(2);
        List<QuantityField<Quantity>> asked = new ArrayList<>();
        for (ShapePattern.Measure m : pattern.measures()) {
            QuantityField<Quantity> field = new QuantityField<>(
                    "measure-" + asked.size(), m.label(), t -> Quantity.parse(t, m.unit()), Quantity::shown);
            field.setPrefWidth(96);
            field.update(Quantity.of(m.usual(), m.unit()));
            field.onTrouble(trouble::setText);
            Label label = Ui.label(m.label());
            GridPane.setHgrow(label, Priority.ALWAYS);
            label.setMaxWidth(Double.MAX_VALUE);
            grid.addRow(asked.size(), label, field);
            asked.add(field);
        }
        Button make = Ui.button("Apply shape", "pattern-make", () -> {
            try {
                List<Measured> values = new ArrayList<>();
                for (int i = 0; i < asked.size(); i++) {
                    values.add(new Measured(
                            Quantity.parse(
                                    asked.get(i).getText(),
                                    pattern.measures().get(i).unit()),
                            "tape"));
                }
                TankShape shape = pattern.shape(values);
                patternBox.getChildren().clear();
                trouble.setText("");
                reshape("New shape of ", t -> ShapePattern.reshaped(t, shape));
            } catch (IllegalArgumentException e) {
                trouble.setText(e.getMessage());
            }
        });
        patternBox
                .getChildren()
                .setAll(
                        Ui.label(pattern.label(), "bold"),
                        grid,
                        new RowBox(
                                6,
                                make,
                                Ui.button("Cancel", "pattern-leave", patternBox.getChildren()::clear, "plain")),
                        Ui.rule());
        asked.get(0).requestFocus();
    }
}
