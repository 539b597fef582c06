package ration.desktop.flight;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import ration.aircraft.flight.FlightPlan;
import ration.aircraft.flight.Phase;
import ration.aircraft.model.Item;
import ration.answer.assess.Assessment;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightVapor;
import ration.answer.drawdown.OnBoth;
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
import ration.desktop.style.NotchBar;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/** Beside the flight: how it ends, its phases to be changed, when to switch. */
final class FlightCard extends ColumnBox {

    private static final double[] WIDE = {60, 36, 34, 38, 38, 48};

    private final Session session;
    private final Consumer<Flight> print;
    private final VBox result = new ColumnBox(6);
    private final VBox start = new ColumnBox(3);
    private final VBox phases = new ColumnBox(2);
    private final SwitchingPane switching;
    private final TransferPane transfers;
    private final VBox rest = new ColumnBox(6);
    private final Label trouble = Ui.trouble("flight-trouble");
    private Optional<FlightVapor> vapor = Optional.empty();
    private Optional<OnBoth> both = Optional.empty();
    private Object shownStart = "";
    private Object shownPhases = "";
    private int picked = -1;

    FlightCard(Session session, Consumer<Flight> print) {
        super(8);
        this.session = session;
        this.print = print;
        switching = new SwitchingPane(session, this::edit, trouble::setText);
        transfers = new TransferPane(session, this::edit, trouble::setText);
        getStyleClass().add("card-body");
        getChildren()
                .addAll(result, Ui.rule(), start, phases, trouble, transfers, Ui.rule(), switching, Ui.rule(), rest);
    }

    void both(Optional<OnBoth> found) {
        both = found;
    }

    void vapor(FlightVapor found) {
        vapor = Optional.of(found);
    }

    void nothing(String why, Project project) {
        result.getChildren().setAll(Ui.wrapped(why, "wrong-text"));
        rest.getChildren().clear();
        plan(project);
        switching.show(project, null);
        transfers.show(project);
    }

    void show(Flight f, Assessment a) {
        LandingWords said = new LandingWords(f, vapor, session.units().get());
        result(said);
        start(f, a.project());
        plan(a.project());
        switching.show(a.project(), f);
        transfers.show(a.project());
        rest(said, a);
    }

    private String symbol() {
        return session.units().get().unit(Dimension.VOLUME).symbol();
    }

    private static Label whole(String text, String style) {
        return Ui.whole(Ui.label(text, style));
    }

    private static Label word(Verdict v) {
        Label label = Ui.whole(Ui.label("", "verdict"));
        Ui.verdict(label, v);
        return label;
    }

    private void result(LandingWords said) {
        Flight f = said.flight();
        Label big = Ui.label(said.usable(), "main-result");
        big.setId("flight-usable");
        NotchBar bar = new NotchBar(252, 10);
        bar.show(said.ratio(), f.landingVerdict());
        HBox figure =
                new RowBox(6, big, Ui.label(said.symbol() + " usable"), Ui.spring(), Ui.label(said.needs(), "soft"));
        figure.setAlignment(javafx.geometry.Pos.BASELINE_LEFT);
        Label title = Ui.label(said.title(), "page-title");
        title.setId("flight-landing");
        Label verdict = word(f.landingVerdict());
        verdict.setId("flight-verdict");
        result.getChildren().setAll(new RowBox(8, title, Ui.spring(), verdict), figure, bar);
        said.wrong().forEach(w -> result.getChildren().add(Ui.wrapped(w, "wrong-text")));
        if (!said.unsaid().isEmpty()) {
            result.getChildren().add(Ui.wrapped(said.unsaid(), "soft"));
        }
        GridPane rows = new GridPane();
        rows.setHgap(8);
        rows.setVgap(2);
        for (LandingWords.Row r : said.rows()) {
            int n = rows.getRowCount();
            Label beside = Ui.wrapped(r.beside().replace(" \u00b0", "\u00a0\u00b0"), "soft");
            GridPane.setHgrow(beside, Priority.ALWAYS);
            rows.addRow(n, Ui.whole(Ui.label(r.label(), "soft")), whole(r.figure(), "bold"), beside);
            r.verdict().ifPresent(v -> rows.add(word(v), 3, n));
        }
        result.getChildren().add(rows);
    }

