package org.wiseember.core.charge;

import java.util.List;
import org.wiseember.core.trace.Series;

/**
 * The energy that went into a unit: E = ∫P dt by the trapezoid rule on the real times, summed once.
 * A hole in the readings counts at the mean of the power on both sides and is known as a hole, so
 * that whoever uses the sum can say how unsure it is.
 *
 * <p>Source: definition; the bridging is common practice, no published source.
 */
public final class EnergyIn {
  private static final double SECONDS_PER_HOUR = 3600;

  private final Series power;
  private final double[] wattHours;

  private EnergyIn(Series power, double[] wattHours) {
    this.power = power;
    this.wattHours = wattHours;
  }

  /** Sums up the watts into a unit. */
  public static EnergyIn of(Series power) {
    double[] sums = new double[power.size()];
    for (int i = 1; i < sums.length; i++) {
      sums[i] = sums[i - 1] + between(power, i - 1);
    }
    return new EnergyIn(power, sums);
  }

  private static double between(Series power, int i) {
    return (power.value(i) + power.value(i + 1))
        / 2
        * (power.seconds(i + 1) - power.seconds(i))
        / SECONDS_PER_HOUR;
  }

  /** Between two readings, Wh. */
  public double between(int first, int last) {
    return wattHours[last] - wattHours[first];
  }

  /**
   * When so much was in since a reading, s in the log; the time of {@code last} where it never was.
   */
  public double reached(int first, int last, double wanted) {
    for (int i = first + 1; i <= last; i++) {
      double before = between(first, i - 1);
      double more = between(first, i) - before;
      if (before + more >= wanted) {
        double span = power.seconds(i) - power.seconds(i - 1);
        return power.seconds(i - 1) + (more > 0 ? (wanted - before) / more * span : 0);
      }
    }
    return power.seconds(last);
  }

  /** The holes between two readings. */
  public List<Series.Gap> holes(int first, int last) {
    return power.gaps(first, last);
  }

  /** What was put in for a hole, Wh; it may be off by as much. */
  public double bridged(Series.Gap hole) {
    return between(hole.index(), hole.index() + 1);
  }
}
