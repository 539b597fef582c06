package ration.desktop.brief;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.scene.transform.Rotate;
import ration.base.fluid.FuelGrade;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.Unit;
import ration.desktop.control.Arriving;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Cover;
import ration.desktop.control.EachPulse;
import ration.desktop.control.Methods;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Silhouette;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.project.Brief;
import ration.record.project.Edit;
import ration.record.project.Plate;
import ration.record.project.Practice;
import ration.record.project.Unsaid;
import ration.verdict.standard.Standard;
import ration.verdict.words.Term;

/** The job: what the engine takes, the attitudes flown, the fuel, and what all is judged by. */
public final class BriefPage extends Scroll implements Arriving {

    private final Session session;
    private final List<Runnable> updates = new ArrayList<>();
    /** What somebody may be led to, by its key. */
    private final Map<String, TextField> figures = new HashMap<>();

    private final Label trouble = Ui.trouble("brief-trouble");

    public BriefPage(Session session) {
        this.session = session;
        setId("brief");
        setFitToWidth(true);
        HBox first = new RowBox(12, engineTile(), demandTile());
        HBox second = new RowBox(12, envelopeTile());
        HBox third = new RowBox(12, fuelTile(), basisTile());
        HBox fourth = new RowBox(12, practiceTile());
        VBox body = new ColumnBox(
                12, Ui.label("Aircraft", "page-title"), trouble, first, second, third, fourth, plateTile(), cautions());
        body.setPadding(new Insets(12, 16, 16, 16));
        setContent(body);
        Cover cover = new Cover(body);
        EachPulse pulse = new EachPulse(() -> cover.guard(this::update));
        session.whileOpen().follow(session.shown(), pulse::ask);
        session.whileOpen().follow(session.units(), pulse::ask);
        update();
    }

    private void update() {
        updates.forEach(Runnable::run);
    }

    private Brief brief() {
        return session.shown().get().project().brief();
    }

    private BriefWords words() {
        return new BriefWords(session.shown().get().project(), session.units().get());
    }

    private void change(String name, UnaryOperator<Brief> edit) {
        session.apply(Edit.of(name, p -> p.with(edit.apply(p.brief()))));
    }

    private static VBox tile(String title, Node... content) {
        VBox tile = new ColumnBox(10, Ui.label(title, "group-title"));
        tile.getChildren().addAll(content);
        tile.getStyleClass().add("tile");
        HBox.setHgrow(tile, Priority.ALWAYS);
        return tile;
    }

    // engine and demand

    /** What is printed on the packet: registration, numbers, builder, placard. */
    private Node plateTile() {
        javafx.scene.layout.GridPane grid = new javafx.scene.layout.GridPane();
        grid.setHgap(10);
        grid.setVgap(8);
        int n = 0;
        for (Plate.Field f : Plate.Field.values()) {
            QuantityField<String> field = new QuantityField<String>(
                            "plate-" + f.key(), f.label(), String::strip, t -> t)
                    .onValue(t -> session.apply(Edit.of(
                            "Set " + f.label().toLowerCase(java.util.Locale.ROOT),
                            p -> p.with(p.plate().with(f, t)))));
            updates.add(
                    () -> field.update(session.shown().get().project().plate().get(f)));
            field.getStyleClass().add("left-field");
            field.setPrefWidth(230);
            Label label = Ui.label(f.label());
            label.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
            grid.add(label, n % 3 * 2, n / 3);
            grid.add(field, n % 3 * 2 + 1, n / 3);
            n++;
        }
        return tile("Identification, printed on the packet", grid);
    }

