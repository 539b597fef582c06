package ration.desktop.vapor;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.aircraft.heat.Heat;
import ration.aircraft.heat.HeatFigure;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.VaporAnswer;
import ration.answer.remedy.MoreDegrees;
import ration.base.fluid.Volatility;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.physics.vapor.Air;
import ration.physics.vapor.PathHeat;
import ration.publish.drawing.AltitudeMap;
import ration.publish.drawing.Picture;
import ration.publish.drawing.VaporPath;
import ration.record.project.Edit;
import ration.record.project.ItemEdits;
import ration.record.project.Project;
import ration.verdict.words.Term;

/** Vapor: where, when and how soon the fuel would boil. */
public final class VaporPage extends LivePage {

    private static final double HOT_FUEL = Unit.FAHRENHEIT.toSi(110);

    private final Session session;
    private final PicturePane along;
    private final PicturePane map;
    private final SoakPane soak;
    private final LongWork helping;
    private final VBox buys = new ColumnBox();
    private final GridPane figures = new GridPane();
    private final ZonePane zones;
    private final StackPane left = new StackPane();
    /** Until a firewall says what is hot, nothing is shown of vapor. */
    private final Button wall = Ui.button("Add firewall", "vapor-firewall", this::addFirewall, "chip");

    private final Label trouble = Ui.trouble("vapor-trouble");
    private final Label caseWords = Ui.label("", "soft");
    private final QuantityField<Double> altitude;
    private final QuantityField<Double> fuel;
    private final Button grade;
    private final LongWork heating;
    private Air air;
    private Optional<PathHeat> path = Optional.empty();
    private Asked asked;
    private Optional<PathHeat> held = Optional.empty();
    private Project helped;
    private Project seen;

    /**
     * @param pick shows an item on the Layout page
     * @param logs reads a log
     */
    public VaporPage(Session session, java.util.function.Consumer<String> pick, SoakPane.Logs logs) {
        super(session, "vapor-page", "Vapor page");
        this.session = session;
        helping = session.whileOpen().work("ways to add vapor margin");
        heating = session.whileOpen().work("warmth along the path");
        zones = new ZonePane(session);
        seen = session.project();
        air = hot(seen.heat());
        along = new PicturePane("vapor-path", this::alongPicture, pick);
        map = new PicturePane(
                "altitude-map",
                (w, h) -> path().map(p -> AltitudeMap.draw(
                                project(), p, air, session.units().get(), w, h, Tokens.measure()))
                        .orElse(new Picture(w, h, List.of())),
                pick);
        soak = new SoakPane(session, logs, () -> path().orElse(new PathHeat(List.of())), () -> air);
        altitude = new QuantityField<>(
                "vapor-altitude",
                "Pressure altitude",
                t -> within(Quantity.parse(t, Unit.FOOT).si(), 0, 12_000, "Altitude: 0 to 39,000 ft."),
                m -> UnitSystem.figure(Unit.FOOT.fromSi(m), 0) + " ft");
        fuel = new QuantityField<>(
                "vapor-fuel",
                "Fuel in the tank",
                t -> within(
                        Quantity.parse(t, session.units().get().thermometer()).si(),
                        240,
                        345,
                        "Fuel temperature: \u221227 to 162 \u00b0F (\u221233 to 72 \u00b0C)."),
                k -> session.units().get().warmth(k));
        altitude.setPrefWidth(78);
        altitude.setMinWidth(70);
        fuel.setPrefWidth(74);
        altitude.onTrouble(trouble::setText).onValue(m -> look(new Air(m, air.fuelKelvin())));
        fuel.onTrouble(trouble::setText).onValue(k -> look(new Air(air.altitudeM(), k)));
        grade = Ui.button("", "vapor-grade", () -> {});
        grade.setOnAction(e -> grades().show(grade, Side.BOTTOM, 0, 0));
        setTop(head());
        along.setPrefHeight(286);
        along.setMinHeight(220);
        HBox below = below();
        VBox.setVgrow(below, Priority.ALWAYS);
        VBox body = new ColumnBox(trouble, along, Ui.rule(), below);
        body.getStyleClass().add("vapor-body");
        setCenter(body);
    }

    private static double within(double si, double low, double high, String sentence) {
        if (!(si >= low && si <= high)) {
            throw new IllegalArgumentException(sentence);
        }
        return si;
    }

    private static Air hot(Heat heat) {
        return new Air(heat.si(HeatFigure.CEILING), heat.si(HeatFigure.TANK_FUEL));
    }

    private Project project() {
        return session.shown().get().project();
    }

    private void addFirewall() {
        session.apply(Edit.of("Add firewall", p -> p.with(ItemEdits.walled(p.system()))));
    }

