package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.figure.Figure;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.StoredReading;
import org.wiseember.workbook.Workbook;

/** Whole jobs at the bench, in a real window: by hand, with faults, with files, cut short. */
public class BenchworkTest extends InDemoWindow {
  private Drained newest(int unit) {
    List<Drained> drains = window.found(unit).drains();
    return drains.get(drains.size() - 1);
  }

  /** A whole drain with nothing but a notebook and two keys, and its verdict. */
  @Test
  public void aDrainByHandGetsAFigure() {
    int before = window.found(0).drains().size();
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-BY_HAND");
    window.click("start-test");
    window.untilShown("Switch the load on: 600 W.");
    write("100 %, 0 Wh", 2);
    handClock.on(20);
    robot.push(KeyCode.F6);
    window.untilShown("Let it run.");

    // kWh typed for Wh is said at once, and what was meant is one click away.
    handClock.on(3660);
    window.type("notebook-line", "609 kWh");
    window.untilShown("Did you mean 609");
    window.click("take-meant");
    window.until(
        () -> ((TextField) window.scene().lookup("#notebook-line")).getText().equals("609 Wh"));
    write(", display 38 %", 4);

    // Its end by one key, while a line is being written; the last total read afterwards.
    handClock.on(1884);
    window.type("notebook-line", "0.921 kWh");
    robot.push(KeyCode.F6);
    window.untilShown("Write what meter and display show now.");
    write(", E02", 5);
    robot.push(KeyCode.F6);
    window.until(() -> !window.session().bench().going());
    window.until(() -> window.found(0).drains().size() == before + 1);
    window.until(() -> newest(0).run().state() == Run.State.DONE && newest(0).complete());
    Figure energy = newest(0).finding().deliveredEnergy().orElseThrow();
    assertEquals(energy.value(), 921.0);
    assertTrue(energy.u95() > 5 && energy.u95() < 20, energy.toString());
    assertEquals(newest(0).finding().duration().orElseThrow().value(), 5544, 1e-6);
    assertEquals(newest(0).finding().duration().orElseThrow().u95(), 0.6, 0.05);
    assertEquals(newest(0).startCharge().orElseThrow(), 100.0);
  }

  /**
   * The same test three times on a new unit: once, by the button beside the verdict, and by name.
   */
  @Test
  public void aTestIsMadeAgain() throws Exception {
    window.close();
    window = OpenWindow.on(folder.resolve("one.ember"), from -> handClock);
    robot = window.robot();
    robot.push(KeyCode.CONTROL, KeyCode.N);
    window.until(() -> "unit-name".equals(window.scene().getFocusOwner().getId()));
    robot.write("Brackley Stall 320\n");
    window.until(() -> "label-text".equals(window.scene().getFocusOwner().getId()));
    robot.write("Capacity 500 Wh\nUSB-C 60 W");
    window.until(() -> unit() != null && unit().unit().label().claims().size() == 2);
    byName("by hand");
    byName("usb test");
    usb(1);
    window.click("make-again");
    usb(2);
    byName("usb test");
    usb(3);
  }

  private void byName(String words) {
    robot.push(KeyCode.CONTROL, KeyCode.K);
    window.until(() -> "find".equals(window.scene().getFocusOwner().getId()));
    robot.write(words);
    robot.push(KeyCode.ENTER);
  }

  private void usb(int runs) {
    window.until(() -> "start-test".equals(window.scene().getFocusOwner().getId()));
    robot.push(KeyCode.ENTER);
    window.until(() -> "notebook-line".equals(window.scene().getFocusOwner().getId()));
    write("5.02 V, 2.96 A", 2);
    handClock.on(1);
    robot.push(KeyCode.F6);
    window.until(() -> !window.session().bench().going());
    window.until(() -> unit().runs().size() == runs);
  }

  /** Writes on in the notebook and keeps the line; then so many readings stand there. */
  private void write(String text, int readings) {
    window.write(text, readings);
  }

