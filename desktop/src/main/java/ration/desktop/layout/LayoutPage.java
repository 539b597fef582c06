package ration.desktop.layout;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.binding.BooleanBinding;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.Line;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.answer.assess.Regime;
import ration.desktop.control.Arriving;
import ration.desktop.control.EachPulse;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.publish.drawing.Ink;
import ration.publish.drawing.PlanPicture;
import ration.publish.drawing.SchematicView;
import ration.record.project.ItemEdits;
import ration.record.project.Joining;
import ration.record.project.LayoutEdits;
import ration.record.project.LayoutEdits.Spot;
import ration.record.project.Project;

/** The drawing, its keys, and the card. */
public final class LayoutPage extends BorderPane implements Arriving {

    private final Session session;
    private final Consumer<Item> operate;
    private final SchematicPane drawing;
    private final ItemCard card;
    private final Chooser chooser = new Chooser();
    private final StackPane stack = new StackPane();
    private final BooleanBinding small = Ui.inSmallWindow(this);
    private final ToggleButton cardShown = new ToggleButton("Card");
    private Runnable marked = () -> {};
    private final ToggleButton headLine = layer("Head line", Ink.INK, "layer-head", 6.0, 4.0);
    private final ToggleButton vents = layer("Vents", Ink.AIR, "layer-vents", 4.0, 3.0);
    private final ToggleButton drains = layer("Drains", Ink.TEAL, "layer-drains");
    private final ToggleButton above = new ToggleButton("From above");
    /** The layout as it was when the chooser was opened or a line begun. */
    private Project askedOf;

    private final PicturePane plan;

    public LayoutPage(Session session, Consumer<Item> operate) {
        this.session = session;
        this.operate = operate;
        card = new ItemCard(session);
        drawing = new SchematicPane(session, this::clicked, this::clicked);
        plan = new PicturePane(
                "layout-plan",
                (w, h) -> PlanPicture.draw(
                        session.project().system(),
                        session.picked().get(),
                        session.units().get(),
                        Tokens.measure(),
                        w,
                        h),
                id -> session.picked().set(id));
        plan.getStyleClass().add("flow-path");
        above.setId("layer-plan");
        above.getStyleClass().add("chip");
        above.setMinWidth(Region.USE_PREF_SIZE);
        above.setAccessibleText("Show the system from above, to scale");
        above.setOnAction(e -> drawPlan());
        HBox regimes = regimes();
        plan.visibleProperty().bind(above.selectedProperty());
        plan.managedProperty().bind(above.selectedProperty());
        drawing.visibleProperty().bind(above.selectedProperty().not());
        stack.getChildren().addAll(drawing, plan, regimes, chooser);
        StackPane.setAlignment(chooser, Pos.CENTER);
        StackPane.setAlignment(regimes, Pos.TOP_LEFT);
        BorderPane left = new BorderPane(stack);
        left.setTop(head());
        setCenter(left);
        small.addListener((o, was, now) -> placeCard());
        cardShown.selectedProperty().addListener((o, was, now) -> placeCard());
        session.whileOpen().follow(session.picked(), this::placeCard);
        placeCard();
        chooser.visibleProperty().addListener((o, was, now) -> askedOf = now ? session.project() : askedOf);
        session.whileOpen().follow(session.picked(), chooser::close);
        EachPulse planned = new EachPulse(this::drawPlan);
        session.whileOpen().follow(session.shown(), planned::ask);
        session.whileOpen().follow(session.picked(), planned::ask);
        session.whileOpen().follow(session.units(), planned::ask);
        session.whileOpen().follow(session.shown(), (o, was, now) -> {
            // an answer that comes late to the layout the question was asked of takes nothing away
            if (was.project() != now.project() && now.project() != askedOf) {
                chooser.close();
                begin(Optional.empty());
            }
            offerStart();
        });
        offerStart();
    }

    private final javafx.scene.control.Button insert = Ui.button("Insert", "insert-item", this::insert);
    private final javafx.scene.control.Button branch = Ui.button("Branch", "branch-item", this::branch);
    private final javafx.scene.control.Button start = Ui.button("Starting layout", "start-pattern", this::patterns);

