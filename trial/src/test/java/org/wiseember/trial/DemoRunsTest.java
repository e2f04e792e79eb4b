package org.wiseember.trial;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.testng.annotations.Test;
import org.wiseember.bench.procedure.Drain;
import org.wiseember.bench.procedure.IdleState;
import org.wiseember.bench.procedure.LoadLadder;
import org.wiseember.core.display.DisplayVerdict;
import org.wiseember.core.label.Label;
import org.wiseember.core.label.Subject;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.verdict.Standing;
import org.wiseember.report.drawing.CurveDrawing;
import org.wiseember.report.drawing.Drawing;
import org.wiseember.report.drawing.ProfileDrawing;
import org.wiseember.report.page.FindingPage;
import org.wiseember.trial.kind.TestPlan;
import org.wiseember.trial.kind.TestRun;
import org.wiseember.trial.kind.charge.ChargeRun;
import org.wiseember.trial.kind.found.Drained;
import org.wiseember.trial.kind.found.Laddered;
import org.wiseember.trial.kind.idle.IdleRun;
import org.wiseember.trial.kind.idle.SmallLoads;
import org.wiseember.trial.onhand.OnHand;
import org.wiseember.trial.record.RecordedRun;
import org.wiseember.trial.rig.BenchSetup;
import org.wiseember.trial.verdict.Judged;
import org.wiseember.trial.verdict.Judgement;
import org.wiseember.trial.verdict.RatePicture;
import org.wiseember.workbook.TestedUnit;
import org.wiseember.workbook.Workbook;

/** What the runs of the demo say, each and together. */
public class DemoRunsTest extends OnDemo {
  private static List<Drawing> drawings(TestRun run, Judgement judgement) {
    return run.page(judgement).charts().stream().map(FindingPage.Chart::drawing).toList();
  }

  @Test
  public void everyTestOfTheFirstUnitSaysSomething() {
    Judgement judgement = judge(0);
    assertEquals(judgement.drains().size(), 4);
    assertTrue(judgement.drains().stream().allMatch(Drained::complete));
    Drained dc = judgement.drains().get(2);
    assertTrue(dc.direct());
    assertEquals(dc.meanWatts(), 108, 1);
    assertTrue(dc.finding().deliveredCharge().isPresent());
    Laddered ladder = judgement.ladder().orElseThrow();
    assertEquals(ladder.finding().points().size(), 6);
    DisplayVerdict display =
        DisplayVerdict.of(ladder.displays(), OptionalDouble.empty(), OptionalDouble.empty());
    assertTrue(display.words().get(0).contains("too many watts out"), display.words().toString());
    IdleRun idle = judgement.newest(IdleRun.class).orElseThrow();
    assertEquals(idle.states().size(), IdleState.values().length);
    double ac = idle.in(IdleState.AC_ON).orElseThrow().finding().power().orElseThrow().value();
    double port = idle.in(IdleState.DC_ON).orElseThrow().finding().power().orElseThrow().value();
    assertTrue(ac > 10 && port < 4, ac + " and " + port);
    assertTrue(idle.states().stream().allMatch(s -> s.finding().hours().isPresent()));
    assertTrue(
        judgement.runs().stream().allMatch(r -> r.headline().isPresent()), "no run without one");
  }

  /** The true losses are known: those of the typical inverter of this rating, and its fans. */
  @Test
  public void theLadderFindsTheInverter() {
    var fit = judge(0).ladder().orElseThrow().finding().fit().orElseThrow();
    Estimate p0 = fit.estimate(c -> c.p0());
    Estimate p1 = fit.estimate(c -> c.p1());
    assertEquals(p0.value(), 0.008 * 1200 + 3, p0.u95() + 1.5);
    assertEquals(p1.value(), 0.055, p1.u95());
  }

  @Test
  public void drainsTogetherMakeARateAndAnInverter() {
    Judgement judgement = judge(0);
    var rate = judgement.together().rate().orElseThrow();
    double heavy = judgement.drains().get(1).finding().deliveredEnergy().orElseThrow().value();
    assertEquals(rate.at(1048).energy().value(), heavy, 3);
    CurveDrawing picture = RatePicture.of(judgement, rate);
    assertEquals(picture.points().size(), 3);
    assertEquals(picture.claim(), 1075.0);
    assertTrue(picture.marks().get(0).words().contains("600 W"));
    assertTrue(judgement.together().implied().isPresent());
    assertEquals(SmallLoads.of(judgement).size(), 3);
    assertTrue(SmallLoads.of(judgement).get(0).gain() > 1.5);
    CurveDrawing curve =
        (CurveDrawing) drawings(judgement.ladder().orElseThrow(), judgement).get(0);
    assertEquals(curve.points().size(), 6);
    assertTrue(curve.least() < 79 && curve.most() == 100);
  }

  @Test
  public void anInverterIsJudgedByItsLadderAndAtRest() {
    Judgement judgement = judge(3);
    Judged efficiency = line(judgement, Subject.EFFICIENCY);
    assertEquals(efficiency.title(), "Peak efficiency");
    assertEquals(
        efficiency.verdict().orElseThrow().measured().orElseThrow(),
        judgement.ladder().orElseThrow().finding().best().orElseThrow());
    Judged idle = line(judgement, Subject.IDLE_CURRENT);
    assertEquals(idle.verdict().orElseThrow().standing(), Standing.SHORT);
    assertTrue(idle.title().contains("AC output on"));
  }

