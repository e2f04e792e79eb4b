package org.wiseember.core.charge;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.hipparchus.stat.descriptive.rank.Median;
import org.testng.annotations.Test;
import org.wiseember.core.trace.Series;

/** Equal bins of a stretch of time and what a channel did in each. */
public class BinsTest {
  @Test
  public void everyMomentLiesInTheBinThatBeganLast() {
    Bins bins = new Bins(100, 400, 7);
    SplittableRandom random = new SplittableRandom(61);
    for (int n = 0; n < 1000; n++) {
      double moment = random.nextDouble(100, 400);
      int at = bins.at(moment);
      assertTrue(
          bins.begin(at) <= moment + 1e-9 && moment < bins.begin(at + 1) + 1e-9, "" + moment);
    }
    assertEquals(bins.at(-5), 0);
    assertEquals(bins.at(1000), 6);
    assertEquals(bins.begin(7), 400, 1e-9);
    assertEquals(bins.middle(0), 100 + 300 / 14.0, 1e-9);
  }

  /** Hipparchus' median is the outside answer, for bins with an odd number of readings. */
  @Test
  public void aBinsMedianIsTheLibrarys() {
    SplittableRandom random = new SplittableRandom(62);
    double[] seconds = new double[11 * 20];
    double[] values = new double[seconds.length];
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = i + 0.5;
      values[i] = random.nextDouble(0, 500);
    }
    double[] ours = new Bins(0, seconds.length, 20).medians(Series.of(seconds, values));
    for (int bin = 0; bin < 20; bin++) {
      double[] some = Arrays.copyOfRange(values, 11 * bin, 11 * bin + 11);
      assertEquals(ours[bin], new Median().evaluate(some), 1e-12, "bin " + bin);
    }
  }

  /** A spike of one reading moves no bin, and an empty bin has what the one before it had. */
  @Test
  public void neitherSpikeNorHoleCounts() {
    double[] seconds = new double[60];
    double[] values = new double[60];
    for (int i = 0; i < 60; i++) {
      seconds[i] = i < 30 ? i : i + 60;
      values[i] = i == 10 ? 9999 : i < 30 ? 50 : 80;
    }
    double[] levels = new Bins(0, 120, 12).medians(Series.of(seconds, values));
    assertEquals(levels, new double[] {50, 50, 50, 50, 50, 50, 50, 50, 50, 80, 80, 80});
  }

  @Test
  public void nothingReadIsNoLevel() {
    for (double level : new Bins(0, 10, 3).medians(Series.of(new double[0], new double[0]))) {
      assertTrue(Double.isNaN(level));
    }
  }
}
