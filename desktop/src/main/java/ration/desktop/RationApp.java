package ration.desktop;

import java.nio.file.Path;
import java.util.List;
import javafx.application.Application;
import javafx.stage.Stage;
import ration.desktop.frame.MainWindow;
import ration.desktop.frame.NativeFileDialogs;
import ration.desktop.session.Home;
import ration.desktop.session.Session;
import ration.file.ProjectFile;
import ration.file.ProjectFileException;

/** The window's life: opens what was asked for, offers what a crash left behind. */
public final class RationApp extends Application {

    @Override
    public void start(Stage stage) {
        Session session = new Session(Home.usual());
        MainWindow window = new MainWindow(stage, session, new NativeFileDialogs(stage));
        List<String> args = getParameters().getRaw();
        window.show();
        if (!args.isEmpty() && args.get(0).equals("demo")) {
            openDemo(session, args.size() > 1 ? args.get(1) : ProjectFile.DEMO);
        } else if (!args.isEmpty()) {
            window.open(Path.of(args.get(0)));
        }
        window.offerRecovery();
    }

    private static void openDemo(Session session, String name) {
        try {
            session.show(ProjectFile.demoNamed(name), null);
        } catch (ProjectFileException e) {
            session.say(e.fullText());
        }
    }
}