  @Test
  public void aLineIsStruckCorrectedAndBroughtBack() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-BY_HAND");
    window.click("start-test");
    window.untilShown("Switch the load on: 600 W.");
    handClock.on(30);
    write("12 Wh", 1);
    // The focus is in the line still, as it is for whoever sees a slip right after Enter.
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> window.session().bench().live().get().typed().isEmpty());
    write("21 Wh", 1);
    handClock.on(600);
    // Up goes to the line, Enter takes it back into the field: it keeps its moment.
    robot.push(KeyCode.UP);
    robot.push(KeyCode.ENTER);
    window.until(
        () -> ((TextField) window.scene().lookup("#notebook-line")).getText().equals("21 Wh"));
    robot.push(KeyCode.HOME);
    robot.push(KeyCode.DELETE);
    robot.push(KeyCode.DELETE);
    window.write("0", 1);
    StoredReading corrected = window.session().bench().live().get().typed().get(0);
    assertEquals(corrected.value(), 0.0);
    assertEquals(corrected.seconds(), 30, 1e-6);

    // A press that was wrong is struck, and the test stands where it stood.
    robot.push(KeyCode.F6);
    window.untilShown("Let it run.");
    window.until(() -> window.session().bench().live().get().pressed().size() == 1);
    robot.push(KeyCode.UP);
    robot.push(KeyCode.DELETE);
    window.untilShown("Switch the load on: 600 W.");
    long run = window.session().bench().live().get().run().runId();
    Workbook workbook = window.session().open().workbook().orElseThrow();
    window.until(() -> workbook.notebook().pressed(run).isEmpty());

    // Put in afterwards, with its time since the start.
    window.type("notebook-line", "Mira: load is on at 0:10:00");
    window.untilShown("At 0:10:00.");
    robot.push(KeyCode.ENTER);
    window.untilShown("Let it run.");
    window.until(() -> workbook.notebook().pressed(run).size() == 1);
    assertEquals(workbook.notebook().pressed(run).get(0).seconds(), 600.5, 1e-6);
    assertEquals(workbook.notebook().of(run).get(1).who(), "Mira");
  }

  @Test
  public void aPracticeFaultIsNoticedInTheWindow() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.choose(1);
    window.click("fault-THERMOSTAT");
    window.click("pace-" + Pace.FULL.name());
    window.click("start-test");
    window.untilShown("The load cycles with the output alive");
    window.until(() -> !window.session().bench().going());
    window.untilShown("The output dropped out");
  }

  /** A run the lights went out on: go on with it where it stood. */
  @Test
  public void aRunCutShortGoesOn() {
    window.choose(2);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.untilShown("was cut short after");
    window.click("pace-" + Pace.FULL.name());
    window.click("go-on");
    window.until(() -> window.session().bench().live().get() != null);
    window.untilShown("Taken up again where it stood.");
    window.until(() -> !window.session().bench().going());
    window.until(() -> window.found(2).drains().get(0).complete());
    assertEquals(window.found(2).drains().size(), 3);
  }

  @Test
  public void instrumentsAreChangedCheckedAndTakenOff() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-INSTRUMENTS");
    window.click("to-instruments");
    window.untilShown("Every figure is as sure as the meter behind it.");
    window.click("add-Energy-meter-over-Modbus");
    window.until(() -> window.session().bench().instruments().size() == 4);
    OpenWindow.onFx(
        () -> {
          ((TextField) window.scene().lookup("#class-second_ac_power")).clear();
          return null;
        });
    window.type("class-second_ac_power", "0.5 % + 3 digits");
    robot.push(KeyCode.ENTER);
    window.until(
        () ->
            window
                .session()
                .bench()
                .instruments()
                .get(3)
                .description()
                .channels()
                .get(0)
                .accuracy()
                .orElseThrow()
                .words()
                .equals("0.5 % + 3 digits"));
    window.type("check-shown", "590");
    window.type("check-better", "600");
    window.click("apply-check");
    window.untilShown("is corrected by 1.69 %");
    window.until(
        () ->
            window
                .session()
                .bench()
                .instruments()
                .get(3)
                .description()
                .channels()
                .get(0)
                .correction()
                .isPresent());
    window.click("remove-instrument");
    window.until(() -> window.session().bench().instruments().size() == 3);
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> window.session().bench().instruments().size() == 4);
    assertFalse(window.session().open().said().get().isEmpty());
  }

  /** An instrument that is not there: said, never a stall, never a sample. */
  @Test
  public void aLostInstrumentIsSaidInTheFoot() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-INSTRUMENTS");
    window.click("start-test");
    window.until(() -> window.session().bench().live().get() != null);
    window.untilShown("lost");
    window.until(
        () ->
            window.session().bench().live().get().view().get() != null
                && window.session().bench().live().get().view().get().notices().stream()
                    .anyMatch(n -> n.code().equals("lost")));
    long run = window.session().bench().live().get().run().runId();
    Workbook workbook = window.session().open().workbook().orElseThrow();
    assertEquals(workbook.runs().trace(workbook.runs().byId(run).orElseThrow()).size(), 0);
    OpenWindow.onFx(
        () -> {
          window.session().bench().stopRun();
          return null;
        });
    window.until(() -> !window.session().bench().going());
  }
}
