package ration.desktop.layout;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Fitting;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Selector;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.WhyFlow;
import ration.base.quantity.Measured;
import ration.base.quantity.Quantity;
import ration.base.quantity.UnitSystem;
import ration.desktop.control.Chips;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.EachPulse;
import ration.desktop.control.Figure;
import ration.desktop.control.FindingBox;
import ration.desktop.control.LongList;
import ration.desktop.control.Methods;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PictureNodes;
import ration.publish.drawing.Schematic;
import ration.record.project.Edit;
import ration.record.project.ItemEdits;
import ration.record.project.ItemFigures;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;
import ration.verdict.why.Why;
import ration.verdict.words.Term;

/**
 * The picked item: what was measured, edited in place; what is computed now; what the checks say. With nothing picked,
 * the case looked at: its figures, where the head goes, and all findings.
 */
final class ItemCard extends Scroll {

    /** A label and its figure that are longer together stand one under the other, letters. */
    private static final int ONE_ROW = 34;

    private final Session session;
    private final VBox body = new ColumnBox(8);
    private final Map<String, QuantityField<Quantity>> figures = new LinkedHashMap<>();
    private final Label trouble = Ui.trouble("card-trouble");
    private final VBox now = new ColumnBox(4);
    /** How the figures of what is shown now came about. */
    private Map<String, Supplier<Why>> whys = Map.of();

    private final VBox findings = new ColumnBox(8);
    private final LongList longFindings = new LongList(findings, 8, 4);
    private QuantityField<LineSize> size;
    private final Chips more = new Chips("do-");
    private final EachPulse update = new EachPulse(this::update);
    private String structure = "";
    private String shown = "";

    ItemCard(Session session) {
        this.session = session;
        getStyleClass().add("card");
        setId("card");
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        Ui.wide(this, 288);
        body.getStyleClass().add("card-body");
        now.setId("card-now");
        findings.setId("card-findings");
        setContent(body);
        session.whileOpen().follow(session.shown(), update::ask);
        session.whileOpen().follow(session.picked(), (o, was, n) -> {
            settle();
            setVvalue(0);
            update();
        });
        session.whileOpen().follow(session.units(), update::ask);
        session.whileOpen().follow(session.chosenRegime(), update::ask);
        update();
    }

    /** Puts the writing mark in the first figure. */
    void focusFirst() {
        if (size != null) {
            size.requestFocus();
        } else {
            figures.values().stream().findFirst().ifPresent(Node::requestFocus);
        }
    }

    /** Puts the writing mark in one figure, where the card has it. */
    void focus(String key) {
        QuantityField<Quantity> field = figures.get(key);
        if (field != null) {
            applyCss();
            field.requestFocus();
            field.selectAll();
        }
    }

    /** What is half written belongs to the item on the card, not to the one picked next. */
    private void settle() {
        if (getScene() != null
                && getScene().getFocusOwner() instanceof QuantityField<?> field
                && field.dirty()
                && figures.containsValue(field)) {
            field.commit();
        }
    }

    private Optional<Item> item() {
        return session.shown().get().project().system().item(session.picked().get());
    }

    private void update() {
        Optional<Item> item = item();
        String wanted = item.map(this::structure).orElse("");
        if (!wanted.equals(structure) || body.getChildren().isEmpty()) {
            structure = wanted;
            shown = item.map(Item::id).orElse("");
            item.ifPresentOrElse(this::build, this::buildCase);
        }
        item.ifPresentOrElse(this::fill, this::fillCase);
    }

    /** What decides which rows the card has; while it stays the same only figures change. */
    private String structure(Item item) {
        StringBuilder words = new StringBuilder(item.id()).append(item.kind());
        fields(item).forEach(f -> words.append('|').append(f.key()).append(f.label()));
        item.only(Selector.class)
                .ifPresent(s -> s.positions().forEach(p -> words.append('|').append(p.name())));
        return words.toString();
    }

