package ration.desktop.frame;

import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.HBox;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.RowBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;
import ration.desktop.style.Tokens;
import ration.record.file.ProjectFile;
import ration.record.project.Brief;
import ration.record.project.Project;

/** The name of the aircraft at the upper left, and under it the document's menu. */
final class TitleCell extends Button {

    private final Session session;
    private final FileDialogs dialogs;
    private final Documents documents;
    private final Exports exports;
    private final OpeningCard openingCard;
    private final Runnable showKeys;
    private final Runnable showTerms;
    private final Runnable showStart;
    private final Runnable otherColors;
    private final Runnable guide;
    private final Runnable measure;
    private final Runnable larger;
    private final Label aircraft = Ui.wrapped("", "aircraft");
    private final Label subtitle = Ui.wrapped("", "soft");
    private final ReadOnlyStringWrapper windowTitle = new ReadOnlyStringWrapper("");

    TitleCell(
            Session session,
            FileDialogs dialogs,
            Documents documents,
            Exports exports,
            OpeningCard openingCard,
            Runnable showKeys,
            Runnable showTerms,
            Runnable showStart,
            Runnable otherColors,
            Runnable guide,
            Runnable measure,
            Runnable larger) {
        this.session = session;
        this.dialogs = dialogs;
        this.documents = documents;
        this.exports = exports;
        this.openingCard = openingCard;
        this.showKeys = showKeys;
        this.showTerms = showTerms;
        this.showStart = showStart;
        this.otherColors = otherColors;
        this.guide = guide;
        this.measure = measure;
        this.larger = larger;
        HBox name = new RowBox(6, aircraft, Ui.label("\u25be", "soft"));
        name.setAlignment(Pos.CENTER_LEFT);
        setId("document-menu");
        aircraft.setMaxWidth(SUBTITLE - 14);
        aircraft.textProperty().addListener((o, was, now) -> {
            aircraft.getStyleClass().remove("aircraft-long");
            if (now.length() > LONG) {
                aircraft.getStyleClass().add("aircraft-long");
            }
        });
        subtitle.setMaxWidth(SUBTITLE);
        subtitle.setPrefWidth(SUBTITLE);
        setGraphic(new ColumnBox(name, subtitle));
        getStyleClass().setAll("title-cell");
        setAccessibleText("Document menu");
        setMinWidth(170);
        setPrefWidth(236);
        setMaxWidth(236);
        setMaxHeight(Double.MAX_VALUE);
        setAlignment(Pos.CENTER_LEFT);
        setOnAction(e -> menu().show(this, Side.BOTTOM, 12, -6));
        session.shown().addListener((o, was, now) -> titles());
        session.changed().addListener((o, was, now) -> titles());
        session.file().addListener((o, was, now) -> titles());
        titles();
    }

    private static final double SUBTITLE = 206;
    /** Letters of a name that finds no room in one line. */
    private static final int LONG = 19;

    /** What the window is called. */
    ReadOnlyStringProperty windowTitle() {
        return windowTitle.getReadOnlyProperty();
    }

    private void titles() {
        Titles words = new Titles(
                session.shown().get().project(),
                session.changed().get(),
                Optional.ofNullable(session.file().get()));
        aircraft.setText(words.aircraft());
        subtitle.setText(words.subtitle());
        windowTitle.set(words.window());
    }

    /** A document by its names. */
    record Titles(Project project, boolean changed, Optional<Path> file) {

        String aircraft() {
            return project.name() + (changed ? " \u2022" : "");
        }

        String subtitle() {
            Brief b = project.brief();
            return b.engine().isBlank()
                    ? b.delivery().label() + " feed"
                    : b.engine() + ", " + b.delivery().label().toLowerCase(java.util.Locale.ROOT)
                            + (b.delivery() == Brief.Delivery.GRAVITY ? " feed" : " fed");
        }

        String window() {
            return project.name() + (changed ? " (not saved)" : "")
                    + file.map(f -> " \u2013 " + f.getFileName()).orElse("") + " \u2013 Ration";
        }
    }