  /** A claim at half load is read off where no drain is near it. */
  @Test
  public void aCapacityIsReadOffBetweenDrains() throws Exception {
    Path file = Files.createTempDirectory("ember-rate").resolve("r.ember");
    try (Workbook other = Workbook.open(file, Clock.systemUTC())) {
      TestedUnit bare = other.units().add("Rate");
      Label label =
          other.units().label(bare.id(), "Capacity 300 Wh LFP\n600 W", java.util.List.of());
      TestedUnit unit = new TestedUnit(bare.id(), bare.name(), label);
      for (double watts : new double[] {150, 550}) {
        TestPlan plan = Plans.acDrain(watts);
        RecordedRun.of(
                other,
                unit,
                plan,
                BenchSetup.simulated(unit.name(), label, plan, 5, java.util.Set.of()),
                org.wiseember.bench.run.Pace.FULL,
                java.time.Instant.parse("2026-06-01T12:00:00Z"),
                v -> {})
            .runner()
            .runToEnd();
      }
      Judgement judgement = Judgement.of(other, unit, true);
      Judged capacity = line(judgement, Subject.CAPACITY);
      assertEquals(capacity.title(), "AC energy at 300 W");
      assertTrue(
          capacity
              .figure()
              .orElseThrow()
              .because()
              .watchOut()
              .get(0)
              .contains("Read off between drains"));
      double[] drained =
          judgement.drains().stream()
              .mapToDouble(d -> d.finding().deliveredEnergy().orElseThrow().value())
              .toArray();
      double read = capacity.verdict().orElseThrow().measured().orElseThrow().value();
      assertTrue(
          read > Math.min(drained[0], drained[1]) - 3
              && read < Math.max(drained[0], drained[1]) + 8,
          read + " between " + Arrays.toString(drained));
    }
  }

  @Test
  public void decisionsReachTheVerdict() {
    Judgement before = judge(1);
    Drained drain = before.drains().get(0);
    double energy = drain.finding().deliveredEnergy().orElseThrow().value();
    double half = (drain.finding().startTime() + drain.finding().endTime()) / 2;
    demo.treatments().decide(drain.run().id(), Treatment.NONE.withCutoff(OptionalDouble.of(half)));
    Judgement after = judge(1);
    assertEquals(
        line(after, Subject.CAPACITY).verdict().orElseThrow().measured().orElseThrow().value(),
        energy / 2,
        2);
    demo.treatments().decide(drain.run().id(), Treatment.NONE);
    assertEquals(
        judge(1).drains().get(0).finding().deliveredEnergy().orElseThrow().value(), energy);
  }

  @Test
  public void plansSayWhyTheyAreSo() {
    Label label = Label.read("Capacity 1075 Wh\n1200 W\nDC 12 V / 10 A");
    OnHand onHand = OnHand.of(java.util.List.of(60.0, 100.0, 200.0, 500.0, 1000.0));
    TestPlan dc = Plans.of(Drain.DC, label, onHand).orElseThrow();
    assertEquals(dc.watts(), 108.0);
    assertTrue(dc.reason().contains("0.2 C is 215 W"), dc.reason());
    Label small = Label.read("Capacity 400 Wh\n300 W");
    assertEquals(Plans.of(Drain.DC, small, onHand).orElseThrow().watts(), 80.0);
    TestPlan ladder = Plans.of(LoadLadder.KIND, small, onHand).orElseThrow();
    assertTrue(ladder.reason().contains("nothing on hand comes near 5 %"), ladder.reason());
    assertTrue(Plans.of(LoadLadder.KIND, Label.read("400 Wh"), onHand).isEmpty());
    assertTrue(Plans.of(Drain.DC, Label.read("300 W"), onHand).isEmpty());
  }

  /** The charge of the first unit: its figures against each other, its claims judged by them. */
  @Test
  public void theChargeFromTheWall() {
    Judgement judgement = judge(0);
    ChargeRun charge =
        judgement.runs().stream()
            .filter(ChargeRun.class::isInstance)
            .map(ChargeRun.class::cast)
            .findFirst()
            .orElseThrow();
    double peak = charge.finding().peakPower().orElseThrow().value();
    assertEquals(peak, 900, 80);
    double full = charge.finding().timeToFull().orElseThrow().value();
    double at80 = charge.finding().timeTo80().orElseThrow().value();
    double knee = charge.finding().taperStart().orElseThrow().value();
    assertTrue(at80 < full && knee < full, at80 + " " + knee + " " + full);
    // The simulated charger tapers from 88 % of charge on.
    assertEquals(charge.finding().taperShare().orElseThrow().value(), 88, 3);
    double round = charge.roundTrip().orElseThrow().value();
    assertTrue(round > 65 && round < 92, round + " %");
    assertEquals(
        line(judgement, Subject.MAINS_POWER)
            .verdict()
            .orElseThrow()
            .measured()
            .orElseThrow()
            .value(),
        peak);
    assertEquals(
        line(judgement, Subject.CHARGE_TIME)
            .verdict()
            .orElseThrow()
            .measured()
            .orElseThrow()
            .value(),
        full / 3600,
        1e-9);
    ProfileDrawing picture = (ProfileDrawing) drawings(charge, judgement).get(0);
    assertEquals(picture.marks().size(), 3);
    assertTrue(picture.lines().get(0).x()[0] >= 0);
    assertTrue(charge.startCharge().orElseThrow() < 5, "it starts empty");
    assertEquals(charge.shown().orElseThrow().moments().size(), 5);
  }
}
