package org.wiseember.trial.byhand;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;

import java.util.List;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.bench.procedure.OverloadHolds;
import org.wiseember.core.hand.OperatorEvent;
import org.wiseember.core.hand.TimedOperatorEvent;
import org.wiseember.core.label.Label;
import org.wiseember.core.trace.Channel;
import org.wiseember.trial.AllTests;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.inspect.InspectionTest;
import org.wiseember.trial.kind.solar.SolarTrialTest;
import org.wiseember.trial.live.HandRecord;
import org.wiseember.trial.live.Known;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.workbook.StoredReading;

/** What stands beside the notebook while a test is made by hand. */
public class KnownSoFarTest {
  private static final Label LABEL = Label.read("1000 Wh LFP\nAC out 230 V~ 50 Hz, 1000 W");

  private static TestPlan plan(String key) {
    return AllTests.plan(
            AllTests.of(key), LABEL, OnHand.of(List.of(100.0, 200.0, 500.0, 800.0, 1000.0)))
        .orElseThrow();
  }

  private static TimedOperatorEvent press(OperatorEvent press, double watts, double at) {
    return TimedOperatorEvent.key(press, watts, at);
  }

  private static StoredReading read(Channel channel, double value, double at) {
    return new StoredReading(0, at, "by hand", channel, value, 0.1, "");
  }

  /** 100 W out of 12.5 V and 10 A: 80 %. Of a load of which one side is read nothing is told. */
  @Test
  public void eachLoadHasItsEfficiencyAtOnce() {
    List<Known> known =
        plan(LoadLadder.KIND)
            .settings()
            .known(
                new HandRecord(
                    List.of(
                        press(OperatorEvent.LOAD_ON, 100, 10),
                        press(OperatorEvent.READ, 100, 60),
                        press(OperatorEvent.LOAD_ON, 500, 70)),
                    List.of(
                        read(Channel.DC_VOLTAGE, 12.7, 5),
                        read(Channel.DC_CURRENT, 1.0, 5),
                        read(Channel.AC_POWER, 100, 50),
                        read(Channel.DC_VOLTAGE, 12.5, 50),
                        read(Channel.DC_CURRENT, -10, 50),
                        read(Channel.AC_POWER, 500, 100)),
                    120));
    assertEquals(known.size(), 2);
    assertEquals(known.get(0).value(), "80.0 %");
    assertFalse(known.get(1).known(), "the volts of the load before are not this one's");
    assertEquals(known.get(1).value(), "not read");
  }

  /** A load that was skipped is not tried, and the one after it keeps its own line. */
  @Test
  public void aSkippedLoadIsNotTried() {
    TestPlan plan = plan(OverloadHolds.KIND);
    List<Double> loads = plan.settings().loads();
    List<Known> known =
        plan.settings()
            .known(
                new HandRecord(
                    List.of(
                        press(OperatorEvent.SKIPPED, loads.get(0), 10),
                        press(OperatorEvent.LOAD_ON, loads.get(1), 20),
                        press(OperatorEvent.TRIPPED, loads.get(1), 45)),
                    List.of(),
                    60));
    assertEquals(known.get(0).value(), "not tried");
    assertEquals(known.get(1).value(), "tripped after 25 s");
  }

  /** Watts stand beside the arrangement they were read with, whichever was left out before it. */
  @Test
  public void aSkippedArrangementTakesNobodysWatts() {
    TestPlan plan =
        AllTests.plan(
                AllTests.of(SolarTrialTest.KIND),
                Label.read("1000 Wh LFP\nSolar in 12-60 V, 10 A, 400 W"),
                OnHand.of(List.of()))
            .orElseThrow();
    List<Known> known =
        plan.settings()
            .known(
                new HandRecord(
                    List.of(
                        press(OperatorEvent.SKIPPED, 1, 10),
                        press(OperatorEvent.DONE, 2, 20),
                        press(OperatorEvent.READ, 2, 60)),
                    List.of(read(Channel.IN_POWER, 115, 40)),
                    70));
    assertEquals(known.get(0).value(), "skipped");
    assertEquals(known.get(1).value(), "115 W");
    assertEquals(known.get(2).value(), "not read");
  }

  /** That the rest is left out says nothing of the point it was left at. */
  @Test
  public void enoughIsNoAnswerToAPoint() {
    List<Known> known =
        plan(InspectionTest.KIND)
            .settings()
            .known(
                new HandRecord(
                    List.of(press(OperatorEvent.HALF, 0, 5), press(OperatorEvent.ENOUGH, 1, 9)),
                    List.of(),
                    10));
    assertEquals(known.get(0).value(), "half");
    assertFalse(known.get(1).known());
  }
}