    private Node engineTile() {
        QuantityField<String> name = new QuantityField<String>(
                        "aircraft-name", "Name of the aircraft", BriefWords::name, t -> t)
                .onTrouble(trouble::setText)
                .onValue(t -> session.apply(Edit.of("Name the aircraft", p -> p.withName(t))));
        updates.add(() -> name.update(session.shown().get().project().name()));
        figures.put("name", name);
        QuantityField<String> engine = new QuantityField<String>("engine-name", "Engine", String::strip, t -> t)
                .onValue(t -> change("Name the engine", b -> b.withEngine(t)));
        updates.add(() -> engine.update(brief().engine()));
        HBox delivery = choices(
                "delivery",
                List.of(Brief.Delivery.values()),
                Brief.Delivery::label,
                Brief::delivery,
                (b, d) -> b.withDelivery(d));
        Label why = Ui.wrapped("", "soft");
        updates.add(() -> why.setText(words().delivery()));
        VBox tile = tile(
                "Aircraft and engine", row("Aircraft", name), row("Engine", engine), row("Fuel feed", delivery), why);
        return left(tile);
    }

    private static VBox left(VBox tile) {
        Ui.wide(tile, 400, 290);
        HBox.setHgrow(tile, Priority.NEVER);
        return tile;
    }

    private static HBox row(String label, Node node) {
        Label words = Ui.label(label);
        words.setMinWidth(72);
        HBox box = new RowBox(8, words, node);
        box.setAlignment(Pos.CENTER_LEFT);
        if (node instanceof TextField field) {
            field.getStyleClass().add("left-field");
            HBox.setHgrow(field, Priority.ALWAYS);
        }
        return box;
    }

    /** The demand as a sum whose figures are the fields. */
    private Node demandTile() {
        QuantityField<Quantity> power = measured(
                "power", "Takeoff power", Brief::power, Unit.HORSEPOWER, (b, q) -> b.withPower(BriefWords.positive(q)));
        QuantityField<Quantity> consumption = measured(
                "consumption",
                "BSFC",
                Brief::consumption,
                Unit.POUND_PER_HORSEPOWER_HOUR,
                (b, q) -> b.withConsumption(BriefWords.positive(q)));
        power.setPrefWidth(92);
        consumption.setPrefWidth(124);
        Label weight = Ui.label("", "name");
        Label demand = Ui.label("", "main-result");
        demand.setId("demand");
        demand.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        Label needed = Ui.label("", "name");
        needed.setId("needed");
        HBox sum = new RowBox(
                8,
                column(power, "takeoff power", by("power", "takeoff power", Brief::power, Brief::withPower)),
                sign("\u00d7"),
                column(consumption, "BSFC", by("consumption", "BSFC", Brief::consumption, Brief::withConsumption)),
                sign("\u00f7"),
                column(weight, "fuel weight, standard day"),
                sign("="),
                column(demand, "takeoff demand"));
        sum.setAlignment(Pos.CENTER_LEFT);
        Label times = Ui.wrapped("");
        updates.add(() -> {
            weight.setText(words().weight());
            demand.setText(words().demand());
            times.setText(words().times());
            needed.setText(words().needed());
        });
        HBox need = new RowBox(8, times, needed);
        need.setAlignment(Pos.CENTER_LEFT);
        return tile(
                "Demand",
                sum,
                need,
                assumed(),
                Ui.wrapped(
                        "0.55 lb/hp/h at full rich takeoff: AC 90-89, from memory. Use your engine"
                                + " manufacturer's figure if available.",
                        "soft"));
    }

    /** What nobody said of the engine, with a button that says so. */
    private Node assumed() {
        Label words = Ui.wrapped("", "bold");
        words.setId("assumed");
        Button so = Ui.button(
                "Confirm these values",
                "assumed-so",
                () -> session.apply(
                        Edit.of("Confirm the engine's figures", p -> Unsaid.said(p, java.time.LocalDate.now()))));
        so.setAccessibleText("Confirm the assumed engine values, today");
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox row = new RowBox(10, words, so);
        row.setAlignment(Pos.CENTER_LEFT);
        updates.add(() -> {
            Optional<String> assumed = words().assumed();
            row.setVisible(assumed.isPresent());
            row.setManaged(assumed.isPresent());
            assumed.ifPresent(words::setText);
        });
        return row;
    }

