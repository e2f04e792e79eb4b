package org.wiseember.core.capacity;

import java.util.List;

/**
 * When a drain is expected to end. What the unit will deliver is weighed together from what is
 * known, each by how sure it is: the label times the usual yield (85 %, seen 75 to 95 %: common
 * practice, no published source), earlier drains of the same unit, and the charge the display
 * shows, which gains weight as the drain goes on. Weights are the inverse variances.
 *
 * @param total watt-hours expected in all
 * @param low of an interval that should hold the total in 95 of 100 drains
 * @param high of that interval
 * @param secondsLeft at the present power; 0 when it is due
 * @param soonest seconds left at the low end
 * @param latest seconds left at the high end
 */
public record ExpectedEnd(
    double total, double low, double high, double secondsLeft, double soonest, double latest) {
  private static final double YIELD_SIGMA = 0.05;

  /** Drains of one unit at different loads differ by about this much. */
  private static final double REPEAT_SIGMA = 0.04;

  /** A charge display is off by a few percent of charge; early on that is all it says. */
  private static final double DISPLAY_SIGMA = 0.05;

  private static final double LEAST_SHARE_USED = 0.15;

  /**
   * Works it out.
   *
   * @param ratedWattHours on the label, Wh; above 0
   * @param earlier what earlier complete drains of the unit delivered, Wh
   * @param delivered so far, Wh
   * @param displayCharge shown now, %; NaN where there is none
   * @param watts now, W; above 0
   */
  public static ExpectedEnd of(
      double ratedWattHours,
      List<Double> earlier,
      double delivered,
      double displayCharge,
      double watts) {
    double weight = 1 / square(YIELD_SIGMA * ratedWattHours);
    double sum = weight * EnergyLeft.USUAL_YIELD * ratedWattHours;
    if (!earlier.isEmpty()) {
      double mean = earlier.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
      double w = 1 / square(REPEAT_SIGMA * mean);
      sum += w * mean;
      weight += w;
    }
    double used = 1 - displayCharge / 100;
    if (used > LEAST_SHARE_USED && delivered > 0) {
      double byDisplay = delivered / used;
      double w = 1 / square(byDisplay * DISPLAY_SIGMA / used);
      sum += w * byDisplay;
      weight += w;
    }
    double total = sum / weight;
    double half = 2 / Math.sqrt(weight);
    double low = Math.max(delivered, total - half);
    double high = Math.max(delivered, total + half);
    double expected = Math.max(delivered, total);
    return new ExpectedEnd(
        expected,
        low,
        high,
        (expected - delivered) / watts * 3600,
        (low - delivered) / watts * 3600,
        (high - delivered) / watts * 3600);
  }

  private static double square(double x) {
    return x * x;
  }
}