    private ContextMenu menu() {
        ContextMenu menu = new ContextMenu();
        menu.getItems()
                .addAll(
                        item("Start page", "menu-start", null, showStart),
                        item("New", "menu-new", "Ctrl+N", documents::startNew),
                        item("Open\u2026", "menu-open", "Ctrl+O", documents::askOpen),
                        item("Open the example", "menu-demo", null, () -> documents.openDemo(ProjectFile.DEMO)));
        for (String demo : ProjectFile.demos().subList(1, ProjectFile.demos().size())) {
            menu.getItems()
                    .add(item("Open the example " + demo, "menu-demo-" + demo, null, () -> documents.openDemo(demo)));
        }
        Menu systems = new Menu("Example systems");
        systems.setId("menu-systems");
        ProjectFile.systems().forEach(s -> systems.getItems()
                .add(item(
                        Character.toUpperCase(s.charAt(0)) + s.substring(1).replace('-', ' '),
                        "menu-system-" + s,
                        null,
                        () -> documents.openDemo(s))));
        menu.getItems().add(systems);
        for (Path recent : session.home().recent()) {
            menu.getItems()
                    .add(item(
                            recent.getFileName().toString(),
                            "menu-recent",
                            null,
                            () -> documents.settled(() -> documents.leave(() -> documents.open(recent)))));
        }
        menu.getItems()
                .addAll(
                        new SeparatorMenuItem(),
                        item("Save", "menu-save", "Ctrl+S", documents::save),
                        item("Save as\u2026", "menu-save-as", "Ctrl+Shift+S", documents::saveAs),
                        new SeparatorMenuItem(),
                        item("Drawing as PDF\u2026", "menu-drawing-pdf", null, exports::drawingPdf),
                        item("Drawing as SVG\u2026", "menu-drawing-svg", null, exports::drawingSvg),
                        item("Case matrix as CSV\u2026", "menu-matrix", null, exports::matrix),
                        item("This case as EPANET network\u2026", "menu-network", null, exports::network),
                        item("Compare with an earlier document\u2026", "menu-compare", null, () -> dialogs.toOpen(
                                        FileDialogs.Kind.DOCUMENT)
                                .ifPresent(path -> {
                                    openingCard.doing("Comparing with " + path.getFileName());
                                    session.compare(path);
                                })),
                        item("Packet for the inspector as PDF\u2026", "menu-packet", null, () -> {
                            openingCard.doing("Writing the packet");
                            exports.packet(session.opening());
                        }),
                        item("Line sheet as PDF\u2026", "menu-runs-pdf", null, exports::print),
                        item("Measuring sheet as PDF\u2026", "menu-measuring", null, exports::measuringSheet),
                        new SeparatorMenuItem(),
                        item(named("Undo", session.undoName()), "menu-undo", "Ctrl+Z", session::undo),
                        item(named("Redo", session.redoName()), "menu-redo", "Ctrl+Shift+Z", session::redo),
                        new SeparatorMenuItem(),
                        item(
                                Tokens.scheme() == Tokens.Scheme.DAY ? "Night colors" : "Day colors",
                                "menu-colors",
                                "Ctrl+Shift+L",
                                otherColors),
                        item("Larger text, 100 to 175%", "menu-text-size", "Ctrl+=", larger),
                        item("Guide", "menu-guide", "F1", guide),
                        item("Measure, place by place", "menu-measure", null, measure),
                        item("Keys", "menu-keys", null, showKeys),
                        item("Terms", "menu-terms", null, showTerms),
                        item(
                                "Report a problem\u2026",
                                "menu-problem",
                                null,
                                () -> documents.reportProblem(exports::problem)));
        return menu;
    }

    private static String named(String what, String edit) {
        return edit.isEmpty() ? what : what + ": " + edit;
    }

    private static MenuItem item(String text, String id, String keys, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setId(id);
        item.setMnemonicParsing(false);
        if (keys != null) {
            item.setAccelerator(KeyCombination.keyCombination(keys));
        }
        item.setOnAction(e -> action.run());
        return item;
    }
}
