package org.wiseember.core.charge;

import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/** C-rate of a charge, by energy: peak watts over the label's watt-hours, 1/h. */
public final class ChargeRate {
  private ChargeRate() {}

  /**
   * Of a charge.
   *
   * @param ratedWattHours on the label, above 0
   */
  public static Figure of(Figure peak, double ratedWattHours) {
    Budget budget = peak.budget().scaled(1 / ratedWattHours);
    return Figure.of(
        "charge_rate",
        "C-rate at the peak",
        peak.value() / ratedWattHours,
        Unit.ONE,
        Because.of(
                budget,
                Figures.rounded(peak.value(), peak.u95())
                    + " W ÷ "
                    + Figures.plain(ratedWattHours, Unit.WATT_HOUR)
                    + " = "
                    + Figures.rounded(peak.value() / ratedWattHours, budget.u95())
                    + " in an hour")
            .summed("of the label's watt-hours an hour")
            .from(peak)
            .otherwise(
                "Some give it by amps and amp-hours; the two differ with the pack's volts."));
  }
}