    // the picked item

    private void build(Item item) {
        figures.clear();
        size = null;
        trouble.setText("");
        GridPane measured = grid();
        int row = 0;
        Optional<Run> run = item.only(Run.class);
        if (run.isPresent()) {
            row = runRows(run.get(), measured);
        }
        for (ItemFigures.Figure field : fields(item)) {
            measured.addRow(row++, named(field), figure(item, field), by(item, field));
        }
        body.getChildren().setAll(header(item), Ui.rule(), heading("Measured", "by"), measured, trouble);
        run.ifPresent(r -> body.getChildren().addAll(sizes(), fittings()));
        item.only(Selector.class).ifPresent(selector -> body.getChildren().add(positions(selector)));
        body.getChildren().add(more);
        FlowPane actions = new FlowPane(8, 4);
        if (item.only(EngineInlet.class).isEmpty()) {
            actions.getChildren()
                    .addAll(
                            Ui.button("Remove", "remove", () -> LayoutActions.remove(session)),
                            Ui.button(
                                    "Which tests does this affect?",
                                    "test-again-asked",
                                    () -> LayoutActions.testAgain(session)));
        }
        body.getChildren().addAll(Ui.rule(), now, Ui.rule(), Ui.label("Findings", "group-title"), findings, actions);
    }

    private static Label named(ItemFigures.Figure field) {
        Label label = Ui.wrapped(field.label());
        return Term.ofField(field.key()).map(t -> Ui.term(t, label)).orElse(label);
    }

    private Node header(Item item) {
        TextField name = new QuantityField<String>(
                        "item-name", "Name", t -> session.project().system().ownName(item, ItemEntry.name(t)), t -> t)
                .onValue(n -> change("Rename " + item.name(), i -> i.renamed(n)))
                .onTrouble(trouble::setText);
        name.getStyleClass().addAll("card-field", "name-field");
        HBox.setHgrow(name, Priority.ALWAYS);
        VBox words = new ColumnBox(name, Ui.label(item.kind(), "soft"));
        words.getChildren().get(1).setTranslateX(5);
        HBox.setHgrow(words, Priority.ALWAYS);
        HBox box = new RowBox(8, PictureNodes.picture(Schematic.icon(item)), words);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private static Node heading(String title, String right) {
        Label name = Ui.label(title, "group-title");
        name.setMinWidth(Region.USE_PREF_SIZE);
        Label said = Ui.wrapped(right, "soft");
        said.setTextAlignment(TextAlignment.RIGHT);
        HBox box = new RowBox(8, Ui.whole(name), Ui.spring(), said);
        box.setAlignment(Pos.BASELINE_LEFT);
        return box;
    }

    private static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(4);
        grid.setVgap(1);
        ColumnConstraints label = new ColumnConstraints();
        label.setHgrow(Priority.ALWAYS);
        ColumnConstraints figure = new ColumnConstraints(74);
        ColumnConstraints by = new ColumnConstraints(60);
        grid.getColumnConstraints().addAll(label, figure, by);
        return grid;
    }

    private Node figure(Item item, ItemFigures.Figure field) {
        String id = "field-" + word(field);
        QuantityField<Quantity> text = new QuantityField<Quantity>(
                        id,
                        field.label() + " of " + item.name(),
                        t -> Quantity.parse(t, field.value().quantity().unit()),
                        Quantity::shown)
                .onTrouble(trouble::setText)
                .onValue(q -> set(field, m -> m.said(q)));
        text.getStyleClass().add("card-field");
        figures.put(field.key(), text);
        return text;
    }

