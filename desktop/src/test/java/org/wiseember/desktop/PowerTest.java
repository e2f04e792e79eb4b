package org.wiseember.desktop;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.MotorStarts;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.label.Subject;
import org.wiseember.core.verdict.Standing;
import org.wiseember.desktop.model.StageName;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.TestType;
import org.wiseember.trial.kind.Trait;
import org.wiseember.trial.kind.overload.OverloadRun;
import org.wiseember.trial.kind.start.StartsRun;
import org.wiseember.workbook.Run;

/** Tests of power in a real window: cautions first, a stop always at hand, and what they found. */
public class PowerTest extends InDemoWindow {
  private <T extends TestRun> T newest(Class<T> kind) {
    return unit().runs().stream()
        .filter(kind::isInstance)
        .map(kind::cast)
        .reduce((a, b) -> b)
        .orElse(null);
  }

  private void pace(Pace pace) {
    OpenWindow.onFx(
        () -> {
          window.session().bench().setPace(pace);
          return null;
        });
  }

  /** Nothing that can hurt starts before its cautions were in sight. */
  @Test
  public void cautionsComeBeforeTheStart() {
    OpenWindow.onFx(
        () -> {
          window.session().at().stage().set(StageName.VERDICT);
          window.session().bench().test().set(AllTests.of(OverloadHolds.KIND));
          window.session().bench().start();
          return null;
        });
    window.untilShown("Read the cautions beside the steps first");
    assertFalse(window.session().bench().going());
    for (TestType kind : AllTests.list()) {
      assertEquals(
          window.session().bench().mayStart(kind), !kind.is(Trait.HAZARDOUS), kind.words());
    }
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.untilShown("never leave an overload alone");
    window.until(() -> window.session().bench().mayStart(AllTests.of(OverloadHolds.KIND)));
    assertFalse(
        window.session().bench().mayStart(AllTests.of(MotorStarts.KIND)), "each test its own");
    window.test("motor-start");
    window.untilShown("A saw or grinder starts without warning");
    window.until(() -> window.session().bench().mayStart(AllTests.of(MotorStarts.KIND)));
  }

  /** A running test is stopped by one click from any stage. */
  @Test
  public void aStopIsAlwaysOneClickAway() {
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.test("overload");
    window.until(() -> window.session().bench().mayStart(AllTests.of(OverloadHolds.KIND)));
    pace(Pace.TEN);
    window.click("start-test");
    window.until(() -> window.session().bench().going());
    for (StageName stage : StageName.values()) {
      OpenWindow.onFx(
          () -> {
            window.session().at().stage().set(stage);
            return null;
          });
      window.settle();
      Node stop = window.node("foot-stop");
      assertTrue(
          OpenWindow.onFx(() -> stop.isVisible() && stop.getBoundsInParent().getWidth() > 20));
    }
    window.click("foot-stop");
    window.until(() -> !window.session().bench().going());
    window.until(() -> newest(OverloadRun.class).run().state() == Run.State.STOPPED);
    window.until(() -> !window.scene().lookup("#foot-stop").isVisible());
  }

  /** A whole overload ladder on another unit, to its map and its verdict. */
  @Test
  public void anOverloadFromTheBenchToTheVerdict() {
    window.choose(1);
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT3);
    window.test("overload");
    window.untilShown("each from a base load");
    window.until(() -> window.session().bench().mayStart(AllTests.of(OverloadHolds.KIND)));
    pace(Pace.FULL);
    window.click("start-test");
    window.until(() -> newest(OverloadRun.class) != null && !window.session().bench().going());
    window.until(() -> newest(OverloadRun.class).run().state() == Run.State.DONE);
    OverloadRun run = newest(OverloadRun.class);
    assertTrue(run.finding().trips().size() >= 2, run.finding().holds().toString());
    assertFalse(run.recovery().isEmpty());
    robot.push(KeyCode.CONTROL, KeyCode.DIGIT4);
    window.untilShown("How it ended");
    window.untilShown("By the curve it trips after");
    window.untilShown("Time to the trip");
    assertTrue(
        unit().lines().stream()
            .filter(l -> l.claim().subject() == Subject.CONTINUOUS_POWER)
            .allMatch(l -> l.verdict().orElseThrow().standing() != Standing.NOT_TESTED));
  }

  /** Five starts, the plate of another motor, and the answer. */
  @Test
  public void willItStart() {
    OpenWindow.onFx(
        () -> {
          window.session().at().shownRun().set(newest(StartsRun.class).run().id());
          window.session().at().stage().set(StageName.EVIDENCE);
          return null;
        });
    window.untilShown("Will it start your motor?");
    window.untilShown("5 of 5 started");
    window.replace("ask-name", "Crepe pan fan");
    window.replace("ask-amps", "0.4");
    window.until(
        () ->
            ((Label) window.scene().lookup("#will-it-start"))
                .getText()
                .equals("Crepe pan fan: yes"));
    window.replace("ask-amps", "many");
    window.untilShown("Running amps: “many” is no number from 0.01 to 100\u2009000.");
    window.replace("ask-amps", "30");
    window.until(
        () ->
            ((Label) window.scene().lookup("#will-it-start"))
                .getText()
                .equals("Crepe pan fan: not known"));
    window.replace("ask-code", "Q");
    window.untilShown("A code letter is one of A to V");
    window.click("chart-2");
    window.settle();
  }
}
