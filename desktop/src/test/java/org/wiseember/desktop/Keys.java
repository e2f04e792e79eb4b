package org.wiseember.desktop;

import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.testfx.api.FxRobot;

/** The keyboard alone, as somebody works who has a meter in the other hand. */
final class Keys {
  /** No page has more stops than that. */
  private static final int STOPS = 160;

  private final OpenWindow window;
  private final FxRobot robot;

  Keys(OpenWindow window) {
    this.window = window;
    this.robot = window.robot();
  }

  /** Tab until something has the keyboard. */
  void tabTo(String id) {
    window.node(id);
    for (int i = 0; i < STOPS; i++) {
      Node now = window.focused();
      if (now != null && id.equals(now.getId())) {
        return;
      }
      robot.push(KeyCode.TAB);
    }
    throw new AssertionError("Tab does not lead to " + id);
  }

  /** Types into a field in place of what stands there. */
  void fill(String id, String text) {
    tabTo(id);
    robot.push(KeyCode.CONTROL, KeyCode.A);
    robot.write(text);
    robot.push(KeyCode.ENTER);
    window.settle();
  }

  void press(String id) {
    tabTo(id);
    robot.push(KeyCode.ENTER);
    window.settle();
  }

  /** From the chosen one of a row of choices to another, by the arrows. */
  void choose(String chosen, String wanted) {
    tabTo(chosen);
    for (int i = 0; i < 6; i++) {
      Node now = window.focused();
      if (now != null && wanted.equals(now.getId())) {
        window.settle();
        return;
      }
      robot.push(KeyCode.RIGHT);
      window.settle();
    }
    throw new AssertionError("the arrows do not lead from " + chosen + " to " + wanted);
  }
}
