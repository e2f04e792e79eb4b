package org.wiseember.core.waveform;

import java.util.Arrays;
import java.util.Optional;

/**
 * What the eye sees in the mean of all whole cycles, in which noise is averaged away.
 *
 * @param rest share of the period within a tenth of the peak around zero
 * @param top share within a tenth of the peak below the peak, either way
 * @param flat share in which it neither rises nor falls to speak of
 * @param positivePeak above the middle, V
 * @param negativePeak below the middle, V, as a figure above 0
 * @param evenPercent RMS of what the two half waves do not have in common, % of the RMS: all even
 *     harmonics together
 * @param notch a dent or kink where the wave goes through zero; empty where there is none
 * @param ringing a swing after steep edges; empty where there is none
 */
public record CycleShape(
    double rest,
    double top,
    double flat,
    double positivePeak,
    double negativePeak,
    double evenPercent,
    Optional<Notch> notch,
    Optional<Ringing> ringing) {
  /** Cells the period is looked at in. */
  static final int CELLS = 512;

  private static final double NEAR = 0.1;
  private static final double LEVEL = 0.012;
  private static final int SLOPE_CELLS = 2;

  /**
   * A kink at the zero crossings, as a crossover of two half bridges makes it.
   *
   * @param percent how far it leaves the best sine, % of the peak
   * @param degrees how wide it is, at half of that
   */
  public record Notch(double percent, double degrees) {}

  /**
   * A swing after an edge.
   *
   * @param overshootPercent beyond the level it settles at, % of that level
   * @param hertz of the swing; NaN where it does not swing back
   */
  public record Ringing(double overshootPercent, double hertz) {}

  /**
   * Looks at a cycle.
   *
   * @param cycle cells of one period, from anywhere in it
   * @param range least and greatest sample of the capture, V
   * @param hertz of the wave
   * @param noise RMS of what is no part of the repeating wave, V
   */
  static CycleShape of(double[] cycle, double[] range, double hertz, double noise) {
    int n = cycle.length;
    double middle = Arrays.stream(cycle).average().orElse(0);
    double high = 0;
    double low = 0;
    for (double c : cycle) {
      high = Math.max(high, c - middle);
      low = Math.max(low, middle - c);
    }
    double peak = Math.max(Math.max(high, low), 1e-12 * (range[1] - range[0]));
    int rest = 0;
    int top = 0;
    int flat = 0;
    double even = 0;
    double square = 0;
    for (int i = 0; i < n; i++) {
      double share = Math.abs(cycle[i] - middle) / peak;
      double slope =
          Math.abs(cycle[(i + SLOPE_CELLS) % n] - cycle[(i - SLOPE_CELLS + n) % n]) / peak;
      rest += share < NEAR ? 1 : 0;
      top += share > 1 - NEAR ? 1 : 0;
      flat += slope < LEVEL ? 1 : 0;
      double common = (cycle[i] + cycle[(i + n / 2) % n]) / 2 - middle;
      even += common * common;
      square += cycle[i] * cycle[i];
    }
    double stepped = (double) flat / n;
    return new CycleShape(
        (double) rest / n,
        (double) top / n,
        stepped,
        high,
        low,
        square > 0 ? 100 * Math.sqrt(even / square) : 0,
        stepped < STEPPED ? notch(cycle, middle, peak, noise) : Optional.empty(),
        stepped >= EDGED ? ringing(cycle, middle, hertz, noise) : Optional.empty());
  }

  /** From here on a wave is stepped and its way through zero an edge, not a notch. */
  private static final double STEPPED = 0.4;

  /** With less of the period flat there are no edges to ring. */
  private static final double EDGED = 0.3;

  private static final double CROSSING_DEGREES = 14;
  private static final double STANDS_OUT = 1.6;
  private static final double LEAST_NOTCH = 1;

  /** What leaves the best sine near its zero crossings, where it stands out of the rest. */
  private static Optional<Notch> notch(double[] cycle, double middle, double peak, double noise) {
    int n = cycle.length;
    double re = 0;
    double im = 0;
    for (int i = 0; i < n; i++) {
      double angle = 2 * Math.PI * i / n;
      re += cycle[i] * Math.cos(angle) * 2 / n;
      im += cycle[i] * Math.sin(angle) * 2 / n;
    }
    double amplitude = Math.hypot(re, im);
    double near = 0;
    int nearest = -1;
    double away = 0;
    double[] left = new double[n];
    for (int i = 0; i < n; i++) {
      double angle = 2 * Math.PI * i / n;
      left[i] = cycle[i] - middle - re * Math.cos(angle) - im * Math.sin(angle);
      double sine = (re * Math.cos(angle) + im * Math.sin(angle)) / amplitude;
      boolean crossing = Math.abs(sine) < Math.sin(Math.toRadians(CROSSING_DEGREES));
      double size = Math.abs(left[i]);
      if (crossing && size > near) {
        near = size;
        nearest = i;
      } else if (!crossing) {
        away = Math.max(away, size);
      }
    }
    double percent = 100 * near / peak;
    boolean seen = percent > LEAST_NOTCH && near > STANDS_OUT * away && near > noise;
    if (!seen) {
      return Optional.empty();
    }
    int width = 1;
    for (int side : new int[] {-1, 1}) {
      for (int k = 1; k < n / 4; k++) {
        if (Math.abs(left[Math.floorMod(nearest + side * k, n)]) < near / 2) {
          break;
        }
        width++;
      }
    }
    return Optional.of(new Notch(percent, 360.0 * width / n));
  }

  private static final double LEAST_OVERSHOOT = 3;

  /** The overshoot of the upper level and how fast it swings around it. */
  private static Optional<Ringing> ringing(
      double[] cycle, double middle, double hertz, double noise) {
    int n = cycle.length;
    double[] upper =
        Arrays.stream(cycle).map(c -> c - middle).filter(c -> c > 0).sorted().toArray();
    if (upper.length < n / 16) {
      return Optional.empty();
    }
    // The level most of the upper half settles at: the middle of those near the top.
    double most = upper[upper.length - 1];
    double[] near = Arrays.stream(upper).filter(c -> c > 0.6 * most).toArray();
    double level = near[near.length / 2];
    double overshoot = 100 * (most - level) / level;
    if (overshoot < LEAST_OVERSHOOT || most - level < 3 * noise) {
      return Optional.empty();
    }
    int start = 0;
    for (int i = 0; i < n; i++) {
      start = cycle[i] - middle == most ? i : start;
    }
    double band = 0.15 * (most - level);
    int swings = 0;
    int side = 1;
    int lastSwing = 0;
    for (int k = 1; k < n / 4; k++) {
      double off = cycle[(start + k) % n] - middle - level;
      if (off < -level / 2) {
        break;
      }
      if (Math.abs(off) > band && Math.signum(off) != side) {
        side = (int) Math.signum(off);
        swings++;
        lastSwing = k;
      }
    }
    double ring = swings < 2 ? Double.NaN : swings / 2.0 / ((double) lastSwing / n / hertz);
    return Optional.of(new Ringing(overshoot, ring));
  }

  /** How much the peaks of the two half waves differ, % of their mean. */
  public double peakAsymmetryPercent() {
    double mean = (positivePeak + negativePeak) / 2;
    return mean > 0 ? 100 * Math.abs(positivePeak - negativePeak) / mean : 0;
  }
}
