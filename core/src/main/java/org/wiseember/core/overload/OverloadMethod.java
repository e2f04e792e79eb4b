package org.wiseember.core.overload;

import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What overload figures depend on besides the trace.
 *
 * @param ratedWatts the rating, W; NaN where unknown
 * @param power accuracy of the watts
 * @param accuracyAssumed true when nobody said how good the meter is
 * @param treatment what the tester decided about the run
 */
public record OverloadMethod(
    double ratedWatts, MeterClass power, boolean accuracyAssumed, Treatment treatment) {
  public OverloadMethod {
    if (ratedWatts <= 0) {
      throw new IllegalArgumentException("a rating is above 0 W");
    }
  }

  /** For a meter nobody described: ± 2 % of reading. */
  public static OverloadMethod assumed(double ratedWatts) {
    return new OverloadMethod(ratedWatts, MeterClass.ofReading(2, 0, 0.1), true, Treatment.NONE);
  }

  /** For a meter of known class. */
  public static OverloadMethod measuredWith(double ratedWatts, MeterClass power) {
    return new OverloadMethod(ratedWatts, power, false, Treatment.NONE);
  }

  /** The same method for a run somebody has decided something about. */
  public OverloadMethod with(Treatment decided) {
    return new OverloadMethod(ratedWatts, power, accuracyAssumed, decided);
  }
}
