package org.wiseember.bench.run;

import java.util.Arrays;

/** Thins one channel as it grows, in bounded memory: when the buckets are full, pairs merge. */
public final class Thinner {
  private static final int BUCKETS = 2048;

  private final double[] seconds = new double[BUCKETS];
  private final double[] low = new double[BUCKETS];
  private final double[] high = new double[BUCKETS];
  private int size;
  private int perBucket = 1;
  private int inLast;

  /** Takes a reading; a missing one is passed over. */
  public void add(double time, double value) {
    if (Double.isNaN(value)) {
      return;
    }
    if (size > 0 && inLast < perBucket) {
      low[size - 1] = Math.min(low[size - 1], value);
      high[size - 1] = Math.max(high[size - 1], value);
      inLast++;
      return;
    }
    if (size == BUCKETS) {
      merge();
    }
    seconds[size] = time;
    low[size] = value;
    high[size] = value;
    size++;
    inLast = 1;
  }

  private void merge() {
    for (int i = 0; i < BUCKETS / 2; i++) {
      seconds[i] = seconds[2 * i];
      low[i] = Math.min(low[2 * i], low[2 * i + 1]);
      high[i] = Math.max(high[2 * i], high[2 * i + 1]);
    }
    size = BUCKETS / 2;
    perBucket *= 2;
    inLast = perBucket;
  }

  /** What has been taken so far. */
  public Thinned view() {
    return new Thinned(
        Arrays.copyOf(seconds, size), Arrays.copyOf(low, size), Arrays.copyOf(high, size));
  }
}
