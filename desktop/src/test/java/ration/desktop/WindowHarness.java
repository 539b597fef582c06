package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.print.PrinterException;
import java.awt.print.PrinterJob;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.Field;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.robot.Robot;
import javafx.scene.text.Text;
import javafx.stage.Stage;
import javafx.stage.Window;
import javax.print.DocFlavor;
import javax.print.StreamPrintServiceFactory;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.testfx.api.FxToolkit;
import org.testfx.api.FxToolkitContext;
import org.testfx.service.query.EmptyNodeQueryException;
import org.testfx.service.support.FiredEvents;
import org.testfx.util.WaitForAsyncUtils;
import ration.base.quantity.UnitSystem;
import ration.desktop.frame.FileDialogs;
import ration.desktop.frame.MainWindow;
import ration.desktop.session.Home;
import ration.desktop.session.Session;
import ration.desktop.session.Worked;
import ration.physics.flow.Solves;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;

/** The real window with a folder of its own, opened on the demo, and the few things every journey does. */
abstract class WindowHarness {

    /** Seconds waited for what has to come: how long it takes is for benchmarks to tell, not for tests. */
    private static final int PATIENCE = Integer.getInteger("ration.patience", 180);

    /** Answers for the file choosers, which cannot be driven. */
    static final class Answers implements FileDialogs {
        Path open;
        Path save;
        OutputStream paper;

        @Override
        public Optional<Path> toOpen(Kind kind) {
            return Optional.ofNullable(open);
        }

        @Override
        public Optional<Path> toSave(String suggestedName, Kind kind) {
            return Optional.ofNullable(save);
        }

        /** A printer that writes PostScript; none where there is nothing to write to. */
        @Override
        public Printer printer(PrinterJob job) {
            if (paper == null) {
                return Printer.NONE;
            }
            try {
                job.setPrintService(StreamPrintServiceFactory.lookupStreamPrintServiceFactories(
                        DocFlavor.SERVICE_FORMATTED.PAGEABLE, "application/postscript")[0]
                        .getPrintService(paper));
                return Printer.CHOSEN;
            } catch (PrinterException e) {
                throw new IllegalStateException(e);
            }
        }
    }

    Answers answers;
    Session session;
    MainWindow window;
    Stage stage;
    Path folder;
    Hand robot;

    /**
     * Where networks are still solved on the interface thread: a document put in the window as it is, which only a
     * recovered one still is.
     */
    private static final Set<String> STILL = Set.of("Session.show");

    private final Set<String> offences = java.util.concurrent.ConcurrentHashMap.newKeySet();

    /** A network solved on the interface thread by anybody not on the list. */
    private void offence() {
        if (Platform.isFxApplicationThread()) {
            List<String> stack = Stream.of(new Throwable().getStackTrace())
                    .map(e -> e.getClassName().replaceAll(".*\\.", "") + "." + e.getMethodName())
                    .toList();
            if (stack.stream().noneMatch(STILL::contains)) {
                offences.add(stack.stream()
                        .filter(x -> x.matches("[A-Z].*"))
                        .skip(12)
                        .limit(14)
                        .collect(Collectors.joining(" < ")));
            }
        }
    }

    /** The window all tests of this program share, and its folder. */
    private record Shared(Stage stage, Session session, MainWindow window, Answers answers, Path folder) {}

    private static Shared shared;

