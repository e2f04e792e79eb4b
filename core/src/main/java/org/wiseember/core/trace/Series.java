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

  /** Whether the readings {@code i} and {@code i + 1} are further apart than a meter's pace. */
  public boolean gapAfter(int i) {
    return gapAfter(i, usualInterval());
  }

  private boolean gapAfter(int i, double usual) {
    double hole = seconds[i + 1] - seconds[i];
    return hole > GAP_SECONDS && hole > GAP_INTERVALS * usual;
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
