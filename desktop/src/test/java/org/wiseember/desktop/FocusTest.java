package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import org.testng.annotations.Test;
import org.wiseember.desktop.model.StageName;

/** Where Tab leads, and what a key that was not meant for it never presses. */
public class FocusTest extends InDemoWindow {
  private static final String LABEL = "Capacity 300 Wh LFP";

  /** The name, Tab, the label: typed in one go, its blanks are blanks. */
  @Test
  public void aNewUnitIsTypedInOneGo() {
    window.robot().push(KeyCode.CONTROL, KeyCode.N);
    window.until(() -> window.scene().getFocusOwner() instanceof javafx.scene.control.TextField);
    window.until(() -> "unit-name".equals(window.scene().getFocusOwner().getId()));
    window.robot().write("Ferry stall");
    window.robot().push(KeyCode.TAB);
    window.robot().write(" " + LABEL);
    window.until(
        () ->
            window.scene().lookup("#label-text") instanceof TextArea area
                && area.getText().equals(" " + LABEL));
    assertEquals(window.desk().stage().get(), StageName.LABEL);
    window.until(() -> !window.desk().chosen().get().unit().label().claims().isEmpty());
    // On from the label: its claims, then the way to the bench.
    List<String> way = new ArrayList<>();
    for (int i = 0; i < 8 && !way.contains("to-bench"); i++) {
      window.robot().push(KeyCode.TAB);
      window.settle();
      Node focused = window.focused();
      way.add(
          focused.getStyleClass().contains("claim-row")
              ? "claim"
              : String.valueOf(focused.getId()));
    }
    assertEquals(way.get(0), "claim", way.toString());
    assertEquals(way.get(way.size() - 1), "to-bench", way.toString());
  }

  /** Start comes into focus by itself: a blank does not press it, Enter does. */
  @Test
  public void aBlankDoesNotStartATest() {
    window.choose(1);
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.until(
        () ->
            window.scene().getFocusOwner() != null
                && "start-test".equals(window.scene().getFocusOwner().getId()));
    window.settle();
    window.robot().push(KeyCode.SPACE);
    window.robot().write("a b");
    window.settle();
    assertFalse(window.desk().bench().going());
    assertTrue(window.desk().bench().live().get() == null);
  }

  /** A key held down since before the focus came presses nothing. */
  @Test
  public void aHeldKeyPressesNothing() {
    window.choose(0);
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.until(
        () ->
            window.scene().getFocusOwner() != null
                && "start-test".equals(window.scene().getFocusOwner().getId()));
    window.settle();
    OpenWindow.onFx(
        () -> {
          Node shelf = window.scene().getRoot();
          fire(shelf, KeyEvent.KEY_PRESSED);
          Node start = window.scene().lookup("#start-test");
          for (int i = 0; i < 5; i++) {
            fire(start, KeyEvent.KEY_PRESSED);
          }
          fire(start, KeyEvent.KEY_RELEASED);
          return null;
        });
    window.settle();
    assertTrue(window.desk().bench().live().get() == null);
  }

  private static void fire(Node target, javafx.event.EventType<KeyEvent> type) {
    target.fireEvent(new KeyEvent(type, "", "", KeyCode.ENTER, false, false, false, false));
  }
}
