package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;

/**
 * Fields of the bench are typed into as a person does it: a click, then one sign after the other,
 * with a pause after each in which whatever the sign set off comes to its end.
 */
public class TypingTest extends InDemoWindow {
  private record Typed(String test, String id, String text) {}

  private static final List<Typed> FIELDS =
      List.of(
          new Typed("efficiency", "loads-on-hand", "200, 950"),
          new Typed("motor-start", "motor-name", "Roof unit"),
          new Typed("motor-start", "motor-volts", "118.5"),
          new Typed("motor-start", "motor-amps", "11.25"),
          new Typed("watching", "soak-watts", "950"),
          new Typed("watching", "soak-hours", "12.5"),
          new Typed("charge", "charge-setting", "400 W"),
          new Typed("real-loads", "real-loads", "Kettle, 3"),
          new Typed("solar-trial", "arrangements", "100 + 80"));

  /** What stands in the field at the end is what was typed, and it has the focus all along. */
  @Test
  public void everyFieldTakesWhatIsTyped() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    for (Typed field : FIELDS) {
      window.test(field.test());
      typed(field.id(), field.text());
    }
  }

  @Test
  public void aDrainsOwnLoadTakesWhatIsTyped() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("drain-load-OWN");
    typed("drain-own-watts", "950 W");
  }

  /**
   * What cannot be taken starts nothing, nor does an empty field where something was to be given.
   */
  @Test
  public void aFormThatIsNotRightStartsNothing() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("drain-load-OWN");
    startsNothing();
    typed("drain-own-watts", "95");
    typed("drain-own-watts", "abc");
    startsNothing();
    typed("drain-own-watts", "96");
    window.click("start-test");
    window.until(() -> window.session().bench().going());
    assertEquals(window.session().bench().live().get().plan().watts(), 96.0);
  }

  /** The motor that is offered is one for the unit's own volts, until somebody names theirs. */
  @Test
  public void aMotorIsOfferedForTheVoltsOfTheUnit() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.test("motor-start");
    assertEquals(text("motor-volts"), "230");
    typed("motor-volts", "abc");
    window.untilShown("“abc”");
    window.choose(3);
    assertEquals(text("motor-volts"), "120");
    assertFalse(window.shows("“abc”"), "what was wrong with the one before");
    typed("motor-name", "Well pump");
    window.choose(0);
    assertEquals(text("motor-volts"), "120", "it was named, and is the tester's own");
    assertEquals(text("motor-name"), "Well pump");
  }

  /** How good a meter is counts by hand too: the way to the instruments is there. */
  @Test
  public void byHandThereIsAWayToTheInstruments() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-BY_HAND");
    window.click("to-instruments");
    window.click("back-to-bench");
    window.until(() -> window.node("start-test").isVisible());
  }

  private String text(String id) {
    return OpenWindow.onFx(() -> ((TextInputControl) window.node(id)).getText());
  }

  private void startsNothing() {
    window.click("start-test");
    window.idle();
    assertFalse(window.session().bench().going());
  }

  /** While a test goes, readings of it and of other units come in behind the field. */
  @Test
  public void aNotebookTakesWhatIsTyped() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-BY_HAND");
    window.click("start-test");
    window.untilShown("Switch the load on: 600 W.");
    typed("notebook-line", "100 %, 0 Wh");
  }

  private void typed(String id, String text) {
    window.click(id);
    TextInputControl field = (TextInputControl) window.node(id);
    robot.push(KeyCode.CONTROL, KeyCode.A);
    for (int i = 0; i < text.length(); i++) {
      Node has = window.focused();
      assertEquals(has, field, id + ": the focus after “" + text.substring(0, i) + "”");
      robot.write(text.substring(i, i + 1));
      window.idle();
    }
    assertEquals(field.getText(), text);
    assertEquals(field.getScene(), window.scene(), "the field is still the one on show");
  }
}
