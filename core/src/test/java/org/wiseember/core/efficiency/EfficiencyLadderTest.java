package org.wiseember.core.efficiency;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.Thorough;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;

public class EfficiencyLadderTest {
  private static final LossCurve TRUTH = new LossCurve(12, 0.05, 2e-5);

  private static EfficiencyFinding exact(LadderLog log) {
    return EfficiencyLadder.of(log.trace(), LadderMeters.ofReading(0), 1200, Treatment.NONE);
  }

  private static LadderLog usual(LadderLog log) {
    return log.load(0, 60)
        .load(60, 90)
        .load(120, 90)
        .load(300, 90)
        .load(600, 90)
        .load(900, 90)
        .load(1200, 90)
        .load(0, 30);
  }

  private static List<String> codes(EfficiencyFinding finding) {
    return finding.warnings().stream().map(Warning::code).toList();
  }

  private static void covers(Figure estimate, double truth, String what) {
    assertTrue(
        Math.abs(estimate.value() - truth) <= estimate.u95(),
        what + ": " + estimate + " should cover " + truth);
  }

  @DataProvider
  Object[][] tradeReadings() {
    // Common practice, no published source: readings at an inverter's terminals as testers note
    // them, with the efficiency they work out.
    // AC watts, DC volts, DC amps, %, DC watts
    return new Object[][] {
      {193.0, 12.3, 18.44, 85.1, 226.8},
      {528.0, 11.3, 52.0, 89.9, 587.6},
      {1430.0, 12.0, 135.5, 87.9, 1626.0},
      {1430.0, 12.1, 135.5, 87.2, 1639.6},
      {94.0, 12.1, 8.4, 92.5, 101.6},
    };
  }

  @Test(dataProvider = "tradeReadings")
  public void readingsOfTheTrade(
      double ac, double volts, double amps, double percent, double dcWatts) {
    LadderLog log = LadderLog.exact(TRUTH).every(60).row(ac, 230, volts, amps);
    EfficiencyFinding finding = exact(log);
    LoadPoint point = finding.points().get(0);
    assertEquals(point.dcWatts(), dcWatts, 0.05);
    assertEquals(point.efficiency().value(), percent, 0.06);
    assertTrue(codes(finding).contains("too_few_loads"));
  }

  /** Common practice, no published source: 12.0 for 12.1 V moves the figure by 0.7 points. */
  @Test
  public void roundedVoltsAreSaidAndInTheUncertainty() {
    LadderLog log =
        LadderLog.exact(TRUTH)
            .every(300)
            .row(193, 230, 12.3, 18.44)
            .row(528, 229, 11.3, 52.0)
            .row(1430, 228, 12, 135.5);
    EfficiencyFinding finding = exact(log);
    assertTrue(codes(finding).contains("rounded_volts"));
    Figure heavy = finding.points().get(2).efficiency();
    assertTrue(heavy.u95() > 0.2 && heavy.u95() < 0.7, heavy.toString());
    double unrounded = 100 * 1430 / (12.05 * 135.5);
    covers(heavy, unrounded, "half a digit away");
  }

  /** A known curve comes back from a log of it, and the weighted figures of it too. */
  @Test
  public void aKnownInverterComesBack() {
    EfficiencyFinding finding = exact(usual(LadderLog.exact(TRUTH)));
    LossCurve found = finding.fit().orElseThrow().curve();
    assertEquals(found.p0(), 12, 1e-3);
    assertEquals(found.p1(), 0.05, 1e-5);
    assertEquals(found.p2(), 2e-5, 1e-8);
    assertEquals(finding.points().size(), 6);
    assertEquals(finding.noLoad().orElseThrow().value(), 12, 1e-6);
    assertEquals(
        finding.peakEfficiency().orElseThrow().value(), 100 * TRUTH.peakEfficiency(), 1e-3);
    assertEquals(finding.peakLoad().orElseThrow().value(), 774.6, 0.5);
    for (Weighting w : Weighting.values()) {
      assertEquals(
          finding.weighted().get(w).value(), 100 * w.of(TRUTH::efficiency, 1200), 1e-3, w.words());
    }
    assertFalse(codes(finding).contains("extrapolated"), codes(finding).toString());
    // Within two points of the peak: checked at both ends on the true curve.
    assertEquals(TRUTH.efficiency(finding.goodFrom()), TRUTH.peakEfficiency() - 0.02, 1e-4);
    assertEquals(finding.goodTo(), 1200, 1e-9);
    assertEquals(finding.droop().orElseThrow().percent().value(), 100 * 3.6 / 230, 1e-6);
  }

