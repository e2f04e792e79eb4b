package org.wiseember.core.capacity;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;

public class UsableCapacityTest {
  /** A trace under construction. */
  private static final class Log {
    private final List<Double> times = new ArrayList<>();
    private final List<Double> watts = new ArrayList<>();
    private double now;

    Log hold(double power, double seconds, double step) {
      for (double end = now + seconds; now < end - 1e-9; now += step) {
        times.add(now);
        watts.add(power);
      }
      return this;
    }

    Log skip(double seconds) {
      now += seconds;
      return this;
    }

    Trace trace(Channel channel) {
      return new Trace(array(times), Map.of(channel, array(watts)));
    }

    private static double[] array(List<Double> list) {
      return list.stream().mapToDouble(Double::doubleValue).toArray();
    }
  }

  private static CapacityFinding ac(Log log, double rated) {
    return UsableCapacity.of(log.trace(Channel.AC_POWER), CapacityMethod.assumed(rated));
  }

  private static List<String> codes(CapacityFinding finding) {
    return finding.warnings().stream().map(Warning::code).toList();
  }

  private static void covers(Figure estimate, double truth) {
    assertTrue(
        Math.abs(estimate.value() - truth) <= estimate.u95(), estimate + " should cover " + truth);
  }

  @DataProvider
  Object[][] tradeFigures() {
    // Common practice, no published source: drains as testers report them.
    // watts, hours, label Wh, Wh, % of the label
    return new Object[][] {
      {1171.8, 1 + 40 / 60.0, 2048.0, 1953.0, 95.4},
      {975.0 / (975.0 / 950), 975.0 / 950, 1500.0, 975.0, 65.0},
      {440.0, 1200.0 / 440, 1500.0, 1200.0, 80.0},
    };
  }

  @Test(dataProvider = "tradeFigures")
  public void figuresOfTheTrade(
      double watts, double hours, double label, double energy, double percent) {
    Log log = new Log().hold(0, 20, 1).hold(watts, hours * 3600, 1).hold(0, 60, 1);
    CapacityFinding finding = ac(log, label);
    assertEquals(finding.deliveredEnergy().orElseThrow().value(), energy, 0.6);
    assertEquals(finding.yield().orElseThrow().value(), percent, 0.06);
    assertEquals(finding.duration().orElseThrow().value(), hours * 3600, 1.5);
    assertEquals(finding.meanPower().orElseThrow().value(), watts, watts * 0.002);
  }

