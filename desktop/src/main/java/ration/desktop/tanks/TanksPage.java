package ration.desktop.tanks;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;

/** Tanks: what stays in each, why, what its gauge reads, how it is shaped. */
public final class TanksPage extends LivePage {

    private final Session session;
    private final HBox tanks = new RowBox(3);
    private final ToggleGroup tankGroup = new ToggleGroup();
    private final ToggleGroup viewGroup = new ToggleGroup();
    private final StayView stay;
    private final ShapeView shape;
    private final AllTanksView every;
    private final Label nothing =
            Ui.wrapped("No tank yet. Add one on Layout: select the engine inlet and press A.", "soft");
    private String chosen = "";
    private List<String> structure = List.of();

    /** @param print writes the gauge card of a tank */
    public TanksPage(Session session, java.util.function.Consumer<String> print) {
        super(session, "tanks-page", "Tanks page");
        this.session = session;
        stay = new StayView(session, print);
        shape = new ShapeView(session);
        every = new AllTanksView(session);
        nothing.setPadding(new javafx.geometry.Insets(16));
        HBox head = new RowBox(
                10,
                Ui.label("Tanks", "page-title"),
                tanks,
                Ui.spring(),
                view("Unusable fuel", "view-stays", stay),
                view("Shape", "view-shape", shape),
                view("All tanks", "view-all-tanks", every));
        ((Label) head.getChildren().get(0)).setMinWidth(Region.USE_PREF_SIZE);
        head.setAlignment(Pos.CENTER_LEFT);
        tanks.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("page-head");
        setTop(head);
    }

    private ToggleButton view(String text, String id, Node node) {
        ToggleButton button = new ToggleButton(text);
        button.setId(id);
        button.setToggleGroup(viewGroup);
        button.getStyleClass().add("chip");
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setSelected(node == stay);
        button.setOnAction(e -> {
            button.setSelected(true);
            update();
        });
        return button;
    }

    /** Shows a tank. */
    public void choose(String tank) {
        chosen = tank;
        update();
    }

    @Override
    protected void refresh() {
        Assessment a = session.shown().get().assessment();
        List<Tank> all = a.project().system().tanks();
        if (all.stream().noneMatch(t -> t.id().equals(chosen))) {
            chosen = a.governingTank()
                    .map(t -> t.tank().id())
                    .orElse(all.isEmpty() ? "" : all.get(0).id());
        }
        List<String> wanted = all.stream().map(t -> t.id() + "\n" + t.name()).toList();
        if (!wanted.equals(structure)) {
            structure = wanted;
            tanks.getChildren().clear();
            for (Tank t : all) {
                ToggleButton button = new ToggleButton(t.name());
                button.setId("tank-" + t.id());
                button.setUserData(t.id());
                button.setMnemonicParsing(false);
                button.setToggleGroup(tankGroup);
                button.setOnAction(e -> choose(t.id()));
                tanks.getChildren().add(button);
            }
        }
        tanks.getChildren().forEach(n -> ((ToggleButton) n).setSelected(chosen.equals(n.getUserData())));
        Optional<Tank> tank = all.stream().filter(t -> t.id().equals(chosen)).findFirst();
        boolean shaping = viewGroup.getSelectedToggle() != null
                && "view-shape".equals(((ToggleButton) viewGroup.getSelectedToggle()).getId());
        Optional<TankAnswer> answer = a.tank(chosen);
        boolean together = viewGroup.getSelectedToggle() != null
                && "view-all-tanks".equals(((ToggleButton) viewGroup.getSelectedToggle()).getId());
        if (tank.isEmpty()) {
            setCenter(nothing);
        } else if (together) {
            setCenter(every);
            every.show(a);
        } else if (shaping || answer.isEmpty()) {
            setCenter(shape);
            shape.show(tank.get());
        } else {
            setCenter(stay);
            stay.show(answer.get());
        }
    }
}