  /** Common practice, no published source: 127 V without load, 115 V at 94 W, of 300 W rated. */
  @Test
  public void droopOfASmallInverter() {
    LadderLog log = LadderLog.exact(TRUTH).every(60).row(0, 127, 12.6, 0.3).row(94, 115, 12.1, 8.4);
    EfficiencyFinding finding =
        EfficiencyLadder.of(log.trace(), LadderMeters.ofReading(0), Double.NaN, Treatment.NONE);
    Droop droop = finding.droop().orElseThrow();
    assertEquals(droop.noLoadVolts(), 127, 1e-9);
    assertEquals(droop.percent().value(), 100 * 12 / 127.0, 1e-9);
    assertEquals(droop.atWatts(), 94, 1e-9);
  }

  @Test
  public void pointsBeyondTheMeasuredLoadsAreNamed() {
    LadderLog log = LadderLog.exact(TRUTH).load(0, 60).load(200, 90).load(500, 90).load(1000, 90);
    EfficiencyFinding finding = exact(log);
    List<String> said =
        finding.warnings().stream()
            .filter(w -> w.code().equals("extrapolated"))
            .map(Warning::message)
            .toList();
    assertEquals(said.size(), 2);
    assertTrue(said.get(0).contains("5 %, 10 %, 100 %"), said.get(0));
    assertTrue(said.get(1).contains("10 %, 100 %") && !said.get(1).contains("75 %"), said.get(1));
  }

  /** Heaters warm up: what is counted begins when they have settled. */
  @Test
  public void theWarmUpIsNotCounted() {
    LadderLog log = LadderLog.exact(TRUTH).warmingUp(0.03).load(0, 60).load(300, 400);
    LoadPoint point = exact(log).points().get(0);
    assertEquals(point.acWatts(), 300, 2);
    assertTrue(point.steps().get(0).from() >= 60 + SteadyRule.SETTLE_SECONDS);
    assertTrue(point.steps().get(0).settled());
  }

  @Test
  public void aLoadThatNeverSettlesIsSaidAndWidened() {
    LadderLog drifting = LadderLog.exact(TRUTH).load(0, 60);
    for (int i = 0; i < 200; i++) {
      double ac = 300 * (1 + 0.0009 * i);
      // The clamp lags behind the load, so the ratio drifts too.
      double dc = TRUTH.dcWatts(300 * (1 + 0.0008 * i));
      drifting.row(ac, 229, 51, dc / 51);
    }
    EfficiencyFinding finding = exact(drifting);
    assertTrue(codes(finding).contains("not_settled"), codes(finding).toString());
    assertTrue(finding.points().get(0).efficiency().u95() > 0.1);
  }

  @Test
  public void aLoadOfTwentySecondsIsUsedWithAWord() {
    LadderLog log =
        LadderLog.exact(TRUTH).load(0, 60).load(100, 20).load(400, 20).load(900, 20).load(0, 40);
    EfficiencyFinding finding = exact(log);
    assertTrue(codes(finding).contains("too_short_step"));
    assertEquals(finding.points().size(), 3);
    assertEquals(finding.points().get(1).efficiency().value(), 100 * TRUTH.efficiency(400), 0.01);
  }

  @Test
  public void aSpikeIsNoLoadOfItsOwn() {
    LadderLog log = LadderLog.exact(TRUTH).load(0, 60).load(300, 60);
    log.row(900, 229, 51, 20);
    log.load(300, 60);
    EfficiencyFinding finding = exact(log);
    assertEquals(finding.points().size(), 1);
    assertEquals(finding.points().get(0).repeats(), 1);
  }

