package org.wiseember.core.charge;

import java.util.OptionalDouble;
import org.hipparchus.stat.regression.SimpleRegression;
import org.wiseember.core.trace.Series;

/**
 * Where the last straight fall of a charge begins, power against energy. A taper at constant volts,
 * exponential in time, and one that follows the state of charge are both straight there; a unit
 * that is held back by its warmth before that falls along another line.
 */
final class LinearTail {
  private static final int BINS = 400;

  /** Off the line by more, of the level, three bins running, and the line has ended. */
  private static final double OFF = 0.02;

  private static final int RUN = 3;

  /** A tail falls by at least this share of the level, over at least so many bins. */
  private static final double LEAST_FALL = 0.35;

  private static final int LEAST_BINS = 8;

  private LinearTail() {}

  /**
   * Looks for it.
   *
   * @param first index of the first charging reading
   * @param last index of the last
   * @return s in the log; empty where the end is no straight fall
   */
  static OptionalDouble start(Series power, int first, int last) {
    if (last - first < 4 * LEAST_BINS) {
      return OptionalDouble.empty();
    }
    Bins bins =
        new Bins(power.seconds(first), power.seconds(last), Math.min(BINS, (last - first) / 2));
    double[] watts = bins.medians(power);
    double[] energy = new double[watts.length];
    double sum = 0;
    for (int c = 0; c < watts.length; c++) {
      energy[c] = sum + watts[c] / 2;
      sum += watts[c];
    }
    double level = Level.of(watts);
    int end = watts.length - 1;
    int start = end;
    SimpleRegression line = new SimpleRegression();
    int off = 0;
    for (int c = end - 1; c >= 0; c--) {
      boolean known = end - c > LEAST_BINS;
      off = known && Math.abs(line.predict(energy[c]) - watts[c]) > OFF * level ? off + 1 : 0;
      if (off >= RUN) {
        break;
      }
      if (off == 0) {
        line.addData(energy[c], watts[c]);
        start = c;
      }
    }
    boolean falls =
        end - start > LEAST_BINS
            && line.getSlope() < 0
            && watts[start] - watts[end - 1] > LEAST_FALL * watts[start];
    return falls && off >= RUN ? OptionalDouble.of(bins.begin(start)) : OptionalDouble.empty();
  }
}
