package org.wiseember.core.efficiency;

/**
 * Losses of an inverter against its load: P_dc = P_ac + p0 + p1·P_ac + p2·P_ac².
 *
 * <p>The usual loss model of power electronics: p0 is the draw without load, p1 grows with the load
 * like the voltage drop of switches, p2 with its square like the heat in resistance.
 *
 * @param p0 draw without load, W, 0 or more
 * @param p1 loss per watt out
 * @param p2 loss per watt out squared, 1/W, 0 or more
 */
public record LossCurve(double p0, double p1, double p2) {
  /** DC watts in for these AC watts out. */
  public double dcWatts(double acWatts) {
    return acWatts + p0 + p1 * acWatts + p2 * acWatts * acWatts;
  }

  /** Conversion efficiency η = P_ac ÷ P_dc at a load, 0 to 1; 0 without load. */
  public double efficiency(double acWatts) {
    return acWatts <= 0 ? 0 : acWatts / dcWatts(acWatts);
  }

  /**
   * The load of the best efficiency, P* = √(p0 ÷ p2), W; infinite where nothing grows with the
   * square, 0 where there is no draw without load.
   */
  public double peakLoad() {
    return p0 == 0 ? 0 : p2 == 0 ? Double.POSITIVE_INFINITY : Math.sqrt(p0 / p2);
  }

  /** The best efficiency, η* = 1 ÷ (1 + p1 + 2·√(p0·p2)). */
  public double peakEfficiency() {
    return 1 / (1 + p1 + 2 * Math.sqrt(p0 * p2));
  }
}
