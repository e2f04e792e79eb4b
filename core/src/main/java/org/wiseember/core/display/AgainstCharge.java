package org.wiseember.core.display;

import java.util.Optional;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * The watts on a display held against the charge it shows, for whoever has no meter: what it shows
 * times the time must be what the pack gained or lost.
 */
public final class AgainstCharge {
  /** Watts shown and watts told by the charge may differ by this factor: losses, coarse steps. */
  private static final double FACTOR = 1.4;

  private AgainstCharge() {}

  /**
   * The watts that a change of the charge display tells of.
   *
   * @param points by which the charge display moved
   * @param usableWattHours of the pack, Wh
   * @param hours of that time, above 0
   */
  public static double wattsByCharge(double points, double usableWattHours, double hours) {
    return Math.abs(points) / 100 * usableWattHours / hours;
  }

  /**
   * Whether the power display can be right: what it shows times the time must be what the pack
   * gained or lost.
   *
   * @param meanShown on the display over that time, W
   * @param points by which the charge display moved, ten or more to tell anything
   * @param usableWattHours of the pack, Wh
   * @param hours of that time, above 0
   * @return one sentence where it cannot be; empty where it can
   */
  public static Optional<String> sentence(
      double meanShown, double points, double usableWattHours, double hours) {
    double told = wattsByCharge(points, usableWattHours, hours);
    if (Math.abs(points) < 10 || (meanShown < FACTOR * told && told < FACTOR * meanShown)) {
      return Optional.empty();
    }
    return Optional.of(
        "The display showed "
            + Figures.fixed(meanShown, 0)
            + " W while the charge moved as if by "
            + Figures.fixed(told, 0)
            + " W ("
            + Figures.fixed(Math.abs(points), 0)
            + " % of "
            + Figures.plain(usableWattHours, Unit.WATT_HOUR)
            + " in "
            + Figures.duration(hours * 3600)
            + "): one of the two is frozen or lies.");
  }
}
