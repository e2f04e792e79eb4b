package org.wiseember.core.runtime;

/**
 * An appliance that was watched for a time with a meter that counts, as it was read off.
 *
 * @param seconds it was watched, s
 * @param wattHours counted in that time, Wh
 * @param step of the counter, Wh
 * @param runningWatts while it runs, W; NaN where nobody looked
 * @param highestWatts since the peaks were reset after its start, W; NaN where nobody looked
 * @param highestVa since then, VA; NaN where nobody looked
 * @param startVa when it started, VA; NaN where nobody looked
 */
public record Watch(
    double seconds,
    double wattHours,
    double step,
    double runningWatts,
    double highestWatts,
    double highestVa,
    double startVa) {
  /** A year. */
  private static final double LONGEST = 366.0 * 24 * 3600;

  public Watch {
    if (!(seconds > 0 && seconds <= LONGEST)) {
      throw new IllegalArgumentException("a watch takes time: type its hours and minutes");
    }
    if (!(wattHours > 0 && wattHours < 1e7)) {
      throw new IllegalArgumentException("the counter has to show what was used: type its kWh");
    }
  }
}
