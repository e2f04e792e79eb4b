package org.wiseember.core.charge;

import java.util.Map;
import java.util.Optional;
import org.wiseember.core.trace.Series;
import org.wiseember.core.trace.Trace;

/**
 * What went into a unit, for looking at.
 *
 * @param parts W of each inlet that was logged and ever gave anything, in the order of inlets
 * @param whole W of all together; without readings where nothing was logged
 */
public record ChargeParts(Map<Inlet, Series> parts, Series whole) {
  /** The parts of a log. */
  public static ChargeParts of(Trace trace) {
    Optional<Inputs> inputs = Inputs.of(trace);
    return inputs
        .map(i -> new ChargeParts(i.parts(), i.whole()))
        .orElseGet(() -> new ChargeParts(Map.of(), Series.of(new double[0], new double[0])));
  }
}
