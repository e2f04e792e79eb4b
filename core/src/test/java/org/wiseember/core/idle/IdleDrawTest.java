package org.wiseember.core.idle;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.IntToDoubleFunction;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.trace.Channel;
import org.wiseember.core.trace.Trace;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;

public class IdleDrawTest {
  private static final class Log {
    private final int rows;
    private final double[] seconds;
    private final Map<Channel, double[]> columns = new EnumMap<>(Channel.class);

    Log(int rows, double interval) {
      this.rows = rows;
      this.seconds = new double[rows];
      for (int i = 0; i < rows; i++) {
        seconds[i] = i * interval;
      }
    }

    Log with(Channel channel, IntToDoubleFunction value) {
      double[] column = new double[rows];
      for (int i = 0; i < rows; i++) {
        column[i] = value.applyAsDouble(i);
      }
      columns.put(channel, column);
      return this;
    }

    Trace trace() {
      return new Trace(seconds, columns);
    }
  }

  private static IdleFinding idle(Log log, double usable) {
    Optional<Estimate> wattHours =
        Double.isNaN(usable) ? Optional.empty() : Optional.of(new Estimate(usable, 0));
    return IdleDraw.of(
        log.trace(), new IdleMethod(LadderMeters.ofReading(0), wattHours, Treatment.NONE));
  }

  @DataProvider
  Object[][] tradeReadings() {
    // Common practice, no published source: idle readings of inverters. volts, amps, watts
    return new Object[][] {{12.7, 0.96, 12.2}, {12.6, 0.3, 3.8}};
  }

  @Test(dataProvider = "tradeReadings")
  public void readingsOfTheTrade(double volts, double amps, double watts) {
    IdleFinding finding =
        idle(
            new Log(600, 1)
                .with(Channel.DC_VOLTAGE, i -> volts)
                .with(Channel.DC_CURRENT, i -> amps),
            Double.NaN);
    assertEquals(finding.power().orElseThrow().value(), watts, 0.05);
    assertEquals(finding.current().orElseThrow().value(), amps, 1e-9);
    assertEquals(finding.way(), Optional.of(IdleWay.DIRECT));
    assertTrue(finding.warns("no_usable"));
  }

  /** Hours to empty = usable DC watt-hours ÷ idle watts; common practice, no published source. */
  @Test
  public void hoursToEmpty() {
    IdleFinding finding = idle(new Log(600, 1).with(Channel.DC_POWER, i -> 60), 900);
    assertEquals(finding.hours().orElseThrow().value(), 15, 1e-9);
    assertTrue(finding.hours().orElseThrow().because().workedOut().toString().contains("15"));
  }

  @Test
  public void loadAndChargeAreNoPartOfIt() {
    Log log =
        new Log(1200, 1)
            .with(Channel.AC_POWER, i -> i < 300 ? 500 : 0)
            .with(Channel.IN_POWER, i -> i >= 900 ? 200 : 0)
            .with(Channel.DC_POWER, i -> i < 300 ? 560 : i < 315 ? 40 : i < 900 ? 12 : -180);
    IdleFinding finding = idle(log, 1000);
    assertEquals(finding.power().orElseThrow().value(), 12, 1e-9);
    assertTrue(finding.warns("load_left_out") && finding.warns("input_left_out"));
  }

  @Test
  public void aFanThatComesAndGoesIsAveragedIn() {
    Log log = new Log(3600, 1).with(Channel.DC_POWER, i -> i % 300 < 30 ? 20 : 10);
    assertEquals(idle(log, 1000).power().orElseThrow().value(), 11, 0.1);
  }

  @Test
  public void severalLevelsAreNotMixed() {
    Log log = new Log(1500, 1).with(Channel.DC_POWER, i -> i < 1000 ? 14 : 4);
    IdleFinding finding = idle(log, 1000);
    assertEquals(finding.power().orElseThrow().value(), 14, 1e-9);
    assertTrue(finding.warns("several_levels"));
  }

