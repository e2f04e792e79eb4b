package org.wiseember.core.lineup;

import org.hipparchus.distribution.continuous.NormalDistribution;
import org.wiseember.core.figure.Figure;

/**
 * How likely one is really better than another, from how sure both are: each is taken as normally
 * distributed about what was found, its 95 % half width 1.96 standard deviations (JCGM 101).
 */
public final class Chance {
  private static final NormalDistribution NORMAL = new NormalDistribution();
  private static final double OF_95 = 1.959964;

  /** Beyond so many standard deviations nothing is left to count. */
  private static final double REACH = 7;

  private static final int STEPS = 2_000;

  private Chance() {}

  /** That the first figure is the better one. */
  public static double better(Measure measure, Figure one, Figure other) {
    double ahead = one.value() - other.value();
    return above(measure.higherIsBetter() ? ahead : -ahead, Math.hypot(sigma(one), sigma(other)));
  }

  static double sigma(Figure figure) {
    return figure.u95() / OF_95;
  }

  /** That something normal is above nought; half where it is nought and sure. */
  private static double above(double mean, double sigma) {
    return sigma > 0
        ? NORMAL.cumulativeProbability(mean / sigma)
        : mean > 0 ? 1 : mean < 0 ? 0 : 0.5;
  }

  /**
   * That one of several is the highest.
   *
   * @param which of them
   * @param means of each
   * @param sigmas of each, 0 for one that is sure
   */
  public static double highest(int which, double[] means, double[] sigmas) {
    double mine = sigmas[which];
    if (!(mine > 0)) {
      return allBelow(means[which], which, means, sigmas);
    }
    double sum = 0;
    double width = 2 * REACH / STEPS;
    for (int i = 0; i < STEPS; i++) {
      double z = -REACH + (i + 0.5) * width;
      sum += NORMAL.density(z) * width * allBelow(means[which] + z * mine, which, means, sigmas);
    }
    return Math.min(1, sum);
  }

  private static double allBelow(double x, int which, double[] means, double[] sigmas) {
    double all = 1;
    for (int j = 0; j < means.length; j++) {
      if (j != which) {
        all *= above(x - means[j], sigmas[j]);
      }
    }
    return all;
  }
}
