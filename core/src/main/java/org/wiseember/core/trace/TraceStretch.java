package org.wiseember.core.trace;

/**
 * What lies between two moments of a run: for looking, not for judging, so without uncertainty.
 *
 * @param from s
 * @param to s
 * @param wattHours ∫ P dt, gaps left out
 * @param ampHours ∫ I dt on the DC side, gaps left out; NaN where no amps were read
 * @param meanWatts over the time that was read; NaN without readings
 * @param leastWatts NaN without readings
 * @param mostWatts NaN without readings
 */
public record TraceStretch(
    double from,
    double to,
    double wattHours,
    double ampHours,
    double meanWatts,
    double leastWatts,
    double mostWatts) {

  /**
   * Looks between two moments.
   *
   * @param watts the power looked at
   * @param amps on the DC side; may be empty
   */
  public static TraceStretch between(Series watts, Series amps, double one, double other) {
    double from = Math.min(one, other);
    double to = Math.max(one, other);
    int first = watts.from(from);
    int last = watts.from(Math.nextUp(to)) - 1;
    double sum = 0;
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (int i = first; i <= last; i++) {
      sum += watts.value(i);
      least = Math.min(least, watts.value(i));
      most = Math.max(most, watts.value(i));
    }
    int n = last - first + 1;
    boolean none = n < 1;
    return new TraceStretch(
        from,
        to,
        n > 1 ? watts.integral(first, last) / 3600 : 0,
        ampHours(amps, from, to),
        none ? Double.NaN : sum / n,
        none ? Double.NaN : least,
        none ? Double.NaN : most);
  }

  private static double ampHours(Series amps, double from, double to) {
    int first = amps.from(from);
    int last = amps.from(Math.nextUp(to)) - 1;
    return amps.size() == 0 ? Double.NaN : last > first ? amps.integral(first, last) / 3600 : 0;
  }

  public double seconds() {
    return to - from;
  }
}
