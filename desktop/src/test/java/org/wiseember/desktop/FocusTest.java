package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
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
    window.until(() -> window.scene().getFocusOwner() instanceof TextField);
    window.until(() -> "unit-name".equals(window.scene().getFocusOwner().getId()));
    window.robot().write("Ferry stall");
    window.robot().push(KeyCode.TAB);
    window.robot().write(" " + LABEL);
    window.until(
        () ->
            window.scene().lookup("#label-text") instanceof TextArea area
                && area.getText().equals(" " + LABEL));
    assertEquals(window.session().at().stage().get(), StageName.LABEL);
    window.until(() -> !window.session().shelf().chosen().get().unit().label().claims().isEmpty());
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
    assertFalse(window.session().bench().going());
    assertTrue(window.session().bench().live().get() == null);
  }

  /** Who looks for something goes on typing there, whatever comes onto the bench meanwhile. */
  @Test
  public void nothingTakesTheKeyboardFromWhoIsFinding() {
    window.choose(1);
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.until(() -> "start-test".equals(window.scene().getFocusOwner().getId()));
    window.robot().push(KeyCode.CONTROL, KeyCode.K);
    window.until(() -> "find".equals(window.scene().getFocusOwner().getId()));
    window.robot().write("hea");
    // A unit that was read late, and the next test of its plan, come onto the bench now.
    window.choose(2);
    window.settle();
    window.robot().write("t and");
    window.settle();
    assertEquals(window.focused().getId(), "find");
    assertEquals(((TextField) window.focused()).getText(), "heat and");
    window.robot().push(KeyCode.ESCAPE);
    assertFalse(window.session().bench().going());
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
    assertTrue(window.session().bench().live().get() == null);
  }

  /** The tick stays where it was made, and a blank goes on ticking: it is nobody else's. */
  @Test
  public void theGuardBandKeepsTheFocus() {
    window.choose(2);
    window.choose(1);
    String unit = unit().unit().name();
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.VERDICT);
          return null;
        });
    window.click("guard-band");
    window.until(() -> !window.session().shelf().guardBand().get());
    assertEquals(window.focused().getId(), "guard-band");
    window.robot().push(KeyCode.SPACE);
    window.until(() -> window.session().shelf().guardBand().get());
    window.robot().push(KeyCode.SPACE);
    window.until(() -> !window.session().shelf().guardBand().get());
    assertEquals(unit().unit().name(), unit);
    assertEquals(window.session().shelf().chosenUnit().get().longValue(), unit().unit().id());
  }

  /** What has the focus goes away: a blank presses nothing of what comes to have it. */
  @Test
  public void aBlankPressesNothingThatTookOver() {
    window.choose(3);
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.EVIDENCE);
          return null;
        });
    window.click("set-aside");
    window.settle();
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.LINE_UP);
          return null;
        });
    window.settle();
    window.robot().push(KeyCode.SPACE);
    window.robot().write("a b");
    window.idle();
    assertEquals(window.session().at().stage().get(), StageName.LINE_UP);
    assertEquals(unit().unit(), window.session().shelf().places().get(3).unit());
  }

  /** Where one reads on the shelf, one stays: neither a tick nor a unit worked out moves it. */
  @Test
  public void theShelfStaysWhereItIs() {
    OpenWindow.onFx(
        () -> {
          window.scene().getRoot().lookupAll(".shelf-unit").stream()
              .skip(3)
              .findFirst()
              .orElseThrow()
              .requestFocus();
          return null;
        });
    Node before = window.focused();
    OpenWindow.onFx(
        () -> {
          window.session().shelf().guardBand().set(false);
          window.session().shelf().places().set(1, window.session().shelf().places().get(1));
          return null;
        });
    window.settle();
    assertEquals(window.focused(), before, "others changed");
    OpenWindow.onFx(
        () -> {
          window.session().shelf().places().set(3, window.session().shelf().places().get(3));
          return null;
        });
    window.settle();
    assertEquals(window.focused().getUserData(), before.getUserData(), "the same unit");
  }

  private static void fire(Node target, javafx.event.EventType<KeyEvent> type) {
    target.fireEvent(new KeyEvent(type, "", "", KeyCode.ENTER, false, false, false, false));
  }

  /** Enter presses a button and ticks a step once, where the toolkit has a way of its own too. */
  @Test
  public void enterIsOnePress() {
    window.choose(1);
    window.robot().push(KeyCode.CONTROL, KeyCode.DIGIT3);
    CheckBox step = (CheckBox) OpenWindow.onFx(() -> window.scene().getRoot().lookup(".check-box"));
    OpenWindow.onFx(
        () -> {
          step.requestFocus();
          return null;
        });
    window.until(() -> window.scene().getFocusOwner() == step);
    boolean before = step.isSelected();
    window.robot().push(KeyCode.ENTER);
    window.until(() -> step.isSelected() != before);
    window.settle();
    assertEquals(step.isSelected(), !before);
  }
}
