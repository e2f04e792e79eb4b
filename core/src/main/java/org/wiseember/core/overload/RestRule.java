package org.wiseember.core.overload;

/**
 * When the next try may begin: the case is back within {@value #KELVIN} K of where it was at the
 * start, or {@value #MOST_SECONDS} s have passed without load, since a unit that idles stays warmer
 * than one that was off; where nobody reads the case, {@value #SECONDS} s have passed.
 *
 * <p>Common practice, no published source: an inverter that is still warm trips sooner.
 */
public final class RestRule {
  /** How near the case has to come to its temperature at the start, K. */
  public static final double KELVIN = 3;

  /** Rest where no case temperature is read, s. */
  public static final double SECONDS = 900;

  /** The inside cools slower than a thin case shows: never less than this, s. */
  public static final double LEAST_SECONDS = 300;

  /** No rest is longer than this, s. */
  public static final double MOST_SECONDS = 1800;

  private RestRule() {}

  /**
   * Whether it has rested.
   *
   * @param seconds without load
   * @param startCelsius of the case before the first try; NaN where not read
   * @param nowCelsius of the case; NaN where not read
   */
  public static boolean rested(double seconds, double startCelsius, double nowCelsius) {
    if (seconds < LEAST_SECONDS) {
      return false;
    }
    double above = nowCelsius - startCelsius;
    return Double.isNaN(above) ? seconds >= SECONDS : above <= KELVIN || seconds >= MOST_SECONDS;
  }
}
