package org.wiseember.core.notice;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Frame;
import org.wiseember.core.uncertainty.MeterClass;

public class WatchersTest {
  private static final MeterClass ONE_PERCENT = MeterClass.ofReading(1, 0, 0.1);

  private static List<String> said(
      Watcher watcher, List<Channel> channels, int frames, IntFunction<double[]> values) {
    List<String> codes = new ArrayList<>();
    for (int i = 0; i < frames; i++) {
      for (Notice notice : watcher.take(new Frame(i, channels, values.apply(i)))) {
        codes.add(notice.code());
        assertTrue(notice.text().endsWith("."), notice.text());
      }
    }
    return codes;
  }

  private static List<String> apart(double a, double b) {
    return said(
        new MetersApart(ONE_PERCENT, ONE_PERCENT),
        List.of(Channel.AC_POWER, Channel.SECOND_AC_POWER),
        300,
        i -> new double[] {a, b});
  }

  @Test
  public void metersMayDifferByBothTheirClassesAndNoMore() {
    assertEquals(apart(600, 611), List.of());
    assertEquals(apart(600, 613), List.of("meters_apart"));
    assertEquals(apart(600, Double.NaN), List.of());
  }

  private static List<String> amps(double watts, double volts, double amps) {
    return said(
        new AmpsTooFew(Map.of()),
        List.of(Channel.AC_POWER, Channel.AC_VOLTAGE, Channel.AC_CURRENT),
        100,
        i -> new double[] {watts, volts, amps});
  }

  /** P ≤ U·I always (Cauchy–Schwarz); a power factor below 1 is no fault. */
  @Test
  public void wattsAreNeverMoreThanVoltAmperes() {
    assertEquals(amps(600, 230, 2.61), List.of());
    assertEquals(amps(600, 230, 4.2), List.of());
    assertEquals(amps(600, 230, 2.2), List.of("averaging_meter"));
    assertEquals(amps(600, Double.NaN, 2.2), List.of());
  }

  private static List<String> total(IntFunction<double[]> values) {
    return said(
        new TotalAgainstWatts("Meter A", Channel.AC_POWER, Channel.AC_ENERGY),
        List.of(Channel.AC_POWER, Channel.AC_ENERGY),
        3000,
        values);
  }

  @Test
  public void aTotalThatGrowsAtAnotherRateHasAWrongClock() {
    assertEquals(total(i -> new double[] {600, 600 * i / 3600.0}), List.of());
    assertEquals(total(i -> new double[] {600, 618 * i / 3600.0}), List.of("meter_clock"));
    assertEquals(total(i -> new double[] {600, 580 * i / 3600.0}), List.of("meter_clock"));
    // In steps of 10 Wh it must be given time.
    assertEquals(
        total(i -> new double[] {600, 10 * Math.floor(i / 60.0)}), List.of(), "coarse steps");
  }

  @Test
  public void aTotalThatFallsIsSaidEachTimeAndCountingStartsAnew() {
    assertEquals(
        total(i -> new double[] {600, 600 * (i % 1000) / 3600.0}),
        List.of("total_fell", "total_fell"));
  }

  private static List<String> leads(IntFunction<double[]> values) {
    return said(new LooseLead(), List.of(Channel.AC_POWER, Channel.AC_VOLTAGE), 2400, values);
  }

  @Test
  public void dipsOfVoltsAndWattsTogetherAreALooseLead() {
    assertEquals(
        leads(i -> i % 200 == 150 ? new double[] {500, 207} : new double[] {600, 228}),
        List.of("loose_lead"));
    // A motor that starts dips the volts while its watts rise; a load that steps stays stepped.
    assertEquals(
        leads(i -> i % 200 == 150 ? new double[] {1900, 207} : new double[] {600, 228}), List.of());
    assertEquals(
        leads(i -> i / 400 % 2 == 0 ? new double[] {600, 228} : new double[] {500, 207}),
        List.of());
  }

  private static List<String> display(double perPercent, double stuckAt) {
    List<Channel> channels = List.of(Channel.AC_POWER, Channel.DISPLAY_CHARGE);
    return said(
        new FrozenDisplay(1000),
        channels,
        5400,
        i -> {
          double shown = Math.ceil((100 - i / 54.0) / perPercent) * perPercent;
          return new double[] {600, Math.max(stuckAt, Math.min(100, shown))};
        });
  }

  @Test
  public void coarseDisplaysAreNotFrozenOnesAndEmptyOnesMayStandStill() {
    assertEquals(display(1, 0), List.of());
    assertEquals(display(20, 0), List.of(), "five bars");
    assertEquals(display(1, 40), List.of("display_frozen"));
  }
}
