package ration.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.application.Application;
import javafx.stage.Stage;
import ration.desktop.frame.MainWindow;
import ration.desktop.frame.NativeFileDialogs;
import ration.desktop.session.Home;
import ration.desktop.session.Session;
import ration.desktop.session.Worked;
import ration.desktop.style.Tokens;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

/** The window's life: opens what was asked for, offers what a crash left behind. */
public final class RationApp extends Application {

    private static CompletableFuture<First> first = CompletableFuture.completedFuture(First.EMPTY);
    private static CompletableFuture<Optional<Tokens.Scheme>> colors =
            CompletableFuture.completedFuture(Optional.empty());
    private Session session;

    /** The document asked for, read and assessed while the toolkit starts. */
    private record First(Worked worked, String trouble) {
        static final First EMPTY = new First(Worked.of(Project.empty()), "");
    }

    /** Begins with the demo asked for, so that it is there when the window is. */
    static void prepare(List<String> args) {
        colors = CompletableFuture.supplyAsync(SystemColors::ask);
        if (!args.isEmpty() && args.get(0).equals("demo")) {
            first = CompletableFuture.supplyAsync(() -> demo(args.size() > 1 ? args.get(1) : ProjectFile.DEMO));
        }
    }

    private static First demo(String name) {
        try {
            return new First(Worked.of(ProjectFile.demoNamed(name)), "");
        } catch (ProjectFileException e) {
            return new First(First.EMPTY.worked(), e.fullText());
        }
    }

    @Override
    public void start(Stage stage) {
        // the window is made while the document is still being assessed
        Home home = Home.usual();
        CompletableFuture.runAsync(home::log);
        session = new Session(home);
        // asked while the toolkit started: one that has not answered by now is not waited for
        colors.getNow(Optional.empty()).ifPresent(Tokens::use);
        MainWindow window = new MainWindow(stage, session, new NativeFileDialogs(stage));
        First document = first.exceptionally(e -> First.EMPTY).join();
        session.begin(document.worked());
        StartReport.watch(stage);
        window.show();
        List<String> args = getParameters().getRaw();
        if (!document.trouble().isEmpty()) {
            session.trouble(document.trouble());
        }
        if (!args.isEmpty() && !args.get(0).equals("demo")) {
            window.open(Path.of(args.get(0)));
        }
        if (args.isEmpty()) {
            window.showStart();
        }
        window.offerRecovery();
    }

    @Override
    public void stop() {
        session.close();
    }
}