    private HBox head() {
        Label title = Ui.label("Layout", "page-title");
        title.setMinWidth(70);
        FlowPane lines = new FlowPane(
                3,
                3,
                legend("Flowing", Ink.FUEL, 5),
                legend("No flow", Ink.FUEL_STANDING, 5),
                legend("Below ambient", Ink.PLUM, 5),
                headLine,
                vents,
                drains);
        lines.setAlignment(Pos.CENTER_LEFT);
        lines.setMinWidth(200);
        HBox.setHgrow(lines, Priority.ALWAYS);
        HBox head = new RowBox(
                3, title, lines, start, insert, branch, Ui.button("+ Add item", "add-item", this::add), cardShown);
        cardShown.setId("layout-card");
        cardShown.getStyleClass().add("chip");
        cardShown.setMinWidth(Region.USE_PREF_SIZE);
        cardShown.setAccessibleText("Show the card of the case, C");
        cardShown.visibleProperty().bind(small);
        cardShown.managedProperty().bind(small);
        head.getStyleClass().add("page-head");
        for (ToggleButton b : new ToggleButton[] {headLine, vents, drains}) {
            b.setSelected(true);
            b.setOnAction(e -> drawing.show(
                    new SchematicView.Layers(headLine.isSelected(), vents.isSelected(), drains.isSelected(), false)));
        }
        return head;
    }

    /** From above, where that is shown. */
    private void drawPlan() {
        if (above.isSelected()) {
            plan.redraw();
        }
    }

    /** The case as it runs beside the most that can pass. */
    private HBox regimes() {
        HBox box = new RowBox(3);
        box.setId("regimes");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        box.setTranslateX(54);
        box.setTranslateY(5);
        Map<Regime, ToggleButton> buttons = new EnumMap<>(Regime.class);
        for (Regime r : Regime.values()) {
            ToggleButton b = new ToggleButton(r.label());
            b.setId("regime-" + r.name().toLowerCase(Locale.ROOT));
            b.setAccessibleText("Show " + r.label().toLowerCase(Locale.ROOT) + ", M");
            b.getStyleClass().add("chip");
            b.setOnAction(e -> show(r));
            b.visibleProperty().bind(above.selectedProperty().not());
            b.managedProperty().bind(b.visibleProperty());
            buttons.put(r, b);
            box.getChildren().add(b);
        }
        box.getChildren().add(above);
        Runnable mark = () -> buttons.forEach((r, b) -> b.setSelected(r == session.regime()));
        marked = mark;
        session.whileOpen().follow(session.chosenRegime(), mark);
        session.whileOpen().follow(session.shown(), mark);
        mark.run();
        return box;
    }

    private void show(Regime regime) {
        session.chosenRegime().set(regime);
        marked.run();
        focusDrawing();
    }

    private static HBox legend(String text, Ink ink, double width) {
        Line line = line(ink, width);
        if (ink == Ink.FUEL_STANDING) {
            line.setEffect(new javafx.scene.effect.InnerShadow(1.2, Tokens.color(Ink.FUEL)));
        }
        HBox box = new RowBox(6, line, Ui.label(text, "small"));
        box.getStyleClass().add("legend");
        box.setMinWidth(Region.USE_PREF_SIZE);
        box.setMaxHeight(23);
        box.setAlignment(Pos.CENTER);
        return box;
    }

    private static ToggleButton layer(String text, Ink ink, String id, Double... dashes) {
        ToggleButton button = new ToggleButton(text);
        Line line = line(ink, 2);
        line.getStrokeDashArray().setAll(dashes);
        button.setGraphic(line);
        button.setId(id);
        button.setAccessibleText("Show " + text);
        button.getStyleClass().addAll("chip", "layer");
        button.setMinWidth(Region.USE_PREF_SIZE);
        return button;
    }

    private static Line line(Ink ink, double width) {
        Line line = new Line(0, 0, 18, 0);
        line.setStroke(Tokens.color(ink));
        line.setStrokeWidth(width);
        line.setStrokeLineCap(javafx.scene.shape.StrokeLineCap.BUTT);
        return line;
    }

    /**
     * Beside the drawing; in a small window over it, clear of what is picked, while something is or the card is asked
     * for.
     */
    private void placeCard() {
        if (small.get() && getRight() == card) {
            setRight(null);
            stack.getChildren().add(card);
        } else if (!small.get() && getRight() != card) {
            stack.getChildren().remove(card);
            setRight(card);
        }
        StackPane.setAlignment(
                card, drawing.atTheRight(session.picked().get(), card.getWidth()) ? Pos.CENTER_LEFT : Pos.CENTER_RIGHT);
        card.setVisible(!small.get()
                || cardShown.isSelected()
                || !session.picked().get().isEmpty());
    }

    public void focusDrawing() {
        drawing.requestFocus();
    }

    public void focusFindings() {
        cardShown.setSelected(true);
        card.setVvalue(0);
        card.requestFocus();
    }

    private void offerStart() {
        boolean empty = session.shown().get().project().system().tanks().isEmpty();
        for (javafx.scene.control.Button b : new javafx.scene.control.Button[] {start, insert, branch}) {
            b.setVisible(empty == (b == start));
            b.setManaged(empty == (b == start));
        }
    }

