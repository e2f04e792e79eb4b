package org.wiseember.bench.simulated;

/**
 * What a simulated unit truly is, whatever its label says.
 *
 * @param chemistry of the cells
 * @param seriesCells cells in series
 * @param ampHours true capacity of the pack, Ah
 * @param ohms pack resistance, Ω
 * @param reserve share of charge the management keeps back, 0 to 0.5
 * @param ratedWatts inverter rating, W
 * @param acVolts output volts without load, V
 * @param hertz output frequency, Hz
 * @param droop output volts lost at full rating, share of acVolts
 * @param idleWatts inverter draw without load, W (p0)
 * @param linearLoss loss per watt out (p1)
 * @param squareLoss loss per watt out squared, 1/W (p2)
 */
public record UnitDesign(
    Chemistry chemistry,
    int seriesCells,
    double ampHours,
    double ohms,
    double reserve,
    double ratedWatts,
    double acVolts,
    double hertz,
    double droop,
    double idleWatts,
    double linearLoss,
    double squareLoss) {
  public UnitDesign {
    if (seriesCells < 1
        || !(ampHours > 0)
        || !(ohms > 0)
        || !(reserve >= 0 && reserve <= 0.5)
        || !(ratedWatts > 0)
        || !(acVolts > 0)
        || !(hertz > 0)
        || !(droop >= 0 && droop < 0.5)
        || !(idleWatts >= 0)
        || !(linearLoss >= 0)
        || !(squareLoss >= 0)) {
      throw new IllegalArgumentException("a simulated unit needs sensible figures: " + ohms);
    }
  }

  /** DC watts drawn for these AC watts, inverter losses in it. */
  public double dcWatts(double acWatts) {
    return acWatts + idleWatts + linearLoss * acWatts + squareLoss * acWatts * acWatts;
  }

  /**
   * A unit whose label tells its capacity and rating, built the way such units usually are.
   *
   * @param share true capacity over the printed one
   */
  public static UnitDesign typical(
      Chemistry chemistry, double ratedWattHours, double ratedWatts, double acVolts, double share) {
    int cells = ratedWattHours > 700 ? 16 : 8;
    double volts = chemistry.openCircuitVolts(0.5) * cells;
    double ampHours = ratedWattHours * share / (chemistry.storedWattHours(1) * cells);
    return new UnitDesign(
        chemistry,
        cells,
        ampHours,
        0.02 * volts * volts / ratedWatts,
        0.02,
        ratedWatts,
        acVolts,
        acVolts > 180 ? 50 : 60,
        0.015,
        0.008 * ratedWatts + 3,
        0.055,
        0.02 / ratedWatts);
  }
}