    /** What is in each tank at the start: full until said. */
    private void start(Flight f, Project project) {
        Object now = List.of(
                f.samples().get(0).condition().contents(),
                session.units().get(),
                project.system().tanks().stream().map(Item::name).toList());
        if (now.equals(shownStart)) {
            return;
        }
        shownStart = now;
        start.getChildren().setAll(Ui.label("At the start, " + symbol(), "group-title"));
        project.system().tanks().forEach(t -> {
            Unit unit = session.units().get().unit(Dimension.VOLUME);
            QuantityField<Quantity> field = new QuantityField<>(
                    "start-" + t.id(),
                    t.name() + " at the start",
                    text -> {
                        Quantity q = Quantity.parse(text, unit);
                        if (!(q.si() >= 0)) {
                            throw new IllegalArgumentException("Fuel must be 0 or more.");
                        }
                        return q;
                    },
                    q -> UnitSystem.field(unit.fromSi(q.si()), unit, 1));
            field.update(Quantity.of(unit.fromSi(f.samples().get(0).tank(t.id())), unit));
            field.setPrefWidth(56);
            told(field)
                    .onValue(q -> edit("Set " + t.name() + " at the start", p -> {
                        Map<String, Measured> filled = new HashMap<>(p.start());
                        filled.put(t.id(), new Measured(q, "planned"));
                        return p.withStart(filled);
                    }));
            HBox row = new RowBox(6, Ui.label(t.name()), Ui.spring(), field);
            row.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
            start.getChildren().add(row);
        });
    }

    // the phases

    private void plan(Project project) {
        FlightPlan plan = UsualFlight.meant(project);
        Object now = List.of(
                plan.phases(), session.units().get(), picked, project.brief().demand());
        if (now.equals(shownPhases)) {
            return;
        }
        shownPhases = now;
        boolean feet = session.units().get() == UnitSystem.US;
        phases.getChildren()
                .setAll(
                        new RowBox(
                                8,
                                Ui.label("Phases", "group-title"),
                                Ui.spring(),
                                Ui.label(project.flight().isPresent() ? "" : "usual", "soft")),
                        cells(soft(
                                "",
                                "min",
                                "%",
                                session.units().get().unit(Dimension.FLOW).symbol(),
                                "pitch",
                                feet ? "ft" : "m")));
        for (int i = 0; i < plan.phases().size(); i++) {
            phases.getChildren()
                    .add(
                            i == picked
                                    ? open(plan.phases().get(i), i, project)
                                    : closed(plan.phases().get(i), i, project));
        }
        Button add = Ui.button(
                "Add a phase",
                "phase-add",
                () -> edit("Add a phase", p -> {
                    List<Phase> all = new ArrayList<>(p.phases());
                    int at = Math.max(0, Math.min(picked < 0 ? all.size() : picked + 1, all.size()));
                    all.add(at, Phase.of(Phase.Kind.CRUISE, 30, 65, 0, 2500, false));
                    return p.withPhases(all);
                }),
                "chip");
        phases.getChildren().add(add);
    }

    private static Label[] soft(String... texts) {
        return java.util.Arrays.stream(texts).map(t -> Ui.label(t, "soft")).toArray(Label[]::new);
    }

    private static HBox cells(Node... content) {
        HBox box = new RowBox(2);
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        for (int i = 0; i < content.length; i++) {
            javafx.scene.layout.Region cell = (javafx.scene.layout.Region) content[i];
            cell.setMinWidth(WIDE[i]);
            cell.setPrefWidth(WIDE[i]);
            cell.setMaxWidth(WIDE[i]);
            box.getChildren().add(cell);
        }
        return box;
    }

    private String flow(Phase p, Project project) {
        return UnitSystem.figure(
                session.units()
                        .get()
                        .unit(Dimension.FLOW)
                        .fromSi(p.share().si() * project.brief().demand()),
                1);
    }

    private Unit high() {
        return session.units().get() == UnitSystem.US ? Unit.FOOT : Unit.METRE;
    }

    private static String grouped(double v) {
        return UnitSystem.figure(v, 0);
    }

