package org.wiseember.core.charge;

import java.util.Arrays;
import java.util.OptionalDouble;
import org.wiseember.core.trace.Series;

/**
 * Where the power of a charge begins to fall for good. Looked for from the end: the highest power
 * still to come rises as one goes back, and where it rises no more the plateau is reached. The knee
 * is where a curve through the upper part of the fall, straight or exponential, whichever fits
 * better, meets that plateau.
 */
final class Taper {
  private static final int BINS = 400;
  private static final double FLAT = 1.012;
  private static final int FLAT_CELLS = 24;

  /** A plateau that took in less than this share of the energy is a step on the way down. */
  private static final double MAIN_SHARE = 0.3;

  private static final double NEAR_LEVEL = 0.04;
  private static final double UPPER = 0.97;
  private static final double LOWER = 0.65;

  /** A charge that ends above this share of its plateau does not taper. */
  private static final double FALLS_TO = 0.85;

  private Taper() {}

  /**
   * Finds the knee.
   *
   * @param first index of the first charging reading
   * @param last index of the last
   * @return its time in the log, s; empty where the power does not fall before it ends
   */
  static OptionalDouble start(Series power, int first, int last) {
    double from = power.seconds(first);
    double span = power.seconds(last) - from;
    if (!(span > 0) || last - first < 20) {
      return OptionalDouble.empty();
    }
    int bins = Math.min(BINS, (last - first) / 2);
    double[] level = new Bins(from, power.seconds(last), bins).medians(power);
    double[] ahead = new double[bins];
    double most = 0;
    for (int c = bins - 1; c >= 0; c--) {
      most = Math.max(most, level[c]);
      ahead[c] = most;
    }
    int flat = Math.max(2, FLAT_CELLS * bins / BINS);
    int reached = 0;
    double largest = 0;
    for (int c = bins - 1; c >= flat; c--) {
      boolean plateauHere = ahead[c - flat] <= FLAT * ahead[c];
      double share = plateauHere ? share(level, ahead[c]) : 0;
      if (share >= MAIN_SHARE) {
        reached = c;
        break;
      }
      if (share > largest) {
        largest = share;
        reached = c;
      }
    }
    double plateau = plateau(level, reached, flat);
    double ends = Arrays.stream(level, Math.max(0, bins - 2), bins).min().orElse(plateau);
    if (ends > FALLS_TO * plateau) {
      return OptionalDouble.empty();
    }
    return OptionalDouble.of(knee(power, first, last, plateau, from + span * reached / bins));
  }

  /** How much of all energy came in near a level. */
  private static double share(double[] level, double at) {
    double near = 0;
    double all = 0;
    for (double w : level) {
      all += w;
      near += Math.abs(w / at - 1) < NEAR_LEVEL ? w : 0;
    }
    return all > 0 ? near / all : 0;
  }

  /** The level of the plateau that a fall leaves. */
  private static double plateau(double[] level, int reached, int flat) {
    int from = Math.max(0, reached - flat);
    double[] some = Arrays.copyOfRange(level, from, reached + 1);
    Arrays.sort(some);
    return some[some.length / 2];
  }

  /** Where the fall through the upper part meets the plateau. */
  private static double knee(Series power, int first, int last, double plateau, double notBefore) {
    int end = last;
    int begin = last;
    for (int i = last; i >= first; i--) {
      double share = power.value(i) / plateau;
      if (share >= UPPER && power.seconds(i) <= power.seconds(last)) {
        begin = i;
        break;
      }
    }
    for (int i = begin; i <= last; i++) {
      if (power.value(i) < LOWER * plateau) {
        end = i;
        break;
      }
    }
    double last97 = power.seconds(begin);
    // A fall within a reading or two is a step: the knee is where it stands.
    if (end - begin <= 3) {
      return last97;
    }
    double[] straight = fit(power, begin, end, plateau, false);
    double[] curved = fit(power, begin, end, plateau, true);
    double[] better = curved[1] < straight[1] ? curved : straight;
    double found = Double.isNaN(better[0]) ? last97 : better[0];
    return Math.max(Math.min(found, last97), Math.min(notBefore, last97));
  }

  /** Time at which the fitted fall is at the plateau, and the square it leaves. */
  private static double[] fit(
      Series power, int begin, int end, double plateau, boolean exponential) {
    double n = 0;
    double st = 0;
    double sy = 0;
    double stt = 0;
    double sty = 0;
    double t0 = power.seconds(begin);
    for (int i = begin; i <= end; i++) {
      double share = power.value(i) / plateau;
      if (share > UPPER + 0.02 || share <= 0.05) {
        continue;
      }
      double t = power.seconds(i) - t0;
      double y = exponential ? Math.log(share) : share;
      n++;
      st += t;
      sy += y;
      stt += t * t;
      sty += t * y;
    }
    double d = n * stt - st * st;
    if (n < 3 || !(d > 0)) {
      return new double[] {Double.NaN, Double.POSITIVE_INFINITY};
    }
    double slope = (n * sty - st * sy) / d;
    double start = (sy - slope * st) / n;
    double left = 0;
    for (int i = begin; i <= end; i++) {
      double share = power.value(i) / plateau;
      if (share <= UPPER + 0.02 && share > 0.05) {
        double y = start + slope * (power.seconds(i) - t0);
        double off = share - (exponential ? Math.exp(y) : y);
        left += off * off;
      }
    }
    double at = (exponential ? 0 : 1) - start;
    return new double[] {slope < 0 ? t0 + at / slope : Double.NaN, left};
  }
}
