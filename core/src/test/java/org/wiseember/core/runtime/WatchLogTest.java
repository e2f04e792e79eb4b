package org.wiseember.core.runtime;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.Test;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.uncertainty.MeterClass;

public class WatchLogTest {
  private static final double DAY = 24 * 3600;

  private static Trace log(double every, double seconds, DoubleUnaryOperator watts) {
    int rows = (int) (seconds / every) + 1;
    double[] at = new double[rows];
    double[] read = new double[rows];
    for (int i = 0; i < rows; i++) {
      at[i] = i * every;
      read[i] = watts.applyAsDouble(at[i]);
    }
    return new Trace(at, Map.of(Channel.AC_POWER, read));
  }

  private static List<String> codes(WatchLog log) {
    return log.warnings().stream().map(Warning::code).toList();
  }

  /** A refrigerator: 20 min of 52 W in an hour, and 383 W for 15 min twice a day. */
  private static double fridge(double t) {
    double inHalfDay = t % (12 * 3600);
    if (inHalfDay > 5 * 3600 && inHalfDay < 5.25 * 3600) {
      return 383;
    }
    double inHour = t % 3600;
    return inHour >= 600 && inHour < 1800 ? (inHour < 601 ? 640 : 52) : 1.2;
  }

  /** 383 W of a defrost heater against 52 W running: common practice, no published source. */
  @Test
  public void aDefrostHeaterIsToldFromRunning() {
    WatchLog log = WatchLog.of(log(1, DAY, WatchLogTest::fridge));
    assertEquals(log.watch().runningWatts(), 52, 0.01);
    assertEquals(log.watch().highestWatts(), 383, 0.01);
    assertEquals(log.watch().startVa(), 640, 0.01);
    assertEquals(log.hotter().size(), 2);
    assertTrue(log.hotter().stream().noneMatch(WatchLog.Hotter::preheat));
    assertEquals(log.hotter().get(0).watts(), 383, 1);
    assertEquals(log.restWatts(), 1.2, 1e-9);
    assertEquals(codes(log), List.of("defrost"));
    WatchSheet sheet = WatchSheet.of(log, MeterClass.ofReading(1, 0, 0));
    assertEquals(sheet.draw().watts(), 383, 0.01, "what it may ask at any time");
    assertEquals(sheet.mean().value(), log.watch().wattHours() / 24, 1e-9);
  }

  /** A toaster oven preheats at full watts for 3 min and then cycles: common practice. */
  @Test
  public void anOvenThatHeatsUpTakesNoMoreThanItsWatts() {
    WatchLog log = WatchLog.of(log(1, 1800, t -> t < 180 || (t - 180) % 60 >= 40 ? 1500 : 0.5));
    assertEquals(log.watch().runningWatts(), 1500, 1e-9);
    assertTrue(log.hotter().isEmpty());
    assertTrue(codes(log).contains("preheat"), codes(log).toString());
  }

  /** A keep-warm pot: 1 100 W at first, 60 W for hours. */
  @Test
  public void aPreheatAtMoreWattsIsNoDefrosting() {
    WatchLog log = WatchLog.of(log(5, 7200, t -> t < 30 ? 0 : t < 600 ? 1100 : 60));
    assertEquals(log.watch().runningWatts(), 60, 1e-9);
    assertEquals(log.hotter().size(), 1);
    assertTrue(log.hotter().get(0).preheat());
    assertTrue(codes(log).contains("preheat"), codes(log).toString());
  }

  /** What never rests runs all the time, and has no cycles to count. */
  @Test
  public void aSteadyLoadHasNoRuns() {
    SplittableRandom random = new SplittableRandom(3);
    WatchLog log = WatchLog.of(log(10, DAY, t -> 80 + random.nextDouble(-2, 2)));
    assertEquals(log.watch().runningWatts(), 80, 0.2);
    assertEquals(log.share(), 1, 1e-9);
    assertEquals(log.runs(), 0);
    assertTrue(Double.isNaN(log.restWatts()));
    assertEquals(log.watch().wattHours(), 80 * 24, 3);
  }

  /** A hole is neither hours nor watt-hours, so the mean stays what was seen. */
  @Test
  public void aHoleIsLeftOutOfBoth() {
    Trace whole = log(10, DAY, t -> 100);
    List<Integer> rows = new ArrayList<>();
    for (int i = 0; i < whole.size(); i++) {
      if (whole.seconds(i) < 20_000 || whole.seconds(i) > 50_000) {
        rows.add(i);
      }
    }
    double[] at = rows.stream().mapToDouble(whole::seconds).toArray();
    double[] watts = rows.stream().mapToDouble(i -> 100).toArray();
    WatchLog log = WatchLog.of(new Trace(at, Map.of(Channel.AC_POWER, watts)));
    assertEquals(log.watch().wattHours() / (log.watch().seconds() / 3600), 100, 1e-9);
    assertEquals(log.watch().seconds(), DAY - 30_010 - 10, 30);
    assertTrue(codes(log).contains("gap"), codes(log).toString());
  }

  /** A counter sees what happens between two readings of the watts. */
  @Test
  public void aCounterIsTakenBeforeASumOfReadings() {
    int rows = 24 * 60;
    double[] at = new double[rows];
    double[] watts = new double[rows];
    double[] counted = new double[rows];
    for (int i = 0; i < rows; i++) {
      at[i] = 60.0 * i;
      // On for the first 20 s of each minute, and read when it is on.
      watts[i] = 300;
      counted[i] = i * 300 / 3.0 / 60;
    }
    WatchLog log =
        WatchLog.of(new Trace(at, Map.of(Channel.AC_POWER, watts, Channel.AC_ENERGY, counted)));
    assertEquals(log.watch().wattHours(), counted[rows - 1], 1e-9);
    assertTrue(codes(log).contains("two_totals"), codes(log).toString());
  }

  @Test
  public void aLogWithoutWattsIsNone() {
    Trace volts =
        new Trace(new double[] {0, 1, 2}, Map.of(Channel.AC_VOLTAGE, new double[] {230, 230, 230}));
    expectThrows(IllegalArgumentException.class, () -> WatchLog.of(volts));
  }
}
