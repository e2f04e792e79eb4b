package org.wiseember.core.trace;

import java.util.Arrays;

/**
 * A clock that only goes on. Times that run backwards, because a clock was set while somebody
 * counted by it, are put behind those before them at the usual pace: how long it really took is not
 * known, and nothing of it is made up but that one step.
 */
public final class OnwardClock {
  private static final int SAMPLED = 20_001;

  private OnwardClock() {}

  /**
   * Times that never decrease.
   *
   * @param seconds as they were kept, s; not changed
   * @return the same array where it needs no mending
   */
  public static double[] mended(double[] seconds) {
    if (runsOn(seconds)) {
      return seconds;
    }
    double usual = usualStep(seconds);
    double[] mended = new double[seconds.length];
    double shift = 0;
    for (int i = 0; i < seconds.length; i++) {
      if (i > 0 && seconds[i] + shift < mended[i - 1]) {
        shift = mended[i - 1] + usual - seconds[i];
      }
      mended[i] = seconds[i] + shift;
    }
    return mended;
  }

  private static boolean runsOn(double[] seconds) {
    for (int i = 1; i < seconds.length; i++) {
      if (seconds[i] < seconds[i - 1]) {
        return false;
      }
    }
    return true;
  }

  /** Median step forward, s, over an even sample of many; 0 where none goes forward. */
  public static double usualStep(double[] seconds) {
    int stride = Math.max(1, (seconds.length - 1) / SAMPLED);
    double[] steps = new double[seconds.length / stride + 1];
    int n = 0;
    for (int i = 1; i < seconds.length; i += stride) {
      if (seconds[i] > seconds[i - 1]) {
        steps[n++] = seconds[i] - seconds[i - 1];
      }
    }
    double[] sorted = Arrays.copyOf(steps, n);
    Arrays.sort(sorted);
    return n == 0 ? 0 : sorted[n / 2];
  }
}
