package org.wiseember.core.transfer;

/**
 * What computer supplies bear without stopping: the ITI (CBEMA) curve of 2000, recalled from
 * memory. It is drawn for 120 V equipment and is a reference line here, not a promise of any load.
 */
public final class ItiCurve {
  private ItiCurve() {}

  /** The longest time, s, nothing at all may come. */
  public static final double NOTHING_SECONDS = 0.020;

  /**
   * The lowest volts borne for a time, % of nominal.
   *
   * @param seconds above 0
   */
  public static double lowest(double seconds) {
    return seconds <= NOTHING_SECONDS ? 0 : seconds <= 0.5 ? 70 : seconds <= 10 ? 80 : 90;
  }

  /**
   * The highest volts borne for a time, % of nominal.
   *
   * @param seconds above 0
   */
  public static double highest(double seconds) {
    return seconds <= 0.001 ? 200 : seconds <= 0.003 ? 140 : seconds <= 0.5 ? 120 : 110;
  }

  /** Whether so many percent of the nominal volts for so long are borne. */
  public static boolean bears(double percent, double seconds) {
    return percent >= lowest(seconds) && percent <= highest(seconds);
  }
}
