package org.wiseember.core.uncertainty;

import java.util.Arrays;

/**
 * How far the mean of a row of readings may be off by their scatter (type A, GUM 4.2). Readings a
 * second apart are not independent of each other, so long rows are taken in ten blocks and the
 * scatter between the blocks counts too, whichever is larger.
 */
public final class MeanScatter {
  private static final int BLOCKS = 10;
  private static final int LONG = 40;

  private MeanScatter() {}

  /** Standard uncertainty of the mean; 0 for fewer than two readings. */
  public static double of(double[] readings) {
    if (readings.length < 2) {
      return 0;
    }
    double plain = deviation(readings) / Math.sqrt(readings.length);
    if (readings.length < LONG) {
      return plain;
    }
    double[] blocks = new double[BLOCKS];
    for (int b = 0; b < BLOCKS; b++) {
      int from = (int) ((long) b * readings.length / BLOCKS);
      int to = (int) ((long) (b + 1) * readings.length / BLOCKS);
      blocks[b] = Arrays.stream(readings, from, to).average().orElse(0);
    }
    return Math.max(plain, deviation(blocks) / Math.sqrt(BLOCKS));
  }

  /** Sample standard deviation; 0 for fewer than two readings. */
  public static double deviation(double[] readings) {
    if (readings.length < 2) {
      return 0;
    }
    double mean = Arrays.stream(readings).average().orElse(0);
    double square = Arrays.stream(readings).map(v -> (v - mean) * (v - mean)).sum();
    return Math.sqrt(square / (readings.length - 1));
  }
}
