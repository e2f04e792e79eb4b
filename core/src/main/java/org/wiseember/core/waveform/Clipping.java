package org.wiseember.core.waveform;

import java.util.Arrays;
import java.util.Optional;
import org.wiseember.core.figure.Warning;
import org.wiseember.core.quantity.Figures;

/** Flat tops at the very ends of a scope's range, on a wave that should have none. */
final class Clipping {
  private Clipping() {}

  /**
   * Looks for them.
   *
   * @param range least and greatest sample
   */
  static Optional<Warning> in(double[] v, double[] range) {
    int at = 0;
    for (double x : v) {
      at += x == range[0] || x == range[1] ? 1 : 0;
    }
    // A sine's tops fill its highest step by themselves, the more the coarser the steps are.
    double peak = (range[1] - range[0]) / 2;
    double usual = 2 * Math.acos(Math.max(-1, 1 - step(v) / peak)) / Math.PI;
    return at > (0.03 + 1.5 * usual) * v.length && at > 12
        ? Optional.of(
            new Warning(
                "clipped",
                Figures.fixed(100.0 * at / v.length, 0)
                    + " % of the samples stand at the very ends: the scope or the probe clips."
                    + " Choose a larger range and capture again."))
        : Optional.empty();
  }

  /**
   * A sine that was driven far beyond the range looks square, but its sides slant: a true square's
   * edges take a sample or two.
   *
   * @param range least and greatest sample
   * @param samples a cycle
   */
  static Optional<Warning> likeASquare(double[] v, double[] range, double samples) {
    int at = 0;
    for (double x : v) {
      at += x == range[0] || x == range[1] ? 1 : 0;
    }
    double between = (double) (v.length - at) / v.length * samples;
    boolean slants = between > Math.max(LEAST_SIDE, SIDE_SHARE * samples);
    return at > 0.5 * v.length && slants
        ? Optional.of(
            new Warning(
                "clipped",
                Figures.fixed(100.0 * at / v.length, 0)
                    + " % of the samples stand at the very ends and the sides between them slant: a"
                    + " sine driven far beyond the scope's range looks so. Choose a larger range and"
                    + " capture again."))
        : Optional.empty();
  }

  /** Samples a cycle on both sides together that a true square's edges may take. */
  private static final double LEAST_SIDE = 6;

  private static final double SIDE_SHARE = 0.02;

  /** The least step between samples; 0 where there is none to be seen. */
  private static double step(double[] v) {
    double[] some = Arrays.copyOf(v, Math.min(v.length, 4000));
    Arrays.sort(some);
    double least = Double.POSITIVE_INFINITY;
    double range = some[some.length - 1] - some[0];
    for (int i = 1; i < some.length; i++) {
      double apart = some[i] - some[i - 1];
      least = apart > 1e-7 * range ? Math.min(least, apart) : least;
    }
    return Double.isInfinite(least) ? 0 : least;
  }
}
