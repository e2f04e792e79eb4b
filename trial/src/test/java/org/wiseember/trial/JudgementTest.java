package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.SplittableRandom;
import org.testng.annotations.Test;
import org.wiseember.bench.run.Pace;
import org.wiseember.bench.simulated.SimulatedBench;
import org.wiseember.core.capacity.CapacityMethod;
import org.wiseember.core.capacity.UsableCapacity;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.verdict.Standing;
import org.wiseember.trial.kind.Inquiry;
import org.wiseember.trial.kind.RunRecord;
import org.wiseember.trial.kind.StoredRun;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.page.TrialPage;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.rig.SimulatedUnits;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.workbook.OnDemand;
import org.wiseember.workbook.Run;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

public class JudgementTest extends OnDemo {
  @Test
  public void theDemoIsAsPromised() {
    List<TestedUnit> units = demo.units().all();
    assertEquals(units.size(), 5);
    long done =
        units.stream()
            .flatMap(u -> demo.runs().of(u.id()).stream())
            .filter(r -> r.state() == Run.State.DONE)
            .count();
    long started =
        units.stream()
            .flatMap(u -> demo.runs().of(u.id()).stream())
            .filter(r -> r.state() == Run.State.INTERRUPTED)
            .count();
    assertEquals(done, 26);
    assertEquals(started, 1);
  }

  @Test
  public void capacityIsJudgedAtHalfLoadWithItsBecause() {
    Judged line = line(judge(0), Subject.CAPACITY);
    assertTrue(line.title().startsWith("AC energy at 5"), line.title());
    assertEquals(line.verdict().orElseThrow().standing(), Standing.SHORT);
    assertTrue(line.figure().orElseThrow().because().workedOut().size() >= 3);
    assertTrue(line.runId().isPresent());
    assertEquals(
        line.figure().orElseThrow().because().watchOut().size(),
        2,
        "what it mixes, and the reserve shown");
  }

  @Test
  public void anInterruptedDrainJudgesNothing() {
    Drained broken = judge(2).drains().get(0);
    assertEquals(broken.run().state(), Run.State.INTERRUPTED);
    Judgement judgement = Judgement.of(judge(2).unit(), List.of(broken), true);
    assertEquals(
        line(judgement, Subject.CAPACITY).verdict().orElseThrow().standing(), Standing.NOT_TESTED);
  }

  @Test
  public void everyClaimWithALimitHasALine() {
    Judgement judgement = judge(0);
    assertEquals(judgement.lines().size(), judgement.unit().label().claims().size());
    assertTrue(TrialPage.summary(judgement).contains("2 short"), TrialPage.summary(judgement));
  }

  @Test
  public void theLoadFollowsTheLabel() {
    assertEquals(Plans.acDrain(Label.read("1075 Wh\n1200 W")).orElseThrow().watts(), 600.0);
    assertEquals(
        Plans.acDrain(Label.read("Capacity 1075 Wh at 300 W\n1200 W")).orElseThrow().watts(),
        300.0);
    assertEquals(Plans.acDrain(Label.read("1075 Wh")).orElseThrow().watts(), 200.0);
    assertTrue(Plans.acDrain(Label.read("1200 W")).isEmpty());
  }

  /** What the figures say of simulated units covers what they truly delivered. */
  @Test
  public void statedIntervalsCoverWhatWasTrulyDelivered() {
    SplittableRandom random = new SplittableRandom(5);
    int covered = 0;
    int trials = 60;
    for (int k = 0; k < trials; k++) {
      Label label =
          Label.read(
              Math.round(150 + 250 * random.nextDouble())
                  + " Wh LFP\nAC 230 V "
                  + Math.round(300 + 300 * random.nextDouble())
                  + " W");
      TestPlan plan = Plans.acDrain(label).orElseThrow();
      SimulatedBench bench =
          SimulatedUnits.bench("unit " + k, label, plan, random.nextLong(), java.util.Set.of());
      java.util.ArrayList<Double> t = new java.util.ArrayList<>();
      java.util.ArrayList<Double> w = new java.util.ArrayList<>();
      var drain = plan.procedure();
      while (!drain.phase().over()) {
        bench.arrange(drain.setPoints());
        Frame frame = bench.advance(1);
        drain.take(frame);
        t.add(frame.seconds());
        w.add(frame.value(org.wiseember.core.trace.Channel.AC_POWER));
      }
      var trace =
          new org.wiseember.core.trace.Trace(
              t.stream().mapToDouble(Double::doubleValue).toArray(),
              java.util.Map.of(
                  org.wiseember.core.trace.Channel.AC_POWER,
                  w.stream().mapToDouble(Double::doubleValue).toArray()));
      Figure energy =
          UsableCapacity.of(
                  trace, CapacityMethod.measuredWith(Double.NaN, SimulatedBench.AC_POWER_CLASS))
              .deliveredEnergy()
              .orElseThrow();
      covered += Math.abs(energy.value() - bench.account().delivered()) <= energy.u95() ? 1 : 0;
    }
    assertTrue(covered >= 0.9 * trials, covered + " of " + trials);
  }

  @Test
  public void aDrainGoesFromBenchToWorkbookToVerdict() throws Exception {
    Path file = folder.resolve("own.ember");
    try (Workbook workbook = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit added = workbook.units().add("Haddlewick H500");
      workbook.units().label(added.id(), "300 Wh NMC\nAC 120 V 60 Hz 400 W", List.of());
      TestedUnit unit = workbook.units().all().get(0);
      TestPlan plan = Plans.acDrain(unit.label()).orElseThrow();
      RecordedRun drain =
          RecordedRun.of(
              workbook,
              unit,
              plan,
              BenchSetup.simulated(unit.name(), unit.label(), plan, 3, java.util.Set.of()),
              Pace.FULL,
              Instant.EPOCH,
              view -> {});
      drain.runner().runToEnd();
      Judgement judgement = Judgement.of(workbook, unit, true);
      assertTrue(judgement.drains().get(0).complete());
      assertTrue(line(judgement, Subject.CAPACITY).verdict().orElseThrow().measured().isPresent());
      assertTrue(
          line(judgement, Subject.OUTPUT_FREQUENCY).verdict().orElseThrow().measured().isPresent());
    }
  }

  /** A drain must start full: common practice, no published source. */
  @Test
  public void aDrainThatDidNotStartFullJudgesNothing() {
    Drained full = judge(0).drains().get(0);
    assertTrue(full.complete());
    for (double shown : new double[] {93, 99, 100}) {
      Trace trace =
          full.trace()
              .mapped(java.util.Map.of(Channel.DISPLAY_CHARGE, charge -> Math.min(charge, shown)));
      StoredRun kept =
          new StoredRun(full.type(), full.run(), full.treatment(), OnDemand.of(trace), List.of());
      Drained drain =
          (Drained)
              full.type()
                  .worked(
                      new RunRecord(kept, List.of(), List.of(), List.of()), new Inquiry(judge(0)));
      assertEquals(drain.complete(), shown >= 99, "display at " + shown);
    }
  }
}
