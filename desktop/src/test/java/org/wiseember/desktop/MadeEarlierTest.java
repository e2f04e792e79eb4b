package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import org.testfx.api.FxRobot;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.verdict.Standing;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.byhand.PaperNotes;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.RunSettings;

/** Tests that were made earlier, written down in a real window by mouse and keys. */
public class MadeEarlierTest {
  private OpenWindow window;
  private FxRobot robot;
  private int presses;

  @BeforeMethod
  public void openAnEmptyWorkbook() throws Exception {
    window = OpenWindow.on(Files.createTempDirectory("ember-earlier").resolve("new.ember"));
    robot = window.robot();
    window.until(() -> window.session().open().workbook().isPresent());
    presses = 0;
  }

  @AfterMethod(alwaysRun = true)
  public void closeIt() {
    window.close();
  }

  private void push(KeyCode... keys) {
    robot.push(keys);
    presses++;
  }

  private void click(String id) {
    window.click(id);
    presses++;
  }

  private void write(String text) {
    robot.write(text);
    presses += text.length();
  }

  private Judgement unit() {
    return window.session().shelf().chosen().get();
  }

  private void unitWithLabel(String label) {
    push(KeyCode.CONTROL, KeyCode.N);
    window.until(() -> unit() != null);
    click("label-text");
    robot.write(label);
    window.until(() -> unit().unit().label().text().equals(label));
  }

  /** A drain of three lines, from nothing to its verdict: counted, but for the label. */
  @Test
  public void aFinishedDrainOfThreeLinesInFewPresses() {
    unitWithLabel("1075 Wh, 1200 W");
    push(KeyCode.CONTROL, KeyCode.E);
    window.until(() -> "notes-text".equals(window.focused().getId()));
    write("0 Wh\ncut out\n610 Wh");
    window.untilShown("610 ± 12");
    push(KeyCode.CONTROL, KeyCode.ENTER);
    window.until(() -> window.session().at().stage().get() == StageName.EVIDENCE);
    window.until(() -> unit().runs().size() == 1);
    push(KeyCode.CONTROL, KeyCode.DIGIT5);
    window.untilShown("Short");
    assertTrue(presses <= 25, presses + " presses");
    TestRun run = unit().runs().get(0);
    assertEquals(run.run().settings().source(), RunSettings.Source.ENTERED);
    Figure energy = run.figure("delivered_energy").orElseThrow();
    assertEquals(energy.value(), 610.0);
    assertEquals(energy.bound(), Bound.EXACT);
    assertEquals(unit().lines().get(0).verdict().orElseThrow().standing(), Standing.SHORT);
  }

  /** What is typed sign by sign, and what is pasted whole, comes to the same. */
  @Test
  public void typedAndPastedComeToTheSame() {
    PaperNotes notes = PaperNotes.all().get(2);
    unitWithLabel(PaperNotes.LABEL);
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.until(() -> window.session().bench().plan().isPresent());
    click("made-earlier");
    window.type("notes-text", notes.text());
    window.untilShown("610");
    click("keep-notes");
    window.until(() -> unit().runs().size() == 1);
    push(KeyCode.CONTROL, KeyCode.E);
    window.until(() -> "notes-text".equals(window.focused().getId()));
    OpenWindow.onFx(
        () -> {
          ClipboardContent content = new ClipboardContent();
          content.putString(notes.text());
          return Clipboard.getSystemClipboard().setContent(content);
        });
    push(KeyCode.CONTROL, KeyCode.V);
    window.until(() -> window.session().notes().understood().get().run().isPresent());
    push(KeyCode.CONTROL, KeyCode.ENTER);
    window.until(() -> unit().runs().size() == 2);
    assertEquals(
        unit().runs().get(1).figure(notes.figure()), unit().runs().get(0).figure(notes.figure()));
    assertEquals(unit().runs().get(0).figure(notes.figure()).orElseThrow().value(), notes.value());
  }

  /** What was not understood is pointed at before it is kept, and what cannot be is not kept. */
  @Test
  public void whatCannotBeTakenStaysInTheWindow() {
    unitWithLabel(PaperNotes.LABEL);
    push(KeyCode.CONTROL, KeyCode.E);
    window.type("notes-text", "0 Wh\n+10 min 100 Wh\nroughly 4 bananas");
    window.untilShown("Not understood: roughly 4 bananas");
    window.type("notes-text", "\n+5 min 50 Wh");
    window.untilShown("Line 4: its moment lies");
    push(KeyCode.CONTROL, KeyCode.ENTER);
    window.untilShown("Line 4: its moment lies");
    assertTrue(unit().runs().isEmpty());
    assertTrue(window.session().notes().draft().get().text().endsWith("50 Wh"), "nothing is lost");
    window.click("notes-day");
    window.type("notes-day", "yesterday");
    window.untilShown("“yesterday” is no day");
    push(KeyCode.CONTROL, KeyCode.DIGIT5);
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    assertFalse(window.session().notes().draft().get().text().isEmpty(), "still there");
    click("leave-notes");
    assertNull(window.session().notes().draft().get());
  }

  /** Watts nobody wrote down then are added where the run is looked at, and count. */
  @Test
  public void aLineThatWasForgottenIsAddedLater() {
    unitWithLabel(PaperNotes.LABEL);
    push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.test("overload");
    push(KeyCode.CONTROL, KeyCode.E);
    window.type("notes-text", "10:00:00 load is on\n10:12:00 I took it off\nplug stays cool");
    push(KeyCode.CONTROL, KeyCode.ENTER);
    window.until(() -> unit().runs().size() == 1);
    assertTrue(unit().runs().get(0).figures().isEmpty(), "no watts were read under the load");
    window.untilShown("no watts were read under it");
    window.click("later-line");
    window.type("later-line", "+5 min 1210 W");
    window.untilShown("Watts 1\u2009210 W");
    push(KeyCode.ENTER);
    window.until(() -> !unit().runs().get(0).figures().isEmpty());
    assertEquals(unit().runs().get(0).figure("held_power").orElseThrow().value(), 1210.0);
    // Below the first line, without a moment, it lies between that and the next.
    window.until(() -> window.shows("plug stays cool"));
    window.clickOn("10:00:00 load is on");
    window.type("later-line", "1212 W");
    push(KeyCode.ENTER);
    window.until(
        () -> unit().runs().get(0).figure("held_power").filter(f -> f.value() > 1210).isPresent());
    push(KeyCode.CONTROL, KeyCode.Z);
    window.until(
        () -> unit().runs().get(0).figure("held_power").filter(f -> f.value() == 1210).isPresent());
  }

  /** Ctrl+Z takes a run away that was entered. */
  @Test
  public void anEnteredRunIsTakenBack() {
    unitWithLabel(PaperNotes.LABEL);
    push(KeyCode.CONTROL, KeyCode.E);
    window.type("notes-text", "0 Wh\nload is on\nit cut out\n610 Wh");
    push(KeyCode.CONTROL, KeyCode.ENTER);
    window.until(() -> unit().runs().size() == 1);
    push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> unit().runs().isEmpty());
  }
}