    private HBox head() {
        Label title = Ui.term(Term.VAPOR_MARGIN, Ui.label("Vapor", "page-title"));
        title.setMinWidth(Region.USE_PREF_SIZE);
        wall.managedProperty().bind(wall.visibleProperty());
        HBox head = new RowBox(
                6,
                title,
                caseWords,
                Ui.spring(),
                wall,
                grade,
                altitude,
                fuel,
                Ui.button("Hot day", "vapor-hot", () -> look(hot(project().heat())), "chip"),
                Ui.button("110 \u00b0F fuel", "vapor-110", () -> look(new Air(air.altitudeM(), HOT_FUEL)), "chip"),
                Ui.button("Governing", "vapor-governing", this::governing, "chip"),
                Ui.button("Set as baseline", "vapor-hold", this::hold, "chip"));
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("page-head");
        return head;
    }

    private HBox below() {
        figures.setHgap(8);
        figures.setVgap(3);
        ScrollPane buysScroll = new Scroll(buys);
        buysScroll.setFitToWidth(true);
        ScrollPane figureScroll = new Scroll(new ColumnBox(10, figures, zones));
        figureScroll.setFitToWidth(true);
        for (ScrollPane s : List.of(buysScroll, figureScroll)) {
            s.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
            // takes the room there is: a long list must not squeeze the path above it
            s.setPrefHeight(200);
        }
        buys.setId("more-degrees");
        ToggleGroup group = new ToggleGroup();
        HBox heads = new RowBox(
                3,
                chip("Altitude and fuel temperature", "vapor-map", map, group),
                chip("Ways to add vapor margin", "vapor-buys", buysScroll, group),
                chip("Heat figures", "vapor-figures", figureScroll, group));
        left.getChildren().setAll(map);
        VBox.setVgrow(left, Priority.ALWAYS);
        VBox one = new ColumnBox(6, heads, left);
        one.getStyleClass().add("vapor-half");
        soak.getStyleClass().add("vapor-half");
        HBox.setHgrow(one, Priority.ALWAYS);
        HBox.setHgrow(soak, Priority.ALWAYS);
        one.setPrefWidth(560);
        soak.setPrefWidth(560);
        return new RowBox(one, Ui.tallRule(), soak);
    }

    private ToggleButton chip(String text, String id, Node shown, ToggleGroup group) {
        ToggleButton button = new ToggleButton(text);
        button.setId(id);
        button.setToggleGroup(group);
        button.getStyleClass().add("chip");
        button.setSelected(shown == map);
        button.setOnAction(e -> {
            button.setSelected(true);
            left.getChildren().setAll(shown);
            map.redraw();
        });
        return button;
    }

