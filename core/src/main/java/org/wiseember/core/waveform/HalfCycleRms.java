package org.wiseember.core.waveform;

import java.util.Arrays;

/**
 * RMS over one cycle, worked out anew every half cycle, U_rms(1/2): what sags, swells and gaps are
 * told by. The first window begins at the first upward zero crossing.
 *
 * <p>Source: IEC 61000-4-30 (recalled from memory).
 *
 * @param from time of the middle of the first window, s
 * @param step between windows, s
 */
public record HalfCycleRms(double from, double step, double[] values) {
  private static final double CROSSES = 0.1;

  /**
   * Works it out.
   *
   * @param samples at an even pace
   * @param perSecond their rate
   * @param hertz of the fundamental
   * @return no values where there is less than a cycle
   */
  public static HalfCycleRms of(double[] samples, double perSecond, double hertz) {
    double cycle = perSecond / hertz;
    double[] sums = new double[samples.length + 1];
    for (int i = 0; i < samples.length; i++) {
      sums[i + 1] = sums[i] + samples[i] * samples[i];
    }
    double start = firstCrossing(samples, cycle);
    int n = (int) Math.floor((samples.length - start - cycle) / (cycle / 2)) + 1;
    double[] values = new double[Math.max(0, n)];
    for (int k = 0; k < values.length; k++) {
      double a = start + k * cycle / 2;
      double sum = upTo(sums, a + cycle) - upTo(sums, a);
      values[k] = Math.sqrt(Math.max(0, sum) / cycle);
    }
    return new HalfCycleRms((start + cycle / 2) / perSecond, cycle / 2 / perSecond, values);
  }

  private static double upTo(double[] sums, double place) {
    double clamped = Math.max(0, Math.min(sums.length - 1, place));
    int whole = (int) Math.min(sums.length - 2, Math.floor(clamped));
    return sums.length < 2 ? 0 : sums[whole] + (clamped - whole) * (sums[whole + 1] - sums[whole]);
  }

  /** The first upward crossing that goes through both sides of a band; 0 where there is none. */
  private static double firstCrossing(double[] samples, double cycle) {
    double peak = Arrays.stream(samples).map(Math::abs).max().orElse(0);
    boolean below = false;
    int low = 0;
    for (int i = 0; i < Math.min(samples.length, 2 * cycle); i++) {
      if (samples[i] < -CROSSES * peak) {
        below = true;
        low = i;
      } else if (below && samples[i] > CROSSES * peak) {
        for (int k = i; k > low; k--) {
          if (samples[k - 1] <= 0 && samples[k] > 0) {
            return k - 1 + samples[k - 1] / (samples[k - 1] - samples[k]);
          }
        }
      }
    }
    return 0;
  }

  public int size() {
    return values.length;
  }

  /** Middle of a window, s. */
  public double seconds(int i) {
    return from + i * step;
  }

  public double value(int i) {
    return values[i];
  }

  public double least() {
    return Arrays.stream(values).min().orElse(Double.NaN);
  }

  public double most() {
    return Arrays.stream(values).max().orElse(Double.NaN);
  }

  /** How long it lies below a level, s, windows counted by their step. */
  public double secondsBelow(double level) {
    return step * Arrays.stream(values).filter(v -> v < level).count();
  }
}
