package ration.desktop.air;

import java.util.List;
import java.util.Set;
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
import ration.assess.AirAnswer;
import ration.assess.AirMoves;
import ration.assess.Assessment;
import ration.breathing.SamplingCard;
import ration.check.Check;
import ration.check.Finding;
import ration.desktop.control.FindingBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.PicturePane;
import ration.desktop.style.Tokens;
import ration.drawing.AirPicture;
import ration.drawing.Picture;
import ration.model.Item;
import ration.model.VentPlenum;
import ration.quantity.Dimension;
import ration.quantity.UnitSystem;

/** Air and water: the vents in front, the wet lines behind, and where water and vapor gather. */
public final class AirPage extends LivePage {

    private final Session session;
    private final PicturePane picture;
    private final VBox card = new VBox(10);
    private final ScrollPane side;
    private final StackPane stack = new StackPane();
    private final BooleanBinding small;
    private final ToggleButton cardShown = new ToggleButton("Vents and checks");
    private final Label words = Ui.label("", "soft");
    private final Set<String> blocked = new TreeSet<>();
    private AirMoves.Kind moved = AirMoves.Kind.FEEDING;

    /**
     * @param pick  shows an item on the Layout page
     * @param print writes the sampling card
     */
    public AirPage(Session session, Consumer<String> pick, Runnable print) {
        super(session, "air-page", "Air and water page");
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
        Label title = Ui.whole(Ui.label("Air & water", "page-title"));
        HBox kinds = new HBox(4);
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
        cardShown.setAccessibleText("Show the vents and what the checks say");
        Ui.whole(cardShown);
        cardShown.visibleProperty().bind(Ui.inSmallWindow(this));
        cardShown.managedProperty().bind(cardShown.visibleProperty());
        HBox head = new HBox(8, title, kinds, words, Ui.spring(), cardShown, Ui.whole(Ui.button("Sampling card, PDF\u2026", "sampling-print", print)));
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
        return AirPicture.draw(now.assessment(), now.condition(), now.look(), new AirPicture.Shown(AirMoves.of(now.assessment(), now.look(), moved, blocked), blocked),
                session.units().get(), width, height, Tokens.measure());
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        blocked.removeIf(id -> a.project().system().item(id).isEmpty());
        words.setText(moved.words());
        picture.redraw();
        card.getChildren().setAll(Ui.label("What each vent costs", "page-title"));
        if (a.air().isEmpty()) {
            card.getChildren().add(Ui.wrapped("Nothing is computed yet: lay out a tank, its vent and a line to the engine.", "soft"));
        }
        a.air().forEach(x -> card.getChildren().add(vent(x)));
        a.project().system().all(VentPlenum.class).forEach(p -> {
            VBox box = new VBox(4, head(p));
            blockedWords(p, box);
            card.getChildren().add(box);
        });
        card.getChildren().addAll(Ui.rule(), Ui.label("Sample before flight, in walk-round order", "group-title"));
        int n = 1;
        for (SamplingCard.Drain d : SamplingCard.of(a.project().system())) {
            card.getChildren().add(Ui.label(n++ + "  " + d.name()));
        }
        if (n == 1) {
            card.getChildren().add(Ui.wrapped("No drain is laid out.", "soft"));
        }
        SamplingCard.caps(a.project().system()).ifPresent(words -> {
            Label caps = Ui.wrapped(words, "soft");
            caps.setId("sampling-caps");
            card.getChildren().add(caps);
        });
        card.getChildren().add(Ui.wrapped("Colour, water, grit. Catch it, look at it, and treat it as hazardous waste.", "soft"));
        card.getChildren().addAll(Ui.rule(), Ui.label("What the checks say", "group-title"));
        List<Finding> said = a.findings().stream().filter(f -> f.topic() == Check.Topic.AIR && f.check() != Check.AIR_BLOCKED).toList();
        said.forEach(f -> card.getChildren().add(new FindingBox(f, session.units().get())));
        if (said.isEmpty()) {
            card.getChildren().add(Ui.wrapped("Nothing yet: not shown is not the same as good.", "soft"));
        }
    }

    private VBox vent(AirAnswer a) {
        UnitSystem u = session.units().get();
        VBox box = new VBox(4, head(a.tank()));
        a.line().ifPresentOrElse(l -> {
            GridPane grid = new GridPane();
            grid.setHgap(10);
            row(grid, 0, "feeding", a.feeding(), a.drop(a.feeding()), u);
            row(grid, 1, "descending", a.descending(), a.drop(a.descending()), u);
            row(grid, 2, "filling", a.filling(), a.drop(a.filling()), u);
            if (a.returning() > 0) {
                row(grid, 3, "fuel coming back", a.returning(), a.drop(a.returning()), u);
            }
            box.getChildren().add(grid);
        }, () -> box.getChildren().add(Ui.wrapped("Bore and length are not said: give the vent line on the tank's card.", "soft")));
        blockedWords(a.tank(), box);
        return box;
    }

    /** What is vented, and the button that shuts its vent in the picture and says what comes of it. */
    private HBox head(Item item) {
        ToggleButton block = new ToggleButton(blocked.contains(item.id()) ? "Blocked" : "Block it");
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
        HBox head = new HBox(8, Ui.label(item.name(), "bold"), Ui.spring(), block);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    private void blockedWords(Item item, VBox box) {
        if (blocked.contains(item.id())) {
            Label words = Ui.wrapped(session.shown().get().assessment().findings().stream().filter(f -> f.check() == Check.AIR_BLOCKED
                    && f.item().equals(item.id())).findFirst().map(f -> f.detail().in(session.units().get())).orElse("What stops is not"
                    + " computed."), "sentence", "short");
            words.setId("blocked-" + item.id());
            box.getChildren().add(words);
        }
    }

    private static void row(GridPane grid, int n, String what, double flow, double drop, UnitSystem u) {
        Label name = Ui.label(what);
        GridPane.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        grid.addRow(n, name, Ui.label(u.text(flow, Dimension.FLOW) + " of air", "soft"), Ui.label(u.small(drop), "bold"));
    }
}
