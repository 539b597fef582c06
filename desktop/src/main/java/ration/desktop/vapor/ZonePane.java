package ration.desktop.vapor;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.heat.Zone;
import ration.model.Fitted;
import ration.model.Item;
import ration.model.Tank;
import ration.project.Edit;
import ration.project.Project;

/** What air each part stands in, where that is not what its place says. */
final class ZonePane extends ColumnBox {

    private static final String BY_PLACE = "By its place";

    private final Session session;
    private final GridPane grid = new GridPane();
    private Project shown;

    ZonePane(Session session) {
        super(4);
        this.session = session;
        grid.setHgap(8);
        grid.setVgap(3);
        getChildren()
                .addAll(
                        Ui.label("Where parts stand", "group-title"),
                        Ui.wrapped(
                                "By its place is the engine bay before the"
                                        + " firewall, the cabin behind it. A part in a cooling shroud has blast"
                                        + " air in flight, and none idling or after"
                                        + " shutdown.",
                                "soft"),
                        grid);
    }

    void update(Project project) {
        if (shown != null
                && shown.system().equals(project.system())
                && shown.heat().zones().equals(project.heat().zones())) {
            shown = project;
            return;
        }
        shown = project;
        grid.getChildren().clear();
        int row = 0;
        for (Item item : project.system().items()) {
            if (item.only(Tank.class).isEmpty()) {
                Label name = Ui.label(item.name());
                name.setMaxWidth(Double.MAX_VALUE);
                GridPane.setHgrow(name, Priority.ALWAYS);
                grid.addRow(row++, name, choice(item, project));
            }
        }
    }

    private ChoiceBox<String> choice(Item item, Project project) {
        List<String> words = new ArrayList<>(List.of(BY_PLACE));
        for (Zone z : Zone.values()) {
            // a shroud is put round a body
            if (z != Zone.SHROUD || item.only(Fitted.class).isPresent()) {
                words.add(z.label());
            }
        }
        ChoiceBox<String> box = new ChoiceBox<>();
        box.getItems().setAll(words);
        Zone said = project.heat().zones().get(item.id());
        box.setValue(said == null ? BY_PLACE : said.label());
        box.setId("zone-" + item.id());
        box.setAccessibleText("Where " + item.name() + " stands");
        box.valueProperty().addListener((o, was, now) -> {
            Optional<Zone> at = Arrays.stream(Zone.values())
                    .filter(z -> z.label().equals(now))
                    .findFirst();
            session.apply(Edit.of(
                    "Place " + item.name(),
                    p -> p.with(at.map(z -> p.heat().withZone(item.id(), z))
                            .orElseGet(() -> p.heat().withoutZone(item.id())))));
        });
        return box;
    }
}
