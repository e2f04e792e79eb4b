package org.wiseember.bench.simulated.design;

/**
 * What the battery of a simulated unit truly is.
 *
 * @param chemistry of the cells
 * @param seriesCells cells in series
 * @param ampHours true capacity of the strongest cells, Ah
 * @param ohms pack resistance at 25 °C and half charge, Ω
 * @param reserve share of charge the management keeps back, 0 to 0.5
 * @param imbalance share by which the weakest cell holds less than the others, 0 to 0.3
 * @param wattHoursPerKelvin heat the pack takes up, Wh/K
 */
public record PackDesign(
    Chemistry chemistry,
    int seriesCells,
    double ampHours,
    double ohms,
    double reserve,
    double imbalance,
    double wattHoursPerKelvin) {
  public PackDesign {
    if (seriesCells < 1
        || !(ampHours > 0)
        || !(ohms > 0)
        || !(reserve >= 0 && reserve <= 0.5)
        || !(imbalance >= 0 && imbalance <= 0.3)
        || !(wattHoursPerKelvin > 0)) {
      throw new IllegalArgumentException("a simulated pack needs sensible figures");
    }
  }

  /** Energy between empty and full at no current, Wh. */
  public double wattHours() {
    return chemistry.storedWattHours(1) * ampHours * seriesCells;
  }

  /** The same pack after this share of its capacity has faded, its resistance grown as much. */
  public PackDesign faded(double share) {
    return new PackDesign(
        chemistry,
        seriesCells,
        ampHours * (1 - share),
        ohms * (1 + share),
        reserve,
        imbalance,
        wattHoursPerKelvin);
  }

  /** The same pack with one cell that holds less. */
  public PackDesign withImbalance(double share) {
    return new PackDesign(
        chemistry, seriesCells, ampHours, ohms, reserve, share, wattHoursPerKelvin);
  }
}