    /** The path of a figure as part of the name of its field. */
    private static String word(ItemFigures.Figure field) {
        return field.key()
                .replaceAll("([a-z])([A-Z])", "$1-$2")
                .toLowerCase(java.util.Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-");
    }

    private Node by(Item item, ItemFigures.Figure field) {
        QuantityField<String> how = new QuantityField<String>(
                        "by-" + word(field),
                        "How " + field.label() + " of " + item.name() + " was measured",
                        t -> field.value().from(t).by(),
                        t -> t)
                .onTrouble(trouble::setText)
                .onValue(b -> set(field, m -> m.from(b)));
        how.update(field.value().by());
        how.getStyleClass().addAll("card-field", "soft");
        Methods.on(how, by -> set(field, m -> m.from(by)));
        Methods.tell(how, field.value());
        return how;
    }

    /** Sets one figure of the item as it is now. */
    private void set(ItemFigures.Figure field, java.util.function.UnaryOperator<Measured> change) {
        change(
                "Set " + field.label().toLowerCase(java.util.Locale.ROOT) + " of "
                        + session.project()
                                .system()
                                .item(session.picked().get())
                                .map(Item::name)
                                .orElse(""),
                (s, i) -> ItemFigures.of(i, s).stream()
                        .filter(f -> f.key().equals(field.key()))
                        .findFirst()
                        .map(f -> f.set().apply(change.apply(f.value())).apply(s))
                        .orElse(s));
    }

    private List<ItemFigures.Figure> fields(Item item) {
        return ItemFigures.of(item, session.shown().get().project().system());
    }

    private void change(String name, java.util.function.UnaryOperator<Item> edit) {
        change(name, (s, i) -> s.replace(edit.apply(i)));
    }

    private void change(String name, java.util.function.BiFunction<FuelSystem, Item, FuelSystem> edit) {
        String id = shown;
        session.apply(Edit.of(name, p -> p.system()
                .item(id)
                .map(i -> p.with(edit.apply(p.system(), i)))
                .orElse(p)));
    }

    private void changeRun(String name, java.util.function.UnaryOperator<Run> edit) {
        change(name, i -> i.only(Run.class).<Item>map(edit).orElse(i));
    }

    private int runRows(Run run, GridPane grid) {
        size = new QuantityField<LineSize>("field-size", "Size of " + run.name(), LineSize::parse, LineSize::label)
                .onTrouble(trouble::setText)
                .onValue(s -> changeRun("Set size of " + run.name(), r -> r.resized(s)));
        size.getStyleClass().add("card-field");
        grid.add(Ui.label("Size"), 0, 0);
        grid.add(size, 1, 0, 2, 1);
        return 1;
    }

    /** The usual sizes, one press each. */
    private Node sizes() {
        FlowPane pane = new FlowPane(3, 3);
        for (LineSize s : LineSize.usual()) {
            Button button = Ui.button(
                    s.kind() == LineSize.Kind.TUBE ? s.shortName() : s.label(),
                    "size-" + s.label().replaceAll("[^0-9a-z]+", "-"),
                    () -> changeRun("Set size to " + s.shortName(), r -> r.resized(s)),
                    "chip");
            button.setAccessibleText("Size " + s.label());
            pane.getChildren().add(button);
        }
        return pane;
    }

    private Node fittings() {
        GridPane grid = new GridPane();
        grid.setHgap(6);
        grid.setVgap(2);
        ColumnConstraints grow = new ColumnConstraints();
        grow.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().add(grow);
        int row = 0;
        for (Fitting f : Fitting.values()) {
            Label count = Ui.label("", "bold");
            count.setId("count-" + f.name().toLowerCase(java.util.Locale.ROOT));
            Button less = Ui.button(
                    "\u2212",
                    "less-" + f.name(),
                    () -> changeRun("Take a " + f.label() + " out", r -> ItemEntry.less(r, f)),
                    "chip");
            Button more = Ui.button(
                    "+", "more-" + f.name(), () -> changeRun("Add a " + f.label(), r -> ItemEntry.more(r, f)), "chip");
            less.setAccessibleText("One " + f.label() + " less");
            more.setAccessibleText("One " + f.label() + " more");
            grid.addRow(row++, Ui.label(f.label()), count, less, more);
        }
        return grid;
    }

    /** Names of the handle positions, as on the placard. */
    private Node positions(Selector selector) {
        GridPane grid = grid();
        for (int n = 0; n < selector.positions().size(); n++) {
            int at = n;
            Selector.Position position = selector.positions().get(n);
            QuantityField<String> name = new QuantityField<String>(
                            "field-position-" + (n + 1),
                            "Name of position " + (n + 1),
                            text -> ItemEntry.position(selector, text),
                            t -> t)
                    .onTrouble(trouble::setText)
                    .onValue(text -> change("Name position " + text, i -> ItemEntry.called(i, at, text)));
            name.update(position.name());
            name.getStyleClass().add("card-field");
            grid.add(Ui.label("Position " + (n + 1)), 0, n);
            grid.add(name, 1, n, 2, 1);
        }
        return grid;
    }

    /** What can be added to the item or taken from it. */
    private void showMore(Item item) {
        Map<String, Runnable> offers = new LinkedHashMap<>();
        ItemEdits.of(session.shown().get().project().system(), item.id())
                .forEach(o -> offers.put(o.label(), () -> LayoutActions.take(session, item.id(), o)));
        more.show(offers);
    }

    private void fill(Item item) {
        name().update(item.name());
        showMore(item);
        for (ItemFigures.Figure f : fields(item)) {
            figures.get(f.key()).update(f.value().quantity());
        }
        item.only(Run.class).ifPresent(run -> {
            size.update(run.size());
            for (Fitting f : Fitting.values()) {
                ((Label) body.lookup("#count-" + f.name().toLowerCase(java.util.Locale.ROOT)))
                        .setText(String.valueOf(run.count(f)));
            }
        });
        Session.Shown shown = session.shown().get();
        now.getChildren()
                .setAll(heading(
                        "Now",
                        shown.condition().attitude().label()
                                + String.join(
                                        "",
                                        shown.condition().positions().values().stream()
                                                .map(p -> ", " + p)
                                                .toList())));
        shown.look().ifPresentOrElse(l -> itemNow(item, l), () -> now.getChildren()
                .add(Ui.wrapped("Fix the layout first: nothing is computed.", "soft")));
        showFindings(shown.assessment().findingsOn(item.id()), false);
    }

    @SuppressWarnings("unchecked")
    private QuantityField<String> name() {
        return (QuantityField<String>) body.lookup("#item-name");
    }

    private void itemNow(Item item, CaseAnswer look) {
        whys = WhyFlow.ofItem(session.shown().get().project(), look, session.regime(), item);
        ItemNow shown = item.as(new ItemNow.Of(
                session.project().system(),
                look,
                session.regime(),
                session.units().get()));
        shown.rows().forEach(r -> row(r.label(), r.figure()));
        shown.note().ifPresent(n -> now.getChildren().add(Ui.wrapped(n, "soft")));
    }

    private void row(String label, String figure) {
        Figure value = new Figure(
                        "now-" + label.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'), "figure")
                .show(figure, Optional.ofNullable(whys.get(label)));
        if (label.length() + figure.length() <= ONE_ROW) {
            now.getChildren().add(new RowBox(Ui.label(label), Ui.spring(), value));
            return;
        }
        value.setWrapText(true);
        value.setMinHeight(Region.USE_PREF_SIZE);
        value.setMaxWidth(Double.MAX_VALUE);
        value.setAlignment(Pos.CENTER_RIGHT);
        value.setTextAlignment(TextAlignment.RIGHT);
        now.getChildren().add(new ColumnBox(Ui.wrapped(label), value));
    }

    private void showFindings(List<Finding> list, boolean links) {
        longFindings.show(
                list.isEmpty()
                        ? List.of(() -> Ui.wrapped("No findings.", "soft"))
                        : list.stream()
                                .<Supplier<Node>>map(f -> () -> finding(f, links))
                                .toList());
    }

    private Node finding(Finding f, boolean links) {
        FindingBox words = new FindingBox(f, session.units().get());
        HBox steps = new RowBox(4);
        session.project().system().item(f.item()).ifPresent(i -> {
            if (links) {
                steps.getChildren()
                        .add(Ui.button(
                                "Go to " + i.name(),
                                "go-to-" + i.id(),
                                () -> session.picked().set(i.id()),
                                "chip"));
            }
            i.only(Run.class)
                    .filter(r -> f.verdict() == Verdict.FAILS)
                    .ifPresent(run -> run.size().nextUp().ifPresent(s -> steps.getChildren()
                            .add(Ui.button(
                                    "Try " + s.shortName(),
                                    "try-" + run.id(),
                                    () -> session.apply(Edit.onItem(
                                            "Try " + s.shortName() + " for " + run.name(),
                                            run.id(),
                                            Run.class,
                                            r -> r.resized(s))),
                                    "chip"))));
        });
        if (!steps.getChildren().isEmpty()) {
            words.getChildren().add(steps);
        }
        HBox.setHgrow(words, Priority.ALWAYS);
        return words;
    }

    // nothing picked: the case

    private void buildCase() {
        figures.clear();
        size = null;
        body.getChildren().setAll(now, Ui.rule(), Ui.label("Findings", "group-title"), findings);
    }

    private void fillCase() {
        Session.Shown shown = session.shown().get();
        UnitSystem units = session.units().get();
        now.getChildren().setAll(Ui.label("Current case", "page-title"));
        shown.look().ifPresentOrElse(l -> caseNow(l, shown, units), () -> now.getChildren()
                .add(Ui.wrapped(
                        "Nothing can be computed yet. "
                                + shown.assessment().problems().stream()
                                        .findFirst()
                                        .map(p -> p.message() + " " + p.remedy())
                                        .orElse(""),
                        "soft")));
        showFindings(shown.assessment().findings(), true);
    }

    private void caseNow(CaseAnswer look, Session.Shown shown, UnitSystem units) {
        Assessment a = shown.assessment();
        whys = WhyFlow.ofCase(a.project(), look);
        CaseNow said = new CaseNow(a, look, session.regime(), units);
        now.getChildren().add(Ui.wrapped(said.label(), "soft"));
        said.rows().forEach(r -> row(r.label(), r.figure()));
        now.getChildren().add(Ui.wrapped(said.quotient(), "soft"));
        if (!said.obstacle().isEmpty()) {
            now.getChildren().add(Ui.wrapped(said.obstacle(), "wrong-text"));
        }
        said.budget().ifPresent(b -> {
            now.getChildren().addAll(new Label(), heading(b.title(), b.unit()));
            row("Surface to inlet", b.all());
            b.losses()
                    .forEach(l -> budgetRow(
                            l.name(),
                            l.share(),
                            l.figure(),
                            () -> WhyFlow.loss(a.project(), look, session.regime(), l.step())));
            row("Left at the inlet", b.left());
            now.getChildren().add(Ui.wrapped(b.words(), "soft"));
        });
    }

    private void budgetRow(String name, double share, String figure, Supplier<Why> why) {
        javafx.scene.layout.Region bar = new javafx.scene.layout.Region();
        bar.getStyleClass().add("gauge-fuel");
        double width = Math.max(1, Math.min(96, 96 * share));
        bar.setMinSize(width, 9);
        bar.setMaxSize(width, 9);
        HBox track = new RowBox(bar);
        track.setMinWidth(100);
        track.setAlignment(Pos.CENTER_LEFT);
        Label label = Ui.label(name);
        label.setMinWidth(96);
        label.setMaxWidth(96);
        Figure value = new Figure("", "figure").show(figure, Optional.of(why));
        value.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
        HBox box = new RowBox(6, label, track, Ui.spring(), value);
        box.setAlignment(Pos.CENTER_LEFT);
        now.getChildren().add(box);
    }
}