    // keys

    /** An item moves across by so much of the drawing's width at a key. */
    private static final double STEP = 0.01;

    /** Whether letters typed now find something among what is offered. */
    public boolean choosing() {
        return chooser.isVisible();
    }

    /** A key pressed anywhere on the page but in a text. */
    public void key(KeyEvent e) {
        if (chooser.isVisible()) {
            return;
        }
        boolean onDrawing = drawing.isFocused();
        if (e.isAltDown() && onDrawing && (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT)) {
            e.consume();
            LayoutActions.shift(session, session.picked().get(), e.getCode() == KeyCode.LEFT ? -STEP : STEP);
            return;
        }
        Runnable action =
                switch (e.getCode()) {
                    case A -> this::add;
                    case I -> this::insert;
                    case B -> this::branch;
                    case J -> this::join;
                    case O -> this::more;
                    case F -> this::find;
                    case V -> () -> LayoutActions.vent(session);
                    case D -> () -> LayoutActions.drain(session);
                    case R ->
                        () -> LayoutActions.giveBack(
                                session, ways -> chooser.joins("Return to what?", ways, this::focusDrawing));
                    case P -> this::patterns;
                    case M -> () -> show(session.regime() == Regime.AT_MOST ? Regime.AS_IT_RUNS : Regime.AT_MOST);
                    case C -> () -> cardShown.setSelected(!cardShown.isSelected());
                    case DELETE, BACK_SPACE -> () -> LayoutActions.remove(session);
                    case ESCAPE ->
                        () -> {
                            begin(Optional.empty());
                            session.picked().set("");
                            // wherever the keys were: from here letters are commands
                            focusDrawing();
                        };
                    case PLUS, EQUALS, ADD -> () -> drawing.zoomBy(true);
                    case MINUS, SUBTRACT -> () -> drawing.zoomBy(false);
                    case DIGIT0, NUMPAD0 -> drawing::fit;
                    default -> onDrawing ? onDrawing(e.getCode()) : null;
                };
        if (action != null) {
            e.consume();
            action.run();
        }
    }

    private Runnable onDrawing(KeyCode code) {
        Walk walk = new Walk(session.project().system());
        String at = session.picked().get();
        return switch (code) {
            case RIGHT -> () -> to(at.isEmpty() ? Optional.of(walk.first()) : walk.downstream(at));
            case LEFT ->
                () -> to(at.isEmpty() ? session.project().system().inlet().map(Item::id) : walk.upstream(at));
            case UP -> () -> to(walk.beside(at, -1));
            case DOWN -> () -> to(walk.beside(at, 1));
            case ENTER -> card::focusFirst;
            case SPACE -> () -> session.project().system().item(at).ifPresent(operate);
            default -> null;
        };
    }

    /** Puts the writing mark in a figure of the picked item, by its key. */
    public void focus(String key) {
        card.focus(key);
    }

    private void to(Optional<String> id) {
        id.ifPresent(session.picked()::set);
    }

    // adding

    private void add() {
        if (session.picked().get().isEmpty()) {
            session.project().system().inlet().ifPresent(i -> session.picked().set(i.id()));
        }
        LayoutEdits.addingAt(session.project().system(), session.picked().get()).ifPresent(this::choose);
    }

    private void insert() {
        pickedRun().ifPresentOrElse(r -> choose(Spot.IN_RUN), () -> session.say("Select a line first, then insert."));
    }

    private void branch() {
        pickedRun().ifPresentOrElse(r -> choose(Spot.BRANCH), () -> session.say("Select a line first, then branch."));
    }

    private Optional<Item> pickedRun() {
        return session.project().system().item(session.picked().get()).filter(Run.class::isInstance);
    }

    /** Layouts to start from, while the sheet is still empty. */
    private void patterns() {
        if (session.project().system().tanks().isEmpty()) {
            chooser.patterns(p -> LayoutActions.start(session, p), this::focusDrawing);
        } else {
            session.say("Starting layouts need an empty document: Ctrl+N first.");
        }
    }

    private void choose(Spot spot) {
        String name = session.project()
                .system()
                .item(session.picked().get())
                .map(Item::name)
                .orElse("");
        String question =
                switch (spot) {
                    case IN_RUN -> "What goes into " + name + "?";
                    case BRANCH -> "What joins " + name + " by a tee?";
                    case DOWNSTREAM -> "What follows " + name + "?";
                    case UPSTREAM -> "What feeds " + name + "?";
                };
        chooser.open(
                question,
                LayoutEdits.offers(session.project().system(), session.picked().get(), spot),
                kind -> LayoutActions.add(session, spot, kind),
                spot == Spot.BRANCH ? branches() : spot == Spot.IN_RUN ? List.of() : joins(),
                this::focusDrawing);
    }