    private Node closed(Phase p, int n, Project project) {
        Button row = Ui.button("", "phase-" + n, () -> pick(n));
        row.setGraphic(cells(
                Ui.label(p.kind().label(), "bold"),
                Ui.label(UnitSystem.figure(p.lasts(), 0)),
                Ui.label(UnitSystem.figure(100 * p.share().si(), 0)),
                Ui.label(flow(p, project), "soft"),
                Ui.label(UnitSystem.figure(Math.toDegrees(p.pitch().si()), 0) + "\u00b0"),
                Ui.label(grouped(high().fromSi(p.altitude().si())))));
        row.getStyleClass().setAll("button", "phase-row");
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(p.kind().label() + ", " + UnitSystem.figure(p.lasts(), 0) + " minutes, "
                + UnitSystem.figure(100 * p.share().si(), 0) + " percent; Enter to change");
        return row;
    }

    private void pick(int n) {
        picked = n;
        plan(session.shown().get().project());
        Node first = lookup("#phase-minutes");
        if (first != null) {
            first.requestFocus();
        }
    }

    private Node open(Phase p, int n, Project project) {
        HBox fields = cells(
                kind(p, n),
                number("phase-minutes", "Minutes", Unit.MINUTE, p.minutes(), 0, n, Phase::withMinutes),
                percent(p, n),
                Ui.label(flow(p, project), "soft"),
                number("phase-pitch", "Pitch, degrees", Unit.DEGREE, p.pitch(), 0, n, Phase::withPitch),
                number("phase-altitude", "Altitude at its end", high(), p.altitude(), 0, n, Phase::withAltitude));
        CheckBox boost = new CheckBox("boost pump on");
        boost.setId("phase-boost");
        boost.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        boost.setAccessibleText("Electric feed pumps on");
        boost.setVisible(!ration.aircraft.topology.Topology.of(project.system())
                .feedPumps()
                .isEmpty());
        boost.managedProperty().bind(boost.visibleProperty());
        boost.setSelected(p.boost());
        boost.setOnAction(e -> edit("Set boost pump", plan -> change(plan, n, x -> x.withBoost(boost.isSelected()))));
        QuantityField<Quantity> tilt = number(
                "phase-tilt",
                "Fuel tilt, degrees, right wing low (0 in a coordinated turn)",
                Unit.DEGREE,
                p.tilt(),
                0,
                n,
                Phase::withTilt);
        QuantityField<Quantity> turn = number(
                "phase-turn",
                "Bank angle in a coordinated turn, degrees",
                Unit.DEGREE,
                p.turn().orElse(Measured.of(0, Unit.DEGREE)),
                0,
                n,
                Phase::withTurn);
        tilt.setStyle("-fx-pref-width: 42px;");
        turn.setStyle("-fx-pref-width: 42px;");
        HBox more = new RowBox(5, boost, Ui.spring(), Ui.whole(Ui.label("OAT", "soft")), outside(p, n));
        HBox turned = new RowBox(
                5,
                Ui.whole(Ui.label("tilt", "soft")),
                tilt,
                Ui.whole(Ui.label("bank", "soft")),
                turn,
                Ui.spring(),
                Ui.button(
                        "Remove",
                        "phase-remove",
                        () -> {
                            picked = -1;
                            edit("Remove a phase", plan -> {
                                List<Phase> all = new ArrayList<>(plan.phases());
                                if (n < all.size() && all.size() > 1) {
                                    all.remove(n);
                                }
                                return plan.withPhases(all);
                            });
                        },
                        "chip"));
        more.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        turned.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        VBox box = new ColumnBox(3, fields, more, turned);
        box.getStyleClass().add("phase-open");
        return box;
    }

    private ChoiceBox<Phase.Kind> kind(Phase p, int n) {
        ChoiceBox<Phase.Kind> box = new ChoiceBox<>();
        box.getItems().setAll(Phase.Kind.values());
        box.setConverter(new javafx.util.StringConverter<>() {
            @Override
            public String toString(Phase.Kind k) {
                return k.label();
            }

            @Override
            public Phase.Kind fromString(String text) {
                return Phase.Kind.CRUISE;
            }
        });
        box.setValue(p.kind());
        box.setId("phase-kind");
        box.setAccessibleText("Kind of phase");
        box.setOnAction(e -> edit("Set kind of phase", plan -> change(plan, n, x -> x.with(box.getValue()))));
        return box;
    }

