package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.demo.DemoWorkbook;
import org.wiseember.trial.test.drain.DrainRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.Workbook;

/** Whole jobs at the bench, in a real window: by hand, with faults, with files, cut short. */
public class BenchworkTest extends InDemoWindow {
  private DrainRun newest(int unit) {
    List<DrainRun> drains = window.found(unit).drains();
    return drains.get(drains.size() - 1);
  }

  /** A whole drain with nothing but typed readings, and its verdict. */
  @Test
  public void aDrainTypedByHandGetsAFigure() {
    int before = window.found(0).drains().size();
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-BY_HAND");
    window.click("start-test");
    window.until(() -> window.desk().bench().live().get() != null);
    window.until(() -> window.desk().bench().live().get().typed().size() == 1);
    window.untilShown("Switch the load on.");

    // kWh typed for Wh is said at once, and what was meant is one click away.
    window.type("typed-CLOCK", "1:01:00");
    window.type("typed-TOTAL", "609 kWh");
    window.untilShown("Did you mean 609");
    window.click("take-meant");
    window.until(
        () -> ((TextField) window.scene().lookup("#typed-TOTAL")).getText().equals("609 Wh"));
    window.type("typed-DISPLAY", "38 %");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.desk().bench().live().get().typed().size() == 3);
    window.untilShown("Typed: Plug meter 609 Wh at 1:01:00.");

