package org.wiseember.core.waveform;

import java.util.OptionalDouble;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * The fundamental frequency of a capture: the highest line of a spectrum first, then from how far
 * the phase of the fundamental moves between the first and the second half of as many whole cycles
 * as there are, until it moves no more. Harmonics and offset do not disturb it, since the halves
 * hold whole cycles.
 */
final class Frequency {
  private static final int LINES = 4096;
  private static final int ROUNDS = 8;
  private static final double DONE = 1e-9;

  /** Cells a cycle at which the phase is looked at. */
  private static final int CELLS = 64;

  private Frequency() {}

  /**
   * Finds it, in cycles a sample.
   *
   * @param least lowest it may be, cycles a sample
   * @param most highest it may be, cycles a sample
   * @return empty where fewer than two cycles are in it or nothing stands out
   */
  static OptionalDouble of(double[] samples, CycleWindow window, double least, double most) {
    double guess = coarse(samples, window, least, most);
    if (!(guess > 0) || samples.length * guess < 2) {
      return OptionalDouble.empty();
    }
    double f = guess;
    for (int round = 0; round < ROUNDS; round++) {
      int half = (int) Math.floor((samples.length - 1) * f / 2);
      if (half < 1) {
        return OptionalDouble.empty();
      }
      double length = half / f;
      double first = phase(window, 0, length, half);
      double second = phase(window, length, length, half);
      double moved = Math.IEEEremainder(second - first, 2 * Math.PI);
      double step = moved / (2 * Math.PI * length);
      f += step;
      if (!(f >= least / 2 && f <= most * 2)) {
        return OptionalDouble.empty();
      }
      if (Math.abs(step) < DONE * f) {
        break;
      }
    }
    return OptionalDouble.of(f);
  }

  private static double coarse(double[] samples, CycleWindow window, double least, double most) {
    double[] cells = window.cells(0, samples.length - 1.0, LINES);
    double mean = 0;
    for (double c : cells) {
      mean += c / LINES;
    }
    double[][] wave = new double[2][LINES];
    for (int i = 0; i < LINES; i++) {
      double hann = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / LINES);
      wave[0][i] = (cells[i] - mean) * hann;
    }
    FastFourierTransformer.transformInPlace(wave, DftNormalization.STANDARD, TransformType.FORWARD);
    double perLine = 1.0 / (samples.length - 1);
    int from = (int) Math.max(1, Math.floor(least / perLine));
    int to = (int) Math.min(LINES / 2.0 - 2, Math.ceil(most / perLine));
    int best = -1;
    double highest = 0;
    for (int k = from; k <= to; k++) {
      double power = power(wave, k);
      if (power > highest) {
        highest = power;
        best = k;
      }
    }
    if (best < 1) {
      return 0;
    }
    double a = Math.sqrt(power(wave, best - 1));
    double b = Math.sqrt(highest);
    double c = Math.sqrt(power(wave, best + 1));
    double shift = a + c < 2 * b ? 0.5 * (a - c) / (a - 2 * b + c) : 0;
    return (best + shift) * perLine;
  }

  private static double power(double[][] wave, int k) {
    return wave[0][k] * wave[0][k] + wave[1][k] * wave[1][k];
  }

  /** Angle of the fundamental over a stretch of so many cycles. */
  private static double phase(CycleWindow window, double from, double length, int cycles) {
    int n = (int) Math.min(1 << 16, (long) CELLS * cycles);
    double[] cells = window.cells(from, length, n);
    double re = 0;
    double im = 0;
    for (int i = 0; i < n; i++) {
      double angle = 2 * Math.PI * cycles * (i + 0.5) / n;
      re += cells[i] * Math.cos(angle);
      im -= cells[i] * Math.sin(angle);
    }
    return Math.atan2(im, re);
  }
}
