package org.wiseember.desktop;

import static javafx.scene.input.MouseButton.PRIMARY;

import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import javafx.collections.ListChangeListener;
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
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.robot.Motion;
import org.testfx.service.query.PointQuery;

/**
 * A hand on keyboard and mouse. It goes on as soon as keys and clicks have been answered, where
 * TestFX waits a fixed time after each key and leads the mouse there in two hundred steps: over a
 * test of a few hundred of them that is most of its time.
 */
final class Hands extends FxRobot {
  /** Going on before a key was answered would overtake it: text is fired at what has the focus. */
  private static final long ANSWERED_WITHIN = TimeUnit.SECONDS.toNanos(10);

  /** What any window of the program was told, those that open over others among them. */
  private static final AtomicInteger RELEASED = new AtomicInteger();

  private static final AtomicInteger MOVED = new AtomicInteger();
  private static final AtomicInteger CLICKED = new AtomicInteger();
  private static boolean watching;

  private final Stage stage;

  /** Must be made on the interface thread. */
  Hands(Stage stage) {
    this.stage = stage;
    if (!watching) {
      watching = true;
      Window.getWindows().forEach(Hands::watch);
      Window.getWindows()
          .addListener(
              (ListChangeListener<Window>)
                  change -> {
                    while (change.next()) {
                      change.getAddedSubList().forEach(Hands::watch);
                    }
                  });
    }
  }

  private static void watch(Window window) {
    if (window.getProperties().put(Hands.class, true) == null) {
      window.addEventFilter(KeyEvent.KEY_RELEASED, e -> RELEASED.incrementAndGet());
      window.addEventFilter(MouseEvent.MOUSE_MOVED, e -> MOVED.incrementAndGet());
      window.addEventFilter(MouseEvent.MOUSE_DRAGGED, e -> MOVED.incrementAndGet());
      window.addEventFilter(MouseEvent.MOUSE_RELEASED, e -> CLICKED.incrementAndGet());
    }
  }

  /** Presses real keys together and lets them go. */
  @Override
  public FxRobot push(KeyCode... keys) {
    int before = RELEASED.get();
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
    answered(RELEASED, before + keys.length, Arrays.toString(keys));
    return this;
  }

  private void answered(AtomicInteger count, int wanted, Object what) {
    long end = System.nanoTime() + ANSWERED_WITHIN;
    while (count.get() < wanted) {
      if (System.nanoTime() > end) {
        throw new AssertionError("no window answered " + what);
      }
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(1));
    }
    OpenWindow.settle(stage);
  }

  /** There at once, by way of a place beside it, so that whatever lies there notices. */
  @Override
  public FxRobot moveTo(PointQuery where, Motion motion) {
    Point2D point = where.query();
    int before = MOVED.get();
    OpenWindow.onFx(
        () -> {
          Robot robot = new Robot();
          robot.mouseMove(point.getX() + 1, point.getY());
          robot.mouseMove(point);
          return null;
        });
    answered(MOVED, before + 1, point);
    return this;
  }

  @Override
  public FxRobot clickOn(PointQuery where, Motion motion, MouseButton... buttons) {
    moveTo(where, motion);
    int before = CLICKED.get();
    OpenWindow.onFx(
        () -> {
          new Robot().mouseClick(buttons.length == 0 ? new MouseButton[] {PRIMARY} : buttons);
          return null;
        });
    answered(CLICKED, before + 1, "a click");
    return this;
  }

  /** Types a text at whatever has the focus, one key after the other. */
  @Override
  public FxRobot write(String text) {
    text.chars().forEach(c -> type((char) c));
    OpenWindow.settle(stage);
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