    // The last total, then its end by hand.
    window.type("typed-CLOCK", "1:32:24");
    window.type("typed-TOTAL", "0.921 kWh");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.desk().bench().live().get().typed().size() == 4);
    window.type("note", "E02");
    robot.push(KeyCode.ENTER);
    window.untilShown("The unit shows E02.");
    Node end = window.node("dropped-out");
    robot.moveTo(end).press(MouseButton.PRIMARY);
    try {
      window.until(() -> !window.desk().bench().going());
    } finally {
      robot.release(MouseButton.PRIMARY);
    }
    window.until(() -> window.found(0).drains().size() == before + 1);
    window.until(() -> newest(0).run().state() == Run.State.DONE && newest(0).complete());
    Figure energy = newest(0).finding().deliveredEnergy().orElseThrow();
    assertEquals(energy.value(), 921.0);
    assertTrue(energy.u95() > 5 && energy.u95() < 20, energy.toString());
    assertEquals(newest(0).finding().duration().orElseThrow().value(), 5544, 1);
  }

  @Test
  public void aTypedReadingIsTakenBackByUndo() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-BY_HAND");
    window.click("start-test");
    window.until(
        () ->
            window.desk().bench().live().get() != null
                && window.desk().bench().live().get().typed().size() == 1);
    window.type("typed-TOTAL", "12 Wh");
    robot.push(KeyCode.ENTER);
    window.until(() -> window.desk().bench().live().get().typed().size() == 2);
    // The focus is in the first field still, as it is for whoever sees a slip right after Enter.
    window.until(() -> "typed-DISPLAY".equals(window.scene().getFocusOwner().getId()));
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> window.desk().bench().live().get().typed().size() == 1);
    long run = window.desk().bench().live().get().run().runId();
    assertEquals(window.desk().workbook().orElseThrow().typedReadings().of(run).size(), 1);
  }

  @Test
  public void aPracticeFaultIsNoticedInTheWindow() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.choose(1);
    window.click("fault-THERMOSTAT");
    window.click("pace-" + Pace.FULL.name());
    window.click("start-test");
    window.untilShown("The load cycles with the output alive");
    window.until(() -> !window.desk().bench().going());
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
    window.until(() -> window.desk().bench().live().get() != null);
    window.untilShown("Taken up again where it stood.");
    window.until(() -> !window.desk().bench().going());
    window.until(() -> newest(2).complete());
    assertEquals(window.found(2).drains().size(), 1);
  }

  @Test
  public void aRunCutShortIsClosedForGood() {
    window.choose(2);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("close-interrupted");
    window.until(() -> newest(2).run().state() == Run.State.STOPPED);
    window.until(() -> !window.shows("was cut short after"));
  }

  /** A log of another program: looked at, mended, read in, taken away again. */
  @Test
  public void aLogIsReadInAndTakenAway() throws Exception {
    Path log = folder.resolve("meter.csv");
    try (Workbook demo = Workbook.open(file, Clock.systemUTC())) {
      DemoWorkbook.writeMeterLog(demo, log);
    }
    int before = window.found(0).drains().size();
    OpenWindow.onFx(
        () -> {
          window.desk().readingIn().take(log);
          return null;
        });
    window.untilShown("Read in a log");
    window.untilShown("Decimal commas are read.");
    ComboBox<?> power = (ComboBox<?>) window.node("use-2");
    assertEquals(power.getValue(), Channel.AC_POWER.words());
    window.type("log-accuracy", "1");
    window.click("read-in");
    window.until(() -> window.desk().stage().get() == StageName.EVIDENCE);
    window.until(() -> window.found(0).drains().size() == before + 1);
    DrainRun drain = newest(0);
    double first =
        window.found(0).drains().get(0).finding().deliveredEnergy().orElseThrow().value();
    assertEquals(drain.finding().deliveredEnergy().orElseThrow().value(), first, 0.01 * first);
    window.untilShown("rows read in");

    // The same kind of file again: taken as last time.
    OpenWindow.onFx(
        () -> {
          window.desk().readingIn().take(log);
          return null;
        });
    window.untilShown("Its columns are taken as last time.");
    window.click("leave-log");
    window.until(() -> window.desk().readingIn().draft().get() == null);
    OpenWindow.onFx(
        () -> {
          window.desk().undo();
          return null;
        });
    window.until(() -> window.found(0).drains().size() == before);
  }

  @Test
  public void aRunIsPackedAndTakenInElsewhere() throws Exception {
    OpenWindow.onFx(
        () -> {
          window.desk().shownRun().set(window.found(0).drains().get(0).run().id());
          return null;
        });
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT4);
    window.untilShown("AC energy delivered");
    window.click("pack-run");
    window.untilShown("Packed as ");
    Path zip;
    try (var list = Files.list(folder)) {
      zip = list.filter(p -> p.toString().endsWith(".zip")).findFirst().orElseThrow();
    }
    int before = window.found(0).drains().size();
    OpenWindow.onFx(
        () -> {
          window.desk().readingIn().take(zip);
          return null;
        });
    window.until(() -> window.found(0).drains().size() == before + 1);
    assertEquals(
        newest(0).finding().deliveredEnergy(),
        window.found(0).drains().get(0).finding().deliveredEnergy());
  }

  @Test
  public void instrumentsAreChangedCheckedAndTakenOff() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-INSTRUMENTS");
    window.click("to-instruments");
    window.untilShown("Every figure is as sure as the meter behind it.");
    window.click("add-Energy-meter-over-Modbus");
    window.until(() -> window.desk().bench().instruments().size() == 4);
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
                .desk()
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
                .desk()
                .bench()
                .instruments()
                .get(3)
                .description()
                .channels()
                .get(0)
                .correction()
                .isPresent());
    window.click("remove-instrument");
    window.until(() -> window.desk().bench().instruments().size() == 3);
    robot.push(KeyCode.CONTROL, KeyCode.Z);
    window.until(() -> window.desk().bench().instruments().size() == 4);
    assertFalse(window.desk().said().get().isEmpty());
  }

  /** An instrument that is not there: said, never a stall, never a sample. */
  @Test
  public void aLostInstrumentIsSaidInTheFoot() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.click("source-INSTRUMENTS");
    window.click("start-test");
    window.until(() -> window.desk().bench().live().get() != null);
    window.untilShown("lost");
    window.until(
        () ->
            window.desk().bench().live().get().view().get() != null
                && window.desk().bench().live().get().view().get().notices().stream()
                    .anyMatch(n -> n.code().equals("lost")));
    long run = window.desk().bench().live().get().run().runId();
    Workbook workbook = window.desk().workbook().orElseThrow();
    assertEquals(workbook.runs().trace(workbook.runs().byId(run).orElseThrow()).size(), 0);
    OpenWindow.onFx(
        () -> {
          window.desk().bench().stopRun();
          return null;
        });
    window.until(() -> !window.desk().bench().going());
  }
}