    private static VBox column(Node node, String under, TextField by) {
        by.getStyleClass().remove("left-field");
        by.getStyleClass().add("center-field");
        VBox box = column(node, under);
        box.getChildren().add(by);
        return box;
    }

    private static VBox column(Node node, String under) {
        if (node instanceof TextField) {
            node.getStyleClass().add("sum-field");
        }
        VBox box = new ColumnBox(2, node, Ui.label(under, "soft"));
        box.setAlignment(Pos.CENTER);
        return box;
    }

    private static Label sign(String text) {
        Label label = Ui.label(text, "sum-sign");
        label.setPadding(new Insets(0, 0, 16, 0));
        return label;
    }

    private interface Setter {
        Brief set(Brief brief, Quantity quantity);
    }

    private QuantityField<Quantity> measured(
            String id, String words, Function<Brief, Measured> get, Unit unit, Setter set) {
        QuantityField<Quantity> field = new QuantityField<Quantity>(
                        "brief-" + id,
                        words,
                        text -> {
                            Quantity q = Quantity.parse(
                                    text, get.apply(brief()).quantity().unit());
                            set.set(brief(), q);
                            return q;
                        },
                        Quantity::shown)
                .onTrouble(trouble::setText)
                .onValue(q -> change("Set " + words.toLowerCase(java.util.Locale.ROOT), b -> set.set(b, q)));
        updates.add(() -> field.update(get.apply(brief()).quantity()));
        figures.put(id, field);
        field.setPrefWidth(90);
        return field;
    }

    /** How a figure came about, under it or beside it; Down lists the ways. */
    private TextField by(
            String id, String words, Function<Brief, Measured> get, BiFunction<Brief, Measured, Brief> set) {
        Consumer<String> say = by -> change(
                "Set the source of " + words.toLowerCase(java.util.Locale.ROOT),
                b -> set.apply(b, get.apply(b).from(by)));
        QuantityField<String> how = new QuantityField<String>(
                        "brief-by-" + id,
                        "Source of " + words,
                        t -> get.apply(brief()).from(t).by(),
                        t -> t)
                .onTrouble(trouble::setText)
                .onValue(say);
        how.setPromptText("by");
        how.setPrefWidth(82);
        how.getStyleClass().addAll("card-field", "left-field", "soft");
        Methods.on(how, say);
        updates.add(() -> {
            how.update(get.apply(brief()).by());
            Methods.tell(how, get.apply(brief()));
        });
        return how;
    }

    // envelope

    private Node envelopeTile() {
        HBox tiles = new RowBox(
                28,
                attitude(
                        "climb",
                        "Climb",
                        "highest deck angle, nose up",
                        false,
                        e -> e.climb(),
                        Brief.Envelope::withClimb),
                attitude(
                        "glide",
                        "Glide",
                        "steepest; nose down is negative",
                        false,
                        e -> e.glide(),
                        Brief.Envelope::withGlide),
                attitude(
                        "slip",
                        "Slip",
                        "tilt either way, not bank angle",
                        true,
                        e -> e.slip(),
                        Brief.Envelope::withSlip),
                attitude(
                        "parked",
                        "Parked",
                        "on its wheels, nose up",
                        false,
                        e -> e.parked(),
                        Brief.Envelope::withParked));
        HBox slips = new RowBox(
                10,
                Ui.label("Slip in the climb"),
                angle("climb-slip", "Slip in the climb", e -> e.climbSlip(), Brief.Envelope::withClimbSlip),
                Ui.label("in the glide"),
                angle("glide-slip", "Slip in the glide", e -> e.glideSlip(), Brief.Envelope::withGlideSlip),
                Ui.label("corners of the envelope searched for unusable fuel", "soft"));
        slips.setAlignment(Pos.CENTER_LEFT);
        return tile(
                "Envelope",
                tiles,
                slips,
                Ui.wrapped(
                        "In a coordinated turn the fuel stays level in the tank; in a slip or skid it tilts. AC"
                                + " 90-89 (from memory) tests flow at 5\u00b0 above the highest"
                                + " climb angle expected; no "
                                + "rule gives a number of degrees.",
                        "soft"));
    }

