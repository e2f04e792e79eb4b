package org.wiseember.core.uncertainty;

import java.util.Arrays;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The interval that holds a share of all possible values, from the spread of the contributions
 * themselves (propagation of distributions, JCGM 101:2008).
 *
 * <p>A coverage factor of two is right for a bell-shaped result. Here a meter's stated limits often
 * outweigh everything else, and then it would promise more than the limits themselves. So the
 * densities are folded into one another on a grid: exact for limits, and for a bell of scatter with
 * limits. Student's t is taken as the bell with the same interval, which is exact when it stands
 * alone.
 */
final class Coverage {
  private static final int BINS = 4096;

  /** Limits narrower than this share of the whole make no edge one could see. */
  private static final double NEGLIGIBLE = 0.02;

  /** Beyond this many standard deviations a bell holds less than 1e-16. */
  private static final double FARTHEST = 8.5;

  /** Bins narrower than this many standard deviations are narrow. */
  private static final double FINE = 0.05;

  private static final double ROOT_TAU = Math.sqrt(2 * Math.PI);

  private static final NormalDistribution BELL = new NormalDistribution();

  private Coverage() {}

  /**
   * Half width of the symmetric interval around the estimate.
   *
   * @param contributions independent of each other
   * @param confidence between 0 and 1
   */
  static double halfWidth(List<Contribution> contributions, double confidence) {
    double normal = BELL.inverseCumulativeProbability(0.5 + confidence / 2);
    double whole = 0;
    for (Contribution c : contributions) {
      whole += c.standard() * c.standard();
    }
    whole = Math.sqrt(whole);
    if (whole == 0) {
      return 0;
    }
    double bell = 0;
    double[] limits = new double[contributions.size()];
    int edges = 0;
    for (Contribution c : contributions) {
      double standard = Math.abs(c.standard());
      if (c.shape() == Contribution.Shape.RECTANGULAR && standard > NEGLIGIBLE * whole) {
        limits[edges++] = standard * Math.sqrt(3);
      } else {
        double as = standard * Budget.coverageFactor(confidence, c.degreesOfFreedom()) / normal;
        bell += as * as;
      }
    }
    bell = Math.sqrt(bell);
    if (edges == 0) {
      return normal * bell;
    }
    if (edges == 1 && bell == 0) {
      // Limits alone: every value between them is as likely.
      return confidence * limits[0];
    }
    double reach = 6 * bell;
    for (int i = 0; i < edges; i++) {
      reach += limits[i];
    }
    double[] density = bell > reach / BINS ? bell(bell, reach) : spike();
    for (int i = 0; i < edges; i++) {
      density = widened(density, limits[i] * BINS / (2 * reach));
    }
    return quantile(density, confidence) * 2 * reach / BINS;
  }

  /** The bell as chances of the bins, which stretch from − reach to + reach. */
  private static double[] bell(double standard, double reach) {
    double[] density = new double[BINS];
    double width = 2 * reach / BINS / standard;
    int half = BINS / 2;
    double below = 0.5;
    for (int i = 0; i < half && i * width < FARTHEST; i++) {
      double chance;
      if (width < FINE) {
        // The middle of a narrow bin, with the next term of the series: off by less than 1e-9.
        double z = (i + 0.5) * width;
        chance = width * Math.exp(-z * z / 2) / ROOT_TAU * (1 + width * width * (z * z - 1) / 24);
      } else {
        double upTo = BELL.cumulativeProbability((i + 1) * width);
        chance = upTo - below;
        below = upTo;
      }
      density[half + i] = chance;
      density[half - 1 - i] = chance;
    }
    return density;
  }

  private static double[] spike() {
    double[] density = new double[BINS];
    density[BINS / 2 - 1] = 0.5;
    density[BINS / 2] = 0.5;
    return density;
  }

  /**
   * Folded with limits of ± {@code half} bins: the chance from so far below the middle of each bin
   * to so far above it. Every such place lies as far into its bin, and what is alike on both sides
   * stays so; this is most of the work of a judgement.
   */
  private static double[] widened(double[] density, double half) {
    double[] sums = new double[BINS + 1];
    for (int i = 0; i < BINS; i++) {
      sums[i + 1] = sums[i] + density[i];
    }
    int above = (int) Math.floor(0.5 + half);
    int below = (int) Math.floor(0.5 - half);
    double intoAbove = 0.5 + half - above;
    double intoBelow = 0.5 - half - below;
    double[] wide = new double[BINS];
    int within = Math.max(0, Math.min(BINS / 2, BINS - above));
    for (int i = 0; i < within; i++) {
      wide[i] = sums[i + above] + intoAbove * density[i + above];
    }
    Arrays.fill(wide, within, BINS / 2, sums[BINS]);
    for (int i = -below; i < BINS / 2; i++) {
      wide[i] -= sums[i + below] + intoBelow * density[i + below];
    }
    for (int i = 0; i < BINS / 2; i++) {
      wide[i] /= 2 * half;
      wide[BINS - 1 - i] = wide[i];
    }
    return wide;
  }

  /** How many bins from the middle the interval reaches. */
  private static double quantile(double[] density, double confidence) {
    double total = 0;
    for (double d : density) {
      total += d;
    }
    double inside = 0;
    for (int k = 0; k < BINS / 2; k++) {
      double more = density[BINS / 2 + k] + density[BINS / 2 - 1 - k];
      if (inside + more >= confidence * total) {
        return k + (confidence * total - inside) / more;
      }
      inside += more;
    }
    return BINS / 2.0;
  }
}
