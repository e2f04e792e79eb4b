package org.wiseember.core.overload;

import java.util.List;
import java.util.Optional;
import org.wiseember.core.because.Because;
import org.wiseember.core.because.Warning;
import org.wiseember.core.uncertainty.Estimate;
import org.wiseember.core.uncertainty.MeterClass;

/**
 * What a run above the rating says.
 *
 * @param holds every load that was put on, in order of time
 * @param tripTime s from the last load step to the first trip; empty where nothing tripped
 * @param heldPower W, mean over that step; of the heaviest load held where nothing tripped
 * @param fit the curve through the trips; empty where fewer than two different loads tripped
 * @param meter behind the watts
 * @param because the sum behind the trip time; empty when no load was held
 */
public record OverloadFinding(
    List<Hold> holds,
    Optional<Estimate> tripTime,
    Optional<Estimate> heldPower,
    Optional<TripFit> fit,
    MeterClass meter,
    Optional<Because> because,
    List<Warning> warnings) {
  public OverloadFinding {
    holds = List.copyOf(holds);
    warnings = List.copyOf(warnings);
  }

  /** The holds that tripped. */
  public List<Hold> trips() {
    return holds.stream().filter(Hold::tripped).toList();
  }

  /** Whether a warning was given. */
  public boolean warns(String code) {
    return warnings.stream().anyMatch(w -> w.code().equals(code));
  }
}