  @Test
  public void byRefill() {
    // 10 h idle, then 150 W for 50 min: 125 Wh, 90 % of it stored.
    Log log = new Log(700, 60).with(Channel.IN_POWER, i -> i >= 600 && i < 650 ? 150 : 0);
    IdleFinding finding = idle(log, 1000);
    Figure power = finding.power().orElseThrow();
    assertEquals(power.value(), 0.9 * 125 / 10, 0.05);
    assertTrue(Math.abs(125 / 10.0 * 0.86 - power.value()) < power.u95(), "charger of 86 %");
    assertEquals(finding.way(), Optional.of(IdleWay.REFILL));
    assertTrue(finding.warns("by_refill"));
    assertFalse(finding.warns("not_refilled"));
  }

  @Test
  public void byChargeLostOverDays() {
    Log log = new Log(73, 3600).with(Channel.DISPLAY_CHARGE, i -> 100 - Math.floor(i * 12.0 / 72));
    IdleFinding finding = idle(log, 900);
    Figure power = finding.power().orElseThrow();
    assertEquals(power.value(), 0.12 * 900 / 72, 1e-9);
    assertTrue(power.u95() > 0.08 && power.u95() < 0.2, power.toString());
    assertEquals(finding.way(), Optional.of(IdleWay.CHARGE_LOST));
    // Without a capacity there is nothing to take the percents of.
    assertTrue(idle(log, Double.NaN).power().isEmpty());
  }

  @Test
  public void aDisplayThatLostNothingTellsNothing() {
    IdleFinding finding = idle(new Log(50, 600).with(Channel.DISPLAY_CHARGE, i -> 100), 900);
    assertTrue(finding.power().isEmpty());
    assertTrue(finding.warnings().get(0).message().contains("lost no charge"));
  }

  @Test
  public void aCoarseClampIsSaid() {
    IdleFinding finding =
        idle(
            new Log(600, 1)
                .with(Channel.DC_VOLTAGE, i -> 51.2)
                .with(Channel.DC_CURRENT, i -> i % 13 == 0 ? 0.3 : 0.2),
            1000);
    assertTrue(finding.warns("coarse_reading"));
    assertTrue(finding.power().orElseThrow().u95() > 2);
  }

  @Test
  public void anEmptyLogSaysWhatIsMissing() {
    IdleFinding finding = IdleDraw.of(Trace.empty(), IdleMethod.assumed(Optional.empty()));
    assertTrue(finding.power().isEmpty() && finding.hours().isEmpty());
    assertTrue(finding.warns("no_idle_data"));
  }

  /** Random idle draws read with meters off within their class. */
  @Test
  public void intervalsHoldTheTruth() {
    SplittableRandom random = new SplittableRandom(12);
    MeterClass clamp = MeterClass.ofReading(1, 2, 0.01);
    LadderMeters meters =
        new LadderMeters(clamp, MeterClass.ofReading(0, 0, 0), clamp, clamp, false);
    int inside = 0;
    for (int seed = 0; seed < 200; seed++) {
      double amps = 0.15 + random.nextDouble();
      double gain = 1 + 0.01 * (2 * random.nextDouble() - 1);
      double offset = 0.02 * (2 * random.nextDouble() - 1);
      Log log =
          new Log(300, 1)
              .with(Channel.DC_VOLTAGE, i -> 51.234 + 1e-5 * i)
              .with(
                  Channel.DC_CURRENT,
                  i ->
                      Math.rint(100 * (amps * gain + offset + 0.006 * random.nextGaussian()))
                          / 100);
      IdleFinding finding =
          IdleDraw.of(log.trace(), new IdleMethod(meters, Optional.empty(), Treatment.NONE));
      Figure power = finding.power().orElseThrow();
      inside += Math.abs(power.value() - amps * 51.2355) <= power.u95() ? 1 : 0;
    }
    assertTrue(inside >= 180 && inside <= 198, inside + " of 200");
  }
}
