package ration.desktop.layout;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.desktop.control.Cover;
import ration.desktop.control.EachPulse;
import ration.desktop.session.Session;
import ration.desktop.style.PictureNodes;
import ration.desktop.style.Tokens;
import ration.publish.drawing.Picture;
import ration.publish.drawing.Schematic;
import ration.publish.drawing.SchematicSubject;
import ration.publish.drawing.SchematicView;
import ration.publish.drawing.TextMeasure;

/**
 * Shows the schematic: pick by click, zoom by wheel, pan by dragging the ground, move an item across by dragging it.
 */
final class SchematicPane extends Pane {

    private static final double MOST_ZOOM = 6;
    private static final double ZOOM_STEP = 1.25;
    private static final PseudoClass BEGUN = PseudoClass.getPseudoClass("begun");

    private final Session session;
    private final TextMeasure measure = Tokens.measure();
    private final Group drawing = new Group();
    private final Cover cover = new Cover(this);
    private final Consumer<String> onPick;
    private final Consumer<PortRef> onPort;
    /** The port a run is begun at. */
    private Optional<PortRef> begun = Optional.empty();

    private double zoom = 1;
    private double panX;
    private double panY;
    private double dragX;
    private double dragY;
    private boolean dragged;
    /** The item the pointer holds, and where it took it. */
    private String held = "";

    private double heldFrom;
    private SchematicView.Layers layers = SchematicView.Layers.ALL;
    private Picture picture;
    /** Drawn once for whatever changed, or with the first layout, whichever comes first. */
    private final EachPulse pulse = new EachPulse(() -> {
        if (getScene() != null) {
            redraw();
        }
    });

    /**
     * A drawing that tells what is clicked.
     *
     * @param onPick told the id of an item, empty for the ground
     * @param onPort told a port that no run reaches
     */
    SchematicPane(Session session, Consumer<String> onPick, Consumer<PortRef> onPort) {
        this.session = session;
        this.onPick = onPick;
        this.onPort = onPort;
        setId("schematic");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setMinSize(300, 200);
        drawing.setManaged(false);
        getChildren().add(drawing);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        widthProperty().addListener((o, was, now) -> redraw());
        heightProperty().addListener((o, was, now) -> redraw());
        session.whileOpen().follow(session.shown(), pulse::ask);
        session.whileOpen().follow(session.picked(), pulse::ask);
        session.whileOpen().follow(session.units(), pulse::ask);
        session.whileOpen().follow(session.chosenRegime(), pulse::ask);
        sceneProperty().addListener((o, was, now) -> pulse.ask());
        setOnMousePressed(e -> {
            requestFocus();
            dragX = e.getX();
            dragY = e.getY();
            dragged = false;
            held = e.isSecondaryButtonDown()
                    ? ""
                    : movable(itemAt(e.getPickResult().getIntersectedNode()));
            heldFrom = e.getX();
        });
        setOnMouseDragged(e -> {
            if (!held.isEmpty() && (dragged || Math.abs(e.getX() - heldFrom) > 5)) {
                dragged = true;
                drawing.getChildren().stream()
                        .filter(n -> held.equals(n.getUserData()))
                        .forEach(n -> n.setTranslateX(e.getX() - heldFrom));
            } else if (held.isEmpty() && (dragged || Math.hypot(e.getX() - dragX, e.getY() - dragY) > 5)) {
                dragged = true;
                panX += e.getX() - dragX;
                panY += e.getY() - dragY;
                dragX = e.getX();
                dragY = e.getY();
                redraw();
            }
        });
        setOnMouseReleased(e -> {
            if (dragged && !held.isEmpty()) {
                session.picked().set(held);
                LayoutActions.shift(session, held, (e.getX() - heldFrom) / getWidth() / zoom);
                redraw();
            }
        });
        setOnMouseClicked(e -> {
            if (!dragged) {
                String at = itemAt(e.getPickResult().getIntersectedNode());
                openPort(at).ifPresentOrElse(onPort, () -> onPick.accept(at));
            }
        });
        setOnScroll(e -> {
            if (e.getDeltaY() != 0) {
                zoomAbout(e.getX(), e.getY(), e.getDeltaY() > 0 ? ZOOM_STEP : 1 / ZOOM_STEP);
            }
        });
    }

    private String itemAt(Node node) {
        for (Node n = node; n != null && n != this; n = n.getParent()) {
            if (n.getUserData() instanceof String id && !id.isEmpty()) {
                return id;
            }
        }
        return "";
    }

    private Optional<PortRef> openPort(String written) {
        return session.shown().get().project().system().openPorts().stream()
                .filter(p -> p.toString().equals(written))
                .findFirst();
    }

    /** Marks the port a run is begun at, or none. */
    void begin(Optional<PortRef> port) {
        begun = port;
        redraw();
    }

    /** The item, if it may be moved across: lines follow what they join. */
    private String movable(String id) {
        return session.shown()
                .get()
                .project()
                .system()
                .item(id)
                .filter(i -> i.only(ration.aircraft.model.Run.class).isEmpty())
                .map(Item::id)
                .orElse("");
    }

    /** Whether an item is drawn in the part of the picture that a card as wide as this would cover at its right. */
    boolean atTheRight(String id, double wide) {
        return drawing.getChildren().stream()
                        .filter(n -> !id.isEmpty() && id.equals(n.getUserData()))
                        .mapToDouble(n -> n.getBoundsInParent().getMaxX())
                        .max()
                        .orElse(0)
                > getWidth() - wide;
    }

    void zoomBy(boolean in) {
        zoomAbout(getWidth() / 2, getHeight() / 2, in ? ZOOM_STEP : 1 / ZOOM_STEP);
    }

    void fit() {
        zoom = 1;
        panX = 0;
        panY = 0;
        redraw();
    }

    private void zoomAbout(double x, double y, double factor) {
        double next = Math.max(1, Math.min(MOST_ZOOM, zoom * factor));
        double change = next / zoom;
        panX = (x - getWidth() / 2) * (1 - change) + panX * change;
        panY = (y - getHeight() / 2) * (1 - change) + panY * change;
        zoom = next;
        if (zoom == 1) {
            panX = 0;
            panY = 0;
        }
        redraw();
    }

    void show(SchematicView.Layers chosen) {
        layers = chosen;
        redraw();
    }

    Picture picture() {
        return picture;
    }

    private void redraw() {
        if (getWidth() >= 50 && getHeight() >= 50) {
            pulse.done();
            cover.guard(this::drawn);
        }
    }

    private void drawn() {
        Session.Shown shown = session.shown().get();
        picture = Schematic.draw(
                new SchematicSubject(
                        shown.project().system(),
                        shown.project().brief().envelope().attitudes(),
                        shown.condition(),
                        shown.look(),
                        session.picked().get(),
                        session.units().get(),
                        session.regime()),
                new SchematicView(getWidth(), getHeight(), zoom, panX, panY, layers),
                measure);
        drawing.getChildren().clear();
        StringBuilder words = new StringBuilder("Schematic");
        for (Picture.Piece piece : picture.pieces()) {
            Group group = PictureNodes.group(piece);
            if (piece.kind() == Picture.Kind.PORT) {
                group.setId("port-" + piece.item().replace('.', '-'));
                group.getStyleClass().add("open-port");
                group.pseudoClassStateChanged(
                        BEGUN,
                        begun.filter(p -> p.toString().equals(piece.item())).isPresent());
            }
            drawing.getChildren().add(group);
            if (!piece.words().isEmpty()) {
                words.append(". ").append(piece.words());
            }
        }
        setAccessibleText(words.toString());
    }
}
