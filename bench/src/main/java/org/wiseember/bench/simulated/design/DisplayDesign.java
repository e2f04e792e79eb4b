package org.wiseember.bench.simulated.design;

/**
 * How the display of a simulated unit lies.
 *
 * @param powerScale watts shown over watts true
 * @param powerOffset added to the watts shown, W
 * @param floorWatts below this the display shows no load at all, W
 * @param bend shape of the charge shown: 1 is honest, above 1 it falls early, below 1 late
 * @param lagSeconds by which the charge shown trails, s
 */
public record DisplayDesign(
    double powerScale, double powerOffset, double floorWatts, double bend, double lagSeconds) {
  public DisplayDesign {
    if (!(powerScale > 0) || !(floorWatts >= 0) || !(bend > 0) || !(lagSeconds > 0)) {
      throw new IllegalArgumentException("a simulated display needs sensible figures");
    }
  }

  /** Shows 2.6 % too much, nothing under 30 W, and follows within a minute. */
  public static DisplayDesign usual() {
    return new DisplayDesign(1.026, 0, 30, 1, 60);
  }
}
