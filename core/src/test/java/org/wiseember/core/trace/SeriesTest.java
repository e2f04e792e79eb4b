package org.wiseember.core.trace;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SeriesTest {
  static Series sampled(DoubleUnaryOperator f, double from, double to, double step) {
    int n = (int) Math.round((to - from) / step) + 1;
    double[] t = new double[n];
    double[] v = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = from + i * step;
      v[i] = f.applyAsDouble(t[i]);
    }
    return Series.of(t, v);
  }

  /** Exact integrals from calculus: a constant, a ramp, a full sine. */
  @Test
  public void analyticIntegrals() {
    Series constant = sampled(t -> 600, 0, 5544, 1);
    assertEquals(constant.integral(0, constant.size() - 1) / 3600, 924.0, 1e-9);
    Series ramp = sampled(t -> 2 * t, 0, 100, 0.5);
    assertEquals(ramp.integral(0, ramp.size() - 1), 10_000, 1e-9);
    Series sine = sampled(Math::sin, 0, Math.PI, Math.PI / 10_000);
    assertEquals(sine.integral(0, sine.size() - 1), 2.0, 1e-7);
  }

  /** The trapezoid is exact for straight lines whatever the spacing of the samples. */
  @Test
  public void unevenSpacingOfALine() {
    SplittableRandom random = new SplittableRandom(3);
    double[] t = new double[400];
    double[] v = new double[400];
    for (int i = 1; i < t.length; i++) {
      t[i] = t[i - 1] + 0.2 + 2 * random.nextDouble();
    }
    for (int i = 0; i < t.length; i++) {
      v[i] = 50 + 3 * t[i];
    }
    double end = t[t.length - 1];
    assertEquals(
        Series.of(t, v).integral(0, t.length - 1), 50 * end + 1.5 * end * end, 1e-6 * end * end);
  }

  /** Two days at 1 Hz keep their last watt-second: the sum is compensated. */
  @Test
  public void longSumsKeepTheirDigits() {
    Series two = sampled(t -> 0.1, 0, 172_800, 1);
    assertEquals(two.integral(0, two.size() - 1), 17_280, 1e-8);
  }

  @Test
  public void aHoleIsAGapOnlyWhenLongAndUnusual() {
    double[] t = {0, 1, 2, 3, 33, 34, 65, 66};
    Series series = Series.of(t, new double[8]);
    // 30 s is not more than 30 s; 31 s is.
    assertEquals(series.gaps(0, 7).size(), 1);
    assertEquals(series.gaps(0, 7).get(0).seconds(), 31.0);
    double[] slow = {0, 60, 120, 180, 420, 480};
    assertTrue(Series.of(slow, new double[6]).gaps(0, 5).isEmpty(), "240 s is 4 intervals of 60");
  }

  @Test
  public void gapsAreNotIntegrated() {
    Series series = Series.of(new double[] {0, 1, 2, 100, 101}, new double[] {10, 10, 10, 10, 10});
    assertEquals(series.integral(0, 4), 30.0);
  }

  @Test
  public void missingReadingsAreLeftOutNotZero() {
    Trace trace =
        new Trace(
            new double[] {0, 1, 2},
            Map.of(
                Channel.AC_POWER, new double[] {5, Double.NaN, 7},
                Channel.AC_VOLTAGE, new double[] {230, 230, 231}));
    assertEquals(trace.series(Channel.AC_POWER).size(), 2);
    assertEquals(trace.product(Channel.AC_POWER, Channel.AC_VOLTAGE).size(), 2);
  }

  @Test
  public void aTraceIsItsOwn() {
    double[] t = {0, 1};
    double[] v = {5, 6};
    Trace trace = new Trace(t, Map.of(Channel.AC_POWER, v));
    v[0] = 99;
    t[0] = 99;
    assertEquals(trace.value(Channel.AC_POWER, 0), 5.0);
    assertEquals(trace.seconds(0), 0.0);
  }

  @Test
  public void refusesTimeThatRunsBackwards() {
    assertThrows(
        IllegalArgumentException.class,
        () -> new Trace(new double[] {0, 2, 1}, Map.of(Channel.AC_POWER, new double[3])));
  }

  @Test
  public void cutsAtAMoment() {
    Series series = Series.of(new double[] {0, 10, 20}, new double[] {0, 100, 300});
    Series cut = series.upTo(15);
    assertEquals(cut.size(), 3);
    assertEquals(cut.value(2), 200.0);
    assertEquals(cut.integral(0, 2), 500 + 750, 1e-9);
    assertEquals(series.upTo(10).size(), 2);
    assertEquals(series.upTo(-1).size(), 0);
    assertEquals(series.upTo(99).size(), 3);
  }

  @Test
  public void readsOffBetweenReadings() {
    Series series = Series.of(new double[] {0, 10, 20}, new double[] {0, 100, 300});
    assertEquals(series.at(10, 5), 100.0);
    assertEquals(series.at(15, 5), 200.0);
    assertTrue(Double.isNaN(series.at(15, 4)), "neighbours out of reach");
    assertTrue(Double.isNaN(series.at(25, 10)), "nothing behind the end");
    assertEquals(series.from(10), 1);
    assertEquals(series.from(10.5), 2);
    assertEquals(series.from(99), 3);
  }

  @DataProvider
  Object[][] steps() {
    return new Object[][] {
      {new double[] {12.1, 12.2, 12.4, 12.5, 12.6, 12.3, 12.8, 12.9}, 0.1},
      {new double[] {10, 25, 35, 15, 40, 55, 60, 75, 80}, 5.0},
      {new double[] {1.234, 1.5, 1.1117, 2, 3, 4.01, 5, 6}, 0.0001},
      {new double[] {Math.PI, Math.E, 1, 2, 3, 4, 5, 6}, 0.0},
      // Few readings may be round by chance: three digits at most.
      {new double[] {20, 40, 60}, 0.1},
      {new double[] {0.2, 0.3, 0.2, 0.3, 0.2, 0.3, 0.2, 0.3, 0.2, 0.3}, 0.1},
      {new double[] {}, 0.0},
    };
  }

  /** What a meter rounds to shows in its readings. */
  @Test(dataProvider = "steps")
  public void stepsOfTheLastDigit(double[] values, double step) {
    double[] seconds = new double[values.length];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = i;
    }
    assertEquals(Series.of(seconds, values).step(), step, 1e-12);
  }
}
