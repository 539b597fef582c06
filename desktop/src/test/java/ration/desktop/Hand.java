package ration.desktop;

import java.util.List;
import java.util.function.Supplier;
import javafx.event.Event;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A hand at mouse and keys that goes on as soon as the window has taken what it did. Its library waits 50 ms and more after each
 * movement, several times a click, which was most of the time of these tests; whoever needs more than what was done at once waits for
 * what is to be seen.
 */
final class Hand extends FxRobot {

    /** Rounds of the interface thread: events come in, what they asked for is done, the page is laid out. */
    private static final int ROUNDS = 3;
    private static final long MOST_MS = 30_000;
    /** Longer nothing moves that is to be clicked. */
    private static final int MOST_ROUNDS = 100;

    static void settle() {
        WaitForAsyncUtils.waitForFxEvents(ROUNDS);
    }

    @Override
    public FxRobot interact(Runnable action) {
        interactNoWait(action);
        settle();
        return this;
    }

    @Override
    public FxRobot clickOn(String query, Motion motion, MouseButton... buttons) {
        return click(still(() -> point(query).query()), 1);
    }

    @Override
    public FxRobot clickOn(Node node, Motion motion, MouseButton... buttons) {
        return click(still(() -> point(node).query()), 1);
    }

    @Override
    public FxRobot doubleClickOn(Node node, Motion motion, MouseButton... buttons) {
        return click(still(() -> point(node).query()), 2);
    }

    /** Where a thing stands once it stands still: what arrives meanwhile may move it. */
    private static Point2D still(Supplier<Point2D> where) {
        Point2D last = where.get();
        for (int n = 0; n < MOST_ROUNDS; n++) {
            WaitForAsyncUtils.waitForFxEvents(1);
            Point2D now = where.get();
            if (now.equals(last)) {
                return now;
            }
            last = now;
        }
        return last;
    }

    private FxRobot click(Point2D at, int times) {
        interactNoWait(() -> {
            Robot mouse = new Robot();
            mouse.mouseMove(at);
            for (int i = 0; i < times; i++) {
                mouse.mousePress(MouseButton.PRIMARY);
                mouse.mouseRelease(MouseButton.PRIMARY);
            }
        });
        settle();
        return this;
    }

    /** Letters and a key after them, each as soon as the window has taken the one before, with no time between. */
    static void type(String text, KeyCode last) {
        text.chars().forEach(c -> WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> fire((char) c, KeyCode.UNDEFINED)));
        WaitForAsyncUtils.waitForAsyncFx(MOST_MS, () -> fire('\t', last));
    }

    private static void fire(char c, KeyCode code) {
        Scene scene = Window.getWindows().get(0).getScene();
        for (KeyEvent e : List.of(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", code, false, false, false, false), new KeyEvent(KeyEvent.KEY_TYPED, String.valueOf(c), "",
                KeyCode.UNDEFINED, false, false, false, false), new KeyEvent(KeyEvent.KEY_RELEASED, "", "", code, false, false, false, false))) {
            Event.fireEvent(scene.getFocusOwner() == null ? scene : scene.getFocusOwner(), e);
        }
    }
}
