package ration.desktop.air;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import javafx.beans.binding.BooleanBinding;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.answer.assess.AirMoves;
import ration.answer.assess.Assessment;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.FindingBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.physics.breathing.SamplingCard;
import ration.physics.breathing.VentSearch;
import ration.publish.drawing.AirPicture;
import ration.publish.drawing.Picture;
import ration.record.project.Edit;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/** Air and water: the vents in front, the wet lines behind, and where water and vapor gather. */
public final class AirPage extends LivePage {

    private final Session session;
    private final PicturePane picture;
    private final VBox card = new ColumnBox(10);
    private final ScrollPane side;
    private final StackPane stack = new StackPane();
    private final BooleanBinding small;
    private final ToggleButton cardShown = new ToggleButton("Vents and findings");
    private final Label words = Ui.label("", "soft");
    private final Set<String> blocked = new TreeSet<>();
    private final Map<String, VentSearch> searches = new TreeMap<>();
    private AirMoves.Kind moved = AirMoves.Kind.FEEDING;

    /**
     * @param pick shows an item on the Layout page
     * @param print writes the sampling card
     */
    public AirPage(Session session, Consumer<String> pick, Runnable print) {
        super(session, "air-page", "Vents and drains page");
        this.session = session;
        picture = new PicturePane("air-picture", this::picture, pick);
        picture.getStyleClass().add("flow-path");
        card.getStyleClass().add("card-body");
        card.setId("air-card");
        side = Ui.side(card, 380, 340);
        side.setId("air-side");
        setTop(head(print));
        small = Ui.inSmallWindow(this);
        small.addListener((o, was, now) -> placeCard());
        cardShown.selectedProperty().addListener((o, was, now) -> placeCard());
        stack.getChildren().add(picture);
        setCenter(stack);
        setRight(side);
    }

    private HBox head(Runnable print) {
        Label title = Ui.whole(Ui.label("Vents & drains", "page-title"));
        HBox kinds = new RowBox(4);
        kinds.setAlignment(Pos.CENTER_LEFT);
        ToggleGroup group = new ToggleGroup();
        for (AirMoves.Kind kind : AirMoves.Kind.values()) {
            ToggleButton b = Ui.whole(new ToggleButton(kind.label()));
            b.setId("air-" + kind.name().toLowerCase(java.util.Locale.ROOT));
            b.setAccessibleText(kind.label() + ": " + kind.words());
            b.getStyleClass().add("chip");
            b.setToggleGroup(group);
            b.setSelected(kind == moved);
            b.setOnAction(e -> {
                moved = kind;
                b.setSelected(true);
                update();
            });
            kinds.getChildren().add(b);
        }
        words.setMinWidth(0);
        cardShown.setId("air-card-shown");
        cardShown.getStyleClass().add("chip");
        cardShown.setAccessibleText("Show the vents and findings");
        Ui.whole(cardShown);
        cardShown.visibleProperty().bind(Ui.inSmallWindow(this));
        cardShown.managedProperty().bind(cardShown.visibleProperty());
        HBox head = new RowBox(
                8,
                title,
                kinds,
                words,
                Ui.spring(),
                cardShown,
                Ui.whole(Ui.button("Sampling card, PDF\u2026", "sampling-print", print)));
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("page-head");
        return head;
    }

    /** Beside the picture; in a small window over it, while it is asked for. */
    private void placeCard() {
        if (small.get() && getRight() == side) {
            setRight(null);
            stack.getChildren().add(side);
            StackPane.setAlignment(side, Pos.CENTER_RIGHT);
        } else if (!small.get() && getRight() != side) {
            stack.getChildren().remove(side);
            setRight(side);
        }
        side.setVisible(!small.get() || cardShown.isSelected());
    }

    private Picture picture(double width, double height) {
        Session.Shown now = session.shown().get();
        return AirPicture.draw(
                now.assessment(),
                now.condition(),
                now.look(),
                new AirPicture.Shown(AirMoves.of(now.assessment(), now.look(), moved, blocked), blocked),
                session.units().get(),
                width,
                height,
                Tokens.measure());
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        blocked.removeIf(id -> a.project().system().item(id).isEmpty());
        // a vent that was changed is searched anew
        searches.entrySet().removeIf(e -> a.project()
                .system()
                .item(e.getKey())
                .flatMap(i -> VentSearch.of(a.project().system(), i))
                .filter(s -> s.places().equals(e.getValue().places()))
                .isEmpty());
        words.setText(moved.words());
        picture.redraw();
        AirWords said = new AirWords(a, blocked, session.units().get());
        card.getChildren().setAll(Ui.label("Vent pressure drop", "page-title"));
        if (a.air().isEmpty()) {
            card.getChildren()
                    .add(Ui.wrapped("Nothing is computed yet: add a tank, its vent and a line to the engine.", "soft"));
        }
        said.vents().forEach(v -> card.getChildren().add(vent(v)));
        card.getChildren().addAll(Ui.rule(), Ui.label("Sample before flight, walk-around order", "group-title"));
        said.samples().forEach(line -> card.getChildren().add(Ui.wrapped(line)));
        SamplingCard.caps(a.project().system()).ifPresent(words -> {
            Label caps = Ui.wrapped(words, "soft");
            caps.setId("sampling-caps");
            card.getChildren().add(caps);
        });
        card.getChildren()
                .add(Ui.wrapped(
                        "Check color, water, debris. Catch each sample; dispose of it as hazardous waste.", "soft"));
        card.getChildren().addAll(Ui.rule(), Ui.label("Findings", "group-title"));
        said.findings().forEach(f -> card.getChildren()
                .add(new FindingBox(f, session.units().get())));
        if (said.findings().isEmpty()) {
            card.getChildren().add(Ui.wrapped("No findings yet. That does not mean good.", "soft"));
        }
    }

