package org.wiseember.core.capacity;

import java.util.Optional;
import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.Contribution;
import org.wiseember.core.uncertainty.Estimate;

/**
 * What is left for a load: capacity × yield × state of charge, less what was used since. Common
 * practice, no published source.
 *
 * @param wattHours left; never below 0
 * @param yieldAssumed whether the yield was not measured and the usual one is taken
 */
public record EnergyLeft(Estimate wattHours, boolean yieldAssumed) {
  /** The yield to plan with where none was measured, and how far real ones lie from it. */
  public static final double USUAL_YIELD = 0.85;

  /** Common practice, no published source. */
  public static final double USUAL_YIELD_HALF_WIDTH = 0.10;

  /**
   * With a measured yield.
   *
   * @param ratedWattHours on the label
   * @param yield delivered over rated, 0 to 1
   * @param charge state of charge before the use, 0 to 1
   * @param used at the load since, Wh
   */
  public static EnergyLeft of(double ratedWattHours, Estimate yield, double charge, double used) {
    if (!(charge >= 0 && charge <= 1) || !(used >= 0) || !(ratedWattHours > 0)) {
      throw new IllegalArgumentException("a state of charge is between 0 and 1");
    }
    double left = ratedWattHours * yield.value() * charge - used;
    return new EnergyLeft(
        new Estimate(Math.max(0, left), ratedWattHours * yield.u95() * charge), false);
  }

  /**
   * What went into an inverter for what came out of it: E ÷ η, the shares of uncertainty squared
   * and added.
   *
   * @param out delivered, Wh
   * @param efficiency 0 to 1
   */
  public static Estimate before(Estimate out, Estimate efficiency) {
    double energy = out.value() / efficiency.value();
    return new Estimate(
        energy,
        energy * Math.hypot(out.u95() / out.value(), efficiency.u95() / efficiency.value()));
  }

  /**
   * What a unit that was never drained is taken to give, which its name says.
   *
   * @param ratedWattHours on the label; NaN where it does not say
   */
  public static Optional<Figure> usual(double ratedWattHours) {
    if (!(ratedWattHours > 0)) {
      return Optional.empty();
    }
    Budget budget =
        Budget.of(
            Contribution.rectangular("Yield, 75 to 95 %", USUAL_YIELD_HALF_WIDTH * ratedWattHours));
    return Optional.of(
        Figure.of(
            "usable_energy_assumed",
            "the usual 85 % of its label, since no drain was made",
            USUAL_YIELD * ratedWattHours,
            Unit.WATT_HOUR,
            Because.of(budget, "0.85 × " + Figures.plain(ratedWattHours, Unit.WATT_HOUR))));
  }

  /** With the usual yield of 85 %, seen between 75 and 95 %. */
  public static EnergyLeft assumed(double ratedWattHours, double charge, double used) {
    EnergyLeft left =
        of(ratedWattHours, new Estimate(USUAL_YIELD, USUAL_YIELD_HALF_WIDTH), charge, used);
    return new EnergyLeft(left.wattHours(), true);
  }
}