    /**
     * One window serves all tests, as one serves a user all day: with each document everything in it begins anew, and
     * what the toolkit has learned of it is kept, which is half of what a test costs. It stands from test to test.
     */
    private void begin() throws IOException {
        keepNoEvents();
        Solves.watch(this::offence);
        if (shared == null) {
            Path own = Files.createTempDirectory("ration-test");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> clear(own, p -> true)));
            Session first = new Session(new Home(own.resolve(HOME)));
            Answers chosen = new Answers();
            Stage main = FxToolkit.toolkitContext().getRegisteredStage();
            shared = new Shared(main, first, new MainWindow(main, first, chosen), chosen, own);
        }
        session = shared.session();
        window = shared.window();
        stage = shared.stage();
        answers = shared.answers();
        folder = shared.folder();
        answers.open = null;
        answers.save = null;
        answers.paper = null;
        session.units().set(UnitSystem.US);
        if (!stage.isShowing()) {
            window.show();
        }
        // a test may have left it small
        stage.setWidth(1280);
        stage.setHeight(800);
        stage.setX(20);
        stage.setY(20);
    }

    /**
     * The toolkit of the tests keeps every event of a test, and with each the page it went to: it has no way to say no.
     */
    private static void keepNoEvents() {
        try {
            Field kept = FxToolkitContext.class.getDeclaredField("firedEvents");
            kept.setAccessible(true);
            FiredEvents events = (FiredEvents) kept.get(FxToolkit.toolkitContext());
            if (events != null) {
                events.stopStoringFiredEvents();
                events.clearEvents();
            }
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static final String HOME = "home";

    /** Takes away what the test wrote; what the open session holds of its home stays. */
    @AfterEach
    void cleanUp() throws TimeoutException {
        FxToolkit.cleanupInput(robot);
        robot.interact(() ->
                Window.getWindows().stream().filter(w -> w != stage).toList().forEach(Window::hide));
        Solves.watch(() -> {});
        clear(folder, p -> !p.equals(folder) && !p.getFileName().toString().endsWith(".lock"));
        assertThat(offences).as("networks solved on the interface thread").isEmpty();
    }

    private static void clear(Path folder, Predicate<Path> which) {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path p : files.sorted(Comparator.reverseOrder()).filter(which).toList()) {
                // a folder that holds something that stays
                if (!Files.isDirectory(p) || p.toFile().list().length == 0) {
                    Files.deleteIfExists(p);
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @BeforeEach
    void openTheDemo() throws TimeoutException {
        FxToolkit.registerPrimaryStage();
        robot = new Hand();
        WaitForAsyncUtils.waitForAsyncFx(TimeUnit.SECONDS.toMillis(PATIENCE), () -> {
            begin();
            return null;
        });
        Worked demo = demo();
        robot.interact(() -> session.begin(demo));
        until(() -> figure().equals("1.12\u00d7"));
        if (!stage.isFocused()) {
            robot.clickOn("#layer-drains").clickOn("#layer-drains");
        }
        // over nothing that answers to being pointed at
        robot.interact(() -> new Robot().mouseMove(stage.getX() + 2, stage.getY() + 2));
        focusDrawing();
    }

    /** The demo, worked out once for all tests; opening it by the menu is a test of its own. */
    private static synchronized Worked demo() {
        try {
            demo = demo == null ? Worked.of(ProjectFile.demo(ProjectFile.DEMO)) : demo;
            return demo;
        } catch (ProjectFileException e) {
            throw new IllegalStateException(e.fullText(), e);
        }
    }

    private static Worked demo;

    /**
     * Chooses from the document's menu; another window that takes the focus, or the menu chosen from last, closes it:
     * then once more.
     */
    void menu(String what) {
        for (int i = 0; i < 5 && robot.lookup("#menu-" + what).tryQuery().isEmpty(); i++) {
            robot.clickOn("#document-menu");
            Hand.settle();
        }
        robot.clickOn("#menu-" + what);
        Hand.settle();
        if (what.startsWith("demo")) {
            until(() -> !session.opening().running().get());
        }
    }

    void focusDrawing() {
        robot.interact(() -> node("#schematic").requestFocus());
    }

    /** The step of the test in hand. */
    String step() {
        return label("#step-title");
    }

    /** The next step of the test in hand. */
    void next() {
        robot.interact(() -> node("#test-next").requestFocus());
        keys(KeyCode.ENTER);
    }

    /** Begins the run log of the demo, to the step that takes readings. */
    void runLogUpToTheDate() {
        robot.clickOn("#rail-hangar");
        until(() -> robot.lookup("#wanted-run-log").tryQuery().isPresent());
        robot.interact(() -> ((ButtonBase) node("#wanted-run-log")).fire());
        until(() -> robot.lookup("#test-begin").tryQuery().isPresent());
        robot.interact(() -> ((ButtonBase) node("#test-begin")).fire());
        next();
        until(() -> step().startsWith("Tester and instruments"));
        next();
        until(() -> step().startsWith("Date and length"));
    }

    void until(BooleanSupplier condition) {
        untilWithin(PATIENCE, condition);
    }

    void untilWithin(long seconds, BooleanSupplier condition) {
        try {
            WaitForAsyncUtils.waitFor(seconds, TimeUnit.SECONDS, () -> {
                // whoever asks again at once keeps the window from getting there
                Hand.settle();
                return WaitForAsyncUtils.asyncFx(() -> holds(condition)).get();
            });
        } catch (TimeoutException e) {
            throw new AssertionError("It did not come to pass; the window shows " + everyText(), e);
        }
    }

    /** What is not there yet does not hold yet. */
    private static boolean holds(BooleanSupplier condition) {
        try {
            return condition.getAsBoolean();
        } catch (EmptyNodeQueryException e) {
            return false;
        }
    }

    /** Read between two pulses: the window goes on changing while a test looks at it. */
    private static <T> T read(Supplier<T> what) {
        return Platform.isFxApplicationThread()
                ? what.get()
                : WaitForAsyncUtils.waitForAsyncFx(TimeUnit.SECONDS.toMillis(PATIENCE), what::get);
    }

    Node node(String id) {
        return read(() -> robot.lookup(id).query());
    }

    /** What a label says; nothing where it is not shown. */
    String label(String id) {
        return read(() ->
                robot.lookup(id).tryQuery().map(n -> ((Label) n).getText()).orElse(""));
    }

    String figure() {
        return label("#ledger-flow-figure");
    }

    Set<String> everyText() {
        return read(() -> robot.lookup(n -> n instanceof Label || n instanceof Text).queryAll().stream()
                .map(n -> n instanceof Label l ? l.getText() : ((Text) n).getText())
                .collect(Collectors.toSet()));
    }

    /** Every text of the drawing. */
    Set<String> texts() {
        return read(() -> node("#schematic").lookupAll("Text").stream()
                .filter(Text.class::isInstance)
                .map(n -> ((Text) n).getText())
                .collect(Collectors.toSet()));
    }

    /** Whether a thing of a drawing stands in what has this id. */
    static boolean within(Node node, String id) {
        return node != null && (id.equals(node.getId()) || within(node.getParent(), id));
    }

    /** Presses and releases in one go: a window too busy to answer must not look like a key held down. */
    void keys(KeyCode... codes) {
        for (KeyCode code : codes) {
            Hand.key(code);
        }
    }

    /** As fast as a hand types a word: the window answers after the last key. */
    void inOneGo(java.util.List<KeyCode> codes) {
        Hand.key(codes.toArray(KeyCode[]::new));
    }

    void control(KeyCode... codes) {
        with(KeyCode.CONTROL, codes);
    }

    void with(KeyCode held, KeyCode... codes) {
        Hand.keysWith(held, codes);
    }

    /** Presses a control by the keys. */
    void press(String id) {
        robot.interact(() -> node(id).requestFocus());
        keys(KeyCode.SPACE);
    }

    /** Writes over what a field holds; nothing takes it until Enter is pressed or the field is left. */
    void type(String id, String text) {
        robot.interact(() -> node(id).requestFocus());
        control(KeyCode.A);
        robot.write(text);
    }

    void fill(String id, String text) {
        robot.clickOn(id);
        control(KeyCode.A);
        robot.write(text);
        keys(KeyCode.ENTER);
    }
}
