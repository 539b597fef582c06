package ration.desktop;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;
import ration.aircraft.flight.Transfer;
import ration.answer.drawdown.UsualFlight;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.desktop.control.Figure;
import ration.desktop.frame.FileDialogs;
import ration.desktop.frame.MainWindow;
import ration.desktop.session.Home;
import ration.desktop.session.Session;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Edit;
import ration.record.project.Pattern;
import ration.record.project.Project;
import ration.record.reading.Reading;
import ration.record.reading.Setting;

/**
 * Takes the pictures in docs/screenshots from the demo; not a test. Arguments: a folder, then the names of the pictures
 * wanted (all if none).
 */
public final class Screenshots {

    private static MainWindow opened;
    private static final Map<String, BiConsumer<Session, Scene>> SCENES = new LinkedHashMap<>();

    static {
        SCENES.put("start", (s, scene) -> {
            s.show(ration.record.project.Project.empty(), null);
            opened.showStart();
        });
        SCENES.put("guide", (s, scene) -> {
            look(s);
            scene.getRoot()
                    .fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.F1, false, false, false, false));
            later(scene, "#guide-03-heights");
        });
        SCENES.put("walk", (s, scene) -> {
            s.show(ration.record.project.Pattern.GRAVITY_SELECTOR.project(), null);
            scene.getRoot()
                    .fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.F1, false, false, false, false));
            PauseTransition shown = new PauseTransition(Duration.millis(400));
            shown.setOnFinished(e -> {
                fire(scene, "#guide-03-heights");
                scene.getRoot().applyCss();
                scene.getRoot().layout();
                fire(scene, "#guide-walk");
            });
            shown.play();
        });
        SCENES.put("layout-night", (s, scene) -> {
            look(s);
            s.picked().set("strainer");
            scene.getRoot().fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.L, true, true, false, false));
        });
        SCENES.put("layout", (s, scene) -> {
            look(s);
            s.picked().set("strainer");
        });
        SCENES.put("layout-run", (s, scene) -> {
            look(s);
            s.picked().set("r3");
        });
        SCENES.put("layout-tank", (s, scene) -> {
            s.look(s.project().brief().envelope().attitudes().get(3));
            s.picked().set("fuselage");
        });
        SCENES.put("layout-add", (s, scene) -> {
            s.picked().set("r3");
            fire(scene, "#insert-item");
        });
        SCENES.put("layout-empty", (s, scene) -> s.show(ration.record.project.Project.empty(), null));
        SCENES.put("patterns", (s, scene) -> {
            s.show(ration.record.project.Project.empty(), null);
            ((Button) scene.lookup("#start-pattern")).fire();
        });
        SCENES.put(
                "layout-header", (s, scene) -> s.show(ration.record.project.Pattern.HEADER_TWO_PUMPS.project(), null));
        SCENES.put("brief", (s, scene) -> fire(scene, "#rail-brief"));
        SCENES.put("layout-metric", (s, scene) -> {
            s.units().set(ration.base.quantity.UnitSystem.METRIC);
            s.look(s.project().brief().envelope().attitudes().get(0));
        });
        SCENES.put("flow", (s, scene) -> fire(scene, "#ledger-flow"));
        SCENES.put("runs", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-runs");
        });
        SCENES.put("joints", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-runs");
            ((javafx.scene.control.ToggleButton) scene.lookup("#view-joints")).fire();
        });
        SCENES.put("leaks", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-runs");
            ((javafx.scene.control.ToggleButton) scene.lookup("#view-leaks")).fire();
        });
        SCENES.put("lists", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-runs");
            ((javafx.scene.control.ToggleButton) scene.lookup("#view-lists")).fire();
        });
        SCENES.put("flow-pump", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#ledger-flow");
            ((javafx.scene.control.ToggleButton) scene.lookup("#flow-which-pump")).fire();
        });
        SCENES.put("flow-make-it-hold", (s, scene) -> {
            fire(scene, "#ledger-flow");
            ((javafx.scene.control.ToggleButton) scene.lookup("#flow-make-it-hold")).fire();
        });
        SCENES.put("flow-measure-next", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#ledger-flow");
            ((javafx.scene.control.ToggleButton) scene.lookup("#flow-measure-next")).fire();
            ((javafx.scene.control.ToggleButton) scene.lookup("#measure-unusable")).fire();
        });
        SCENES.put("variants", (s, scene) -> {
            s.apply(ration.record.project.VariantEdits.keep(
                    "Wider lines",
                    p -> p.with(p.system()
                            .change(
                                    "r3",
                                    ration.aircraft.model.Run.class,
                                    r -> r.resized(ration.aircraft.model.LineSize.parse("3/8 x 0.035 tube"))))));
            s.apply(ration.record.project.VariantEdits.keep(
                    "Upper tank 2 in higher",
                    p -> p.with(p.system().change("upper", ration.aircraft.model.Tank.class, t -> t.raised(0.0508)))));
            fire(scene, "#rail-variants");
        });
        SCENES.put("flow-brindle", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#ledger-flow");
        });
        SCENES.put("layout-tansy", (s, scene) -> demo(s, "tansy-l3"));
        SCENES.put("layout-brindle", (s, scene) -> demo(s, "brindle-a2"));
        SCENES.put("tanks", (s, scene) -> fire(scene, "#ledger-unusable"));
        SCENES.put("tanks-shape", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#ledger-unusable");
            ((javafx.scene.control.ToggleButton) scene.lookup("#view-shape")).fire();
        });
        SCENES.put("tanks-all", (s, scene) -> {
            fire(scene, "#ledger-unusable");
            ((javafx.scene.control.ToggleButton) scene.lookup("#view-all-tanks")).fire();
        });
        SCENES.put("hangar", (s, scene) -> {
            fire(scene, "#rail-hangar");
            later(scene, "#wanted-flow-selector-fuselage");
        });
        SCENES.put("vapor", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#ledger-vapor");
        });
        SCENES.put("vapor-corrie", (s, scene) -> fire(scene, "#ledger-vapor"));
        SCENES.put("air", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#rail-air");
            later(scene, "#fill-hull");
        });
        SCENES.put("air-corrie", (s, scene) -> fire(scene, "#rail-air"));
        SCENES.put("air-tansy", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-air");
        });
        SCENES.put("faults", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#rail-faults");
        });
        SCENES.put("faults-hidden", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#rail-faults");
            ((javafx.scene.control.ToggleButton) scene.lookup("#faults-hidden")).fire();
        });
        SCENES.put("flight", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-flight");
        });
        SCENES.put("flight-transfer", (s, scene) -> {
            Project p = Pattern.TRANSFER.project();
            s.show(
                    p.with(UsualFlight.of(p)
                            .withTransfers(List.of(new Transfer(
                                    "transfer-pump",
                                    Measured.of(60, Unit.MINUTE),
                                    Optional.empty(),
                                    Optional.of(Measured.of(5, Unit.GALLON)))))),
                    null);
            fire(scene, "#rail-flight");
        });
        SCENES.put("find", (s, scene) -> {
            demo(s, "tansy-l3");
            Setting set = new Setting(s.condition());
            s.apply(Edit.of(
                    "Add a reading",
                    p -> p.withReadings(List.of(
                            new Reading("servo", Reading.What.PRESSURE, Unit.PSI.toSi(26), Unit.PSI.toSi(1), set)))));
            fire(scene, "#rail-find");
        });
        SCENES.put("build", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#rail-build");
            later(scene, "#step-joint-r1-end");
        });
        SCENES.put("build-time", (s, scene) -> {
            demo(s, "brindle-a2");
            fire(scene, "#rail-build");
            PauseTransition pause = new PauseTransition(Duration.millis(300));
            pause.setOnFinished(e -> ((javafx.scene.control.ToggleButton) scene.lookup("#build-timeline")).fire());
            pause.play();
        });
        SCENES.put("upkeep", (s, scene) -> {
            demo(s, "corrie-b1");
            fire(scene, "#rail-upkeep");
        });
        SCENES.put("upkeep-renew", (s, scene) -> {
            demo(s, "tansy-l3");
            fire(scene, "#rail-upkeep");
            later(scene, "#upkeep-offered");
            PauseTransition pause = new PauseTransition(Duration.millis(500));
            pause.setOnFinished(e -> fire(scene, "#upkeep-renew"));
            pause.play();
        });
        SCENES.put("signoff", (s, scene) -> {
            fire(scene, "#rail-sign_off");
            later(scene, "#requirement-flow-margin-selector-fuselage");
        });
        SCENES.put("terms", (s, scene) -> {
            fire(scene, "#rail-brief");
            Event.fireEvent(
                    scene.getRoot(),
                    new KeyEvent(KeyEvent.KEY_TYPED, "t", "t", KeyCode.UNDEFINED, false, false, false, false));
        });
        SCENES.put("why", (s, scene) -> ((Figure) scene.lookup("#ledger-flow-figure")).ask());
        SCENES.put(
                "keys",
                (s, scene) -> Event.fireEvent(
                        scene.getRoot(),
                        new KeyEvent(KeyEvent.KEY_TYPED, "?", "", KeyCode.UNDEFINED, true, false, false, false)));
    }

    public static void main(String[] args) {
        Logger.getLogger("javafx").setLevel(Level.SEVERE);
        Application.launch(Taker.class, args);
    }

    private static void demo(Session session, String name) {
        try {
            session.show(ProjectFile.demo(name), null);
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void look(Session session) {
        session.look(
                session.shown().get().assessment().governing().orElseThrow().condition());
    }

    /** Once the page has been laid out. */
    private static void later(Scene scene, String id) {
        PauseTransition pause = new PauseTransition(Duration.millis(300));
        pause.setOnFinished(e -> fire(scene, id));
        pause.play();
    }

    private static void fire(Scene scene, String id) {
        ((javafx.scene.control.ButtonBase) scene.lookup(id)).fire();
    }

    /** The application that shows and saves one scene after the other. */
    public static final class Taker extends Application {

        @Override
        public void start(Stage stage) throws IOException {
            List<String> args = getParameters().getRaw();
            Path folder = Path.of(args.get(0));
            Files.createDirectories(folder);
            Deque<String> wanted =
                    new ArrayDeque<>(args.size() > 1 ? args.subList(1, args.size()) : List.copyOf(SCENES.keySet()));
            Session session = new Session(new Home(Files.createTempDirectory("shots")));
            MainWindow window = new MainWindow(stage, session, new FileDialogs() {
                @Override
                public Optional<Path> toOpen(Kind kind) {
                    return Optional.empty();
                }

                @Override
                public Printer printer(java.awt.print.PrinterJob job) {
                    return Printer.NONE;
                }

                @Override
                public Optional<Path> toSave(String name, Kind kind) {
                    return Optional.empty();
                }
            });
            opened = window;
            window.show();
            if (Boolean.getBoolean("ration.small")) {
                stage.setWidth(1024);
                stage.setHeight(700);
            }
            next(stage, session, folder, wanted);
        }

        private void next(Stage stage, Session session, Path folder, Deque<String> wanted) {
            if (wanted.isEmpty()) {
                stage.hide();
                return;
            }
            String name = wanted.poll();
            try {
                session.show(ProjectFile.demo(ProjectFile.DEMO), null);
            } catch (ProjectFileException e) {
                throw new IllegalStateException(e);
            }
            session.units().set(ration.base.quantity.UnitSystem.US);
            fire(stage.getScene(), "#rail-layout");
            SCENES.get(name).accept(session, stage.getScene());
            PauseTransition settle = new PauseTransition(Duration.millis(
                    name.startsWith("faults")
                                    || name.equals("find")
                                    || name.equals("variants")
                                    || name.equals("flow-make-it-hold")
                            ? 25000
                            : name.startsWith("flow")
                                            || name.startsWith("flight")
                                            || name.equals("start")
                                            || name.equals("walk")
                                    ? 6000
                                    : name.startsWith("tanks") || name.startsWith("vapor") || name.equals("leaks")
                                            ? 2500
                                            : 700));
            settle.setOnFinished(e -> {
                save(stage.getScene(), folder.resolve(name + ".png"));
                Arrays.stream(new String[] {"#keys-close", "#why-close"})
                        .map(stage.getScene()::lookup)
                        .filter(Objects::nonNull)
                        .filter(n -> n.isVisible())
                        .forEach(n -> ((Button) n).fire());
                next(stage, session, folder, wanted);
            });
            settle.play();
        }

        private static void save(Scene scene, Path file) {
            WritableImage image = scene.snapshot(null);
            int w = (int) image.getWidth();
            int h = (int) image.getHeight();
            BufferedImage out = new BufferedImage(w, h, BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < h; y++) {
                for (int x = 0; x < w; x++) {
                    out.setRGB(x, y, image.getPixelReader().getArgb(x, y));
                }
            }
            try {
                ImageIO.write(out, "png", file.toFile());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
