package org.wiseember.core.efficiency;

import java.util.Arrays;
import org.wiseember.core.trace.Series;
import org.wiseember.core.uncertainty.MeanScatter;

/**
 * When a load counts as steady: {@value #SETTLE_SECONDS} s after it changed, and from then on once
 * the mean over the second half of a window of as long lies within {@value #DRIFT} of the mean over
 * its first half, or within what the scatter of the readings alone would do.
 *
 * <p>Common practice for the time, no published source: heaters warm up, supplies find their level.
 * Comparing the halves tells drift from noise, which a least and a greatest reading do not.
 */
public final class SteadyRule {
  /** Time a load is given, and length of the window, s. */
  public static final double SETTLE_SECONDS = 30;

  /** Greatest share by which the halves of a window may differ. */
  public static final double DRIFT = 0.005;

  private SteadyRule() {}

  /**
   * The first reading that counts.
   *
   * @param from index of the first reading after the change
   * @param to index of the last reading before the next change
   * @return index of the first steady reading; {@code to + 1} where it never became steady
   */
  public static int steadyFrom(Series series, int from, int to) {
    double changed = series.seconds(from);
    int first = from;
    for (int i = from; i <= to; i++) {
      double now = series.seconds(i);
      if (now - changed < SETTLE_SECONDS) {
        continue;
      }
      while (now - series.seconds(first) > SETTLE_SECONDS) {
        first++;
      }
      if (steady(series, first, i)) {
        // A window that is steady is counted from its own middle: the first half told so.
        return Math.max(firstAfter(series, from, changed + SETTLE_SECONDS), (first + i + 1) / 2);
      }
    }
    return to + 1;
  }

  private static int firstAfter(Series series, int from, double moment) {
    int i = from;
    while (series.seconds(i) < moment) {
      i++;
    }
    return i;
  }

  private static boolean steady(Series series, int from, int to) {
    int n = to - from + 1;
    if (n < 2) {
      // Readings further apart than the window: each stands for itself, long after the change.
      return true;
    }
    double[] early = values(series, from, from + n / 2);
    double[] late = values(series, from + n / 2, to + 1);
    double apart = Math.abs(mean(late) - mean(early));
    double level = Math.abs(mean(late));
    double noise = Math.hypot(standardError(early), standardError(late));
    return apart <= Math.max(DRIFT * level, Math.max(2 * noise, 1e-9));
  }

  private static double[] values(Series series, int from, int to) {
    double[] values = new double[to - from];
    for (int i = 0; i < values.length; i++) {
      values[i] = series.value(from + i);
    }
    return values;
  }

  private static double mean(double[] values) {
    return Arrays.stream(values).average().orElse(0);
  }

  private static double standardError(double[] values) {
    return values.length < 3 ? 0 : MeanScatter.deviation(values) / Math.sqrt(values.length);
  }
}
