package ration.desktop;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;
import org.testfx.util.NodeQueryUtils;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A hand at mouse and keys that goes on as soon as the window has taken what it did. Its library waits a fixed time
 * after each movement: too long where nothing else goes on, which was most of the time of these tests, and too short on
 * a busy machine, where a letter then overtook the key before it. So what comes through the display is waited for until
 * it has come.
 */
final class Hand extends FxRobot {

    /** Rounds of the interface thread: what an event asked for is done, and what that asked for. */
    private static final int ROUNDS = 3;

    private static final long MOST_MS = 30_000;
    /** Something pressed may go with its window, and its release with it. */
    private static final long RELEASE_MS = 3_000;
    /** Longer nothing moves that is to be clicked. */
    private static final int MOST_ROUNDS = 100;

    /** What has come through the display; on the interface thread. */
    private static final Map<KeyCode, Integer> KEYS = new EnumMap<>(KeyCode.class);

    private static int clicks;
    private static boolean watched;

    Hand() {
        WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> watchAll());
    }

    private static void watchAll() {
        if (watched) {
            return;
        }
        watched = true;
        Window.getWindows().forEach(Hand::watch);
        Window.getWindows().addListener((ListChangeListener<Window>) c -> {
            while (c.next()) {
                c.getAddedSubList().forEach(Hand::watch);
            }
        });
    }

    private static void watch(Window window) {
        window.addEventFilter(KeyEvent.KEY_RELEASED, e -> KEYS.merge(e.getCode(), 1, Integer::sum));
        window.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> clicks++);
    }

    private static int keys(KeyCode code) {
        return KEYS.getOrDefault(code, 0);
    }

    /**
     * All events so far are done, and the pulse after them: what asked for one has had it, and the page is laid out.
     */
    static void settle() {
        WaitForAsyncUtils.waitForFxEvents(ROUNDS);
        CountDownLatch pulse = new CountDownLatch(1);
        AnimationTimer timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                pulse.countDown();
            }
        };
        Platform.runLater(timer::start);
        try {
            pulse.await(MOST_MS, TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        Platform.runLater(timer::stop);
        round();
    }

    private static void round() {
        WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> {});
    }

    /** Does something on the interface thread that makes the display send events, and waits for those. */
    private static void awaiting(Runnable action, BooleanSupplier come) {
        WaitForAsyncUtils.waitForAsyncFx(MOST_MS, action);
        long until = System.nanoTime() + RELEASE_MS * 1_000_000;
        while (!WaitForAsyncUtils.waitForAsyncFx(MOST_MS, come::getAsBoolean) && System.nanoTime() < until) {
            WaitForAsyncUtils.sleep(2, TimeUnit.MILLISECONDS);
        }
        settle();
    }

    /** Keys through the display, one after the other at once; the last of them has come when this returns. */
    static void key(KeyCode... codes) {
        KeyCode last = codes[codes.length - 1];
        int[] before = new int[1];
        long same = List.of(codes).stream().filter(c -> c == last).count();
        awaiting(
                () -> {
                    before[0] = keys(last);
                    Robot hand = new Robot();
                    List.of(codes).forEach(hand::keyType);
                },
                () -> keys(last) >= before[0] + same);
    }

    /** Keys with another held. */
    static void keysWith(KeyCode held, KeyCode... codes) {
        int[] before = new int[1];
        awaiting(
                () -> {
                    before[0] = keys(held);
                    Robot hand = new Robot();
                    hand.keyPress(held);
                    List.of(codes).forEach(hand::keyPress);
                    List.of(codes).forEach(hand::keyRelease);
                    hand.keyRelease(held);
                },
                () -> keys(held) > before[0]);
    }

    @Override
    public FxRobot interact(Runnable action) {
        interactNoWait(action);
        settle();
        return this;
    }

    @Override
    public FxRobot clickOn(String query, Motion motion, MouseButton... buttons) {
        return click(still(() -> found(query)), 1);
    }

    @Override
    public FxRobot clickOn(Node node, Motion motion, MouseButton... buttons) {
        return click(still(() -> point(node).query()), 1);
    }

    @Override
    public FxRobot doubleClickOn(Node node, Motion motion, MouseButton... buttons) {
        return click(still(() -> point(node).query()), 2);
    }

    /** Clicks on what is found so, in a picture that may be drawn anew at any moment. */
    void clickOnDrawn(Predicate<Node> which) {
        click(still(() -> middle(which)), 1);
    }

    void doubleClickOnDrawn(Predicate<Node> which) {
        click(still(() -> middle(which)), 2);
    }

    /** Takes hold of what is found so. */
    FxRobot dragDrawn(Predicate<Node> which) {
        drag(still(() -> middle(which)));
        return this;
    }

    /** As a hand finds it: what cannot be seen is not clicked. A page made anew meanwhile is looked through again. */
    private Point2D found(String query) {
        return middle(() -> lookup(query).queryAll().stream().filter(NodeQueryUtils.isVisible()::test));
    }

    private Point2D middle(Predicate<Node> which) {
        return middle(() -> lookup(which::test).queryAll().stream());
    }

    /** Found and measured in one go on the interface thread; null where it is not there now. */
    private static Point2D middle(Supplier<Stream<Node>> among) {
        return WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> among.get()
                .filter(n -> n.getScene() != null)
                .map(n -> n.localToScreen(n.getBoundsInLocal()))
                .filter(Objects::nonNull)
                .findFirst()
                .map(b -> new Point2D(b.getCenterX(), b.getCenterY()))
                .orElse(null));
    }

    /** Where a thing stands once it stands still: what arrives meanwhile may move it. */
    private static Point2D still(Supplier<Point2D> where) {
        Point2D last = where.get();
        for (int n = 0; n < MOST_ROUNDS; n++) {
            settle();
            Point2D now = where.get();
            if (now != null && now.equals(last)) {
                return now;
            }
            last = now;
        }
        return Objects.requireNonNull(last, "it is not shown");
    }

    private FxRobot click(Point2D at, int times) {
        int[] before = new int[1];
        awaiting(
                () -> {
                    before[0] = clicks;
                    Robot mouse = new Robot();
                    mouse.mouseMove(at);
                    for (int i = 0; i < times; i++) {
                        mouse.mousePress(MouseButton.PRIMARY);
                        mouse.mouseRelease(MouseButton.PRIMARY);
                    }
                },
                () -> clicks >= before[0] + times);
        return this;
    }

    /** Letters, each as soon as the window has taken the one before. */
    @Override
    public FxRobot write(String text) {
        letters(text);
        settle();
        return this;
    }

    /** Letters and a key after them, each as soon as the window has taken the one before, with no time between. */
    static void type(String text, KeyCode last) {
        letters(text);
        WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> fire('\t', last));
    }

    private static void letters(String text) {
        text.chars().forEach(c -> WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> fire((char) c, KeyCode.UNDEFINED)));
    }

    private static void fire(char c, KeyCode code) {
        Scene scene = Window.getWindows().stream()
                .filter(w -> w.isFocused() && w.getScene() != null)
                .findFirst()
                .orElse(Window.getWindows().get(0))
                .getScene();
        for (KeyEvent e : List.of(
                new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false),
                new KeyEvent(KeyEvent.KEY_TYPED, String.valueOf(c), "", KeyCode.UNDEFINED, false, false, false, false),
                new KeyEvent(KeyEvent.KEY_RELEASED, "", "", code, false, false, false, false))) {
            Event.fireEvent(scene.getFocusOwner() == null ? scene : scene.getFocusOwner(), e);
        }
    }
}
