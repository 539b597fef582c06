package ration.desktop;

import java.nio.file.Files;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import ration.aircraft.model.Run;
import ration.desktop.frame.MainWindow;
import ration.desktop.session.Home;
import ration.desktop.session.Session;
import ration.desktop.session.Worked;
import ration.record.file.ProjectFile;
import ration.record.project.Edit;
import ration.record.project.Project;

/**
 * Measures in the real window how long it takes from a key that edits a tube (undo and redo of one) until the ledger is
 * laid out anew for painting: its flow figure, and the whole assessment. Run by tools/latency; no test.
 */
public final class KeyToLedger extends Application {

    private static final int EDITS = 50;
    private static final int WARMING = 30;

    private Session session;
    private Scene scene;
    private final Robot[] robot = new Robot[1];
    private final List<Double> figures = new ArrayList<>();
    private final List<Double> wholes = new ArrayList<>();
    private long pressed;
    private boolean early;
    private boolean seen;
    private int done;

    /** Starts it: a class that is no application itself finds JavaFX on the class path. */
    public static final class Start {
        private Start() {}

        public static void main(String[] args) {
            launch(KeyToLedger.class, args);
        }
    }

    @Override
    public void start(Stage stage) throws Exception {
        session =
                new Session(new Home(Files.createTempDirectory("ration-latency").resolve("home")));
        new MainWindow(stage, session, new WindowHarness.Answers()).show();
        scene = stage.getScene();
        Project demo = ProjectFile.demo(getParameters().getRaw().get(0));
        session.begin(Worked.of(demo));
        session.apply(larger(demo.system().runs().get(0)));
        session.early().addListener((o, was, now) -> early |= now != null);
        robot[0] = new Robot();
        scene.addEventFilter(
                KeyEvent.KEY_PRESSED, e -> pressed = e.getCode() == KeyCode.Z ? System.nanoTime() : pressed);
        scene.addPostLayoutPulseListener(this::pulse);
        after(3000);
    }

    private static Edit larger(Run run) {
        return Edit.of(
                "Size",
                p -> p.with(p.system()
                        .change(
                                run.id(),
                                Run.class,
                                r -> r.resized(r.size().nextUp().orElse(r.size())))));
    }

    /** Presses the next key once the window has been still so long, ms. */
    private void after(long millis) {
        javafx.animation.PauseTransition pause =
                new javafx.animation.PauseTransition(javafx.util.Duration.millis(millis));
        pause.setOnFinished(e -> press());
        pause.play();
    }

    private void press() {
        scene.lookup("#schematic").requestFocus();
        early = false;
        seen = false;
        pressed = 0;
        boolean redo = done % 2 == 1;
        robot[0].keyPress(KeyCode.CONTROL);
        if (redo) {
            robot[0].keyPress(KeyCode.SHIFT);
        }
        robot[0].keyType(KeyCode.Z);
        if (redo) {
            robot[0].keyRelease(KeyCode.SHIFT);
        }
        robot[0].keyRelease(KeyCode.CONTROL);
    }

    private void pulse() {
        if (pressed == 0) {
            return;
        }
        double millis = (System.nanoTime() - pressed) / 1e6;
        if (!seen && early) {
            seen = true;
            keep(figures, millis);
        }
        if (session.early().get() == null
                && session.shown().get().assessment().project() == session.project()
                && seen) {
            keep(wholes, millis);
            pressed = 0;
            if (++done < EDITS + WARMING) {
                after(150);
            } else {
                System.out.printf(
                        Locale.ROOT,
                        "%-12s flow figure %.0f ms, whole ledger %.0f ms (median of %d edits)%n",
                        getParameters().getRaw().get(0),
                        median(figures),
                        median(wholes),
                        EDITS);
                session.close();
                Platform.exit();
            }
        }
    }

    private void keep(List<Double> times, double millis) {
        if (done >= WARMING) {
            times.add(millis);
        }
    }

    private static double median(List<Double> times) {
        List<Double> sorted = new ArrayList<>(times);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }
}