    private ContextMenu grades() {
        ContextMenu menu = new ContextMenu();
        for (Volatility v : Volatility.values()) {
            MenuItem item =
                    new MenuItem(v.label() + ", " + UnitSystem.figure(v.reidPsi(), 1) + " psi Reid, " + v.source());
            item.setId("grade-" + v.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            item.setMnemonicParsing(false);
            item.setOnAction(e -> session.apply(
                    Edit.of("Choose " + v.label(), p -> p.with(p.heat().with(v)))));
            menu.getItems().add(item);
        }
        return menu;
    }

    private Optional<PathHeat> path() {
        return path;
    }

    /** What the path is of: a case on a day. */
    private record Asked(Optional<CaseAnswer> look, Air air) {}

    /** Works out the warmth along the path behind the window, unless it is known; then draws. */
    private void heat() {
        Session.Shown s = session.shown().get();
        Asked now = new Asked(s.look().filter(l -> l.demand().usable()), air);
        if (now.equals(asked)) {
            drawn();
            return;
        }
        asked = now;
        if (now.look().isEmpty()) {
            heating.cancel();
            path = Optional.empty();
            drawn();
            return;
        }
        heating.start(
                task -> VaporAnswer.path(s.project(), now.look().get(), now.air()),
                p -> {
                    path = Optional.of(p);
                    drawn();
                },
                why -> {
                    path = Optional.empty();
                    trouble.setText("Not shown: " + why);
                    drawn();
                });
    }

    private void drawn() {
        along.redraw();
        map.redraw();
        soak.update();
    }

    private Picture alongPicture(double w, double h) {
        Optional<String> why = session.shown()
                .get()
                .look()
                .filter(l -> l.demand().undelivered())
                .map(l -> l.demand().reason());
        if (why.isPresent()) {
            return VaporPath.without(why.get(), w, h);
        }
        return VaporPath.draw(
                new VaporPath.Subject(
                        project(),
                        path().orElse(new PathHeat(List.of())),
                        held,
                        air,
                        session.units().get()),
                w,
                h,
                Tokens.measure());
    }

    private void look(Air other) {
        air = other;
        update();
    }

    /** The governing case on its day. */
    public void governing() {
        session.shown().get().assessment().vapor().ifPresent(v -> {
            air = v.air();
            session.look(v.look().condition());
        });
        update();
    }

    /** Other heat figures or another aircraft: begin on its hot day again. */
    private void dayOf(Project now) {
        if (seen != now && !(seen.heat().equals(now.heat()) && seen.name().equals(now.name()))) {
            air = hot(now.heat());
            held = seen.name().equals(now.name()) ? held : Optional.empty();
        }
        seen = now;
    }

    private void hold() {
        held = held.isPresent() ? Optional.empty() : path();
        update();
    }

    /** Lays a logger's table over the soak. */
    public void lay(java.nio.file.Path file) {
        soak.lay(file);
    }

    @Override
    protected void refresh() {
        dayOf(project());
        Assessment a = session.shown().get().assessment();
        Heat heat = project().heat();
        altitude.update(air.altitudeM());
        fuel.update(air.fuelKelvin());
        wall.setVisible(project().system().firewall().isEmpty()
                && project().system().inlet().isPresent());
        grade.setText(heat.volatility().label() + " \u25be");
        grade.setAccessibleText("Fuel class: " + heat.volatility().label());
        ((Button) lookup("#vapor-hold")).setText(held.isPresent() ? "Clear baseline" : "Set as baseline");
        caseWords.setText(session.shown()
                .get()
                .look()
                .map(CaseAnswer::condition)
                .map(c -> "fuel pressure and vapor pressure along the path, "
                        + c.attitude().label())
                .orElse(""));
        heat();
        figures(heat);
        zones.update(project());
        if (project() != helped) {
            helped = project();
            buys.getChildren().setAll(Ui.label("Computing\u2026", "soft"));
            helping.start(task -> MoreDegrees.of(a, task), this::show, why -> buys.getChildren()
                    .setAll(Ui.wrapped(why, "wrong-text")));
        }
    }

    private void show(List<MoreDegrees.Row> rows) {
        buys.getChildren().clear();
        session.shown().get().assessment().vapor().ifPresent(v -> buys.getChildren()
                .add(Ui.label(
                        "now " + session.units().get().difference(v.degrees()) + ", "
                                + v.label(project(), session.units().get()),
                        "soft")));
        if (rows.isEmpty()) {
            buys.getChildren().add(Ui.wrapped("No single change on the governing path adds vapor margin.", "soft"));
        }
        for (MoreDegrees.Row r : rows) {
            int n = buys.getChildren().size();
            NotchBar bar = new NotchBar(60, 8);
            bar.show(r.after().ratio(), r.after().verdict());
            Label figure = Ui.label(session.units().get().difference(r.after().degrees()), "name");
            figure.setMinWidth(62);
            Button take = Ui.button("Try", "degrees-try-" + n, () -> session.apply(r.edit()), "chip");
            take.setAccessibleText("Try: " + r.title() + ", gives " + figure.getText());
            VBox words = new ColumnBox(
                    Ui.wrapped(r.title(), "bold"),
                    Ui.wrapped(
                            r.costs() + "; then "
                                    + r.after().label(project(), session.units().get()),
                            "soft"));
            HBox.setHgrow(words, Priority.ALWAYS);
            HBox row = new RowBox(8, words, bar, figure, take);
            row.setAlignment(Pos.CENTER_LEFT);
            row.getStyleClass().add("remedy");
            buys.getChildren().add(row);
        }
    }

    private void figures(Heat heat) {
        if (figures.getChildren().isEmpty()) {
            for (HeatFigure f : HeatFigure.values()) {
                QuantityField<Quantity> field = new QuantityField<>(
                        "heat-" + f.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'),
                        f.label(),
                        t -> f.checked(new Measured(Quantity.parse(t, f.unit()), "own"))
                                .quantity(),
                        Quantity::shown);
                field.setPrefWidth(92);
                field.setMinWidth(92);
                field.onTrouble(trouble::setText)
                        .onValue(q -> session.apply(Edit.of(
                                "Set " + f.label().toLowerCase(java.util.Locale.ROOT),
                                p -> p.with(p.heat().with(f, new Measured(q, "own"))))));
                field.setUserData(f);
                VBox words = new ColumnBox(Ui.wrapped(f.label()), Ui.wrapped(f.source(), "soft"));
                GridPane.setHgrow(words, Priority.ALWAYS);
                figures.addRow(f.ordinal(), words, field);
            }
        }
        for (Node n : figures.getChildren()) {
            if (n.getUserData() instanceof HeatFigure f) {
                @SuppressWarnings("unchecked")
                QuantityField<Quantity> field = (QuantityField<Quantity>) n;
                field.update(heat.figure(f).quantity());
            }
        }
    }
}
