package ration.desktop.vapor;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.util.StringConverter;
import ration.aircraft.heat.Zone;
import ration.aircraft.model.Fitted;
import ration.aircraft.model.Item;
import ration.aircraft.model.Tank;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.record.project.Edit;
import ration.record.project.Project;

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
                                "By location: engine bay forward of the firewall, cabin aft of it. A shrouded"
                                        + " part gets blast air in flight only, none at idle or after shutdown.",
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

    private static final StringConverter<Optional<Zone>> WORDS = new StringConverter<>() {
        @Override
        public String toString(Optional<Zone> zone) {
            return zone == null ? "" : zone.map(Zone::label).orElse(BY_PLACE);
        }

        @Override
        public Optional<Zone> fromString(String text) {
            throw new UnsupportedOperationException("it is chosen, not written");
        }
    };

    private ChoiceBox<Optional<Zone>> choice(Item item, Project project) {
        List<Optional<Zone>> zones = new ArrayList<>(List.of(Optional.empty()));
        for (Zone z : Zone.values()) {
            // a shroud is put round a body
            if (z != Zone.SHROUD || item.only(Fitted.class).isPresent()) {
                zones.add(Optional.of(z));
            }
        }
        ChoiceBox<Optional<Zone>> box = new ChoiceBox<>();
        box.setConverter(WORDS);
        box.getItems().setAll(zones);
        box.setValue(Optional.ofNullable(project.heat().zones().get(item.id())));
        box.setId("zone-" + item.id());
        box.setAccessibleText("Where " + item.name() + " stands");
        box.valueProperty()
                .addListener((o, was, now) -> session.apply(Edit.of(
                        "Place " + item.name(),
                        p -> p.with(now.map(z -> p.heat().withZone(item.id(), z))
                                .orElseGet(() -> p.heat().withoutZone(item.id()))))));
        return box;
    }
}
