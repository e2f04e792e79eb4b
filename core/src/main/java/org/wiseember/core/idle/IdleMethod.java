package org.wiseember.core.idle;

import java.util.Optional;
import org.wiseember.core.efficiency.LadderMeters;
import org.wiseember.core.trace.Treatment;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What an idle figure depends on besides the trace.
 *
 * @param meters on the DC side
 * @param usableWattHours energy the pack gives on its DC side, Wh; empty where unknown
 * @param treatment what the tester left out
 */
public record IdleMethod(
    LadderMeters meters, Optional<Estimate> usableWattHours, Treatment treatment) {
  /** A method for meters nobody described. */
  public static IdleMethod assumed(Optional<Estimate> usableWattHours) {
    return new IdleMethod(LadderMeters.unknown(), usableWattHours, Treatment.NONE);
  }
}