  @Test
  public void metersThatReadInTurnArePaired() {
    int n = 600;
    double[] t = new double[n];
    double[] ac = new double[n];
    double[] volts = new double[n];
    double[] amps = new double[n];
    double[] loads = {0, 150, 500, 1000};
    for (int i = 0; i < n; i++) {
      t[i] = i;
      double load = loads[Math.min(3, i / 150)];
      double dc = TRUTH.dcWatts(load);
      ac[i] = i % 3 == 0 ? load : Double.NaN;
      volts[i] = i % 3 == 1 ? 48 : Double.NaN;
      amps[i] = i % 3 == 2 ? dc / 48 : Double.NaN;
    }
    Trace trace =
        new Trace(
            t, Map.of(Channel.AC_POWER, ac, Channel.DC_VOLTAGE, volts, Channel.DC_CURRENT, amps));
    EfficiencyFinding finding =
        EfficiencyLadder.of(trace, LadderMeters.ofReading(0), 1000, Treatment.NONE);
    assertEquals(finding.points().size(), 3);
    assertEquals(finding.points().get(2).efficiency().value(), 100 * TRUTH.efficiency(1000), 0.01);
  }

  @Test
  public void whatAStretchLeftOutHeldDoesNotCount() {
    LadderLog log = LadderLog.exact(TRUTH).load(0, 60).load(300, 100);
    for (int i = 0; i < 50; i++) {
      log.row(300, 229, 51, 30);
    }
    Trace trace = log.trace();
    double with =
        EfficiencyLadder.of(trace, LadderMeters.ofReading(0), 1200, Treatment.NONE)
            .points()
            .get(0)
            .efficiency()
            .value();
    Treatment treatment =
        Treatment.NONE.leavingOut(new Treatment.LeftOut(159.5, 211, "the clamp slipped"));
    double without =
        EfficiencyLadder.of(trace, LadderMeters.ofReading(0), 1200, treatment)
            .points()
            .get(0)
            .efficiency()
            .value();
    assertEquals(without, 100 * TRUTH.efficiency(300), 1e-6);
    assertTrue(with < without - 5);
  }

  @Test
  public void passThroughIsNotTheInverters() {
    Trace bare = LadderLog.exact(TRUTH).load(0, 60).load(300, 100).load(600, 100).trace();
    double[] in = new double[bare.size()];
    for (int i = 0; i < in.length; i++) {
      in[i] = bare.seconds(i) >= 160 ? 700 : 0;
    }
    double[][] columns = new double[4][bare.size()];
    Channel[] channels = {
      Channel.AC_POWER, Channel.AC_VOLTAGE, Channel.DC_VOLTAGE, Channel.DC_CURRENT
    };
    double[] t = new double[bare.size()];
    bare.copySeconds(0, t);
    for (int c = 0; c < 4; c++) {
      bare.copyValues(channels[c], 0, columns[c]);
    }
    Trace fed =
        new Trace(
            t,
            Map.of(
                channels[0],
                columns[0],
                channels[1],
                columns[1],
                channels[2],
                columns[2],
                channels[3],
                columns[3],
                Channel.IN_POWER,
                in));
    EfficiencyFinding finding =
        EfficiencyLadder.of(fed, LadderMeters.ofReading(0), 1200, Treatment.NONE);
    assertTrue(codes(finding).contains("input_on"));
    assertEquals(finding.points().size(), 1);
    assertEquals(finding.points().get(0).acWatts(), 300, 1e-9);
  }

  @Test
  public void moreOutThanInIsASlip() {
    LadderLog log = LadderLog.exact(TRUTH).every(60).row(300, 230, 51, 7).row(100, 230, 51, 1.0);
    EfficiencyFinding finding = exact(log);
    assertTrue(codes(finding).contains("more_out_than_in"));
    assertEquals(finding.points().size(), 1);
  }

