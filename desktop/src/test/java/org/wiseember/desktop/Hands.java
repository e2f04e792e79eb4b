package org.wiseember.desktop;

import static javafx.scene.input.MouseButton.PRIMARY;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import javafx.event.Event;
import javafx.event.EventTarget;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;
import org.testfx.service.query.PointQuery;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A hand on keyboard and mouse. It goes on as soon as keys and clicks have been answered, where
 * TestFX waits a fixed time after each key and leads the mouse there in two hundred steps: over a
 * test of a few hundred of them that is most of its time.
 */
final class Hands extends FxRobot {
  /** Going on before a key was answered would overtake it: text is fired at what has the focus. */
  private static final long ANSWERED_WITHIN = TimeUnit.SECONDS.toNanos(10);

  private final Stage stage;
  private final AtomicInteger released = new AtomicInteger();
  private final AtomicInteger moved = new AtomicInteger();
  private final AtomicInteger clicked = new AtomicInteger();

  /** Must be made on the interface thread. */
  Hands(Stage stage) {
    this.stage = stage;
    stage.addEventFilter(KeyEvent.KEY_RELEASED, e -> released.incrementAndGet());
    stage.addEventFilter(MouseEvent.MOUSE_MOVED, e -> moved.incrementAndGet());
    stage.addEventFilter(MouseEvent.MOUSE_DRAGGED, e -> moved.incrementAndGet());
    stage.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> clicked.incrementAndGet());
  }

  /** Presses real keys together and lets them go. */
  @Override
  public FxRobot push(KeyCode... keys) {
    int before = released.get();
    OpenWindow.onFx(
        () -> {
          Robot robot = new Robot();
          for (KeyCode key : keys) {
            robot.keyPress(key);
          }
          for (int i = keys.length - 1; i >= 0; i--) {
            robot.keyRelease(keys[i]);
          }
          return null;
        });
    answered(released, before + keys.length);
    return this;
  }

  /** What opens or closes a window may be let go where nobody sees it. */
  private static void answered(AtomicInteger count, int wanted) {
    long end = System.nanoTime() + ANSWERED_WITHIN;
    while (count.get() < wanted && System.nanoTime() < end) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(1));
    }
    WaitForAsyncUtils.waitForFxEvents(2);
  }

  /** There at once, by way of a place beside it, so that whatever lies there notices. */
  @Override
  public FxRobot moveTo(PointQuery where, Motion motion) {
    Point2D point = where.query();
    int before = moved.get();
    OpenWindow.onFx(
        () -> {
          Robot robot = new Robot();
          robot.mouseMove(point.getX() + 1, point.getY());
          robot.mouseMove(point);
          return null;
        });
    answered(moved, before + 1);
    return this;
  }

  @Override
  public FxRobot clickOn(PointQuery where, Motion motion, MouseButton... buttons) {
    moveTo(where, motion);
    int before = clicked.get();
    OpenWindow.onFx(
        () -> {
          new Robot().mouseClick(buttons.length == 0 ? new MouseButton[] {PRIMARY} : buttons);
          return null;
        });
    answered(clicked, before + 1);
    return this;
  }

  /** Types a text at whatever has the focus, one key after the other. */
  @Override
  public FxRobot write(String text) {
    text.chars().forEach(c -> type((char) c));
    WaitForAsyncUtils.waitForFxEvents(2);
    return this;
  }

  private void type(char c) {
    KeyCode code = c == '\n' ? KeyCode.ENTER : c == '\t' ? KeyCode.TAB : KeyCode.UNDEFINED;
    OpenWindow.onFx(
        () -> {
          fire(KeyEvent.KEY_PRESSED, KeyEvent.CHAR_UNDEFINED, code);
          fire(KeyEvent.KEY_TYPED, Character.toString(c), KeyCode.UNDEFINED);
          fire(KeyEvent.KEY_RELEASED, KeyEvent.CHAR_UNDEFINED, code);
          return null;
        });
  }

  private void fire(EventType<KeyEvent> type, String character, KeyCode code) {
    Scene scene = stage.getScene();
    EventTarget target = scene.getFocusOwner() == null ? scene : scene.getFocusOwner();
    Event.fireEvent(target, new KeyEvent(type, character, "", code, false, false, false, false));
  }
}
