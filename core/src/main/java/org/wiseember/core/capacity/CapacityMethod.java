package org.wiseember.core.capacity;

import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a capacity figure depends on besides the trace.
 *
 * @param ratedWattHours the label's capacity, Wh; NaN where unknown, and then there is no yield
 * @param power accuracy of the power reading
 * @param current accuracy of the DC current reading
 * @param accuracyAssumed true when nobody said how good the meter is
 * @param clockMayStep true when the times were stamped by a clock that may have been set meanwhile,
 *     so that a gap may be a step of the clock instead
 */
public record CapacityMethod(
    double ratedWattHours,
    MeterClass power,
    MeterClass current,
    boolean accuracyAssumed,
    boolean clockMayStep) {
  /** Raised whenever a change to the method changes a figure; kept with every stored finding. */
  public static final int VERSION = 1;

  /** What is assumed of a plug-in or clamp meter nobody described: ± 2 % of reading. */
  public static final MeterClass ASSUMED = MeterClass.ofReading(2, 0, 0.1);

  public CapacityMethod {
    if (ratedWattHours <= 0) {
      throw new IllegalArgumentException("a rated capacity is above 0 Wh");
    }
  }

  /** A method for a log whose meter is unknown. */
  public static CapacityMethod assumed(double ratedWattHours) {
    return new CapacityMethod(
        ratedWattHours, ASSUMED, MeterClass.ofReading(2, 0, 0.01), true, false);
  }

  /** A method for a meter of known class. */
  public static CapacityMethod measuredWith(double ratedWattHours, MeterClass power) {
    return new CapacityMethod(
        ratedWattHours, power, MeterClass.ofReading(2, 0, 0.01), false, false);
  }

  /** The same method for times from a clock that may have been set while it logged. */
  public CapacityMethod withClockThatMayStep() {
    return new CapacityMethod(ratedWattHours, power, current, accuracyAssumed, true);
  }
}
