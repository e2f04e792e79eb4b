package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.StaysOn;
import org.wiseember.bench.procedure.SwitchOver;
import org.wiseember.bench.run.Pace;
import org.wiseember.core.label.Subject;
import org.wiseember.core.supply.Alive;
import org.wiseember.core.supply.Pulls;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.verdict.Standing;
import org.wiseember.core.verdict.Verdict;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.stays.StaysRun;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.NewRun;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.RunOf;
import org.wiseember.workbook.RunSettings;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** What stays on when the wall plug is pulled: counted by hand, and on the simulated bench. */
public class StaysOnTest {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-05-04T16:30:00Z"), ZoneOffset.UTC);
  private static final String LABEL =
      "1000 Wh\n1200 W\n230 V 50 Hz\nUPS < 20 ms\nPass-through charging";

  private Workbook workbook;
  private TestedUnit unit;

  @BeforeMethod
  public void open() throws Exception {
    workbook = Workbook.open(Files.createTempDirectory("ember-stays").resolve("one.ember"), CLOCK);
    TestedUnit added = workbook.units().add("Kiosk");
    workbook.units().label(added.id(), LABEL, List.of());
    unit = workbook.units().byId(added.id()).orElseThrow();
  }

  @AfterMethod(alwaysRun = true)
  public void close() {
    workbook.close();
  }

  private long run(RunSettings.Source source, Trace trace) {
    NewRun run =
        new NewRun(
            RunOf.unit(unit.id()),
            StaysOn.KIND,
            "What stays on",
            CLOCK.instant(),
            RunSettings.of(source, Map.of()));
    return workbook.runs().add(run, Run.State.DONE, "", trace, List.of());
  }

  private StaysRun typed(Map<Channel, Double> seen) {
    long run = run(RunSettings.Source.BY_HAND, Trace.empty());
    double at = 10;
    for (Channel channel : Channel.values()) {
      if (seen.containsKey(channel)) {
        workbook
            .typedReadings()
            .keep(run, at, "Eyes", channel, seen.get(channel), 1, "" + seen.get(channel));
        at += 5;
      }
    }
    return judge().newest(StaysRun.class).orElseThrow();
  }

  private Judgement judge() {
    return Judgement.of(workbook, unit, true);
  }

  private Verdict verdict(Subject subject) {
    return judge().lines().stream()
        .filter(l -> l.claim().subject() == subject)
        .findFirst()
        .flatMap(l -> l.verdict())
        .orElseThrow();
  }

  @DataProvider
  Object[][] outlet() {
    return new Object[][] {
      {1.0, Standing.KEPT}, {0.0, Standing.SHORT}, {2.0, Standing.KEPT},
    };
  }

  @Test(dataProvider = "outlet")
  public void passThroughIsJudgedByTheOutlet(double outlet, Standing expected) {
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), Standing.NOT_TESTED);
    typed(Map.of(Channel.AC_ALIVE, outlet, Channel.USB_ALIVE, 0.0));
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), expected);
    assertEquals(
        verdict(Subject.PASS_THROUGH).measured().orElseThrow().value(), outlet > 0 ? 1.0 : 0.0);
  }

  /** What nobody looked at says nothing of the claim. */
  @Test
  public void anOutletNobodyWatchedIsNotJudged() {
    StaysRun run = typed(Map.of(Channel.USB_ALIVE, 1.0, Channel.DC_ALIVE, 2.0));
    assertEquals(
        run.alive(), Map.of(Channel.USB_ALIVE, Alive.ON, Channel.DC_ALIVE, Alive.CAME_BACK));
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), Standing.NOT_TESTED);
    assertTrue(run.pulls().isEmpty());
  }

  /** Eyes do not see milliseconds: whatever the computer did, the claim in ms stays open. */
  @Test
  public void countsNeverJudgeMilliseconds() {
    for (double stayed : new double[] {0, 3, 5}) {
      StaysRun run =
          typed(
              Map.of(
                  Channel.PULLS, 5.0, Channel.LAMP_STEADY, 2.0, Channel.COMPUTER_STAYED, stayed));
      assertEquals(run.headline().orElseThrow().answer(), (int) stayed + " of 5");
      assertEquals(verdict(Subject.SWITCH_OVER).standing(), Standing.RIG_CANNOT_SHOW);
      assertTrue(verdict(Subject.SWITCH_OVER).reason().contains("Eyes do not see milliseconds"));
    }
  }

  /**
   * A meter that stood by and was lost says nothing of the outlet; what was typed beside it does.
   */
  @Test
  public void aLostMeterIsNoDeadOutlet() {
    double[] t = {1, 2, 3};
    double[] lost = {Double.NaN, Double.NaN, Double.NaN};
    Trace trace = new Trace(t, Map.of(Channel.AC_POWER, t, Channel.AC_VOLTAGE, lost));
    long run = run(RunSettings.Source.INSTRUMENTS, trace);
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), Standing.NOT_TESTED);
    assertTrue(judge().newest(StaysRun.class).orElseThrow().pulls().isEmpty());
    workbook.typedReadings().keep(run, 2, "Eyes", Channel.AC_ALIVE, 1, 1, "on");
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), Standing.KEPT);
  }

  @Test
  public void moreSurvivalsThanPullsIsASlip() {
    StaysRun run = typed(Map.of(Channel.PULLS, 3.0, Channel.COMPUTER_STAYED, 5.0));
    assertTrue(run.pulls().isEmpty());
    assertTrue(run.warnings().get(0).message().contains("5 times at 3 pulls"));
    StaysRun without = typed(Map.of(Channel.COMPUTER_STAYED, 5.0, Channel.AC_ALIVE, 1.0));
    assertTrue(without.warnings().get(0).message().contains("is missing"));
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), Standing.KEPT);
  }

  private void simulated(String key, long seed) {
    TestPlan plan =
        Plans.of(key, unit.label(), OnHand.of(List.of(60.0, 100.0, 500.0))).orElseThrow();
    RecordedRun.of(
            workbook,
            unit,
            plan,
            BenchSetup.simulated(unit.name(), unit.label(), plan, seed, Set.of()),
            Pace.FULL,
            CLOCK.instant(),
            v -> {})
        .runner()
        .runToEnd();
  }

  /** On the simulated bench it goes by itself; a scope's answer is preferred to that of eyes. */
  @Test
  public void theSimulatedBenchPullsFiveTimes() {
    simulated(StaysOn.KIND, 6);
    StaysRun run = judge().newest(StaysRun.class).orElseThrow();
    assertEquals(run.run().state(), Run.State.DONE, run.run().ending());
    Pulls pulls = run.pulls().orElseThrow();
    assertEquals(pulls.pulls(), 5);
    assertTrue(pulls.lampSteady() <= pulls.computerStayed());
    assertEquals(run.alive(), Map.of(Channel.AC_ALIVE, Alive.ON));
    assertEquals(verdict(Subject.PASS_THROUGH).standing(), Standing.KEPT);
    assertEquals(verdict(Subject.SWITCH_OVER).standing(), Standing.RIG_CANNOT_SHOW);
    simulated(SwitchOver.KIND, 6);
    assertNotEquals(verdict(Subject.SWITCH_OVER).standing(), Standing.RIG_CANNOT_SHOW);
  }
}
