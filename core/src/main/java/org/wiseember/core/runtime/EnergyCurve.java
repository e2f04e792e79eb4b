package org.wiseember.core.runtime;

import java.util.Comparator;
import java.util.List;
import org.wiseember.core.capacity.EnergyLeft;

/**
 * How much of a full unit an hour at a load takes, so that mixed loads add: (P + idle) ÷ C + c·P².
 * C is what the cells would give to a load that costs nothing but its idle draw, c what growing
 * losses take, and never below 0.
 *
 * @param capacity C, Wh
 * @param growing c, 1 ÷ (W·Wh)
 * @param idleWatts drawn while the output is on, W
 * @param directShare share an hour takes for each watt at a DC port, 1 ÷ Wh
 * @param fedShare share an hour of a watt fed puts back, 1 ÷ Wh
 */
public record EnergyCurve(
    double capacity, double growing, double idleWatts, double directShare, double fedShare) {
  /** AC gives about so much of what DC gives: common practice, no published source. */
  private static final double INVERTER = 0.9;

  /** Fits it to whole drains, or takes the label's word for want of any. */
  public static EnergyCurve of(UnitSupply unit) {
    List<Usable> points = unit.usable();
    double idle = unit.idleWatts();
    double[] fit;
    if (points.isEmpty()) {
      fit = new double[] {1 / (EnergyLeft.USUAL_YIELD * unit.labelWattHours()), 0};
    } else if (points.size() == 1) {
      fit = new double[] {points.get(0).shareAnHour() / (points.get(0).watts() + idle), 0};
    } else {
      fit = fitted(points, idle);
    }
    double direct =
        unit.directUsable().stream()
            .min(Comparator.comparingDouble(Usable::watts))
            .map(p -> 1 / p.wattHours())
            .orElse(fit[0] * INVERTER);
    return new EnergyCurve(1 / fit[0], fit[1], idle, direct, direct);
  }

  /** Least squares on P ÷ E in 1 ÷ C and c, weighted by U where all have one. */
  private static double[] fitted(List<Usable> points, double idle) {
    boolean weighted = points.stream().allMatch(p -> p.u95() > 0);
    double xx = 0;
    double xy = 0;
    double yy = 0;
    double xs = 0;
    double ys = 0;
    for (Usable p : points) {
      double u = weighted ? p.watts() * p.u95() / (p.wattHours() * p.wattHours()) : 1;
      double x = (p.watts() + idle) / u;
      double y = p.watts() * p.watts() / u;
      double s = p.shareAnHour() / u;
      xx += x * x;
      xy += x * y;
      yy += y * y;
      xs += x * s;
      ys += y * s;
    }
    double together = xx * yy - xy * xy;
    // Drains at one and the same load tell nothing of how losses grow.
    boolean apart = together > 1e-9 * xx * yy;
    double growing = apart ? (xx * ys - xy * xs) / together : 0;
    double inverse = apart ? (yy * xs - xy * ys) / together : xs / xx;
    return growing > 0 && inverse > 0 ? new double[] {inverse, growing} : new double[] {xs / xx, 0};
  }

  /**
   * Of a full unit, what an hour takes.
   *
   * @param acWatts at the outlets, W
   * @param acOn whether the AC side draws its idle
   * @param dcWatts at the DC ports, W
   */
  public double shareAnHour(double acWatts, boolean acOn, double dcWatts) {
    double ac = (acWatts + (acOn ? idleWatts : 0)) / capacity + growing * acWatts * acWatts;
    return ac + dcWatts * directShare;
  }

  /** The same of a pack that gives this share of what it holds; it takes as much as ever. */
  EnergyCurve giving(double share) {
    return new EnergyCurve(
        capacity * share, growing / share, idleWatts, directShare / share, fedShare);
  }

  /** Of a full unit, what an hour of a feed puts back. */
  public double shareFed(double watts) {
    return watts * fedShare;
  }
}
