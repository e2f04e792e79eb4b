package org.wiseember.core.waveform;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * A quantity of a capture cut into windows of whole cycles, one behind the other, each with its
 * sums and its spectrum. Samples weigh by how much of their cell lies in a window, so that its ends
 * may be anywhere.
 */
final class WaveWindows {
  /**
   * The sums of one window, in the quantity and its square.
   *
   * @param square mean square
   * @param mean mean
   * @param rectified mean without sign
   * @param peak the larger of the two mean peaks of its cycles
   * @param swing from the mean lowest to the mean highest
   * @param lines its spectrum
   */
  record Window(
      double square, double mean, double rectified, double peak, double swing, Spectrum lines) {}

  private final double[] v;
  private final CycleWindow cells;
  private final double f;
  private final int each;
  private final double length;
  private final List<Window> windows = new ArrayList<>();

  /**
   * Cuts and sums.
   *
   * @param v samples
   * @param cells of the same samples
   * @param f cycles a sample
   * @param each cycles a window
   * @param orders highest harmonic wanted
   * @param steps whether its jumps fold back onto its harmonics, see {@link Spectrum#of}
   */
  WaveWindows(double[] v, CycleWindow cells, double f, int each, int orders, boolean steps) {
    this.v = v;
    this.cells = cells;
    this.f = f;
    this.each = each;
    this.length = each / f;
    int n = (int) Math.max(1, Math.floor((v.length - 1) / length + 1e-9));
    for (int k = 0; k < n; k++) {
      windows.add(window(from(k), orders, steps));
    }
  }

  /** Where a window starts, in samples. */
  double from(int k) {
    return Math.min(k * length, Math.max(0, v.length - 1 - length));
  }

  private Window window(double from, int orders, boolean steps) {
    Sums sums = new Sums();
    sums.over(from, from + length);
    double highs = 0;
    double lows = 0;
    for (int c = 0; c < each; c++) {
      double[] ends = ends(from + c / f, from + (c + 1) / f);
      lows += ends[0] / each;
      highs += ends[1] / each;
    }
    return new Window(
        sums.square / length,
        sums.mean / length,
        sums.rectified / length,
        Math.max(Math.abs(highs), Math.abs(lows)),
        highs - lows,
        Spectrum.of(cells, from, f, each, orders, steps));
  }

  /** Sums over a stretch. */
  private final class Sums {
    private double square;
    private double mean;
    private double rectified;

    void over(double from, double to) {
      int first = (int) Math.max(0, Math.ceil(from - 0.5));
      int last = (int) Math.min(v.length - 1, Math.floor(to + 0.5));
      for (int i = first + 1; i < last; i++) {
        double x = v[i];
        square += x * x;
        mean += x;
        rectified += Math.abs(x);
      }
      part(first, from, to);
      part(last, from, to);
    }

    /** A sample whose cell may lie in the stretch only in part. */
    private void part(int i, double from, double to) {
      // What lies beyond the middle of the outermost sample's cell is taken as that sample.
      double a = i == 0 ? from : Math.max(i - 0.5, from);
      double b = i == v.length - 1 ? to : Math.min(i + 0.5, to);
      double w = Math.max(0, b - a);
      square += w * v[i] * v[i];
      mean += w * v[i];
      rectified += w * Math.abs(v[i]);
    }
  }

  /** Least and greatest sample between two places. */
  private double[] ends(double from, double to) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    int last = (int) Math.min(v.length - 1, Math.floor(to));
    for (int i = (int) Math.max(0, Math.ceil(from)); i <= last; i++) {
      double x = v[i];
      low = x < low ? x : low;
      high = x > high ? x : high;
    }
    return new double[] {low, high};
  }

  int size() {
    return windows.size();
  }

  /** Cycles a sample in each window, from how far the fundamental's phase moves to the next. */
  double[] frequencies() {
    double[] found = new double[windows.size()];
    for (int k = 0; k < found.length; k++) {
      int a = Math.min(k, Math.max(0, found.length - 2));
      if (found.length < 2) {
        found[k] = f;
        continue;
      }
      double apart = from(a + 1) - from(a);
      double expected = 2 * Math.PI * f * apart;
      double moved = windows.get(a + 1).lines().angle() - windows.get(a).lines().angle();
      found[k] = f + Math.IEEEremainder(moved - expected, 2 * Math.PI) / (2 * Math.PI * apart);
    }
    return found;
  }

  /** Angle of the fundamental at the start of the first window, rad. */
  double angle() {
    return windows.get(0).lines().angle();
  }

  /** A figure of each window. */
  double[] each(ToDoubleFunction<Window> figure) {
    return windows.stream().mapToDouble(figure).toArray();
  }

  /** The mean of a figure over the windows. */
  double mean(ToDoubleFunction<Window> figure) {
    return windows.stream().mapToDouble(figure).average().orElse(0);
  }

  /** Highest harmonic the samples carry, at most what was asked for. */
  int orders() {
    return windows.stream().mapToInt(w -> w.lines().orders()).min().orElseThrow();
  }

  /** One cycle, the mean of all whole ones, so that noise does not hide what is flat. */
  double[] meanCycle(int cellsAPeriod) {
    int cycles = (int) Math.floor((v.length - 1) * f + 1e-6);
    double[] sum = new double[cellsAPeriod];
    for (int c = 0; c < cycles; c++) {
      double from = c / f;
      double[] one = cells.cells(from, Math.min(1 / f, v.length - 1 - from), cellsAPeriod);
      for (int i = 0; i < cellsAPeriod; i++) {
        sum[i] += one[i] / cycles;
      }
    }
    return sum;
  }

  /**
   * Mean of the product with another quantity over the windows.
   *
   * @param other as many samples
   */
  double meanProduct(double[] other) {
    double from = 0;
    double to = Math.min(v.length - 1.0, windows.size() * length);
    double sum = 0;
    double weight = 0;
    int last = (int) Math.min(v.length - 1, Math.floor(to + 0.5));
    for (int i = 0; i <= last; i++) {
      double w = Math.max(0, Math.min(i + 0.5, to) - Math.max(i - 0.5, from));
      sum += w * v[i] * other[i];
      weight += w;
    }
    return weight > 0 ? sum / weight : 0;
  }
}
