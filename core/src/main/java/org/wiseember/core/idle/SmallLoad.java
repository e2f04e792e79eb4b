package org.wiseember.core.idle;

import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;

/**
 * A small load run from the AC side and from the DC side of the same pack.
 *
 * @param watts of the load itself
 * @param throughAc drawn from the pack through the inverter, W
 * @param throughDc drawn from the pack through the DC port, W
 * @param usableWattHours of the pack on its DC side, Wh
 */
public record SmallLoad(double watts, double throughAc, double throughDc, double usableWattHours) {

  public SmallLoad {
    if (!(watts >= 0) || !(throughAc > 0) || !(throughDc > 0) || !(usableWattHours > 0)) {
      throw new IllegalArgumentException("a small load draws something from a pack");
    }
  }

  /**
   * Works one out.
   *
   * @param watts of the load, W
   * @param acIdle the unit with its AC output on and nothing plugged in, W
   * @param acLoss what the inverter loses a watt out beside that
   * @param dcIdle the unit with only its DC port on, W
   * @param dcEfficiency of the converter behind the port, 0 to 1
   * @param usableWattHours of the pack on its DC side, Wh
   */
  public static SmallLoad of(
      double watts,
      double acIdle,
      double acLoss,
      double dcIdle,
      double dcEfficiency,
      double usableWattHours) {
    return new SmallLoad(
        watts, acIdle + watts * (1 + acLoss), dcIdle + watts / dcEfficiency, usableWattHours);
  }

  /** Hours the pack lasts through the inverter. */
  public double hoursThroughAc() {
    return usableWattHours / throughAc;
  }

  /** Hours the pack lasts through the DC port. */
  public double hoursThroughDc() {
    return usableWattHours / throughDc;
  }

  /** How many times longer the DC side lasts. */
  public double gain() {
    return throughAc / throughDc;
  }

  /** {@code A 15 W load costs 80 W through the inverter and 19 W through the DC port: …}. */
  public String words() {
    return "A "
        + Figures.plain(watts, Unit.WATT)
        + " load costs "
        + Figures.fixed(throughAc, 0)
        + " W through the inverter and "
        + Figures.fixed(throughDc, 0)
        + " W through the DC port: "
        + Figures.fixed(hoursThroughAc(), 0)
        + " h against "
        + Figures.fixed(hoursThroughDc(), 0)
        + " h."
        + (gain() > 1.2
            ? " Use the DC side, unless the inverter is on for something else anyway."
            : " It hardly matters which.");
  }
}
