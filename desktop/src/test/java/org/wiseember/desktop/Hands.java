package org.wiseember.desktop;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import javafx.event.Event;
import javafx.event.EventTarget;
import javafx.event.EventType;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

/**
 * A hand on keyboard and mouse. Its keys go on as soon as they have been answered, where TestFX
 * waits a fixed time after each: over a test of a few hundred keys that is most of its time.
 */
final class Hands extends FxRobot {
  private static final long ANSWERED_WITHIN = TimeUnit.MILLISECONDS.toNanos(250);

  private final Stage stage;
  private final AtomicInteger released = new AtomicInteger();

  /** Must be made on the interface thread. */
  Hands(Stage stage) {
    this.stage = stage;
    stage.addEventFilter(KeyEvent.KEY_RELEASED, e -> released.incrementAndGet());
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
    // A key that opens or closes a window may be let go where nobody sees it.
    long end = System.nanoTime() + ANSWERED_WITHIN;
    while (released.get() < before + keys.length && System.nanoTime() < end) {
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(1));
    }
    WaitForAsyncUtils.waitForFxEvents(2);
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