  @DataProvider
  Object[][] withoutPairs() {
    double[] t = {0, 60, 120};
    double[] v = {100, 100, 100};
    return new Object[][] {
      {new Trace(t, Map.of(Channel.AC_POWER, v)), "no DC watts"},
      {new Trace(t, Map.of(Channel.DC_POWER, v)), "no AC watts"},
      {new Trace(t, Map.of(Channel.DISPLAY_POWER, v, Channel.DC_POWER, v)), "own display"},
      {Trace.empty(), "no AC watts"},
    };
  }

  @Test(dataProvider = "withoutPairs")
  public void whatIsMissingIsSaid(Trace trace, String words) {
    EfficiencyFinding finding =
        EfficiencyLadder.of(trace, LadderMeters.unknown(), 1000, Treatment.NONE);
    assertTrue(finding.points().isEmpty());
    assertTrue(finding.warnings().get(0).message().contains(words), finding.warnings().toString());
  }

  @Test
  public void voltsTimesAmpsOnTheOutletIsSaidToBeVa() {
    double[] t = {0, 60, 120, 180};
    Trace trace =
        new Trace(
            t,
            Map.of(
                Channel.AC_VOLTAGE, new double[] {230, 230, 230, 230},
                Channel.AC_CURRENT, new double[] {1, 2, 3, 4},
                Channel.DC_POWER, new double[] {260, 500, 750, 1000}));
    EfficiencyFinding finding =
        EfficiencyLadder.of(trace, LadderMeters.unknown(), Double.NaN, Treatment.NONE);
    assertTrue(codes(finding).contains("va_not_watts"));
    assertEquals(finding.points().size(), 4);
  }

  /**
   * Random inverters read with meters that are off within their class: the stated intervals hold
   * the truth about as often as they say, for every figure.
   */
  @Test
  public void intervalsHoldTheTruth() {
    SplittableRandom random = new SplittableRandom(77);
    int seeds = Thorough.tries(60, 200);
    int[] inside = new int[6];
    for (int seed = 0; seed < seeds; seed++) {
      LossCurve truth =
          new LossCurve(
              6 + 20 * random.nextDouble(),
              0.02 + 0.08 * random.nextDouble(),
              1e-5 + 3e-5 * random.nextDouble());
      double ac = 1 + 0.005 * (2 * random.nextDouble() - 1);
      double dc = 1 + 0.01 * (2 * random.nextDouble() - 1);
      LadderLog log = usual(new LadderLog(truth, seed, 0.002, ac, dc));
      LadderMeters meters =
          new LadderMeters(
              org.wiseember.core.uncertainty.MeterClass.ofReading(0.5, 0, 0),
              org.wiseember.core.uncertainty.MeterClass.ofReading(0, 0, 0),
              org.wiseember.core.uncertainty.MeterClass.ofReading(1, 0, 0),
              org.wiseember.core.uncertainty.MeterClass.ofReading(1, 0, 0),
              false);
      EfficiencyFinding found = EfficiencyLadder.of(log.trace(), meters, 1200, Treatment.NONE);
      LossFit fit = found.fit().orElseThrow();
      inside[0] += in(fit.estimate(LossCurve::p0), truth.p0());
      inside[1] += in(fit.estimate(LossCurve::p1), truth.p1());
      inside[2] += in(fit.estimate(LossCurve::p2), truth.p2());
      inside[3] +=
          in(found.peakEfficiency().orElseThrow().estimate(), 100 * truth.peakEfficiency());
      inside[4] +=
          in(
              found.weighted().get(Weighting.EUROPEAN).estimate(),
              100 * Weighting.EUROPEAN.of(truth::efficiency, 1200));
      inside[5] += in(found.points().get(3).efficiency().estimate(), 100 * truth.efficiency(600));
    }
    for (int i = 0; i < inside.length; i++) {
      double share = inside[i] / (double) seeds;
      assertTrue(share >= 0.90 && share <= 0.99, "figure " + i + ": " + share);
    }
  }

  private static int in(Estimate estimate, double truth) {
    return Math.abs(estimate.value() - truth) <= estimate.u95() ? 1 : 0;
  }
}
