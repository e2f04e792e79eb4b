package org.wiseember.core.efficiency;

import java.util.OptionalDouble;

/**
 * One load of a ladder after it had settled: means of readings taken at the same moments.
 *
 * @param from first counted reading, s
 * @param to last counted reading, s
 * @param readings how many pairs of AC and DC readings
 * @param acWatts mean out
 * @param dcWatts mean in
 * @param dcVolts mean at the DC terminals; empty where only DC watts were read
 * @param acVolts mean at the outlet
 * @param displayWatts mean of what the unit's display showed
 * @param lossScatter standard uncertainty of the mean of P_dc − P_ac from the scatter of the
 *     readings, W
 * @param drift by how much the efficiency moved between the halves of the step
 * @param settled whether the load stayed steady by the rule
 */
public record LoadStep(
    double from,
    double to,
    int readings,
    double acWatts,
    double dcWatts,
    OptionalDouble dcVolts,
    OptionalDouble acVolts,
    OptionalDouble displayWatts,
    double lossScatter,
    double drift,
    boolean settled) {

  /** η = P_ac ÷ P_dc, 0 to 1. */
  public double efficiency() {
    return dcWatts > 0 ? acWatts / dcWatts : 0;
  }

  /** P_dc − P_ac, W. */
  public double loss() {
    return dcWatts - acWatts;
  }
}