    private QuantityField<Double> percent(Phase p, int n) {
        QuantityField<Double> field = new QuantityField<>(
                "phase-share",
                "Percent of takeoff demand",
                text -> {
                    double v = Quantity.parse(text.replace("%", ""), Unit.ONE).si();
                    if (!(v >= 0 && v <= 120)) {
                        throw new IllegalArgumentException("A phase uses 0 to 120% of takeoff demand.");
                    }
                    return v;
                },
                v -> UnitSystem.figure(v, 0));
        field.update(100 * p.share().si());
        return told(field)
                .onValue(v -> edit(
                        "Set power of " + p.kind().label().toLowerCase(java.util.Locale.ROOT),
                        plan -> change(plan, n, x -> x.withShare(v / 100))));
    }

    /** Air outside at the end of a phase; empty is the hot day. */
    private QuantityField<Optional<Quantity>> outside(Phase p, int n) {
        Unit scale = session.units().get().thermometer();
        QuantityField<Optional<Quantity>> field = new QuantityField<>(
                "phase-outside",
                "OAT at end of phase, " + scale.symbol() + "; blank = hot day",
                text -> {
                    Optional<Quantity> q = text.isBlank() ? Optional.empty() : Optional.of(Quantity.parse(text, scale));
                    p.withOutside(q.map(x -> new Measured(x, "planned")));
                    return q;
                },
                q -> q.map(x -> UnitSystem.figure(scale.fromSi(x.si()), 0)).orElse(""));
        field.update(p.outside().map(Measured::quantity));
        field.setPromptText(scale.symbol());
        field.setPrefWidth(40);
        return told(field)
                .onValue(q -> edit(
                        "Set outside temperature",
                        plan -> change(plan, n, x -> x.withOutside(q.map(k -> new Measured(k, "planned"))))));
    }

    /** What a phase becomes with a figure. */
    private interface With {
        Phase apply(Phase phase, Quantity figure);
    }

    private QuantityField<Quantity> number(
            String id, String words, Unit unit, Measured shown, int decimals, int n, With with) {
        Phase now = UsualFlight.meant(session.shown().get().project()).phases().get(n);
        QuantityField<Quantity> field = new QuantityField<>(
                id,
                words,
                text -> {
                    Quantity q = Quantity.parse(text, unit);
                    with.apply(now, q); // says what is wrong with it
                    return q;
                },
                q -> UnitSystem.field(unit.fromSi(q.si()), unit, decimals));
        field.update(shown.quantity());
        return told(field)
                .onValue(q -> edit(
                        "Set " + words.toLowerCase(java.util.Locale.ROOT),
                        plan -> change(plan, n, x -> with.apply(x, q))));
    }

    private <T> QuantityField<T> told(QuantityField<T> field) {
        field.onTrouble(trouble::setText);
        return field;
    }

    private static FlightPlan change(FlightPlan plan, int n, UnaryOperator<Phase> change) {
        return n < plan.phases().size()
                ? plan.withPhase(n, change.apply(plan.phases().get(n)))
                : plan;
    }

    private void edit(String name, UnaryOperator<FlightPlan> change) {
        session.apply(Edit.of(name, p -> p.with(change.apply(UsualFlight.meant(p)))));
    }

    private void rest(LandingWords said, Assessment a) {
        rest.getChildren().clear();
        both.ifPresent(b -> {
            Label text = Ui.wrapped(said.both(a, b));
            text.setId("flight-both");
            rest.getChildren().addAll(Ui.label("On BOTH", "group-title"), text, Ui.rule());
        });
        rest.getChildren()
                .addAll(Ui.label("How landing fuel is computed", "group-title"), Ui.wrapped(said.why(a), "soft"));
        Button card = Ui.button("Print fuel log card\u2026", "flight-print", () -> print.accept(said.flight()));
        card.setMaxWidth(Double.MAX_VALUE);
        rest.getChildren()
                .addAll(
                        card,
                        Ui.wrapped(
                                "Power and times: common practice, no source. Reserve 30 min: operating rule"
                                        + " for day VFR"
                                        + " (night: 45 min), from memory. A computed flight does not"
                                        + " clear you to fly. Dip the tanks, watch the clock.",
                                "soft"));
    }
}