    /** A run begun at a port that was clicked. */
    private Optional<PortRef> begun = Optional.empty();

    private void begin(Optional<PortRef> port) {
        if (!begun.equals(port)) {
            begun = port;
            askedOf = session.project();
            drawing.begin(port);
        }
    }

    /** An item, or the ground: a run takes a begun line by a tee. */
    private void clicked(String id) {
        Optional<PortRef> from = begun;
        begin(Optional.empty());
        session.picked().set(id);
        from.filter(p -> session.project()
                        .system()
                        .item(id)
                        .flatMap(i -> i.only(Run.class))
                        .filter(r ->
                                Joining.branches(session.project().system(), r).contains(p))
                        .isPresent())
                .ifPresent(p -> LayoutActions.branchTo(session, p));
    }

    /** An open port: the first begins a run, the second ends it. */
    private void clicked(PortRef port) {
        FuelSystem system = session.project().system();
        Optional<PortRef> from = begun;
        if (from.isEmpty()) {
            session.picked().set(port.item());
            begin(Optional.of(port));
            session.say("Line starts at " + Joining.words(system, port)
                    + ": click the port it goes to, or a line for a tee. Esc cancels.");
            return;
        }
        begin(Optional.empty());
        Optional<Joining.Join> join = Joining.between(system, from.get(), port);
        join.ifPresent(j -> LayoutActions.join(session, j));
        if (join.isEmpty() && !from.get().equals(port)) {
            session.say(Joining.words(system, from.get()) + " and " + Joining.words(system, port)
                    + (from.get().item().equals(port.item())
                            ? " are ports of one item."
                            : " do not fit: both are outlets or both are inlets."));
        }
    }

    /** Joins the picked item's open ports to others. */
    private void join() {
        List<Chooser.Option> joins = joins();
        String name = session.project()
                .system()
                .item(session.picked().get())
                .map(Item::name)
                .orElse("");
        if (name.isEmpty()) {
            session.say("Select an item first, then join its open ports.");
        } else if (joins.isEmpty()) {
            session.say(name + " has no open port that fits another. Add an outlet, inlet or tee.");
        } else {
            chooser.joins("Join " + name + " to what?", joins, this::focusDrawing);
        }
    }

    /** What else can be done with the picked item: what its card offers, by typing. */
    private void more() {
        String picked = session.picked().get();
        List<Chooser.Option> offers = ItemEdits.of(session.project().system(), picked).stream()
                .map(o -> new Chooser.Option(
                        "more-" + o.label().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"),
                        o.label(),
                        "",
                        () -> LayoutActions.take(session, picked, o)))
                .toList();
        String name = session.project().system().item(picked).map(Item::name).orElse("");
        if (offers.isEmpty()) {
            session.say(
                    name.isEmpty()
                            ? "Select an item first, then add to it."
                            : name + " has nothing that can be added.");
        } else {
            chooser.acts("Add what to " + name + "?", offers, this::focusDrawing);
        }
    }

    /** Picks an item by its name. */
    private void find() {
        List<Chooser.Option> items = session.project().system().items().stream()
                .map(i -> new Chooser.Option("find-" + i.id(), i.name(), i.kind(), () -> session.picked()
                        .set(i.id())))
                .toList();
        chooser.acts("Go to which item?", items, this::focusDrawing);
    }

    private List<Chooser.Option> joins() {
        FuelSystem system = session.project().system();
        return Joining.of(system, session.picked().get()).stream()
                .map(j -> new Chooser.Option(
                        "join-" + j.near().port() + "-" + j.far().item() + "-"
                                + j.far().port(),
                        (j.near().equals(j.from()) ? "to " : "from ") + Joining.words(system, j.far()),
                        "open port; by its " + j.near().port().replace('-', ' '),
                        () -> LayoutActions.join(session, j)))
                .toList();
    }

    private List<Chooser.Option> branches() {
        FuelSystem system = session.project().system();
        return pickedRun()
                .flatMap(i -> i.only(Run.class))
                .map(r -> Joining.branches(system, r).stream()
                        .map(p -> new Chooser.Option(
                                "branch-" + p.item() + "-" + p.port(),
                                "to " + Joining.words(system, p),
                                "open port, by a tee",
                                () -> LayoutActions.branchTo(session, p)))
                        .toList())
                .orElse(List.of());
    }

    @Override
    public Node node() {
        return this;
    }

    @Override
    public void arrive() {
        focusDrawing();
    }
}
