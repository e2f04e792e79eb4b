package org.wiseember.core.charge;

import org.wiseember.core.figure.Because;
import org.wiseember.core.figure.Bound;
import org.wiseember.core.figure.Figure;
import org.wiseember.core.quantity.Figures;
import org.wiseember.core.quantity.Unit;
import org.wiseember.core.uncertainty.Budget;
import org.wiseember.core.uncertainty.MeterClass;

/** The most amps a DC input drew and held, A. */
public final class MostAmps {
  private MostAmps() {}

  /**
   * Of a charge.
   *
   * @param amps that were drawn and held
   * @param limited whether amps were what bound for a while; else the source set them
   */
  public static Figure of(double amps, MeterClass meter, boolean limited) {
    Budget budget = Budget.of().with("Ammeter", meter, amps, 1);
    Figure most =
        Figure.of(
            "most_amps",
            "DC input, most amps",
            amps,
            Unit.AMPERE,
            Because.of(
                    budget,
                    "Most amps that were held = " + Figures.rounded(amps, budget.u95()) + " A")
                .summed(limited ? "where amps were what bound" : "as much as the source gave")
                .watching(
                    limited
                        ? "A port draws its amps; a larger source changes nothing."
                        : "The source set these amps, not the port."));
    return limited ? most : most.bounded(Bound.AT_LEAST);
  }
}
