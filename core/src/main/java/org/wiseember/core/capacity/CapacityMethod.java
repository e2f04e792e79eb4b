package org.wiseember.core.capacity;

import java.util.Optional;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a capacity figure depends on besides the trace.
 *
 * @param ratedWattHours the label's capacity, Wh; NaN where unknown, and then there is no yield
 * @param power accuracy of the power reading
 * @param voltage accuracy of the DC volts, where watts come from volts × amps; empty to take {@code
 *     power} for their product
 * @param current accuracy of the DC current reading
 * @param accuracyAssumed true when nobody said how good the meter is
 * @param clockMayStep true when the times were stamped by a clock that may have been set meanwhile,
 *     so that a gap may be a step of the clock instead
 * @param treatment what the tester decided about the run
 */
public record CapacityMethod(
    double ratedWattHours,
    MeterClass power,
    Optional<MeterClass> voltage,
    MeterClass current,
    boolean accuracyAssumed,
    boolean clockMayStep,
    Treatment treatment) {
  /** Raised whenever a change to the method changes a figure; kept with every stored finding. */
  public static final int VERSION = 2;

  /** What is assumed of a plug-in or clamp meter nobody described: ± 2 % of reading. */
  public static final MeterClass ASSUMED = MeterClass.ofReading(2, 0, 0.1);

  private static final MeterClass ASSUMED_CLAMP = MeterClass.ofReading(2, 0, 0.01);

  public CapacityMethod {
    if (ratedWattHours <= 0) {
      throw new IllegalArgumentException("a rated capacity is above 0 Wh");
    }
  }

  /** A method for a log whose meter is unknown. */
  public static CapacityMethod assumed(double ratedWattHours) {
    return new CapacityMethod(
        ratedWattHours, ASSUMED, Optional.empty(), ASSUMED_CLAMP, true, false, Treatment.NONE);
  }

  /** A method for a meter of known class. */
  public static CapacityMethod measuredWith(double ratedWattHours, MeterClass power) {
    return new CapacityMethod(
        ratedWattHours, power, Optional.empty(), ASSUMED_CLAMP, false, false, Treatment.NONE);
  }

  /** A method for DC volts and amps from meters of known class. */
  public static CapacityMethod measuredWith(
      double ratedWattHours, MeterClass voltage, MeterClass current) {
    return new CapacityMethod(
        ratedWattHours, ASSUMED, Optional.of(voltage), current, false, false, Treatment.NONE);
  }

  /** The same method for times from a clock that may have been set while it logged. */
  public CapacityMethod withClockThatMayStep() {
    return new CapacityMethod(
        ratedWattHours, power, voltage, current, accuracyAssumed, true, treatment);
  }

  /** The same method for a run somebody has decided something about. */
  public CapacityMethod with(Treatment decided) {
    return new CapacityMethod(
        ratedWattHours, power, voltage, current, accuracyAssumed, clockMayStep, decided);
  }
}