  /**
   * One unit drained on both sides, common practice, no published source: 36.89 Ah and 477 Wh in 4
   * h 29 min on the DC side is 88.8 % of its 537 Wh; 460 Wh on the AC side is 85.7 %, so the
   * inverter is implied at 96.4 %.
   */
  @Test
  public void directThenAlternatingCurrent() {
    double seconds = 4 * 3600 + 29 * 60;
    double amps = 36.89 / (seconds / 3600);
    double volts = 477 / 36.89;
    int n = (int) seconds + 61;
    double[] t = new double[n];
    double[] v = new double[n];
    double[] a = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i;
      boolean on = i < seconds;
      v[i] = on ? volts : 0;
      a[i] = on ? amps : 0;
    }
    Map<Channel, double[]> columns = new EnumMap<>(Channel.class);
    columns.put(Channel.DC_VOLTAGE, v);
    columns.put(Channel.DC_CURRENT, a);
    CapacityFinding dc = UsableCapacity.of(new Trace(t, columns), CapacityMethod.assumed(537));
    assertEquals(dc.deliveredEnergy().orElseThrow().value(), 477, 0.1);
    assertEquals(dc.deliveredCharge().orElseThrow().value(), 36.89, 0.02);
    assertEquals(dc.yield().orElseThrow().value(), 88.8, 0.05);
    assertEquals(dc.meanPower().orElseThrow().value(), 106.4, 0.1);
    assertFalse(dc.alternatingCurrent());
    CapacityFinding ac = ac(new Log().hold(100, 460 * 36, 1).hold(0, 30, 1), 537);
    assertEquals(ac.yield().orElseThrow().value(), 85.7, 0.05);
    double implied =
        ac.deliveredEnergy().orElseThrow().value() / dc.deliveredEnergy().orElseThrow().value();
    assertEquals(100 * implied, 96.4, 0.1);
  }

  @Test
  public void thermostatIsAveragedOverNotTakenForTheEnd() {
    Log log = new Log().hold(0, 5, 1);
    for (int k = 0; k < 20; k++) {
      log.hold(1000, 180, 1).hold(0, 60, 1);
    }
    log.hold(1000, 90, 1).hold(0, 900, 1);
    CapacityFinding finding = ac(log, 2000);
    double truth = (20 * 180 + 90) * 1000 / 3600.0;
    covers(finding.deliveredEnergy().orElseThrow(), truth);
    assertEquals(finding.duration().orElseThrow().value(), 20 * 240 + 90, 1.0);
    assertTrue(codes(finding).contains("load_cycles"));
    assertFalse(codes(finding).contains("ends_in_pause"));
  }

  @Test
  public void endingInsideAPauseIsSaid() {
    Log log = new Log();
    for (int k = 0; k < 8; k++) {
      log.hold(1000, 180, 1).hold(0, 60, 1);
    }
    assertTrue(codes(ac(log, 2000)).contains("ends_in_pause"));
  }

  @Test
  public void lateStartCountsFromTheFirstLoad() {
    Log log = new Log().hold(0.4, 1800, 1).hold(500, 3600, 1).hold(0, 120, 1);
    CapacityFinding finding = ac(log, 600);
    covers(finding.deliveredEnergy().orElseThrow(), 500);
    assertEquals(finding.duration().orElseThrow().value(), 3600, 1.0);
    assertEquals(finding.cutoffTime().orElseThrow().value(), 5400, 1.0);
    assertTrue(codes(finding).contains("starts_late"));
  }

  @Test
  public void meterThatStopsWithTheUnitIsSaid() {
    CapacityFinding finding = ac(new Log().hold(500, 3600, 1), 600);
    assertTrue(codes(finding).contains("cutoff_not_seen"));
    covers(finding.deliveredEnergy().orElseThrow(), 500);
  }

  @Test
  public void aGapIsBridgedInTheOpen() {
    Log log = new Log().hold(600, 1800, 1).skip(600).hold(600, 1800, 1).hold(0, 60, 1);
    CapacityFinding finding = ac(log, 1000);
    Figure energy = finding.deliveredEnergy().orElseThrow();
    covers(energy, 700);
    covers(energy, 600);
    assertTrue(codes(finding).contains("gap"));
  }

  @Test
  public void aGapThatMayBeAStepOfTheClockLeavesTheTimeInDoubt() {
    Log log = new Log().hold(600, 1800, 1).skip(600).hold(600, 1800, 1).hold(0, 60, 1);
    Trace trace = log.trace(Channel.AC_POWER);
    CapacityMethod sure = CapacityMethod.assumed(1000);
    assertTrue(UsableCapacity.of(trace, sure).duration().orElseThrow().u95() < 2);
    CapacityFinding finding = UsableCapacity.of(trace, sure.withClockThatMayStep());
    covers(finding.duration().orElseThrow(), 3600);
    covers(finding.duration().orElseThrow(), 4200);
    covers(finding.cutoffTime().orElseThrow(), 3600);
    covers(finding.meanPower().orElseThrow(), 600);
  }

  @Test
  public void theMetersOwnTotalFillsAGap() {
    Log log = new Log().hold(600, 1800, 1).skip(600).hold(600, 1800, 1).hold(0, 60, 1);
    Trace plain = log.trace(Channel.AC_POWER);
    double[] t = new double[plain.size()];
    double[] w = new double[t.length];
    double[] total = new double[t.length];
    for (int i = 0; i < t.length; i++) {
      t[i] = plain.seconds(i);
      w[i] = plain.value(Channel.AC_POWER, i);
      total[i] = Math.min(t[i], 4200) / 6;
    }
    Map<Channel, double[]> columns =
        new EnumMap<>(Map.of(Channel.AC_POWER, w, Channel.AC_ENERGY, total));
    Figure energy =
        UsableCapacity.of(new Trace(t, columns), CapacityMethod.assumed(1000))
            .deliveredEnergy()
            .orElseThrow();
    assertEquals(energy.value(), 700, 0.5);
    assertTrue(energy.u95() < 20, "the total leaves little doubt: " + energy);
  }

  @Test
  public void rechargingALittleToReadTheMeterStaysOut() {
    Log log = new Log().hold(500, 3600, 1).hold(0, 7200, 1).hold(500, 300, 1).hold(0, 60, 1);
    CapacityFinding finding = ac(log, 600);
    covers(finding.deliveredEnergy().orElseThrow(), 500);
    assertTrue(codes(finding).contains("load_returned"));
  }

  @Test
  public void voltsTimesAmpsIsSaidToBeVa() {
    double[] t = new double[3700];
    double[] v = new double[t.length];
    double[] a = new double[t.length];
    for (int i = 0; i < t.length; i++) {
      t[i] = i;
      v[i] = i < 3600 ? 230 : 0;
      a[i] = i < 3600 ? 2 : 0;
    }
    CapacityFinding finding =
        UsableCapacity.of(
            new Trace(t, Map.of(Channel.AC_VOLTAGE, v, Channel.AC_CURRENT, a)),
            CapacityMethod.assumed(500));
    assertEquals(finding.deliveredEnergy().orElseThrow().value(), 460, 0.2);
    assertTrue(codes(finding).contains("va_not_watts"));
  }

  @Test
  public void aTotalAloneGivesEnergyAndSaysSo() {
    double[] t = new double[100];
    double[] total = new double[100];
    for (int i = 0; i < t.length; i++) {
      t[i] = i * 60;
      total[i] = Math.min(80, i) * 10;
    }
    CapacityFinding finding =
        UsableCapacity.of(
            new Trace(t, Map.of(Channel.AC_ENERGY, total)), CapacityMethod.assumed(1000));
    assertEquals(finding.deliveredEnergy().orElseThrow().value(), 800, 1e-9);
    assertEquals(finding.duration().orElseThrow().value(), 4800, 1e-9);
    assertTrue(codes(finding).contains("total_only"));
  }

  @Test
  public void nothingLoadedGivesNoFigureAndAReason() {
    CapacityFinding idle = ac(new Log().hold(0, 600, 1), 1000);
    assertTrue(idle.deliveredEnergy().isEmpty());
    assertTrue(codes(idle).contains("no_load"));
    CapacityFinding none = UsableCapacity.of(Trace.empty(), CapacityMethod.assumed(1000));
    assertTrue(none.deliveredEnergy().isEmpty());
    assertTrue(codes(none).contains("no_power"));
  }

  /** Over random drains the stated interval holds the truth: pace, start and meter error vary. */
  @Test
  public void intervalsCoverTheTruth() {
    SplittableRandom random = new SplittableRandom(42);
    int covered = 0;
    int trials = 300;
    for (int k = 0; k < trials; k++) {
      double watts = 50 + 1500 * random.nextDouble();
      double start = 20 + 50 * random.nextDouble();
      double length = 600 + 6000 * random.nextDouble();
      double step = 0.5 + 9.5 * random.nextDouble();
      double gain = 1 + 0.01 * (2 * random.nextDouble() - 1);
      int n = (int) ((start + length + 120) / step);
      double[] t = new double[n];
      double[] w = new double[n];
      for (int i = 0; i < n; i++) {
        t[i] = i * step;
        w[i] = t[i] >= start && t[i] < start + length ? watts * gain : 0;
      }
      CapacityMethod method =
          CapacityMethod.measuredWith(Double.NaN, MeterClass.ofReading(1, 0, 0));
      Figure energy =
          UsableCapacity.of(new Trace(t, Map.of(Channel.AC_POWER, w)), method)
              .deliveredEnergy()
              .orElseThrow();
      covered += Math.abs(energy.value() - watts * length / 3600) <= energy.u95() ? 1 : 0;
    }
    // A rectangular meter error expanded by 1.96 ÷ √3 covers all of it; start and end do not add
    // more than the interval allows.
    assertTrue(covered >= 0.95 * trials, covered + " of " + trials);
  }

  @Test
  public void theBecauseHoldsTheSum() {
    CapacityFinding finding = ac(new Log().hold(0, 10, 1).hold(600, 5400, 1).hold(0, 30, 1), 1075);
    var because = finding.deliveredEnergy().orElseThrow().because();
    String sum = String.join("\n", because.workedOut());
    assertTrue(sum.contains("900 Wh"), sum);
    Figure yield = finding.yield().orElseThrow();
    String share = String.join("\n", yield.because().workedOut());
    assertTrue(share.contains("900 Wh ÷ 1\u2009075 Wh = 83.7 %"), share);
    assertEquals(yield.because().madeFrom().get(0).figure(), finding.deliveredEnergy().get());
    assertEquals(because.budget().u95(), finding.deliveredEnergy().orElseThrow().u95(), 1e-12);
    assertTrue(because.watchOut().get(0).contains("not conversion efficiency"));
  }

  /**
   * A whole drain typed in by hand: totals to the watt-hour, every ten minutes or so. The step is
   * that of the last digit, so the uncertainty is the meter's, not the gaps'.
   */
  @Test
  public void typedTotalsAloneMakeAFairFigure() {
    double[] seconds = {0, 660, 1500, 2400, 3684, 5100, 5544};
    double[] totals = {0, 110, 249, 399, 609, 846, 921};
    Trace typed = new Trace(seconds, Map.of(Channel.AC_ENERGY, totals));
    CapacityFinding finding =
        UsableCapacity.of(
            typed, CapacityMethod.measuredWith(1075, MeterClass.ofReading(1, 0, 0.1)));
    Figure energy = finding.deliveredEnergy().orElseThrow();
    assertEquals(energy.value(), 921.0);
    assertTrue(energy.u95() > 8.7 && energy.u95() < 13, "0.95 of 1 % of 921: " + energy);
    assertEquals(finding.duration().orElseThrow().value(), 5544.0);
  }

  @Test
  public void wattsNotedNowAndThenGiveWayToTheTotal() {
    double[] seconds = {0, 900, 1800, 2700, 3600};
    Trace typed =
        new Trace(
            seconds,
            Map.of(
                Channel.AC_POWER, new double[] {Double.NaN, 601, Double.NaN, 560, Double.NaN},
                Channel.AC_ENERGY, new double[] {0, 150, 300, 440, 580}));
    CapacityFinding finding = UsableCapacity.of(typed, CapacityMethod.assumed(700));
    assertEquals(finding.deliveredEnergy().orElseThrow().value(), 580.0);
  }

  /** A logged total in coarse steps stands still between them; its step is the rise. */
  @Test
  public void aLoggedTotalInCoarseStepsIsAsCoarseAsItsSteps() {
    int n = 3600;
    double[] seconds = new double[n];
    double[] totals = new double[n];
    for (int i = 0; i < n; i++) {
      seconds[i] = i;
      totals[i] = 3.7 + 10 * Math.floor(i / 60.0);
    }
    CapacityFinding finding =
        UsableCapacity.of(
            new Trace(seconds, Map.of(Channel.AC_ENERGY, totals)), CapacityMethod.assumed(700));
    double u95 = finding.deliveredEnergy().orElseThrow().u95();
    assertTrue(u95 > 10, "10 Wh steps: " + u95);
  }

  private static Trace steady(double watts, int loaded, int rows, Map<Channel, double[]> more) {
    double[] t = new double[rows];
    double[] w = new double[rows];
    for (int i = 0; i < rows; i++) {
      t[i] = i;
      w[i] = i < loaded ? watts : 0;
    }
    Map<Channel, double[]> columns = new java.util.EnumMap<>(Channel.class);
    columns.put(Channel.AC_POWER, w);
    columns.putAll(more);
    return new Trace(t, columns);
  }

  private static double[] column(int rows, java.util.function.IntToDoubleFunction value) {
    double[] column = new double[rows];
    for (int i = 0; i < rows; i++) {
      column[i] = value.applyAsDouble(i);
    }
    return column;
  }

  private static CapacityFinding treated(Trace trace, Treatment treatment) {
    return UsableCapacity.of(trace, CapacityMethod.assumed(1000).with(treatment));
  }

  @Test
  public void everyFigureFollowsAMovedCutOff() {
    Trace trace = steady(500, 3600, 3700, Map.of());
    CapacityFinding moved = treated(trace, Treatment.NONE.withCutoff(OptionalDouble.of(1800.5)));
    assertEquals(moved.deliveredEnergy().orElseThrow().value(), 500 * 1800.5 / 3600, 1e-6);
    assertEquals(moved.duration().orElseThrow().value(), 1800.5, 1e-9);
    assertEquals(moved.cutoffTime().orElseThrow().value(), 1800.5, 1e-9);
    assertEquals(moved.yield().orElseThrow().value(), 25.0, 0.01);
    assertEquals(moved.endTime(), 1800.5);
    assertTrue(codes(moved).contains("cutoff_moved"));
    assertTrue(moved.reachesCutoff());
  }

  /** Behind the end that is seen, a later one takes in what came after a long pause. */
  @Test
  public void aLaterCutOffTakesInWhatCameAfter() {
    Trace trace =
        steady(
            500,
            0,
            9000,
            Map.of(
                Channel.AC_POWER, column(9000, i -> i < 3600 || (i > 7000 && i < 8000) ? 500 : 0)));
    CapacityFinding seen = treated(trace, Treatment.NONE);
    CapacityFinding later = treated(trace, Treatment.NONE.withCutoff(OptionalDouble.of(8500)));
    assertTrue(codes(seen).contains("load_returned"));
    covers(seen.deliveredEnergy().orElseThrow(), 500);
    covers(later.deliveredEnergy().orElseThrow(), 500 + 500 * 999 / 3600.0);
  }

  @Test
  public void aStretchLeftOutIsBridgedInTheOpen() {
    Trace trace =
        steady(
            500,
            0,
            3700,
            Map.of(
                Channel.AC_POWER,
                column(3700, i -> i >= 3600 ? 0 : i > 1000 && i < 1200 ? 80 : 500)));
    Treatment loose = Treatment.NONE.leavingOut(new Treatment.LeftOut(1000, 1200, "loose lead"));
    CapacityFinding finding = treated(trace, loose);
    covers(finding.deliveredEnergy().orElseThrow(), 500);
    assertTrue(codes(finding).contains("left_out") && codes(finding).contains("gap"));
    assertTrue(finding.warnings().toString().contains("loose lead"));
  }

  @Test
  public void theTotalFillsAStretchLeftOut() {
    double[] total = column(3700, i -> Math.floor(Math.min(i, 3600) * 500 / 3600.0 * 10) / 10);
    Trace trace =
        steady(
            500,
            3600,
            3700,
            Map.of(
                Channel.AC_POWER,
                column(3700, i -> i >= 3600 ? 0 : i > 1000 && i < 1400 ? 80 : 500),
                Channel.AC_ENERGY,
                total));
    Treatment loose = Treatment.NONE.leavingOut(new Treatment.LeftOut(1000, 1400, "loose lead"));
    CapacityFinding finding = treated(trace, loose);
    assertEquals(finding.deliveredEnergy().orElseThrow().value(), 500, 0.4);
  }

  @Test
  public void whatARadioTookIsAdded() {
    Trace trace = steady(100, 36_000, 36_100, Map.of());
    CapacityFinding finding = treated(trace, Treatment.NONE.withStandingWatts(2));
    Figure energy = finding.deliveredEnergy().orElseThrow();
    // 2 W over 10 h are 20 Wh, of which the usual inverter makes 17.4.
    assertEquals(energy.value(), 1000 + 17.4, 0.05);
    assertTrue(codes(finding).contains("standing_draw"));
    assertEquals(finding.meanPower().orElseThrow().value(), 100, 0.01);
    assertTrue(
        finding.deliveredEnergy().orElseThrow().because().workedOut().toString().contains("radio"));
  }

  /** Common practice, no published source: 1.5 V are lost at 10 A, 130 W arrive as 115. */
  @Test
  public void whatLeadsTookIsNotTheUnitsFault() {
    int rows = 3700;
    Trace trace =
        new Trace(
            column(rows, i -> i),
            Map.of(
                Channel.DC_VOLTAGE, column(rows, i -> i < 3600 ? 11.5 : 0),
                Channel.DC_CURRENT, column(rows, i -> i < 3600 ? 10 : 0)));
    assertEquals(treated(trace, Treatment.NONE).deliveredEnergy().orElseThrow().value(), 115, 0.1);
    CapacityFinding finding = treated(trace, Treatment.NONE.withLeadOhms(0.15));
    assertEquals(finding.deliveredEnergy().orElseThrow().value(), 130, 0.1);
    assertTrue(codes(finding).contains("lead_loss"));
  }

  @Test
  public void aLoadsOwnStopIsNotTheUnitsCutOff() {
    int rows = 3700;
    Trace trace =
        new Trace(
            column(rows, i -> i),
            Map.of(
                Channel.DC_VOLTAGE, column(rows, i -> i < 3600 ? 12.9 : 13.2),
                Channel.DC_CURRENT, column(rows, i -> i < 3600 ? 8 : 0)));
    CapacityFinding finding = treated(trace, Treatment.NONE);
    assertTrue(codes(finding).contains("load_ended_first"));
    assertFalse(finding.reachesCutoff());
    Trace dead =
        new Trace(
            column(rows, i -> i),
            Map.of(
                Channel.DC_VOLTAGE, column(rows, i -> i < 3600 ? 12.9 : 0.1),
                Channel.DC_CURRENT, column(rows, i -> i < 3600 ? 8 : 0)));
    assertTrue(treated(dead, Treatment.NONE).reachesCutoff());
  }

  @Test
  public void anOutputThatDiesWhileTheThermostatIsOpen() {
    int rows = 5000;
    double[] watts = column(rows, i -> i < 4000 && i % 400 < 300 ? 600 : 0);
    double[] volts = column(rows, i -> i < 3960 ? 230 : 0);
    CapacityFinding finding =
        treated(
            steady(0, 0, rows, Map.of(Channel.AC_POWER, watts, Channel.AC_VOLTAGE, volts)),
            Treatment.NONE);
    assertEquals(finding.cutoffTime().orElseThrow().value(), 3959.5, 0.6);
    covers(finding.deliveredEnergy().orElseThrow(), 10 * 600 * 300 / 3600.0);
    assertTrue(codes(finding).contains("ended_in_pause"));
    assertTrue(finding.reachesCutoff());
  }

  @Test
  public void rechargeNeverComesIntoTheSum() {
    double[] in = column(3700, i -> i >= 1800 ? 300 : 0);
    CapacityFinding finding =
        treated(steady(500, 3600, 3700, Map.of(Channel.IN_POWER, in)), Treatment.NONE);
    assertTrue(codes(finding).contains("input_on"));
    covers(finding.deliveredEnergy().orElseThrow(), 250);
    assertFalse(finding.reachesCutoff());
  }

  @Test
  public void chargingAfterTheCutOffIsNoMatter() {
    double[] in = column(3700, i -> i >= 3620 ? 300 : 0);
    CapacityFinding finding =
        treated(steady(500, 3600, 3700, Map.of(Channel.IN_POWER, in)), Treatment.NONE);
    assertFalse(codes(finding).contains("input_on"));
    assertTrue(finding.reachesCutoff());
  }

  @Test
  public void displayWattsAreNoMeasurement() {
    Trace trace =
        new Trace(
            column(3700, i -> i),
            Map.of(Channel.DISPLAY_POWER, column(3700, i -> i < 3600 ? 500 : 0)));
    CapacityFinding finding = treated(trace, Treatment.NONE);
    assertTrue(finding.deliveredEnergy().isEmpty());
    assertTrue(codes(finding).contains("display_only"));
  }

  @Test
  public void fivePercentIsNotNought() {
    double[] shown = column(3700, i -> Math.max(5, Math.rint(100 - i * 95 / 3600.0)));
    CapacityFinding finding =
        treated(steady(500, 3600, 3700, Map.of(Channel.DISPLAY_CHARGE, shown)), Treatment.NONE);
    assertEquals(finding.displayAtEnd().orElseThrow(), 5.0);
    assertTrue(codes(finding).contains("reserve_shown"));
    assertTrue(
        finding
            .deliveredEnergy()
            .orElseThrow()
            .because()
            .workedOut()
            .toString()
            .contains("Display at the cut-off"));
  }
}
