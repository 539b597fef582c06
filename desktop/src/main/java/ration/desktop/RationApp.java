package ration.desktop;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;
import ration.desktop.frame.FirstFrame;
import ration.desktop.frame.MainWindow;
import ration.desktop.frame.NativeFileDialogs;
import ration.desktop.session.Home;
import ration.desktop.session.Painted;
import ration.desktop.session.Session;
import ration.desktop.style.Tokens;
import ration.record.file.ProjectFile;

/** The window's life: opens what was asked for, offers what a crash left behind. */
public final class RationApp extends Application {

    private static final String DEMO = "demo";

    /** A document that takes longer to read is waited for with its card in the window, where it can be given up, s. */
    private static final int PATIENCE = 2;

    private static CompletableFuture<Session.Read> first = CompletableFuture.completedFuture(Session.Read.NOTHING);
    private static CompletableFuture<Optional<Tokens.Scheme>> colors =
            CompletableFuture.completedFuture(Optional.empty());
    private Session session;

    /** Begins with the document asked for, so that it is there when the window is. */
    static void prepare(List<String> args) {
        colors = CompletableFuture.supplyAsync(SystemColors::ask);
        if (!args.isEmpty()) {
            first = CompletableFuture.supplyAsync(() ->
                    args.get(0).equals(DEMO) ? Session.Read.demo(demo(args)) : Session.Read.of(Path.of(args.get(0))));
        }
    }

    private static String demo(List<String> args) {
        return args.size() > 1 ? args.get(1) : ProjectFile.DEMO;
    }

    @Override
    public void start(Stage stage) {
        Home home = Home.usual();
        // asked while the toolkit started: one that has not answered by now is not waited for
        colors.getNow(Optional.empty()).ifPresent(Tokens::use);
        StartReport report = new StartReport(stage);
        FirstFrame.show(stage, home);
        CompletableFuture.runAsync(home::log);
        // at its size, and then drawn in it, before the thread that draws is busy with the rest
        Painted.then(() -> Painted.then(() -> {
            try {
                fill(stage, home);
            } catch (RuntimeException | Error e) {
                Platform.exit();
                throw e;
            }
            report.filled();
        }));
    }

    /** The window is made while the document is still being assessed. */
    private void fill(Stage stage, Home home) {
        List<String> args = getParameters().getRaw();
        session = new Session(home);
        MainWindow window = new MainWindow(stage, session, new NativeFileDialogs(stage));
        boolean file = !args.isEmpty() && !args.get(0).equals(DEMO);
        Optional<Session.Read> document = document();
        session.begin(document.orElse(Session.Read.NOTHING), file ? Path.of(args.get(0)) : null);
        window.show();
        if (document.isEmpty() && file) {
            window.open(Path.of(args.get(0)));
        } else if (document.isEmpty() && !args.isEmpty()) {
            session.openDemo(demo(args));
        }
        if (args.isEmpty()) {
            window.showStart();
        }
        window.offerRecovery();
        // who comes back to the window may have changed the colors of the system meanwhile
        stage.focusedProperty().addListener((o, was, now) -> {
            if (now) {
                CompletableFuture.supplyAsync(SystemColors::ask)
                        .thenAccept(said -> said.ifPresent(c -> Platform.runLater(() -> window.follow(c))));
            }
        });
    }

    /** Empty where it is not there yet; what went wrong in a way nobody thought of is told when it is opened anew. */
    private static Optional<Session.Read> document() {
        try {
            return Optional.of(first.get(PATIENCE, TimeUnit.SECONDS));
        } catch (ExecutionException | TimeoutException e) {
            return Optional.empty();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        }
    }

    @Override
    public void stop() {
        if (session != null) {
            session.close();
        }
    }
}