    private VBox vent(AirWords.Vent v) {
        VBox box = new ColumnBox(4, head(v.item()));
        if (!v.said()) {
            box.getChildren()
                    .add(Ui.wrapped(
                            "Vent bore and length not entered: enter the vent line on the tank's card.", "soft"));
        }
        if (!v.rows().isEmpty()) {
            GridPane grid = new GridPane();
            grid.setHgap(10);
            for (AirWords.Row r : v.rows()) {
                Label name = Ui.label(r.what());
                GridPane.setHgrow(name, Priority.ALWAYS);
                name.setMaxWidth(Double.MAX_VALUE);
                grid.addRow(grid.getRowCount(), name, Ui.label(r.air(), "soft"), Ui.label(r.cost(), "bold"));
            }
            box.getChildren().add(grid);
        }
        Optional.ofNullable(searches.get(v.item().id()))
                .ifPresent(s -> box.getChildren().add(search(v.item(), s)));
        v.blocked().ifPresent(words -> {
            Label stops = Ui.wrapped(words, "sentence", "short");
            stops.setId("blocked-" + v.item().id());
            box.getChildren().add(stops);
        });
        return box;
    }

    /** The look in hand of a search for what keeps a tank from filling. */
    private VBox search(Item item, VentSearch search) {
        AirWords.Look look = words().look(search);
        Label title = Ui.label(look.title(), "bold");
        title.setId("search-title-" + item.id());
        VBox box = new ColumnBox(4, title, Ui.wrapped(look.words(), "plain-text"));
        HBox heard = new RowBox(4);
        if (look.asks()) {
            for (VentSearch.Heard h : VentSearch.Heard.values()) {
                heard.getChildren()
                        .add(Ui.button(
                                h.word(),
                                "search-" + item.id() + "-" + h.word(),
                                () -> {
                                    searches.put(item.id(), search.heard(h));
                                    update();
                                },
                                "chip"));
            }
        }
        if (!look.asks() && item.only(Tank.class).isPresent()) {
            heard.getChildren()
                    .addAll(
                            Ui.button(
                                    "Blocked: note it",
                                    "search-" + item.id() + "-found",
                                    () -> note(item, true),
                                    "chip"),
                            Ui.button(
                                    "Free: note it", "search-" + item.id() + "-not", () -> note(item, false), "chip"));
        }
        heard.getChildren()
                .add(Ui.button(
                        "Start over",
                        "search-" + item.id() + "-again",
                        () -> {
                            begin(item);
                            update();
                        },
                        "chip"));
        box.getChildren().add(heard);
        return box;
    }

    /** What the search came to is a sign for Troubleshoot: a tank that will not fill, or one that takes its fuel. */
    private void note(Item tank, boolean blocked) {
        Reading sign = Reading.sign(
                tank.id(),
                Reading.What.WILL_NOT_FILL,
                blocked,
                new Setting(session.condition(), Set.of(Setting.Manoeuvre.ENGINE_STOPPED)));
        session.apply(Edit.of("Add a reading", p -> {
            List<Reading> all = new ArrayList<>(p.readings());
            all.add(sign);
            return p.withReadings(all);
        }));
        session.done("Noted among the readings of Troubleshoot: " + tank.name()
                + (blocked ? " will not fill." : " takes its fuel."));
        begin(tank);
        update();
    }

    private void begin(Item item) {
        VentSearch.of(session.project().system(), item)
                .ifPresentOrElse(
                        s -> searches.put(item.id(), s),
                        () -> session.say("Enter the vent line on the card of " + item.name() + " first."));
    }

    private AirWords words() {
        return new AirWords(
                session.shown().get().assessment(), blocked, session.units().get());
    }

    /** What is vented, and the button that shuts its vent in the picture and says what comes of it. */
    private HBox head(Item item) {
        ToggleButton block = new ToggleButton(blocked.contains(item.id()) ? "Vent blocked" : "Simulate blocked vent");
        block.setId("block-" + item.id());
        block.setAccessibleText("Block the vent of " + item.name());
        block.setSelected(blocked.contains(item.id()));
        block.getStyleClass().add("chip");
        block.setOnAction(e -> {
            if (!blocked.remove(item.id())) {
                blocked.add(item.id());
            }
            update();
            lookup("#block-" + item.id()).requestFocus();
        });
        HBox head = new RowBox(8, Ui.label(item.name(), "bold"), Ui.spring());
        if (item.only(Tank.class).isPresent()) {
            ToggleButton fill = new ToggleButton("Will not fill");
            fill.setId("fill-" + item.id());
            fill.setAccessibleText("Search why " + item.name() + " will not fill");
            fill.setSelected(searches.containsKey(item.id()));
            fill.getStyleClass().add("chip");
            fill.setOnAction(e -> {
                if (searches.remove(item.id()) == null) {
                    begin(item);
                }
                update();
            });
            head.getChildren().add(fill);
        }
        head.getChildren().add(block);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }
}
