package org.wiseember.core.capacity;

import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;

/**
 * What watts that an outlet bore say of its volt-amperes and amps: at least as many, since a power
 * factor is at most 1. Source: P = U·I·λ with λ ≤ 1, by definition.
 */
public final class OutletLoad {
  private OutletLoad() {}

  /** Volt-amperes, at least. */
  public static Figure voltAmperes(Figure watts) {
    return Figure.of(
            "held_apparent_power",
            "Apparent power held",
            watts.value(),
            Unit.VOLT_AMPERE,
            Because.of(
                    watts.budget(),
                    Figures.rounded(watts.value(), watts.u95()) + " W are as many VA at least")
                .summed("watts held; a power factor is at most 1")
                .from(watts))
        .bounded(Bound.AT_LEAST);
  }

  /** Amps, at least. */
  public static Figure amps(Figure watts, Figure volts) {
    double amps = watts.value() / volts.value();
    Budget budget =
        watts
            .budget()
            .scaled(1 / volts.value())
            .called("Watts")
            .with(volts.budget().scaled(amps / volts.value()).called("Volts"));
    return Figure.of(
            "held_amps",
            "AC amps held",
            amps,
            Unit.AMPERE,
            Because.of(
                    budget,
                    Figures.rounded(watts.value(), watts.u95())
                        + " W ÷ "
                        + Figures.rounded(volts.value(), volts.u95())
                        + " V = "
                        + Figures.rounded(amps, budget.u95())
                        + " A")
                .summed("watts held over the volts there were; a power factor is at most 1")
                .from(watts, volts))
        .bounded(Bound.AT_LEAST);
  }
}