    private interface EnvelopeSetter {
        Brief.Envelope set(Brief.Envelope envelope, Measured angle);
    }

    private Node attitude(
            String id,
            String name,
            String hint,
            boolean behind,
            Function<Brief.Envelope, Measured> get,
            EnvelopeSetter set) {
        Group plane = behind ? Silhouette.behind() : Silhouette.side();
        Rotate tilt = new Rotate(0, Silhouette.WIDTH / 2, Silhouette.HEIGHT / 2);
        plane.getTransforms().setAll(tilt);
        Pane stand = new Pane(plane);
        stand.setMinSize(Silhouette.WIDTH, 52);
        stand.setMaxSize(Silhouette.WIDTH, 52);
        plane.setLayoutY(8);
        QuantityField<Quantity> field = angle(id, name + " angle", get, set);
        updates.add(() -> tilt.setAngle(
                (behind ? 1 : -1) * Math.toDegrees(get.apply(brief().envelope()).si())));
        Label title = Ui.label(name, "bold");
        if (id.equals("climb")) {
            Ui.term(Term.CLIMB_PITCH, title);
        } else if (behind) {
            Ui.term(Term.TILT, title);
        }
        HBox figure = new RowBox(
                2,
                field,
                by(
                        id,
                        name.toLowerCase(java.util.Locale.ROOT) + " angle",
                        b -> get.apply(b.envelope()),
                        (b, m) -> b.withEnvelope(set.set(b.envelope(), m))));
        VBox words = new ColumnBox(3, title, figure, Ui.wrapped(hint, "soft"));
        HBox box = new RowBox(10, stand, words);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private QuantityField<Quantity> angle(
            String id, String words, Function<Brief.Envelope, Measured> get, EnvelopeSetter set) {
        QuantityField<Quantity> field = measured(
                id,
                words,
                b -> get.apply(b.envelope()),
                Unit.DEGREE,
                (b, q) -> b.withEnvelope(
                        set.set(b.envelope(), get.apply(b.envelope()).with(BriefWords.attitude(q)))));
        field.setPrefWidth(64);
        return field;
    }

    // fuel, basis

    private Node fuelTile() {
        HBox grades =
                choices("fuel", List.of(FuelGrade.values()), FuelGrade::label, Brief::fuel, (b, g) -> b.withFuel(g));
        QuantityField<Quantity> temperature = measured(
                "fuel-temperature",
                "Fuel temperature",
                Brief::fuelTemperature,
                Unit.CELSIUS,
                (b, q) -> b.withFuelTemperature(BriefWords.temperature(q)));
        QuantityField<Quantity> low = measured(
                "low-fuel",
                "Low fuel, above unusable",
                Brief::lowFuel,
                Unit.GALLON,
                (b, q) -> b.withLowFuel(BriefWords.notNegative(q)));
        Label figures = Ui.wrapped("", "soft");
        updates.add(() -> figures.setText(words().fuel()));
        VBox tile = tile(
                "Fuel",
                row("Grade", grades),
                row("Fuel at", temperature),
                figures,
                row("Low fuel", low),
                Ui.wrapped("What each tank holds above its unusable fuel when it counts as low.", "soft"));
        return left(tile);
    }

    private Node basisTile() {
        HBox basis = choices(
                "basis",
                List.of(Standard.values()),
                Standard::label,
                b -> b.choices().basis(),
                (b, v) -> b.withChoices(b.choices().with(v)));
        HBox friction = choices(
                "friction",
                List.of(Brief.Friction.values()),
                Brief.Friction::label,
                b -> b.choices().friction(),
                (b, v) -> b.withChoices(b.choices().with(v)));
        VBox stacked = new ColumnBox(4);
        stacked.getChildren().addAll(new ArrayList<>(basis.getChildren()));
        return tile(
                "Standard",
                row("Basis", stacked),
                Ui.wrapped(
                        "No certification basis applies to an amateur-built aircraft; these are guides, cited"
                                + " from memory. Check the paragraph before relying on it.",
                        "soft"),
                row("Friction", friction),
                Ui.wrapped(
                        "Small lines are in transition flow, where friction is least certain. Turbulent is"
                                + " conservative.",
                        "soft"));
    }

    private interface PracticeSetter {
        Practice set(Practice practice, Measured figure);
    }

    /** What else must hold beside steady flight on clean filters. */
    private Node practiceTile() {
        GridPane grid = new GridPane();
        grid.setHgap(12);
        grid.setVgap(5);
        asked(
                grid,
                0,
                "take-off-run",
                "Takeoff roll, g along the runway at the parked angle",
                Practice::takeOff,
                Practice::withTakeOff,
                Practice.Asks::takeOff,
                (a, on) -> new Practice.Asks(
                        on, a.light(), a.gust(), a.smear(), a.ventSize(), a.fineFilter(), a.assembly()));
        asked(
                grid,
                1,
                "push-over",
                "Pushover, load factor held at the climb\u2019s angle",
                Practice::light,
                Practice::withLight,
                Practice.Asks::light,
                (a, on) -> new Practice.Asks(
                        a.takeOff(), on, a.gust(), a.smear(), a.ventSize(), a.fineFilter(), a.assembly()));
        asked(
                grid,
                2,
                "gust",
                "Gust, load factor for a moment",
                Practice::gust,
                Practice::withGust,
                Practice.Asks::gust,
                (a, on) -> new Practice.Asks(
                        a.takeOff(), a.light(), on, a.smear(), a.ventSize(), a.fineFilter(), a.assembly()));
        grid.addRow(
                3,
                Ui.label("Flow with dirty filters, × takeoff demand"),
                practice("fouled-factor", "Flow with dirty filters", Practice::fouled, Unit.ONE, Practice::withFouled),
                Ui.label("must hold", "soft"));
        grid.addRow(
                4,
                Ui.label("Fuel on the coldest day"),
                practice(
                        "cold-fuel",
                        "Fuel on the coldest day",
                        Practice::coldFuel,
                        Unit.CELSIUS,
                        Practice::withColdFuel),
                Ui.label("must hold", "soft"));
        school(
                grid,
                5,
                "Stain at a fitting",
                new School(
                        "smear-passes",
                        "Accept a stain at a fitting, with a recheck date",
                        "Set whether a stain is accepted",
                        Practice.Asks::smear,
                        Practice.Asks::withSmear,
                        BriefWords::smear));
        school(
                grid,
                6,
                "Vent no more than one size below its line",
                new School(
                        "vent-size-asked",
                        "Check vent size by rule of thumb beside its pressure drop",
                        "Set whether vent size is checked",
                        Practice.Asks::ventSize,
                        Practice.Asks::withVentSize,
                        BriefWords::must));
        school(
                grid,
                7,
                "Fine filter before the engine",
                new School(
                        "fine-filter-asked",
                        "Ask for a fine filter where the engine manufacturer gives no figure",
                        "Set whether a fine filter is required",
                        Practice.Asks::fineFilter,
                        Practice.Asks::withFineFilter,
                        BriefWords::must));
        school(
                grid,
                8,
                "Assembly sheets done before a leak check counts",
                new School(
                        "assembly-asked",
                        "Leak checks count only once the assembly sheets are done",
                        "Set whether assembly sheets are required",
                        Practice.Asks::assembly,
                        Practice.Asks::withAssembly,
                        BriefWords::must));
        return tile(
                "Additional cases",
                grid,
                Ui.wrapped(
                        "Loads and cold fuel: low fuel, clean filters. A gust is too short to empty the line:"
                                + " reported only, unless you tick must hold. Usual figures are common"
                                + " practice, no source.",
                        "soft"));
    }

    private void asked(
            GridPane grid,
            int row,
            String id,
            String words,
            Function<Practice, Measured> get,
            PracticeSetter set,
            Function<Practice.Asks, Boolean> asks,
            BiFunction<Practice.Asks, Boolean, Practice.Asks> with) {
        ToggleButton must = chosen(new School(
                "must-" + id,
                words + " must hold",
                "Ask for " + words.substring(0, words.indexOf(',')).toLowerCase(java.util.Locale.ROOT),
                asks,
                with,
                BriefWords::must));
        grid.addRow(row, Ui.label(words), practice(id, words, get, Unit.ONE, set), must);
    }

    /** Where the trade has two schools: which is followed. */
    private record School(
            String id,
            String words,
            String edit,
            Function<Practice.Asks, Boolean> asks,
            BiFunction<Practice.Asks, Boolean, Practice.Asks> with,
            Function<Boolean, String> said) {}

    private void school(GridPane grid, int row, String label, School of) {
        grid.addRow(row, Ui.label(label), Ui.label(""), chosen(of));
    }

    private ToggleButton chosen(School of) {
        ToggleButton button = new ToggleButton();
        button.setId(of.id());
        button.setAccessibleText(of.words());
        button.setOnAction(
                e -> changePractice(of.edit(), p -> p.withAsks(of.with().apply(p.asks(), button.isSelected()))));
        updates.add(() -> {
            boolean on = of.asks().apply(brief().practice().asks());
            button.setSelected(on);
            button.setText(of.said().apply(on));
        });
        return button;
    }

    private QuantityField<Quantity> practice(
            String id, String words, Function<Practice, Measured> get, Unit unit, PracticeSetter set) {
        QuantityField<Quantity> field = measured(
                id,
                words,
                b -> get.apply(b.practice()),
                unit,
                (b, q) -> b.withChoices(b.choices().with(set.set(b.practice(), new Measured(q, "own")))));
        field.setPrefWidth(72);
        return field;
    }

    private void changePractice(String name, UnaryOperator<Practice> edit) {
        change(name, b -> b.withChoices(b.choices().with(edit.apply(b.practice()))));
    }

    private interface ChoiceSetter<T> {
        Brief set(Brief brief, T choice);
    }

    private <T extends Enum<T>> HBox choices(
            String id, List<T> values, Function<T, String> label, Function<Brief, T> get, ChoiceSetter<T> set) {
        HBox box = new RowBox(3);
        ToggleGroup group = new ToggleGroup();
        for (T value : values) {
            ToggleButton button = new ToggleButton(label.apply(value));
            button.setId(
                    id + "-" + value.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
            button.setToggleGroup(group);
            button.setMnemonicParsing(false);
            button.setOnAction(e -> {
                button.setSelected(true);
                change("Choose " + label.apply(value), b -> set.set(b, value));
            });
            updates.add(() -> button.setSelected(get.apply(brief()) == value));
            box.getChildren().add(button);
        }
        return box;
    }

    private static Node cautions() {
        VBox box = new ColumnBox(
                2,
                Ui.label("Before any test with fuel", "bold"),
                Ui.wrapped("Fire hazard. Outdoors or well ventilated. No ignition sources. Extinguisher at hand."
                        + " Ground and bond aircraft, can and funnel. Approved containers. Dispose of"
                        + " drained fuel as hazardous waste. Tip-over hazard: chocks, brakes,"
                        + " and the aircraft secured before the nose is raised."),
                Ui.wrapped(
                        "A computed pass does not approve flight. Your inspector, the aviation authority and"
                                + " the manufacturers' instructions decide.",
                        "soft"));
        box.getStyleClass().add("caution");
        return box;
    }

    /** Puts the writing mark in a figure, where there is one of that key. */
    public void pick(String key) {
        TextField field = figures.get(key);
        if (field != null) {
            applyCss(); // shown for the first time, what scrolls is not in the window yet
            field.requestFocus();
            field.selectAll();
        }
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void arrive() {
        // the rail keeps the focus: nothing here is worked by single keys
    }
}
