package org.wiseember.core.idle;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What a run says of the idle draw. A figure that could not be had is empty, and a warning says
 * why.
 *
 * @param power mean draw with nothing plugged in, W on the DC side
 * @param current mean amps, where they were read
 * @param hours until the pack is empty at that draw
 * @param way how it was found; empty where it was not
 * @param from first counted moment, s; NaN for none
 * @param to last counted moment, s; NaN for none
 */
public record IdleFinding(
    Optional<Estimate> power,
    Optional<Estimate> current,
    Optional<Estimate> hours,
    Optional<IdleWay> way,
    double from,
    double to,
    Optional<Because> because,
    List<Warning> warnings) {
  public IdleFinding {
    warnings = List.copyOf(warnings);
  }

  /** Whether a warning was given. */
  public boolean warns(String code) {
    return warnings.stream().anyMatch(w -> w.code().equals(code));
  }
}
