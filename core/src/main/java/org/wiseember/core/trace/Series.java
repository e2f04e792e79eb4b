package org.wiseember.core.trace;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** The readings of one channel that are there, in order of time. */
public final class Series {
  /** A hole is a gap when it is longer than this many usual intervals ... */
  public static final double GAP_INTERVALS = 5;

  /** ... and longer than this many seconds. */
  public static final double GAP_SECONDS = 30;

  /** Fewer different readings than this may all be round by chance. */
  private static final int FEW = 8;

  private final double[] seconds;
  private final double[] values;

  /** Worked out when first asked for; a race would only work it out twice. */
  private double usual = Double.NaN;

  /** Takes the arrays over: for the trace that has just made them. */
  Series(double[] seconds, double[] values) {
    this.seconds = seconds;
    this.values = values;
  }

  /** Copies both arrays, which must have one length and times that never decrease. */
  public static Series of(double[] seconds, double[] values) {
    return new Trace(seconds, java.util.Map.of(Channel.AC_POWER, values)).series(Channel.AC_POWER);
  }

  public int size() {
    return seconds.length;
  }

  public double seconds(int i) {
    return seconds[i];
  }

  public double value(int i) {
    return values[i];
  }

  /** Median time between neighbouring readings, in seconds; 0 for fewer than two readings. */
  public double usualInterval() {
    if (Double.isNaN(usual)) {
      usual = median();
    }
    return usual;
  }

  private double median() {
    if (size() < 2) {
      return 0;
    }
    double[] steps = new double[size() - 1];
    for (int i = 0; i < steps.length; i++) {
      steps[i] = seconds[i + 1] - seconds[i];
    }
    Arrays.sort(steps);
    return steps[steps.length / 2];
  }

  /**
   * By how much the readings step: the greatest of 10, 5, 2, 1 and their tenths of which every
   * reading is a whole multiple. What a meter rounds to shows in its log; a log of computed values
   * has steps too fine to matter.
   *
   * <p>A handful of readings may all be round by chance. Then no more is taken than a meter of
   * three digits would round to.
   *
   * @return 0 where no step down to 1e-4 fits, or there are no readings
   */
  public double step() {
    double most = 10;
    double[] distinct = Arrays.stream(values).map(Math::abs).distinct().limit(FEW).toArray();
    if (distinct.length < FEW && !flickers()) {
      Arrays.sort(distinct);
      double middle = distinct.length == 0 ? 0 : distinct[distinct.length / 2];
      most = middle > 0 ? Math.pow(10, Math.floor(Math.log10(middle) + 1e-9) - 2) : 0;
    }
    for (double power = 10; power > 5e-5; power /= 10) {
      for (double share : new double[] {1, 0.5, 0.2}) {
        double step = power * share;
        if (step <= most * (1 + 1e-9) && allMultiplesOf(step)) {
          return step;
        }
      }
    }
    return 0;
  }

  /** Readings that jump between few values all the time show their last digit. */
  private boolean flickers() {
    int changes = 0;
    for (int i = 1; i < values.length; i++) {
      changes += values[i] != values[i - 1] ? 1 : 0;
    }
    return changes >= Math.max(FEW, values.length / 20);
  }

  private boolean allMultiplesOf(double step) {
    for (double v : values) {
      double steps = v / step;
      if (Math.abs(steps - Math.rint(steps)) > 1e-6 * Math.max(1, Math.abs(steps))) {
        return false;
      }
    }
    return size() > 0;
  }

  /** Whether the readings {@code i} and {@code i + 1} are further apart than a meter's pace. */
  public boolean gapAfter(int i) {
    return gapAfter(i, usualInterval());
  }

  private boolean gapAfter(int i, double usual) {
    double hole = seconds[i + 1] - seconds[i];
    return hole > GAP_SECONDS && hole > GAP_INTERVALS * usual;
  }

  /**
   * The readings up to a moment. Where it falls between two readings, the line between them is read
   * off there, so that an integral ends exactly at the moment.
   */
  public Series upTo(double moment) {
    int n = 0;
    while (n < size() && seconds[n] <= moment) {
      n++;
    }
    boolean between = n > 0 && n < size() && seconds[n - 1] < moment && !gapAfter(n - 1);
    double[] t = Arrays.copyOf(seconds, between ? n + 1 : n);
    double[] v = Arrays.copyOf(values, between ? n + 1 : n);
    if (between) {
      t[n] = moment;
      v[n] = between(n - 1, moment);
    }
    return new Series(t, v);
  }

  /** On the line between the readings {@code i} and {@code i + 1}. */
  private double between(int i, double moment) {
    double span = seconds[i + 1] - seconds[i];
    double share = span > 0 ? (moment - seconds[i]) / span : 0;
    return values[i] + share * (values[i + 1] - values[i]);
  }

  /**
   * The reading nearest to a moment, before or after it.
   *
   * @param reach how far away it may be, s
   * @return NaN where there is none within reach
   */
  public double nearest(double moment, double reach) {
    int after = from(moment);
    double found = Double.NaN;
    double away = reach;
    for (int i = Math.max(0, after - 1); i < Math.min(size(), after + 1); i++) {
      if (Math.abs(seconds(i) - moment) <= away) {
        away = Math.abs(seconds(i) - moment);
        found = value(i);
      }
    }
    return found;
  }

  /**
   * The reading at a moment, on the line between its neighbours.
   *
   * @param reach how far the nearer neighbours may be away, s
   * @return NaN where there is no reading on both sides within reach
   */
  public double at(double moment, double reach) {
    int after = Arrays.binarySearch(seconds, moment);
    if (after >= 0) {
      return values[after];
    }
    after = -after - 1;
    if (after == 0
        || after == size()
        || moment - seconds[after - 1] > reach
        || seconds[after] - moment > reach) {
      return Double.NaN;
    }
    return between(after - 1, moment);
  }

  /** Index of the first reading at or after a moment; the size where there is none. */
  public int from(double moment) {
    int at = Arrays.binarySearch(seconds, moment);
    if (at < 0) {
      return -at - 1;
    }
    while (at > 0 && seconds[at - 1] == moment) {
      at--;
    }
    return at;
  }

  /** All gaps between the readings {@code from} and {@code to}, both included. */
  public List<Gap> gaps(int from, int to) {
    double usual = usualInterval();
    List<Gap> gaps = new ArrayList<>();
    for (int i = from; i < to; i++) {
      if (gapAfter(i, usual)) {
        gaps.add(new Gap(i, seconds[i], seconds[i + 1]));
      }
    }
    return gaps;
  }

  /**
   * Trapezoid integral over time on the real timestamps, gaps left out.
   *
   * @param from index of the first reading
   * @param to index of the last reading, not before {@code from}
   * @return value × seconds
   */
  public double integral(int from, int to) {
    double usual = usualInterval();
    double sum = 0;
    double lost = 0;
    for (int i = from; i < to; i++) {
      if (gapAfter(i, usual)) {
        continue;
      }
      // Kahan summation: a 48 h log has 172 800 small terms against one large sum.
      double term = (seconds[i + 1] - seconds[i]) * (values[i] + values[i + 1]) / 2 - lost;
      double next = sum + term;
      lost = next - sum - term;
      sum = next;
    }
    return sum;
  }

  /**
   * A hole in the readings.
   *
   * @param index the reading before the hole
   * @param from time of that reading, s
   * @param to time of the next one, s
   */
  public record Gap(int index, double from, double to) {
    public double seconds() {
      return to - from;
    }
  }
}
